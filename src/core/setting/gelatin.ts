import { fail, ok, within, type Result } from '../result';
import {
  DOSE_BANDS,
  HARSH_EXTRA,
  NO_SET_ABV_PCT,
  REFERENCE_BLOOM,
  RUBBERY_G_PER_KG,
  SOUR_ACID_G_PER_KG,
  STRONG_ABV_PCT,
} from './house';
import type { GelatinDoseInput } from './inputs';

export const BLOOM_SCHOOLS = ['square-root', 'linear', 'leaf-for-leaf'] as const;
export type BloomSchool = (typeof BLOOM_SCHOOLS)[number];

/**
 * Grams of another gelatin that set alike (house; kitchens disagree, so three schools).
 * Square root (default): m₂ = m₁·√(B₁/B₂). Linear: m₂ = m₁·B₁/B₂. Leaf for leaf: as many leaves, whatever they weigh.
 *
 * @param massG g of the first, ≥ 0.
 * @param fromBloom its strength, 50–350. @param toBloom the other's.
 * @param leaves g of one leaf of each; needed by leaf for leaf only.
 * @example gelatinForStrength(10, 200, 225, 'square-root') // 9.43 g
 */
export function gelatinForStrength(
  massG: number,
  fromBloom: number,
  toBloom: number,
  school: BloomSchool,
  leaves?: { readonly fromG: number; readonly toG: number },
): Result<number> {
  const fault =
    within('massG', 'The gelatin', massG, 0, 100_000, 'g') ??
    within('fromBloom', 'The strength it has', fromBloom, 50, 350, 'bloom') ??
    within('toBloom', 'The strength wanted', toBloom, 50, 350, 'bloom');
  if (fault) return { ok: false, fault };
  if (school === 'square-root') return ok(massG * Math.sqrt(fromBloom / toBloom));
  if (school === 'linear') return ok((massG * fromBloom) / toBloom);
  if (!leaves || !(leaves.fromG > 0) || !(leaves.toG > 0)) {
    return fail('leaves', 'missing', 'Leaf for leaf needs the weight of one leaf of each kind.');
  }
  return ok((massG / leaves.fromG) * leaves.toG);
}

export type GelatinVerdict = 'none' | 'under' | 'in-band' | 'over' | 'rubbery' | 'no-set-alcohol' | 'no-set-protease';

export interface GelatinDose {
  readonly doseGPerKg: number;
  /** The band for the use, a quarter higher where it is sour or strong. */
  readonly band: { readonly low: number; readonly high: number };
  readonly harsh: boolean;
  readonly verdict: GelatinVerdict;
  /** g of 225-bloom that would land in the middle of the band. */
  readonly advised225G: number;
}

/**
 * Reads a gelatin dose for its use (house ±20 %).
 * @returns dose in g of 225-bloom per kg, the band that it is read against, and the verdict.
 */
export function gelatinDose(input: GelatinDoseInput): Result<GelatinDose> {
  const fault = within('totalG', 'What it sets', input.totalG, 1, 1_000_000, 'g');
  if (fault) return { ok: false, fault };
  const kg = input.totalG / 1000;
  const doseGPerKg = input.gelatin225G / kg;
  const harsh = input.acidGPerKg > SOUR_ACID_G_PER_KG || input.abvPct > STRONG_ABV_PCT;
  const lift = harsh ? 1 + HARSH_EXTRA : 1;
  const band = { low: DOSE_BANDS[input.use].low * lift, high: DOSE_BANDS[input.use].high * lift };
  return ok({ doseGPerKg, band, harsh, verdict: verdictOf(input, doseGPerKg, band), advised225G: ((band.low + band.high) / 2) * kg });
}

function verdictOf(input: GelatinDoseInput, dose: number, band: { low: number; high: number }): GelatinVerdict {
  if (dose === 0) return 'none';
  if (input.rawProteaseFruit) return 'no-set-protease';
  if (input.abvPct > NO_SET_ABV_PCT) return 'no-set-alcohol';
  if (dose > RUBBERY_G_PER_KG) return 'rubbery';
  if (dose < band.low) return 'under';
  return dose > band.high ? 'over' : 'in-band';
}

export { REFERENCE_BLOOM };
