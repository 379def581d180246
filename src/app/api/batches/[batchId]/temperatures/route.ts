import { NextResponse } from 'next/server';
import { z } from 'zod';
import { batchChanged } from '../../../../../data/batch-watch';
import { getBatch } from '../../../../../data/batches';
import { addTemperatures, clearTemperatures, listTemperatures } from '../../../../../data/temperatures';
import { readBody, refuse, withKitchen } from '../../../answers';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

const series = z.string().min(1).max(160);
const SamplesSchema = z.object({ samples: z.array(z.object({ series, at: z.number(), tC: z.number().min(-60).max(300) })).max(2000) });

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
    batchChanged(batchId);
    return NextResponse.json({ taken: body.value.samples.length });
  });
}

/** Leaves a series out. */
export async function DELETE(request: Request, { params }: Context) {
  const { batchId } = await params;
  const asked = series.safeParse(new URL(request.url).searchParams.get('series'));
  if (!asked.success) return refuse(400, 'Which series is to be left out was not said.');
  return withKitchen((db) => {
    clearTemperatures(db, batchId, asked.data);
    return NextResponse.json({});
  });
}
