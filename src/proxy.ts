import { NextResponse, type NextRequest } from 'next/server';
import { cookieOf, isSecure, kitchenEntry, NONCE_HEADER, SCREEN_HEADER, SHOWN } from './entry/kitchen-entry';

const LOCAL = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/** The one page that every stranger may see. */
const ENTER = '/enter';
/** Before what stands in the address of a link to look at. */
const SEEN = '/seen/';

/**
 * Stands before every request, the build's own files included: a pattern that leaves some out would be a second door. With a passphrase
 * set, only screens that have given it pass, and all others are shown where it is given, or the one day sheet whose link they have; without one, answers only to this machine's own
 * name, so that no page from elsewhere can reach in. Writes from another site are refused in either case.
 */
export function proxy(request: NextRequest): NextResponse {
  // As it was asked for: what the framework makes of it is another matter.
  const { pathname } = new URL(request.url);
  const entry = kitchenEntry();
  const locked = entry.isLocked();
  if (!locked && !LOCAL.test(request.headers.get('host') ?? '')) return new NextResponse('This kitchen answers only on its own machine.', { status: 403 });
  const writes = request.method !== 'GET' && request.method !== 'HEAD';
  if (writes && isFromElsewhere(request.headers)) return new NextResponse('Writes from other sites are refused.', { status: 403 });
  const nonce = freshNonce();
  if (!locked) return guarded(passed(request, '', nonce), pathname, nonce);
  if (pathname === ENTER) return passed(request, '', nonce);
  if (!writes && pathname.startsWith(SEEN) && entry.serviceShown(pathname.slice(SEEN.length), Date.now()) !== null) return passed(request, '', nonce);
  const screen = entry.screenOf(request.cookies.get(SHOWN)?.value, Date.now());
  if (!screen) return toTheDoor(request, writes || pathname.startsWith('/api/') || pathname.startsWith('/_next/'));
  const response = guarded(passed(request, screen.id, nonce), pathname, nonce);
  if (screen.show) response.headers.append('set-cookie', cookieOf(screen.show, isSecure(request)));
  return response;
}

/** Lets a request through with the screen that it comes from, and the mark for its page's scripts: nobody else says so. */
function passed(request: NextRequest, screenId: string, nonce: string): NextResponse {
  const headers = new Headers(request.headers);
  headers.set(SCREEN_HEADER, screenId);
  headers.set(NONCE_HEADER, nonce);
  // The framework reads from it what to mark its own scripts with.
  headers.set('content-security-policy', policyOf(nonce));
  return NextResponse.next({ request: { headers } });
}

/** A stranger is shown where the passphrase is given; what no person reads gets words. */
function toTheDoor(request: NextRequest, noPage: boolean): NextResponse {
  if (noPage) return new NextResponse('The kitchen’s passphrase is needed.', { status: 401, headers: { 'cache-control': 'no-store' } });
  const to = `${request.nextUrl.pathname}${request.nextUrl.search}`;
  const door = new URL(ENTER, `${isSecure(request) ? 'https' : 'http'}://${request.headers.get('host') ?? request.nextUrl.host}`);
  if (to !== '/') door.searchParams.set('to', to);
  return NextResponse.redirect(door, { status: 303, headers: { 'cache-control': 'no-store' } });
}

/** A mark that no page before this one had, 128 random bits. */
const freshNonce = (): string => btoa(String.fromCharCode(...crypto.getRandomValues(new Uint8Array(16))));

/**
 * What a page of this kitchen may load and who may frame it: its own things, and nobody. A script that is written into the page runs only
 * with the page's own mark: words of a recipe can never become one.
 */
const policyOf = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** A page has a policy; files and data that a page asks for load nothing themselves. */
function guarded(response: NextResponse, pathname: string, nonce: string): NextResponse {
  if (!pathname.startsWith('/api/')) response.headers.set('content-security-policy', policyOf(nonce));
  response.headers.set('x-frame-options', 'DENY');
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('permissions-policy', 'camera=(self), microphone=(), geolocation=(), payment=()');
  return response;
}

/**
 * Whether a request was sent by a page of another site. Browsers say so in Sec-Fetch-Site, but not over plain HTTP to a machine of the
 * network; there the Origin, which every browser sends with a write, must be this host itself. What is no browser sends neither.
 */
function isFromElsewhere(headers: Headers): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return true;
  const origin = headers.get('origin');
  return origin !== null && !(URL.canParse(origin) && new URL(origin).host === (headers.get('host') ?? '').toLowerCase());
}
