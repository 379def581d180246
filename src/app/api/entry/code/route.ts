import { NextResponse } from 'next/server';
import { toString as drawn } from 'qrcode';
import { kitchenEntry } from '../../../../entry/kitchen-entry';
import { refuse } from '../../answers';

export const dynamic = 'force-dynamic';

/** A code that lets one more screen in, for ten minutes; with the address that brings it, drawn so that a tablet's camera reads it. */
export async function POST(request: Request): Promise<Response> {
  const entry = kitchenEntry();
  if (!entry.isLocked()) return refuse(409, 'No passphrase is set: whoever reaches this kitchen is in already.');
  const { code, until } = entry.makeCode(Date.now());
  const url = new URL('/enter', request.headers.get('origin') ?? request.url);
  url.searchParams.set('code', code);
  const svg = await drawn(url.href, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' });
  return NextResponse.json({ code: `${code.slice(0, 4)} ${code.slice(4)}`, until, url: url.href, svg, here: /^(?:localhost|127\.|\[::1\])/.test(url.hostname) }, { headers: { 'cache-control': 'no-store' } });
}
