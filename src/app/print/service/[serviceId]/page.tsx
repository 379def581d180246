import { notFound } from 'next/navigation';
import { daySheets, whenSays } from '../../../../core/timetable/day-sheet';
import { showSpan } from '../../../../core/timetable/says';
import { clockOf, dayDate, dayName } from '../../../../core/timetable/clock-words';
import type { PlannedTask } from '../../../../core/timetable/service-plan';
import { localTime, minuteOf } from '../../../../core/timetable/zone';
import { openedKitchen } from '../../../../data/kitchen';
import { planOf } from '../../../../aside/plans';
import { getService } from '../../../../data/services';
import { requestTime } from '../../../request-time';
import { PrintBar } from '../../print-bar';

/** The day sheet for the wall: who does what when, what goes on by itself beside it; each day begins a page. */
export default async function PrintService({ params }: { readonly params: Promise<{ serviceId: string }> }) {
  const { serviceId } = await params;
  const db = openedKitchen();
  const service = getService(db, serviceId);
  if (!service) notFound();
  const now = await requestTime();
  const answer = await planOf(service.id, now);
  const { zone, name } = service.doc;
  return (
    <div className="print-page mx-auto max-w-[190mm] bg-paper px-4 py-6 sm:px-8">
      <PrintBar back={`/clock/${serviceId}/list`} says="Back to the list" />
      {!answer.ok && <p className="text-[19px]">{answer.fault.says}</p>}
      {answer.ok && !answer.value.ok && <p className="text-[19px]">There is no plan to print: {answer.value.says}</p>}
      {answer.ok &&
        answer.value.ok &&
        daySheets(service.doc, answer.value.plan).map((d, i) => {
          const noon = minuteOf(`${d.day}T12:00`, zone);
          return (
            <section key={d.day} className={i > 0 ? 'mt-10 break-before-page' : ''}>
              <header className="border-b-2 border-ink pb-2">
                <h1 className="text-[24px] leading-tight">
                  {dayName(noon, zone)}, {dayDate(noon, zone).slice(4)}
                </h1>
                <p className="text-[13.5px] text-ink-soft">
                  {name}; planned {localTime(Math.floor(now / 60_000), zone).replace('T', ' ')}
                </p>
                {d.servings.length > 0 && <p className="pt-1">{d.servings.map((t) => `${clockOf(t.start, zone)} ${t.dish}`).join(' · ')}</p>}
              </header>
              <div className="gap-8 pt-2 sm:columns-2 print:columns-2">
                {d.cooks.map((c) => (
                  <Rows key={c.name} title={c.name} tasks={c.tasks} day={d.day} zone={zone} />
                ))}
                <Rows title="By itself" tasks={d.byItself} day={d.day} zone={zone} />
              </div>
            </section>
          );
        })}
    </div>
  );
}

function Rows({ title, tasks, day, zone }: { readonly title: string; readonly tasks: readonly PlannedTask[]; readonly day: string; readonly zone: string }) {
  if (tasks.length === 0) return null;
  return (
    <section className="mb-4">
      <h2 className="text-[16px]">{title}</h2>
      <ul>
        {tasks.map((t) => (
          <li
            key={t.id}
            className="grid break-inside-avoid grid-cols-[16px_46px_minmax(0,1fr)_auto] items-baseline gap-x-1.5 border-t border-steel py-0.5 text-[13px]"
          >
            <span aria-hidden="true" className="inline-block size-[11px] border border-ink" />
            <b className="fig">{whenSays(t, day, zone)}</b>
            <span>
              {t.name} <span className="text-ink-soft">{t.dish}</span>
            </span>
            <span className="fig text-right font-medium">{showSpan(t.end - t.start)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
