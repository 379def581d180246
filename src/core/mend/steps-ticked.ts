import { waitBegan, type BatchPlan, type Progress } from '../batch/batch';
import { showHours } from '../figure';
import { SHORT_REST } from './house';

/** A step of a batch as it was ticked. */
export interface TickedStep {
  /** Its key in the kitchen's way; '' for a step of the cook's own. */
  readonly wayKey: string;
  readonly title: string;
  readonly partId: string;
  /** How long it rested before the next step of its part was ticked, min; null where none has been. */
  readonly restedMin: number | null;
  /** The least that it was to rest, min; null where it rests not at all. */
  readonly ofMin: number | null;
}

const MINUTE_MS = 60_000;

/** The steps of a batch in the order in which they were ticked. A rest goes on after its own tick: what ends it is the next step. */
export function stepsTicked(plan: BatchPlan, progress: Progress): readonly TickedStep[] {
  const at = (key: string): number | undefined => (progress.skipped.includes(key) ? undefined : progress.doneAt[key]);
  return plan.steps
    .flatMap((s, i) => {
      const left = at(s.key);
      if (left === undefined) return [];
      const came = Math.max(-Infinity, ...plan.steps.slice(0, i).flatMap((b) => at(b.key) ?? []));
      const timer = progress.timers.find((t) => t.id === s.key)?.startedAt ?? null;
      const next = Math.min(
        Infinity,
        ...plan.steps.slice(i + 1).flatMap((b) => (b.partId === s.partId || b.partId === '' || s.partId === '' ? (at(b.key) ?? []) : [])),
      );
      const restedMin = next === Infinity ? null : Math.max(0, (next - waitBegan(s, came, left, timer)) / MINUTE_MS);
      return [{ left, step: { wayKey: s.wayKey, title: s.title, partId: s.partId, restedMin, ofMin: s.waitMin?.[0] ?? null } }];
    })
    .sort((a, b) => a.left - b.left)
    .map(({ step }) => step);
}

/** The rests of these keys that were cut short, as a sentence each: '‘Chill’ had 50 min of 4 h.' @param partId of this part or of the whole. */
export function cutShort(steps: readonly TickedStep[], partId: string, keys: readonly string[]): readonly string[] {
  return steps
    .filter(
      (s) =>
        keys.includes(s.wayKey) &&
        (s.partId === partId || s.partId === '') &&
        s.restedMin !== null &&
        s.ofMin !== null &&
        s.ofMin >= SHORT_REST.fromMin &&
        s.restedMin < SHORT_REST.share * s.ofMin,
    )
    .map((s) => `‘${s.title}’ had ${span(s.restedMin!)} of ${span(s.ofMin!)}.`);
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
