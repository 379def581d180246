import { describe, expect, it } from 'vitest';
import { CONTEXT } from '../../testing/sample';
import { readRecipe, type Reading } from './read';

const read = (...rows: string[]): Reading => {
  const r = readRecipe(rows.join('\n'), CONTEXT);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
/** 'kind: ingredient grams, … <- kind': what stands in which bowl. */
const bowls = (r: Reading): readonly string[] => {
  const kind = (id: string): string => r.parts.find((p) => p.id === id)!.kind;
  return r.parts.map((p) => {
    const own = r.lines
      .filter((l) => l.part === p.id)
      .map((l) => `${l.draft.ingredient?.id ?? '?'} ${Math.round(l.draft.grams ?? 0)}`)
      .sort();
    const takes = p.takes.map((t) => kind(t.part)).sort();
    return `${p.kind}: ${own.join(', ')}${takes.length > 0 ? ` <- ${takes.join(', ')}` : ''}`;
  });
};
const works = (r: Reading): readonly string[] =>
  r.steps.map((s) => `${s.work}${s.minutes ? ` ${s.minutes.join('–')}` : ''}${s.temperature ? ` ${Math.round(s.temperature.c)} ${s.temperature.of}` : ''}`);
/** At which step each ingredient stands, from 1. */
const at = (r: Reading): Readonly<Record<string, number | null>> =>
  Object.fromEntries(r.lines.map((l) => [l.draft.ingredient?.id ?? '?', l.step === null ? null : l.step + 1]));

describe('the name of a recipe', () => {
  it.each(['3-ingredient cream', 'Tiramisu for 12', 'Cream 36', 'Two part test', '5 minute mousse', 'Grandma’s 1950 mousse'])('%s', (name) => {
    const r = read(name, '', '200 g cream', '', 'Whip the cream.');
    expect(r.title).toBe(name);
    expect(bowls(r)).toEqual(['whipped-cream: cream-35 200']);
  });
});

describe('a list', () => {
  it('that begins at once stands under its own name where another has one, and takes of it', () => {
    const r = read('Whipped cream', '200 g cream', '', 'Filling', 'all of the whipped cream', '200 g mascarpone');
    expect(bowls(r)).toEqual(['whipped-cream: cream-35 200', 'set-filling: mascarpone 200 <- whipped-cream']);
    expect(r.unread).toEqual([]);
  });
  it('keeps a thing without an amount as a line in doubt, not as a heading nor as a note', () => {
    const r = read('Cake', 'zest of one lemon', '200 g cream', '', 'vanilla pod, seeds', '100 g sugar', '', 'yellow food coloring', '100 g butter');
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toEqual(['lemon-zest', 'cream-35', 'vanilla-pod', 'sugar-caster', 'food-colour-liquid', 'butter-82']);
    expect(r.unread).toEqual([]);
    expect(r.doubts.map((d) => d.line)).toEqual([2, 4]);
  });
  it('is named by what stands at the margin above it, though the larder has a thing of that name', () => {
    const r = read(
      'Terrine',
      '',
      'Pistachio cream',
      '  100 g pistachio paste',
      '  300 g cream',
      'Meringue',
      '  60 g egg whites',
      '  90 g caster sugar',
      '',
      'Whip the cream with the paste. Whisk the whites and sugar stiff.',
    );
    expect(r.parts.map((p) => p.name)).toEqual(['Pistachio cream', 'Meringue']);
    expect(r.lines).toHaveLength(4);
    // Not set in, it is a thing of the list like the others.
    const flat = read('Terrine', '', '100 g pistachio paste', 'Pistachio cream', '300 g cream', '', 'Whip the cream with the paste.');
    expect(flat.parts.map((p) => p.name)).not.toContain('Pistachio cream');
  });
  it('of a table is parted by the letters of its steps, and by no words that stand there', () => {
    const table = (a: string, b: string): Reading =>
      read(
        'Cups',
        '',
        '| Item | Qty | Step |',
        '|---|---|---|',
        `| Cream | 300 g | ${a} |`,
        `| Icing sugar | 30 g | ${a} |`,
        `| Mascarpone | 200 g | ${b} |`,
        '',
        'A: whip soft.',
        'B: fold into A.',
      );
    // As if the cream were named.
    const named = read(
      'Cups',
      '',
      '300 g cream',
      '30 g icing sugar',
      '200 g mascarpone',
      '',
      'Whip the cream and sugar soft.',
      'Fold the mascarpone into the cream.',
    );
    expect(bowls(table('A', 'B'))).toEqual(bowls(named));
    expect(
      table('whip it', 'fold it')
        .parts.map((p) => p.name)
        .join(' '),
    ).not.toMatch(/whip it|fold it/i);
    expect(table('whip it', 'fold it').lines.map((l) => l.draft.ingredient?.id)).toEqual(['cream-35', 'icing-sugar-starch', 'mascarpone']);
    expect(table('whip it', 'fold it').unread).toEqual([]);
  });
  it('has no line of the names of its columns', () => {
    const r = read(
      'Cream',
      '',
      '| | 1 batch | x2 |',
      '|---|---|---|',
      '| Cream | 300 g | 600 g |',
      '| Icing sugar | 30 g | 60 g |',
      '',
      'Whip the cream with the sugar.',
    );
    expect(r.lines.map((l) => [l.draft.ingredient?.id, l.draft.grams])).toEqual([
      ['cream-35', 300],
      ['icing-sugar-starch', 30],
    ]);
  });
  it.each([
    ['225 g / 8 oz caster sugar', 225],
    ['300 ml / 1/2 pint double cream', 300],
    ['300 ml / ½ pint double cream', 300],
    ['2 oz / 57 g butter', 57],
  ])('says one amount in two systems: %s', (line, grams) => {
    const r = read('Cream', '', line, '', 'Whip it.');
    expect(r.lines.map((l) => Math.round(l.draft.grams!))).toEqual([grams]);
    expect(r.unread).toEqual([]);
  });
  it('names the fruit of a juice in the row before it, and the juice that was measured', () => {
    const r = read('Cheesecake', '', 'Zest of 3 limes', 'juice of 2', '500 g cream cheese', '3 lemons, zest and juice (about 120 ml)', '', 'Beat all of it.');
    expect(at(r)).toEqual({ 'lime-zest': 1, 'lime-juice': 1, 'cream-cheese-block': 1, 'lemon-zest': 1, 'lemon-juice': 1 });
    expect(r.lines.find((l) => l.draft.ingredient?.id === 'lemon-juice')!.draft.grams).toBeCloseTo(123.6, 0);
    // Where no fruit was named before, none is guessed.
    expect(read('Cream', '', '300 g cream', 'juice of 2', '', 'Whip.').lines.some((l) => /lime|lemon/.test(l.draft.ingredient?.id ?? ''))).toBe(false);
  });
  it('of berries under a blank row is no part of the cream', () => {
    const r = read(
      'Cream',
      '1 cup heavy cream',
      '1/3 cup sugar',
      '',
      '12 oz blackberries',
      '',
      'Whip the cream with the sugar.',
      'Spread the cream, top with the blackberries.',
    );
    expect(bowls(r)).toEqual(['whipped-cream: cream-36 239, sugar-caster 67', 'topping: blackberry 340']);
  });
});

describe('the bowls of a flat list', () => {
  it('are those that the steps make; eggs that no step names are in what was mixed, in doubt', () => {
    const r = read('100 g dark chocolate', '50 g butter', '3 eggs', '100 ml cream', '', 'Melt the chocolate and butter.', 'Whip the cream.', 'Fold together.');
    expect(bowls(r)).toEqual([
      'chocolate-base: butter-82 50, chocolate-dark-64 100',
      'whipped-cream: cream-35 101',
      'set-filling: egg-whole 150 <- chocolate-base, whipped-cream',
    ]);
    expect(r.doubts.map((d) => d.says)).toEqual(['no step names it']);
  });
  it('told in one sentence', () => {
    const r = read('Whip a cup and a half of cream with a quarter cup of sugar until stiff, fold in 8 ounces of mascarpone and chill for an hour.');
    expect(bowls(r)).toEqual(['whipped-cream: cream-35 358, sugar-caster 50', 'set-filling: mascarpone 227 <- whipped-cream']);
    expect(works(r)).toEqual(['whisk', 'fold', 'chill 60–60']);
  });
  it('with headings in the method only: they name what is made under them', () => {
    const r = read(
      'Mousse cake',
      '',
      'Ingredients',
      '200 g cream',
      '100 g chocolate',
      '100 g digestive biscuits',
      '50 g butter',
      '',
      'Method',
      'Base',
      'Crush the biscuits, mix with the butter.',
      'Mousse',
      'Melt the chocolate. Whip the cream and fold it in.',
    );
    expect(r.parts.map((p) => p.name)).toEqual(['Base', 'Chocolate', 'Whipped cream', 'Mousse']);
    expect(r.unread).toEqual([]);
  });
  it.each([
    ['Whip.', 'whipped-cream: cream-36 239, sugar-caster 25'],
    ['Whip until stiff.', 'whipped-cream: cream-36 239, sugar-caster 25'],
    ['Put all the ingredients into the cold bowl. Whip.', 'whipped-cream: cream-36 239, sugar-caster 25'],
  ])('“%s” works on all that waits', (method, right) => expect(bowls(read('Pie', '1 cup heavy cream', '2 tbsp caster sugar', '', method))).toEqual([right]));
  it('“Whip.” leaves what another sentence names, and what is not whipped', () => {
    const r = read('Pie', '200 g cream 36 %', '20 g caster sugar', '100 g ladyfingers', '50 g raspberries', '', 'Whip.', 'Top with the raspberries.');
    expect(at(r)).toMatchObject({ 'cream-36': 1, 'sugar-caster': 1, raspberry: 2 });
    expect(bowls(r)[0]).toBe('whipped-cream: cream-36 200, sugar-caster 20');
  });
});

describe('a custard', () => {
  const LIST = [
    'Trifle',
    '',
    'Custard',
    '500 g whole milk',
    '4 egg yolks',
    '100 g sugar',
    '1 tsp vanilla extract',
    '',
    'Cream',
    '300 g heavy cream',
    '30 g sugar',
    '1 tsp vanilla extract',
    '',
  ];
  it.each([
    [['Heat the milk with the vanilla.', 'Whisk the yolks with the sugar.', 'Cook together to 82 °C and chill.']],
    [['Whisk the yolks with the sugar, cook with the milk and the vanilla to a custard and chill.']],
    [['Heat the milk with the vanilla. Whisk the yolks with the sugar. Pour the hot milk over the yolks, return to the pan and cook until thick. Chill.']],
    [['Heat the milk with the vanilla, whisk the yolks with the sugar, pour the milk on, back in the pan and cook it till it coats the spoon. Chill.']],
  ])('is one bowl: %j', (steps) => {
    const r = read(...LIST, ...steps, 'Whip the cream with the sugar and vanilla.', 'Layer.');
    expect(bowls(r)).toEqual([
      'custard: egg-yolk 68, milk-whole 500, sugar-caster 100, vanilla-extract 5',
      'whipped-cream: cream-36 300, sugar-caster 30, vanilla-extract 5',
    ]);
  });
});

describe('eggs and a boiled syrup', () => {
  it('are a foam by syrup; what is dissolved and added is in it; a list in one row is a list', () => {
    const r = read(
      'Semifreddo al caffè (6 persone)',
      '4 egg yolks, 100 g sugar, 40 g water, 300 g whipping cream, 2 tsp instant coffee, 20 g coffee liqueur',
      'Boil the sugar and water to 118°C. Pour in a thin stream onto the yolks while whisking, and whisk until cold and thick, about 8 minutes. Dissolve the coffee in the liqueur and add. Whip the cream to soft peaks and fold in. Pour into a loaf tin and freeze for at least 6 hours.',
    );
    expect(bowls(r)).toEqual([
      'egg-foam: coffee-instant 2, coffee-liqueur-20 20, egg-yolk 68, sugar-caster 100, water 40',
      'whipped-cream: cream-35 300',
      'set-filling:  <- egg-foam, whipped-cream',
    ]);
    expect(r.parts[0]!.ways).toEqual({ eggs: 'syrup' });
    expect(r.portions).toEqual({ low: 6, high: 6 });
  });
});

describe('cream set by acid', () => {
  it('is no fruit base', () => {
    const r = read(
      'Lime posset',
      'Serves 6-8',
      '600ml double cream',
      '150g caster sugar',
      '3 limes, zest and juice',
      '',
      'Bring the cream and sugar to the boil and simmer for 3 minutes. Take off the heat, whisk in the lime juice and zest. Strain into six small glasses and chill for 4 hours.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['set-filling']);
    expect([r.portions, r.unread]).toEqual([{ low: 6, high: 8 }, []]);
  });
});

describe('a mousse under a mirror', () => {
  const r = read(
    'Mousse: 400 g strawberry puree / 80 g sugar / 12 g gelatine (6 leaves) / 400 g cream 35%',
    'Mirror: 150 g strawberry puree, 30 g sugar, 2 leaves gelatine',
    '',
    'Soak gelatine in cold water. Warm a third of the puree with the sugar, dissolve the squeezed gelatine, add the rest of the puree. When at 25 C fold in the cream whipped to soft peaks. Pour into a 20 cm ring, level and freeze 2 hours. For the mirror warm the puree and sugar, dissolve the gelatine, cool to 30 C and pour on top.',
  );
  it('has its own gelatin in each, cream that was whipped before it is folded, and no step lost for want of a comma', () => {
    expect(bowls(r)).toEqual([
      'fruit-base: gelatin-leaf-gold 12, strawberry-puree 133, strawberry-puree 267, sugar-caster 80',
      'whipped-cream: cream-35 400',
      'set-filling:  <- fruit-base, whipped-cream',
      'fruit-base: gelatin-leaf-gold 4, strawberry-puree 150, sugar-caster 30',
    ]);
    expect(r.parts[1]!.stage).toBe('soft');
    expect(works(r)).toEqual(['soak', 'heat', 'hands', 'hands', 'fold 25 mix', 'fill', 'fill', 'freeze 120–120', 'heat', 'hands', 'wait 30 mix', 'fill']);
  });
});

describe('what is divided', () => {
  it('“the rest” is of what was divided last, also of something that is not named again', () => {
    const r = read(
      'Foam',
      '5 eggs, separated',
      '100 g sugar',
      '200 g cream',
      '',
      'Whisk the yolks with half the sugar. Whisk the whites with the rest. Whip the cream. Fold all together.',
    );
    expect(bowls(r).slice(0, 2)).toEqual(['egg-foam: egg-yolk 85, sugar-caster 50', 'egg-foam: egg-white 165, sugar-caster 50']);
  });
  it('by cups: each step has its own', () => {
    const r = read(
      'Mousse',
      '2 1/4 cups heavy cream, divided',
      '8 oz semi-sweet chocolate',
      '',
      'Warm 1 1/4 cups of the cream until it steams and stir in the chocolate.',
      'Whip the remaining 1 cup of cream to stiff peaks and fold it in.',
    );
    expect(bowls(r)).toEqual([
      'chocolate-base: chocolate-dark-55 227, cream-36 298',
      'whipped-cream: cream-36 239',
      'set-filling:  <- chocolate-base, whipped-cream',
    ]);
    expect(r.parts[1]!.stage).toBe('firm');
  });
  it('both from one fruit', () => {
    const r = read('Zest', '1 orange, zested', '4 lemons, zest and juice', '200 g cream', '', 'Whip the cream with the zest and juice.');
    expect(r.lines.map((l) => `${l.draft.ingredient!.id} ${Math.round(l.draft.grams!)}`)).toEqual(
      expect.arrayContaining(['orange-zest 8', 'lemon-juice 180', 'lemon-zest 20']),
    );
  });
});

describe('by what is done with it, not by its heading', () => {
  it('whites with a little sugar, folded in, are a raw foam', () => {
    const r = read(
      'Mousse',
      '',
      'Whites',
      '4 egg whites',
      '20 g sugar',
      '',
      'Cream',
      '200 g cream',
      '',
      'Whisk the whites with the sugar. Whip the cream. Fold together.',
    );
    expect(bowls(r)).toEqual(['egg-foam: egg-white 132, sugar-caster 20', 'whipped-cream: cream-35 200', 'set-filling:  <- egg-foam, whipped-cream']);
    expect(r.parts[0]!.ways).toEqual({ whites: 'french', eggs: 'raw' });
  });
  it('“Fold.” joins what was made, and a part named like its ingredient is plain lines', () => {
    const r = read(
      'Cake',
      '',
      'Cream',
      '200 g cream',
      '',
      'Egg whites',
      '5 egg whites',
      '40 g sugar',
      '',
      'Whip the cream. Whisk the egg whites with the sugar. Fold.',
    );
    expect(bowls(r)).toEqual(['whipped-cream: cream-35 200', 'egg-foam: egg-white 165, sugar-caster 40', 'set-filling:  <- egg-foam, whipped-cream']);
  });
  it('a chocolate base is no crust, a Swiss buttercream no shell, strewn berries are not cooked', () => {
    const r = read(
      'Cake',
      '',
      'Chocolate base',
      '100 g chocolate',
      '3 egg yolks',
      '',
      'Swiss meringue buttercream',
      '4 egg whites',
      '200 g sugar',
      '300 g butter',
      '',
      'To assemble',
      '300 g fresh blueberries',
      '',
      'Melt the chocolate and stir in the yolks.',
      'Whisk the whites and sugar over steam, whip, add the butter. Strew the blueberries.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['chocolate-base', 'buttercream', 'topping']);
    expect(r.parts[1]!.ways).toEqual({ whites: 'swiss-71' });
  });
  it('layers of biscuits are laid, not stirred in', () => {
    const r = read(
      'Icebox',
      '300 g wafers',
      '500 ml cream',
      '40 g sugar',
      '',
      'Whip the cream with the sugar. Make three layers of biscuits and cream in a loaf tin. Chill overnight.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['whipped-cream', 'biscuit-layer']);
    expect(works(r)).toEqual(['whisk', 'fill', 'chill 480–720']);
  });
  it('gelatin dissolved in the fruit sets the fruit; the cream is folded, not judged with it', () => {
    const r = read(
      'Fool',
      '300 g raspberries',
      '200 ml cream',
      '5 g gelatin powder',
      '',
      'Warm the raspberries and dissolve the gelatin in them. Whip the cream. Fold the whipped cream into the raspberries.',
    );
    expect(bowls(r)).toEqual(['fruit-base: gelatin-powder-225 5, raspberry 300', 'whipped-cream: cream-35 202', 'set-filling:  <- fruit-base, whipped-cream']);
  });
});

describe('lines stand at the step that uses them', () => {
  it('not at the first that has a word of theirs', () => {
    const r = read(
      'Pav',
      '4 egg whites',
      '200 g caster sugar',
      '1 teaspoon white vinegar',
      '100 g icing sugar',
      '',
      'Whisk the egg whites until white and stiff.',
      'Add the caster sugar with care.',
      'Add the vinegar and the icing sugar.',
    );
    expect(at(r)).toEqual({ 'egg-white': 1, 'sugar-caster': 2, 'vinegar-white': 3, 'icing-sugar-starch': 3 });
  });
  it('“the crumbs” are the biscuits', () => {
    expect(at(read('Base', '200 g digestive biscuits', '80 g butter', '20 g sugar', '', 'Mix the crumbs with the butter and sugar.'))).toEqual({
      digestive: 1,
      'butter-82': 1,
      'sugar-caster': 1,
    });
  });
});

describe('as cooks write it', () => {
  it('“press in” makes the base of crumbs; what is spooned onto it is not stirred into it; fruit tossed and piled on is on top', () => {
    const r = read(
      'For the base',
      '200g digestive biscuits, crushed',
      '90g butter, melted',
      'For the filling',
      '600g full-fat cream cheese',
      '284ml double cream',
      'For the top',
      '200g raspberries',
      '2 tbsp icing sugar',
      '',
      'Line a 23cm springform. Stir the crumbs into the butter, press in and chill.',
      'Beat the cheese until soft. Lightly whip the cream and fold in. Spoon onto the base and chill for 5-6 hrs.',
      'Toss the raspberries with the sugar and pile on top to serve.',
    );
    expect(bowls(r)).toEqual([
      'pressed-base: butter-82 90, digestive 200',
      'set-filling: cream-cheese-block 600 <- whipped-cream',
      'whipped-cream: cream-48 284',
      'topping: icing-sugar-starch 15, raspberry 200',
    ]);
  });
  it('a whole lemon of which rind and juice are used is two lines', () => {
    const r = read(
      '1/2 pint double cream',
      '3 oz caster sugar',
      '1 lemon',
      '',
      'Grate the rind of the lemon and squeeze the juice. Leave rind, juice and sugar overnight. Pour in the cream, whisking till it holds soft peaks.',
    );
    expect(r.lines.map((l) => l.draft.ingredient!.id)).toEqual(['cream-48', 'sugar-caster', 'lemon-zest', 'lemon-juice']);
    expect(read('200 g cream', '1 lemon', '', 'Squeeze the lemon. Whip the cream.').lines[1]!.draft.ingredient!.id).toBe('lemon-whole');
  });
  it('a list told in one row keeps what has no amount, and what it is for is no name', () => {
    const r = read(
      'Icebox cake',
      "You'll need: 400g digestive biscuits, 150ml strong espresso, 400ml double cream, 80g walnuts (toasted, chopped), cocoa for the top.",
      'Whip the cream. Dip each biscuit in the coffee and lay in a loaf tin lined with cling film. Dust with cocoa.',
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toEqual(['digestive', 'coffee-espresso', 'cream-48', 'walnut', 'cocoa-powder-22']);
    expect(r.steps.map((s) => s.stage)).toEqual([null, null, null, null]);
  });
});

describe('four more, told by others', () => {
  it('“pour the hot milk over” is onto the yolks in hand, however the milk came to be hot; a caramel that is made is a bowl of its own', () => {
    const r = read(
      'Floating islands, for 4',
      '500 ml whole milk, 1 vanilla pod, 5 egg yolks, 120 g sugar',
      '4 egg whites, a pinch of salt, 80 g sugar',
      'Caramel: 100 g sugar, 2 tbsp water',
      '',
      'Infuse the milk with the split vanilla pod over a low heat. Whisk the yolks with the 120 g sugar until pale. Pour the hot milk over, return to the pan and cook to 83C. Strain and chill.',
      'Whisk the whites with the salt, then add the 80 g sugar bit by bit to firm peaks. Poach spoonfuls in simmering water for 2 minutes each side; drain.',
      'Float the islands on the custard. Make a dry caramel with the sugar and water and drizzle over.',
    );
    expect(bowls(r).map((b) => b.split(':')[1])).toEqual([
      ' egg-yolk 85, milk-whole 517, sugar-caster 120, vanilla-pod 3',
      ' egg-white 132, salt 0, sugar-caster 80',
      ' sugar-caster 100, water 30',
    ]);
    expect(r.parts.map((p) => p.name)).toEqual(['Custard', 'Whites', 'Caramel']);
    expect(r.portions).toEqual({ low: 4, high: 4 });
  });
  it('“reduce to 120 °C” with a shell in the oven is the oven: no boiled sugar, no Italian meringue; no figure takes another’s', () => {
    const r = read(
      'Pavlova',
      'For 1 large (10 people)',
      '6 egg whites',
      '330 g caster sugar',
      '',
      'Preheat to 150°C. Beat whites until soft peaks, gradually add the sugar. Pile onto a tray. Put in oven, reduce to 120°C, bake 1 hr 30 min, cool in the oven with door ajar.',
    );
    expect(r.parts.map((p) => [p.kind, p.ways])).toEqual([['meringue', { whites: 'french' }]]);
    expect(works(r).slice(-4)).toEqual(['bake', 'hands 120 oven', 'bake 90–90', 'wait']);
    expect(r.unread).toEqual([]);
    expect(r.portions).toEqual({ low: 10, high: 10 });
  });
  it('a pudding with whipped topping is a filling; cocoa, sugar, milk and butter boiled are a glaze', () => {
    const r = read(
      'Eclair cake',
      '2 (3.4 oz) packages instant vanilla pudding mix',
      '3 1/2 cups milk',
      '1 (8 oz) tub whipped topping, thawed',
      'Frosting:',
      '1/3 cup cocoa',
      '1 cup sugar',
      '1/4 cup milk',
      '1 stick butter',
      '',
      'Beat pudding mix and milk for 2 minutes. Fold in whipped topping. Bring cocoa, sugar and milk to a boil for 1 minute, remove from heat, stir in butter and pour over top.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['set-filling', 'topping']);
  });
  it('a title says how many behind a dash', () =>
    expect(read('raspberry cranachan - 6 glasses', '500 g raspberries', '568ml double cream', '', 'Whip the cream. Layer up in glasses.').portions).toEqual({
      low: 6,
      high: 6,
    }));
});

describe('heat and times', () => {
  it.each([
    ['Bake 1 hour 15 minutes.', 'bake 75–75'],
    ['Bake an hour and 15 minutes.', 'bake 75–75'],
    ['Bake 1 1/4 hours.', 'bake 75–75'],
    ['Bake at 350 degrees.', 'bake 177 oven'],
    ['Bake at 300 F.', 'bake 149 oven'],
    ['Toast the bread at 300 °F.', 'bake 149 oven'],
  ])('%s', (text, right) => expect(works(read('Cake', '200 g flour', '', text))).toEqual([right]));
  it('every heat and every time in its order', () => {
    const r = read(
      'Shell',
      '6 egg whites',
      '300 g sugar',
      '',
      'Whisk the whites with the sugar. Bake at 225°F for 2 hours. Turn the oven off and leave it in there for another 2 hours.',
      'Bake at 300 F for an hour, then turn it down to 250 F for half an hour.',
    );
    expect(works(r)).toEqual(['whisk', 'bake 120–120 107 oven', 'hands', 'wait 120–120', 'bake 60–60 149 oven', 'bake 30–30 121 oven']);
  });
  it('rows that only rest are steps with their time', () => {
    const r = read(
      'Cream',
      '200 g cream',
      '',
      'Method',
      'Whip the cream.',
      'Chill for 1 hour.',
      'Chill 2 hours 30 minutes.',
      'Rest for 1 hour.',
      'Cook for about 5 minutes until thick.',
    );
    expect(works(r)).toEqual(['whisk', 'chill 60–60', 'chill 150–150', 'wait 60–60', 'heat 5–5']);
  });
  it('the stage is where whipping ends, not where the sugar goes in', () => {
    const r = read(
      'Tart',
      '500 ml cream',
      '40 g sugar',
      '',
      'Whip the cream with a hand mixer until stiff with the sugar added at soft peak. Fill an 11 inch tart shell.',
    );
    expect([r.parts[0]!.stage, r.parts[0]!.ways['sugar-moment']]).toEqual(['firm', 'soft-peak']);
    expect(r.vessel?.acrossMm).toBe(279);
    const early = read('Tart', '500 ml cream', '40 g sugar', '', 'Whip the cream with the sugar to soft peaks.');
    expect([early.parts[0]!.stage, early.parts[0]!.ways]).toEqual(['soft', {}]);
    const late = read('Tart', '500 ml cream', '40 g sugar', '', 'Whip the cream to soft peaks. Add the sugar and whip until firm.');
    expect([late.parts[0]!.stage, late.parts[0]!.ways['sugar-moment']]).toEqual(['firm', 'soft-peak']);
  });
});
