import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LOAD_HZ, loadSample, usualBench, type LoadBench } from '../../instruments/whisk-load';
import { STAGE_X } from './house';
import { dropToSlow, liveView, startLive, takeSample, type LiveFilter } from './live';
import { practiceRun } from './practice';
import { secondsTo, type Whip } from './whisk';

const runOf = (seed: number): { whip: Whip; target: 'soft' | 'medium' | 'firm' } => {
  const run = practiceRun(seed);
  return { whip: { ...run.whip, lateRatePerS: run.whip.ratePerS }, target: run.input.target };
};

/** Feeds a filter from a bench until a moment. */
function feed(f: LiveFilter, bench: LoadBench, toS: number, change: (load: number, tS: number) => number | null = (l) => l): void {
  for (let i = 0; i / LOAD_HZ <= toS; i++) {
    const s = loadSample(bench, i);
    const load = s && change(s.load, s.tS);
    if (s && load !== null) takeSample(f, { tS: s.tS, load: load! });
  }
}

describe('a whisk followed by its load', () => {
  it('without a sensor it is the forecast: the middle at the forecast, the band its spread', () => {
    const { whip, target } = runOf(4);
    const v = liveView(startLive(whip, target), 0);
    const opens = secondsTo(whip, STAGE_X[target])!;
    expect(v.from).toBe('clock');
    expect(v.opensS!.mid / opens).toBeCloseTo(1, 3);
    expect(Math.log(v.opensS!.high / v.opensS!.mid)).toBeCloseTo(1.2816 * Math.log(1.3), 2);
  });
  it('a quicker and a slower cream are found by two thirds of their way, with noise, drop-outs and a zero that lies', () => {
    for (const [seed, pace] of [
      [11, 1.25],
      [12, 0.8],
      [13, 1.1],
      [14, 0.95],
    ] as const) {
      const { whip, target } = runOf(seed);
      const f = startLive(whip, target);
      const firm = secondsTo(whip, STAGE_X.firm)! / pace;
      feed(f, { ...usualBench(whip, pace, seed), knocksPerMin: 0 }, (firm * 2) / 3);
      expect(Math.abs(liveView(f, (firm * 2) / 3).pace.mid / pace - 1)).toBeLessThan(0.08);
    }
  });
  it('the bowl is knocked and the zero jumps by 30: the pace is found all the same', () => {
    const { whip, target } = runOf(21);
    const f = startLive(whip, target);
    const firm = secondsTo(whip, STAGE_X.firm)! / 1.15;
    feed(f, { ...usualBench(whip, 1.15, 5), knocksPerMin: 0 }, (firm * 2) / 3, (load, tS) => load + (tS > firm / 3 ? 30 : 0));
    expect(Math.abs(liveView(f, (firm * 2) / 3).pace.mid / 1.15 - 1)).toBeLessThan(0.1);
    expect(Math.abs(f.shift - 30)).toBeLessThan(8);
  });
  it('after the sensor fell silent it goes on by what it knew', () => {
    const { whip, target } = runOf(31);
    const f = startLive(whip, target);
    const firm = secondsTo(whip, STAGE_X.firm)! / 1.2;
    feed(f, { ...usualBench(whip, 1.2, 8), knocksPerMin: 0 }, (firm * 2) / 3);
    const known = liveView(f, (firm * 2) / 3).opensS!;
    expect(liveView(f, firm * 3).opensS).toEqual(known);
    expect(liveView(f, firm * 3).phase).toBe('over');
  });
  it('dropped to slow, the window comes later and is wider', () => {
    const { whip } = runOf(41);
    const fast = startLive(whip, 'firm');
    const slowed = startLive(whip, 'firm');
    const soft = secondsTo(whip, STAGE_X.soft)!;
    dropToSlow(slowed, soft);
    const [a, b] = [liveView(fast, soft), liveView(slowed, soft)];
    expect(b.opensS!.mid).toBeGreaterThan(a.opensS!.mid);
    expect((b.closesS!.mid - b.opensS!.mid) / (a.closesS!.mid - a.opensS!.mid)).toBeCloseTo(2.5, 1);
  });
  it('laws: bands are in order, phases only go forward with the clock, whatever the sensor says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500 }),
        fc.array(fc.oneof(fc.double({ min: -1e6, max: 1e6 }), fc.constant(NaN), fc.constant(Infinity)), { maxLength: 60 }),
        (seed, loads) => {
          const { whip, target } = runOf(seed);
          const f = startLive(whip, target);
          loads.forEach((load, i) => takeSample(f, { tS: i / 2, load }));
          const order = ['whisking', 'soon', 'stop', 'over'];
          let last = 0;
          for (const t of [0, 50, 100, 200, 400, 800, 3000]) {
            const v = liveView(f, t);
            for (const band of [v.x, v.pace, v.opensS!, v.closesS!]) {
              expect(Number.isFinite(band.mid)).toBe(true);
              expect(band.low).toBeLessThanOrEqual(band.mid);
              expect(band.mid).toBeLessThanOrEqual(band.high);
            }
            expect(v.x.high).toBeLessThanOrEqual(1);
            expect(order.indexOf(v.phase)).toBeGreaterThanOrEqual(last);
            last = order.indexOf(v.phase);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('time that does not go forward, and what is no number, is not taken', () => {
    const { whip, target } = runOf(3);
    const f = startLive(whip, target);
    expect(takeSample(f, { tS: 5, load: 10 })).toBe(true);
    for (const bad of [
      { tS: 5, load: 1 },
      { tS: 4, load: 1 },
      { tS: -1, load: 1 },
      { tS: 6, load: NaN },
      { tS: Infinity, load: 1 },
    ])
      expect(takeSample(f, bad)).toBe(false);
    expect(f.taken).toBe(1);
  });
});
