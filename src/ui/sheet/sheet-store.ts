import { createStore } from 'zustand/vanilla';
import type { Sheet } from '../../core/document/schema';

/** A sheet as the server last confirmed it. */
export interface SavedState {
  readonly doc: Sheet;
  readonly version: number;
  readonly revision: number;
  readonly updatedAt: number;
  /** The screen that saved last. */
  readonly savedBy?: string;
}

export type SaveStatus =
  | { readonly kind: 'saved' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'failed'; readonly says: string }
  | { readonly kind: 'conflict'; readonly theirs: SavedState };

export interface UndoStep {
  readonly doc: Sheet;
  /** What the edit was; edits of one kind in quick succession undo together. */
  readonly label: string;
  readonly at: number;
}

export interface SheetState {
  readonly doc: Sheet;
  readonly saved: SavedState;
  readonly status: SaveStatus;
  readonly past: readonly UndoStep[];
  readonly future: readonly Sheet[];
}

export interface SheetStore {
  readonly get: () => SheetState;
  readonly subscribe: (listener: () => void) => () => void;
  /** Replaces the document by an edited one; remembered for undo. */
  readonly edit: (label: string, change: (doc: Sheet) => Sheet, now: number) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly setStatus: (status: SaveStatus) => void;
  /** The server has this now; local edits made meanwhile stay. */
  readonly confirm: (saved: SavedState, sent: Sheet) => void;
  /** Takes up the undo steps of this sheet from before a reload. */
  readonly resume: (past: readonly UndoStep[], future: readonly Sheet[]) => void;
  /** Takes the server's document; the one in hand can be had back by undo. */
  readonly adopt: (saved: SavedState, now: number) => void;
}

/** Typing in one field within this time is one step of undo. */
const ONE_STEP_MS = 1200;
const MOST_STEPS = 300;

/** A store for one open sheet: its document, its undo steps, and what the server has of it. */
export function makeSheetStore(saved: SavedState): SheetStore {
  const store = createStore<SheetState>(() => ({ doc: saved.doc, saved, status: { kind: 'saved' }, past: [], future: [] }));
  const { getState: get, setState: set } = store;
  const changed = (doc: Sheet): SaveStatus => {
    const { status, saved: known } = get();
    if (status.kind === 'conflict') return status;
    return doc === known.doc ? { kind: 'saved' } : { kind: 'waiting' };
  };
  return {
    get,
    subscribe: (listener) => store.subscribe(listener),
    edit: (label, change, now) => {
      const { doc, past } = get();
      const next = change(doc);
      if (next === doc) return;
      const last = past.at(-1);
      const joins = last !== undefined && last.label === label && now - last.at < ONE_STEP_MS && get().future.length === 0;
      const steps = joins ? [...past.slice(0, -1), { ...last, at: now }] : [...past, { doc, label, at: now }].slice(-MOST_STEPS);
      set({ doc: next, past: steps, future: [], status: changed(next) });
    },
    undo: () => {
      const { doc, past, future } = get();
      const last = past.at(-1);
      if (!last) return;
      set({ doc: last.doc, past: past.slice(0, -1), future: [doc, ...future], status: changed(last.doc) });
    },
    redo: () => {
      const { doc, past, future } = get();
      const [next, ...rest] = future;
      if (!next) return;
      set({ doc: next, past: [...past, { doc, label: 'redo', at: 0 }], future: rest, status: changed(next) });
    },
    setStatus: (status) => set({ status }),
    confirm: (confirmed, sent) => {
      const { doc } = get();
      // The server sends the document back parsed; the one in hand stays, so that nothing flickers.
      const known = { ...confirmed, doc: sent };
      set({ saved: known, status: doc === sent ? { kind: 'saved' } : { kind: 'waiting' } });
    },
    resume: (past, future) => {
      if (get().past.length === 0) set({ past, future });
    },
    adopt: (theirs, now) => {
      const { doc, past } = get();
      set({ doc: theirs.doc, saved: theirs, status: { kind: 'saved' }, past: [...past, { doc, label: 'adopt', at: now }], future: [] });
    },
  };
}
