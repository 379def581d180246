import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeTemperatureLog } from './temperature-log';

/** A stream in the test: what the instruments say is said by hand. */
class Stream {
  static last: Stream | null = null;
  onmessage: ((m: { data: string }) => void) | null = null;
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  constructor() {
    Stream.last = this;
  }
  close(): void {
    Stream.last = null;
  }
  say(value: number, id = 'p-1'): void {
    this.onmessage?.({ data: JSON.stringify({ instrument: 'probe', id, name: 'probe 1', unit: '°C', value, at: Date.now() }) });
  }
}

let sent: { series: string; at: number; tC: number }[];
let away: boolean;
/** The server's answer waits for it. */
let held: Promise<void> | null;
const kept = new Map<string, string>();

beforeEach(() => {
  vi.useFakeTimers({ now: 1_800_000_000_000 });
  sent = [];
  away = false;
  held = null;
  kept.clear();
  vi.stubGlobal('EventSource', Stream);
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  });
  vi.stubGlobal('fetch', async (_url: string, init: { body: string }) => {
    if (away) throw new TypeError('away');
    const { samples } = JSON.parse(init.body) as { samples: typeof sent };
    await held;
    if (samples.some((x) => x.tC > 300)) return Response.json({ says: 'too hot' }, { status: 400 });
    sent.push(...samples);
    return Response.json({});
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('temperatures on one tablet', () => {
  it('what is typed is there at once and goes to the server', async () => {
    const log = makeTemperatureLog('b', [], Date.now());
    log.add('cook|by hand', 71);
    expect(log.get().samples).toEqual([{ series: 'cook|by hand', at: Date.now(), tC: 71 }]);
    await vi.advanceTimersByTimeAsync(10);
    expect(sent).toHaveLength(1);
  });
  it('one that the server refuses is said and set aside; those before and behind it arrive', async () => {
    const log = makeTemperatureLog('b', [], Date.now());
    away = true;
    for (const tC of [20, 999, 30, 31]) {
      log.add('cook|by hand', tC);
      await vi.advanceTimersByTimeAsync(10);
    }
    away = false;
    log.add('cook|by hand', 32);
    await vi.advanceTimersByTimeAsync(50);
    expect(sent.map((x) => x.tC)).toEqual([20, 30, 31, 32]);
    expect(log.get().trouble).toMatch(/^999.°C was not taken/);
    expect(log.get().samples.map((x) => x.tC)).toEqual([20, 30, 31, 32]);
    expect(JSON.parse([...kept.entries()].find(([k]) => k.includes('temperatures'))?.[1] ?? '[]')).toEqual([]);
  });
  it('one taken away while it is sent takes no other with it', async () => {
    const log = makeTemperatureLog('b', [], Date.now());
    let answer = (): void => undefined;
    held = new Promise((go) => (answer = go));
    log.add('cook|by hand', 20);
    await vi.advanceTimersByTimeAsync(10);
    const [first] = log.get().samples;
    const removing = log.remove(first!).catch(() => undefined);
    log.add('cook|by hand', 33);
    answer();
    await vi.advanceTimersByTimeAsync(50);
    await removing;
    expect(sent.map((x) => x.tC)).toContain(33);
  });
  it('a probe writes into its series until it is told to stop, and not while it is silent', async () => {
    const log = makeTemperatureLog('b', [], Date.now());
    const stop = log.follow();
    Stream.last!.say(60);
    log.logFrom('cook|probe 1', 'p-1');
    await vi.advanceTimersByTimeAsync(2000);
    Stream.last!.say(61);
    await vi.advanceTimersByTimeAsync(2000);
    expect(log.get().samples.map((s) => s.tC)).toEqual([60, 61]);
    // Silent for a while: no number is made up.
    await vi.advanceTimersByTimeAsync(20_000);
    expect(log.get().samples.length).toBeLessThanOrEqual(4);
    const before = log.get().samples.length;
    log.logFrom('cook|probe 1', null);
    Stream.last!.say(70);
    await vi.advanceTimersByTimeAsync(4000);
    expect(log.get().samples).toHaveLength(before);
    stop();
    expect(Stream.last).toBeNull();
  });
  it('while the server is away they wait on the tablet, over a reload, and go in order when it is back', async () => {
    away = true;
    const log = makeTemperatureLog('b', [], Date.now());
    log.add('cool|by hand', 57);
    await vi.advanceTimersByTimeAsync(5);
    log.add('cool|by hand', 40);
    await vi.advanceTimersByTimeAsync(5);
    expect(log.get().trouble).toContain('kept on this tablet');
    expect(JSON.parse(kept.get('soft-peak:temperatures:b')!)).toHaveLength(2);
    // The page is loaded again, while the server is still away: they are shown, beside what the page knew, and each once.
    const alone = makeTemperatureLog('b', [{ series: 'cool|by hand', at: 5, tC: 80 }], Date.now());
    const leave = alone.follow();
    expect(alone.get().samples.map((s) => s.tC)).toEqual([80, 57, 40]);
    leave();
    const known = makeTemperatureLog('b', alone.get().samples, Date.now());
    known.follow()();
    expect(known.get().samples).toHaveLength(3);
    away = false;
    held = null;
    const again = makeTemperatureLog('b', [], Date.now());
    const stop = again.follow();
    await vi.advanceTimersByTimeAsync(2100);
    expect(sent.map((s) => s.tC)).toEqual([57, 40]);
    expect(again.get().trouble).toBeNull();
    stop();
  });
  it('one typed wrongly goes from the screen and the server; while that is away it stays', async () => {
    const log = makeTemperatureLog('b', [{ series: 'cook|by hand', at: 5, tC: 700 }], Date.now());
    away = true;
    await log.remove(log.get().samples[0]!);
    expect(log.get().samples).toHaveLength(1);
    expect(log.get().trouble).toContain('still there');
    away = false;
    held = null;
    vi.stubGlobal('fetch', async (url: string, init: { method: string }) =>
      init.method === 'DELETE' && url.includes('at=5') ? Response.json({}) : Response.json({}, { status: 500 }),
    );
    await log.remove(log.get().samples[0]!);
    expect(log.get().samples).toEqual([]);
  });
  it('one that never arrived and cannot be taken away now is still there, and still goes', async () => {
    away = true;
    const log = makeTemperatureLog('b', [], Date.now());
    log.add('cook|by hand', 71);
    await vi.advanceTimersByTimeAsync(5);
    await log.remove(log.get().samples[0]!);
    expect(log.get().samples.map((s) => s.tC)).toEqual([71]);
    away = false;
    log.add('cook|by hand', 72);
    await vi.advanceTimersByTimeAsync(50);
    expect(sent.map((s) => s.tC).sort()).toEqual([71, 72]);
  });
  it('two tabs keep what waits beside each other', async () => {
    away = true;
    const [one, two] = [makeTemperatureLog('b', [], Date.now()), makeTemperatureLog('b', [], Date.now())];
    one.add('cook|by hand', 71);
    await vi.advanceTimersByTimeAsync(5);
    two.add('cool|by hand', 20);
    await vi.advanceTimersByTimeAsync(5);
    const next = makeTemperatureLog('b', [], Date.now());
    const stop = next.follow();
    expect(next.get().samples.map((s) => s.tC)).toEqual([71, 20]);
    away = false;
    await vi.advanceTimersByTimeAsync(2100);
    expect(sent.map((s) => s.tC)).toEqual([71, 20]);
    expect(JSON.parse(kept.get('soft-peak:temperatures:b')!)).toEqual([]);
    stop();
  });
  it('what the server took stands on a page that was kept before, and not on one made since', async () => {
    const made = Date.now();
    vi.stubGlobal('fetch', async (_url: string, init: { method: string }) =>
      Response.json({}, { headers: init.method === 'POST' ? { date: new Date().toUTCString() } : {} }),
    );
    const log = makeTemperatureLog('b', [{ series: 'cook|by hand', at: 5, tC: 20 }], made);
    await vi.advanceTimersByTimeAsync(400);
    log.add('cook|by hand', 71);
    await vi.advanceTimersByTimeAsync(5);
    log.add('cook|by hand', 72);
    await vi.advanceTimersByTimeAsync(5);
    const shown = (asOf: number, known = [{ series: 'cook|by hand', at: 5, tC: 20 }]): number[] => {
      const page = makeTemperatureLog('b', known, asOf);
      page.follow()();
      return page.get().samples.map((s) => s.tC);
    };
    // Also where both lie within one second of the server's clock.
    expect(shown(made)).toEqual([20, 71, 72]);
    // One that was taken away here is no longer told.
    await log.remove(log.get().samples.find((s) => s.tC === 71)!);
    expect(shown(made)).toEqual([20, 72]);
    // A page made since has it, or it was taken away elsewhere; from then on it is forgotten.
    expect(shown(made + 5000)).toEqual([20]);
    expect(shown(made)).toEqual([20]);
  });
  it('logging goes on after a reload', async () => {
    const first = makeTemperatureLog('b', [], Date.now());
    first.logFrom('cool|probe 1', 'p-1');
    const log = makeTemperatureLog('b', [], Date.now());
    const stop = log.follow();
    Stream.last!.say(33);
    await vi.advanceTimersByTimeAsync(2000);
    expect(log.get().samples.map((s) => [s.series, s.tC])).toEqual([['cool|probe 1', 33]]);
    stop();
  });
});
