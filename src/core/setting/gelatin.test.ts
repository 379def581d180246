import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gelatinDose, gelatinForStrength } from './gelatin';
import type { GelatinDoseInput } from './inputs';

const input: GelatinDoseInput = { gelatin225G: 6, totalG: 1000, use: 'pipe', acidGPerKg: 0, abvPct: 0, rawProteaseFruit: false };
const read = (change: Partial<GelatinDoseInput>) => {
  const dose = gelatinDose({ ...input, ...change });
  if (!dose.ok) throw new Error(dose.fault.says);
  return dose.value;
};

describe('strength conversion', () => {
  it.each([
    ['square-root', 9.42809],
    ['linear', 8.88889],
  ] as const)('10 g of 200 bloom is %s %s g of 225', (school, grams) => {
    const r = gelatinForStrength(10, 200, 225, school);
    expect(r.ok && r.value).toBeCloseTo(grams, 4);
  });
  it('leaf for leaf counts leaves: 5 gold of 2 g are 5 bronze of 3.3 g', () => {
    const r = gelatinForStrength(10, 200, 140, 'leaf-for-leaf', { fromG: 2, toG: 3.3 });
    expect(r.ok && r.value).toBeCloseTo(16.5, 10);
    expect(gelatinForStrength(10, 200, 140, 'leaf-for-leaf').ok).toBe(false);
  });
  it('there and back is where it started, in each school', () => {
    const bloom = fc.double({ min: 50, max: 350, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 500, noNaN: true }), bloom, bloom, fc.constantFrom('square-root' as const, 'linear' as const), (m, a, b, school) => {
        const there = gelatinForStrength(m, a, b, school);
        const back = there.ok ? gelatinForStrength(there.value, b, a, school) : there;
        expect(back.ok && Math.abs(back.value - m)).toBeLessThan(1e-9 * Math.max(1, m));
      }),
    );
  });
  it.each([
    [-1, 200, 225],
    [10, 0, 225],
    [10, 200, 1000],
  ])('refuses %s g from %s to %s bloom', (m, a, b) => expect(gelatinForStrength(m, a, b, 'linear').ok).toBe(false));
});

describe('dose', () => {
  it.each([
    [0, 'none'],
    [4, 'under'],
    [6, 'in-band'],
    [9, 'over'],
    [18.5, 'rubbery'],
  ])('%s g/kg to pipe is %s', (g, verdict) => expect(read({ gelatin225G: g }).verdict).toBe(verdict));
  it('asks a quarter more when sour or strong', () => {
    expect(read({ acidGPerKg: 10 }).band).toEqual({ low: 6.25, high: 8.75 });
    expect(read({ acidGPerKg: 8 }).band.low).toBeCloseTo(5 * 1.125, 9);
    expect(read({ abvPct: 5 }).band.low).toBeCloseTo(6.25, 9);
    expect(read({ abvPct: 18 }).band).toEqual({ low: 7.5, high: 10.5 });
    expect(read({ acidGPerKg: 6, abvPct: 3 }).harsh).toBe(false);
  });
  it('in cream the bands are lower, coming in from 10 to 15 % fat', () => {
    const band = (use: GelatinDoseInput['use'], fatPct: number) => read({ use, fatPct }).band;
    expect([band('glass', 15), band('slice', 15), band('turn-out', 30)]).toEqual([
      { low: 5, high: 7 },
      { low: 7, high: 10 },
      { low: 8, high: 12 },
    ]);
    expect([band('glass', 10), band('slice', 0), band('turn-out', 5)]).toEqual([
      { low: 6, high: 9 },
      { low: 9, high: 12 },
      { low: 12, high: 15 },
    ]);
    expect(band('slice', 12.5)).toEqual({ low: 8, high: 11 });
    expect(band('pipe', 30)).toEqual({ low: 5, high: 7 });
  });
  it('counts what else sets in gelatin’s worth, and shows the parts', () => {
    const worth = (supportPct: GelatinDoseInput['supportPct']): number => read({ gelatin225G: 1, supportPct }).setsGPerKg - 1;
    expect(
      [worth({ cheese: 40 }), worth({ cocoaButter: 6 }), worth({ cookedStarch: 2 }), worth({ custardYolk: 8 }), worth({ hardFat: 10 })].map(
        (x) => Math.round(1000 * x) / 1000,
      ),
    ).toEqual([5, 4, 3, 1, 4]);
    // 900 g of filling with 45 % cream cheese and two leaves of 1.7 g platinum (250 bloom): it stands to be cut.
    const cheese = read({ gelatin225G: 3.4 * Math.sqrt(250 / 225), totalG: 900, use: 'slice', fatPct: 25, supportPct: { cheese: 45 } });
    expect(cheese.verdict).toBe('in-band');
    expect(cheese.supports).toEqual([{ name: 'cream cheese', gPerKg: 5.625 }]);
    expect(read({ gelatin225G: 3.4, totalG: 900, use: 'slice', fatPct: 25 }).verdict).toBe('under');
  });
  it('will not set above 30 % alcohol, nor with raw protease fruit', () => {
    expect(read({ abvPct: 30.1 }).verdict).toBe('no-set-alcohol');
    expect(read({ abvPct: 18, gelatin225G: 21, use: 'turn-out' }).verdict).toBe('in-band');
    expect(read({ rawProteaseFruit: true }).verdict).toBe('no-set-protease');
  });
  it('advises the middle of the band', () => expect(read({}).advised225G).toBeCloseTo(6, 12));
  it('refuses nothing to set', () => expect(gelatinDose({ ...input, totalG: 0 }).ok).toBe(false));
});
