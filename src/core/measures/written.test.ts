import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, LARDER } from '../../testing/sample';
import { plural, readLine, scaleLineText, splitLine } from './line';
import { ingredientNamed, matcherFor, matchOf } from './match';
import type { CupSystem } from './units';

/** What a whole line comes to when only its text is known, g. */
function weighed(text: string, cups: CupSystem = 'us', eggs?: { system: 'us' | 'eu'; size: 'large' | 'medium' }): string {
  const ingredient = ingredientNamed(splitLine(text), CONTEXT.matcher);
  const read = readLine(text, ingredient, { cups, ...(eggs ? { eggs } : {}) });
  return read.ok ? `${ingredient?.id} ${Number(read.value.massG.toPrecision(5))}` : read.fault.code;
}

describe('lines as cooks write them', () => {
  // Each expected weight is a hand calculation from the larder's facts.
  it.each([
    ['2 1/4 cups heavy whipping cream, cold', 'cream-36 537.11'],
    ['1 (8-ounce) package cream cheese, softened', 'cream-cheese-block 226.8'],
    ['2 (8 oz) packages cream cheese, at room temperature', 'cream-cheese-block 453.59'],
    ['1 x 400 g tin condensed milk', 'condensed-milk 400'],
    ['1 400g tin condensed milk', 'condensed-milk 400'],
    ['1 can sweetened condensed milk', 'condensed-milk 397'],
    ['3 large egg yolks', 'egg-yolk 51'],
    ['4 medium egg whites, at room temperature', 'egg-white 116.16'],
    ['juice of 1/2 lemon', 'lemon-juice 22.5'],
    ['finely grated zest of 2 oranges', 'orange-zest 16'],
    ['a pinch of salt', 'salt 0.3'],
    ['salt, a pinch', 'salt 0.3'],
    ['salt to taste', 'salt 1'],
    ['salt to taste (2 g)', 'salt 2'],
    ['1/2 pint double cream', 'cream-48 236.59'],
    ['1 imperial pint cream', 'cream-35 573.94'],
    ['1 wine pint double cream', 'cream-48 473.18'],
    ['2 metric cups icing sugar, sifted', 'icing-sugar-starch 253.61'],
    ['1 1/2 sticks unsalted butter, melted', 'butter-82 170.1'],
    ['1-1/2 cups sugar', 'sugar-caster 300'],
    ['200 g dark chocolate (70%), chopped', 'chocolate-dark-70 200'],
    ['1 cup (120 g) powdered sugar', 'icing-sugar-starch 120'],
    ['250 g / 9 oz mascarpone', 'mascarpone 250'],
    ['2–3 tbsp rum', 'rum-40 35.156'],
    ['2 to 3 tablespoons caster sugar', 'sugar-caster 31.25'],
    ['about 24 lady fingers', 'ladyfinger 192'],
    ['1 heaped tbsp cocoa', 'cocoa-powder-22 7.9688'],
    ['1 lb 2 oz strawberries, hulled', 'strawberry 510.29'],
    ['1 cup plus 2 tbsp sugar', 'sugar-caster 225'],
    ['half a cup sugar', 'sugar-caster 100'],
    ['two eggs', 'egg-whole 100'],
    ['a dozen eggs', 'egg-whole 600'],
    ['1 dsp honey', 'honey 13.998'],
    ['1 glug brandy', 'brandy-40 14.28'],
    ['5 sheets gelatine', 'gelatin-leaf-gold 10'],
    ['1 envelope powdered gelatin', 'gelatin-powder-225 7'],
    ['1 000 g mascarpone', 'mascarpone 1000'],
    ['1 T rum', 'rum-40 14.062'],
    ['1/4 teaspoon cream of tartar', 'cream-of-tartar 0.78125'],
    ['1 tsp agar', 'agar 2.2917'],
    ['2 tubs mascarpone', 'mascarpone 1000'],
    ['mascarpone 250 g', 'mascarpone 250'],
    ['0,5 kg mascarpone', 'mascarpone 500'],
  ])('%s', (text, expected) => expect(weighed(text)).toBe(expected));

  it('read cups, spoons and pints as the kitchen means them, unless the line says otherwise', () => {
    expect(weighed('1 cup water', 'us')).toBe('water 236.59');
    expect(weighed('1 cup water', 'imperial')).toBe('water 284.13');
    expect(weighed('1 tbsp water', 'australian')).toBe('water 20');
    expect(weighed('1 pint water', 'imperial')).toBe('water 568.26');
    expect(weighed('1 US cup water', 'imperial')).toBe('water 236.59');
    expect(weighed('1 Australian tbsp water', 'us')).toBe('water 20');
  });
  it('a gill is a quarter of the pint that is meant; a dozen is one however short it is written', () => {
    for (const cups of ['us', 'metric', 'imperial', 'australian'] as const) expect(weighed('1 gill milk', cups)).toBe(weighed('1/4 pint milk', cups));
    expect(weighed('2 gills milk', 'imperial')).toBe(weighed('10 fl oz milk', 'imperial'));
    for (const said of ['2 doz. eggs', '2 doz eggs', '2 dozen eggs', 'two doz. eggs']) expect(weighed(said), said).toBe(weighed('24 eggs'));
  });
  it('read eggs as the kitchen buys them, unless the line says a size', () => {
    expect(weighed('2 eggs', 'us', { system: 'eu', size: 'large' })).toBe('egg-whole 120');
    expect(weighed('2 medium eggs', 'us', { system: 'eu', size: 'large' })).toBe('egg-whole 100');
    expect(weighed('2 yolks', 'us', { system: 'us', size: 'medium' })).toBe('egg-yolk 29.92');
  });
  it('keep both ends of a range', () => {
    const text = '200–250 g cream';
    const read = readLine(text, ingredientNamed(splitLine(text), CONTEXT.matcher), { cups: 'us' });
    expect(read.ok && read.value).toMatchObject({ massG: 225, rangeG: [200, 250] });
  });
  it.each([
    ['5 - 2 g cream', 3],
    ['=5-2 g cream', 3],
    ['2-5 g cream', 3.5],
  ])('%s: a range rises, a sum does not', (text, g) => {
    const read = readLine(text, CONTEXT.matcher.best('cream'), { cups: 'us' });
    expect(read.ok && read.value.massG).toBe(g);
  });
  it('know their plurals', () => expect(['leaf', 'yolk', 'berry', 'box'].map(plural)).toEqual(['leaves', 'yolks', 'berries', 'boxes']));
});

describe('scaling', () => {
  it.each([
    ['2–3 tbsp rum', 2, '4–6 tbsp rum'],
    ['1 cup (200 g) sugar', 0.5, '1/2 cup (100 g) sugar'],
    ['1 lb 2 oz strawberries', 2, '2 lb 4 oz strawberries'],
    ['2 (8 oz) packages cream cheese', 2, '4 (8 oz) packages cream cheese'],
    ['a pinch of salt', 3, '3 pinch of salt'],
    ['salt to taste', 3, 'salt to taste'],
  ])('%s × %s', (text, factor, expected) => expect(scaleLineText(text, factor)).toBe(expected));
  it('scales the grams of whatever can be read, exactly as far as four digits go', () => {
    const texts = [
      '2 1/2 cup cream',
      '600 g cream',
      '2–3 tbsp rum',
      '1 lb 2 oz cream',
      '3 yolks',
      '2 leaves gelatin',
      '1 cup (200 g) sugar',
      '1 x 400 g tin condensed milk',
    ];
    fc.assert(
      fc.property(fc.constantFrom(...texts), fc.double({ min: 0.05, max: 40, noNaN: true }), (text, factor) => {
        const grams = (t: string): number => {
          const r = readLine(t, ingredientNamed(splitLine(t), CONTEXT.matcher), { cups: 'us' });
          if (!r.ok) throw new Error(`${t}: ${r.fault.says}`);
          return r.value.massG;
        };
        expect(grams(scaleLineText(text, factor)) / (grams(text) * factor)).toBeCloseTo(1, 2);
      }),
    );
  });
});

describe('names', () => {
  it.each([
    ['hevy cream', 'cream-36'],
    ['gelatine leaves', 'gelatin-leaf-gold'],
    ['castor sugar', 'sugar-caster'],
    ['confectioners’ sugar', 'icing-sugar-starch'],
    ['corn flour', 'corn-starch'],
    ['Greek yogurt', 'greek-yoghurt-10'],
    ['savoiardi', 'ladyfinger'],
    ['raspberries', 'raspberry'],
    ['unsalted butter, softened', 'butter-82'],
    ['egg whites (from about 4 eggs)', 'egg-white'],
  ])('%s is %s', (name, id) => expect(CONTEXT.matcher.best(name)?.id).toBe(id));
  it('are less sure the more is guessed', () => {
    const sure = (name: string): number => matchOf({ name, fatText: null, wordAfter: null }, CONTEXT.matcher)?.confidence ?? 0;
    expect(sure('mascarpone')).toBe(1);
    expect(sure('mascarpone, cold')).toBeLessThan(1);
    expect(sure('mascarpnoe')).toBeLessThan(sure('mascarpone, cold'));
    expect(sure('kohlrabi')).toBe(0);
  });
  it('a spoon of ginger is of the powder, where the larder has it; a weight of it is fresh', () => {
    const named = (text: string, matcher = CONTEXT.matcher) => ingredientNamed(splitLine(text), matcher)?.id;
    expect(named('1 tsp ginger')).toBe('ginger-ground');
    expect(named('1 tsp grated ginger')).toBe('ginger-fresh');
    expect(named('20 g ginger')).toBe('ginger-fresh');
    expect(named('1 tsp ginger', matcherFor(LARDER.filter((i) => i.id !== 'ginger-ground')))).toBe('ginger-fresh');
  });
  it('of one place find those of another, ranked behind', () => {
    const found = CONTEXT.matcher.find('double cream', 6).map((m) => m.ingredient.id);
    expect(found[0]).toBe('cream-48');
    expect(found).toContain('cream-36');
  });
  it('of the larder are each found by every other name they have', () => {
    const matcher = matcherFor(LARDER);
    for (const i of LARDER) for (const alias of i.aliases) expect(matcher.best(alias)?.id, alias).toBeDefined();
  });
});

describe('whatever is typed', () => {
  const seeds = [
    '600 g cream 36 %',
    '2 1/2 cups heavy cream, cold',
    '1 (8-ounce) package cream cheese',
    '2–3 tbsp rum',
    '1 lb 2 oz berries',
    'salt to taste (1 g)',
    '=1/3*750 g sugar',
    '½ pint cream',
    'juice of 1 lemon',
    'less 8 % left in the bowl',
    'half of the chantilly',
  ];
  const pieces = fc.constantFrom(
    '1',
    '/',
    '0',
    ' ',
    '(',
    ')',
    '=',
    '-',
    '–',
    '½',
    'cup',
    'x',
    '%',
    ',',
    '.',
    '+',
    'g',
    'to',
    'of',
    '\u00a0',
    '×',
    'e',
    '٣',
    '\u202e',
    '🍮',
  );
  const mutated = fc
    .tuple(fc.constantFrom(...seeds), fc.array(fc.tuple(fc.nat(60), pieces), { maxLength: 6 }))
    .map(([seed, edits]) => edits.reduce((t, [at, p]) => t.slice(0, at) + p + t.slice(at), seed));
  it('60 000 random and mutated lines: no throw, no NaN, nothing grows, every fault has a sentence', () => {
    fc.assert(
      fc.property(
        fc.oneof({ arbitrary: mutated, weight: 3 }, fc.string({ unit: 'binary', maxLength: 80 }), fc.string({ maxLength: 200 })),
        fc.constantFrom('cream-36', 'salt', 'egg-white', 'gelatin-leaf-gold', 'ladyfinger'),
        (text, id) => {
          const w = splitLine(text);
          if (w.name.length > text.length + 8) throw new Error('the name grew');
          const r = readLine(text, CONTEXT.larder.get(id)!, { cups: 'us' });
          if (r.ok ? !(Number.isFinite(r.value.massG) && r.value.massG > 0) : r.fault.says.length < 5) throw new Error(text);
          scaleLineText(text, 1.5);
        },
      ),
      { numRuns: 60_000 },
    );
  }, 120_000);
  it.each(['constructor', 'toString', '__proto__', 'valueOf', 'hasOwnProperty'])('‘%s’ is a word like any other, wherever it stands', (word) => {
    for (const line of [
      `${word} cream`,
      `2 ${word} cream`,
      `${word} g cream`,
      `600 g ${word}`,
      `two ${word} of cream`,
      `a ${word} of cream, ${word}`,
      `(${word})`,
      word,
    ]) {
      const [plain, odd] = [splitLine(line.replaceAll(word, 'zzyzx')), splitLine(line)];
      expect(
        odd.amounts.map((a) => [a.quantity, a.unit?.key, a.system, a.heap, a.size]),
        line,
      ).toEqual(plain.amounts.map((a) => [a.quantity, a.unit?.key, a.system, a.heap, a.size]));
      expect(() => ingredientNamed(odd, CONTEXT.matcher), line).not.toThrow();
    }
  });
  it('a line as long as a chapter is read to its end', () => {
    // How its time grows is measured by the bench.
    const chapter = '1 (2 cup + 3 - '.repeat(3200);
    expect(splitLine(chapter).name.length).toBeLessThanOrEqual(chapter.length);
    expect(readLine(chapter, CONTEXT.larder.get('salt')!, { cups: 'us' })).toHaveProperty('ok');
  });
});
