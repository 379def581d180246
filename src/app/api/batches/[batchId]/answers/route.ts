import { NextResponse } from 'next/server';
import { z } from 'zod';
import { getBatch } from '../../../../../data/batches';
import { answerOutcome } from '../../../../../data/learning';
import { readBody, refuse, withKitchen } from '../../../answers';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

const AnswerSchema = z.object({ figure: z.enum(['whisk-time', 'overrun', 'hold']), answer: z.enum(['count', 'leave-out']).nullable() });

/** Whether an outcome far off counts, or is left out; null asks again. */
export async function POST(request: Request, { params }: Context) {
  const { batchId } = await params;
  const body = await readBody(request, AnswerSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    if (!getBatch(db, batchId)) return refuse(404, 'This batch is no longer in the kitchen.');
    answerOutcome(db, batchId, body.value.figure, body.value.answer);
    return NextResponse.json({});
  });
}
