import { describe, expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { isFreezer } from '../kitchen/place';
import { frozenTells } from './frozen-tells';
import { tellText } from './tell';

const freezer = KITCHEN.places.find(isFreezer)!;
const frozen = (...lines: string[]): Sheet => {
  const sheet = sheetOf(lines);
  return { ...sheet, cold: { ...sheet.cold, setup: { ...sheet.cold.setup, placeId: freezer.id } } };
};
const tells = (sheet: Sheet) => frozenTells(analyseSheet(sheet, KITCHEN), KITCHEN);

describe('cream that is frozen and thawed again', () => {
  it('weeps below ten of sugar in a hundred and three grams of gelatin a kilo, and stays whole from either on', () => {
    // 36 g in 400 g are 9 %, 46 g are 10.3 %.
    expect(tells(frozen('364 g cream 36 %', '36 g caster sugar'))[0]!.state).toBe('near');
    expect(tellText(tells(frozen('364 g cream 36 %', '36 g caster sugar'))[0]!)).toContain('weeps');
    expect(tells(frozen('400 g cream 36 %', '46 g caster sugar'))[0]!.state).toBe('in');
    const gelatin = (g: number): string => tells(frozen('1000 g cream 36 %', `${g} g powdered gelatin`))[0]!.state;
    expect(gelatin(2)).toBe('near');
    expect(gelatin(4)).toBe('in');
  });
  it('is silent where it stands in a fridge', () => {
    expect(tells(sheetOf(['400 g cream 36 %']))).toEqual([]);
  });
});
