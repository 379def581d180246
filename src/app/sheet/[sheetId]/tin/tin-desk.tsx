'use client';

import { useState } from 'react';
import Link from 'next/link';
import { plainNumber, showVolumeMl, withUnit } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { buildIn, filledVessels, type Build } from '../../../../core/analysis/build';
import { filledWords } from '../../../../core/tin/choose';
import { moveTop } from '../../../../core/tin/edit-layers';
import type { TinPlan } from '../../../../core/document/tin-plan-schema';
import { fillFigure } from '../../../../core/tells/figures';
import { capacityMl } from '../../../../core/vessel/profile';
import { slicedThrough } from '../../../../core/vessel/packing/sliced';
import { FigureButton } from '../../../../ui/figure-button';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { TinPages } from '../../../tin/tin-pages';
import { CutEditor, type EditorProps } from './cut-editor';
import { LayerBar } from './layer-bar';
import { LeftOvers } from './left-overs';
import { Repeats } from './repeats';
import { StandList } from './stand-list';
import { usePlans } from './use-plans';
import { VesselPanel } from './vessel-panel';

/** Tin: the layers in their vessel, edited on the cut itself. */
export function TinDesk() {
  const analysis = useAnalysis();
  const { id, doc, edit } = useSheet();
  const [chosen, setChosen] = useState<string | null>(null);
  const [which, setWhich] = useState(0);
  const filled = filledVessels(analysis);
  const shown = filled[which] ?? filled[0]!;
  const build = buildIn(analysis, shown.vessel);
  const plans = usePlans(analysis);
  const ends = new Map(
    plans.flatMap(({ layer, plan }) => (plan?.ok && layer.vessel === shown.vessel ? [[layer.layerId, slicedThrough(plan.value)] as const] : [])),
  );
  const change = (label: string, to: (plan: TinPlan) => TinPlan) => edit(`tin:${label}`, (d) => ({ ...d, tin: to(d.tin) }));
  return (
    <SheetFrame station="Tin">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <TinPages sheetId={id} here="layers" />
      </div>
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px]">
        <section aria-label="Layers" className="px-4 pt-4 pb-8 md:px-6">
          {filled.length > 1 && (
            <div role="group" aria-label="Which vessel is shown" className="mb-2 flex flex-wrap gap-2">
              {filled.map((f, i) => (
                <button
                  key={`${f.vessel.name}${i}`}
                  type="button"
                  aria-pressed={f === shown}
                  onClick={() => setWhich(i)}
                  className={`btn ${f === shown ? 'border-ink font-semibold' : ''}`}
                >
                  {filledWords(f)}
                </button>
              ))}
            </div>
          )}
          {build.ok ? (
            <>
              <CutArea
                key={shown.vessel.name}
                analysis={analysis}
                build={build.value}
                ends={ends}
                chosen={chosen}
                onChoose={(layerId) => setChosen(layerId === chosen ? null : layerId)}
                onMove={(layerId, toMm) => change(`move:${layerId}`, (plan) => moveTop(plan, build.value, layerId, toMm))}
              />
              <LayerBar analysis={analysis} build={build.value} chosen={chosen} onChoose={setChosen} onChange={change} />
            </>
          ) : (
            <div className="py-8">
              <p className="mb-4 max-w-[60ch] text-[19px]">{build.fault.says}</p>
              <Link href={`/sheet/${id}/bench`} className="btn btn-act">
                To Bench
              </Link>
            </div>
          )}
        </section>
        <aside aria-label="Vessel and repeats" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
          <VesselPanel analysis={analysis} />
          {build.ok && (
            <>
              <Repeats analysis={analysis} plans={plans} />
              <LeftOvers analysis={analysis} build={build.value} times={filled.find((f) => f.vessel === shown.vessel)?.count ?? 1} />
              <StandList analysis={analysis} build={build.value} />
            </>
          )}
          <p className="mt-4 border-t border-steel-light pt-2.5 text-[13.5px] text-ink-soft">
            {doc.tin.layers ? (
              <button
                type="button"
                className="min-h-9 text-left underline decoration-dotted underline-offset-4 hover:text-ink"
                onClick={() => change('each-once', (plan) => ({ ...plan, layers: null }))}
              >
                Lay each part once, as before
              </button>
            ) : (
              'Each part lies there once, in building order, until you lay it in repeats or drag a boundary.'
            )}
          </p>
        </aside>
      </div>
    </SheetFrame>
  );
}

/** The cut and its figures. While a boundary is dragged only these are drawn anew; the sheet is edited when it is let go. */
function CutArea({ analysis, build, ends, chosen, onChoose, onMove }: Omit<EditorProps, 'onDrag' | 'onDrop'>) {
  const [drag, setDrag] = useState<{ readonly layerId: string; readonly toMm: number } | null>(null);
  const { sheet } = analysis;
  const asDragged = drag ? { ...analysis, sheet: { ...sheet, tin: moveTop(sheet.tin, build, drag.layerId, drag.toMm) } } : analysis;
  const built = drag ? buildIn(asDragged, build.vessel) : null;
  const now = built?.ok ? built.value : build;
  return (
    <>
      <Headline analysis={asDragged} build={now} />
      <CutEditor
        analysis={asDragged}
        build={now}
        ends={ends}
        chosen={chosen}
        onChoose={onChoose}
        onMove={onMove}
        onDrag={(layerId, toMm) => setDrag({ layerId, toMm })}
        onDrop={() => {
          if (drag) onMove(drag.layerId, drag.toMm);
          setDrag(null);
        }}
      />
    </>
  );
}

/** How high it stands and how much room is left. */
function Headline({ analysis, build }: { readonly analysis: SheetAnalysis; readonly build: Build }) {
  const { vessel } = build;
  const laidMl = build.layers.reduce((sum, l) => sum + l.volumeMl, 0);
  const under = vessel.heightMm - build.topMm;
  const figure = fillFigure({ ...analysis, sheet: { ...analysis.sheet, vessel } }, laidMl, build.topMm);
  return (
    <p className="pb-3 text-[20px] leading-snug" data-top-mm={build.topMm.toFixed(2)}>
      {build.overMl > 0 ? (
        <span className="font-semibold text-beet">
          It runs over by <span className="fig">{showVolumeMl(build.overMl)}</span>.
        </span>
      ) : (
        <>
          Stands <FigureButton figure={figure} className="text-[22px]" /> high
          {vessel.kind !== 'free' && (
            <>
              , <span className="fig">{withUnit(plainNumber(under, 0), 'mm')}</span> under the rim
            </>
          )}
          .
        </>
      )}{' '}
      <span className="text-[15px] text-ink-soft">
        {vessel.name}: {showVolumeMl(laidMl)} of {showVolumeMl(capacityMl(vessel))}.
      </span>
    </p>
  );
}
