import { normalCdf, normalPdf } from './normal';
import { emptiest, spreadPoints } from './filling';
import { FILLING_TRIALS, MOST_TRIALS, NEAR_SHARE, SURE_ENOUGH, SURPRISE, WORTH_POINTS, WORTH_SHARE, BAND_Z } from './house';
import { likingOf, type Liking, type Point } from './liking';
import { rootOf } from './linear';
import { normalDraw, seededNumbers } from '../random';
import { tastedOf, type Tastings } from './tastings';

/** Points that are looked at for the best one and for the next one. */
const LOOKED_AT = 400;
/** Points between which the best one is drawn, and how often. */
const DRAWN_BETWEEN = 140;
const DRAWS = 400;
/** Steps that a point is moved by on its way to a peak, shares of a range. */
const STEPS = [0.08, 0.02, 0.005];
/** Points of a curve. */
const CURVE_POINTS = 25;

/** Moves a point along its axes while that makes it better. */
function climbed(from: Point, worth: (x: Point) => number): Point {
  let best = from;
  let value = worth(from);
  for (const step of STEPS)
    for (let moved = true; moved;) {
      moved = false;
      for (let d = 0; d < best.length; d++)
        for (const by of [step, -step]) {
          const there = best.map((x, i) => (i === d ? Math.min(1, Math.max(0, x + by)) : x));
          const v = worth(there);
          if (v > value + 1e-12) [best, value, moved] = [there, v, true];
        }
    }
  return best;
}

const highest = (points: readonly Point[], worth: (x: Point) => number): Point => {
  let best = points[0]!;
  let value = -Infinity;
  for (const p of points) {
    const v = worth(p);
    if (v > value) [best, value] = [p, v];
  }
  return climbed(best, worth);
};

/**
 * How much better than the best one a point may turn out to be, on average; the same unit as the liking. Source: expected improvement (Mockus 1975).
 * @param surprise how much wider than reckoned what is not known is thought: 1 for what is said to a cook.
 */
export function gainOver(liking: Liking, best: Point, surprise = 1): (x: Point) => number {
  const [height, own] = [liking.mean(best), liking.covariance(best, best)];
  return (x) => expected(liking.mean(x) - height, surprise * Math.sqrt(Math.max(0, liking.covariance(x, x) + own - 2 * liking.covariance(x, best))));
}

/** The mean of what is above 0 of a bell curve. */
function expected(more: number, spread: number): number {
  if (spread < 1e-9) return Math.max(0, more);
  const z = more / spread;
  return more * normalCdf(z) + spread * normalPdf(z);
}

/** What has been learnt of an axis, with the others where the best point is. */
export interface Curve {
  readonly points: readonly { readonly x: number; readonly y: number; readonly low: number; readonly high: number }[];
}

/** What a series has come to. */
export interface Learnt {
  /** The point that is liked best, by all that was tasted. */
  readonly best: Point;
  /** How likely it is within a tenth of each range of the true one, 0 to 1. */
  readonly sure: number;
  /** Between which values of each axis the true best lies, four times in five. */
  readonly between: readonly (readonly [low: number, high: number])[];
  readonly curves: readonly Curve[];
  /** What another trial may gain, points of ten; null where only pairs were compared, which have no points. */
  readonly gain: number | null;
  /** Why no further trial is proposed; null while one is. */
  readonly stop: 'sure' | 'little to gain' | 'long enough' | null;
}

const SEED = 20_261_201;

/** The best point's own spread: drawn many times from all that is still possible. */
function surenessOf(liking: Liking, best: Point): Pick<Learnt, 'sure' | 'between'> {
  const axes = best.length;
  const between = [best, ...spreadPoints(axes, DRAWN_BETWEEN).slice(0, DRAWN_BETWEEN - 1)];
  const n = between.length;
  const means = between.map((p) => liking.mean(p));
  const root = rootOf(liking.joint(between));
  const random = seededNumbers(SEED);
  const found: Point[] = [];
  for (let draw = 0; draw < DRAWS; draw++) {
    const z = Float64Array.from({ length: n }, () => normalDraw(random));
    let top = 0;
    let height = -Infinity;
    for (let i = 0; i < n; i++) {
      let v = means[i]!;
      for (let k = 0; k <= i; k++) v += root[i * n + k]! * z[k]!;
      if (v > height) [top, height] = [i, v];
    }
    found.push(between[top]!);
  }
  const near = found.filter((p) => p.every((x, d) => Math.abs(x - best[d]!) <= NEAR_SHARE + 1e-9)).length;
  return {
    sure: near / DRAWS,
    between: best.map((_, d) => {
      const sorted = found.map((p) => p[d]!).sort((a, b) => a - b);
      return [Math.min(best[d]!, sorted[Math.floor(0.1 * DRAWS)]!), Math.max(best[d]!, sorted[Math.floor(0.9 * DRAWS)]!)] as const;
    }),
  };
}

/**
 * What all tastings together say of a series.
 * @param points of the trials, tasted or not, in their order. @returns null where nothing can be compared yet.
 */
export function learntOf(points: readonly Point[], said: Tastings): Learnt | null {
  const liking = likingOf(points, said);
  if (!liking) return null;
  const axes = points[0]!.length;
  const best = highest([...points, ...spreadPoints(axes, LOOKED_AT)], liking.mean);
  const sureness = surenessOf(liking, best);
  const tasted = tastedOf(said).size;
  const scored = said.sittings.some((s) => s.length > 1);
  const gains = gainOver(liking, best);
  const gain = gains(highest(spreadPoints(axes, LOOKED_AT), gains));
  const open = tasted <= FILLING_TRIALS;
  return {
    best,
    ...sureness,
    curves: best.map((_, d) => ({
      points: Array.from({ length: CURVE_POINTS }, (_, i) => {
        const x = i / (CURVE_POINTS - 1);
        const there = best.map((v, k) => (k === d ? x : v));
        const [y, spread] = [liking.mean(there), Math.sqrt(Math.max(0, liking.covariance(there, there)))];
        return { x, y, low: y - BAND_Z * spread, high: y + BAND_Z * spread };
      }),
    })),
    gain: scored ? gain : null,
    stop: open
      ? null
      : sureness.sure >= SURE_ENOUGH
        ? 'sure'
        : gain < (scored ? WORTH_POINTS : WORTH_SHARE)
          ? 'little to gain'
          : points.length >= MOST_TRIALS
            ? 'long enough'
            : null,
  };
}

/**
 * Where the next trial should stand: farthest from what was tried while there are few, then where most may be gained over the best one.
 * @param points of the trials so far, tasted or not; the first is mostly the sheet as it is. @param axes how many are varied, 1 to 3.
 */
export function nextTrial(points: readonly Point[], said: Tastings, axes: number): Point {
  const candidates = spreadPoints(axes, LOOKED_AT);
  const tasted = tastedOf(said);
  const liking = tasted.size < FILLING_TRIALS ? null : likingOf(points, said);
  if (!liking || points.length < FILLING_TRIALS) return emptiest(candidates, points);
  const best = highest([...points, ...candidates], liking.mean);
  // One that waits to be tasted is not made twice.
  const waits = points.filter((_, i) => !tasted.has(i));
  const free = candidates.filter((p) => waits.every((q) => p.some((x, d) => Math.abs(x - q[d]!) > NEAR_SHARE)));
  const next = highest(free.length > 0 ? free : candidates, gainOver(liking, best, SURPRISE));
  return waits.every((q) => next.some((x, d) => Math.abs(x - q[d]!) > NEAR_SHARE / 2)) ? next : emptiest(candidates, points);
}
