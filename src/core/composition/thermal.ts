import { COMPONENTS, THERMAL_CLASS, type ThermalClass } from './components';
import { volumeMl } from './density';
import type { Mixture } from './mixture';

/** The classes that a mixture is counted in here: those of Choi & Okos, with ice apart from water. */
export type HeatClass = ThermalClass | 'ice';
export type ClassGrams = Readonly<Record<ThermalClass, number>>;

/** a + b·T + c·T², T in °C. */
type Quadratic = readonly [a: number, b: number, c: number];

/**
 * Specific heats, J/gK. Source: Choi & Okos 1986, as printed in refrigeration handbooks, −40 to 150 °C; ethanol: a straight line
 * through its tabulated values. Water has two branches, and a step of 2 % at 0 °C that is the source's own.
 */
const SPECIFIC_HEAT: Readonly<Record<Exclude<HeatClass, 'water'>, Quadratic>> = {
  protein: [2.0082, 1.2089e-3, -1.3129e-6],
  fat: [1.9842, 1.4733e-3, -4.8008e-6],
  carbohydrate: [1.5488, 1.9625e-3, -5.9399e-6],
  fibre: [1.8459, 1.8306e-3, -4.6509e-6],
  ash: [1.0926, 1.8896e-3, -3.6817e-6],
  ice: [2.0623, 6.0769e-3, 0],
  ethanol: [2.35, 4e-3, 0],
};
const WATER_BELOW_0: Quadratic = [4.0817, -5.3062e-3, 9.9516e-4];
const WATER_FROM_0: Quadratic = [4.1762, -9.0864e-5, 5.4731e-6];

/** Conductivities, W/mK; the same source and range. */
const CONDUCTIVITY: Readonly<Record<HeatClass, Quadratic>> = {
  protein: [0.17881, 1.1958e-3, -2.7178e-6],
  fat: [0.18071, -2.7604e-4, -1.7749e-7],
  carbohydrate: [0.20141, 1.3874e-3, -4.3312e-6],
  fibre: [0.18331, 1.2497e-3, -3.1683e-6],
  ash: [0.32962, 1.4011e-3, -2.9069e-6],
  water: [0.57109, 1.7625e-3, -6.7036e-6],
  ice: [2.2196, -6.2489e-3, 1.0154e-4],
  ethanol: [0.17, 0, 0],
};
/** Still air, W/mK. */
const AIR_CONDUCTIVITY = 0.0245;
/** Ice, kg/m³ at T °C; the same source. */
export const iceDensityKgPerM3 = (tC: number): number => 916.89 - 0.13071 * tC;

const at = ([a, b, c]: Quadratic, t: number): number => a + b * t + c * t * t;
/** ∫ from 0 to t. */
const upTo = ([a, b, c]: Quadratic, t: number): number => a * t + (b * t * t) / 2 + (c * t * t * t) / 3;
const waterBranch = (t: number): Quadratic => (t < 0 ? WATER_BELOW_0 : WATER_FROM_0);

/** Specific heat of a class, J/gK at tC °C. */
export const specificHeatOf = (c: HeatClass, tC: number): number => at(c === 'water' ? waterBranch(tC) : SPECIFIC_HEAT[c], tC);

/** Heat that warms 1 g of water from 0 °C to tC, J; below 0 for colder (liquid) water. */
export const waterHeat = (tC: number): number => upTo(waterBranch(tC), tC);

/** Heat that warms everything but the water of a mixture from 0 °C to a temperature, J: one curve for all classes. */
export function dryHeat(grams: ClassGrams): (tC: number) => number {
  let [a, b, c] = [0, 0, 0];
  for (const k of Object.keys(SPECIFIC_HEAT) as (keyof typeof SPECIFIC_HEAT)[]) {
    if (k === 'ice') continue;
    const [ka, kb, kc] = SPECIFIC_HEAT[k];
    a += grams[k] * ka;
    b += grams[k] * kb;
    c += grams[k] * kc;
  }
  return (tC) => upTo([a, b, c], tC);
}

/** g of each thermal class in a mixture, all water unfrozen. */
export function classGrams({ grams }: Mixture): ClassGrams {
  const out: Record<ThermalClass, number> = { protein: 0, fat: 0, carbohydrate: 0, fibre: 0, ash: 0, water: 0, ethanol: 0 };
  for (const c of COMPONENTS) out[THERMAL_CLASS[c]] += grams[c];
  return out;
}

/** Specific heat of an unfrozen mixture, J/gK (Σ xᵢcᵢ); 0 for an empty one. */
export function specificHeat(mixture: Mixture, tC: number): number {
  if (mixture.massG <= 0) return 0;
  const grams = classGrams(mixture);
  return (Object.keys(grams) as ThermalClass[]).reduce((sum, c) => sum + grams[c] * specificHeatOf(c, tC), 0) / mixture.massG;
}

/**
 * Conductivity of a mixture with air in it, W/mK: the dense phase as Σ kᵢ·(volume fraction i), ice included, then the air dispersed in it
 * (Maxwell–Eucken).
 * @param iceG g of its water that is ice, 0 to all of it.
 * @param overrunPct air, % of the dense volume.
 * @returns 0 for an empty mixture.
 */
export function conductivity(mixture: Mixture, tC: number, iceG = 0, overrunPct = 0): number {
  if (mixture.massG <= 0) return 0;
  const dense = denseConductivity(mixture, tC, iceG);
  const air = overrunPct / (100 + overrunPct);
  return (dense * (2 * dense + AIR_CONDUCTIVITY - 2 * air * (dense - AIR_CONDUCTIVITY))) / (2 * dense + AIR_CONDUCTIVITY + air * (dense - AIR_CONDUCTIVITY));
}

function denseConductivity(mixture: Mixture, tC: number, iceG: number): number {
  const grams = classGrams(mixture);
  let ml = 0;
  let sum = 0;
  const add = (c: HeatClass, volume: number): void => {
    ml += volume;
    sum += volume * at(CONDUCTIVITY[c], tC);
  };
  for (const c of Object.keys(grams) as ThermalClass[]) {
    const g = grams[c] - (c === 'water' ? iceG : 0);
    if (g > 0) add(c, classVolumeMl(c, g, tC));
  }
  if (iceG > 0) add('ice', (1000 * iceG) / iceDensityKgPerM3(tC));
  return sum / ml;
}

/** One component of each class stands for its volume. */
const STANDS_FOR: Readonly<Record<ThermalClass, (typeof COMPONENTS)[number]>> = {
  protein: 'milk_protein',
  fat: 'milk_fat',
  carbohydrate: 'sucrose',
  fibre: 'fibre',
  ash: 'salt',
  water: 'water',
  ethanol: 'ethanol',
};
const NOTHING = Object.fromEntries(COMPONENTS.map((c) => [c, 0])) as Mixture['grams'];
const classVolumeMl = (c: ThermalClass, g: number, tC: number): number => volumeMl({ massG: g, grams: { ...NOTHING, [STANDS_FOR[c]]: g } }, tC);
