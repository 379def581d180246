import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN } from '../../testing/sample';
import { importRecipe } from '../files/import-recipe';
import { readLinesCsv } from '../files/lines-csv';
import { analyseSheet } from '../sheet/analyse';
import { SheetSchema } from '../sheet/schema';
import { cupsOf, draftRows, guessKind, withCups } from './draft';
import { plainText, readRecipeJsonLd } from './read-json-ld';
import { portionsOf, readRecipeText } from './read-text';
import { draftToSheet, stepFigures } from './to-sheet';

let n = 0;
const newId = () => `id${n++}`;
const rowsOf = (text: string) => {
  const r = importRecipe(text);
  if (!r.ok || r.value.kind !== 'rows') throw new Error(r.ok ? 'a sheet' : r.fault.says);
  return r.value.rows;
};
const sheetFrom = (text: string) => {
  const { cups } = cupsOf(text, 'us');
  const draft = { larder: CONTEXT.larder, matcher: CONTEXT.matcher, measures: { cups } };
  return draftToSheet(draftRows(rowsOf(text), draft), { context: CONTEXT, mixerId: 'planetary', cups, newId });
};
const kinds = (text: string) => rowsOf(text).map((r) => `${r.kind}: ${r.text}`);

describe('a recipe in plain words', () => {
  it('has title, yield, parts, lines, steps and notes', () => {
    expect(kinds('Plum fool\nServes 6-8\nPrep time: 20 min\n\nFor the plums:\n• 400 g plums\n- 60 g sugar\n\nCream\n300 ml double cream\na pinch of salt\n\nMETHOD\n1. Cook the plums. Cool.\n2) Whip the cream.\n\nNotes\nKeeps a day.')).toEqual([
      'title: Plum fool', 'yield: Serves 6-8', 'note: Prep time: 20 min', 'part: Plums', 'line: 400 g plums', 'line: 60 g sugar', 'part: Cream', 'line: 300 ml double cream', 'line: a pinch of salt', 'heading: METHOD', 'step: Cook the plums. Cool.', 'step: Whip the cream.', 'heading: Notes', 'note: Keeps a day.',
    ]);
  });
  it('needs no headings, and takes marks of Markdown', () => {
    expect(kinds('# Quick cream\n\n250 g cream 36 %\n**Topping**\n1 tbsp cocoa\n\nWhip the cream and dust it.').map((k) => k.split(':')[0])).toEqual(['title', 'line', 'part', 'line', 'step']);
  });
  it('keeps the source of each row as it was written', () => {
    expect(rowsOf('For the cream:\n- 300 g cream').map((r) => r.written ?? r.text)).toEqual(['For the cream:', '- 300 g cream']);
  });
  it.each([
    ['Serves 8', 8],
    ['makes about 12 glasses', 12],
    ['Serves 6–8', 8],
    ['Yield: a bowl', null],
  ])('%s', (text, expected) => expect(portionsOf(text)).toBe(expected));
  it('is told by its words which cups it means', () => {
    for (const name of ['us', 'imperial', 'metric'] as const) expect(cupsOf(readFileSync(`e2e/recipes/${name}.txt`, 'utf8'), 'australian').cups).toBe(name);
    expect(cupsOf('plain', 'metric').cups).toBe('metric');
    expect(withCups('2 cups cream', 'imperial', 'us')).toBe('2 imperial cups cream');
    expect(withCups('2 metric cups cream', 'imperial', 'us')).toBe('2 metric cups cream');
    expect(withCups('200 g cream', 'imperial', 'us')).toBe('200 g cream');
  });
});

describe('becoming a sheet', () => {
  it('puts every row somewhere: lines, steps, notes, name, portions', () => {
    const text = 'Fool\nServes 4\n\nCream\n300 ml double cream\n2 spoons of quux\n\nMethod\nWhip the cream. Spoon it.\n\nNotes\nCold bowl.';
    const s = sheetFrom(text);
    expect(SheetSchema.safeParse(s).success).toBe(true);
    expect(s).toMatchObject({ name: 'Fool', portions: 4, method: 'own' });
    expect(s.parts[0]!.lines.map((l) => l.text)).toEqual(['300 ml double cream', '2 spoons of quux']);
    expect(s.steps.map((x) => [x.title, x.detail])).toEqual([['Whip the cream', 'Spoon it.']]);
    expect(s.notes).toContain('Cold bowl.');
    expect(s.parts[0]!.lines[0]!.stepId).toBe(s.steps[0]!.id);
  });
  it('keeps rows too long for a line as text in sight', () => {
    const long = `300 g cream ${'and more words '.repeat(60)}`;
    const s = sheetFrom(`Long\n\nIngredients\n${long}\n100 g cream\n\nMethod\nWhip.`);
    expect([...s.unread, ...s.steps.map((x) => `${x.title} ${x.detail}`)].join(' ')).toContain('and more words and more words');
  });
  it('gives parts their kinds', () => {
    expect(guessKind('For dipping coffee', new Set(['liquid']))).toBe('soak');
    expect(guessKind('Crust', new Set(['biscuit', 'butter']))).toBe('pressed-base');
    expect(guessKind('', new Set(['cream', 'cheese']))).toBe('cheese-cream');
    expect(guessKind('Cream', new Set(['cream', 'cheese', 'sugar']))).toBe('cheese-cream');
    expect(guessKind('', new Set(['white', 'sugar']))).toBe('meringue');
    expect(guessKind('', new Set(['milk', 'yolk']))).toBe('custard');
  });
  it('reads the figures of a step', () => {
    expect(stepFigures('Heat the syrup to 244 °F.')).toMatchObject({ tempC: 118, ovenC: null });
    expect(stepFigures('Bake in the oven at 100°C for 1 1/2 hours')).toMatchObject({ ovenC: 100, tempC: null });
    expect(stepFigures('Chill for 4 to 6 hours.')).toMatchObject({ waitH: [4, 6], handsMin: null });
    expect(stepFigures('Leave overnight.')).toMatchObject({ waitH: [8, 14] });
    expect(stepFigures('Whisk for 5 minutes.')).toMatchObject({ handsMin: 5, waitH: null, whisks: true });
  });
  it('the three written recipes come to the grams of a hand calculation', () => {
    const grams = (name: string) => analyseSheet(sheetFrom(readFileSync(`e2e/recipes/${name}.txt`, 'utf8')), KITCHEN).parts.flatMap((a) => a.reading.lines.map((l) => Math.round(l.read?.massG ?? -1)));
    expect(grams('us')).toEqual([597, 227, 60, 7, 372, 59]);
    expect(grams('imperial')).toEqual([284, 85, 113, 37]);
    expect(grams('metric')).toEqual([253, 106, 31, 150, 4]);
  });
});

describe('a schema.org recipe', () => {
  const recipe = { '@type': ['Recipe'], name: 'A &amp; B', recipeYield: ['6', '6 cups'], recipeIngredient: ['1 cup heavy cream', '&frac12; tsp salt'], recipeInstructions: [{ '@type': 'HowToSection', name: 'Cream', itemListElement: [{ '@type': 'HowToStep', text: '<p>Whip&nbsp;it.</p>' }] }] };
  it.each([
    ['alone', JSON.stringify(recipe)],
    ['in a graph', JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, recipe] })],
    ['in a page', `<html><head><script type="application/ld+json">{"@type":"WebSite"}</script><script type='application/ld+json'>${JSON.stringify([recipe])}</script></head></html>`],
  ])('%s', (_where, text) => {
    const r = readRecipeJsonLd(text);
    expect(r.ok && r.value.map((x) => `${x.kind}: ${x.text}`)).toEqual(['title: A & B', 'yield: Serves 6', 'line: 1 cup heavy cream', 'line: ½ tsp salt', 'heading: Cream', 'step: Whip it.']);
  });
  it('takes instructions as one text or a list of texts', () => {
    for (const recipeInstructions of ['Whip.\nServe.', ['Whip.', 'Serve.']]) {
      const r = readRecipeJsonLd(JSON.stringify({ ...recipe, recipeInstructions }));
      expect(r.ok && r.value.filter((x) => x.kind === 'step').map((x) => x.text)).toEqual(['Whip.', 'Serve.']);
    }
  });
  it('turns tags and entities to letters, and unknown ones not to harm', () => expect(plainText('1&#189; <b>cups</b> &#x110000; &nosuch;')).toBe('1½ cups &nosuch;'));
  it('says what is wrong with anything else', () => {
    for (const text of ['{', '{"a":1}', '['.repeat(100_000), '[]', 'x'.repeat(5_000_001), '<script type="application/ld+json">{</script>']) {
      const r = readRecipeJsonLd(text);
      expect(r.ok ? '' : r.fault.says.length).toBeGreaterThan(10);
    }
  });
});

describe('a table of lines', () => {
  it.each([
    ['part,line\nCream,250 g cream\nCream,30 g sugar\n', ['part: Cream', 'line: 250 g cream', 'line: 30 g sugar']],
    ['\uFEFFname;amount;unit\r\nmascarpone;2,5;cup\r\n', ['line: 2,5 cup mascarpone']],
    ['ingredient\tgrams\nsugar\t50\n', ['line: 50 g sugar']],
  ])('%j', (csv, expected) => {
    const r = readLinesCsv(csv);
    expect(r.ok && r.value.map((x) => `${x.kind}: ${x.text}`)).toEqual(expected);
  });
  it('without the needed columns says so', () => {
    const r = readLinesCsv('a,b\n1,2');
    expect(r.ok ? '' : r.fault.says).toContain('line');
  });
});

describe('whatever is pasted', () => {
  const seeds = [readFileSync('e2e/recipes/us.txt', 'utf8'), '{"@type":"Recipe","name":"x","recipeIngredient":["1 cup cream"]}', 'part,line\nCream,250 g cream\n', '{"format":"soft-peak-sheet","formatVersion":2}'];
  const piece = fc.oneof(fc.string({ unit: 'binary', maxLength: 12 }), fc.constantFrom('\n', '"', '{', '}', '<script type="application/ld+json">', '</script>', ';', ',', '1/2', '\u0000', '\uFEFF', '&#x', ':', '[', 'null'));
  const mutated = fc.tuple(fc.constantFrom(...seeds), fc.array(fc.tuple(fc.nat(400), piece), { maxLength: 8 })).map(([seed, edits]) => edits.reduce((t, [at, p]) => t.slice(0, at) + p + t.slice(at), seed));
  it('40 000 random and mutated texts: no throw, no empty answer, no lost words', () => {
    fc.assert(
      fc.property(fc.oneof({ arbitrary: mutated, weight: 3 }, fc.string({ unit: 'binary', maxLength: 300 }), fc.string({ maxLength: 300 })), (text) => {
        const r = importRecipe(text);
        if (!r.ok && r.fault.says.length < 10) throw new Error('no sentence');
        if (!r.ok || r.value.kind !== 'rows' || r.value.from !== 'text') return;
        // Every letter of plain text stands in some row.
        const letters = (t: string): string => t.replace(/[^\p{L}]/gu, '');
        const kept = letters(r.value.rows.map((x) => x.written ?? x.text).join(' '));
        if (kept !== letters(text)) throw new Error(`lost: ${JSON.stringify(text)}`);
      }),
      { numRuns: 40_000 },
    );
  }, 120_000);
  it('every draft of anything is a sheet that its schema takes', () => {
    fc.assert(
      fc.property(mutated, (text) => {
        const r = readRecipeText(text.slice(0, 400));
        if (!r.ok) return;
        const s = draftToSheet(draftRows(r.value, { larder: CONTEXT.larder, matcher: CONTEXT.matcher, measures: CONTEXT.measures }), { context: CONTEXT, mixerId: 'planetary', cups: 'us', newId });
        expect(SheetSchema.safeParse(s).success).toBe(true);
      }),
      { numRuns: 150 },
    );
  }, 60_000);
});
