import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SPREAD } from '../foam/house';
import { learn, LEARNABLE, learnTogether, SHARED, type Observation } from './correction';

const seen = (ratio: number, at = 0, answer: Observation['answer'] = null): Observation => ({ ratio, at, batchId: `b${at}`, answer });
const { spread, noise } = LEARNABLE['whisk-time'];

describe('what the log makes of a house figure', () => {
  it('without a batch it is the formula with its own band', () => {
    const l = learn([], spread, noise);
    expect(l).toMatchObject({ factor: 1, n: 0, asked: [] });
    expect(l.high).toBeCloseTo(Math.exp(1.2816 * Math.hypot(Math.log(1.209), Math.log(1.08))), 12);
    expect(l.low * l.high).toBeCloseTo(1, 12);
  });
  it('one batch by hand', () => {
    const p = 1 / Math.log(1.209) ** 2;
    const q = 1 / Math.log(1.08) ** 2;
    const l = learn([seen(1.1)], spread, noise);
    expect(Math.log(l.factor)).toBeCloseTo((q * Math.log(1.1)) / (p + q), 12);
    expect(Math.log(l.truth[1] / l.factor)).toBeCloseTo(1.2816 / Math.sqrt(p + q), 12);
    expect(l.n).toBe(1);
  });
  it('many alike come to their ratio, and the next batch keeps the noise of one', () => {
    const l = learn(
      Array.from({ length: 400 }, (_, i) => seen(1.12, i)),
      spread,
      noise,
    );
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
      fc.property(
        fc.array(fc.double({ min: 0.9, max: 1.15, noNaN: true }), { minLength: 1, maxLength: 30 }),
        fc.constantFrom(...Object.values(LEARNABLE)),
        (ratios, f) => {
          const all = ratios.map((r, i) => seen(r, i));
          const l = learn(all, f.spread, f.noise);
          const other = learn(
            ratios.toReversed().map((r, i) => seen(r, i)),
            f.spread,
            f.noise,
          );
          fc.pre(l.asked.length + other.asked.length === 0);
          expect(other.factor).toBeCloseTo(l.factor, 10);
          expect(l.factor).toBeGreaterThanOrEqual(Math.min(1, ...ratios) - 1e-12);
          expect(l.factor).toBeLessThanOrEqual(Math.max(1, ...ratios) + 1e-12);
          const fewer = learn(all.slice(0, -1), f.spread, f.noise);
          expect(l.high / l.low).toBeLessThan(fewer.high / fewer.low);
          expect(l.truth[1] / l.truth[0]).toBeLessThan(l.high / l.low);
        },
      ),
    );
  });
  it('what is no ratio is passed over', () => {
    for (const bad of [0, -1, NaN, Infinity]) expect(learn([seen(bad)], spread, noise).n).toBe(0);
  });
});

describe('what several contexts share', () => {
  const CONTEXTS = [
    { id: 'bench', kind: 'planetary' },
    { id: 'floor', kind: 'planetary' },
    { id: 'hand', kind: 'hand-mixer' },
  ] as const;
  const at = (context: string, ratio: number, t = 0) => ({ ...seen(ratio, t), context });
  const figure = LEARNABLE['whisk-time'];
  const of = (observations: Parameters<typeof learnTogether>[0]) => learnTogether(observations, CONTEXTS, figure);

  it('before any batch the band is that of the house figure: ±30 % of the time, ±20 % of the air, ±45 % of the hold', () => {
    for (const [key, spread] of [
      ['whisk-time', SPREAD.whiskTime],
      ['overrun', SPREAD.overrun],
      ['hold', SPREAD.hold],
    ] as const) {
      const l = learnTogether([], [{ id: 'x', kind: 'k' }], LEARNABLE[key]).get('x')!;
      expect(l.high).toBeCloseTo(1 + spread, 2);
    }
  });
  it('one batch by hand: a mixer of the same kind takes 65 % of what its sister would, one of another kind 40 %', () => {
    const l = of([at('bench', 1.2)]);
    const [own, kin, other] = CONTEXTS.map((c) => Math.log(l.get(c.id)!.factor));
    const v = Math.log(1 + figure.spread) ** 2;
    expect(own!).toBeCloseTo((v / (v + Math.log(1 + figure.noise) ** 2)) * Math.log(1.2), 12);
    expect(kin! / own!).toBeCloseTo(SHARED.kitchen + SHARED.kind, 12);
    expect(other! / own!).toBeCloseTo(SHARED.kitchen, 12);
    expect(SHARED.kitchen + SHARED.kind + SHARED.own).toBeCloseTo(1, 12);
    expect(SHARED).toEqual({ kitchen: 0.4, kind: 0.25, own: 0.35 });
  });
  it('three batches of one mixer make the second one’s band narrower than no batch, and wider than its own three would', () => {
    const width = (l: ReturnType<typeof of>, id: string): number => Math.log(l.get(id)!.truth[1] / l.get(id)!.truth[0]);
    const three = of([1, 2, 3].map((t) => at('bench', 1.15, t)));
    expect(width(three, 'floor')).toBeLessThan(width(of([]), 'floor') * 0.85);
    expect(width(three, 'hand')).toBeLessThan(width(of([]), 'hand') * 0.97);
    expect(width(three, 'hand')).toBeGreaterThan(width(three, 'floor'));
    expect(width(three, 'floor')).toBeGreaterThan(width(three, 'bench'));
    expect(three.get('floor')).toMatchObject({ n: 0, borrowed: 3 });
  });
  it('a context with many batches of its own goes by them, whatever the others say', () => {
    const own = Array.from({ length: 200 }, (_, i) => at('hand', 0.9, i));
    const l = of([...own, ...Array.from({ length: 200 }, (_, i) => at('bench', 1.2, i))]);
    expect(l.get('hand')!.factor).toBeCloseTo(0.9, 2);
    expect(l.get('bench')!.factor).toBeCloseTo(1.2, 2);
  });
  it('laws: order of equals does not matter, no band ever widens, no factor leaves what was seen; it is what one context alone learns', () => {
    const one = fc.record({ context: fc.constantFrom('bench', 'floor', 'hand'), ratio: fc.double({ min: 0.92, max: 1.1, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 25 }), (list) => {
        const all = list.map((o, i) => at(o.context, o.ratio, i));
        const l = of(all);
        const back = of(all.map((o, i) => ({ ...o, at: all.length - i })));
        const fewer = of(all.slice(0, -1));
        fc.pre(CONTEXTS.every((c) => l.get(c.id)!.asked.length + back.get(c.id)!.asked.length === 0));
        for (const c of CONTEXTS) {
          const [x, y, f] = [l.get(c.id)!, back.get(c.id)!, fewer.get(c.id)!];
          expect(y.factor).toBeCloseTo(x.factor, 9);
          expect(x.high / x.low).toBeLessThanOrEqual((f.high / f.low) * (1 + 1e-12));
          expect(x.factor).toBeGreaterThanOrEqual(Math.min(1, ...list.map((o) => o.ratio)) - 1e-9);
          expect(x.factor).toBeLessThanOrEqual(Math.max(1, ...list.map((o) => o.ratio)) + 1e-9);
          expect(x.n + x.borrowed).toBe(list.length);
        }
        const bench = all.filter((o) => o.context === 'bench');
        const alone = learnTogether(bench, [CONTEXTS[0]], figure).get('bench')!;
        expect(learn(bench, figure.spread, figure.noise)).toEqual(alone);
      }),
    );
  });
  it('one far off in its context is asked about there, and moves no other', () => {
    const usual = Array.from({ length: 6 }, (_, i) => at('bench', 1.1, i));
    const open = of([...usual, at('hand', 3, 9)]);
    expect(open.get('hand')!.asked).toHaveLength(1);
    expect(open.get('bench')!.factor).toBe(of(usual).get('bench')!.factor);
    expect(of([...usual, at('nobody', 2, 9)])).toEqual(of(usual));
  });
});
