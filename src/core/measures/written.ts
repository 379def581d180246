import { ok, type Result } from '../result';
import { readQuantity } from './quantity';
import { HEAPS, systemNamed, unitNamed, type EggSize, type Unit, type WrittenSystem } from './units';

/** A number in a written line: where it stands, so that scaling can write another one there. */
export interface Run {
  readonly start: number;
  readonly end: number;
  readonly value: Result<number>;
}

/** One amount with its measure: '2 1/2 cup', '2–3 heaped tbsp', '3 large'. */
export interface WrittenAmount {
  readonly text: string;
  /** The middle of a range, times what a multiplier says. */
  readonly quantity: Result<number>;
  /** Both ends of '2–3'; null where one number is written. */
  readonly range: readonly [low: number, high: number] | null;
  readonly runs: readonly Run[];
  readonly unit: Unit | null;
  readonly system: WrittenSystem | null;
  /** A heaped spoon holds more than a level one. */
  readonly heap: number;
  readonly size: EggSize | null;
}

/** What a written line says, before its name is looked up. */
export interface WrittenLine {
  /** Added up: '2 lb 3 oz', '1 cup plus 2 tbsp'. Empty when no amount is written. */
  readonly amounts: readonly WrittenAmount[];
  /** The same again in another measure: '1 cup (200 g)'. */
  readonly aside: WrittenAmount | null;
  /** Where amount and measure stand in the text. */
  readonly span: readonly [number, number] | null;
  /** The word behind the amount when it is no known measure; it may be the name. */
  readonly wordAfter: string | null;
  /** '36 %': the fat on the carton. */
  readonly fatText: string | null;
  /** 'to taste', 'for dusting': an amount that nobody weighs. */
  readonly unweighed: boolean;
  /** What is left: the ingredient's name as the cook wrote it. */
  readonly name: string;
}

const FAT = /(-?\d{1,3}(?:[.,]\d{1,2})?)\s?%(?:\s?(?:milk)?fat\b)?/i;
const DIGIT = /[\d½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/;
const RUN_CHAR = /[\d.,+\-−*/×÷ \t\u00a0\u202f\u2044½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞–—]/;
const SUM_CHAR = /[\d.,+\-−*/×÷() \t\u00a0\u202f\u2044½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/;
const ABOUT = /^(?:about|approximately|approx\.?|around|circa|ca\.?|~|≈)\s*/i;
const WORD_NUMBERS: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, twelve: 12, dozen: 12,
  'a dozen': 12, 'half a dozen': 6, half: 0.5, 'half a': 0.5, 'half an': 0.5, 'one and a half': 1.5, 'a couple of': 2, 'a few': 3,
};
const WORD_NUMBER = /^(half a dozen|one and a half|half an?|a couple of|a few|a dozen|dozen|half|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve)(?=[\s\u00a0])/i;
/** Measures that stand without a number: 'pinch of salt', 'salt, a pinch'. */
const BARE_UNIT = /(?:^|[\s,])((?:(?:a|an|one)\s)?(?:(?:small|good|large|generous|tiny)\s)?(pinch|dash|drop|knob|handful|glug|splash))\b/i;
const UNWEIGHED = /\b(?:to taste|as needed|to serve|for (?:dusting|serving|sprinkling|greasing|decorating|decoration|the (?:tin|mould|top)|garnish)|optional|a little|some)\b/i;
const WORD = /^[\s\u00a0-]*((?:fl\.?\s?oz|fluid\s(?:ounces?))\b\.?|\p{L}+\.?)/iu;
const SIZES: Readonly<Record<string, EggSize>> = { small: 'small', medium: 'medium', large: 'large', xl: 'extra large', jumbo: 'jumbo', big: 'large' };

/**
 * Splits a line into amount, measure, fat on the carton and name, wherever they stand: '600 g cream 36 %', 'mascarpone 250 g',
 * 'cream 36 % =5/8*960', '2–3 heaped tbsp cocoa', '2 (8 oz) packs cream cheese', '1 cup plus 2 tbsp sugar', 'salt to taste'.
 * Never throws; linear in the length of the text.
 */
export function splitLine(text: string): WrittenLine {
  const known = split.get(text);
  if (known) return known;
  if (split.size >= MOST_REMEMBERED) split.clear();
  const written = splitAfresh(text);
  if (text.length < 200) split.set(text, written);
  return written;
}

/** The same lines are split at every keystroke: what they say is remembered by their text. */
const split = new Map<string, WrittenLine>();
const MOST_REMEMBERED = 4000;

function splitAfresh(text: string): WrittenLine {
  const fat = FAT.exec(text);
  // The fat is blanked, not cut, so that places in the text stay true.
  const rest = fat ? text.slice(0, fat.index) + ' '.repeat(fat[0].length) + text.slice(fat.index + fat[0].length) : text;
  const found = findAmounts(rest);
  const base = { fatText: fat?.[1] ?? null, unweighed: UNWEIGHED.test(rest) };
  if (!found) return { ...base, amounts: [], aside: null, span: null, wordAfter: null, name: tidyName(rest) };
  const { amounts, aside, start, end, wordAfter } = found;
  return { ...base, amounts, aside, span: [start, end], wordAfter, name: tidyName(`${rest.slice(0, start)} ${rest.slice(end)}`) };
}

/** The name without its measure: no leading 'of', no bare commas, 'juice of a lemon' turned to 'lemon juice'. */
function tidyName(raw: string): string {
  const name = raw
    .replace(/[\s\u00a0]+/g, ' ')
    .replace(/\( ?\)/g, ' ')
    .replace(/ ?[,;:][,;: ]+/g, ', ')
    .replace(/^[,;: ]+|[,;: ]+$/g, '')
    .replace(/^(?:of|x) /i, '')
    .replace(/ of /i, ' ')
    .replace(/ +/g, ' ')
    .trim();
  const part = /^(?:the )?(?:finely )?(?:grated |squeezed |fresh )?(juice|zest|peel|seeds) (?:from |of )?(?:an? |the |one |half a )?(\p{L}[\p{L} ]{1,40})$/iu.exec(name);
  return part ? `${part[2]} ${part[1]!.toLowerCase() === 'peel' ? 'zest' : part[1]!.toLowerCase()}` : name;
}

interface Found {
  readonly amounts: readonly WrittenAmount[];
  readonly aside: WrittenAmount | null;
  readonly start: number;
  readonly end: number;
  readonly wordAfter: string | null;
}

function findAmounts(text: string): Found | null {
  const equals = text.indexOf('=');
  if (equals >= 0) {
    const found = amountsAt(text, equals);
    if (found) return found;
  }
  const lead = /^[\s\u00a0]*/.exec(text)![0].length;
  const first = amountsAt(text, lead);
  if (first) return first;
  for (let i = lead + 1; i < text.length; i++) {
    if (text[i] !== '(' && /[\s\u00a0,(]/.test(text[i - 1]!) && startsNumber(text, i)) {
      // '(optional, 2)' is no amount; '(200 g)' is one.
      const found = amountsAt(text, i);
      if (found) return found;
    }
  }
  return bareUnit(text);
}

const startsNumber = (text: string, at: number): boolean => DIGIT.test(text[at] ?? '') || (/[-−+(.]/.test(text[at] ?? '') && /[\d.(½⅓¼]/.test(text[at + 1] ?? ''));

function bareUnit(text: string): Found | null {
  const bare = BARE_UNIT.exec(text);
  if (!bare) return null;
  const start = bare.index + bare[0].length - bare[1]!.length;
  const end = start + bare[1]!.length;
  const amount: WrittenAmount = { text: bare[1]!, quantity: ok(1), range: null, runs: [], unit: unitNamed(bare[2]!), system: null, heap: 1, size: null };
  return { amounts: [amount], aside: null, start, end, wordAfter: null };
}

interface Scanned {
  readonly amount: WrittenAmount;
  readonly end: number;
  readonly wordAfter: string | null;
}

/** Everything that belongs to the amount from `start` on: the amount, what is added to it, the same in another measure. */
function amountsAt(text: string, start: number): Found | null {
  const first = scanAmount(text, start);
  if (!first) return null;
  const amounts = [first.amount];
  let { end } = first;
  let aside: WrittenAmount | null = null;
  const measured = (a: WrittenAmount): boolean => a.unit !== null && (a.unit.dimension === 'mass' || a.unit.dimension === 'volume');
  for (let turns = 0; turns < 6; turns++) {
    const last = amounts.at(-1)!;
    const bracket = /^[\s\u00a0]*\(\s*(?:about |approx\.? |or )?/i.exec(text.slice(end, end + 24));
    if (bracket && aside === null) {
      const inner = scanAmount(text, end + bracket[0].length);
      const close = inner && measured(inner.amount) ? /^[\s\u00a0]*(?:[/,;][^)]{0,40})?\)/.exec(text.slice(inner.end, inner.end + 60)) : null;
      if (inner && close) {
        aside = inner.amount;
        end = inner.end + close[0].length;
        continue;
      }
    }
    if (!measured(last)) break;
    const slash = aside === null ? /^[\s\u00a0]*[/|][\s\u00a0]*(?=[\d½¼¾⅓⅔])/.exec(text.slice(end, end + 12)) : null;
    if (slash) {
      const other = scanAmount(text, end + slash[0].length);
      if (other && measured(other.amount)) {
        aside = other.amount;
        end = other.end;
        continue;
      }
    }
    const joiner = /^[\s\u00a0]*(?:,[\s\u00a0]*)?(?:\+|plus|and|&)?[\s\u00a0]*(?=[\d½¼¾⅓⅔])/i.exec(text.slice(end, end + 16));
    const more = joiner ? scanAmount(text, end + joiner[0].length) : null;
    if (!more || !measured(more.amount)) break;
    amounts.push(more.amount);
    end = more.end;
  }
  // '400 g tin of condensed milk': what it comes in says nothing more.
  if (measured(amounts.at(-1)!)) {
    const packed = WORD.exec(text.slice(end, end + 24));
    if (packed && unitNamed(packed[1]!)?.dimension === 'pack') end += packed[0].length;
  }
  return { amounts, aside, start, end, wordAfter: first.wordAfter };
}

function scanAmount(text: string, start: number): Scanned | null {
  let at = start;
  const about = ABOUT.exec(text.slice(at, at + 16));
  if (about) at += about[0].length;
  const number = scanNumber(text, at);
  if (!number) return null;
  at = number.end;
  let { quantity } = number;
  let unit: Unit | null = null;
  let system: WrittenSystem | null = null;
  let heap = 1;
  let size: EggSize | null = null;
  let wordAfter: string | null = null;
  // '2 (8 oz) packs': a count of something measured.
  const counted = /^[\s\u00a0]*\([\s\u00a0]*(?=[\d½¼¾⅓⅔])/.exec(text.slice(at, at + 8));
  if (counted) {
    const inner = scanAmount(text, at + counted[0].length);
    const close = inner?.amount.unit && inner.amount.quantity.ok ? /^[\s\u00a0]*\)[\s\u00a0]*/.exec(text.slice(inner.end, inner.end + 8)) : null;
    const packed = inner && close ? WORD.exec(text.slice(inner.end + close[0].length, inner.end + close[0].length + 24)) : null;
    if (inner?.amount.quantity.ok && close && packed && unitNamed(packed[1]!)?.dimension === 'pack') {
      const each = inner.amount.quantity.value;
      quantity = quantity.ok ? ok(quantity.value * each) : quantity;
      const end = inner.end + close[0].length + packed[0].length;
      const amount = { text: text.slice(start, end).trim(), quantity, range: null, runs: number.runs, unit: inner.amount.unit, system: inner.amount.system, heap: 1, size: null };
      return { amount, end, wordAfter: null };
    }
  }
  for (let words = 0; words < 5; words++) {
    const next = WORD.exec(text.slice(at, at + 40));
    if (!next) break;
    const word = next[1]!.replace(/\s+/g, ' ').replace(/^fl\. ?/i, 'fl ');
    const lower = word.toLowerCase();
    if (lower in HEAPS) heap = HEAPS[lower]!;
    else if (lower in SIZES) size = SIZES[lower]!;
    else if (lower === 'extra' && /^[\s\u00a0-]*large\b/i.test(text.slice(at + next[0].length, at + next[0].length + 12))) {
      size = 'extra large';
      at += /^[\s\u00a0-]*large\b/i.exec(text.slice(at + next[0].length, at + next[0].length + 12))![0].length;
    } else if (systemNamed(word) !== null && nextIsUnit(text, at + next[0].length)) system = systemNamed(word);
    else {
      unit = unitNamed(word);
      if (unit) at += next[0].length;
      else wordAfter = word;
      break;
    }
    at += next[0].length;
  }
  // Two numbers with a pack behind ('1 400 g tin') count packs; otherwise the gap groups thousands ('1 400 g').
  if (number.pair && unit && unit.dimension !== 'pack') {
    const packed = WORD.exec(text.slice(at, at + 24));
    if (packed && unitNamed(packed[1]!)?.dimension === 'pack') quantity = ok(number.pair[0] * number.pair[1]);
  }
  const amount: WrittenAmount = { text: text.slice(start, at).trim(), quantity, range: number.range, runs: number.runs, unit, system, heap, size };
  return { amount, end: at, wordAfter };
}

const nextIsUnit = (text: string, at: number): boolean => {
  const next = WORD.exec(text.slice(at, at + 24));
  return next !== null && unitNamed(next[1]!) !== null;
};

interface ScannedNumber {
  readonly quantity: Result<number>;
  readonly range: readonly [number, number] | null;
  readonly runs: readonly Run[];
  readonly end: number;
  readonly pair: readonly [number, number] | null;
}

function scanNumber(text: string, start: number): ScannedNumber | null {
  const word = WORD_NUMBER.exec(text.slice(start, start + 20));
  if (word) {
    const value = WORD_NUMBERS[word[1]!.toLowerCase()] ?? 1;
    const end = start + word[0].length;
    return { quantity: ok(value), range: null, runs: [{ start, end, value: ok(value) }], end, pair: null };
  }
  const sum = text[start] === '=';
  if (!sum && !startsNumber(text, start)) return null;
  const run = runFrom(text, sum ? start + 1 : start, sum);
  if (run.end <= (sum ? start + 1 : start)) return sum ? { quantity: readQuantity(''), range: null, runs: [], end: start + 1, pair: null } : null;
  const source = text.slice(run.start, run.end);
  if (sum) {
    const value = readQuantity(source);
    return { quantity: value, range: null, runs: [{ start, end: run.end, value }], end: run.end, pair: null };
  }
  return withMultiplier(text, rangeOf(source, run.start, run.end));
}

function runFrom(text: string, from: number, sum: boolean): { start: number; end: number } {
  const allowed = sum ? SUM_CHAR : RUN_CHAR;
  let end = from;
  let depth = 0;
  while (end < text.length) {
    const c = text[end]!;
    if (!sum && c === '(' && (end === from || /[-+*/×÷−][\s\u00a0]*$/.test(text.slice(Math.max(from, end - 4), end)))) depth++;
    else if (!sum && c === ')' && depth > 0) depth--;
    else if (!allowed.test(c)) break;
    end++;
  }
  while (end > from && /[\s,\u00a0\u202f+/–—-]/.test(text[end - 1]!)) end--;
  return { start: from, end };
}

/** '2-3' and '200–250' are ranges when they rise; '1-1/2' is a mixed number; anything else is a sum. */
function rangeOf(source: string, start: number, end: number): ScannedNumber {
  const dash = /^([^–—-]{1,20}?)\s*[-–—]\s*([^–—-]{1,20})$/.exec(source);
  if (dash && !/^\d+-\d+\/\d+$/.test(source)) {
    const low = readQuantity(dash[1]!);
    const high = readQuantity(dash[2]!);
    if (low.ok && high.ok && low.value >= 0 && high.value > low.value) {
      const lowEnd = start + dash[1]!.length;
      const runs = [
        { start, end: lowEnd, value: low },
        { start: end - dash[2]!.length, end, value: high },
      ];
      return { quantity: ok((low.value + high.value) / 2), range: [low.value, high.value], runs, end, pair: null };
    }
  }
  const grouped = /^(\d{1,3})[\s\u00a0\u202f](\d{3})$/.exec(source);
  if (grouped) {
    const value = ok(Number(grouped[1]! + grouped[2]!));
    return { quantity: value, range: null, runs: [{ start, end, value }], end, pair: [Number(grouped[1]), Number(grouped[2])] };
  }
  const value = readQuantity(source.replaceAll('\u202f', '').replaceAll('–', '-').replaceAll('—', '-'));
  return { quantity: value, range: null, runs: [{ start, end, value }], end, pair: null };
}

/** '2 to 3' and '2 x 400': a word between two numbers. */
function withMultiplier(text: string, first: ScannedNumber): ScannedNumber {
  const link = /^[\s\u00a0]*(x|to|or)[\s\u00a0]*(?=[\d½¼¾⅓⅔])/i.exec(text.slice(first.end, first.end + 8));
  if (!link || !first.quantity.ok || first.range) return first;
  const from = first.end + link[0].length;
  const run = runFrom(text, from, false);
  const second = rangeOf(text.slice(run.start, run.end), run.start, run.end);
  if (run.end <= from || !second.quantity.ok) return first;
  const a = first.quantity.value;
  const b = second.quantity.value;
  if (link[1]!.toLowerCase() === 'x') {
    const value = ok(a * b);
    return { quantity: value, range: null, runs: [{ start: first.runs[0]!.start, end: first.end, value: first.quantity }], end: run.end, pair: null };
  }
  if (b <= a || second.range) return first;
  return { quantity: ok((a + b) / 2), range: [a, b], runs: [...first.runs, ...second.runs], end: run.end, pair: null };
}
