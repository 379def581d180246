import { createHash, timingSafeEqual } from 'node:crypto';
import { NextResponse, type NextRequest } from 'next/server';

const LOCAL = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();

/** The passphrase of a Basic authorization header; any user name will do. */
function passphraseOf(header: string | null): string {
  if (!header?.startsWith('Basic ')) return '';
  const pair = Buffer.from(header.slice(6), 'base64').toString('utf8');
  return pair.slice(pair.indexOf(':') + 1);
}

/**
 * Stands before every request, the build's own files included: a pattern that leaves some out would be a second door. With a passphrase set, asks for it; without one, answers only to this machine's own name,
 * so that no page from elsewhere can reach in. Writes from another site are refused in either case.
 */
export function proxy(request: NextRequest): NextResponse {
  const passphrase = process.env.SOFT_PEAK_PASSPHRASE;
  if (passphrase) {
    if (!timingSafeEqual(digest(passphraseOf(request.headers.get('authorization'))), digest(passphrase))) {
      return new NextResponse('The kitchen’s passphrase is needed.', { status: 401, headers: { 'www-authenticate': 'Basic realm="Soft Peak"' } });
    }
  } else if (!LOCAL.test(request.headers.get('host') ?? '')) {
    return new NextResponse('This kitchen answers only on its own machine.', { status: 403 });
  }
  if (request.method !== 'GET' && request.method !== 'HEAD' && isFromElsewhere(request.headers)) {
    return new NextResponse('Writes from other sites are refused.', { status: 403 });
  }
  return guarded(NextResponse.next(), !request.nextUrl.pathname.startsWith('/api/'));
}

/** What a page of this kitchen may load and who may frame it: its own things, and nobody. Scripts written into the page are the framework's own. */
const POLICY = [
  "default-src 'self'",
  `script-src 'self' 'unsafe-inline'${process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''}`,
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' blob: data:",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'self'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** @param page a page's policy; files and data that a page asks for load nothing themselves. */
function guarded(response: NextResponse, page: boolean): NextResponse {
  if (page) response.headers.set('content-security-policy', POLICY);
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
