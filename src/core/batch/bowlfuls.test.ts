import { describe, expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { takenBy, freshProgress } from './batch';
import { fitBowlfuls } from '../analysis/fit-bowlfuls';
import { batchPlan } from './make-batch';
import { scaleToPortions } from '../rewrite/scale';
import type { Sheet } from '../document/schema';

const planOf = (sheet: Sheet) => {
  const made = batchPlan(sheet, KITCHEN);
  if (!made.ok) throw new Error(made.fault.says);
  return made.value;
};
const larger = (sheet: Sheet, times: number): Sheet => {
  const scaled = scaleToPortions(sheet, sheet.portions * times);
  if (!scaled.ok) throw new Error(scaled.fault.says);
  return fitBowlfuls(scaled.value, KITCHEN);
};
const grams = (steps: readonly { readonly lines: readonly { readonly massG: number }[] }[]): number =>
  steps.flatMap((s) => s.lines).reduce((sum, l) => sum + l.massG, 0);

const WRITTEN = `Plain cream
Serves 8
600 ml double cream
60 g caster sugar
Pour the cream into a bowl with the sugar.
Whip to firm peaks.
Spread it on the cake.`;

describe('a batch whose bowl cannot hold it', () => {
  for (const [name, sheet] of [
    ['the kitchen’s way', sheetOf(['600 g cream 36 %', '60 g icing sugar'])],
    ['the cook’s own', writtenSheet(WRITTEN)],
  ] as const) {
    it(`${name}: one bowlful after the other, each with its own grams and clock`, () => {
      const big = larger(sheet, 4);
      const of = Math.max(...big.parts.map((p) => p.whisk.batches));
      expect(of).toBeGreaterThan(1);
      const once = planOf({ ...big, parts: big.parts.map((p) => ({ ...p, whisk: { ...p.whisk, batches: 1 } })) });
      const plan = planOf(big);
      const whisked = plan.steps.filter((s) => s.whisk !== null);
      expect(whisked.map((s) => s.bowlful)).toEqual(Array.from({ length: of }, (_, i) => [i + 1, of]));
      expect(new Set(plan.steps.map((s) => s.key)).size).toBe(plan.steps.length);
      // Nothing is lost or weighed twice, and every bowlful has the same.
      expect(grams(plan.steps)).toBeCloseTo(grams(once.steps), 6);
      const each = Array.from({ length: of }, (_, i) => grams(plan.steps.filter((s) => s.bowlful?.[0] === i + 1)));
      for (const g of each) expect(g).toBeCloseTo(each[0]!, 6);
      expect(each[0]).toBeGreaterThan(0);
      // The readings of the log are asked once.
      expect(plan.steps.filter((s) => s.whisks)).toHaveLength(1);
      expect(plan.steps.flatMap((s) => s.readings)).toEqual(once.steps.flatMap((s) => s.readings));
      // What leaves the larder is the whole.
      const mass = (p: typeof plan): number => takenBy(p, freshProgress(), true).reduce((sum, t) => sum + t.massG, 0);
      expect(mass(plan)).toBeCloseTo(mass(once), 6);
      // The last bowlful carries the step's own key: a plan that follows the batch sees it behind only then.
      expect(whisked.at(-1)!.key).toBe(once.steps.find((s) => s.whisk !== null)!.key);
    });
  }
  it('its mise has each bowlful apart, without calling them first and later', () => {
    const plan = planOf(larger(sheetOf(['600 g cream 36 %', '60 g icing sugar']), 4));
    const groups = plan.mise.filter((g) => g.title.includes('bowlful'));
    expect(groups.length).toBeGreaterThan(1);
    expect(groups.flatMap((g) => g.lines.map((l) => l.name)).join()).not.toMatch(/first|later/);
  });
  it('what is heated before is made whole: gelatin melted once', () => {
    const plan = planOf(larger(sheetOf(['600 g cream 36 %', '60 g icing sugar', '3 leaves gelatin']), 4));
    const gelatin = plan.steps.filter((s) => s.lines.some((l) => l.name.includes('gelatin')));
    expect(gelatin).toHaveLength(1);
    expect(gelatin[0]!.bowlful).toBeNull();
  });
});
