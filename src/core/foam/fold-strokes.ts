import { fail, ok, type Result } from '../result';
import { FOLD_STROKES } from './house';

/** Strokes that fold a volume in, and what strokes cost (house ±30 %, ours). */

/** Strokes that a fold should take. @param bowlMl everything in the bowl after the fold, air counted, mL. @returns a fault on `bowlMl` outside 10 mL to 200 L. */
export function foldStrokes(bowlMl: number): Result<number> {
  if (!(bowlMl >= 10) || bowlMl > 200_000) return fail('bowlMl', 'out-of-range', 'A fold is reckoned from 10\u00a0mL to 200\u00a0L in the bowl.');
  return ok(FOLD_STROKES.perLitre * Math.cbrt(bowlMl / 1000));
}

/**
 * Share (0–1) of the air that is left after some strokes, when a fold of its usual strokes keeps `keeps`: every stroke costs alike.
 * @param strokes made so far, ≥ 0. @param usual strokes of the fold, > 0. @param keeps share that the fold keeps, 0–1.
 */
export const keptAfter = (strokes: number, usual: number, keeps: number): number => keeps ** (Math.max(0, strokes) / usual);
