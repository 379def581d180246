'use client';

import Link from 'next/link';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { DueMoment } from '../core/sheet/due';
import { ClockTime } from './clock-time';

const Due = createContext<readonly DueMoment[]>([]);

const EVERY_MS = 20_000;

/** Keeps the due moments fresh for every page; `first` is what the server knew when it drew the page. */
export function DueProvider({ first, children }: { readonly first: readonly DueMoment[]; readonly children: ReactNode }) {
  const [moments, setMoments] = useState(first);
  useEffect(() => {
    const ask = async () => {
      try {
        const response = await fetch('/api/due');
        if (response.ok) setMoments((await response.json()) as DueMoment[]);
      } catch {
        // The server is away for a moment: the strip keeps what it knew.
      }
    };
    const timer = setInterval(ask, EVERY_MS);
    const onShow = () => document.visibilityState === 'visible' && void ask();
    document.addEventListener('visibilitychange', onShow);
    void ask();
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onShow);
    };
  }, []);
  return <Due.Provider value={moments}>{children}</Due.Provider>;
}

/** The due moments, soonest first. */
export const useDue = (): readonly DueMoment[] => useContext(Due);

/** The next three due moments, on every station. */
export function DueStrip() {
  const next = useDue().slice(0, 3);
  return (
    <div className="col-span-full flex min-h-[34px] items-center gap-x-8 overflow-x-auto border-b border-steel px-4 text-[13.5px] whitespace-nowrap text-ink-soft md:pl-[104px]" role="status" aria-label="Next due moments">
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
