import { NextResponse } from 'next/server';
import { z } from 'zod';
import { addressOf, cookieOf, isSecure, kitchenEntry, SCREEN_HEADER } from '../../../../entry/kitchen-entry';
import { readBody, refuse } from '../../answers';

export const dynamic = 'force-dynamic';

const Body = z.object({ before: z.string().max(500).default(''), passphrase: z.string().max(500) });

/** Sets or changes the passphrase; every other screen then gives it anew. */
export async function PUT(request: Request): Promise<Response> {
  const body = await readBody(request, Body);
  if (!body.ok) return body.answer;
  const set = await kitchenEntry().setPassphrase(
    body.value.before,
    body.value.passphrase,
    request.headers.get(SCREEN_HEADER) || null,
    addressOf(request),
    Date.now(),
  );
  if (!set.ok) return refuse(set.fault.code === 'wait' ? 429 : set.fault.code === 'wrong' ? 403 : 422, set.fault.says);
  return NextResponse.json({ kind: 'set' }, { headers: { 'set-cookie': cookieOf(set.value, isSecure(request)) } });
}
