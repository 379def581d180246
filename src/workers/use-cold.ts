'use client';

import { useEffect, useRef, useState } from 'react';
import type { ColdSetup } from '../core/document/cold-plan-schema';
import type { ColdView } from '../core/cold/view';
import type { Result } from '../core/result';
import type { Kitchen } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
import type { Vessel } from '../core/vessel/schema';
import { coreWith } from './core-service';

interface Question {
  readonly sheet: Sheet;
  readonly kitchen: Kitchen;
  readonly setup: ColdSetup;
  readonly vessel: Vessel | null;
}

export interface ColdAnswer {
  /** The last answer; null until there is one. */
  readonly view: Result<ColdView> | null;
  /** Whether that is the answer to what is asked now, and not still to what was asked before. */
  readonly current: boolean;
}

/**
 * A sheet in the cold, worked out off the main thread. While one question is being answered only the newest of those that come is kept;
 * the last answer stays in sight until then.
 *
 * @param setup null for no question. @param vessel another than the sheet's own.
 */
export function useCold(sheet: Sheet, kitchen: Kitchen, setup: ColdSetup | null, vessel: Vessel | null = null): ColdAnswer {
  const [answered, setAnswered] = useState<{ readonly of: Question; readonly view: Result<ColdView> } | null>(null);
  const next = useRef<Question | null>(null);
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
          setAnswered({ of: q, view: found });
        }
      } finally {
        // Whatever went wrong with one question, the next is answered.
        busy.current = false;
      }
    };
    void answer();
  }, [sheet, kitchen, setup, vessel]);
  const of = answered?.of;
  return {
    view: answered?.view ?? null,
    current: of !== undefined && of.sheet === sheet && of.kitchen === kitchen && of.setup === setup && of.vessel === vessel,
  };
}
