import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { practiceRun } from '../../core/foam/practice';
import { STAGE_X } from '../../core/foam/house';
import { secondsTo } from '../../core/foam/whisk';
import { loadSample, usualBench, LOAD_HZ } from '../../instruments/whisk-load';
import { leftWords } from './whisk-call';
import { makeLiveWhisk, sensorWords } from './live-whisk';

class Stream {
  static last: Stream | null = null;
  onmessage: ((m: { data: string }) => void) | null = null;
  constructor() {
    Stream.last = this;
  }
  close(): void {
    Stream.last = null;
  }
}

const NOW = 1_800_000_000_000;
const { whip, input } = practiceRun(12);
const steady = { ...whip, lateRatePerS: whip.ratePerS };
const start = { whip: steady, target: input.target, logSd: Math.log(1.18), startedAt: NOW };
const plain = (s: string): string => s.replace(/[\u00a0\u202f]/g, ' ');

beforeEach(() => {
  vi.useFakeTimers({ now: NOW });
  vi.stubGlobal('EventSource', Stream);
  vi.stubGlobal('document', { addEventListener: () => undefined, removeEventListener: () => undefined });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** Lets time go on while the sensor speaks. */
async function hear(pace: number, toS: number, fromS = 0): Promise<void> {
  const bench = { ...usualBench(steady, pace, 9), knocksPerMin: 0 };
  for (let i = Math.ceil(fromS * LOAD_HZ); i / LOAD_HZ <= toS; i++) {
    await vi.advanceTimersByTimeAsync(1000 / LOAD_HZ);
    const s = loadSample(bench, i);
    if (s) Stream.last!.onmessage!({ data: JSON.stringify({ instrument: 'load', id: 'm', name: 'whisk', unit: '%', value: s.load, at: NOW + 1000 * s.tS }) });
  }
}

describe('a whisk as the page follows it', () => {
  it('without a sensor it goes by the clock and says so', async () => {
    const live = makeLiveWhisk(start);
    const stop = live.follow();
    await vi.advanceTimersByTimeAsync(30_000);
    expect(live.get()).toMatchObject({ samples: 0, silentS: null });
    expect(live.get().nowS).toBeCloseTo(30, 0);
    expect(sensorWords(live.get())).toContain('No sensor speaks');
    stop();
    expect(Stream.last).toBeNull();
  });
  it('finds a quicker cream by its load, and says how much quicker; silent, it says since when', async () => {
    const live = makeLiveWhisk(start);
    const stop = live.follow();
    const toS = (0.75 * secondsTo(steady, STAGE_X.firm)!) / 1.25;
    await hear(1.25, toS);
    await vi.advanceTimersByTimeAsync(250);
    expect(live.get().view.pace.mid).toBeGreaterThan(1.12);
    expect(plain(sensorWords(live.get()))).toMatch(/By the load, from \d+ samples: \d+ % quicker/);
    await vi.advanceTimersByTimeAsync(12_000);
    expect(plain(sensorWords(live.get()))).toMatch(/silent for 1[23] s/);
    stop();
  });
  it('a clock set back shows nothing below nothing', async () => {
    const live = makeLiveWhisk({ ...start, startedAt: NOW + 60_000 });
    const stop = live.follow();
    await vi.advanceTimersByTimeAsync(500);
    expect(live.get().nowS).toBe(0);
    stop();
  });
  it('samples of another whisk, before this one began, are not taken', async () => {
    const live = makeLiveWhisk(start);
    const stop = live.follow();
    Stream.last!.onmessage!({ data: JSON.stringify({ instrument: 'load', id: 'm', name: 'whisk', unit: '%', value: 12, at: NOW - 5000 }) });
    await vi.advanceTimersByTimeAsync(300);
    expect(live.get().samples).toBe(0);
    stop();
  });
});

describe('what is left, in words', () => {
  const band = (low: number, high: number) => ({ low, mid: (low + high) / 2, high });
  it.each([
    [{ opensS: band(100, 130), closesS: band(150, 180) }, false, 80, 'The window opens in 20 s to 50 s.'],
    [{ opensS: band(100, 130), closesS: band(150, 180) }, true, 120, 'The window is open: 30 s to 1:00 min left.'],
    [{ opensS: band(100, 130), closesS: null }, true, 140, 'The window is open: from here it changes little.'],
    [{ opensS: band(100, 130), closesS: band(150, 180) }, true, 200, 'The window closes now.'],
    [{ opensS: null, closesS: null }, false, 20, 'It never comes there.'],
  ] as const)('%o', (view, open, now, words) => expect(plain(leftWords(view, open, now))).toBe(words));
});
