'use client';

import { useEffect, useState } from 'react';

/** The wall clock, read every `everyMs` while `running`, and at once when the page is looked at again. */
export function useNow(running: boolean, everyMs: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return;
    const tick = () => setNow(Date.now());
    tick();
    const timer = setInterval(tick, everyMs);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [running, everyMs]);
  return now;
}
