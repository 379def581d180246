'use client';

import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import { matcherFor } from '../../core/measures/match';
import { analyseSheet } from '../../core/analysis/analyse';
import type { SheetAnalysis } from '../../core/analysis/analysed';
import { kitchenOf, type Kitchen, type KitchenFacts } from '../../core/kitchen/kitchen';
import type { EditContext } from '../../core/editing/edits';
import type { Sheet } from '../../core/document/schema';
import { dropDraft, isSameSheet, keepDraft, keepUndo, makeSaver, readDraft, readEarlierDraft, readUndo, type Draft } from './saving';
import { screenName } from './screen-name';
import { makeSheetStore, type SavedState, type SheetState, type SheetStore } from './sheet-store';

interface OpenSheet {
  readonly id: string;
  readonly store: SheetStore;
  readonly kitchen: Kitchen;
  readonly context: EditContext;
  readonly save: (asNewVersion?: boolean) => Promise<void>;
}

const Open = createContext<OpenSheet | null>(null);

const SAVE_AFTER_MS = 450;
const RETRY_MS = 5000;

function useOpen(): OpenSheet {
  const open = useContext(Open);
  if (!open) throw new Error('useSheet outside a SheetProvider');
  return open;
}

/** The open sheet's state and what belongs to it. */
export function useSheet(): OpenSheet & SheetState & { readonly edit: (label: string, change: (doc: Sheet) => Sheet) => void } {
  const open = useOpen();
  const state = useSyncExternalStore(open.store.subscribe, open.store.get, open.store.get);
  const edit = useMemo(() => (label: string, change: (doc: Sheet) => Sheet) => open.store.edit(label, change, Date.now()), [open]);
  return { ...open, ...state, edit };
}

/** Every figure of the open sheet, recomputed when it or the kitchen changes. */
export function useAnalysis(): SheetAnalysis {
  const { doc, kitchen } = useSheet();
  return useMemo(() => analyseSheet(doc, kitchen), [doc, kitchen]);
}

interface ProviderProps {
  readonly id: string;
  readonly saved: SavedState;
  readonly facts: KitchenFacts;
  readonly children: ReactNode;
}

/** Holds one open sheet for Bench and Whisk: edits, undo, saving, drafts, and what other tabs did meanwhile. */
export function SheetProvider({ id, saved, facts, children }: ProviderProps) {
  const [store] = useState(() => makeSheetStore(saved));
  const open = useMemo<OpenSheet>(() => {
    const kitchen = kitchenOf(facts);
    const context = { larder: kitchen.larder, matcher: matcherFor(facts.larder), measures: { cups: facts.rules.cups, eggs: facts.rules.eggs } };
    return { id, store, kitchen, context, save: makeSaver(id, store).save };
  }, [id, store, facts]);

  useEffect(() => {
    takeUp(id, store);
    const keep = () => {
      const { doc, past, future } = store.get();
      keepUndo(id, doc, past, future);
    };
    window.addEventListener('pagehide', keep);
    return () => window.removeEventListener('pagehide', keep);
  }, [id, store]);
  useEffect(() => keepSaving(open), [open]);
  useEffect(() => followOthers(open), [open]);
  useEffect(() => undoKeys(store), [store]);

  return <Open.Provider value={open}>{children}</Open.Provider>;
}

/** What was typed here and never sent, then the undo steps from before a reload. */
function takeUp(id: string, store: SheetStore): void {
  const draft = readDraft(id, store.get().doc);
  if (draft === 'earlier') void readEarlierDraft(id).then((d) => d && takeUpDraft(d, id, store));
  else if (draft) takeUpDraft(draft, id, store);
  const undo = readUndo(id, store.get().doc);
  if (undo) store.resume(undo.past, undo.future);
}

/** Takes a draft up again as an edit, so that it can be undone, or shows it as a conflict. */
function takeUpDraft(draft: Draft, id: string, store: SheetStore): void {
  const { saved } = store.get();
  if (isSameSheet(draft.doc, saved.doc)) {
    dropDraft(id);
    return;
  }
  store.edit('draft', () => draft.doc, Date.now());
  // What this very screen saved on its way out is no other's edit.
  const own = saved.savedBy === screenName() && draft.screen === screenName();
  if (draft.baseRevision !== saved.revision && !own) store.setStatus({ kind: 'conflict', theirs: saved });
}

function keepSaving({ id, store, save }: OpenSheet): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let before = store.get().doc;
  const schedule = (ms: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), ms);
  };
  const stop = store.subscribe(() => {
    const { doc, saved, status } = store.get();
    if (doc !== before) {
      before = doc;
      if (doc !== saved.doc) keepDraft(id, { baseRevision: saved.revision, doc, screen: screenName() });
      else dropDraft(id);
      schedule(SAVE_AFTER_MS);
    } else if (status.kind === 'failed') schedule(RETRY_MS);
  });
  if (store.get().status.kind === 'waiting') schedule(0);
  const flush = () => void save();
  window.addEventListener('pagehide', flush);
  return () => {
    stop();
    clearTimeout(timer);
    flush();
    window.removeEventListener('pagehide', flush);
  };
}

/** On opening and on coming back to this tab: if nothing is unsaved here, take what the server has meanwhile. */
function followOthers({ id, store }: OpenSheet): () => void {
  const ask = async () => {
    if (document.visibilityState !== 'visible') return;
    try {
      const response = await fetch(`/api/sheets/${id}`);
      if (!response.ok) return;
      const theirs = (await response.json()) as SavedState;
      const { doc, saved, status } = store.get();
      if (theirs.revision > saved.revision && doc === saved.doc && status.kind === 'saved') store.adopt(theirs, Date.now());
    } catch {
      // The server is away: the sheet in hand stays.
    }
  };
  void ask();
  document.addEventListener('visibilitychange', ask);
  return () => document.removeEventListener('visibilitychange', ask);
}

function undoKeys(store: SheetStore): () => void {
  const onKey = (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
    const key = event.key.toLowerCase();
    if (key !== 'z' && key !== 'y') return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) store.redo();
    else store.undo();
  };
  window.addEventListener('keydown', onKey);
  return () => window.removeEventListener('keydown', onKey);
}
