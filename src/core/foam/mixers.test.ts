import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { WhiskInput } from './inputs';
import { creamInMixer, eggInMixer } from './mixers';
import { practiceRun } from './practice';
import { CLIMB_SHARE, EGG_FOAM_OVERRUN } from './house';
import { foamVolumeMl } from './overrun';
import { stopWindow, whip, whiskWarnings, type Whip } from './whisk';

const CREAM: WhiskInput = {
  ...practiceRun(1).input,
  fatPct: 36,
  creamC: 5,
  sugarPer100: 10,
  mixer: 'planetary',
  bowlMl: 4800,
  mixMl: 600,
  batches: 1,
  target: 'medium',
  softCheeseShare: 0,
  mascarponeShare: 0,
};
const same = (w: Whip): Whip => w;

describe('cream in each mixer', () => {
  it('600 mL is whisked at once, or in a small bowl in two; each with the time of that whip', () => {
    for (const [mixer, bowlMl, batches] of [
      ['planetary', 4800, 1],
      ['hand-mixer', 3000, 1],
      ['balloon-whisk', 5000, 2],
      ['hand-mixer', 1500, 2],
    ] as const) {
      const made = creamInMixer({ ...CREAM, mixer, bowlMl }, same);
      const w = whip({ ...CREAM, mixer, bowlMl, batches });
      expect(made).toEqual({ bowlfuls: batches, window: w.ok && stopWindow(w.value, 'medium') });
    }
  });
  it('each bowlful of many gives no warning of its filling', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 20_000 }),
        fc.constantFrom('planetary' as const, 'hand-mixer' as const, 'balloon-whisk' as const),
        (mixMl, mixer) => {
          const input = { ...CREAM, mixMl, mixer, bowlMl: 4000 };
          const made = creamInMixer(input, same);
          if (made.bowlfuls === null) return;
          const each = { ...input, batches: made.bowlfuls };
          const w = whip(each);
          expect(w.ok && whiskWarnings(each, w.value)).toEqual([]);
        },
      ),
    );
  });
  it('says why not: wires that do not reach, a bowl that is too small, a stage that never stands', () => {
    expect(creamInMixer({ ...CREAM, mixMl: 60, bowlMl: 20_000 }, same)).toEqual({ bowlfuls: null, why: 'not-reached' });
    expect(creamInMixer({ ...CREAM, mixMl: 60_000, bowlMl: 500 }, same)).toEqual({ bowlfuls: null, why: 'too-small' });
    expect(creamInMixer({ ...CREAM, creamC: 17 }, same)).toEqual({ bowlfuls: null, why: 'never' });
  });
  it('the log’s correction moves the window, not the bowlfuls', () => {
    const plain = creamInMixer(CREAM, same);
    const slower = creamInMixer(CREAM, (w) => ({ ...w, ratePerS: w.ratePerS / 2, lateRatePerS: w.lateRatePerS / 2 }));
    if (plain.bowlfuls === null || slower.bowlfuls === null) throw new Error('no window');
    expect(slower.bowlfuls).toBe(plain.bowlfuls);
    expect(slower.window.opensS / plain.window.opensS).toBeCloseTo(2, 9);
  });
});

describe('an egg foam in each mixer', () => {
  const EGG = { foam: 'whites', mixer: 'planetary', bowlMl: 4800, speed: 'fast', mixMl: 200, eggC: 20 } as const;
  it('has its bowlfuls and its window; a processor brings no air; a thimble is too small', () => {
    expect(eggInMixer(EGG)).toMatchObject({ bowlfuls: 1 });
    expect(eggInMixer({ ...EGG, mixer: 'processor' })).toEqual({ bowlfuls: null, why: 'no-air' });
    expect(eggInMixer({ ...EGG, bowlMl: 60, mixMl: 20_000 })).toEqual({ bowlfuls: null, why: 'too-small' });
  });
  it('splits what would climb out', () => {
    const made = eggInMixer({ ...EGG, mixMl: 1200 });
    if (made.bowlfuls === null) throw new Error('no window');
    expect(made.bowlfuls).toBeGreaterThan(1);
    const foamShare = (n: number): number => foamVolumeMl(1200 / n, EGG_FOAM_OVERRUN.whites) / EGG.bowlMl;
    expect(foamShare(made.bowlfuls)).toBeLessThanOrEqual(CLIMB_SHARE);
    expect(foamShare(made.bowlfuls - 1)).toBeGreaterThan(CLIMB_SHARE);
  });
});
