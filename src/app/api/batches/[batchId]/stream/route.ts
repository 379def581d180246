import { watchBatch } from '../../../../../data/batch-watch';
import { readNews } from '../../../../../data/batches';
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
    const tell = (news: string | null): void => {
      if (news !== null) say(news);
    };
    tell(readNews(openedKitchen(), batchId));
    return watchBatch(batchId, (news) => tell(news()));
  });
}
