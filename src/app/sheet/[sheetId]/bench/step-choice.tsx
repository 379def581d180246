'use client';

import { divideLine, setLinePart, setLineStep } from '../../../../core/editing/edits';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** Shares that a divided ingredient is mostly divided by. */
const SHARES = [
  [1 / 2, 'half'],
  [1 / 3, 'a third'],
  [1 / 4, 'a quarter'],
] as const;

/** Where a line belongs: the step that uses it, its part, and whether a share of it is used later. */
export function StepChoice({
  partId,
  lineId,
  stepId,
  onDone,
}: {
  readonly partId: string;
  readonly lineId: string;
  readonly stepId: string | null;
  readonly onDone: () => void;
}) {
  const { doc, edit, context } = useSheet();
  const choose = (to: string | null) => {
    edit('line-step', (d) => setLineStep(d, partId, lineId, to));
    onDone();
  };
  const row = 'flex min-h-9 w-full items-baseline gap-2.5 rounded-s px-1.5 py-1.5 text-left hover:bg-yolk-pale pointer-coarse:min-h-11';
  const line = doc.parts.flatMap((p) => p.lines).find((l) => l.id === lineId);
  const others = doc.parts.filter((p) => p.id !== partId && p.id !== line?.fromPartId);
  return (
    <>
      <ol className="-m-1.5 max-h-[40vh] overflow-y-auto">
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
      {others.length > 0 && (
        <p className="mt-3 flex flex-wrap items-baseline gap-1.5 border-t border-steel-light pt-2 text-[14px]" role="group" aria-label="Into another part">
          <span className="text-ink-soft">into</span>
          {others.map((p) => (
            <button
              key={p.id}
              type="button"
              className="btn min-h-8 px-2.5 text-[14px]"
              onClick={() => {
                edit('line-part', (d) => setLinePart(d, lineId, p.id, context));
                onDone();
              }}
            >
              {p.name}
            </button>
          ))}
        </p>
      )}
      {line?.fromPartId === null && (
        <p className="mt-2 flex flex-wrap items-baseline gap-1.5 text-[14px]" role="group" aria-label="Divide it">
          <span className="text-ink-soft">used twice: keep back</span>
          {SHARES.map(([share, name]) => (
            <button
              key={name}
              type="button"
              className="btn min-h-8 px-2.5 text-[14px]"
              onClick={() => {
                edit('divide', (d) => divideLine(d, lineId, share, freshId(), context));
                onDone();
              }}
            >
              {name}
            </button>
          ))}
        </p>
      )}
    </>
  );
}
