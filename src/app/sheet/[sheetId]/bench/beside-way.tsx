'use client';

import { settleMethod } from '../../../../core/ways/settle';
import { addWayStep, besideWays, lackingWaySteps, takeWayStep } from '../../../../core/ways/beside';
import { differenceSays } from '../../../../core/batch/way-says';
import { filled } from '../../../../core/batch/method';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';

/** A written method beside the kitchen's way: one step can be taken from it, what it has besides added, or all of it taken. */
export function BesideWay({ onDone }: { readonly onDone: () => void }) {
  const { doc, edit, context } = useSheet();
  const analysis = useAnalysis();
  const beside = [...besideWays(doc, context.larder)].sort((a, b) => Number(b.differs.length > 0) - Number(a.differs.length > 0));
  const lacking = lackingWaySteps(doc, context.larder);
  const words = (title: string, partId: string | null): string => filled(title, analysis.parts.find((a) => a.part.id === partId) ?? null, analysis);
  const partName = (id: string | null): string => (doc.parts.length > 1 ? (doc.parts.find((p) => p.id === id)?.name ?? '') : '');
  const act = 'min-h-8 shrink-0 border-b-2 border-yolk font-semibold hover:bg-yolk-pale pointer-coarse:min-h-11';
  return (
    <div className="text-[14.5px]">
      <p className="text-[16px] font-[650]">Beside the kitchen’s way</p>
      <ul aria-label="The same step, the kitchen’s way">
        {beside.map(({ stepId, way, differs }) => {
          const at = doc.steps.findIndex((s) => s.id === stepId);
          const step = doc.steps[at]!;
          return (
            <li
              key={stepId}
              className="grid grid-cols-[20px_minmax(0,1fr)_auto] items-baseline gap-x-2.5 border-t border-steel-light py-1"
              data-differs={differs.length > 0 || undefined}
            >
              <b className="fig text-right">{at + 1}</b>
              <span className="min-w-0">
                {step.title}
                <span className="block text-[13.5px] text-ink-soft">
                  {words(way.title, step.partId)}
                  {differs.length > 0 && <span className="text-beet">: {differs.map(differenceSays).join(', ')}</span>}
                </span>
              </span>
              <button
                type="button"
                className={act}
                aria-label={`Step ${at + 1} the kitchen’s way`}
                onClick={() => edit('way-step', (d) => takeWayStep(d, stepId, context.larder))}
              >
                take it
              </button>
            </li>
          );
        })}
      </ul>
      {lacking.length > 0 && (
        <>
          <p className="mt-2 text-[13.5px] text-ink-soft">The kitchen’s way has besides</p>
          <ul aria-label="Steps of the kitchen’s way that are not written">
            {lacking.map(({ id, partId, way }) => (
              <li key={id} className="flex items-baseline justify-between gap-x-3 border-t border-steel-light py-1">
                <span className="min-w-0">
                  {words(way.title, partId)} <span className="text-[13.5px] text-ink-soft">{partName(partId)}</span>
                </span>
                <button
                  type="button"
                  className={act}
                  aria-label={`Add: ${words(way.title, partId)}`}
                  onClick={() => edit('way-step', (d) => addWayStep(d, id, context.larder))}
                >
                  add
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <button
        type="button"
        className="btn mt-3 w-full"
        onClick={() => {
          edit('method', (d) => settleMethod({ ...d, method: 'ways', steps: [] }, context.larder, new Set(d.parts.map((p) => p.id))));
          onDone();
        }}
      >
        The kitchen’s way instead of all of it
      </button>
    </div>
  );
}
