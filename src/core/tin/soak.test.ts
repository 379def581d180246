import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient } from '../../testing/sample';
import { filledAfterRest, readingOf, secondsFor, soakOf, soakPace, uptakePct, type SoakInput } from './soak';
import { softenedAfter, softeningOf } from './softening';

const finger = ingredient('ladyfinger').biscuit!;
const thin = ingredient('ginger-thin').biscuit!;
const input = (change: Partial<SoakInput> = {}): SoakInput => ({ biscuit: finger, biscuitsG: 384, seconds: 2, sugarPct: 0, soakC: 10, test: null, ...change });

describe('dip', () => {
  it('is the larder’s figure at 1, 2 and 4 s, straight in √t between, 0 at 0', () => {
    expect([0, 1, 2, 4].map((s) => uptakePct(finger, s))).toEqual([0, 60, 95, 145].map((v) => expect.closeTo(v, 9)));
    expect(uptakePct(finger, 0.25)).toBeCloseTo(30, 9);
    expect(uptakePct(finger, 2.25)).toBeCloseTo(95 + (50 * (1.5 - Math.SQRT2)) / (2 - Math.SQRT2), 9);
  });
  it('needs a tenth more syrup than is drunk', () => {
    const s = soakOf(input());
    expect(s.ok && s.value).toMatchObject({ reading: 'right' });
    expect(s.ok && s.value.syrupG).toBeCloseTo(384 * 0.95 * 1.1, 6);
  });
  it('reads as science.md has it for a crisp finger: 60, 110, 140 % are the bounds', () => {
    expect([57, 60, 109, 112, 139, 142].map((pct) => readingOf(pct / 145))).toEqual(['dry', 'right', 'right', 'soggy', 'soggy', 'pools']);
  });
  it('longer never drinks less; warmer is faster, sweeter slower', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 55, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (t, more, sugar, tC) => {
          expect(uptakePct(finger, t + more)).toBeGreaterThanOrEqual(uptakePct(finger, t));
          expect(soakPace(sugar + 5, tC)).toBeLessThan(soakPace(sugar, tC));
          expect(soakPace(sugar, tC + 10)).toBeGreaterThan(soakPace(sugar, tC));
        },
      ),
    );
    expect(soakPace(0, 10)).toBeCloseTo(1, 9);
  });
  it('for a wished filling comes back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 1.2, noNaN: true }), (filled) => {
        const s = secondsFor(filled, input());
        const back = s.ok ? soakOf(input({ seconds: s.value })) : null;
        expect(back?.ok && back.value.filled).toBeCloseTo(filled, 6);
      }),
    );
    expect(secondsFor(50, input()).ok).toBe(false);
  });
  it('the kitchen’s own test is met at its own seconds, in any soak', () => {
    const test = { seconds: 3, dryG: 40, dippedG: 76 };
    const s = soakOf(input({ test, seconds: 3, sugarPct: 40 }));
    expect(s.ok && s.value.uptakePct).toBeCloseTo(90, 9);
    const wrong = soakOf(input({ test: { ...test, dippedG: 39 } }));
    expect(wrong.ok ? '' : wrong.fault.code).toBe('lighter');
  });
  it('says what is out of range', () => {
    expect(soakOf(input({ seconds: -1 })).ok).toBe(false);
    expect(soakOf(input({ soakC: 200 })).ok).toBe(false);
    expect(soakOf(input({ biscuit: { ...finger, uptakePct: [0, 0, 0] } })).ok).toBe(false);
  });
});

describe('softening', () => {
  it('is 0.85·(h/2)²/D', () => {
    const s = softeningOf(thin, 3, 0);
    expect(s.ok && s.value.softH).toBeCloseTo((0.85 * 4) / 1.2e-4 / 3600, 9);
    expect(s.ok && s.value.dense).toBe(true);
    const wafer = softeningOf(ingredient('vanilla-wafer').biscuit!, 4.6, 0);
    expect(wafer.ok && wafer.value.softH).toBeCloseTo((0.85 * 9) / 2.5e-4 / 3600, 9);
  });
  it('a thicker one is never sooner soft, a wetter dip never later, and mush comes after soft', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (h, more, filled) => {
          const at = (heightMm: number, f: number) => softeningOf({ ...finger, heightMm }, 7, f);
          const [a, b, c] = [at(h, 0), at(h + more, 0), at(h, filled)];
          if (!a.ok || !b.ok || !c.ok) throw new Error('refused');
          expect(b.value.softH).toBeGreaterThanOrEqual(a.value.softH);
          expect(c.value.softH).toBeLessThanOrEqual(a.value.softH);
          expect(a.value.mushH).toBeGreaterThan(a.value.softH);
          expect(c.value.mushH).toBeGreaterThan(c.value.softH);
        },
      ),
    );
  });
  it('a sponge bends at once, and no height is refused silently', () => {
    const s = softeningOf(ingredient('genoise').biscuit!, 30, 0.3);
    expect(s.ok && s.value).toMatchObject({ softH: 0, sponge: true });
    expect(softeningOf({ ...finger, heightMm: 0.1 }, 7, 0).ok).toBe(false);
    expect(s.ok && softenedAfter(s.value, 0)).toBe(1);
  });
  it('cream never takes a biscuit past what it holds', () => {
    expect(filledAfterRest(0.9, 1)).toBe(1);
    expect(filledAfterRest(1.1, 1)).toBe(1.1);
    expect(filledAfterRest(0.5, 0)).toBe(0.5);
  });
});

/** Viscosity of water, mPa·s, by the Vogel equation (Viswanath and Natarajan 1989), good to a hundredth. */
const water = (tC: number): number => 0.02939 * Math.exp(507.88 / (tC + 273.15 - 149.3));
/** Viscosity of sucrose in water at 20 °C, mPa·s, by Génotelle's equation (1978), good to three hundredths. */
const sucrose = (pct: number): number => {
  const [x, t] = [pct / (1900 - 18 * pct), 10 / 111];
  return 10 ** (22.46 * x - 0.114 + t * (1.1 + 43.1 * x ** 1.25));
};

describe('how fast a soak is drunk, against the equations of others', () => {
  it.each([0, 5, 10, 20, 30, 40, 50, 60, 90])('water at %i °C: within two hundredths', (tC) => {
    expect(soakPace(0, tC) / Math.sqrt(water(10) / water(tC))).toBeGreaterThan(0.98);
    expect(soakPace(0, tC) / Math.sqrt(water(10) / water(tC))).toBeLessThan(1.02);
  });
  it.each([10, 20, 30, 40, 50, 60, 65, 70, 75])('%i % of sugar at 20 °C: within two hundredths', (pct) => {
    const right = Math.sqrt(water(10) / sucrose(pct));
    expect(soakPace(pct, 20) / right).toBeGreaterThan(0.98);
    expect(soakPace(pct, 20) / right).toBeLessThan(1.02);
  });
});

describe('softening by what a biscuit is', () => {
  const of = (change: Partial<typeof finger>) => ({ ...finger, ...change });
  const hours = (biscuit: typeof finger, water = 4, is: { pieceG?: number; sugarPct?: number } = {}): number => {
    const s = softeningOf(biscuit, water, 0, is);
    return s.ok ? s.value.softH : NaN;
  };
  const drinks = (pct: number) => of({ uptakePct: [40, 50, pct] });
  it('where it is not weighed it is close up to 60 % of uptake, open from 120 %, 3.5 times as fast, and half way between at 90 %', () => {
    const close = hours(drinks(60));
    expect(hours(drinks(40))).toBeCloseTo(close, 9);
    expect(close / hours(drinks(120))).toBeCloseTo(3.5, 9);
    expect(close / hours(drinks(119))).toBeLessThan(3.49);
    expect(close / hours(drinks(90))).toBeCloseTo(2.25, 9);
    expect(hours(drinks(160))).toBeCloseTo(hours(drinks(120)), 9);
  });
  it('by its weight: close from 0.42 g in a mL, open at 0.28', () => {
    const cube = of({ shape: 'rect', widthMm: 20, lengthMm: 50, heightMm: 10 });
    const close = hours(cube, 4, { pieceG: 4.2 });
    expect(hours(cube, 4, { pieceG: 6 })).toBeCloseTo(close, 9);
    expect(close / hours(cube, 4, { pieceG: 2.8 })).toBeCloseTo(3.5, 9);
    expect(close / hours(cube, 4, { pieceG: 3.5 })).toBeCloseTo(2.25, 9);
  });
  it('from a fifth of water on it is a sponge; over seven tenths of sugar it dissolves', () => {
    expect([19.9, 20].map((w) => hours(finger, w) === 0)).toEqual([false, true]);
    expect([70, 70.1].map((sugarPct) => softeningOf(finger, 4, 0, { sugarPct }).ok)).toEqual([true, false]);
  });
  it('cream gives a soft biscuit a quarter of what it can hold, and none more than all', () => {
    expect(filledAfterRest(0.5, 1)).toBeCloseTo(0.75, 9);
    expect(filledAfterRest(0.5, 0.5)).toBeCloseTo(0.625, 9);
    expect(filledAfterRest(0.9, 1)).toBe(1);
    expect(filledAfterRest(0.3, 0)).toBe(0.3);
  });
});
