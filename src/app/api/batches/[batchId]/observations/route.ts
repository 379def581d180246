import { NextResponse } from 'next/server';
import { z } from 'zod';
import { cleanPhoto, MOST_PHOTO_BYTES, type CleanPhoto } from '../../../../../core/files/photo';
import { OBSERVATION_KINDS, readObservation } from '../../../../../core/batch/observation';
import { getBatch } from '../../../../../data/batches';
import { addObservation, listObservations } from '../../../../../data/observations';
import { MadeIdSchema, refuse, withKitchen } from '../../../answers';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

/** Clocks of tablets and server may differ by this much. */
const CLOCKS_APART_MS = 15 * 60_000;

const SeenSchema = z.object({
  id: MadeIdSchema.optional(),
  kind: z.enum(OBSERVATION_KINDS),
  at: z.coerce.number().min(0).max(8.64e15),
  value: z.string().max(60).default(''),
  words: z.string().max(4000).default(''),
});

export async function GET(_request: Request, { params }: Context) {
  const { batchId } = await params;
  return withKitchen((db) => NextResponse.json(listObservations(db, batchId)));
}

/** Takes an observation down, once for each id: form fields, with a picture where there is one. What cannot be read is refused in words; nothing is kept half. */
export async function POST(request: Request, { params }: Context) {
  const { batchId } = await params;
  if (Number(request.headers.get('content-length') ?? 0) > MOST_PHOTO_BYTES + 100_000)
    return refuse(413, 'This photo is larger than the 8\u00a0MB that are kept. Take it at a smaller size.');
  let form: FormData;
  try {
    form = await request.formData();
  } catch {
    return refuse(400, 'What was sent is no form.');
  }
  const seen = SeenSchema.safeParse(Object.fromEntries([...form].filter(([, v]) => typeof v === 'string')));
  if (!seen.success) return refuse(422, `${seen.error.issues[0]?.path.join('.') || 'The observation'} cannot be read.`);
  const { id = crypto.randomUUID(), kind, at, words } = seen.data;
  let value: number | null = null;
  if (kind === 'weep' || kind === 'temperature') {
    const read = readObservation(kind, seen.data.value);
    if (!read.ok) return refuse(422, read.fault.says);
    value = read.value;
  }
  let photo: CleanPhoto | null = null;
  if (kind === 'photo') {
    const file = form.get('photo');
    if (!(file instanceof File)) return refuse(422, 'There is no picture in what was sent.');
    const clean = cleanPhoto(new Uint8Array(await file.arrayBuffer()));
    if (!clean.ok) return refuse(422, clean.fault.says);
    photo = clean.value;
  } else if (value === null && words.trim() === '') return refuse(422, 'Nothing is written here yet.');
  return withKitchen((db) => {
    const batch = getBatch(db, batchId);
    if (!batch) return refuse(404, 'This batch is no longer in the kitchen.');
    if (at > Date.now() + CLOCKS_APART_MS) return refuse(422, 'That moment is still to come: write when it was seen.');
    if (at < batch.startedAt - CLOCKS_APART_MS) return refuse(422, 'That is before this batch was begun: write when it was seen.');
    return NextResponse.json(addObservation(db, { id, batchId, kind, at, value, words: words.trim() }, photo), { status: 201 });
  });
}
