import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readTable } from './interpolate';
import { readable, within } from './result';

describe('within', () => {
  it.each([4, 5, 6])('%s lies between 4 and 6', (v) => expect(within('f', 'It', v, 4, 6, 'g')).toBeNull());
  it.each([3.9, 6.1, NaN, Infinity, -Infinity])('%s does not, and the sentence names the range', (v) => {
    const fault = within('f', 'It', v, 4, 6, 'g');
    expect(fault).toMatchObject({ field: 'f', code: 'out-of-range' });
    expect(fault!.says.replaceAll('\u00a0', ' ')).toMatch(/it works from 4 to 6 g\.$/);
  });
});

describe('readTable', () => {
  const table = [
    [0, 10],
    [10, 20],
    [30, 0],
  ] as const;
  it('meets every point and is straight between', () => {
    for (const [x, y] of table) expect(readTable(table, x)).toBeCloseTo(y, 12);
    expect(readTable(table, 5)).toBeCloseTo(15, 12);
    expect(readTable(table, 20)).toBeCloseTo(10, 12);
  });
  it('has nothing outside, and stays between its points inside', () => {
    expect(readTable(table, -0.01)).toBeNull();
    expect(readTable(table, 30.01)).toBeNull();
    expect(readTable(table, NaN)).toBeNull();
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), (x) => {
        const y = readTable(table, x)!;
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(20);
      }),
    );
  });
});

describe('numbers in a fault', () => {
  it('have four digits, or are whole', () => {
    expect(within('f', 'Fat', 15.273872022453489, 25, 60, '%')?.says).toBe('Fat is 15.27; it works from 25 to 60\u00a0%.');
    expect([0.000012345678, 123456.789, -3.14159, 71].map(readable)).toEqual(['0.00001235', '123457', '-3.142', '71']);
  });
});
