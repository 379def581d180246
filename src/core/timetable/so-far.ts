import { waitBegan, type BatchPlan, type MendEntry, type Progress } from '../batch/batch';
import type { MendedRest, SoFar } from './service-project';

const MINUTE_MS = 60_000;
/** A dessert that rests, sets or freezes has been covered and put away, whatever Pass was told. */
const COLD_WAYS = ['rest', 'set', 'freeze'];

/** Hands that a mend asks for, min. */
const handsMin = (m: MendEntry): number => Math.max(0, Math.round(m.minutes - (m.rest?.min ?? 0)));

/** Hands that the mends since a moment ask for, min; of a fresh bowl its steps are planned anew. */
const mendMinutes = (progress: Progress, sinceMs: number): number =>
  progress.mends.filter((m) => m.at >= sinceMs && m.reopens.keys.length === 0).reduce((sum, m) => sum + handsMin(m), 0);

/** Rests that mends ask for and that are not over: not those of which it is known whether they helped, nor of a part that was lost or begun anew since. */
function mendRests(progress: Progress, now: number): readonly MendedRest[] {
  const lost = (m: MendEntry): boolean =>
    progress.mends.some((x) => x.at > m.at && (x.kind === 'discard' || (x.partId === m.partId && x.reopens.keys.length > 0)));
  return progress.mends.flatMap((m) => {
    if (m.rest === null || m.helped !== null || lost(m)) return [];
    const from = Math.floor(m.at / MINUTE_MS) + handsMin(m);
    return from + m.rest.min > now ? [{ id: m.id, title: m.title, partId: m.partId, from, minutes: Math.round(m.rest.min), where: m.rest.where }] : [];
  });
}

/**
 * How far a batch has come, for the plan: when each step was left, and since when the present one is in hand.
 * A wait begins with its timer; without one, when its step was left, or when it was come to if most of it was sat out there. The step after a
 * wait that is not yet over is not in hand until something of it is weighed or timed.
 *
 * @param now minutes since 1970.
 */
export function soFarOf(
  batch: { readonly status: SoFar['status']; readonly startedAt: number; readonly plan: Pick<BatchPlan, 'steps'>; readonly progress: Progress },
  now: number,
): SoFar {
  const { plan, progress } = batch;
  const minute = (ms: number): number => Math.floor(ms / MINUTE_MS);
  const doneAt: Record<string, number> = {};
  const begunAt: Record<string, number> = {};
  const waitFrom: Record<string, number> = {};
  const timerOf = (key: string) => progress.timers.find((t) => t.id === key && t.startedAt !== null && t.seconds !== null);
  const moments = plan.steps.flatMap((s) => (progress.doneAt[s.key] === undefined ? [] : [progress.doneAt[s.key]!]));
  for (const s of plan.steps) {
    if (!progress.done.includes(s.key)) continue;
    const left = progress.doneAt[s.key] ?? batch.startedAt;
    doneAt[s.key] = minute(left);
    const came = Math.max(batch.startedAt, ...moments.filter((t) => t < left));
    begunAt[s.key] = minute(came);
    waitFrom[s.key] = minute(waitBegan(s, came, left, timerOf(s.key)?.startedAt ?? null));
  }
  const here = batch.status === 'running' ? (plan.steps[progress.step] ?? null) : null;
  const current = here && !progress.done.includes(here.key) ? here : null;
  const timer = current && timerOf(current.key);
  if (current && timer) waitFrom[current.key] = minute(timer.startedAt!);
  const cold = plan.steps.find((s) => COLD_WAYS.includes(s.wayKey) && waitFrom[s.key] !== undefined);
  const away = plan.steps.find((s) => s.wayKey === 'put-away');
  if (cold && away && doneAt[away.key] === undefined) {
    doneAt[away.key] = waitFrom[cold.key]!;
    begunAt[away.key] = waitFrom[cold.key]!;
  }
  const last = Math.max(batch.startedAt, ...moments);
  const before = plan.steps.find((s) => progress.doneAt[s.key] === last);
  const waits = before?.waitMin != null && waitFrom[before.key]! + before.waitMin[0] > now;
  const touched =
    current !== null && (timer !== undefined || current.lines.some((l) => progress.weighed[l.lineId] !== undefined || progress.ticks.includes(l.lineId)));
  return {
    status: batch.status,
    startedAt: minute(batch.startedAt),
    doneAt,
    begunAt,
    waitFrom,
    step: current && (touched || !waits) ? current.key : null,
    stepSince: minute(last),
    mendMin: mendMinutes(progress, last),
    mendRests: mendRests(progress, now),
  };
}
