import { clockFace, plainNumber, withUnit } from '../figure';
import { dairyCream } from '../composition/cream';
import { mix } from '../composition/mixture';
import { composition } from '../composition/components';
import { ok, type Result } from '../result';
import { heatContent, type HeatContent } from '../heat/heat-content';
import { stirredCurve } from '../heat/stirred';
import { AIR_H, WALLS } from '../heat/surface';
import { CHURNS_FROM_C, COLD_ENOUGH_C, NO_PEAK_FROM_C } from '../foam/house';
import { WHISK_AT_C } from './house';

/** Cream that is warmer than it should be, before the whisk is switched on. Light: Pass carries it. */

/** A steel bowl, m²K/W. */
const BOWL_M2K_PER_W = WALLS.steel.usualMm / 1000 / WALLS.steel.k;

/** Minutes stirred in ice water to a temperature (house ±30 %); a fault where it never comes there. */
export function icedMin(heat: HeatContent, massG: number, fromC: number, toC: number): Result<number> {
  if (fromC <= toC) return ok(0);
  const curve = stirredCurve({ heat, massG, startC: fromC, areaM2: touchedM2(massG), outerH: AIR_H['ice-bath'], wallM2KPerW: BOWL_M2K_PER_W, bathC: 0 }, toC);
  return curve.ok ? ok(curve.value.at(-1)![0]) : curve;
}

/** Wall that a bowl's content touches, m²: half a sphere of its volume. */
export const touchedM2 = (ml: number): number => 2 * Math.PI * ((3 * ml) / (2 * Math.PI)) ** (2 / 3) * 1e-4;

/** How long a bowl of cream takes down to whisking temperature, min: stirred in ice water, and left in the fridge (house ±30 %). */
export function coolCreamMin(
  massG: number,
  fatPct: number,
  sugarPer100: number,
  fromC: number,
  fridgeC: number,
): Result<{ readonly iceMin: number; readonly fridgeMin: number | null }> {
  const cream = dairyCream(Math.min(60, Math.max(0, fatPct)));
  if (!cream.ok) return cream;
  const sugarG = (massG * sugarPer100) / (100 + sugarPer100);
  const heat = heatContent(
    mix([
      { massG: massG - sugarG, per100: cream.value },
      { massG: sugarG, per100: composition({ sucrose: 100 }) },
    ]),
    sugarG,
  );
  const iceMin = icedMin(heat, massG, fromC, WHISK_AT_C);
  if (!iceMin.ok) return iceMin;
  const fridge =
    fridgeC < WHISK_AT_C - 0.5
      ? stirredCurve(
          { heat, massG, startC: fromC, areaM2: touchedM2(massG), wallM2KPerW: BOWL_M2K_PER_W, outerH: AIR_H['still-fridge'], bathC: fridgeC },
          WHISK_AT_C,
        )
      : null;
  return ok({ iceMin: iceMin.value, fridgeMin: fridge?.ok ? fridge.value.at(-1)![0] : null });
}

/** What a cream temperature that was just typed means, and what to do: null while it is cold enough. */
export function warmCreamSays(
  tC: number,
  bowl: { readonly massG: number; readonly fatPct: number; readonly sugarPer100: number; readonly fridgeC: number },
): string | null {
  if (!(tC > COLD_ENOUGH_C) || tC > 60) return null;
  const deg = withUnit(plainNumber(tC, 0), '°C');
  const what =
    tC > NO_PEAK_FROM_C
      ? 'no peak stands, it turns to butter'
      : tC > CHURNS_FROM_C
        ? 'it churns: grain comes right after its peak'
        : 'it is slower and takes less air';
  const cool = coolCreamMin(bowl.massG, bowl.fatPct, bowl.sugarPer100, tC, bowl.fridgeC);
  if (!cool.ok) return `At ${deg} ${what}.`;
  const min = (m: number): string => (m < 2 ? clockFace(60 * m) : plainNumber(m, 0));
  return `At ${deg} ${what}. Stirred in ice water ${min(cool.value.iceMin)}\u00a0min to ${withUnit(String(WHISK_AT_C), '°C')}${cool.value.fridgeMin === null ? '' : `; in the fridge ${min(cool.value.fridgeMin)}`}.`;
}
