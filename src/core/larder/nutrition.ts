import type { Composition } from '../composition/components';

/** What a label declares, per the same mass as the composition given (100 g, or a portion). */
export interface Nutrition {
  readonly kJ: number;
  readonly kcal: number;
  readonly fatG: number;
  /** Of the fat, saturated: at least and at most, since a composition does not say which oil 'other fat' is. */
  readonly saturatesG: readonly [low: number, high: number];
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
 * Saturated share of each fat, at least and at most. Milk fat, cocoa butter and yolk: food composition tables (butter 51.4 of 81.1 g, cocoa
 * butter 59.7 of 100 g, yolk 9.6 of 26.5 g, whole egg 3.1 of 9.5 g); any other fat lies between hazelnut oil and coconut oil.
 */
const SATURATED = { milk_fat: [0.61, 0.66], cocoa_fat: [0.58, 0.62], egg_fat: [0.31, 0.37], other_fat: [0.07, 0.92] } as const;

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
    fatG * ENERGY.fat[i] +
    digestible * ENERGY.carbohydrate[i] +
    g.polyol * ENERGY.polyol[i] +
    g.fibre * ENERGY.fibre[i] +
    proteinG * ENERGY.protein[i] +
    g.ethanol * ENERGY.ethanol[i] +
    g.acid * ENERGY.acid[i];
  const saturated = (i: 0 | 1): number => (Object.keys(SATURATED) as (keyof typeof SATURATED)[]).reduce((sum, fat) => sum + g[fat] * SATURATED[fat][i], 0);
  return {
    kJ: energy(0),
    kcal: energy(1),
    fatG,
    saturatesG: [saturated(0), saturated(1)],
    carbohydrateG: digestible + g.polyol,
    sugarsG,
    fibreG: g.fibre,
    proteinG,
    saltG: g.salt,
    alcoholG: g.ethanol,
  };
}
