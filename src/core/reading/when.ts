import type { DayPart } from '../document/kinds';
import { timesIn } from './times';
import { wordNumber } from '../measures/word-number';

/** When a step is said to be done: so many days before serving (0: on the day, or nothing is said), and by which part of that day. */
export interface SaidWhen {
  readonly days: number;
  readonly by: DayPart | null;
}

export const ON_THE_DAY: SaidWhen = { days: 0, by: null };
/** Longest that is believed, days. */
const MOST_DAYS = 30;

const BEFORE = /\bthe (?:day|night|evening) before\b|\b(?:day|evening|night) before\b|\bthe previous (?:day|evening|night)\b|\bday (?:1|one)\b/i;
const AHEAD =
  /\b(a|an|one|two|three|four|five|six|seven|a couple of|a few|\d{1,2})(?:\s?(?:-|–|to|or)\s?(?:\w+))?\s+days?\s+(?:ahead|before|in advance|earlier|beforehand)\b/i;
/** 'Up to two days ahead' allows it and asks for nothing. */
const ALLOWED = /\b(?:up to|can be|may be|could be|if you like|within|at most|no more than)\b/i;
const AGAIN =
  /\b(?:the )?(?:next|following) (?:day|morning|evening)\b|\bon the day\b|\bthe same day\b|\bday (?:2|two|of)\b|\b(?:just|right|shortly) before serving\b|\bto serve\b|\bwhen (?:you are )?ready to serve\b/i;
const MORNING = /\b(?:in|on) the morning\b|\bthe morning (?:of|before)\b|\bthat morning\b|\bfirst thing\b/i;
const AFTERNOON = /\b(?:in the|that|the same) afternoon\b|\bthe afternoon (?:of|before)\b|\bafter lunch\b/i;
/** What lasts until then, or is so by then, says nothing of when it is done. */
const UNTIL = /\b(?:until|till|by|for|since|from)\s+(?:the\s+)?$/i;

/**
 * When a piece of text says that it is done; null where it says nothing. 'The day before', 'two days ahead', 'in the morning', 'just before
 * serving'. Of a range ('2 to 3 days ahead') the later day counts: it may be sooner.
 */
export function whenSaid(text: string): SaidWhen | null {
  const ahead = AHEAD.exec(text);
  if (ahead && !ALLOWED.test(text.slice(0, ahead.index)))
    return { days: Math.min(MOST_DAYS, /^\d/.test(ahead[1]!) ? Number(ahead[1]) : (wordNumber(text, ahead.index)?.value ?? 1)), by: partOf(text) };
  if (BEFORE.test(text) && !ALLOWED.test(text)) return { days: 1, by: partOf(text) };
  if (said(AGAIN, text)) return { days: 0, by: partOf(text) };
  const by = partOf(text);
  return by === null ? null : { days: 0, by };
}

const said = (pattern: RegExp, text: string): boolean => {
  const m = pattern.exec(text);
  return m !== null && !UNTIL.test(text.slice(0, m.index));
};
const partOf = (text: string): DayPart | null => (said(MORNING, text) ? 'morning' : said(AFTERNOON, text) ? 'afternoon' : null);

/** From here on a rest is of the night, min. */
const NIGHT_MIN = 480;
const NIGHT = /\bover ?night\b|\bo\/n\b|\b(?:until|till|to|for)\s+the\s+(?:next|following) (?:day|morning)\b/i;
const OR_NIGHT =
  /\b(?:or|even|better|preferably|ideally|up to)\s+(?:even\s+|better\s+|still\s+|preferably\s+|ideally\s+)*(?:leave |chill |rest |keep )?(?:it |them )?(?:for )?(?:over ?night|o\/n)\b/i;

/** Whether a step rests through a night: 'overnight', not 'four hours or overnight'. @param minutes that it is said to take. */
export const restsANight = (text: string, minutes: readonly [number, number] | null): boolean =>
  minutes !== null && minutes[0] >= NIGHT_MIN && NIGHT.test(text) && !OR_NIGHT.test(text);

const LONG_COLD_MIN = 240;
/** A long rest in the cold: what is told for the day before ends with it. */
export const longCold = (text: string): boolean =>
  /\b(?:chill|refrigerat|fridge|freez|cold|set|stand|leave)\w*/i.test(text) && timesIn(text).some((t) => t.minutes[1] >= LONG_COLD_MIN);

/** A step as far as its day goes. */
interface Dated {
  readonly when: SaidWhen;
  readonly night: boolean;
  /** Steps that must be behind before it begins. */
  readonly after: readonly number[];
}

/** By step, how many days before serving it is done: as it is said, and a night more than what waits for it through a night. */
export function daysBefore(steps: readonly Dated[]): readonly number[] {
  const days = steps.map((s) => s.when.days);
  for (let i = steps.length - 1; i >= 0; i--)
    for (const a of steps[i]!.after) if (a < i) days[a] = Math.min(MOST_DAYS, Math.max(days[a]!, days[i]! + (steps[i]!.night ? 1 : 0)));
  return days;
}
