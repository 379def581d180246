import { isLabelGrid } from '../../../../../core/files/label-sizes';
import { tubLabelPdf } from '../../../../../core/files/tub-label-pdf';
import { fileName } from '../../../../../core/files/written';
import { serviceLabels } from '../../../../../data/service-labels';
import { getService } from '../../../../../data/services';
import { refuse, withKitchen } from '../../../answers';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ serviceId: string }>;
}

const MOST_SKIPPED = 200;

/** Labels of a service's tubs and trays as PDF: ?grid=a4-21&skip=0&serving=…&serving=… (all where none is named). */
export async function GET(request: Request, { params }: Context) {
  const { serviceId } = await params;
  const query = new URL(request.url).searchParams;
  const grid = query.get('grid') ?? 'a4-21';
  const skip = Number(query.get('skip') ?? '0');
  if (!isLabelGrid(grid)) return refuse(422, 'There are labels of A4 with 21 or 14, Letter with 10, and on a roll of 62 mm.');
  if (!Number.isInteger(skip) || skip < 0 || skip > MOST_SKIPPED) return refuse(422, 'Places that are used up are a whole number.');
  return withKitchen(async (db) => {
    const service = getService(db, serviceId);
    if (!service) return refuse(404, 'This service is no longer in the kitchen.');
    const labels = serviceLabels(db, service, query.getAll('serving'), Date.now());
    if (!labels.ok) return refuse(422, labels.fault.says);
    const pdf = await tubLabelPdf(labels.value, grid, skip);
    return new Response(Buffer.from(pdf), { headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${fileName('labels', 'pdf')}"` } });
  });
}
