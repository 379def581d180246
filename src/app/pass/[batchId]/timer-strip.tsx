'use client';

import { useEffect, useRef, useState } from 'react';
import { BellRing } from 'lucide-react';
import { clockFace } from '../../../core/figure';
import { isRunning, type Timer } from '../../../core/batch/batch';
import { elapsedS } from '../../../core/batch/whisk-timer';
import { allowSound, callSound } from '../../../ui/batch/call-sound';
import { useNow } from '../../../ui/use-now';
import { useOnPass } from './on-pass';

const leftS = (t: Timer, now: number): number => (t.seconds ?? 0) - elapsedS(t, now);
const isDue = (t: Timer, now: number): boolean => t.seconds !== null && isRunning(t) && leftS(t, now) <= 0;

/** A due timer rings again after so long, and so often. */
const AGAIN_MS = 15_000;
const RINGS = 4;

/** Rings on the tablet that a timer belongs to. */
function useRings(timers: readonly Timer[], tablet: string, now: number): void {
  const rung = useRef(new Map<string, { count: number; at: number }>());
  useEffect(() => {
    for (const t of timers) {
      if (!isDue(t, now) || (t.owner !== '' && t.owner !== tablet)) {
        if (!isRunning(t)) rung.current.delete(t.id);
        continue;
      }
      const last = rung.current.get(t.id) ?? { count: 0, at: 0 };
      if (last.count >= RINGS || now - last.at < AGAIN_MS) continue;
      rung.current.set(t.id, { count: last.count + 1, at: now });
      callSound(true);
    }
  }, [timers, tablet, now]);
}

/** Every running timer, on every step; a touch goes to its step. */
export function TimerStrip({ onStep, adding, onAdded }: { readonly onStep: (key: string) => void; readonly adding: boolean; readonly onAdded: () => void }) {
  const { state, client, tablet } = useOnPass();
  const timers = state.progress.timers.filter(isRunning).toSorted((a, b) => a.startedAt! - b.startedAt!);
  const now = useNow(timers.length > 0, 200);
  useRings(state.progress.timers, tablet, now);
  if (timers.length === 0 && !adding) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2 pt-2" role="group" aria-label="Timers">
      {timers.map((t) => {
        const due = isDue(t, now);
        const mine = t.owner === '' || t.owner === tablet;
        return (
          <div
            key={t.id}
            data-timer={t.id}
            className={`flex min-h-12 items-center gap-3 rounded-s border pr-1 pl-3 text-[17px] ${due ? 'border-yolk bg-yolk text-ink' : 'border-cocoa-line'}`}
          >
            <button type="button" className="flex min-h-11 items-center gap-2.5 text-left" onClick={() => onStep(t.id)}>
              {due && <BellRing size={19} aria-hidden="true" />}
              <span className="max-w-[15em] truncate">{t.name}</span>
              <span
                className="fig text-[21px]"
                role="timer"
                aria-label={`${t.name}, ${t.seconds === null ? 'for' : due ? 'over by' : 'left'} ${clockFace(Math.abs(t.seconds === null ? elapsedS(t, now) : leftS(t, now)))}`}
              >
                {t.seconds === null ? clockFace(elapsedS(t, now)) : due ? `+${clockFace(-leftS(t, now))}` : clockFace(Math.ceil(leftS(t, now)))}
              </span>
            </button>
            {mine ? (
              <button
                type="button"
                className="min-h-11 rounded-s px-2.5 text-[15px] underline decoration-dotted underline-offset-4"
                aria-label={`Stop ${t.name}`}
                onClick={() => void client.act({ kind: 'timer-stop', id: t.id, at: Date.now(), by: tablet })}
              >
                stop
              </button>
            ) : (
              <button
                type="button"
                className="min-h-11 rounded-s px-2.5 text-[15px] underline decoration-dotted underline-offset-4"
                onClick={() => void client.act({ kind: 'timer-take', id: t.id, by: tablet })}
              >
                on tablet {t.owner}: take over
              </button>
            )}
          </div>
        );
      })}
      {adding && <NewTimer onDone={onAdded} />}
    </div>
  );
}

/** A timer of the cook's own: a name and minutes. */
function NewTimer({ onDone }: { readonly onDone: () => void }) {
  const { client, tablet } = useOnPass();
  const [name, setName] = useState('');
  const [minutes, setMinutes] = useState('');
  const clock = /^(\d{1,3})(?::([0-5]\d))?$/.exec(minutes.trim().replace(',', '.')) ?? null;
  const seconds = clock ? Number(clock[1]) * 60 + Number(clock[2] ?? 0) : Number(minutes.replace(',', '.')) * 60;
  const good = Number.isFinite(seconds) && seconds >= 1 && seconds <= 1_000_000;
  const field = 'h-12 rounded-s border border-cocoa-line bg-transparent px-3 text-[17px] text-milk';
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!good) return;
        allowSound();
        void client.act({ kind: 'timer-start', id: `own-${Date.now()}`, name: name.trim() || 'timer', seconds, at: Date.now(), by: tablet });
        onDone();
      }}
    >
      <input
        aria-label="Name of the timer"
        placeholder="oven"
        value={name}
        maxLength={60}
        onChange={(e) => setName(e.target.value)}
        className={`${field} w-40`}
        autoFocus
      />
      <input
        aria-label="Minutes"
        placeholder="12 or 2:30"
        value={minutes}
        maxLength={8}
        onChange={(e) => setMinutes(e.target.value)}
        className={`${field} w-28`}
        aria-invalid={(minutes !== '' && !good) || undefined}
      />
      <span className="text-cocoa-soft">min</span>
      <button type="submit" disabled={!good} className="min-h-12 rounded-s bg-milk px-4 text-[17px] font-[650] text-ink disabled:opacity-50">
        Start
      </button>
      <button type="button" className="min-h-12 px-2 text-[16px] text-cocoa-soft hover:text-milk" onClick={onDone}>
        leave it
      </button>
    </form>
  );
}
