import { COMPONENTS, THERMAL_CLASS, type ThermalClass } from './components';
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
  let ml = 0;
  for (const c of COMPONENTS) {
    const g = mixture.grams[c];
    if (g !== 0) ml += (1000 * g) / DENSITY_KG_PER_M3[THERMAL_CLASS[c]](tC);
  }
  return ml;
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
