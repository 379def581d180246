import { describe, expect, it } from 'vitest';
import { GANNET_QUAY } from '../../testing/gannet-quay';
import { writtenSheet } from '../../testing/written';
import { DAILY } from '../kitchen/usual-crew';
import { newDishCache } from './dish';
import { planService, type PlannedTask } from './service-plan';
import { EMPTY_SERVICE } from './usual';
import { localTime, minuteOf } from './zone';

/** One cook from seven until half past ten, in London, on the Wednesday before; dessert on Friday. */
const ZONE = 'Europe/London';
const CREW = [{ id: 'c', name: 'Cook', hours: [{ days: DAILY, from: '07:00', to: '22:30' }] }];

/** The plan of a recipe as it is told, served on Friday at seven in the evening. */
function told(text: string, at = '2026-11-27T19:00', from = '2026-11-24T09:00') {
  const sheet = writtenSheet(text);
  const service = {
    ...EMPTY_SERVICE,
    name: 'Dinner',
    zone: ZONE,
    servings: [{ id: 'a', sheetId: 'a', at, portions: sheet.portions, vessel: null, placeId: null, batchId: null }],
    crew: CREW,
  };
  const answer = planService({ service, kitchen: GANNET_QUAY, sheets: new Map([['a', sheet]]), batches: new Map(), now: minuteOf(from, ZONE) }, newDishCache());
  if (!answer.ok) throw new Error(answer.fault.says);
  if (!answer.value.ok) throw new Error(answer.value.says);
  const { tasks } = answer.value.plan;
  const task = (word: RegExp): PlannedTask => {
    const found = tasks.find((t) => word.test(t.name));
    if (!found) throw new Error(`no task ${String(word)} in ${tasks.map((t) => t.name).join('; ')}`);
    return found;
  };
  return {
    tasks,
    task,
    starts: (word: RegExp) => localTime(task(word).start, ZONE),
    ends: (word: RegExp) => localTime(task(word).end, ZONE),
    order: () =>
      [...tasks]
        .filter((t) => t.stepId !== null && t.kind !== 'served')
        .sort((a, b) => a.start - b.start || a.end - b.end)
        .map((t) => t.name),
  };
}

describe('the plan of a recipe as it is told', () => {
  it('base, foam, cheese, fold, pour, chill: the written order, the foam last of what waits', () => {
    const { order } = told(
      'Cheesecake\n\nBase: 200 g digestive biscuits, 80 g butter, 20 g sugar\nWhipped cream: 300 g cream 36 %, 30 g sugar\nFilling: 200 g mascarpone, 50 g sugar, all of the whipped cream\n\nMix the crumbs with the butter and sugar and press into the tin.\nWhip the cream with the sugar until firm.\nStir the mascarpone with the sugar.\nFold the whipped cream into the mascarpone.\nPour onto the base and chill for 4 hours.',
    );
    expect(order()).toEqual([
      'Mix the crumbs with the butter and sugar',
      'Press into the tin',
      'Whip the cream with the sugar until firm',
      'Stir the mascarpone with the sugar',
      'Fold the whipped cream into the mascarpone',
      'Pour onto the base',
      'Chill for 4 hours',
    ]);
  });
  it('a shell is whisked, baked, left in the oven that was turned off, and only then crowned', () => {
    const p = told(
      'Pavlova\n\nMeringue: 6 egg whites, 300 g sugar\nCream: 250 g heavy cream, 30 g sugar\n\nWhisk the egg whites until stiff, adding the sugar.\nSpoon the meringue onto a lined sheet.\nBake at 225°F for 2 hours. Turn the oven off and leave it in there for another 2 hours.\nWhip the cream with the sugar.\nSpread the cream on the meringue.',
    );
    expect(p.order()).toEqual([
      'Whisk the egg whites until stiff, adding the sugar',
      'Spoon the meringue onto a lined sheet',
      'Bake at 225°F for 2 hours',
      'Turn the oven off',
      'Leave it in there for another 2 hours',
      'Whip the cream with the sugar',
      'Spread the cream on the meringue',
    ]);
    expect(p.task(/Turn the oven off/).start - p.task(/Bake/).end).toBeLessThanOrEqual(5);
    expect(p.task(/Leave it/).start - p.task(/Turn the oven off/).end).toBeLessThanOrEqual(5);
    expect(p.tasks.some((t) => t.name === 'Oven off')).toBe(false);
  });
  it('what is dipped waits until its soak is cool', () => {
    const p = told(
      'Barley tiramisu\n\n300 ml barley coffee\n20 g sugar\n24 ladyfingers\n500 g mascarpone\n300 ml double cream\n80 g icing sugar\n\nBrew the barley coffee with the sugar and let it cool for 2 hours. Whip the cream with the icing sugar and fold into the mascarpone. Dip the ladyfingers in the coffee and line a dish. Spread with the cream. Chill for 6 hours.',
    );
    expect(p.task(/Dip/).start).toBeGreaterThanOrEqual(p.task(/Brew/).end);
  });
  it('whites before cream where both want the one bowl', () => {
    const p = told(
      'Mousse\n\n200 g dark chocolate\n3 egg whites\n30 g sugar\n300 ml cream\n\nMelt the chocolate.\nWhip the cream to soft peaks.\nWhisk the egg whites with the sugar until stiff.\nFold the cream and then the whites into the chocolate.\nSpoon into glasses and chill for 3 hours.',
    );
    expect(p.task(/egg whites with/).end).toBeLessThanOrEqual(p.task(/Whip the cream/).start);
  });

  describe('nights', () => {
    const SHELL =
      'Meringue nests\n\n4 egg whites\n240 g caster sugar\n200 ml double cream\n\nWhisk the whites with the sugar until stiff. Pipe nests. Dry at 100 °C for 2 hours. Leave in the switched-off oven overnight. The next day whip the cream and fill the nests.';
    it('a shell that dries overnight is made the evening before; the oven is turned off while somebody is there', () => {
      const p = told(SHELL);
      expect(p.ends(/Dry/)).toBe('2026-11-26T22:29');
      expect(p.task(/Oven off/)).toMatchObject({ cook: 'Cook', start: p.task(/Dry/).end });
      expect(p.task(/Leave in/).start).toBe(p.task(/Oven off/).end);
      expect(p.starts(/whip the cream/)).toMatch(/^2026-11-27T18/);
      expect(p.task(/Fill/).start).toBeGreaterThanOrEqual(p.task(/whip the cream/).end);
    });
    it('a hot custard goes from its bath into the fridge while somebody is there, and stays there until morning', () => {
      const p = told(
        'Custard cream\n\n500 ml milk\n5 egg yolks\n100 g sugar\n40 g cornflour\n300 ml double cream\n\nThe day before, heat the milk, whisk the yolks with the sugar and cornflour, pour the milk on and cook to 83 °C. Cool in an ice bath for 30 minutes. Chill overnight. Whip the cream and fold it into the custard. Spoon into glasses and chill for 2 hours.',
      );
      expect(p.task(/ice bath/).start - p.task(/Cook to/).end).toBeLessThanOrEqual(5);
      expect(p.task(/Into the fridge/)).toMatchObject({ start: p.task(/ice bath/).end, end: p.task(/overnight/).start });
      expect(p.ends(/Into the fridge/) <= '2026-11-26T22:30').toBe(true);
      expect(p.starts(/Whip the cream/)).toMatch(/^2026-11-27/);
    });
    it('what is filled goes into the cold at once, not after the cook has left', () => {
      const p = told(
        'Semifreddo\n\n4 egg yolks\n120 g sugar\n400 ml double cream\n\nWhisk the yolks and sugar over simmering water until 70 C for 5 minutes. Whisk off the heat until cold. Whip the cream and fold in. Pour into a loaf tin and freeze overnight. Take it out 15 minutes before serving and slice.',
      );
      expect(p.starts(/Freeze overnight/) <= '2026-11-26T22:35').toBe(true);
    });
    it('a bake that nobody could take out is not planned into the night', () => {
      const p = told(
        'Baked cheesecake\n\n200 g digestive biscuits\n90 g butter\n600 g cream cheese\n150 g sugar\n3 eggs\n200 ml soured cream\n\nCrush the biscuits, mix with the melted butter and press into a 23 cm springform. Beat the cheese with the sugar, then the eggs and soured cream. Pour in and bake at 150 C for 1 hour. Leave to cool for 1 hour. Chill overnight.',
      );
      expect(p.task(/Out of the oven/)).toMatchObject({ cook: 'Cook' });
      expect(p.task(/Out of the oven/).start - p.task(/Bake/).end).toBeLessThanOrEqual(5);
      expect(p.ends(/Into the fridge/) <= '2026-11-26T22:30').toBe(true);
    });
    it('dessert for an hour after midnight belongs to the evening: the day before is the day before that', () => {
      expect(told(SHELL, '2026-11-28T00:30').ends(/Dry/)).toBe('2026-11-26T22:29');
    });
  });

  it('‘2 to 3 days ahead’ is two days before, and ‘just before serving’ is not', () => {
    const p = told(
      'Pavlova for Sunday\n\n6 egg whites\n330 g caster sugar\n400 ml double cream\n300 g strawberries\n\n2 to 3 days ahead, whisk the whites with the sugar until stiff, spread on a tray and bake at 120 °C for 1 hour 30 minutes. Leave in the oven, door shut, for 2 to 3 hours. Just before serving whip the cream and top with the strawberries.',
    );
    expect(p.starts(/whisk the whites/)).toMatch(/^2026-11-25T/);
    expect(p.starts(/whip the cream/)).toMatch(/^2026-11-27T18/);
  });
  it('two days, one after the other', () => {
    const p = told(
      'Panettone trifle\n\nTwo days before, make the custard: heat 500 ml milk, whisk 5 egg yolks with 80 g sugar and 30 g cornflour, pour on and cook until thick. Chill. The day before, slice 400 g panettone, line a bowl, sprinkle with 100 ml marsala and pour the custard over. Chill overnight. On the day whip 400 ml double cream and spread on top. Serve in the evening.',
    );
    expect(p.starts(/Cook until thick/)).toMatch(/^2026-11-25T/);
    expect(p.starts(/Pour the custard over/)).toMatch(/^2026-11-26T/);
    expect(p.starts(/whip 400/)).toMatch(/^2026-11-27T/);
  });
  it('in the morning, for the evening', () => {
    const syllabub = (when: string) =>
      told(
        `Syllabub\n\n300 ml double cream\n100 ml sweet wine\n60 g caster sugar\n1 lemon, zest and juice\n\n${when}ix the wine, sugar, zest and juice. Add the cream and whisk to soft peaks. Spoon into glasses and chill.`,
      );
    expect(syllabub('The morning of the evening, m').ends(/Chill|chill/) <= '2026-11-27T12:00').toBe(true);
    // Not said, it is as late as it can be; 'chill' is half an hour at the least.
    const late = syllabub('M');
    expect(late.task(/chill/i).end - late.task(/chill/i).start).toBe(30);
    expect(late.starts(/ix the wine/)).toMatch(/T18/);
  });
  it('chocolate is grated on when the text says, and the cream for the top is whipped last', () => {
    const { order } = told(
      'Chocolate mousse pots\n\n200 g dark chocolate\n400 ml cream\n150 ml cream for the top\n20 g chocolate, grated\n\nMelt the chocolate. Whip the 400 ml cream and fold it in. Spoon into glasses. Chill for 1 hour. Grate the chocolate on and chill for 2 hours more. Just before serving whip the remaining cream and pipe it on top.',
    );
    expect(order().indexOf('Grate the chocolate on')).toBeGreaterThan(order().indexOf('Chill for 1 hour'));
    expect(order().indexOf('Just before serving whip the remaining cream')).toBeGreaterThan(order().indexOf('Grate the chocolate on'));
  });
  it('an oven that the cook turns on is that oven: it is hot when it is needed, and no other is lit', () => {
    const p = told(
      'Nests\n\n4 egg whites\n240 g caster sugar\n\nPreheat the oven to 110 °C. Line two baking sheets. Whisk the whites with the sugar until stiff. Pipe 8 nests. Bake for 90 minutes.',
    );
    expect(p.task(/Bake/).start - p.task(/Preheat/).end).toBeGreaterThanOrEqual(20);
    expect(p.task(/Bake/).start - p.task(/Preheat/).end).toBeLessThanOrEqual(65);
    expect(p.task(/Whisk/).start).toBeGreaterThanOrEqual(p.task(/Preheat/).end);
  });
  it('an hour’s rest is an hour where the cook says so', () => {
    const p = told(
      'Tray tiramisu\n\n24 ladyfingers\n300 ml espresso\n500 g mascarpone\n300 ml double cream\n80 g sugar\n\nWhip the cream with the sugar. Fold into the mascarpone. Dip the ladyfingers and lay them in a tray. Spread the cream over. Rest for one hour in the fridge.',
    );
    expect(p.task(/Rest/).end - p.task(/Rest/).start).toBe(60);
  });
});
