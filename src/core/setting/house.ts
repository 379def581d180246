/** House constants of setters; ±20 % in dose. */
export const DOSE_SPREAD = 0.2;
/** The bloom that doses are counted in. */
export const REFERENCE_BLOOM = 225;

/** g of 225-bloom gelatin per kg of everything that it sets, by use. */
export const DOSE_BANDS = {
  'hold-a-day': { name: 'to hold a day', low: 3, high: 4 },
  pipe: { name: 'to pipe and hold two days', low: 5, high: 7 },
  glass: { name: 'to set in a glass', low: 6, high: 9 },
  slice: { name: 'to cut in slices', low: 9, high: 12 },
  'turn-out': { name: 'to turn out of a mould', low: 12, high: 15 },
} as const;
export type GelatinUse = keyof typeof DOSE_BANDS;
/** Above this it is rubbery. */
export const RUBBERY_G_PER_KG = 18;
/** Sour (about pH 4 and below) or stronger than 4 % alcohol: a quarter more. */
export const HARSH_EXTRA = 0.25;
export const SOUR_ACID_G_PER_KG = 8;
export const STRONG_ABV_PCT = 4;
/** Above this it will not set reliably. */
export const NO_SET_ABV_PCT = 15;
/** Soaked leaf keeps about this many times its mass of water. */
export const SOAK_WATER_PER_G = 5;
