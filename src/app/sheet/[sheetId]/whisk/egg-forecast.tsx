'use client';

import { useState } from 'react';
import Link from 'next/link';
import { houseRange, plainNumber, showRange, showRoughSeconds, showSeconds, showSecondsRange, withUnit } from '../../../../core/figure';
import { eggBowlfulsNeeded, eggLook, eggOverrunAt, eggStageAt, type EggWhip } from '../../../../core/foam/egg-whisk';
import { CLIMB_SHARE, EGG_FOAM_OVERRUN, EGG_FOAM_SPREAD, EGG_WHISK_SPREAD } from '../../../../core/foam/house';
import { foamVolumeMl } from '../../../../core/foam/overrun';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { setPart } from '../../../../core/editing/edits';
import { SPEEDS } from '../../../../core/foam/kinds';
import type { WhiskPlan } from '../../../../core/document/schema';
import { eggWhiskFigure } from '../../../../core/tells/egg-figures';
import { Choice, Segments } from '../../../../ui/choice';
import { FigureButton } from '../../../../ui/figure-button';
import { PeakOf } from '../../../../ui/peak';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { OtherMixers } from './other-mixers';

/** An egg foam under the whisk: stages and times of its own, and its look. */
export function EggForecast({ a }: { readonly a: PartAnalysis }) {
  const { id } = useSheet();
  const w = a.eggWhip?.ok ? a.eggWhip.value : null;
  return (
    <>
      <section aria-label="Forecast" className="px-4 pt-4 pb-8 md:px-6">
        {w ? (
          <Stages a={a} w={w} />
        ) : (
          <>
            <p className="mb-4 text-[20px] font-[600]">No forecast: {a.eggWhip && !a.eggWhip.ok ? a.eggWhip.fault.says : 'there is no egg in it yet.'}</p>
            <Link href={`/sheet/${id}/bench`} className="btn btn-act mb-6">
              To the lines on Bench
            </Link>
          </>
        )}
        <Plan a={a} />
      </section>
      <aside aria-label="Mixers" className="border-steel bg-paper px-4 pt-3.5 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
        {w && <Filling a={a} w={w} />}
        <OtherMixers a={a} />
        <p className="mt-4 border-t border-steel-light pt-2.5 text-[13.5px] text-ink-soft">
          Whisk off before scraping. Guards stay on while it turns. A trace of fat or yolk in whites, and they stay flat.
        </p>
      </aside>
    </>
  );
}

function Stages({ a, w }: { readonly a: PartAnalysis; readonly w: EggWhip }) {
  const endS = Math.ceil((w.stages.at(-1)!.atS * 1.15) / 10) * 10;
  const [cursor, setCursor] = useState<number | null>(null);
  const at = Math.min(endS, cursor ?? w.window.opensS);
  const look = eggLook(w, at);
  const overrun = eggOverrunAt(w, at);
  const tone = w.foam.startsWith('yolks') || w.foam === 'whole-eggs' ? 'yolk' : 'white';
  const past = eggStageAt(w, at) === 'dry' || eggStageAt(w, at) === 'coarse';
  return (
    <>
      <p className="pb-2 text-[20px] leading-snug">
        <span className="font-figure font-[650]">{w.right.charAt(0).toUpperCase() + w.right.slice(1)}</span> after{' '}
        <FigureButton figure={eggWhiskFigure(a, w)} className="text-[22px]" />
        {a.part.whisk.batches > 1 ? ` for each of ${a.part.whisk.batches} bowlfuls` : ''};{' '}
        {w.window.closesS === null ? (
          'from there it changes little: there is no hurry.'
        ) : (
          <>
            its window stays open about <b className="fig">{showSecondsRange(...houseRange(w.window.closesS - w.window.opensS, EGG_WHISK_SPREAD))}</b>.
          </>
        )}
      </p>
      <div className="grid items-end gap-x-8 sm:grid-cols-[300px_minmax(0,1fr)]">
        <div className="mx-auto h-[250px] w-full max-w-[280px]">
          <PeakOf look={look} tone={tone} />
        </div>
        <div className="pb-4">
          <p className={`text-[24px] leading-snug font-[600] ${past ? 'text-beet' : ''}`} aria-live="polite">
            {look.sign}
          </p>
          <p className="mt-1 text-ink-soft">
            At <span className="fig text-ink">{showSeconds(at)}</span>: air about{' '}
            <span className="fig text-ink">{showRange(...houseRange(overrun, EGG_FOAM_SPREAD), '%')}</span>
          </p>
        </div>
      </div>
      <input
        type="range"
        aria-label="Time under the whisk"
        aria-valuetext={showSeconds(at)}
        min={0}
        max={endS}
        step={1}
        value={Math.round(at)}
        onChange={(e) => setCursor(Number(e.target.value))}
        className="mt-2 block h-8 w-full accent-ink"
      />
      <ul aria-label="When each stage comes" className={`mt-1 grid border-y border-steel ${w.stages.length === 4 ? 'grid-cols-4' : 'grid-cols-3'}`}>
        {w.stages.map((s) => (
          <li key={s.name} className="border-l border-steel-light first:border-l-0">
            <button type="button" onClick={() => setCursor(s.atS)} className="block min-h-12 w-full px-1 py-1.5 text-left hover:bg-paper sm:px-2.5">
              <span className={`block text-[14px] ${s.name === 'dry' || s.name === 'coarse' ? 'text-beet' : 'text-ink-soft'}`}>{s.name}</span>
              <span className="fig text-[13.5px] sm:text-[17px]">{showRoughSeconds(s.atS)}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What the bowl says before the whisk is switched on. */
function Filling({ a, w }: { readonly a: PartAnalysis; readonly w: EggWhip }) {
  const { edit, context } = useSheet();
  const foamShare = foamVolumeMl(w.fillShare, EGG_FOAM_OVERRUN[w.foam]);
  const pct = (share: number): string => withUnit(plainNumber(100 * share, 0), '%');
  const needed = a.mixer
    ? eggBowlfulsNeeded({ foam: w.foam, mixer: a.mixer.kind, bowlMl: a.mixer.bowlMl, speed: a.part.whisk.speed, mixMl: a.mixMl, eggC: a.part.heat.eggC })
    : null;
  const climbs = foamShare > CLIMB_SHARE;
  const little = w.fillShare < w.bestFill / 3;
  return (
    <p className="pb-1" data-warning={climbs ? 'climbs-out' : little ? 'hardly-reached' : 'good'}>
      {climbs && <span className="font-[650] text-beet">Look: </span>}
      {a.mixer?.name}: its foam fills <span className="fig">{pct(foamShare)}</span> of the bowl
      {climbs ? '. It climbs out: split it.' : little ? ', and the whisk hardly reaches it: take a smaller bowl.' : ', a good filling.'}
      {climbs && needed !== null && needed !== a.part.whisk.batches && (
        <button
          type="button"
          className="ml-2 min-h-7 border-b-2 border-yolk font-semibold hover:bg-yolk-pale"
          onClick={() => edit('batches', (d) => setPart(d, a.part.id, { whisk: { ...a.part.whisk, batches: needed } }, context))}
        >
          Whisk in {needed} bowlfuls
        </button>
      )}
    </p>
  );
}

function Plan({ a }: { readonly a: PartAnalysis }) {
  const { edit, kitchen, context } = useSheet();
  const plan = a.part.whisk;
  const set = (change: Partial<WhiskPlan>) =>
    edit(`whisk:${Object.keys(change).join()}`, (d) =>
      setPart(d, a.part.id, { whisk: { ...d.parts.find((p) => p.id === a.part.id)!.whisk, ...change } }, context),
    );
  return (
    <div className="mt-5 grid gap-x-6 gap-y-4 sm:grid-cols-2 xl:grid-cols-3">
      <Choice
        label="Mixer and bowl"
        value={plan.mixerId}
        options={kitchen.mixers.map((m) => [m.id, m.name] as const)}
        onChange={(mixerId) => set({ mixerId })}
      />
      {a.mixer?.kind === 'planetary' ? (
        <Segments label="Speed" value={plan.speed} options={SPEEDS.map((s) => [s, s] as const)} onChange={(speed) => set({ speed })} />
      ) : (
        <p className="self-end pb-1.5 text-[14px] text-ink-soft">This one runs at its own speed.</p>
      )}
      <QuantityField label="Bowlfuls" unit="" value={plan.batches} min={1} max={50} whole onChange={(batches) => set({ batches })} />
      <QuantityField
        label="Eggs"
        unit="°C"
        value={a.part.heat.eggC}
        min={0}
        max={60}
        onChange={(eggC) => edit('heat:eggC', (d) => setPart(d, a.part.id, { heat: { ...d.parts.find((p) => p.id === a.part.id)!.heat, eggC } }, context))}
      />
    </div>
  );
}
