import { NextResponse } from 'next/server';
import { z } from 'zod';
import { setLearning } from '../../../../data/learning';
import { readBody, withKitchen } from '../../answers';

/** Switches on or off that forecasts follow the log. */
export async function POST(request: Request) {
  const body = await readBody(request, z.object({ learning: z.boolean() }));
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    setLearning(db, body.value.learning);
    return NextResponse.json({});
  });
}
