import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { ingredient, KITCHEN, sheetOf } from '../testing/sample';
import { CALCULATORS, calculate } from './calculators';
import { define, runCalculator } from './calculators/define';
import { ok } from './result';

const cream = [{ massG: 500, creamFatPct: 36 }];
const per100 = (id: string) => ingredient(id).composition;
const problem = {
  lines: [
    { name: 'cream', nowG: 500, per100: per100('cream-36') },
    { name: 'sweet wine', nowG: 100, per100: per100('wine-sweet') },
  ],
  goals: [
    { figure: 'fat', low: 33, high: 35 },
    { figure: 'abv', low: 5, high: 6 },
  ],
  totalG: 600,
};

/** An input for each calculator that it answers. */
const EXAMPLES: Record<keyof typeof CALCULATORS, unknown> = {
  composition: { portions: [{ massG: 600, creamFatPct: 36 }] },
  overrun: { liquidG: 120, foamG: 60 },
  'fat-blend': { targetPct: 36, aPct: 48, bPct: 3.6, totalG: 500 },
  whisk: {
    fatPct: 36,
    sugarPer100: 10,
    sugarAt: 'start',
    creamC: 5,
    softCheeseShare: 0,
    mascarponeShare: 0,
    mixer: 'planetary',
    bowlMl: 4800,
    speed: 'fast',
    slowFromSoft: true,
    mixMl: 660,
    batches: 1,
    target: 'medium',
  },
  hold: {
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
  },
  'gelatin-dose': { gelatinG: 5, bloom: 200, totalG: 760, use: 'pipe', acidGPerKg: 0, abvPct: 0, rawProteaseFruit: false },
  syllabub: { milkFatG: 192, massG: 505, hours: 12 },
  fold: {
    baseMl: 300,
    stiff: true,
    folds: [
      { mixMl: 100, overrunPct: 400, firstShare: 0.33 },
      { mixMl: 240, overrunPct: 90 },
    ],
  },
  alcohol: { portions: [{ massG: 100, per100: per100('rum-40') }, ...cream], servings: 8 },
  setter: { setter: 'agar', massG: 3, ofG: 1000 },
  'set-time': { hours: 4 },
  tempering: { gelatinG: 10, waterG: 50, cold: cream, coldC: 5 },
  mixing: {
    things: [
      { name: 'base', tC: 38, portions: [{ massG: 200, per100: per100('chocolate-dark-70') }] },
      { name: 'cream', tC: 5, portions: cream },
    ],
    bowl: { kind: 'steel', massG: 500, tC: 20 },
    wish: { tC: 30, thing: 0 },
  },
  syrup: { sugarG: 200, waterG: 60, toC: 118 },
  reduce: { portions: [{ massG: 400, per100: per100('plum') }], boilsOffG: 90, sievedOut: 0.06 },
  egg: {
    kind: 'yolk',
    curve: [
      [0, 20],
      [4, 62],
      [7.5, 71],
    ],
  },
  freezing: { portions: [...cream, { massG: 120, per100: per100('sugar-caster') }], overrunPct: 80, wishC: -10 },
  blend: {
    targetPct: 36,
    totalG: 1000,
    sources: [
      { name: 'double', fatPct: 48 },
      { name: 'whipping', fatPct: 35 },
      { name: 'milk', fatPct: 3.6 },
    ],
  },
  solve: problem,
  'trade-off': { problem, a: 0, b: 1, points: 5 },
  'egg-whisk': { foam: 'french-1-1', mixer: 'planetary', bowlMl: 4800, mixMl: 240 },
  'fold-strokes': { bowlMl: 1400, made: 20 },
  correction: { figure: 'whisk-time', ratios: [1.1, 1.08, 1.9] },
  cooling: {
    curve: [
      [0, 85],
      [10, 50],
      [100, 20],
      [300, 4],
    ],
  },
  cold: { shape: 'cylinder', heightMm: 60, widthMm: 80, portions: cream, startC: 20, airC: 4, side: 6, bottom: 6, top: 5, coreC: [10, 6] },
  vessel: { vessel: { kind: 'springform', name: 'Tin', topMm: 240, baseMm: 240, heightMm: 70 }, volumeMl: 1500 },
  biscuits: { floor: { kind: 'round', radiusMm: 120 }, shape: 'round', widthMm: 50, lengthMm: 50 },
  soak: { biscuit: ingredient('ladyfinger').biscuit, biscuitsG: 384, seconds: 2 },
  'read-recipe': { text: 'Chantilly\n300 g cream\n30 g icing sugar\n\nWhip the cream with the sugar.' },
  'next-trial': {
    points: [[0.5], [0.12], [0.88]],
    sittings: [[6, 3, 8].map((score, trial) => ({ trial, score }))],
    pairs: [{ better: 2, than: 0 }],
  },
  'tune-test': { measured: { kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 360, boilsC: null } },
  'mend-causes': { sheet: sheetOf(['500 g cream 36 %', '50 g icing sugar']), sign: 'grains', facts: { creamC: 11, whiskedS: 400 } },
  'mend-rescue': { sheet: sheetOf(['500 g cream 36 %', '50 g icing sugar']), sign: 'grains' },
  softening: { biscuit: ingredient('ginger-thin').biscuit },
  timetable: {
    tasks: [
      { id: 'served', minutes: 0, at: 600 },
      { id: 'set', minutes: 240 },
    ],
    gaps: [{ from: 'set', to: 'served' }],
    goals: [{ serve: 'served', tasks: ['set'] }],
  },
};

describe.each(Object.values(CALCULATORS))('$name', ({ name, input, output }) => {
  it('answers its example with what its output schema promises', () => {
    const r = calculate(name, EXAMPLES[name as keyof typeof EXAMPLES], () => KITCHEN);
    if (!r.ok) throw new Error(r.fault.says);
    expect((output as z.ZodType).safeParse(r.value).error).toBeUndefined();
    expect(JSON.stringify(r.value)).not.toMatch(/null,"massG|NaN/);
  });
  it('has schemas that can be shown', () => {
    expect(z.toJSONSchema(input as z.ZodType, { io: 'input' })).toBeTypeOf('object');
    expect(z.toJSONSchema(output as z.ZodType)).toBeTypeOf('object');
  });
  it.each([null, [], {}, 'cream', 7, { portions: [] }])('refuses %j with the field at fault', (bad) => {
    const r = calculate(name, bad, () => KITCHEN);
    expect(r.ok).toBe(false);
    if (!r.ok) expect(r.fault.field.length).toBeGreaterThan(0);
  });
});

describe('calculate', () => {
  it('names the calculators when asked for another', () => {
    const r = calculate('butterflies', {}, () => KITCHEN);
    expect(r.ok ? '' : r.fault.says).toContain('fat-blend');
  });
  it('is not fooled by what every object has', () => expect(calculate('constructor', {}, () => KITCHEN).ok).toBe(false));
  it('agrees with a hand calculation: 600 g of 36 % cream with 60 g sugar', () => {
    const sugar = {
      massG: 60,
      per100: Object.fromEntries(
        [
          'water',
          'milk_fat',
          'cocoa_fat',
          'egg_fat',
          'other_fat',
          'milk_protein',
          'egg_protein',
          'gelatin_protein',
          'other_protein',
          'lactose',
          'sucrose',
          'glucose',
          'fructose',
          'higher_saccharides',
          'polyol',
          'starch',
          'fibre',
          'ethanol',
          'acid',
          'salt',
          'other_solids',
        ].map((c) => [c, c === 'sucrose' ? 100 : 0]),
      ),
    };
    const r = calculate('composition', { portions: [{ massG: 600, creamFatPct: 36 }, sugar] }, () => KITCHEN);
    if (!r.ok) throw new Error(r.fault.says);
    const { fatPct, sweetness } = r.value as { fatPct: number; sweetness: number };
    expect(fatPct).toBeCloseTo((216 / 660) * 100, 9);
    expect(sweetness).toBeCloseTo((100 * (60 + 0.16 * 6 * 3.1104)) / 660, 9);
  });
  it('passes a fault of the core through', () => {
    const r = calculate('composition', { portions: [{ massG: 600, creamFatPct: 90 }] }, () => KITCHEN);
    expect(r.ok ? '' : r.fault.code).toBe('fat-too-high');
  });
});

describe('what comes out is checked', () => {
  const odd = define({
    name: 'odd',
    answers: 'A share.',
    input: z.object({ of: z.number() }),
    output: z.object({ share: z.number() }),
    run: ({ of }) => ok({ share: 1 / of }),
  });
  const none = (): never => {
    throw new Error('no kitchen is asked for');
  };
  it('a number that is none never leaves a calculator, and it says where it stood', () => {
    expect(runCalculator(odd, { of: 4 }, none)).toEqual({ ok: true, value: { share: 0.25 } });
    const r = runCalculator(odd, { of: 0 }, none);
    expect(r.ok ? null : r.fault).toMatchObject({ field: 'output', code: 'no-figure' });
    expect(r.ok ? '' : r.fault.says).toContain('share');
  });
  it('the field of an input that cannot be read is named', () => {
    const r = runCalculator(odd, { of: 'four' }, none);
    expect(r.ok ? null : r.fault.field).toBe('of');
  });
});
