import { NextResponse } from 'next/server';
import { z } from 'zod';
import { setPlaceH } from '../../../../data/kitchen-things';
import { readBody, refuse, withKitchen } from '../../answers';

/** Keeps the heat transfer of a place that the kitchen's own probe readings came to; null goes back to the usual of its kind. */
export async function POST(request: Request) {
  const body = await readBody(request, z.object({ placeId: z.string().min(1).max(40), hWPerM2K: z.number().min(0.5).max(500).nullable() }));
  if (!body.ok) return body.answer;
  return withKitchen((db) =>
    setPlaceH(db, body.value.placeId, body.value.hWPerM2K) ? NextResponse.json({}) : refuse(404, 'That place is no longer in the kitchen.'),
  );
}
