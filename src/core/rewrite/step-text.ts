import type { Step } from '../document/schema';
import { scaleLineText } from '../measures/line';
import { unitNamed } from '../measures/units';

const NUMBER = '(?:\\d+(?:[.,]\\d+)?(?:[ \\u00a0]?[½⅓⅔¼¾⅛⅜⅝⅞]|[ \\u00a0]+\\d/\\d{1,2})?|\\d/\\d{1,2}|[½⅓⅔¼¾⅛⅜⅝⅞])';
/** '3 cups', '250–300 g', '1 1/2 tbsp'. */
const AMOUNT = new RegExp(
  `(?<![\\p{L}\\d.,/])${NUMBER}(?:\\s?[-–—]\\s?${NUMBER}|\\sto\\s${NUMBER})?[ \\u00a0-]?(\\p{L}+(?:\\.?[ \\u00a0]oz)?)(?![\\p{L}])`,
  'gu',
);
/** What is said of one vessel, one piece or one turn stays, whatever the batch: 'a 900 g tin', '30 g each', 'a tablespoon at a time'. */
const OF_ONE_BEFORE = /(?:\b(?:a|an|each|every|per|one|at)|×)[ \u00a0]*$/i;
const OF_ONE_AFTER =
  /^[ \u00a0]*(?:(?:of\s[\p{L}]+\s)?(?:each|apiece|a piece|per|at a time)\b|(?:[\p{L}-]+[ \u00a0]){0,2}(?:tins?|dish(?:es)?|mou?lds?|glass(?:es)?|jars?|bowls?|pans?|ramekins?|rings?|pots?|terrines?|bags?|jugs?|basins?|cases?|trays?|containers?)\b)/iu;

/**
 * A step's own words at another size: every mass and volume in them times the factor. What is said of one vessel, of each piece, of a time or
 * a length stays as it was written.
 */
export function scaleStepText(text: string, factor: number): string {
  if (factor === 1) return text;
  return text.replace(AMOUNT, (said: string, word: string, at: number) => {
    const unit = unitNamed(word);
    if (!unit || (unit.dimension !== 'mass' && unit.dimension !== 'volume')) return said;
    if (OF_ONE_BEFORE.test(text.slice(0, at)) || OF_ONE_AFTER.test(text.slice(at + said.length))) return said;
    const scaled = scaleLineText(`${said} x`, factor);
    return scaled.endsWith(' x') ? scaled.slice(0, -2) : said;
  });
}

const MOST = { title: 200, detail: 4000 } as const;
/** A text at another size, where it still has room. */
const fits = (text: string, factor: number, most: number): string => {
  const scaled = scaleStepText(text, factor);
  return scaled.length <= most ? scaled : text;
};

/** The steps of a method of the cook's own with the amounts in their words at another size; those of the ways have none. */
export const scaleStepTexts = (steps: readonly Step[], factor: number): Step[] =>
  steps.map((s) => (s.key === null ? { ...s, title: fits(s.title, factor, MOST.title), detail: fits(s.detail, factor, MOST.detail) } : s));
