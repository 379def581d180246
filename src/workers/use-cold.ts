'use client';

import { useEffect, useRef, useState } from 'react';
import type { ColdSetup } from '../core/cold/setup-schema';
import type { ColdView } from '../core/cold/view';
import type { Result } from '../core/result';
import type { Kitchen } from '../core/sheet/analyse';
import type { Sheet } from '../core/sheet/schema';
import type { Vessel } from '../core/vessel/schema';
import { coreWith } from './core-service';

/**
 * A sheet in the cold, worked out off the main thread. While one question is being answered only the newest of those that come is kept;
 * the last answer stays in sight until then.
 *
 * @param setup null for no question. @param vessel another than the sheet's own.
 */
export function useCold(sheet: Sheet, kitchen: Kitchen, setup: ColdSetup | null, vessel: Vessel | null = null): Result<ColdView> | null {
  const [view, setView] = useState<Result<ColdView> | null>(null);
  const next = useRef<{ sheet: Sheet; kitchen: Kitchen; setup: ColdSetup; vessel: Vessel | null } | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    if (!setup) return;
    next.current = { sheet, kitchen, setup, vessel };
    if (busy.current) return;
    busy.current = true;
    const answer = async () => {
      try {
        while (next.current) {
          const q = next.current;
          next.current = null;
          const core = await coreWith(q.kitchen);
          const found = await core.cold(q.vessel ? { ...q.sheet, vessel: q.vessel } : q.sheet, q.setup);
          setView(found);
        }
      } finally {
        // Whatever went wrong with one question, the next is answered.
        busy.current = false;
      }
    };
    void answer();
  }, [sheet, kitchen, setup, vessel]);
  return view;
}
