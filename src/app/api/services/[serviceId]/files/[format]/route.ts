import { writeCalendar, writePlanCsv, writeService } from '../../../../../../core/files/service-files';
import type { WrittenFile } from '../../../../../../core/files/written';
import { inShownUnits } from '../../../../../../core/measures/shown';
import { unitsHere } from '../../../../../../core/measures/shown-here';
import { planOf } from '../../../../../../aside/plans';
import { getService } from '../../../../../../data/services';
import { refuse, withKitchen } from '../../../../answers';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ serviceId: string; format: string }>;
}

const asFile = (f: WrittenFile): Response =>
  new Response(f.text, { headers: { 'content-type': `${f.mime}; charset=utf-8`, 'content-disposition': `attachment; filename="${f.name}"` } });

/** A service as calendar (ics), table (csv) or itself (json). */
export async function GET(_request: Request, { params }: Context) {
  const { serviceId, format } = await params;
  return withKitchen(async (db) => {
    const service = getService(db, serviceId);
    if (!service) return refuse(404, 'This service is no longer in the kitchen.');
    if (format === 'json') return asFile(writeService(service.doc));
    if (format !== 'ics' && format !== 'csv') return refuse(404, 'Services are written as ics, csv or json.');
    const now = Date.now();
    const answer = await planOf(service.id, now);
    if (!answer.ok) return refuse(422, answer.fault.says);
    if (!answer.value.ok) return refuse(422, `There is no plan to write: ${answer.value.says}`);
    const { plan } = answer.value;
    if (format === 'csv') return asFile(writePlanCsv(service.doc, plan));
    const shown = { ...plan, tasks: plan.tasks.map((t) => ({ ...t, name: inShownUnits(t.name, unitsHere()) })) };
    return asFile(writeCalendar(service.doc, shown, service.id, now));
  });
}
