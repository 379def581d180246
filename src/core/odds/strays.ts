import { learntFor } from '../analysis/learnt';
import type { PlannedTask } from '../timetable/service-plan';
import { RESOURCE } from '../timetable/service-project';
import type { KitchenFacts } from '../kitchen/kitchen';
import { COLD_FITTED, STRAYS, type Strays } from './house';

/** How a task strays from its plan. */
export type StraysOfTask = (t: Pick<PlannedTask, 'kind' | 'lanes' | 'done'>) => Strays;

/** Of a normal number, four in five lie within so many standard deviations of the middle. */
const FOUR_IN_FIVE = 1.2815515655446004;

const mixerOf = (t: Pick<PlannedTask, 'kind' | 'lanes'>): string | null =>
  t.kind === 'hands' ? (t.lanes.find((l) => l.startsWith(RESOURCE.MIXER))?.slice(RESOURCE.MIXER.length) ?? null) : null;

const placeIn = (t: Pick<PlannedTask, 'kind' | 'lanes'>): string | null =>
  t.kind === 'cold' ? (t.lanes.find((l) => l.startsWith(RESOURCE.PLACE))?.slice(RESOURCE.PLACE.length) ?? null) : null;

/** By the house's figures: by its kind; what is behind, or has no length, does not. */
export const straysOf: StraysOfTask = (t) => (t.done ? { median: 1, sd: 0 } : STRAYS[mixerOf(t) === null ? t.kind : 'whisk']);

/**
 * By what a kitchen knows of itself, and by the house where it knows nothing. A whisk is planned at the longer end of the band in which four in
 * five of the next batches fall, so that its middle lies below by as much; the cold of a place whose air was fitted to readings strays less.
 */
export const straysIn = ({ corrections, places }: Pick<KitchenFacts, 'corrections' | 'places'>): StraysOfTask => {
  const fitted = new Set(places.filter((p) => p.hWPerM2K !== undefined).map((p) => p.id));
  return (t) => {
    const mixer = mixerOf(t);
    const learnt = t.done || mixer === null ? null : learntFor(corrections, 'whisk-time', mixer);
    if (learnt) return { median: learnt.factor / learnt.high, sd: Math.log(learnt.high / learnt.low) / (2 * FOUR_IN_FIVE) };
    return !t.done && fitted.has(placeIn(t) ?? '') ? COLD_FITTED : straysOf(t);
  };
};
