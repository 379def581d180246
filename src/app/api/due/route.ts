import { NextResponse } from 'next/server';
import { z } from 'zod';
import { readDueMoments } from '../../../data/due';
import { whoIsWhere } from '../../../data/who-is-where';
import { kitchenEntry, SCREEN_HEADER } from '../../../entry/kitchen-entry';
import { withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

const HereSchema = z.object({ screen: z.string().min(1).max(20), thing: z.string().max(120) });

/** What is due next in the kitchen; and who else has open what the asking screen has (?screen=3f2a&thing=sheet/ID). */
export const GET = (request: Request) =>
  withKitchen((db) => {
    const now = Date.now();
    const query = new URL(request.url).searchParams;
    const here = HereSchema.safeParse({ screen: query.get('screen'), thing: query.get('thing') });
    const id = request.headers.get(SCREEN_HEADER) ?? '';
    const name = (id !== '' && kitchenEntry().screens().find((s) => s.id === id)?.name) || null;
    return NextResponse.json({ moments: readDueMoments(db, now), others: here.success ? whoIsWhere().say({ ...here.data, name, at: now }) : [] });
  });
