import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { learn, LEARNABLE, type Observation } from './correction';

const seen = (ratio: number, at = 0, answer: Observation['answer'] = null): Observation => ({ ratio, at, batchId: `b${at}`, answer });
const { spread, noise } = LEARNABLE['whisk-time'];

describe('what the log makes of a house figure', () => {
  it('without a batch it is the formula with its own band', () => {
    const l = learn([], spread, noise);
    expect(l).toMatchObject({ factor: 1, n: 0, asked: [] });
    expect(l.high).toBeCloseTo(Math.exp(1.2816 * Math.hypot(Math.log(1.18), Math.log(1.08))), 12);
    expect(l.low * l.high).toBeCloseTo(1, 12);
  });
  it('one batch by hand', () => {
    const p = 1 / Math.log(1.18) ** 2;
    const q = 1 / Math.log(1.08) ** 2;
    const l = learn([seen(1.1)], spread, noise);
    expect(Math.log(l.factor)).toBeCloseTo((q * Math.log(1.1)) / (p + q), 12);
    expect(Math.log(l.truth[1] / l.factor)).toBeCloseTo(1.2816 / Math.sqrt(p + q), 12);
    expect(l.n).toBe(1);
  });
  it('many alike come to their ratio, and the next batch keeps the noise of one', () => {
    const l = learn(Array.from({ length: 400 }, (_, i) => seen(1.12, i)), spread, noise);
    expect(l.factor).toBeCloseTo(1.12, 3);
    expect(Math.log(l.high / l.factor)).toBeCloseTo(1.2816 * Math.log(1.08), 3);
  });
  it('one far off is asked about; the answer decides', () => {
    const usual = Array.from({ length: 6 }, (_, i) => seen(1.1, i));
    const open = learn([...usual, seen(1.9, 9)], spread, noise);
    expect(open.asked.map((o) => o.batchId)).toEqual(['b9']);
    expect(open.factor).toBe(learn(usual, spread, noise).factor);
    expect(learn([...usual, seen(1.9, 9, 'leave-out')], spread, noise)).toEqual(learn(usual, spread, noise));
    const counted = learn([...usual, seen(1.9, 9, 'count')], spread, noise);
    expect(counted.n).toBe(7);
    expect(counted.factor).toBeGreaterThan(open.factor);
  });
  it('laws: order does not matter while none is asked about, the factor lies between 1 and the outcomes, more batches never widen the band', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.9, max: 1.15, noNaN: true }), { minLength: 1, maxLength: 30 }), fc.constantFrom(...Object.values(LEARNABLE)), (ratios, f) => {
        const all = ratios.map((r, i) => seen(r, i));
        const l = learn(all, f.spread, f.noise);
        expect(l.asked).toHaveLength(0);
        const other = learn(ratios.toReversed().map((r, i) => seen(r, i)), f.spread, f.noise);
        expect(other.factor).toBeCloseTo(l.factor, 10);
        expect(l.factor).toBeGreaterThanOrEqual(Math.min(1, ...ratios) - 1e-12);
        expect(l.factor).toBeLessThanOrEqual(Math.max(1, ...ratios) + 1e-12);
        const fewer = learn(all.slice(0, -1), f.spread, f.noise);
        expect(l.high / l.low).toBeLessThan(fewer.high / fewer.low);
        expect(l.truth[1] / l.truth[0]).toBeLessThan(l.high / l.low);
      }),
    );
  });
  it('what is no ratio is passed over', () => {
    for (const bad of [0, -1, NaN, Infinity]) expect(learn([seen(bad)], spread, noise).n).toBe(0);
  });
});
