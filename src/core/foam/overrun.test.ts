import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plain, value, inputs } from '../../testing/foam';
import { OVERRUN_BY_FAT } from './house';
import { airVolumeShare, foamVolumeMl, overrunFromCups, reachableOverrunPct } from './overrun';

describe('reachable overrun', () => {
  it.each(OVERRUN_BY_FAT)('at %s %% fat is %s %%', (fatPct, overrun) => {
    expect(value(reachableOverrunPct({ ...plain, fatPct }))).toBeCloseTo(overrun, 9);
  });
  it('loses 6 % of itself for 10 g sugar at the start, 3 % at soft peak', () => {
    expect(value(reachableOverrunPct({ ...plain, sugarPer100: 10 }))).toBeCloseTo(110 * 0.94, 9);
    expect(value(reachableOverrunPct({ ...plain, sugarPer100: 10, sugarAt: 'soft-peak' }))).toBeCloseTo(110 * 0.97, 9);
  });
  it('loses to warmth from 7 °C, and to cheese and mascarpone', () => {
    expect(value(reachableOverrunPct({ ...plain, creamC: 12 }))).toBeCloseTo(110 * 0.7, 9);
    expect(value(reachableOverrunPct({ ...plain, softCheeseShare: 0.5, mascarponeShare: 0.5 }))).toBeCloseTo(110 * 0.55 * 0.75, 9);
  });
  it.each([
    [{ fatPct: 24.9 }, 'too-lean'],
    [{ fatPct: 60.1 }, 'too-rich'],
    [{ creamC: 20.5 }, 'too-warm'],
    [{ creamC: -5 }, 'out-of-range'],
  ])('has no figure for %o', (change, code) => {
    const r = reachableOverrunPct({ ...plain, ...change });
    expect(r.ok ? null : r.fault.code).toBe(code);
  });
  it('is never negative, and warmer or sweeter never takes more air', () => {
    fc.assert(
      fc.property(inputs, fc.double({ min: 0, max: 3, noNaN: true }), (i, more) => {
        const here = value(reachableOverrunPct(i));
        expect(here).toBeGreaterThanOrEqual(0);
        expect(value(reachableOverrunPct({ ...i, sugarPer100: i.sugarPer100 + more }))).toBeLessThanOrEqual(here + 1e-9);
        if (i.creamC + more <= 20) expect(value(reachableOverrunPct({ ...i, creamC: i.creamC + more }))).toBeLessThanOrEqual(here + 1e-9);
      }),
    );
  });
});

describe('the cup method', () => {
  it('doubles the volume when the foam weighs half', () => {
    expect(value(overrunFromCups(120, 60))).toBeCloseTo(100, 12);
    expect(airVolumeShare(100)).toBeCloseTo(0.5, 12);
    expect(foamVolumeMl(600, 100)).toBe(1200);
  });
  it('goes there and back: foam of a known overrun weighs what it should', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 2000, noNaN: true }), fc.double({ min: 0.5, max: 700, noNaN: true }), (liquidG, overrun) => {
        expect(value(overrunFromCups(liquidG, liquidG / (1 + overrun / 100)))).toBeCloseTo(overrun, 6);
      }),
    );
  });
  it.each([
    [120, 120, 'foam-not-lighter'],
    [120, 130, 'foam-not-lighter'],
    [0, 10, 'out-of-range'],
    [120, -3, 'out-of-range'],
    [NaN, 50, 'out-of-range'],
    [Infinity, 50, 'out-of-range'],
  ])('refuses %s g and %s g', (a, b, code) => {
    const r = overrunFromCups(a, b);
    expect(r.ok ? null : r.fault.code).toBe(code);
  });
});
