import { seededNumbers } from '../random';
import type { WhiskInput } from './inputs';
import { networkAt, overrunAt, stageAt, stopWindow, whip, type StopWindow, type Whip } from './whisk';
import { WISHED_STAGES, type MixerKind, type Stage, type WishedStage } from './kinds';

/** Practising the stop: a cream, a mixer and a batch that nobody has seen, whisked without a clock. */

export interface PracticeRun {
  readonly seed: number;
  readonly input: WhiskInput;
  readonly whip: Whip;
  readonly window: StopWindow;
}

/** Bowls that kitchens have for each mixer, mL, and how full they are filled. */
const BOWLS: Readonly<Record<Exclude<MixerKind, 'processor'>, { readonly bowlMl: number; readonly low: number; readonly high: number }>> = {
  planetary: { bowlMl: 4800, low: 0.1, high: 0.28 },
  'hand-mixer': { bowlMl: 2600, low: 0.1, high: 0.26 },
  'balloon-whisk': { bowlMl: 3500, low: 0.04, high: 0.1 },
};

/**
 * The practice run of a seed: a random cream of 33–42 % fat at 3–10 °C with up to 15 g sugar per 100 g, in a random mixer, to a random stage.
 * The stage can always be reached. @param seed whole number, 0 to 2³² − 1.
 */
export function practiceRun(seed: number): PracticeRun {
  const next = seededNumbers(seed);
  const between = (low: number, high: number): number => low + next() * (high - low);
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  for (;;) {
    const mixer = oneOf(['planetary', 'hand-mixer', 'balloon-whisk'] as const);
    const bowl = BOWLS[mixer];
    const input: WhiskInput = {
      fatPct: Math.round(10 * between(33, 42)) / 10,
      sugarPer100: Math.round(between(0, 15)),
      sugarAt: next() < 0.5 ? 'start' : 'soft-peak',
      creamC: Math.round(between(3, 10)),
      softCheeseShare: 0,
      mascarponeShare: 0,
      mixer,
      bowlMl: bowl.bowlMl,
      speed: next() < 0.7 ? 'fast' : 'medium',
      slowFromSoft: next() < 0.4,
      mixMl: Math.round(bowl.bowlMl * between(bowl.low, bowl.high)),
      batches: 1,
      target: oneOf(WISHED_STAGES),
    };
    const made = whip(input);
    const window = made.ok ? stopWindow(made.value, input.target) : null;
    if (made.ok && window && window.closesS !== null) return { seed, input, whip: made.value, window };
  }
}

export interface PracticeResult {
  readonly stage: WishedStage;
  readonly stoppedS: number;
  /** Seconds before the window opened (below 0) or after it closed (above 0); 0 inside it. */
  readonly offS: number;
  readonly reached: Stage | null;
  /** Air when it was stopped, and at the stage's beginning, %. */
  readonly overrunPct: number;
  readonly wishedPct: number;
}

/** How near a stop came to its window. @param stoppedS seconds under the whisk, ≥ 0. */
export function practiceResult(run: PracticeRun, stoppedS: number): PracticeResult {
  const { opensS, closesS } = run.window;
  const offS = stoppedS < opensS ? stoppedS - opensS : closesS !== null && stoppedS > closesS ? stoppedS - closesS : 0;
  return {
    stage: run.input.target,
    stoppedS,
    offS,
    reached: stageAt(networkAt(run.whip, stoppedS)),
    overrunPct: overrunAt(run.whip, stoppedS) ?? 0,
    wishedPct: overrunAt(run.whip, opensS) ?? 0,
  };
}
