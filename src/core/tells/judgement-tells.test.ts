import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { sampleDoc } from '../../data/sample/sample-kitchen';
import { SAMPLE_INGREDIENTS } from '../../data/sample/sample-ingredients';
import { SAMPLE_SHEETS } from '../../data/sample/sample-sheets';
import { matcherFor } from '../measures/match';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { applyTellEdit } from './apply';
import { sheetTells } from './sheet-tells';
import { tellText, type Tell } from './tell';

const larder = new Map([...KITCHEN.larder, ...SAMPLE_INGREDIENTS.map((i) => [i.id, i] as const)]);
const kitchen = { ...KITCHEN, larder };
const context = { ...CONTEXT, larder, matcher: matcherFor([...larder.values()]) };
const tells = (sheet: Sheet): readonly Tell[] => sheetTells(analyseSheet(sheet, kitchen), kitchen);
const tell = (sheet: Sheet, key: string): Tell => {
  const found = tells(sheet).find((t) => t.key.startsWith(key));
  if (!found)
    throw new Error(
      `no tell ${key}: ${tells(sheet)
        .map((t) => t.key)
        .join()}`,
    );
  return found;
};
const says = (sheet: Sheet, key: string): string =>
  tellText(tell(sheet, key))
    .replace(/[\u00a0\u202f]/g, ' ')
    .replaceAll('\u2060', '');
const sample = (id: string): Sheet =>
  sampleDoc(
    SAMPLE_SHEETS.find((s) => s.id === id)!,
    context,
    'planetary',
  );
let n = 0;
const acted = (sheet: Sheet, key: string): Sheet => applyTellEdit(sheet, tell(sheet, key).action!.edit, context, () => `n${n++}`);

describe('every figure that a tell shows', () => {
  it.each(SAMPLE_SHEETS.map((s) => s.id))('%s: opens a working with units, sources and a spread where it is house', (id) => {
    for (const t of tells(sample(id))) {
      expect(tellText(t)).not.toMatch(/NaN|Infinity|undefined|null/);
      for (const s of t.sentence) {
        if (typeof s === 'string') continue;
        expect(Number.isFinite(s.figure.value)).toBe(true);
        expect(s.figure.formula.length).toBeGreaterThan(3);
        expect(s.figure.inputs.length).toBeGreaterThan(0);
        expect(s.figure.source.length).toBeGreaterThan(3);
        expect(s.figure.kind === 'house').toBe(s.figure.spread !== null || s.figure.range !== null || /Room/.test(s.figure.name));
        for (const input of s.figure.inputs) expect(input.value).not.toMatch(/NaN|Infinity/);
      }
    }
  });
  it('the samples use every judgement at least once', () => {
    const keys = new Set(SAMPLE_SHEETS.flatMap((s) => tells(sample(s.id)).map((t) => t.key.split(':')[0]!)));
    for (const k of [
      'fat',
      'gelatin',
      'temper',
      'setter',
      'set-time',
      'fold',
      'ganache',
      'ice-bath',
      'egg',
      'raw-egg',
      'syrup',
      'sweetness',
      'alcohol',
      'caffeine',
      'syllabub',
      'fold-keeps',
      'knife',
      'ice',
      'solids',
      'hold',
      'counter',
    ])
      expect([k, keys.has(k)]).toEqual([k, true]);
  });
});

describe('what a tell offers, lands', () => {
  it('a syllabub gets the wine for its school', () => {
    const base = sheetOf(
      ['400 g double cream 48 %', '100 g dry white wine', '60 g caster sugar'],
      { stage: 'soft' },
      { family: 'syllabub', ways: { syllabub: 'parted' } },
    );
    expect(says(base, 'syllabub')).toMatch(/could hold \d+ g more before a drink gathers; parted was wished|parted/);
    const parted = acted(base, 'syllabub');
    expect(tell(parted, 'syllabub').state).toBe('in');
    expect(says(parted, 'syllabub')).toContain('parted as it should be');
    const whole = { ...parted, ways: { syllabub: 'whole' } };
    expect(says(whole, 'syllabub')).toContain('whole was wished');
    expect(tell(acted(whole, 'syllabub'), 'syllabub').state).toBe('in');
  });
  it('raw egg is replaced by carton egg of the same weight in every part', () => {
    const mousse = sample('prune-mousse');
    expect(says(mousse, 'raw-egg')).toContain('Raw egg in Chocolate base and Whites');
    const carton = acted(mousse, 'raw-egg');
    expect(tells(carton).some((t) => t.key === 'raw-egg')).toBe(false);
    expect(analyseSheet(carton, kitchen).mixture.massG).toBeCloseTo(analyseSheet(mousse, kitchen).mixture.massG, 0);
    expect(tells(carton).some((t) => tellText(t).includes('carton'))).toBe(true);
  });
  it('yolks that the syrup does not cook go to the carton by their way', () => {
    const cold = partsSheet([
      ['y', 'egg-foam', 'Yolks', ['6 yolks', '60 g caster sugar', '30 g water']],
      ['c', 'whipped-cream', 'Cream', ['300 g cream 36 %']],
    ]);
    expect(says(cold, 'egg:y')).toMatch(/does not reach the usual 71 °C/);
    expect(says(cold, 'egg:y')).not.toMatch(/\bsafe\b/i);
    // Said once, with one way out; that it keeps a day stands beside it.
    expect(says(cold, 'raw-egg')).toContain('counts as raw: keeps 24');
    expect(tell(cold, 'raw-egg').action).toBeNull();
    const after = acted(cold, 'egg:y');
    expect(after.parts[0]!.ways.eggs).toBe('pasteurised');
    expect(says(after, 'egg:y')).toContain('carton');
  });
  it('the boil-off that the syrup needs is written into the sheet', () => {
    const sheet = partsSheet([['y', 'egg-foam', 'Yolks', ['10 yolks', '260 g caster sugar', '90 g water']]]);
    const after = acted(sheet, 'syrup:y');
    expect(after.parts[0]!.lines.at(-1)!.text).toBe('less 51 g boils off');
    expect(tell(after, 'syrup:y').action).toBeNull();
  });
  it('a base at the wrong temperature is set to the right one', () => {
    const mousse = sample('prune-mousse');
    const cold = { ...mousse, parts: mousse.parts.map((p) => (p.id === 'base' ? { ...p, heat: { ...p.heat, atC: 25 } } : p)) };
    expect(tell(cold, 'fold:mousse').state).toBe('out');
    expect(acted(cold, 'fold:mousse').parts.find((p) => p.id === 'base')!.heat.atC).toBeGreaterThan(31);
  });
  it('the kitchen’s own authority is named', () => {
    const own = { ...kitchen, rules: { ...kitchen.rules, authority: 'the harbour code' } };
    const t = sheetTells(analyseSheet(sample('prune-mousse'), own), own).find((x) => x.key === 'raw-egg')!;
    expect(tellText(t)).toContain('Follow the harbour code.');
  });
});

describe('where a model ends', () => {
  it('above 60 % alcohol there is no figure, and the tell says why', () => {
    const spirit = {
      ...larder.get('rum-40')!,
      id: 'spirit',
      name: 'Neutral spirit',
      composition: { ...larder.get('rum-40')!.composition, water: 10, ethanol: 89, other_solids: 1 },
    };
    const own = { ...kitchen, larder: new Map([...larder, ['spirit', spirit] as const]) };
    const sheet = sheetOf(['100 g rum']);
    const poured = {
      ...sheet,
      parts: sheet.parts.map((p) => ({
        ...p,
        lines: p.lines.map((l) => ({ ...l, ingredientId: 'spirit', lastGood: { text: l.text, ingredientId: 'spirit', fromPartId: null } })),
      })),
    };
    const t = sheetTells(analyseSheet(poured, own), own).find((x) => x.key === 'alcohol')!;
    expect(t.state).toBe('silent');
    expect(tellText(t)).toContain('above 60');
  });
  it('all water is said, not figured', () => {
    const water = sheetOf(['500 g water'], {}, { family: 'syllabub' });
    for (const t of tells(water)) expect(tellText(t)).not.toMatch(/NaN|Infinity/);
    expect(tells(water).some((t) => t.state === 'silent')).toBe(true);
  });
  it('raw protease fruit is a hard stop with the way out', () => {
    const kiwi = sheetOf(['500 g cream 36 %', '100 g kiwi', '4 leaves gelatin'], {}, { use: 'slice' });
    expect(tell(kiwi, 'gelatin').state).toBe('out');
    expect(says(kiwi, 'gelatin')).toContain('85 °C');
  });
});

describe('cheese that is only beaten', () => {
  const frosting = (...more: string[]): Sheet => partsSheet([['f', 'cheese-cream', 'Frosting', ['300 g cream cheese', '100 g icing sugar', ...more]]]);
  it('without cream is beaten smooth, for half a minute at most, and never whisked to a stage', () => {
    expect(says(frosting(), 'beaten')).toContain('20–30');
    expect(frosting().steps.some((x) => x.whisks)).toBe(false);
    expect(frosting().steps.find((x) => x.key === 'beat')!.title).toBe('Beat smooth, 20–30\u00a0s');
    // Every line is in some step: nothing stays in the fridge.
    const sheet = frosting('60 g unsalted butter');
    expect(sheet.parts[0]!.lines.every((l) => l.stepId !== null)).toBe(true);
  });
  it('with cream it is whisked as before', () => {
    const sheet = frosting('200 g cream 36 %');
    expect(sheet.steps.some((x) => x.whisks)).toBe(true);
    expect(tells(sheet).some((t) => t.key === 'beaten')).toBe(false);
  });
});

describe('sweetness beside acid', () => {
  it('a tart cream says that its acid works against the sugar, a plain one does not', () => {
    const cream = (lemon: number): Sheet => sheetOf(['400 g cream 36 %', '60 g caster sugar', `${lemon} g lemon juice`]);
    expect(says(cream(60), 'sweetness')).toMatch(/g of acid a kilo/);
    expect(says(cream(2), 'sweetness')).not.toContain('acid');
    // By hand: lemon juice holds near 5 to 6 % acid, so the line is crossed near 25 to 30 g in half a kilo.
    const line = [...Array(60).keys()].find((g) => g > 0 && says(cream(g), 'sweetness').includes('acid'))!;
    const s = analyseSheet(cream(line), kitchen);
    expect((1000 * s.mixture.grams.acid) / s.mixture.massG).toBeGreaterThanOrEqual(3);
    expect((1000 * s.mixture.grams.acid) / s.mixture.massG).toBeLessThan(3.15);
  });
});
