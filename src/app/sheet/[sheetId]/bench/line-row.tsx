'use client';

import { lazy, useState, type KeyboardEvent } from 'react';
import { ArrowLeftRight, GripVertical, X } from 'lucide-react';
import { OpensPanel } from '../../../../ui/opens-panel';
import { focusLineField } from './focus';
import type { Drag } from '../../../../ui/kit/use-sortable-rows';
import { plainNumber, showGrams } from '../../../../core/figure';
import { splitLine } from '../../../../core/measures/line';
import type { LineReading } from '../../../../core/lines/read-part';
import { setLineIngredient, setLineText } from '../../../../core/editing/edits';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

const StepChoice = lazy(() => import('./step-choice').then((m) => ({ default: m.StepChoice })));
const SwapPanel = lazy(() => import('./swap-panel').then((m) => ({ default: m.SwapPanel })));

interface LineRowProps {
  readonly drag: Drag | null;
  readonly reading: LineReading;
  readonly partId: string;
  readonly at: number;
  /** % of the part, or of its cream; null while the line has no mass. */
  readonly sharePct: number | null;
  /** The step that uses it: '2 weigh'. */
  readonly step: string;
  readonly onMove: (by: 1 | -1) => void;
  readonly onNext: () => void;
  readonly onRemove: () => void;
  /** The line was left without anything in it. */
  readonly onAbandon: () => void;
}

/** One line: grams, the cook's measure, the name, the share. Its text is one field; touching the row edits it. */
export function LineRow({ drag, reading, partId, at, sharePct, step, onMove, onNext, onRemove, onAbandon }: LineRowProps) {
  const { edit, context } = useSheet();
  const { line, read } = reading;
  const [focused, setFocused] = useState(false);
  // A line just begun is not wrong yet.
  const begun = focused && line.text === '' && line.lastGood === null;
  const fault = begun ? null : reading.fault;
  const faultId = `fault-${line.id}`;
  const columns = !focused && fault === null;

  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === 'Enter') {
      e.preventDefault();
      onNext();
    } else if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
      e.preventDefault();
      const by = e.key === 'ArrowUp' ? -1 : 1;
      if (e.altKey) onMove(by);
      else focusLineField(e.currentTarget as HTMLElement, by);
    } else if ((e.key === 'Backspace' || e.key === 'Delete') && (e.ctrlKey || e.metaKey)) {
      e.preventDefault();
      onRemove();
    } else if (e.key === 'Backspace' && line.text === '') {
      e.preventDefault();
      onRemove();
    }
  };

  return (
    <li
      ref={drag?.ref}
      style={drag?.style}
      className={`group relative grid grid-cols-[86px_minmax(0,1fr)_auto] items-baseline border-t border-steel-light sm:grid-cols-[86px_minmax(0,1fr)_62px_84px] xl:grid-cols-[86px_minmax(0,1fr)_62px_118px_84px] ${focused ? 'border-yolk! bg-paper shadow-[0_1px_0_var(--color-yolk)]' : ''} ${drag?.dragging ? 'z-10 bg-paper shadow-float' : ''}`}
      data-line={at + 1}
    >
      <span className={`fig pr-4 text-right text-[16px] ${fault ? 'text-ink-soft' : ''}`}>
        {read ? (reading.kind === 'loss' ? `−\u2009${showGrams(-read.massG)}` : showGrams(read.massG)) : '–'}
      </span>
      <div className="relative min-w-0">
        <input
          data-line-field
          aria-label={`Line ${at + 1}`}
          aria-invalid={fault !== null || undefined}
          aria-describedby={fault ? faultId : undefined}
          value={line.text}
          maxLength={500}
          spellCheck={false}
          onFocus={() => setFocused(true)}
          placeholder="an amount and a name"
          onBlur={() => {
            setFocused(false);
            if (begun) onAbandon();
          }}
          onChange={(e) => edit(`text:${line.id}`, (d) => setLineText(d, partId, line.id, e.target.value, context))}
          onKeyDown={onKeyDown}
          className={`min-h-9 w-full bg-transparent pl-4 outline-none pointer-coarse:min-h-11 ${columns ? 'text-transparent caret-transparent' : ''} ${fault ? 'text-beet' : ''}`}
        />
        {columns && (
          <span
            className="pointer-events-none absolute inset-0 grid grid-cols-[minmax(0,1fr)] items-center pl-4 sm:grid-cols-[112px_minmax(0,1fr)]"
            aria-hidden="true"
          >
            <span className="truncate text-[14px] text-ink-soft max-sm:hidden">{reading.cooksMeasure}</span>
            <span className="truncate">
              {reading.name}
              <Carton reading={reading} />
            </span>
          </span>
        )}
        {fault && (
          <div className="pb-1.5 pl-4">
            <p id={faultId} role="alert" className="text-[13.5px] text-beet">
              {fault.says}
              {read && ' The figures rest on what it said before.'}
            </p>
            {fault.code === 'unknown-ingredient' && <Suggestions line={line} partId={partId} />}
          </div>
        )}
        {focused && !fault && !begun && <p className="pb-1.5 pl-4 text-[13.5px] text-ink-soft">{readAs(reading)}</p>}
      </div>
      <span className="fig text-right text-[14px] font-medium text-ink-soft max-sm:hidden">
        {sharePct === null ? '' : `${plainNumber(sharePct, 1)}\u00a0%`}
      </span>
      {reading.kind === 'loss' ? (
        <span className="max-xl:hidden" />
      ) : (
        <OpensPanel
          className={`min-h-8 truncate pl-4 text-left text-[14px] hover:text-ink max-xl:hidden ${step ? 'text-ink-soft' : 'text-beet'}`}
          label={`Step of line ${at + 1}: ${step || 'none'}`}
          panelLabel={`Which step uses line ${at + 1}`}
          face={step || 'no step'}
          panel={(close) => <StepChoice partId={partId} lineId={line.id} stepId={line.stepId} onDone={close} />}
        />
      )}
      <span className="flex justify-end self-center sm:opacity-0 sm:group-focus-within:opacity-100 sm:group-hover:opacity-100 pointer-coarse:opacity-100">
        {reading.kind === 'ingredient' && read && (
          <OpensPanel
            wide
            className="flex h-9 w-7 items-center justify-center text-ink-soft hover:text-ink pointer-coarse:h-11"
            label={`Swap line ${at + 1}`}
            panelLabel={`Swap ${reading.name}`}
            face={<ArrowLeftRight size={15} />}
            panel={(close) => <SwapPanel lineId={line.id} name={reading.name} onDone={close} />}
          />
        )}
        <button
          type="button"
          className="flex h-9 w-7 cursor-grab items-center justify-center text-ink-soft hover:text-ink pointer-coarse:h-11"
          aria-label={`Move line ${at + 1}`}
          data-drag={drag ? 'ready' : undefined}
          {...drag?.grip}
          tabIndex={-1}
        >
          <GripVertical size={16} />
        </button>
        <button
          type="button"
          className="flex h-9 w-7 items-center justify-center text-ink-soft hover:text-beet pointer-coarse:h-11"
          aria-label={`Take out line ${at + 1}: ${line.text}`}
          onClick={onRemove}
          tabIndex={-1}
        >
          <X size={16} />
        </button>
      </span>
    </li>
  );
}

/** How a line was understood, in words. */
function readAs({ kind, ingredient, read, fromPart, cooksMeasure }: LineReading): string {
  if (kind === 'part') return `${cooksMeasure} of ${fromPart?.name}`;
  if (kind === 'loss') return 'lost on the way: taken off the part';
  const range = read?.rangeG ? `, ${showGrams(read.rangeG[0])} to ${showGrams(read.rangeG[1])}, counted as the middle` : '';
  return `${ingredient?.name ?? ''}${read?.fatPct != null ? `, read as ${read.fatPct}\u00a0% fat` : ''}${cooksMeasure ? `; ${cooksMeasure}` : ''}${range}`;
}

/** What the line brings along: the fat on the carton, the soak water. */
function Carton({ reading }: { readonly reading: LineReading }) {
  const notes = [
    reading.read?.fatPct != null ? `${reading.read.fatPct}\u00a0% fat` : '',
    reading.soakWaterG > 0 ? `+ ${plainNumber(reading.soakWaterG, 0)}\u00a0g soak water` : '',
  ].filter(Boolean);
  return notes.length > 0 ? <span className="text-ink-soft"> {notes.join(', ')}</span> : null;
}

/** Ingredients that the written name may mean; choosing one settles it, the text stays. */
function Suggestions({ line, partId }: { readonly line: LineReading['line']; readonly partId: string }) {
  const { edit, context } = useSheet();
  const found = context.matcher.find(splitLine(line.text).name, 4);
  if (found.length === 0) return null;
  return (
    <p className="mt-1 flex flex-wrap gap-2">
      {found.map(({ ingredient }) => (
        <button
          key={ingredient.id}
          type="button"
          className="btn min-h-8 px-2.5 text-[14px]"
          onMouseDown={(e) => e.preventDefault()}
          onClick={() => edit('ingredient', (d) => setLineIngredient(d, partId, line.id, ingredient, context))}
        >
          {ingredient.name}
        </button>
      ))}
    </p>
  );
}
