import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  showMoney,
  clockFace,
  typedFace,
  houseRange,
  plainNumber,
  roughNumber,
  showFigure,
  showGrams,
  showHours,
  showRange,
  showRoughSeconds,
  showSeconds,
  showSecondsRange,
  showVolumeMl,
  significant,
} from './figure';

const plain = (s: string): string => s.replace(/[\u00a0\u202f]/g, ' ').replaceAll('\u2060', '');

describe('figures as they are shown', () => {
  it.each([
    [1234, 0, '1 234'],
    [12345.6, 1, '12 345.6'],
    [-0.04, 1, '0.0'],
    [-3, 0, '−3'],
    [0, 0, '0'],
  ])('%s with %s decimals is %s', (v, d, text) => expect(plain(plainNumber(v, d))).toBe(text));
  it.each([
    [97.4, '97'],
    [134, '130'],
    [7.26, '7.3'],
    [7.04, '7'],
    [0.237, '0.24'],
    [0, '0'],
  ])('%s roughly is %s', (v, text) => expect(plain(roughNumber(v))).toBe(text));
  it('a range of a house figure never has three digits that count', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 9000, noNaN: true }), (v) => {
        const [low, high] = houseRange(v, 0.12);
        for (const end of plain(showRange(low, high, '')).split('–')) expect(end.replace(/[ .]/g, '').replace(/^0+|0+$/g, '').length).toBeLessThanOrEqual(2);
      }),
    );
  });
  it.each([
    [45, '45 s'],
    [187, '3:07 min'],
  ])('%s s is %s', (s, text) => expect(plain(showSeconds(s))).toBe(text));
  it.each([
    [5, '5 g'],
    [4.83, '4.8 g'],
    [9.97, '10 g'],
    [596.8, '597 g'],
  ])('%s grams on the scale are %s', (v, text) => expect(plain(showGrams(v))).toBe(text));
  it('rounds times as far as a house figure bears', () => {
    expect(plain(showRoughSeconds(333))).toBe('5:30 min');
    expect(plain(showSecondsRange(203, 283))).toBe('3:20–4:40 min');
    expect(plain(showSecondsRange(41, 57))).toBe('41–57 s');
    expect(typedFace(3599.9)).toBe('59:59');
    // In a text no time of day: a joiner stands before its colon.
    expect(clockFace(3599.9)).toBe('59\u2060:59');
    expect(clockFace(599)).toBe('9:59');
  });
  it.each([
    [0.5, '30 min'],
    [12, '12 h'],
    [72, '3 days'],
  ])('%s h is %s', (h, text) => expect(plain(showHours(h))).toBe(text));
  it('volumes and hours choose their unit by size', () => {
    expect(plain(showVolumeMl(83.4))).toBe('83 mL');
    expect(plain(showVolumeMl(1260))).toBe('1.3 L');
    expect(plain(showFigure({ value: 1260, unit: 'mL', range: [1200, 1310], decimals: 0 }))).toBe('1.2–1.3 L');
    expect(plain(showFigure({ value: 1, unit: 'h', range: [0.95, 2], decimals: 0 }))).toBe('57–120 min');
    expect(plain(showFigure({ value: 2, unit: 'h', range: [2, 2], decimals: 0 }))).toBe('2 h');
    expect(plain(showFigure({ value: 35.63, unit: '%', range: null, decimals: 1 }))).toBe('35.6 %');
    expect(significant(0, 2)).toBe(0);
    expect(significant(5e-324, 2)).toBe(0);
    expect(showHours(5e-324)).toBe('0\u00a0min');
    expect(significant(1e-200, 2)).toBe(1e-200);
  });
  it('says money in its currency, with the figures that it has', () => {
    expect(showMoney(3.4, '')).toBe('3.40');
    expect(showMoney(3.4, 'EUR')).toBe('€3.40');
    expect(showMoney(1234.5, 'GBP')).toBe('£1\u202f234.50');
    expect(showMoney(340.4, 'JPY')).toBe('¥340');
  });
});
