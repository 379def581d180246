'use client';

import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { clockFace, inSentence, showRoughSeconds, showSeconds } from '../../../core/figure';
import { isRunning, timerOf, WHISK_TIMER, type PlanStep, type Timer } from '../../../core/batch/batch';
import { readReading } from '../../../core/batch/readings';
import { whiskAt, type StepWhisk } from '../../../core/analysis/step-whisk';
import { elapsedS, phaseOf, timerMarks, type TimerMarks, type TimerPhase } from '../../../core/batch/whisk-timer';
import { allowSound } from '../../../ui/batch/call-sound';
import { ENOUGH_SAMPLES, makeLiveWhisk, sensorWords, type LiveState } from '../../../ui/batch/live-whisk';
import { creamOf, lookAt } from '../../../ui/batch/whisk-model';
import { leftWords, useCall, WhiskCall, type CallPhase } from '../../../ui/batch/whisk-call';
import { useKept } from '../../../ui/use-kept';
import { useNow } from '../../../ui/use-now';
import { useOnPass } from './on-pass';

function words(phase: TimerPhase, marks: TimerMarks | null, s: number, stage: string): string {
  if (!marks) return phase === 'ready' ? 'No time can be said for this one: stop by look.' : 'Stop by look.';
  switch (phase) {
    case 'ready':
      return `Look from ${showRoughSeconds(marks.watchS)}; ${stage} is expected at about ${showRoughSeconds(marks.opensS)}.`;
    case 'whisking':
      return `Look in ${showSeconds(Math.ceil(marks.watchS - s))}.`;
    case 'watch':
      return `Look now: ${stage} may be there; expected in ${showSeconds(Math.ceil(marks.opensS - s))}.`;
    case 'stop':
      return marks.closesS === null
        ? 'Stop when it looks right: from here it changes little.'
        : `Stop now: ${showSeconds(Math.max(0, Math.ceil(marks.closesS - s)))} left.`;
    case 'over':
      return `The window closed ${showSeconds(s - (marks.closesS ?? s))} ago: stop and look. Grains, or butter already? ‘Something is wrong’ above says what comes back, and with how much.`;
    case 'stopped':
      return `Stopped after ${showSeconds(s)}. Correct the time below if the whisk stood still in between.`;
  }
}

/** A temperature that was typed, °C; null where none can be read. */
const readC = (text: string | undefined): number | null => {
  const read = text === undefined || text.trim() === '' ? null : readReading('cream-temperature', text);
  return read?.ok ? read.value : null;
};

const nothing = (): null => null;
const never = () => () => undefined;

/** Follows the motor's load while this whisk runs; null where it does not, or nobody listens. */
function useLive(whisk: StepWhisk | null, timer: Timer | null, on: boolean): LiveState | null {
  const startedAt = on && isRunning(timer) ? timer!.startedAt : null;
  const slowAt = timer?.slowAt ?? null;
  const live = useMemo(() => {
    const whip = creamOf(whisk);
    return startedAt === null || !whip || !whisk?.cream ? null : makeLiveWhisk({ whip, target: whisk.cream.input.target, logSd: whisk.cream.logSd, startedAt });
  }, [whisk, startedAt]);
  useEffect(() => live?.follow(), [live]);
  useEffect(() => {
    if (slowAt !== null) live?.slow(slowAt);
  }, [live, slowAt]);
  return useSyncExternalStore<LiveState | null>(live?.subscribe ?? never, live?.get ?? nothing, nothing);
}

const callOf = (phase: TimerPhase): CallPhase | null => (phase === 'watch' ? 'soon' : phase === 'stop' || phase === 'over' ? phase : null);

/** The whisk's clock: by the wall, so that a reload or a sleeping tablet loses nothing; by the motor's load where a sensor speaks. It calls before the window opens. */
export function WhiskTimer({ step }: { readonly step: PlanStep }) {
  const { plan, state, client, tablet } = useOnPass();
  const id = step.whisks ? WHISK_TIMER : step.key;
  const timer = timerOf(state.progress, id);
  const clock = timer ?? { startedAt: null, stoppedAt: null };
  const running = isRunning(timer);
  const mine = timer === null || timer.owner === '' || timer.owner === tablet;
  const now = useNow(running, 200);
  // Batches of before each step had its own forecast had one for the whole.
  const whole = plan.forecast.stageTimeS;
  const readHere = plan.steps.some((s) => s.whisks && s.partId === step.partId);
  const foundC = readHere ? readC(state.progress.fields['cream-temperature']) : null;
  const { stage: wholeStage } = plan.forecast;
  const planned = useMemo(
    () => step.whisk ?? (step.whisks && whole ? { stage: wholeStage, earlyS: whole.low, opensS: whole.value, closesS: null, cream: null, egg: null } : null),
    [step, whole, wholeStage],
  );
  const whisk = useMemo(() => planned && whiskAt(planned, foundC), [planned, foundC]);
  const tooWarm = planned !== null && whisk === null;
  const marks = timerMarks(whisk);
  const [listening, setListening] = useKept('local', 'soft-peak:listens-to-load');
  const listens = listening === 'yes';
  const live = useLive(whisk, timer, listens && whisk?.cream != null);
  const byLoad = live !== null && live.samples >= ENOUGH_SAMPLES;
  const s = elapsedS(clock, now);
  const phase: TimerPhase =
    byLoad && running ? ({ whisking: 'whisking', soon: 'watch', stop: 'stop', over: 'over' } as const)[live.view.phase] : phaseOf(clock, marks, now);
  const called = running ? callOf(phase) : null;
  useCall(called);
  const [waved, setWaved] = useState<CallPhase | null>(null);

  const drawn = lookAt(whisk, byLoad ? s * live.view.pace.mid : s);
  const sign = running ? (drawn?.look.sign ?? null) : null;
  const stage = whisk?.stage ?? plan.forecast.stage;
  const says = byLoad && running && phase !== 'over' ? leftWords(live.view, live.view.phase === 'stop', s) : words(phase, marks, s, stage);
  const slows = whisk?.cream?.input.slowFromSoft === true && running && timer?.slowAt === null && (drawn?.look.height ?? 0) > 0.1;
  const start = () => {
    allowSound();
    const at = Date.now();
    void client.act({
      kind: 'timer-start',
      id,
      name: ['whisk', ...(step.partName ? [step.partName.toLowerCase()] : []), ...(step.bowlful ? [`bowlful ${step.bowlful[0]}`] : [])].join(', '),
      seconds: null,
      at,
      by: tablet,
    });
    if (listens && whisk?.cream)
      void fetch('/api/instruments', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ act: 'whisk-on', input: whisk.cream.input, startedAt: at }),
      }).catch(() => undefined);
  };
  const stop = () => {
    void client.act({ kind: 'timer-stop', id, at: Date.now(), by: tablet });
    if (listens)
      void fetch('/api/instruments', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ act: 'whisk-off' }) }).catch(
        () => undefined,
      );
  };
  const slow = () => {
    void client.act({ kind: 'timer-slow', id, at: Date.now() });
    if (listens)
      void fetch('/api/instruments', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ act: 'whisk-slow' }) }).catch(
        () => undefined,
      );
  };
  const big = 'min-h-16 rounded-s px-8 text-[22px] font-[650]';
  return (
    <section aria-label="Whisk timer" data-phase={phase} data-by={byLoad ? 'load' : 'clock'} className="mt-6 border-y border-cocoa-line py-5">
      <div className="flex flex-wrap items-center gap-x-10 gap-y-4">
        <p className="fig text-[clamp(72px,11vw,116px)] leading-none" role="timer" aria-label={`Time under the whisk ${clockFace(s)}`}>
          {clockFace(s)}
        </p>
        <div className="min-w-[240px] flex-1">
          <p className={`text-[clamp(20px,2.6vw,28px)] leading-tight font-[600] ${called ? 'text-yolk' : ''}`} role="status">
            {tooWarm ? `At ${foundC}\u00a0°C it churns before it stands: chill cream and bowl to 5\u00a0°C.` : says}
          </p>
          {!tooWarm && foundC !== null && whisk?.cream && planned?.cream && foundC !== planned.cream.input.creamC && (
            <p className="mt-1 text-[16px] text-cocoa-soft">
              Reckoned with the cream at {foundC}&nbsp;°C; the plan had {planned.cream.input.creamC}&nbsp;°C.
            </p>
          )}
          {sign && <p className="mt-1 text-[18px] text-cocoa-soft">It should look so: {inSentence(sign)}</p>}
          {live && <p className="mt-1 text-[16px] text-cocoa-soft">{sensorWords(live)}</p>}
          <div className="mt-4 flex flex-wrap items-center gap-3">
            {running && mine && (
              <button type="button" className="min-h-14 rounded-s bg-milk px-7 text-[20px] font-[650] text-ink" onClick={stop}>
                Whisk off
              </button>
            )}
            {running && !mine && (
              <button
                type="button"
                className="min-h-14 rounded-s border border-yolk px-5 text-[18px]"
                onClick={() => void client.act({ kind: 'timer-take', id, by: tablet })}
              >
                Tablet {timer?.owner} has this timer: take it over
              </button>
            )}
            {slows && (
              <button type="button" className="min-h-14 rounded-s border border-cocoa-soft px-5 text-[18px]" onClick={slow}>
                Dropped to slow
              </button>
            )}
            {!running && (
              <button type="button" className="min-h-14 rounded-s bg-yolk px-7 text-[20px] font-[650] text-ink" onClick={start}>
                {phase === 'stopped' ? 'Start again from 0:00' : 'Whisk on'}
              </button>
            )}
            {phase === 'stopped' && mine && (
              <button
                type="button"
                className="min-h-14 rounded-s border border-cocoa-soft px-5 text-[18px]"
                onClick={() => void client.act({ kind: 'timer-clear', id, by: tablet })}
              >
                Clear
              </button>
            )}
            {!running && whisk?.cream && (
              <label className="flex min-h-11 cursor-pointer items-center gap-2.5 text-[16px] text-cocoa-soft">
                <input type="checkbox" className="size-5 accent-yolk" checked={listens} onChange={(e) => setListening(e.target.checked ? 'yes' : 'no')} />
                listen to the motor’s load
              </label>
            )}
          </div>
        </div>
      </div>
      {called && waved !== called && mine && (
        <WhiskCall phase={called} stage={stage} nowS={s} says={says} sign={sign} look={drawn?.look ?? null} tone={drawn?.tone ?? 'cream'}>
          <button type="button" className={`${big} ${called === 'over' ? 'bg-paper text-ink' : 'bg-ink text-paper'}`} onClick={stop} autoFocus>
            Whisk off
          </button>
          {slows && (
            <button type="button" className={`${big} border-2 border-current`} onClick={slow}>
              Dropped to slow
            </button>
          )}
          <button type="button" className="min-h-16 rounded-s px-5 text-[19px] underline decoration-dotted underline-offset-4" onClick={() => setWaved(called)}>
            Back to the step
          </button>
        </WhiskCall>
      )}
    </section>
  );
}
