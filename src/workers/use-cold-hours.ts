'use client';

import { useEffect, useState } from 'react';
import { asksCold } from '../core/document/cold-waits';
import type { Sheet } from '../core/document/schema';
import type { Kitchen } from '../core/kitchen/kitchen';

/** Asked once the hands rest, so that nothing of it is loaded or worked out while somebody types. */
const REST_MS = 600;

/**
 * Hours in the cold until a sheet is ready for its use, worked out off the main thread; null until they are known, and where nothing asks for
 * them. While a newer sheet is asked about, what was known last stands.
 */
export function useColdHours(sheet: Sheet, kitchen: Kitchen): number | null {
  const [known, setKnown] = useState<number | null>(null);
  const asks = asksCold(sheet);
  useEffect(() => {
    if (!asks) return;
    let wanted = true;
    const timer = setTimeout(() => {
      void import('./core-service')
        .then(({ coreWith }) => coreWith(kitchen))
        .then((core) => core.coldHours(sheet))
        .then((h) => {
          if (wanted) setKnown(h);
        })
        // Without an answer the method's own hours stand.
        .catch(() => undefined);
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [asks, sheet, kitchen]);
  return asks ? known : null;
}
