import { describe, expect, it } from 'vitest';
import { CONTEXT, LARDER } from '../../testing/sample';

/** What a name says is in the thing, by the allergen that its row must then have. */
const SAYS: readonly (readonly [RegExp, string])[] = [
  [/\bsoya?\b/i, 'soy'],
  [/\b(?:almond|hazelnut|walnut|pecan|cashew|pistachio|macadamia)s?\b|\bnut (?:liqueur|spread|butter)\b/i, 'tree-nut'],
  [/\bpeanuts?\b/i, 'peanut'],
  [/\bsesame\b|\btahini\b/i, 'sesame'],
  [/\boats?\b|\boatmeal\b/i, 'oats'],
  [/\bbarley\b|\bmalt(?:ed)?\b/i, 'barley'],
  [/\bwheat\b|\bsemolina\b|\bplain flour\b/i, 'wheat'],
  [/\begg(?:s|white|yolk)?\b|\bmeringue\b/i, 'egg'],
  [/\b(?:milk|butter|buttermilk|cheese|yogh?urt|mascarpone|ricotta|quark|fromage)\b/i, 'milk'],
];
/** Milk and butter of something else: no dairy. */
const NO_DAIRY = /\b(?:coconut|almond|soya?|oat|rice|plant|cocoa|peanut|hazelnut|pistachio|cashew|nut|cookie)\b/i;
/** Of the cereals that a spirit is distilled from nothing is left that must be named. Source: EU 1169/2011, annex II, 1 (d). */
const DISTILLED = /\bwhisk(?:e)?y\b/i;

describe('a name that says an allergen', () => {
  it('is of a row that has it: nobody is told there is none', () => {
    const missing = LARDER.flatMap((i) =>
      [i.name, ...i.aliases].flatMap((name) =>
        SAYS.flatMap(([says, allergen]) =>
          says.test(name) &&
          !(allergen === 'milk' && NO_DAIRY.test(name)) &&
          !(['barley', 'wheat'].includes(allergen) && DISTILLED.test(name)) &&
          !i.allergens.includes(allergen)
            ? [`${i.id}: ${name}, no ${allergen}`]
            : [],
        ),
      ),
    );
    expect(missing).toEqual([]);
  });
  it.each([
    ['malted milk powder', ['wheat', 'barley', 'milk']],
    ['malted milk biscuits', ['wheat', 'barley', 'milk']],
    ['soy cream', ['soy']],
    ['soya milk', ['soy']],
    ['oat milk', ['oats']],
    ['almond milk', ['tree-nut']],
    ['rice milk', []],
    // Of no kind that is said: any of them.
    ['plant milk', ['oats', 'soy', 'tree-nut']],
    ['hazelnut liqueur', ['tree-nut']],
    ['cream cheese frosting', ['milk', 'soy']],
  ])('%s', (name, allergens) => expect([...(CONTEXT.matcher.best(name)?.allergens ?? [])].sort()).toEqual([...allergens].sort()));
});
