import type { Sheet } from '../../core/sheet/schema';
import type { SavedState, SheetStore, UndoStep } from './sheet-store';

/** What the server answers to a save. */
export type SaveAnswer =
  | { readonly kind: 'saved'; readonly sheet: SavedState }
  | { readonly kind: 'conflict'; readonly current: SavedState }
  | { readonly kind: 'refused'; readonly says: string };

const draftKey = (sheetId: string): string => `soft-peak:draft:${sheetId}`;

/** The form's checks are heavy and only wanted where a draft or undo steps were left behind. */
const sheetReader = async () => (await import('../../core/sheet/schema')).readSheetDoc;

/** A document as text with its keys in one order. */
const inOrder = (doc: unknown): string =>
  JSON.stringify(doc, (_, value: unknown) => (typeof value === 'object' && value !== null && !Array.isArray(value) ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))) : value));

/** Whether two documents say the same; the server's copy has its keys in the schema's order, the browser's may not. */
export const isSameSheet = (a: Sheet, b: Sheet): boolean => a === b || inOrder(a) === inOrder(b);

/** A document kept in the browser until the server has it. */
export interface Draft {
  readonly baseRevision: number;
  readonly doc: Sheet;
  /** Which screen typed it. */
  readonly screen: string;
}

/** This screen's own name, the same through reloads of its tab, another one in every other tab. */
export function screenName(): string {
  try {
    const known = sessionStorage.getItem('soft-peak:screen');
    if (known) return known;
    const made = crypto.randomUUID();
    sessionStorage.setItem('soft-peak:screen', made);
    return made;
  } catch {
    return 'private';
  }
}

/** Rises with every save of this screen, also over reloads. */
function nextCount(): number {
  try {
    const next = Math.max(Number(sessionStorage.getItem('soft-peak:saves')) || 0, 0) + 1;
    sessionStorage.setItem('soft-peak:saves', String(next));
    return next;
  } catch {
    return Date.now();
  }
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

/** What was typed and never reached the server; null when there is none or it cannot be read. */
export async function readDraft(sheetId: string): Promise<Draft | null> {
  try {
    const text = localStorage.getItem(draftKey(sheetId));
    if (text === null) return null;
    const raw = JSON.parse(text) as { baseRevision?: unknown; doc?: unknown; screen?: unknown } | null;
    const doc = (await sheetReader())(raw?.doc);
    return raw && doc.ok && typeof raw.baseRevision === 'number' ? { baseRevision: raw.baseRevision, doc: doc.value, screen: String(raw.screen ?? '') } : null;
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
export async function readUndo(sheetId: string, doc: Sheet): Promise<{ readonly past: readonly UndoStep[]; readonly future: readonly Sheet[] } | null> {
  try {
    const text = sessionStorage.getItem(undoKey(sheetId));
    if (text === null) return null;
    const raw = JSON.parse(text) as { doc?: unknown; past?: UndoStep[]; future?: unknown[] } | null;
    const readSheetDoc = await sheetReader();
    const kept = readSheetDoc(raw?.doc);
    if (!raw || !kept.ok || !isSameSheet(kept.value, doc)) return null;
    const past = (raw.past ?? []).flatMap((s) => {
      const read = readSheetDoc(s.doc);
      return read.ok ? [{ ...s, doc: read.value }] : [];
    });
    const future = (raw.future ?? []).flatMap((f) => {
      const read = readSheetDoc(f);
      return read.ok ? [read.value] : [];
    });
    return { past, future };
  } catch {
    return null;
  }
}
