'use client';

import { useEffect, useRef, type ReactNode } from 'react';
import { clockFace, showSeconds } from '../../core/figure';
import type { PeakLook } from '../../core/foam/peak';
import type { LiveBand, LiveView } from '../../core/foam/live';
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
export function WhiskCall({
  phase,
  stage,
  nowS,
  says,
  sign,
  look,
  tone,
  children,
}: {
  readonly phase: CallPhase;
  readonly stage: string;
  readonly nowS: number;
  readonly says: string;
  readonly sign: string | null;
  readonly look: PeakLook | null;
  readonly tone: PeakTone;
  readonly children: ReactNode;
}) {
  const word = { soon: 'Look now', stop: 'Stop', over: 'Over: stop' }[phase];
  return (
    <div
      role="alertdialog"
      aria-label={`Whisk: ${word}`}
      data-call={phase}
      className={`fixed inset-0 z-50 grid grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto] ${phase === 'over' ? 'bg-beet text-paper' : phase === 'stop' ? 'bg-yolk text-ink' : 'bg-yolk-pale text-ink'}`}
    >
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

/** Seconds from now to a band, as 'a to b'; null once it is past. */
function until(band: LiveBand, nowS: number): string | null {
  const [low, high] = [band.low - nowS, band.high - nowS].map((s) => Math.max(0, Math.round(s))) as [number, number];
  if (high === 0) return null;
  return low === high ? showSeconds(low) : `${showSeconds(low)} to ${showSeconds(high)}`;
}

/** How long until the window opens, or how long it stays open. @param open whether 'stop' is said already. */
export function leftWords({ opensS, closesS }: Pick<LiveView, 'opensS' | 'closesS'>, open: boolean, nowS: number): string {
  if (!opensS) return 'It never comes there.';
  const opens = open ? null : until(opensS, nowS);
  if (opens) return `The window opens in ${opens}.`;
  if (!closesS) return 'The window is open: from here it changes little.';
  const closes = until(closesS, nowS);
  return closes ? `The window is open: ${closes} left.` : 'The window closes now.';
}
