import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { practiceResult, practiceRun } from './practice';

const seeds = fc.integer({ min: 0, max: 2 ** 32 - 1 });

describe('a practice run', () => {
  it('is the same again for the same seed, and another for another', () => {
    expect(practiceRun(7)).toEqual(practiceRun(7));
    expect(practiceRun(7).input).not.toEqual(practiceRun(8).input);
  });
  it('has a stage that comes and a window that closes', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const { window, input } = practiceRun(seed);
        expect(window.opensS).toBeGreaterThan(10);
        expect(window.closesS!).toBeGreaterThan(window.opensS);
        expect(input.mixMl).toBeLessThan(input.bowlMl / 2);
      }),
      { numRuns: 200 },
    );
  });
  it('scores 0 inside the window, early below and late above it', () => {
    fc.assert(
      fc.property(seeds, fc.double({ min: 0, max: 1, noNaN: true }), (seed, share) => {
        const run = practiceRun(seed);
        const { opensS, closesS } = run.window;
        expect(practiceResult(run, opensS + share * (closesS! - opensS)).offS).toBe(0);
        expect(practiceResult(run, opensS - 5).offS).toBeCloseTo(-5, 9);
        expect(practiceResult(run, closesS! + 9).offS).toBeCloseTo(9, 9);
        expect(practiceResult(run, opensS - 5).overrunPct).toBeLessThanOrEqual(practiceResult(run, opensS).wishedPct + 1e-9);
      }),
      { numRuns: 100 },
    );
  });
  it('beaten to butter it has no air left to speak of', () => {
    const run = practiceRun(3);
    expect(practiceResult(run, 10_000)).toMatchObject({ reached: 'butter', overrunPct: 0 });
  });
});
