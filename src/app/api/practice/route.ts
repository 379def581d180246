import { NextResponse } from 'next/server';
import { z } from 'zod';
import { addPracticeStop, listPracticeStops } from '../../../data/practice';
import { readBody, withKitchen } from '../answers';

const StopSchema = z.object({ seed: z.number().int().min(0).max(4_294_967_295), stoppedS: z.number().min(0).max(100_000) });

/** Keeps a practised stop; answers with the last ones. */
export async function POST(request: Request) {
  const body = await readBody(request, StopSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    addPracticeStop(db, { ...body.value, at: Date.now() });
    return NextResponse.json(listPracticeStops(db), { status: 201 });
  });
}
