import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient } from '../../testing/sample';
import { mix } from '../composition/mixture';
import { iceVolumeShare, solutionOf, sucroseEquivalentG } from '../heat/freezing';
import { BalanceProblemSchema, type BalanceGoal, type BalanceLine } from './inputs';
import { blendSources } from './blend';
import { goalForm } from './figures';
import { solveBalance, tradeOff, type Balance } from './solve';

const line = (id: string, nowG: number, rest: Partial<BalanceLine> = {}): BalanceLine => {
  const i = ingredient(id);
  return {
    name: i.name,
    nowG,
    per100: i.composition,
    ownSweetness: i.ownSweetness,
    ownFreezing: i.ownFreezing,
    bloom: i.bloom,
    soakPerG: 0,
    plantCream: false,
    pricePerKg: i.pricePerKg,
    locked: false,
    minG: 0,
    maxG: null,
    stepG: null,
    ...rest,
  };
};
const goal = (figure: BalanceGoal['figure'], low: number, high: number, rest: Partial<BalanceGoal> = {}): BalanceGoal => ({
  figure,
  name: figure,
  low,
  high,
  weight: 1,
  airPct: 0,
  freezerC: -18,
  ...rest,
});
const solved = (lines: readonly BalanceLine[], goals: readonly BalanceGoal[], totalG: number | null = null): Balance => {
  const r = solveBalance({ lines: [...lines], goals: [...goals], totalG });
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

describe('solving for targets', () => {
  it('two creams to 36 %: the square', () => {
    const b = solved([line('cream-48', 300), line('milk-whole', 300)], [goal('fat', 35.9, 36.1)], 1000);
    expect(b.goals[0]!.after).toBeCloseTo(36, 6);
    expect(b.amountsG[0]).toBeCloseTo((1000 * (36 - 3.6)) / (48 - 3.6), 4);
    expect(b.amountsG[0]! + b.amountsG[1]!).toBeCloseTo(1000, 6);
  });
  it('three wishes at once are met exactly where they can be', () => {
    const b = solved(
      [line('cream-36', 600), line('sugar-caster', 40), line('gelatin-powder-225', 3), line('milk-whole', 50)],
      [goal('fat', 33, 35), goal('sweetness', 11, 13), goal('gelatin', 5, 7)],
      800,
    );
    expect(b.goals.map((g) => g.after)).toEqual([expect.closeTo(34, 5), expect.closeTo(12, 5), expect.closeTo(6, 5)]);
    expect(b.fights).toEqual([]);
  });
  it('what need not move stays', () => {
    const b = solved([line('cream-36', 600), line('sugar-caster', 60), line('vanilla-extract', 5)], [goal('sweetness', 9, 13)]);
    expect(b.amountsG[0]).toBeCloseTo(600, 6);
    expect(b.amountsG[2]).toBeCloseTo(5, 6);
    expect(b.goals[0]!.met).toBe(true);
  });
  it('what is met already is left as it is', () => {
    const b = solved([line('cream-36', 600), line('sugar-caster', 140)], [goal('sweetness', 18, 30)]);
    expect(b.amountsG).toEqual([600, 140]);
    expect(b.goals[0]!.after).toBe(b.goals[0]!.before);
    // Just outside, it is brought into the band.
    const out = solved([line('cream-36', 600), line('sugar-caster', 100)], [goal('sweetness', 18, 30)]);
    expect(out.amountsG).not.toEqual([600, 100]);
    expect(out.goals[0]!.met).toBe(true);
  });
  it('faults show numbers as a cook writes them', () => {
    const r = solveBalance({ lines: [line('cream-36', 600, { locked: true, minG: 1000.123456 })], goals: [goal('fat', 33, 35)], totalG: null });
    expect(r.ok ? '' : r.fault.says).toContain('at least 1000.1');
    expect(r.ok ? '' : r.fault.says).not.toContain('Infinity');
  });
  it('whole eggs come whole', () => {
    const b = solved(
      [line('egg-yolk', 34, { stepG: 17 }), line('sugar-caster', 60), line('cream-36', 300)],
      [goal('solids', 50, 52), goal('sweetness', 17, 19)],
      400,
    );
    expect((b.amountsG[0]! / 17) % 1).toBeCloseTo(0, 9);
  });
  it('ice by volume is bent and still met', () => {
    const lines = [line('cream-36', 320), line('sugar-caster', 60), line('egg-yolk', 100), line('water', 40)];
    const b = solved(lines, [goal('ice', 0.2, 0.24, { airPct: 60 })]);
    expect(b.goals[0]!.met).toBe(true);
    const portions = b.amountsG.map((massG, i) => ({ massG, per100: lines[i]!.per100 }));
    const m = mix(portions);
    expect(iceVolumeShare(m, solutionOf(m, sucroseEquivalentG(portions)), 60, -18)).toBeCloseTo(b.goals[0]!.after, 9);
  });
  it('a carton is used up', () => {
    const b = solved([line('cream-36', 400), line('sugar-caster', 40)], [goal('use-up', 499, 501, { line: 0 }), goal('sweetness', 9, 11)]);
    expect(b.amountsG[0]).toBeCloseTo(500, 4);
    expect(b.goals[1]!.met).toBe(true);
  });
  it('says which goals fight, with the nearest answers along the conflict', () => {
    const problem = { lines: [line('cream-36', 500), line('wine-sweet', 100)], goals: [goal('fat', 33, 35), goal('abv', 5, 6)], totalG: 600 };
    const b = solved(problem.lines, problem.goals, 600);
    expect(b.goals.some((g) => !g.met)).toBe(true);
    expect(b.fights).toHaveLength(1);
    expect(b.fights[0]!.with).not.toBeNull();
    const trade = tradeOff(problem, 0, 1);
    if (!trade.ok) throw new Error(trade.fault.says);
    expect(trade.value.length).toBe(9);
    // More fat, less alcohol, all along.
    for (let i = 1; i < 9; i++) {
      expect(trade.value[i]!.a).toBeGreaterThan(trade.value[i - 1]!.a);
      expect(trade.value[i]!.b).toBeLessThan(trade.value[i - 1]!.b);
    }
  });
  it('locks that stand in the way are said as such', () => {
    const b = solved([line('cream-36', 500, { locked: true }), line('sugar-caster', 50, { locked: true })], [goal('sweetness', 20, 22)]);
    expect(b.fights).toEqual([{ goal: 0, with: null }]);
    expect(b.amountsG).toEqual([500, 50]);
  });
  it('agrees with every point of a grid on a small case', () => {
    const lines = [
      line('cream-36', 500, { minG: 400, maxG: 600 }),
      line('mascarpone', 100, { minG: 0, maxG: 200 }),
      line('sugar-caster', 60, { minG: 0, maxG: 120 }),
    ];
    const goals = [goal('fat', 37, 39), goal('sweetness', 8, 10), goal('cost', 5, 5.4)];
    const b = solved(lines, goals);
    const forms = goals.map((g) => goalForm(g, lines));
    let best = Infinity;
    for (let a = 400; a <= 600; a += 10)
      for (let m = 0; m <= 200; m += 10)
        for (let s = 0; s <= 120; s += 5) {
          const x = Float64Array.of(a, m, s);
          best = Math.min(
            best,
            goals.reduce((sum, g, i) => sum + Math.abs(forms[i]!.valueAt(x) - (g.low + g.high) / 2) / ((g.high - g.low) / 2), 0),
          );
        }
    expect(b.cost).toBeLessThanOrEqual(best + 0.1);
  });
});

describe('against amounts tried at random', () => {
  it('for a fixed whole, none of them is nearer to the goals by more than a tenth of a half-width', () => {
    const ids = ['cream-48', 'wine-white-dry', 'sugar-caster', 'lemon-juice', 'milk-whole'];
    const grams = fc.double({ min: 10, max: 500, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(grams, { minLength: 5, maxLength: 5 }),
        fc.double({ min: 30, max: 42, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 5, max: 20, noNaN: true }),
        fc.array(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 }), { minLength: 60, maxLength: 60 }),
        (gs, fat, abv, sweet, tries) => {
          const lines = ids.map((id, i) => line(id, gs[i]!, { maxG: 2 * gs[i]! }));
          const goals = [goal('fat', fat - 1, fat + 1), goal('abv', abv - 0.5, abv + 0.5), goal('sweetness', sweet - 1, sweet + 1)];
          const totalG = gs.reduce((a, b) => a + b, 0);
          const found = solved(lines, goals, totalG);
          const forms = goals.map((g) => goalForm(g, lines));
          for (const t of tries) {
            const sum = lines.reduce((a, l, i) => a + l.maxG! * t[i]!, 0);
            if (sum < 1) continue;
            const x = Float64Array.from(lines, (l, i) => (l.maxG! * t[i]! * totalG) / sum);
            if (x.some((v, i) => v > lines[i]!.maxG!)) continue;
            const cost = goals.reduce((sum, g, k) => sum + Math.abs(forms[k]!.valueAt(x) - (g.low + g.high) / 2) / ((g.high - g.low) / 2), 0);
            expect(found.cost).toBeLessThanOrEqual(cost + 0.1);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('what the solver never does', () => {
  const anyLine = fc.record({
    id: fc.constantFrom('cream-36', 'milk-whole', 'sugar-caster', 'mascarpone', 'rum-40', 'egg-yolk', 'gelatin-powder-225'),
    g: fc.double({ min: 1, max: 800, noNaN: true }),
    locked: fc.boolean(),
    low: fc.double({ min: 0, max: 1, noNaN: true }),
    up: fc.double({ min: 1, max: 4, noNaN: true }),
    step: fc.constantFrom(null, null, 5),
  });
  const anyGoal = fc.record({
    figure: fc.constantFrom('fat' as const, 'sweetness' as const, 'solids' as const, 'abv' as const, 'gelatin' as const, 'mass' as const),
    low: fc.double({ min: 0, max: 60, noNaN: true }),
    width: fc.double({ min: 0.5, max: 10, noNaN: true }),
  });
  it('breaks no lock, no bound, no step; and no answer has a deviation below nothing', () => {
    fc.assert(
      fc.property(fc.array(anyLine, { minLength: 1, maxLength: 7 }), fc.array(anyGoal, { minLength: 1, maxLength: 4 }), (ls, gs) => {
        const lines = ls.map((l) =>
          line(l.id, l.step ? Math.max(5, Math.round(l.g / 5) * 5) : l.g, {
            locked: l.locked,
            minG: l.step ? 0 : l.g * l.low,
            maxG: l.step ? 5000 : l.g * l.up,
            stepG: l.step,
          }),
        );
        const r = solveBalance({ lines, goals: gs.map((g) => goal(g.figure, g.low, g.low + g.width)), totalG: null });
        if (!r.ok) return;
        r.value.amountsG.forEach((x, i) => {
          const l = lines[i]!;
          if (l.locked) expect(x).toBe(l.nowG);
          else {
            expect(x).toBeGreaterThanOrEqual(l.minG);
            expect(x).toBeLessThanOrEqual(l.maxG!);
            if (l.stepG) expect(Math.abs(x / l.stepG - Math.round(x / l.stepG))).toBeLessThan(1e-9);
          }
        });
        r.value.goals.forEach((g) => expect(g.off).toBeGreaterThanOrEqual(0));
      }),
      { numRuns: 60 },
    );
  });
});

describe('conflicts in what is asked', () => {
  const cream = line('cream-36', 500);
  const sweet = [goal('sweetness', 8, 12)];
  it.each([
    ['negative bound', [line('cream-36', 500, { minG: -5 })], sweet, null, 'minG', 'cannot be below 0'],
    ['upside-down bounds', [line('cream-36', 500, { minG: 600, maxG: 400 })], sweet, null, 'maxG', '600'],
    ['a lock against its bound', [line('cream-36', 500, { locked: true, maxG: 400 })], sweet, null, 'locked', 'locked at 500'],
    ['locks too heavy', [line('cream-36', 500, { locked: true })], sweet, 400, 'totalG', '500'],
    ['bounds too light', [line('cream-36', 500, { maxG: 300 })], sweet, 400, 'totalG', '300'],
    ['no whole step', [line('egg-yolk', 17, { stepG: 17, minG: 20, maxG: 30 })], sweet, null, 'stepG', '17'],
    ['an upside-down band', [cream], [goal('fat', 36, 33)], null, 'goals', 'less to more'],
    ['nothing there', [line('cream-36', 0)], sweet, null, 'lines', 'nothing'],
  ] as const)('%s is a sentence', (_, lines, goals, totalG, field, words) => {
    const r = solveBalance({ lines: [...lines], goals: [...goals], totalG });
    expect(r.ok).toBe(false);
    if (!r.ok) {
      expect(r.fault.field).toBe(field);
      expect(r.fault.says.replaceAll('\u00a0', ' ')).toContain(words);
    }
  });
  it('a problem has a form that outside input is held to', () => expect(BalanceProblemSchema.safeParse({ lines: [], goals: [] }).success).toBe(false));
});

describe('blending several sources', () => {
  const s = (name: string, fatPct: number, pricePerKg: number | null = null, onHandG: number | null = null) => ({ name, fatPct, pricePerKg, onHandG });
  it('two are the square', () => {
    const r = blendSources(36, 1000, [s('double', 48), s('milk', 3.6)]);
    expect(r.ok && r.value[0]).toBeCloseTo((1000 * 32.4) / 44.4, 6);
  });
  it('of three the cheapest blend, within what is on hand', () => {
    const r = blendSources(36, 1000, [s('double', 48, 8, 300), s('whipping', 35, 6), s('clotted', 55, 14)]);
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.reduce((a, b) => a + b, 0)).toBeCloseTo(1000, 6);
    expect(r.value[0]! * 48 + r.value[1]! * 35 + r.value[2]! * 55).toBeCloseTo(36_000, 4);
    expect(r.value[2]).toBeCloseTo(0, 6);
    const short = blendSources(40, 1000, [s('double', 48, 8, 100), s('whipping', 35, 6), s('clotted', 55, 14, 100)]);
    expect(!short.ok && short.fault.field).toBe('onHandG');
  });
  it('a wish beyond all of them is said', () => expect(blendSources(60, 1000, [s('a', 48), s('b', 36)]).ok).toBe(false));
});
