import { NextResponse } from 'next/server';
import { z } from 'zod';
import { MomentSchema } from '../../../../../core/batch/batch';
import { batchChanged } from '../../../../../data/batch-watch';
import { getBatch, readNews } from '../../../../../data/batches';
import { addTemperatures, listTemperatures, removeTemperature } from '../../../../../data/temperatures';
import { readBody, refuse, withKitchen } from '../../../answers';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

const series = z.string().min(1).max(160);
const SamplesSchema = z.object({ samples: z.array(z.object({ series, at: MomentSchema, tC: z.number().min(-60).max(300) })).max(2000) });

export async function GET(_request: Request, { params }: Context) {
  const { batchId } = await params;
  return withKitchen((db) => NextResponse.json(listTemperatures(db, batchId)));
}

/** Takes samples; one that was sent before is kept once. */
export async function POST(request: Request, { params }: Context) {
  const { batchId } = await params;
  const body = await readBody(request, SamplesSchema);
  if (!body.ok) return body.answer;
  return withKitchen((db) => {
    if (!getBatch(db, batchId)) return refuse(404, 'This batch is no longer in the kitchen.');
    addTemperatures(db, batchId, body.value.samples);
    batchChanged(batchId, () => readNews(db, batchId));
    return NextResponse.json({ taken: body.value.samples.length });
  });
}

/** Takes one temperature away. */
export async function DELETE(request: Request, { params }: Context) {
  const { batchId } = await params;
  const query = new URL(request.url).searchParams;
  const asked = z.object({ series, at: z.coerce.number() }).safeParse({ series: query.get('series'), at: query.get('at') });
  if (!asked.success) return refuse(400, 'Which temperature is to go was not said.');
  return withKitchen((db) => {
    return removeTemperature(db, batchId, asked.data.series, asked.data.at) ? NextResponse.json({}) : refuse(404, 'This temperature is gone already.');
  });
}
