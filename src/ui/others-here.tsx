'use client';

import { createContext, useContext } from 'react';

/** Names of the other screens that have open what this one has; null for each that has no name. */
export const Others = createContext<readonly (string | null)[]>([]);

/** What a page works on, as the server is told it: 'sheet/ID', 'pass/ID', 'clock/ID'; '' where screens cannot get in each other's way. */
export function thingOf(pathname: string): string {
  const [, station, id] = pathname.split('/');
  return station !== undefined && id !== undefined && ['sheet', 'pass', 'clock'].includes(station) ? `${station}/${id}` : '';
}

/** 'bench tablet is in this sheet'; null where nobody else is. */
export function othersWords(others: readonly (string | null)[], what: 'sheet' | 'batch' | 'service'): string | null {
  if (others.length === 0) return null;
  const named = [...new Set(others.filter((n) => n !== null))];
  const rest = others.length - named.length;
  const nameless = rest === 0 ? [] : [rest === 1 ? (named.length > 0 ? 'another screen' : 'Another screen') : `${rest} ${named.length > 0 ? 'more' : 'other'} screens`];
  return `${new Intl.ListFormat('en-GB').format([...named, ...nameless])} ${others.length === 1 ? 'is' : 'are'} in this ${what}`;
}

/** Who else is at work on what is open here. */
export function OthersHere({ what, className = '' }: { readonly what: 'sheet' | 'batch' | 'service'; readonly className?: string }) {
  const words = othersWords(useContext(Others), what);
  return (
    <span role="status" aria-label="Who else is here" className={`truncate empty:hidden ${className}`}>
      {words}
    </span>
  );
}
