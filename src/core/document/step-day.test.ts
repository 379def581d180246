import { describe, expect, it } from 'vitest';
import { dayBeside, dayChoices, dayKey, dayOfKey, dayWords } from './step-day';

describe('the day of a step', () => {
  it.each([
    [{ ahead: 0, by: null }, ''],
    [{ ahead: 0, by: 'morning' }, 'in the morning'],
    [{ ahead: 1, by: null }, 'the day before'],
    [{ ahead: 1, by: 'afternoon' }, 'the day before, in the afternoon'],
    [{ ahead: 3, by: null }, '3\u00a0days before'],
  ] as const)('%o is ‘%s’', (day, words) => expect(dayWords(day)).toBe(words));
  it('is not said twice', () => {
    expect(dayBeside({ ahead: 1, by: null, title: 'Crush the biscuits' })).toBe('the day before');
    expect(dayBeside({ ahead: 1, by: null, title: 'The day before, crush the biscuits' })).toBe('');
  });
  it('goes into a word and back', () => {
    for (const [key] of dayChoices({ ahead: 7, by: 'morning' })) expect(dayKey(dayOfKey(key))).toBe(key);
    expect(dayOfKey('7 morning')).toEqual({ ahead: 7, by: 'morning' });
    expect(dayOfKey('')).toEqual({ ahead: 0, by: null });
    expect(dayOfKey('-2 noon')).toEqual({ ahead: 0, by: null });
    expect(dayOfKey('99')).toEqual({ ahead: 30, by: null });
  });
  it('what stands is always among the choices, once', () => {
    const usual = dayChoices({ ahead: 1, by: null });
    expect(usual.map(([k]) => k)).toEqual(['0', '0 morning', '0 afternoon', '1', '2', '3']);
    expect(dayChoices({ ahead: 5, by: null }).map(([k]) => k)).toEqual([...usual.map(([k]) => k), '5']);
    expect(new Set(usual.map(([, words]) => words)).size).toBe(6);
  });
});
