import { describe, expect, it } from 'vitest';
import { temperaturesIn } from './degrees';
import { CONTEXT } from '../../testing/sample';
import { bareMixC } from './degrees';
import { draftLine, linesOfRow } from './lines';
import { readRecipe, type Reading } from './read';
import { repeatsOf } from './repeats';
import { saysOfTheWhole } from './row-looks';
import { portionsIn, vesselIn } from './setting';

const PLACE = { under: null, block: 0, start: 0, end: 0 } as const;
const NOTHING_APART = { yolks: false, whites: false, zest: false, juice: false } as const;
const line = (text: string) => draftLine(text, PLACE, CONTEXT);
const lines = (row: string): readonly string[] => linesOfRow(row, PLACE, CONTEXT, NOTHING_APART).map((l) => `${l.ingredient?.id} ${Math.round(l.grams ?? 0)}`);
const read = (text: string): Reading => {
  const r = readRecipe(text, CONTEXT);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

describe('amounts that nobody weighs', () => {
  it('what stands in brackets beside them counts, and nothing is asked', () => {
    expect(line('A handful of flaked almonds (about 20g)')).toMatchObject({ grams: 20, doubt: '' });
    expect(line('a knob of butter (25 g)').grams).toBe(25);
    // Without brackets the usual size is taken, and that is said.
    expect(line('a handful of flaked almonds').doubt).toContain('the usual size');
    // A mass that was weighed stays what it is: the bracket says it in another measure.
    expect(line('200 g flaked almonds (7 oz)').grams).toBe(200);
  });
  it('a glass of what is drunk is the wine glass of the old books', () => {
    expect(line('a glass of brandy').grams).toBeCloseTo(66.6, 0);
    expect(line('a glass of sweet white wine').grams).toBeGreaterThan(65);
  });
  it.each([
    ['mango 1 large (about 300 g flesh)', ['mango 300']],
    ['lime 1, zest and juice', ['lime-zest 3', 'lime-juice 28']],
    ['eggs 3', ['egg-whole 150']],
    // A number of what nobody counts is of grams.
    ['sugar 90', ['sugar-caster 90']],
    ['Finely grated zest of 2 lemons and 75ml juice', ['lemon-zest 10', 'lemon-juice 77']],
    ['zest of 1 lime plus 2 tbsp lime juice', ['lime-zest 3', 'lime-juice 31']],
  ])('%s', (row, right) => expect(lines(row)).toEqual(right));
});

describe('a chocolate by its cocoa', () => {
  it.each([
    ['200 g dark chocolate (60%)', 'chocolate-dark-64', false],
    ['100 g dark chocolate 70 %', 'chocolate-dark-70', false],
    ['100 g dark chocolate, 54% cocoa', 'chocolate-dark-55', false],
    ['150 g milk chocolate 40%', 'chocolate-milk-35', false],
    // Further away, the nearest is taken and said.
    ['100 g dark chocolate 85%', 'chocolate-dark-70', true],
    ['100 g dark chocolate', 'chocolate-dark-64', false],
  ])('%s', (text, id, asks) => {
    const { ingredient, doubt } = line(text);
    expect([ingredient?.id, doubt !== '']).toEqual([id, asks]);
  });
});

describe('gelatin mass, g', () => {
  const parts = (row: string) => linesOfRow(row, PLACE, CONTEXT, NOTHING_APART).map((l) => [l.ingredient?.id, l.grams, l.doubt !== '']);
  it('is the gelatin and the water that it says', () => {
    expect(parts('Gelatin mass (1:5) 18 g')).toEqual([
      ['gelatin-powder-225', 3, false],
      ['water', 15, false],
    ]);
    expect(parts('70 g gelatine mass 1:6')).toEqual([
      ['gelatin-powder-225', 10, false],
      ['water', 60, false],
    ]);
  });
  it('one in five is taken where nothing is said, and asked about', () => {
    expect(parts('gelatin mass 42 g')).toEqual([
      ['gelatin-powder-225', 7, true],
      ['water', 35, true],
    ]);
  });
  it('both go in where it is named', () => {
    const r = read(
      'Cream\n\nCream 35 % 500 g\nGelatin mass (1:5) 18 g\n\nHeat 100 g of the cream, add the gelatin mass. Add the rest of the cream. Chill 8 h. Whip.',
    );
    expect(r.parts).toHaveLength(1);
    expect(r.lines.every((l) => l.step !== null)).toBe(true);
    expect(r.doubts.filter((d) => /no step/.test(d.says))).toEqual([]);
  });
});

describe('what a row says of the whole', () => {
  it.each([
    ['Prep 25 min · Chill 6 hours · Makes one 9-inch springform', true],
    ['9x13 pan, feeds 15', true],
    ['Serves 8 | 23 cm springform tin', true],
    ['Easy – chill overnight – serves 6', true],
    ['serves 8, warm', false],
    ['200 g cream, 30 g sugar', false],
    ['Prep 25 min, chill 6 hours', false],
    ['9x13 pan', false],
    ['(1.2 litre terrine, serves 12)', true],
    ['900 g loaf tin, serves 8', true],
  ])('%s: %s', (row, right) => expect(saysOfTheWhole(row)).toBe(right));
  it('a name keeps no size, no number of portions', () => {
    const title = (first: string) => read(`${first}\n\n300 ml double cream\n30 g caster sugar\n\nWhip the cream with the sugar to soft peaks.`).title;
    expect(title('Coffee semifreddo (2 lb loaf tin, 10 slices)')).toBe('Coffee semifreddo');
    expect(title('**Cherry roulade** — serves 10')).toBe('Cherry roulade');
    expect(title('Earl Grey bavarois, 8 dariole moulds (100 ml)')).toBe('Earl Grey bavarois');
    expect(title('Lemon fool · 6 glasses')).toBe('Lemon fool');
    expect(title('Frosting (for carrot cupcakes, does 24)')).toBe('Frosting');
    // What is no size stays.
    expect(title('Trifle (my aunt’s)')).toBe('Trifle (my aunt’s)');
    expect(title('Sponge, cream, berries')).toBe('Sponge, cream, berries');
  });
  it('how many, as they are told', () => {
    expect(portionsIn([], 'Fill your glasses, ten of them, and chill.')).toEqual({ low: 10, high: 10 });
    expect(portionsIn([], 'Cocoa before it goes out. Gives you about 24.')).toEqual({ low: 24, high: 24 });
    expect(vesselIn('Fill your glasses, ten of them.')).toMatchObject({ shape: 'glass', count: 10 });
  });
  it('a tin of no kind is round; one of two sides a loaf or a pan; nests are counted by what is traced', () => {
    expect(vesselIn('press it in an eight inch tin')).toMatchObject({ shape: 'round', acrossMm: 203 });
    expect(vesselIn('into a cake tin of 26 x 10 cm')).toMatchObject({ shape: 'terrine', lengthMm: 260, widthMm: 100 });
    expect(vesselIn('Trace eight 3-inch circles. Fill the nests.')).toMatchObject({ shape: 'free', count: 8 });
    expect(portionsIn([], 'Line a tray; trace eight 3-inch circles.')).toEqual({ low: 8, high: 8 });
    expect(portionsIn(['Makes: 8 (100ml) pots | Ready in: 30 mins'], '')).toEqual({ low: 8, high: 8 });
    expect(portionsIn([], 'Pile in custard glasses — six or seven — and serve.')).toEqual({ low: 6, high: 7 });
  });
  it.each([
    ['for one half gastro', 325, 265],
    ['in a GN 1/3 pan', 325, 176],
    ['a full gastronorm', 530, 325],
    ['1/4 gastro', 265, 162],
  ])('%s, mm by EN 631', (says, lengthMm, widthMm) => expect(vesselIn(says)).toMatchObject({ shape: 'tray', lengthMm, widthMm, count: 1 }));
  it('a depth behind it is its height; half a dish is no such pan', () => {
    expect(vesselIn('half gastro, 65 mm deep')).toMatchObject({ heightMm: 65 });
    expect(vesselIn('half of it in a 20 cm dish')).toMatchObject({ lengthMm: 200 });
  });
});

describe('work as it is said', () => {
  const works = (text: string): readonly string[] => read(text).steps.map((s) => s.work);
  it('degrees of a mix that stand alone', () => {
    expect(bareMixC('over the bain until it’s 75')).toBe(75);
    expect(bareMixC('till it hits 160')).toBe(71.1);
    expect(bareMixC('until it is 20% lighter')).toBeNull();
    expect(bareMixC('when it reaches 110')).toBeNull();
    expect(bareMixC('until it is 20')).toBeNull();
  });
  it('an oven that is heated has its degrees, without a word for them', () => {
    const oven = (text: string) =>
      read(`Pie\n\n1 cup heavy cream\n9 graham crackers\n5 tbsp butter\n\n${text} Crush the crackers, mix with the butter and press into a tin.`).steps[0]!
        .temperature;
    expect(oven('Heat oven to 325.')).toEqual({ c: 162.8, of: 'oven' });
    expect(oven('Preheat the oven to 150.')).toEqual({ c: 150, of: 'oven' });
  });
  it('everything but what is named goes in; that waits', () => {
    const r = read(
      'Frosting\n\n500 g cream\n250 g mascarpone\n90 g icing sugar\n\nEverything bar the cream into the mixer, low until smooth. Stream in the cream on med-low, then on until it holds firm peaks.',
    );
    expect(r.parts.map((p) => [p.kind, p.stage])).toEqual([['cheese-cream', 'firm']]);
    expect(r.lines.map((l) => [l.draft.ingredient!.id, l.step])).toEqual([
      ['cream-35', 1],
      ['mascarpone', 0],
      ['icing-sugar-starch', 0],
    ]);
    expect(r.steps.at(-1)!.work).toBe('whisk');
  });
  it('what is stuck, popped or bunged in the cold is in the cold', () => {
    for (const verb of ['stick', 'pop', 'bung', 'shove', 'chuck', 'plonk'])
      expect(
        works(`Pots\n\n300 ml double cream\n30 g sugar\n\nWhip the cream with the sugar. Spoon into pots and ${verb} them in the fridge for 2 hours.`),
        verb,
      ).toEqual(['whisk', 'fill', 'chill']);
  });
  it('a tin and the fridge without a verb are a layer and its cold', () => {
    const r = read(
      'Mix 250 g digestives, crushed, with 110 g melted butter, into a 23 cm loose-bottomed tin and into the fridge for half an hour. Whip 300 ml double cream and pile it on.',
    );
    expect(r.steps.map((s) => [s.work, s.minutes?.[0] ?? null])).toEqual([
      ['hands', null],
      ['fill', null],
      ['chill', 30],
      ['whisk', null],
      ['fill', null],
    ]);
  });
  it('all that a repeat lays of a line is laid; what it leaves waits', () => {
    expect([repeatsOf('Repeat 3 times'), repeatsOf('repeat once'), repeatsOf('repeat'), repeatsOf('cover with cream')]).toEqual([3, 1, 1, null]);
    const berries = (share: string, again: string) =>
      read(
        `Cake\n\n800 g strawberries\n600 ml cream\n400 g graham crackers\n\nWhip the cream. Lay crackers in the tin, a quarter of the cream, ${share} of the strawberries. ${again} Chill overnight. Top with the rest of the strawberries.`,
      )
        .lines.filter((l) => l.draft.ingredient?.id === 'strawberry')
        .map((l) => Math.round(l.draft.grams!));
    expect(berries('a third', 'Repeat twice.')).toEqual([800]);
    expect(berries('a quarter', 'Repeat once.')).toEqual([200, 600]);
  });
  it('one line of steps is no ingredient, and only things of the list are work', () => {
    expect(read('Whip 300 ml double cream with 30 g sugar. Twelve slices.').lines).toHaveLength(2);
    const r = read(
      'frosting\n\n3 egg whites\n200g sugar\n300g butter\nvanilla\npinch of salt\n\nwhisk whites + sugar over simmering water to 71C\ninto the mixer, whisk till thick and cool, 10 min\nbutter in, a lump at a time\nvanilla, salt\n',
    );
    expect(r.steps.map((s) => s.work)).toEqual(['heat', 'whisk', 'beat', 'hands']);
    expect(r.unread).toEqual([]);
    expect(r.lines.filter((l) => l.step === 3).map((l) => l.draft.ingredient!.id)).toEqual(['vanilla-extract', 'salt']);
  });
  it('what only says how late belongs to what is done then', () => {
    const r = read(
      'Nests\n\n200 ml cream\n20 g icing sugar\n6 meringue nests\n\nUp to 2 hours before serving, beat the cream and icing sugar until soft peaks. Fill the nests.',
    );
    expect(r.steps.map((s) => [s.work, s.minutes])).toEqual([
      ['whisk', null],
      ['fill', null],
    ]);
  });
  it('degrees of frost for hours are a freezer; what is left overnight with cream in it, the fridge', () => {
    expect(
      works(
        'Parfait\n\n200 ml cream\n4 egg yolks\n60 g honey\n\nWhip the cream. Whisk the yolks with the honey, fold in the cream, pour into a terrine. 8 hours at -18.',
      ).at(-1),
    ).toBe('freeze');
    expect(
      works(
        'Cheesecake\n\n300 g cream cheese\n200 ml cream\n\nBeat the cheese, whip the cream and fold it in. Spread in a 20 cm springform and leave it overnight.',
      ).at(-1),
    ).toBe('chill');
  });
  it('two that are mixed lightly together are one filling', () => {
    const r = read(
      'Fool\n\n400 g blackberries\n80 g sugar\n300 ml cream\n\nStew the blackberries with the sugar. Cool. Whip the cream and mix the two lightly together.',
    );
    expect(r.parts.map((p) => [p.kind, p.takes.length])).toEqual([
      ['fruit-base', 0],
      ['whipped-cream', 0],
      ['set-filling', 2],
    ]);
  });
  it('both chocolates are melted, and nothing else that has chocolate in its name', () => {
    const r = read(
      'Pots\n\n150 g milk chocolate\n100 g dark chocolate\n500 ml cream\n25 g chocolate-coated beans, to decorate\n\nBreak up both chocolates and melt in a bowl over hot water. Whip the cream and fold it in.',
    );
    expect(r.lines.filter((l) => r.parts.find((p) => p.id === l.part)!.kind === 'chocolate-base').map((l) => l.draft.ingredient!.id)).toEqual([
      'chocolate-milk-35',
      'chocolate-dark-64',
    ]);
  });
  it('bullets below a list in one row are its steps, also without a verb', () => {
    const r = read(
      'Passion cremeux\nPurée passion 300 / eggs 240 / yolks 80 / sugar 150 / butter 200 / gel 4 (gold)\n- gel in cold water\n- purée, eggs, yolks, sugar to 82C stirring\n- gel in, cool to 40\n- butter in w/ stick blender 3 min\n- fridge 12 h',
    );
    expect(r.steps.map((s) => [s.work, s.temperature?.c ?? null])).toEqual([
      ['soak', null],
      ['heat', 82],
      ['hands', null],
      ['beat', null],
      ['chill', null],
    ]);
    expect(r.parts.map((p) => p.kind)).toEqual(['custard']);
    expect(r.lines.map((l) => Math.round(l.draft.grams!))).toEqual([300, 240, 80, 150, 200, 4]);
    // A list with bullets of its own stays one.
    expect(
      read('Fool\n200 g cream / 30 g sugar\n- 100 g raspberries\n- 20 g pistachios\n\nWhip the cream with the sugar, fold in the raspberries.').lines,
    ).toHaveLength(4);
  });
  it('what was divided twice is laid wholly by a repeat, and the syrup of the tin stays apart', () => {
    const r = read(
      'Trifle\n\n400 g black cherries in syrup\n60 ml kirsch\n300 g sponge cake\n300 ml double cream\n\nPut the sponge in a glass bowl. Mix 75 ml of the cherries in syrup with the kirsch and drizzle over. Scatter half the cherries over, repeat. Chill 2 hours. Whip the cream and spoon over.',
    );
    const cherries = r.lines.filter((l) => l.draft.ingredient?.id === 'cherry-in-syrup').map((l) => Math.round(l.draft.grams!));
    expect(cherries).toHaveLength(2);
    expect(cherries.reduce((a, b) => a + b)).toBeCloseTo(400, -1);
  });
  it('a syrup is poured on whites that are said to be whipped: one meringue', () => {
    const r = read(
      'Meringue\n\n180 g egg whites\n250 g sugar\n80 g water\n\nCook the sugar and water to 121 °C, pour on the whipped whites, whisk until lukewarm.',
    );
    expect(r.parts.map((p) => [p.kind, p.ways.whites])).toEqual([['egg-foam', 'italian']]);
  });
  it('a filling is never the base that was pressed', () => {
    const r = read(
      'Base is 200 g of amaretti and 80 g of butter, blitzed and pressed in a 9 inch tin. The filling, 500 g mascarpone, 100 g icing sugar, a shot of espresso about 40 ml and 3 leaves of gelatine melted in the hot coffee. Whip 250 ml of cream and fold it through.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['pressed-base', 'set-filling', 'whipped-cream']);
    expect(r.lines.find((l) => l.draft.ingredient?.id === 'coffee-espresso')!.draft.grams).toBeCloseTo(40.6, 0);
  });
  it('degrees and a time stuck together bake; to the boil heats, without a verb', () => {
    const r = read(
      'Pots\n\nCream 300 ml\nSugar 80 g\nGelatine 2 leaves\nRhubarb 400 g\n\nBloom gelatine. Cream and sugar to just below the boil, off heat, gelatine in. Rhubarb: chop, into foil, 160C 15min covered.',
    );
    expect(r.steps.map((s) => s.work)).toContain('heat');
    expect(r.steps.at(-1)).toMatchObject({ work: 'bake', minutes: [15, 15], temperature: { c: 160, of: 'oven' } });
  });
  it('so many packages of that size', () => {
    expect(lines('2 - 7 oz packages Italian ladyfingers')).toEqual(['ladyfinger 397']);
    expect(lines('2 – 3 oz butter')).toEqual(['butter-82 71']);
  });
  it('yolks that are whipped off the heat, and till cold', () => {
    expect(
      works(
        'Cream\n\n4 egg yolks\n60 g sugar\n80 ml marsala\n\nWhisk the yolks, sugar and marsala over simmering water until thick; take off and whisk till cold.',
      ).at(-1),
    ).toBe('whisk');
    expect(
      works('Cream\n\n4 egg yolks\n60 g sugar\n\nCook the yolks and sugar over boiling water for 10 minutes. Remove from heat and whip yolks until thick.').at(
        -1,
      ),
    ).toBe('whisk');
  });
  it('what is put on shells is laid; a square pan serves nobody by itself', () => {
    expect(
      works(
        'Discs\n\n2 egg whites\n100 g sugar\n250 ml cream\n\nWhisk the whites with the sugar until stiff. Pipe six discs and bake at 100 °C for two hours. Whip the cream and put a spoonful of it on each disc.',
      ).at(-1),
    ).toBe('fill');
    expect(portionsIn(['Yield: one 8-inch square pan (9 servings)'], '')).toEqual({ low: 9, high: 9 });
    expect(portionsIn(['Cuts into 12'], '')).toEqual({ low: 12, high: 12 });
    expect(portionsIn(['x6'], '')).toEqual({ low: 6, high: 6 });
  });
  it('into a tub is where it is served from', () =>
    expect(
      works('Parfait\n\n300 ml cream\n200 g condensed milk\n\nWhisk everything until thick. Scrape into a freezer-proof container and freeze for 6 hours.'),
    ).toEqual(['whisk', 'fill', 'freeze']));
  it('freezing while the filling is made freezes no dessert', () => {
    const freezes = (how: string) =>
      read(
        `Cheesecake\n\n200 g graham crackers\n80 g butter\n300 g cream cheese\n200 ml cream\n\nCrush the crackers, mix with the butter, press into a 20 cm springform. Freeze ${how}. Beat the cream cheese, whip the cream, fold it in. Pour over the base. Chill overnight.`,
      ).freezes;
    expect(freezes('while you make the filling')).toBe(false);
    expect(freezes('for 6 hours')).toBe(true);
  });
});

describe('told beside the work', () => {
  const made = (sentence: string): Reading =>
    read(`Tiramisu\n\nBeat 4 egg yolks with 100g sugar till pale. Mix in 500g of mascarpone. ${sentence} Lay them in a dish, the cream over.`);
  const fingers = (r: Reading): number | null => r.lines.find((l) => l.draft.ingredient?.id === 'ladyfinger')?.draft.grams ?? null;
  it.each([
    'Dip savoiardi (about 24) quickly in 300 ml coffee.',
    'Dip savoiardi (you need about 24) in 300 ml coffee.',
    'Dip savoiardi, you’ll need about 24, in 300 ml coffee.',
    'Dip savoiardi (two dozen or so) in 300 ml coffee.',
    'Dip the sponge fingers (24 of them) in 300 ml coffee.',
  ])('so many: %s', (sentence) => expect(fingers(made(sentence))).toBe(192));
  it.each(['Dip savoiardi (they break after 24 seconds) in 300 ml coffee.', 'Dip savoiardi, 24 hours old, in 300 ml coffee.'])(
    'no number of them: %s',
    (sentence) => expect(fingers(made(sentence))).toBeNull(),
  );

  it.each([
    'On medium speed add the butter a cube at a time.',
    'On medium-high speed beat in the butter.',
    'At low speed beat in the butter.',
    'With the mixer running add the butter.',
    'By hand stir in the butter.',
  ])('how it is done may stand first: %s', (sentence) => {
    const r = read(
      `Buttercream\n\n5 egg whites\n250 g caster sugar\n340 g soft butter\n\nWhisk the whites and sugar over simmering water to 71C.\nWhisk until stiff and cool.\n${sentence}`,
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['buttercream']);
    expect(r.doubts.filter((d) => d.says === 'no step names it')).toEqual([]);
  });
  it('over what heat, too', () => {
    const r = read('Cake\n\n100 g butter\n200 ml cream\n\nOver a low heat melt the butter. Whip the cream to soft peaks.');
    expect(r.steps[0]).toMatchObject({ work: 'heat', lines: [0] });
  });

  const mousse = (sentence: string): Reading =>
    read(
      `Mousse\n\n150 g pistachio paste\n60 g chopped pistachios\n600 ml whipping cream\n1 tin condensed milk (397 g)\n\nWhisk the condensed milk and pistachio paste until smooth. Whip the cream and fold through. ${sentence}`,
    );
  it('of paste and kernels the chopped nuts are the kernels, and most of them leave a rest', () => {
    const r = mousse('Fold in most of the chopped nuts. Pour into the tin, sprinkle the rest on top and freeze for 8 hours.');
    const grams = r.lines.filter((l) => l.draft.ingredient?.id === 'pistachio').map((l) => Math.round(l.draft.grams ?? 0));
    expect(grams).toEqual([45, 15]);
  });

  it('juice and zest of one fruit are the recipe’s two lines where it has them, and a whole fruit where not', () => {
    const list = 'Lemon pie\n\n225 g cream cheese\n120 ml lemon juice\n1 tbsp lemon zest\n';
    for (const said of ['lemon juice and zest', 'lemon zest and juice']) {
      const r = read(`${list}\nBeat the cream cheese until smooth. Add the ${said} and beat until combined.`);
      expect(r.steps[1]!.lines, said).toEqual([1, 2]);
    }
  });

  it.each(['before serving', 'just before you eat it', 'right before we eat', 'before dishing up'])('cocoa on top %s is the last that is done', (when) => {
    const r = read(
      `Tiramisu\n\nBeat 4 egg yolks with 100g sugar till pale. Mix in 500g of mascarpone. Dip 24 savoiardi in 200 ml coffee, lay them in a dish, cream over. In the fridge overnight, and cocoa on top ${when}.`,
    );
    expect(r.steps.at(-1)).toMatchObject({ work: 'finish' });
    expect(r.steps.at(-2)).toMatchObject({ work: 'chill' });
    expect(r.parts.at(-1)!.kind).toBe('topping');
  });
});

describe('some of what is counted', () => {
  const pie = (work: string): readonly string[] => {
    const r = read(
      `Cookies and cream pie\n\n36 chocolate sandwich cookies\n5 tbsp butter, melted\n8 oz cream cheese\n1/3 cup sugar\n1 1/2 cups whipping cream\n\nCrush 24 cookies fine. Mix with the butter. Press in a 9 inch pie pan. Beat cream cheese and sugar till fluffy. Whip cream stiff, fold in. ${work}`,
    );
    return r.lines.flatMap((l) => {
      const part = r.parts.find((p) => p.id === l.part);
      return l.draft.ingredient?.id === 'chocolate-sandwich' ? [`${part?.kind} ${Math.round(l.draft.grams ?? 0)}`] : [];
    });
  };
  // 11 g a cookie: 24, 10 and 2 of 36.
  it.each([
    'Chop 10 cookies, fold in. Pour into the crust. Crumble the last 2 on top.',
    'Chop 10 more, fold in. Pour into the crust. Crumble the last 2 on top.',
    'Crush another 10 and fold them in. Pour into the crust. Crumble the rest on top.',
  ])('are a base, a filling and a topping: %s', (work) => expect(pie(work)).toEqual(['pressed-base 264', 'set-filling 110', 'topping 22']));
  it('of biscuits that are laid a number is of one layer', () => {
    const r = read(
      'Icebox cake\n\n24 graham crackers\n500 ml double cream\n\nWhip the cream. Lay 8 crackers in a tin, spread with cream, and repeat the layers twice more. Chill overnight.',
    );
    expect(r.lines.filter((l) => l.draft.ingredient?.category === 'biscuit')).toHaveLength(1);
  });
});

it('what only says where, stays with what is done there', () => {
  const r = read(
    'Panna cotta\n\n2 gelatine leaves\n500 ml cream\n60 g sugar\n\nHeat the cream and sugar to a simmer. Off the heat, stir in the gelatine. With the whisk running, cool it over ice.',
  );
  expect(r.steps.map((s) => s.text)).toEqual([
    'Heat the cream and sugar to a simmer.',
    'Off the heat, stir in the gelatine.',
    'With the whisk running, cool it over ice.',
  ]);
});

describe('how it is done, said before or behind the verb', () => {
  const works = (text: string): readonly string[] => read(text).steps.map((s) => `${s.work} ${s.text.replace(/^(?:and|then) /, '')}`);
  const LIST = 'Base\n\n250g digestive biscuits\n110g butter, melted\n\n';
  it('‘press firmly’ is work of its own, and makes the base', () => {
    const r = read(`${LIST}Crush the biscuits, mix with the butter and press firmly into a 23cm springform tin. Chill for 1 hour.`);
    expect(r.parts.map((p) => p.kind)).toEqual(['pressed-base']);
    expect(r.steps.map((s) => s.work)).toEqual(['hands', 'hands', 'fill', 'chill']);
  });
  it.each([
    'Whip the whites and the sugar until stiff. With the mixer on medium add the butter bit by bit. Beat until smooth.',
    'Whip the whites and the sugar until stiff. Switch to the paddle, and with the mixer on medium-low speed add the butter bit by bit. Beat until smooth.',
  ])('the butter goes into the meringue: %s', (method) => {
    const r = read(`Buttercream\n\n180g egg whites\n300g caster sugar\n450g butter, soft\n\n${method}`);
    expect(r.parts.map((p) => p.kind)).toEqual(['buttercream']);
    expect(r.lines.every((l) => l.part === r.parts[0]!.id)).toBe(true);
  });
  it('a pan that is stirred over the heat is heated, whatever stands before the verb', () => {
    const custard = 'Custard\n\n500ml whole milk\n4 egg yolks\n60g sugar\n30g cornflour\n\n';
    expect(works(`${custard}Whisk it all in a pan, and over medium heat keep stirring until it bubbles.`).at(-1)).toMatch(/^heat /);
    expect(works(`${custard}Whisk it all in a pan. Continue whisking over a low heat for 5 minutes.`).at(-1)).toMatch(/^heat /);
  });
  it('how far a recipe goes is asked of nobody', () => {
    const cream = 'Cream\n\n300ml double cream\n20g icing sugar\n\nWhip the cream with the sugar to soft peaks. ';
    expect(works(`${cream}Makes enough to fill and cover an 8" cake.`)).toHaveLength(1);
    expect(works(`${cream}Frosts one two-layer cake, or 24 cupcakes.`)).toHaveLength(1);
    // The same words asked for are work.
    expect(works(`${cream}Fill and cover an 8" cake.`).length).toBeGreaterThan(1);
  });
});

describe('things and their states', () => {
  it.each([
    ['30 g ground pistachios', 'pistachio'],
    ['ground digestives, 200 g', 'digestive'],
    ['50 g ground almonds', 'almond-ground'],
    // Ground coffee is no cup of it.
    ['30 g ground coffee', undefined],
  ])('%s', (text, id) => expect(line(text).ingredient?.id).toBe(id));
  it('a state alone is no thing', () => {
    expect(lines('flaked almonds, toasted, to decorate').map((x) => x.split(' ')[0])).toEqual(['almond-flaked']);
  });
  it('a thing and its state, the amount behind', () => {
    const r = read('Whip 300ml double cream to soft peaks and spread it on a 250g sponge cake. Flaked almonds, toasted, a handful.');
    const almonds = r.lines.find((l) => l.draft.ingredient?.id === 'almond-flaked');
    expect(almonds?.draft).toMatchObject({ written: 'a handful of Flaked almonds' });
    expect(almonds?.draft.grams).toBeGreaterThan(20);
  });
  it('gelatin that is strewn over the water in hand is in it', () => {
    const list = 'Cream\n\n480ml double cream\n60g icing sugar\n1 tsp gelatin powder\n4 tsp cold water\n\n';
    for (const said of ['Put the water in a small bowl, sprinkle the gelatin over the top', 'Pour the water into a cup and sprinkle over the gelatin']) {
      const r = read(`${list}${said} and leave 5 minutes. Melt it. Whip the cream with the sugar until thick, drizzle in the gelatin and whip until stiff.`);
      expect(r.parts).toHaveLength(1);
      expect(r.lines.every((l) => l.part === r.parts[0]!.id)).toBe(true);
    }
  });
  it('a third of what was cut up is crushed, the rest folded in', () => {
    const r = read(
      'hull 600g strawberries. take a third of them and blitz w/ 1 tbsp icing sugar + squeeze of lemon. whip 400ml double cream w/ another tbsp of icing sugar til soft peaks. fold thru the strawbs, then ripple in the sauce. 6 bowls.',
    );
    const berries = r.lines.filter((l) => l.draft.ingredient?.id === 'strawberry').map((l) => Math.round(l.draft.grams!));
    expect(berries.sort()).toEqual([200, 400]);
    const sauce = r.parts.find((p) => p.kind === 'fruit-base')!;
    expect(r.lines.filter((l) => l.part === sauce.id).map((l) => l.draft.ingredient?.id)).toEqual(['strawberry', 'icing-sugar-starch', 'lemon-juice']);
    expect(r.portions).toEqual({ low: 6, high: 6 });
  });
});

describe('vessels by other words', () => {
  it.each([
    ['Divide among 8 ramekins (4 oz).', { shape: 'mould', count: 8, eachMl: 118 }],
    ['2 × GN 1/1, 65 mm', { shape: 'tray', lengthMm: 530, widthMm: 325, heightMm: 65, count: 2 }],
    ['Trace a 22cm circle onto baking paper and put it on a tray.', { shape: 'free', acrossMm: 220, count: 1 }],
    ['6 × 120 g glasses', { shape: 'glass', count: 6 }],
    ['Press into a 23cm loose-bottomed tart tin.', { shape: 'tart', acrossMm: 230, count: 1 }],
    ['Press into a 23cm loose-bottomed tin.', { shape: 'springform', acrossMm: 230, count: 1 }],
  ])('%s', (text, right) => expect(vesselIn(text)).toMatchObject(right));
  it('nests that are crushed hold nothing', () => expect(vesselIn('Crush 4 meringue nests in')).toBeNull());
  it.each([
    ['Yield: 6 × 120 g glasses', { low: 6, high: 6 }],
    ['Cut them into 12 squares', { low: 12, high: 12 }],
  ])('%s: portions', (text, right) => expect(portionsIn([], text)).toEqual(right));
  it('sponges that are cut in three are not three portions', () => expect(portionsIn([], 'Sandwich them back together, cut them in three.')).toBeNull());
  it('a name before its colon', () =>
    expect(read('Honey & lavender chantilly for the scones: 500ml whipping cream, 40g honey. Whip to medium peaks.').title).toBe(
      'Honey & lavender chantilly for the scones',
    ));
  it('a name has no tin behind its portions', () => {
    expect(read('Tiramisu for the function — 40 portions (2 × GN 1/1, 65 mm)\n\n1 kg mascarpone\n\nLoosen the mascarpone.').title).toBe(
      'Tiramisu for the function',
    );
  });
});

describe('told and written in a hurry', () => {
  it.each([
    ['Juice of 1 lemon and grated rind', ['lemon-zest 5', 'lemon-juice 45']],
    ['the zest of 2 limes, and their juice', ['lime-zest 6', 'lime-juice 56']],
  ])('%s', (row, right) => expect(lines(row)).toEqual(right));
  it('what is strewn at the end, above the method, is a list', () => {
    const r = read(
      'Cheesecake\n\nFor the filling\n300g mascarpone\n200ml double cream\n\nTo decorate\nWhite chocolate curls and a few extra raspberries\n\nMethod\nWhip the cream and the mascarpone to soft peaks. Scatter over the chocolate curls and the raspberries.',
    );
    expect(r.lines.filter((l) => l.draft.under === 'To decorate').map((l) => l.draft.ingredient?.id)).toEqual(['chocolate-white', 'raspberry']);
    expect(r.steps[0]!.text).toBe('Whip the cream and the mascarpone to soft peaks.');
  });
  it('a list of sums has a new thing behind its semicolon', () => {
    const r = read(
      'Pie\n\nFILLING: 8 oz cream cheese, 1 cup heavy cream\nTOPPING: 4 oz dark chocolate + 1/2 cup heavy cream; chopped peanuts\n\nWhip the cream cheese and 1 cup of cream. Heat 1/2 cup cream, pour over the chocolate, stir. Sprinkle w/ the peanuts.',
    );
    expect(r.lines.filter((l) => l.draft.under === 'TOPPING').map((l) => l.draft.ingredient?.id)).toEqual(['chocolate-dark-64', 'cream-36', 'peanut']);
  });
  it('a butter that comes twice, bare numbers: each has its own grams', () => {
    const r = read(
      'Mousseline\n\nMilk                1000\nYolks               200\nSugar               250\nCorn starch         90\nButter (1)          250\nButter (2), soft    240\n\nBoil the milk. Whip butter (2) until white.',
    );
    expect(r.lines.map((l) => l.draft.grams)).toEqual([1000, 200, 250, 90, 250, 240]);
  });
  it('eggs blanched beside boiled milk are cooked in it', () => {
    const r = read('Cream\n\nMilk 1000\nYolks 200\nSugar 250\nCorn starch 90\n\nBoil milk. Blanch yolks/sugar/starch. Cook to 85°C.');
    expect(r.parts.map((p) => p.kind)).toEqual(['custard']);
    expect(r.lines).toHaveLength(4);
  });
  it('eggs whisked with a boiled syrup are a foam, with lemon juice in it too', () => {
    const r = read(
      'Parfait\n\n250 g sugar\n80 g water\n6 yolks\n160 g lemon juice\n600 g cream 35%\n\nCook the sugar and water to 118C. Whisk the yolks; pour over the syrup in a stream and whisk until cold and thick. Add the juice. Whip the cream softly and fold through. Freeze in a terrine, store at -18C.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['egg-foam', 'whipped-cream', 'set-filling']);
    expect(r.parts[0]!.ways).toMatchObject({ eggs: 'syrup' });
    expect(r.steps.at(-1)!.work).toBe('freeze');
  });
  it('sugar that is whisked into whites goes in with air', () => {
    const r = read(
      'Meringue\n\n4 egg whites\n250g caster sugar\n1 tsp vinegar\n\nWhisk the whites until stiff, then whisk in the sugar a tablespoon at a time.',
    );
    expect(r.steps.map((s) => s.work)).toEqual(['whisk', 'whisk']);
  });
  it('a frosting told in one breath is one bowl, and the cream that lightens it another', () => {
    const r = read(
      'so basically my cream cheese frosting is: one block of cream cheese 8 oz, full fat not the tub, one stick of butter, both properly soft. beat the butter first till it is pale, like three minutes, then the cream cheese goes in. two and a half cups of powdered sugar sifted, in two goes, a teaspoon of vanilla and a tiny pinch of salt. then I whip half a cup of heavy cream to stiff peaks and fold that in at the end. does 12 cupcakes',
    );
    expect(r.title).toBe('Cream cheese frosting');
    expect(r.vessel?.shape).not.toBe('tub');
    const of = (part: string) => r.lines.filter((l) => l.part === part).map((l) => l.draft.ingredient?.id);
    const cheese = r.lines.find((l) => l.draft.ingredient?.id === 'cream-cheese-block')!.part!;
    expect(of(cheese)).toEqual(expect.arrayContaining(['cream-cheese-block', 'butter-82', 'icing-sugar-starch', 'vanilla-extract', 'salt']));
    expect(r.parts.map((p) => p.kind)).toContain('whipped-cream');
  });
  it.each(['Chill in the ice box over night.', 'Leave in the ice-box for 8 hours.'])('%s', (said) => {
    expect(read(`Cream\n\n300ml cream\n\nWhip the cream to soft peaks. Spoon into glasses. ${said}`).steps.at(-1)!.work).toBe('chill');
  });
  it('biscuits in a food bag are only crushed there', () => {
    const r = read(
      'Base\n\n200g ginger nuts\n75g butter\n\nPut the biscuits in a food bag and bash to crumbs. Melt the butter, stir in the crumbs. Press into a 23cm tin.',
    );
    expect(r.steps[0]!.work).toBe('hands');
  });
  it('meringues baked in two tins stand as one cake', () => {
    const text = 'Line two 20cm sandwich tins. Divide the meringue between the tins. Bake for 40 minutes. Whip the cream, sandwich the meringues with it.';
    expect(vesselIn(text)).toMatchObject({ shape: 'free', acrossMm: 200, count: 1 });
    expect(vesselIn('Divide between two 20cm cake tins.')).toMatchObject({ shape: 'round', acrossMm: 200, count: 2 });
  });
});

describe('said without a verb, or with something before it', () => {
  const works = (method: string, list = '300 ml cream\n4 eggs\n100 g sugar\n200 g raspberries') =>
    read(`Cream\n\n${list}\n\n${method}`).steps.map((s) => s.work);
  it('how fast is no place that something goes into', () => {
    const r = read(
      'Filling\n\n500 g cream cheese\n100 g sugar\n3 eggs\n1 tsp vanilla\n\nBeat the cream cheese with the sugar. Add the eggs one by one on low speed, then the vanilla. Bake at 150 °C for 40 minutes.',
    );
    expect(r.parts).toHaveLength(1);
  });
  it.each(['Before serving, whip the cream and dollop on top.', 'Just before serving, whip the cream and spoon on top.'])('%s', (said) => {
    expect(works(`Toss the raspberries with the sugar. ${said}`).slice(-2)).toEqual(['whisk', 'fill']);
  });
  it.each([
    ['Sugar and water to an amber caramel, almonds in, out onto a mat, cool, bash up.', ['heat', 'wait', 'hands']],
    ['Sugar and water to a deep caramel. Almonds in.', ['heat', 'hands']],
  ])('%s', (said, expected) => expect(works(said, '100 g sugar\n30 g water\n80 g flaked almonds')).toEqual(expected));
  it('what goes into the cream is in its bowl before it is whipped', () => {
    const r = read('Cream\n\n400 g double cream\n1/2 vanilla pod\n\nVanilla seeds into the cream, whip to soft.');
    expect(r.steps.map((s) => s.work)).toEqual(['hands', 'whisk']);
    expect(new Set(r.lines.map((l) => l.part)).size).toBe(1);
  });
  it('coffee and spirit in a tray are the soak, and what lies in turn is laid', () => {
    const r = read(
      'Tiramisu\n\n400 ml espresso\n60 ml marsala\n48 savoiardi\n500 g mascarpone\n200 g cream\n\nWhip the cream soft with the mascarpone. Coffee and marsala in a tray. Dip the savoiardi 1 sec each side. 24 in the dish, half the cream, 24 more, rest of the cream.',
    );
    expect(r.parts.map((p) => p.kind)).toContain('soak');
    expect(r.steps.at(-1)!.work).toBe('fill');
    expect(r.doubts).toEqual([]);
  });
  it('what is left of berries that were kept back is crushed, and the whole ones lie on top', () => {
    const r = read(
      'A pound of raspberries, three ounces of caster sugar and half a pint of double cream. Keep back a few of the raspberries. Crush the rest with two ounces of the sugar. Whip the cream with the rest of the sugar and fold in the crushed raspberries. Spoon into six glasses and put the whole berries on top.',
    );
    const grams = (kind: string) =>
      r.lines.filter((l) => l.draft.ingredient?.id === 'raspberry' && r.parts.find((p) => p.id === l.part)!.kind === kind).map((l) => l.draft.grams!);
    expect(grams('topping')[0]!).toBeLessThan(30);
    expect(grams('set-filling')[0]!).toBeGreaterThan(400);
  });
  it('two foams that are folded together, and more in too', () => {
    const r = read(
      'Semifreddo\n\n5 yolks\n120 g honey\n400 g double cream\n80 g praline\n\nWhisk the yolks with the honey until thick and pale. In another bowl whip the cream. Fold together in 2 additions, most of the praline in too. Freeze in a terrine.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(expect.arrayContaining(['egg-foam', 'whipped-cream', 'set-filling']));
  });
  it('‘pour on, whisking, and back in the pan’ is one custard', () => {
    const r = read(
      'Custard\n\n1 litre milk\n8 yolks\n150 g sugar\n40 g cornflour\n\nWhisk the yolks, sugar and cornflour, heat the milk to just below boiling, pour on, whisking, and back in the pan until it boils and thickens.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['custard']);
  });
  it('a custard by its name and how hot', () => {
    const r = read(
      'Mousse\n\n450 g milk\n180 g yolks\n120 g sugar\n900 g chocolate\n\nCrème anglaise with milk, yolks, sugar: 83 °C.\nStrain over the chocolate, emulsify.',
    );
    expect(r.parts[0]!.kind).toBe('custard');
    expect(r.steps[0]!).toMatchObject({ work: 'heat', temperature: { of: 'mix' } });
    expect(r.steps[0]!.temperature!.c).toBeCloseTo(83, 6);
  });
  it('leaf gelatine that is squeezed out and stirred in is in what is warm', () => {
    const r = read(
      'Panna cotta\n\n3 leaves of gelatine\n400 ml milk\n200 ml cream\n75 g sugar\n\nSoak the gelatine in cold water. Heat the milk, cream and sugar until steaming. Remove from the heat, squeeze out the gelatine and stir in until dissolved. Divide between 4 glasses.',
    );
    expect(r.parts).toHaveLength(1);
  });
  it('berries that are tossed with sugar and set aside keep their sugar', () => {
    const r = read(
      'Fool\n\n250 g strawberries\n1 tbsp icing sugar\n3 yolks\n100 g caster sugar\n300 ml cream\n\nToss the strawberries with the icing sugar and set aside for 15 minutes. Whisk the yolks and caster sugar until pale. Whip the cream and fold into the yolks, followed by the strawberries.',
    );
    const part = (id: string) => r.lines.find((l) => l.draft.ingredient?.id.startsWith(id))!.part;
    expect(part('icing-sugar')).toBe(part('strawberry'));
  });
  it('a name in front of work, a count behind a name', () => {
    const r = read('Base\n\nSponge fingers 16\nCream 300 g\n\nWhip the cream. Lay the sponge fingers in a dish and spread the cream over.');
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toEqual(['ladyfinger', 'cream-35']);
  });
  it('milk poured upon yolks is their custard; a mould is no thing of the list', () => {
    const r = read(
      'Line a pint-and-a-half mould with sponge fingers. Bring half a pint of milk to the boil; beat the yolks of four eggs with three ounces of sugar, pour the milk upon them and stir over a gentle heat till it thickens.',
    );
    expect(r.parts.map((p) => p.kind)).toContain('custard');
    expect(r.lines.some((l) => /mould/.test(l.draft.written))).toBe(false);
  });
  it('the juice of one and a half, of the lemons just named', () => {
    const r = read('Beat 500 g of cream cheese with 100 g of icing sugar. Zest of two lemons and the juice of one and a half goes into that.');
    const juice = r.lines.find((l) => l.draft.ingredient?.id === 'lemon-juice')!;
    const one = read('Beat 500 g of cream cheese with the juice of one lemon.').lines.find((l) => l.draft.ingredient?.id === 'lemon-juice')!;
    expect(juice.draft.grams! / one.draft.grams!).toBeCloseTo(1.5, 6);
    expect(juice.part).toBe(r.lines[0]!.part);
  });
  it('juice and zest of one fruit stand in a list between commas', () => {
    const r = read(
      'Trifle\n\nsyllabub: 1.2 litres double cream, 180g caster sugar, juice and zest of 4 lemons\n\nStir the sugar into the juice and zest, pour in the cream and whisk until it holds.',
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id).sort()).toEqual(['cream-48', 'lemon-juice', 'lemon-zest', 'sugar-caster']);
  });
});

describe('what has become of it, and what lies on top', () => {
  it('the purée of the berries goes in, though the larder has one too', () => {
    const r = read(
      'Posset\n\n300 g blackberries\n600 ml double cream\n150 g sugar\n\nCook the blackberries in a pan for 5 minutes. Push through a sieve.\nBoil the cream with the sugar. Stir in the blackberry purée.',
    );
    expect(r.parts.find((p) => p.kind === 'set-filling')!.takes.map((t) => r.parts.find((p) => p.id === t.part)!.kind)).toEqual(['fruit-base']);
  });
  it('jam that is brushed over fruit glazes it; coffee that is brushed on fingers soaks them', () => {
    const of = (text: string) => read(text).parts.map((p) => p.kind);
    const tart = of(
      'Tart\n\n250 g mascarpone\n200 ml cream\n400 g strawberries\n2 tbsp strawberry jam\n\nWhip the mascarpone with the cream. Spread in a 24 cm tart case. Halve the strawberries and arrange in circles. Warm the jam and brush over the fruit.',
    );
    expect(tart).toEqual(['cheese-cream', 'topping', 'topping']);
    expect(
      of('Trifle\n\n20 savoiardi\n200 ml coffee\n300 ml cream\n\nLay the savoiardi in a dish. Brush with the coffee. Whip the cream and spread over.'),
    ).toContain('soak');
  });
  it('nuts that are pressed on at the end are those of the top', () => {
    const r = read(
      'Cake\n\nDacquoise\n4 egg whites\n150g ground hazelnuts\n\nCream\n400 ml cream\n\nTo finish\n50g hazelnuts, chopped\n\nWhisk the whites to stiff peaks. Fold in the ground hazelnuts. Bake for 1 hour. Whip the cream. Sandwich the discs with the cream. Press on the chopped hazelnuts.',
    );
    expect(r.steps.at(-1)!.work).toBe('finish');
    expect(r.lines.find((l) => l.draft.grams === 50)!.step).toBe(r.steps.length - 1);
  });
  it('butter and a spoon of coffee in a foam of yolks make a buttercream', () => {
    const r = read(
      'Buttercream\n\n4 egg yolks\n120g caster sugar\n60ml water\n250g unsalted butter, softened\n1 tbsp instant coffee dissolved in 1 tbsp boiling water\n\nBoil the sugar and water to 115°C. Whisk the yolks until pale. Pour the syrup onto the yolks, whisking until cool. Beat in the butter a little at a time, then the coffee.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['buttercream']);
  });
  it('yolks whisked over steam until pale are a foam, and mascarpone comes to it', () => {
    const r = read(
      'Tiramisu\n\n4 egg yolks\n100 g sugar\n250 g mascarpone\n\nWhisk the yolks and sugar in a bowl over simmering water until pale and thick and 71 °C. Remove from the heat, then whisk in the mascarpone.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['egg-foam', 'set-filling']);
    // Stirred with milk over the same steam it is a custard.
    const custard = read(
      'Custard\n\n4 egg yolks\n100 g sugar\n250 g milk\n\nWhisk the yolks, sugar and milk in a bowl over simmering water until pale and thick.',
    );
    expect(custard.parts.map((p) => p.kind)).toEqual(['custard']);
  });
  it('‘off heat:’ and what goes in', () => {
    const r = read(
      'Custard\n\n500 ml milk\n5 yolks\n150 g sugar\n30 g butter\n2 tsp vanilla\n\nHeat the milk, whisk the yolks and sugar, pour on, back in the pan and cook until thick. Off heat: butter, vanilla.',
    );
    expect(r.doubts).toEqual([]);
    expect(r.parts.map((p) => p.kind)).toEqual(['custard']);
  });
  it('a cup of lemon juice and the zest of two is no juice of two besides', () => {
    const r = read('Whisk a can of condensed milk (397 g) with a cup of lemon juice and the zest of two lemons.');
    expect(r.lines.filter((l) => l.draft.ingredient?.id === 'lemon-juice')).toHaveLength(1);
    expect(r.lines.filter((l) => l.draft.ingredient?.id === 'lemon-zest')).toHaveLength(1);
  });
  it('‘a sleeve and a half, that’s about 13 of them’ is counted', () => {
    const r = read("Crush up a sleeve and a half of graham crackers, that's about 13 of them, and mix with 6 tablespoons of melted butter.");
    const cracker = r.lines[0]!.draft;
    expect(cracker.grams).toBeCloseTo(13 * cracker.ingredient!.piece!.grams, 6);
  });
  it('‘mould in’ is work, and glasses of a list are nothing to eat', () => {
    const r = read('Pots\n\nYou want 4 glasses.\n300 ml cream\n50 g sugar\n\nWhip the cream with the sugar. Divide between the glasses.');
    expect(r.vessel).toMatchObject({ shape: 'glass', count: 4 });
    expect(r.lines).toHaveLength(2);
    expect(read('Bombe\n\n400 g cream\n\nWhip the cream to soft peaks. Mould in a 1 litre bombe mould. Freeze for 12 hours.').steps.map((s) => s.work)).toEqual(
      ['whisk', 'fill', 'freeze'],
    );
  });
  it.each([
    ['2 bay leaves', 'bay-leaf'],
    ['a handful of mint leaves', 'mint'],
    ['1 tsp dried lavender', 'lavender'],
    ['3 sprigs thyme', 'thyme'],
    ['1 stalk lemongrass', 'lemongrass'],
  ])('%s is that, and no other herb', (row, id) => {
    expect(read(`Cream\n\n300 ml cream\n${row}\n\nWarm the cream.`).lines.map((l) => l.draft.ingredient?.id)).toContain(id);
  });
});

describe('what needs no article, and things of a list alone', () => {
  it('‘add to custard’, ‘fold through custard’, and full-cream milk is no cream', () => {
    const r = read(
      'Bavarois\n\n250 ml full-cream milk\n3 egg yolks\n75 g sugar\n3 gelatine leaves\n250 ml thickened cream\n\nBoil the milk. Whisk egg yolks and sugar until pale. Gradually whisk in hot milk. Stir over low heat until it coats the spoon. Soak gelatine in cold water. Squeeze out excess water, add to custard and stir until dissolved. Cool. Whisk cream to soft peaks and fold through custard.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['custard', 'whipped-cream', 'set-filling']);
    expect(r.parts[2]!.takes).toHaveLength(2);
    expect(r.lines.find((l) => l.draft.ingredient?.id.startsWith('gelatin'))!.part).toBe(r.parts[0]!.id);
  });
  it('a little of what was cooked goes into a bowl of its own', () => {
    const r = read(
      'Syllabub\n\n400g rhubarb\n75g sugar\n100ml sweet wine\n300ml double cream\n\nSimmer the rhubarb with the sugar until soft. Cool. Pour the wine and cream into a bowl with 3 tbsp of the rhubarb juices and whip until it holds soft peaks. Fold in two thirds of the rhubarb.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['fruit-base', 'whipped-cream', 'set-filling']);
  });
  it('so many hours in the freezer, behind a comma', () => {
    const r = read('Parfait\n\n400 g cream\n\nWhip the cream to soft peaks. Spoon into a lined loaf tin, 12 hours in the freezer.');
    expect(r.steps.map((s) => s.work)).toEqual(['whisk', 'fill', 'freeze']);
    expect(r.steps.at(-1)!.minutes).toEqual([720, 720]);
  });
  it('eggs one at a time, then what stands with them in the list: one bowl', () => {
    const r = read(
      'Cheesecake\n\n400 g cream cheese\n130 g sugar\n2 eggs + 1 yolk\n180 ml cream\n1/2 tsp vanilla\n\nCheese and sugar: beat 1 minute, slow. Eggs one at a time. Cream, vanilla. Fill the cups. Bake 18 minutes at 230 C.',
    );
    expect(r.parts).toHaveLength(1);
    expect(r.doubts).toEqual([]);
  });
  it('things alone that are to be dipped in go into no cream', () => {
    const r = read(
      'Tiramisu\n\n500 g mascarpone\n100 g sugar\n300 ml espresso\n60 ml rum\n24 savoiardi\n\nBeat the mascarpone with the sugar. Espresso, rum. Dip the savoiardi and lay them in a dish. Spread the cream over.',
    );
    expect(r.parts.find((p) => p.kind === 'soak')).toBeDefined();
    expect(r.lines.filter((l) => l.part === r.lines[0]!.part).map((l) => l.draft.ingredient?.id)).not.toContain('rum-40');
  });
  it('of several sugars the one whose bracket says what it is for', () => {
    const r = read(
      'Snow eggs\n\nMilk 750 ml\nYolks 6\nSugar 120 g (custard)\nWhites 6\nSugar 90 g (snow)\n\nBeat the whites to a snow, adding the sugar. Warm the milk. Strain the milk; make a custard with the yolks and the sugar at 83 °C.',
    );
    const of = (kind: string) =>
      r.lines.filter((l) => r.parts.find((p) => p.id === l.part)!.kind === kind && l.draft.ingredient?.id.startsWith('sugar')).map((l) => l.draft.grams);
    expect(of('egg-foam')).toEqual([90]);
    expect(of('custard')).toEqual([120]);
    expect(r.parts).toHaveLength(2);
  });
  it('what is to decorate waits for that; a glass trifle bowl is a bowl', () => {
    const r = read(
      'Trifle\n\n400g brownies\n300g cherries in syrup\n500ml custard\nfresh cherries, to decorate\n\nArrange the brownies in a large glass trifle bowl. Scatter over the cherries. Pour over the custard. Chill for 1 hour. Decorate with fresh cherries.',
    );
    expect(r.vessel).toMatchObject({ shape: 'bowl' });
    const step = (id: string) => r.lines.find((l) => l.draft.ingredient?.id === id)!.step!;
    expect(step('cherry-in-syrup')).toBe(1);
    expect(step('cherry-sweet')).toBe(r.steps.length - 1);
  });
});

describe('a thing, how large it is and what it weighs', () => {
  const of = (row: string) => read(`Trifle\n\n${row}\n300 ml cream\n\nWhip the cream.`).lines[0]!.draft;
  it.each([
    ['1 sponge cake, about 24 cm, 400 g', 'genoise', 400],
    ['1 sponge cake, about 400 g', 'genoise', 400],
    ['2 mangoes, about 400 g', 'mango', 400],
    ['12 small pastry cases', 'tartlet-case', 240],
    ['12 mini tart shells', 'tartlet-case', 240],
    ['1 pastry case, 23 cm', 'pie-crust', 200],
    ['6 hot cross buns, sliced', 'fruit-bun', 390],
  ])('%s', (row, id, grams) => {
    expect(of(row)).toMatchObject({ written: row, ingredient: { id } });
    expect(of(row).grams).toBeCloseTo(grams, 6);
  });
  it('centimetres are no count', () => {
    const sponge = of('Sponge base, 20cm, shop bought');
    expect(sponge.grams).toBe(sponge.ingredient!.piece!.grams);
  });
  it('a jelly of a packet is by its sort', () => {
    expect(of('135g packet orange jelly')).toMatchObject({ ingredient: { id: 'jelly-cubes' }, grams: 135 });
  });
});

describe('layers and pieces told', () => {
  it('‘continue to layer’ lays, and mixes nothing', () => {
    const r = read(
      'Pudding\n\n500 ml milk\n4 egg yolks\n100 g sugar\n30 g flour\n300 g vanilla wafers\n6 bananas\n\nHeat the milk, yolks, sugar and flour, stirring until thick. Cover with a layer of wafers, then a layer of sliced bananas. Continue to layer wafers, bananas and custard, ending with custard.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['custard', 'biscuit-layer', 'topping']);
    expect(r.steps.at(-1)!.work).toBe('fill');
  });
  it('fruit that is cut and put on each is all of it', () => {
    const r = read(
      'Tartlets\n\n250 g ricotta\n40 g honey\n6 figs\n\nBeat the ricotta with the honey. Fill 12 glasses. Quarter the figs and pop two pieces on each.',
    );
    expect(r.lines.filter((l) => l.draft.ingredient?.id === 'fig')).toHaveLength(1);
    expect(r.doubts).toEqual([]);
  });
  it('yolks with lemon whisked over steam until pale are a foam; beaten, then cooked until thick they are none', () => {
    const list = '4 egg yolks\n100g sugar\njuice of 2 lemons';
    expect(
      read(`Foam\n\n${list}\n\nWhisk the yolks, sugar and juice over simmering water until thick and pale. Take off the heat and whisk until cool.`).parts.map(
        (p) => p.kind,
      ),
    ).toEqual(['egg-foam']);
    expect(
      read(`Curd\n\n${list}\n\nBeat the yolks with the sugar, add the lemon juice and cook in a double boiler till thick.`).parts.map((p) => p.kind),
    ).toEqual(['custard']);
  });
  it('ice cream beside a sponge soaks nothing', () => {
    const r = read(
      'Bombe\n\n1 sponge cake, 400 g\n1 litre vanilla ice cream\n\nSoften the ice cream and pack it into a 1 litre basin. Freeze for 4 hours. Lay the sponge on top.',
    );
    expect(r.parts.map((p) => p.kind)).not.toContain('soak');
  });
});

describe('lists in a row, and what comes behind them', () => {
  it('a thing in a row of its own is not of the list in the row above; hot water is that of its list', () => {
    const r = read(
      'Tiramisu\n\nFor the cream: 250g mascarpone, 250ml cream\nFor the dip: 120ml limoncello, 120ml water, 30g sugar\n24 savoiardi\nlemon zest\n\nDip: dissolve the sugar in the hot water, add the limoncello.\nCream: whip everything together.\nDip the savoiardi, line a 20x20 dish. Spread the cream over.\nZest on top.',
    );
    const part = (id: string) => r.parts.find((p) => p.id === r.lines.find((l) => l.draft.ingredient?.id.startsWith(id))!.part)!.kind;
    expect(part('water')).toBe('soak');
    expect(part('lemon-zest')).toBe('topping');
    expect(r.doubts.map((d) => d.about)).not.toContain('120ml water');
  });
  it('what it becomes is no bowl that goes in, and ‘for the cream’ names no cream', () => {
    const r = read(
      'Slice\n\nCream\n500ml milk\n4 egg yolks\n120g sugar\n50g cornflour\n400ml whipping cream\n\nCherries\n350g cherries\n20g cornflour\n40g sugar\n\nBoil the cherries with the sugar, thicken with the cornflour. Cool.\nFor the cream, cook milk, yolks, sugar and cornflour to a custard. Cool.\nWhip the cream and fold in.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['fruit-base', 'custard', 'whipped-cream', 'set-filling']);
  });
  it('poured over chocolate in three times it melts it', () => {
    const r = read(
      'Ganache\n\n340 g white chocolate\n200 g whole milk\n5 g gelatine\n25 g water for gelatine\n400 g cream\n\nHydrate the gelatine in the water. Heat the milk to 80 °C, add the gelatine mass. Pour in 3 times over the half-melted chocolate to form an emulsion. Add the cold cream. Crystallise 12 h at 4 °C.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['chocolate-base']);
    expect(r.steps.at(-1)).toMatchObject({ work: 'chill', minutes: [720, 720] });
  });
  it('the rind of a lemon, thinly, and the juice with it', () => {
    const r = read(
      'Pare the rind of 1 lemon thinly and put it with the juice and 150ml sweet sherry into a bowl. Pour in 300ml double cream and whisk until it holds.',
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id).sort()).toEqual(['cream-48', 'lemon-juice', 'lemon-zest', 'sherry-17']);
    expect(r.lines.every((l) => l.draft.grams !== null)).toBe(true);
  });
  it('one glass dish is no one glass', () => {
    const r = read('Tiramisu, one glass dish (6-8)\n\n300 ml cream\n\nWhip the cream. Spread in a 20x20 dish.');
    expect(r.portions).toEqual({ low: 6, high: 8 });
  });
});

describe('a base, and what is made while it hardens', () => {
  const cheesecake = read(
    'Cheesecake\n\nFor the base\n300g digestive biscuits\n120g butter, melted\n\nFor the filling\n200g orange-flavoured milk chocolate\n600g cream cheese\n100g icing sugar\n300ml double cream\n\nTo decorate\n50g dark chocolate, melted\norange segments\n\nGrease and line the base of a 23cm springform tin. Blitz the biscuits to crumbs, add the melted butter and pulse to combine. Tip into the tin, press down firmly and chill while you make the filling.\nMelt the orange chocolate, then leave to cool slightly.\nBeat the cream cheese and icing sugar until smooth. In a separate bowl, whip the cream to soft peaks. Fold the melted chocolate into the cream cheese mixture, then fold in the whipped cream.\nSpoon onto the base. Chill for 6 hours. Drizzle with the melted dark chocolate and decorate with orange segments.',
  );
  const step = (id: string) => cheesecake.lines.find((l) => l.draft.ingredient?.id.startsWith(id))!.step!;
  it('the base of a tin is lined, and the base is pressed', () => {
    expect(cheesecake.steps.slice(0, 2).map((s) => s.work)).toEqual(['hands', 'hands']);
    expect(cheesecake.parts[0]!.kind).toBe('pressed-base');
  });
  it('what is made meanwhile is used where it is made', () => {
    const chill = cheesecake.steps.findIndex((s) => s.work === 'chill');
    for (const id of ['chocolate-milk', 'cream-cheese', 'icing-sugar', 'cream-48']) expect(step(id)).toBeGreaterThan(chill);
  });
  it('a base that hardens is not yet chilled for its top', () => {
    expect(cheesecake.parts.find((p) => p.id === cheesecake.lines.find((l) => l.draft.ingredient?.id === 'chocolate-dark-64')!.part)!.kind).toBe('topping');
    expect(step('chocolate-dark-64')).toBeGreaterThan(step('cream-48'));
  });
  it('pastry cream is smoothed before anything lies, and where the layers lie is no list', () => {
    const r = read(
      'Torta\n\nPuff pastry 250 g\nsponge disc 150 g\nwhole milk 500 g\nyolks 120 g\nsugar 140 g\ncorn starch 40 g\nwhipping cream 250 g\n\nPastry cream: boil the milk; mix yolks, sugar and starch; pour in the hot milk and cook until thick. Cool quickly.\nWhip the cream, smooth the pastry cream and fold the two together.\nOn a board: pastry, half the cream, the sponge, the rest of the cream, second pastry. Press lightly.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['custard', 'whipped-cream', 'set-filling', 'biscuit-layer']);
    expect(r.lines).toHaveLength(7);
  });
  it.each([
    ['1 x 23cm sweet pastry case, baked blind', 'pie-crust', 200],
    ['Shortbread fingers 8, to serve', 'shortbread', 80],
    ['8 sponge fingers', 'ladyfinger', 64],
  ])('%s', (row, id, grams) => {
    const { draft } = read(`Tart\n\n${row}\n300 ml cream\n\nWhip the cream.`).lines[0]!;
    expect(draft.ingredient?.id).toBe(id);
    expect(draft.grams).toBeCloseTo(grams, 6);
  });
  it('muslin is folded over by hand; jars are counted in the name', () => {
    const r = read(
      'Hearts (4 x 120 ml moulds)\n\n225 g cream cheese\n300 ml cream\n\nBeat the cheese. Whip the cream and fold it in. Fill the moulds and fold the muslin over.',
    );
    expect(r.steps.at(-1)!.work).toBe('hands');
    expect(vesselIn('Trifle Jars (8 x 250ml). Share between the jars.')).toMatchObject({ shape: 'glass', count: 8, eachMl: 250 });
  });
});

describe('done before, out of a tin, and kept whole', () => {
  it('a time that something else took is none of this step', () => {
    const r = read("Dissolve a packet of jelly in 300 ml of boiling water. Whisk in 170 g of evaporated milk that you've had in the fridge overnight.");
    expect(r.steps.at(-1)!.minutes).toBeNull();
  });
  it('aquafaba is measured by its bracket and foams', () => {
    const r = read(
      'Mousse\n\n150g dark chocolate\naquafaba from a 400g tin of chickpeas (about 130ml)\n40g caster sugar\n\nMelt the chocolate. Whisk the aquafaba until it holds stiff peaks. Add the sugar and whisk until glossy. Fold a third into the chocolate, then fold in the rest.',
    );
    const foam = r.parts.find((p) => p.id === r.lines.find((l) => l.draft.ingredient?.id === 'aquafaba')!.part)!;
    expect(foam).toMatchObject({ kind: 'egg-foam', name: 'Aquafaba foam' });
    expect(r.lines.find((l) => l.draft.ingredient?.id === 'aquafaba')!.draft.grams).toBeCloseTo(130 * 1.02, 6);
  });
  it('gelatine swells in the water of its list', () => {
    const r = read(
      'Mousse\n\n12 g gelatin powder\n60 ml water\n397 g dulce de leche\n\nHydrate the gelatin in the cold water and dissolve over a bain-marie. Mix the dulce de leche with the dissolved gelatin.',
    );
    expect(r.doubts).toEqual([]);
    expect(r.lines.find((l) => l.draft.ingredient?.id === 'water')!.step).toBe(0);
  });
  it('berries with their juice go in, those kept whole go on top', () => {
    const r = read(
      'Romanoff\n\n600 g strawberries\n60 ml orange liqueur\n25 g sugar\n240 ml cream\n280 g vanilla ice cream\n\nSlice most of the strawberries, keeping 6 whole for garnish. Toss with the liqueur and sugar. Whip the cream until soft. Fold the ice cream into the cream, then the berries with their juice. Spoon into 6 glasses and top each with a whole strawberry.',
    );
    const kinds = r.lines.filter((l) => l.draft.ingredient?.id === 'strawberry').map((l) => r.parts.find((p) => p.id === l.part)!.kind);
    expect(kinds.sort()).toEqual(['set-filling', 'topping']);
  });
});

describe('two things in a row, a pot on the heat, eggs apart', () => {
  it('both things of a row are taken, each with its measure', () => {
    const r = read(
      'Cranachan\n\n60g pinhead or medium oatmeal, 1 tbsp soft brown sugar\n300ml double cream\n\nToast the oatmeal with the sugar. Whip the cream. Fold in the oatmeal.',
    );
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toEqual(['oat-rolled', 'sugar-light-brown', 'cream-48']);
  });
  it('‘return to pot’ puts nothing in a pot to serve', () => {
    const r = read(
      'Filling\n\n500 ml milk\n5 egg yolks\n125 g sugar\n45 g cornstarch\n50 g butter\n\nScald milk. Whisk yolks, sugar and cornstarch; temper with the milk; return to pot and boil 1 minute. Off heat whisk in butter.',
    );
    expect(r.parts).toHaveLength(1);
    expect(r.steps.some((s) => s.work === 'fill')).toBe(false);
  });
  it('yolks of separated eggs that no step names are asked about, not whisked with the whites', () => {
    const r = read('Snow\n\n3 eggs, separated\n100 g sugar\n\nWhisk the egg whites with the sugar until stiff.');
    expect(r.doubts.map((d) => d.says)).toContain('no step names it');
  });
  it('a Swiss roll weighs what is said, glasses hold three quarters of a cup', () => {
    expect(read('Trifle\n\n1 jam Swiss roll, about 350g, sliced\n300 ml cream\n\nWhip the cream.').lines[0]!.draft.grams).toBe(350);
    expect(vesselIn('Spoon into six 3/4-cup glasses.')).toMatchObject({ shape: 'glass', count: 6 });
  });
  it('the base of a semifreddo is what was whisked before', () => {
    const r = read(
      'Semifreddo\n\nYolks 200g\nSugar 180g\nCream 700g\n\nYolks and sugar on the bain marie to 82 °C, whisk continuously. Mixer, full speed, until cold.\nCream to soft peaks.\nFold cream into base 1/3 + 2/3.',
    );
    expect(r.steps.map((s) => s.work)).toEqual(['heat', 'whisk', 'whisk', 'fold']);
    expect(r.parts.map((p) => p.kind)).toEqual(['egg-foam', 'whipped-cream', 'set-filling']);
  });
});

describe('cups that are no degrees, and fruit that is simmered', () => {
  it('‘1 c. chocolate chips’ is a cup, ‘fridge at 4 c’ and ‘75 c’ are degrees', () => {
    const r = read('Bars\n\n1 cup cream\n\nTop: 1 c. chocolate chips melted w/ 1/2 c. cream. Pour over. Chill 4 hours.');
    expect(r.steps.every((s) => s.temperature === null)).toBe(true);
    expect(r.lines.map((l) => l.draft.ingredient?.id)).toContain('chocolate-chips');
    expect(temperaturesIn('heat to 75 c until thick', false)).toHaveLength(1);
    expect(temperaturesIn('keep at 4 c', false)).toHaveLength(1);
  });
  it('zest of two and the juice of all four', () => {
    const r = read(
      'Posset\n\n600ml double cream\n140g sugar\n4 limes (zest of 2, juice of all)\n\nBoil the cream with the sugar. Whisk in the lime zest and juice.',
    );
    const grams = (id: string) => r.lines.find((l) => l.draft.ingredient?.id === id)!.draft.grams!;
    const one = (of: string) => read(`Posset\n\n600ml double cream\n${of} of 1 lime\n\nBoil the cream. Whisk in the lime ${of}.`).lines[1]!.draft.grams!;
    expect(grams('lime-zest')).toBeCloseTo(2 * one('zest'), 6);
    expect(grams('lime-juice')).toBeCloseTo(4 * one('juice'), 6);
  });
  it('plums that were halved are what is simmered with the wine', () => {
    const r = read('Plums\n\n500 g plums\n50 g sugar\n100 ml red wine\n\nHalve the plums and simmer with the sugar and wine for 10 minutes.');
    expect(r.parts.map((p) => p.kind)).toEqual(['fruit-base']);
    expect(r.lines).toHaveLength(3);
  });
  it('what a cook is asked for is no step', () => {
    expect(read('Frosting\n\n480 ml cream\n60 g sugar\n\nI get asked for this all the time!\n\nWhip the cream with the sugar.').steps).toHaveLength(1);
  });
});

describe('full stops between things, and what was melted', () => {
  it('a list whose things end in full stops', () => {
    const r = read(
      'Lemon sponge\n\n1 tablespoon gelatine. 1/4 cup cold water. 1 cup boiling water. 3/4 cup sugar. 1/4 cup lemon juice. 2 egg whites.\n\nSoak the gelatine in the cold water and dissolve in the boiling water. Add sugar and lemon juice. Whisk the whites until stiff and fold in.',
    );
    expect(r.lines).toHaveLength(6);
    expect(r.doubts).toEqual([]);
  });
  it('sugar goes into the butter that was melted, and what is baked with flour is a cake, with chocolate in it too', () => {
    const r = read(
      'Blondie\n\n125g butter\n150g light brown sugar\n1 egg\n125g plain flour\n75g white chocolate chips\n\nMelt the butter, mix with the sugar, beat in the egg, stir in the flour and chocolate chips. Bake in a 20cm square tin at 170C for 18 minutes.',
    );
    expect(r.parts.map((p) => p.kind)).toEqual(['biscuit-layer']);
    // Crumbs that were crushed take what is mixed with them, whatever was melted before.
    const base = read(
      'Tart\n\n200 g chocolate\n200 g digestive biscuits\n80 g butter\n\nMelt the chocolate. Crush the biscuits, mix with the butter and press into a tin.',
    );
    expect(base.parts.map((p) => p.kind)).toContain('pressed-base');
    expect(base.lines.filter((l) => l.part === base.lines[1]!.part)).toHaveLength(2);
  });
});

describe('how many, in what, and what is called', () => {
  it('glasses are counted where they stand, not by a cup of cream', () => {
    expect(vesselIn('Beat 1 1/2 cups cream. Divide the cake among eight 8-ounce glasses.')).toMatchObject({ shape: 'glass', count: 8, eachMl: 237 });
  });
  it('what is mixed in a large bowl is not served from it', () => {
    expect(vesselIn('Whisk together condensed milk, orange juice and orange zest in a large bowl.')).toBeNull();
    expect(vesselIn('Whip the cream. Spoon it all into a large bowl.')).toMatchObject({ shape: 'bowl' });
  });
  it('a crust of a size in the list is what it is made in', () => {
    const r = read('Pie\n\n1 (9 inch) graham cracker crust\n1 1/2 cups heavy cream\n\nBeat the cream until stiff. Spread in the crust. Freeze 4 hours.');
    expect(r.vessel).toMatchObject({ shape: 'tart' });
  });
  it('the size behind a dash is no name', () => {
    const r = read('Honey semifreddo -- 10 slices\n\n300 ml cream\n50 g honey\n\nWhip the cream with the honey. Freeze in a loaf tin.');
    expect(r.title).toBe('Honey semifreddo');
    expect(r.portions).toEqual({ low: 10, high: 10 });
  });
  it('‘Step 3:’ before a step that was read leaves nothing unread', () => {
    const r = read('Cream\n\n300 ml cream\n20 g sugar\n\nStep 1: Whip the cream with the sugar.\nStep 2: Spoon into 4 glasses.\nStep 3: Chill for 2 hours.');
    expect(r.unread).toEqual([]);
  });
  it('a handful in the list and a few in the step are the same berries', () => {
    const r = read('Tart\n\n200 ml cream\nhandful of raspberries\n\nWhip the cream. Serve in slices with the cream and a few raspberries.');
    expect(r.lines.filter((l) => l.draft.ingredient?.id === 'raspberry')).toHaveLength(1);
  });
});

describe('a row that names a part of the same recipe', () => {
  const recipe = (row: string, heading = 'Pastry cream') =>
    read(
      `Diplomat cream tart\n\n${heading}\n500 ml whole milk\n100 g egg yolks\n120 g sugar\n45 g cornflour\n\nDiplomat cream\n${row}\n200 g whipping cream 35 %\n\nWhisk the yolks, sugar and cornflour. Boil the milk, pour on, return to the pan and cook until thick. Chill.\nWhip the cream to soft peaks and fold into the pastry cream.`,
    );
  it.each(['250 g pastry cream (see above)', '250 g pastry cream', '250 g of the pastry cream', '250 g pastry cream, recipe above'])('%s', (row) => {
    const r = recipe(row);
    const diplomat = r.parts.find((p) => p.name === 'Diplomat cream')!;
    expect(diplomat.feeds.map((f) => f.text)).toEqual([row.replace(/ \(see above\)|, recipe above/, '')]);
    expect(diplomat.takes.map((t) => r.parts.find((p) => p.id === t.part)?.name)).toEqual(['Pastry cream']);
    expect(r.doubts).toEqual([]);
  });
  it('what is called otherwise, or by one word, is a thing of the list', () => {
    // A cream of the carton under another heading than 'Cream'.
    const r = recipe('100 g cream', 'Cream');
    expect(r.parts.flatMap((p) => p.feeds)).toEqual([]);
  });
});
