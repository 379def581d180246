import { describe, expect, it } from 'vitest';
import { KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import { BatchPlanSchema } from './batch';
import { batchPlan } from './make-batch';
import { shownSteps, timeWords, waitWords } from './method';

describe('times of a method of the cook’s own', () => {
  const sheet = writtenSheet(
    'Nests\nServes 6\n\n4 egg whites\n240 g caster sugar\n300 ml double cream\n200 g mascarpone\n\nWhisk the whites with the sugar until stiff. Bake at 110 °C for 1 hour 30 minutes. Beat the mascarpone for 2 to 3 minutes. Whip the cream to soft peaks and fold it in. Pile onto the nests. Chill for 2 hours.',
  );
  const steps = shownSteps(analyseSheet(sheet, KITCHEN));
  const step = (word: RegExp) => steps.find((s) => word.test(s.title))!;

  it('every time that is said has its clock: work by what is said, a bake and a rest as a wait', () => {
    expect(step(/^Beat/)).toMatchObject({ saidMin: [2, 3], waitMin: null });
    expect(step(/Bake/)).toMatchObject({ saidMin: null, waitMin: [90, 90] });
    expect(step(/Chill/)).toMatchObject({ saidMin: null, waitMin: [120, 120] });
    expect(step(/Pile/)).toMatchObject({ saidMin: null, waitMin: null });
  });
  it('a whisk that has a forecast keeps to that', () => {
    const whip = step(/^Whip/);
    expect(whip.whisk).not.toBeNull();
    expect(whip.saidMin).toBeNull();
  });
  it('goes into the batch, which its schema takes', () => {
    const plan = batchPlan(sheet, KITCHEN);
    if (!plan.ok) throw new Error(plan.fault.says);
    expect(BatchPlanSchema.safeParse(plan.value).success).toBe(true);
    expect(plan.value.steps.find((s) => /^Beat/.test(s.title))?.saidMin).toEqual([2, 3]);
  });
});

describe('times in words', () => {
  const said = (minutes: [number, number] | null) =>
    timeWords({ minutes, waitH: null, handsMin: null }).replace(/[\u00a0\u2060]/g, (c) => (c === '\u00a0' ? ' ' : ''));
  it.each<[[number, number] | null, string]>([
    [[0.5, 0.5], '30 s'],
    [[5, 5], '5 min'],
    [[8, 10], '8–10 min'],
    [[360, 720], '6–12 h'],
    [[90, 90], '1.5 h'],
    [[2880, 4320], '2–3 days'],
    [null, ''],
  ])('%j', (minutes, words) => expect(said(minutes)).toBe(words));
  it('of a wait', () => expect(waitWords([20 / 60, 0.5]).replace(/[\u00a0\u2060]/g, ' ')).toMatch(/^20 ?– ?30 min$/));
});

describe('what Pass asks for in a method of the cook’s own', () => {
  const sheet = writtenSheet(
    'Custard pots\nServes 4\n\n300 ml milk\n4 egg yolks\n60 g caster sugar\n300 ml double cream\n\nStir the yolks with the sugar. Heat the milk, pour it on and cook the custard to 82 °C, stirring. Cool the custard. Whip the cream to soft peaks. Layer the custard and the cream in glasses. Chill for 2 hours.',
  );
  const steps = shownSteps(analyseSheet(sheet, KITCHEN));
  const step = (word: RegExp) => steps.find((s) => word.test(s.title))!;
  it('the heat of the eggs and the cooling of the custard are held against their rules', () => {
    expect(step(/Cook the custard/).heat).toMatchObject({ use: 'egg' });
    expect(step(/Cool the custard/).heat).toEqual({ use: 'cooling' });
    expect(step(/Heat the milk/).heat).toBeNull();
  });
  it('a syrup is asked for by what boils hotter than milk', () => {
    const syrup = writtenSheet(
      'Italian meringue\nServes 6\n\n4 egg whites\n240 g caster sugar\n80 ml water\n\nBoil the sugar and the water to 118 °C. Whisk the whites to soft peaks. Pour the syrup onto the whites and whisk until cool.',
    );
    expect(shownSteps(analyseSheet(syrup, KITCHEN)).find((s) => s.title.includes('118'))!.heat).toEqual({ use: 'syrup' });
  });
  it('the first whisk of the cream asks for its temperature and its time, once', () => {
    const cream = writtenSheet(
      'Cream\nServes 4\n\n500 ml double cream\n40 g icing sugar\n\nWhip the cream to soft peaks. Add the sugar and whip to firm peaks. Spoon it into glasses.',
    );
    const asked = shownSteps(analyseSheet(cream, KITCHEN)).map((s) => s.readings);
    expect(asked.filter((r) => r.length > 0)).toEqual([['cream-temperature', 'minutes-to-stage']]);
  });
});
