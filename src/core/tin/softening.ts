import type { Ingredient } from '../composition/ingredient';
import { houseRange } from '../figure';
import { ok, within, type Result } from '../result';
import { DENSE_BELOW_PCT, MUSH_AFTER, SOFTENING, SPONGE_WATER_PCT } from './house';

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

/**
 * Hours in cream until a biscuit bends (house ±30 %): 0.85·(h/2)²/D, cream on both sides. A dip doubles D, and only what the dip left dry
 * has still to soften: the half thickness counts less by the share that is filled.
 *
 * @param filled what the dip has filled of what the biscuit can hold, 0–1.
 * @returns a fault on a height outside 0.5–60 mm.
 */
export function softeningOf(biscuit: NonNullable<Ingredient['biscuit']>, waterPct: number, filled: number): Result<Softening> {
  const fault = within('heightMm', 'The biscuit’s height', biscuit.heightMm, 0.5, 60, 'mm');
  if (fault) return { ok: false, fault };
  const dense = biscuit.uptakePct[2] < DENSE_BELOW_PCT;
  const sponge = waterPct >= SPONGE_WATER_PCT;
  const dipped = filled > 0;
  const d = (dense ? SOFTENING.denseMm2PerS : SOFTENING.plainMm2PerS) * (dipped ? SOFTENING.dipped : 1);
  const half = (biscuit.heightMm / 2) * (1 - Math.max(0, Math.min(1, filled)));
  const whole = (0.85 * (biscuit.heightMm / 2) ** 2) / d / 3600;
  const softH = sponge ? 0 : (0.85 * half * half) / d / 3600;
  return ok({ softH, range: houseRange(softH, SOFTENING.spread), mushH: (dipped ? MUSH_AFTER.dipped : MUSH_AFTER.dry) * whole, dense, sponge });
}

/** How far a biscuit has softened after so many hours, 0–1: nine tenths at its softening time, with the square root of time before. */
export const softenedAfter = (s: Softening, hours: number): number => (s.softH <= 0 ? 1 : Math.min(1, 0.9 * Math.sqrt(Math.max(0, hours) / s.softH)));
