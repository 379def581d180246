'use client';

import { lazy, Suspense, useMemo, useState } from 'react';
import { plainNumber, showGrams, withUnit } from '../../../../core/figure';
import { freezingCurve } from '../../../../core/heat/freezing';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { FREEZING_LEVERS, freezerOf, frozenMixOf, LEVER_NAMES, moveSliceTo, readFrozen, sliceC } from '../../../../core/analysis/frozen';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

const LineChart = lazy(() => import('../../../../ui/line-chart').then((m) => ({ default: m.LineChart })));

/** The freezing curve with its knife window, and what moves the slice to a wished temperature. */
export function FrozenFigures({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { kitchen } = useSheet();
  const mix = useMemo(() => frozenMixOf(s), [s]);
  const freezerC = freezerOf(kitchen, s.sheet);
  const points = useMemo(
    () => (mix ? freezingCurve(mix.solution, 0, Math.min(-24, freezerC - 2), 97).map((p) => ({ x: p.tC, y: 100 * p.frozen })) : []),
    [mix, freezerC],
  );
  const now = mix ? sliceC(mix) : null;
  const [wishC, setWish] = useState(-10);
  if (!mix) return null;
  const read = readFrozen(mix, freezerC);
  const window = read.ok && read.value.window.ok ? read.value.window.value : null;
  const span = window?.warmC != null && window.coldC !== null ? { from: window.coldC, to: window.warmC, says: 'knife window' } : null;
  const at = read.ok ? { x: freezerC, y: 100 * read.value.frozen } : null;
  return (
    <>
      <div className="h-[220px]">
        <Suspense>
          <LineChart
            points={points}
            xName="temperature, °C"
            yName="water frozen, %"
            span={span}
            now={at}
            says={`Share of the water that is ice: ${points
              .filter((_, i) => i % 16 === 0)
              .map((p) => `${plainNumber(p.y, 0)} % at ${plainNumber(p.x, 0)} °C`)
              .join(', ')}`}
          />
        </Suspense>
      </div>
      <div className="grid grid-cols-[150px_minmax(0,1fr)] items-start gap-x-5 border-t border-steel-light py-2">
        <QuantityField label="Slice it at" unit="°C" value={wishC} min={-30} max={-1} onChange={setWish} />
        <div className="text-[14px]">
          <p className="text-ink-soft">
            {now === null ? 'It never holds so much ice.' : `Now the middle of its window is at ${withUnit(plainNumber(now, 1), '°C')}.`} Any one of these
            brings it there:
          </p>
          <ul>
            {FREEZING_LEVERS.map((lever) => {
              const r = moveSliceTo(mix, wishC, lever);
              return (
                <li key={lever} className="border-t border-steel-light py-0.5 first:border-0">
                  {r.ok ? (
                    lever === 'air' ? (
                      <>
                        <span className="fig">{withUnit(plainNumber(r.value.amount, 0), '%')}</span> air in all, to cut clean at that temperature
                      </>
                    ) : (
                      <>
                        <span className="fig">{showGrams(Math.abs(r.value.amount))}</span> {LEVER_NAMES[lever]} {r.value.amount >= 0 ? 'more' : 'less'}
                      </>
                    )
                  ) : (
                    <span className="text-ink-soft">{r.fault.says}</span>
                  )}
                </li>
              );
            })}
          </ul>
        </div>
      </div>
    </>
  );
}
