import { describe, expect, it } from 'vitest';
import { readMeasured } from './measured';

const value = (text: string, unit: string): number | string => {
  const r = readMeasured(text, unit);
  return r.ok ? Math.round(r.value.value * 1000) / 1000 : r.fault.says;
};

describe('what is typed into a field with a unit', () => {
  it.each<[string, string, number]>([
    ['11 in', 'mm', 279.4],
    ['9 1/2"', 'mm', 241.3],
    ['9½ inches', 'mm', 241.3],
    ['28 cm', 'mm', 280],
    ['0.3 m', 'mm', 300],
    ['1 ft 2 in', 'mm', 355.6],
    ['240', 'mm', 240],
    ['350 F', '°C', 176.667],
    ['40°F', '°C', 4.444],
    ['-4 f', '°C', -20],
    ['−18 °C', '°C', -18],
    ['71C', '°C', 71],
    ['20 qt', 'mL', 18927.059],
    ['4.8 L', 'mL', 4800],
    ['1½ cups', 'mL', 354.882],
    ['6 fl oz', 'mL', 177.441],
    ['5 cu ft', 'L', 141.584],
    ['350 L', 'L', 350],
    ['1 lb 4 oz', 'g', 566.99],
    ['2 kg', 'g', 2000],
    ['1 h 30 min', 'min', 90],
    ['2 days', 'h', 48],
    ['3*40', 'mm', 120],
    ['5 %', '%', 5],
    ['12 W/m²K', 'W/m²K', 12],
  ])('%s in %s', (text, unit, right) => expect(value(text, unit)).toBe(right));

  it.each([
    ['11 lb', 'mm', /‘lb’ is no measure of this: type mm, cm or in/],
    ['5 in', 'g', /type g, kg, oz or lb/],
    ['3 boxes', '', /type a number/],
    ['in', 'mm', /./],
    ['', 'mm', /no amount/],
    ['9 in x', 'mm', /./],
    ['F', '°C', /./],
  ])('%s in %s says why not', (text, unit, says) => expect(value(text, unit)).toMatch(says));

  it('says whether it was typed in another unit', () => {
    const converted = (text: string, unit: string) => {
      const r = readMeasured(text, unit);
      return r.ok && r.value.converted;
    };
    expect([converted('11 in', 'mm'), converted('280 mm', 'mm'), converted('280', 'mm'), converted('350 F', '°C'), converted('71 C', '°C')]).toEqual([
      true,
      false,
      false,
      true,
      false,
    ]);
  });

  it('what is typed with the field’s own unit is what is typed without it', () => {
    for (const unit of ['mm', '°C', 'mL', 'L', 'g', 's', 'min', 'h'])
      for (const n of [0.5, 1, 37.25, 1200]) expect(value(`${n} ${unit}`, unit), `${n} ${unit}`).toBe(value(String(n), unit));
  });

  it('random text never throws, and what is read is a number', () => {
    const letters = '0123456789 ./½-cminftF°C"kglboz+(x';
    let seed = 7;
    const next = (n: number): number => (seed = (seed * 48271) % 2147483647) % n;
    for (let i = 0; i < 5000; i++) {
      const text = Array.from({ length: next(14) }, () => letters[next(letters.length)]).join('');
      for (const unit of ['mm', '°C', 'mL', 'g', '']) {
        const r = readMeasured(text, unit);
        if (r.ok) expect(Number.isFinite(r.value.value), text).toBe(true);
        else expect(r.fault.says, text).not.toBe('');
      }
    }
  });
});
