import Link from 'next/link';
import { inSentence } from '../core/figure';
import { calls } from '../core/timetable/moments';
import { clockOf, dayClock } from '../core/timetable/clock-words';
import { localTime } from '../core/timetable/zone';
import type { PlannedTask } from '../core/timetable/service-plan';
import { presentServices } from '../data/due';
import { openedKitchen } from '../data/kitchen';
import { plannedService } from '../data/service-plans';
import { requestTime } from './request-time';

/** A service as Today shows it. Minutes since 1970. */
interface ClockToday {
  readonly id: string;
  readonly name: string;
  readonly zone: string;
  readonly now: number;
  /** What is chilling, freezing or baking for it at this moment. */
  readonly cold: readonly PlannedTask[];
  readonly next: readonly PlannedTask[];
  /** Why it has no plan; '' where it has one. */
  readonly says: string;
}

const NEXT = 4;

/** The present services, each with its plan. */
async function clockToday(): Promise<readonly ClockToday[]> {
  const now = await requestTime();
  // The rest of the page goes out before plans are made.
  await new Promise((go) => setTimeout(go, 0));
  const db = openedKitchen();
  const minute = Math.floor(now / 60_000);
  return presentServices(db, now).map((s): ClockToday => {
    const shown = { id: s.id, name: s.doc.name, zone: s.doc.zone, now: minute };
    const answer = plannedService(db, s, now);
    if (!answer.ok) return { ...shown, cold: [], next: [], says: answer.fault.says };
    if (!answer.value.ok) return { ...shown, cold: [], next: [], says: answer.value.says };
    const { plan } = answer.value;
    return {
      ...shown,
      cold: plan.tasks.filter((t) => (t.kind === 'cold' || t.kind === 'oven') && t.running),
      next: plan.tasks.filter((t) => t.start >= minute && calls(plan, t)).slice(0, NEXT),
      says: '',
    };
  });
}

/** The next hands of each present service, and what goes on by itself for it meanwhile. */
export async function ByTheClock() {
  const services = await clockToday();
  return services.map((s) => (
    <section key={s.id} aria-label={s.name} className="mb-7">
      <h2 className="mb-2 flex min-h-9 items-center justify-between gap-3 text-[17px]">
        <Link href={`/clock/${s.id}`} className="min-w-0 truncate hover:underline">
          {s.name}
        </Link>
        <Link href={`/clock/${s.id}`} className="btn font-text text-[14px]">
          Clock
        </Link>
      </h2>
      {s.says !== '' && <p className="border-t border-steel py-2.5 text-beet">{s.says}</p>}
      <ul>
        {s.cold.map((t) => (
          <li key={t.id} className="border-t border-steel py-2.5">
            <span className="font-[650]">{t.dish}</span>
            <span className="block text-[14px] text-ink-soft">
              {inSentence(t.name)}, done <b className="fig text-ink">{dayClock(t.end, s.zone)}</b>
            </span>
            <span className="relative mt-1.5 block h-1.5 bg-steel-light">
              <span className="absolute inset-y-0 left-0 bg-frost" style={{ width: `${Math.min(100, Math.max(1, (100 * (s.now - t.start)) / Math.max(1, t.end - t.start)))}%` }} />
            </span>
          </li>
        ))}
        {s.next.map((t) => (
          <li key={t.id} className="border-t border-steel-light py-1.5">
            <Link href={`/clock/${s.id}?task=${encodeURIComponent(t.id)}`} className="grid grid-cols-[86px_minmax(0,1fr)] gap-x-2 hover:[&_.name]:underline">
              <span className="fig">{localTime(t.start, s.zone).slice(0, 10) === localTime(s.now, s.zone).slice(0, 10) ? clockOf(t.start, s.zone) : dayClock(t.start, s.zone)}</span>
              <span className="min-w-0">
                <span className="name block truncate font-[600]">{t.kind === 'served' ? `${t.dish} is served` : t.name}</span>
                {t.kind !== 'served' && <span className="block truncate text-[14px] text-ink-soft">{t.dish}</span>}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  ));
}
