import type { Composition } from '../composition/components';

/** What a label declares, per the same mass as the composition given (100 g, or a portion). */
export interface Nutrition {
  readonly kJ: number;
  readonly kcal: number;
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly fibreG: number;
  readonly proteinG: number;
  readonly saltG: number;
  readonly alcoholG: number;
}

/** Energy per gram, [kJ, kcal]: EU Regulation 1169/2011, Annex XIV. */
const ENERGY = { fat: [37, 9], carbohydrate: [17, 4], polyol: [10, 2.4], fibre: [8, 2], protein: [17, 4], ethanol: [29, 7], acid: [13, 3] } as const;

/**
 * Energy and nutrients of a composition, g of each component in, in the same amount out (published factors).
 * Sugars are the mono- and disaccharides that the larder names; the maltose inside 'higher saccharides' is not among them.
 */
export function nutritionOf(g: Composition): Nutrition {
  const fatG = g.milk_fat + g.cocoa_fat + g.egg_fat + g.other_fat;
  const proteinG = g.milk_protein + g.egg_protein + g.gelatin_protein + g.other_protein;
  const sugarsG = g.lactose + g.sucrose + g.glucose + g.fructose;
  const digestible = sugarsG + g.higher_saccharides + g.starch;
  const energy = (i: 0 | 1): number =>
    fatG * ENERGY.fat[i] + digestible * ENERGY.carbohydrate[i] + g.polyol * ENERGY.polyol[i] + g.fibre * ENERGY.fibre[i] + proteinG * ENERGY.protein[i] + g.ethanol * ENERGY.ethanol[i] + g.acid * ENERGY.acid[i];
  return { kJ: energy(0), kcal: energy(1), fatG, carbohydrateG: digestible + g.polyol, sugarsG, fibreG: g.fibre, proteinG, saltG: g.salt, alcoholG: g.ethanol };
}
