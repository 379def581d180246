import { normalDraw, seededNumbers } from '../core/random';
import { networkAt, type Whip } from '../core/foam/whisk';

/**
 * A stand-in for a sensor on a mixer's motor: what it would show while a cream is whisked. A seeded physical model of its own (viscous drag
 * that grows as a power of the network, the clumps that free the whisk), with noise, drop-outs, jumps and a zero that lies.
 */
export interface LoadBench {
  readonly whip: Whip;
  /** How much quicker this cream really goes than the forecast. */
  readonly pace: number;
  readonly seed: number;
  /** % of the load at firm: where nothing is, how far the gain is off. */
  readonly zero: number;
  readonly gain: number;
  /** Standard deviation of a sample, %. */
  readonly noise: number;
  /** Share of samples that never come. */
  readonly dropouts: number;
  /** The bowl is knocked so often per minute, and the zero jumps. */
  readonly knocksPerMin: number;
}

/** Samples per second. */
export const LOAD_HZ = 4;

/** What a mixer of this bench draws at a network x, over its load at firm: drag rises as a power of its own, butter frees the whisk. */
function drag(x: number, power: number): number {
  const rise = ((x - 0.02) / 0.53) ** power;
  const freed = x > 0.66 ? 1 / (1 + Math.exp((x - 0.84) / 0.035)) : 1;
  return 0.45 + (Math.min(rise, 1.25 + 0.1 * rise) - 0.45) * freed;
}

/** The sample of a moment, or null where it dropped out. The same bench shows the same at the same moment. @param index counts samples from 0. @param lostS seconds that the cream is younger than the clock, from whisking on slow. */
export function loadSample(bench: LoadBench, index: number, lostS = 0): { readonly tS: number; readonly load: number } | null {
  const own = seededNumbers(bench.seed);
  const power = 1.3 + 0.45 * own();
  const drift = (own() - 0.5) * 0.02;
  const tS = index / LOAD_HZ;
  const next = seededNumbers(bench.seed + 7919 * (index + 1));
  if (next() < bench.dropouts) return null;
  let knocked = 0;
  for (let minute = 0; minute * 60 <= tS; minute++) {
    const knock = seededNumbers(bench.seed * 31 + minute);
    if (knock() < bench.knocksPerMin && minute * 60 + 60 * knock() <= tS) knocked += (knock() < 0.5 ? -1 : 1) * (8 + 27 * knock());
  }
  const spike = next() < 0.004 ? 90 * (next() - 0.5) : 0;
  const load =
    bench.zero + knocked + drift * tS + bench.gain * drag(networkAt(bench.whip, (tS - lostS) * bench.pace), power) + bench.noise * normalDraw(next) + spike;
  return { tS, load };
}

/** A bench with faults of the usual size, drawn from a seed. */
export function usualBench(whip: Whip, pace: number, seed: number): LoadBench {
  const next = seededNumbers(seed ^ 0x5eed);
  return {
    whip,
    pace,
    seed,
    zero: 30 * (next() - 0.5),
    gain: 100 * (1 + 0.24 * (next() - 0.5)),
    noise: 2 + 3 * next(),
    dropouts: 0.05 * next(),
    knocksPerMin: 0.15,
  };
}
