import { describe, expect, it } from 'vitest';
import { daysBefore, longCold, ON_THE_DAY, restsANight, whenSaid } from './when';

describe('when a step is said to be done', () => {
  it.each([
    ['The day before, whisk the custard', 1, null],
    ['the night before', 1, null],
    ['Two days before, make the custard', 2, null],
    ['2 to 3 days ahead, whisk the whites', 2, null],
    ['Three days in advance', 3, null],
    ['a couple of days ahead', 2, null],
    ['a few days before', 3, null],
    ['40 days before', 30, null],
    ['The morning before, a day ahead', 1, 'morning'],
    ['In the morning whip the cream', 0, 'morning'],
    ['The morning of the dinner, mix', 0, 'morning'],
    ['In the afternoon fill the glasses', 0, 'afternoon'],
    ['The next day turn it out', 0, null],
    ['Just before serving whip the cream', 0, null],
  ] as const)('‘%s’: %d days, %s', (text, days, by) => expect(whenSaid(text)).toEqual({ days, by }));
  it.each([
    'Whip the cream',
    'can be made up to two days ahead',
    'chill until the next day',
    'Keeps for two days',
    'leave until the morning',
    'ready by the afternoon',
  ])('‘%s’ says nothing of it', (text) => expect(whenSaid(text)).toBeNull());
});

describe('a rest through a night', () => {
  it('is one that is said to be, not one that may be', () => {
    expect(restsANight('Chill overnight', [480, 720])).toBe(true);
    expect(restsANight('Leave until the next day', [480, 720])).toBe(true);
    expect(restsANight('Chill for 4 hours or overnight', [240, 240])).toBe(false);
    expect(restsANight('Chill for 8 hours, better overnight', [480, 480])).toBe(false);
    expect(restsANight('Chill for 8 to 12 hours', [480, 720])).toBe(false);
    expect(restsANight('Overnight oats', null)).toBe(false);
  });
  it('is long from four hours on', () => {
    expect(longCold('chill for 4 hours')).toBe(true);
    expect(longCold('chill for 3 hours')).toBe(false);
    expect(longCold('bake for 5 hours')).toBe(false);
  });
  it('puts what it waits for a day back, over all that lies between', () => {
    const step = (after: readonly number[], night = false, days = 0) => ({ when: { ...ON_THE_DAY, days }, night, after });
    // Cooked, cooled, chilled overnight, whipped apart, folded, frozen overnight.
    expect(daysBefore([step([]), step([0]), step([1], true), step([]), step([2, 3]), step([4], true)])).toEqual([2, 2, 1, 1, 1, 0]);
    // What is said to be sooner stays sooner, and so does what it needs.
    expect(daysBefore([step([]), step([0], false, 3), step([1])])).toEqual([3, 3, 0]);
    expect(daysBefore([step([])])).toEqual([0]);
  });
});
