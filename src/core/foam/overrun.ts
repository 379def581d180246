import { readTable } from '../interpolate';
import { fail, ok, within, type Result } from '../result';
import {
  AIR_AT_BUTTER,
  COLD_ENOUGH_C,
  CREAM_KINDS,
  OVERRUN_BY_FAT,
  OVERRUN_LOSS_PER_C,
  OVERRUN_LOSS_PER_SHARE,
  OVERRUN_LOSS_PER_SUGAR,
  PLANT_CREAM,
  SOUR_WHISK,
  STAGE_X,
  WARMEST_OVERRUN_C,
  X_START,
} from './house';
import type { CreamState } from './inputs';

/**
 * The highest overrun that this cream can reach, % (house ±20 %).
 * Table by fat × sugar × temperature × cheese × acid × kind of cream, each clamped at nothing below 0.
 *
 * @returns a fault on `fatPct` outside 25–60 %, on `creamC` above 20 °C or below −2 °C.
 */
export function reachableOverrunPct(cream: CreamState): Result<number> {
  const byFat = readTable(OVERRUN_BY_FAT, cream.fatPct);
  if (byFat === null) {
    return cream.fatPct < 25
      ? fail('fatPct', 'too-lean', `Fat ${cream.fatPct.toFixed(1)}\u00a0% is under the 25\u00a0% that foams.`)
      : fail('fatPct', 'too-rich', `Fat ${cream.fatPct.toFixed(1)}\u00a0% is above 60\u00a0%: it takes no air to speak of.`);
  }
  const range = within('creamC', 'The cream’s temperature', cream.creamC, -2, WARMEST_OVERRUN_C, '°C');
  if (range) return { ok: false, fault: { ...range, code: cream.creamC > WARMEST_OVERRUN_C ? 'too-warm' : 'out-of-range' } };
  const sugar = Math.max(0, 1 - OVERRUN_LOSS_PER_SUGAR[cream.sugarAt] * cream.sugarPer100);
  const warmth = 1 - OVERRUN_LOSS_PER_C * Math.max(0, cream.creamC - COLD_ENOUGH_C);
  const cheese = 1 - OVERRUN_LOSS_PER_SHARE.softCheese * cream.softCheeseShare;
  const mascarpone = 1 - OVERRUN_LOSS_PER_SHARE.mascarpone * cream.mascarponeShare;
  const sour = 1 - SOUR_WHISK.air * Math.min(SOUR_WHISK.most, cream.acidGPerKg ?? 0);
  const { longLifeShare = 0, stabilisedShare = 0, plantShare = 0 } = cream;
  const kind = 1 + longLifeShare * (CREAM_KINDS['long-life'].air - 1) + stabilisedShare * (CREAM_KINDS.stabilised.air - 1);
  // A plant cream brings its own air, whatever its fat.
  const base = byFat * (1 - plantShare) * kind + PLANT_CREAM.overrunPct * plantShare;
  return ok(base * sugar * warmth * cheese * mascarpone * sour);
}

/**
 * Share of the reachable overrun that is in the cream at fat network x (house).
 * @param x 0.02 to 0.90.
 * @returns 0 to 1, or null outside.
 */
export function airShareAt(x: number): number | null {
  if (!(x >= X_START - 1e-12) || x > STAGE_X.butter + 1e-12) return null;
  if (x <= STAGE_X.firm) return Math.sqrt(Math.max(0, x - X_START) / (STAGE_X.firm - X_START));
  return 1 - ((1 - AIR_AT_BUTTER) * (x - STAGE_X.firm)) / (STAGE_X.butter - STAGE_X.firm);
}

/**
 * Overrun from one cup filled level twice (physics): (W₁ − W₂)/W₂·100.
 *
 * @param liquidG net g of the mix before whipping, > 0, at most 20 000.
 * @param foamG net g of the same cup full of foam, > 0.
 */
export function overrunFromCups(liquidG: number, foamG: number): Result<number> {
  for (const [field, name, g] of [
    ['liquidG', 'The cup of liquid', liquidG],
    ['foamG', 'The cup of foam', foamG],
  ] as const) {
    if (!(g > 0) || g > 20_000) return fail(field, 'out-of-range', `${name} must weigh more than 0\u00a0g and at most 20\u00a0kg.`);
  }
  if (foamG >= liquidG) {
    return fail(
      'foamG',
      'foam-not-lighter',
      'The foam weighs as much as the liquid or more: the cup was probably not tared, or the foam fell. Weigh it again.',
    );
  }
  return ok(((liquidG - foamG) / foamG) * 100);
}

/** Air by volume, 0–1, of a foam: ε = overrun/(100 + overrun). */
export const airVolumeShare = (overrunPct: number): number => overrunPct / (100 + overrunPct);

/** Volume of foam from a volume of mix, mL (the definition of overrun). */
export const foamVolumeMl = (mixMl: number, overrunPct: number): number => mixMl * (1 + overrunPct / 100);
