'use client';

import dynamic from 'next/dynamic';
import { useCallback, useState } from 'react';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { roughNumber, showRange, showRoughSeconds, showSeconds, withUnit } from '../../../../core/figure';
import { STAGE_X } from '../../../../core/foam/house';
import { peakLook } from '../../../../core/foam/peak';
import { networkAt, overrunAt, secondsTo, secondsToStage, type Whip } from '../../../../core/foam/whisk';
import { STAGES } from '../../../../core/foam/kinds';
import { mainPart } from '../../../../core/analysis/analyse';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { isWhippedKind } from '../../../../core/document/kinds';
import { airRange, timeRange } from '../../../../core/analysis/learnt';
import { setPart } from '../../../../core/editing/edits';
import { stageTimeFigure, windowFigure } from '../../../../core/tells/figures';
import { FigureButton } from '../../../../ui/figure-button';
import { PageTabs } from '../../../../ui/page-tabs';
import { Peak } from '../../../../ui/peak';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { OtherMixers } from './other-mixers';
import { WhiskPages } from '../../../whisk/whisk-pages';
import { EggForecast } from './egg-forecast';
import { WhatChanges } from './what-changes';
import { WhiskPlanForm } from './whisk-plan-form';
import { WhiskWarnings } from './whisk-warnings';

const StageChart = dynamic(() => import('./stage-chart').then((m) => m.StageChart), { ssr: false });

/** Whisk: when to stop. */
export function WhiskDesk() {
  const analysis = useAnalysis();
  const { id } = useSheet();
  const wished = useSearchParams().get('part');
  const whisked = analysis.parts.filter((p) => isWhippedKind(p.part.kind) || p.eggFoam !== null);
  const a = whisked.find((p) => p.part.id === wished) ?? mainPart(analysis);
  return (
    <SheetFrame station="Whisk">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <WhiskPages sheetId={id} here="forecast" />
      </div>
      {whisked.length > 1 && (
        <div className="px-4 pt-2 md:px-6">
          <PageTabs label="Whipped parts" pages={whisked.map((p) => ({ href: `/sheet/${id}/whisk?part=${p.part.id}`, name: p.part.name, here: p === a }))} />
        </div>
      )}
      <div className="grid min-h-full lg:grid-cols-[minmax(0,1fr)_392px]">
        {a.eggFoam ? <EggForecast key={a.part.id} a={a} /> : a.whip.ok ? <Forecast key={a.part.id} a={a} whip={a.whip.value} /> : <NoForecast a={a} />}
      </div>
    </SheetFrame>
  );
}

/** How far the clock is drawn: past butter, or well past firm where there is none. */
function endOf(w: Whip): number {
  const butter = secondsTo(w, STAGE_X.butter);
  if (butter !== null) return Math.ceil((butter * 1.12) / 10) * 10;
  return Math.ceil((secondsTo(w, STAGE_X.firm)! * 1.6) / 10) * 10;
}

function Forecast({ a, whip }: { readonly a: PartAnalysis; readonly whip: Whip }) {
  const window = a.window.ok ? a.window.value : null;
  const endS = endOf(whip);
  const [cursor, setCursor] = useState<number | null>(null);
  const [line, setLine] = useState({ left: 0, right: 0 });
  const onClockLine = useCallback((left: number, right: number) => setLine((l) => (l.left === left && l.right === right ? l : { left, right })), []);
  const at = Math.min(endS, cursor ?? window?.opensS ?? endS / 2);
  const says = window
    ? `${a.part.whisk.stage} after about ${showRoughSeconds(window.opensS)}${window.closesS === null ? ', and then it changes little' : `, its window open for about ${showRoughSeconds(window.closesS - window.opensS)}`}`
    : `${a.part.whisk.stage} is never reached`;
  return (
    <>
      <section aria-label="Forecast" className="px-4 pt-4 pb-8 md:px-6">
        <Headline a={a} whip={whip} />
        <div className="relative h-[min(44vh,380px)] min-h-[260px]">
          <StageChart
            whip={whip}
            window={window}
            endS={endS}
            cursorS={at}
            onCursor={setCursor}
            onClockLine={onClockLine}
            range={timeRange(a, 1)}
            says={`Stages over the clock: ${says}`}
          />
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
          className="mt-1 block h-8 accent-ink"
          style={{ marginLeft: Math.max(0, line.left - 8), width: `calc(100% - ${Math.max(0, line.left - 8) + Math.max(0, line.right - 8)}px)` }}
        />
        <StageTimes whip={whip} onPick={setCursor} />
        <WhiskPlanForm a={a} />
      </section>
      <aside aria-label="The look" className="border-steel bg-paper px-4 pt-3.5 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
        <Look a={a} whip={whip} at={at} />
        <WhiskWarnings a={a} whip={whip} />
        <OtherMixers a={a} />
        <WhatChanges a={a} />
        <p className="mt-4 border-t border-steel-light pt-2.5 text-[13.5px] text-ink-soft">Whisk off before scraping. Guards stay on while it turns.</p>
      </aside>
    </>
  );
}

function Headline({ a, whip }: { readonly a: PartAnalysis; readonly whip: Whip }) {
  const { stage } = a.part.whisk;
  if (!a.window.ok || !a.whiskInput.ok) return <p className="pb-2 text-[20px] font-[600] text-beet">{a.window.ok ? '' : a.window.fault.says}</p>;
  const time = stageTimeFigure(a, a.whiskInput.value, whip, a.window.value.opensS);
  const window = windowFigure(a, whip, a.window.value);
  const many = a.part.whisk.batches > 1 ? ` for each of ${a.part.whisk.batches} bowlfuls` : '';
  return (
    <p className="pb-2 text-[20px] leading-snug">
      <span className="font-figure font-[650]">{stage.charAt(0).toUpperCase() + stage.slice(1)}</span> after{' '}
      <FigureButton figure={time} className="text-[22px]" />
      {many};{' '}
      {window ? (
        <>
          its window stays open <FigureButton figure={window} className="text-[22px]" />.
        </>
      ) : (
        'it goes no further from there: there is no hurry.'
      )}
    </p>
  );
}

function StageTimes({ whip, onPick }: { readonly whip: Whip; readonly onPick: (s: number) => void }) {
  return (
    <ul aria-label="When each stage comes" className="mt-1 grid grid-cols-5 border-y border-steel">
      {STAGES.map((stage) => {
        const s = secondsToStage(whip, stage);
        const accident = stage === 'grainy' || stage === 'butter';
        return (
          <li key={stage} className="border-l border-steel-light first:border-l-0">
            <button
              type="button"
              disabled={s === null}
              onClick={() => s !== null && onPick(s)}
              className="block min-h-12 w-full px-1 py-1.5 text-left hover:bg-paper disabled:cursor-default sm:px-2.5"
            >
              <span className={`block text-[14px] ${accident ? 'text-beet' : 'text-ink-soft'}`}>{stage}</span>
              <span className="fig text-[13.5px] sm:text-[17px]">{s === null ? 'never' : showRoughSeconds(s)}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function Look({ a, whip, at }: { readonly a: PartAnalysis; readonly whip: Whip; readonly at: number }) {
  const x = networkAt(whip, at);
  const look = peakLook(x);
  const overrun = overrunAt(whip, at);
  const bad = look.stage === 'grainy' || look.stage === 'butter';
  return (
    <div>
      <div className="mx-auto h-[280px] max-w-[260px]">
        <Peak x={x} />
      </div>
      <p className={`mt-1 text-[19px] leading-snug font-[600] ${bad ? 'text-beet' : ''}`} aria-live="polite">
        {look.sign}
      </p>
      <p className="mb-3 text-ink-soft">
        At <span className="fig text-ink">{showSeconds(at)}</span>: {look.stage ?? 'before soft'},{' '}
        {overrun === null ? (
          'no air to speak of'
        ) : (
          <>
            air about <span className="fig text-ink">{airWords(a, overrun)}</span>
          </>
        )}
      </p>
    </div>
  );
}

const airWords = (a: PartAnalysis, overrunPct: number): string => {
  const [low, high] = airRange(a, overrunPct);
  return overrunPct < 1 ? withUnit(roughNumber(0), '%') : showRange(low, high, '%');
};

function NoForecast({ a }: { readonly a: PartAnalysis }) {
  const { id, edit, context } = useSheet();
  const fault = a.whip.ok ? null : a.whip.fault;
  const n = fault?.code === 'does-not-fit';
  return (
    <section className="px-4 pt-6 pb-8 md:px-6 lg:col-span-2" aria-label="Forecast">
      <p className="mb-2 text-[22px] font-[600]">No forecast: {fault?.says}</p>
      <p className="mb-5 text-ink-soft">The curve is drawn as soon as the bowl holds a cream of 25 to 60&nbsp;% fat, below 20&nbsp;°C.</p>
      <div className="mb-6 flex flex-wrap gap-3">
        <Link href={`/sheet/${id}/bench`} className="btn btn-act">
          To the lines on Bench
        </Link>
        {n && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              edit('batches', (d) => setPart(d, a.part.id, { whisk: { ...a.part.whisk, batches: Math.min(50, a.part.whisk.batches + 1) } }, context))
            }
          >
            One bowlful more
          </button>
        )}
      </div>
      <WhiskPlanForm a={a} />
    </section>
  );
}
