import { describe, expect, it } from 'vitest';
import { normalDraw, seededNumbers } from './random';

const first = (seed: number, n: number): readonly number[] => {
  const next = seededNumbers(seed);
  return Array.from({ length: n }, () => next());
};

describe('numbers of a seed', () => {
  it('are those that the published generator gives', () => {
    // The first of seed 0 by hand: t = 0x6d2b79f5; t = imul(t ^ t>>>15, t|1); t ^= t + imul(t ^ t>>>7, t|61); (t ^ t>>>14) / 2³².
    expect(first(0, 3)).toEqual([0.26642920868471265, 0.0003297457005828619, 0.2232720274478197]);
  });
  it('are the same again, others for another seed, and only the lower 32 bits of it count', () => {
    expect(first(7, 50)).toEqual(first(7, 50));
    expect(first(7, 3)).not.toEqual(first(8, 3));
    expect(first(2 ** 32 + 7, 3)).toEqual(first(7, 3));
    expect(first(-1, 3)).toEqual(first(2 ** 32 - 1, 3));
  });
  it('fill the tenths evenly, and one says nothing of the next', () => {
    const n = 100_000;
    const numbers = first(20_261_129, n);
    const tenths = Array.from({ length: 10 }, () => 0);
    for (const x of numbers) tenths[Math.floor(10 * x)]!++;
    // Five standard deviations of a tenth’s count, and of a correlation of none.
    for (const count of tenths) expect(Math.abs(count - n / 10)).toBeLessThan(5 * Math.sqrt(n * 0.1 * 0.9));
    const together = numbers.slice(1).reduce((sum, x, i) => sum + (x - 0.5) * (numbers[i]! - 0.5), 0) / n;
    expect(Math.abs(together)).toBeLessThan(5 / 12 / Math.sqrt(n));
    expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...numbers)).toBeLessThan(1);
  });
});

describe('a draw of the bell curve', () => {
  const next = seededNumbers(7);
  const draws = Array.from({ length: 40_000 }, () => normalDraw(next));
  const share = (within: number) => draws.filter((z) => Math.abs(z) < within).length / draws.length;

  it('has mean 0 and spread 1', () => {
    const mean = draws.reduce((sum, z) => sum + z, 0) / draws.length;
    expect(Math.abs(mean)).toBeLessThan(0.02);
    expect(draws.reduce((sum, z) => sum + (z - mean) ** 2, 0) / draws.length).toBeCloseTo(1, 1);
  });

  it('holds a half, four in five and nineteen in twenty within the tables’ distances', () => {
    expect(share(0.6745)).toBeCloseTo(0.5, 2);
    expect(share(1.2816)).toBeCloseTo(0.8, 2);
    expect(share(1.96)).toBeCloseTo(0.95, 2);
  });

  it('is a number also where the seed gives naught', () => {
    expect(normalDraw(() => 0)).toBeCloseTo(0, 12);
  });
});
