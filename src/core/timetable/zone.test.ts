import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endOfDay, isZone, localTime, minuteOf, nextDay, stretchesOf, weekday } from './zone';

const LONDON = 'Europe/London';
const DAILY = [1, 2, 3, 4, 5, 6, 7];

describe('by when what is said for a day is done', () => {
  const by = (at: string, days: number, part: 'morning' | 'afternoon' | null) => localTime(endOfDay(at, { days, by: part }, LONDON), LONDON);
  it('is the end of that day, or noon, or five in the afternoon', () => {
    expect(by('2026-11-27T19:00', 1, null)).toBe('2026-11-27T00:00');
    expect(by('2026-11-27T19:00', 2, null)).toBe('2026-11-26T00:00');
    expect(by('2026-11-27T19:00', 0, 'morning')).toBe('2026-11-27T12:00');
    expect(by('2026-11-27T19:00', 0, 'afternoon')).toBe('2026-11-27T17:00');
    expect(by('2026-11-27T19:00', 1, 'morning')).toBe('2026-11-26T12:00');
  });
  it('is the serving itself where nothing is said, and where that is sooner', () => {
    expect(by('2026-11-27T19:00', 0, null)).toBe('2026-11-27T19:00');
    expect(by('2026-11-27T11:00', 0, 'morning')).toBe('2026-11-27T11:00');
  });
  it('counts the hours after midnight to the evening before', () => {
    expect(by('2026-11-28T00:30', 1, null)).toBe('2026-11-27T00:00');
    expect(by('2026-11-28T04:59', 1, null)).toBe('2026-11-27T00:00');
    expect(by('2026-11-28T05:00', 1, null)).toBe('2026-11-28T00:00');
  });
});

describe('the wall clock', () => {
  it('reads and shows moments', () => {
    expect(minuteOf('2026-11-27T19:00', LONDON)).toBe(Date.UTC(2026, 10, 27, 19) / 60_000);
    expect(minuteOf('2026-07-01T19:00', LONDON)).toBe(Date.UTC(2026, 6, 1, 18) / 60_000);
    expect(localTime(Date.UTC(2026, 6, 1, 18) / 60_000, LONDON)).toBe('2026-07-01T19:00');
    expect(localTime(Date.UTC(2026, 0, 1, 0) / 60_000, 'America/New_York')).toBe('2025-12-31T19:00');
    expect(minuteOf('tomorrow', LONDON)).toBeNaN();
    expect(isZone(LONDON)).toBe(true);
    expect(isZone('Harbour/Quay')).toBe(false);
  });

  it('on the night when it goes back the first of two readings is meant, when it goes forward one that is skipped lies an hour on', () => {
    // 25 October 2026: 01:30 is there twice in London.
    expect(minuteOf('2026-10-25T01:30', LONDON)).toBe(Date.UTC(2026, 9, 25, 0, 30) / 60_000);
    // 29 March 2026: from 01:00 to 02:00 there is nothing.
    expect(localTime(minuteOf('2026-03-29T01:30', LONDON), LONDON)).toBe('2026-03-29T02:30');
    expect(minuteOf('2026-03-29T03:00', LONDON) - minuteOf('2026-03-29T00:00', LONDON)).toBe(120);
    expect(minuteOf('2026-10-25T03:00', LONDON) - minuteOf('2026-10-25T00:00', LONDON)).toBe(240);
  });

  it('what it shows it reads again, but for the hour that comes twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 29_000_000, max: 31_000_000 }),
        fc.constantFrom(LONDON, 'America/New_York', 'Australia/Sydney', 'Asia/Kolkata', 'UTC'),
        (minute, zone) => {
          const again = minuteOf(localTime(minute, zone), zone);
          expect([0, -60]).toContain(again - minute);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('days and weekdays', () => {
    expect(nextDay('2026-02-28')).toBe('2026-03-01');
    expect(nextDay('2026-01-01', -1)).toBe('2025-12-31');
    expect(weekday('2026-11-27')).toBe(5);
  });
});

describe('hours of a week', () => {
  const at = (local: string): number => minuteOf(local, LONDON);

  it('are stretches of real minutes; a night shift over the change of the clock is an hour longer or shorter', () => {
    const night = [{ days: DAILY, from: '22:00', to: '06:00' }];
    const lengths = (from: string, to: string): number[] => stretchesOf(night, LONDON, at(from), at(to)).map(([a, b]) => b - a);
    expect(lengths('2026-10-23T12:00', '2026-10-26T12:00')).toEqual([480, 540, 480]);
    expect(lengths('2026-03-27T12:00', '2026-03-30T12:00')).toEqual([480, 420, 480]);
  });

  it('only on their days, merged where they touch', () => {
    const found = stretchesOf(
      [
        { days: [5], from: '08:00', to: '12:00' },
        { days: [5], from: '12:00', to: '15:00' },
      ],
      LONDON,
      at('2026-11-23T00:00'),
      at('2026-11-30T00:00'),
    );
    expect(found).toEqual([[at('2026-11-27T08:00'), at('2026-11-27T15:00')]]);
    expect(stretchesOf([], LONDON, 0, 100_000)).toEqual([]);
  });
});
