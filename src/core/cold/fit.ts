import { fail, ok, type Result } from '../result';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { placeOf } from '../kitchen/place';
import { runCold, valueAt } from './run';
import type { ColdSetup } from '../document/cold-plan-schema';

/** A place's heat transfer from probe readings. */
export interface Fit {
  readonly placeId: string;
  /** W/m²K, and one standard error of it. */
  readonly h: number;
  readonly error: number;
  /** Root of the mean square of what is left, K. */
  readonly misfitK: number;
  readonly readings: number;
}

const LOWEST = 1.5;
const HIGHEST = 120;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
const FEWEST = 4;

/**
 * The place's heat transfer that follows readings of the core best (least squares over log h by golden section; its error from the curvature
 * of the sum at the best).
 *
 * @param readings hours since it went in, and the core, °C.
 * @returns a fault with fewer than four readings, or readings that h cannot move.
 */
export function fitPlace(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup, readings: readonly (readonly [h: number, tC: number])[]): Result<Fit> {
  const place = placeOf(kitchen, setup, s.sheet.family);
  if (!place) return fail('placeId', 'no-place', 'Choose the place that the readings are from.');
  if (readings.length < FEWEST)
    return fail('readings', 'too-few', `Four readings of the core at least; there ${readings.length === 1 ? 'is one' : `are ${readings.length}`}.`);
  const startC = readings[0]![1];
  const sum = (logH: number): number => {
    const at = { ...kitchen, places: kitchen.places.map((p) => (p.id === place.id ? { ...p, hWPerM2K: Math.exp(logH) } : p)) };
    const run = runCold(s, at, { ...setup, placeId: place.id, startC: Math.max(-5, Math.min(100, startC)) });
    if (!run.ok) return Infinity;
    const { h, core } = run.value.curves;
    return readings.reduce((total, [hour, tC]) => total + (valueAt(h, core, hour) - tC) ** 2, 0);
  };
  let [a, b] = [Math.log(LOWEST), Math.log(HIGHEST)];
  let [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [fc, fd] = [sum(c), sum(d)];
  for (let i = 0; i < 18; i++) {
    if (fc < fd) {
      [b, d, fd] = [d, c, fc];
      c = b - GOLDEN * (b - a);
      fc = sum(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + GOLDEN * (b - a);
      fd = sum(d);
    }
  }
  const best = (a + b) / 2;
  const least = sum(best);
  const step = 0.1;
  const curvature = (sum(best + step) - 2 * least + sum(best - step)) / step ** 2;
  if (!(curvature > 1e-9) || !Number.isFinite(least))
    return fail('readings', 'flat', 'These readings do not tell how well the air takes heat: take them while it still cools.');
  const variance = Math.max(0.04, least / Math.max(1, readings.length - 1));
  const h = Math.exp(best);
  return ok({ placeId: place.id, h, error: h * Math.sqrt((2 * variance) / curvature), misfitK: Math.sqrt(least / readings.length), readings: readings.length });
}
