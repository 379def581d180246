import { inSentence } from '../figure';
import { clockOf, dayClock, dayName } from './clock-words';
import { calls } from './moments';
import type { PlannedTask, ServicePlan } from './service-plan';
import { localTime, minuteOf } from './zone';

/** A planned service, as Today takes it. */
export interface DayService {
  readonly id: string;
  readonly zone: string;
  readonly plan: ServicePlan;
}

/** A stretch of the day. Minutes since 1970. */
export interface DayBar {
  readonly from: number;
  readonly to: number;
  readonly says: string;
  readonly href: string;
  readonly state: 'done' | 'now' | 'coming';
}

export interface DayRow {
  readonly kind: 'hands' | 'cold' | 'served';
  readonly name: string;
  readonly bars: readonly DayBar[];
}

/** One day of the kitchen: whose hands when, what stays in the cold, what is served. */
export interface Day {
  /** Whole hours that hold everything of it, minutes since 1970. */
  readonly from: number;
  readonly to: number;
  /** 'today' or the name of the day. */
  readonly says: string;
  readonly zone: string;
  readonly rows: readonly DayRow[];
}

/** Hands of one dessert with no longer pause between them are one stretch, min (house). */
const ONE_STRETCH_MIN = 12;
/** A ribbon spans at least this, min (house): a day of one task is no wall. */
const LEAST_SPAN_MIN = 6 * 60;

const dateOf = (minute: number, zone: string): string => localTime(minute, zone).slice(0, 10);

/**
 * The day that matters: today while anything of it is to come, else the next day on which anything is.
 * @param now minutes since 1970.
 * @returns null where no service has a task to come.
 */
export function dayOf(services: readonly DayService[], now: number): Day | null {
  const zone = services[0]?.zone;
  const coming = services.flatMap((s) => s.plan.tasks).filter((t) => t.end >= now && !t.done);
  if (zone === undefined || coming.length === 0) return null;
  const date = dateOf(Math.max(now, Math.min(...coming.map((t) => t.start))), zone);
  const midnight = minuteOf(`${date}T00:00`, zone);
  const next = minuteOf(`${dateOf(midnight + 26 * 60, zone)}T00:00`, zone);
  const of = (s: DayService): readonly PlannedTask[] => s.plan.tasks.filter((t) => t.end > midnight && t.start < next);
  const rows = [...handsRows(services, of), ...coldRows(services, of), ...servedRows(services, of)].map((r) => ({
    ...r,
    bars: r.bars.map((b) => ({ ...b, state: stateOf(b, now) })),
  }));
  const bars = rows.flatMap((r) => r.bars);
  const hour = (m: number, up: boolean): number => midnight + 60 * (up ? Math.ceil((m - midnight) / 60) : Math.floor((m - midnight) / 60));
  const begins = Math.max(midnight, hour(Math.min(...bars.map((b) => b.from), ...(date === dateOf(now, zone) ? [now] : [])), false));
  const ends = Math.min(next, Math.max(hour(Math.max(...bars.map((b) => b.to)), true), begins + LEAST_SPAN_MIN));
  return {
    from: begins,
    to: ends,
    says: date === dateOf(now, zone) ? 'today' : dayName(midnight, zone),
    zone,
    rows: rows
      .map((r) => ({
        ...r,
        bars: r.bars.filter((b) => b.to >= begins && b.from <= ends).map((b) => ({ ...b, from: Math.max(b.from, begins), to: Math.min(b.to, ends) })),
      }))
      .filter((r) => r.bars.length > 0),
  };
}

type Bare = Omit<DayBar, 'state'> & { readonly done?: boolean };
const stateOf = (b: Bare, now: number): DayBar['state'] => (b.done === true || b.to < now ? 'done' : b.from <= now ? 'now' : 'coming');

/** Who has hands on what; neighbouring steps of one dessert are one stretch. */
function handsRows(
  services: readonly DayService[],
  of: (s: DayService) => readonly PlannedTask[],
): readonly { readonly kind: 'hands'; readonly name: string; readonly bars: readonly Bare[] }[] {
  const byCook = new Map<string, { dish: string; bar: Bare }[]>();
  for (const s of services) {
    for (const t of [...of(s)].filter((x) => x.cook !== '' && x.kind !== 'served').sort((a, b) => a.start - b.start)) {
      const row = byCook.get(t.cook) ?? [];
      byCook.set(t.cook, row);
      const last = row.at(-1);
      if (last && last.dish === t.dish && t.start - last.bar.to <= ONE_STRETCH_MIN)
        last.bar = { ...last.bar, to: Math.max(last.bar.to, t.end), done: last.bar.done === true && t.done };
      else row.push({ dish: t.dish, bar: { from: t.start, to: t.end, says: t.dish, href: `/clock/${s.id}?task=${encodeURIComponent(t.id)}`, done: t.done } });
    }
  }
  return [...byCook].map(([name, row]) => ({ kind: 'hands' as const, name, bars: row.map((r) => r.bar).sort((a, b) => a.from - b.from) }));
}

/** What chills and freezes, in rows in which nothing overlaps. */
function coldRows(
  services: readonly DayService[],
  of: (s: DayService) => readonly PlannedTask[],
): readonly { readonly kind: 'cold'; readonly name: string; readonly bars: readonly Bare[] }[] {
  const rows: { kind: 'cold'; name: string; bars: Bare[] }[] = [];
  for (const s of services) {
    for (const t of [...of(s)].filter((x) => x.kind === 'cold' && x.end > x.start).sort((a, b) => a.start - b.start)) {
      const name = s.plan.lanes.find((l) => l.kind === 'place' && t.lanes.includes(l.id))?.name ?? 'Cold';
      const bar: Bare = {
        from: t.start,
        to: t.end,
        says: `${t.dish}: ready ${clockOf(t.end, s.zone)}`,
        href: `/clock/${s.id}?task=${encodeURIComponent(t.id)}`,
        done: t.done,
      };
      const row = rows.find((r) => r.name === name && r.bars.every((b) => b.to <= bar.from));
      if (row) row.bars.push(bar);
      else rows.push({ kind: 'cold', name, bars: [bar] });
    }
  }
  return rows.sort((a, b) => a.name.localeCompare(b.name));
}

/** What is served, together where it is at one time. */
function servedRows(
  services: readonly DayService[],
  of: (s: DayService) => readonly PlannedTask[],
): readonly { readonly kind: 'served'; readonly name: string; readonly bars: readonly Bare[] }[] {
  const at = new Map<string, Bare>();
  for (const s of services) {
    for (const t of of(s).filter((x) => x.kind === 'served')) {
      const key = `${s.id} ${t.end}`;
      const there = at.get(key);
      at.set(key, { from: t.end, to: t.end, says: there ? `${there.says}; ${t.dish}` : t.dish, href: `/clock/${s.id}` });
    }
  }
  return [...at.values()].sort((a, b) => a.from - b.from).map((bar, i) => ({ kind: 'served' as const, name: i === 0 ? 'Served' : '', bars: [bar] }));
}

/** The one thing to do next. */
export interface Next {
  /** 'In 8 min', 'Now', 'At 16:00', 'Mon 09:14'. */
  readonly when: string;
  readonly what: string;
  readonly about: string;
  readonly href: string;
  readonly action: string;
}

/** A batch on the pass. */
export interface MakingNow {
  readonly id: string;
  readonly name: string;
  readonly step: string;
  readonly at: number;
  readonly of: number;
}

/** 'In 8 min' within the hour, the clock today, the day and the clock later. */
export function whenSays(minute: number, now: number, zone: string): string {
  const away = minute - now;
  if (away <= 0) return 'Now';
  if (away < 60) return `In ${away}\u00a0min`;
  return dateOf(minute, zone) === dateOf(now, zone) ? `At ${clockOf(minute, zone)}` : dayClock(minute, zone);
}

/**
 * What to do next: a batch that is being made first, else the next hands of a plan; null where nothing is planned or made.
 * @param now minutes since 1970.
 */
export function nextOf(making: readonly MakingNow[], services: readonly DayService[], now: number): Next | null {
  const batch = making[0];
  if (batch)
    return {
      when: 'Now',
      what: inSentence(batch.step),
      about: `${batch.name}, step ${Math.min(batch.at + 1, batch.of)} of ${batch.of}`,
      href: `/pass/${batch.id}`,
      action: 'Go on with it',
    };
  const next = services
    .flatMap((s) => s.plan.tasks.filter((t) => t.start >= now && calls(s.plan, t)).map((t) => ({ s, t })))
    .sort((a, b) => a.t.start - b.t.start)[0];
  if (!next) return null;
  const { s, t } = next;
  const served = s.plan.servings.find((x) => t.servings.includes(x.id));
  return {
    when: whenSays(t.start, now, s.zone),
    what: t.kind === 'served' ? `${t.dish} is served` : inSentence(t.name),
    about: [
      t.kind === 'served' ? '' : t.dish,
      t.cook,
      t.needs.join(', '),
      served && t.kind !== 'served'
        ? `served ${dateOf(served.at, s.zone) === dateOf(now, s.zone) ? clockOf(served.at, s.zone) : dayClock(served.at, s.zone)}`
        : '',
    ]
      .filter(Boolean)
      .join('; '),
    href: `/clock/${s.id}?task=${encodeURIComponent(t.id)}`,
    action: 'See it in Clock',
  };
}
