import type { Ingredient } from '../composition/ingredient';
import { houseRange } from '../figure';
import { fail, ok, within, type Result } from '../result';
import { DENSE_BELOW_PCT, DISSOLVES_FROM_SUGAR_PCT, MUSH_AFTER, POROUS, POROUS_BY_UPTAKE, SOFTENING, SPONGE_WATER_PCT } from './house';

export interface Softening {
  /** Until it is soft through nine tenths, h; 0 for a sponge. */
  readonly softH: number;
  /** About two in three fall within, h. */
  readonly range: readonly [number, number];
  /** From then on it falls apart, h. */
  readonly mushH: number;
  readonly dense: boolean;
  readonly sponge: boolean;
}

/** How much faster than a close biscuit one takes water, by its density, else by its uptake: 1 to 3.5. */
function openness(biscuit: NonNullable<Ingredient['biscuit']>, pieceG: number | null): number {
  const { widthMm, lengthMm, heightMm, uptakePct } = biscuit;
  const share =
    pieceG === null
      ? (uptakePct[2] - POROUS_BY_UPTAKE.closePct) / (POROUS_BY_UPTAKE.openPct - POROUS_BY_UPTAKE.closePct)
      : (POROUS.closeGPerMl - pieceG / (((biscuit.shape === 'round' ? Math.PI / 4 : 1) * widthMm * lengthMm * heightMm) / 1000)) /
        (POROUS.closeGPerMl - POROUS.openGPerMl);
  return 1 + (POROUS.faster - 1) * Math.max(0, Math.min(1, share));
}

/**
 * Hours in cream until a biscuit bends (house ±30 %): 0.85·(h/2)²/D, cream on both sides. An open one takes water up to 3.5 times as fast; what
 * the dip has filled speeds it, and only what it left dry has still to soften. It falls apart at 3 times its dry hours. Source: science-2, section 14.
 *
 * @param filled what the dip has filled of what the biscuit can hold, 0–1.
 * @param is what is known of it besides: g of one, and % of sugar in it.
 * @returns a fault on a height outside 0.5–60 mm, and for a meringue, which dissolves where it touches and has no such hour.
 */
export function softeningOf(
  biscuit: NonNullable<Ingredient['biscuit']>,
  waterPct: number,
  filled: number,
  is: { readonly pieceG?: number | null; readonly sugarPct?: number } = {},
): Result<Softening> {
  const fault = within('heightMm', 'The biscuit’s height', biscuit.heightMm, 0.5, 60, 'mm');
  if (fault) return { ok: false, fault };
  if ((is.sugarPct ?? 0) > DISSOLVES_FROM_SUGAR_PCT)
    return fail('biscuit', 'dissolves', 'A meringue does not soften, it dissolves where it is wet: crown it late, 4 to 24 h before it is eaten at the most.');
  const dense = biscuit.uptakePct[2] < DENSE_BELOW_PCT;
  const sponge = waterPct >= SPONGE_WATER_PCT;
  const wet = Math.max(0, Math.min(1, filled));
  const dryD = (dense ? SOFTENING.denseMm2PerS : SOFTENING.plainMm2PerS) * openness(biscuit, is.pieceG ?? null);
  const half = biscuit.heightMm / 2;
  const dryH = (0.85 * half * half) / dryD / 3600;
  const softH = sponge ? 0 : (0.85 * (half * (1 - wet)) ** 2) / (dryD * (1 + (SOFTENING.dipped - 1) * wet)) / 3600;
  return ok({ softH, range: houseRange(softH, SOFTENING.spread), mushH: MUSH_AFTER * dryH, dense, sponge });
}

/** How far a biscuit has softened after so many hours, 0–1: nine tenths at its softening time, with the square root of time before. */
export const softenedAfter = (s: Softening, hours: number): number => (s.softH <= 0 ? 1 : Math.min(1, 0.9 * Math.sqrt(Math.max(0, hours) / s.softH)));
