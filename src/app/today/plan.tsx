import { dayOf, nextOf, type DayService, type MakingNow } from '../../core/timetable/day';
import { presentServices } from '../../data/due';
import { openedKitchen } from '../../data/kitchen';
import { planOf } from '../../aside/plans';
import { requestTime } from '../request-time';
import { DayRibbon } from './day-ribbon';
import { NextThing } from './next-thing';

/** What the plans of the present services ask for next, and the day as they see it. */
export async function TodayPlan({ making, empty, isNew }: { readonly making: readonly MakingNow[]; readonly empty: boolean; readonly isNew: boolean }) {
  const now = await requestTime();
  const db = openedKitchen();
  const minute = Math.floor(now / 60_000);
  const answers = await Promise.all(presentServices(db, now).map(async (s) => ({ s, answer: await planOf(s.id, now) })));
  const services: DayService[] = answers.flatMap(({ s, answer }) =>
    answer.ok && answer.value.ok ? [{ id: s.id, zone: s.doc.zone, plan: answer.value.plan }] : [],
  );
  const faults = answers.flatMap(({ s, answer }) =>
    !answer.ok ? [{ id: s.id, name: s.doc.name, says: answer.fault.says }] : answer.value.ok ? [] : [{ id: s.id, name: s.doc.name, says: answer.value.says }],
  );
  const day = dayOf(services, minute);
  return (
    <>
      <NextThing next={nextOf(making, services, minute)} others={making.slice(1)} empty={empty} isNew={isNew} />
      {faults.map((f) => (
        <p key={f.id} className="mb-3 border-l-4 border-beet pl-3 text-[15px]">
          <a href={`/clock/${f.id}`} className="font-[650] underline underline-offset-2">
            {f.name}
          </a>
          : {f.says}
        </p>
      ))}
      {day && <DayRibbon day={day} now={minute} />}
    </>
  );
}
