'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { ClockTime } from '../clock-time';
import { KEEP_PAGES, KEPT_NAMES, NOT_KEPT } from './kept-pages';
import type { NamedPage } from './pages-named';
import { waitingOn, type Waiting } from './waiting';

const LOOKS_EVERY_MS = 2000;
const KEEPS_EVERY_MS = 3 * 60_000;

/** Asks the worker to keep the pages that a kitchen needs while the server is away, now and again. Only where a browser allows it: over https, or on the server's own machine. */
function useKeptPages(away: boolean): void {
  useEffect(() => {
    if (away || process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const keep = async (): Promise<void> => {
      try {
        await navigator.serviceWorker.register('/alone.js');
        const { active } = await navigator.serviceWorker.ready;
        const answer = await fetch('/api/alone');
        if (!answer.ok) return;
        // The page that shows them checks what is noted; here it only goes through.
        const pages = (await answer.json()) as readonly NamedPage[];
        localStorage.setItem(KEPT_NAMES, JSON.stringify(pages));
        active?.postMessage({ kind: KEEP_PAGES, addresses: [NOT_KEPT, ...pages.map((p) => p.href)] });
      } catch {
        // The server went away meanwhile: what was kept stays.
      }
    };
    void keep();
    const timer = setInterval(() => document.visibilityState === 'visible' && void keep(), KEEPS_EVERY_MS);
    return () => clearInterval(timer);
  }, [away]);
}

/** Says plainly when this tablet works without the server, since when, and what waits here for it. @param since ms since 1970; null while the server answers. */
export function AloneStrip({ since }: { readonly since: number | null }) {
  useKeptPages(since !== null);
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  useEffect(() => {
    const look = (): void => {
      try {
        setWaiting(waitingOn(localStorage));
      } catch {
        // A private window keeps nothing.
      }
    };
    look();
    const timer = setInterval(look, LOOKS_EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  const things = waiting.reduce((sum, w) => sum + w.things, 0);
  if (since === null && things === 0) return null;
  const count = `${things} ${things === 1 ? 'thing waits' : 'things wait'}`;
  // On a batch's own page what waits is on its way: the way there leads nowhere.
  const elsewhere = waiting.filter((w) => !location.pathname.includes(w.batchId));
  if (since === null && elsewhere.length === 0) return null;
  return (
    <div role="status" aria-label="Working alone" className="sticky top-0 z-40 border-b-2 border-yolk-ink bg-yolk px-4 py-2 text-[15px] text-ink">
      <p className="mx-auto flex max-w-[1100px] flex-wrap items-baseline gap-x-4 gap-y-1">
        {since === null ? (
          <span>{count} on this tablet and can be sent now.</span>
        ) : (
          <span>
            Working alone since{' '}
            <span className="fig">
              <ClockTime at={since} />
            </span>
            . {things === 0 ? 'Nothing waits.' : `${count} on this tablet.`}
          </span>
        )}
        {elsewhere.map((w) => (
          <Link key={w.batchId} href={`/pass/${w.batchId}`} prefetch={false} className="underline">
            {since === null ? 'Open the batch and send' : 'To the batch'}
          </Link>
        ))}
      </p>
    </div>
  );
}
