import { normalCdf, normalPdf } from './normal';
import { LEAST_SPREAD, REACHES, STRAYS, MOST_WAYS } from './house';
import { applied, matrix, product, solved, times, type Matrix, type Solved } from './linear';
import { scaleOf, type Tastings } from './tastings';

/** A point of a series: each axis from 0 (its lower bound) to 1 (its upper one). */
export type Point = readonly number[];

/** What is known of how a dessert is liked, anywhere between the bounds. */
export interface Liking {
  /** Points of ten where scores were given; of no unit where only pairs were. */
  readonly mean: (x: Point) => number;
  /** How sure that is, in the same unit: covariance of two points. */
  readonly covariance: (a: Point, b: Point) => number;
  /** The same of every two of many points. */
  readonly joint: (xs: readonly Point[]) => Matrix;
}

/** How alike two points are liked before anything is tasted, 0 to 1. Source: the squared-exponential kernel, each axis with its own reach. */
function alike(a: Point, b: Point, reaches: readonly number[]): number {
  let far = 0;
  for (let d = 0; d < a.length; d++) far += ((a[d]! - b[d]!) / reaches[d]!) ** 2;
  return Math.exp(-0.5 * far);
}

/** Slope, curvature and height of how likely what was said is, at a guess of the likings. */
interface Likelihood {
  readonly log: number;
  readonly slope: Float64Array;
  /** Minus its second derivatives. */
  readonly weight: Matrix;
}

function likelihoodOf(said: Tastings, f: ArrayLike<number>, n: number, stray: number, scale: { readonly spread: number }): Likelihood {
  const slope = new Float64Array(n);
  const at = new Float64Array(n * n);
  let log = 0;
  const precision = 1 / stray ** 2;
  // Scores of a sitting count against its own mean: that of the taster is nobody's liking.
  for (const sitting of said.sittings) {
    const m = sitting.length;
    if (m < 2) continue;
    const off = sitting.map((x) => x.score / scale.spread - f[x.trial]!);
    const mean = off.reduce((a, b) => a + b, 0) / m;
    sitting.forEach((x, i) => {
      slope[x.trial]! += (off[i]! - mean) * precision;
      log -= 0.5 * (off[i]! - mean) ** 2 * precision;
      for (const y of sitting) at[x.trial * n + y.trial]! -= precision / m;
      at[x.trial * n + x.trial]! += precision;
    });
    log -= (m - 1) * Math.log(stray * Math.sqrt(2 * Math.PI));
  }
  // Of a pair the better one wins by what it is liked more, and by chance. Source: Thurstone's law of comparative judgement.
  const width = Math.SQRT2 * stray;
  for (const { better, than, same } of said.pairs)
    for (const [up, down, share] of same
      ? ([
          [better, than, 0.5],
          [than, better, 0.5],
        ] as const)
      : ([[better, than, 1]] as const)) {
      const z = (f[up]! - f[down]!) / width;
      const chance = Math.max(1e-12, normalCdf(z));
      const ratio = normalPdf(z) / chance;
      log += share * Math.log(chance);
      const g = (share * ratio) / width;
      const h = (share * ratio * (z + ratio)) / width ** 2;
      slope[up]! += g;
      slope[down]! -= g;
      at[up * n + up]! += h;
      at[down * n + down]! += h;
      at[up * n + down]! -= h;
      at[down * n + up]! -= h;
    }
  return { log, slope, weight: { n, at } };
}

const MOST_TURNS = 40;
const STILL = 1e-9;

interface Fitted {
  readonly slope: Float64Array;
  readonly weight: Matrix;
  readonly apart: Solved;
  /** How well it explains what was said, natural logarithm. */
  readonly evidence: number;
}

/** The likings that explain best what was said, by Newton's steps, and how sharply. Source: Laplace's approximation of a Gaussian process. */
function fitted(k: Matrix, said: Tastings, stray: number, scale: { readonly spread: number }): Fitted | null {
  const { n } = k;
  let f: Float64Array = new Float64Array(n);
  const eye = (m: Matrix): Matrix => matrix(n, (i, j) => m.at[i * n + j]! + (i === j ? 1 : 0));
  for (let turn = 0; ; turn++) {
    const l = likelihoodOf(said, f, n, stray, scale);
    const apart = solved(eye(times(k, l.weight)));
    if (!apart) return null;
    if (turn === MOST_TURNS) return null;
    const pull = applied(l.weight, f).map((x, i) => x + l.slope[i]!);
    const next = apart.of(applied(k, pull));
    const moved = Math.max(...next.map((x, i) => Math.abs(x - f[i]!)));
    f = next;
    if (moved > STILL) continue;
    const there = likelihoodOf(said, f, n, stray, scale);
    const again = solved(eye(times(k, there.weight)));
    if (!again) return null;
    const size = f.reduce((sum, x, i) => sum + x * there.slope[i]!, 0);
    return { slope: there.slope, weight: there.weight, apart: again, evidence: there.log - 0.5 * size - 0.5 * again.log };
  }
}

/** Every combination of one reach for each axis. */
const combinations = (d: number): readonly (readonly (readonly [number, number])[])[] =>
  d === 0 ? [[]] : combinations(d - 1).flatMap((c) => REACHES.map((r) => [...c, r]));

/**
 * What tastings say of a dessert between its bounds: a Gaussian process over the axes, scores and pairs read together, over every
 * reach and every straying of tasters, each counted by how well it explains the answers.
 * @param points where each trial stands. @returns null where nothing can be compared yet.
 */
export function likingOf(points: readonly Point[], said: Tastings): Liking | null {
  const axes = points[0]?.length ?? 0;
  if (points.length < 2 || axes === 0 || (said.pairs.length === 0 && !said.sittings.some((s) => s.length > 1))) return null;
  const scale = scaleOf(said, LEAST_SPREAD);
  const all: { readonly fit: Fitted; readonly reaches: readonly number[]; readonly evidence: number }[] = [];
  for (const chosen of combinations(axes)) {
    const reaches = chosen.map(([r]) => r);
    const prior = chosen.reduce((sum, [, p]) => sum + Math.log(p), 0);
    const k = matrix(points.length, (i, j) => alike(points[i]!, points[j]!, reaches) + (i === j ? 1e-8 : 0));
    for (const [stray, p] of STRAYS) {
      const fit = fitted(k, said, stray, scale);
      if (fit) all.push({ fit, reaches, evidence: fit.evidence + prior + Math.log(p) });
    }
  }
  const kept = all.toSorted((a, b) => b.evidence - a.evidence).slice(0, MOST_WAYS);
  const top = kept[0]?.evidence;
  if (top === undefined) return null;
  const sum = kept.reduce((w, a) => w + Math.exp(a.evidence - top), 0);
  const models = kept.map(({ fit, reaches, evidence }) => {
    const near = (x: Point): Float64Array => {
      const out = new Float64Array(points.length);
      for (let i = 0; i < out.length; i++) out[i] = alike(x, points[i]!, reaches);
      return out;
    };
    const knownOf = (k: Float64Array): Float64Array => applied(fit.weight, fit.apart.of(k));
    return {
      share: Math.exp(evidence - top) / sum,
      mean: (x: Point): number => product(near(x), fit.slope),
      covariance: (a: Point, b: Point): number => alike(a, b, reaches) - product(near(a), knownOf(near(b))),
      joint: (xs: readonly Point[]): Matrix => {
        const nears = xs.map(near);
        const known = nears.map(knownOf);
        return matrix(xs.length, (i, j) => alike(xs[i]!, xs[j]!, reaches) - product(nears[i]!, known[j]!));
      },
    };
  });
  const mean = (x: Point): number => models.reduce((m, one) => m + one.share * one.mean(x), 0);
  return {
    mean: (x) => scale.mean + scale.spread * mean(x),
    // What the ways of explaining it disagree about is not known either.
    covariance: (a, b) => {
      const [ma, mb] = [mean(a), mean(b)];
      return scale.spread ** 2 * models.reduce((c, one) => c + one.share * (one.covariance(a, b) + (one.mean(a) - ma) * (one.mean(b) - mb)), 0);
    },
    joint: (xs) => {
      const means = xs.map(mean);
      const parts = models.map((one) => ({ share: one.share, of: one.joint(xs), off: xs.map((x, i) => one.mean(x) - means[i]!) }));
      return matrix(xs.length, (i, j) => scale.spread ** 2 * parts.reduce((c, p) => c + p.share * (p.of.at[i * xs.length + j]! + p.off[i]! * p.off[j]!), 0));
    },
  };
}
