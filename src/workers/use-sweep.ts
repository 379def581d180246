'use client';

import { useEffect, useRef, useState } from 'react';
import type { Result } from '../core/result';
import type { Kitchen } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
import type { Lever, SweepPoint } from '../core/rewrite/sweep';
import { coreWith } from './core-service';

export interface SweepQuestion {
  readonly lever: Lever;
  readonly from: number;
  readonly to: number;
  readonly points: number;
  readonly figure: string;
}

/**
 * How a figure of a sheet answers while one thing moves, worked out off the main thread. The last curve stays while a newer one is on its
 * way; an answer to an older question never replaces a newer one.
 */
export function useSweep(sheet: Sheet, kitchen: Kitchen, question: SweepQuestion | null): Result<readonly SweepPoint[]> | null {
  const [answer, setAnswer] = useState<Result<readonly SweepPoint[]> | null>(null);
  const asked = useRef(0);
  const text = JSON.stringify(question);
  useEffect(() => {
    const q = JSON.parse(text) as SweepQuestion | null;
    if (!q) return;
    const mine = ++asked.current;
    const ask = async () => {
      const core = await coreWith(kitchen);
      const found = await core.sweep(sheet, q.lever, q.from, q.to, q.points, q.figure);
      if (mine === asked.current) setAnswer(found);
    };
    void ask();
  }, [sheet, kitchen, text]);
  return answer;
}
