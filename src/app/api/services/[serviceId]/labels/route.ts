import { withKitchen } from '../../../answers';
import { labelsAnswer } from '../../../labels-answer';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ serviceId: string }>;
}

/** Labels of a service's tubs and trays as PDF: ?grid=a4-21&skip=0&serving=…&serving=… (all where none is named). */
export async function GET(request: Request, { params }: Context) {
  const { serviceId } = await params;
  const query = new URL(request.url).searchParams;
  return withKitchen(() => labelsAnswer(query, { serviceId, servings: query.getAll('serving') }));
}
