/** Conditions of real desserts that were answered wrongly once, each by what a kitchen would be served. */
import { describe, expect, it } from 'vitest';
import { ingredient, KITCHEN, partsSheet, sheetOf } from '../testing/sample';
import { writtenSheet } from '../testing/written';
import { analyseSheet, mainPart } from './analysis/analyse';
import { freezerOf } from './analysis/frozen';
import { stirredAt } from './analysis/stirred-cheese';
import { batchPlan } from './batch/make-batch';
import { calculate } from './calculators';
import { declarations } from './files/tub-label';
import { placeOf } from './kitchen/place';
import { sheetTells } from './tells/sheet-tells';
import { tellText } from './tells/tell';
import { soaksOf } from './tin/sheet-soak';

const of = (s: Parameters<typeof analyseSheet>[0]) => analyseSheet(s, KITCHEN);
const tells = (s: Parameters<typeof analyseSheet>[0]) =>
  sheetTells(of(s), KITCHEN).map((t) => ({ ...t, text: tellText(t).replaceAll('\u00a0', ' ').replaceAll('\u2060', '') }));
const answer = (name: string, input: unknown): Record<string, unknown> => {
  const r = calculate(name, input, () => KITCHEN);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value as Record<string, unknown>;
};
const label = (...lines: string[]) => declarations(of(sheetOf(['500 g cream 36 %', ...lines]))).join('; ');

describe('what can hurt', () => {
  it.each([
    ['fish gelatin', '5 g fish gelatin powder', /fish/],
    ['hazelnuts by their name', '40 g roasted hazelnuts', /hazelnut/],
    ['almonds by theirs', '40 g ground almonds', /almond/],
    ['coconut cream and its sulphites', '100 g coconut cream, canned, unsweetened', /sulphites/],
    ['desiccated coconut and its', '40 g desiccated coconut', /sulphites/],
  ])('%s on the label', (_, line, says) => expect(label(line)).toMatch(says));
  it('a dessert in which nothing is known of allergens says that none was entered', () => {
    expect(declarations(of(sheetOf(['100 g water', '20 g caster sugar']))).join('; ')).toBe('Allergens: none entered; check every packet');
  });
  it('cheese is stirred at one temperature wherever it is said: mascarpone cool, soft cheese soft', () => {
    for (const [cheese, at] of [
      ['mascarpone', '10–12 °C'],
      ['cream cheese', '16–18 °C'],
    ] as const) {
      const sheet = sheetOf(['300 g cream 36 %', `300 g ${cheese}`]);
      expect(
        stirredAt(mainPart(of(sheet)).reading)
          .replaceAll('\u00a0', ' ')
          .replaceAll('\u2060', ''),
      ).toBe(at);
      const plan = batchPlan(sheet, KITCHEN);
      if (!plan.ok) throw new Error(plan.fault.says);
      const words = [...plan.value.before, ...plan.value.steps]
        .map((x) => x.detail)
        .join(' ')
        .replaceAll('\u00a0', ' ')
        .replaceAll('\u2060', '');
      expect(words.match(/1\d–1\d °C/g)).toEqual([at, at]);
    }
    expect(ingredient('mascarpone').note).toContain('10–12 °C');
  });
});

describe('one answer', () => {
  it('of two freezers: what is frozen is judged by the one that it goes into', () => {
    const base = KITCHEN.places.find((p) => p.kind === 'chest-freezer')!;
    const kitchen = {
      ...KITCHEN,
      places: [{ ...base, id: 'a', airC: -12 }, ...KITCHEN.places.filter((p) => !/freezer|blast/.test(p.kind)), { ...base, id: 'b', airC: -20 }],
    };
    const sheet = sheetOf(['500 g cream 36 %'], {}, { family: 'semifreddo' });
    for (const placeId of ['a', 'b', null]) {
      const cold = { ...sheet.cold, setup: { ...sheet.cold.setup, placeId } };
      const inPlace = placeOf(kitchen, cold.setup, 'semifreddo')!;
      expect(freezerOf(kitchen, { ...sheet, cold })).toBe(inPlace.airC);
    }
  });
  it('of the hold: what holds more never holds shorter', () => {
    const clean = (...lines: string[]) => mainPart(of(sheetOf(['400 g cream 36 %', ...lines]))).holdFridge;
    const hours = (...lines: string[]) => {
      const h = clean(...lines);
      if (!h.ok) throw new Error(h.fault.says);
      return h.value.cleanH;
    };
    expect(hours('2 marshmallows')).toBeGreaterThanOrEqual(hours());
    expect(hours('100 g strained yoghurt')).toBeGreaterThan(hours());
    expect(hours('100 g strained yoghurt')).toBeLessThan(48);
  });
});

describe('what stands', () => {
  it('a cheese filling with two leaves is not told to use eight', () => {
    const said = tells(
      sheetOf(['405 g cream cheese', '400 g cream 36 %', '95 g caster sugar', '2 leaves platinum gelatin'], {}, { use: 'slice', family: 'cheesecake' }),
    ).filter((t) => /^(gelatin|set|setter)/.test(t.key));
    expect(said.length).toBeGreaterThan(0);
    expect(said.every((t) => t.state !== 'out')).toBe(true);
    expect(said.map((t) => t.text).join(' ')).not.toMatch(/may lean|slump/);
  });
  it('a rum jelly of 18 % sets, with half as much again', () => {
    const dose = (abvPct: number) =>
      answer('gelatin-dose', { gelatinG: 21, bloom: 200, totalG: 1000, use: 'slice', acidGPerKg: 0, abvPct, rawProteaseFruit: false });
    const [none, strong] = [dose(0), dose(18.1)].map((d) => d as { band: { low: number; high: number }; verdict: string; advisedG: number });
    expect(strong!.verdict).not.toBe('will-not-set');
    expect(strong!.band.low).toBeCloseTo(1.5 * none!.band.low, 6);
    expect(strong!.advisedG).toBeCloseTo(1.5 * none!.advisedG, 6);
  });
  it('what tempers gelatin lands where its masses say: 40 g at 5 °C bring 60 g of it to about 34', () => {
    const t = answer('tempering', { gelatinG: 10, waterG: 50, cold: [{ massG: 40, creamFatPct: 36 }], coldC: 5 });
    expect(t).toMatchObject({ spoonfulG: 40, strings: false });
    expect(t.spoonfulC).toBe(t.atOnceC);
    expect(t.spoonfulC).toBeGreaterThan(33);
    expect(t.spoonfulC).toBeLessThan(34.7);
  });
  it('a meringue buttercream is about two litres, not a shell', () => {
    const s = of(
      writtenSheet(
        'Buttercream\n\n12 egg whites\n300 g caster sugar\n678 g butter\n\nWhisk the whites and sugar over steam to 71 °C, then whisk until cold. Beat in the soft butter in pieces until smooth.',
      ),
    );
    const a = mainPart(s);
    expect(a.part.kind).toBe('buttercream');
    if (!s.volumeMl.ok) throw new Error(s.volumeMl.fault.says);
    expect(s.volumeMl.value).toBeGreaterThan(1500);
    expect(s.volumeMl.value).toBeLessThan(2600);
  });
});

describe('what is laid and drunk', () => {
  it('a sweet bread that is laid as slices drinks like one', () => {
    const s = of(
      partsSheet([
        ['b', 'biscuit-layer', 'Bread', ['240 g panettone']],
        ['s', 'soak', 'Coffee', ['200 g brewed coffee']],
        ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
      ]),
    );
    const [soak] = soaksOf(s);
    expect(soak?.ingredient.id).toBe('panettone');
    if (!soak?.soak?.ok) throw new Error('it does not drink');
    expect(soak.soak.value.drunkG).toBeGreaterThan(0);
  });
  it.each([
    [
      'crossed marks',
      {
        marks: [
          [60, 80],
          [0, 50],
        ],
        topMm: 80,
        baseMm: 50,
        heightMm: 90,
      },
    ],
    [
      'two marks at one height',
      {
        marks: [
          [40, 50],
          [40, 60],
        ],
        topMm: 80,
        baseMm: 50,
        heightMm: 90,
      },
    ],
  ])('a vessel with %s is measured or refused, never a number that is none', (_, v) => {
    const r = calculate('vessel', { vessel: { kind: 'profile', name: 'Glass', ...v }, volumeMl: 100 }, () => KITCHEN);
    if (r.ok) expect(JSON.stringify(r.value)).not.toMatch(/null|-\d/);
    else expect(r.fault.says).not.toBe('');
  });
  it('caffeine is said in mg, and rum is as strong as its bottle', () => {
    const said = declarations(of(sheetOf(['500 g cream 36 %', '304 g espresso'], {}, { portions: 8 }))).join('; ');
    const mg = Number(/about (\d+)/.exec(said)?.[1]);
    expect(mg).toBeGreaterThan(65);
    expect(mg).toBeLessThan(95);
    expect(of(sheetOf(['100 g dark rum 40 %'])).abvPct).toBeCloseTo(40, 0);
  });
});
