import type { BatchPlan, Progress } from '../sheet/batch';
import type { SoFar } from './service-project';

const MINUTE_MS = 60_000;
/** Whoever leaves a step only after this share of its wait has sat it out; sooner, the wait goes on meanwhile. */
const SAT_OUT = 0.5;

/**
 * How far a batch has come, for the plan: when each step was left, and since when the present one is in hand.
 * A wait begins with its timer; without one, when its step was left, or when it was come to if most of it was sat out there.
 */
export function soFarOf(batch: { readonly status: SoFar['status']; readonly startedAt: number; readonly plan: Pick<BatchPlan, 'steps'>; readonly progress: Progress }): SoFar {
  const { plan, progress } = batch;
  const minute = (ms: number): number => Math.floor(ms / MINUTE_MS);
  const doneAt: Record<string, number> = {};
  const waitFrom: Record<string, number> = {};
  const moments = plan.steps.flatMap((s) => (progress.doneAt[s.key] === undefined ? [] : [progress.doneAt[s.key]!]));
  for (const s of plan.steps) {
    if (!progress.done.includes(s.key)) continue;
    const left = progress.doneAt[s.key] ?? batch.startedAt;
    doneAt[s.key] = minute(left);
    const timer = progress.timers.find((t) => t.id === s.key && t.startedAt !== null && t.seconds !== null);
    const came = Math.max(batch.startedAt, ...moments.filter((t) => t < left));
    const sat = s.waitMin !== null && left - came >= SAT_OUT * s.waitMin[0] * MINUTE_MS;
    waitFrom[s.key] = minute(timer?.startedAt ?? (sat ? came : left));
  }
  const here = batch.status === 'running' ? (plan.steps[progress.step] ?? null) : null;
  const running = here && !progress.done.includes(here.key) ? here.key : null;
  const timer = running === null ? undefined : progress.timers.find((t) => t.id === running && t.startedAt !== null && t.seconds !== null);
  if (running !== null && timer) waitFrom[running] = minute(timer.startedAt!);
  return { status: batch.status, startedAt: minute(batch.startedAt), doneAt, waitFrom, step: running, stepSince: minute(Math.max(batch.startedAt, ...moments)) };
}
