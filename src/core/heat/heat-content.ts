import type { Mixture } from '../composition/mixture';
import { classGrams, dryHeat, specificHeatOf, waterHeat } from '../composition/thermal';
import { COLDEST_FREEZING_C, freezingStartC, LATENT_HEAT_J_PER_G, solutionOf, unfrozenWaterG, type Solution } from './freezing';

/** Melting of fats: J per g of the fat, the melted share rising straight between two temperatures; other fats none (house). */
const MELTING = [
  { fat: 'milk_fat', jPerG: 84, fromC: 10, toC: 35 },
  { fat: 'cocoa_fat', jPerG: 140, fromC: 22, toC: 34 },
] as const;

export const COLDEST_C = -40;
export const HOTTEST_C = 150;

/** The heat in a mix against itself, unfrozen, at 0 °C. Rises with temperature and can be read both ways. */
export interface HeatContent {
  /** J per g at tC, −40 to 150 °C. */
  readonly at: (tC: number) => number;
  /** °C at which it has so many J per g, to 0.0001 °C; the ends of the range beyond them. */
  readonly temperatureOf: (jPerG: number) => number;
}

/** Melted share of a fat at a temperature, 0–1. */
const melted = (tC: number, fromC: number, toC: number): number => Math.min(1, Math.max(0, (tC - fromC) / (toC - fromC)));

/** Steps of the frozen side's table, °C; the heat between them is integrated by Simpson's rule. */
const STEP_C = 0.25;

/**
 * The heat content of a mix (physics, with the properties of Choi & Okos, the freezing curve, and house melting ranges of fats):
 * dh = Σxᵢcᵢ dT + 333.6·d(unfrozen water) + melting, 0 for the unfrozen mix at 0 °C.
 * @param sucroseEqG what lowers its freezing point, from `sucroseEquivalentG`; needed below 0 °C only.
 */
export function heatContent(mixture: Mixture, sucroseEqG: number): HeatContent {
  const m = mixture.massG;
  const grams = classGrams(mixture);
  const solution = solutionOf(mixture, sucroseEqG);
  const startC = freezingStartC(solution);
  const dry = dryHeat(grams);
  const fats = (tC: number): number => MELTING.reduce((sum, f) => sum + mixture.grams[f.fat] * f.jPerG * melted(tC, f.fromC, f.toC), 0);
  const unfrozen = (tC: number): number => (dry(tC) + grams.water * waterHeat(tC) + fats(tC)) / m;
  let frozen: FrozenSide | null = null;
  const at = (tC: number): number => {
    if (startC === null || tC >= startC) return unfrozen(tC);
    frozen ??= frozenSide(solution, startC);
    // What is dry cools as it does anyway; water, ice and the heat of freezing come off the table.
    const waterAtStart = grams.water * waterHeat(startC);
    return (dry(tC) + waterAtStart + frozen.heatJ(tC)) / m;
  };
  return { at, temperatureOf: (jPerG) => invert(at, jPerG) };
}

interface FrozenSide {
  /** Heat of the water and ice against the water at the start of freezing, J. */
  readonly heatJ: (tC: number) => number;
}

function frozenSide(s: Solution, startC: number): FrozenSide {
  const capacity = (tC: number): number => {
    const u = unfrozenWaterG(s, tC);
    return u * specificHeatOf('water', tC) + (s.waterG - u) * specificHeatOf('ice', tC);
  };
  const latent = (tC: number): number => LATENT_HEAT_J_PER_G * (s.waterG - unfrozenWaterG(s, tC));
  const simpson = (a: number, b: number): number => ((b - a) / 6) * (capacity(a) + 4 * capacity((a + b) / 2) + capacity(b));
  // Just below the start, ice is there at once in pure water: the table's first point stands a hair below it.
  const top = startC - 1e-9;
  const n = Math.max(1, Math.ceil((top - COLDEST_C) / STEP_C));
  const table = new Float64Array(n + 1);
  for (let i = 1; i <= n; i++) table[i] = table[i - 1]! + simpson(top - (i - 1) * STEP_C, top - i * STEP_C);
  return {
    heatJ: (tC) => {
      const i = Math.min(n, Math.max(0, Math.floor((top - tC) / STEP_C)));
      return table[i]! + simpson(top - i * STEP_C, tC) - latent(Math.max(tC, COLDEST_FREEZING_C));
    },
  };
}

function invert(at: (tC: number) => number, jPerG: number): number {
  let low = COLDEST_C;
  let high = HOTTEST_C;
  for (let i = 0; i < 90 && high - low > 1e-12; i++) {
    const mid = (low + high) / 2;
    if (at(mid) < jPerG) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
