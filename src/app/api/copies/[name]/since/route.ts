import { NextResponse } from 'next/server';
import { copyNamed } from '../../../../../data/copies';
import { sinceCopy } from '../../../../../data/since-copy';
import { refuse, withKitchen } from '../../../answers';

export const dynamic = 'force-dynamic';

/** What going back to a copy would undo. */
export async function GET(_request: Request, { params }: { readonly params: Promise<{ name: string }> }): Promise<Response> {
  const copy = copyNamed((await params).name);
  if (!copy) return refuse(404, 'There is no such copy any more.');
  return withKitchen((db) => {
    try {
      return NextResponse.json(sinceCopy(db, copy));
    } catch (error) {
      return refuse(422, `This copy cannot be compared: ${error instanceof Error ? error.message : 'it does not open'}.`);
    }
  });
}
