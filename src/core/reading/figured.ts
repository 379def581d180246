import { ONES, TEENS, TENS } from '../measures/word-number';

/** Degrees as they are said: 'a hundred and fifty', 'one-eighty', 'twenty-five'. */

const VALUES = { ...ONES, ...TEENS, ...TENS };

const any = (words: Readonly<Record<string, number>>): string => Object.keys(words).join('|');
const BELOW = `(?:(?:${any(TENS)})(?:[\\s-](?:${any(ONES)}))?|${any(TEENS)})`;
const SAID = new RegExp(
  `(?<![\\p{L}\\d])(?:(?:an?|one|two|three)[\\s-]hundred(?:(?:[\\s-]and)?[\\s-](?:${BELOW}|${any(ONES)}))?|(?:(?:one|two|three)[\\s-])?${BELOW})(?![\\p{L}\\d])`,
  'giu',
);

/**
 * The same text with numbers from ten on that are said in words written in figures, each at the end of its place, so that all else stays where
 * it was. For degrees: of amounts 'one twenty' may be one of twenty.
 */
export const figured = (text: string): string =>
  text.replace(SAID, (said) => {
    const [first = '', ...others] = said
      .toLowerCase()
      .split(/[\s-]+/)
      .filter((w) => w !== 'and');
    const rest = others.filter((w) => w !== 'hundred').reduce((sum, w) => sum + VALUES[w]!, 0);
    const hundreds = others[0] === 'hundred' || (first in ONES && others.length > 0);
    return String((hundreds ? 100 * (ONES[first] ?? 1) : VALUES[first]!) + rest).padStart(said.length);
  });
