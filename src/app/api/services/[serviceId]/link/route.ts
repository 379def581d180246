import { NextResponse } from 'next/server';
import { getService } from '../../../../../data/services';
import { kitchenEntry } from '../../../../../entry/kitchen-entry';
import { refuse, withKitchen } from '../../../answers';
import { addressDrawn } from '../../../address-drawn';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ serviceId: string }>;
}
const NOT_KEPT = { 'cache-control': 'no-store' } as const;

/** Until when there is a link to look at this service's day sheet, ms since 1970; its address is shown only when it is made. */
export async function GET(_request: Request, { params }: Context) {
  const { serviceId } = await params;
  const entry = kitchenEntry();
  return NextResponse.json({ locked: entry.isLocked(), until: entry.linkUntil(serviceId, Date.now()) }, { headers: NOT_KEPT });
}

/** A new link; the one before it is void. */
export async function POST(request: Request, { params }: Context) {
  const { serviceId } = await params;
  return withKitchen(async (db) => {
    if (!getService(db, serviceId)) return refuse(404, 'This service is no longer in the kitchen.');
    const made = kitchenEntry().makeLink(serviceId, Date.now());
    if (!made.ok) return refuse(409, made.fault.says);
    return NextResponse.json({ until: made.value.until, ...(await addressDrawn(request, `/seen/${made.value.secret}`)) }, { headers: NOT_KEPT });
  });
}

/** Takes the link back. */
export async function DELETE(_request: Request, { params }: Context) {
  const { serviceId } = await params;
  kitchenEntry().removeLink(serviceId);
  return new NextResponse(null, { status: 204 });
}
