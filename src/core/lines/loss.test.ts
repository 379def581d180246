import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { composition } from '../composition/components';
import { mix, type Mixture } from '../composition/mixture';
import { isLossText, lossPortion, readLoss, type Loss } from './loss';

const loss = (text: string): Loss => {
  const r = readLoss(text);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const code = (text: string): string | null => {
  const r = readLoss(text);
  return r.ok ? null : r.fault.code;
};
/** What is left of a mix after a loss. */
function left(of: Mixture, lost: Loss): Mixture {
  const portion = lossPortion(lost, of);
  if (!portion.ok) throw new Error(portion.fault.code);
  return mix([
    { massG: of.massG, per100: composition(Object.fromEntries(Object.entries(of.grams).map(([c, g]) => [c, (100 * g) / of.massG]))) },
    portion.value,
  ]);
}
const mixture = (grams: Parameters<typeof composition>[0]): Mixture => ({ grams: composition(grams), massG: Object.values(grams).reduce((a, b) => a + b, 0) });

describe('a line of loss', () => {
  it.each(['less 31 g boils off', 'minus 8 % left in the bowl', 'Less 40 g seeds and skin', '- 30 g evaporates', '−5 % trimmings', '– 20 g sieved out'])(
    '‘%s’ is one',
    (t) => expect(isLossText(t)).toBe(true),
  );
  it.each(['600 g cream', '- 600 g cream', 'lesson cream', '-18 °C', '30 g boiled sweets', 'seedless jam 40 g'])('‘%s’ is none', (t) =>
    expect(isLossText(t)).toBe(false),
  );
  it.each([
    ['less 31 g boils off', { kind: 'boil-off', massG: 31, share: null }],
    ['less 1 oz evaporates', { kind: 'boil-off', massG: 28.349523125, share: null }],
    ['less 8 % left in the bowl', { kind: 'share', massG: null, share: 0.08 }],
    ['less 2,5 % sieved out', { kind: 'share', massG: null, share: 0.025 }],
    ['minus 40 g seeds', { kind: 'share', massG: 40, share: null }],
    ['less 20 % boils off', { kind: 'boil-off', massG: null, share: 0.2 }],
  ])('%s', (text, expected) => expect(loss(text)).toMatchObject(expected));
  it('has its words, or says that it is lost', () => {
    expect(loss('less 8 % left in the bowl').words).toBe('left in the bowl');
    expect(loss('less 30 g').words).toBe('lost');
  });
  it.each([
    ['less', 'no-amount'],
    ['less some', 'no-amount'],
    ['less 0 g boils off', 'not-positive'],
    ['less 0 % left', 'out-of-range'],
    ['less 100 % left', 'out-of-range'],
    ['less 2 cups boils off', 'unknown-unit'],
    ['less 3 boils off', 'unknown-unit'],
  ])('‘%s’ is refused as %s', (text, says) => expect(code(text)).toBe(says));
});

describe('what is lost', () => {
  const syrup = mixture({ water: 100, sucrose: 200 });
  it('by a share takes of everything alike: 8 % of 300 g are 24 g, and the sugar stays two thirds', () => {
    const after = left(syrup, loss('less 8 % left in the bowl'));
    expect(after.massG).toBeCloseTo(276, 9);
    expect(after.grams.sucrose).toBeCloseTo(184, 9);
    expect(after.grams.water).toBeCloseTo(92, 9);
  });
  it('by boiling takes water and leaves the sugar: 40 g off 100 g', () => {
    const after = left(syrup, loss('less 40 g boils off'));
    expect([after.massG, after.grams.water, after.grams.sucrose].map((v) => Math.round(1e6 * v) / 1e6)).toEqual([260, 60, 200]);
  });
  it('of a spirit goes first: what is left of it is the fifth power of the share of water that is left', () => {
    const rum = mixture({ water: 60, ethanol: 40 });
    const after = left(rum, loss('less 50 g boils off'));
    expect(after.massG).toBeCloseTo(50, 6);
    // By hand, w + 40 (w/60)^5 = 50: 42.3 + 40 · 0.1742 = 49.3, 43.2 + 40 · 0.1935 = 50.9, 42.7 + 40 · 0.1827 = 50.0.
    const w = after.grams.water;
    expect(w).toBeCloseTo(42.7, 1);
    expect(after.grams.ethanol).toBeCloseTo(40 * (w / 60) ** 5, 6);
  });
  it('can be no more than what is there, nor anything of nothing', () => {
    const refused = (text: string, of: Mixture): string | null => {
      const r = lossPortion(loss(text), of);
      return r.ok ? null : r.fault.code;
    };
    expect(refused('less 99 g boils off', syrup)).toBeNull();
    expect(refused('less 100 g boils off', syrup)).toBe('more-than-there-is');
    expect(refused('less 299 g seeds', syrup)).toBeNull();
    expect(refused('less 300 g seeds', syrup)).toBe('more-than-there-is');
    expect(refused('less 40 % boils off', syrup)).toBe('more-than-there-is');
    expect(refused('less 1 g seeds', mixture({}))).toBe('nothing-there');
  });
  it('mass is conserved, nothing becomes less than nothing, and more boiled leaves less of each', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.double({ min: 0.01, max: 0.97, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (water, ethanol, sucrose, share, of) => {
          const start = mixture({ water, ethanol, sucrose });
          const boiled = (g: number): Mixture => left(start, { kind: 'boil-off', massG: g, share: null, words: '' });
          const [much, less] = [share * (water + ethanol), share * of * (water + ethanol)];
          const after = boiled(much);
          expect(after.massG).toBeCloseTo(start.massG - much, 6);
          expect(after.grams.sucrose).toBeCloseTo(sucrose, 6);
          for (const c of ['water', 'ethanol'] as const) {
            expect(after.grams[c]).toBeGreaterThan(-1e-6);
            expect(boiled(less).grams[c]).toBeGreaterThan(after.grams[c] - 1e-6);
          }
        },
      ),
    );
  });
});
