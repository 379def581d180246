'use client';

import { useEffect, useRef } from 'react';
import type { BatchPlan } from '../../../core/sheet/batch';
import { clockFace, showRoughSeconds, showSeconds } from '../../../core/figure';
import { elapsedS, phaseOf, timerMarks, type TimerMarks, type TimerPhase } from '../../../core/sheet/whisk-timer';
import { peakLook } from '../../../core/foam/peak';
import { networkAt, whip } from '../../../core/foam/whisk';
import { allowSound, callSound } from '../../../ui/batch/call-sound';
import type { BatchClient, ClientState } from '../../../ui/batch/batch-client';
import { useNow } from '../../../ui/use-now';

function words(phase: TimerPhase, marks: TimerMarks | null, s: number, stage: string): string {
  if (!marks) return phase === 'ready' ? `This cream is not expected to come to ${stage}: stop by look.` : 'Stop by look.';
  switch (phase) {
    case 'ready':
      return `Look from ${showRoughSeconds(marks.watchS)}; ${stage} is expected at about ${showRoughSeconds(marks.opensS)}.`;
    case 'whisking':
      return `Look in ${showSeconds(Math.ceil(marks.watchS - s))}.`;
    case 'watch':
      return `Look now: ${stage} may be there; expected in ${showSeconds(Math.ceil(marks.opensS - s))}.`;
    case 'stop':
      return marks.closesS === null ? 'Stop when it looks right: it goes no further.' : `Stop now: ${showSeconds(Math.max(0, Math.ceil(marks.closesS - s)))} left.`;
    case 'over':
      return `The window closed ${showSeconds(s - (marks.closesS ?? s))} ago: stop and look. Grainy edges come back with a little fresh cream.`;
    case 'stopped':
      return `Stopped after ${showSeconds(s)}. Correct the time below if the whisk stood still in between.`;
  }
}

/** The whisk's clock: by the wall, so that a reload or a sleeping tablet loses nothing; it calls before the window opens. */
export function WhiskTimer({ plan, state, client }: { readonly plan: BatchPlan; readonly state: ClientState; readonly client: BatchClient }) {
  const { timer } = state.progress;
  const running = timer.startedAt !== null && timer.stoppedAt === null;
  const now = useNow(running, 200);
  const marks = timerMarks(plan.forecast);
  const phase = phaseOf(timer, marks, now);
  const s = elapsedS(timer, now);
  const called = useRef<TimerPhase>(phase);
  useEffect(() => {
    if (called.current === phase) return;
    called.current = phase;
    if (phase === 'watch') callSound(false);
    if (phase === 'stop' || phase === 'over') callSound(true);
  }, [phase]);

  const model = plan.forecast.whisk ? whip(plan.forecast.whisk) : null;
  const sign = model?.ok && running ? peakLook(networkAt(model.value, s)).sign : null;
  const loud = phase === 'stop' || phase === 'watch';
  const act = (kind: 'timer-start' | 'timer-stop') => {
    allowSound();
    void client.act({ kind, at: Date.now() });
  };
  return (
    <section
      aria-label="Whisk timer"
      data-phase={phase}
      className={`mt-6 flex flex-wrap items-center gap-x-10 gap-y-4 border-y py-5 ${loud ? '-mx-5 border-yolk bg-yolk px-5 text-ink md:-mx-10 md:px-10' : phase === 'over' ? '-mx-5 border-beet bg-beet px-5 md:-mx-10 md:px-10' : 'border-cocoa-line'}`}
    >
      <p className="fig text-[clamp(72px,11vw,116px)] leading-none" role="timer" aria-label={`Time under the whisk ${clockFace(s)}`}>
        {clockFace(s)}
      </p>
      <div className="min-w-[240px] flex-1">
        <p className="text-[clamp(20px,2.6vw,28px)] leading-tight font-[600]" role="status">
          {words(phase, marks, s, plan.forecast.stage)}
        </p>
        {sign && <p className={`mt-1 text-[18px] ${loud || phase === 'over' ? '' : 'text-cocoa-soft'}`}>It should look so: {sign.charAt(0).toLowerCase() + sign.slice(1)}</p>}
        <div className="mt-4 flex flex-wrap gap-3">
          {running ? (
            <button type="button" className={`min-h-14 rounded-s px-7 text-[20px] font-[650] ${loud || phase === 'over' ? 'bg-cocoa text-milk' : 'bg-milk text-ink'}`} onClick={() => act('timer-stop')}>
              Whisk off
            </button>
          ) : (
            <>
              <button type="button" className="min-h-14 rounded-s bg-yolk px-7 text-[20px] font-[650] text-ink" onClick={() => act('timer-start')}>
                {phase === 'stopped' ? 'Start again from 0:00' : 'Whisk on'}
              </button>
              {phase === 'stopped' && (
                <button type="button" className="min-h-14 rounded-s border border-cocoa-soft px-5 text-[18px]" onClick={() => void client.act({ kind: 'timer-clear' })}>
                  Clear
                </button>
              )}
            </>
          )}
        </div>
      </div>
    </section>
  );
}
