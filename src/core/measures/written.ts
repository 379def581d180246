import { ok, type Result } from '../result';
import { readQuantity } from './quantity';
import { andPart, elliptic, wordNumber } from './word-number';
import { HEAPS, isByFeel, systemNamed, unitNamed, type EggSize, type Unit, type WrittenSystem } from './units';
import { lookUp } from '../look-up';

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
  /** Said in words that no other number can be written into one by one: 'a cup and a half', '2 8-ounce packs'. */
  readonly spoken: boolean;
}

/** What a written line says, before its name is looked up. */
export interface WrittenLine {
  /** Added up: '2 lb 3 oz', '1 cup plus 2 tbsp'. Empty when no amount is written. */
  readonly amounts: readonly WrittenAmount[];
  /** The same again in another measure: '1 cup (200 g)'. */
  readonly aside: WrittenAmount | null;
  /** Whether that is of each: '2 tubs (200 ml each)'; null where it is not said. */
  readonly asideEach: boolean | null;
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
const SIZE_OF_ONE = /^(\s*(?:\d{1,2}|an?|one|two)\s+)\d{1,2}(?:[.,]\d)?[\s-]?(?:inch(?:es)?|in\.|cm|["”″])(?=\s)/i;
const DIGIT = /[\d½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/;
const RUN_CHAR = /[\d.,+\-−*/×÷ \t\u00a0\u202f\u2044½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞–—]/;
const SUM_CHAR = /[\d.,+\-−*/×÷() \t\u00a0\u202f\u2044½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/;
const ABOUT = /^(?:about|approximately|approx\.?|around|circa|ca\.?|~|≈)\s*/i;
/** Measures that stand without a number: 'pinch of salt', 'salt, a pinch'. */
/** 'Tsp vanilla', 'cup of sugar': one of it, where a row begins so. */
const BARE_SPOON = /^\s*((tsp|tbsp|teaspoon|tablespoon|dessertspoon|cup|pint|wineglass|gill)\b\.?)(?=(?: of)? \p{L})/iu;
const BARE_UNIT = /(?:^|[\s,])((?:(?:a|an|one)\s)?(?:(?:small|good|large|generous|tiny)\s)?(pinch|dash|drop|knob|handful|glug|splash|squeeze))\b/i;
const UNWEIGHED =
  /\b(?:to taste|as needed|to (?:serve|garnish|decorate|finish|dust|glaze|brush|coat|sprinkle)|for (?:dusting|serving|sprinkling|greasing|decorating|decoration|the (?:tin|mould|top)|garnish)|optional|a (?:little|bit|touch|hint)|some)\b/i;
const WORD = /^[\s\u00a0-]*((?:fl\.?\s?oz|fluid\s(?:ounces?)|wine\s?glass(?:es|ful|fuls)?(?=\sof)|tea[\s-]?cups?(?:ful|fuls)?(?=\sof))\b\.?|\p{L}+\.?)/iu;
const SIZES: Readonly<Record<string, EggSize>> = {
  small: 'small',
  medium: 'medium',
  large: 'large',
  lg: 'large',
  sm: 'small',
  xl: 'extra large',
  jumbo: 'jumbo',
  big: 'large',
};

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
  // The fat is blanked, not cut, so that places in the text stay true; so is the size of one: '1 9-inch crust'.
  const plain = fat ? text.slice(0, fat.index) + ' '.repeat(fat[0].length) + text.slice(fat.index + fat[0].length) : text;
  const rest = plain.replace(SIZE_OF_ONE, (whole, one: string) => one + ' '.repeat(whole.length - one.length)).replace(DASHED, dashBlanked);
  const found = findAmounts(rest);
  const base = { fatText: fat?.[1] ?? null, unweighed: UNWEIGHED.test(rest) };
  if (!found) return { ...base, amounts: [], aside: null, asideEach: null, span: null, wordAfter: null, name: tidyName(rest) };
  const { amounts, start, end, wordAfter } = found;
  const behind = found.aside === null ? asideBehind(rest, end, amounts[0]!) : null;
  const name = behind ? `${rest.slice(end, behind.start)} ${rest.slice(behind.end)}` : rest.slice(end);
  const tidy = tidyName(`${rest.slice(0, start)} ${name}`);
  // 'A squeeze of lemon' is of its juice.
  const juice = amounts[0]!.unit?.key === 'splash' && /^(?:lemon|lime|orange|grapefruit)s?$/i.test(tidy);
  return {
    ...base,
    amounts,
    aside: found.aside ?? behind?.amount ?? null,
    asideEach: behind?.each ?? found.asideEach,
    span: [start, end],
    wordAfter,
    name: juice ? `${tidy} juice` : tidy,
  };
}

/** 'Cream 35 - 800 g', 'sugar -- 90 g': a dash between a name and its amount. */
const DASHED = /(?<=\p{L}[\s\u00a0](?:(\d{2})[\s\u00a0]?)?)(-{1,2})(?=[\s\u00a0]?(\d{1,4}))/gu;
/** From a number to one so many times higher no cook gives the choice (house). */
const WIDEST_RANGE = 5;
const dashBlanked = (dash: string, low: string | undefined, _: string, high: string): string =>
  low === undefined || dash.length > 1 || Number(high) >= WIDEST_RANGE * Number(low) ? ' '.repeat(dash.length) : dash;

/** 'Tub', 'punnet', 'bar': what a thing is sold in, also where it has a usual weight. */
function isSoldIn(word: string): boolean {
  const unit = unitNamed(word);
  return unit !== null && (unit.dimension === 'pack' || unit.key === 'punnet' || unit.key === 'bar');
}

/** A size in brackets behind the name of what is counted or comes in packs: '2 tubs whipping cream (200 ml each)'; null where there is none. */
function asideBehind(text: string, from: number, first: WrittenAmount): { amount: WrittenAmount; each: boolean | null; start: number; end: number } | null {
  if (first.unit?.dimension === 'mass' && !isByFeel(first.unit)) return null;
  const open = text.indexOf('(', from);
  if (open < 0) return null;
  const lead = /^\(\s*(?:about |approx\.? |ca\.? |each )?/i.exec(text.slice(open, open + 16))![0];
  const inner = scanAmount(text, open + lead.length);
  if (!inner?.amount.unit || (inner.amount.unit.dimension !== 'mass' && inner.amount.unit.dimension !== 'volume')) return null;
  if (first.unit?.dimension === 'volume' && inner.amount.unit.dimension !== 'mass') return null;
  const close =
    /^[\s\u00a0]*(each|apiece|in all|in total|total)?[\s\u00a0]*(?:flesh|pulp|peeled|pitted|stoned|hulled|net|drained|prepared|trimmed)?(?:[/,;|][^)]{0,40})?\)/i.exec(
      text.slice(inner.end, inner.end + 60),
    );
  if (!close) return null;
  // 'Crackers, crushed (about 3 cups)': what has become of all of them.
  const all =
    /about|approx|ca/i.test(lead) &&
    first.unit?.dimension === 'pack' &&
    inner.amount.unit.dimension === 'volume' &&
    /\b(?:crushed|crumbled|chopped|broken|grated|ground|sliced|mashed)\b/i.test(text.slice(from, open));
  const each = /each/i.test(lead) || /^(?:each|apiece)$/i.test(close[1] ?? '') ? true : close[1] || all ? false : null;
  return { amount: inner.amount, each, start: open, end: inner.end + close[0].length };
}

/** The name without its measure: no leading 'of', no bare commas, 'juice of a lemon' turned to 'lemon juice'. */
function tidyName(raw: string): string {
  const name = raw
    .replace(/[\s\u00a0]+/g, ' ')
    .replace(A_LITTLE, ' ')
    .replace(/\( ?\)/g, ' ')
    .replace(/ ?[,;:][,;: ]+/g, ', ')
    .replace(/^[,;: ]+|(?:[,;: ]| [–—-])+$/g, '')
    .replace(/^(?:of|x) /i, '')
    .replace(/ of /i, ' ')
    .replace(/ +/g, ' ')
    .trim();
  const part =
    /^(?:the )?(?:finely |freshly )?(?:grated |squeezed |fresh )?(juice|zest|peel|rind|seeds) (?:from |of )?(?:an? |the |one |half a )?(\p{L}[\p{L} ]{1,40})$/iu.exec(
      name,
    );
  if (part) return `${part[2]} ${takenOf(part[1]!)}`;
  const ofEgg = /^(?:the )?(yolks?|whites?) (?:of |from )?(?:the )?(?:(?:large|medium|small|fresh) )?eggs?$/i.exec(name);
  if (ofEgg) return `egg ${ofEgg[1]!.toLowerCase()}`;
  // '1 lemon, zested', '2 limes, juice only'; with both it stays the fruit.
  const whole =
    /^((?:unwaxed |large |small |organic )?(?:lemon|lime|orange|grapefruit|clementine|tangerine)s?),? \(?(?:finely |freshly )?(?:grated )?(zest|juice|peel|rind)(?:d|ed)?(?: only| finely)?\)?$/iu.exec(
      name,
    );
  return whole ? `${whole[1]} ${takenOf(whole[2]!)}` : name;
}

/** Amounts by feel that stand before a name and are not weighed. */
const A_LITTLE = /^\s*(?:just )?(?:a (?:little(?: bit)?|bit|touch|hint)|some)(?: of)? /i;

const takenOf = (word: string): string => (/^(?:peel|rind|zest)/i.test(word) ? 'zest' : word.toLowerCase());

interface Found {
  readonly amounts: readonly WrittenAmount[];
  readonly aside: WrittenAmount | null;
  readonly asideEach: boolean | null;
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
  let counted: Found | null = null;
  for (let i = lead + 1; i < text.length; i++) {
    if (text[i] !== '(' && /[\s\u00a0,(]/.test(text[i - 1]!) && (startsNumber(text, i) || (OF_FRUIT.test(text.slice(0, i)) && wordNumber(text, i) !== null))) {
      // '(optional, 2)' is no amount; '(200 g)' is one.
      const found = amountsAt(text, i);
      // 'cream 35   600 g': a bare number in a name is of the name where a measure stands behind it.
      if (found && (found.amounts[0]!.unit !== null || found.aside !== null)) return found;
      counted ??= found;
    }
  }
  return counted ?? bareUnit(text);
}

/** 'juice of two lemons': the number stands behind what is taken of it. */
const OF_FRUIT = /\b(?:juice|zest|peel|rind|seeds|yolks?|whites?)\s+(?:of|from)\s+(?:the\s+)?$/i;

const startsNumber = (text: string, at: number): boolean =>
  DIGIT.test(text[at] ?? '') || (/[-−+(.]/.test(text[at] ?? '') && /[\d.(½⅓¼]/.test(text[at + 1] ?? ''));

function bareUnit(text: string): Found | null {
  const bare = BARE_UNIT.exec(text) ?? BARE_SPOON.exec(text);
  if (!bare) return null;
  const start = bare.index + bare[0].length - bare[1]!.length;
  const end = start + bare[1]!.length;
  const amount: WrittenAmount = {
    text: bare[1]!,
    quantity: ok(1),
    range: null,
    runs: [],
    unit: unitNamed(bare[2]!),
    system: null,
    heap: 1,
    size: null,
    spoken: true,
  };
  return { amounts: [amount], aside: null, asideEach: null, start, end, wordAfter: null };
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
  let asideEach: boolean | null = null;
  const measured = (a: WrittenAmount): boolean => a.unit !== null && (a.unit.dimension === 'mass' || a.unit.dimension === 'volume');
  for (let turns = 0; turns < 6; turns++) {
    const last = amounts.at(-1)!;
    const bracket = /^[\s\u00a0]*\(\s*(?:about |approx\.? |or )?/i.exec(text.slice(end, end + 24));
    if (bracket && aside === null) {
      const inner = scanAmount(text, end + bracket[0].length);
      const close =
        inner && measured(inner.amount) ? /^[\s\u00a0]*(each)?[\s\u00a0]*(?:[/,;][^)]{0,40})?\)/i.exec(text.slice(inner.end, inner.end + 60)) : null;
      if (inner && close) {
        aside = inner.amount;
        asideEach = close[1] ? true : null;
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
    if (packed && isSoldIn(packed[1]!)) end += packed[0].length;
  }
  return { amounts, aside, asideEach, start, end, wordAfter: first.wordAfter };
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
    if (inner?.amount.quantity.ok && close && packed && isSoldIn(packed[1]!)) {
      const each = inner.amount.quantity.value;
      quantity = quantity.ok ? ok(quantity.value * each) : quantity;
      const end = inner.end + close[0].length + packed[0].length;
      const amount = {
        text: text.slice(start, end).trim(),
        quantity,
        range: null,
        runs: number.runs,
        unit: inner.amount.unit,
        system: inner.amount.system,
        heap: 1,
        size: null,
        spoken: false,
      };
      return { amount, end, wordAfter: null };
    }
  }
  for (let words = 0; words < 5; words++) {
    const next = WORD.exec(text.slice(at, at + 40));
    if (!next) break;
    const word = next[1]!.replace(/\s+/g, ' ').replace(/^fl\. ?/i, 'fl ');
    const lower = word.toLowerCase();
    const [heaped, sized] = [lookUp(HEAPS, lower), lookUp(SIZES, lower.replace(/\.$/, ''))];
    if (heaped !== undefined) heap = heaped;
    else if (sized !== undefined) size = sized;
    else if (lower === 'extra' && /^[\s\u00a0-]*large\b/i.test(text.slice(at + next[0].length, at + next[0].length + 12))) {
      size = 'extra large';
      at += /^[\s\u00a0-]*large\b/i.exec(text.slice(at + next[0].length, at + next[0].length + 12))![0].length;
    } else if (systemNamed(word) !== null && nextIsUnit(text, at + next[0].length)) system = systemNamed(word);
    else {
      unit = unitNamed(GLASS_OF_DRINK.test(text.slice(at, at + 60)) ? 'wineglass' : word);
      if (unit) at += next[0].length;
      else wordAfter = word;
      break;
    }
    at += next[0].length;
  }
  let spoken = number.spoken;
  // 'a cup and a half', 'two pounds and three quarters'.
  const part = unit && quantity.ok ? andPart(text, at) : null;
  if (part && quantity.ok) {
    quantity = ok(quantity.value + part.value);
    at = part.end;
    spoken = true;
  }
  // Two numbers with a pack behind ('1 400 g tin', 'one 15-ounce can') count packs; otherwise the gap groups thousands ('1 400 g').
  if (number.pair && unit && unit.dimension !== 'pack') {
    const packed = WORD.exec(text.slice(at, at + 24));
    if (!number.grouped || (packed && isSoldIn(packed[1]!))) quantity = ok(number.pair[0] * number.pair[1]);
    if (!number.grouped) spoken = true;
  }
  const amount: WrittenAmount = { text: text.slice(start, at).trim(), quantity, range: number.range, runs: number.runs, unit, system, heap, size, spoken };
  return { amount, end: at, wordAfter };
}

/** 'A glass of brandy', as the old books measure it: of what is drunk from one. */
const GLASS_OF_DRINK =
  /^[\s\u00a0]*glass(?:es|ful|fuls)? of (?:\p{L}+ ){0,2}(?:wine|brandy|sherry|madeira|port|rum|whisk(?:e)?y|liqueur|cognac|marsala|cider|sack|ratafia|maraschino|noyau|kirsch|curaçao|curacao)\b/iu;

const nextIsUnit = (text: string, at: number): boolean => {
  const next = WORD.exec(text.slice(at, at + 24));
  return next !== null && unitNamed(next[1]!) !== null;
};

const DOZEN = /^[\s\u00a0]+doz(?:en|\.|(?=\s))(?![\p{L}])/iu;
const PLAIN = { range: null, pair: null, grouped: false, spoken: false } as const;

/** '2 dozen'. */
function inDozens(text: string, n: ScannedNumber): ScannedNumber {
  const dozen = n.quantity.ok && n.range === null ? DOZEN.exec(text.slice(n.end, n.end + 12)) : null;
  if (!dozen || !n.quantity.ok) return n;
  const value = ok(n.quantity.value * 12);
  const end = n.end + dozen[0].length;
  return { ...n, quantity: value, runs: [{ start: n.runs[0]!.start, end, value }], end };
}

interface ScannedNumber {
  readonly quantity: Result<number>;
  readonly range: readonly [number, number] | null;
  readonly runs: readonly Run[];
  readonly end: number;
  readonly pair: readonly [number, number] | null;
  /** Whether such a pair may be one number with a gap between its thousands. */
  readonly grouped: boolean;
  readonly spoken: boolean;
}

function scanNumber(text: string, start: number): ScannedNumber | null {
  const word = wordNumber(text, start);
  if (word) {
    const digits = /^[\s\u00a0]+(?=\d)/.exec(text.slice(word.end, word.end + 4));
    const size = digits ? scanNumber(text, word.end + digits[0].length) : null;
    // 'one 15-ounce can', 'two 8 oz packs': so many of that size.
    if (size?.quantity.ok && Number.isInteger(word.value)) return { ...size, runs: [], pair: [word.value, size.quantity.value], grouped: false, spoken: true };
    const value = ok(word.value);
    const dozen = Number.isInteger(word.value) ? DOZEN.exec(text.slice(word.end, word.end + 12)) : null;
    const end = dozen ? word.end + dozen[0].length : word.end;
    const from: ScannedNumber = {
      quantity: dozen ? ok(word.value * 12) : value,
      range: null,
      runs: [{ start, end, value: dozen ? ok(word.value * 12) : value }],
      end,
      pair: null,
      grouped: false,
      spoken: false,
    };
    return withMultiplier(text, from);
  }
  const sum = text[start] === '=';
  if (!sum && !startsNumber(text, start)) return null;
  const run = runFrom(text, sum ? start + 1 : start, sum);
  if (run.end <= (sum ? start + 1 : start)) return sum ? { ...PLAIN, quantity: readQuantity(''), runs: [], end: start + 1 } : null;
  // 'cream 35 600 g': the first number is of the name that it stands behind.
  const ofName = !sum && /\p{L}[\s\u00a0]+$/u.test(text.slice(0, start)) ? /^\d{2}(?=[\s\u00a0]+\d{2,4}$)/.exec(text.slice(run.start, run.end)) : null;
  if (ofName) return rangeOf(ofName[0], run.start, run.start + 2);
  const source = text.slice(run.start, run.end);
  if (sum) {
    const value = readQuantity(source);
    return { ...PLAIN, quantity: value, runs: [{ start, end: run.end, value }], end: run.end };
  }
  return withMultiplier(text, inDozens(text, rangeOf(source, run.start, run.end)));
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
      const from = elliptic(low.value, high.value);
      const lowEnd = start + dash[1]!.length;
      const runs = [
        { start, end: lowEnd, value: ok(from) },
        { start: end - dash[2]!.length, end, value: high },
      ];
      return { ...PLAIN, quantity: ok((from + high.value) / 2), range: [from, high.value], runs, end };
    }
  }
  const grouped = /^(\d{1,3})[\s\u00a0\u202f](\d{3})$/.exec(source);
  if (grouped) {
    const value = ok(Number(grouped[1]! + grouped[2]!));
    return { ...PLAIN, quantity: value, runs: [{ start, end, value }], end, pair: [Number(grouped[1]), Number(grouped[2])], grouped: true };
  }
  // '1 15-ounce can', '2 8 oz packs': so many of that size.
  const pair = /^(\d{1,2})[\s\u00a0]+(\d{1,4}(?:[.,]\d{1,2})?)$/.exec(source);
  if (pair) {
    const value = ok(Number(pair[2]!.replace(',', '.')));
    return { ...PLAIN, quantity: value, runs: [], end, pair: [Number(pair[1]), value.ok ? value.value : 0], spoken: true };
  }
  const value = readQuantity(source.replaceAll('\u202f', '').replaceAll('–', '-').replaceAll('—', '-'));
  return { ...PLAIN, quantity: value, runs: [{ start, end, value }], end };
}

/** '2 to 3' and '2 x 400': a word between two numbers. */
function withMultiplier(text: string, first: ScannedNumber): ScannedNumber {
  const link = /^[\s\u00a0]*(x|to|or)[\s\u00a0]*(?=[\d½¼¾⅓⅔]|\p{L})/iu.exec(text.slice(first.end, first.end + 8));
  if (!link || !first.quantity.ok || first.range) return first;
  const from = first.end + link[0].length;
  const said = link[1]!.toLowerCase() === 'x' ? null : wordNumber(text, from);
  if (said && /^an?(?![\p{L}])/iu.test(text.slice(from))) return first;
  const run = said ? { start: from, end: said.end } : runFrom(text, from, false);
  const second: ScannedNumber = said
    ? { ...PLAIN, quantity: ok(said.value), runs: [{ start: from, end: said.end, value: ok(said.value) }], end: said.end }
    : rangeOf(text.slice(run.start, run.end), run.start, run.end);
  if (run.end <= from || !second.quantity.ok) return first;
  const a = first.quantity.value;
  const b = second.quantity.value;
  if (link[1]!.toLowerCase() === 'x') {
    const value = ok(a * b);
    return { ...PLAIN, quantity: value, runs: [{ start: first.runs[0]!.start, end: first.end, value: first.quantity }], end: run.end };
  }
  if (b <= a || second.range) return first;
  const low = elliptic(a, b);
  const runs = low === a ? first.runs : [{ ...first.runs[0]!, value: ok(low) }];
  return { ...PLAIN, quantity: ok((low + b) / 2), range: [low, b], runs: [...runs, ...second.runs], end: run.end };
}
