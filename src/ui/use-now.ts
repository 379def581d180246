'use client';

import { useCallback, useSyncExternalStore } from 'react';

/** The moment that a page is drawn with on the server, and taken over with: every clock then stands at its start, and both agree. */
const AT_FIRST = 0;
const atFirst = (): number => AT_FIRST;

/** Whoever reads a clock of one step is told by one timer, so that two figures of one moment never stand a second apart. */
const clocks = new Map<number, { readonly told: Set<() => void>; readonly timer: ReturnType<typeof setInterval> }>();

function follow(everyMs: number, changed: () => void): () => void {
  let clock = clocks.get(everyMs);
  if (!clock) {
    const told = new Set<() => void>();
    clock = { told, timer: setInterval(() => told.forEach((tell) => tell()), everyMs) };
    clocks.set(everyMs, clock);
  }
  const { told, timer } = clock;
  told.add(changed);
  return () => {
    told.delete(changed);
    if (told.size > 0) return;
    clearInterval(timer);
    clocks.delete(everyMs);
  };
}

/**
 * The wall clock, in steps of `everyMs`, moving while `running`, and read at once when the page is looked at again. 0 until the page is alive.
 */
export function useNow(running: boolean, everyMs: number): number {
  const subscribe = useCallback(
    (changed: () => void) => {
      if (!running) return () => undefined;
      const leave = follow(everyMs, changed);
      document.addEventListener('visibilitychange', changed);
      return () => {
        leave();
        document.removeEventListener('visibilitychange', changed);
      };
    },
    [running, everyMs],
  );
  return useSyncExternalStore(subscribe, () => Math.floor(Date.now() / everyMs) * everyMs, atFirst);
}
