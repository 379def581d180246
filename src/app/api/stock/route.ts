import { NextResponse } from 'next/server';
import { z } from 'zod';
import { StockPackSchema } from '../../../core/larder/stock';
import { listStock, putPacks } from '../../../data/stock';
import { readBody, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

export async function GET() {
  return withKitchen((db) => NextResponse.json(listStock(db)));
}

/** `seen`: what was left of packs that are there, as the screen showed it, g. */
const PutSchema = z.object({ packs: z.array(StockPackSchema).min(1).max(500), seen: z.record(z.string().max(60), z.number()).default({}) });

/** Puts packs into the larder, or writes down what is left of some; an empty one is gone. Answers with the stock as it is then. */
export async function PUT(request: Request) {
  const body = await readBody(request, PutSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const put = putPacks(db, body.value.packs, Date.now(), body.value.seen);
    return put
      ? NextResponse.json(listStock(db))
      : NextResponse.json({ says: 'something was taken of it meanwhile; this is what is there now', stock: listStock(db) }, { status: 409 });
  });
}
