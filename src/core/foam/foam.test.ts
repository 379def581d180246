import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addToReachFat, blendToFat, readFat } from './fat';
import { holdOf, keepingHours } from './hold';
import type { HoldInput } from './inputs';
import { OVERRUN_BY_FAT, STAGE_X } from './house';
import { airShareAt, airVolumeShare, foamVolumeMl, overrunFromCups, reachableOverrunPct } from './overrun';
import type { CreamState } from './inputs';
import { peakLook } from './peak';
import { peakShape } from './peak-shape';
import { bowlfulsNeeded, networkAt, overrunAt, overrunAtStage, secondsTo, secondsToStage, stopWindow, whip, whiskWarnings, type Whip } from './whisk';
import { STAGES, WISHED_STAGES } from './kinds';
import type { WhiskInput } from './inputs';

const plain: CreamState = { fatPct: 36, sugarPer100: 0, sugarAt: 'start', creamC: 5, softCheeseShare: 0, mascarponeShare: 0 };
const reference: WhiskInput = { ...plain, mixer: 'planetary', bowlMl: 4800, speed: 'fast', slowFromSoft: false, mixMl: 960, batches: 1, target: 'firm' };

const whipped = (input: WhiskInput): Whip => {
  const w = whip(input);
  if (!w.ok) throw new Error(w.fault.says);
  return w.value;
};

const value = <T>(r: { ok: true; value: T } | { ok: false; fault: { says: string } }): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

const inputs: fc.Arbitrary<WhiskInput> = fc.record({
  fatPct: fc.double({ min: 25, max: 60, noNaN: true }),
  sugarPer100: fc.double({ min: 0, max: 40, noNaN: true }),
  sugarAt: fc.constantFrom('start' as const, 'soft-peak' as const),
  creamC: fc.double({ min: 0, max: 20, noNaN: true }),
  softCheeseShare: fc.double({ min: 0, max: 0.5, noNaN: true }),
  mascarponeShare: fc.double({ min: 0, max: 0.5, noNaN: true }),
  mixer: fc.constantFrom('planetary' as const, 'hand-mixer' as const, 'balloon-whisk' as const, 'processor' as const),
  bowlMl: fc.constant(4800),
  speed: fc.constantFrom('fast' as const, 'medium' as const, 'slow' as const),
  slowFromSoft: fc.boolean(),
  mixMl: fc.double({ min: 50, max: 4000, noNaN: true }),
  batches: fc.constant(1),
  target: fc.constantFrom('soft' as const, 'medium' as const, 'firm' as const),
});

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

describe('whisking', () => {
  it('brings the reference whip to firm at 240 s', () => {
    // 960 mL in 4.8 L is the best filling, so that every factor is 1.
    expect(secondsTo(whipped(reference), STAGE_X.firm)).toBeCloseTo(240, 0);
  });
  it('follows dx/dt = k·x·(1 − x): a fine Euler walk lands on the same network', () => {
    const w = whipped({ ...reference, slowFromSoft: true });
    let x = 0.02;
    const dt = 0.005;
    for (let t = 0; t < 300; t += dt) x += dt * (x < STAGE_X.soft ? w.ratePerS : w.lateRatePerS) * x * (1 - x);
    expect(networkAt(w, 300)).toBeCloseTo(x, 3);
  });
  it('dropping to slow at soft peak makes the firm window 2.5 times as wide', () => {
    const width = (slowFromSoft: boolean): number => {
      const s = stopWindow(whipped({ ...reference, slowFromSoft }), 'firm')!;
      return s.closesS! - s.opensS;
    };
    expect(width(true) / width(false)).toBeCloseTo(2.5, 9);
  });
  it('times and network are inverse of each other, and stages come in order', () => {
    fc.assert(
      fc.property(inputs, (i) => {
        const w = whip(i);
        if (!w.ok) return;
        let before = -1;
        for (const stage of STAGES) {
          const s = secondsTo(w.value, STAGE_X[stage]);
          if (s === null) {
            expect(w.value.clumpRatePerS).toBe(0);
            continue;
          }
          expect(s).toBeGreaterThan(before);
          before = s;
          expect(networkAt(w.value, s)).toBeCloseTo(STAGE_X[stage], 9);
        }
      }),
    );
  });
  it('network and air stay in their ranges at every second', () => {
    fc.assert(
      fc.property(inputs, fc.double({ min: 0, max: 7200, noNaN: true }), (i, s) => {
        const w = whip(i);
        if (!w.ok) return;
        const x = networkAt(w.value, s);
        expect(x).toBeGreaterThanOrEqual(0.02 - 1e-12);
        expect(x).toBeLessThanOrEqual(1);
        const air = overrunAt(w.value, s);
        if (air !== null) {
          expect(air).toBeGreaterThanOrEqual(0);
          expect(air).toBeLessThanOrEqual(w.value.reachablePct + 1e-9);
        }
      }),
    );
  });
  it('a quicker whisk has a narrower stop window', () => {
    fc.assert(
      fc.property(inputs, (i) => {
        const slow = whip({ ...i, mixer: 'planetary', slowFromSoft: false, speed: 'slow' });
        const fast = whip({ ...i, mixer: 'planetary', slowFromSoft: false, speed: 'fast' });
        if (!slow.ok || !fast.ok) return;
        const a = stopWindow(slow.value, 'soft');
        const b = stopWindow(fast.value, 'soft');
        if (a?.closesS != null && b?.closesS != null) expect(b.closesS - b.opensS).toBeLessThan(a.closesS - a.opensS);
      }),
    );
  });
  it('less cream never takes longer, down to where the wires do not reach it', () => {
    const firmOf = (mixMl: number): number => secondsTo(whipped({ ...reference, mixMl }), STAGE_X.firm)!;
    // By hand: (0.2/0.1)^0.2 = 1.149 quicker at half the best filling, never more than 1.3 times.
    expect(firmOf(480)).toBeCloseTo(firmOf(960) / 2 ** 0.2, 6);
    expect(firmOf(200)).toBeCloseTo(firmOf(960) / 1.3, 6);
    fc.assert(
      fc.property(fc.constantFrom('planetary' as const, 'hand-mixer' as const, 'balloon-whisk' as const), fc.double({ min: 60, max: 3000, noNaN: true }), fc.double({ min: 1.02, max: 3, noNaN: true }), (mixer, mixMl, times) => {
        const little = whip({ ...reference, mixer, mixMl });
        const more = whip({ ...reference, mixer, mixMl: mixMl * times });
        if (little.ok && more.ok) expect(secondsTo(more.value, STAGE_X.firm)!).toBeGreaterThanOrEqual(secondsTo(little.value, STAGE_X.firm)! - 1e-9);
      }),
    );
    const none = whip({ ...reference, mixMl: 119 });
    expect(none.ok ? null : none.fault.code).toBe('not-reached');
    expect(whip({ ...reference, mixMl: 121 }).ok).toBe(true);
  });
  it('the clumping clock starts at firm: 1.12 quicker a degree, while the air comes 0.94 as quickly', () => {
    const at = (creamC: number, fatPct = 36): Whip => whipped({ ...reference, creamC, fatPct });
    const grain = (w: Whip): number => secondsTo(w, STAGE_X.grainy)! - secondsTo(w, STAGE_X.firm)!;
    expect(secondsTo(at(8), STAGE_X.firm)! / secondsTo(at(7), STAGE_X.firm)!).toBeCloseTo(1 / 0.94, 9);
    expect(grain(at(7)) / grain(at(8))).toBeCloseTo(1.12, 9);
    // Below 33 % the clumping falls with the power 2.5, from the same figure.
    expect(grain(at(5, 30)) / grain(at(5, 33))).toBeCloseTo((33 / 30) ** 2.5, 9);
    expect(grain(at(5, 34)) / grain(at(5, 36))).toBeCloseTo((36 / 34) ** 1.5, 9);
  });
  it('above 12 °C firm never stands clean and the earlier windows close at the first grain; above 16 °C no peak stands, and butter still comes', () => {
    const warm = whipped({ ...reference, creamC: 13 });
    expect(stopWindow(warm, 'firm')).toBeNull();
    for (const stage of ['soft', 'medium'] as const) expect(stopWindow(warm, stage)!.closesS).toBe(secondsTo(warm, STAGE_X.grainy));
    const hot = whipped({ ...reference, creamC: 16.1 });
    for (const stage of WISHED_STAGES) expect(stopWindow(hot, stage)).toBeNull();
    expect(secondsTo(hot, STAGE_X.butter)).toBeGreaterThan(0);
    expect(stopWindow(whipped({ ...reference, creamC: 12 }), 'firm')).not.toBeNull();
  });
  it('has no cliff: a tenth of a degree or of a per cent moves no second by more than 5 %', () => {
    const figures = (i: WhiskInput): (number | null)[] => {
      const w = whipped(i);
      return [...STAGES.map((s) => secondsTo(w, STAGE_X[s])), ...WISHED_STAGES.map((s) => stopWindow(w, s)?.closesS ?? null), w.reachablePct];
    };
    fc.assert(
      fc.property(fc.double({ min: 25, max: 59.9, noNaN: true }), fc.double({ min: 0, max: 19.8, noNaN: true }), (fatPct, creamC) => {
        const here = figures({ ...reference, fatPct, creamC });
        for (const there of [figures({ ...reference, fatPct: fatPct + 0.1, creamC }), figures({ ...reference, fatPct, creamC: creamC + 0.1 })]) {
          here.slice(0, -1).forEach((s, i) => {
            if (s !== null && there[i] != null) expect(Math.abs(there[i]! / s - 1)).toBeLessThan(0.05);
          });
        }
      }),
    );
  });
  it('warmer: firm comes strictly later, and from firm grain comes strictly sooner', () => {
    fc.assert(
      fc.property(fc.double({ min: 7, max: 19, noNaN: true }), fc.double({ min: 0.2, max: 1, noNaN: true }), (creamC, more) => {
        const [a, b] = [whipped({ ...reference, creamC }), whipped({ ...reference, creamC: creamC + more })];
        expect(secondsTo(b, STAGE_X.firm)!).toBeGreaterThan(secondsTo(a, STAGE_X.firm)!);
        expect(secondsTo(b, STAGE_X.grainy)! - secondsTo(b, STAGE_X.firm)!).toBeLessThan(secondsTo(a, STAGE_X.grainy)! - secondsTo(a, STAGE_X.firm)!);
      }),
    );
  });
  it('cheese brings fat that is ready to stand, acid thickens, long-life and stabilised cream are slower with more air', () => {
    const firm = (change: Partial<WhiskInput>): number => secondsTo(whipped({ ...reference, ...change }), STAGE_X.firm)!;
    const air = (change: Partial<WhiskInput>): number => whipped({ ...reference, ...change }).reachablePct;
    expect(firm({}) / firm({ mascarponeShare: 0.5 })).toBeCloseTo(2.1, 9);
    expect(firm({}) / firm({ softCheeseShare: 0.5 })).toBeCloseTo(2.1, 9);
    expect(firm({}) / firm({ acidGPerKg: 5 })).toBeCloseTo(1.7, 9);
    expect(firm({ acidGPerKg: 12 })).toBe(firm({ acidGPerKg: 8 }));
    expect(air({ acidGPerKg: 5 }) / air({})).toBeCloseTo(0.85, 9);
    expect(firm({}) / firm({ longLifeShare: 1 })).toBeCloseTo(0.7, 9);
    expect(air({ longLifeShare: 1 }) / air({})).toBeCloseTo(1.15, 9);
    expect(firm({}) / firm({ stabilisedShare: 1 })).toBeCloseTo(0.8, 9);
    expect(air({ stabilisedShare: 0.5 }) / air({})).toBeCloseTo(1.175, 9);
    // A plant cream: three times its volume of air whatever its fat, and no butter.
    expect(air({ plantShare: 1, fatPct: 30 })).toBeCloseTo(300, 9);
    expect(secondsTo(whipped({ ...reference, plantShare: 1 }), STAGE_X.butter)).toBeNull();
  });
  it('a lean cream has its times, butter later than a rich one, and is said to be lean', () => {
    const lean = whipped({ ...reference, fatPct: 28 });
    expect(stopWindow(lean, 'firm')).not.toBeNull();
    expect(secondsTo(lean, STAGE_X.butter)!).toBeGreaterThan(secondsTo(whipped(reference), STAGE_X.butter)!);
  });
  it('has all its air at firm, and no figure past butter', () => {
    expect(overrunAtStage(whipped(reference), 'firm')).toBeCloseTo(110, 6);
    expect(airShareAt(0.02)).toBe(0);
    expect(airShareAt(STAGE_X.butter)).toBeCloseTo(0.4, 12);
    expect(airShareAt(0.95)).toBeNull();
  });
  it('refuses a bowl that the liquid fills', () => {
    const w = whip({ ...reference, mixMl: 4800 });
    expect(w.ok ? null : w.fault.code).toBe('does-not-fit');
  });
});

describe('warnings and bowlfuls', () => {
  const keys = (i: WhiskInput): string[] => whiskWarnings(i, whipped(i)).map((w) => w.key);
  it('says nothing of a good bowl of cold cream', () => expect(keys(reference)).toEqual([]));
  it('says when it will climb out, and how often to split it', () => {
    const full = { ...reference, mixMl: 3000 };
    expect(keys(full)).toContain('climbs-out');
    expect(bowlfulsNeeded(full)).toBe(3);
    expect(keys({ ...full, batches: 3 })).toEqual([]);
  });
  it('a stage of which no clean peak stands has no time; grains and butter come all the same', () => {
    const warm = whipped({ ...reference, creamC: 14 });
    expect(STAGES.map((s) => secondsToStage(warm, s) === null)).toEqual(WISHED_STAGES.map((s) => stopWindow(warm, s) === null).concat([false, false]));
    expect(secondsToStage(warm, 'firm')).toBeNull();
    for (const s of STAGES) expect(secondsToStage(whipped(reference), s)).toBe(secondsTo(whipped(reference), STAGE_X[s]));
  });
  it('says when it is only too full, too warm, too lean or sour', () => {
    expect(keys({ ...reference, mixMl: 1600 })).toEqual(['too-full']);
    expect(keys({ ...reference, creamC: 9 })).toEqual(['warm']);
    expect(whiskWarnings({ ...reference, creamC: 17 }, whipped({ ...reference, creamC: 17 }))[0]).toEqual({ key: 'never', reaches: null });
    expect(whiskWarnings({ ...reference, creamC: 13 }, whipped({ ...reference, creamC: 13 }))[0]).toEqual({ key: 'never', reaches: 'medium' });
    expect(whiskWarnings({ ...reference, fatPct: 27 }, whipped({ ...reference, fatPct: 27 }))).toEqual([{ key: 'lean', willStand: false }]);
    expect(whiskWarnings({ ...reference, fatPct: 30 }, whipped({ ...reference, fatPct: 30 }))).toEqual([{ key: 'lean', willStand: true }]);
    expect(whiskWarnings({ ...reference, fatPct: 30, target: 'soft' }, whipped({ ...reference, fatPct: 30, target: 'soft' }))).toEqual([]);
    expect(keys({ ...reference, acidGPerKg: 4 })).toEqual(['sour']);
  });
  it('every bowlful it advises fits', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 40_000, noNaN: true }), (mixMl) => {
        const n = bowlfulsNeeded({ ...reference, mixMl });
        if (n !== null) {
          expect(mixMl / n / 4800).toBeLessThanOrEqual(0.3 + 1e-9);
          if (n > 1) expect(mixMl / (n - 1) / 4800).toBeGreaterThan(0.3 - 1e-9);
        }
      }),
    );
  });
});

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
    fc.assert(fc.property(fc.double({ min: -20, max: 40, noNaN: true }), (c) => {
      expect(keepingHours(c + 0.1, false, null) / keepingHours(c, false, null)).toBeGreaterThan(0.93);
    }));
  });
  it('has no cliff: a tenth of any input moves the clean hours by less than 5 %', () => {
    const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 25, max: 59, noNaN: true }), fc.double({ min: -1, max: 44, noNaN: true }), amount(15), amount(30), amount(40), (fatPct, tempC, gelatinGPerKg, sourLiquidPct, sugarPer100) => {
        const at = { ...bare, fatPct, tempC, gelatinGPerKg, sourLiquidPct, sugarPer100 };
        const here = value(holdOf(at)).cleanH;
        for (const key of ['fatPct', 'tempC', 'gelatinGPerKg', 'sourLiquidPct', 'sugarPer100'] as const) {
          const step = key === 'gelatinGPerKg' ? 0.05 : 0.1;
          expect(Math.abs(value(holdOf({ ...at, [key]: at[key] + step })).cleanH / here - 1), key).toBeLessThan(0.05);
        }
      }),
    );
  });
  it('warmer never keeps longer, more gelatin never holds shorter', () => {
    const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 25, max: 60, noNaN: true }), amount(20), amount(1), fc.double({ min: -1, max: 45, noNaN: true }), amount(10), (fatPct, g, m, tempC, more) => {
        const here = value(holdOf({ ...bare, fatPct, gelatinGPerKg: g, mascarponeShare: m, tempC }));
        expect(here.shownH).toBeGreaterThan(0);
        expect(value(holdOf({ ...bare, fatPct, gelatinGPerKg: g + more, mascarponeShare: m, tempC })).shownH).toBeGreaterThanOrEqual(here.shownH - 1e-12);
        if (tempC + more <= 45) expect(value(holdOf({ ...bare, fatPct, gelatinGPerKg: g, mascarponeShare: m, tempC: tempC + more })).shownH).toBeLessThanOrEqual(here.shownH + 1e-12);
      }),
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

describe('the look of the peak', () => {
  it('rises, straightens and dulls as the network grows', () => {
    const soft = peakLook(0.25);
    const firm = peakLook(0.55);
    expect(firm.height).toBeGreaterThan(soft.height);
    expect(firm.droop).toBeLessThan(soft.droop);
    expect(peakLook(0.72).sheen).toBeLessThan(firm.sheen);
    expect(peakLook(0.92).whey).toBeGreaterThan(0.9);
    expect(firm.whey).toBe(0);
    expect(peakLook(0.05).height).toBe(0);
  });
  it('changes without a jump and stays in its ranges', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.999, noNaN: true }), (x) => {
        const a = peakLook(x);
        const b = peakLook(Math.min(1, x + 0.001));
        for (const key of ['height', 'ridges', 'sheen', 'grain', 'whey', 'air'] as const) {
          expect(a[key]).toBeGreaterThanOrEqual(0);
          expect(a[key]).toBeLessThanOrEqual(1 + 1e-9);
          // Air starts as a root, steep by nature.
          if (key !== 'air') expect(Math.abs(a[key] - b[key])).toBeLessThan(0.03);
        }
        expect(Math.abs(a.droop - b.droop)).toBeLessThan(0.03);
      }),
    );
  });
  it('is drawn the same each time, its tip over its foot when firm and beside it when soft', () => {
    const tip = (x: number) => {
      const edge = peakShape(peakLook(x)).edge;
      return edge[Math.floor(edge.length / 2)]!;
    };
    expect(peakShape(peakLook(0.4))).toEqual(peakShape(peakLook(0.4)));
    expect(Math.abs(tip(0.56)[0])).toBeLessThan(0.05);
    expect(tip(0.27)[0]).toBeGreaterThan(0.15);
    expect(tip(0.56)[1]).toBeGreaterThan(tip(0.27)[1]);
  });
});
