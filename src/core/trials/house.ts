/** House figures of trials and tastings. */

/** Trials that only fill the space before anything is learnt of it; from the next on a trial is where most may be gained. */
export const FILLING_TRIALS = 3;
/** A series is no longer: by then the best point is found, or the tasters do not agree. */
export const MOST_TRIALS = 12;
/** Axes of one series: with more, nine trials say nothing of their corners. */
export const MOST_AXES = 3;
/** How near is near, share of an axis' range: nobody weighs or tastes finer. */
export const NEAR_SHARE = 0.1;
/** A further trial is worth its cream from this expected gain on, points of ten. */
export const WORTH_POINTS = 0.12;
/** Likewise where only pairs were compared: of how much the desserts differ. */
export const WORTH_SHARE = 0.05;
/** A best point as sure as this is taken. */
export const SURE_ENOUGH = 0.8;
/** Scores are given from 0 to this. */
export const FULL_SCORE = 10;
/** Of the likelihood that is kept on either side of a curve: four in five. */
export const BAND_Z = 1.2816;

/** How far along an axis a liking stays alike, shares of its range: what is tried, and how likely each is before anything is tasted. */
export const REACHES: readonly (readonly [reach: number, prior: number])[] = [
  [0.3, 0.15],
  [0.5, 0.35],
  [0.8, 0.35],
  [1.3, 0.15],
];
/** How much tasters stray, in shares of how much the desserts differ, likewise. */
export const STRAYS: readonly (readonly [stray: number, prior: number])[] = [
  [0.25, 0.2],
  [0.5, 0.35],
  [0.9, 0.3],
  [1.5, 0.15],
];
/** Scores that hardly differ are not blown up to differences, points. */
export const LEAST_SPREAD = 0.5;
/**
 * How much wider than reckoned a surprise is thought to be where a next trial is chosen: few tastings make a model too sure of itself. Found
 * on synthetic tasters: with two axes nine trials come within a tenth in 57 of 60 runs with it, in 51 without.
 */
export const SURPRISE = 1.5;
/** So many ways of explaining what was said count, the likeliest. */
export const MOST_WAYS = 6;
