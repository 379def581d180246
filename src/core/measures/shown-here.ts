import { METRIC, type ShownUnits } from './shown';

/*
 * The units of the one kitchen that this process serves, or this page shows. Every bundle of the server has a copy of this module, so it lies
 * where all of them find it.
 */
const shared = globalThis as typeof globalThis & { softPeakUnits?: ShownUnits };

export const unitsHere = (): ShownUnits => shared.softPeakUnits ?? METRIC;

/** From now on figures are shown so. */
export const showHereIn = (units: ShownUnits): void => {
  shared.softPeakUnits = units;
};
