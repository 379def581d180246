/**
 * House figures of the timetable: how long hands take at another size, what waits how long. Kitchen rules of thumb, ours unless a source is
 * named; the cook can change every one of them at the task.
 */

/** Work by the piece (piping, filling, laying) grows with the portions to this power; weighing, cooking and whisking one pot to the other. */
export const GROWS = { pieces: 0.85, pot: 0.25 } as const;
/** Steps whose work is by the piece. */
export const PIECEWORK: ReadonlySet<string> = new Set(['fill', 'build', 'lay', 'press', 'pipe', 'top', 'crown', 'unmould', 'use', 'ready', 'line', 'temper']);

/** A step of the cook's own that says no minutes, min. */
export const USUAL_HANDS_MIN = 5;
/** From one bowlful to the next: scraped out, rinsed, filled again, min. */
export const NEXT_BOWL_MIN = 2;
/** An oven comes to its heat, min. */
export const OVEN_HEATS_MIN = 20;
export const BUTTER_OUT_MIN = { least: 60, most: 240 } as const;
/** Bloomed gelatin waits at most so long for its liquid, min. */
export const BLOOMED_MOST_MIN = 120;

/** Finished just before serving, at most so many minutes ahead. */
export const LATE_MIN = { top: 30, unmould: 240, sliced: 20, crown: 30 } as const;
/** Fruit cut late, before it goes on, min. */
export const FRUIT_MOST_MIN = 60;
/** Fruit held in lemon juice, min. */
export const FRUIT_IN_LEMON_MOST_MIN = 600;
/** 'At most three days before': parts that are made ahead, h. */
export const AHEAD_MOST_H = 72;

/** Room that a vessel takes in a fridge for each litre that it holds: walls, film, air round it. */
export const ROOM_PER_LITRE = 1.6;
/** Between one that is taken out of the freezer, rested, and the knife, min. */
export const KNIFE_WAIT_MIN = 10;

/** Waits of a method up to so long are planned with their longer end; what rests overnight with its shorter, h. */
export const SHORT_WAIT_H = 5;

/** From the hob to the whisk, and from the scale to the whisk, min. */
export const HOT_MOST_MIN = 2;
export const WEIGHED_MOST_MIN = 60;
/** Filled and not yet in the cold, min. */
export const UNCOVERED_MOST_MIN = 15;

/** A minute that a foam is whipped too early weighs as much as so many of anything else. */
export const FOAM_WEIGHT = 4;

/** 'How many' is not asked beyond so many portions. */
export const MOST_PORTIONS = 500;
