import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reference, whipped, inputs } from '../../testing/foam';
import { STAGE_X } from './house';
import { airShareAt } from './overrun';
import { bowlfulsNeeded, networkAt, overrunAt, overrunAtStage, secondsTo, secondsToStage, stopWindow, whip, whiskWarnings, type Whip } from './whisk';
import { STAGES, WISHED_STAGES } from './kinds';
import type { WhiskInput } from './inputs';

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
      fc.property(
        fc.constantFrom('planetary' as const, 'hand-mixer' as const, 'balloon-whisk' as const),
        fc.double({ min: 60, max: 3000, noNaN: true }),
        fc.double({ min: 1.02, max: 3, noNaN: true }),
        (mixer, mixMl, times) => {
          const little = whip({ ...reference, mixer, mixMl });
          const more = whip({ ...reference, mixer, mixMl: mixMl * times });
          if (little.ok && more.ok) expect(secondsTo(more.value, STAGE_X.firm)!).toBeGreaterThanOrEqual(secondsTo(little.value, STAGE_X.firm)! - 1e-9);
        },
      ),
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
