'use client';

import { useMemo } from 'react';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { plainNumber, withUnit } from '../../core/figure';
import { shownSteps, timeWords } from '../../core/batch/method';
import type { SheetAnalysis } from '../../core/analysis/analysed';
import { moveStep, setStepPart, setStepWork } from '../../core/editing/edits';
import { STEP_WORK_NAMES, STEP_WORKS } from '../../core/document/kinds';
import type { Sheet, Step } from '../../core/document/schema';
import { dayBeside } from '../../core/document/step-day';
import { useSortableRows, type Drag } from '../../ui/kit/use-sortable-rows';
import { OpensPanel } from '../../ui/opens-panel';
import { QuietChoice } from '../../ui/quiet-choice';
import { StepForm } from '../../ui/sheet/step-form';
import type { ReviewEdit } from './read-parts';

/** The method as it was understood, in its order: work, words, where, how long. Each can be put right. */
export function ReadMethod({ sheet, analysis, onEdit }: { readonly sheet: Sheet; readonly analysis: SheetAnalysis; readonly onEdit: ReviewEdit }) {
  const shown = useMemo(() => shownSteps(analysis), [analysis]);
  const { list, Sortable, wake } = useSortableRows();
  if (sheet.method !== 'own')
    return <p className="mt-6 border-t border-steel pt-3 text-ink-soft">No method is written: the kitchen’s own ways will write the steps.</p>;
  const parts = [...sheet.parts.map((p) => [p.id, p.name] as const), ['', 'putting it together'] as const];
  const row = (i: number, drag: Drag | null) => {
    const s = sheet.steps[i];
    if (!s) return null;
    return (
      <li
        key={s.id}
        ref={drag?.ref}
        style={drag?.style}
        className={`group/step grid grid-cols-[24px_64px_minmax(0,1fr)_auto] items-baseline gap-x-3 border-t border-steel-light py-1 text-[14.5px] sm:grid-cols-[24px_64px_minmax(0,1fr)_minmax(90px,130px)_86px] ${drag?.dragging ? 'relative z-10 bg-paper shadow-md' : ''}`}
        data-work={s.work}
      >
        <button
          type="button"
          aria-label={`Move step ${i + 1}`}
          data-drag={drag ? 'ready' : undefined}
          {...drag?.grip}
          tabIndex={-1}
          className="fig cursor-grab text-left text-[14px] font-bold pointer-coarse:min-h-11"
        >
          {i + 1}
        </button>
        <QuietChoice
          label={`Work of step ${i + 1}`}
          value={s.work ?? 'hands'}
          options={STEP_WORKS.map((w) => [w, STEP_WORK_NAMES[w]] as const)}
          onChange={(work) => onEdit((d) => setStepWork(d, s.id, work))}
          className="text-[13.5px] text-ink-soft"
        />
        <OpensPanel
          wide
          className="min-w-0 text-left [overflow-wrap:anywhere] hover:underline"
          label={`Step ${i + 1}: ${s.title}`}
          panelLabel={`Step ${i + 1}`}
          face={
            <>
              {s.title}
              {s.detail && <span className="text-ink-soft"> {s.detail}</span>}
              {dayBeside(s) && <span className="text-[13.5px] text-ink-soft"> {dayBeside(s)}</span>}
            </>
          }
          panel={(close) => <StepForm doc={sheet} edit={(_, to) => onEdit(to)} shown={shown[i]!} at={i} onDone={close} />}
        />
        <span className="flex items-baseline justify-end gap-1 text-right text-[13.5px] text-ink-soft max-sm:hidden">
          <span className="flex self-center opacity-0 group-focus-within/step:opacity-100 group-hover/step:opacity-100 pointer-coarse:opacity-100">
            <button
              type="button"
              className="flex size-6 items-center justify-center hover:text-ink disabled:opacity-35"
              aria-label={`Step ${i + 1} earlier`}
              disabled={i === 0}
              onClick={() => onEdit((d) => moveStep(d, s.id, i - 1))}
            >
              <ChevronUp size={15} />
            </button>
            <button
              type="button"
              className="flex size-6 items-center justify-center hover:text-ink disabled:opacity-35"
              aria-label={`Step ${i + 1} later`}
              disabled={i === sheet.steps.length - 1}
              onClick={() => onEdit((d) => moveStep(d, s.id, i + 1))}
            >
              <ChevronDown size={15} />
            </button>
          </span>
          <QuietChoice
            label={`Part of step ${i + 1}`}
            value={s.partId ?? ''}
            face={whereOf(s, sheet)}
            options={parts}
            onChange={(to) => onEdit((d) => setStepPart(d, s.id, to === '' ? null : to))}
            className="truncate text-[13.5px]"
          />
        </span>
        <span className="fig text-right text-[14px]">{timeWords(s)}</span>
      </li>
    );
  };
  const ids = sheet.steps.map((s) => s.id);
  return (
    <section aria-label="Method, in this order" className="mt-6 border-t border-steel pt-3">
      <h2 className="pb-1 text-[17px]">Method, in this order</h2>
      <ol ref={list} onPointerOver={wake}>
        {Sortable ? (
          <Sortable id="read-steps" ids={ids} onMove={(stepId, to) => onEdit((d) => moveStep(d, stepId, to))} row={row} />
        ) : (
          ids.map((_, i) => row(i, null))
        )}
      </ol>
    </section>
  );
}

/** Where a step's work happens: its part, its machine, its heat. */
function whereOf(s: Step, sheet: Sheet): string {
  const part = sheet.parts.find((p) => p.id === s.partId)?.name ?? '';
  const heat = s.ovenC ?? s.tempC;
  return [s.machine ?? '', heat === null ? '' : withUnit(plainNumber(heat, 0), '°C')].filter(Boolean).join(', ') || part || 'together';
}
