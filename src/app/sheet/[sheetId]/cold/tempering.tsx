'use client';

import { lazy, Suspense, useMemo } from 'react';
import { freezingCurve, frozenShare } from '../../../../core/heat/freezing';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { frozenMixOf } from '../../../../core/analysis/frozen';
import { showHours, withUnit, plainNumber } from '../../../../core/figure';
import type { ColdView } from '../../../../core/cold/view';

const LineChart = lazy(() => import('../../../../ui/line-chart').then((m) => ({ default: m.LineChart })));

const OUT_WORDS = {
  soft: 'too soft to slice at this temperature',
  clean: 'cuts clean straight out',
  rest: 'rest it before it is cut',
  hard: 'hard and icy straight out',
} as const;

/** Out of the freezer: how hard, how long to rest, how long the knife goes through. */
export function Tempering({ view, analysis }: { readonly view: ColdView; readonly analysis: SheetAnalysis }) {
  const { window } = view.answers;
  const mix = useMemo(() => frozenMixOf(analysis), [analysis]);
  const points = useMemo(
    () => (mix ? freezingCurve(mix.solution, 0, Math.min(-24, view.airC - 2), 73).map((p) => ({ x: p.tC, y: 100 * p.frozen })) : []),
    [mix, view.airC],
  );
  if (!window) return null;
  return (
    <section aria-label="Out of the freezer" className="mt-5 border-t border-steel-light pt-3" data-out={window.straight}>
      <h2 className="text-[17px]">Out of the freezer</h2>
      <p className="py-1 text-[15px]">
        <span className="fig">{withUnit(plainNumber(100 * window.iceVolume, 0), '%')}</span> ice by volume: {OUT_WORDS[window.straight]}.{' '}
        {window.warmC !== null && window.coldC !== null && (
          <>
            The knife goes through from <span className="fig">{withUnit(plainNumber(window.coldC, 0), '°C')}</span> to{' '}
            <span className="fig">{withUnit(plainNumber(window.warmC, 0), '°C')}</span>.
          </>
        )}
      </p>
      {mix && (
        <div className="h-[170px]">
          <Suspense>
            <LineChart
              points={points}
              xName="temperature, °C"
              yName="water frozen, %"
              span={window.warmC !== null && window.coldC !== null ? { from: window.coldC, to: window.warmC, says: 'knife' } : null}
              now={{ x: view.airC, y: 100 * frozenShare(mix.solution, view.airC) }}
              says={`Ice of its water: ${points
                .filter((_, i) => i % 18 === 0)
                .map((p) => `${plainNumber(p.y, 0)} % at ${plainNumber(p.x, 0)} °C`)
                .join(', ')}`}
            />
          </Suspense>
        </div>
      )}
      <ul className="text-[14.5px]">
        {view.tempering.map((t) => (
          <li key={t.place} className="border-t border-steel-light py-1.5">
            {t.place}:{' '}
            {t.opensH === null ? (
              'it does not come to it in half a day'
            ) : t.opensH < 0.01 ? (
              <>at once</>
            ) : (
              <>
                after <span className="fig">{showHours(t.opensH)}</span>
              </>
            )}
            {t.opensH !== null && (
              <>
                ,{' '}
                {t.closesH === null ? (
                  'and there it changes little'
                ) : (
                  <>
                    too soft after <span className="fig">{showHours(t.closesH)}</span>
                  </>
                )}
              </>
            )}
          </li>
        ))}
      </ul>
      <p className="pt-1 text-[13.5px] text-ink-soft">
        What has softened is not frozen again: the ice grows coarse, and germs have had time. Unwrapped, out of its tin.
      </p>
    </section>
  );
}
