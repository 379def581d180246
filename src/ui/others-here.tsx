'use client';

import { usePathname } from 'next/navigation';
import { createContext, useContext, type ReactNode } from 'react';

/** Names of the other screens that have open what this one has; null for each that has no name. */
export const Others = createContext<readonly (string | null)[]>([]);

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
  const nameless = rest === 0 ? [] : [rest === 1 ? (named.length > 0 ? 'another screen' : 'Another screen') : `${rest} ${named.length > 0 ? 'more' : 'other'} screens`];
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
