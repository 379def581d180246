import type { BatchPlan, Progress } from '../batch/batch';
import { showHours } from '../figure';
import { SHORT_REST } from './house';

/** A step of a batch as it was ticked. */
export interface TickedStep {
  /** Its key in the kitchen's way; '' for a step of the cook's own. */
  readonly wayKey: string;
  readonly title: string;
  readonly partId: string;
  /** How long it rested, from the last step before it to its own tick, min; null where nothing tells. */
  readonly restedMin: number | null;
  /** The least that it was to rest, min; null where it rests not at all. */
  readonly ofMin: number | null;
}

/** The steps of a batch in the order in which they were ticked. */
export function stepsTicked(plan: BatchPlan, progress: Progress): readonly TickedStep[] {
  const at = (key: string): number | undefined => progress.doneAt[key];
  return plan.steps
    .map((s, i) => ({ s, at: at(s.key), begun: Math.max(-Infinity, ...plan.steps.slice(0, i).flatMap((b) => at(b.key) ?? [])) }))
    .filter((x) => x.at !== undefined && !progress.skipped.includes(x.s.key))
    .sort((a, b) => a.at! - b.at!)
    .map(({ s, at: done, begun }) => ({ wayKey: s.wayKey, title: s.title, partId: s.partId, restedMin: begun === -Infinity ? null : Math.max(0, (done! - begun) / 60_000), ofMin: s.waitMin?.[0] ?? null }));
}

/** The rests of these keys that were cut short, as a sentence each: '‘Chill’ was ticked after 50 min of 4 h.' @param partId of this part or of the whole. */
export function cutShort(steps: readonly TickedStep[], partId: string, keys: readonly string[]): readonly string[] {
  return steps
    .filter((s) => keys.includes(s.wayKey) && (s.partId === partId || s.partId === '') && s.restedMin !== null && s.ofMin !== null && s.ofMin >= SHORT_REST.fromMin && s.restedMin < SHORT_REST.share * s.ofMin)
    .map((s) => `‘${s.title}’ was ticked after ${span(s.restedMin!)} of ${span(s.ofMin!)}.`);
}

/** Where a step was ticked before one that it should follow: '‘Fold’ was ticked before ‘Cool’.'; null where none was. */
export function tickedBefore(steps: readonly TickedStep[], partId: string, early: readonly string[], late: readonly string[]): string | null {
  const mine = steps.filter((s) => s.partId === partId || s.partId === '');
  const first = mine.findIndex((s) => early.includes(s.wayKey));
  const after = first < 0 ? undefined : mine.slice(first + 1).find((s) => late.includes(s.wayKey));
  return after === undefined ? null : `‘${mine[first]!.title}’ was ticked before ‘${after.title}’.`;
}

const MINUTES_AN_HOUR = 60;
const span = (minutes: number): string => showHours(minutes / MINUTES_AN_HOUR);
