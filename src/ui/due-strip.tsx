'use client';

import Link from 'next/link';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { DueMoment } from '../core/batch/due';
import { AloneStrip } from './alone/alone-strip';
import { SERVER_AWAY } from './alone/server-away';
import { callSound } from './batch/call-sound';
import { ClockTime } from './clock-time';
import { OthersHere } from './others-here';
import { useNow } from './use-now';
import { UNITS_HEADER } from './units/units-header';
import { takeUnits } from './units/use-units';

const Due = createContext<readonly DueMoment[]>([]);

const EVERY_MS = 20_000;
const ASKS_WHEN_AWAY_MS = 4_000;
/** A moment that rings stays in sight so long, unless it is put away. */
const RINGS_FOR_MS = 10 * 60_000;

const keyOf = (m: DueMoment): string => `${m.href} ${m.at}`;

/** Keeps the due moments fresh for every page; `first` is what the server knew when it drew the page. */
export function DueProvider({ first, children }: { readonly first: readonly DueMoment[]; readonly children: ReactNode }) {
  const [moments, setMoments] = useState(first);
  const [awaySince, setAwaySince] = useState<number | null>(null);
  useEffect(() => {
    const ask = async () => {
      try {
        const response = await fetch('/api/due');
        setAwaySince(null);
        if (!response.ok) return;
        takeUnits(response.headers.get(UNITS_HEADER));
        const fresh = (await response.json()) as DueMoment[];
        const now = Date.now();
        // The server names only what is to come; what rings now stays until it is put away.
        setMoments((old) => [...old.filter((m) => m.rings === true && m.at <= now && m.at > now - RINGS_FOR_MS), ...fresh]);
      } catch {
        // The server is away: the strip keeps what it knew.
        setAwaySince((since) => since ?? Date.now());
      }
    };
    const timer = setInterval(ask, awaySince === null ? EVERY_MS : ASKS_WHEN_AWAY_MS);
    const onShow = () => document.visibilityState === 'visible' && void ask();
    document.addEventListener('visibilitychange', onShow);
    // What could not be sent says so at once; so does a line that came back.
    const onLine = () => void ask();
    for (const said of ['online', 'offline', SERVER_AWAY]) window.addEventListener(said, onLine);
    void ask();
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onShow);
      for (const said of ['online', 'offline', SERVER_AWAY]) window.removeEventListener(said, onLine);
    };
  }, [awaySince]);
  return (
    <Due.Provider value={moments}>
      <AloneStrip since={awaySince} />
      {children}
      <Bell moments={moments} />
    </Due.Provider>
  );
}

/** What a plan calls for at this moment: rings once, and stays in sight on every page until it is put away. */
function Bell({ moments }: { readonly moments: readonly DueMoment[] }) {
  const rings = moments.some((m) => m.rings === true);
  const now = useNow(rings, 1000);
  const [away, setAway] = useState<readonly string[]>([]);
  const due = now === 0 ? [] : moments.filter((m) => m.rings === true && m.at <= now && m.at > now - RINGS_FOR_MS && !away.includes(keyOf(m)));
  const first = due[0] ? keyOf(due[0]) : '';
  useEffect(() => {
    if (first !== '') callSound(true);
  }, [first]);
  if (due.length === 0) return null;
  return (
    <div role="alert" aria-label="Due now" className="fixed inset-x-0 top-0 z-40 border-b-2 border-yolk-ink bg-yolk px-4 py-2 text-ink shadow-float">
      <ul className="mx-auto max-w-[900px]">
        {due.map((m) => (
          <li key={keyOf(m)} className="flex items-center justify-between gap-4 py-1 text-[17px]">
            <Link href={m.href} className="min-w-0 truncate">
              <span className="fig mr-2">
                <ClockTime at={m.at} />
              </span>
              {m.says}
            </Link>
            <button type="button" className="btn shrink-0" onClick={() => setAway((a) => [...a, keyOf(m)].slice(-200))}>
              Seen
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The due moments, soonest first. */
export const useDue = (): readonly DueMoment[] => useContext(Due);

/** The next three due moments, on every station. */
export function DueStrip() {
  const moments = useDue();
  const now = useNow(true, 30_000);
  const next = moments.filter((m) => m.at > now).slice(0, 3);
  return (
    <div
      className="col-span-full flex min-h-[34px] items-center gap-x-8 overflow-x-auto border-b border-steel px-4 text-[13.5px] whitespace-nowrap text-ink-soft md:pl-[104px]"
      role="status"
      aria-label="Next due moments"
    >
      <OthersHere className="shrink-0 py-1.5 font-[650] text-yolk-ink" />
      {next.length === 0 && <span>Nothing is due. Finished batches and running whisks show here.</span>}
      {next.map((m, i) => (
        <Link key={`${m.href}${m.at}`} href={m.href} className="py-1.5 hover:text-ink md:min-w-0 md:truncate">
          <span className={`fig mr-1.5 text-[14px] ${i === 0 ? 'text-yolk-ink' : 'text-ink'}`}>
            <ClockTime at={m.at} />
          </span>
          {m.says}
        </Link>
      ))}
    </div>
  );
}
