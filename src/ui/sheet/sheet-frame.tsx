'use client';

import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import { Minus, Plus, Redo2, Undo2 } from 'lucide-react';
import { addLine, newLine } from '../../core/editing/edits';
import { scaleToPortions } from '../../core/rewrite/scale';
import { OpensPanel } from '../opens-panel';
import { Frame } from '../frame';
import type { Command } from '../find';
import type { StationName } from '../stations';
import { ClockTime } from '../clock-time';
import { freshId } from './fresh-id';
import { useSheet } from './sheet-provider';

const ScalePanel = lazy(() => import('./scale-panel').then((m) => ({ default: m.ScalePanel })));
const ConflictChoice = lazy(() => import('./conflict-choice').then((m) => ({ default: m.ConflictChoice })));

/** Whether the sheet is saved, in words that are true now. */
function SavedWords() {
  const { status, saved } = useSheet();
  if (status.kind === 'failed') return <span className="text-beet">not saved: {status.says}</span>;
  if (status.kind === 'conflict') return <span className="text-beet">changed elsewhere: choose below</span>;
  if (status.kind === 'waiting') return <>saving…</>;
  return (
    <>
      version {saved.version}, saved <ClockTime at={saved.updatedAt} />
    </>
  );
}

/** The sheet's name, edited in place; an emptied name stays the last one when the field is left. */
function NameField() {
  const { doc, edit } = useSheet();
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <h1 className="min-w-0 flex-1 text-[20px] sm:flex-none">
      <input
        aria-label="Name of the sheet"
        value={draft ?? doc.name}
        maxLength={120}
        onChange={(e) => {
          setDraft(e.target.value);
          const name = e.target.value.trim();
          if (name) edit('name', (d) => ({ ...d, name }));
        }}
        onBlur={() => setDraft(null)}
        className="field-sizing-content max-w-full min-w-24 truncate rounded-s border border-transparent bg-transparent px-1.5 py-1 hover:border-steel focus:border-steel max-sm:w-full"
      />
    </h1>
  );
}

/** Portions with their steps: changing them scales every line. */
function Portions() {
  const { doc, edit } = useSheet();
  const [draft, setDraft] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const scale = (to: number) => {
    const scaled = scaleToPortions(doc, to);
    setFault(scaled.ok ? null : scaled.fault.says);
    if (scaled.ok) edit('portions', () => scaled.value);
    return scaled.ok;
  };
  const commit = () => {
    if (draft !== null && scale(Number(draft.trim() || NaN))) setDraft(null);
  };
  return (
    <div className="relative flex items-center gap-1.5" role="group" aria-label="Portions: changing them scales every line">
      <button type="button" className="btn w-9 px-0" aria-label="One portion fewer" disabled={doc.portions <= 1} onClick={() => scale(doc.portions - 1)}>
        <Minus size={15} />
      </button>
      <input
        aria-label="Portions"
        inputMode="numeric"
        value={draft ?? String(doc.portions)}
        aria-invalid={fault !== null || undefined}
        aria-describedby="portions-fault"
        onChange={(e) => {
          setDraft(e.target.value);
          setFault(null);
        }}
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter') commit();
          if (e.key === 'Escape') {
            setDraft(null);
            setFault(null);
          }
        }}
        className="fig h-9 w-12 rounded-s border border-transparent bg-transparent text-right text-[21px] hover:border-steel focus:border-steel aria-invalid:border-beet"
      />
      <span className="max-sm:text-[14px]">portions</span>
      <button type="button" className="btn w-9 px-0" aria-label="One portion more" onClick={() => scale(doc.portions + 1)}>
        <Plus size={15} />
      </button>
      {fault && (
        <p
          id="portions-fault"
          role="alert"
          className="absolute top-full right-0 z-20 mt-1 w-64 rounded-s border border-beet bg-paper p-2 text-[14px] text-beet shadow-float"
        >
          {fault}
        </p>
      )}
    </div>
  );
}

/** The frame of a station that works on the open sheet. */
export function SheetFrame({ station, children }: { readonly station: StationName; readonly children: ReactNode }) {
  const { id, doc, edit, store, past, future, context, kitchen, status } = useSheet();
  const partId = doc.parts[0]!.id;
  const commands = useMemo<readonly Command[]>(
    () => [
      { name: 'Undo the last edit', group: 'Commands', keys: 'Ctrl Z', run: store.undo },
      { name: 'Do it again', group: 'Commands', keys: 'Ctrl Shift Z', run: store.redo },
      ...[...kitchen.larder.values()].map((i) => ({
        name: i.name,
        group: 'Add an ingredient to this sheet',
        run: () =>
          edit('add', (d) =>
            addLine(
              d,
              partId,
              {
                ...newLine(freshId(), `100 g ${i.name}`, context),
                ingredientId: i.id,
                lastGood: { text: `100 g ${i.name}`, ingredientId: i.id, fromPartId: null },
              },
              context,
            ),
          ),
      })),
    ],
    [store, kitchen, edit, context, partId],
  );
  return (
    <Frame
      station={station}
      sheetId={id}
      commands={commands}
      heading={
        <>
          <NameField />
          <span className="max-w-[420px] truncate text-[14px] text-ink-soft max-sm:hidden" role="status" aria-label="Saving">
            <SavedWords />
          </span>
        </>
      }
      right={
        <>
          <button type="button" className="btn w-9 px-0" aria-label="Undo (Ctrl Z)" title="Undo (Ctrl Z)" disabled={past.length === 0} onClick={store.undo}>
            <Undo2 size={16} />
          </button>
          <button
            type="button"
            className="btn w-9 px-0 max-sm:hidden"
            aria-label="Do it again (Ctrl Shift Z)"
            title="Do it again (Ctrl Shift Z)"
            disabled={future.length === 0}
            onClick={store.redo}
          >
            <Redo2 size={16} />
          </button>
          <Portions />
          <OpensPanel className="btn" label="Scale the sheet" panelLabel="Scale the sheet" face="Scale" panel={(close) => <ScalePanel onDone={close} />} />
        </>
      }
    >
      {status.kind === 'conflict' && (
        <Suspense>
          <ConflictChoice />
        </Suspense>
      )}
      {children}
    </Frame>
  );
}
