import { withKitchen } from '../../../answers';
import { labelsAnswer } from '../../../labels-answer';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ batchId: string }>;
}

/** Labels of a batch's tubs and trays as PDF: ?grid=a4-21&skip=0. */
export async function GET(request: Request, { params }: Context) {
  const { batchId } = await params;
  const query = new URL(request.url).searchParams;
  return withKitchen(() => labelsAnswer(query, { batchId }));
}
