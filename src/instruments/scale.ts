import { GRAMS_PER_OZ, type InstrumentLine } from './wire';
import { noiseAt } from './noise';

/** A stand-in for a kitchen scale: it settles, drifts, shows steps, can be tared and switched to ounces. Time in ms since 1970. */
export interface ScaleBench {
  readonly id: string;
  readonly name: string;
  /** What lies on it, g, and since when; what lay on it before. */
  readonly loadG: number;
  readonly since: number;
  readonly beforeG: number;
  /** What tare took off, g. */
  readonly tareG: number;
  readonly unit: 'g' | 'oz';
  /** Creep of the zero, g per minute, from `driftFrom` on. */
  readonly driftGPerMin: number;
  readonly driftFrom: number;
  readonly silent: boolean;
}

const SETTLES_MS = 350;
const STEP_G = 1;
const NOISE_G = 0.25;

export const freshScale = (now: number): ScaleBench => ({
  id: 'stand-in-scale',
  name: 'scale',
  loadG: 0,
  since: now,
  beforeG: 0,
  tareG: 0,
  unit: 'g',
  driftGPerMin: 0,
  driftFrom: now,
  silent: false,
});

/** What lies on it as it shows: on its way from before to now. */
function trueG(s: ScaleBench, now: number): number {
  const settled = 1 - Math.exp(-Math.max(0, now - s.since) / SETTLES_MS);
  return s.beforeG + (s.loadG - s.beforeG) * settled + (s.driftGPerMin * (now - s.driftFrom)) / 60_000;
}

/** Puts a weight on it, g ≥ 0. */
export const putOn = (s: ScaleBench, loadG: number, now: number): ScaleBench => ({ ...s, beforeG: trueG({ ...s, driftGPerMin: 0 }, now), loadG, since: now });
export const tare = (s: ScaleBench, now: number): ScaleBench => ({ ...s, tareG: trueG(s, now) });

/** What it says at a moment; null while it is silent. */
export function scaleSays(s: ScaleBench, now: number): InstrumentLine | null {
  if (s.silent) return null;
  const g = trueG(s, now) - s.tareG + NOISE_G * noiseAt(`${s.id}`, now);
  const shownG = Math.round(g / STEP_G) * STEP_G;
  const stable = now - s.since > 6 * SETTLES_MS;
  return {
    instrument: 'scale',
    id: s.id,
    name: s.name,
    unit: s.unit,
    value: s.unit === 'oz' ? Math.round((shownG / GRAMS_PER_OZ) * 100) / 100 : shownG,
    stable,
    at: now,
  };
}
