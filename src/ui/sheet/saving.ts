import type { Sheet } from '../../core/document/schema';
import { nextCount, screenName } from './screen-name';
import type { SavedState, SheetStore, UndoStep } from './sheet-store';

/** What the server answers to a save. */
export type SaveAnswer =
  | { readonly kind: 'saved'; readonly sheet: SavedState }
  | { readonly kind: 'conflict'; readonly current: SavedState }
  | { readonly kind: 'refused'; readonly says: string };

const draftKey = (sheetId: string): string => `soft-peak:draft:${sheetId}`;

const hasKeysOf = (x: unknown, like: object | undefined): boolean => typeof x === 'object' && x !== null && Object.keys(like ?? {}).every((k) => k in x);

/**
 * Whether what this browser kept has the form of a document in hand. The whole check is heavy and needed only for what an earlier
 * version of the program left behind.
 */
function hasFormOf(raw: unknown, like: Sheet): raw is Sheet {
  if (!hasKeysOf(raw, like)) return false;
  const doc = raw as Sheet;
  const line = like.parts.flatMap((p) => p.lines)[0];
  return (
    doc.format === like.format &&
    doc.formatVersion === like.formatVersion &&
    Array.isArray(doc.parts) &&
    doc.parts.length > 0 &&
    doc.parts.every((p) => hasKeysOf(p, like.parts[0]) && Array.isArray(p.lines) && p.lines.every((l: unknown) => hasKeysOf(l, line))) &&
    Array.isArray(doc.steps) &&
    doc.steps.every((s) => hasKeysOf(s, like.steps[0]))
  );
}

/** A document as text with its keys in one order. */
const inOrder = (doc: unknown): string =>
  JSON.stringify(doc, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );

/** Whether two documents say the same; the server's copy has its keys in the schema's order, the browser's may not. */
export const isSameSheet = (a: Sheet, b: Sheet): boolean => a === b || inOrder(a) === inOrder(b);

/** A document kept in the browser until the server has it. */
export interface Draft {
  readonly baseRevision: number;
  readonly doc: Sheet;
  /** Which screen typed it. */
  readonly screen: string;
}

/** Keeps what is typed in the browser, so that a closed tab or a stopped server loses nothing. */
export function keepDraft(sheetId: string, draft: Draft): void {
  try {
    localStorage.setItem(draftKey(sheetId), JSON.stringify(draft));
  } catch {
    // Private windows may refuse: the server's copy still follows within a second.
  }
}

export function dropDraft(sheetId: string): void {
  try {
    localStorage.removeItem(draftKey(sheetId));
  } catch {
    // As above.
  }
}

/** What was typed and never reached the server; 'earlier' when it has an earlier form; null when there is none or it cannot be read. */
export function readDraft(sheetId: string, like: Sheet): Draft | 'earlier' | null {
  try {
    const raw = JSON.parse(localStorage.getItem(draftKey(sheetId)) ?? 'null') as Partial<Record<keyof Draft, unknown>> | null;
    if (typeof raw?.baseRevision !== 'number') return null;
    return hasFormOf(raw.doc, like) ? { baseRevision: raw.baseRevision, doc: raw.doc, screen: String(raw.screen ?? '') } : 'earlier';
  } catch {
    return null;
  }
}

/** A draft of an earlier form, brought up to date; null when it cannot be read. */
export async function readEarlierDraft(sheetId: string): Promise<Draft | null> {
  try {
    const raw = JSON.parse(localStorage.getItem(draftKey(sheetId)) ?? 'null') as Partial<Record<keyof Draft, unknown>> | null;
    const { readSheetDoc } = await import('../../core/document/schema');
    const doc = readSheetDoc(raw?.doc);
    return doc.ok && typeof raw?.baseRevision === 'number' ? { baseRevision: raw.baseRevision, doc: doc.value, screen: String(raw.screen ?? '') } : null;
  } catch {
    return null;
  }
}

async function send(sheetId: string, doc: Sheet, baseRevision: number, asNewVersion: boolean): Promise<SaveAnswer> {
  const response = await fetch(`/api/sheets/${sheetId}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ doc, baseRevision, asNewVersion, by: { screen: screenName(), count: nextCount() } }),
    // A larger body may not outlive its page; the draft in the browser does.
    keepalive: JSON.stringify(doc).length < 60_000,
  });
  const body = (await response.json()) as { kind?: string; says?: string };
  if (response.ok || response.status === 409) return body as SaveAnswer;
  return { kind: 'refused', says: body.says ?? 'The server could not save this sheet.' };
}

/**
 * Sends the document in hand until the server has it; one save at a time, so that a later answer is never overtaken.
 * @returns save: sends now if there is anything to send; `asNewVersion` keeps what the server has as an earlier version.
 */
export function makeSaver(sheetId: string, store: SheetStore): { readonly save: (asNewVersion?: boolean) => Promise<void> } {
  let sending = false;
  const save = async (asNewVersion = false): Promise<void> => {
    const { doc, saved, status } = store.get();
    if (sending || doc === saved.doc || (status.kind === 'conflict' && !asNewVersion)) return;
    sending = true;
    const base = status.kind === 'conflict' ? status.theirs.revision : saved.revision;
    try {
      const answer = await send(sheetId, doc, base, asNewVersion);
      if (answer.kind === 'saved') {
        store.confirm(answer.sheet, doc);
        if (store.get().doc === doc) dropDraft(sheetId);
      } else if (answer.kind === 'conflict') store.setStatus({ kind: 'conflict', theirs: answer.current });
      else store.setStatus({ kind: 'failed', says: answer.says });
    } catch {
      store.setStatus({ kind: 'failed', says: 'The server does not answer. What you typed is kept in this browser and sent when it is back.' });
    } finally {
      sending = false;
    }
    if (store.get().status.kind === 'waiting') await save();
  };
  return { save };
}

const undoKey = (sheetId: string): string => `soft-peak:undo:${sheetId}`;
/** So many steps are kept over a reload; more would fill the browser's small store. */
const KEPT_STEPS = 40;

/** Keeps the undo steps of a sheet for this tab, with the document that they lead to. */
export function keepUndo(sheetId: string, doc: Sheet, past: readonly UndoStep[], future: readonly Sheet[]): void {
  try {
    sessionStorage.setItem(undoKey(sheetId), JSON.stringify({ doc, past: past.slice(-KEPT_STEPS), future: future.slice(0, KEPT_STEPS) }));
  } catch {
    // Full or private: undo then starts afresh after a reload.
  }
}

/** The undo steps from before a reload, when they lead to this very document; null otherwise. */
export function readUndo(sheetId: string, doc: Sheet): { readonly past: readonly UndoStep[]; readonly future: readonly Sheet[] } | null {
  try {
    const raw = JSON.parse(sessionStorage.getItem(undoKey(sheetId)) ?? 'null') as { doc?: unknown; past?: UndoStep[]; future?: unknown[] } | null;
    if (!raw || !hasFormOf(raw.doc, doc) || !isSameSheet(raw.doc, doc)) return null;
    return { past: (raw.past ?? []).filter((s) => hasFormOf(s.doc, doc)), future: (raw.future ?? []).filter((f): f is Sheet => hasFormOf(f, doc)) };
  } catch {
    return null;
  }
}
