import { createStore } from 'zustand/vanilla';
import { freshId } from '../sheet/fresh-id';
import { sayServerAway } from '../alone/server-away';
import { whileShown } from '../while-shown';
import { progressAfter, type Progress, type ProgressEvent } from '../../core/batch/batch';
import { keptBatch, type BatchState, type Clash, type Memory, type Pending } from './kept-batch';

export interface ClientState {
  readonly batch: BatchState;
  /** Done here and not yet confirmed. */
  readonly pending: readonly Pending[];
  /** The server's progress with the pending events on top: what is shown. */
  readonly progress: Progress;
  /** Why nothing is sent at the moment; null while all is well. */
  readonly trouble: string | null;
  /** What the cook is asked, the oldest first; kept until it is answered. */
  readonly clashes: readonly Clash[];
}

type Answer = { kind: 'done'; batch: BatchState } | { kind: 'behind'; current: BatchState } | { kind: 'refused'; says: string };

const RETRY_MS = 3000;
/** Said by the strip above every page: on Pass it is not said twice. */
export const AWAY = 'The server does not answer. Everything is kept on this tablet and sent when it is back.';

/** What a client stands on: a browser's own, unless a test lays another under it. */
export interface Surroundings {
  readonly ask: (url: string, init: RequestInit) => Promise<Response>;
  readonly memory: () => Memory;
  readonly listen: (url: string) => Pick<EventSource, 'onmessage' | 'onopen' | 'close'>;
}

const BROWSER: Surroundings = {
  ask: (url, init) => fetch(url, init),
  memory: () => localStorage,
  listen: (url) => new EventSource(url),
};

const applied = (progress: Progress, pending: readonly Pending[]): Progress => pending.reduce((p, { event }) => progressAfter(p, event), progress);

export interface BatchClient {
  readonly get: () => ClientState;
  readonly subscribe: (listener: () => void) => () => void;
  /** Does something now, and tells the server as soon as it listens. Resolves when everything is told. */
  readonly act: (event: ProgressEvent) => Promise<void>;
  readonly settleClash: (use: 'mine' | 'theirs') => void;
  /** Takes up what was done on this tablet and never told. */
  readonly resume: () => void;
  /** Hears of what other tablets do. @returns what ends it. */
  readonly follow: () => () => void;
}

/** One batch on one screen: acts at once, sends one event at a time in order, and survives reloads and a missing server. */
export function makeBatchClient(batch: BatchState, around: Surroundings = BROWSER): BatchClient {
  const store = createStore<ClientState>(() => ({ batch, pending: [], progress: batch.progress, trouble: null, clashes: [] }));
  const { getState: get, setState: set } = store;
  const kept = keptBatch(around.memory, batch.id);
  let sending: Promise<void> | null = null;
  /** The state is this tablet's own, of before: what the server tells next counts, whatever its number. */
  let fromHere = false;
  /** What was heard while something of ours was on its way, which its answer may have been written before. */
  let heard: BatchState | null = null;
  const seen = new Set<string>();

  const setPending = (pending: readonly Pending[], answered = get().batch) => {
    for (const p of pending) seen.add(p.id);
    kept.keepEvents(pending, seen);
    const known = pending.length === 0 && heard !== null && heard.revision > answered.revision ? heard : answered;
    if (pending.length === 0) heard = null;
    if (known !== get().batch) {
      kept.keepTold(known);
      fromHere = false;
    }
    set({ batch: known, pending, progress: applied(known.progress, pending) });
    if (get().clashes.length > 0) setClashes(get().clashes);
  };

  /** What is asked: one question for a field, with what was written here last and what stands there by now; none where that is the same. */
  const setClashes = (asked: readonly Clash[]): void => {
    const clashes = asked.map((c) => ({ ...c, theirs: get().batch.progress.fields[c.reading] ?? '' })).filter((c) => c.theirs !== c.mine);
    kept.keepClashes(clashes);
    set({ clashes });
  };

  /** Sends the first pending event; true when the next may follow at once. */
  const sendFirst = async (): Promise<boolean> => {
    const { batch: known, pending } = get();
    const [first] = pending;
    if (!first) return false;
    const { event } = first;
    const response = await around.ask(`/api/batches/${batch.id}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...first, baseRevision: known.revision }),
      keepalive: true,
    });
    const answer = (await response.json()) as Answer;
    const rest = () => get().pending.slice(1);
    if (answer.kind === 'done') {
      setPending(rest(), answer.batch);
      set({ trouble: null });
      return true;
    }
    if (answer.kind === 'refused') {
      if (response.status >= 500) throw new Error(answer.says);
      setPending(rest());
      set({ trouble: answer.says });
      return true;
    }
    // Another screen was quicker: take its state and do ours again on top, unless both wrote into one field.
    const theirs = event.kind === 'write' ? (answer.current.progress.fields[event.reading] ?? '') : null;
    if (event.kind === 'write' && theirs !== null && theirs !== event.was && theirs !== event.text) {
      setPending(rest(), answer.current);
      setClashes([...get().clashes.filter((c) => c.reading !== event.reading), { reading: event.reading, theirs, mine: event.text }]);
    } else setPending(get().pending, answer.current);
    return true;
  };

  const sendAll = async (): Promise<void> => {
    try {
      while (await sendFirst());
    } catch {
      set({ trouble: AWAY });
      sayServerAway();
      setTimeout(() => void send(), RETRY_MS);
    }
  };

  const send = (): Promise<void> => {
    sending ??= sendAll().finally(() => {
      sending = null;
      if (get().pending.length > 0 && get().trouble === null) void send();
    });
    return sending;
  };

  const act = async (event: ProgressEvent): Promise<void> => {
    const { pending } = get();
    const last = pending.at(-1)?.event;
    // The first may be on its way already; only a later one can still be rewritten.
    const rewrites = event.kind === 'write' && pending.length > 1 && last?.kind === 'write' && last.reading === event.reading;
    const id = `${freshId()}-${freshId()}`;
    // Who writes over what the field shows by now has answered.
    if (event.kind === 'write') setClashes(get().clashes.filter((c) => c.reading !== event.reading));
    setPending(rewrites ? [...pending.slice(0, -1), { id, event: { ...event, was: last.was } }] : [...pending, { id, event }]);
    await send();
  };

  return {
    get,
    subscribe: (listener) => store.subscribe(listener),
    act,
    settleClash: (use) => {
      const [clash, ...others] = get().clashes;
      setClashes(others);
      if (clash && use === 'mine') void act({ kind: 'write', reading: clash.reading, text: clash.mine, was: clash.theirs });
    },
    follow: () =>
      whileShown(() => {
        const stream = around.listen(`/api/batches/${batch.id}/stream`);
        stream.onmessage = (message: MessageEvent<string>) => {
          const told = JSON.parse(message.data) as BatchState;
          const { pending, batch: known } = get();
          // While something of ours is on its way it may be in there already: it would be shown twice.
          if (pending.length > 0) heard = heard !== null && heard.revision > told.revision ? heard : told;
          else if (told.revision > known.revision || fromHere) setPending([], told);
        };
        // The browser asks again by itself when the line breaks; what was missed comes with the first message.
        stream.onopen = () => {
          if (get().pending.length > 0) void send();
        };
        return () => stream.close();
      }),
    resume: () => {
      // What waits is read before anything is set, which keeps what is in hand in its place.
      const before = kept.events();
      const told = kept.told();
      const older = told !== null && told.revision > get().batch.revision;
      // What this screen has in hand already lies there too.
      const pending = [...before, ...get().pending.filter((p) => !before.some((b) => b.id === p.id))];
      if (older) {
        setPending(pending, told);
        fromHere = true;
      } else {
        kept.keepTold(get().batch);
        if (before.length > 0) setPending(pending);
      }
      const asked = kept.clashes();
      if (asked.length > 0) setClashes(asked);
      if (before.length > 0) void send();
    },
  };
}
