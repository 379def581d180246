import { isPlannableYear, nextDay, weekday } from './zone';

/** A day as it is kept, 'YYYY-MM-DD'; a time of day as it is kept, 'HH:mm'. */
export type Day = string;
export type ClockTime = string;

const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'] as const;
const SHORT = 3;
const two = (n: number): string => String(n).padStart(2, '0');

/** The number of a name in a list, from 1, by its first three letters or more; 0 for none. */
const named = (word: string, list: readonly string[]): number => (word.length < SHORT ? 0 : list.findIndex((n) => n.startsWith(word)) + 1);

/** A day that the calendar has, in a year that a kitchen plans in; null for any other. */
function dayOf(year: number, month: number, day: number): Day | null {
  const at = new Date(Date.UTC(year, month - 1, day));
  return isPlannableYear(year) && at.getUTCFullYear() === year && at.getUTCMonth() === month - 1 && at.getUTCDate() === day
    ? `${year}-${two(month)}-${two(day)}`
    : null;
}

/** Of a day and month without a year the next to come, today among them. */
function nextOf(month: number, day: number, today: Day): Day | null {
  const year = Number(today.slice(0, 4));
  const here = dayOf(year, month, day);
  if (here !== null && here >= today) return here;
  // The 29th of February may be years off.
  for (let y = year + 1; y <= year + 8; y++) {
    const later = dayOf(y, month, day);
    if (later !== null) return later;
  }
  return null;
}

/**
 * A day as cooks type it: '2026-11-28', '28.11.', '28/11/26', '28 Nov', 'Nov 28', 'today', 'tomorrow', 'Sat', 'next Sat'. Day before month, where
 * both could be either. A weekday is the next to come, today among them; 'next' is the one of the week after. Null for anything else.
 * @param today in the kitchen's zone.
 */
export function readDay(text: string, today: Day): Day | null {
  const t = text.trim().toLowerCase().replace(/,/g, ' ').replace(/\s+/g, ' ');
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(t);
  if (iso) return dayOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  if (t === 'today') return today;
  if (t === 'tomorrow') return nextDay(today);
  const week = /^(next )?([a-z]{3,9})\.?$/.exec(t);
  const wanted = week ? named(week[2]!, WEEKDAYS) : 0;
  if (week && wanted > 0) {
    const ahead = (wanted - weekday(today) + 7) % 7;
    return nextDay(today, week[1] ? 7 - weekday(today) + wanted : ahead);
  }
  const figures = /^(\d{1,2})\s?[./]\s?(\d{1,2})(?:\s?[./]\s?(\d{4}|\d{2})?)?$/.exec(t);
  if (figures) return inOrder(Number(figures[1]), Number(figures[2]), figures[3], today);
  // 'Sat 28 Nov 2026': the weekday says nothing more.
  const words = t.replace(/^[a-z]{3,9}\.? (?=\d|[a-z]{3,9}\.? \d)/, (lead) => (named(lead.trim().replace('.', ''), WEEKDAYS) > 0 ? '' : lead));
  const said = /^(\d{1,2})(?:st|nd|rd|th)?\.? ([a-z]{3,9})\.?(?: (\d{4}|\d{2}))?$/.exec(words);
  const turned = /^([a-z]{3,9})\.? (\d{1,2})(?:st|nd|rd|th)?(?: (\d{4}|\d{2}))?$/.exec(words);
  const month = named(said?.[2] ?? turned?.[1] ?? '', MONTHS);
  if (month === 0) return null;
  return withYear(month, Number(said?.[1] ?? turned?.[2]), said?.[3] ?? turned?.[3], today);
}

const withYear = (month: number, day: number, year: string | undefined, today: Day): Day | null =>
  year === undefined ? nextOf(month, day, today) : dayOf(year.length === 2 ? 2000 + Number(year) : Number(year), month, day);
const inOrder = (first: number, second: number, year: string | undefined, today: Day): Day | null =>
  second > 12 && first <= 12 ? withYear(first, second, year, today) : withYear(second, first, year, today);

/** 'Sat 28 Nov 2026': one form of a day everywhere. */
export function showDay(day: Day): string {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1, SHORT);
  return `${capital(WEEKDAYS[weekday(day) - 1]!)} ${d} ${capital(MONTHS[m - 1]!)} ${y}`;
}

/**
 * A time of day as cooks type it: '19:30', '19.30', '1930', '19', '7 pm', '7:30pm', 'noon', 'midnight'. Null for anything else; a lone hour up
 * to 24, 24 is midnight.
 */
export function readTime(text: string): ClockTime | null {
  const t = text
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/ ?(?:h|uhr|o['’]?clock)$/, '');
  if (t === 'noon' || t === 'midday') return '12:00';
  if (t === 'midnight') return '00:00';
  const m = /^(\d{1,2})(?:\s?[:.h]\s?(\d{2})|(\d{2}))?\s?(a\.?m\.?|p\.?m\.?)?$/.exec(t);
  if (!m) return null;
  let hour = Number(m[1]);
  const minute = Number(m[2] ?? m[3] ?? 0);
  const half = m[4]?.charAt(0);
  if (half !== undefined) {
    if (hour < 1 || hour > 12) return null;
    hour = (hour % 12) + (half === 'p' ? 12 : 0);
  }
  if (hour === 24 && minute === 0) hour = 0;
  return hour <= 23 && minute <= 59 ? `${two(hour)}:${two(minute)}` : null;
}
