import { NextResponse } from 'next/server';
import { kitchenEntry, SCREEN_HEADER } from '../../../../entry/kitchen-entry';

export const dynamic = 'force-dynamic';

/** Every screen but the one that asks comes in no more. */
export function DELETE(request: Request): Response {
  kitchenEntry().removeOthers(request.headers.get(SCREEN_HEADER) ?? '');
  return NextResponse.json({ kind: 'gone' });
}
