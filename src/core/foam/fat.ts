import { fail, ok, within, type Result } from '../result';
import { MAX_DAIRY_FAT_PCT } from '../composition/cream';
import { FAT_READINGS } from './house';

export type FatReading = (typeof FAT_READINGS)[number];

/** How a fat % of everything in the bowl reads (house). `fatPct` 0–100. */
export function readFat(fatPct: number): FatReading {
  let reading: FatReading = FAT_READINGS[0];
  for (const r of FAT_READINGS) if (fatPct >= r.from) reading = r;
  return reading;
}

/** Grams of two creams that meet a target fat, with the square's parts. */
export interface FatBlend {
  readonly aG: number;
  readonly bG: number;
  readonly partsA: number;
  readonly partsB: number;
}

/**
 * Two sources blended to a fat % (physics, the square): parts of A = |target − B|, parts of B = |A − target|.
 *
 * @param targetPct wished fat, between the two sources.
 * @param totalG g of the blend, > 0.
 * @returns a fault on `targetPct` when it does not lie between the sources, or on the field out of range.
 */
export function blendToFat(targetPct: number, aPct: number, bPct: number, totalG: number): Result<FatBlend> {
  for (const [field, name, pct] of [
    ['targetPct', 'The wished fat', targetPct],
    ['aPct', 'The first source’s fat', aPct],
    ['bPct', 'The second source’s fat', bPct],
  ] as const) {
    const fault = within(field, name, pct, 0, MAX_DAIRY_FAT_PCT, '%');
    if (fault) return { ok: false, fault };
  }
  if (!(totalG > 0)) return fail('totalG', 'not-positive', 'The amount to make must be more than 0\u00a0g.');
  if (targetPct < Math.min(aPct, bPct) || targetPct > Math.max(aPct, bPct)) {
    return fail('targetPct', 'outside-sources', `No blend of ${aPct}\u00a0% and ${bPct}\u00a0% gives ${targetPct}\u00a0%: the wish must lie between them.`);
  }
  if (aPct === bPct) return ok({ aG: totalG, bG: 0, partsA: 1, partsB: 0 });
  const partsA = Math.abs(targetPct - bPct);
  const partsB = Math.abs(aPct - targetPct);
  const aG = (totalG * partsA) / (partsA + partsB);
  return ok({ aG, bG: totalG - aG, partsA, partsB });
}

/**
 * How much of another source brings what is in the bowl to a wished fat (physics).
 * @returns g to add, ≥ 0; a fault when that source pulls the other way.
 */
export function addToReachFat(targetPct: number, bowlG: number, bowlFatPct: number, sourceFatPct: number): Result<number> {
  const gap = targetPct - bowlFatPct;
  const pull = sourceFatPct - targetPct;
  if (!(bowlG > 0)) return fail('bowlG', 'not-positive', 'There is nothing in the bowl yet.');
  if (gap === 0) return ok(0);
  if (gap * pull <= 0) {
    return fail('sourceFatPct', 'wrong-way', `A source of ${sourceFatPct}\u00a0% cannot bring ${bowlFatPct.toFixed(1)}\u00a0% to ${targetPct}\u00a0%.`);
  }
  return ok((bowlG * gap) / pull);
}
