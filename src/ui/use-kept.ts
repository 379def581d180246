'use client';

import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
/** What a browser that keeps nothing (a private window) holds until the page goes. */
const held = new Map<string, string>();

const storeOf = (where: 'local' | 'session'): Storage => (where === 'local' ? localStorage : sessionStorage);

function read(where: 'local' | 'session', key: string): string | null {
  try {
    return storeOf(where).getItem(key);
  } catch {
    return held.get(key) ?? null;
  }
}

function write(where: 'local' | 'session', key: string, value: string): void {
  try {
    if (value === '') storeOf(where).removeItem(key);
    else storeOf(where).setItem(key, value);
  } catch {
    held.set(key, value);
  }
  for (const listener of listeners) listener();
}

const subscribe = (changed: () => void) => {
  listeners.add(changed);
  return () => void listeners.delete(changed);
};

/** A text that this tab (session) or this browser (local) keeps; null on the server, until something was kept, and once it was emptied. */
export function useKept(where: 'local' | 'session', key: string): readonly [string | null, (value: string) => void] {
  const value = useSyncExternalStore(
    subscribe,
    () => read(where, key),
    () => null,
  );
  return [value, (next) => write(where, key, next)];
}
