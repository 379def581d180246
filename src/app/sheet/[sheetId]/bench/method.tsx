'use client';

import { lazy, useState } from 'react';
import { addStep } from '../../../../core/sheet/edits';
import { shownSteps } from '../../../../core/sheet/method';
import { settleMethod } from '../../../../core/ways/settle';
import { waysOfSheet } from '../../../../core/ways/switch';
import { OpensPanel } from '../../../../ui/opens-panel';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';

const WaysPanel = lazy(() => import('./ways-panel').then((m) => ({ default: m.WaysPanel })));
const StepForm = lazy(() => import('./step-form').then((m) => ({ default: m.StepForm })));

/** The steps in working order, as Pass will show them; each opens to be edited. */
export function Method() {
  const { doc, edit, context } = useSheet();
  const analysis = useAnalysis();
  const steps = shownSteps(analysis);
  const [title, setTitle] = useState('');
  const put = () => {
    if (title.trim() === '') return;
    edit('step', (d) => addStep(d, `own-${freshId()}`, title.trim().slice(0, 200), null, d.steps.at(-1)?.id ?? null));
    setTitle('');
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
        {doc.method === 'own' && (
          <button type="button" className="min-h-7 text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink" onClick={() => edit('method', (d) => settleMethod({ ...d, method: 'ways' }, context.larder, new Set(d.parts.map((p) => p.id))))}>
            the recipe’s own words; add the steps of the ways
          </button>
        )}
      </div>
      <ol className="border-b border-steel sm:columns-2 sm:gap-9">
        {steps.map((s, i) => (
          <li key={s.key} className="flex break-inside-avoid items-baseline gap-2.5 border-t border-steel-light text-[14.5px]">
            <b className="fig w-5 text-right text-[14px]">{i + 1}</b>
            <OpensPanel
              wide
              className="min-h-9 min-w-0 flex-1 py-1.5 text-left hover:underline pointer-coarse:min-h-11"
              label={`Step ${i + 1}: ${s.title}`}
              panelLabel={`Step ${i + 1}`}
              face={
                <>
                  {s.title}
                  {s.partName && <span className="text-[13.5px] text-ink-soft"> {s.partName}</span>}
                </>
              }
              panel={(close) => <StepForm shown={s} step={doc.steps[i]!} at={i} onDone={close} />}
            />
            <span className="text-[13.5px] whitespace-nowrap text-ink-soft">{s.takes}</span>
          </li>
        ))}
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
