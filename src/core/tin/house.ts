/**
 * House constants of building: kitchen rules put into numbers, each with its spread. Nowhere else in this room is such a number written.
 */

/** A tenth of the syrup stays in the dish, runs off and is drunk by broken pieces. */
export const SYRUP_OVER = 1.1;

/** What a dip reads as, share of what that biscuit can hold (its uptake after 4 s). */
export const SOAK_BANDS = { dry: 0.4, right: 0.76, soggy: 0.97 } as const;
export const SOAK_SPREAD = 0.2;

/** The larder's dip figures are for a thin, cold soak: water of this temperature, without sugar. */
export const DIP_REFERENCE_C = 10;

/** Softening of a biscuit in cream: 90 % after 0.85·(h/2)²/D, D in mm²/s. */
export const SOFTENING = { plainMm2PerS: 2.5e-4, denseMm2PerS: 1.2e-4, dipped: 2, spread: 0.3 } as const;
/** A biscuit that takes up less than this after 4 s, % of its weight, counts as dense. */
export const DENSE_BELOW_PCT = 25;
/** With more water than this of itself, %, it is a sponge and bends from the start. */
export const SPONGE_WATER_PCT = 20;
/** Open biscuits take water faster: so many times at a density of `openGPerMl` or less, as usual from `closeGPerMl` on; straight between. */
export const POROUS = { faster: 3.5, openGPerMl: 0.28, closeGPerMl: 0.42 } as const;
/** Where its weight is not known, an open biscuit is told by what it takes up in 4 s, % of its weight. */
export const POROUS_BY_UPTAKE = { closePct: 60, openPct: 120 } as const;
/** So many times its dry softening time and it falls apart (ours, ±50 %). */
export const MUSH_AFTER = 3;
/** With more sugar than this, % of the biscuit, it is a meringue: it dissolves where it touches, and has no softening hour. */
export const DISSOLVES_FROM_SUGAR_PCT = 70;

/** What cream gives a biscuit by the time it is soft, share of what the biscuit can hold (ours, ±40 %). */
export const CREAM_GIVES = { share: 0.25, spread: 0.4 } as const;

/** A thin bed of cream under the first biscuits, so that they do not slide, mm. */
export const BED_MM = 4;
/** Cream between layers of biscuits where nothing else is said, mm. */
export const CREAM_MM = 12;

/** Room that is left under the rim, mm, so that it can be levelled and covered. */
export const RIM_MM = 3;

/** A rosette is a cone so many nozzle openings wide and high; a shell is half a spheroid that tapers. */
export const ROSETTE = { wide: 2.5, high: 2 } as const;
export const SHELL = { wide: 2, long: 3, high: 1.5 } as const;
export const PIPED_SPREAD = 0.15;
/** What tops a cupcake: a low swirl and a high one, mL (±20 %). */
export const CUPCAKE_ML = { low: 25, high: 45 } as const;

/** What a baked meringue shell bears on a square centimetre of its floor, g (ours, ±40 %), and how long before serving it is crowned, min. */
export const SHELL_BEARS = { gPerCm2: 3, spread: 0.4, crownMin: 30 } as const;

/** How high gelatin at the middle of its band holds a cut side up, mm (ours, ±25 %); taller wants more, in proportion. */
export const STANDS_MM = { slice: 60, 'turn-out': 70 } as const;
export const MOST_HEIGHT_FACTOR = 1.4;
