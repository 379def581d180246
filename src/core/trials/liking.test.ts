import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { spreadPoints } from './filling';
import { BAND_Z, REACHES, STRAYS } from './house';
import { applied, matrix, rootOf, solved, times } from './linear';
import { likingOf, type Point } from './liking';
import { learntOf, gainOver, nextTrial } from './next-trial';
import { normalCdf, normalPdf } from './normal';
import { missAfter, someTasters, trueLiking } from './proving/tasters';
import { scaleOf, tastedOf, type Tastings } from './tastings';

const NOTHING: Tastings = { sittings: [], pairs: [] };
const scores = (...of: readonly (readonly number[])[]): Tastings => ({ sittings: of.map((s) => s.map((score, trial) => ({ trial, score }))), pairs: [] });

describe('the bell curve', () => {
  it.each([
    [0, 0.5],
    [1, 0.841344746068543],
    [-1.96, 0.02499789514822],
    [3, 0.99865010196837],
    [-6, 9.865876450377e-10],
  ])('below %d lies %d', (z, share) => expect(normalCdf(z)).toBeCloseTo(share, 12));
  it('its slope is its height, and four in five lie within the band', () => {
    for (const z of [-2, -0.3, 0.7, 1.9]) expect((normalCdf(z + 1e-5) - normalCdf(z - 1e-5)) / 2e-5).toBeCloseTo(normalPdf(z), 8);
    expect(normalCdf(BAND_Z) - normalCdf(-BAND_Z)).toBeCloseTo(0.8, 4);
    expect([normalCdf(-40), normalCdf(40)]).toEqual([0, 1]);
  });
});

describe('small systems', () => {
  it('what is solved gives back what it was solved for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 16, maxLength: 16 }),
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (m, b) => {
          const a = matrix(4, (i, j) => m[4 * i + j]! + (i === j ? 8 : 0));
          const back = applied(a, solved(a)!.of(b));
          b.forEach((v, i) => expect(back[i]).toBeCloseTo(v, 8));
        },
      ),
    );
    expect(solved(matrix(2, () => 1))).toBeNull();
    // By hand: the determinant of [[2, 1], [1, 3]] is 5.
    expect(solved(matrix(2, (i, j) => [2, 1, 1, 3][2 * i + j]!))!.log).toBeCloseTo(Math.log(5), 12);
  });
  it('a root times its mirror is the covariance', () => {
    const c = matrix(3, (i, j) => Math.exp(-((i - j) ** 2)));
    const root = rootOf(c);
    const back = times(
      { n: 3, at: root },
      matrix(3, (i, j) => root[3 * j + i]!),
    );
    back.at.forEach((v, i) => expect(v).toBeCloseTo(c.at[i]!, 8));
  });
});

describe('what tasters said', () => {
  it('one score alone compares nothing', () => {
    expect(tastedOf(scores([7])).size).toBe(0);
    expect([...tastedOf({ sittings: [], pairs: [{ better: 2, than: 0, same: true }] })].toSorted()).toEqual([0, 2]);
  });
  it('how much scores differ is reckoned within each sitting', () => {
    // By hand: each sitting has 1 point on either side of its mean, two free: √(4 / 2).
    expect(scaleOf(scores([2, 4], [7, 9]), 0.1)).toEqual({ mean: 5.5, spread: Math.SQRT2 });
    expect(scaleOf(scores([5, 5]), 0.5).spread).toBe(0.5);
  });
});

describe('the liking between the bounds', () => {
  const points: readonly Point[] = [[0], [0.5], [1]];
  it('is not known before anything is compared', () => {
    expect(likingOf(points, NOTHING)).toBeNull();
    expect(likingOf(points, scores([5]))).toBeNull();
    expect(likingOf([[0.5]], scores([5, 6]))).toBeNull();
    expect(learntOf(points, NOTHING)).toBeNull();
  });
  it('follows the scores, and knows less where nothing was tasted', () => {
    const l = likingOf(points, scores([4, 8, 5], [5, 9, 5], [3, 8, 4]))!;
    expect(l.mean([0.5])).toBeGreaterThan(l.mean([0]) + 2);
    expect(l.mean([0.5])).toBeGreaterThan(l.mean([1]) + 2);
    expect(l.covariance([0.5], [0.5])).toBeLessThan(l.covariance([0.25], [0.25]) + l.covariance([0.5], [0.5]));
    expect(l.covariance([0.2], [0.7])).toBeCloseTo(l.covariance([0.7], [0.2]), 10);
    const joint = l.joint([[0.2], [0.7], [0.9]]);
    expect(joint.at[1]).toBeCloseTo(l.covariance([0.2], [0.7]), 10);
    expect(joint.at[8]).toBeCloseTo(l.covariance([0.9], [0.9]), 10);
  });
  it('a taster who gives two points more to everything changes nothing', () => {
    const [a, b] = [likingOf(points, scores([4, 8, 5], [5, 9, 5]))!, likingOf(points, scores([4, 8, 5], [7, 11, 7]))!];
    for (const x of [0, 0.3, 0.8]) expect(b.mean([x]) - b.mean([0.5])).toBeCloseTo(a.mean([x]) - a.mean([0.5]), 8);
  });
  it('pairs alone say which way it goes; one that is called the same says neither', () => {
    const won = likingOf([[0], [1]], { sittings: [], pairs: Array.from({ length: 6 }, () => ({ better: 1, than: 0, same: false })) })!;
    expect(won.mean([1])).toBeGreaterThan(won.mean([0]) + 0.3);
    const same = likingOf([[0], [1]], { sittings: [], pairs: [{ better: 1, than: 0, same: true }] })!;
    expect(same.mean([1]) - same.mean([0])).toBeCloseTo(0, 8);
  });
  it('what is chosen between is a likelihood', () => {
    for (const list of [REACHES, STRAYS]) expect(list.reduce((sum, [, p]) => sum + p, 0)).toBeCloseTo(1, 12);
  });
  it('may gain nothing over itself, and something where it is not known', () => {
    const l = likingOf(points, scores([4, 8, 5], [5, 9, 5]))!;
    expect(gainOver(l, [0.5])([0.5])).toBe(0);
    expect(gainOver(l, [0.5])([0.3])).toBeGreaterThan(0);
  });
});

describe('what another trial may gain', () => {
  it('is said as it is reckoned; where a next trial is chosen a surprise counts more', () => {
    const points: Point[] = [[0.5], [0.12], [0.88]];
    const said = scores([6, 3, 8], [6, 2, 8], [7, 3, 8]);
    const l = likingOf(points, said)!;
    expect(gainOver(l, [0.88], 1.5)([0.3])).toBeGreaterThan(gainOver(l, [0.88])([0.3]));
    const learnt = learntOf(points, said)!;
    expect(learnt.gain).toBeCloseTo(Math.max(...spreadPoints(1, 400).map(gainOver(l, learnt.best))), 1);
  });
  it('has no points where only pairs were compared', () => {
    const learnt = learntOf([[0], [1]], { sittings: [], pairs: [{ better: 1, than: 0, same: false }] })!;
    expect(learnt.gain).toBeNull();
    expect(learnt.best[0]).toBeGreaterThan(0.5);
  });
});

describe('the next trial', () => {
  it('first lies far from what is tried, and off the bounds', () => {
    const second = nextTrial([[0.5, 0.5]], NOTHING, 2);
    expect(Math.hypot(second[0]! - 0.5, second[1]! - 0.5)).toBeGreaterThan(0.5);
    for (const x of second) expect(x >= 0.12 - 1e-9 && x <= 0.88 + 1e-9).toBe(true);
    const third = nextTrial([[0.5, 0.5], second], NOTHING, 2);
    expect(Math.min(...[[0.5, 0.5], second].map((p) => Math.hypot(third[0]! - p[0]!, third[1]! - p[1]!)))).toBeGreaterThan(0.4);
  });
  it('then goes to where the scores point', () => {
    const next = nextTrial([[0.5], [0.12], [0.88]], scores([6, 3, 8], [6, 2, 8], [7, 3, 8]), 1);
    expect(next[0]).toBeGreaterThan(0.6);
  });
  it('is none that waits to be tasted', () => {
    const points: Point[] = [[0.5], [0.12], [0.88]];
    const said = scores([6, 3, 8], [6, 2, 8], [7, 3, 8]);
    const fourth = nextTrial(points, said, 1);
    const fifth = nextTrial([...points, fourth], said, 1);
    expect(Math.abs(fifth[0]! - fourth[0]!)).toBeGreaterThan(0.04);
  });
  it('every point is between the bounds', () => {
    for (const axes of [1, 2, 3]) for (const p of spreadPoints(axes, 50)) expect(p.length === axes && p.every((x) => x >= 0 && x <= 1)).toBe(true);
  });
});

describe('truth: tasters whose liking is known', () => {
  const found = (axes: number, trials: number, runs: number, how: 'proposed' | 'random'): number =>
    Array.from({ length: runs }, (_, r) => missAfter(someTasters(axes, 700 + r), trials, r + 1, how)).filter((m) => m <= 0.1).length / runs;
  it('the peak is the most liked', () => {
    const t = someTasters(2, 3);
    expect(trueLiking(t, t.peak)).toBe(8);
    expect(trueLiking(t, [0, 0])).toBeLessThan(8);
  });
  it('one and two things: nine trials come within a tenth in four runs of five, and at random in far fewer', () => {
    expect(found(1, 9, 16, 'proposed')).toBeGreaterThanOrEqual(0.8);
    expect(found(2, 9, 16, 'proposed')).toBeGreaterThanOrEqual(0.8);
    expect(found(2, 9, 200, 'random')).toBeLessThanOrEqual(0.35);
  }, 300_000);
  it('three things: twelve trials come there in more than half of the runs, at random in one of ten; pairs teach as scores do', () => {
    expect(found(3, 12, 10, 'proposed')).toBeGreaterThanOrEqual(0.5);
    expect(found(3, 12, 200, 'random')).toBeLessThanOrEqual(0.2);
    const byPairs = Array.from({ length: 10 }, (_, r) => missAfter(someTasters(1, 900 + r), 7, r + 1, 'proposed', 'pairs')).filter((m) => m <= 0.1).length;
    expect(byPairs).toBeGreaterThanOrEqual(8);
  }, 300_000);
  it('says how sure it is: less after three trials than after nine, and when to stop', () => {
    const t = { ...someTasters(1, 5), stray: 0.3 };
    const points: Point[] = [[0.5], [0.12], [0.88], [0.3], [0.7], [0.2], [0.4], [0.6], [0.8]];
    const said = (n: number): Tastings => ({
      sittings: Array.from({ length: 5 }, (_, k) => points.slice(0, n).map((p, trial) => ({ trial, score: Math.round(trueLiking(t, p) + (k % 2)) }))),
      pairs: [],
    });
    const [few, many] = [learntOf(points.slice(0, 3), said(3))!, learntOf(points, said(9))!];
    expect(few.stop).toBeNull();
    expect(many.sure).toBeGreaterThanOrEqual(few.sure);
    expect(many.stop).not.toBeNull();
    expect(Math.abs(many.best[0]! - t.peak[0]!)).toBeLessThanOrEqual(0.1);
    for (const [d, [low, high]] of many.between.entries()) expect(low <= many.best[d]! && many.best[d]! <= high).toBe(true);
    for (const p of many.curves[0]!.points) expect(p.low <= p.y && p.y <= p.high).toBe(true);
  });
});
