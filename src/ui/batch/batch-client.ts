import { z } from 'zod';
import { createStore } from 'zustand/vanilla';
import { freshId } from '../sheet/fresh-id';
import { sayServerAway } from '../alone/server-away';
import { whileShown } from '../while-shown';
import { progressAfter, ProgressEventSchema, ProgressSchema, type Progress, type ProgressEvent } from '../../core/batch/batch';
import { KEPT_EVENTS } from './kept-here';
import type { ReadingKind } from '../../core/batch/method';

/** A batch as the server last told it. */
export interface BatchState {
  readonly id: string;
  readonly revision: number;
  readonly progress: Progress;
  readonly status: 'running' | 'finished' | 'abandoned';
}

/** Two screens wrote different things into one field. */
export interface Clash {
  readonly reading: ReadingKind;
  readonly theirs: string;
  readonly mine: string;
}

/** Something done here, with the id by which the server knows it when it is told twice. */
const PendingSchema = z.object({ id: z.string().min(8).max(60), event: ProgressEventSchema });
type Pending = Readonly<z.infer<typeof PendingSchema>>;

export interface ClientState {
  readonly batch: BatchState;
  /** Done here and not yet confirmed. */
  readonly pending: readonly Pending[];
  /** The server's progress with the pending events on top: what is shown. */
  readonly progress: Progress;
  /** Why nothing is sent at the moment; null while all is well. */
  readonly trouble: string | null;
  readonly clash: Clash | null;
}

type Answer = { kind: 'done'; batch: BatchState } | { kind: 'behind'; current: BatchState } | { kind: 'refused'; says: string };

const RETRY_MS = 3000;
/** Said by the strip above every page: on Pass it is not said twice. */
export const AWAY = 'The server does not answer. Everything is kept on this tablet and sent when it is back.';

const kept = (id: string): string => `${KEPT_EVENTS}${id}`;

/** The state that the server told last, by batch: a page that was kept while the server is away may be older. */
const TOLD = 'soft-peak:told:';
const ToldSchema = z.object({ revision: z.number().int().min(0), progress: ProgressSchema, status: z.enum(['running', 'finished', 'abandoned']) });

function readTold(id: string): BatchState | null {
  try {
    const told = ToldSchema.safeParse(JSON.parse(localStorage.getItem(`${TOLD}${id}`) ?? 'null'));
    return told.success ? { id, ...told.data } : null;
  } catch {
    return null;
  }
}

/** Only of what is still being made: of all else the page is the last word. */
function keepTold({ id, revision, progress, status }: BatchState): void {
  try {
    if (status === 'running') localStorage.setItem(`${TOLD}${id}`, JSON.stringify({ revision, progress, status }));
    else localStorage.removeItem(`${TOLD}${id}`);
  } catch {
    // A private window may refuse: the page is the last word.
  }
}

function readKept(id: string): Pending[] {
  try {
    const raw = JSON.parse(localStorage.getItem(kept(id)) ?? '[]') as unknown[];
    return raw.flatMap((e) => {
      const pending = PendingSchema.safeParse(e);
      return pending.success ? [pending.data] : [];
    });
  } catch {
    return [];
  }
}

function keep(id: string, pending: readonly Pending[]): void {
  try {
    if (pending.length === 0) localStorage.removeItem(kept(id));
    else localStorage.setItem(kept(id), JSON.stringify(pending));
  } catch {
    // A private window may refuse; the server is told within moments.
  }
}

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
export function makeBatchClient(batch: BatchState): BatchClient {
  const store = createStore<ClientState>(() => ({ batch, pending: [], progress: batch.progress, trouble: null, clash: null }));
  const { getState: get, setState: set } = store;
  let sending: Promise<void> | null = null;
  /** The state is this tablet's own, of before: what the server tells next counts, whatever its number. */
  let fromHere = false;

  const setPending = (pending: readonly Pending[], known = get().batch) => {
    keep(batch.id, pending);
    if (known !== get().batch) {
      keepTold(known);
      fromHere = false;
    }
    set({ batch: known, pending, progress: applied(known.progress, pending) });
  };

  /** Sends the first pending event; true when the next may follow at once. */
  const sendFirst = async (): Promise<boolean> => {
    const { batch: known, pending } = get();
    const [first] = pending;
    if (!first) return false;
    const { event } = first;
    const response = await fetch(`/api/batches/${batch.id}/events`, {
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
      set({ clash: { reading: event.reading, theirs, mine: event.text } });
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
    setPending(rewrites ? [...pending.slice(0, -1), { id, event: { ...event, was: last.was } }] : [...pending, { id, event }]);
    await send();
  };

  return {
    get,
    subscribe: (listener) => store.subscribe(listener),
    act,
    settleClash: (use) => {
      const { clash } = get();
      set({ clash: null });
      if (clash && use === 'mine') void act({ kind: 'write', reading: clash.reading, text: clash.mine, was: clash.theirs });
    },
    follow: () => whileShown(() => {
      const stream = new EventSource(`/api/batches/${batch.id}/stream`);
      stream.onmessage = (message: MessageEvent<string>) => {
        const told = JSON.parse(message.data) as BatchState;
        const { pending, batch: known } = get();
        // While something of ours is on its way, its own answer brings the newer state.
        if ((told.revision > known.revision || fromHere) && pending.length === 0) setPending([], told);
      };
      // The browser asks again by itself when the line breaks; what was missed comes with the first message.
      stream.onopen = () => {
        if (get().pending.length > 0) void send();
      };
      return () => stream.close();
    }),
    resume: () => {
      // What waits is read before anything is set, which keeps what is in hand in its place.
      const before = readKept(batch.id);
      const told = readTold(batch.id);
      const older = told !== null && told.revision > get().batch.revision;
      // What this screen has in hand already lies there too.
      const pending = [...before, ...get().pending.filter((p) => !before.some((b) => b.id === p.id))];
      if (older) {
        setPending(pending, told);
        fromHere = true;
      } else {
        keepTold(get().batch);
        if (before.length > 0) setPending(pending);
      }
      if (before.length > 0) void send();
    },
  };
}
