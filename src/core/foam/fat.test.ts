import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { value } from '../../testing/foam';
import { addToReachFat, blendToFat, readFat } from './fat';

describe('fat', () => {
  it.each([
    [24.9, 'will-not-whip'],
    [25, 'foams'],
    [30, 'soft'],
    [33, 'stands'],
    [38, 'firm'],
    [43, 'dense'],
    [50, 'dense'],
    [50.1, 'spreads'],
  ])('%s %% reads %s', (pct, key) => expect(readFat(pct).key).toBe(key));
  it('the square: 36 % from 48 % and 12 % is 2 to 1', () => {
    expect(value(blendToFat(36, 48, 12, 900))).toEqual({ aG: 600, bG: 300, partsA: 24, partsB: 12 });
  });
  it('every blend weighs what was asked and holds its fat', () => {
    const pct = fc.double({ min: 0, max: 82, noNaN: true });
    fc.assert(
      fc.property(pct, pct, fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 1, max: 9000, noNaN: true }), (a, b, share, total) => {
        const target = Math.min(Math.max(a, b), Math.max(Math.min(a, b), a * share + b * (1 - share)));
        const blend = value(blendToFat(target, a, b, total));
        expect(blend.aG + blend.bG).toBeCloseTo(total, 6);
        expect(Math.abs((blend.aG * a + blend.bG * b) / total - target)).toBeLessThan(1e-6);
        expect(blend.aG).toBeGreaterThanOrEqual(0);
      }),
    );
  });
  it('refuses a wish outside its sources', () => {
    const r = blendToFat(50, 48, 12, 900);
    expect(r.ok ? null : r.fault.code).toBe('outside-sources');
    expect(blendToFat(40, 40, 40, 100).ok).toBe(true);
    expect(blendToFat(36, 90, 12, 900).ok).toBe(false);
    expect(blendToFat(36, 48, 12, 0).ok).toBe(false);
  });
  it('adding to a bowl meets the target', () => {
    const add = value(addToReachFat(36, 500, 30, 48));
    expect((500 * 30 + add * 48) / (500 + add)).toBeCloseTo(36, 10);
    expect(addToReachFat(36, 500, 30, 20).ok).toBe(false);
  });
});
