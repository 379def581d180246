import { describe, expect, it } from 'vitest';
import { GANNET_QUAY } from '../../testing/gannet-quay';
import { KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { readCorpus } from '../../testing/reading-corpus';
import { TOLD } from '../../testing/told-recipes';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { cavitiesOf } from '../vessel/profile';
import { ownWorkOf } from './own-work';

const workOf = (sheet: Sheet, times = 1, coldH: number | null = null) => ownWorkOf(analyseSheet(sheet, KITCHEN), KITCHEN, times, coldH);

const CAKE = writtenSheet(
  'Lemon icebox cake\nServes 8\n\n24 digestive biscuits\n500 ml double cream\n60 g icing sugar\n250 g mascarpone\n200 g raspberries\n\nThe day before, whip the cream with the sugar to soft peaks. Beat the mascarpone for 2 minutes and fold it in. Layer the biscuits and the cream in a 900 g loaf tin. Chill for 8 to 12 hours. Bake nothing. Top with the raspberries and serve.',
);

describe('the tasks of a method of the cook’s own', () => {
  const { tasks, gaps } = workOf(CAKE);
  const task = (word: RegExp) => tasks.find((t) => word.test(t.name))!;

  it('are one for each written step, under its own words', () => {
    const steps = CAKE.steps.map((s) => s.title);
    expect(tasks.filter((t) => t.stepId !== null).map((t) => t.name)).toEqual(steps);
  });
  it('take the time that the recipe says, and say so', () => {
    expect(task(/Beat/)).toMatchObject({ minutes: 2, hands: true });
    expect(task(/Beat/).because).toContain('the recipe');
    expect(task(/Chill/)).toMatchObject({ minutes: 480, hands: false, kind: 'cold' });
  });
  it('what says no time takes the usual one, or what Cold computes', () => {
    const vague = writtenSheet('Cream\n\n300 ml double cream\n\nWhip the cream. Spoon into glasses. Chill until set.');
    const chill = (coldH: number | null) => workOf(vague, 1, coldH).tasks.find((t) => t.kind === 'cold')!;
    expect(chill(5.5)).toMatchObject({ minutes: 330 });
    expect(chill(5.5).because).toContain('Cold');
    expect(chill(null).because).toContain('does not say');
  });
  it.each([
    ['Melt the chocolate.', 8],
    ['Beat the mascarpone.', 4],
    ['Fold in the raspberries.', 5],
    ['Crush the biscuits.', 3],
    ['Spoon into glasses.', 6],
    ['Dust with cocoa.', 4],
  ])('‘%s’ with no time is %i minutes of hands', (said, minutes) => {
    const sheet = writtenSheet(`Glasses\n\n200 g dark chocolate\n250 g mascarpone\n200 g raspberries\n100 g digestive biscuits\n10 g cocoa\n\n${said} Serve.`);
    const first = workOf(sheet).tasks.find((t) => said.startsWith(t.name.replace(/\.$/, '').slice(0, 8)))!;
    expect(first).toMatchObject({ minutes, hands: true });
    expect(first.because).toContain(`${minutes}\u00a0min are taken`);
  });
  it.each([
    ['Chill until set.', 120],
    ['Freeze until firm.', 360],
  ])('‘%s’ with no time waits %i minutes', (said, minutes) => {
    const sheet = writtenSheet(`Cream\n\n300 ml double cream\n\nWhip the cream. Spoon into glasses. ${said}`);
    const waits = workOf(sheet).tasks.filter((t) => !t.hands);
    expect(waits.map((t) => t.minutes)).toContain(minutes);
  });
  it('are joined where the words join them: folding waits for both foams', () => {
    const fold = task(/fold/i).key;
    const from = gaps.filter((g) => g.to === fold).map((g) => tasks.find((t) => t.key === g.from)!.name);
    expect(from.some((name) => /whip/i.test(name))).toBe(true);
    expect(from.some((name) => /beat/i.test(name))).toBe(true);
  });
  it('done the day before is over when that day is', () => {
    const whip = task(/whip/i).key;
    expect(gaps.filter((g) => g.from === whip && g.on !== undefined)).toEqual([
      { from: whip, to: 'served', min: 0, max: null, on: { days: 1, by: null }, says: 'done the day before' },
    ]);
  });
  it('an oven is hot before it is needed, and no sooner', () => {
    const nests = workOf(
      writtenSheet('Nests\n\n4 egg whites\n240 g caster sugar\n\nWhisk the whites with the sugar until stiff. Bake at 110 °C for 90 minutes.'),
    );
    const bake = nests.tasks.find((t) => t.kind === 'oven')!;
    const hot = nests.tasks.find((t) => t.kind === 'ahead')!;
    expect(bake).toMatchObject({ minutes: 90, oven: { shelves: 1, setting: '110' } });
    expect(nests.gaps.find((g) => g.from === hot.key && g.to === bake.key)).toMatchObject({ min: 0, max: 0 });
  });
  it('six tarts from a tray of six take one tray from the shelf, seven take two', () => {
    const tarts = writtenSheet(
      'Lemon tarts\nMakes 6 tarts\n\n150 g digestive biscuits\n60 g butter\n300 ml double cream\n397 g condensed milk\n\nCrush the biscuits and mix with the melted butter. Press into a tray of six tart moulds. Whisk the cream with the condensed milk until thick. Fill the tarts and chill for 3 hours.',
    );
    const tray = GANNET_QUAY.vessels.find((v) => v.vessel.kind === 'mould' && cavitiesOf(v.vessel) === 6)!;
    const trays = (portions: number) =>
      ownWorkOf(analyseSheet({ ...tarts, vessel: tray.vessel, portions }, GANNET_QUAY), GANNET_QUAY, 1, null).stays.flatMap((s) =>
        s.what.kind === 'vessel' ? [s.what.count] : [],
      );
    expect(trays(6)).toEqual([1]);
    expect(trays(7)).toEqual([2]);
  });
  it('of every recipe of the corpus, and of all that were told, wait for no task that is not there, and for none in a ring', () => {
    for (const recipe of [...readCorpus(), ...TOLD.map(([name, text]) => ({ name, text }))]) {
      const made = workOf(writtenSheet(recipe.text));
      const keys = new Set([...made.tasks.map((t) => t.key), 'served']);
      const next = new Map<string, string[]>();
      for (const g of made.gaps) {
        if (!made.tasks.some((t) => t.key === g.to)) continue;
        expect(keys.has(g.from), `${recipe.name}: ${g.from}`).toBe(true);
        next.set(g.from, [...(next.get(g.from) ?? []), g.to]);
      }
      const done = new Set<string>();
      const visit = (key: string, path: readonly string[]): void => {
        expect(path.includes(key), `${recipe.name}: ${path.join(' ')}`).toBe(false);
        if (done.has(key)) return;
        for (const to of next.get(key) ?? []) visit(to, [...path, key]);
        done.add(key);
      };
      for (const t of made.tasks) visit(t.key, []);
      for (const t of made.tasks) expect(Number.isFinite(t.minutes) && t.minutes >= 0, `${recipe.name}: ${t.name}`).toBe(true);
      for (const g of made.gaps) if (g.max !== null) expect(g.max, `${recipe.name}: ${g.says}`).toBeGreaterThanOrEqual(g.min);
    }
  }, 240_000);
});
