import { isRunning, WHISK_TIMER, type BatchPlan, type MendEntry, type Progress } from '../batch/batch';
import type { Readings } from '../batch/readings';
import { USES } from '../document/kinds';
import type { Sheet } from '../document/schema';
import { mendedSheet } from './after';
import { NO_FACTS, type BatchFacts } from './case';
import { stepsTicked } from './steps-ticked';

/** A sheet with everything that its batch's mends put in and changed. */
export function withMends(sheet: Sheet, mends: readonly MendEntry[]): Sheet {
  return mends.reduce((at, m) => {
    const mended = mendedSheet(at, m.partId, { adds: m.adds, change: null }, m.id);
    const use = USES.find((u) => u === m.use);
    return { ...mended, ...(m.portions === null ? {} : { portions: m.portions }), ...(use ? { use } : {}) };
  }, sheet);
}

/** Whether one of its mends was to throw it away. */
export const isDiscarded = (mends: readonly MendEntry[]): boolean => mends.some((m) => m.kind === 'discard');

/** A temperature that was taken for a batch. */
export interface Taken {
  readonly series: string;
  readonly at: number;
  readonly tC: number;
}

/**
 * What a batch tells of itself: the part in hand, its whisk's clock, its temperatures, its hours in the cold, what was skipped.
 * @param now ms since 1970; @param endedAt when it went into the cold.
 */
export function factsOfBatch(
  plan: BatchPlan,
  progress: Progress,
  readings: Readings,
  temperatures: readonly Taken[],
  endedAt: number | null,
  now: number,
): BatchFacts {
  const step = plan.steps[Math.min(progress.step, plan.steps.length - 1)];
  const whisk = progress.timers.find((t) => t.id === WHISK_TIMER && t.startedAt !== null);
  const whiskedS =
    whisk?.startedAt == null
      ? readings['minutes-to-stage'] === undefined
        ? null
        : 60 * readings['minutes-to-stage']
      : ((isRunning(whisk) ? now : (whisk.stoppedAt ?? now)) - whisk.startedAt) / 1000;
  // Only what was taken at the step in hand says how warm it is now: another step's custard does not.
  const last = endedAt === null && step ? temperatures.filter((t) => t.series.startsWith(`${step.key}|`)).sort((x, y) => y.at - x.at)[0] : undefined;
  return {
    ...NO_FACTS,
    partId: endedAt === null && step && step.partId !== '' ? step.partId : null,
    whiskedS: whiskedS !== null && whiskedS <= 7200 ? whiskedS : null,
    creamC: readings['cream-temperature'] ?? null,
    nowC: last?.tC ?? null,
    coldH: endedAt === null ? null : Math.max(0, (now - endedAt) / 3_600_000),
    steps: stepsTicked(plan, progress),
    skipped: progress.skipped.flatMap((key) => plan.steps.find((s) => s.key === key)?.wayKey || key),
  };
}
