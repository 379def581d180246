'use client';

import { useEffect, useRef, useState } from 'react';
import type { ColdSetup } from '../core/cold/setup-schema';
import type { ColdView } from '../core/cold/view';
import type { Result } from '../core/result';
import type { Kitchen } from '../core/sheet/analyse';
import type { Sheet } from '../core/sheet/schema';
import { coreWith } from './core-service';

/**
 * A sheet in the cold, worked out off the main thread. While one question is being answered only the newest of those that come is kept;
 * the last answer stays in sight until then.
 */
export function useCold(sheet: Sheet, kitchen: Kitchen, setup: ColdSetup | null): Result<ColdView> | null {
  const [view, setView] = useState<Result<ColdView> | null>(null);
  const next = useRef<{ sheet: Sheet; kitchen: Kitchen; setup: ColdSetup } | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    if (!setup) return;
    next.current = { sheet, kitchen, setup };
    if (busy.current) return;
    busy.current = true;
    const answer = async () => {
      while (next.current) {
        const q = next.current;
        next.current = null;
        const core = await coreWith(q.kitchen);
        const found = await core.cold(q.sheet, q.setup);
        setView(found);
      }
      busy.current = false;
    };
    void answer();
  }, [sheet, kitchen, setup]);
  return view;
}
