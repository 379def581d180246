import { normalDraw, seededNumbers } from '../../random';
import { FULL_SCORE } from '../house';
import { learntOf, nextTrial } from '../next-trial';
import type { Point } from '../liking';
import type { Tastings } from '../tastings';

/** Tasters whose true liking is known: for tests and the bench. */
export interface Tasters {
  readonly peak: Point;
  /** Points of ten lost at a whole range from the peak, by axis. */
  readonly steep: readonly number[];
  /** How much two axes make up for each other, −1 to 1: more of one wants less of the other. */
  readonly together?: number;
  readonly many: number;
  /** How far a score strays from the true liking, points. */
  readonly stray: number;
}

/** Five tasters that stray by 0.8 points, with a peak, slopes and an interaction by chance. */
export function someTasters(axes: number, seed: number): Tasters {
  const random = seededNumbers(seed);
  return {
    peak: Array.from({ length: axes }, () => 0.15 + 0.7 * random()),
    steep: Array.from({ length: axes }, () => 8 + 8 * random()),
    together: 1.2 * (random() - 0.5),
    many: 5,
    stray: 0.8,
  };
}

export const trueLiking = (t: Tasters, x: Point): number => {
  const off = x.map((v, d) => Math.sqrt(t.steep[d]!) * (v - t.peak[d]!));
  const own = off.reduce((sum, o) => sum + o * o, 0);
  const both = off.reduce((sum, o, d) => sum + o * (off[d + 1] ?? 0), 0);
  return 8 - own - (t.together ?? 0) * both;
};

/** Scores of each trial by each taster, whole points of ten; each taster gives higher or lower ones throughout. */
export function scored(t: Tasters, points: readonly Point[], random: () => number): Tastings['sittings'] {
  return Array.from({ length: t.many }, () => {
    const own = normalDraw(random);
    return points.map((p, trial) => ({ trial, score: Math.min(FULL_SCORE, Math.max(0, Math.round(trueLiking(t, p) + own + t.stray * normalDraw(random)))) }));
  });
}

/** Each trial against the one before, by each taster. */
export function paired(t: Tasters, points: readonly Point[], random: () => number): Tastings['pairs'] {
  return points.flatMap((p, i) =>
    points.slice(0, i).flatMap((q, j) =>
      Array.from({ length: t.many }, () => {
        const more = trueLiking(t, p) - trueLiking(t, q) + Math.SQRT2 * t.stray * normalDraw(random);
        return more > 0 ? { better: i, than: j, same: false } : { better: j, than: i, same: false };
      }),
    ),
  );
}

/**
 * How far the best point of so many trials lies from the true one: the largest share of a range of any axis.
 * @param how each trial is chosen; at random the trial with the most points counts as the best.
 */
export function missAfter(t: Tasters, trials: number, seed: number, how: 'proposed' | 'random', by: 'scores' | 'pairs' = 'scores'): number {
  const random = seededNumbers(seed);
  const axes = t.peak.length;
  const points: Point[] = [Array.from({ length: axes }, () => 0.5)];
  // What was said of a trial stays said: the same tasters stray alike however often they are asked.
  const said = (): Tastings =>
    by === 'scores'
      ? { sittings: scored(t, points, seededNumbers(seed * 7919)), pairs: [] }
      : { sittings: [], pairs: paired(t, points, seededNumbers(seed * 7919)) };
  while (points.length < trials) points.push(how === 'random' ? points[0]!.map(() => random()) : nextTrial(points, said(), axes));
  const all = said();
  const sumOf = (k: number): number => all.sittings.reduce((sum, s) => sum + (s[k]?.score ?? 0), 0);
  const best =
    how === 'proposed' ? (learntOf(points, all)?.best ?? points[0]!) : points.toSorted((a, b) => sumOf(points.indexOf(b)) - sumOf(points.indexOf(a)))[0]!;
  return Math.max(...best.map((x, d) => Math.abs(x - t.peak[d]!)));
}
