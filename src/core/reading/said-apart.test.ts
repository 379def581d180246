import { describe, expect, it } from 'vitest';
import { CONTEXT } from '../../testing/sample';
import { splitLine } from '../measures/line';
import { wordNumber } from '../measures/word-number';
import { amountsIn } from './amounts';
import { clauseOf } from './clauses';
import { draftLine, linesOfRow } from './lines';
import { readRecipe, type Reading } from './read';
import { portionsIn, vesselIn } from './setting';

/** What a method says apart from its list, and figures that are easily taken for others. */

const PLACE = { under: null, block: 0, start: 0, end: 0 } as const;
const read = (text: string): Reading => {
  const r = readRecipe(text, CONTEXT);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const bowls = (r: Reading): readonly string[] =>
  r.parts.map((p) => {
    const own = r.lines.filter((l) => l.part === p.id).map((l) => `${l.draft.ingredient?.id ?? '?'} ${Math.round(l.draft.grams ?? 0)}`);
    const takes = p.takes.map((t) => r.parts.find((q) => q.id === t.part)!.kind);
    return `${p.kind}: ${own.join(', ')}${takes.length > 0 ? ` <- ${takes.join(', ')}` : ''}`;
  });
const step = (r: Reading, words: RegExp) => r.steps.find((s) => words.test(s.text));

describe('figures', () => {
  it.each([
    ['two fifty of butter', 250],
    ['one twenty-five grams', 125],
    ['nine ninety-nine of it', 999],
    ['a dozen and a half fingers', 18],
    // What packs hold, and a dozen that is halved.
    ['two fifty-gram bars', 2],
    ['two twenty-centimetre tins', 2],
    ['two twenty cm tins', 2],
    ['three thirty-second bursts', 3],
    ['one twenty-minute rest', 1],
    ['half a dozen eggs', 6],
    ['twelve fifty', 12],
  ])('%s', (text, value) => expect(wordNumber(text, 0)?.value).toBe(value));

  it('a dash between a name and its amount is no range, and a range is one', () => {
    const grams = (text: string) => splitLine(text).amounts.map((a) => [a.quantity.ok && a.quantity.value, a.range]);
    expect(grams('cream 35 - 800 g')).toEqual([[800, null]]);
    expect(grams('cream 35 -- 800 g')).toEqual([[800, null]]);
    expect(grams('sugar -- 90 g')).toEqual([[90, null]]);
    expect(grams('cream 35-40 g')).toEqual([[37.5, [35, 40]]]);
    expect(grams('mascarpone 250 - 300 g')).toEqual([[275, [250, 300]]]);
    // Four times is still a choice, five times is none.
    expect(grams('sugar 20 - 80 g')).toEqual([[50, [20, 80]]]);
    expect(grams('sugar 20 - 100 g')).toEqual([[100, null]]);
  });

  it.each([
    ['gelatine powder 200 bloom 8 g', 'gelatin-powder-225', ''],
    ['gelatin powder (250 bloom) 8 g', 'gelatin-powder-225', '250 bloom is said'],
    ['gelatin 160 bloom sheets 10 g', 'gelatin-leaf-silver', ''],
    ['fish gelatin 200 bloom 8 g', 'gelatin-fish', ''],
    ['gelatine leaves 240 bloom 12 g', 'gelatin-leaf-platinum', ''],
  ])('%s', (text, id, doubt) => {
    const l = draftLine(text, PLACE, CONTEXT);
    expect(l.ingredient?.id).toBe(id);
    // 225 is more than a grade from 200: said, as is every one that the larder lacks.
    if (doubt !== '') expect(l.doubt).toContain(doubt);
    expect(l.grams).toBe(Number(/(\d+) g$/.exec(text)![1]));
  });

  it.each([
    ['400g punnet strawberries, halved', 'strawberry', 400],
    ['100g bar dark chocolate', 'chocolate-dark-64', 100],
    ['284ml pot double cream', 'cream-48', 284],
  ])('%s: what it is sold in is no name', (text, id, grams) => expect(draftLine(text, PLACE, CONTEXT)).toMatchObject({ ingredient: { id }, grams }));

  it.each([
    ['2 oranges - zest and juice', ['orange-zest', 'orange-juice']],
    ['The thinly pared rind of one lemon and its juice', ['lemon-zest', 'lemon-juice']],
  ])('%s', (row, ids) =>
    expect(linesOfRow(row, PLACE, CONTEXT, { yolks: false, whites: false, zest: true, juice: true }).map((l) => l.ingredient?.id)).toEqual(ids),
  );

  it('a pack that is weighed behind its name', () => {
    expect(amountsIn(clauseOf('block of butter, two fifty, it has to be soft')).map((a) => a.text)).toEqual(['250 g butter']);
    expect(amountsIn(clauseOf('then cream cheese, full fat, straight from the fridge, four hundred grams,')).map((a) => a.name)).toEqual(['cream cheese']);
    expect(amountsIn(clauseOf('block of butter, two of them')).map((a) => a.text)).not.toContain('2 g butter');
  });
});

describe('how many, and in what', () => {
  it.each([
    ['Feeds fourteen easily.', 14],
    ['Serves two dozen.', 24],
    ['Serves seventeen', 17],
    ['cups 160 ml x 30: broken fingers, cream', 30],
    ['yield: 2 x 1 L loaf moulds (approx 16 slices)', 16],
  ])('%s', (text, many) => expect(portionsIn([text], text)).toEqual({ low: many, high: many }));
  it.each([
    ['yield: 2 x 1 L loaf moulds (approx 16 slices).', { shape: 'mould', eachMl: 1000, count: 2 }],
    ['Spoon 8 mounds on a lined tray and hollow them.', { shape: 'free', count: 8 }],
    ['Spoon meringue into 6 rounds on tray.', { shape: 'free', count: 6 }],
    [
      'In a large bowl, beat cream and sugar until soft.\nOn a flat serving plate, arrange 7 cookies, making a 7-inch circle.',
      { shape: 'free', acrossMm: 178 },
    ],
  ])('%s', (text, vessel) => expect(vesselIn(text)).toMatchObject(vessel));
});

describe('what a step measures that the list lacks', () => {
  it('is a line of its own: more cream, whites, a sugar of another kind', () => {
    const r = read(
      'Pie\n\nCrust: 150 g graham crackers, 85 g butter, 40 g brown sugar. Mix, press into a 9-inch pie plate.\n\nFilling: Heat 3/4 cup heavy cream, pour over 8 oz chopped dark chocolate, whisk smooth. Whip another 1 cup heavy cream to medium peaks and fold into the chocolate. Pour into the crust.\n\nWhisk 3 egg whites and 3/4 cup sugar over simmering water until 160°F. Add 1/4 tsp. cream of tartar, beat until stiff. Swirl on the pie.',
    );
    expect(bowls(r)).toEqual([
      'pressed-base: graham-rectangle 150, butter-82 85, sugar-light-brown 40',
      'chocolate-base: cream-36 179, chocolate-dark-64 227',
      'whipped-cream: cream-36 239',
      'set-filling:  <- chocolate-base, whipped-cream',
      'egg-foam: egg-white 99, sugar-caster 150, cream-of-tartar 1',
    ]);
    expect(step(r, /Swirl/)?.work).toBe('fill');
  });
  it('what was whipped is no more cream, and what is said of it again is none', () => {
    const r = read(
      'Cake\n\n500 g cream\n200 g ginger thins\n\nWhip the cream to soft peaks. Spread 1 cup of cream over the thins. Spread 1/2 cup whipped cream on top.',
    );
    expect(r.lines.filter((l) => l.draft.role === 'cream').reduce((g, l) => g + l.draft.grams!, 0)).toBeCloseTo(500, 6);
  });
  it('water stays with powder that swells in it; leaves are wrung out', () => {
    const water = (gelatin: string) =>
      read(`Cream\n\n${gelatin}\n500 g cream\n\nSoak the gelatin in 60 g cold water. Melt it. Whip the cream to soft peaks and whisk in the gelatin.`)
        .lines.filter((l) => l.draft.ingredient?.id === 'water')
        .map((l) => l.draft.grams);
    expect(water('10 g gelatin powder')).toEqual([60]);
    expect(water('4 leaves gelatine')).toEqual([]);
  });
  it('four of six whites, and two that are frozen for something else, are four', () => {
    const r = read(
      'Mousse\n\n6 eggs, separated\n100 g sugar\n200 g mascarpone\n\nWhisk the yolks with the sugar until pale. Beat in the mascarpone. Whisk 4 of the whites to soft peaks and fold them in. (Freeze the other two whites for meringues.) Chill 4 hours.',
    );
    expect(r.lines.find((l) => l.draft.role === 'white')?.draft.grams).toBeCloseTo(132, 6);
    expect(r.doubts.map((d) => d.says)).toContain('the recipe uses only these of its eggs: the rest goes nowhere');
    expect(r.freezes).toBe(false);
  });
});

describe('work that hides', () => {
  it('what is put into a dish of its own bakes there, and the mousse in its glasses does not', () => {
    const r = read(
      'Mousse\n\n200 g white chocolate\n100 g milk\n300 g cream\n400 g rhubarb\n100 g sugar\n\nHeat the milk, pour over the chocolate. Whip the cream and fold in. Divide between 6 glasses, chill 4 hours. Put the rhubarb and sugar in a dish, cover with foil, bake for 20 minutes at 180°C. Spoon over the mousses.',
    );
    const baked = step(r, /bake/)!;
    expect(r.lines.filter((l) => l.part === baked.part).map((l) => l.draft.role)).toEqual(['fruit', 'sugar']);
  });
  it('the whites that are started when the syrup is so hot', () => {
    const r = read(
      'Meringue\n\n150 g sugar\n50 g water\n3 egg whites\n225 g butter\n\nBoil the sugar and water to 118C. When the syrup gets to 110C start whisking the whites. Pour the syrup down the side of the bowl in a thin stream while whisking. Beat in the butter a cube at a time.',
    );
    expect(bowls(r)).toEqual(['buttercream: sugar-caster 150, water 50, egg-white 99, butter-82 225']);
    expect(step(r, /start whisking/)).toMatchObject({ work: 'whisk', temperature: null });
  });
  it('cream that is folded in, followed by something', () => {
    const r = read(
      'Semifreddo\n\n5 egg yolks\n100 g sugar\n350 g cream\n80 g amaretti\n\nWhisk the yolks and sugar over simmering water until thick. Whisk until cold. Whip the cream to soft peaks and fold in, followed by the amaretti. Freeze.',
    );
    expect(bowls(r).at(-1)).toBe('set-filling: amaretti 80 <- egg-foam, whipped-cream');
  });
  it('the cream through it, in two goes', () => {
    for (const folds of ['fold the cream through it in two goes', 'fold the cream in in two goes'])
      expect(bowls(read(`Beat 280 g cream cheese with 100 g icing sugar. Whip 300 g double cream to soft peaks, and ${folds}. Chill.`))[0]).toMatch(
        / <- whipped-cream$/,
      );
  });
  it('sugar that is let run in is whisked; seasonings told while something is in hand go in', () => {
    const sponge = read('Beat 4 egg whites until stiff, let 100 g sugar trickle in. Stir in 4 egg yolks.');
    expect(step(sponge, /trickle/)?.work).toBe('whisk');
    const frosting = read('beat 200 g butter soft. add 400 g cream cheese and mix. zest of an orange, teaspoon of vanilla paste. chill half an hour.');
    expect(frosting.parts).toHaveLength(1);
  });
  it('one of two that are said to choose from', () => {
    const r = read('Bars\n\n300 g cream cheese\n200 g cream\n\nBeat the cheese with the cream. Spread in a tin. Chill 6 hours, or freeze for 2. Cut.');
    expect(r.steps.map((s) => s.work)).not.toContain('freeze');
    expect(step(r, /Chill 6 hours/)?.text).toContain('or freeze for 2');
  });
  it('a tin that is buttered takes no butter of the list', () => {
    const r = read(
      'Base\n\n250 g digestive biscuits\n100 g butter, melted\n\nButter and line a 23cm tin. Crush the biscuits and mix with the melted butter. Press into the tin.',
    );
    expect(step(r, /Butter and line/)?.lines).toEqual([]);
    expect(step(r, /mix with the melted butter/)?.lines).toContain(1);
  });
  it('plain sugar is ‘the sugar’ before icing sugar is, and icing sugar when it is gone', () => {
    const r = read(
      'Bombe\n\nicing sugar 180 g\nyolk 200 g\nsugar 200 g\nwater 70 g\ncream 500 g\n\nBoil the sugar and water to 121, pour on the yolks, whip to 30C. Whip the cream with the sugar to soft peaks. Fold together.',
    );
    expect(step(r, /Boil/)?.lines.map((i) => r.lines[i]!.draft.ingredient?.id)).toEqual(['sugar-caster', 'water']);
    expect(step(r, /Boil/)?.temperature).toEqual({ c: 121, of: 'mix' });
    expect(step(r, /Whip the cream/)?.lines.map((i) => r.lines[i]!.draft.ingredient?.id)).toContain('icing-sugar-starch');
  });
  it('lists by what they make, and work behind a name in small letters', () => {
    const r = read(
      'Trifle\n\n1 pint of custard made with 3 egg yolks, 1 oz sugar, 1 tbsp cornflour and 1 pint milk\n300 g raspberries\n\ncustard: heat the milk, whisk the yolks, sugar and cornflour, pour on the milk. Return to the pan and stir until it thickens. Pour over the raspberries.',
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toEqual(expect.arrayContaining(['egg-yolk', 'sugar-caster', 'corn-starch', 'milk-whole']));
    expect(r.parts.map((p) => p.kind)).toContain('custard');
  });
  it('“gel” of a chef is gelatin and no colour; whites from large eggs are fresh ones', () => {
    expect(draftLine('gel 4 g', PLACE, CONTEXT).ingredient?.id).toBe('gelatin-powder-225');
    expect(draftLine('gel food colour 2 g', PLACE, CONTEXT).ingredient?.id).toBe('food-colour-gel');
    expect(draftLine('5 egg whites from large eggs', PLACE, CONTEXT)).toMatchObject({ ingredient: { id: 'egg-white' }, grams: 165 });
  });
  it('so many tins, so much each; a thing whose shop does not matter; fruit that the sentence before names', () => {
    const told = (t: string) => read(t).lines.map((l) => `${l.draft.ingredient?.id} ${Math.round(l.draft.grams ?? 0)}`);
    expect(told('Take two tins of peaches in juice, 410 grams each, drain them, and lay them in a bowl.')).toContain('peach 820');
    expect(told('You want a Madeira cake, a shop one is fine, about 300 grams, cut it in cubes.')).toEqual(['sponge-cake 300']);
    expect(told('Now the raspberries. 500 grams frozen, put them in a pan with 80 g of sugar and warm them.')).toContain('raspberry 500');
    expect(
      told('Semifreddo\n\n6 yolks\n170g caster\nzest 3 limes, juice of 2\n\nWhisk the yolks and caster over a bain marie to 74. Stir in the lime.'),
    ).toEqual(expect.arrayContaining(['lime-zest 9', 'lime-juice 56']));
    // A foam with the zest of a lime is none of it a curd.
    expect(read('6 yolks\n170 g caster sugar\nzest of 3 limes\n\nWhisk the yolks and sugar over a bain marie to 74. Stir in the zest.').parts[0]?.kind).toBe(
      'egg-foam',
    );
  });
  it('“as soon as it gels fold in the cream” folds it in, and two tins hold no dessert', () => {
    const r = read(
      'Cream\n\n9 leaves gelatine\n750 g quark\n180 g sugar\n500 ml cream\n\nSoften the gelatine. Mix quark and sugar. Dissolve the gelatine, stir into the quark. As soon as it begins to gel fold in the stiffly whipped cream.',
    );
    expect(bowls(r).map((b) => b.split(':')[0])).toEqual(['set-filling', 'whipped-cream']);
    expect(bowls(r)[0]).toMatch(/ <- whipped-cream$/);
    expect(vesselIn('Put them in the bottom of your big glass bowl. Two tins of peaches on the cake.')).toMatchObject({ shape: 'bowl', count: 1 });
    expect(vesselIn('Divide between 6 glasses of 200 ml.')).toMatchObject({ shape: 'glass', count: 6 });
  });
});
