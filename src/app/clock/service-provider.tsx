'use client';

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { kitchenOf, type Kitchen, type KitchenFacts } from '../../core/kitchen/kitchen';
import type { Sheet } from '../../core/document/schema';
import type { SoFar } from '../../core/timetable/service-project';
import type { Service } from '../../core/timetable/service-schema';
import { useNow } from '../../ui/use-now';
import { useServicePlan, type ServicePlanState } from '../../workers/use-service-plan';

export interface ServiceSheet {
  readonly id: string;
  readonly name: string;
  readonly doc: Sheet;
}

interface ServiceContextValue extends ServicePlanState {
  readonly id: string;
  readonly doc: Service;
  readonly kitchen: Kitchen;
  readonly sheets: readonly ServiceSheet[];
  readonly sheetOf: ReadonlyMap<string, Sheet>;
  readonly soFar: readonly (readonly [string, SoFar])[];
  /** Minutes since 1970; what the server said until the page is alive. */
  readonly now: number;
  /** One edit; `live` ones (a drag) make one step to undo together. */
  readonly change: (edit: (doc: Service) => Service, live?: boolean) => void;
  /** Ends a run of live edits. */
  readonly settle: () => void;
  readonly undo: () => void;
  readonly canUndo: boolean;
  readonly saving: { readonly text: string; readonly wrong: boolean };
  /** Somebody else's service, saved meanwhile; null where there is none. */
  readonly theirs: Service | null;
  readonly takeTheirs: () => void;
  readonly keepMine: () => void;
  readonly selected: string | null;
  readonly select: (taskId: string | null) => void;
}

const ServiceContext = createContext<ServiceContextValue | null>(null);

export function useService(): ServiceContextValue {
  const value = useContext(ServiceContext);
  if (!value) throw new Error('used outside of a service');
  return value;
}

interface StoredFacts {
  readonly doc: Service;
  readonly revision: number;
  readonly soFar: readonly (readonly [string, SoFar])[];
}

interface ProviderProps {
  readonly id: string;
  readonly first: StoredFacts;
  readonly facts: KitchenFacts;
  readonly sheets: readonly ServiceSheet[];
  readonly serverNow: number;
  readonly children: ReactNode;
}

const SAVE_AFTER_MS = 500;
const ASK_EVERY_MS = 15_000;
const MOST_UNDO = 100;
/** The document with what it was before; `live` while something is dragged. */
interface Edited {
  readonly doc: Service;
  readonly past: readonly Service[];
  readonly live: boolean;
}

const draftKey = (id: string): string => `soft-peak:service:${id}`;

interface Draft {
  readonly baseRevision: number;
  readonly doc: Service;
}

function keptDraft(id: string): Draft | null {
  try {
    const text = localStorage.getItem(draftKey(id));
    const draft = text === null ? null : (JSON.parse(text) as Draft);
    return draft?.doc?.format === 'soft-peak-service' && Array.isArray(draft.doc.servings) ? draft : null;
  } catch {
    return null;
  }
}

function keep(id: string, draft: Draft | null): void {
  try {
    if (draft) localStorage.setItem(draftKey(id), JSON.stringify(draft));
    else localStorage.removeItem(draftKey(id));
  } catch {
    // A private window keeps nothing; the server's copy follows within a second.
  }
}

/** A service in hand: its document with undo and saving, what its batches have done, and its plan. */
export function ServiceProvider({ id, first, facts, sheets, serverNow, children }: ProviderProps) {
  const kitchen = useMemo(() => kitchenOf(facts), [facts]);
  const sheetOf = useMemo(() => new Map(sheets.map((s) => [s.id, s.doc])), [sheets]);
  const [{ doc, past, live }, setEdited] = useState<Edited>({ doc: first.doc, past: [], live: false });
  const setDoc = useCallback((next: (doc: Service) => Service) => setEdited((s) => ({ ...s, doc: next(s.doc) })), []);
  const [soFar, setSoFar] = useState(first.soFar);
  const [saving, setSaving] = useState({ text: 'saved', wrong: false });
  const [theirs, setTheirs] = useState<StoredFacts | null>(null);
  const [selected, select] = useState<string | null>(null);
  const known = useRef({ revision: first.revision, saved: first.doc });
  const conflicted = theirs !== null;

  // What was typed last time and never reached the server.
  useEffect(() => {
    const draft = keptDraft(id);
    if (!draft) return;
    const now = setTimeout(() => {
      if (draft.baseRevision === known.current.revision) {
        setDoc(() => draft.doc);
        setSaving({ text: 'saving…', wrong: false });
      } else {
        setTheirs({ ...first });
        setDoc(() => draft.doc);
      }
    }, 0);
    return () => clearTimeout(now);
  }, [id, first, setDoc]);

  useEffect(() => {
    if (doc === known.current.saved || conflicted) return;
    keep(id, { baseRevision: known.current.revision, doc });
    const timer = setTimeout(() => {
      void (async () => {
        try {
          const response = await fetch(`/api/services/${id}`, {
            method: 'PUT',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ doc, baseRevision: known.current.revision }),
          });
          const body = (await response.json()) as { kind?: string; service?: { revision: number }; current?: StoredFacts; says?: string };
          if (response.status === 409 && body.current) {
            setTheirs({ ...body.current, soFar: [] });
            setSaving({ text: 'not saved: another screen has changed it', wrong: true });
            return;
          }
          if (!response.ok || !body.service) throw new Error(body.says ?? 'The server could not save it.');
          known.current = { revision: body.service.revision, saved: doc };
          keep(id, null);
          setSaving({ text: 'saved', wrong: false });
        } catch (error) {
          setSaving({
            text: error instanceof TypeError ? 'not saved: the server does not answer; it is kept in this browser' : `not saved: ${(error as Error).message}`,
            wrong: true,
          });
        }
      })();
    }, SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [doc, id, conflicted]);

  // What Pass and other screens have done meanwhile.
  useEffect(() => {
    const ask = async () => {
      try {
        const response = await fetch(`/api/services/${id}`);
        if (!response.ok) return;
        const body = (await response.json()) as StoredFacts;
        setSoFar((s) => (JSON.stringify(s) === JSON.stringify(body.soFar) ? s : body.soFar));
        if (body.revision !== known.current.revision) {
          // Nothing of one's own is waiting: the newer one is simply shown.
          setDoc((d) => {
            if (d !== known.current.saved) return d;
            known.current = { revision: body.revision, saved: body.doc };
            return body.doc;
          });
        }
      } catch {
        // The server is away for a moment.
      }
    };
    const timer = setInterval(ask, ASK_EVERY_MS);
    const onShow = () => document.visibilityState === 'visible' && void ask();
    document.addEventListener('visibilitychange', onShow);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onShow);
    };
  }, [id, setDoc]);

  const clock = useNow(true, 60_000);
  const now = clock > 0 ? Math.floor(clock / 60_000) : serverNow;
  const question = useMemo(() => ({ service: doc, soFar, now }), [doc, soFar, now]);
  const planned = useServicePlan(kitchen, sheetOf, question, live ? 'quick' : 'thorough');

  const change = useCallback((edit: (doc: Service) => Service, isLive = false) => {
    setEdited((s) => {
      const next = edit(s.doc);
      if (next === s.doc) return s;
      return { doc: next, past: s.live && isLive ? s.past : [...s.past, s.doc].slice(-MOST_UNDO), live: isLive };
    });
    setSaving({ text: 'saving…', wrong: false });
  }, []);
  const settle = useCallback(() => setEdited((s) => (s.live ? { ...s, live: false } : s)), []);
  const undo = useCallback(() => {
    setEdited((s) => (s.past.length > 0 ? { doc: s.past.at(-1)!, past: s.past.slice(0, -1), live: false } : s));
    setSaving({ text: 'saving…', wrong: false });
  }, []);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.shiftKey || e.key.toLowerCase() !== 'z') return;
      if (e.target instanceof HTMLInputElement && e.target.type === 'text') return;
      e.preventDefault();
      undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo]);

  const takeTheirs = () => {
    if (!theirs) return;
    known.current = { revision: theirs.revision, saved: theirs.doc };
    keep(id, null);
    setDoc(() => theirs.doc);
    setTheirs(null);
    setSaving({ text: 'saved', wrong: false });
  };
  const keepMine = () => {
    if (!theirs) return;
    known.current = { revision: theirs.revision, saved: theirs.doc };
    setTheirs(null);
    setSaving({ text: 'saving…', wrong: false });
  };
  return (
    <ServiceContext.Provider
      value={{
        ...planned,
        id,
        doc,
        kitchen,
        sheets,
        sheetOf,
        soFar,
        now,
        change,
        settle,
        undo,
        canUndo: past.length > 0,
        saving,
        theirs: theirs?.doc ?? null,
        takeTheirs,
        keepMine,
        selected,
        select,
      }}
    >
      {children}
    </ServiceContext.Provider>
  );
}
