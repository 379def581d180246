import { NextResponse } from 'next/server';
import { kitchenEntry } from '../../../../../entry/kitchen-entry';

export const dynamic = 'force-dynamic';

/** A screen comes in no more, from its next request on. */
export async function DELETE(_request: Request, { params }: { readonly params: Promise<{ screenId: string }> }): Promise<Response> {
  kitchenEntry().remove((await params).screenId);
  return NextResponse.json({ kind: 'gone' });
}
