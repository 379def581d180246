import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CONTEXT } from '../../testing/sample';
import { TOLD } from '../../testing/told-recipes';
import { calledInFull, ingredientOf } from './lines';
import { readRecipe, type Reading } from './read';

const read = (text: string): Reading => {
  const r = readRecipe(text, CONTEXT);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
/** 'kind: ingredient grams, … <- kind': what stands in which bowl. */
function bowls(r: Reading): readonly string[] {
  const kind = (id: string): string => r.parts.find((p) => p.id === id)!.kind;
  return r.parts.map((p) => {
    const own = r.lines
      .filter((l) => l.part === p.id)
      .map((l) => `${l.draft.ingredient?.id ?? '?'} ${Math.round(l.draft.grams ?? 0)}`)
      .sort();
    const takes = p.takes.map((t) => kind(t.part)).sort();
    return `${p.kind}: ${own.join(', ')}${takes.length > 0 ? ` <- ${takes.join(', ')}` : ''}`;
  });
}

const toldOf = (name: string): Reading => read(TOLD.find(([x]) => x === name)![1]);

describe('recipes as others write and tell them', () => {
  it('means the same however it was typed: bullets, tight units, other quotes and ends of rows, short words for times', () => {
    const typed: readonly (readonly [name: string, as: (text: string) => string])[] = [
      ['tight', (t) => t.replace(/(\d) (g|ml|kg)\b/g, '$1$2')],
      ['bullets', (t) => t.replace(/(?<=\n)(?=\d+ ?(?:g|ml|tbsp|tsp|kg|cups?|oz)\b[^\n]{0,50}\n)/g, '- ')],
      ['rows', (t) => t.replace(/\n/g, '\r\n')],
      ['quotes', (t) => t.replace(/'/g, '’')],
      ['times', (t) => t.replace(/\bminutes\b/g, 'mins').replace(/\bhours\b/g, 'hrs')],
      [
        'verbs',
        (t) =>
          t
            .replace(/\bWhisk the cream\b/g, 'Whip the cream')
            .replace(/\bWhisk the (egg )?whites\b/g, 'Beat the $1whites')
            .replace(/\bFold in\b/g, 'Carefully fold in'),
      ],
      ['bowls', (t) => t.replace(/([.] )Whip the cream/g, '$1In a separate bowl, whip the cream')],
    ];
    let changed = 0;
    TOLD.forEach(([title, text], i) => {
      const [name, as] = typed[i % typed.length]!;
      const other = as(text);
      if (other === text) return;
      changed++;
      expect(bowls(read(other)), `${title}, ${name}`).toEqual(bowls(read(text)));
    });
    expect(changed).toBeGreaterThan(TOLD.length / 3);
  }, 120_000);
  it('nothing is whisked where no air goes in: no clock for a custard’s yolks or a ganache', () => {
    for (const [name, text] of TOLD) {
      const r = read(text);
      const kind = new Map(r.parts.map((p) => [p.id, p.kind]));
      for (const s of r.steps)
        if (s.work === 'whisk' && s.stage === null && s.part !== null)
          expect(['custard', 'chocolate-base'], `${name}: ${s.text}`).not.toContain(kind.get(s.part));
    }
  }, 120_000);
  it.each(TOLD)('%s', (_, text, expected) => expect(bowls(read(text))).toEqual(expected));
  it('foams that stand are only brought together: no clock runs for them', () => {
    const r = toldOf('two foams, told in one paragraph');
    expect(r.steps.find((s) => /together/.test(s.text))!.work).toBe('fold');
  });
  it('steps that are counted in one row are steps of their own', () => {
    expect(toldOf('a chef’s list without measures, its steps counted in one row').steps.map((s) => s.work)).toEqual([
      'soak',
      'heat',
      'hands',
      'hands',
      'wait',
      'hands',
      'fold',
      'fill',
      'chill',
    ]);
  });
  it('a list that says no measure is in grams, eggs stay eggs', () => {
    const r = read('Cream base\n\nmilk 500\ncream 250\neggs 3\nsugar 90\nsalt 2\n\nMix all.');
    expect(r.lines.map((l) => [l.draft.ingredient!.id, Math.round(l.draft.grams!)])).toEqual([
      ['milk-whole', 500],
      ['cream-35', 250],
      ['egg-whole', 150],
      ['sugar-caster', 90],
      ['salt', 2],
    ]);
    // Where others have a measure it is said that grams were taken, and small numbers are asked about.
    expect(
      read('Cream base\n\nmilk 500\ncream 250 ml\neggs 3\nsugar 90\nsalt 2\n\nMix all.').doubts.map((d) => [d.about, /grams are taken/.test(d.says)]),
    ).toEqual([
      ['milk 500', true],
      ['sugar 90', true],
    ]);
  });
  it('flour over the foam of eggs, baked, is a sponge; with nuts the whites are still a shell', () => {
    const sponge = (fold: string) =>
      bowls(
        read(
          `Cake\n\n3 eggs\n90 g caster sugar\n90 g plain flour\n\nWhisk eggs and sugar for 8 min until thick. ${fold} Bake in a 23cm tin at 180°C for 20 min.`,
        ),
      );
    const whole = ['biscuit-layer: egg-whole 150, sugar-caster 90, wheat-flour 90'];
    expect(sponge('Sift over the flour and fold in.')).toEqual(whole);
    expect(sponge('Fold in the flour.')).toEqual(whole);
  });
  it('milk poured on without a word for it goes onto the eggs that wait', () => {
    const custard = ['custard: corn-starch 30, egg-yolk 85, milk-whole 517, sugar-caster 80'];
    for (const how of ['pour on', 'pour on slowly', 'pour the milk on'])
      expect(bowls(read(`Heat 500 ml milk, whisk 5 egg yolks with 80 g sugar and 30 g cornflour, ${how} and cook until thick. Chill.`)), how).toEqual(custard);
  });
  it('the rest of a cream is another line of it where the first is used up', () => {
    const r = read(
      'Pots\n\n200 g dark chocolate\n400 ml cream\n150 ml cream for the top\n\nMelt the chocolate. Whip the 400 ml cream and fold it in. Spoon into glasses. Chill for 1 hour. Whip the remaining cream and pipe it on top.',
    );
    expect(bowls(r)).toEqual([
      'chocolate-base: chocolate-dark-64 200',
      'whipped-cream: cream-35 404',
      'set-filling:  <- chocolate-base, whipped-cream',
      'whipped-cream: cream-35 152',
    ]);
  });
  it('a list under headings and one method without any: each clause works from the list of what it names', () => {
    const r = read(readFileSync('src/testing/long-recipe.txt', 'utf8'));
    expect(bowls(r)).toEqual([
      'whipped-cream: brandy-40 29, cream-48 500, lemon-juice 45, lemon-zest 5, nutmeg-ground 1, sugar-caster 75, wine-sweet 156',
      'biscuit-layer: egg-whole 200, sugar-caster 120, vanilla-extract 5, wheat-flour 120',
      'topping: icing-sugar-starch 1',
      'fruit-base: gelatin-leaf-gold 12, lemon-juice 45, raspberry 600, sugar-caster 100, water 300',
      'custard: butter-82 30, corn-starch 35, cream-48 250, egg-yolk 102, milk-whole 517, sugar-caster 100, vanilla-pod 3',
      'topping: sherry-17 60',
      'topping: almond-flaked 50, amaretti 48, raspberry 200',
    ]);
    // The jelly goes over the sponge, the custard over the jelly, the syllabub over both; the custard cools in a tray that is no vessel of the dessert.
    const placed = r.steps.flatMap((x) =>
      x.work === 'fill' && x.places.length > 0 ? [x.places.map((id) => r.parts.find((p) => p.id === id)!.kind).join('+')] : [],
    );
    expect(placed).toEqual(['biscuit-layer', 'biscuit-layer', 'fruit-base', 'fruit-base+custard', 'whipped-cream+custard']);
    expect(r.steps.find((x) => x.text.includes('shallow tray'))!.work).toBe('hands');
  });
  it('half sentences without a verb: what goes in goes in', () => {
    const syllabub = read(`Syllabub
Wine and lemon overnight with the sugar - 150 ml wine, 1 lemon, 75 g caster. Next day strain. Cream in, 300 ml double, slowly, whisking all the while. Soft peaks, no more. Glasses. Fridge.`);
    expect(bowls(syllabub)).toEqual(['whipped-cream: cream-48 300, lemon-whole 50, sugar-caster 75, wine-red 149']);
    expect(syllabub.steps.map((s) => s.work)).toEqual(['chill', 'hands', 'whisk', 'chill']);
    const told = read(
      `Syllabub, my grandmother's. Wineglass of sherry, the juice of a lemon, two ounces of sugar, stand overnight. Then half a pint of double cream, into that, pinch of nutmeg. Whisk till it just holds.`,
    );
    expect(bowls(told)[0]).toContain('cream-48 28');
    expect(told.lines.map((l) => l.draft.text)).toContain('Wineglass of sherry');
  });
  it.each([
    ['300 ml double', 'cream-48'],
    ['75 g caster', 'sugar-caster'],
    ['50 g of icing', 'icing-sugar-starch'],
    ['200 g dark', 'chocolate-dark-64'],
  ])('%s is measured, and so meant in full', (text, id) => {
    expect(ingredientOf(text, CONTEXT).ingredient?.id).toBe(id);
  });
  it('a sort that nobody measures stays a sort', () => {
    expect(calledInFull('double')).toBeNull();
    expect(calledInFull('4 plain')).toBeNull();
    expect(calledInFull('300 ml thick')).toBeNull();
  });
  it('shells are filled with what is in hand', () => {
    const r = read(
      'Nests\n\n4 egg whites\n240 g caster sugar\n200 ml double cream\n\nWhisk the whites with the sugar until stiff. Pipe nests. Bake at 100 °C for 2 hours. Whip the cream and fill the nests.',
    );
    const last = r.steps.at(-1)!;
    expect(last.places).toHaveLength(2);
    expect(last.after).toContain(r.steps.length - 2);
  });
  it('degrees of an oven that stand alone are read, in °F where there are so many', () => {
    const bake = (name: string): number | undefined => toldOf(name).steps.find((x) => x.work === 'bake')!.temperature?.c;
    expect(bake('oven degrees that stand alone')).toBe(120);
    expect(bake('lists within rows, stuff and things')).toBe(176.7);
  });
  it('shares of what was made: most of the praline in, the rest on top; half of the foam folded in', () => {
    const share = (name: string, kind: string): number | undefined =>
      toldOf(name).parts.flatMap((p) => p.takes.filter((t) => toldOf(name).parts.find((q) => q.id === t.part)!.kind === kind))[0]?.share;
    expect(share('a semifreddo with a praline that is divided', 'topping')).toBeCloseTo(2 / 3, 3);
    expect(share('lists within rows, stuff and things', 'whipped-cream')).toBeCloseTo(0.5, 3);
    expect(
      toldOf('told with second thoughts')
        .lines.filter((l) => l.draft.ingredient?.id === 'lemon-curd')
        .map((l) => Math.round(l.draft.grams!)),
    ).toEqual([288, 32]);
  });
  it('what was kept back goes on top, not the whole', () => {
    const r = toldOf('a pudding with its top kept back');
    const crown = r.parts.find((p) => p.kind === 'crown')!;
    expect(r.steps.find((x) => x.text.startsWith('Top w/'))!.places).toContain(crown.id);
  });
  it('a cell over a list is its heading, not part of a name', () => {
    const r = toldOf('a table with a column of parts');
    expect(r.lines.map((l) => l.draft.written)).toContain('egg whites 180 g');
    expect(r.parts.map((p) => p.name)).toEqual(['Meringue', 'Coffee cream', 'Finish']);
    expect(r.doubts).toEqual([]);
  });
  it('notes of a word or two are steps: half, again, level; a jelly goes over its sponge', () => {
    const r = toldOf("the shop's own notes, one word a step");
    expect(r.steps.map((x) => x.work).slice(-6)).toEqual(['fill', 'fill', 'fill', 'fill', 'chill', 'finish']);
    expect(toldOf('a trifle told in small letters, amounts behind their names').steps.find((x) => x.text.includes('goes over'))!.places).toHaveLength(3);
  });
  it('half of a custard in the mousse, the other half stays what it is; minutes by a prime', () => {
    const r = toldOf('bare numbers under names within rows, minutes by a prime');
    expect(r.parts.find((p) => p.kind === 'set-filling')!.takes.map((t) => t.share)).toEqual([0.5, 1]);
    expect(r.steps.filter((x) => x.minutes !== null).map((x) => x.minutes)).toEqual([
      [30, 30],
      [15, 18],
      [240, 240],
    ]);
  });
  it('a second bowl is no second', () =>
    expect(toldOf('bars, zest and juice of one fruit in a row').steps.find((x) => x.text.includes('second bowl'))!.minutes).toBeNull());
  it('what is baked in a tin, told behind its list, bakes', () =>
    expect(toldOf('a slab told with bare numbers').steps.find((x) => x.work === 'bake')!.minutes).toEqual([40, 40]));
  it('so many of what is counted are no grams', () => {
    const r = read('Whip 300 ml of cream with 30 g of icing sugar. Dip 48 savoiardi in 200 ml of coffee and lay them in a dish. Cover with the cream.');
    expect(Math.round(r.lines.find((l) => l.draft.ingredient?.id === 'ladyfinger')!.draft.grams!)).toBe(384);
  });
  it('what a vessel holds is nothing to eat, though its name is near one that is', () => {
    const r = read(
      'Whip 400 ml of double cream with 40 g of icing sugar. Fold in a tub of mascarpone, 250 grams. Spoon into a dish, about 2 litres, and chill for 3 hours.',
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id).sort()).toEqual(['cream-48', 'icing-sugar-starch', 'mascarpone']);
  });
  it.each(['zest and juice 4 limes', 'zest and juice of 4 limes', 'juice & zest 4 limes', '4 limes, zest and juice'])('%s: two lines of one fruit', (row) => {
    const r = read(
      `Posset\n600 ml double cream\n150 g caster sugar\n${row}\n\nBring the cream and sugar to the boil for 3 minutes. Whisk in the zest and juice. Pour into 6 glasses and chill.`,
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toEqual(['cream-48', 'sugar-caster', 'lime-zest', 'lime-juice']);
    expect(r.lines.map((l) => Math.round(l.draft.grams!)).slice(2)).toEqual([
      r.lines[2]!.draft.ingredient!.piece!.grams * 4,
      r.lines[3]!.draft.ingredient!.piece!.grams * 4,
    ]);
  });
  const step = (r: Reading, words: RegExp) => r.steps.find((x) => words.test(x.text))!;
  it('the degrees of a syrup are not those of the whites that wait for it', () => {
    const r = toldOf('a nougatine that is folded in, a syrup poured over whites');
    expect(step(r, /Start whisking/)).toMatchObject({ work: 'whisk', temperature: null });
    expect(step(r, /Cook the honey/).temperature).toEqual({ c: 121, of: 'mix' });
    expect(r.parts.find((p) => p.kind === 'egg-foam')!.ways).toMatchObject({ whites: 'italian' });
  });
  it('what is told of a mixer, of whites and of cocoa is work of its own', () => {
    const r = toldOf('a tiramisu told by what goes where, its biscuits counted afterwards');
    expect(r.title).toBe('Tiramisu');
    expect(step(r, /let that run/)).toMatchObject({ work: 'whisk', minutes: [5, 5], machine: 'mixer' });
    expect(step(r, /In another bowl the whites/)).toMatchObject({ work: 'whisk', stage: 'firm' });
    expect(step(r, /Cocoa on top/).work).toBe('finish');
  });
  it('a letter behind a number is of degrees, any other calls its list', () => {
    const r = toldOf('lists that are called by letters in a column');
    const named = (words: RegExp): readonly string[] => step(r, words).lines.map((i) => r.lines[i]!.draft.ingredient!.id);
    expect(named(/Infuse A/)).toEqual(['milk-whole', 'coffee-beans']);
    expect(named(/Cook with B/)).toEqual(['egg-yolk', 'sugar-caster']);
    expect(named(/fold in D/)).toEqual(['cream-35']);
    expect(r.parts.map((p) => p.name)).toEqual(['Custard', 'Filling', 'Whipped cream']);
  });
  it('how far a frosting goes and how long it keeps is no work', () => {
    expect(toldOf('a frosting in one paragraph, and how far it goes').steps.every((x) => (x.minutes?.[1] ?? 0) < 60)).toBe(true);
  });
  it('a ganache is blended without air, and a roll that is rolled up firmly is whipped to no stage', () => {
    expect(step(toldOf('two amounts of one cream in a row'), /^blend/).work).toBe('beat');
    expect(step(toldOf('a roulade in shortened words'), /Roll up firmly/).stage).toBeNull();
  });
  it('degrees and a time of nothing else are an oven, in °C where all is in grams', () => {
    const r = toldOf('kisses told with an oven that is only degrees');
    expect(r.steps.find((x) => x.work === 'bake')).toMatchObject({ minutes: [75, 75], temperature: { c: 100, of: 'oven' } });
    expect(toldOf("an entremet in chefs' words, lists between bars").steps.find((x) => x.work === 'bake')).toMatchObject({
      minutes: [15, 15],
      temperature: { c: 170, of: 'oven' },
    });
  });
  it('an egg is no egg white, and an anglaise is cooked of its own list', () => {
    const r = toldOf("an entremet in chefs' words, lists between bars");
    const lines = (words: RegExp): readonly string[] => step(r, words).lines.map((i) => r.lines[i]!.draft.ingredient!.id);
    expect(lines(/cook pur/)).toContain('egg-whole');
    expect(lines(/anglaise/)).toEqual(['milk-whole', 'egg-yolk', 'gelatin-leaf-gold']);
    expect(r.parts.map((p) => p.kind)).not.toContain('topping');
  });
  it('cream to soft peak is whipped, the rest of it is no rest', () => {
    const r = toldOf('dots between names and grams');
    expect(step(r, /^Cream to soft peak/)).toMatchObject({ work: 'whisk', stage: 'soft' });
    expect(r.steps.map((x) => x.work)).not.toContain('wait');
    expect(step(r, /^Blast freeze/)).toMatchObject({ work: 'freeze', minutes: [120, 120] });
    expect(r.title).toBe('MAPLE WALNUT SEMIFREDDO');
  });
  it('slices of a terrine are what it serves, no ingredient', () => expect(toldOf('a marquise whose sugar is halved').portions).toMatchObject({ low: 14 }));
  it.each([
    'stir the dark chocolate into one half and the white chocolate into the other half.',
    'stir the dark chocolate into one half. Stir the white chocolate into the other half.',
  ])('each half of a custard takes what is said of it: %s', (halves) => {
    const r = read(
      `Two-tone pots\n\n500 ml milk\n5 egg yolks\n100 g sugar\n40 g cornflour\n100 g dark chocolate\n100 g white chocolate\n\nHeat the milk. Whisk yolks, sugar and cornflour, pour on the hot milk and cook until thick. Divide it; ${halves} Cool. Spoon into glasses and chill 3 hours.`,
    );
    expect(bowls(r)).toEqual([
      'custard: corn-starch 40, egg-yolk 85, milk-whole 517, sugar-caster 100',
      'set-filling: chocolate-dark-64 100 <- custard',
      'set-filling: chocolate-white 100 <- custard',
    ]);
    expect(r.parts.flatMap((x) => x.takes.map((t) => t.share))).toEqual([0.5, 0.5]);
  });
});
