'use client';

import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Ingredient } from '../../core/composition/ingredient';
import { plainNumber, showGrams } from '../../core/figure';
import type { DraftRow, RowKind, SourceRow } from '../../core/recipe/draft';

const KINDS: readonly (readonly [RowKind, string, string])[] = [
  ['line', 'line', 'l'],
  ['step', 'step', 's'],
  ['part', 'part', 'p'],
  ['note', 'note', 'n'],
  ['title', 'title', 't'],
  ['yield', 'portions', 'y'],
  ['heading', 'heading', 'h'],
];

interface ReviewRowsProps {
  readonly rows: readonly DraftRow[];
  readonly source: readonly SourceRow[];
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly onKind: (at: number, kind: RowKind) => void;
  readonly onText: (at: number, text: string) => void;
  readonly onSettle: (at: number, ingredientId: string) => void;
}

/** Left the text as it was written, right what it became. One row is in hand; keys work on it. */
export function ReviewRows({ rows, source, larder, onKind, onText, onSettle }: ReviewRowsProps) {
  const doubtful = (from: number): number => {
    for (let n = 1; n <= rows.length; n++) {
      const i = (from + n) % rows.length;
      if (rows[i]!.sureness !== 'sure') return i;
    }
    return from;
  };
  const [at, setAt] = useState(() => Math.max(0, doubtful(-1)));
  const list = useRef<HTMLOListElement>(null);
  const moved = useRef(false);
  useEffect(() => {
    if (moved.current) list.current?.children[at]?.querySelector<HTMLElement>('[data-row]')?.focus();
  }, [at]);
  const go = (to: number) => {
    moved.current = true;
    setAt(Math.max(0, Math.min(rows.length - 1, to)));
  };

  const onKeyDown = (e: KeyboardEvent) => {
    const typing = e.target instanceof HTMLInputElement;
    if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
      e.preventDefault();
      go(at + (e.key === 'ArrowDown' ? 1 : -1));
      return;
    }
    if (e.key === 'Enter') {
      e.preventDefault();
      go(doubtful(at));
      return;
    }
    if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
    const row = rows[at]!;
    const choice = /^[1-5]$/.test(e.key) ? row.options[Number(e.key) - 1] : undefined;
    if (choice) {
      e.preventDefault();
      e.stopPropagation();
      onSettle(at, choice.ingredient.id);
      return;
    }
    const kind = KINDS.find(([, , key]) => key === e.key.toLowerCase());
    if (kind) {
      e.preventDefault();
      onKind(at, kind[0]);
    }
  };

  return (
    <ol ref={list} aria-label="Rows of the recipe" onKeyDown={onKeyDown} className="border-b border-steel">
      {rows.map((row, i) => (
        <Row key={i} row={row} written={source[i]?.written ?? source[i]?.text ?? row.text} at={i} here={i === at} larder={larder} onFocus={() => i !== at && setAt(i)} onKind={(kind) => onKind(i, kind)} onText={(text) => onText(i, text)} onSettle={(id) => onSettle(i, id)} />
      ))}
    </ol>
  );
}

interface RowProps {
  readonly row: DraftRow;
  readonly written: string;
  readonly at: number;
  readonly here: boolean;
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly onFocus: () => void;
  readonly onKind: (kind: RowKind) => void;
  readonly onText: (text: string) => void;
  readonly onSettle: (id: string) => void;
}

function Row({ row, written, at, here, larder, onFocus, onKind, onText, onSettle }: RowProps) {
  const doubt = row.sureness !== 'sure';
  return (
    <li className={`grid items-baseline border-t border-steel-light md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] ${here ? 'bg-paper shadow-[inset_3px_0_0_var(--color-yolk)]' : ''}`} data-sureness={row.kind === 'line' ? row.sureness : undefined}>
      <div data-row tabIndex={here ? 0 : -1} onFocus={onFocus} onClick={onFocus} className="px-3 py-2 text-ink-soft [overflow-wrap:anywhere] outline-offset-[-2px]" aria-label={`Row ${at + 1}: ${written}`}>
        {written}
      </div>
      <div className="grid grid-cols-[92px_minmax(0,1fr)] items-baseline gap-x-3 px-3 py-1.5 max-md:pb-3" onFocus={onFocus}>
        <label>
          <span className="sr-only">Row {at + 1} is a</span>
          <select value={row.kind} onChange={(e) => onKind(e.target.value as RowKind)} className="min-h-8 w-full rounded-s border border-transparent bg-transparent text-[14px] text-ink-soft hover:border-steel pointer-coarse:min-h-11">
            {KINDS.map(([kind, name]) => (
              <option key={kind} value={kind}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <div className="min-w-0">
          {row.kind === 'line' ? <LineMeaning row={row} here={here} doubt={doubt} larder={larder} onText={onText} onSettle={onSettle} at={at} /> : <span className={row.kind === 'title' || row.kind === 'part' ? 'font-[650]' : row.kind === 'heading' ? 'text-ink-soft' : ''}>{row.kind === 'heading' ? 'parts the recipe; not kept' : row.text}</span>}
        </div>
      </div>
    </li>
  );
}

function LineMeaning({ row, here, doubt, larder, onText, onSettle, at }: { readonly row: DraftRow; readonly here: boolean; readonly doubt: boolean; readonly larder: ReadonlyMap<string, Ingredient>; readonly onText: (text: string) => void; readonly onSettle: (id: string) => void; readonly at: number }) {
  const ingredient = row.ingredientId === null ? null : larder.get(row.ingredientId);
  return (
    <>
      <p className="flex items-baseline gap-3">
        <span className="fig w-[72px] text-right text-[16px]">{row.massG === null ? '–' : showGrams(row.massG)}</span>
        <span className={`min-w-0 flex-1 ${doubt ? 'font-semibold text-beet' : ''}`}>
          {row.takes === 'part' ? 'from another part' : row.takes === 'loss' ? 'lost on the way' : (ingredient?.name ?? 'not in the larder')}
          {doubt && ingredient && <span className="font-normal">, {plainNumber(100 * row.confidence, 0)}&nbsp;% sure</span>}
        </span>
      </p>
      {(here || doubt) && row.says && <p className="text-[13.5px] text-beet">{row.says}</p>}
      {here && (
        <>
          <input aria-label={`Text of row ${at + 1}`} value={row.text} maxLength={500} onChange={(e) => onText(e.target.value)} className="field mt-1 w-full" />
          <p className="mt-1.5 flex flex-wrap gap-1.5">
            {row.options.map((o, n) => (
              <button key={o.ingredient.id} type="button" aria-pressed={o.ingredient.id === row.ingredientId} className={`btn min-h-8 px-2.5 text-[14px] ${o.ingredient.id === row.ingredientId ? 'border-ink font-semibold' : ''}`} onClick={() => onSettle(o.ingredient.id)}>
                <kbd className="fig text-[13px] text-ink-soft">{n + 1}</kbd> {o.ingredient.name}
              </button>
            ))}
          </p>
        </>
      )}
    </>
  );
}
