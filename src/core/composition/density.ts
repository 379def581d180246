import type { ThermalClass } from './components';
import { readTable } from '../interpolate';
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

/** Density of ethanol with water at 20 °C, g/mL, by mass % of ethanol in both (published: OIML R 22). */
const ETHANOL_WATER_20C: readonly (readonly [massPct: number, gPerMl: number])[] = [
  [0, 0.9982],
  [5, 0.98935],
  [10, 0.98187],
  [20, 0.96864],
  [30, 0.95382],
  [40, 0.93518],
  [50, 0.91384],
  [60, 0.89113],
  [70, 0.86766],
  [80, 0.84344],
  [90, 0.81797],
  [100, 0.78924],
];

/** How much less room ethanol and water take together than apart, as a share; 1 for either alone. Taken at 20 °C for every temperature. */
function contraction(waterG: number, ethanolG: number): number {
  const both = waterG + ethanolG;
  if (!(both > 0) || ethanolG <= 0 || waterG <= 0) return 1;
  const together = both / readTable(ETHANOL_WATER_20C, (100 * ethanolG) / both)!;
  return together / (waterG / ETHANOL_WATER_20C[0]![1] + ethanolG / ETHANOL_WATER_20C.at(-1)![1]);
}

/**
 * Volume of an unaerated, unfrozen mix: the volumes of its components add (1/ρ = Σ xᵢ/ρᵢ), but for ethanol and water, which contract.
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
      (g.water / water(tC) + g.ethanol / ethanol(tC)) * contraction(g.water, g.ethanol))
  );
}

/** Density of an unaerated, unfrozen mix, g/mL at tC °C; null for an empty one. */
export function densityGPerMl(mixture: Mixture, tC: number): number | null {
  return mixture.massG > 0 ? mixture.massG / volumeMl(mixture, tC) : null;
}

/** Density of ethanol at 20 °C, g/mL, by which strength by volume is defined. */
export const ETHANOL_20C = 0.789;

/** Alcohol by volume of the unaerated mix at 20 °C, %: what its ethanol would fill alone over what all of it fills; 0 for an empty one. */
export function abvPct(mixture: Mixture): number {
  // Less than anything that can be weighed has no strength.
  return mixture.massG > Number.EPSILON ? (100 * (mixture.grams.ethanol / ETHANOL_20C)) / volumeMl(mixture, 20) : 0;
}
