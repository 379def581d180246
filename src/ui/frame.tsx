'use client';

import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { lazy, Suspense, useLayoutEffect, useState, type ReactNode } from 'react';
import { Search } from 'lucide-react';
import { DueStrip } from './due-strip';
import { Mark } from './mark';
import { STATIONS, stationHref, type StationName } from './stations';
import type { Command } from './find';

// Drawn only once they are asked for, so never on the server.
const Find = lazy(() => import('./find').then((m) => ({ default: m.Find })));
const KeyList = lazy(() => import('./key-list').then((m) => ({ default: m.KeyList })));

interface FrameProps {
  readonly station: StationName | null;
  /** The sheet that the stations open on; null where none is in hand. */
  readonly sheetId: string | null;
  readonly heading: ReactNode;
  readonly right?: ReactNode;
  /** What this page adds to the finder. */
  readonly commands?: readonly Command[];
  readonly children: ReactNode;
}

/** Whether a key press belongs to a field that is being typed in. */
export const isTyping = (event: KeyboardEvent): boolean => {
  const t = event.target;
  if (t instanceof HTMLInputElement && /^(radio|checkbox|range)$/.test(t.type)) return false;
  return t instanceof HTMLElement && (t.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(t.tagName));
};

/** Header, strip of due moments and station rail around every page; holds the finder and the keys. */
export function Frame({ station, sheetId, heading, right, commands = [], children }: FrameProps) {
  const router = useRouter();
  const params = useSearchParams();
  const [open, setOpen] = useState<'find' | 'keys' | null>(null);
  const sheet = sheetId ?? params.get('sheet');

  // Before the screen is painted, so that a key pressed at once goes to this page and not to the one before.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen('find');
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return;
      if (event.key === '?') setOpen('keys');
      if (event.key === '0') router.push('/');
      const to = STATIONS.find((s) => s.key === event.key);
      if (to) router.push(stationHref(to.name, sheet));
    };
    window.addEventListener('keydown', onKey);
    // The page answers to keys from here on.
    document.documentElement.dataset.keys = 'on';
    return () => {
      window.removeEventListener('keydown', onKey);
      delete document.documentElement.dataset.keys;
    };
  }, [router, sheet]);

  return (
    <div className="grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_1fr_auto] md:grid-cols-[84px_minmax(0,1fr)] md:grid-rows-[auto_auto_1fr]">
      <header className="col-span-full flex min-h-[52px] flex-wrap items-center gap-x-4 gap-y-1 border-b border-steel bg-paper px-4 py-1 md:px-5">
        <Link href="/" className="flex min-h-11 items-center gap-2.5 pr-2 md:w-[148px]" title="Today (key 0)">
          <Mark />
          <span className="font-figure text-[18px] font-[650] max-sm:sr-only">Soft Peak</span>
        </Link>
        <div className="flex min-w-0 flex-1 items-center gap-4 max-sm:order-last max-sm:basis-full">{heading}</div>
        <div className="ml-auto flex items-center gap-2">
          {right}
          <button type="button" className="btn" onClick={() => setOpen('find')} aria-label="Find (Ctrl K)">
            <Search size={15} aria-hidden="true" />
            <span className="hidden text-ink-soft lg:inline">Find&ensp;Ctrl&nbsp;K</span>
          </button>
        </div>
      </header>
      <DueStrip />
      <nav
        aria-label="Stations"
        className="z-10 flex border-steel bg-enamel max-md:sticky max-md:bottom-0 max-md:order-last max-md:border-t md:flex-col md:border-r md:pt-2.5"
      >
        {STATIONS.map((s) => {
          const here = s.name === station;
          return (
            <Link
              key={s.name}
              href={stationHref(s.name, sheet)}
              aria-current={here ? 'page' : undefined}
              title={`${s.name}: ${s.says}`}
              className={`flex min-h-11 flex-1 flex-col items-center justify-center border-transparent py-2 leading-tight max-md:border-t-[3px] max-md:text-[13px] max-md:tracking-tight md:flex-none md:items-start md:border-l-[3px] md:pl-[18px] ${here ? 'border-yolk! bg-paper font-[650]' : 'text-ink-soft hover:text-ink'}`}
            >
              <small className="font-figure text-[12px] font-medium text-ink-soft max-md:hidden">{s.key}</small>
              {s.name}
            </Link>
          );
        })}
      </nav>
      <main className="min-w-0">{children}</main>
      <Suspense>
        {open === 'find' && <Find onClose={() => setOpen(null)} sheetId={sheet} commands={commands} showKeys={() => setOpen('keys')} />}
        {open === 'keys' && <KeyList onClose={() => setOpen(null)} />}
      </Suspense>
    </div>
  );
}
