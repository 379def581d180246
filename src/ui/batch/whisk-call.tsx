'use client';

import { useEffect, useRef, type ReactNode } from 'react';
import { clockFace, showSeconds } from '../../core/figure';
import type { PeakLook } from '../../core/foam/peak';
import type { LiveBand } from '../../core/foam/live';
import { PeakOf, type PeakTone } from '../peak';
import { callSound } from './call-sound';

/** What is called out while the whisk runs. */
export type CallPhase = 'soon' | 'stop' | 'over';

/** Sounds once when a call begins: softly before the window, urgently when it opens and when it closes. */
export function useCall(phase: CallPhase | null): void {
  const called = useRef<CallPhase | null>(phase);
  useEffect(() => {
    if (called.current === phase) return;
    called.current = phase;
    if (phase) callSound(phase !== 'soon');
  }, [phase]);
}

/** The whole screen in one colour with the word that counts, readable at arm's length. */
export function WhiskCall({ phase, stage, nowS, says, sign, look, tone, children }: { readonly phase: CallPhase; readonly stage: string; readonly nowS: number; readonly says: string; readonly sign: string | null; readonly look: PeakLook | null; readonly tone: PeakTone; readonly children: ReactNode }) {
  const word = { soon: 'Look now', stop: 'Stop', over: 'Over: stop' }[phase];
  return (
    <div role="alertdialog" aria-label={`Whisk: ${word}`} data-call={phase} className={`fixed inset-0 z-50 grid grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto] ${phase === 'over' ? 'bg-beet text-paper' : phase === 'stop' ? 'bg-yolk text-ink' : 'bg-yolk-pale text-ink'}`}>
      <div className="grid content-center items-center gap-x-8 overflow-auto px-6 py-4 sm:grid-cols-[minmax(0,1fr)_minmax(0,340px)] md:px-14">
        <div>
          <p className="font-figure text-[clamp(56px,11vw,132px)] leading-[0.95] font-[680]">{word}</p>
          <p className="mt-3 text-[clamp(22px,3vw,34px)] leading-tight font-[600]">{says}</p>
          {sign && <p className="mt-2 text-[clamp(18px,2.2vw,24px)] leading-snug">{sign}</p>}
          <p className="fig mt-4 text-[clamp(34px,5vw,56px)] leading-none" role="timer" aria-label={`Time under the whisk ${clockFace(nowS)}`}>
            {clockFace(nowS)} <span className="text-[0.45em] font-[550]">to {stage}</span>
          </p>
        </div>
        {look && (
          <div className={`h-[min(46vh,380px)] max-sm:hidden ${phase === 'over' ? 'rounded-s bg-paper' : ''}`}>
            <PeakOf look={look} tone={tone} />
          </div>
        )}
      </div>
      <div className="flex flex-wrap gap-3 px-6 pb-7 md:px-14">{children}</div>
    </div>
  );
}

/** 'in 12–30 s', with what it is reckoned from. */
export function leftWords(opens: LiveBand | null, nowS: number): string {
  if (!opens) return 'It never comes there.';
  const left = [opens.low - nowS, opens.high - nowS].map((s) => Math.max(0, Math.round(s)));
  if (left[1] === 0) return 'The window is open.';
  return left[0] === left[1] ? `The window opens in ${showSeconds(left[0]!)}.` : `The window opens in ${showSeconds(left[0]!)} to ${showSeconds(left[1]!)}.`;
}
