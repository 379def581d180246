import { NextResponse } from 'next/server';
import { kitchenEntry } from '../../../../entry/kitchen-entry';
import { addressDrawn } from '../../address-drawn';
import { refuse } from '../../answers';

export const dynamic = 'force-dynamic';

/** A code that lets one more screen in, for ten minutes; with the address that brings it, drawn so that a tablet's camera reads it. */
export async function POST(request: Request): Promise<Response> {
  const entry = kitchenEntry();
  if (!entry.isLocked()) return refuse(409, 'No passphrase is set: whoever reaches this kitchen is in already.');
  const { code, until } = entry.makeCode(Date.now());
  return NextResponse.json(
    { code: `${code.slice(0, 4)} ${code.slice(4)}`, until, ...(await addressDrawn(request, `/enter?code=${code}`)) },
    { headers: { 'cache-control': 'no-store' } },
  );
}
