import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COOLING_RULES, coolingVerdict } from './cooling';
import type { Reading } from './lethality';

const [two, one] = COOLING_RULES as readonly [(typeof COOLING_RULES)[number], (typeof COOLING_RULES)[number]];
const states = (curve: readonly Reading[], rule = two) => {
  const v = coolingVerdict(curve, rule);
  if (!v.ok) throw new Error(v.fault.says);
  return v.value.stages.map((s) => s.state);
};

describe('a cooling curve against a usual rule', () => {
  it('the clock starts where it falls through 57 °C, between readings', () => {
    const v = coolingVerdict(
      [
        [0, 85],
        [10, 50],
        [100, 20],
        [300, 4],
      ],
      two,
    );
    if (!v.ok) throw new Error(v.fault.says);
    expect(v.value.startMin).toBeCloseTo(8, 9);
    expect(v.value.stages[0]!.tookMin).toBeCloseTo(10 + (90 * 29) / 30 - 8, 9);
    expect(v.value.stages.map((s) => s.state)).toEqual(['met', 'met']);
  });
  it('too slow is late, and said so as soon as the time is over', () => {
    expect(
      states([
        [0, 70],
        [10, 56],
        [140, 25],
      ]),
    ).toEqual(['late', 'running']);
    expect(
      states([
        [0, 70],
        [10, 56],
        [100, 20],
        [500, 6],
      ]),
    ).toEqual(['met', 'late']);
    expect(
      states(
        [
          [0, 65],
          [10, 55],
          [80, 8],
        ],
        one,
      ),
    ).toEqual(['met']);
    expect(
      states(
        [
          [0, 65],
          [10, 55],
          [120, 8],
        ],
        one,
      ),
    ).toEqual(['late']);
  });
  it('what warms again is late again, however soon it had been there', () => {
    expect(
      states([
        [0, 80],
        [30, 57],
        [100, 20],
        [150, 45],
        [300, 21],
        [380, 5],
      ]),
    ).toEqual(['late', 'met']);
    expect(
      states([
        [0, 80],
        [30, 57],
        [100, 20],
        [110, 30],
      ]),
    ).toEqual(['running', 'running']);
    expect(
      states([
        [0, 80],
        [30, 57],
        [100, 20],
        [160, 30],
      ]),
    ).toEqual(['late', 'running']);
  });
  it('the presets say what they ask', () => {
    for (const rule of COOLING_RULES) {
      expect(rule.name.startsWith(`${rule.fromC} to`), rule.name).toBe(true);
      for (const [toC] of rule.stages) expect(rule.name).toContain(`${toC} °C`);
    }
    expect(COOLING_RULES.map((r) => [r.fromC, ...r.stages.flat()])).toEqual([
      [57, 21, 120, 5, 360],
      [63, 8, 90],
      [63, 10, 120],
      [60, 21, 120, 5, 360],
    ]);
  });
  it('never hot: no clock; no reading: a fault', () => {
    expect(
      states([
        [0, 20],
        [60, 5],
      ]),
    ).toEqual(['running', 'running']);
    expect(coolingVerdict([], two).ok).toBe(false);
    expect(
      coolingVerdict(
        [
          [5, 60],
          [3, 50],
        ],
        two,
      ).ok,
    ).toBe(false);
  });
  it('law: cooling twice as fast never turns met into late', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 1, max: 90, noNaN: true }), fc.double({ min: 0, max: 12, noNaN: true })), { minLength: 2, maxLength: 12 }),
        (steps) => {
          let [min, c] = [0, 80];
          const curve: Reading[] = [[0, 80]];
          for (const [dt, dc] of steps) curve.push([(min += dt), (c -= dc)]);
          const slow = states(curve);
          const quick = states(curve.map(([m, t]) => [m / 2, t]));
          slow.forEach((s, i) => {
            if (s === 'met') expect(quick[i]).toBe('met');
          });
        },
      ),
    );
  });
});
