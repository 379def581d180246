import { TZDate } from '@date-fns/tz';
import type { DayPart } from '../document/kinds';
import type { Stretch } from './project';

/** A wall clock's reading, 'YYYY-MM-DDTHH:mm', in some zone. */
export type LocalTime = string;

const MINUTE_MS = 60_000;
const READING = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;

/** Years that a kitchen plans in: one that is only half typed (0202) lies centuries off, and planning back to it has no end. */
const YEARS = { first: 2000, last: 2100 } as const;
export const isPlannableYear = (year: number): boolean => year >= YEARS.first && year <= YEARS.last;
/** A reading of a wall clock in those years. */
export const isLocalTime = (text: string): boolean => READING.test(text) && isPlannableYear(Number(text.slice(0, 4)));

const two = (n: number): string => String(n).padStart(2, '0');

/** Whether a zone is one that this machine knows. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en-GB', { timeZone: zone });
    return zone !== '';
  } catch {
    return false;
  }
}

/**
 * The minute (since 1970, UTC) that a wall clock shows as `local`. On the night when the clock goes forward a reading that it skips is
 * taken an hour on; on the night when it goes back, of the two the first. NaN for what is no such reading, and outside of the years 2000 to 2100.
 */
export function minuteOf(local: LocalTime, zone: string): number {
  const m = READING.exec(local);
  if (!m || !isLocalTime(local)) return NaN;
  const [y, mo, d, h, mi] = m.slice(1).map(Number) as [number, number, number, number, number];
  const at = new TZDate(y, mo - 1, d, h, mi, 0, zone).getTime();
  if (Number.isNaN(at)) return NaN;
  // Of two moments with the same reading the first is meant.
  const sooner = at - 60 * MINUTE_MS;
  return Math.round((localTime(sooner / MINUTE_MS, zone) === local ? sooner : at) / MINUTE_MS);
}

/** What a wall clock shows at a minute since 1970. */
export function localTime(minute: number, zone: string): LocalTime {
  const t = new TZDate(minute * MINUTE_MS, zone);
  return `${t.getFullYear()}-${two(t.getMonth() + 1)}-${two(t.getDate())}T${two(t.getHours())}:${two(t.getMinutes())}`;
}

/** Days that follow each other, 'YYYY-MM-DD'. */
export function nextDay(day: string, by = 1): string {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  return new Date(Date.UTC(y, m - 1, d + by)).toISOString().slice(0, 10);
}

/** A night's last hours still belong to the evening: what is served before five in the morning is of the day before. */
const DAY_BEGINS_H = 5;
const BY: Readonly<Record<DayPart, string>> = { morning: '12:00', afternoon: '17:00' };

/**
 * The minute by which something is done that is said to be done so many days before a serving, or by a part of that day.
 * @param at when it is served. @param on 0 days: on its own day; without a part of it then no limit but the serving itself.
 */
export function endOfDay(at: LocalTime, on: { readonly days: number; readonly by: DayPart | null }, zone: string): number {
  const day = nextDay(at.slice(0, 10), -on.days - (Number(at.slice(11, 13)) < DAY_BEGINS_H ? 1 : 0));
  const end = on.by === null ? minuteOf(`${nextDay(day)}T00:00`, zone) : minuteOf(`${day}T${BY[on.by]}`, zone);
  return Math.min(end, minuteOf(at, zone));
}

/** 1 for Monday to 7 for Sunday. */
export const weekday = (day: string): number => ((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7) + 1;

/** Somebody's hours of a week: on these days from one reading of the clock to another; past midnight where the second is the smaller. */
export interface Hours {
  readonly days: readonly number[];
  readonly from: string;
  readonly to: string;
}

/**
 * Weekly hours as stretches of real minutes between two minutes, merged where they touch. A shift over the night of a clock change is an hour
 * longer or shorter than its readings say.
 */
export function stretchesOf(hours: readonly Hours[], zone: string, from: number, to: number): readonly Stretch[] {
  const found: [number, number][] = [];
  const last = localTime(to, zone).slice(0, 10);
  // A shift that began the evening before reaches into the first day.
  for (let day = nextDay(localTime(from, zone).slice(0, 10), -1); day <= last; day = nextDay(day)) {
    for (const h of hours) {
      if (!h.days.includes(weekday(day))) continue;
      const begin = minuteOf(`${day}T${h.from}`, zone);
      const end = minuteOf(`${h.to > h.from ? day : nextDay(day)}T${h.to}`, zone);
      if (end > begin && end > from && begin < to) found.push([begin, end]);
    }
  }
  found.sort((a, b) => a[0] - b[0]);
  const merged: [number, number][] = [];
  for (const s of found) {
    const before = merged.at(-1);
    if (before && s[0] <= before[1]) before[1] = Math.max(before[1], s[1]);
    else merged.push(s);
  }
  return merged;
}
