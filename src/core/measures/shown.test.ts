import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clockFace, typedFace } from '../figure';
import { readMeasured } from './measured';
import {
  asTyped,
  inFahrenheit,
  inInches,
  inGramsAnywhere,
  inShownUnits,
  isMetric,
  METRIC,
  shownField,
  ShownUnitsSchema,
  shownUnit,
  toC,
  toF,
  typedIn,
  unitsKey,
} from './shown';
import type { ShownUnits } from './shown';

const US: ShownUnits = { temperature: '°F', mass: 'oz', volume: 'fl oz', length: 'in', clock: '12 h', currency: 'USD' };
const us = (text: string): string => inShownUnits(text.replace(/~/g, '\u00a0'), US).replace(/\u00a0/g, '~');

describe('degrees in Fahrenheit', () => {
  // Fixed: what every American kitchen writes for these.
  it.each([
    [71, '160'],
    [63, '145'],
    [5, '41'],
    [4, '39'],
    [60, '140'],
    [57, '135'],
    [21, '70'],
    [-18, '0'],
    [0, '32'],
    [-40, '−40'],
    [100, '212'],
    [82, '180'],
    [118, '244'],
    [121, '250'],
    [150, '300'],
    [160, '320'],
    [177, '350'],
    [180, '355'],
    [200, '390'],
    [230, '445'],
  ])('%i °C', (c, f) => expect(inFahrenheit(c)).toBe(f));
  it('keep their decimals', () => {
    expect(inFahrenheit(63.3, 1)).toBe('145.9');
    expect(inFahrenheit(-0.5, 1)).toBe('31.1');
    expect(inFahrenheit(140.5, 1)).toBe('284.9');
  });
  it('go there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -60, max: 300, noNaN: true }), (c) => {
        expect(toC(toF(c))).toBeCloseTo(c, 9);
      }),
    );
    expect([toF(0), toF(100), toC(-40)]).toEqual([32, 212, -40]);
  });
});

describe('inches', () => {
  it.each([
    [25.4, '1'],
    [50, '2'],
    [35, '1\u00a03/8'],
    [10, '3/8'],
    [8, '5/16'],
    [3.2, '1/8'],
    [24 * 10, '9\u00a01/2'],
    [330, '13'],
    [228.6, '9'],
    [610, '24'],
    [406, '16'],
    [-25.4, '−1'],
    [0, '0'],
  ])('%f mm', (mm, said) => expect(inInches(mm)).toBe(said));
  it('are never further off than half of the mark that is read', () => {
    fc.assert(
      fc.property(fc.double({ min: 3, max: 900, noNaN: true }), (mm) => {
        const parts = inInches(mm).split('\u00a0');
        const value = parts.reduce((sum, p) => sum + (p.includes('/') ? Number(p.split('/')[0]) / Number(p.split('/')[1]) : Number(p)), 0);
        expect(Math.abs(value - mm / 25.4)).toBeLessThanOrEqual((mm < 25.4 ? 1 / 32 : mm < 304.8 ? 1 / 16 : 1 / 8) + 1e-9);
      }),
    );
  });
});

describe('a text in the kitchen’s units', () => {
  it.each([
    ['71~°C', '160~°F'],
    ['60 to 5~°C', '140 to 41~°F'],
    ['16\u2060–\u206025~°C is right', '61\u2060–\u206077~°F is right'],
    ['−18~°C or colder', '0~°F or colder'],
    ['5-7 °C', '41-45 °F'],
    ['-5--3 °C', '23-27 °F'],
    ['60 and 5 °C', '140 and 41 °F'],
    // Bounds are temperatures: a fridge no warmer than 5 °C is no warmer than 41 °F.
    ['no warmer than 5 °C', 'no warmer than 41 °F'],
    ['colder than −18 °C', 'colder than 0 °F'],
    ['up to 8 °C', 'up to 46 °F'],
    ['each 5 °C or below', 'each 41 °F or below'],
    ['within 5 °C and 21 °C', 'within 41 °F and 70 °F'],
    ['at 7 °C, 4 °C an hour later', 'at 45 °F, 39 °F an hour later'],
    ['Bake at 180 °C for 20 min', 'Bake at 355 °F for 20 min'],
    ['250~g', '8.8~oz'],
    ['900~g', '31.7~oz'],
    ['1\u202f250~g', '2.76~lb'],
    ['6~kg', '13.2~lb'],
    ['800\u2060–\u20601000~g', '1.76\u2060–\u20602.2~lb'],
    ['5 to 30 g', '0.2 to 1.1 oz'],
    ['A cup is 237, 250 or 284 mL', 'A cup is 8, 8.5 or 9.6 fl oz'],
    ['at step 2, 250 g', 'at step 2, 8.8 oz'],
    ['240\u2060–\u2060290~mL', '8.1\u2060–\u20609.8~fl oz'],
    ['500~mL', '17~fl oz'],
    ['1.1\u2060–\u20601.3~L', '1.16\u2060–\u20601.37~qt'],
    ['20 L bowl', '21.1 qt bowl'],
    ['300~L', '10.6~cu ft'],
    ['33 × 23 × 5 cm', '13 × 9 × 2 in'],
    ['35~mm', '1~3/8~in'],
    ['20 g in 250 g cream', '0.7 oz in 8.8 oz cream'],
    ['Fold in 150 g cream at 22 °C', 'Fold in 5.3 oz cream at 72 °F'],
    ['71 °C, 250 g', '160 °F, 8.8 oz'],
  ])('%s', (metric, shown) => expect(us(metric)).toBe(shown));

  it.each([
    'fast, 3 °C a minute|fast, 5 °F a minute',
    'Whisking warms it by about 2~°C here|Whisking warms it by about 4~°F here',
    '4.5~°C to go.|8.1~°F to go.',
    '1.2 °C off on the whole|2.2 °F off on the whole',
    '0.5~°C/min|0.9~°F/min',
    'each 10 °C warmer|each 18 °F warmer',
    '2 °C an hour|4 °F an hour',
    'read ±1 °C|read ±2 °F',
    '0.59 °C for a gram|1.06 °F for a gram',
  ])('differences are no temperatures: %s', (both) => expect(us(both.split('|')[0]!)).toBe(both.split('|')[1]));

  it.each([
    '6~g',
    '14.9~g',
    '12~mL',
    '2~mm',
    '5 g/L',
    '0.9~g/mL',
    '9.5 W/m²K',
    '12~g per 100~g',
    '3 g in 100 g',
    '20 g per 100 g',
    'B12 g',
    '1372 cm²',
    '250 gr',
    'size L',
    '7 min',
    '3~%',
  ])('stays: %s', (text) => expect(us(text)).toBe(text));

  it('turns from grams to ounces at 15 g, to pounds at two, to quarts and cubic feet where they are one', () => {
    expect([us('14 g'), us('15 g')]).toEqual(['14 g', '0.5 oz']);
    expect([us('907 g'), us('908 g')]).toEqual(['32 oz', '2 lb']);
    expect([us('946 mL'), us('947 mL')]).toEqual(['32 fl oz', '1 qt']);
    expect([us('99 L'), us('100 L')]).toEqual(['104.6 qt', '3.5 cu ft']);
    expect([us('2.9 mm'), us('3 mm')]).toEqual(['2.9 mm', '1/8 in']);
    expect([us('129 °C'), us('130 °C')]).toEqual(['264 °F', '265 °F']);
  });

  it('each unit by itself', () => {
    const text = '250 g, 240 mL, 24 cm, 71 °C';
    expect(inShownUnits(text, { ...METRIC, temperature: '°F' })).toBe('250 g, 240 mL, 24 cm, 160 °F');
    expect(inShownUnits(text, { ...METRIC, mass: 'oz' })).toBe('8.8 oz, 240 mL, 24 cm, 71 °C');
    expect(inShownUnits(text, { ...METRIC, volume: 'fl oz' })).toBe('250 g, 8.1 fl oz, 24 cm, 71 °C');
    expect(inShownUnits(text, { ...METRIC, length: 'in' })).toBe('250 g, 240 mL, 9\u00a01/2 in, 71 °C');
  });

  it('says the same when it is said twice, keeps everything that is no figure, and is itself in a metric kitchen', () => {
    const units = fc.constantFrom('°C', 'g', 'kg', 'mL', 'L', 'mm', 'cm', '%', 'min', 'g/L', '°C/min', '');
    const figure = fc.tuple(fc.double({ min: -50, max: 5000, noNaN: true }), fc.constantFrom(0, 1, 2), units).map(([n, d, u]) => `${n.toFixed(d)}\u00a0${u}`);
    const words = fc.constantFrom('cream', 'by', 'to', 'in', 'at', 'per', '–', ',', 'a minute', '(', ')');
    fc.assert(
      fc.property(fc.array(fc.oneof(figure, words), { maxLength: 8 }), (parts) => {
        const text = parts.join(' ');
        const once = inShownUnits(text, US);
        expect(inShownUnits(once, US)).toBe(once);
        expect(inShownUnits(text, METRIC)).toBe(text);
        const bare = (t: string): string =>
          t.replace(/[−-]?[\d.]+(?:\u00a0?\d+\/\d+|\/\d+)?\u00a0(?:°[CF](?:\/min)?|k?g|oz|lb|mL|L|fl oz|qt|cu ft|[mc]m|in|%|min|g\/L)?/g, '#');
        expect(bare(once).replace(/[^a-z]/g, '')).toBe(bare(text).replace(/[^a-z]/g, ''));
      }),
    );
  });

  it('is quick with whatever is written', () => {
    fc.assert(fc.property(fc.string({ maxLength: 400, unit: 'grapheme' }), (text) => void inShownUnits(text, US)));
    expect(inShownUnits(`${'9'.repeat(50_000)} g`, US).length).toBeLessThan(60_000);
  });
});

describe('fields', () => {
  it('are filled in in the shown unit, and go back to the value', () => {
    for (const [unit, value, shown] of [
      ['°C', 71.111, 160],
      ['g', 283.495, 10],
      ['mL', 295.735, 10],
      ['mm', 254, 10],
      ['cm', 25.4, 10],
      ['L', 9.4635, 10],
      ['°C/min', 10, 18],
    ] as const) {
      const field = shownField(unit, US)!;
      expect(field.out(value)).toBeCloseTo(shown, 2);
      expect(field.in(shown)).toBeCloseTo(value, 2);
      expect(shownField(unit, METRIC)).toBeNull();
    }
    expect(shownField('%', US)).toBeNull();
    expect(shownField('min', US)).toBeNull();
  });
  it('that hold no more than 100 g or 20 mm stay so', () => {
    expect(shownField('g', US, 100)).toBeNull();
    expect(shownField('mm', US, 20)).toBeNull();
    expect(shownField('cm', US, 2)).toBeNull();
    expect(shownField('mm', US, 21)).not.toBeNull();
    expect(shownField('g', US, 101)).not.toBeNull();
    expect([shownUnit('g', US), shownUnit('°C', US), shownUnit('%', US), shownUnit('g', METRIC)]).toEqual(['oz', '°F', '%', 'g']);
  });
  it('keep what was typed with the unit that stood beside it, and show it without', () => {
    expect(typedIn('45', '°C', US)).toBe('45 °F');
    expect(typedIn('-4,5', '°C', US)).toBe('-4,5 °F');
    expect(typedIn('7 C', '°C', US)).toBe('7 C');
    expect(typedIn('', '°C', US)).toBe('');
    expect(typedIn('45', '°C', METRIC)).toBe('45');
    expect(asTyped('45 °F', '°C', US)).toBe('45');
    expect(asTyped('7 C', '°C', US)).toBe('7 C');
    expect(asTyped('7', '°C', US)).toBe('7 °C');
    expect(asTyped('7', '°C', METRIC)).toBe('7');
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 400 }), fc.constantFrom('°C', 'g', 'mL', 'mm', 'L'), (n, unit) => {
        const kept = typedIn(String(n), unit, US);
        expect(asTyped(kept, unit, US)).toBe(String(n));
        const read = readMeasured(kept, unit);
        expect(read.ok && read.value.value).toBeCloseTo(shownField(unit, US)!.in(n), 6);
      }),
    );
  });
});

describe('what is declared', () => {
  it('stays in grams, and looks as it did', () => {
    for (const text of ['27.5\u00a0g', '250 g', '0.6\u2060–\u206018\u00a0g']) {
      const stays = inGramsAnywhere(text);
      expect(inShownUnits(text, US)).not.toBe(text);
      expect(inShownUnits(stays, US)).toBe(stays);
      expect(stays.replaceAll('\u2060', '').replace('\u00a0', ' ')).toBe(text.replaceAll('\u2060', '').replace('\u00a0', ' '));
    }
    // What has no grams has none afterwards.
    expect(inGramsAnywhere('1466 kJ / 353 kcal')).toBe('1466 kJ / 353 kcal');
  });
});

describe('times of day', () => {
  const twelve: ShownUnits = { ...METRIC, clock: '12 h' };
  it.each([
    ['17:05', '5:05 pm'],
    ['at 00:00', 'at 12:00 am'],
    ['12:30 is lunch', '12:30 pm is lunch'],
    ['Fri 09:05', 'Fri 9:05 am'],
    ['27.11. 23:59', '27.11. 11:59 pm'],
    ['between 06:00–11:45', 'between 6:00 am–11:45 am'],
    ['(planned 2026-11-28 14:05)', '(planned 2026-11-28 2:05 pm)'],
  ])('%s', (text, right) => {
    const said = inShownUnits(text, twelve);
    expect(said.replace(/\u00a0/g, ' ')).toBe(right);
    // Said twice it is the same; a kitchen of 24 hours reads what the core says.
    expect(inShownUnits(said, twelve)).toBe(said);
    expect(inShownUnits(text, METRIC)).toBe(text);
  });
  it.each(['1:55 to stop', '2026-11-28T17:05', 'UTC+02:00', 'UTC−05:00', '17:05:30', '24:00', '12:60', '3:10:20', '09:5', '1.10:30'])('%s is none', (text) =>
    expect(inShownUnits(text, twelve)).toBe(text),
  );
  it('minutes and seconds are none, however many', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 86_399 }), (s) => {
        const face = clockFace(s);
        expect(inShownUnits(`${face} min, by ${face}.`, twelve)).toBe(`${face} min, by ${face}.`);
        expect(face.replace('\u2060', '')).toBe(typedFace(s));
      }),
    );
  });
  it('every minute of a day is said otherwise', () => {
    const all = Array.from({ length: 1440 }, (_, m) => `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`);
    const said = all.map((t) => inShownUnits(t, twelve));
    expect(new Set(said).size).toBe(1440);
  });
});

describe('which units', () => {
  it('are metric unless it is said', () => {
    expect(ShownUnitsSchema.parse({})).toEqual(METRIC);
    expect(isMetric(METRIC)).toBe(true);
    // Prices are never part of a text.
    expect(isMetric({ ...METRIC, currency: 'EUR' })).toBe(true);
    for (const one of ['temperature', 'mass', 'volume', 'length', 'clock'] as const) expect(isMetric({ ...METRIC, [one]: US[one] })).toBe(false);
  });
  it('travel as plain letters, each choice another', () => {
    expect(unitsKey(US)).toMatch(/^[\w ]+$/);
    const keys = (Object.keys(US) as (keyof ShownUnits)[]).map((k) => unitsKey({ ...METRIC, [k]: US[k] }));
    expect(new Set([...keys, unitsKey(METRIC)]).size).toBe(7);
  });
});
