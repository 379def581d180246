import { NextResponse } from 'next/server';
import { takeBackTest } from '../../../../data/tuning';
import { refuse, withKitchen } from '../../answers';

/** Takes a test back: what stood there before stands there again. */
export async function DELETE(_: Request, { params }: { readonly params: Promise<{ testId: string }> }) {
  const { testId } = await params;
  return withKitchen((db) => {
    const gone = takeBackTest(db, testId);
    return gone.ok ? new NextResponse(null, { status: 204 }) : refuse(404, gone.fault.says);
  });
}
