import type { KitchenThings } from '../../../data/kitchen-things';

/** How the kitchen's things stand on this screen. */
export interface ThingsState {
  readonly things: KitchenThings;
  readonly says: string;
  readonly wrong: boolean;
  /** Another screen has changed the kitchen since: which of the two counts is the cook's to say. */
  readonly clash: boolean;
}

/** What was changed here and the server has not confirmed. */
export interface KeptThings {
  readonly baseRevision: number;
  readonly things: KitchenThings;
  /** What was on its way when it was kept: if that is what the server has, nobody else has changed it. */
  readonly sent: KitchenThings | null;
}

export type Answer =
  | { readonly kind: 'saved'; readonly revision: number }
  | { readonly kind: 'clash'; readonly revision: number }
  | { readonly kind: 'refused'; readonly says: string }
  /** The server did not answer. */
  | { readonly kind: 'away' };

interface Around {
  readonly send: (body: { readonly things: KitchenThings; readonly baseRevision: number }, leaving: boolean) => Promise<Answer>;
  /** Keeps it on this tablet; null lets it go. */
  readonly keep: (kept: KeptThings | null) => void;
  readonly later: (ms: number, run: () => void) => () => void;
}

export const SAVE_AFTER_MS = 600;
export const AGAIN_AFTER_MS = 4000;

const SAVED = { says: 'saved', wrong: false } as const;
const SAVING = { says: 'saving…', wrong: false } as const;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Saves the kitchen's things a moment after each change, one save at a time, again while the server does not answer, and at once when the
 * page is left. What is not confirmed is kept on the tablet, and taken up when the page is opened again.
 * @param first as the server has it, at `revision`. @param kept from last time.
 */
export function thingsSaver(first: KitchenThings, revision: number, kept: KeptThings | null, around: Around) {
  const known = { revision, saved: first };
  /** What the server has of another screen, while it is not said which counts. */
  let theirs = revision;
  let sent: KitchenThings | null = null;
  let state: ThingsState = { things: first, ...SAVED, clash: false };
  let cancel = (): void => undefined;
  const listeners = new Set<() => void>();
  const set = (next: Partial<ThingsState>): void => {
    state = { ...state, ...next };
    for (const listener of listeners) listener();
  };
  const isDone = (): boolean => state.things === known.saved;
  const put = (): void => around.keep(isDone() ? null : { baseRevision: known.revision, things: state.things, sent });
  const schedule = (ms: number): void => {
    cancel();
    cancel = around.later(ms, () => void save(false));
  };
  async function save(leaving: boolean): Promise<void> {
    cancel();
    if (sent !== null || state.clash || isDone()) return;
    const mine = (sent = state.things);
    put();
    const answer = await around.send({ things: mine, baseRevision: known.revision }, leaving);
    sent = null;
    switch (answer.kind) {
      case 'saved':
        Object.assign(known, { revision: answer.revision, saved: mine });
        put();
        if (isDone()) set(SAVED);
        else schedule(0);
        return;
      case 'clash':
        theirs = answer.revision;
        put();
        set({ clash: true, says: 'not saved: another screen has changed the kitchen', wrong: true });
        return;
      case 'refused':
        put();
        set({ says: `not saved: ${answer.says}`, wrong: true });
        return;
      case 'away':
        put();
        set({ says: 'not saved: the server does not answer; it is kept on this tablet and sent again', wrong: true });
        schedule(AGAIN_AFTER_MS);
    }
  }
  const saver = {
    get: (): ThingsState => state,
    subscribe: (changed: () => void) => {
      listeners.add(changed);
      return () => void listeners.delete(changed);
    },
    change: (next: Partial<KitchenThings>): void => {
      set({ things: { ...state.things, ...next }, ...(state.clash ? {} : SAVING) });
      put();
      if (!state.clash) schedule(SAVE_AFTER_MS);
    },
    /** The page is left: what is not sent yet is sent now. */
    leave: (): void => void save(true),
    /** Of two that changed it, this one's counts. */
    keepMine: (): void => {
      known.revision = theirs;
      set({ clash: false, ...SAVING });
      schedule(0);
    },
    /** What was changed here is let go; the page is then opened anew. */
    letGo: (): void => {
      cancel();
      around.keep(null);
    },
  };
  if (kept && same(kept.things, first)) around.keep(null);
  else if (kept && (kept.baseRevision === revision || same(kept.sent, first))) saver.change(kept.things);
  else if (kept) set({ things: kept.things, clash: true, says: 'not saved: another screen has changed the kitchen', wrong: true });
  return saver;
}
