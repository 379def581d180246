import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import { milkSolidsNotFatG } from '../composition/mixture';
import { StepSchema, type Sheet } from '../document/schema';
import { tellText } from './tell';
import { turnTells } from './turn-tells';

const tells = (sheet: Sheet) => turnTells(analyseSheet(sheet, KITCHEN));
const keys = (sheet: Sheet): string[] => tells(sheet).map((t) => t.key.split(':')[0]!);

describe('what turns until it is eaten', () => {
  const topping = (...lines: string[]): Sheet =>
    partsSheet([
      ['t', 'topping', 'Fruit', lines],
      ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
    ]);
  it('cut banana and pear brown, berries do not, nor what lies in lemon juice', () => {
    expect(keys(topping('300 g banana'))).toEqual(['browns']);
    expect(tellText(tells(topping('200 g pear'))[0]!)).toMatch(/^Pear.* browns within the hour/);
    expect(keys(topping('200 g raspberries'))).toEqual([]);
    expect(keys(topping('300 g banana', '20 g lemon juice'))).toEqual([]);
  });
  it('cooked fruit is past browning', () => {
    const base = partsSheet([['f', 'fruit-base', 'Pear', ['300 g pear', '60 g caster sugar']]]);
    const cooked = { ...base, parts: base.parts.map((p) => ({ ...p, ways: { ...p.ways, 'fruit-cooked': 'cooked' } })) };
    expect(keys(cooked)).toEqual([]);
    expect(keys({ ...base, parts: base.parts.map((p) => ({ ...p, ways: { ...p.ways, 'fruit-cooked': 'raw' } })) })).toEqual(['browns']);
  });
  it('a starch custard thins where its yolk never came near the boil, or raw honey or banana is folded in', () => {
    const stopped = (tempC: number | null): Sheet => {
      const sheet = partsSheet([['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '30 g corn starch']]]);
      return {
        ...sheet,
        steps:
          tempC === null
            ? []
            : [
                StepSchema.parse({
                  id: 'own',
                  partId: 'k',
                  key: null,
                  title: 'Cook the custard',
                  short: 'cook',
                  detail: '',
                  handsMin: 8,
                  waitH: null,
                  tempC,
                  ovenC: null,
                  useWithinMin: null,
                  whisks: false,
                  wants: [],
                  parts: [],
                  edited: false,
                  note: '',
                }),
              ],
      };
    };
    expect(keys(stopped(null))).toEqual([]);
    expect(keys(stopped(84))).toEqual(['thins']);
    expect(keys(stopped(96))).toEqual([]);
    // The figure itself: a tenth to either side of ninety.
    expect(keys(stopped(89))).toEqual(['thins']);
    expect(keys(stopped(90))).toEqual([]);
    const folded = (...guest: string[]): Sheet =>
      partsSheet([
        ['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '30 g corn starch']],
        ['f', 'set-filling', 'Filling', ['all of the custard', ...guest]],
      ]);
    expect(keys(folded('40 g honey'))).toContain('thins');
    expect(keys(folded('100 g raspberries'))).toEqual([]);
  });
  it('a dried shell draws damp; a foam that is folded does not', () => {
    expect(keys(partsSheet([['m', 'meringue', 'Shell', ['120 g egg white', '240 g caster sugar']]]))).toEqual(['damp']);
    expect(keys(partsSheet([['m', 'egg-foam', 'Whites', ['120 g egg white', '240 g caster sugar']]]))).toEqual([]);
    expect(keys(partsSheet([['m', 'meringue', 'Shell', []]]))).toEqual([]);
  });
  it('milk solids of an eighth of the water turn sandy in the frost, and only there', () => {
    const rich = (powder: string): Sheet => sheetOf(['400 g cream 36 %', powder], {}, { family: 'semifreddo' });
    expect(keys(rich('60 g skimmed milk powder'))).toContain('sandy');
    expect(keys(rich('2 g skimmed milk powder'))).toEqual([]);
    expect(keys({ ...rich('60 g skimmed milk powder'), family: 'chantilly' })).toEqual([]);
    // By hand: it is said from 12 parts in 100 of milk solids and water on.
    for (const g of [8, 10, 12, 14, 16, 20]) {
      const sheet = rich(`${g} g skimmed milk powder`);
      const m = analyseSheet(sheet, KITCHEN).mixture;
      const share = milkSolidsNotFatG(m) / (milkSolidsNotFatG(m) + m.grams.water);
      expect(keys(sheet).includes('sandy'), `${g} g`).toBe(share >= 0.12);
    }
  });
});
