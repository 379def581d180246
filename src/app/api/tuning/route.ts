import { NextResponse } from 'next/server';
import { z } from 'zod';
import { MeasuredSchema } from '../../../core/tuning/measured';
import { keepTest } from '../../../data/tuning';
import { MadeIdSchema, readBody, refuse, withKitchen } from '../answers';

/** Keeps a small test of the kitchen; what it came to stands in the kitchen from then on. 422 where it cannot be. */
export async function POST(request: Request) {
  const body = await readBody(request, z.object({ id: MadeIdSchema, measured: MeasuredSchema }));
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const kept = keepTest(db, body.value.id, body.value.measured, Date.now());
    return kept.ok ? NextResponse.json({ tuned: kept.value }, { status: 201 }) : refuse(422, kept.fault.says);
  });
}
