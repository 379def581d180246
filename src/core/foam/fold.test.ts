import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { foldAccount, type Fold, type FoamVolume } from './fold';

/** The bowl after the last fold. */
const foldTogether = (base: FoamVolume, folds: readonly Fold[], stiff: boolean): FoamVolume => {
  const { mixMl, airMl } = foldAccount(base, folds, stiff).at(-1) ?? base;
  return { mixMl, airMl };
};

const foam = fc.record({
  mixMl: fc.double({ min: 1, max: 3000, noNaN: true }),
  airMl: fc.double({ min: 0, max: 9000, noNaN: true }),
  firstShare: fc.constantFrom(0, 0.25, 1 / 3),
  whiskedIn: fc.boolean(),
});

describe('folding', () => {
  it('one foam into a soft base keeps 93 % of its air, into a stiff one 80 %', () => {
    const one = { mixMl: 100, airMl: 100, firstShare: 0, whiskedIn: false };
    expect(foldTogether({ mixMl: 200, airMl: 0 }, [one], false)).toEqual({ mixMl: 300, airMl: 93 });
    expect(foldTogether({ mixMl: 200, airMl: 0 }, [one], true).airMl).toBeCloseTo(80, 9);
    expect(foldTogether({ mixMl: 200, airMl: 0 }, [{ ...one, whiskedIn: true }], true).airMl).toBeCloseTo(75, 9);
  });
  it('a third given up first saves the rest: (33.3·0.55 + 66.7)·0.93', () => {
    const third = { mixMl: 100, airMl: 100, firstShare: 1 / 3, whiskedIn: false };
    expect(foldTogether({ mixMl: 200, airMl: 0 }, [third], true).airMl).toBeCloseTo((100 / 3) * 0.55 * 0.93 + (200 / 3) * 0.93, 9);
  });
  it('a portion given up first pays in a stiff base and costs in a soft one, whether a quarter or a third', () => {
    for (const firstShare of [0.25, 1 / 3]) {
      const air = (share: number, stiff: boolean): number =>
        foldTogether({ mixMl: 200, airMl: 0 }, [{ mixMl: 100, airMl: 100, firstShare: share, whiskedIn: false }], stiff).airMl;
      if (firstShare === 0.25) expect(air(firstShare, true)).toBeGreaterThan(air(0, true) + 2);
      expect(air(firstShare, false)).toBeLessThan(air(0, false) - 5);
    }
  });
  it('every fold costs every foam in the bowl', () => {
    const one = { mixMl: 100, airMl: 100, firstShare: 0, whiskedIn: false };
    expect(foldTogether({ mixMl: 0, airMl: 0 }, [one, { ...one, airMl: 0 }], false).airMl).toBeCloseTo(93 * 0.93, 9);
  });
  it('volumes add; air is never negative and never more than was brought; one fold more never adds air of its own', () => {
    fc.assert(
      fc.property(foam, fc.array(foam, { maxLength: 5 }), fc.boolean(), (base, folds, stiff) => {
        const r = foldTogether(base, folds, stiff);
        const brought = base.airMl + folds.reduce((sum, f) => sum + f.airMl, 0);
        expect(r.mixMl).toBeCloseTo(base.mixMl + folds.reduce((sum, f) => sum + f.mixMl, 0), 6);
        expect(r.airMl).toBeGreaterThanOrEqual(0);
        expect(r.airMl).toBeLessThanOrEqual(brought + 1e-9);
        expect(foldTogether(base, [...folds, { mixMl: 10, airMl: 0, firstShare: 0, whiskedIn: false }], stiff).airMl).toBeLessThanOrEqual(r.airMl + 1e-9);
      }),
    );
  });
});
