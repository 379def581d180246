'use client';

import { setLineStep } from '../../../../core/sheet/edits';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** Binds a line to the step that uses it. */
export function StepChoice({ partId, lineId, stepId, onDone }: { readonly partId: string; readonly lineId: string; readonly stepId: string | null; readonly onDone: () => void }) {
  const { doc, edit } = useSheet();
  const choose = (to: string | null) => {
    edit('line-step', (d) => setLineStep(d, partId, lineId, to));
    onDone();
  };
  const row = 'flex min-h-9 w-full items-baseline gap-2.5 rounded-s px-1.5 py-1.5 text-left hover:bg-yolk-pale pointer-coarse:min-h-11';
  return (
    <ol className="-m-1.5 max-h-[50vh] overflow-y-auto">
      {doc.steps.map((s, i) => (
        <li key={s.id}>
          <button type="button" aria-pressed={s.id === stepId} className={`${row} ${s.id === stepId ? 'font-[650]' : ''}`} onClick={() => choose(s.id)}>
            <span className="fig w-5 text-right text-[14px] text-ink-soft">{i + 1}</span>
            {s.title.replace(/\{(\w+)\}/g, '…')}
          </button>
        </li>
      ))}
      <li>
        <button type="button" className={`${row} text-ink-soft`} onClick={() => choose(null)}>
          no step
        </button>
      </li>
    </ol>
  );
}
