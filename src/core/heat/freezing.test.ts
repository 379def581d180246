import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient } from '../../testing/sample';
import { composition } from '../composition/components';
import { mix } from '../composition/mixture';
import {
  depressionTable,
  freezingCurve,
  freezingStartC,
  frozenShare,
  iceVolumeShare,
  knifeWindow,
  solutionOf,
  sucroseDepressionC,
  sucroseEquivalentG,
  temperatureOfFrozenShare,
  unfrozenWaterG,
  type FreezingPortion,
} from './freezing';

const made = (portions: readonly FreezingPortion[]) => {
  const mixture = mix(portions);
  return { mixture, s: solutionOf(mixture, sucroseEquivalentG(portions)) };
};
const sugarWater = (sugarG: number, waterG = 100) =>
  made([
    { massG: sugarG, per100: composition({ sucrose: 100 }) },
    { massG: waterG, per100: composition({ water: 100 }) },
  ]);

describe('depression', () => {
  it.each([
    [0, 0],
    [3, 0.18],
    [30, 1.86],
    [60, 3.85],
    [99, 7.04],
    [150, 11.41],
    [180, 13.68],
    [190, 13.68 + 0.667],
  ])('%s g sucrose per 100 g water: %s °C', (g, c) => expect(sucroseDepressionC(g)).toBeCloseTo(c, 9));
  it('rises along the whole table', () => {
    const t = depressionTable();
    for (let i = 1; i < t.length; i++) expect(t[i]![1]).toBeGreaterThan(t[i - 1]![1]);
    expect(t).toHaveLength(61);
  });
  it('counts glucose 1.9 and an own factor, and leaves salt to its own figure', () => {
    const one = (c: Parameters<typeof composition>[0], ownFreezing?: number) =>
      sucroseEquivalentG([{ massG: 10, per100: composition(c), ...(ownFreezing === undefined ? {} : { ownFreezing }) }]);
    expect(one({ glucose: 100 })).toBeCloseTo(19, 9);
    expect(one({ salt: 100 })).toBe(0);
    expect(one({ higher_saccharides: 100 }, 1)).toBeCloseTo(10, 9);
    expect(ingredient('trehalose').ownFreezing).toBe(1);
    expect(ingredient('isomalt').ownFreezing).toBe(1);
  });
  it('whole milk starts at −0.5 °C, as dairies measure', () => {
    const { s } = made([{ massG: 1000, per100: ingredient('milk-whole').composition }]);
    expect(Math.abs(freezingStartC(s)! + 0.54)).toBeLessThan(0.06);
  });
});

describe('the curve', () => {
  it('is exact where a table point is met: 30 g sugar in 100 g water has 50 g of ice where 60 per 100 freeze', () => {
    const { s } = sugarWater(30);
    expect(frozenShare(s, -3.85)).toBeCloseTo(0.5, 6);
    expect(temperatureOfFrozenShare(s, 0.5)).toBeCloseTo(-3.85, 9);
  });
  it('is 0 above the start and rises as it gets colder, for any mix', () => {
    fc.assert(
      fc.property(
        fc.record({
          sugar: fc.double({ min: 0, max: 60, noNaN: true }),
          water: fc.double({ min: 5, max: 90, noNaN: true }),
          spirit: fc.double({ min: 0, max: 8, noNaN: true }),
          protein: fc.double({ min: 0, max: 10, noNaN: true }),
        }),
        (m) => {
          const { s } = made([{ massG: 100, per100: composition({ sucrose: m.sugar, water: m.water, ethanol: m.spirit, milk_protein: m.protein }) }]);
          const start = freezingStartC(s);
          if (start === null) return;
          expect(frozenShare(s, start + 0.01)).toBe(0);
          let before = 0;
          for (let t = start; t >= -40; t -= 0.7) {
            const f = frozenShare(s, t);
            expect(f).toBeGreaterThanOrEqual(before - 1e-9);
            expect(f).toBeLessThanOrEqual(1);
            before = f;
          }
          expect(unfrozenWaterG(s, -40)).toBeGreaterThanOrEqual(s.boundG - 1e-9);
          expect(frozenShare(s, -40)).toBeCloseTo(frozenShare(s, -35), 9);
        },
      ),
    );
  });
  it('pure water freezes whole at once; a dry thing has nothing to freeze', () => {
    const { s } = sugarWater(0);
    expect(frozenShare(s, -0.01)).toBe(1);
    expect(frozenShare(s, 0)).toBe(0);
    expect(freezingStartC(made([{ massG: 10, per100: composition({ sucrose: 100 }) }]).s)).toBeNull();
  });
  it('alcohol and milk salts lower it: 10 g ethanol in 100 g water by 4.2 °C', () => {
    const { s } = made([
      { massG: 10, per100: composition({ ethanol: 100 }) },
      { massG: 100, per100: composition({ water: 100 }) },
    ]);
    expect(freezingStartC(s)).toBeCloseTo(-4.2, 6);
  });
  it('salt lowers it by 0.59 °C for a gram in 100 g of water, at any strength', () => {
    for (const g of [1, 5, 10])
      expect(
        freezingStartC(
          made([
            { massG: g, per100: composition({ salt: 100 }) },
            { massG: 100, per100: composition({ water: 100 }) },
          ]).s,
        ),
      ).toBeCloseTo(-0.59 * g, 9);
  });
  it('draws from the same function', () => {
    const { s } = sugarWater(30);
    expect(freezingCurve(s, 0, -20, 5).map((p) => p.frozen)).toEqual([0, -5, -10, -15, -20].map((t) => frozenShare(s, t)));
  });
});

describe('the knife', () => {
  const m = sugarWater(30);
  it('too soft is an answer of its own: less than half of the water is ice at the freezer', () => {
    const strong = made([
      { massG: 40, per100: composition({ sucrose: 100 }) },
      { massG: 14, per100: composition({ ethanol: 100 }) },
      { massG: 100, per100: composition({ water: 100 }) },
    ]);
    const w = knifeWindow(strong.mixture, strong.s, 60, -12);
    expect(w).toMatchObject({ ok: true, value: { straight: 'soft', warmC: null, coldC: null } });
    // Colder, it is frozen enough.
    expect(knifeWindow(strong.mixture, strong.s, 60, -25)).toMatchObject({ ok: true, value: { straight: expect.stringMatching(/clean|rest|hard/) as string } });
  });
  it('a window never ends colder than the freezer, and never turns inside out', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: -30, max: -8, noNaN: true }),
        (sugar, spirit, freezerC) => {
          const x = made([
            { massG: sugar, per100: composition({ sucrose: 100 }) },
            { massG: spirit, per100: composition({ ethanol: 100 }) },
            { massG: 100, per100: composition({ water: 100 }) },
          ]);
          const w = knifeWindow(x.mixture, x.s, 60, freezerC);
          if (!w.ok || w.value.warmC === null || w.value.coldC === null) return;
          expect(w.value.coldC).toBeGreaterThanOrEqual(freezerC - 1e-9);
          expect(w.value.warmC).toBeGreaterThanOrEqual(w.value.coldC - 1e-9);
        },
      ),
    );
  });
  it('goes through between 50 and 68 % ice', () => {
    const w = knifeWindow(m.mixture, m.s, 0, -18);
    if (!w.ok) throw new Error(w.fault.says);
    expect(frozenShare(m.s, w.value.warmC!)).toBeCloseTo(0.5, 6);
    expect(frozenShare(m.s, w.value.coldC!)).toBeCloseTo(0.68, 6);
    expect(w.value.straight).toBe('hard');
  });
  it('air lowers the ice by volume; with enough of it the window reaches down to the freezer', () => {
    expect(iceVolumeShare(m.mixture, m.s, 100, -18)).toBeCloseTo(iceVolumeShare(m.mixture, m.s, 0, -18) / 2, 9);
    const w = knifeWindow(m.mixture, m.s, 250, -18);
    expect(w.ok && w.value.straight).toBe('clean');
    expect(w.ok && w.value.coldC).toBe(-18);
  });
  it.each([[5], [-50], [NaN]])('has no figure for a freezer at %s °C', (t) => expect(knifeWindow(m.mixture, m.s, 0, t).ok).toBe(false));
});
