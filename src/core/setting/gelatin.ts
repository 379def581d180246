import { fail, ok, within, type Result } from '../result';
import { readTable } from '../interpolate';
import {
  CREAM_BANDS,
  CREAM_FAT_PCT,
  DOSE_BANDS,
  NO_SET_ABV_PCT,
  REFERENCE_BLOOM,
  RUBBERY_G_PER_KG,
  SOUR_EXTRA,
  STRONG_EXTRA,
  SUPPORTS,
  type Support,
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
  /** The band for the use: in cream lower, sour or strong higher. */
  readonly band: { readonly low: number; readonly high: number };
  readonly harsh: boolean;
  /** What else sets, as g of 225-bloom gelatin a kg, most first. */
  readonly supports: readonly { readonly name: string; readonly gPerKg: number }[];
  /** Gelatin and all that helps it, g/kg: the verdict rests on this. */
  readonly setsGPerKg: number;
  readonly verdict: GelatinVerdict;
  /** g of 225-bloom that, with what helps it, would land in the middle of the band. */
  readonly advised225G: number;
}

/**
 * Reads a gelatin dose for its use (house ±20 %, what else sets ±40 %).
 * @returns dose in g of 225-bloom per kg, the band that it is read against, what else sets, and the verdict. Source: science-2, section 7.
 */
export function gelatinDose(input: GelatinDoseInput): Result<GelatinDose> {
  const fault = within('totalG', 'What it sets', input.totalG, 1, 1_000_000, 'g');
  if (fault) return { ok: false, fault };
  const kg = input.totalG / 1000;
  const doseGPerKg = input.gelatin225G / kg;
  const extra = Math.max(readTable(SOUR_EXTRA, Math.min(1000, input.acidGPerKg)) ?? 0, readTable(STRONG_EXTRA, input.abvPct) ?? 0);
  const water = DOSE_BANDS[input.use];
  const cream = CREAM_BANDS[input.use] ?? water;
  const creamy = Math.min(1, Math.max(0, ((input.fatPct ?? 0) - CREAM_FAT_PCT.from) / (CREAM_FAT_PCT.wholly - CREAM_FAT_PCT.from)));
  const mid = (end: 'low' | 'high'): number => (water[end] + creamy * (cream[end] - water[end])) * (1 + extra);
  const band = { low: mid('low'), high: mid('high') };
  const supports = (Object.keys(SUPPORTS) as Support[])
    .map((key) => ({ name: SUPPORTS[key].name, gPerKg: (input.supportPct?.[key] ?? 0) * SUPPORTS[key].perPct }))
    .filter((x) => x.gPerKg >= LEAST_SUPPORT)
    .sort((a, b) => b.gPerKg - a.gPerKg);
  const supportGPerKg = supports.reduce((sum, x) => sum + x.gPerKg, 0);
  const setsGPerKg = doseGPerKg + supportGPerKg;
  const rubbery = RUBBERY_G_PER_KG * (1 + extra);
  return ok({
    doseGPerKg,
    band,
    harsh: extra > 0.01,
    supports,
    setsGPerKg,
    verdict: verdictOf(input, doseGPerKg, setsGPerKg, band, rubbery),
    advised225G: Math.max(0, (band.low + band.high) / 2 - supportGPerKg) * kg,
  });
}

/** Less of a support than this is not worth a word, g/kg. */
const LEAST_SUPPORT = 0.3;

function verdictOf(input: GelatinDoseInput, dose: number, sets: number, band: { low: number; high: number }, rubbery: number): GelatinVerdict {
  if (dose === 0) return 'none';
  if (input.rawProteaseFruit) return 'no-set-protease';
  if (input.abvPct > NO_SET_ABV_PCT) return 'no-set-alcohol';
  if (dose > rubbery) return 'rubbery';
  if (sets < band.low) return 'under';
  // What helps is soft: only the gelatin itself makes it firmer than it need be.
  return dose > band.high ? 'over' : 'in-band';
}

export { REFERENCE_BLOOM };
