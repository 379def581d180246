import { describe, expect, it } from 'vitest';
import { SAMPLE_SHEETS } from '../../data/sample/sample-sheets';
import { SAMPLE_INGREDIENTS } from '../../data/sample/sample-ingredients';
import { sampleDoc } from '../../data/sample/sample-kitchen';
import { CONTEXT, KITCHEN, LARDER, partsSheet } from '../../testing/sample';
import { declarations } from '../files/tub-label';
import { matcherFor } from '../measures/match';
import { sheetTells } from '../tells/sheet-tells';
import { labelTimes } from '../timetable/label-times';
import { analyseSheet } from './analyse';
import type { Sheet } from '../document/schema';

const all = [...LARDER, ...SAMPLE_INGREDIENTS];
const kitchen = { ...KITCHEN, larder: new Map(all.map((i) => [i.id, i])) };
const sample = (id: string): Sheet =>
  sampleDoc(
    SAMPLE_SHEETS.find((s) => s.id === id)!,
    { larder: kitchen.larder, matcher: matcherFor(all), measures: CONTEXT.measures },
    'planetary',
  );
const with24 = (s: Sheet) => ({
  a: analyseSheet(s, kitchen),
  label: declarations(analyseSheet(s, kitchen)).join('; '),
  tells: sheetTells(analyseSheet(s, kitchen), kitchen).map((t) => t.key),
});
const useByH = (s: Sheet): number => {
  const t = labelTimes(null, 'x', analyseSheet(s, kitchen), 1000);
  return (t.useBy - t.made) / 60;
};
const ways = (s: Sheet, id: string, w: Record<string, string>, heat = {}): Sheet => ({
  ...s,
  parts: s.parts.map((p) => (p.id === id ? { ...p, ways: { ...p.ways, ...w }, heat: { ...p.heat, ...heat } } : p)),
});

describe('raw egg anywhere', () => {
  const whites = partsSheet([
    ['w', 'egg-foam', 'Whites', ['120 g egg whites', '40 g caster sugar']],
    ['f', 'set-filling', 'Filling', ['500 g mascarpone', '200 g cream 36 %', 'all of the whites']],
  ]);
  const yolks = partsSheet(
    [
      ['y', 'egg-foam', 'Yolks', ['100 g egg yolks', '60 g caster sugar', '20 g water']],
      ['c', 'whipped-cream', 'Cream', ['500 g cream 36 %']],
    ],
    { family: 'mousse' },
  );
  const italian = ways(
    partsSheet([
      ['w', 'egg-foam', 'Meringue', ['60 g egg white', '120 g caster sugar', '40 g water']],
      ['c', 'whipped-cream', 'Cream', ['300 g cream 36 %', 'all of the meringue']],
    ]),
    'w',
    { whites: 'italian' },
  );

  it('of the shipped prune mousse is on the label, for 24 h', () => {
    const { a, label, tells } = with24(sample('prune-mousse'));
    expect(a.keeping).toMatchObject({ rawEgg: true, eatByH: 24, rule: 'raw-egg' });
    expect(label).toContain('Raw or lightly cooked egg');
    expect(tells).toContain('raw-egg');
    expect(useByH(sample('prune-mousse'))).toBe(24);
  });
  it.each([
    ['whites whisked into a filling', whites],
    ['yolks with a small syrup', ways(yolks, 'y', { eggs: 'syrup' }, { bowlG: 800 })],
    ['Swiss to 50 °C', ways(whites, 'w', { whites: 'swiss-50' })],
    ['an unbaked Italian meringue that stays below the usual figure', italian],
    ['typed readings that stay below it', ways(yolks, 'y', {}, { curve: '0 20, 10 45' })],
  ])('%s', (_, s) => {
    const { a, label, tells } = with24(s);
    expect(a.keeping).toMatchObject({ rawEgg: true, eatByH: 24 });
    expect(label).toContain('Raw or lightly cooked egg');
    expect(tells).toContain('raw-egg');
    expect(useByH(s)).toBe(24);
  });
  it('is no longer raw when it reaches the usual figure, comes from a carton, or is baked by the cook’s own step', () => {
    for (const s of [ways(whites, 'w', { whites: 'swiss-71' }), ways(yolks, 'y', { eggs: 'steam' }), ways(yolks, 'y', {}, { curve: '0 20, 5 72' })])
      expect(with24(s).a.keeping).toMatchObject({ rawEgg: false, eatByH: 72, rule: 'dairy' });
    const step = {
      id: 's',
      partId: 'w',
      key: null,
      title: 'Bake',
      short: 'bake',
      detail: '',
      handsMin: null,
      waitH: null,
      tempC: null,
      ovenC: 110,
      useWithinMin: null,
      whisks: false,
      wants: [],
      parts: [],
      edited: true,
      note: '',
      work: 'bake',
      minutes: null,
      machine: null,
      after: [],
      ahead: 0,
      by: null,
    } as const;
    const own = (ovenC: number | null, tempC: number | null): Sheet => ({
      ...whites,
      method: 'own',
      steps: [{ ...step, ovenC, tempC, wants: [], parts: [], after: [] }],
    });
    expect(with24(own(110, null)).a.keeping.rawEgg).toBe(false);
    expect(with24(own(null, 72)).a.keeping.rawEgg).toBe(false);
    expect(with24(own(null, 60)).a.keeping.rawEgg).toBe(true);
    expect(with24(own(60, null)).a.keeping.rawEgg).toBe(true);
  });
  it('in what is frozen keeps its months, and the label says what happens once it is soft', () => {
    const s: Sheet = { ...yolks, family: 'semifreddo', parts: ways(yolks, 'y', { eggs: 'raw' }).parts };
    const { a, label } = with24(s);
    expect(a.keeping).toMatchObject({ rawEgg: true, rule: 'frozen', eatByH: 2160 });
    expect(label).toContain('once soft, eat it the same day');
  });
  it('bows to a stricter rule of the kitchen', () => {
    expect(analyseSheet(whites, { ...kitchen, rules: { ...kitchen.rules, keepingH: 12 } }).keeping).toMatchObject({ eatByH: 12, rule: 'kitchen' });
    expect(analyseSheet(whites, { ...kitchen, rules: { ...kitchen.rules, keepingH: 48 } }).keeping).toMatchObject({ eatByH: 24, rule: 'raw-egg' });
  });
});

describe('alcohol on the label', () => {
  const of = (vanilla: string) => with24(partsSheet([['c', 'whipped-cream', 'Cream', ['400 g cream 36 %', vanilla]]], { portions: 6 })).label;
  it('is not said of a spoon of vanilla, and is of rum', () => {
    expect(of('1 tsp vanilla extract')).not.toContain('children');
    expect(of('40 g dark rum')).toContain('not for children');
  });
});
