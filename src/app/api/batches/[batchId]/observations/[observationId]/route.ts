import { NextResponse } from 'next/server';
import { readPhoto, removeObservation } from '../../../../../../data/observations';
import { refuse, withKitchen } from '../../../../answers';

interface Context {
  readonly params: Promise<{ batchId: string; observationId: string }>;
}

/** The photo of an observation, as a picture and nothing else. */
export async function GET(_request: Request, { params }: Context) {
  const { batchId, observationId } = await params;
  return withKitchen((db) => {
    const photo = readPhoto(db, batchId, observationId);
    if (!photo) return refuse(404, 'This photo is no longer in the kitchen.');
    return new NextResponse(new Uint8Array(photo.bytes), {
      headers: {
        'content-type': photo.type,
        'x-content-type-options': 'nosniff',
        'content-security-policy': "default-src 'none'",
        'cache-control': 'private, max-age=31536000, immutable',
      },
    });
  });
}

export async function DELETE(_request: Request, { params }: Context) {
  const { batchId, observationId } = await params;
  return withKitchen((db) => (removeObservation(db, batchId, observationId) ? NextResponse.json({}) : refuse(404, 'This observation is gone already.')));
}
