'use client';

import { useState } from 'react';
import { Minus, Plus } from 'lucide-react';
import { plainNumber } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { CREAM_MM } from '../../../../core/tin/house';
import { layersInRepeats, placesOf, repeatedParts, repeatLimits } from '../../../../core/tin/repeats';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import type { LaidPlan } from './use-plans';

const MOST = 20;

/** [biscuits, cream] × n between base and top, and how many the depth, the cream and the biscuits allow. */
export function Repeats({ analysis, plans }: { readonly analysis: SheetAnalysis; readonly plans: readonly LaidPlan[] }) {
  const { doc, edit } = useSheet();
  const [creamMm, setCreamMm] = useState<number>(CREAM_MM);
  const places = placesOf(analysis);
  if (places.creams.length === 0 || repeatedParts(analysis).length < 2) return null;
  const biscuits = places.biscuits[0];
  const name = (id: string): string => analysis.layers.find((l) => l.part.id === id)!.part.name.toLowerCase();
  const times = doc.tin.layers ? Math.max(1, doc.tin.layers.filter((l) => l.partId === (biscuits ?? places.creams.at(-1))).length) : 1;
  const first = plans.find((p) => p.layer.partId === biscuits && p.plan?.ok)?.plan;
  const limits = repeatLimits(analysis, creamMm, first?.ok ? first.value.biscuits : null);
  const set = (n: number) => edit('tin:repeats', (d) => ({ ...d, tin: { ...d.tin, layers: layersInRepeats(analysis, n) } }));
  const group = repeatedParts(analysis).map(name).join(', ');
  return (
    <section aria-label="Repeats" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Repeats</h2>
      <div className="mt-1 flex items-center gap-2">
        <button type="button" className="btn w-10 px-0" aria-label="One repeat fewer" disabled={times <= 1} onClick={() => set(times - 1)}>
          <Minus size={15} />
        </button>
        <output aria-label="Repeats" className="fig w-8 text-center text-[22px]">
          {doc.tin.layers ? times : '–'}
        </output>
        <button
          type="button"
          className="btn w-10 px-0"
          aria-label="One repeat more"
          disabled={times >= MOST}
          onClick={() => set(doc.tin.layers ? times + 1 : 1)}
        >
          <Plus size={15} />
        </button>
        <span className="min-w-0 text-[14px] text-ink-soft">of [{group}]</span>
      </div>
      <div className="mt-2 grid grid-cols-[112px_minmax(0,1fr)] items-end gap-x-4">
        <QuantityField label="Cream between" unit="mm" value={creamMm} min={1} max={100} onChange={setCreamMm} />
        <button type="button" className="btn justify-self-start" disabled={limits.byDepth < 1} onClick={() => set(Math.min(MOST, limits.byDepth))}>
          {`Fill the depth: ${limits.byDepth}`}
        </button>
      </div>
      <p className="mt-2 text-[14.5px]" data-depth={limits.byDepth}>
        {limits.byDepth < 1 ? (
          <span className="text-beet">
            Not one repeat of {plainNumber(limits.eachMm, 0)}&nbsp;mm fits under the rim: take less cream between, or a deeper vessel.
          </span>
        ) : (
          <>
            The depth allows <b className="fig">{limits.byDepth}</b>
            {limits.byCream !== null && (
              <>
                ; there is cream for <b className="fig">{plainNumber(limits.byCream, 1)}</b>
              </>
            )}
            {limits.byBiscuits !== null && (
              <>
                {' '}
                and biscuits for <b className="fig">{plainNumber(limits.byBiscuits, 1)}</b>
              </>
            )}
            .
          </>
        )}
      </p>
    </section>
  );
}
