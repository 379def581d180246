import { describe, expect, it } from 'vitest';
import type { Comparison } from '../../core/batch/readings';
import { comparisonTrack, forecastWords, landed, outcomeWords } from './outcome-words';

const plain = (s: string): string => s.replace(/[\u00a0\u202f]/g, ' ').replaceAll('\u2060', '');
const of = (unit: string, outcome: number | null, low = 0, high = 0): Comparison => ({
  key: 'time',
  name: 'It',
  unit,
  forecast: high > 0 ? { value: (low + high) / 2, low, high } : null,
  outcome,
  fault: null,
});

describe('what came, in words', () => {
  it.each([
    [of('s', 333), '5:33 min'],
    [of('%', 93.75), '94 %'],
    [of('%', 8.4), '8.4 %'],
    [of('mL', 880), '880 mL'],
    [of('mL', 1234), '1.23 L'],
    [of('h', 5), '5 h'],
    [of('h', null), '–'],
  ])('%o', (c, words) => expect(plain(outcomeWords(c))).toBe(words));
});

describe('what was forecast, in words', () => {
  it.each([
    [of('s', null, 282, 393), '4:40–6:30 min'],
    [of('%', null, 79, 99), '79–99 %'],
    [of('mL', null, 1180, 1310), '1.2–1.3 L'],
    [of('h', null, 7, 15), '7–15 h'],
    [of('h', null), 'no figure'],
  ])('%o', (c, words) => expect(plain(forecastWords(c))).toBe(words));
});

describe('beside each other', () => {
  it('it landed within, beside, or cannot be said', () => {
    expect(landed(of('%', 90, 79, 99))).toBe(true);
    expect(landed(of('%', 79, 79, 99))).toBe(true);
    expect(landed(of('%', 78.9, 79, 99))).toBe(false);
    expect(landed(of('%', null, 79, 99))).toBeNull();
    expect(landed(of('%', 90))).toBeNull();
  });
  it('the track shows the range as its band and has room for what came', () => {
    expect(comparisonTrack(of('%', null, 79, 99))).toBeNull();
    const track = comparisonTrack(of('%', 300, 79, 99))!;
    expect(track).toMatchObject({ low: 79, high: 99, value: 300 });
    expect(track.to).toBeGreaterThan(300);
    expect(plain(track.says)).toBe('300 % against a forecast of 79–99 %');
  });
});
