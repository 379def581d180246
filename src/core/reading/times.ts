import { andPart, wordNumber } from '../measures/word-number';
import { readQuantity } from '../measures/quantity';

/** A time that a text says, min. */
export interface SaidTime {
  readonly minutes: readonly [low: number, high: number];
  readonly start: number;
  readonly end: number;
  /** 'at least', 'up to', or neither. */
  readonly bound: 'least' | 'most' | null;
}

const UNIT =
  /^[\s\u00a0-]*(?:(?:more|further|extra|additional|full|good|whole)[\s\u00a0]+)?(hours?|hrs?|h|minutes?|mins?|min|m(?=[\s,.;)]|$)|seconds?|secs?|sec|s(?=[\s,.;)]|$)|days?|weeks?|months?)\b\.?|^[\s\u00a0]?(['′’])(?=[\s,.;)]|$)/i;
const PER: Readonly<Record<string, number>> = { h: 60, m: 1, s: 1 / 60, d: 1440, w: 10080 };
/** Of a unit as it is written; a prime is of minutes, as chefs note them. */
const perOf = (unit: string): number => (/^month/i.test(unit) ? 43_200 : /^['′’]/.test(unit) ? 1 : PER[unit[0]!.toLowerCase()]!);
const NUMBER = /^(?:\d+(?:[.,]\d+)?(?:[\s\u00a0]?[½⅓⅔¼¾⅛⅜⅝⅞]|[\s\u00a0]+\d\/\d)?|\d\/\d|[½⅓⅔¼¾⅛⅜⅝⅞])/;
const TO = /^[\s\u00a0]*(?:-|–|—|to|or|till?|until|bis)[\s\u00a0]*(?=[\d½⅓⅔¼¾a-z])/i;
const STARTS =
  /(?<![\p{L}\d.,/])(?:\d|[½⅓⅔¼¾]|(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|eighteen|twenty|thirty|forty|fifty|sixty|ninety|half|quarter|couple|few|several|overnight|over night|next|following|o\/n)(?![\p{L}]))/giu;
/** Overnight, min. */
export const OVERNIGHT: readonly [number, number] = [480, 720];
const CLOCK = /^(\d{1,2}):([0-5]\d)(?:[\u2060\s]*[-–][\u2060\s]*(\d{1,2}):([0-5]\d))?[\s\u00a0]*min\b/;
const A_FEW: readonly [number, number] = [3, 5];

interface Amount {
  readonly low: number;
  readonly high: number;
  readonly end: number;
}

function numberAt(text: string, at: number): { value: number; end: number; few: boolean } | null {
  const digits = NUMBER.exec(text.slice(at, at + 24));
  if (digits) {
    const q = readQuantity(digits[0]);
    return q.ok ? { value: q.value, end: at + digits[0].length, few: false } : null;
  }
  const few = /^(?:a[\s\u00a0]+)?(?:few|several)\b/i.exec(text.slice(at, at + 12));
  if (few) return { value: 3, end: at + few[0].length, few: true };
  const said = wordNumber(text, at);
  return said ? { value: said.value, end: said.end, few: false } : null;
}

function amountAt(text: string, at: number): Amount | null {
  const first = numberAt(text, at);
  if (!first) return null;
  if (first.few) return { low: A_FEW[0], high: A_FEW[1], end: first.end };
  const couple = /^(?:a[\s\u00a0]+)?couple/i.test(text.slice(at, at + 10));
  const to = TO.exec(text.slice(first.end, first.end + 14));
  const second = to ? numberAt(text, first.end + to[0].length) : null;
  if (to && second && second.value > first.value && UNIT.test(text.slice(second.end, second.end + 12)))
    return { low: first.value, high: second.value, end: second.end };
  return { low: first.value, high: couple ? first.value + 1 : first.value, end: first.end };
}

/** One time from a place on: '1 hour 15 minutes', 'an hour and a quarter', '8 to 10 min', 'half an hour', '30 min to 1 hour'; null where none stands there. */
function timeAt(text: string, start: number): SaidTime | null {
  const night = /^(?:overnight|over night|o\/n)/i.exec(text.slice(start, start + 10));
  if (night) return { minutes: OVERNIGHT, start, end: start + night[0].length, bound: null };
  const next = /^(?:the )?(?:next|following) (?:day|morning)/i.exec(text.slice(start, start + 24));
  if (next && /\b(?:till|until|to|for)\s*(?:the\s*)?$/i.test(text.slice(Math.max(0, start - 12), start)))
    return { minutes: OVERNIGHT, start, end: start + next[0].length, bound: null };
  // '7:40', '7:40–10:30 min' of a mixer's clock.
  const clock = CLOCK.exec(text.slice(start, start + 24));
  if (clock) {
    const at = (m: string, sec: string): number => Number(m) + Number(sec) / 60;
    const low = at(clock[1]!, clock[2]!);
    return { minutes: [low, clock[3] === undefined ? low : at(clock[3], clock[4]!)], start, end: start + clock[0].length, bound: null };
  }
  const half = /^half[\s\u00a0]+an?[\s\u00a0]+hour/i.exec(text.slice(start, start + 16));
  if (half) return { minutes: [30, 30], start, end: start + half[0].length, bound: null };
  const amount = amountAt(text, start);
  if (!amount) return null;
  const unit = UNIT.exec(text.slice(amount.end, amount.end + 14));
  if (!unit) return null;
  // 'In a second bowl': the other one.
  if (
    /^sec/i.test(unit[1] ?? '') &&
    /^an?\b/i.test(text.slice(start, start + 3)) &&
    /^\s+\p{L}/u.test(text.slice(amount.end + unit[0].length, amount.end + unit[0].length + 3))
  )
    return null;
  const per = perOf(unit[1] ?? unit[2]!);
  let low = amount.low * per;
  let high = amount.high * per;
  let end = amount.end + unit[0].length;
  const part = andPart(text, end);
  if (part && per >= 1) {
    low += part.value * per;
    high += part.value * per;
    end = part.end;
  } else {
    // '1 hour 15 minutes', 'an hour and 15 minutes', '1 h 15'.
    const joined = /^(?:[\s\u00a0]*(?:,|and|&|\+)?[\s\u00a0]*)(?=[\d½¼¾a-z])/i.exec(text.slice(end, end + 8));
    const more = joined && per >= 1 ? amountAt(text, end + joined[0].length) : null;
    const smaller = more ? UNIT.exec(text.slice(more.end, more.end + 14)) : null;
    if (more && smaller && perOf(smaller[1] ?? smaller[2]!) < per && !/^\s*(?:to|or|-|–)/.test(text.slice(end, end + 4))) {
      low += more.low * perOf(smaller[1] ?? smaller[2]!);
      high += more.high * perOf(smaller[1] ?? smaller[2]!);
      end = more.end + smaller[0].length;
    }
    // 'Bake for 1 hr 15': minutes, where no word says so.
    const bare = per === PER.h ? /^[\s\u00a0]+([1-5]?\d)(?=\s*(?:[.,;)]|$))/.exec(text.slice(end, end + 8)) : null;
    if (bare) {
      low += Number(bare[1]!);
      high += Number(bare[1]!);
      end += bare[0].length;
    }
  }
  // '30 minutes to 1 hour', '4 hours or overnight'.
  const to = TO.exec(text.slice(end, end + 14));
  const longer = to && /to|or|-|–/i.test(to[0]) ? timeAt(text, end + to[0].length) : null;
  if (longer && longer.minutes[1] > high && !/^\s*or\b/i.test(to![0])) {
    high = longer.minutes[1];
    end = longer.end;
  }
  return { minutes: [low, high], start, end, bound: null };
}

const LEAST = /(?:\bat least|\bno less than|\bminimum(?: of)?|\bmin\.?|\bgood|\bfull|\bor more|\bfrom)[\s\u00a0]*$/i;
const MOST = /(?:\bup to|\bat most|\bno (?:more|longer) than|\bnot more than|\bmax(?:imum)?\.?(?: of)?|\bwithin|\bless than|\bunder)[\s\u00a0]*$/i;
const LONGEST = 400;

/** A sentence is asked for its times by every reader of it: what it gives is remembered. */
const found = new Map<string, readonly SaidTime[]>();
const MOST_FOUND = 2000;

/** Every time that a text says, in its order. Linear in its length. */
export function timesIn(text: string): readonly SaidTime[] {
  if (text.length > LONGEST) return scanned(text);
  const known = found.get(text);
  if (known) return known;
  if (found.size >= MOST_FOUND) found.clear();
  const times = scanned(text);
  found.set(text, times);
  return times;
}

function scanned(text: string): readonly SaidTime[] {
  const out: SaidTime[] = [];
  const from = new RegExp(STARTS.source, STARTS.flags);
  for (let m = from.exec(text); m && out.length < LONGEST; m = from.exec(text)) {
    const found = timeAt(text, m.index);
    if (!found) continue;
    from.lastIndex = Math.max(found.end, m.index + 1);
    const before = text.slice(Math.max(0, m.index - 24), m.index);
    const after = text.slice(found.end, found.end + 14);
    const bound =
      LEAST.test(before) || /^[\s\u00a0]*(?:minimum|or more|at least|or longer)/i.test(after)
        ? 'least'
        : MOST.test(before) || /^[\s\u00a0]*(?:max\b|at (?:the )?most|or less)/i.test(after)
          ? 'most'
          : null;
    out.push({ ...found, bound });
  }
  return out;
}

/** Nothing but how long: '1½ hours,', 'for about 20 minutes.' */
export function onlyTime(text: string): boolean {
  const [time, more] = timesIn(text);
  return time !== undefined && more === undefined && /^(?:for|about|another|\s)*$/i.test(text.slice(0, time.start)) && /^\W*$/.test(text.slice(time.end));
}
