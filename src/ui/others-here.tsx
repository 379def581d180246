'use client';

import { usePathname } from 'next/navigation';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { thisTablet } from './batch/tablet';

/** Names of the other screens that have open what this one has; null for each that has no name. */
const Others = createContext<readonly (string | null)[]>([]);

const EVERY_MS = 20_000;

/** Says to the server what this screen has open, and hears who else has; when the page changes, when it is looked at or left, and now and then. */
export function OthersProvider({ children }: { readonly children: ReactNode }) {
  const [others, setOthers] = useState<readonly (string | null)[]>([]);
  const pathname = usePathname();
  useEffect(() => {
    let here = true;
    const ask = async (): Promise<void> => {
      // A tab that nobody looks at is in nobody's way.
      const thing = document.visibilityState === 'visible' ? thingOf(pathname) : '';
      const answer = await fetch(`/api/here?${new URLSearchParams({ screen: thisTablet(), thing }).toString()}`).catch(() => null);
      const there = answer?.ok ? ((await answer.json()) as (string | null)[]) : [];
      if (here) setOthers((old) => (old.length === 0 && there.length === 0 ? old : there));
    };
    const askNow = () => void ask();
    const timer = setInterval(askNow, EVERY_MS);
    document.addEventListener('visibilitychange', askNow);
    askNow();
    return () => {
      here = false;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', askNow);
    };
  }, [pathname]);
  return <Others.Provider value={others}>{children}</Others.Provider>;
}

const WHAT = { sheet: 'sheet', pass: 'batch', clock: 'service' } as const;
type Station = keyof typeof WHAT;

/** What a page works on, as the server is told it: 'sheet/ID', 'pass/ID', 'clock/ID'; '' where screens cannot get in each other's way. */
export function thingOf(pathname: string): string {
  const [, station, id] = pathname.split('/');
  return station !== undefined && id !== undefined && Object.hasOwn(WHAT, station) ? `${station}/${id}` : '';
}

/** 'bench tablet is in this sheet'; null where nobody else is. @param thing what `thingOf` says of the page. */
export function othersWords(others: readonly (string | null)[], thing: string): string | null {
  if (others.length === 0 || thing === '') return null;
  const named = [...new Set(others.filter((n) => n !== null))];
  const rest = others.length - named.length;
  const nameless =
    rest === 0 ? [] : [rest === 1 ? (named.length > 0 ? 'another screen' : 'Another screen') : `${rest} ${named.length > 0 ? 'more' : 'other'} screens`];
  return `${new Intl.ListFormat('en-GB').format([...named, ...nameless])} ${others.length === 1 ? 'is' : 'are'} in this ${WHAT[thing.split('/')[0] as Station]}`;
}

/** Who else is at work on what is open here; `children` stand there while nobody is. */
export function OthersHere({ className = '', children }: { readonly className?: string; readonly children?: ReactNode }) {
  const words = othersWords(useContext(Others), thingOf(usePathname()));
  if (words === null) return children;
  return (
    <span role="status" aria-label="Who else is here" className={className}>
      {words}
    </span>
  );
}
