import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ProgressEventSchema } from '../../../../../core/batch/batch';
import { recordEvent } from '../../../../../data/batches';
import { readBody, refuse, withKitchen } from '../../../answers';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

/** A few hundred letters, at every touch on Pass: packing them takes longer than sending them. */
const AS_IT_IS = { 'cache-control': 'no-store, no-transform' } as const;

const EventSchema = z.object({ id: z.string().min(8).max(60).optional(), event: ProgressEventSchema, baseRevision: z.number().int() });

/** Does one thing to a batch read at `baseRevision`, once for each id; answers 409 with the current batch when another screen wrote since. */
export async function POST(request: Request, { params }: Context) {
  const { batchId } = await params;
  const body = await readBody(request, EventSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    const outcome = recordEvent(db, batchId, body.value.event, body.value.baseRevision, Date.now(), body.value.id ?? null);
    if (outcome.kind === 'gone') return refuse(404, 'This batch is no longer in the kitchen.');
    return NextResponse.json(outcome, { status: outcome.kind === 'behind' ? 409 : 200, headers: AS_IT_IS });
  });
}
