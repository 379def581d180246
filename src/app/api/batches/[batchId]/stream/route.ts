import { watchBatch } from '../../../../../data/batch-watch';
import { getBatch } from '../../../../../data/batches';
import { openedKitchen } from '../../../../../data/kitchen';
import { eventStream } from '../../../event-stream';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

export const dynamic = 'force-dynamic';

/** A batch as it is, and again whenever a tablet changes it. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { batchId } = await params;
  return eventStream(request, (say) => {
    const tell = (): void => {
      const batch = getBatch(openedKitchen(), batchId);
      if (batch) say(JSON.stringify({ id: batch.id, revision: batch.revision, progress: batch.progress, status: batch.status }));
    };
    tell();
    return watchBatch(batchId, tell);
  });
}
