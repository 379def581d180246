import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, sheetOf } from '../../testing/sample';
import { SAMPLE_SHEETS } from '../../data/sample/sample-sheets';
import { SAMPLE_INGREDIENTS } from '../../data/sample/sample-ingredients';
import { sampleDoc } from '../../data/sample/sample-kitchen';
import { LARDER } from '../../testing/sample';
import { matcherFor } from '../measures/match';
import { addLine, newLine, removeLine, removeStep, setLineText, setPart, setStep } from '../editing/edits';
import { FAMILIES, PART_KINDS } from '../document/kinds';
import { SheetSchema, type Sheet } from '../document/schema';
import { assemblyOf, methodOf } from './methods';
import { WAY_QUESTIONS } from '../schools/questions';
import { settleMethod } from './settle';
import { switchWay, waysOfPart, waysOfSheet } from './switch';

const larder = new Map([...LARDER, ...SAMPLE_INGREDIENTS].map((i) => [i.id, i]));
const context = { larder, matcher: matcherFor([...larder.values()]), measures: CONTEXT.measures };
const docs = SAMPLE_SHEETS.map((s) => sampleDoc(s, context, 'planetary'));
let n = 0;
const switching = { larder, measures: CONTEXT.measures, newId: () => `new-${n++}` };
const stepKeys = (s: Sheet) => s.steps.map((x) => x.id);

describe('methods', () => {
  it('of every kind, whatever is in the part, have steps with words and take each line once', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PART_KINDS),
        fc.array(
          fc.constantFrom(
            'cream',
            'sugar',
            'yolk',
            'white',
            'egg',
            'cheese',
            'gelatin',
            'butter',
            'fruit',
            'milk',
            'starch',
            'chocolate',
            'nut',
            'liquid',
            'biscuit',
            'part',
            'drink',
          ),
        ),
        fc.nat(),
        (kind, roles, seed) => {
          const way = (key: string): string => {
            const q = WAY_QUESTIONS.find((x) => x.key === key)!;
            return q.options[seed % q.options.length]!.id;
          };
          const steps = methodOf(kind, { has: (r) => roles.includes(r as never), way });
          expect(steps.length).toBeGreaterThan(0);
          expect(new Set(steps.map((s) => s.key)).size).toBe(steps.length);
          expect(steps.filter((s) => s.takes === 'rest').length).toBeLessThanOrEqual(1);
          for (const s of steps) expect(s.title.length).toBeGreaterThan(3);
        },
      ),
    );
  });
  it('of every family end in the cold', () => {
    for (const family of FAMILIES) expect(assemblyOf(family, { has: () => false, way: () => '' }).some((s) => s.key === 'put-away')).toBe(true);
  });
  it('ask questions whose options have names, reasons and distinct ids, and swap only what the larder has', () => {
    for (const q of WAY_QUESTIONS) {
      expect(new Set(q.options.map((o) => o.id)).size).toBe(q.options.length);
      for (const o of q.options) {
        expect(o.why.length, `${q.key}.${o.id}`).toBeGreaterThan(10);
        for (const c of o.lines ?? []) {
          if (c.kind === 'swap') expect([larder.has(c.from), larder.has(c.to)]).toEqual([true, true]);
          if (c.kind === 'add') expect(larder.has(c.ingredientId)).toBe(true);
        }
      }
    }
  });
});

describe('settling', () => {
  it('changes nothing the second time', () => {
    for (const doc of docs) expect(settleMethod(doc, larder)).toEqual(doc);
  });
  it('brings a step with an ingredient and takes it away again', () => {
    const plain = sheetOf(['500 g cream 36 %', '40 g icing sugar']);
    const set = addLine(plain, 'cream', newLine('g', '2 leaves gelatin', CONTEXT), CONTEXT);
    expect(stepKeys(set)).toContain('cream.soak');
    expect(set.parts[0]!.lines[2]!.stepId).toBe('cream.soak');
    expect(stepKeys(removeLine(set, 'cream', 'g', CONTEXT))).toEqual(stepKeys(plain));
  });
  it('gives a line another step when its ingredient changes, not when its amount does', () => {
    const s = sheetOf(['500 g cream 36 %', '40 g icing sugar']);
    expect(setLineText(s, 'cream', 'l2', '45 g icing sugar', CONTEXT).steps).toBe(s.steps);
    expect(setLineText(s, 'cream', 'l2', '200 g mascarpone', CONTEXT).parts[0]!.lines[1]!.stepId).toBe('cream.loosen');
  });
  it('keeps the cook’s words and notes through everything', () => {
    let s = sheetOf(['500 g cream 36 %', '2 leaves gelatin']);
    s = setStep(s, 'cream.soak', { title: 'Bloom the leaves in the walk-in' });
    s = setStep(s, 'cream.weigh', { note: 'Use the small bowl' });
    s = removeLine(s, 'cream', 'l2', CONTEXT);
    s = switchWay(s, 'cream', 'bowl', 'room', switching);
    expect(s.steps.map((x) => x.title)).toContain('Bloom the leaves in the walk-in');
    expect(s.steps.find((x) => x.id === 'cream.weigh')?.note).toBe('Use the small bowl');
    expect(stepKeys(s)).not.toContain('cream.chill');
  });
  it('leaves a line without a step when its step is taken out, and gives it one when the way is chosen anew', () => {
    const s = removeStep(sheetOf(['500 g cream 36 %']), 'cream.weigh');
    expect(s.parts[0]!.lines[0]!.stepId).toBeNull();
    expect(settleMethod(s, larder).parts[0]!.lines[0]!.stepId).toBe('cream.weigh');
  });
});

describe('switching a way', () => {
  it('on any part of any sample, to any school: a valid document, every step once, lines on steps that are there', () => {
    const cases = docs.flatMap((doc) =>
      doc.parts.flatMap((p) =>
        waysOfPart(p, larder).flatMap(({ question }) => question.options.map((o) => ({ doc, partId: p.id, key: question.key, id: o.id }))),
      ),
    );
    expect(cases.length).toBeGreaterThan(120);
    for (const { doc, partId, key, id } of cases) {
      const after = switchWay(doc, partId, key, id, switching);
      expect(SheetSchema.safeParse(after).success, `${doc.name} ${key}.${id}`).toBe(true);
      expect(new Set(stepKeys(after)).size).toBe(after.steps.length);
      const ids = new Set(stepKeys(after));
      for (const l of after.parts.flatMap((p) => p.lines)) if (l.stepId !== null) expect(ids.has(l.stepId), `${doc.name} ${key}.${id}: ${l.text}`).toBe(true);
    }
  });
  it('of the whole dessert rewrites how it rests', () => {
    const tiramisu = docs.find((d) => d.family === 'tiramisu' && d.ways.rest === undefined)!;
    expect(waysOfSheet(tiramisu).map((w) => w.option.id)).toEqual(['overnight']);
    const quick = switchWay(tiramisu, null, 'rest', 'hour', switching);
    expect(quick.steps.find((s) => s.id === 'assembly.rest')?.waitH).toEqual([1, 2]);
  });
  it('to carton egg keeps the mass; back again gives the shell', () => {
    const mousse = docs.find((d) => d.family === 'semifreddo')!;
    const carton = switchWay(mousse, 'yolks', 'eggs', 'pasteurised', switching);
    expect(carton.parts[0]!.lines[0]).toMatchObject({ ingredientId: 'egg-yolk-pasteurised', text: '102 g pasteurised egg yolk' });
    expect(switchWay(carton, 'yolks', 'eggs', 'syrup', switching).parts[0]!.lines[0]!.ingredientId).toBe('egg-yolk');
  });
  it('puts sugar under the whisk when it goes in at soft peak', () => {
    const late = switchWay(sheetOf(['500 g cream 36 %', '40 g icing sugar']), 'cream', 'sugar-moment', 'soft-peak', switching);
    expect(late.parts[0]).toMatchObject({ whisk: { sugarAt: 'soft-peak' } });
    expect(late.parts[0]!.lines[1]!.stepId).toBe('cream.whisk');
  });
  it('follows the whisk plan when Whisk changes the sugar’s moment', () => {
    const s = sheetOf(['500 g cream 36 %', '40 g icing sugar']);
    const late = setPart(s, 'cream', { whisk: { ...s.parts[0]!.whisk, sugarAt: 'soft-peak' } }, CONTEXT);
    expect(late.parts[0]!.lines[1]!.stepId).toBe('cream.whisk');
    expect(setPart(late, 'cream', { whisk: s.parts[0]!.whisk }, CONTEXT).parts[0]!.lines[1]!.stepId).toBe('cream.weigh');
  });
  it('holds the kitchen’s larder: nothing is asked of a kitchen without the ingredient', () => {
    const bare = { ...switching, larder: new Map([...KITCHEN.larder].filter(([id]) => id !== 'cream-cheese-block')) };
    const s = sheetOf(['500 g cream 36 %']);
    expect(switchWay(s, 'cream', 'stabilise', 'cheese', bare).parts[0]!.lines).toHaveLength(1);
  });
});
