import { describe, expect, it } from 'vitest';
import { GRACE_MIN, STRAYS, SURE, WISHED_CHANCE, type Strays } from './house';

/** The normal distribution up to z, by Abramowitz and Stegun 26.2.17 (to 1e-7). */
function normal(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
/** How many in a hundred take between 1/f and f of what was planned. */
const within = ({ median, sd }: Strays, f: number): number => 100 * (normal(Math.log(f / median) / sd) - normal(Math.log(1 / f / median) / sd));
/** How many in a hundred take longer than was planned. */
const longer = ({ median, sd }: Strays): number => 100 * (1 - normal(Math.log(1 / median) / sd));

/*
 * The house figures by what a cook would say of a hundred evenings. They are ours, and stand here in those words once more, so that none of
 * them is changed by a slip.
 */
describe('how far an evening strays, by the house', () => {
  it.each([
    ['hands', 1.25, 62.8],
    ['cold', 1.2, 63.8],
    ['oven', 1.1, 76.6],
    ['wait', 1.1, 65.9],
    ['ahead', 1.15, 64.9],
  ] as const)('%s: within a factor of %f in %f of a hundred', (kind, factor, share) => {
    expect(within(STRAYS[kind], factor)).toBeCloseTo(share, 0);
    // As often short as long.
    expect(longer(STRAYS[kind])).toBeCloseTo(50, 1);
  });
  it('a whisk stands at the longer end of its band: one in four is longer, one in twenty by more than a quarter', () => {
    expect(longer(STRAYS.whisk)).toBeCloseTo(25.8, 0);
    expect(100 * (1 - normal(Math.log(1.28 / STRAYS.whisk.median) / STRAYS.whisk.sd))).toBeCloseTo(5.1, 0);
  });
  it('what is served strays by nothing of its own', () => expect(STRAYS.served).toEqual({ median: 1, sd: 0 }));
  it('five minutes after its time is in time, nineteen evenings of twenty are wished for', () => {
    expect(GRACE_MIN).toBe(5);
    expect(1 / (1 - WISHED_CHANCE)).toBeCloseTo(20, 8);
  });
  it('how sure each must be: one in twenty, in forty-four, in a hundred, in two hundred is longer', () => {
    expect(SURE.map((z) => 1 / (1 - normal(z))).map(Math.round)).toEqual([20, 44, 100, 200]);
  });
});
