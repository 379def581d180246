/** How a document stands on this screen. */
export interface SavedState<D> {
  readonly doc: D;
  readonly says: string;
  readonly wrong: boolean;
  /** What another screen has saved meanwhile: which of the two counts is the cook's to say. Null where there is none. */
  readonly theirs: Stored<D> | null;
}

export interface Stored<D> {
  readonly doc: D;
  readonly revision: number;
}

/** What was changed here and the server has not confirmed. */
export interface KeptDocument<D> {
  readonly baseRevision: number;
  readonly doc: D;
  /** What was on its way when it was kept: if that is what the server has, nobody else has changed it. */
  readonly sent?: D | null;
}

export type SaveAnswer<D> =
  | { readonly kind: 'saved'; readonly revision: number }
  | { readonly kind: 'clash'; readonly theirs: Stored<D> }
  | { readonly kind: 'refused'; readonly says: string }
  /** The server did not answer. */
  | { readonly kind: 'away' };

interface Around<D> {
  readonly send: (doc: D, baseRevision: number, leaving: boolean) => Promise<SaveAnswer<D>>;
  /** Keeps it on this tablet; null lets it go. */
  readonly keep: (kept: KeptDocument<D> | null) => void;
  readonly later: (ms: number, run: () => void) => () => void;
}

export const SAVE_AFTER_MS = 600;
export const AGAIN_AFTER_MS = 4000;

const SAVED = { says: 'saved', wrong: false } as const;
const SAVING = { says: 'saving…', wrong: false } as const;
const CLASH = { says: 'not saved: another screen has changed it', wrong: true } as const;
/** Whether the server has all of it. */
export const isSaved = (state: Pick<SavedState<unknown>, 'says'>): boolean => state.says === SAVED.says;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

export type DocumentSaver<D> = ReturnType<typeof documentSaver<D>>;

/**
 * Saves a document a moment after each change, one save at a time, again while the server does not answer, and at once when the page is left.
 * What is not confirmed is kept on the tablet. Between two screens it asks which counts, once.
 * @param first as the server has it, at `revision`.
 */
export function documentSaver<D>(first: D, revision: number, around: Around<D>) {
  const known = { revision, saved: first };
  let sent: D | null = null;
  let state: SavedState<D> = { doc: first, ...SAVED, theirs: null };
  let cancel = (): void => undefined;
  const listeners = new Set<() => void>();
  const set = (next: Partial<SavedState<D>>): void => {
    state = { ...state, ...next };
    for (const listener of listeners) listener();
  };
  const isDone = (): boolean => state.doc === known.saved;
  const put = (): void => around.keep(isDone() ? null : { baseRevision: known.revision, doc: state.doc, sent });
  const schedule = (ms: number): void => {
    cancel();
    cancel = around.later(ms, () => void save(false));
  };
  async function save(leaving: boolean): Promise<void> {
    cancel();
    if (sent !== null || state.theirs) return;
    if (isDone()) return set(SAVED);
    const mine = (sent = state.doc);
    put();
    const answer = await around.send(mine, known.revision, leaving);
    sent = null;
    if (answer.kind === 'saved') Object.assign(known, { revision: answer.revision, saved: mine });
    put();
    switch (answer.kind) {
      case 'saved':
        if (isDone()) set(SAVED);
        else schedule(0);
        return;
      case 'clash':
        return set({ theirs: answer.theirs, ...CLASH });
      case 'refused':
        return set({ says: `not saved: ${answer.says}`, wrong: true });
      case 'away':
        set({ says: 'not saved: no answer; kept here and sent again', wrong: true });
        schedule(AGAIN_AFTER_MS);
    }
  }
  const change = (doc: D): void => {
    if (doc === state.doc) return;
    set({ doc, ...(state.theirs ? {} : SAVING) });
    put();
    if (!state.theirs) schedule(SAVE_AFTER_MS);
  };
  return {
    get: (): SavedState<D> => state,
    subscribe: (changed: () => void) => {
      listeners.add(changed);
      return () => void listeners.delete(changed);
    },
    change,
    /** What was kept on this tablet from last time. */
    takeUp: (kept: KeptDocument<D>): void => {
      if (same(kept.doc, known.saved)) around.keep(null);
      else if (kept.baseRevision === known.revision || same(kept.sent, known.saved)) change(kept.doc);
      else set({ doc: kept.doc, theirs: { doc: known.saved, revision: known.revision }, ...CLASH });
    },
    /** A newer one was seen: where nothing of one's own waits it is shown. */
    seen: (newer: Stored<D>): void => {
      if (newer.revision === known.revision || !isDone() || sent !== null || state.theirs) return;
      Object.assign(known, { revision: newer.revision, saved: newer.doc });
      set({ doc: newer.doc, ...SAVED });
    },
    /** The page is left: what is not sent yet is sent now. */
    leave: (): void => {
      if (!isDone()) void save(true);
    },
    /** Of two that changed it, this one's counts. */
    keepMine: (): void => {
      if (!state.theirs) return;
      Object.assign(known, { revision: state.theirs.revision, saved: state.theirs.doc });
      set({ theirs: null, ...SAVING });
      put();
      schedule(0);
    },
    /** Of two that changed it, the other's counts; what was changed here is let go. */
    takeTheirs: (): void => {
      if (!state.theirs) return;
      cancel();
      Object.assign(known, { revision: state.theirs.revision, saved: state.theirs.doc });
      set({ doc: state.theirs.doc, theirs: null, ...SAVED });
      put();
    },
  };
}
