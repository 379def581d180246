'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { clockFace, plainNumber, showRoughSeconds, showSeconds, withUnit } from '../../../../../core/figure';
import { peakLook } from '../../../../../core/foam/peak';
import { mainPart } from '../../../../../core/analysis/analyse';
import type { PartAnalysis } from '../../../../../core/analysis/analysed';
import { isWhippedKind } from '../../../../../core/document/kinds';
import { stepWhisk, type StepWhisk } from '../../../../../core/analysis/step-whisk';
import { allowSound } from '../../../../../ui/batch/call-sound';
import { makeLiveWhisk, sensorWords, type LiveState } from '../../../../../ui/batch/live-whisk';
import { creamOf } from '../../../../../ui/batch/whisk-model';
import { leftWords, useCall, WhiskCall, type CallPhase } from '../../../../../ui/batch/whisk-call';
import { useStandIns } from '../../../../../ui/instruments/use-instruments';
import { PageTabs } from '../../../../../ui/page-tabs';
import { PeakOf } from '../../../../../ui/peak';
import { useKept } from '../../../../../ui/use-kept';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../../ui/sheet/sheet-provider';
import { WhiskPages } from '../../../../whisk/whisk-pages';

const LineChart = dynamic(() => import('../../../../../ui/line-chart').then((m) => m.LineChart), { ssr: false });

/** Live: the whisk as it runs, by the motor's load against the forecast. */
export function LiveDesk() {
  const analysis = useAnalysis();
  const { id } = useSheet();
  const wished = useSearchParams().get('part');
  const whisked = analysis.parts.filter((p) => isWhippedKind(p.part.kind));
  const a = whisked.find((p) => p.part.id === wished) ?? mainPart(analysis);
  const whisk = stepWhisk(a);
  return (
    <SheetFrame station="Whisk">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <WhiskPages sheetId={id} here="live" />
      </div>
      {whisked.length > 1 && (
        <div className="px-4 pt-2 md:px-6">
          <PageTabs
            label="Whipped parts"
            pages={whisked.map((p) => ({ href: `/sheet/${id}/whisk/live?part=${p.part.id}`, name: p.part.name, here: p === a }))}
          />
        </div>
      )}
      {whisk?.cream ? (
        <Run key={a.part.id} a={a} whisk={whisk} />
      ) : (
        <div className="px-4 py-6 md:px-6">
          <p className="mb-4 text-[19px]">{a.whip.ok ? (a.window.ok ? 'There is nothing to follow here.' : a.window.fault.says) : a.whip.fault.says}</p>
          <Link href={`/sheet/${id}/whisk`} className="btn btn-act">
            To the forecast
          </Link>
        </div>
      )}
    </SheetFrame>
  );
}

/** A run as this tab kept it; null for anything that is none. */
function readKept(text: string | null): Kept | null {
  try {
    const kept = JSON.parse(text ?? 'null') as Kept | null;
    return kept && Number.isFinite(kept.startedAt) ? kept : null;
  } catch {
    return null;
  }
}

interface Kept {
  readonly startedAt: number;
  readonly slowAt: number | null;
  readonly stoppedAt: number | null;
}

function Run({ a, whisk }: { readonly a: PartAnalysis; readonly whisk: StepWhisk }) {
  const { id } = useSheet();
  const key = `soft-peak:live:${id}:${a.part.id}`;
  const [kept, keepText] = useKept('session', key);
  const run = useMemo(() => readKept(kept), [kept]);
  const keep = (next: Kept): void => keepText(JSON.stringify(next));
  const { act, trouble } = useStandIns();
  const on = (): void => {
    allowSound();
    const startedAt = Date.now();
    keep({ startedAt, slowAt: null, stoppedAt: null });
    void act({ act: 'whisk-on', input: whisk.cream!.input, startedAt });
  };
  return (
    <>
      <p role="alert" className="px-4 pt-3 text-beet empty:hidden md:px-6">
        {trouble}
      </p>
      {run === null || run.stoppedAt !== null ? (
        <Ready whisk={whisk} run={run} onStart={on} />
      ) : (
        <Running
          key={run.startedAt}
          whisk={whisk}
          run={run}
          onStop={() => {
            keep({ ...run, stoppedAt: Date.now() });
            void act({ act: 'whisk-off' });
          }}
          onSlow={() => {
            keep({ ...run, slowAt: Date.now() });
            void act({ act: 'whisk-slow' });
          }}
        />
      )}
    </>
  );
}

function Ready({ whisk, run, onStart }: { readonly whisk: StepWhisk; readonly run: Kept | null; readonly onStart: () => void }) {
  const stoppedS = run?.stoppedAt ? (run.stoppedAt - run.startedAt) / 1000 : null;
  return (
    <section aria-label="Ready" className="grid gap-x-12 gap-y-6 px-4 py-6 md:px-6 lg:grid-cols-[minmax(0,1fr)_392px]" data-live="ready">
      <div>
        <p className="text-[24px] leading-snug">
          {stoppedS !== null && (
            <>
              Stopped after <b className="fig">{showSeconds(stoppedS)}</b>.{' '}
            </>
          )}
          <span className="font-figure font-[650]">{whisk.stage}</span> is forecast at <b className="fig">{showRoughSeconds(whisk.opensS)}</b>
          {whisk.closesS !== null && (
            <>
              , window <b className="fig">{showRoughSeconds(whisk.closesS - whisk.opensS)}</b>
            </>
          )}
          .
        </p>
        <button type="button" className="btn btn-act mt-4 min-h-16 px-9 text-[22px]" onClick={onStart}>
          Whisk on
        </button>
      </div>
      <div className="max-w-[52ch] text-[15px] text-ink-soft">
        <h2 className="mb-1 text-[17px] text-ink">How it knows</h2>
        <p>
          The forecast gives the shape of the whip; how quickly this cream runs through it is not known beforehand (±18&nbsp;%). The motor works harder as the
          cream stiffens. For every pace, and for every zero and gain that the sensor may have, the load says how likely that pace is: the time left and its
          band follow. Without a sensor the clock alone decides.
        </p>
        <p className="mt-2">
          The load comes from a stand-in here: see{' '}
          <Link href="/instruments" className="underline decoration-dotted underline-offset-4 hover:text-ink">
            Instruments
          </Link>
          .
        </p>
      </div>
    </section>
  );
}

const PHASES: Readonly<Record<LiveState['view']['phase'], CallPhase | null>> = { whisking: null, soon: 'soon', stop: 'stop', over: 'over' };

function Running({ whisk, run, onStop, onSlow }: { readonly whisk: StepWhisk; readonly run: Kept; readonly onStop: () => void; readonly onSlow: () => void }) {
  const live = useMemo(
    () => makeLiveWhisk({ whip: creamOf(whisk)!, target: whisk.cream!.input.target, logSd: whisk.cream!.logSd, startedAt: run.startedAt }),
    [whisk, run.startedAt],
  );
  useEffect(() => live.follow(), [live]);
  useEffect(() => {
    if (run.slowAt !== null) live.slow(run.slowAt);
  }, [live, run.slowAt]);
  const state = useSyncExternalStore(live.subscribe, live.get, live.get);
  const { view, nowS } = state;
  const call = PHASES[view.phase];
  useCall(call);
  const [waved, setWaved] = useState<CallPhase | null>(null);
  const look = peakLook(view.x.mid);
  const slows = whisk.cream!.input.slowFromSoft && run.slowAt === null && view.x.mid >= 0.15;
  const says =
    slows && view.stage === 'soft' && !call
      ? 'Soft peak: drop to slow now.'
      : view.phase === 'over'
        ? 'The window has closed. Whisk off, and look.'
        : leftWords(view, view.phase === 'stop', nowS);
  return (
    <section
      aria-label="Live"
      data-live="running"
      data-phase={view.phase}
      data-from={view.from}
      className="grid min-h-[calc(100dvh-128px)] grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_392px]"
    >
      <div className="px-4 pt-4 pb-6 md:px-6">
        <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
          <p className="fig text-[clamp(64px,9vw,104px)] leading-none" role="timer" aria-label={`Time under the whisk ${clockFace(nowS)}`}>
            {clockFace(nowS)}
          </p>
          <div className="min-w-[220px] flex-1">
            <p role="status" className="text-[24px] leading-tight font-[600]">
              {says}
            </p>
            <p className="mt-1 text-ink-soft">{sensorWords(state)}</p>
          </div>
        </div>
        <div className="mt-4 h-[min(46vh,420px)] min-h-[220px]">
          <LineChart
            points={drawn(state)}
            xName="s under the whisk"
            yName="load, % of firm"
            span={view.opensS && { from: view.opensS.low, to: view.opensS.high, says: `${whisk.stage} begins` }}
            says={`The load over ${Math.round(nowS)} seconds`}
          />
        </div>
        <div className="mt-4 flex flex-wrap gap-3">
          <button type="button" className="btn btn-act min-h-16 px-9 text-[22px]" onClick={onStop}>
            Whisk off
          </button>
          {slows && (
            <button type="button" className="btn min-h-16 px-6 text-[18px]" onClick={onSlow}>
              Dropped to slow
            </button>
          )}
        </div>
      </div>
      <aside aria-label="The look" className="border-steel bg-paper px-4 pt-3.5 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
        <div className="mx-auto h-[300px] max-w-[280px]">
          <PeakOf look={look} />
        </div>
        <p className="text-[21px] leading-snug font-[600]" aria-live="polite">
          {look.sign}
        </p>
        <dl className="mt-3 grid grid-cols-[auto_minmax(0,1fr)] text-[15px]">
          <dt className="border-t border-steel-light py-1.5 text-ink-soft">stage now</dt>
          <dd className="border-t border-steel-light py-1.5 text-right">{view.stage ?? 'before soft'}</dd>
          <dt className="border-t border-steel-light py-1.5 text-ink-soft">pace against the forecast</dt>
          <dd className="fig border-t border-steel-light py-1.5 text-right">
            {`${plainNumber(view.pace.low, 2)}\u2060–\u2060${plainNumber(view.pace.high, 2)}`}&nbsp;×
          </dd>
          <dt className="border-t border-steel-light py-1.5 text-ink-soft">window opens at</dt>
          <dd className="fig border-t border-steel-light py-1.5 text-right">
            {view.opensS ? withUnit(`${clockFace(view.opensS.low)}\u2060–\u2060${clockFace(view.opensS.high)}`, 'min') : 'never'}
          </dd>
          <dt className="border-t border-steel-light py-1.5 text-ink-soft">window closes at</dt>
          <dd className="fig border-t border-steel-light py-1.5 text-right">
            {view.closesS ? withUnit(`${clockFace(view.closesS.low)}\u2060–\u2060${clockFace(view.closesS.high)}`, 'min') : 'not at all'}
          </dd>
        </dl>
        <p className="mt-2 text-[13.5px] text-ink-soft">Each band holds four in five.</p>
      </aside>
      {call && waved !== call && (
        <WhiskCall phase={call} stage={whisk.stage} nowS={nowS} says={says} sign={look.sign} look={look} tone="cream">
          <button
            type="button"
            autoFocus
            className={`min-h-16 rounded-s px-8 text-[22px] font-[650] ${call === 'over' ? 'bg-paper text-ink' : 'bg-ink text-paper'}`}
            onClick={onStop}
          >
            Whisk off
          </button>
          {slows && (
            <button type="button" className="min-h-16 rounded-s border-2 border-current px-8 text-[22px] font-[650]" onClick={onSlow}>
              Dropped to slow
            </button>
          )}
          <button type="button" className="min-h-16 rounded-s px-5 text-[19px] underline decoration-dotted underline-offset-4" onClick={() => setWaved(call)}>
            Back to the curve
          </button>
        </WhiskCall>
      )}
    </section>
  );
}

/** The load as it is drawn: the middle of each few samples, so that a spike does not hide the rise; and room for the window. */
function drawn({ trace, view }: LiveState): { readonly x: number; readonly y: number | null }[] {
  const size = Math.max(5, Math.ceil(trace.length / 240));
  const points: { x: number; y: number | null }[] = [];
  for (let i = 0; i < trace.length; i += size) {
    const few = trace.slice(i, i + size);
    points.push({ x: few[few.length >> 1]!.tS, y: few.map((t) => t.load).toSorted((a, b) => a - b)[few.length >> 1]! });
  }
  if (view.opensS) points.push({ x: view.closesS?.mid ?? view.opensS.high, y: null });
  return points;
}
