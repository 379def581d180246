'use client';

import { lazy, useState } from 'react';
import { addStep, moveStep } from '../../../../core/editing/edits';
import { dayBeside } from '../../../../core/document/step-day';
import { shownSteps } from '../../../../core/batch/method';
import { besideWays } from '../../../../core/ways/beside';
import { differenceSays } from '../../../../core/batch/way-says';
import { waysOfSheet } from '../../../../core/ways/switch';
import { OpensPanel } from '../../../../ui/opens-panel';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useColdHours } from '../../../../workers/use-cold-hours';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { useSortableRows, type Drag } from '../../../../ui/kit/use-sortable-rows';

const WaysPanel = lazy(() => import('./ways-panel').then((m) => ({ default: m.WaysPanel })));
const BesideWay = lazy(() => import('./beside-way').then((m) => ({ default: m.BesideWay })));
const StepForm = lazy(() => import('../../../../ui/sheet/step-form').then((m) => ({ default: m.StepForm })));

/** The steps in working order, as Pass will show them; each opens to be edited. */
export function Method() {
  const { doc, edit, context, kitchen } = useSheet();
  const analysis = useAnalysis();
  const coldH = useColdHours(doc, kitchen);
  const steps = shownSteps(analysis, coldH);
  const [title, setTitle] = useState('');
  const put = () => {
    if (title.trim() === '') return;
    edit('step', (d) => addStep(d, `own-${freshId()}`, title.trim().slice(0, 200), null, d.steps.at(-1)?.id ?? null));
    setTitle('');
  };
  const { list, Sortable, wake } = useSortableRows();
  const ids = steps.map((s) => s.key);
  const beside = new Map(besideWays(doc, context.larder).map((b) => [b.stepId, b.differs]));
  const differing = [...beside.values()].filter((d) => d.length > 0).length;
  const row = (i: number, drag: Drag | null) => {
    const s = steps[i];
    if (!s) return null;
    const differs = beside.get(s.key) ?? [];
    const day = doc.steps[i] ? dayBeside(doc.steps[i]) : '';
    return (
      <li
        key={s.key}
        ref={drag?.ref}
        style={drag?.style}
        className={`group/step flex break-inside-avoid items-baseline gap-2.5 border-t border-steel-light text-[14.5px] ${drag?.dragging ? 'relative z-10 bg-paper shadow-md' : ''}`}
        data-step={i + 1}
      >
        <button
          type="button"
          aria-label={`Move step ${i + 1}`}
          data-drag={drag ? 'ready' : undefined}
          {...drag?.grip}
          tabIndex={-1}
          className="fig w-5 shrink-0 cursor-grab text-right text-[14px] font-bold pointer-coarse:min-h-11"
        >
          {i + 1}
        </button>
        <OpensPanel
          wide
          className="min-h-9 min-w-0 flex-1 py-1.5 text-left hover:underline pointer-coarse:min-h-11"
          label={`Step ${i + 1}: ${s.title}`}
          panelLabel={`Step ${i + 1}`}
          face={
            <>
              {s.title}
              {s.partName && <span className="text-[13.5px] text-ink-soft"> {s.partName}</span>}
              {day && <span className="text-[13.5px] text-ink-soft"> {day}</span>}
              {differs.length > 0 && <span className="block text-[13.5px] text-beet">the kitchen’s way: {differs.map(differenceSays).join(', ')}</span>}
            </>
          }
          panel={(close) => <StepForm doc={doc} edit={edit} shown={s} at={i} onDone={close} />}
        />
        <span className="text-[13.5px] whitespace-nowrap text-ink-soft">{s.takes}</span>
      </li>
    );
  };
  if (analysis.mixture.massG <= 0 && doc.steps.every((s) => s.key !== null)) return null;
  const ways = waysOfSheet(doc);
  return (
    <section aria-label="Method">
      <div className="flex flex-wrap items-baseline gap-x-3 pb-1">
        <h2 className="text-[17px]">Method</h2>
        {ways.length > 0 && (
          <OpensPanel
            wide
            className="min-h-7 text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
            label="Ways of putting it together"
            panelLabel="Ways of putting it together"
            face={ways.map((w) => `${w.question.asks.toLowerCase()} ${w.option.name}`).join(', ')}
            panel={(close) => <WaysPanel partId={null} onDone={close} />}
          />
        )}
        {doc.method === 'own' && doc.steps.length > 0 && (
          <OpensPanel
            wide
            className="min-h-7 text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
            panelLabel="Beside the kitchen’s way"
            face={`the recipe’s own${differing > 0 ? `; ${differing} ${differing === 1 ? 'differs' : 'differ'} from the kitchen’s way` : ', beside the kitchen’s way'}`}
            panel={(close) => <BesideWay onDone={close} />}
          />
        )}
      </div>
      <ol ref={list} onPointerOver={wake} className="border-b border-steel sm:columns-2 sm:gap-9">
        {Sortable ? (
          <Sortable id="steps" columns ids={ids} onMove={(stepId, to) => edit('move-step', (d) => moveStep(d, stepId, to))} row={row} />
        ) : (
          ids.map((_, i) => row(i, null))
        )}
      </ol>
      <input
        aria-label="Next step"
        value={title}
        maxLength={200}
        placeholder="next step: what to do"
        onChange={(e) => setTitle(e.target.value)}
        onBlur={put}
        onKeyDown={(e) => {
          if (e.key === 'Enter') put();
          if (e.key === 'Escape') setTitle('');
        }}
        className="min-h-9 w-full rounded-s bg-transparent pl-[30px] text-[14.5px] focus:bg-paper pointer-coarse:min-h-11"
      />
    </section>
  );
}
