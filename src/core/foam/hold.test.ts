import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { value } from '../../testing/foam';
import { holdOf, keepingHours } from './hold';
import type { HoldInput } from './inputs';

const bare: HoldInput = {
  fatPct: 36,
  gelatinGPerKg: 0,
  mascarponeShare: 0,
  softCheeseShare: 0,
  strainedYoghurtShare: 0,
  rawStarchPct: 0,
  xanthanGPerKg: 0,
  powderGPerKg: 0,
  sourLiquidPct: 0,
  stage: 'firm',
  tempC: 4,
  rawEgg: false,
  keepingRuleH: null,
};

describe('hold', () => {
  it('of a bare 36 % cream at 4 °C is 10 h clean and 50 h usable', () => {
    expect(value(holdOf(bare))).toMatchObject({ cleanH: 10, usableH: 50, shownH: 10, limit: 'shape', gain: 1 });
  });
  it('6 g/kg gelatin multiplies it by 4.3, half of it mascarpone by 4', () => {
    expect(value(holdOf({ ...bare, gelatinGPerKg: 6 })).cleanH).toBeCloseTo(43, 9);
    expect(value(holdOf({ ...bare, mascarponeShare: 0.5 })).cleanH).toBeCloseTo(40, 9);
  });
  it('never gains more than 20 times, and says so', () => {
    expect(value(holdOf({ ...bare, gelatinGPerKg: 15, mascarponeShare: 0.5 }))).toMatchObject({ gain: 20, gainCapped: true });
  });
  it('shows keeping where that is shorter: 72 h, raw egg 24 h, the kitchen’s stricter rule', () => {
    const firm = { ...bare, gelatinGPerKg: 14 };
    expect(value(holdOf(firm))).toMatchObject({ shownH: 72, limit: 'keeping' });
    expect(value(holdOf({ ...firm, rawEgg: true })).shownH).toBe(24);
    expect(value(holdOf({ ...firm, keepingRuleH: 48 })).shownH).toBe(48);
    expect(keepingHours(20, false, null)).toBe(2);
  });
  it('the gelatin’s part fades evenly by factor from 20 to 32 °C', () => {
    const part = (tempC: number): number => value(holdOf({ ...bare, tempC, gelatinGPerKg: 6 })).cleanH / value(holdOf({ ...bare, tempC })).cleanH;
    expect([part(20), part(26), part(32), part(40)].map((x) => Math.round(1000 * x) / 1000)).toEqual([4.3, 2.074, 1, 1]);
  });
  it('juice or wine helps from 2 to 25 %, most from 5 to 15; soft and grainy hold less, butter nothing', () => {
    const at = (sourLiquidPct: number): number => value(holdOf({ ...bare, sourLiquidPct })).cleanH;
    expect([1, 2, 3.5, 5, 8, 8.1, 15, 20, 25, 40].map((p) => Math.round(100 * at(p)) / 100)).toEqual([10, 10, 12, 14, 14, 14, 14, 12, 10, 10]);
    const stage = (s: HoldInput['stage']): number => value(holdOf({ ...bare, stage: s })).cleanH;
    expect([stage('soft'), stage('medium'), stage('grainy'), stage('butter')]).toEqual([8.5, 10, 6, 0]);
  });
  it('strained yoghurt, sugar and the kind of cream hold it, each as its factor says', () => {
    const clean = (change: Partial<HoldInput>): number => value(holdOf({ ...bare, ...change })).cleanH;
    expect(clean({ strainedYoghurtShare: 0.3 })).toBeCloseTo(40, 9);
    expect(clean({ sugarPer100: 10 })).toBeCloseTo(12, 9);
    expect(clean({ sugarPer100: 50 })).toBeCloseTo(14, 9);
    expect(clean({ longLifeShare: 1 })).toBeCloseTo(20, 9);
    expect(clean({ stabilisedShare: 1 })).toBeCloseTo(30, 9);
    expect(clean({ plantShare: 0.5 })).toBeCloseTo(35, 9);
  });
  it('the last milk fat melts above 25 °C: twenty times shorter for ten degrees', () => {
    const clean = (tempC: number): number => value(holdOf({ ...bare, tempC })).cleanH;
    expect(clean(14) / clean(4)).toBeCloseTo(1 / 3.5, 9);
    expect(clean(25) / clean(15)).toBeCloseTo(1 / 3.5, 9);
    expect(clean(35) / clean(25)).toBeCloseTo(1 / 20, 9);
  });
  it('keeps 72 h to 5 °C, 24 at 8, 2 from 12 on, and never jumps', () => {
    expect([4, 5, 6.5, 8, 10, 12, 20].map((c) => Math.round(10 * keepingHours(c, false, null)) / 10)).toEqual([72, 72, 41.6, 24, 6.9, 2, 2]);
    expect([4, 9].map((c) => Math.round(10 * keepingHours(c, true, null)) / 10)).toEqual([24, 12.9]);
    expect(keepingHours(4, false, 36)).toBe(36);
    fc.assert(
      fc.property(fc.double({ min: -20, max: 40, noNaN: true }), (c) => {
        expect(keepingHours(c + 0.1, false, null) / keepingHours(c, false, null)).toBeGreaterThan(0.93);
      }),
    );
  });
  it('has no cliff: a tenth of any input moves the clean hours by less than 5 %', () => {
    const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 59, noNaN: true }),
        fc.double({ min: -1, max: 44, noNaN: true }),
        amount(15),
        amount(30),
        amount(40),
        (fatPct, tempC, gelatinGPerKg, sourLiquidPct, sugarPer100) => {
          const at = { ...bare, fatPct, tempC, gelatinGPerKg, sourLiquidPct, sugarPer100 };
          const here = value(holdOf(at)).cleanH;
          for (const key of ['fatPct', 'tempC', 'gelatinGPerKg', 'sourLiquidPct', 'sugarPer100'] as const) {
            const step = key === 'gelatinGPerKg' ? 0.05 : 0.1;
            expect(Math.abs(value(holdOf({ ...at, [key]: at[key] + step })).cleanH / here - 1), key).toBeLessThan(0.05);
          }
        },
      ),
    );
  });
  it('warmer never keeps longer, more gelatin never holds shorter', () => {
    const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 60, noNaN: true }),
        amount(20),
        amount(1),
        fc.double({ min: -1, max: 45, noNaN: true }),
        amount(10),
        (fatPct, g, m, tempC, more) => {
          const here = value(holdOf({ ...bare, fatPct, gelatinGPerKg: g, mascarponeShare: m, tempC }));
          expect(here.shownH).toBeGreaterThan(0);
          expect(value(holdOf({ ...bare, fatPct, gelatinGPerKg: g + more, mascarponeShare: m, tempC })).shownH).toBeGreaterThanOrEqual(here.shownH - 1e-12);
          if (tempC + more <= 45)
            expect(value(holdOf({ ...bare, fatPct, gelatinGPerKg: g, mascarponeShare: m, tempC: tempC + more })).shownH).toBeLessThanOrEqual(
              here.shownH + 1e-12,
            );
        },
      ),
    );
  });
  it.each([
    [{ fatPct: 20 }, 'fatPct'],
    [{ tempC: 60 }, 'tempC'],
    [{ tempC: -18 }, 'tempC'],
    [{ keepingRuleH: -1 }, 'keepingRuleH'],
  ])('has no figure for %o', (change, field) => {
    const r = holdOf({ ...bare, ...change });
    expect(r.ok ? null : r.fault.field).toBe(field);
  });
});
