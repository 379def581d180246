import type { Ingredient } from '../composition/ingredient';
import { RELATIVE_SWEETNESS } from '../composition/sweetness';
import type { Component, Composition } from '../composition/components';
import { showGramsPlain } from '../figure';
import { fail, ok, type Result } from '../result';
import { REFERENCE_BLOOM } from '../setting/house';
import { settleMethod } from '../ways/settle';
import { shortName } from '../ways/switch';
import { analyseSheet } from '../analysis/analyse';
import type { Kitchen } from '../kitchen/kitchen';
import type { LineReading } from '../lines/read-part';
import type { Line, Sheet } from '../document/schema';

/** What a line brings to its part. */
export const BASES = ['mass', 'fat', 'sweetness', 'water', 'setter', 'alcohol', 'acid'] as const;
export type Basis = (typeof BASES)[number];

export const BASIS_NAMES: Readonly<Record<Basis, string>> = {
  mass: 'as much by weight',
  fat: 'as much fat',
  sweetness: 'as sweet',
  water: 'as much water',
  setter: 'as strong a set',
  alcohol: 'as much alcohol',
  acid: 'as sour',
};

/** Of 1 g: g of fat, of sucrose equivalent, of water, of 225-bloom gelatin, of ethanol, of acid. */
function brings(i: Ingredient, per100: Composition): Readonly<Record<Basis, number>> {
  const sweet = (Object.entries(RELATIVE_SWEETNESS) as [Component, number][]).reduce(
    (sum, [c, k]) => sum + per100[c] * (c === 'lactose' || i.ownSweetness == null ? k : i.ownSweetness),
    0,
  );
  const setter = i.bloom !== null ? 100 * Math.sqrt(i.bloom / REFERENCE_BLOOM) : per100.gelatin_protein;
  const fat = per100.milk_fat + per100.cocoa_fat + per100.egg_fat + per100.other_fat;
  return {
    mass: 1,
    fat: fat / 100,
    sweetness: sweet / 100,
    water: per100.water / 100,
    setter: setter / 100,
    alcohol: per100.ethanol / 100,
    acid: per100.acid / 100,
  };
}

/** One way to put an ingredient in another's place. */
export interface SwapOption {
  readonly basis: Basis;
  readonly massG: number;
  readonly text: string;
  readonly sheet: Sheet;
  /** What the line brings more (+) or less (−) than before, g. */
  readonly difference: Readonly<Record<Exclude<Basis, 'mass' | 'setter'>, number>>;
}

/** Below this share of itself an ingredient does not bring a thing worth matching. */
const WORTH_MATCHING = 0.004;

/**
 * The ways to swap a line's ingredient for another: one for each thing that both bring.
 * @returns a fault on `lineId` when the line cannot be read, on `to` when the two are the same.
 */
export function swapOptions(sheet: Sheet, lineId: string, to: Ingredient, kitchen: Kitchen): Result<readonly SwapOption[]> {
  const reading = analyseSheet(sheet, kitchen)
    .parts.flatMap((a) => a.reading.lines)
    .find((l) => l.line.id === lineId);
  if (!reading?.read || !reading.ingredient) return fail('lineId', 'unreadable', 'That line cannot be read yet: mend it first.');
  if (reading.ingredient.id === to.id) return fail('to', 'same', 'That is what is in the line already.');
  const { read, ingredient } = reading;
  const was = brings(ingredient, read.per100);
  const is = brings(to, to.composition);
  const options = BASES.filter((b) => was[b] >= WORTH_MATCHING && is[b] >= WORTH_MATCHING).map((basis): SwapOption => {
    const massG = (read.massG * was[basis]) / is[basis];
    const text = swappedText(massG, to);
    return { basis, massG, text, sheet: withSwap(sheet, reading, to, text, kitchen), difference: differenceOf(read.massG, was, massG, is) };
  });
  return ok(options);
}

function swappedText(massG: number, to: Ingredient): string {
  if (to.piece?.name === 'leaf') {
    const halves = Math.max(1, Math.round((2 * massG) / to.piece.grams));
    return `${halves % 2 === 0 ? halves / 2 : halves === 1 ? '1/2' : `${(halves - 1) / 2} 1/2`} leaves ${shortName(to)}`;
  }
  return `${showGramsPlain(massG)} ${shortName(to)}`;
}

const differenceOf = (wasG: number, was: Readonly<Record<Basis, number>>, isG: number, is: Readonly<Record<Basis, number>>): SwapOption['difference'] => ({
  fat: isG * is.fat - wasG * was.fat,
  sweetness: isG * is.sweetness - wasG * was.sweetness,
  water: isG * is.water - wasG * was.water,
  alcohol: isG * is.alcohol - wasG * was.alcohol,
  acid: isG * is.acid - wasG * was.acid,
});

function withSwap(sheet: Sheet, reading: LineReading, to: Ingredient, text: string, kitchen: Kitchen): Sheet {
  const swapped: Line = {
    ...reading.line,
    text,
    ingredientId: to.id,
    fromPartId: null,
    lastGood: { text, ingredientId: to.id, fromPartId: null },
    stepId: null,
  };
  return settleMethod(
    { ...sheet, parts: sheet.parts.map((p) => ({ ...p, lines: p.lines.map((l) => (l.id === reading.line.id ? swapped : l)) })) },
    kitchen.larder,
  );
}
