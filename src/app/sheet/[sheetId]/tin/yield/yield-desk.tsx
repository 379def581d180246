'use client';

import { useState } from 'react';
import { plainNumber, showGrams, showVolumeMl, withUnit } from '../../../../../core/figure';
import type { SheetAnalysis } from '../../../../../core/analysis/analysed';
import { isWhippedKind } from '../../../../../core/document/kinds';
import { buildIn, type Build } from '../../../../../core/analysis/build';
import { CUPCAKE_ML, PIPED_SPREAD } from '../../../../../core/tin/house';
import type { TinPlan } from '../../../../../core/document/tin-plan-schema';
import { cakesFrom, crownOf, discsFrom, gridFor, pipedFrom, rosetteMl, shellMl, sliceOf } from '../../../../../core/tin/yield';
import { bearsFigure, pipedFigure, sliceFigure } from '../../../../../core/tells/tin-figures';
import { pressedMl, pressedThickness } from '../../../../../core/vessel/cover';
import { floorAreaMm2, floorAt, isPerPortion, isRound, wallLengthMm } from '../../../../../core/vessel/profile';
import { FigureButton } from '../../../../../ui/figure-button';
import { QuantityField } from '../../../../../ui/quantity-field';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../../ui/sheet/sheet-provider';
import { TinPages } from '../../../../tin/tin-pages';
import { CutsFromAbove, SliceDrawing } from './slice-drawing';

/** Slices and piping: what it comes to on the plate. */
export function YieldDesk() {
  const analysis = useAnalysis();
  const { id, doc } = useSheet();
  const build = buildIn(analysis);
  return (
    <SheetFrame station="Tin">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <TinPages sheetId={id} here="yield" />
      </div>
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_420px]">
        <section aria-label="Slices" className="px-4 pt-4 pb-8 md:px-6">
          {!build.ok ? (
            <p className="text-[19px]">{build.fault.says}</p>
          ) : isPerPortion(doc.vessel) ? (
            <EachOne analysis={analysis} build={build.value} />
          ) : (
            <Slices analysis={analysis} build={build.value} />
          )}
        </section>
        <aside aria-label="Piping, covering, cutting out" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
          <Piped analysis={analysis} />
          <Cakes analysis={analysis} />
          <CutOut analysis={analysis} />
          <Pressed analysis={analysis} />
        </aside>
      </div>
    </SheetFrame>
  );
}

function useSetTin() {
  const { edit } = useSheet();
  return (change: Partial<TinPlan>) => edit('tin:cut', (d) => ({ ...d, tin: { ...d.tin, ...change } }));
}

function Slices({ analysis, build }: { readonly analysis: SheetAnalysis; readonly build: Build }) {
  const { doc } = useSheet();
  const set = useSetTin();
  const round = isRound(doc.vessel);
  const slice = sliceOf(analysis, build);
  // So many portions out of each of several.
  const eachOf = Math.max(1, Math.round(doc.portions / Math.max(1, doc.tin.count)));
  const usual = gridFor(doc.vessel, eachOf);
  return (
    <>
      {slice.ok ? (
        <p className="pb-3 text-[20px] leading-snug" data-slices={slice.value.count}>
          <span className="fig text-[22px]">{slice.value.count}</span>{' '}
          {slice.value.kind === 'wedge' ? (slice.value.count === 1 ? 'wedge' : 'wedges') : slice.value.count === 1 ? 'piece' : 'pieces'} of{' '}
          <FigureButton figure={sliceFigure(analysis, slice.value)} className="text-[22px]" />
          <span className="text-[15px] text-ink-soft">
            ,{' '}
            {slice.value.kind === 'wedge'
              ? `${plainNumber(slice.value.sidesMm[0], 0)} mm wide at the rim, ${plainNumber(slice.value.sidesMm[1], 0)} mm deep`
              : `${plainNumber(slice.value.sidesMm[0], 0)} × ${plainNumber(slice.value.sidesMm[1], 0)} mm`}
            , {plainNumber(slice.value.heightMm, 0)}&nbsp;mm high.
          </span>
        </p>
      ) : (
        <p className="pb-3 text-[19px] text-beet">{slice.fault.says}</p>
      )}
      <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_240px]">
        <div>
          <div className="h-[min(42vh,380px)]">
            <SliceDrawing analysis={analysis} build={build} />
          </div>
          <div className="mt-4 h-[min(24vh,200px)]">
            <CutsFromAbove analysis={analysis} build={build} />
          </div>
        </div>
        <div>
          <div className="grid grid-cols-2 gap-x-3 gap-y-3">
            <QuantityField
              key={`a${usual.along}`}
              label={round ? 'Wedges' : 'Along the length'}
              unit=""
              value={doc.tin.cutAlong}
              min={1}
              max={60}
              whole
              onChange={(cutAlong) => set({ cutAlong })}
            />
            {!round && (
              <QuantityField label="Across the width" unit="" value={doc.tin.cutAcross} min={1} max={60} whole onChange={(cutAcross) => set({ cutAcross })} />
            )}
            <QuantityField label="The knife takes" unit="mm" value={doc.tin.kerfMm} min={0} max={10} onChange={(kerfMm) => set({ kerfMm })} />
          </div>
          {(doc.tin.cutAlong !== usual.along || (!round && doc.tin.cutAcross !== usual.across)) && (
            <button type="button" className="btn btn-act mt-3" onClick={() => set({ cutAlong: usual.along, cutAcross: usual.across })}>
              Cut {doc.tin.count > 1 ? 'each ' : ''}for {eachOf} portions: {round ? usual.along : `${usual.along} × ${usual.across}`}
            </button>
          )}
          {slice.ok && (
            <ul className="mt-4 text-[14.5px]" aria-label="In a slice">
              <li className="border-t border-steel-light py-1.5">
                <span className="fig">{showVolumeMl(slice.value.volumeMl)}</span>,{' '}
                <span className="fig">{withUnit(plainNumber(slice.value.kcal, 0), 'kcal')}</span>
              </li>
              <li className="border-t border-steel-light py-1.5">
                <span className="fig">{withUnit(plainNumber(slice.value.fatG, 1), 'g')}</span> fat
                {slice.value.ethanolG > 0.05 && (
                  <>
                    , <span className="fig">{withUnit(plainNumber(slice.value.ethanolG, 1), 'g')}</span> alcohol
                  </>
                )}
              </li>
              <li className="border-t border-steel-light py-1.5 text-ink-soft">
                <span className="fig">{showGrams(slice.value.lostG)}</span> in all stays on the knife
              </li>
            </ul>
          )}
        </div>
      </div>
    </>
  );
}

/** A portion that has its vessel for itself: nothing is sliced. */
function EachOne({ analysis, build }: { readonly analysis: SheetAnalysis; readonly build: Build }) {
  const massG = build.layers.reduce((sum, l) => sum + l.massG, 0);
  const ml = build.layers.reduce((sum, l) => sum + l.volumeMl, 0);
  const crown = crownOf(analysis);
  return (
    <>
      <p className="pb-3 text-[20px]">
        <span className="fig text-[22px]">{analysis.sheet.portions}</span> portions of <span className="fig text-[22px]">{showGrams(massG)}</span>,{' '}
        {showVolumeMl(ml)}, each{' '}
        {build.vessel.kind === 'free'
          ? 'standing on its own'
          : analysis.sheet.tin.also.length > 0
            ? 'in a vessel of its own'
            : `in its own ${build.vessel.name.toLowerCase()}`}
        .
      </p>
      <div className="h-[min(44vh,360px)] max-w-[560px]">
        <SliceDrawing analysis={analysis} build={build} />
      </div>
      {crown && (
        <p className="max-w-[62ch] pt-3 text-[17px]" data-crown={crown.verdict}>
          Each carries <span className="fig">{showGrams(crown.creamG)}</span>; a shell bears <FigureButton figure={bearsFigure(crown)} />.{' '}
          {crown.verdict === 'bears' ? (
            ''
          ) : (
            <b className="text-beet">
              {crown.verdict === 'near' ? 'Near what it bears: pipe it lightly, to the wall. ' : 'It cracks: make larger shells or less cream. '}
            </b>
          )}
          Crown it at most {withUnit(String(crown.withinMin), 'min')} before serving: the cream softens it from below.
        </p>
      )}
    </>
  );
}

/** Rosettes, shells, cupcakes, area of a whipped part. */
function Piped({ analysis }: { readonly analysis: SheetAnalysis }) {
  const { doc } = useSheet();
  const set = useSetTin();
  const [thickMm, setThickMm] = useState(5);
  const parts = analysis.parts.filter((a) => isWhippedKind(a.part.kind) && a.leftShare > 0.02);
  const a = parts[0];
  const p = a && pipedFrom(a, doc.tin.nozzleMm);
  if (!p) return null;
  const rows = [
    pipedFigure('rosettes', 'Rosettes', p.volumeMl, rosetteMl(doc.tin.nozzleMm), p.rosettes, 'π/12 · (2.5·d)² · 2·d', PIPED_SPREAD),
    pipedFigure('shells', 'Shells', p.volumeMl, shellMl(doc.tin.nozzleMm), p.shells, '4/9 · π · d · 1.5·d · 1.5·d', PIPED_SPREAD),
    pipedFigure('cupcakes-low', 'Cupcakes, low swirl', p.volumeMl, CUPCAKE_ML.low, p.cupcakesLow, `${CUPCAKE_ML.low} mL`, 0.2),
    pipedFigure('cupcakes-high', 'Cupcakes, high swirl', p.volumeMl, CUPCAKE_ML.high, p.cupcakesHigh, `${CUPCAKE_ML.high} mL`, 0.2),
  ];
  return (
    <section aria-label="Piped">
      <h2 className="text-[17px]">{p.name}, piped or spread</h2>
      <div className="grid grid-cols-2 gap-x-4 py-1">
        <QuantityField label="Nozzle opening" unit="mm" value={doc.tin.nozzleMm} min={2} max={40} onChange={(nozzleMm) => set({ nozzleMm })} />
        <QuantityField label="Spread at" unit="mm" value={thickMm} min={1} max={100} onChange={setThickMm} />
      </div>
      <ul className="mt-1 text-[15px]">
        {rows.map((f) => (
          <li key={f.key} className="flex items-baseline justify-between border-t border-steel-light py-1" data-piped={f.key}>
            <span>{f.name}</span>
            <FigureButton figure={f} />
          </li>
        ))}
        <li className="flex items-baseline justify-between border-t border-steel-light py-1">
          <span>Covers, {withUnit(plainNumber(thickMm, 0), 'mm')} thick</span>
          <span className="fig text-[15.5px]">{withUnit(plainNumber((10 * p.volumeMl) / thickMm, 0), 'cm²')}</span>
        </li>
      </ul>
    </section>
  );
}

/** Cakes filled and covered from what there is. */
function Cakes({ analysis }: { readonly analysis: SheetAnalysis }) {
  const [cake, setCake] = useState({ acrossMm: 180, heightMm: 90 });
  const [sponges, setSponges] = useState(3);
  const [fillMm, setFillMm] = useState(8);
  const [coverThick, setCoverThick] = useState(5);
  const a = analysis.parts.find((x) => isWhippedKind(x.part.kind) && x.leftShare > 0.02);
  if (!a?.foamMl.ok) return null;
  const c = cakesFrom(a.foamMl.value * a.leftShare, cake, sponges, fillMm, coverThick);
  return (
    <section aria-label="Cakes" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Round cakes, filled and covered</h2>
      <div className="grid grid-cols-3 gap-x-3 gap-y-2 py-1">
        <QuantityField label="Across" unit="mm" value={cake.acrossMm} min={40} max={600} onChange={(acrossMm) => setCake({ ...cake, acrossMm })} />
        <QuantityField label="High" unit="mm" value={cake.heightMm} min={10} max={400} onChange={(heightMm) => setCake({ ...cake, heightMm })} />
        <QuantityField label="Sponges" unit="" value={sponges} min={1} max={12} whole onChange={setSponges} />
        <QuantityField label="Filling" unit="mm" value={fillMm} min={0} max={60} onChange={setFillMm} />
        <QuantityField label="Cover" unit="mm" value={coverThick} min={0} max={40} onChange={setCoverThick} />
      </div>
      <p className="text-[15px]" data-cakes={c.cakes}>
        {c.cakes === 0 ? (
          <>
            Not enough for one: it takes <span className="fig">{showVolumeMl(c.eachMl)}</span>, there is <span className="fig">{showVolumeMl(c.leftMl)}</span>.
          </>
        ) : (
          <>
            <b className="fig text-[19px]">{c.cakes}</b> {c.cakes === 1 ? 'cake' : 'cakes'}: {showVolumeMl(c.fillingMl)} between and {showVolumeMl(c.coverMl)}{' '}
            round each; {showVolumeMl(c.leftMl)} left over.
          </>
        )}
      </p>
    </section>
  );
}

/** Discs for a glass or ring, from a baked sheet. */
function CutOut({ analysis }: { readonly analysis: SheetAnalysis }) {
  const { vessel, portions } = analysis.sheet;
  const [atMm, setAtMm] = useState(Math.round(vessel.heightMm / 2));
  const [sheet, setSheet] = useState({ lengthMm: 380, widthMm: 280 });
  const [each, setEach] = useState(1);
  if (!isRound(vessel)) return null;
  const wanted = each * (isPerPortion(vessel) ? portions : analysis.sheet.tin.count);
  const discs = discsFrom(vessel, atMm, sheet, wanted);
  return (
    <section aria-label="Discs" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Discs from a baked sheet</h2>
      <div className="grid grid-cols-4 gap-x-3 py-1">
        <QuantityField label="Height" unit="mm" value={atMm} min={0} max={Math.round(vessel.heightMm)} onChange={setAtMm} />
        <QuantityField label="Sheet" unit="mm" value={sheet.lengthMm} min={50} max={1000} onChange={(lengthMm) => setSheet({ ...sheet, lengthMm })} />
        <QuantityField label="by" unit="mm" value={sheet.widthMm} min={50} max={1000} onChange={(widthMm) => setSheet({ ...sheet, widthMm })} />
        <QuantityField label="In each" unit="" value={each} min={1} max={20} whole onChange={setEach} />
      </div>
      {discs.ok ? (
        <p className="text-[15px]" data-cutter={discs.value.cutterMm}>
          Cutter <b className="fig text-[19px]">{withUnit(plainNumber(discs.value.cutterMm, 0), 'mm')}</b>, the inside there less 2&nbsp;mm;{' '}
          <span className="fig">{discs.value.perSheet}</span> a sheet, <span className="fig">{discs.value.sheets}</span>{' '}
          {discs.value.sheets === 1 ? 'sheet' : 'sheets'} for {wanted}.
        </p>
      ) : (
        <p className="text-[15px] text-beet">{discs.fault.says}</p>
      )}
    </section>
  );
}

/** A pressed base: how thick on floor and wall, and how much for a thickness. */
function Pressed({ analysis }: { readonly analysis: SheetAnalysis }) {
  const { vessel, tin } = analysis.sheet;
  const [wallMm, setWallMm] = useState(0);
  const [thickMm, setThickMm] = useState(6);
  const base = analysis.layers.find((l) => l.part.kind === 'pressed-base');
  if (!base || isPerPortion(vessel)) return null;
  const ml = base.volumeMl / tin.count;
  const area = floorAreaMm2(floorAt(vessel, 0));
  const wall = wallLengthMm(vessel, 0);
  const now = pressedThickness(area, wall, wallMm, ml);
  const wantedG = (pressedMl(area, wall, wallMm, thickMm) * base.massG) / base.volumeMl;
  return (
    <section aria-label="Pressed base" className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">{base.part.name}, pressed</h2>
      <div className="grid grid-cols-2 gap-x-4 py-1">
        <QuantityField label="Up the wall" unit="mm" value={wallMm} min={0} max={Math.round(vessel.heightMm)} onChange={setWallMm} />
        <QuantityField label="Wished thickness" unit="mm" value={thickMm} min={1} max={40} onChange={setThickMm} />
      </div>
      <p className="text-[15px]" data-pressed={now.ok ? now.value.toFixed(2) : ''}>
        {now.ok ? (
          <>
            <b className="fig text-[19px]">{withUnit(plainNumber(now.value, 1), 'mm')}</b> thick with the{' '}
            <span className="fig">{showGrams(base.massG / tin.count)}</span> there are; <span className="fig">{withUnit(plainNumber(thickMm, 1), 'mm')}</span>{' '}
            takes <span className="fig">{showGrams(wantedG)}</span>.
          </>
        ) : (
          <span className="text-beet">{now.fault.says}</span>
        )}
      </p>
    </section>
  );
}
