import { addressOf, cookieOf, isSecure, kitchenEntry } from '../../entry/kitchen-entry';
import { textUpTo } from '../api/answers';
import { OWN_PAGE_HEADERS } from '../own-page';
import { doorPage, wayOn, type Door } from './page-of-door';

export const dynamic = 'force-dynamic';

const MOST_BYTES = 10_000;

const page = (status: number, door: Door): Response => new Response(doorPage(door), { status, headers: OWN_PAGE_HEADERS });
const goOn = (to: string, cookie: string | null): Response =>
  new Response(null, { status: 303, headers: { location: wayOn(to), 'cache-control': 'no-store', ...(cookie ? { 'set-cookie': cookie } : {}) } });

/** The page at the door; with a code in its address (as a square that a tablet photographs brings it) that code stands there already. */
export function GET(request: Request): Response {
  const { searchParams } = new URL(request.url);
  if (!kitchenEntry().isLocked()) return goOn('/', null);
  return page(200, { to: wayOn(searchParams.get('to') ?? '/'), name: '', given: (searchParams.get('code') ?? '').slice(0, 20), says: '' });
}

/** Lets a screen in by passphrase or code. */
export async function POST(request: Request): Promise<Response> {
  const form = new URLSearchParams((await textUpTo(request, MOST_BYTES)) ?? '');
  const [to, name, given] = ['to', 'name', 'given'].map((k) => form.get(k) ?? '') as [string, string, string];
  const came = await kitchenEntry().comeIn(given, name, addressOf(request), Date.now());
  if (came.ok) return goOn(to, cookieOf(came.value, isSecure(request)));
  return page(came.fault.code === 'wait' ? 429 : 401, { to: wayOn(to), name: name.slice(0, 60), given: '', says: came.fault.says });
}
