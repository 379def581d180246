import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, ingredient, KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { readCorpus } from '../../testing/reading-corpus';
import { analyseSheet } from '../analysis/analyse';
import { SheetSchema } from '../document/schema';
import { readRecipe, type Reading } from './read';
import { readingToSheet } from './to-sheet';

let n = 0;
const read = (text: string): Reading => {
  const r = readRecipe(text, CONTEXT);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const sheetOf = (r: Reading) => readingToSheet(r, { context: CONTEXT, mixers: KITCHEN.mixers, vessels: KITCHEN.vessels, newId: () => `n${n++}` }).sheet;

const CAKE = [
  '300 g digestive biscuits',
  '120 g butter, melted',
  '500 g mascarpone',
  '300 ml double cream',
  '80 g icing sugar',
  '1 tsp vanilla paste',
  '200 g raspberries',
];
const METHOD =
  'Crush the biscuits, mix with the butter and press into a 20 cm springform tin. Chill for 30 minutes. Whip the cream to soft peaks. Beat the mascarpone with the icing sugar and vanilla, then fold in the cream. Spread over the base and chill for 6 hours. Top with the raspberries.';
const written = (lines: readonly string[], method = METHOD): string => `Raspberry cake\nServes 8\n\nIngredients\n${lines.join('\n')}\n\nMethod\n${method}\n`;

/** What stands in which bowl, without its name or its place in the list. */
const bowls = (r: Reading): readonly string[] =>
  r.parts
    .map(
      (p) =>
        `${p.kind}: ${r.lines
          .filter((l) => l.part === p.id)
          .map((l) => `${l.draft.ingredient?.id} ${l.draft.grams?.toFixed(1)}`)
          .sort()
          .join(', ')}`,
    )
    .sort();
const work = (r: Reading): readonly string[] =>
  r.steps.map(
    (s) =>
      `${s.work} ${s.minutes ?? ''} ${[...s.lines]
        .map((i) => r.lines[i]!.draft.ingredient?.id)
        .sort()
        .join(',')}`,
  );

describe('a reading', () => {
  it('has the bowls of a hand reading', () => {
    const r = read(written(CAKE));
    expect(bowls(r)).toEqual([
      'pressed-base: butter-82 120.0, digestive 300.0',
      'set-filling: icing-sugar-starch 80.0, mascarpone 500.0, vanilla-paste 6.4',
      'topping: raspberry 200.0',
      'whipped-cream: cream-48 300.0',
    ]);
    expect(r.parts.find((p) => p.kind === 'whipped-cream')?.stage).toBe('soft');
    expect(r.portions).toEqual({ low: 8, high: 8 });
  });
  it('is the same whatever the order of a list that the work does not follow', () => {
    const right = read(written(CAKE));
    fc.assert(
      fc.property(fc.shuffledSubarray(CAKE, { minLength: CAKE.length }), (lines) => {
        const r = read(written(lines));
        expect(bowls(r)).toEqual(bowls(right));
        expect(work(r)).toEqual(work(right));
      }),
      { numRuns: 60 },
    );
  });
  it('is the same with talk between its sentences', () => {
    const right = read(written(CAKE));
    const talk = fc.constantFrom(
      'You will love this.',
      'My aunt always said so.',
      'Don’t worry if it looks rough.',
      'It is worth it.',
      'That is all there is to it.',
      'I promise.',
    );
    const sentences = METHOD.split(/(?<=\.) /);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(sentences.length - 1), talk), { maxLength: 4 }), (said) => {
        const r = read(written(CAKE, sentences.map((s, i) => [...said.filter(([at]) => at === i).map(([, t]) => t), s].join(' ')).join(' ')));
        expect(bowls(r)).toEqual(bowls(right));
        expect(r.steps.filter((s) => s.work !== 'hands').map((s) => s.work)).toEqual(right.steps.filter((s) => s.work !== 'hands').map((s) => s.work));
      }),
      { numRuns: 60 },
    );
  });
  it('of so many times the amounts has so many times the grams', () => {
    const grams = (r: Reading) => r.lines.map((l) => l.draft.grams ?? 0);
    const one = grams(read(written(CAKE)));
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 9 }), (k) => {
        const many = grams(read(written(CAKE.map((l) => l.replace(/^\d+/, (x) => String(Number(x) * k))))));
        many.forEach((g, i) => expect(g / (k * one[i]!)).toBeCloseTo(1, 6));
      }),
    );
  });
  it('in cups and in grams is one dessert within 3 %', () => {
    const us = read(
      written(
        ['2 cups heavy cream', '8 oz cream cheese', '1 stick butter', '2 tbsp powdered sugar'],
        'Beat the cream cheese with the butter and sugar. Whip the cream to soft peaks and fold it in.',
      ),
    );
    const metric = read(
      written(
        ['477 g heavy cream', '227 g cream cheese', '113 g butter', '15 g powdered sugar'],
        'Beat the cream cheese with the butter and sugar. Whip the cream to soft peaks and fold it in.',
      ),
    );
    expect(us.parts.map((p) => p.kind)).toEqual(metric.parts.map((p) => p.kind));
    us.lines.forEach((l, i) => {
      expect(l.draft.ingredient?.id).toBe(metric.lines[i]!.draft.ingredient?.id);
      expect(l.draft.grams! / metric.lines[i]!.draft.grams!).toBeGreaterThan(0.97);
      expect(l.draft.grams! / metric.lines[i]!.draft.grams!).toBeLessThan(1.03);
    });
  });
  it('divides what is used twice, and keeps its grams whole', () => {
    const r = read(
      'Cake\n\n600 ml double cream, divided\n50 g sugar\n200 g cream cheese\n\nWhip 400 ml of the cream with the sugar and fold into the cream cheese. Chill for 2 hours. Whip the remaining cream and pipe on top.',
    );
    const cream = r.lines.filter((l) => l.draft.ingredient?.id === 'cream-48');
    expect(cream.map((l) => Math.round(l.draft.grams!))).toEqual([400, 200]);
    expect(new Set(cream.map((l) => l.part)).size).toBe(2);
  });
  it('knows a list from work whether or not either is headed', () => {
    const headed = read(written(CAKE));
    const bare = read(`Raspberry cake\n${CAKE.join('\n')}\n\n${METHOD}`);
    expect(bowls(bare)).toEqual(bowls(headed));
    expect(work(bare)).toEqual(work(headed));
  });
  it('waits only for what is done before it, and no step waits for all that it could', () => {
    for (const recipe of readCorpus()) {
      const r = read(recipe.text);
      r.steps.forEach((s, i) => {
        for (const a of s.after) expect(a, `${recipe.name}: ${s.text}`).toBeLessThan(i);
      });
      // Folding and filling wait for what is folded and filled.
      for (const s of r.steps.slice(1)) if (s.work === 'fold') expect(s.after.length, `${recipe.name}: ${s.text}`).toBeGreaterThan(0);
    }
  });
  it('takes everything at the first whisk, and what is named for its dessert is no ingredient', () => {
    const all = read('Syllabub\n\n300 ml double cream\n80 g caster sugar\n2 tbsp lemon juice\n\nWhisk everything to soft peaks. Chill for an hour.');
    expect(all.parts.map((p) => p.kind)).toEqual(['whipped-cream']);
    const told = read(
      'For the tiramisu cream I take two egg yolks and eighty grams of sugar and whisk them over steam until pale. Then I beat in 250 grams of mascarpone.',
    );
    expect(told.lines.map((l) => [l.draft.ingredient?.id, Math.round(l.draft.grams ?? 0)])).toEqual([
      ['egg-yolk', 34],
      ['sugar-caster', 80],
      ['mascarpone', 250],
    ]);
  });
  it.each([
    'a + ',
    'cream / ',
    'blitz, ',
    'cream ',
    'a hundred and ',
    'Base: 200 g butter, blitz\n',
    'Name\n  200 g cream\n',
    '| a | 1 g |\n|---|---|\n',
    'plum, four of them, ',
    'cream, whipped, and ',
    'sugar to 121C onto ',
    'cream\t1\tA\n',
    '3 lemons juice + zest of 2 ',
    'it goes into a hundred and fifty, ',
    'fold in the remainder. ',
    ' '.repeat(80),
    '1/',
    '(',
    '- ',
    'and ',
    'with a ',
    "x's ",
    '½ ',
  ])('whatever is repeated is read to its end: no pattern loses itself in ‘%s’', (piece) => {
    const text = `A title\n\n${piece.repeat(Math.ceil(1500 / piece.length))}\n\n200 g cream`;
    expect(readRecipe(text, CONTEXT).ok).toBe(true);
  });
  it('of nothing, of too much and of a shopping list says what it is', () => {
    for (const text of ['', '   \n', 'x'.repeat(60_001)]) expect(readRecipe(text, CONTEXT).ok).toBe(false);
    const list = read('300 ml cream\n50 g sugar');
    expect(list.steps).toEqual([]);
    expect(list.lines).toHaveLength(2);
  });
});

describe('a sheet from a reading', () => {
  it('is one that its schema takes, with every line, for every recipe of the corpus', () => {
    for (const recipe of readCorpus()) {
      const r = read(recipe.text);
      const sheet = sheetOf(r);
      expect(SheetSchema.safeParse(sheet).success, recipe.name).toBe(true);
      const lines = sheet.parts.flatMap((p) => p.lines.filter((l) => l.fromPartId === null));
      expect(lines, recipe.name).toHaveLength(r.lines.length);
      const ids = new Set(sheet.steps.map((s) => s.id));
      for (const l of lines) if (l.stepId !== null) expect(ids.has(l.stepId), `${recipe.name}: ${l.text}`).toBe(true);
      for (const s of sheet.steps) for (const a of s.after) expect(ids.has(a)).toBe(true);
    }
  });
});

describe('what is kept back', () => {
  it('by the cup stays a cup of its foam, and the rest goes on', () => {
    const sheet = sheetOf(
      read(
        'Pots\nServes 6\n\n500 ml double cream\n50 g icing sugar\n200 g mascarpone\n\nWhip the cream with the sugar to soft peaks. Set aside 1 cup of it for the top. Fold the rest into the mascarpone. Spoon into glasses. Top with the reserved cream. Chill for 1 hour.',
      ),
    );
    const feeds = sheet.parts.flatMap((p) => p.lines.filter((l) => l.fromPartId !== null).map((l) => [p.kind, l.text.split(' of the ')[0]]));
    expect(feeds).toEqual(expect.arrayContaining([['crown', '1 metric cup']]));
    const { parts } = analyseSheet(sheet, KITCHEN);
    expect(parts.flatMap((p) => p.reading.lines.map((l) => l.fault)).filter((f) => f !== null)).toEqual([]);
    const given = parts.flatMap((p) => p.reading.lines.filter((l) => l.kind === 'part').map((l) => l.read?.massG ?? 0)).reduce((a, b) => a + b, 0);
    expect(given).toBeCloseTo(550, 0);
    // 250 mL at 0.5 g/mL.
    expect(parts.find((p) => p.part.kind === 'crown')!.reading.fedG).toBeCloseTo(125, 6);
  });
});

describe('the order in which it lies in the dessert', () => {
  const kinds = (text: string): string[] => writtenSheet(text).parts.map((p) => p.kind);
  const TRIFLE = (layer: string): string => `Custard trifle
Serves 8
500 ml milk
5 egg yolks
100 g caster sugar
200 g sponge fingers
400 ml double cream
Whisk the yolks with the sugar. Heat the milk, pour it on and cook the custard to 82 °C, stirring. Cool the custard for 20 minutes.
Whip the cream to soft peaks.
${layer} Chill for 8 hours.`;
  it('is that in which it is named where it is put together', () => {
    expect(kinds(TRIFLE('Layer the sponge fingers, the custard and the cream in a glass bowl.'))).toEqual(['biscuit-layer', 'custard', 'whipped-cream']);
    expect(kinds(TRIFLE('Layer the custard, the sponge fingers and the cream in a glass bowl.'))).toEqual(['custard', 'biscuit-layer', 'whipped-cream']);
    expect(kinds(TRIFLE('Spoon the cream into a glass bowl. Cover with the sponge fingers. Pour the custard over the sponge fingers.'))).toEqual([
      'whipped-cream',
      'biscuit-layer',
      'custard',
    ]);
  });
  it('milk that is poured on yolks that wait is one custard with them', () => {
    const sheet = writtenSheet(TRIFLE('Layer the sponge fingers, the custard and the cream in a glass bowl.'));
    const custard = sheet.parts.find((p) => p.kind === 'custard')!;
    expect(custard.lines.map((l) => ingredient(l.ingredientId ?? '').category)).toEqual(['dairy', 'egg', 'sugar']);
  });
});
