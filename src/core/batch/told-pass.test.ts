import { describe, expect, it } from 'vitest';
import { KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import { fitBowlfuls } from '../analysis/fit-bowlfuls';
import { scaleToPortions } from '../rewrite/scale';
import type { BatchPlan, PlanStep } from './batch';
import { batchPlan } from './make-batch';

/** A batch of a recipe as it is told. @param times how many times its own size, in as many bowlfuls as that takes. */
function told(text: string, times = 1): BatchPlan & { readonly step: (word: RegExp) => PlanStep } {
  const sheet = writtenSheet(text);
  const scaled = scaleToPortions(sheet, sheet.portions * times);
  if (!scaled.ok) throw new Error(scaled.fault.says);
  const plan = batchPlan(fitBowlfuls(scaled.value, KITCHEN), KITCHEN, times);
  if (!plan.ok) throw new Error(plan.fault.says);
  const step = (word: RegExp): PlanStep => {
    const found = plan.value.steps.find((s) => word.test(s.title));
    if (!found) throw new Error(`no step ${String(word)} in ${plan.value.steps.map((s) => s.title).join('; ')}`);
    return found;
  };
  return { ...plan.value, step };
}

describe('whisk clocks of a method as it is told', () => {
  it('are only where air goes in, whatever words stand beside it', () => {
    const p = told(
      'Cheese cream cake\n\n200 g digestive biscuits\n80 g butter\n300 g cream cheese\n60 g icing sugar\n300 ml whipping cream\n\nLine a springform with film. Crush the biscuits, mix with the melted butter and press in. Mix the cheese with the sugar with the whisk attachment. Wash the whisk and the bowl. Whip the cream to medium peaks. Fold in the whipped cream. Spoon onto the base and chill for 6 hours.',
    );
    for (const word of [/Line a springform/, /Mix the cheese/, /Wash the whisk/, /Fold in the whipped cream/])
      expect(p.step(word).whisk, String(word)).toBeNull();
    expect(p.step(/Whip the cream/).whisk).not.toBeNull();
  });
  it('are also where a cook says beat, or mix until it peaks', () => {
    expect(
      told('Cream\n\n500 ml whipping cream\n40 g sugar\n\nBeat the cream with the sugar to soft peaks. Spoon into bowls.').step(/Beat the cream/).whisk,
    ).not.toBeNull();
    expect(
      told('Cream\n\n500 ml whipping cream\n40 g sugar\n\nMix the cream and sugar until stiff peaks form. Spoon into bowls.').step(/Mix the cream/).whisk,
    ).not.toBeNull();
  });
  it('of two foams each has its own', () => {
    const p = told(
      'Mousse\n\n200 g dark chocolate\n4 egg whites\n40 g sugar\n300 ml whipping cream\n\nMelt the chocolate. Whisk the whites with the sugar until stiff. Whip the cream to soft peaks. Fold both into the chocolate. Spoon into glasses. Chill for 3 hours.',
    );
    const [whites, cream] = [p.step(/whites/).whisk, p.step(/Whip the cream/).whisk];
    expect(whites).not.toBeNull();
    expect(cream).not.toBeNull();
    expect(JSON.stringify(whites)).not.toBe(JSON.stringify(cream));
  });
});

describe('what a batch weighs and times', () => {
  it('two bowlfuls: each its grams and its clock, together all of it', () => {
    const p = told('Chantilly\nServes 10\n\n1 litre whipping cream\n80 g icing sugar\n\nWhip the cream with the sugar to medium peaks.', 4);
    const bowls = p.steps.filter((s) => s.bowlful);
    expect(bowls.length).toBeGreaterThanOrEqual(2);
    const of = bowls[0]!.bowlful![1];
    expect(bowls.map((s) => s.bowlful)).toEqual(Array.from({ length: of }, (_, i) => [i + 1, of]));
    for (const s of bowls) expect(s.whisk).not.toBeNull();
    const all = bowls.reduce((sum, s) => sum + s.lines.reduce((g, l) => g + l.massG, 0), 0);
    expect(all).toBeCloseTo(
      analyseSheet(writtenSheet('Chantilly\nServes 10\n\n1 litre whipping cream\n80 g icing sugar\n\nWhip the cream with the sugar to medium peaks.'), KITCHEN)
        .mixture.massG * 4,
      3,
    );
  });
  it.each([
    ['Beat the mascarpone for 3 to 4 minutes more.', [3, 4]],
    ['Beat the mascarpone for about 5 minutes.', [5, 5]],
    ['Beat the mascarpone for 30 seconds.', [0.5, 0.5]],
  ] as const)('‘%s’ has its timer', (words, minutes) => {
    const said = told(`Cream\n\n300 g mascarpone\n50 g sugar\n200 ml milk\n\n${words} Stir in the sugar and milk. Chill for 1 hour.`).step(
      /mascarpone/,
    ).saidMin!;
    expect(said[0]).toBeCloseTo(minutes[0], 6);
    expect(said[1]).toBeCloseTo(minutes[1], 6);
  });
  it('a boil and a bake have theirs', () => {
    expect(
      told('Sauce\n\n200 g sugar\n100 ml water\n200 ml cream\n\nBoil the sugar and water for 3 to 4 minutes. Stir in the cream. Chill.').step(/Boil/).saidMin,
    ).toEqual([3, 4]);
    expect(
      told(
        'Tart\n\n200 g digestive biscuits\n80 g butter\n500 ml whipping cream\n\nCrush the biscuits, mix with the melted butter and press into a 23 cm tart tin. Bake at 170 °C for 12 to 15 minutes. Cool. Whip the cream and spread on top.',
      ).step(/Bake/).waitMin,
    ).toEqual([12, 15]);
  });
  it('a written amount and the scale say the same at another size', () => {
    const p = told(
      'Buttercream\nServes 10\n\n3 cups butter, room temperature\n6 egg whites\n2 cups sugar\n\nWhisk the whites and sugar over simmering water to 160 F. Whip until cool and stiff. Beat in the 3 cups butter, a little at a time.',
      2,
    );
    const beat = p.step(/Beat in/);
    expect(beat.title).toContain('6 cups butter');
    expect(beat.lines[0]!.measure.replaceAll('\u00a0', ' ')).toBe('6 cups');
    expect(p.before.map((b) => b.title)).toContain('Butter out of the fridge');
  });
  it('yolks go in at their own step, not with what boils', () => {
    const p = told(
      'Custard\n\n500 ml milk\n1 tsp vanilla extract\n5 egg yolks\n100 g sugar\n30 g butter\n\nBring the milk to the boil. Whisk the yolks with the sugar. Pour half the hot milk onto the yolks, whisking. Return to the pan and cook to 82 °C. Stir in the butter and vanilla. Chill for 4 hours.',
    );
    expect(p.step(/Bring the milk/).lines.map((l) => l.ingredientId)).toEqual(['milk-whole']);
    expect(p.step(/Whisk the yolks/).lines.map((l) => l.ingredientId)).toEqual(['egg-yolk', 'sugar-caster']);
    expect(p.step(/Stir in the butter/).lines).toHaveLength(2);
  });
  it('what lays says what, and how much', () => {
    const p = told(
      'Icebox cake\n\n24 digestive biscuits\n600 ml whipping cream\n60 g icing sugar\n\nWhip the cream with the sugar to medium peaks. Layer the biscuits and the cream in a 900 g loaf tin. Chill for 8 hours.',
    );
    const laid = p.step(/Layer the biscuits/).laid.replaceAll('\u00a0', ' ');
    expect(laid).toMatch(/\d g/);
    expect(laid.toLowerCase()).toContain('cream');
  });
  it('a nest that goes out to the table does not end in the cold', () => {
    const nests = (last: string) =>
      told(
        `Nests\n\n4 egg whites\n240 g sugar\n300 ml whipping cream\n\nWhisk the whites with the sugar until stiff. Pipe nests. Bake at 110 °C for 90 minutes. Whip the cream. Fill the nests with the cream${last}.`,
      ).ends;
    expect(nests(' and serve at once')).toBe('plate');
    expect(nests('')).toBe('plate');
  });
});
