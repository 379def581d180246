'use client';

import { useMemo, useState } from 'react';
import { z } from 'zod';
import { axesOffered, AxisSchema, valueSays, type TrialAxis } from '../../../../core/trials/axes';
import { MOST_AXES } from '../../../../core/trials/house';
import { WISHES, type TrialSays } from '../../../../core/trials/series';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { useKept } from '../../../../ui/use-kept';

const keyOf = (a: TrialAxis): string => (a.kind === 'line' ? a.lineId : a.kind === 'stage' ? `stage ${a.partId}` : 'rest');
/** So many are shown before the rest is asked for. */
const FIRST = 6;

/** What was chosen and typed before a series begins: it stays on this tablet when the page is left. */
const DraftSchema = z.object({
  chosen: z.array(z.string()).max(MOST_AXES),
  bounds: z.record(z.string(), z.tuple([z.string(), z.string()])),
  wishes: z.array(z.enum(WISHES)),
});
type Draft = z.infer<typeof DraftSchema>;
const EMPTY: Draft = { chosen: [], bounds: {}, wishes: [] };

function draftOf(text: string | null): Draft {
  try {
    return DraftSchema.safeParse(JSON.parse(text || 'null')).data ?? EMPTY;
  } catch {
    return EMPTY;
  }
}

/** What is varied between which bounds, and what is wished: then the first three trials are there. */
export function BeginTrials({ onBegin }: { readonly onBegin: (says: Extract<TrialSays, { kind: 'begun' }>) => void }) {
  const { id, doc, kitchen } = useSheet();
  const [kept, keep] = useKept('local', `soft-peak:trials:begin:${id}`);
  const { chosen, bounds, wishes } = useMemo(() => draftOf(kept), [kept]);
  const change = (more: Partial<Draft>): void => keep(JSON.stringify({ chosen, bounds, wishes, ...more }));
  const analysis = useAnalysis();
  const offered = useMemo(() => axesOffered(analysis, kitchen), [analysis, kitchen]);
  const [all, setAll] = useState(false);
  const axes = offered
    .filter((o) => chosen.includes(keyOf(o.axis)))
    .map(({ axis, now }) => {
      const own = axis.kind === 'stage' ? undefined : bounds[keyOf(axis)];
      const typed = (text: string | undefined, usual: number): number => (text === undefined ? usual : Number(text.replace(',', '.')));
      return { axis: { ...axis, low: typed(own?.[0], axis.low), high: typed(own?.[1], axis.high) }, now };
    });
  const wrong = axes.find(({ axis }) => !AxisSchema.safeParse(axis).success);
  const toggle = (key: string): void => {
    if (chosen.includes(key)) change({ chosen: chosen.filter((k) => k !== key) });
    else if (chosen.length < MOST_AXES) change({ chosen: [...chosen, key] });
  };
  const shown = all ? offered : offered.slice(0, FIRST);
  return (
    <div className="grid max-w-[980px] grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 px-4 py-5 md:px-6 lg:grid-cols-[minmax(0,1fr)_300px]">
      <section aria-label="What is varied">
        <h2 className="text-[22px] leading-tight font-[650]">What shall be tried?</h2>
        <p className="mt-1 text-ink-soft">Up to three things, each between its bounds. The rest stays as it is written.</p>
        <ul className="mt-3">
          {shown.map(({ axis, now }) => {
            const key = keyOf(axis);
            const on = chosen.includes(key);
            const own = bounds[key];
            return (
              <li key={key} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-steel py-2">
                <label className="flex min-h-9 min-w-56 flex-1 items-center gap-3 pointer-coarse:min-h-11">
                  <input
                    type="checkbox"
                    checked={on}
                    disabled={!on && chosen.length >= MOST_AXES}
                    onChange={() => toggle(key)}
                    className="size-5 shrink-0 accent-ink"
                  />
                  <span className="min-w-0">
                    <span className="font-medium">{axis.name}</span>{' '}
                    <span className="fig text-ink-soft">now {valueSays(axis, axis.kind === 'line' ? Number(now.toPrecision(3)) : now)}</span>
                  </span>
                </label>
                {on && axis.kind !== 'stage' && (
                  <span className="flex items-center gap-2">
                    {(['from', 'to'] as const).map((which, i) => (
                      <label key={which} className="flex items-center gap-1.5 text-ink-soft">
                        {which}
                        <input
                          aria-label={`${axis.name} ${which}`}
                          inputMode="decimal"
                          value={own?.[i] ?? String(i === 0 ? axis.low : axis.high)}
                          onChange={(e) => {
                            const text = e.target.value;
                            const was = own ?? [String(axis.low), String(axis.high)];
                            change({ bounds: { ...bounds, [key]: i === 0 ? [text, was[1]] : [was[0], text] } });
                          }}
                          className="field fig w-20 text-right"
                        />
                      </label>
                    ))}
                    <span className="text-ink-soft">{axis.kind === 'rest' ? 'h' : 'g'}</span>
                  </span>
                )}
                {on && axis.kind === 'stage' && <span className="text-ink-soft">soft, medium, firm</span>}
              </li>
            );
          })}
        </ul>
        {offered.length > FIRST && (
          <button type="button" className="btn mt-2" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? 'Fewer' : `${offered.length - FIRST} more lines`}
          </button>
        )}
      </section>
      <section aria-label="What is wished" className="content-start lg:pt-1">
        <h2 className="text-[17px]">It should be</h2>
        <div className="mt-2 flex flex-wrap gap-2">
          {WISHES.map((w) => {
            const on = wishes.includes(w);
            return (
              <button
                key={w}
                type="button"
                aria-pressed={on}
                className={`btn ${on ? 'border-ink bg-ink text-paper' : ''}`}
                onClick={() => change({ wishes: on ? wishes.filter((x) => x !== w) : [...wishes, w] })}
              >
                {w}
              </button>
            );
          })}
        </div>
        <p className="mt-4 text-[14.5px] text-ink-soft">
          Three trials first: the sheet as it is, and two far from it. From the fourth on each stands where most may be gained. Tasters see codes only.
        </p>
        <p role="alert" className="mt-2 text-beet empty:hidden">
          {wrong ? `${wrong.axis.name}: the upper bound must be more than the lower one.` : ''}
        </p>
        <button
          type="button"
          className="btn btn-act mt-3"
          disabled={axes.length === 0 || wishes.length === 0 || wrong !== undefined}
          onClick={() => {
            onBegin({ kind: 'begun', sheet: doc, axes: axes.map((a) => a.axis), now: axes.map((a) => a.now), wishes: [...wishes] });
            keep('');
          }}
        >
          Begin with three trials
        </button>
      </section>
    </div>
  );
}
