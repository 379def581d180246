import { serviceLabels } from '../../../../../data/labels';
import { getService } from '../../../../../data/services';
import { refuse, withKitchen } from '../../../answers';
import { labelsAnswer } from '../../../labels-answer';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ serviceId: string }>;
}

/** Labels of a service's tubs and trays as PDF: ?grid=a4-21&skip=0&serving=…&serving=… (all where none is named). */
export async function GET(request: Request, { params }: Context) {
  const { serviceId } = await params;
  const query = new URL(request.url).searchParams;
  return withKitchen(async (db) => {
    const service = getService(db, serviceId);
    if (!service) return refuse(404, 'This service is no longer in the kitchen.');
    return labelsAnswer(query, () => serviceLabels(db, service, query.getAll('serving'), Date.now()));
  });
}
