import { cookieOf, isSecure, kitchenEntry, SCREEN_HEADER } from '../../../../entry/kitchen-entry';

export const dynamic = 'force-dynamic';

/** This screen goes out. */
export function POST(request: Request): Response {
  kitchenEntry().remove(request.headers.get(SCREEN_HEADER) ?? '');
  return new Response(null, { status: 204, headers: { 'set-cookie': cookieOf('', isSecure(request)) } });
}
