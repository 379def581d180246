import { dirname, join } from 'node:path';
import { NextResponse } from 'next/server';
import { aside } from '../../../../aside/aside';
import { copiesFolder } from '../../../../data/copies';
import { dataFilePath } from '../../../../data/data-file-path';
import { refuse, withKitchen } from '../../answers';

export const dynamic = 'force-dynamic';

const MOST_BYTES = 500_000_000;

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

/** Reads such a zip into a copy; the kitchen goes to it only when it is told to. */
export async function POST(request: Request): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return refuse(413, 'That is more than 500 MB: too large to be read here.');
  const bytes = new Uint8Array(await request.arrayBuffer());
  return withKitchen(async () => {
    const read = await aside().ask('copyOfZip', { bytes, folder: copiesFolder(), now: Date.now() });
    return read.ok ? NextResponse.json(read.value) : refuse(422, read.fault.says);
  });
}
