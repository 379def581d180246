import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { tellsBefore } from './before-step';
import { sheetTells } from './sheet-tells';

/** 'step key or title: tell, tell' for every step that has some. */
function minded(sheet: Sheet): readonly string[] {
  const s = analyseSheet(sheet, KITCHEN);
  const tells = sheetTells(s, KITCHEN);
  return sheet.steps.flatMap((step) => {
    const list = tellsBefore(s, tells, step).map((t) => t.key);
    return list.length > 0 ? [`${step.key ?? step.title}: ${list.join(', ')}`] : [];
  });
}

describe('what is minded before a step', () => {
  it('nothing where all is in its band', () => {
    expect(minded(sheetOf(['600 g cream 36 %', '60 g icing sugar']))).toEqual([]);
  });
  it('warm, lean cream before the whisk, and at no other step', () => {
    const list = minded(sheetOf(['600 g cream 36 %', '60 g icing sugar'], { creamC: 14 }));
    expect(list.length).toBe(1);
    expect(list[0]).toMatch(/^whisk: .*warm/);
  });
  it('of its own part: the custard’s egg at its heat, not at the cream’s whisk', () => {
    const list = minded(
      writtenSheet(
        'Pots\nServes 4\n\n300 ml milk\n4 egg yolks\n60 g caster sugar\n300 ml double cream\n\nStir the yolks with the sugar. Heat the milk, pour it on and cook the custard to 60 °C, stirring. Cool the custard. Whip the cream to soft peaks. Layer the custard and the cream in glasses. Chill for 2 hours.',
      ),
    );
    expect(list.some((l) => /^(?:Heat|Pour).*: egg:/.test(l))).toBe(true);
    expect(list.every((l) => !/^Whip.*egg/.test(l))).toBe(true);
  });
  it('a fold that is called a whisk, at that step alone; never more than two', () => {
    const sheet = writtenSheet(
      'Two foams\n4 egg yolks\n80 g caster sugar\n300 ml whipping cream\nWhisk the yolks with the sugar over steam to 75 °C. Whip the cream to soft peaks. Whisk the cream and the egg foam together until smooth. Chill for 2 hours.',
    );
    expect(minded(sheet).filter((l) => l.includes('folds-on'))).toHaveLength(1);
    const s = analyseSheet(partsSheet([['c', 'whipped-cream', 'Cream', ['600 g milk', '400 g cream 20 %', '90 g lemon juice']]]), KITCHEN);
    for (const step of s.sheet.steps) expect(tellsBefore(s, sheetTells(s, KITCHEN), step).length).toBeLessThanOrEqual(2);
  });
});
