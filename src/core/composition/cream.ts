import { fail, ok, type Result } from '../result';
import { composition, type Composition, COMPONENTS } from './components';

/** The richest dairy that is still sold by its fat: butter. */
export const MAX_DAIRY_FAT_PCT = 82;

/**
 * The composition of a dairy cream from the fat on its carton, g per 100 g.
 * Skim phase 100 − F; solids-not-fat 9 % of it, of which 54 % lactose, 38 % protein, 8 % ash; the rest is water.
 *
 * @param fatPct fat, % by mass, 0 to 82.
 * @returns the composition, or a fault on `fatPct`.
 */
export function dairyCream(fatPct: number): Result<Composition> {
  if (!(fatPct >= 0)) return fail('fatPct', 'negative', 'Fat cannot be below 0\u00a0%: read it again on the carton.');
  if (fatPct > MAX_DAIRY_FAT_PCT) {
    return fail('fatPct', 'fat-too-high', `Fat ${fatPct}\u00a0% is more than butter (82\u00a0%) has: read it again on the carton.`);
  }
  const skim = 100 - fatPct;
  const solids = 0.09 * skim;
  return ok(
    composition({
      milk_fat: fatPct,
      lactose: 0.54 * solids,
      milk_protein: 0.38 * solids,
      other_solids: 0.08 * solids,
      water: skim - solids,
    }),
  );
}

/**
 * Another carton of the same dairy with a different fat: the phase that is not milk fat keeps its proportions.
 * Used for mascarpone, cheese and yoghurt, whose skim phase is not that of cream.
 *
 * @param of composition of the larder's ingredient, g per 100 g.
 * @param fatPct fat on the carton, % by mass, 0 to 82.
 */
export function withMilkFat(of: Composition, fatPct: number): Result<Composition> {
  const valid = dairyCream(fatPct);
  if (!valid.ok) return valid;
  const scale = (100 - fatPct) / (100 - of.milk_fat);
  return ok(Object.fromEntries(COMPONENTS.map((c) => [c, c === 'milk_fat' ? fatPct : of[c] * scale])) as Record<(typeof COMPONENTS)[number], number>);
}
