import { NextResponse } from 'next/server';
import { z } from 'zod';
import { StockPackSchema } from '../../../core/larder/stock';
import { listStock, putPacks } from '../../../data/stock';
import { readBody, withKitchen } from '../answers';

export const dynamic = 'force-dynamic';

export async function GET() {
  return withKitchen((db) => NextResponse.json(listStock(db)));
}

const PutSchema = z.object({ packs: z.array(StockPackSchema).min(1).max(500) });

/** Puts packs into the larder, or writes down what is left of some; an empty one is gone. Answers with the stock as it is then. */
export async function PUT(request: Request) {
  const body = await readBody(request, PutSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    putPacks(db, body.value.packs, Date.now());
    return NextResponse.json(listStock(db));
  });
}
