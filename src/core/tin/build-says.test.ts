import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import { shownSteps } from '../batch/method';
import { filledVessels } from '../analysis/build';
import { buildSays } from './build-says';

const POTS = partsSheet(
  [
    ['custard', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '80 g caster sugar', '30 g corn starch']],
    ['cream', 'whipped-cream', 'Cream', ['300 g cream 36 %', '20 g icing sugar']],
  ],
  { portions: 4, vessel: { kind: 'glass', name: 'Glass', topMm: 80, baseMm: 60, heightMm: 90 } },
);
const gramsIn = (words: string): number[] => [...words.matchAll(/(\d+)\u00a0g/g)].map((m) => Number(m[1]));

describe('what is laid, in words', () => {
  const a = analyseSheet(POTS, KITCHEN);
  it('names the layers from below with their grams, for each vessel: together they are the batch', () => {
    const words = buildSays(a, ['custard', 'cream']);
    expect(words).toMatch(/^In each glass, from below: custard \d+\u00a0g, cream \d+\u00a0g\.$/);
    const all = gramsIn(words).reduce((x, y) => x + y, 0) * filledVessels(a)[0]!.count;
    expect(Math.abs(all / a.mixture.massG - 1)).toBeLessThan(0.02);
  });
  it('says only what the step puts in, and nothing where it puts in nothing', () => {
    expect(gramsIn(buildSays(a, ['cream']))).toHaveLength(1);
    expect(buildSays(a, [])).toBe('');
    expect(buildSays(a, ['nobody'])).toBe('');
  });
  it('stands in the step that builds, of the kitchen’s way and of the cook’s own', () => {
    expect(shownSteps(a).find((s) => s.wayKey === 'fill' || s.wayKey === 'build' || s.wayKey === 'use')!.laid).toContain('In each glass, from below: custard');
    const own = writtenSheet(
      'Fool\nServes 4\n\n300 ml double cream\n30 g icing sugar\n24 ladyfingers\n\nWhip the cream with the sugar to soft peaks. Lay the ladyfingers in a 20 cm square dish. Spread the cream over. Chill for 6 hours.',
    );
    const steps = shownSteps(analyseSheet(own, KITCHEN));
    expect(steps.find((s) => s.title.startsWith('Lay'))!.laid).toMatch(/from below: ladyfingers \d+\./);
    expect(steps.find((s) => s.title.startsWith('Spread'))!.laid).toMatch(/from below: whipped cream \d+\u00a0g\./);
  });
});
