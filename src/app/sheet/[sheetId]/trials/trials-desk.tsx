'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { lazy, Suspense, useMemo, useState } from 'react';
import { plainNumber, withUnit } from '../../../../core/figure';
import { analyseSheet } from '../../../../core/analysis/analyse';
import { SWEPT_FIGURES } from '../../../../core/rewrite/sweep';
import { sheetAt, valueAt, valueSays, type TrialAxis } from '../../../../core/trials/axes';
import { MOST_TRIALS } from '../../../../core/trials/house';
import type { Learnt } from '../../../../core/trials/next-trial';
import type { Point } from '../../../../core/trials/liking';
import type { Series, Trial } from '../../../../core/trials/series';
import { ClockTime } from '../../../../ui/clock-time';
import { freshUuid } from '../../../../ui/sheet/fresh-id';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { BenchPages } from '../bench-pages';
import { BeginTrials } from './begin-trials';
import { Taste } from './taste';
import { useTrialsQueue } from './trials-queue';

const LineChart = lazy(() => import('../../../../ui/line-chart').then((m) => ({ default: m.LineChart })));

interface DeskProps {
  /** The series that is open; null for none. */
  readonly series: Series | null;
  /** The last one that ended, where none is open. */
  readonly ended: Series | null;
  readonly learnt: Learnt | null;
  readonly cooks: readonly string[];
}

const STOPS = {
  sure: 'Sure enough: a further trial would not move it.',
  'little to gain': 'A further trial would gain less than anyone tastes.',
  'long enough': `${MOST_TRIALS} trials are made: more would not settle it.`,
} as const;

/** What physics knows of a trial without a taster. */
const GIVEN = ['sweetness', 'gelatin', 'abv', 'air', 'hold'];

const valuesSay = (axes: readonly TrialAxis[], point: Point): string => axes.map((a, d) => valueSays(a, valueAt(a, point[d]!))).join(' · ');

/** Trials of a sheet: begun, made, tasted blind, and what they came to. */
export function TrialsDesk({ series, ended, learnt, cooks }: DeskProps) {
  const { id } = useSheet();
  const { waiting, refused, say } = useTrialsQueue(id);
  const [tasting, setTasting] = useState(false);
  const [anew, setAnew] = useState(false);
  const shown = series ?? (anew ? null : ended);
  return (
    <SheetFrame station="Bench">
      <div className="px-4 pt-2 md:px-6">
        <BenchPages sheetId={id} here="trials" />
      </div>
      <p role="status" aria-label="On the way" className="px-4 text-[14px] text-ink-soft empty:hidden md:px-6">
        {waiting > 0 ? `${waiting} on the way: kept on this tablet until the server has it` : ''}
      </p>
      <p role="alert" className="px-4 text-beet empty:hidden md:px-6">
        {refused ?? ''}
      </p>
      {shown === null ? (
        <BeginTrials onBegin={(says) => say(freshUuid(), says)} />
      ) : tasting ? (
        <Taste series={shown} cooks={cooks} onSay={(says) => say(shown.id, says)} onClose={() => setTasting(false)} />
      ) : (
        <SeriesView series={shown} learnt={learnt} onTaste={() => setTasting(true)} say={say} onAnew={() => setAnew(true)} />
      )}
    </SheetFrame>
  );
}

interface ViewProps {
  readonly series: Series;
  readonly learnt: Learnt | null;
  readonly onTaste: () => void;
  readonly onAnew: () => void;
  readonly say: ReturnType<typeof useTrialsQueue>['say'];
}

function SeriesView({ series, learnt, onTaste, onAnew, say }: ViewProps) {
  const { kitchen, edit } = useSheet();
  const { axes, trials, said } = series;
  const apply = (point: Point): void => edit('trials', (d) => sheetAt(d, kitchen, axes, point));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 px-4 py-5 md:px-6 xl:grid-cols-[minmax(0,1fr)_minmax(0,460px)]">
      <div className="min-w-0">
        <h2 className="text-[24px] leading-tight font-[650]" data-trials-says>
          {learnt ? (
            <>
              Best so far: <span className="fig">{valuesSay(axes, learnt.best)}</span>
            </>
          ) : (
            `Make ${trials.length} and taste them: ${series.wishes.join(', ')}`
          )}
        </h2>
        <p className="mt-1 text-ink-soft">
          {learnt ? (
            <>
              <b className="fig text-ink">{plainNumber(100 * learnt.sure, 0)} %</b> sure that the best lies within a tenth of that ·{' '}
              {learnt.stop ? (
                STOPS[learnt.stop]
              ) : learnt.gain === null ? (
                'another trial may still move it'
              ) : (
                <>one more may gain {plainNumber(learnt.gain, 1)} of ten</>
              )}
            </>
          ) : (
            'Two that are tasted against each other are enough to begin with.'
          )}
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          {!series.ended && (
            <button type="button" className={`btn ${learnt && !learnt.stop ? '' : 'btn-act'}`} onClick={onTaste}>
              Taste blind
            </button>
          )}
          {!series.ended && (
            <button
              type="button"
              className={`btn ${learnt && !learnt.stop ? 'btn-act' : ''}`}
              disabled={trials.length >= MOST_TRIALS}
              onClick={() => say(series.id, { kind: 'next' })}
            >
              Ask for the next trial
            </button>
          )}
          {learnt && (
            <button type="button" className="btn" onClick={() => apply(learnt.best)}>
              Put the best on Bench
            </button>
          )}
          <Link href={`/print/trials/${series.id}`} className="btn">
            Labels with codes
          </Link>
          {series.ended ? (
            <button type="button" className="btn btn-act" onClick={onAnew}>
              Begin another series
            </button>
          ) : (
            <button type="button" className="btn" onClick={() => say(series.id, { kind: 'ended' })}>
              End the series
            </button>
          )}
        </div>
        <Trials series={series} />
        {said.length > 0 && (
          <section aria-label="What was said" className="mt-6">
            <h3 className="text-[15px]">What was said</h3>
            <ul>
              {said.toReversed().map(({ eventId, at, by, says }) => (
                <li key={eventId} className="flex flex-wrap items-baseline gap-x-3 border-t border-steel py-1.5">
                  <span className="font-medium">{by}</span>
                  <span className="fig min-w-0 flex-1">
                    {says.kind === 'scored'
                      ? says.scores.map((s) => `${s.code} ${s.score}`).join(' · ')
                      : says.same
                        ? `${says.better} and ${says.than} alike`
                        : `${says.better} before ${says.than}`}
                  </span>
                  <span className="text-[13.5px] text-ink-soft">
                    <ClockTime at={at} />
                  </span>
                  {!series.ended && (
                    <button
                      type="button"
                      className="btn"
                      aria-label={`Take back what ${by} said`}
                      onClick={() => say(series.id, { kind: 'taken back', eventId })}
                    >
                      Take back
                    </button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <div className="grid min-w-0 content-start gap-5">
        {learnt && axes.map((axis, d) => <AxisCurve key={d} axis={axis} learnt={learnt} d={d} scored={said.some((s) => s.says.kind === 'scored')} />)}
      </div>
    </div>
  );
}

function AxisCurve({ axis, learnt, d, scored }: { readonly axis: TrialAxis; readonly learnt: Learnt; readonly d: number; readonly scored: boolean }) {
  const at = (x: number): number => axis.low + (axis.high - axis.low) * x;
  const curve = learnt.curves[d]!.points;
  const best = learnt.best[d]!;
  const [low, high] = learnt.between[d]!;
  const nearest = curve.reduce((a, b) => (Math.abs(b.x - best) < Math.abs(a.x - best) ? b : a));
  const unit = axis.kind === 'line' ? 'g' : axis.kind === 'rest' ? 'h' : 'soft to firm';
  return (
    <figure>
      <figcaption className="pb-1 text-[15px]">
        {axis.name} <span className="fig font-[650]">{valueSays(axis, valueAt(axis, best))}</span>
        <span className="text-ink-soft">
          , four in five between {valueSays(axis, valueAt(axis, low))} and {valueSays(axis, valueAt(axis, high))}
        </span>
      </figcaption>
      <div className="h-[190px]">
        <Suspense>
          <LineChart
            points={curve.map((p) => ({ x: at(p.x), y: p.y }))}
            spread={curve.map((p) => ({ x: at(p.x), low: p.low, high: p.high }))}
            xName={`${axis.name}, ${unit}`}
            yName={scored ? 'points of ten' : 'liked'}
            now={{ x: at(best), y: nearest.y }}
            says={`How ${axis.name} is liked from ${valueSays(axis, axis.low)} to ${valueSays(axis, axis.high)}: best at ${valueSays(axis, valueAt(axis, best))}`}
          />
        </Suspense>
      </div>
    </figure>
  );
}

/** The trials in the order in which they were asked for, each with what is in it and what physics says of it. */
function Trials({ series }: { readonly series: Series }) {
  const { kitchen } = useSheet();
  const { axes, trials } = series;
  const given = useMemo(
    () =>
      trials.map((t) => {
        const s = analyseSheet(sheetAt(series.sheet, kitchen, axes, t.point), kitchen);
        return SWEPT_FIGURES.flatMap((f) => {
          const v = GIVEN.includes(f.key) ? f.of(s, kitchen) : null;
          return v === null || (v < 0.05 && (f.key === 'abv' || f.key === 'gelatin'))
            ? []
            : [`${f.name.toLowerCase()} ${withUnit(plainNumber(v, f.decimals), f.unit)}`];
        });
      }),
    [trials, series.sheet, kitchen, axes],
  );
  return (
    <section aria-label="The trials" className="mt-5">
      <p className="pb-1.5 text-[14.5px] text-ink-soft">{axes.map((a) => a.name).join(' · ')}</p>
      <ul>
        {trials.map((t, i) => (
          <li key={t.code} className="grid grid-cols-[52px_minmax(0,1fr)_auto] items-start gap-x-4 border-t border-steel py-2.5">
            <span className="fig text-[22px] leading-tight font-[650]">{t.code}</span>
            <span className="min-w-0">
              <span className="block">
                <span className="fig font-medium">{valuesSay(axes, t.point)}</span>
                {i === 0 && <span className="text-ink-soft"> as it is</span>}
              </span>
              <span className="block text-[13.5px] text-ink-soft">{given[i]!.join(' · ')}</span>
            </span>
            <Make seriesId={series.id} trial={t} ended={series.ended} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Makes a trial on Pass, or opens the batch that it became. */
function Make({ seriesId, trial, ended }: { readonly seriesId: string; readonly trial: Trial; readonly ended: boolean }) {
  const { id } = useSheet();
  const router = useRouter();
  const [state, setState] = useState<'ready' | 'asked' | string>('ready');
  // The same batch, however often its button is touched.
  const [batchId] = useState(freshUuid);
  if (trial.batchId)
    return (
      <Link href={`/pass/${trial.batchId}`} className="btn">
        Open on Pass
      </Link>
    );
  if (ended) return null;
  const make = async (): Promise<void> => {
    setState('asked');
    try {
      const response = await fetch('/api/batches', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: batchId, sheetId: id, trial: { seriesId, code: trial.code } }),
      });
      const answer = (await response.json()) as { id?: string; says?: string };
      if (answer.id) return router.push(`/pass/${answer.id}`);
      setState(answer.says ?? 'It was refused.');
    } catch {
      setState('The server does not answer: try again.');
    }
  };
  return (
    <span className="text-right">
      <button type="button" className="btn" disabled={state === 'asked'} onClick={() => void make()}>
        Make it on Pass
      </button>
      {state !== 'ready' && state !== 'asked' && <span className="block max-w-40 text-[13.5px] text-beet">{state}</span>}
    </span>
  );
}
