import type { WorkKind } from '../timetable/work';

/**
 * House figures of how far an evening strays from its plan: by kind of work the median time against the planned one, and the spread of its
 * logarithm (two outcomes in three lie within e^±sd). Ours; a kitchen's log narrows those of the whisk.
 */
export interface Strays {
  readonly median: number;
  readonly sd: number;
}

export const STRAYS: Readonly<Record<WorkKind | 'served' | 'whisk', Strays>> = {
  /** Times of methods are the usual ones: as often short as long. */
  hands: { median: 1, sd: 0.25 },
  /** Planned at the longer end of its band. */
  whisk: { median: 0.85, sd: 0.25 },
  /** The air of a fridge and what stands in it, ±20 %. */
  cold: { median: 1, sd: 0.2 },
  /** A timer ends it; what is in it may want some minutes more. */
  oven: { median: 1, sd: 0.08 },
  wait: { median: 1, sd: 0.1 },
  /** An oven that heats, cheese that warms. */
  ahead: { median: 1, sd: 0.15 },
  served: { median: 1, sd: 0 },
};

/** Cold in a place whose air was fitted to readings in it: what is left is how full it stands, ±10 %. */
export const COLD_FITTED: Strays = { median: 1, sd: 0.1 };

/** Served so many minutes after its time is still in time. */
export const GRACE_MIN = 5;
/** The chance that is planned for where a cook asks for safety. */
export const WISHED_CHANCE = 0.95;
/** One in twenty, in forty-four, in a hundred, in two hundred is longer than so many standard deviations: where several must be in time, each must be surer. */
export const SURE = [1.645, 2, 2.326, 2.576] as const;
