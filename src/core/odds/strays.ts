import { learntFor } from '../analysis/learnt';
import type { KitchenCorrection } from '../learning/correction';
import type { PlannedTask } from '../timetable/service-plan';
import { RESOURCE } from '../timetable/service-project';
import { STRAYS, type Strays } from './house';

/** How a task strays from its plan. */
export type StraysOfTask = (t: Pick<PlannedTask, 'kind' | 'lanes' | 'done'>) => Strays;

/** Of a normal number, four in five lie within so many standard deviations of the middle. */
const FOUR_IN_FIVE = 1.2815515655446004;

const mixerOf = (t: Pick<PlannedTask, 'kind' | 'lanes'>): string | null =>
  t.kind === 'hands' ? (t.lanes.find((l) => l.startsWith(RESOURCE.MIXER))?.slice(RESOURCE.MIXER.length) ?? null) : null;

/** By the house's figures: by its kind; what is behind, or has no length, does not. */
export const straysOf: StraysOfTask = (t) => (t.done ? { median: 1, sd: 0 } : STRAYS[mixerOf(t) === null ? t.kind : 'whisk']);

/**
 * By what a kitchen's log says of its whisks, and by the house where it says nothing: a whisk is planned at the longer end of the band in which
 * four in five of the next batches fall, so that its middle lies below by as much.
 */
export const straysIn =
  (corrections: readonly KitchenCorrection[]): StraysOfTask =>
  (t) => {
    const mixer = mixerOf(t);
    const learnt = t.done || mixer === null ? null : learntFor(corrections, 'whisk-time', mixer);
    return learnt ? { median: learnt.factor / learnt.high, sd: Math.log(learnt.high / learnt.low) / (2 * FOUR_IN_FIVE) } : straysOf(t);
  };
