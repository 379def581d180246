import { composition, type Component } from '../composition/components';
import { iceDensityKgPerM3 } from '../composition/thermal';
import { volumeMl } from '../composition/density';
import { milkSolidsNotFatG, type Mixture, type Portion } from '../composition/mixture';
import { fail, ok, within, type Result } from '../result';
import { ICE_VOLUME, KNIFE_ICE } from './house';

/**
 * Freezing point depression of sucrose solutions, °C, by g of sucrose per 100 g of water, in steps of 3 g (published: the table
 * that frozen desserts are reckoned with).
 */
const DEPRESSION_STEP = 3;
const DEPRESSION_C: readonly number[] = [
  0, 0.18, 0.35, 0.53, 0.72, 0.9, 1.1, 1.29, 1.47, 1.67, 1.86, 2.03, 2.21, 2.4, 2.6, 2.78, 2.99, 3.2, 3.42, 3.63, 3.85, 4.1, 4.33, 4.54, 4.77, 5, 5.26, 5.53,
  5.77, 5.99, 6.23, 6.5, 6.8, 7.04, 7.32, 7.56, 7.8, 8.04, 8.33, 8.62, 8.92, 9.19, 9.45, 9.71, 9.96, 10.22, 10.47, 10.72, 10.97, 11.19, 11.41, 11.63, 11.88,
  12.14, 12.4, 12.67, 12.88, 13.08, 13.28, 13.48, 13.68,
];
const LAST_G = DEPRESSION_STEP * (DEPRESSION_C.length - 1);
/** Beyond the table, °C per further g. */
const BEYOND_C_PER_G = 0.0667;
/** Below this nothing more freezes, °C. */
export const COLDEST_FREEZING_C = -35;

/** What a gram lowers the freezing point by, against sucrose (published). Salt stands outside the sugar table. */
export const FREEZING_FACTORS: Readonly<Partial<Record<Component, number>>> = {
  sucrose: 1,
  lactose: 1,
  glucose: 1.9,
  fructose: 1.9,
  higher_saccharides: 0.6,
  polyol: 1.9,
  acid: 1.8,
};
/** Sodium chloride, °C per g in 100 g of water (published). */
export const SALT_C = 0.59;
/** Milk salts, °C per g of milk solids not fat per g of water; ethanol, °C per g per 100 g of water (the line of its solutions). */
const MILK_SALTS_C = 2.37;
const ETHANOL_C = 0.42;
/** g of water that 1 g of protein or starch never lets freeze. */
const BOUND_WATER = 0.25;
export const LATENT_HEAT_J_PER_G = 333.6;

/** A portion whose sugars lower the freezing point by a factor of their own (trehalose and isomalt 1.0). */
export interface FreezingPortion extends Portion {
  readonly ownFreezing?: number | null;
}

const FACTORS = Object.entries(FREEZING_FACTORS) as readonly (readonly [Component, number])[];
const OWN: ReadonlySet<Component> = new Set<Component>(['sucrose', 'glucose', 'fructose', 'higher_saccharides', 'polyol']);

/** g of sucrose that would lower the freezing point of the same water as much: Σ sugar·factor, acid too; salt, milk salts and ethanol apart. */
export function sucroseEquivalentG(portions: readonly FreezingPortion[]): number {
  let sum = 0;
  for (const { massG, per100, ownFreezing } of portions) {
    for (const [c, factor] of FACTORS) {
      if (per100[c] !== 0) sum += (massG * per100[c] * (ownFreezing != null && OWN.has(c) ? ownFreezing : factor)) / 100;
    }
  }
  return sum;
}

/** Freezing point depression of a sucrose solution, °C. `gPer100Water` ≥ 0: read off the table, straight on beyond 180. */
export function sucroseDepressionC(gPer100Water: number): number {
  if (gPer100Water >= LAST_G) return DEPRESSION_C[DEPRESSION_C.length - 1]! + (gPer100Water - LAST_G) * BEYOND_C_PER_G;
  const x = Math.max(0, gPer100Water) / DEPRESSION_STEP;
  const i = Math.floor(x);
  return DEPRESSION_C[i]! + (x - i) * (DEPRESSION_C[i + 1]! - DEPRESSION_C[i]!);
}

/** What decides how a mix freezes; g in the whole of it. */
export interface Solution {
  readonly massG: number;
  readonly waterG: number;
  /** Water that never freezes, g. */
  readonly boundG: number;
  readonly sucroseEqG: number;
  readonly msnfG: number;
  readonly saltG: number;
  readonly ethanolG: number;
}

/** g of water that protein and starch would hold back, if there is so much. */
export const boundWaterG = ({ grams: g }: Mixture): number => BOUND_WATER * (g.milk_protein + g.egg_protein + g.gelatin_protein + g.other_protein + g.starch);

/** The solution that a mixture is. @param sucroseEqG from `sucroseEquivalentG` of its portions. */
export function solutionOf(mixture: Mixture, sucroseEqG: number): Solution {
  const g = mixture.grams;
  return {
    massG: mixture.massG,
    waterG: Math.max(0, g.water),
    boundG: Math.min(Math.max(0, g.water), boundWaterG(mixture)),
    sucroseEqG,
    msnfG: milkSolidsNotFatG(mixture),
    saltG: g.salt,
    ethanolG: g.ethanol,
  };
}

/** Depression, °C, with all that is dissolved in `waterG` of unfrozen water. */
export const depressionC = (s: Solution, waterG: number): number =>
  sucroseDepressionC((100 * s.sucroseEqG) / waterG) + (MILK_SALTS_C * s.msnfG + 100 * SALT_C * s.saltG + 100 * ETHANOL_C * s.ethanolG) / waterG;

/** Where the first ice forms, °C (at most 0); null where nothing can freeze. */
export function freezingStartC(s: Solution): number | null {
  if (s.waterG <= s.boundG) return null;
  const start = -depressionC(s, s.waterG);
  return start < COLDEST_FREEZING_C ? null : start === 0 ? 0 : start;
}

/**
 * g of water that is still liquid at a temperature (published table, solved by halving): all of it above the start; what is bound
 * always. Nothing more freezes below −35 °C.
 */
export function unfrozenWaterG(s: Solution, tC: number): number {
  const start = freezingStartC(s);
  if (start === null || tC >= start) return s.waterG;
  const wished = -Math.max(tC, COLDEST_FREEZING_C);
  let low = s.boundG;
  let high = s.waterG;
  if (low > 0 && depressionC(s, low) <= wished) return low;
  if (low === 0 && s.sucroseEqG + s.msnfG + s.saltG + s.ethanolG === 0) return 0;
  for (let i = 0; i < 60 && high - low > 1e-12 * s.waterG; i++) {
    const mid = (low + high) / 2;
    if (depressionC(s, mid) > wished) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Share of the water that is ice, 0–1; 0 for a mix without water. */
export const frozenShare = (s: Solution, tC: number): number => (s.waterG > 0 ? 1 - unfrozenWaterG(s, tC) / s.waterG : 0);

/** Where so much of the water is ice, °C; null where it never is (bound water, or beyond −35 °C). */
export function temperatureOfFrozenShare(s: Solution, share: number): number | null {
  if (!(share >= 0) || share >= 1 || s.waterG <= 0) return null;
  const left = s.waterG * (1 - share);
  if (left < s.boundG) return null;
  const t = -depressionC(s, left);
  return t < COLDEST_FREEZING_C ? null : t;
}

/** Ice by volume of the whole, air counted, 0–1: (ice/ρ_ice)/(mix/ρ_dense·(1 + overrun/100)) (published properties). */
export function iceVolumeShare(mixture: Mixture, s: Solution, overrunPct: number, tC: number): number {
  return mixture.massG > 0 ? iceVolumeOf(s, volumeMl(mixture, tC), overrunPct, tC) : 0;
}

/** The same from the volume that the mix would have unfrozen at tC, mL. */
export function iceVolumeOf(s: Solution, unfrozenMl: number, overrunPct: number, tC: number): number {
  if (unfrozenMl <= 0) return 0;
  const iceG = s.waterG - unfrozenWaterG(s, tC);
  const iceMl = (1000 * iceG) / iceDensityKgPerM3(tC);
  return iceMl / ((unfrozenMl - iceG * WATER_ML_PER_G(tC) + iceMl) * (1 + overrunPct / 100));
}
const WATER_ML_PER_G = (tC: number): number => volumeMl({ massG: 1, grams: PURE_WATER }, tC);
const PURE_WATER = composition({ water: 1 });

/** `soft`: less than half of its water is ice at the freezer's temperature, and a slice does not stand. */
export type OutOfFreezer = 'soft' | 'clean' | 'rest' | 'hard';

export interface KnifeWindow {
  /** Warm and cold end, °C; null where the mix never has so much ice. */
  readonly warmC: number | null;
  readonly coldC: number | null;
  /** Ice by volume at the freezer's temperature. */
  readonly iceVolume: number;
  /** How it cuts straight from the freezer. */
  readonly straight: OutOfFreezer;
}

/**
 * Between which temperatures a knife goes through, and how it cuts straight from the freezer (house ±8 %).
 * @returns a fault on `freezerC` outside −45 to 0 °C, on `mixture` without water.
 */
export function knifeWindow(mixture: Mixture, s: Solution, overrunPct: number, freezerC: number): Result<KnifeWindow> {
  const fault = within('freezerC', 'The freezer', freezerC, -45, 0, '°C') ?? within('overrunPct', 'The air', overrunPct, 0, 2000, '%');
  if (fault) return { ok: false, fault };
  if (s.waterG <= s.boundG) return fail('mixture', 'no-water', 'There is no water in this mix that could freeze.');
  const iceVolume = iceVolumeShare(mixture, s, overrunPct, freezerC);
  const straight: OutOfFreezer =
    frozenShare(s, freezerC) < KNIFE_ICE.low ? 'soft' : iceVolume < ICE_VOLUME.clean ? 'clean' : iceVolume <= ICE_VOLUME.hard ? 'rest' : 'hard';
  const warmC = temperatureOfFrozenShare(s, KNIFE_ICE.low);
  const cold = temperatureOfFrozenShare(s, KNIFE_ICE.high);
  // Where it never gets so hard, or cuts clean colder than that, the window ends at the freezer.
  const coldC = straight === 'soft' ? null : cold === null || cold < freezerC || (straight === 'clean' && freezerC < cold) ? freezerC : cold;
  return ok({ warmC: straight === 'soft' ? null : warmC, coldC, iceVolume, straight });
}

/** The whole curve for drawing: frozen share at each temperature from `fromC` down to `toC`. */
export function freezingCurve(s: Solution, fromC: number, toC: number, points: number): readonly { readonly tC: number; readonly frozen: number }[] {
  return Array.from({ length: points }, (_, i) => {
    const tC = fromC + ((toC - fromC) * i) / (points - 1);
    return { tC, frozen: frozenShare(s, tC) };
  });
}

/** The published depression table, for checks and for drawing. */
export const depressionTable = (): readonly (readonly [gPer100Water: number, depressionC: number])[] => DEPRESSION_C.map((d, i) => [i * DEPRESSION_STEP, d]);
