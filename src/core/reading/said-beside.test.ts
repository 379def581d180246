import { describe, expect, it } from 'vitest';
import { CONTEXT } from '../../testing/sample';
import { amountsIn } from './amounts';
import { clauseOf } from './clauses';
import { draftLine, linesOfRow, type Apart } from './lines';
import { readRecipe, type Reading } from './read';
import { portionsIn, vesselIn } from './setting';
import { titleOf } from './title';
import { rowsOf } from './rows';

/** What unseen recipes said beside their bowls: how many, in what, how hot, how long, and amounts in other words. */

const PLACE = { under: null, block: 0, start: 0, end: 0 } as const;
const NOTHING_APART: Apart = { yolks: false, whites: false, zest: false, juice: false };
const line = (text: string) => draftLine(text, PLACE, CONTEXT);
const lines = (row: string, apart = NOTHING_APART): readonly string[] =>
  linesOfRow(row, PLACE, CONTEXT, apart).map((l) => `${l.ingredient?.id} ${Math.round(l.grams ?? 0)}`);
const read = (text: string): Reading => {
  const r = readRecipe(text, CONTEXT);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const said = (text: string): readonly string[] => amountsIn(clauseOf(text)).map((a) => a.text);

describe('how many', () => {
  it.each([
    ['For a crowd of 20', 20],
    ['10 moulds x 90 ml', 10],
    ['Makes 6 parfaits', 6],
    ['Layer in 8 (9-oz) cups.', 8],
  ])('%s', (text, many) => expect(portionsIn([text], text)).toEqual({ low: many, high: many }));
  it.each(['Makes about 6 cups, enough for a cake.', 'Makes about 4 cups.', 'Matcha cream (makes 1.2 kg)', 'Fold in 2 cups of the whipped topping.'])(
    '%s',
    (text) => expect(portionsIn([text], text)).toBeNull(),
  );
});

describe('in what', () => {
  it.each([
    ['Press into a 20cm loose bottom tin.', { shape: 'springform', acrossMm: 200 }],
    ['Line a 900 g loaf tin.', { shape: 'terrine', eachMl: 1080 }],
    ['Line a 1kg loaf tin with film.', { shape: 'terrine', eachMl: 1200 }],
    ['Line an 18 cm charlotte ring with ladyfingers.', { shape: 'ring', acrossMm: 180 }],
    // The sponge is baked on that tray, the dessert is in the bowl.
    ['Bake at 180 °C in a 30 x 40 tray for 12 minutes.\nIn a glass bowl: sponge, soak, cream, and again.', { shape: 'bowl' }],
    ['Pour it on a lined tray. Loaf tin lined with cling, freezer overnight.', { shape: 'terrine' }],
    ['Layer lemon mixture in 8 (9-oz) cups.', { shape: 'glass', count: 8 }],
  ])('%s', (text, vessel) => expect(vesselIn(text)).toMatchObject(vessel));
  it.each(['Add two glasses of white wine and whisk.', 'Sprinkle the gelatin over the water in a small dish.'])('%s', (text) =>
    expect(vesselIn(text)).toBeNull(),
  );
});

describe('what lies in something', () => {
  it('is that thing, and no spirit', () => {
    expect(lines('390 g jar cherries in kirsch')).toEqual(['cherry-in-spirit 390']);
    expect(lines('100 g prunes in armagnac')).toEqual(['prune-in-spirit 100']);
    expect(lines('50 g rum-soaked raisins')).toEqual(['raisin-in-rum 50']);
    expect(line('100 g cherries in kirsch').ingredient?.composition.ethanol).toBeGreaterThan(5);
  });
  it('is asked about where the larder does not know what it lies in; how it is cut is no question', () => {
    const pears = line('200 g pears in red wine');
    expect(pears.ingredient?.id).toBe('pear');
    expect(pears.confidence).toBeLessThan(0.85);
    expect(line('150 g butter in cubes').confidence).toBeGreaterThanOrEqual(0.85);
  });
});

describe('amounts in other words', () => {
  it.each([
    ['4 cups espresso, cooled (about 300 ml in all)', ['coffee-espresso 304']],
    ['2 glasses of white wine', ['wine-white-dry 139']],
    ['1 tbsp key lime zest', ['lime-zest 6']],
    ['1 tsp clear vanilla', ['vanilla-extract 5']],
    ['2 cups frozen whipped topping, thawed', ['plant-topping-sweet 150']],
  ])('%s', (row, of) => expect(lines(row)).toEqual(of));
  it('eggs very fresh, yolks and whites apart', () => {
    expect(lines('6 eggs very fresh, yolks and whites apart', { ...NOTHING_APART, yolks: true, whites: true })).toEqual(['egg-yolk 102', 'egg-white 198']);
  });
  it('eggs stay whole where the list has yolks and whites of its own', () => {
    const r = read(
      'Cake\n\nCurd\n3 eggs\n3 yolks\n100 g sugar\n100 ml lemon juice\n\nMeringue\n3 egg whites\n150 g sugar\n\nCook the eggs, yolks, sugar and juice to 82 °C. Whisk the whites with the sugar until stiff.',
    );
    expect(r.lines.filter((l) => /egg-whole/.test(l.draft.ingredient?.id ?? '')).map((l) => Math.round(l.draft.grams!))).toEqual([150]);
  });
  it('told: of what was named, in bare grams, and more of it', () => {
    expect(said('For the strawberries, 300g hulled and quartered with a spoon of icing sugar')[0]).toBe('300g of strawberries');
    expect(said('melt another 60g of the spread')).toEqual(['another 60g of the spread']);
    expect(said('24 ladyfingers (about 150 g), and more')).toEqual(['150 g ladyfingers']);
    expect(said('Put a sprig of rosemary in each')).toEqual(['a sprig of rosemary']);
  });
  it('the other 150 of what was named is its rest', () => {
    const r = read(
      'Take 300 grams of cream and heat 150 of it with 20 grams of glucose. Pour that over 180 grams of white chocolate. Then blend in the other 150 of cream, cold.',
    );
    expect(r.lines.filter((l) => l.draft.role === 'cream').map((l) => Math.round(l.draft.grams!))).toEqual([150, 150]);
  });
  it('a sauce of some of them, the rest whole', () => {
    const r = read(
      'Mess\n\n1.5kg strawberries\n100g icing sugar\n1 litre whipping cream\n\nHull the strawberries. Blitz 500g of them with half the icing sugar. Quarter the rest.\nWhip the cream with the rest of the icing sugar and fold in the strawberries.',
    );
    expect(r.lines.filter((l) => l.draft.ingredient?.id === 'strawberry').map((l) => Math.round(l.draft.grams!))).toEqual([500, 1000]);
    expect(r.parts.find((p) => p.kind === 'fruit-base')).toBeDefined();
  });
});

describe('base ingredients by the names of four kitchens', () => {
  it.each([
    ['lait', 'milk-whole'],
    ['crème 35 %', 'cream-35'],
    ['sucre', 'sugar-caster'],
    ['jaunes', 'egg-yolk'],
    ['oeufs', 'egg-whole'],
    ['beurre', 'butter-82'],
    ['chocolat blanc', 'chocolate-white'],
    ['purée framboise', 'raspberry-puree'],
    ['panna', 'cream-35'],
    ['tuorli', 'egg-yolk'],
    ['zucchero', 'sugar-caster'],
    ['burro', 'butter-82'],
    ['yemas', 'egg-yolk'],
    ['mantequilla', 'butter-82'],
    ['sahne', 'cream-35'],
    ['eigelb', 'egg-yolk'],
    ['puderzucker', 'icing-sugar-starch'],
    ['mehl', 'wheat-flour'],
  ])('%s is %s', (name, id) => {
    expect(line(`100 g ${name}`)).toMatchObject({ ingredient: { id }, confidence: 1 });
  });
  it('English words of a kitchen stay what they are', () => {
    expect(line('2 tbsp framboise').ingredient?.id).toBe('fruit-brandy-40');
    expect(line('2 tbsp eau de vie').ingredient?.id).not.toBe('water');
  });
});

describe('times, degrees and order', () => {
  const steps = (text: string) =>
    read(text).steps.map((s) => [s.work, s.minutes?.join('–') ?? '', s.temperature ? `${s.temperature.c} ${s.temperature.of}` : '']);
  it('an oven told in a word, and what then bakes on at another heat', () => {
    expect(
      steps(
        'Roulade\n\n5 egg whites\n275 g caster sugar\n\nOven 180 fan. Line a tin.\nWhisk the whites stiff with the sugar. Spread in the tin. Bake 8 min then down to 140 for 20 more.',
      ),
    ).toEqual(
      expect.arrayContaining([
        ['hands', '', '180 oven'],
        ['bake', '8–8', ''],
        ['bake', '20–20', '140 oven'],
      ]),
    );
  });
  it('for each list its own degrees, one after the other', () => {
    const r = read(
      'Mousses\n\nLayer 1 (dark)\n150 g dark chocolate\n250 g cream\nLayer 2 (white)\n150 g white chocolate\n220 g cream\n\nFor each layer: heat a third of the cream to 70 °C and pour on the chocolate. Cool to 35 °C (dark), 30 °C (white). Whip the rest of the cream and fold in.',
    );
    expect(r.steps.filter((s) => s.work === 'wait').map((s) => s.temperature?.c)).toEqual([35, 30]);
    expect(r.parts.filter((p) => p.kind === 'set-filling')).toHaveLength(2);
    expect(r.parts.map((p) => p.name)).toEqual(expect.arrayContaining(['Dark', 'White']));
  });
  it('what it keeps is no step; what is strewn and eaten at once is one', () => {
    expect(
      read('Frosting\n\n300 ml cream\n30 g sugar\n\nWhip the cream with the sugar until stiff. Use right away or refrigerate up to 2 days.').steps,
    ).toHaveLength(1);
    expect(
      read(
        'Meringues\n\n4 egg whites\n200 g sugar\n1 pomegranate\n\nWhisk the whites with the sugar. Scatter with pomegranate and eat within 2 hours.',
      ).steps.at(-1)?.work,
    ).not.toBe('whisk');
  });
  it('rows that are counted without a full stop, also where one has no verb', () => {
    const r = read(
      'Parfait\n10 moulds x 90 ml\n\nyolks  160 g\nsugar  140 g\nwater  45 g\ncream 35 %  450 g\n\n1  Sugar + water to 118 °C.\n2  Pour on yolks, whipping; whip to 25 °C.\n3  Whip cream to soft peaks, fold in.\n4  Fill moulds; -30 °C 2 h.',
    );
    expect(r.lines).toHaveLength(4);
    expect(r.steps.map((s) => s.work)).toEqual(['heat', 'hands', 'whisk', 'whisk', 'fold', 'fill', 'freeze']);
  });
});

describe('bowls by their words', () => {
  const kinds = (text: string) => read(text).parts.map((p) => p.kind);
  it('yolks over simmering water until mousse-like are a foam, also with fruit in it', () => {
    const of = kinds(
      'Ice\n\n4 egg yolks\n80 g sugar\n200 g peach purée\n\nPut the yolks and the sugar in a bowl over a pan of simmering water and whisk for 6 minutes until thick and mousse-like. Stir in the peach purée.',
    );
    expect(of).toContain('egg-foam');
    expect(of).not.toContain('custard');
  });
  it('butter beaten up with a custard is a buttercream; with less of it a cream', () => {
    const cream = (butter: number) =>
      kinds(
        `Cream\n\n500 g milk\n100 g egg yolks\n120 g sugar\n45 g cornflour\n${butter} g butter\n\nHeat the milk. Whisk the yolks, sugar and cornflour, pour on the milk and cook until thick. Cool. Beat the butter until white. Beat in the custard a spoonful at a time.`,
      );
    expect(cream(400)).toContain('buttercream');
    expect(cream(150)).not.toContain('buttercream');
  });
  it('a syrup that spins a thread goes into the yolks that are beaten', () => {
    const r = read(
      'Boil a cup of sugar with half a cup of water until it spins a thread. Beat the yolks of four eggs very light and pour the syrup over them slowly.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['egg-foam']);
    expect(r.lines).toHaveLength(3);
  });
  it('milks poured over a cake are its soak', () => {
    expect(
      kinds(
        'Cake\n\nMilks: 1 can evaporated milk (354 ml), 1 can condensed milk (397 g), 1/2 cup heavy cream\n1 sponge cake (600 g)\n\nStir the three milks together and pour over the sponge.',
      ),
    ).toContain('soak');
  });
  it('a heading that is no name names nothing', () => {
    const r = read(
      'Mess\n\nFor the meringues\n4 egg whites\n200 g sugar\n\nFor the rest\n500 g strawberries\n300 ml cream\n\nWhisk the whites with the sugar, bake 1 hour. Hull the strawberries; quarter the rest. Whip the cream and fold in the strawberries.',
    );
    expect(r.parts.map((p) => p.name)).not.toContain('Rest');
  });
});

it('a name that a dash ends is the title', () => {
  const rows = rowsOf('Right so panna cotta — well it’s more a buttermilk one. You soak 3 leaves of gelatine.', () => false);
  expect(rows.ok && titleOf(rows.value, 'Right so panna cotta — well it’s more a buttermilk one.')).toBe('Panna cotta');
});
