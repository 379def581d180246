'use client';

import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { kitchenOf, type Kitchen, type KitchenFacts } from '../../core/kitchen/kitchen';
import type { Sheet } from '../../core/document/schema';
import type { SoFar } from '../../core/timetable/service-project';
import type { Service } from '../../core/timetable/service-schema';
import type { Stored } from '../../ui/saved/document-saver';
import { useSaved } from '../../ui/saved/use-saved';
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

const ASK_EVERY_MS = 15_000;
const MOST_UNDO = 100;
/** What the document was before; `live` while something is dragged. */
interface History {
  readonly past: readonly Service[];
  readonly live: boolean;
}

const storedOf = (raw: { doc?: Service; revision?: number } | undefined): Stored<Service> | undefined =>
  raw?.doc && raw.revision !== undefined ? { doc: raw.doc, revision: raw.revision } : undefined;

const whereOf = (id: string) => ({
  key: `soft-peak:service:${id}`,
  path: `/api/services/${id}`,
  body: (doc: Service, baseRevision: number) => ({ doc, baseRevision }),
  revisionOf: (answer: unknown) => (answer as { service?: { revision: number } }).service?.revision,
  theirsOf: (answer: unknown) => storedOf((answer as { current?: Stored<Service> }).current),
  isKept: (doc: unknown) => (doc as Partial<Service> | null)?.format === 'soft-peak-service' && Array.isArray((doc as Partial<Service>).servings),
});

/** A service in hand: its document with undo and saving, what its batches have done, and its plan. */
export function ServiceProvider({ id, first, facts, sheets, serverNow, children }: ProviderProps) {
  const kitchen = useMemo(() => kitchenOf(facts), [facts]);
  const sheetOf = useMemo(() => new Map(sheets.map((s) => [s.id, s.doc])), [sheets]);
  const { saver, state } = useSaved(first.doc, first.revision, whereOf(id));
  const { doc } = state;
  const [{ past, live }, setHistory] = useState<History>({ past: [], live: false });
  const [soFar, setSoFar] = useState(first.soFar);
  const [selected, select] = useState<string | null>(null);

  // What Pass and other screens have done meanwhile.
  useEffect(() => {
    const ask = async () => {
      try {
        const response = await fetch(`/api/services/${id}`);
        if (!response.ok) return;
        const body = (await response.json()) as StoredFacts;
        setSoFar((s) => (JSON.stringify(s) === JSON.stringify(body.soFar) ? s : body.soFar));
        saver.seen(body);
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
  }, [id, saver]);

  const clock = useNow(true, 60_000);
  const now = clock > 0 ? Math.floor(clock / 60_000) : serverNow;
  const question = useMemo(() => ({ service: doc, soFar, now }), [doc, soFar, now]);
  const planned = useServicePlan(kitchen, sheetOf, question, live ? 'quick' : 'thorough');

  const change = useCallback(
    (edit: (doc: Service) => Service, isLive = false) => {
      const before = saver.get().doc;
      const next = edit(before);
      if (next === before) return;
      saver.change(next);
      setHistory((s) => ({ past: s.live && isLive ? s.past : [...s.past, before].slice(-MOST_UNDO), live: isLive }));
    },
    [saver],
  );
  const settle = useCallback(() => setHistory((s) => (s.live ? { ...s, live: false } : s)), []);
  const latest = past.at(-1);
  const undo = useCallback(() => {
    if (latest === undefined) return;
    saver.change(latest);
    setHistory((s) => ({ past: s.past.slice(0, -1), live: false }));
  }, [saver, latest]);
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
        saving: { text: state.says, wrong: state.wrong },
        theirs: state.theirs?.doc ?? null,
        takeTheirs: saver.takeTheirs,
        keepMine: saver.keepMine,
        selected,
        select,
      }}
    >
      {children}
    </ServiceContext.Provider>
  );
}
