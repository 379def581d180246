import type { ThermalClass } from './components';
import type { Mixture } from './mixture';

/**
 * Densities of the pure components, kg/m³ at T °C, −40 to 150 °C.
 * Source: Choi & Okos 1986, as printed in refrigeration handbooks; ethanol: a straight line through its
 * tabulated densities.
 */
const DENSITY_KG_PER_M3: Readonly<Record<ThermalClass, (tC: number) => number>> = {
  protein: (t) => 1329.9 - 0.5184 * t,
  fat: (t) => 925.59 - 0.41757 * t,
  carbohydrate: (t) => 1599.1 - 0.31046 * t,
  fibre: (t) => 1311.5 - 0.36589 * t,
  ash: (t) => 2423.8 - 0.28063 * t,
  water: (t) => 997.18 + 3.1439e-3 * t - 3.7574e-3 * t * t,
  ethanol: (t) => 806 - 0.85 * t,
};

/**
 * Volume of an unaerated, unfrozen mix: the volumes of its components add (1/ρ = Σ xᵢ/ρᵢ).
 * @param tC temperature, °C.
 * @returns mL.
 */
export function volumeMl(mixture: Mixture, tC: number): number {
  const { protein, fat, carbohydrate, fibre, ash, water, ethanol } = DENSITY_KG_PER_M3;
  const g = mixture.grams;
  return (
    1000 *
    ((g.milk_protein + g.egg_protein + g.gelatin_protein + g.other_protein) / protein(tC) +
      (g.milk_fat + g.cocoa_fat + g.egg_fat + g.other_fat) / fat(tC) +
      (g.lactose + g.sucrose + g.glucose + g.fructose + g.higher_saccharides + g.polyol + g.starch + g.acid) / carbohydrate(tC) +
      g.fibre / fibre(tC) +
      (g.salt + g.other_solids) / ash(tC) +
      g.water / water(tC) +
      g.ethanol / ethanol(tC))
  );
}

/** Density of an unaerated, unfrozen mix, g/mL at tC °C; null for an empty one. */
export function densityGPerMl(mixture: Mixture, tC: number): number | null {
  return mixture.massG > 0 ? mixture.massG / volumeMl(mixture, tC) : null;
}

/** Density of ethanol at 20 °C, g/mL, by which strength by volume is defined. */
export const ETHANOL_20C = 0.789;

/**
 * Alcohol by volume of the unaerated mix at 20 °C, %; 0 for an empty one. Volumes are added, so that the contraction of
 * ethanol with water is left out: a spirit of 40 % reads 38.6 %, a wine or a dessert is within 0.3 points.
 */
export function abvPct(mixture: Mixture): number {
  return mixture.massG > 0 ? (100 * (mixture.grams.ethanol / ETHANOL_20C)) / volumeMl(mixture, 20) : 0;
}
