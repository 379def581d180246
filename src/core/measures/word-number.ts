/** Numbers as they are said: 'three quarters of a', 'two and a half', 'half a dozen', 'twenty-four'. */
import { lookUp } from '../look-up';

/** From one to nine, from ten to nineteen, the tens. */
export const ONES: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9 };
export const TEENS: Readonly<Record<string, number>> = {
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
};
export const TENS: Readonly<Record<string, number>> = { twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, seventy: 70, eighty: 80, ninety: 90 };
const UNITS: Readonly<Record<string, number>> = { a: 1, an: 1, ...ONES, ...TEENS };
const PARTS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  halves: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 1 / 4,
  quarters: 1 / 4,
  fourth: 1 / 4,
  fourths: 1 / 4,
  eighth: 1 / 8,
  eighths: 1 / 8,
};

const NUMBER = `(?:${[...Object.keys(UNITS), ...Object.keys(TENS)].join('|')})`;
const PART = `(?:${Object.keys(PARTS).join('|')})`;
const GAP = '[\\s\\u00a0]+';
const AND_PART = new RegExp(`^${GAP}and${GAP}(?:(an?|one|two|three)[\\s\\u00a0-]+)?(${PART})(?![\\p{L}])`, 'iu');
/** What may stand between a part and what it is of: 'a quarter of a cup', 'half a cup', 'three quarters cup'. */
const OF_ONE = new RegExp(`^${GAP}(?:of${GAP})?an?(?=${GAP})`, 'i');
const WORD = /^[\p{L}]+/u;

export interface WordNumber {
  readonly value: number;
  readonly end: number;
}

const countOf = (word: string | undefined): number => (word === undefined ? 1 : (lookUp(UNITS, word.toLowerCase()) ?? 1));

/** 'and a half', 'and three quarters' at a place in a text: what it adds; null where it does not stand there. */
export function andPart(text: string, at: number): WordNumber | null {
  const m = AND_PART.exec(text.slice(at, at + 40));
  return m ? { value: countOf(m[1]) * PARTS[m[2]!.toLowerCase()]!, end: at + m[0].length } : null;
}

/** 'Hundred and twenty-five', behind 'two'. */
const HUNDRED = new RegExp(
  `^${GAP}hundred(?:(?:${GAP}and)?${GAP}(${Object.keys(TENS).join('|')})(?:[\\s\\u00a0-](one|two|three|four|five|six|seven|eight|nine))?)?(?![\\p{L}])`,
  'iu',
);
/** 'Fifty', 'twenty-five' behind a number below ten; not what packs hold: 'two fifty-gram bars'. */
const SPOKEN_TENS = new RegExp(
  `^${GAP}(${Object.keys(TENS).join('|')})(?:[\\s\\u00a0-](one|two|three|four|five|six|seven|eight|nine))?(?![\\p{L}]|[\\s\\u00a0-]+(?:(?:gram|g|ml|ounce|oz)[\\s\\u00a0-]|(?:c?mm?|centim|millim|inch|min|sec|hour|litre|liter|per cent|degree)))`,
  'iu',
);
const AND_A_HALF = new RegExp(`^${GAP}and${GAP}a${GAP}half(?![\\p{L}])`, 'iu');
const PARTS_OF_ONE = new RegExp(`^(?:(${NUMBER})[\\s\\u00a0-]+)?(${PART})(?![\\p{L}])`, 'iu');

/**
 * The number that is said in words at a place in a text; null where none is.
 * A bare 'a' counts as one, but 'a little', 'a bit', 'a touch' is no number.
 */
export function wordNumber(text: string, start: number): WordNumber | null {
  const rest = text.slice(start, start + 60);
  const fixed = /^(half[\s\u00a0]+a[\s\u00a0]+dozen|(?:a[\s\u00a0]+)?couple(?:[\s\u00a0]+of)?|(?:a[\s\u00a0]+)?few|(?:a[\s\u00a0]+)?dozen)(?![\p{L}])/iu.exec(
    rest,
  );
  if (fixed) {
    const said = fixed[1]!.toLowerCase();
    // 'A dozen and a half' is eighteen.
    const half = said.endsWith('dozen') && !said.startsWith('half') ? AND_A_HALF.exec(text.slice(start + fixed[0].length)) : null;
    if (half) return { value: 18, end: start + fixed[0].length + half[0].length };
    return { value: said.startsWith('half') ? 6 : said.includes('dozen') ? 12 : said.includes('couple') ? 2 : 3, end: start + fixed[0].length };
  }
  if (/^an?[\s\u00a0]+(?:little|bit|touch|hint|lot|bunch|while|good (?:bit|deal))(?![\p{L}])/iu.test(rest)) return null;
  const parts = PARTS_OF_ONE.exec(rest);
  if (parts) {
    const value = countOf(parts[1]) * PARTS[parts[2]!.toLowerCase()]!;
    if (value > 0 && value <= 2) {
      const end = start + parts[0].length;
      const of = OF_ONE.exec(text.slice(end, end + 12));
      return { value, end: of ? end + of[0].length : end };
    }
  }
  const first = WORD.exec(rest);
  if (!first) return null;
  const word = first[0].toLowerCase();
  const tens = lookUp(TENS, word);
  let value = lookUp(UNITS, word) ?? tens;
  if (value === undefined) return null;
  let end = start + first[0].length;
  if (!/^[\s\u00a0-]/.test(text.slice(end, end + 1))) return null;
  if (tens !== undefined) {
    const ones = /^[\s\u00a0-](one|two|three|four|five|six|seven|eight|nine)(?![\p{L}])/iu.exec(text.slice(end, end + 8));
    if (ones) {
      value += UNITS[ones[1]!.toLowerCase()]!;
      end += ones[0].length;
    }
  }
  const hundred = HUNDRED.exec(text.slice(end, end + 44));
  if (hundred) {
    value = value * 100 + (hundred[1] ? (TENS[hundred[1].toLowerCase()] ?? 0) + (hundred[2] ? UNITS[hundred[2].toLowerCase()]! : 0) : 0);
    end += hundred[0].length;
  }
  // 'Two fifty of butter', said as figures are read out.
  const spoken = hundred || tens !== undefined || value > 9 ? null : SPOKEN_TENS.exec(text.slice(end, end + 24));
  if (spoken) {
    value = value * 100 + TENS[spoken[1]!.toLowerCase()]! + (spoken[2] ? UNITS[spoken[2].toLowerCase()]! : 0);
    end += spoken[0].length;
  }
  const more = andPart(text, end);
  return more ? { value: value + more.value, end: more.end } : { value, end };
}

/** '5 to 600', '2-300': the lower number as it is meant where it leaves out the hundreds that the higher one says. */
export function elliptic(low: number, high: number): number {
  if (!Number.isInteger(low) || low < 1 || low > 9 || high < 100 || high % 10 !== 0 || high / low < 20) return low;
  const meant = low * 10 ** (String(Math.round(high)).length - 1);
  return meant < high ? meant : low;
}
