import type { Component } from './components';
import type { Portion } from './mixture';

/** Relative sweetness by weight against sucrose 1 (published values, as in food-science handbooks). */
export const RELATIVE_SWEETNESS: Readonly<Partial<Record<Component, number>>> = {
  sucrose: 1,
  glucose: 0.72,
  fructose: 1.6,
  lactose: 0.16,
  higher_saccharides: 0.35,
  polyol: 0.6,
};

/** A portion whose sugars may carry a sweetness of their own (trehalose 0.45, isomalt 0.5). */
export interface SweetPortion extends Portion {
  readonly ownSweetness?: number | null;
}

const FACTORS = Object.entries(RELATIVE_SWEETNESS) as readonly (readonly [Component, number])[];

/**
 * Sweetness of a finished part, g of sucrose equivalent per 100 g of it, lactose counted.
 * @param extraMassG g that is in the part and not sweet (soak water).
 * @returns 0 for an empty part.
 */
export function sweetnessPer100(portions: readonly SweetPortion[], extraMassG = 0): number {
  let sweet = 0;
  let massG = extraMassG;
  for (const { massG: m, per100, ownSweetness } of portions) {
    massG += m;
    for (const [component, factor] of FACTORS) {
      const own = component === 'lactose' || ownSweetness == null ? factor : ownSweetness;
      sweet += ((m * per100[component]) / 100) * own;
    }
  }
  return massG > 0 ? (100 * sweet) / massG : 0;
}

/** Target bands, g sucrose equivalent per 100 g of the finished part (house; those of a layered dessert and of a meringue are ours, from the sample sheets). */
export const SWEETNESS_BANDS = {
  barely: { name: 'barely sweet', low: 4, high: 6 },
  chantilly: { name: 'a chantilly', low: 8, high: 12 },
  'fruit-mousse': { name: 'a fruit mousse', low: 10, high: 14 },
  frosting: { name: 'a frosting', low: 14, high: 25 },
  dessert: { name: 'a layered dessert', low: 12, high: 18 },
  semifreddo: { name: 'a semifreddo', low: 15, high: 20 },
  meringue: { name: 'a meringue with cream', low: 22, high: 36 },
} as const;
export type SweetnessBand = keyof typeof SWEETNESS_BANDS;
