import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CONTEXT } from '../../testing/sample';
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
    const own = r.lines.filter((l) => l.part === p.id).map((l) => `${l.draft.ingredient?.id ?? '?'} ${Math.round(l.draft.grams ?? 0)}`).sort();
    const takes = p.takes.map((t) => kind(t.part)).sort();
    return `${p.kind}: ${own.join(', ')}${takes.length > 0 ? ` <- ${takes.join(', ')}` : ''}`;
  });
}

/** Recipes that the reader had not seen when it was written: their bowls were set down by hand, then the reader was mended by meaning. */
const TOLD: readonly (readonly [string, string, readonly string[]])[] = [
  [
    "two foams, told in one paragraph",
    `Prune & armagnac mousse with two foams

Whisk 4 yolks with 80 g sugar over steam to 75 C, then off the heat until cold. Whip 300 ml cream to soft peaks. Whisk the cream and the egg foam together until smooth, adding 150 g prune puree and 2 tbsp armagnac. Pour in glasses, chill 4 h.`,
    [
      'egg-foam: egg-yolk 68, sugar-caster 80',
      'whipped-cream: cream-35 303',
      'set-filling: ? 0, prune 150 <- egg-foam, whipped-cream',
    ],
  ],
  [
    "US-spelt cake with a fan oven and a cream of its own",
    `Coconut daquoise slice

For the dacquoise
4 egg whites
100 g caster sugar
100 g desiccated coconut
50 g icing sugar

For the cream
300 ml whipping cream
200 g mascarpone
2 limes, zest
50 g icing sugar

Heat the oven to 160C fan. Line a swiss roll tin. Whisk the egg whites to soft peaks, add the caster sugar a spoonful at a time and whisk to stiff peaks. Fold in the coconut and icing sugar. Spread in the tin and bake for 25 minutes. Leave to cool, then cut in three strips.
For the cream, beat the mascarpone with the icing sugar and zest, add the cream and whisk until it just holds its shape.
Sandwich the strips with the cream, finishing with cream. Chill for 2 hours before slicing.`,
    [
      'meringue: coconut-desiccated 100, egg-white 132, icing-sugar-starch 50, sugar-caster 100',
      'cheese-cream: cream-35 303, icing-sugar-starch 50, lime-zest 6, mascarpone 200',
    ],
  ],
  [
    "a chef’s list without measures, its steps counted in one row",
    `EGGNOG PANNA-MOUSSE (8 verrines)
milk 250
cream 35% 250 + 300 whipped
yolks 80
sugar 90
gelatin 8 (leaves, bloomed)
rum 40
nutmeg
1. bloom gelatin. 2. anglaise w/ milk, 250 cream, yolks, sugar to 83C. 3. add gelatin, strain. 4. cool to 25C, add rum + nutmeg. 5. fold in whipped 300 cream. 6. fill verrines, set 4h 4C.`,
    [
      'whipped-cream: cream-35 300',
      'custard: cream-35 250, egg-yolk 80, gelatin-leaf-gold 8, milk-whole 250, nutmeg-ground 0, rum-40 40, sugar-caster 90',
      'set-filling:  <- custard, whipped-cream',
    ],
  ],
  [
    "US pie, its lists in rows",
    `Peanut butter pie
Serves 10

Crust: 25 chocolate sandwich cookies, crushed; 5 tablespoons butter, melted.
Filling: 8 ounces cream cheese, softened; 1 cup creamy peanut butter; 1 cup powdered sugar; 1 1/2 cups heavy whipping cream; 1 teaspoon vanilla.
Topping: 1/2 cup heavy cream, whipped; chopped peanuts.

Mix crust ingredients and press into a 9" pie dish. Freeze 10 minutes.
Beat cream cheese, peanut butter, sugar and vanilla until smooth. In another bowl whip the cream to stiff peaks; fold into the peanut butter mixture in two additions. Spoon into crust. Refrigerate at least 6 hours or overnight. Top with whipped cream and peanuts.`,
    [
      'whipped-cream: cream-36 119',
      'pressed-base: butter-82 71, chocolate-sandwich 275',
      'set-filling: cream-cheese-block 227, icing-sugar-starch 120, peanut-butter 258, vanilla-extract 5 <- whipped-cream',
      'whipped-cream: cream-36 358',
      'topping: peanut 0',
    ],
  ],
  [
    "a charlotte, told",
    `Strawberry charlotte russe — the way I do it

Line a charlotte mould with about 20 sponge fingers, rounded side out. Puree 400 g strawberries with 100 g icing sugar and the juice of half a lemon. Soak 5 leaves of gelatine, melt them in a little of the puree, stir back into the rest. When it starts to set fold in 400 ml of double cream, whipped just to ribbons. Pour into the mould, cover with more sponge fingers and let it set overnight. Dip the mould in hot water and turn it out; decorate with 100 ml of whipped cream and a few strawberries.`,
    [
      'biscuit-layer: ladyfinger 160',
      'fruit-base: gelatin-leaf-gold 10, icing-sugar-starch 100, lemon-juice 23, strawberry 400',
      'whipped-cream: cream-48 400',
      'set-filling:  <- fruit-base, whipped-cream',
      'topping: cream-35 101',
    ],
  ],
  [
    "a sponge, a fool, a finish",
    `Blackcurrant fool cake

For the sponge base: 3 eggs, 90 g caster sugar, 90 g plain flour.
For the fool: 400 g blackcurrants, 120 g sugar, 4 sheets gelatine, 450 ml double cream, 200 g thick yogurt.
To finish: 100 ml double cream and a handful of blackcurrants.

Whisk eggs and sugar for 8 min until thick. Sift over the flour and fold in. Bake in a 23cm tin at 180°C for 20 min. Cool.
Soften gelatine in cold water. Simmer the blackcurrants with the sugar for 5 min, push through a sieve. Stir the squeezed gelatine into the hot purée. Cool to room temperature. Stir in the yogurt. Whip cream to soft peaks, fold through. Put the sponge back in the cleaned tin, pour over the fool and chill at least 4 hrs. Whip the last of the cream, pipe rosettes round the edge and scatter with berries.`,
    [
      'biscuit-layer: egg-whole 150, sugar-caster 90, wheat-flour 90',
      'set-filling: blackcurrant 400, gelatin-leaf-gold 8, greek-yoghurt-10 200, sugar-caster 120',
      'whipped-cream: cream-48 450',
      'set-filling:  <- set-filling, whipped-cream',
      'whipped-cream: cream-48 100',
      'topping: blackcurrant 40',
    ],
  ],
  [
    "as an aunt tells it",
    `Dulce de leche icebox pie, as told by my aunt

You take a sleeve of graham crackers and smash 'em up, stir in a stick of melted butter and pat it in a nine inch pie plate. Bake that ten minutes at 350. While it cools beat a block of cream cheese with a can of dulce de leche, 13.4 ounces, till there's no lumps. Whip a cup and a half of heavy cream good and stiff, fold it in, pile it into the crust, and stick it in the icebox till tomorrow. Before you serve it, whip another half cup of cream with a spoon of sugar and dollop it on.`,
    [
      'pressed-base: butter-82 113, graham-rectangle 400',
      'set-filling: ? 0, cream-cheese-block 227 <- whipped-cream',
      'whipped-cream: cream-36 358',
      'whipped-cream: cream-35 119, sugar-caster 0',
    ],
  ],
  [
    "layers that are numbered",
    `Mocha cream torte
8 inch, 10 slices

Layer 1 - base
180g speculoos
70g butter

Layer 2 - mocha
2 tsp instant espresso
150g dark choc
50ml hot milk
400ml cream

Layer 3 - vanilla
3g gelatine powder
15ml water
300ml cream
40g icing sugar
1 tsp vanilla

Blitz speculoos, add melted butter, press, chill.
Dissolve espresso in hot milk, pour on choc, stir smooth, cool. Whip 400ml cream soft, fold in. Spread, chill 1h.
Bloom gelatine in water 5 min, melt in microwave. Whip cream, sugar & vanilla till it starts to thicken, drizzle in gelatine, whip to medium. Spread on top, level, chill 4h.
Dust with cocoa.`,
    [
      'pressed-base: butter-82 70, speculaas-rectangle 180',
      'set-filling: chocolate-dark-64 150, espresso-powder 3, milk-whole 52 <- whipped-cream',
      'whipped-cream: cream-35 404',
      'whipped-cream: cream-35 303, gelatin-powder-225 3, icing-sugar-starch 40, vanilla-extract 5, water 15',
    ],
  ],
  [
    "bought nests",
    `Chestnut cream in meringue cases

Ingredients (for six)
6 meringue nests (bought)
250g tin sweetened chestnut purée
300ml whipping cream
1 tbsp dark rum
25g plain chocolate

Method: Beat the chestnut purée with the rum until loose. Whip the cream until it just holds, fold half of it into the purée and spoon into the nests. Pipe the rest of the cream on top & grate the chocolate over. Serve within the hour.`,
    [
      'set-filling: chestnut-puree 250, rum-40 14 <- whipped-cream',
      'whipped-cream: cream-35 303',
      'biscuit-layer: meringue-shell 84',
      'topping: chocolate-dark-55 25',
    ],
  ],

  [
    "an icebox log for a crowd, in numbered steps",
    `Gingerbread icebox log for a crowd
Yield: 2 loaves (about 20 slices)

• 1 quart heavy whipping cream
• 1/2 c. confectioners sugar
• 2 tsp. ground ginger
• 1 tsp vanilla
• 2 (9 oz) boxes thin ginger cookies
• Candied ginger, for garnish

Directions
1) Using a stand mixer fitted with the whisk, beat the cream on medium-high until it begins to thicken, about 2 minutes. Add sugar, ground ginger and vanilla; keep beating to stiff peaks, 1-2 minutes longer.
2) Spread about a tablespoon of cream on each cookie and stack into logs, lay the logs side by side in two plastic-lined loaf pans.
3) Cover with the remaining cream. Refrigerate overnight (at least 8 hrs).
4) Invert, peel off plastic, scatter candied ginger over. Slice on the diagonal.`,
    [
      'whipped-cream: cream-36 955, ginger-ground 4, icing-sugar-starch 60, vanilla-extract 5',
      'biscuit-layer: ginger-thin 510',
      'topping: ginger-stem 1',
    ],
  ],
  [
    "a fruit semifreddo with sugar said twice",
    `Apricot & amaretti semifreddo

300 g apricots (stoned weight)
2 tbsp apricot brandy
100 g sugar, plus 50 g
3 egg whites
284 ml carton double cream
100 g amaretti

Poach the apricots with the 50 g sugar and a splash of water 10 minutes, blitz, cool, stir in the brandy.
Whisk the whites stiff, then whisk in the 100 g sugar a spoonful at a time.
Whip the cream softly. Fold the purée into the cream, then the meringue. Crush in the amaretti.
Freeze in a lined 1 kg loaf tin for at least 6 hours. 20 min in the fridge before serving.`,
    [
      'fruit-base: ? 0, apricot 300, sugar-caster 50',
      'egg-foam: egg-white 99, sugar-caster 100',
      'whipped-cream: cream-48 284',
      'set-filling: amaretti 100 <- egg-foam, fruit-base, whipped-cream',
    ],
  ],
  [
    "cups, in three rows and a hurry",
    `White Choc Cheesecake Cups - makes 8
BASE: 150g oaty biscuits, 60g butter melted
MIX: 250g white chocolate, 300g full fat soft cheese, 250ml double cream, 1tsp vanilla
TOP: 150g raspberries, 2 tbsp jam

Crush bics + butter, divide between 8 glasses. Melt choc over simmering water, cool slightly. Beat cheese + vanilla, beat in choc. Softly whip cream & fold in. Spoon over bases. Chill 2h min. Warm jam, toss with rasps, spoon on top before serving.`,
    [
      'pressed-base: ? 150, butter-82 60',
      'chocolate-base: chocolate-white 250',
      'set-filling: soft-cheese-tub 300, vanilla-extract 5 <- chocolate-base, whipped-cream',
      'whipped-cream: cream-48 250',
      'fruit-base: jam 41, raspberry 150',
    ],
  ],
];

describe('recipes as others write and tell them', () => {
  it.each(TOLD)('%s', (_, text, expected) => expect(bowls(read(text))).toEqual(expected));
  it('foams that stand are only brought together: no clock runs for them', () => {
    const r = read(TOLD[0]![1]);
    expect(r.steps.find((s) => /together/.test(s.text))!.work).toBe('fold');
  });
  it('steps that are counted in one row are steps of their own', () => {
    expect(read(TOLD[2]![1]).steps.map((s) => s.work)).toEqual(['soak', 'heat', 'hands', 'hands', 'wait', 'hands', 'fold', 'fill', 'chill']);
  });
  it('a list that says no measure is in grams, eggs stay eggs', () => {
    const r = read('Cream base\n\nmilk 500\ncream 250\neggs 3\nsugar 90\nsalt 2\n\nMix all.');
    expect(r.lines.map((l) => [l.draft.ingredient!.id, Math.round(l.draft.grams!)])).toEqual([['milk-whole', 500], ['cream-35', 250], ['egg-whole', 150], ['sugar-caster', 90], ['salt', 2]]);
    // A measure anywhere: the numbers are not of grams.
    expect(read('Cream base\n\nmilk 500\ncream 250 ml\neggs 3\nsugar 90\nsalt 2\n\nMix all.').lines.filter((l) => l.draft.fault !== '').length).toBeGreaterThan(0);
  });
  it('flour over the foam of eggs, baked, is a sponge; with nuts the whites are still a shell', () => {
    const sponge = (fold: string) => bowls(read(`Cake\n\n3 eggs\n90 g caster sugar\n90 g plain flour\n\nWhisk eggs and sugar for 8 min until thick. ${fold} Bake in a 23cm tin at 180°C for 20 min.`));
    const whole = ['biscuit-layer: egg-whole 150, sugar-caster 90, wheat-flour 90'];
    expect(sponge('Sift over the flour and fold in.')).toEqual(whole);
    expect(sponge('Fold in the flour.')).toEqual(whole);
  });
  it('milk poured on without a word for it goes onto the eggs that wait', () => {
    const custard = ['custard: corn-starch 30, egg-yolk 85, milk-whole 517, sugar-caster 80'];
    for (const how of ['pour on', 'pour on slowly', 'pour the milk on']) expect(bowls(read(`Heat 500 ml milk, whisk 5 egg yolks with 80 g sugar and 30 g cornflour, ${how} and cook until thick. Chill.`)), how).toEqual(custard);
  });
  it('the rest of a cream is another line of it where the first is used up', () => {
    const r = read('Pots\n\n200 g dark chocolate\n400 ml cream\n150 ml cream for the top\n\nMelt the chocolate. Whip the 400 ml cream and fold it in. Spoon into glasses. Chill for 1 hour. Whip the remaining cream and pipe it on top.');
    expect(bowls(r)).toEqual(['chocolate-base: chocolate-dark-64 200', 'whipped-cream: cream-35 404', 'set-filling:  <- chocolate-base, whipped-cream', 'whipped-cream: cream-35 152']);
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
    const placed = r.steps.flatMap((x) => (x.work === 'fill' && x.places.length > 0 ? [x.places.map((id) => r.parts.find((p) => p.id === id)!.kind).join('+')] : []));
    expect(placed).toEqual(['biscuit-layer', 'biscuit-layer', 'fruit-base', 'custard+fruit-base', 'whipped-cream+custard']);
    expect(r.steps.find((x) => x.text.includes('shallow tray'))!.work).toBe('hands');
  });
  it('half sentences without a verb: what goes in goes in', () => {
    const syllabub = read(`Syllabub
Wine and lemon overnight with the sugar - 150 ml wine, 1 lemon, 75 g caster. Next day strain. Cream in, 300 ml double, slowly, whisking all the while. Soft peaks, no more. Glasses. Fridge.`);
    expect(bowls(syllabub)).toEqual(['whipped-cream: cream-48 300, lemon-whole 50, sugar-caster 75, wine-red 149']);
    expect(syllabub.steps.map((s) => s.work)).toEqual(['chill', 'hands', 'whisk', 'chill']);
    const told = read(`Syllabub, my grandmother's. Wineglass of sherry, the juice of a lemon, two ounces of sugar, stand overnight. Then half a pint of double cream, into that, pinch of nutmeg. Whisk till it just holds.`);
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
    const r = read('Nests\n\n4 egg whites\n240 g caster sugar\n200 ml double cream\n\nWhisk the whites with the sugar until stiff. Pipe nests. Bake at 100 °C for 2 hours. Whip the cream and fill the nests.');
    const last = r.steps.at(-1)!;
    expect(last.places).toHaveLength(2);
    expect(last.after).toContain(r.steps.length - 2);
  });
});
