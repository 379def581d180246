import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDay, readTime, showDay } from './typed-moment';
import { nextDay, weekday } from './zone';

/** A Wednesday. */
const TODAY = '2026-11-25';

describe('a day as it is typed', () => {
  it.each([
    ['2026-11-28', '2026-11-28'],
    ['2026-1-2', '2026-01-02'],
    ['28.11.', '2026-11-28'],
    ['28/11', '2026-11-28'],
    ['28.11.26', '2026-11-28'],
    ['28/11/2027', '2027-11-28'],
    ['11/28', '2026-11-28'],
    ['3/4', '2027-04-03'],
    ['28 Nov', '2026-11-28'],
    ['Nov 28', '2026-11-28'],
    ['28th november 2026', '2026-11-28'],
    ['Sat 28 Nov 2026', '2026-11-28'],
    ['Saturday, Nov 28, 2026', '2026-11-28'],
    ['24 Nov', '2027-11-24'],
    ['25 Nov', '2026-11-25'],
    ['29 Feb', '2028-02-29'],
    ['today', '2026-11-25'],
    ['Tomorrow', '2026-11-26'],
    ['Sat', '2026-11-28'],
    ['wed', '2026-11-25'],
    ['Mon', '2026-11-30'],
    ['next Sat', '2026-12-05'],
    ['next wed', '2026-12-02'],
  ])('%s is %s', (text, day) => expect(readDay(text, TODAY)).toBe(day));
  it.each(['', 'x', '2026', '202', '0202-11-28', '2101-01-01', '1999-12-31', '31.2.', '32 Nov', '2026-13-01', 'Now 28', 'sa', '28', '28.11.20261'])(
    '‘%s’ is none',
    (text) => expect(readDay(text, TODAY)).toBeNull(),
  );
  it('what is shown is read back, on every day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 36_000 }), (n) => {
        const day = nextDay('2000-01-01', n);
        expect(readDay(showDay(day), TODAY)).toBe(day);
        expect(showDay(day).startsWith(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'][weekday(day) - 1]!)).toBe(true);
      }),
    );
  });
  it('whatever is typed is a day that the calendar has, or none', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom('1', '2', '3', '0', '.', '/', '-', ' ', 'nov', 'sat', 'next ', 'th', ','), maxLength: 9 }), (text) => {
        const day = readDay(text, TODAY);
        if (day !== null) expect(nextDay(nextDay(day), -1)).toBe(day);
      }),
    );
  });
});

describe('a time as it is typed', () => {
  it.each([
    ['19:30', '19:30'],
    ['19.30', '19:30'],
    ['1930', '19:30'],
    ['930', '09:30'],
    ['19', '19:00'],
    ['7', '07:00'],
    ['7 pm', '19:00'],
    ['7pm', '19:00'],
    ['7:05 p.m.', '19:05'],
    ['12 am', '00:00'],
    ['12 pm', '12:00'],
    ['12:30am', '00:30'],
    ['24', '00:00'],
    ['24:00', '00:00'],
    ['19h', '19:00'],
    ['19h30', '19:30'],
    ['7 o’clock', '07:00'],
    ['noon', '12:00'],
    ['midnight', '00:00'],
  ])('%s is %s', (text, time) => expect(readTime(text)).toBe(time));
  it.each(['', '25', '24:30', '19:60', '13 pm', '0 am', '19:3', 'soon', '19:30:00', '-1'])('‘%s’ is none', (text) => expect(readTime(text)).toBeNull());
});
