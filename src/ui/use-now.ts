'use client';

import { useCallback, useSyncExternalStore } from 'react';

/** The moment that a page is drawn with on the server, and taken over with: every clock then stands at its start, and both agree. */
const AT_FIRST = 0;
const atFirst = (): number => AT_FIRST;

/**
 * The wall clock, in steps of `everyMs`, moving while `running`, and read at once when the page is looked at again. 0 until the page is alive.
 */
export function useNow(running: boolean, everyMs: number): number {
  const subscribe = useCallback(
    (changed: () => void) => {
      if (!running) return () => undefined;
      const timer = setInterval(changed, everyMs);
      document.addEventListener('visibilitychange', changed);
      return () => {
        clearInterval(timer);
        document.removeEventListener('visibilitychange', changed);
      };
    },
    [running, everyMs],
  );
  return useSyncExternalStore(subscribe, () => Math.floor(Date.now() / everyMs) * everyMs, atFirst);
}
