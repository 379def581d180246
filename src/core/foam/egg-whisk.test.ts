import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestEggFill, eggBowlfulsNeeded, eggLook, eggOverrunAt, eggStageAt, eggWhip, type EggWhiskInput } from './egg-whisk';
import { CLIMB_SHARE, EGG_FOAM_OVERRUN, EGG_WHISK, type EggFoam } from './house';
import { foamVolumeMl } from './overrun';

const FOAMS = Object.keys(EGG_WHISK) as EggFoam[];
const best = (foam: EggFoam): EggWhiskInput => ({
  foam,
  mixer: 'planetary',
  bowlMl: 4800,
  speed: 'fast',
  mixMl: 4800 * bestEggFill(foam, 'planetary'),
  batches: 1,
  eggC: 20,
});
const whipOf = (input: EggWhiskInput) => {
  const made = eggWhip(input);
  if (!made.ok) throw new Error(made.fault.says);
  return made.value;
};
const any = fc.record({
  foam: fc.constantFrom(...FOAMS),
  mixer: fc.constantFrom('planetary' as const, 'hand-mixer' as const, 'balloon-whisk' as const),
  bowlMl: fc.double({ min: 1000, max: 20_000, noNaN: true }),
  speed: fc.constantFrom('fast' as const, 'medium' as const, 'slow' as const),
  mixMl: fc.double({ min: 20, max: 900, noNaN: true }),
  batches: fc.integer({ min: 1, max: 4 }),
  eggC: fc.double({ min: 0, max: 30, noNaN: true }),
});

describe('egg foams on the clock', () => {
  it.each(FOAMS)('%s takes its table’s times at the reference', (foam) => {
    const w = whipOf(best(foam));
    expect(w.stages.map((s) => Math.round(s.atS))).toEqual(EGG_WHISK[foam].stages.map(([, s]) => s));
    expect(w.stages.find((s) => s.name === w.right)!.overrunPct).toBe(EGG_FOAM_OVERRUN[foam]);
  });
  it('plain whites are over the soonest; a foam with hot sugar stays as it is', () => {
    expect(whipOf(best('whites')).window).toEqual({ opensS: 90, closesS: 140 });
    expect(whipOf(best('swiss')).window.closesS).toBeNull();
    expect(whipOf(best('yolks-hot-syrup')).window.closesS).toBeNull();
  });
  it('by hand: cold whites in a hand mixer', () => {
    const w = whipOf({ ...best('whites'), mixer: 'hand-mixer', bowlMl: 3000, mixMl: 3000 * bestEggFill('whites', 'hand-mixer'), eggC: 4 });
    expect(w.window.opensS).toBeCloseTo((90 / 0.75) * (1 + 0.015 * 16), 6);
  });
  it('laws: stages come in order, a slower speed and colder eggs are never sooner, air stays within its table, the look moves without a jump', () => {
    fc.assert(
      fc.property(any, fc.double({ min: 0, max: 2000, noNaN: true }), (input, s) => {
        const w = whipOf(input);
        w.stages.forEach((st, i) => expect(st.atS).toBeGreaterThan(w.stages[i - 1]?.atS ?? 0));
        expect(whipOf({ ...input, eggC: Math.max(0, input.eggC - 5) }).window.opensS).toBeGreaterThanOrEqual(w.window.opensS - 1e-9);
        expect(whipOf({ ...input, speed: 'slow' }).window.opensS).toBeGreaterThanOrEqual(w.window.opensS - 1e-9);
        const air = eggOverrunAt(w, s);
        expect(air).toBeGreaterThanOrEqual(0);
        expect(air).toBeLessThanOrEqual(EGG_FOAM_OVERRUN[input.foam]);
        const step = w.window.opensS / 5000;
        expect(Math.abs(eggLook(w, s).height - eggLook(w, s + step).height)).toBeLessThan(0.02);
      }),
    );
  });
  it('split, its foam stays in the bowl, and one fewer would not do', () => {
    fc.assert(
      fc.property(any, (input) => {
        const n = eggBowlfulsNeeded(input);
        if (n === null) return;
        const share = input.mixMl / n / input.bowlMl;
        expect(foamVolumeMl(share, EGG_FOAM_OVERRUN[input.foam])).toBeLessThanOrEqual(CLIMB_SHARE);
        if (n > 1)
          expect(
            foamVolumeMl(share * (n / (n - 1)), EGG_FOAM_OVERRUN[input.foam]) > CLIMB_SHARE ||
              share * (n / (n - 1)) > 1.5 * bestEggFill(input.foam, input.mixer),
          ).toBe(true);
      }),
    );
  });
  it('before the first stage it runs off; a processor and a full bowl are refused in words', () => {
    const w = whipOf(best('whites'));
    expect(eggStageAt(w, 10)).toBeNull();
    expect(eggLook(w, 10).sign).toContain('Runs off');
    expect(eggStageAt(w, 1e6)).toBe('dry');
    for (const bad of [{ mixer: 'processor' as const }, { mixMl: 9000 }, { mixMl: NaN }, { batches: 0 }, { eggC: 90 }]) {
      const made = eggWhip({ ...best('whites'), ...bad });
      expect(made.ok).toBe(false);
    }
  });
});
