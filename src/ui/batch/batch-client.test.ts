import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshProgress, progressAfter, type ProgressEvent } from '../../core/batch/batch';
import { makeBatchClient } from './batch-client';
import type { BatchState } from './kept-batch';

/** A server in the test: one batch, its revision and the ids of its events checked as the real one does. */
function server() {
  const known = new Set<string>();
  const state = { loses: 0, batch: { id: 'b', revision: 1, progress: freshProgress(), status: 'running' } as BatchState, away: false, calls: 0 };
  const write = (event: ProgressEvent) => {
    state.batch = { ...state.batch, revision: state.batch.revision + 1, progress: progressAfter(state.batch.progress, event) };
  };
  vi.stubGlobal('fetch', async (_url: string, init: { body: string }) => {
    state.calls++;
    if (state.away) throw new TypeError('away');
    const { id, event, baseRevision } = JSON.parse(init.body) as { id: string; event: ProgressEvent; baseRevision: number };
    if (known.has(id)) return Response.json({ kind: 'done', batch: state.batch });
    const overwrites = event.kind === 'write' && ![event.was, event.text].includes(state.batch.progress.fields[event.reading] ?? '');
    if (baseRevision !== state.batch.revision || overwrites) return Response.json({ kind: 'behind', current: state.batch }, { status: 409 });
    write(event);
    known.add(id);
    if (state.loses-- > 0) throw new TypeError('the answer was lost');
    return Response.json({ kind: 'done', batch: state.batch });
  });
  return { state, write };
}

const first: BatchState = { id: 'b', revision: 1, progress: freshProgress(), status: 'running' };

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** Waits until it holds, as long as a busy machine lets it. */
const seen = (holds: () => void): Promise<void> => vi.waitFor(holds, 30_000);

describe('a batch on one screen', () => {
  it('acts at once and tells the server in order', async () => {
    const { state } = server();
    const c = makeBatchClient(first);
    const a = c.act({ kind: 'tick', line: 'x', on: true });
    expect(c.get().progress.ticks).toEqual(['x']);
    await Promise.all([a, c.act({ kind: 'go', step: 3 })]);
    await seen(() => expect(state.batch.progress).toMatchObject({ ticks: ['x'], step: 3 }));
    expect(c.get().pending).toEqual([]);
  });
  it('does its own again on top when another screen was quicker', async () => {
    const { state, write } = server();
    const c = makeBatchClient(first);
    write({ kind: 'tick', line: 'theirs', on: true });
    await c.act({ kind: 'tick', line: 'mine', on: true });
    expect(state.batch.progress.ticks).toEqual(['theirs', 'mine']);
    expect(c.get().progress.ticks).toEqual(['theirs', 'mine']);
  });
  it('asks when both wrote into one field, and writes only what is chosen', async () => {
    const { state, write } = server();
    const c = makeBatchClient(first);
    write({ kind: 'write', reading: 'cup-foam', text: '61', was: '' });
    await c.act({ kind: 'write', reading: 'cup-foam', text: '58', was: '' });
    expect(c.get().clashes).toEqual([{ reading: 'cup-foam', theirs: '61', mine: '58' }]);
    expect(state.batch.progress.fields['cup-foam']).toBe('61');
    // The page is left unanswered: the question is still there, and is asked until it is answered.
    const again = makeBatchClient(state.batch);
    again.resume();
    expect(again.get().clashes).toEqual([{ reading: 'cup-foam', theirs: '61', mine: '58' }]);
    again.settleClash('mine');
    await seen(() => expect(state.batch.progress.fields['cup-foam']).toBe('58'));
    expect(localStorage.getItem('soft-peak:clashes:b')).toBeNull();
  });
  it('asks for each field by itself, no more where the cook writes over what the other wrote, and not what is there already', async () => {
    const { state, write } = server();
    const c = makeBatchClient(first);
    write({ kind: 'write', reading: 'cup-foam', text: '61', was: '' });
    write({ kind: 'write', reading: 'cup-liquid', text: '118', was: '' });
    await c.act({ kind: 'write', reading: 'cup-foam', text: '58', was: '' });
    await c.act({ kind: 'write', reading: 'cup-liquid', text: '120', was: '' });
    expect(c.get().clashes.map((x) => x.mine)).toEqual(['58', '120']);
    // What is asked follows what the other writes since.
    write({ kind: 'write', reading: 'cup-liquid', text: '119', was: '118' });
    await c.act({ kind: 'tick', line: 'x', on: true });
    expect(c.get().clashes.map((x) => x.theirs)).toEqual(['61', '119']);
    await c.act({ kind: 'write', reading: 'cup-foam', text: '60', was: '61' });
    expect(c.get().clashes.map((x) => x.mine)).toEqual(['120']);
    expect(state.batch.progress.fields['cup-foam']).toBe('60');
    c.settleClash('theirs');
    expect(c.get().clashes).toEqual([]);
    expect(state.batch.progress.fields['cup-liquid']).toBe('119');
    localStorage.setItem(
      'soft-peak:clashes:b',
      JSON.stringify([
        { reading: 'cup-liquid', theirs: '1', mine: '119' },
        { reading: 'no field', theirs: '', mine: '' },
      ]),
    );
    const odd = makeBatchClient(state.batch);
    odd.resume();
    expect(odd.get().clashes).toEqual([]);
  });
  it('keeps everything while the server is away, says so, and sends it when it is back', async () => {
    vi.useFakeTimers();
    const { state } = server();
    state.away = true;
    const c = makeBatchClient(first);
    await c.act({ kind: 'write', reading: 'cup-liquid', text: '120', was: '' });
    expect(c.get().trouble).toContain('kept');
    expect(c.get().progress.fields['cup-liquid']).toBe('120');
    state.away = false;
    await vi.advanceTimersByTimeAsync(3500);
    expect(state.batch.progress.fields['cup-liquid']).toBe('120');
    expect(c.get()).toMatchObject({ trouble: null, pending: [] });
  });
  it('an answer that is lost does nothing twice: the scale is once what it was made', async () => {
    vi.useFakeTimers();
    const { state } = server();
    state.loses = 1;
    const c = makeBatchClient(first);
    await c.act({ kind: 'rescale', factor: 1.5, words: 'more', at: 1 });
    expect(c.get().pending).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(3500);
    expect(state.batch.progress.scale).toBeCloseTo(1.5, 12);
    expect(c.get()).toMatchObject({ pending: [], trouble: null });
    expect(c.get().progress.scale).toBeCloseTo(1.5, 12);
  });
  it('one kept event in two tabs is done once', async () => {
    const { state } = server();
    state.away = true;
    await makeBatchClient(first).act({ kind: 'rescale', factor: 2, words: 'more', at: 1 });
    state.away = false;
    for (const tab of [makeBatchClient(first), makeBatchClient(first)]) tab.resume();
    await seen(() => expect(state.batch.revision).toBeGreaterThan(1));
    await seen(() => expect(localStorage.getItem('soft-peak:events:b')).toBeNull());
    expect(state.batch.progress.scale).toBeCloseTo(2, 12);
  });
  it('two tabs of one browser keep what waits beside each other', async () => {
    const { state } = server();
    state.away = true;
    const [one, two] = [makeBatchClient(first), makeBatchClient(first)];
    await one.act({ kind: 'tick', line: 'x', on: true });
    await two.act({ kind: 'tick', line: 'y', on: true });
    // Both pages are left: the next has both.
    const next = makeBatchClient(first);
    next.resume();
    expect(next.get().progress.ticks).toEqual(['x', 'y']);
    state.away = false;
    await seen(() => expect(state.batch.progress.ticks).toEqual(['x', 'y']));
    await seen(() => expect(localStorage.getItem('soft-peak:events:b')).toBeNull());
  });
  it('after a reload takes up what was never told', async () => {
    const { state } = server();
    state.away = true;
    await makeBatchClient(first).act({ kind: 'tick', line: 'x', on: true });
    state.away = false;
    const reloaded = makeBatchClient(first);
    reloaded.resume();
    expect(reloaded.get().progress.ticks).toEqual(['x']);
    await seen(() => expect(state.batch.progress.ticks).toEqual(['x']));
  });
});

describe('what other tablets do', () => {
  class Stream {
    static last: Stream;
    onmessage: ((m: { data: string }) => void) | null = null;
    onopen: (() => void) | null = null;
    closed = false;
    constructor(readonly url: string) {
      Stream.last = this;
    }
    close(): void {
      this.closed = true;
    }
    tell(batch: BatchState): void {
      this.onmessage?.({ data: JSON.stringify(batch) });
    }
  }
  it('is seen as it is told; older news changes nothing', () => {
    vi.stubGlobal('EventSource', Stream);
    const c = makeBatchClient(first);
    const stop = c.follow();
    expect(Stream.last.url).toBe('/api/batches/b/stream');
    Stream.last.tell({ ...first, revision: 3, progress: progressAfter(first.progress, { kind: 'tick', line: 'theirs', on: true }) });
    expect(c.get().progress.ticks).toEqual(['theirs']);
    Stream.last.tell({ ...first, revision: 2 });
    expect(c.get().progress.ticks).toEqual(['theirs']);
    stop();
    expect(Stream.last.closed).toBe(true);
  });
  it('does not take away what is still on its way from here', async () => {
    vi.stubGlobal('EventSource', Stream);
    const { state } = server();
    state.away = true;
    const c = makeBatchClient(first);
    c.follow();
    await c.act({ kind: 'tick', line: 'mine', on: true });
    Stream.last.tell({ ...first, revision: 9 });
    expect(c.get().progress.ticks).toEqual(['mine']);
    // The line is back: what waited is sent.
    state.away = false;
    Stream.last.onopen!();
    await seen(() => expect(state.batch.progress.ticks).toEqual(['mine']));
  });
});

describe('a page that was kept while the server is away', () => {
  /** A tablet that told the server of one step, and did another when it was away. */
  async function before(): Promise<ReturnType<typeof server>> {
    vi.useFakeTimers();
    const kitchen = server();
    const c = makeBatchClient(first);
    await c.act({ kind: 'go', step: 1 });
    kitchen.state.away = true;
    await c.act({ kind: 'tick', line: 'cream', on: true });
    return kitchen;
  }
  it('goes on where the tablet was: what the server was told, and what waits', async () => {
    const { state } = await before();
    const again = makeBatchClient(first);
    again.resume();
    expect(again.get().progress).toMatchObject({ step: 1, ticks: ['cream'] });
    expect(again.get().pending).toHaveLength(1);
    // Nothing of it is gone from the tablet either.
    expect(JSON.parse(localStorage.getItem('soft-peak:events:b')!)).toHaveLength(1);
    state.away = false;
    await vi.advanceTimersByTimeAsync(4000);
    expect(state.batch.progress).toMatchObject({ step: 1, ticks: ['cream'] });
    expect(localStorage.getItem('soft-peak:events:b')).toBeNull();
  });
  it('gives way to a page that is newer', async () => {
    await before();
    const newer = { ...first, revision: 9, progress: { ...freshProgress(), step: 5 } };
    const again = makeBatchClient(newer);
    again.resume();
    expect(again.get().progress).toMatchObject({ step: 5, ticks: ['cream'] });
  });
  it('takes what the server says first, also where the kitchen went back to a copy of before', async () => {
    const { state } = server();
    const c = makeBatchClient(first);
    await c.act({ kind: 'go', step: 4 });
    let tell: (m: { data: string }) => void = () => undefined;
    vi.stubGlobal(
      'EventSource',
      class {
        set onmessage(hear: typeof tell) {
          tell = hear;
        }
        close(): void {
          tell = () => undefined;
        }
      },
    );
    const again = makeBatchClient(first);
    again.resume();
    expect(again.get().progress.step).toBe(4);
    const stop = again.follow();
    tell({ data: JSON.stringify({ ...state.batch, revision: 1, progress: freshProgress() }) });
    expect(again.get().progress.step).toBe(0);
    // From then on an older one is only late.
    tell({ data: JSON.stringify({ ...state.batch, revision: 0, progress: { ...freshProgress(), step: 7 } }) });
    expect(again.get().progress.step).toBe(0);
    stop();
  });
  it('knows nothing of a batch that has ended, nor of what cannot be read', async () => {
    const { state } = server();
    const c = makeBatchClient(first);
    await c.act({ kind: 'go', step: 2 });
    expect(localStorage.getItem('soft-peak:told:b')).not.toBeNull();
    state.batch = { ...state.batch, status: 'finished' };
    await c.act({ kind: 'note', text: 'done' });
    expect(localStorage.getItem('soft-peak:told:b')).toBeNull();
    localStorage.setItem('soft-peak:told:b', '{"revision":7,"progress":{}');
    const again = makeBatchClient(first);
    again.resume();
    expect(again.get().batch.revision).toBe(1);
  });
});
