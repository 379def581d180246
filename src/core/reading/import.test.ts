import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN } from '../../testing/sample';
import { importRecipe } from '../files/import-recipe';
import { textOfLinesCsv } from '../files/lines-csv';
import { analyseSheet } from '../analysis/analyse';
import { SheetSchema } from '../document/schema';
import { plainText, textOfJsonLd } from './json-ld';
import { readRecipe } from './read';
import { readingToSheet, withCups } from './to-sheet';

let n = 0;
const newId = () => `id${n++}`;
const readingOf = (text: string) => {
  const r = importRecipe(text);
  if (!r.ok || r.value.kind !== 'recipe') throw new Error(r.ok ? 'a sheet' : r.fault.says);
  const read = readRecipe(r.value.text, CONTEXT);
  if (!read.ok) throw new Error(read.fault.says);
  return read.value;
};
const sheetFrom = (text: string) => readingToSheet(readingOf(text), { context: CONTEXT, mixers: KITCHEN.mixers, vessels: KITCHEN.vessels, newId }).sheet;

describe('becoming a sheet', () => {
  it('puts every row somewhere: lines, steps, notes, name, portions', () => {
    const s = sheetFrom(
      'Fool\nServes 4\n\nCream\n300 ml double cream\n2 spoons of quux\n\nMethod\nWhip the cream. Spoon it into glasses.\n\nNotes\nCold bowl.',
    );
    expect(SheetSchema.safeParse(s).success).toBe(true);
    expect(s).toMatchObject({ name: 'Fool', portions: 4, method: 'own' });
    expect(s.parts.flatMap((p) => p.lines.map((l) => l.text))).toEqual(['300 ml double cream', '2 spoons of quux']);
    expect(s.steps.map((x) => x.title)).toEqual(['Whip the cream', 'Spoon it into glasses']);
    expect(s.notes).toContain('Cold bowl.');
    expect(s.notes).not.toContain('Serves 4');
    expect(s.parts[0]!.lines[0]!.stepId).toBe(s.steps[0]!.id);
  });
  it('writes the cups of the recipe out where the kitchen has others', () => {
    expect(withCups('2 cups cream', 'imperial', 'us')).toBe('2 imperial cups cream');
    expect(withCups('2 metric cups cream', 'imperial', 'us')).toBe('2 metric cups cream');
    expect(withCups('200 g cream', 'imperial', 'us')).toBe('200 g cream');
    expect(withCups('a cup and a half of cream', 'metric', 'us')).toBe('a metric cup and a half of cream');
  });
  it('the three written recipes come to the grams of a hand calculation', () => {
    const grams = (name: string) =>
      analyseSheet(sheetFrom(readFileSync(`e2e/recipes/${name}.txt`, 'utf8')), KITCHEN)
        .parts.flatMap((a) => a.reading.lines.flatMap((l) => (l.kind === 'part' ? [] : [Math.round(l.read?.massG ?? -1)])))
        .sort((a, b) => b - a);
    expect(grams('us')).toEqual([597, 372, 227, 60, 59, 7]);
    expect(grams('imperial')).toEqual([284, 113, 85, 37]);
    expect(grams('metric')).toEqual([253, 106, 99, 51, 31, 4]);
  });
});

describe('a schema.org recipe', () => {
  const recipe = {
    '@type': ['Recipe'],
    name: 'A &amp; B',
    recipeYield: ['6', '6 cups'],
    recipeIngredient: ['1 cup heavy cream', '&frac12; tsp salt'],
    recipeInstructions: [{ '@type': 'HowToSection', name: 'Cream', itemListElement: [{ '@type': 'HowToStep', text: '<p>Whip&nbsp;it.</p>' }] }],
  };
  it.each([
    ['alone', JSON.stringify(recipe)],
    ['in a graph', JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, recipe] })],
    [
      'in a page',
      `<html><head><script type="application/ld+json">{"@type":"WebSite"}</script><script type='application/ld+json'>${JSON.stringify([recipe])}</script></head></html>`,
    ],
  ])('%s', (_where, text) => {
    const r = textOfJsonLd(text);
    expect(r.ok && r.value.split('\n').filter(Boolean)).toEqual([
      'A & B',
      'Serves 6',
      'Ingredients',
      '1 cup heavy cream',
      '½ tsp salt',
      'Method',
      'Cream:',
      'Whip it.',
    ]);
    expect(readingOf(text)).toMatchObject({ title: 'A & B', portions: { low: 6, high: 6 } });
  });
  it('takes instructions as one text or a list of texts', () => {
    for (const recipeInstructions of ['Whip.\nServe.', ['Whip.', 'Serve.']]) {
      const r = textOfJsonLd(JSON.stringify({ ...recipe, recipeInstructions }));
      expect(r.ok && r.value.split('\n').slice(-2)).toEqual(['Whip.', 'Serve.']);
    }
  });
  it('turns tags and entities to letters, and unknown ones not to harm', () =>
    expect(plainText('1&#189; <b>cups</b> &#x110000; &nosuch;')).toBe('1½ cups &nosuch;'));
  it('says what is wrong with anything else', () => {
    for (const text of ['{', '{"a":1}', '['.repeat(100_000), '[]', 'x'.repeat(5_000_001), '<script type="application/ld+json">{</script>']) {
      const r = textOfJsonLd(text);
      expect(r.ok ? '' : r.fault.says.length).toBeGreaterThan(10);
    }
  });
});

describe('a table of lines', () => {
  it.each([
    ['part,line\nCream,250 g cream\nCream,30 g sugar\n', ['Ingredients', '', 'Cream:', '250 g cream', '30 g sugar']],
    ['\uFEFFname;amount;unit\r\nmascarpone;2,5;cup\r\n', ['Ingredients', '2,5 cup mascarpone']],
    ['ingredient\tgrams\nsugar\t50\n', ['Ingredients', '50 g sugar']],
  ])('%j', (csv, expected) => {
    const r = textOfLinesCsv(csv);
    expect(r.ok && r.value.split('\n')).toEqual(expected);
  });
  it('without the needed columns says so', () => {
    const r = textOfLinesCsv('a,b\n1,2');
    expect(r.ok ? '' : r.fault.says).toContain('line');
  });
});

describe('whatever is pasted', () => {
  const seeds = [
    readFileSync('e2e/recipes/us.txt', 'utf8'),
    '{"@type":"Recipe","name":"x","recipeIngredient":["1 cup cream"]}',
    'part,line\nCream,250 g cream\n',
    '{"format":"soft-peak-sheet","formatVersion":2}',
  ];
  const piece = fc.oneof(
    fc.string({ unit: 'binary', maxLength: 12 }),
    fc.constantFrom('\n', '"', '{', '}', '<script type="application/ld+json">', '</script>', ';', ',', '1/2', '\u0000', '\uFEFF', '&#x', ':', '[', 'null'),
  );
  const mutated = fc
    .tuple(fc.constantFrom(...seeds), fc.array(fc.tuple(fc.nat(400), piece), { maxLength: 8 }))
    .map(([seed, edits]) => edits.reduce((t, [at, p]) => t.slice(0, at) + p + t.slice(at), seed));
  it('random and mutated texts: no throw, a sentence for every fault', () => {
    fc.assert(
      fc.property(fc.oneof({ arbitrary: mutated, weight: 3 }, fc.string({ unit: 'binary', maxLength: 300 }), fc.string({ maxLength: 300 })), (text) => {
        const r = importRecipe(text);
        if (!r.ok && r.fault.says.length < 10) throw new Error('no sentence');
      }),
      { numRuns: 20_000 },
    );
  }, 120_000);
  it('every reading of anything is a sheet that its schema takes, and loses no word with a figure', () => {
    fc.assert(
      fc.property(mutated, (text) => {
        const r = readRecipe(text.slice(0, 600), CONTEXT);
        if (!r.ok) {
          expect(r.fault.says.length).toBeGreaterThan(10);
          return;
        }
        const { sheet } = readingToSheet(r.value, { context: CONTEXT, mixers: KITCHEN.mixers, vessels: KITCHEN.vessels, newId });
        expect(SheetSchema.safeParse(sheet).success).toBe(true);
        const kept = [
          ...r.value.lines.map((l) => l.draft.written),
          ...r.value.steps.map((s) => s.text),
          r.value.title,
          ...r.value.unread,
          ...r.value.parts.flatMap((p) => [p.name, ...p.feeds.map((f) => f.text)]),
          r.value.portions ? `${r.value.portions.low} ${r.value.portions.high}` : '',
        ].join(' ');
        for (const figure of text.slice(0, 600).match(/(?<![\p{L}\d&#.])\d{2,}(?![\p{L}\d;])/gu) ?? []) expect(kept).toContain(figure);
      }),
      { numRuns: 250 },
    );
  }, 60_000);
});
