import { NextResponse } from 'next/server';
import { z } from 'zod';
import { whoIsWhere } from '../../../data/who-is-where';
import { kitchenEntry, SCREEN_HEADER } from '../../../entry/kitchen-entry';
import { refuse } from '../answers';

export const dynamic = 'force-dynamic';

const HereSchema = z.object({ screen: z.string().min(1).max(20), thing: z.string().max(120) });

/** Who else has open what the asking screen has (?screen=3f2a&thing=sheet/ID): their names, null for each that has none. Reads no data file. */
export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams;
  const here = HereSchema.safeParse({ screen: query.get('screen'), thing: query.get('thing') });
  if (!here.success) return refuse(422, 'Which screen asks, and what it has open, was not said.');
  const id = request.headers.get(SCREEN_HEADER) ?? '';
  const name =
    (id !== '' &&
      kitchenEntry()
        .screens()
        .find((s) => s.id === id)?.name) ||
    null;
  return NextResponse.json(whoIsWhere().say({ ...here.data, name, at: Date.now() }), { headers: { 'cache-control': 'no-store' } });
}
