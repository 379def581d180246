import type { Mixture } from './mixture';

export interface AlcoholServed {
  /** g of ethanol in a portion. */
  readonly perPortionG: number;
  readonly standardDrinks: number;
}

/** Ethanol that a portion serves (physics). @param portions ≥ 1. @param standardDrinkG g of ethanol that the kitchen's code counts as one drink. */
export function alcoholServed(mixture: Mixture, portions: number, standardDrinkG: number): AlcoholServed {
  const perPortionG = mixture.grams.ethanol / Math.max(1, portions);
  return { perPortionG, standardDrinks: perPortionG / standardDrinkG };
}
