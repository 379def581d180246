import { COLD_FITTED_SPREAD, COLD_SPREAD } from '../cold/house';
import { HOB_MEASURED_SPREAD, HOB_SPREAD } from '../heat/house';
import type { TuneKind } from './measured';

/**
 * House figures of the tuning tests: how far each figure is known before and after, as the half of the band in which four in five fall
 * (shares; of an oven kelvin), how long the hands are held, and after how many days a test has gone stale. Ours, except where a source stands.
 */
export interface TestFacts {
  /** Half of the band before the test; null where the log itself says how far it is known. */
  readonly before: number | null;
  readonly after: number | null;
  /** Hands, minutes. */
  readonly minutes: number;
  readonly staleDays: number;
}

export const TESTS: Readonly<Record<TuneKind, TestFacts>> = {
  /** By the log: a timed cream is one more outcome of its mixer. Three stages of one cream, set up and washed. */
  whisk: { before: null, after: null, minutes: 12, staleDays: 365 },
  /** As the cold figures say of themselves; fitted, what is left is how full the shelf stands. Minutes to pour and to read five times; a season changes what a fridge must carry off. */
  cold: { before: COLD_SPREAD, after: COLD_FITTED_SPREAD, minutes: 6, staleDays: 120 },
  /** From maker to maker; five at once leave the hand and the scale. */
  dip: { before: 0.25, after: 0.08, minutes: 4, staleDays: 365 },
  /** A rim measured with a ruler to 2 mm in 60 goes twice into the volume; water is weighed. */
  glass: { before: 0.08, after: 0.01, minutes: 2, staleDays: 3650 },
  /** A kitchen scale that nobody has checked; a known weight read to the gram. */
  scale: { before: 0.015, after: 0.004, minutes: 1, staleDays: 180 },
  /** Kelvin: the air of an oven against its dial; a thermometer on the shelf. */
  oven: { before: 12, after: 3, minutes: 3, staleDays: 365 },
  /** From ring to ring; timed once. */
  hob: { before: HOB_SPREAD, after: HOB_MEASURED_SPREAD, minutes: 4, staleDays: 365 },
};

/** What kelvin of an oven are shares of, °C: a usual bake. */
export const OVEN_AT_C = 160;
/** Water of a cup in the cold: heat capacity, J/gK (CRC Handbook), density at 20 °C, g/mL. */
export const WATER_J_PER_G_K = 4.186;
export const WATER_G_PER_ML = 0.9982;
/** A fit of the air needs so many readings, the last of them so far down the way to it, and no more than so many kelvin left between. */
export const FEWEST_READINGS = 4;
export const LEAST_FALLEN = 0.35;
export const MOST_MISFIT_K = 1;
/** The heat transfer that air in a place can have, W/m²K: what is outside was not this cup. */
export const H_RANGE = [2, 60] as const;
/** Water is near its ice below so many °C: it stands still there, whatever the air is. */
export const WATER_FROM_C = 1;
/** So far from the house figure, a test was more likely misread than true: asked again. */
export const BELIEVED = { whisk: 2.5, dip: 2.5, scalePct: 20, ovenK: 60, glass: 2 } as const;
/** A batch within so many days says that a sheet is in use: its bands count once more for each. */
export const IN_USE_DAYS = 90;
export const MOST_BATCHES_COUNTED = 10;
