import { describe, expect, it } from 'vitest';
import { forecastOf } from '../../core/batch/forecast';
import { analyseSheet } from '../../core/analysis/analyse';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { observationWords } from './observation-words';

const plain = (text: string): string => text.replaceAll('\u00a0', ' ').replaceAll('\u2060', '');
const syllabub = (wine: string) =>
  forecastOf(
    analyseSheet(sheetOf(['400 g double cream 48 %', wine, '80 g caster sugar'], { stage: 'soft' }, { family: 'syllabub', servedAfterH: 12 }), KITCHEN),
  ).drinkG;
const ran = { kind: 'weep', value: 170, words: '' } as const;

describe('what is seen later, in words', () => {
  it('sets the drink under the curd beside its forecast', () => {
    const drink = syllabub('450 g perry')!;
    // Fat 192 g keeps 413 g of 738 g of water phase; of the 325 g over that, 78 % has sunk in 12 h.
    expect(drink.value).toBeGreaterThan(240);
    expect(drink.value).toBeLessThan(265);
    expect(drink.low).toBeLessThan(drink.value);
    expect(plain(observationWords(ran, drink))).toBe(`170 g of clear drink, ${Math.round(drink.low / 10) * 10}–${Math.round(drink.high / 10) * 10} g forecast`);
  });
  it('calls it liquid where nothing was to gather', () => {
    expect(syllabub('30 g perry')).toBeNull();
    expect(plain(observationWords(ran, null))).toBe('170 g of liquid');
    expect(observationWords({ ...ran, value: 0 })).toBe('dry');
  });
});
