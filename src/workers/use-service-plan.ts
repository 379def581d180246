'use client';

import { useEffect, useRef, useState } from 'react';
import type { Result } from '../core/result';
import type { Kitchen } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
import type { Effort } from '../core/timetable/search';
import type { ServiceAnswer, ServicePlan } from '../core/timetable/service-plan';
import { coreForService } from './core-service';
import type { ServiceQuestion } from './core.worker';

export interface ServicePlanState {
  /** Of the newest question that was answered; null until the first. */
  readonly answer: Result<ServiceAnswer> | null;
  /** The last plan that there was: it stays in sight while there is none. */
  readonly plan: ServicePlan | null;
  /** Whether an answer to a newer question is on its way. */
  readonly busy: boolean;
}

/**
 * The plan of a service, worked out off the main thread. While one question is being answered only the newest of those that come is kept.
 * @param effort 'quick' while something is dragged.
 */
export function useServicePlan(kitchen: Kitchen, sheets: ReadonlyMap<string, Sheet>, question: ServiceQuestion, effort: Effort): ServicePlanState {
  const [state, setState] = useState<ServicePlanState>({ answer: null, plan: null, busy: true });
  const next = useRef<{ q: ServiceQuestion; effort: Effort } | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    next.current = { q: question, effort };
    if (busy.current) return;
    busy.current = true;
    const work = async () => {
      try {
        while (next.current) {
          const { q, effort: how } = next.current;
          next.current = null;
          const core = await coreForService(kitchen, sheets);
          const answer = await core.plan(q, how);
          setState((s) => ({ answer, plan: answer.ok && answer.value.ok ? answer.value.plan : s.plan, busy: next.current !== null }));
        }
      } finally {
        busy.current = false;
      }
    };
    void work();
  }, [kitchen, sheets, question, effort]);
  return state;
}
