import { dirname, join } from 'node:path';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { aside } from '../../../../aside/aside';
import { cameOf, comingPath, dropComing, takePiece } from '../../../../data/coming-file';
import { copiesFolder } from '../../../../data/copies';
import { dataFilePath } from '../../../../data/data-file-path';
import { bodyUpTo, MadeIdSchema, refuse, withKitchen } from '../../answers';
import { MOST_BYTES, PIECE_BYTES } from './pieces';

export const dynamic = 'force-dynamic';

/** The whole kitchen as a zip of open files. */
export const GET = (): Promise<Response> =>
  withKitchen(async () => {
    const path = dataFilePath();
    const zip = await aside().ask('kitchenZip', { path, photos: join(dirname(path), 'photos') });
    return new Response(zip as Uint8Array<ArrayBuffer>, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="kitchen-${new Date().toISOString().slice(0, 10)}.zip"`,
        'cache-control': 'no-store',
      },
    });
  });

const AskedSchema = z.object({ upload: MadeIdSchema, from: z.coerce.number().int().min(0).max(MOST_BYTES).default(0) });
const asked = (request: Request) => AskedSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));

/** Takes a piece of such a zip. The whole of it would be more than one request may bring. */
export async function PUT(request: Request): Promise<Response> {
  const of = asked(request);
  if (!of.success) return refuse(422, 'It is not said of which file that is a piece, and from where.');
  const piece = await bodyUpTo(request, PIECE_BYTES);
  if (!piece) return refuse(413, 'That piece is too large.');
  return withKitchen(() => {
    const taken = takePiece(copiesFolder(), of.data.upload, of.data.from, piece, MOST_BYTES, Date.now());
    if (taken.ok) return NextResponse.json({ bytes: taken.value });
    return refuse(taken.fault.code === 'missing' ? 409 : 413, taken.fault.says);
  });
}

/** Reads the zip that has come into a copy; the kitchen goes to it only when it is told to. */
export async function POST(request: Request): Promise<Response> {
  const of = asked(request);
  const folder = copiesFolder();
  if (!of.success || cameOf(folder, of.data.upload) === 0) return refuse(422, 'Nothing of that file has come.');
  return withKitchen(async () => {
    try {
      const read = await aside().ask('copyOfZip', { zip: comingPath(folder, of.data.upload), folder, now: Date.now() });
      return read.ok ? NextResponse.json(read.value) : refuse(422, read.fault.says);
    } finally {
      dropComing(folder, of.data.upload);
    }
  });
}
