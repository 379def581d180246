'use client';

import { plainNumber, showFactor, withUnit } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { scaleTo } from '../../../../core/rewrite/scale';
import type { Build } from '../../../../core/analysis/build';
import { leftOverFigure } from '../../../../core/tells/tin-figures';
import { capacityMl } from '../../../../core/vessel/profile';
import { FigureButton } from '../../../../ui/figure-button';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** Well filled, and room to level it. */
const WELL_FULL = 0.95;

/** What is left over or missing of every part, and the sheet scaled so that nothing is missing, or to fill the vessel. */
export function LeftOvers({ analysis, build, times }: { readonly analysis: SheetAnalysis; readonly build: Build; readonly times: number }) {
  const { edit, kitchen } = useSheet();
  const off = build.uses.filter((u) => Math.abs(u.leftG) >= 0.5);
  const short = Math.max(1, ...build.uses.map((u) => (u.thereMl > 0 ? u.takenMl / u.thereMl : 1)));
  const full = build.layers.reduce((sum, l) => sum + l.volumeMl, 0) / capacityMl(build.vessel);
  const scale = (factor: number) =>
    edit('tin:scale', (d) => {
      const scaled = scaleTo(d, { kind: 'factor', factor }, kitchen);
      // More of everything in the same vessels: as many portions as before.
      return scaled.ok ? { ...scaled.value.sheet, portions: d.portions } : d;
    });
  const toFill = WELL_FULL / full;
  return (
    <section aria-label="Left over" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Left over{times > 1 ? ', in each vessel' : ''}</h2>
      {off.length === 0 ? (
        <p className="py-1 text-[14.5px] text-ink-soft">Nothing: every part is laid to the last gram.</p>
      ) : (
        <ul>
          {off.map((u) => (
            <li
              key={u.layer.part.id}
              className="flex items-baseline justify-between gap-3 border-b border-steel-light py-1.5 last:border-b-0"
              data-left={u.layer.part.id}
            >
              <span>{u.layer.part.name}</span>
              <span className={u.leftG < 0 ? 'text-beet' : ''}>
                <FigureButton figure={leftOverFigure(u)} className={u.leftG < 0 ? 'text-beet' : ''} /> {u.leftG < 0 ? 'missing' : 'left'}
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-1.5 flex flex-wrap gap-2">
        {short > 1.005 && (
          <button type="button" className="btn btn-act" onClick={() => scale(short)}>
            {`Make\u00a0×\u00a0${showFactor(short)}: nothing missing`}
          </button>
        )}
        {build.overMl === 0 && Math.abs(toFill - 1) > 0.03 && analysis.sheet.vessel.kind !== 'free' && (
          <button type="button" className="btn" onClick={() => scale(toFill)}>
            {`Fill to ${withUnit(plainNumber(100 * WELL_FULL, 0), '%')}: all ×\u00a0${showFactor(toFill)}`}
          </button>
        )}
      </div>
    </section>
  );
}
