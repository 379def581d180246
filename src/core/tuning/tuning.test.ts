import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient, KITCHEN, sheetOf, partsSheet } from '../../testing/sample';
import { LEARNABLE, learn } from '../learning/correction';
import { secondsToStage, whip } from '../foam/whisk';
import { uptakePct } from '../tin/soak';
import { capacityMl } from '../vessel/profile';
import { beforeStarting } from '../batch/mise';
import { analyseSheet } from '../analysis/analyse';
import { shownSteps } from '../batch/method';
import { effectOf } from './effect';
import { figuresOf, worthFigure } from './figures';
import { BELIEVED, H_RANGE, LEAST_FALLEN, TESTS } from './house';
import type { KeptTest, Measured } from './measured';
import { tuned, type Tuned } from './tuned';
import { mixerNow, staleBecause, testsOffered, thingNow, type SheetInUse } from './worth';

const MIXER = KITCHEN.mixers[0]!;
const FRIDGE = KITCHEN.places.find((p) => p.kind.endsWith('fridge'))!;
const GLASS = KITCHEN.vessels.find((v) => v.vessel.kind === 'glass')!;
const OVEN = KITCHEN.rules.ovens[0]!;
const came = (m: Measured): Tuned => {
  const r = tuned(m, KITCHEN);
  if (!r.ok) throw new Error(`${r.fault.field}: ${r.fault.says}`);
  return r.value;
};
const fault = (m: Measured): string => {
  const r = tuned(m, KITCHEN);
  if (r.ok) throw new Error(JSON.stringify(r.value));
  return `${r.fault.field} ${r.fault.code}`;
};

const whisk = (more: Partial<Extract<Measured, { kind: 'whisk' }>> = {}): Measured => ({
  kind: 'whisk',
  thing: MIXER.id,
  fatPct: 36,
  creamG: 800,
  creamC: 5,
  speed: 'medium',
  softS: null,
  mediumS: null,
  firmS: null,
  ...more,
});
const formula = (stage: 'soft' | 'medium' | 'firm'): number => {
  const w = whip({
    fatPct: 36,
    sugarPer100: 0,
    sugarAt: 'start',
    creamC: 5,
    softCheeseShare: 0,
    mascarponeShare: 0,
    mixer: MIXER.kind,
    bowlMl: MIXER.bowlMl,
    speed: 'medium',
    slowFromSoft: false,
    mixMl: 800,
    batches: 1,
    target: 'firm',
  });
  return w.ok ? secondsToStage(w.value, stage)! : NaN;
};

describe('a timed cream', () => {
  it('is over the formula by what each stage was, on the mean of the logarithms', () => {
    const t = came(whisk({ softS: 1.2 * formula('soft'), firmS: 0.9 * formula('firm') }));
    expect(t).toMatchObject({ kind: 'whisk', stages: 2 });
    expect(t.kind === 'whisk' && t.ratio).toBeCloseTo(Math.sqrt(1.2 * 0.9), 9);
    const one = came(whisk({ mediumS: 1.3 * formula('medium') }));
    expect(one.kind === 'whisk' && one.ratio).toBeCloseTo(1.3, 9);
  });
  it('needs one stage, in their order, and a time that a mixer can have', () => {
    expect(fault(whisk())).toBe('softS nothing');
    expect(fault(whisk({ softS: 120, firmS: 110 }))).toBe('firmS order');
    expect(fault(whisk({ firmS: 1.02 * BELIEVED.whisk * formula('firm') }))).toBe('softS unlikely');
    expect(fault(whisk({ firmS: formula('firm') / (1.02 * BELIEVED.whisk) }))).toBe('softS unlikely');
    expect(came(whisk({ firmS: 0.98 * BELIEVED.whisk * formula('firm') }))).toMatchObject({ stages: 1 });
    expect(fault(whisk({ thing: 'gone', firmS: 100 }))).toBe('thing gone');
    expect(fault(whisk({ creamG: 50, firmS: 100 }))).toBe('mixMl not-reached');
  });
});

/** A cup of water that cools as Newton says. */
const cup = (airC: number, h: number, minutes: readonly number[], startC = 20, waterG = 250, acrossMm = 70): Extract<Measured, { kind: 'cold' }> => {
  const radius = acrossMm / 2000;
  const high = waterG / 0.9982 / 1e6 / (Math.PI * radius ** 2);
  const k = (60 * h * 2 * Math.PI * radius * (radius + high)) / (waterG * 4.186);
  return { kind: 'cold', thing: FRIDGE.id, waterG, acrossMm, readings: minutes.map((min) => ({ min, c: airC + (startC - airC) * Math.exp(-k * min) })) };
};

describe('a cup of water in the cold', () => {
  it('gives back the air and the heat transfer that cooled it', () =>
    fc.assert(
      fc.property(fc.double({ min: 1.2, max: 8, noNaN: true }), fc.double({ min: 4, max: 40, noNaN: true }), (airC, h) => {
        const t = came(cup(airC, h, [0, 20, 45, 80, 140, 240]));
        if (t.kind !== 'cold') throw new Error(t.kind);
        expect(t.airC).toBeCloseTo(airC, 2);
        expect(t.h / h).toBeCloseTo(1, 3);
      }),
      { numRuns: 60 },
    ));
  it('in a freezer from what it does before it freezes; readings at its ice are left out by the cook', () =>
    fc.assert(
      fc.property(fc.double({ min: -40, max: -10, noNaN: true }), fc.double({ min: 5, max: 12, noNaN: true }), (airC, h) => {
        const all = cup(airC, h, [0, 10, 20, 30, 40, 50, 60, 70, 80]);
        const warm = { ...all, readings: all.readings.filter((r) => r.c >= 1) };
        const r = tuned(warm, KITCHEN);
        // What has fallen too little to tell is said; else it is the air that cooled it.
        if (r.ok) expect(r.value.kind === 'cold' && r.value.airC).toBeCloseTo(airC, 1);
        else expect(['too-soon', 'too-few']).toContain(r.fault.code);
        if (all.readings.some((x) => x.c < 1)) expect(fault(all)).toBe('readings freezes');
      }),
      { numRuns: 60 },
    ));
  it('air that no place can have is not kept: the kitchen could not be read any more', () => {
    expect(fault(cup(-50, 8, [0, 12, 24, 36, 47], 35))).toBe('readings unlikely');
    expect(came(cup(-44, 8, [0, 12, 24, 36, 47], 35))).toMatchObject({ kind: 'cold' });
    const near = cup(42, 8, [0, 20, 45, 80, 140, 240], 80);
    expect(fault(near)).toBe('readings unlikely');
    expect(came(cup(38, 8, [0, 20, 45, 80, 140, 240], 80))).toMatchObject({ kind: 'cold' });
  });
  it('by hand: 250 g in a straight cup 70 mm across, 7 W/m²K, falls from 20 to 12 °C in 4 °C in about 82 minutes', () => {
    // A = 2πr(r + 65 mm) = 0.02198 m²; k = 7·0.02198/(0.25·4186) = 1.470e-4 /s; ln 2 / k = 4715 s.
    const c = cup(4, 7, [Math.LN2 / 1.4703e-4 / 60]).readings[0]!.c;
    expect(c).toBeCloseTo(12, 1);
  });
  it('a reading to the half degree moves h by less than a tenth', () => {
    const exact = cup(4, 7, [0, 20, 45, 80, 140, 240]);
    const t = came({ ...exact, readings: exact.readings.map((r) => ({ ...r, c: Math.round(2 * r.c) / 2 })) });
    expect(t.kind === 'cold' && Math.abs(t.h / 7 - 1)).toBeLessThan(0.1);
  });
  it('in any order; too few, too soon, scattered and impossible ones are said', () => {
    const all = cup(4, 7, [0, 20, 45, 80, 140, 240]);
    expect(came({ ...all, readings: all.readings.toReversed() })).toEqual(came(all));
    expect(fault({ ...all, readings: all.readings.slice(0, 3) })).toBe('readings too-few');
    expect(fault({ ...all, readings: all.readings.map((r) => ({ ...r, c: 20 })) })).toBe('readings no-change');
    expect(fault(cup(4, 7, [0, 4, 8, 12, 16]))).toBe('readings too-soon');
    expect(fault({ ...all, readings: all.readings.map((r, i) => ({ ...r, c: r.c + (i % 2 ? 2.5 : -2.5) })) })).toBe('readings scattered');
    expect(fault(cup(4, 1.02 * H_RANGE[1], [0, 5, 10, 20, 40, 60]))).toBe('acrossMm unlikely');
    expect(came(cup(4, 0.98 * H_RANGE[1], [0, 5, 10, 20, 40, 60]))).toMatchObject({ kind: 'cold' });
    expect(fault({ ...all, thing: 'gone' })).toBe('thing gone');
    // So far down it must be: 1 − e^(−kt).
    const k = 1.4703e-4 * 60;
    const late = (share: number) =>
      cup(
        4,
        7,
        [0, 0.2, 0.4, 0.6, 0.8, 1].map((f) => (f * -Math.log(1 - share)) / k),
      );
    expect(fault(late(LEAST_FALLEN - 0.02))).toBe('readings too-soon');
    expect(came(late(LEAST_FALLEN + 0.02))).toMatchObject({ kind: 'cold' });
  });
});

describe('the others', () => {
  const biscuit = ingredient('ladyfinger').biscuit!;
  it('biscuits by what they took up, over the larder’s at that time', () => {
    const pct = 1.2 * uptakePct(biscuit, 2);
    const t = came({ kind: 'dip', thing: 'ladyfinger', dryG: 40, dippedG: 40 * (1 + pct / 100), seconds: 2 });
    expect(t).toMatchObject({ kind: 'dip' });
    expect(t.kind === 'dip' && t.ratio).toBeCloseTo(1.2, 9);
    expect(t.kind === 'dip' && t.uptakePct).toBeCloseTo(pct, 9);
    expect(fault({ kind: 'dip', thing: 'ladyfinger', dryG: 40, dippedG: 39, seconds: 2 })).toBe('dippedG lighter');
    expect(fault({ kind: 'dip', thing: 'ladyfinger', dryG: 40, dippedG: 41, seconds: 2 })).toBe('dippedG unlikely');
    expect(fault({ kind: 'dip', thing: 'cream-35', dryG: 40, dippedG: 60, seconds: 2 })).toBe('thing gone');
  });
  it('a glass by its water, a scale by a weight, an oven by a thermometer', () => {
    const holds = capacityMl(GLASS.vessel);
    const glass = came({ kind: 'glass', thing: GLASS.id, waterG: 1.05 * holds * 0.9982 });
    expect(glass.kind === 'glass' && glass.ratio).toBeCloseTo(1.05, 9);
    expect(fault({ kind: 'glass', thing: GLASS.id, waterG: 2.1 * holds })).toBe('waterG unlikely');
    expect(came({ kind: 'scale', thing: 'scale', trueG: 500, shownG: 510 })).toEqual({ kind: 'scale', offPct: expect.closeTo(2, 9) as number });
    expect(fault({ kind: 'scale', thing: 'scale', trueG: 500, shownG: 390 })).toBe('shownG unlikely');
    expect(came({ kind: 'oven', thing: OVEN.id, setC: 160, readC: 172 })).toEqual({ kind: 'oven', offC: 12 });
    expect(fault({ kind: 'oven', thing: OVEN.id, setC: 160, readC: 95 })).toBe('readC unlikely');
    expect(fault({ kind: 'oven', thing: 'gone', setC: 160, readC: 172 })).toBe('thing gone');
  });
  it('a litre from 20 °C to the boil in six minutes takes 930 W', () => {
    // 1000 g · 4.186 J/gK · 80 K / 360 s.
    expect(came({ kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 360, boilsC: null })).toEqual({
      kind: 'hob',
      watts: expect.closeTo(930.2, 1) as number,
      boilsC: null,
    });
    expect(came({ kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 360, boilsC: 95 })).toMatchObject({ watts: expect.closeTo(872.1, 1) as number });
  });
});

describe('what keeping a test sets', () => {
  const effect = (m: Measured) => effectOf(m, came(m), KITCHEN);
  it('a place, a biscuit, a glass, an oven, a scale, a hob; a timed cream nothing', () => {
    expect(effect(whisk({ firmS: formula('firm') }))).toBeNull();
    expect(effect(cup(3.2, 9, [0, 20, 45, 80, 140, 240]))).toMatchObject({ of: 'place', set: { airC: 3.2, hWPerM2K: 9 }, was: { airC: FRIDGE.airC } });
    const [one, two, four] = ingredient('ladyfinger').biscuit!.uptakePct;
    const dip = effect({ kind: 'dip', thing: 'ladyfinger', dryG: 100, dippedG: 100 + 1.1 * two, seconds: 2 });
    expect(dip?.set).toEqual([expect.closeTo(1.1 * one, 1), expect.closeTo(1.1 * two, 1), expect.closeTo(1.1 * four, 1)]);
    const glass = effect({ kind: 'glass', thing: GLASS.id, waterG: 1.05 * capacityMl(GLASS.vessel) * 0.9982 });
    expect(glass?.of === 'glass' && capacityMl(glass.set) / capacityMl(GLASS.vessel)).toBeCloseTo(1.05, 6);
    expect(effect({ kind: 'oven', thing: OVEN.id, setC: 160, readC: 172 })).toEqual({ of: 'oven', id: OVEN.id, set: 12, was: null });
    expect(effect({ kind: 'scale', thing: 'scale', trueG: 500, shownG: 510 })).toEqual({ of: 'scale', set: 2, was: null });
    // The pan takes half of what the ring gives.
    expect(effect({ kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 360, boilsC: 98 })).toEqual({
      of: 'hob',
      set: { watts: Math.round((2 * 1000 * 4.186 * 78) / 360), boilsC: 98 },
      was: { watts: null, boilsC: KITCHEN.rules.waterBoilsC },
    });
  });
  it('an oven that runs hot is turned to another dial on Pass, and one that is nearly right is not', () => {
    const sheet = partsSheet([['m', 'meringue', 'Shell', ['100 g egg whites', '200 g caster sugar']]], { family: 'nest' });
    const analysis = analyseSheet(sheet, KITCHEN);
    const steps = shownSteps(analysis, null).map((s, i) => (i === 0 ? { ...s, ovenC: 120 } : { ...s, ovenC: null }));
    const says = (offK: number | undefined) => beforeStarting(steps, analysis, [{ ...OVEN, offK }]).find((b) => b.title.startsWith('Oven'))?.detail;
    expect(says(12)).toContain('Its dial at 108\u00a0°C, as it runs 12\u00a0K too hot.');
    expect(says(-8)).toContain('Its dial at 128\u00a0°C, as it runs 8\u00a0K too cool.');
    for (const off of [undefined, 2.9, -2.9]) expect(says(off)).not.toContain('dial');
  });
});

const DAY = 86_400_000;
const NOW = 400 * DAY;
const kept = (measured: Measured, daysAgo: number, thingWas = thingNow(measured.kind, measured.thing, KITCHEN) ?? ''): KeptTest => ({
  id: `${measured.kind}${daysAgo}`,
  at: NOW - daysAgo * DAY,
  measured,
  thingWas,
});

describe('which test is worth doing next', () => {
  const cream: SheetInUse = { id: 's', name: 'Chantilly', doc: sheetOf(['500 g cream 36 %']), batches: 0 };
  const all = (sheets: readonly SheetInUse[], tests: readonly KeptTest[] = [], outcomes: Parameters<typeof testsOffered>[2] = []) =>
    testsOffered(KITCHEN, sheets, outcomes, tests, NOW);
  const of = (list: ReturnType<typeof all>, kind: string, thing: string) => list.find((t) => t.kind === kind && t.thing === thing)!;

  it('by the narrowing of all bands in a minute, the most first', () => {
    const list = all([cream]);
    const order = list.map((t) => t.perMinute);
    expect(order).toEqual(order.toSorted((a, b) => b - a));
    const cold = of(list, 'cold', FRIDGE.id);
    expect(cold.bands).toEqual([{ sheetId: 's', sheet: 'Chantilly', figure: 'hours in the cold', now: 0.2, then: 0.1, weight: 1 }]);
    expect(cold.perMinute).toBeCloseTo((0.2 - 0.1) / TESTS.cold.minutes, 9);
    // Nothing rests on a freezer, a biscuit or a glass that no sheet uses.
    expect(list.filter((t) => t.kind === 'dip')).toEqual([]);
    expect(of(list, 'glass', GLASS.id)).toMatchObject({ bands: [], perMinute: 0 });
  });
  it('kelvin of an oven are shares of a usual bake, 160 °C', () => {
    const bake = { ...cream, doc: { ...cream.doc, steps: cream.doc.steps.map((x, i) => (i === 0 ? { ...x, ovenC: 150 } : x)) } };
    expect(of(all([bake]), 'oven', OVEN.id).perMinute).toBeCloseTo((12 - 3) / 160 / TESTS.oven.minutes, 9);
    expect(of(all([cream]), 'oven', OVEN.id).perMinute).toBe(0);
  });
  it('a sheet that is made often counts more, up to ten batches', () => {
    const at = (batches: number) => of(all([{ ...cream, batches }]), 'cold', FRIDGE.id).perMinute * TESTS.cold.minutes;
    expect(at(4)).toBeCloseTo(5 * 0.1, 9);
    expect(at(40)).toBeCloseTo(11 * 0.1, 9);
  });
  it('what it is worth shows how it came about: bands, how often they count, minutes', () => {
    const f = worthFigure(of(all([{ ...cream, batches: 2 }]), 'cold', FRIDGE.id));
    expect(f.value).toBeCloseTo((100 * 3 * 0.1) / TESTS.cold.minutes, 9);
    expect(f.inputs.map((i) => [i.symbol, i.value])).toEqual([
      ['n = 3', '20.0\u00a0% → 10.0\u00a0%'],
      ['', '6\u00a0min'],
    ]);
    const many = worthFigure(of(all(Array.from({ length: 9 }, (_, i) => ({ ...cream, id: `s${i}` }))), 'cold', FRIDGE.id));
    expect([many.inputs.length, many.limits]).toEqual([7, '3 more bands are counted.']);
  });
  it('each number that a test comes to shows its working', () => {
    const tests: readonly Measured[] = [
      whisk({ softS: 100, firmS: 180 }),
      cup(4, 7, [0, 20, 45, 80, 140, 240]),
      { kind: 'dip', thing: 'ladyfinger', dryG: 40, dippedG: 75, seconds: 2 },
      { kind: 'glass', thing: GLASS.id, waterG: capacityMl(GLASS.vessel) },
      { kind: 'scale', thing: 'scale', trueG: 500, shownG: 505 },
      { kind: 'oven', thing: OVEN.id, setC: 160, readC: 170 },
      { kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 360, boilsC: null },
    ];
    for (const m of tests) {
      const figures = figuresOf(m, came(m));
      expect(figures).toHaveLength(m.kind === 'cold' ? 2 : 1);
      for (const f of figures) {
        expect(Number.isFinite(f.value)).toBe(true);
        expect(f.inputs.length).toBeGreaterThan(1);
        expect(f.source).not.toBe('');
      }
    }
    // A result is shown beside what it was measured from, and never beside another.
    expect(figuresOf(tests[0]!, came(tests[6]!))).toEqual([]);
  });
  it('a timed cream narrows the time by what one more batch would, and helps the other mixers a little', () => {
    const other = { ...cream, id: 't', doc: sheetOf(['500 g cream 36 %'], { mixerId: KITCHEN.mixers[1]!.id }) };
    const { bands } = of(all([cream, other]), 'whisk', MIXER.id);
    const { spread, noise } = LEARNABLE['whisk-time'];
    const half = (l: { low: number; high: number }) => Math.sqrt(l.high / l.low) - 1;
    const one = learn([{ ratio: 1, at: 0, batchId: 'x', answer: 'count' }], spread, noise);
    expect(bands[0]).toMatchObject({ now: half(learn([], spread, noise)), then: expect.closeTo(half(one), 9) as number });
    expect(bands[1]!.then).toBeLessThan(bands[1]!.now);
    expect(bands[1]!.then).toBeGreaterThan(bands[0]!.then);
  });
  it('what was done narrows nothing more, until it has gone stale', () => {
    const m = cup(4, 7, [0, 20, 45, 80, 140, 240]);
    const fresh = of(all([cream], [kept(m, 100)]), 'cold', FRIDGE.id);
    expect(fresh).toMatchObject({ stale: '', perMinute: 0, last: { id: 'cold100' } });
    const old = of(all([cream], [kept(m, 121), kept(m, 300)]), 'cold', FRIDGE.id);
    expect(old).toMatchObject({ stale: '121 days ago, in another season', last: { id: 'cold121' } });
    expect(old.perMinute).toBeGreaterThan(0);
  });
  it('stale: another mixer, another place, gone, too old by its own days', () => {
    const cold = cup(4, 7, [0, 20, 45, 80, 140, 240]);
    expect(staleBecause(kept(whisk({ firmS: 100 }), 1), KITCHEN, NOW)).toBe('');
    expect(staleBecause(kept(whisk({ firmS: 100 }), 1, mixerNow({ kind: 'hand-mixer', bowlMl: 3000 })), KITCHEN, NOW)).toBe('the mixer is another one now');
    expect(staleBecause(kept(cold, 1, 'fan-fridge 900'), KITCHEN, NOW)).toBe('the place is another one now');
    expect(staleBecause(kept({ kind: 'oven', thing: 'gone', setC: 160, readC: 170 }, 1, ''), KITCHEN, NOW)).toBe('it is no longer here');
    const days = { cold: 120, whisk: 365, scale: 180, oven: 365, hob: 365, dip: 365, glass: 3650 } as const;
    const measured: Readonly<Record<keyof typeof days, Measured>> = {
      cold,
      whisk: whisk({ firmS: 100 }),
      scale: { kind: 'scale', thing: 'scale', trueG: 500, shownG: 500 },
      oven: { kind: 'oven', thing: OVEN.id, setC: 160, readC: 160 },
      hob: { kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 300, boilsC: null },
      dip: { kind: 'dip', thing: 'ladyfinger', dryG: 40, dippedG: 60, seconds: 2 },
      glass: { kind: 'glass', thing: GLASS.id, waterG: 100 },
    };
    for (const [kind, many] of Object.entries(days)) {
      const m = measured[kind as keyof typeof days];
      expect(staleBecause(kept(m, many), KITCHEN, NOW)).toBe('');
      expect(staleBecause(kept(m, many + 1), KITCHEN, NOW)).toContain(`${many + 1} days ago`);
    }
  });
});

it('the house figures of the tests are those of docs/science', () => {
  expect(TESTS).toEqual({
    whisk: { before: null, after: null, minutes: 12, staleDays: 365 },
    cold: { before: 0.2, after: 0.1, minutes: 6, staleDays: 120 },
    dip: { before: 0.25, after: 0.08, minutes: 4, staleDays: 365 },
    glass: { before: 0.08, after: 0.01, minutes: 2, staleDays: 3650 },
    scale: { before: 0.015, after: 0.004, minutes: 1, staleDays: 180 },
    oven: { before: 12, after: 3, minutes: 3, staleDays: 365 },
    hob: { before: 0.25, after: 0.1, minutes: 4, staleDays: 365 },
  });
});
