'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect, useEffectEvent, useState } from 'react';
import { peakLook } from '../../core/foam/peak';
import { practiceResult, practiceRun, type PracticeResult, type PracticeRun } from '../../core/foam/practice';
import { networkAt } from '../../core/foam/whisk';
import { WISHED_STAGES } from '../../core/foam/kinds';
import { plainNumber, showRoughSeconds, withUnit } from '../../core/figure';
import { Segments } from '../../ui/choice';
import { Frame, isTyping } from '../../ui/frame';
import { WhiskPages } from '../whisk/whisk-pages';
import { Peak } from '../../ui/peak';

interface Stop {
  readonly seed: number;
  readonly stoppedS: number;
  readonly at: number;
}

type Phase = { readonly kind: 'ready' } | { readonly kind: 'whisking' } | { readonly kind: 'stopped'; readonly result: PracticeResult; readonly kept: boolean };

const PACES = [
  ['1', 'true time'],
  ['4', '4 times'],
  ['10', '10 times'],
] as const;
type Pace = (typeof PACES)[number][0];

const MIXER_WORDS: Readonly<Record<PracticeRun['input']['mixer'], string>> = {
  planetary: 'planetary mixer',
  'hand-mixer': 'hand mixer',
  'balloon-whisk': 'balloon whisk',
  processor: 'processor',
};

/** Practise: stop by the look alone, then see how far off it was. */
export function PractiseDesk({ stops }: { readonly stops: readonly Stop[] }) {
  const sheetId = useSearchParams().get('sheet');
  const asked = Number(useSearchParams().get('run') ?? NaN);
  const [seed, setSeed] = useState<number | null>(Number.isInteger(asked) && asked >= 0 ? asked : null);
  const [known, setKnown] = useState(stops);
  return (
    <Frame station="Whisk" sheetId={sheetId} heading={<h1 className="text-[20px]">Practise</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <WhiskPages sheetId={sheetId} here="practise" />
      </div>
      <div className="grid min-h-[calc(100dvh-128px)] grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_392px]">
        {seed === null ? (
          <Start onStart={() => setSeed(freshSeed())} />
        ) : (
          <Round key={seed} seed={seed} onNext={() => setSeed(freshSeed())} onKept={setKnown} />
        )}
        <Scores stops={known} onAgain={setSeed} />
      </div>
    </Frame>
  );
}

const freshSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;

function Start({ onStart }: { readonly onStart: () => void }) {
  return (
    <section aria-label="Start" className="px-4 py-6 md:px-6">
      <p className="max-w-[58ch] text-[17px] leading-snug">
        A cream that you have not seen, in one of three mixers, whisked without a clock. Watch the peak and stop it at the stage that is asked: with the space
        bar, or the button.
      </p>
      <button type="button" className="btn btn-act mt-4 min-h-12 px-5 text-[17px]" onClick={onStart}>
        Pour a cream
      </button>
    </section>
  );
}

function Round({ seed, onNext, onKept }: { readonly seed: number; readonly onNext: () => void; readonly onKept: (stops: readonly Stop[]) => void }) {
  const [run] = useState(() => practiceRun(seed));
  const [phase, setPhase] = useState<Phase>({ kind: 'ready' });
  const [pace, setPace] = useState<Pace>('4');
  /** By the page's own clock; null while it does not turn. */
  const [from, setFrom] = useState<number | null>(null);
  const whisking = phase.kind === 'whisking';
  const speed = Number(pace);

  const act = () => {
    if (phase.kind === 'ready') {
      setFrom(performance.now());
      setPhase({ kind: 'whisking' });
    } else if (phase.kind === 'whisking' && from !== null) {
      const stoppedS = ((performance.now() - from) / 1000) * speed;
      setFrom(null);
      setPhase({ kind: 'stopped', result: practiceResult(run, stoppedS), kept: true });
      fetch('/api/practice', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ seed, stoppedS }) })
        .then(async (r) => {
          if (!r.ok) throw new Error('refused');
          onKept((await r.json()) as readonly Stop[]);
        })
        .catch(() => setPhase((p) => (p.kind === 'stopped' ? { ...p, kept: false } : p)));
    }
  };
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (event.key !== ' ' || isTyping(event) || phase.kind === 'stopped') return;
    event.preventDefault();
    act();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  const { target } = run.input;
  return (
    <section aria-label="The whisk" className="px-4 py-4 md:px-6" data-phase={phase.kind}>
      <p className="text-[20px] leading-snug">
        Stop it at <span className="font-figure font-[650]">{target}</span>. <span className="text-ink-soft">{creamWords(run)}</span>
      </p>
      <div className="mx-auto h-[min(46vh,400px)] max-w-[380px]" aria-live="off">
        {from === null ? (
          <Peak x={networkAt(run.whip, phase.kind === 'stopped' ? phase.result.stoppedS : 0)} />
        ) : (
          <TurningPeak run={run} from={from} speed={speed} />
        )}
      </div>
      {phase.kind === 'stopped' ? (
        <Outcome run={run} result={phase.result} kept={phase.kept} onNext={onNext} onAgain={() => setPhase({ kind: 'ready' })} />
      ) : (
        <div className="mx-auto flex max-w-[560px] flex-wrap items-end justify-center gap-4">
          <button type="button" className="btn btn-act min-h-16 min-w-52 px-8 text-[20px]" onClick={act}>
            {whisking ? 'Stop' : 'Whisk on'}
          </button>
          {!whisking && (
            <div className="w-64">
              <Segments label="Pace" value={pace} options={PACES} onChange={setPace} />
            </div>
          )}
        </div>
      )}
    </section>
  );
}

/** The peak while it is whisked: the only piece of the page that is drawn anew with each frame. */
function TurningPeak({ run, from, speed }: { readonly run: PracticeRun; readonly from: number; readonly speed: number }) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    let frame = 0;
    const draw = () => {
      setSeconds(((performance.now() - from) / 1000) * speed);
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [from, speed]);
  return <Peak x={networkAt(run.whip, seconds)} />;
}

const creamWords = ({ input: i }: PracticeRun): string =>
  `${withUnit(plainNumber(i.mixMl / 1000, 1), 'L')} of cream at ${withUnit(plainNumber(i.fatPct, 0), '%')} fat and ${withUnit(plainNumber(i.creamC, 0), '°C')}${i.sugarPer100 > 0 ? `, sweetened ${i.sugarAt === 'start' ? 'at the start' : 'at soft peak'}` : ', unsweetened'}; ${MIXER_WORDS[i.mixer]}.`;

function Outcome({
  run,
  result: r,
  kept,
  onNext,
  onAgain,
}: {
  readonly run: PracticeRun;
  readonly result: PracticeResult;
  readonly kept: boolean;
  readonly onNext: () => void;
  readonly onAgain: () => void;
}) {
  const { window } = run;
  const off = r.offS === 0 ? 'Inside the window' : `${withUnit(plainNumber(Math.abs(r.offS), 0), 's')} ${r.offS < 0 ? 'early' : 'late'}`;
  const lost = r.wishedPct - r.overrunPct;
  return (
    <div role="status" className="mx-auto max-w-[560px]">
      <p className={`text-[24px] font-[650] ${r.offS === 0 ? 'text-fern-ink' : 'text-beet'}`}>
        {off}: {r.reached ?? 'before soft'}.
      </p>
      <p className="text-[15.5px]">
        {peakLook(networkAt(run.whip, r.stoppedS)).sign} {r.stage.charAt(0).toUpperCase() + r.stage.slice(1)} began at{' '}
        <span className="fig">{showRoughSeconds(window.opensS)}</span> and lasted{' '}
        <span className="fig">{showRoughSeconds((window.closesS ?? window.opensS) - window.opensS)}</span>; stopped at{' '}
        <span className="fig">{showRoughSeconds(r.stoppedS)}</span>
        {Math.abs(lost) >= 1 && (
          <>
            , with <span className="fig">{withUnit(plainNumber(Math.abs(lost), 0), '%')}</span> {lost > 0 ? 'less air' : 'more air'} than at its beginning
          </>
        )}
        .
      </p>
      {!kept && <p className="text-[14px] text-beet">The server does not answer: this stop is not kept.</p>}
      <div className="mt-3 flex gap-2">
        <button type="button" className="btn btn-act" onClick={onNext}>
          Another cream
        </button>
        <button type="button" className="btn" onClick={onAgain}>
          The same again
        </button>
      </div>
    </div>
  );
}

/** How the last stops went, stage by stage. */
function Scores({ stops, onAgain }: { readonly stops: readonly Stop[]; readonly onAgain: (seed: number) => void }) {
  const results = stops.map((s) => ({ ...practiceResult(practiceRun(s.seed), s.stoppedS), seed: s.seed, at: s.at }));
  return (
    <aside aria-label="How it went" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
      <h2 className="pb-1 text-[17px]">How it went</h2>
      {results.length === 0 ? (
        <p className="text-[14.5px] text-ink-soft">Nothing yet. Ten stops of each stage show where your eye is early or late.</p>
      ) : (
        <ul>
          {WISHED_STAGES.map((stage) => {
            const of = results.filter((r) => r.stage === stage);
            return (
              <li key={stage} className="border-t border-steel-light py-1.5">
                <div className="flex items-baseline justify-between gap-3">
                  <span>{stage}</span>
                  <span className="text-[14px] text-ink-soft">
                    {of.length === 0 ? 'not yet' : `${of.filter((r) => r.offS === 0).length} of ${of.length} inside`}
                  </span>
                </div>
                {of.length > 0 && (
                  <Strip
                    offs={of
                      .slice(0, 24)
                      .map((r) => r.offS)
                      .reverse()}
                    stage={stage}
                  />
                )}
              </li>
            );
          })}
        </ul>
      )}
      {results[0] && (
        <button
          type="button"
          className="mt-2 min-h-9 text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
          onClick={() => onAgain(results[0]!.seed)}
        >
          Play the last cream again
        </button>
      )}
    </aside>
  );
}

/** A row of stops, oldest first: on the line inside, above late, below early. */
function Strip({ offs, stage }: { readonly offs: readonly number[]; readonly stage: string }) {
  const most = Math.max(20, ...offs.map(Math.abs));
  const words = offs.map((o) => (o === 0 ? 'inside' : `${Math.round(Math.abs(o))} s ${o < 0 ? 'early' : 'late'}`)).join(', ');
  return (
    <svg viewBox="0 0 340 46" className="mt-1 block w-full" role="img" aria-label={`${stage}, oldest first: ${words}`}>
      <line x1="0" x2="340" y1="23" y2="23" stroke="var(--color-steel)" />
      {offs.map((o, i) => (
        <circle
          key={i}
          cx={10 + i * 14}
          cy={23 - (o / most) * 18}
          r="4"
          fill={o === 0 ? 'var(--color-fern)' : 'var(--color-paper)'}
          stroke={o === 0 ? 'var(--color-fern)' : 'var(--color-beet)'}
          strokeWidth="2"
        />
      ))}
    </svg>
  );
}
