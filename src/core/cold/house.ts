/** House constants of the cold: kitchen rules put into numbers. Nowhere else in this room is such a number written. */

/** From this core on it is served, cut, turned out of the fridge, °C (the reference's). */
export const COLD_ENOUGH_C = 6;
/** Gelatin's clock runs under this, °C (the reference's). */
export const SETS_UNDER_C = 15;
/** A lid goes on without sweating once the mean is no warmer than this over its air, K (ours). */
export const LID_OVER_AIR_K = 4;
/** A cooked base takes a fold at, °C. */
export const FOLD_ON_C = 20;
/** Softening against its pace at 4 °C: so many times for each 10 °C (ours, ±30 %), none where it is frozen. */
export const SOFTENING_Q10 = 1.8;
/** A mix that never holds the ice of the knife window counts as frozen through so close to its air, K. */
export const NEAR_AIR_K = 1;
/** Spread of a cold forecast: the air's movement is only known by its kind. */
export const COLD_SPREAD = 0.2;
/** The same in a place whose air was fitted to readings: what is left is how full it stands. */
export const COLD_FITTED_SPREAD = 0.1;
/** The one of the two that holds. @param fitted whether the place's heat transfer comes from readings. */
export const coldSpread = (fitted: boolean): number => (fitted ? COLD_FITTED_SPREAD : COLD_SPREAD);
/** What is looked at, at most, h. */
export const MOST_H = { fridge: 96, freezer: 120, warming: 12 } as const;
/** The band in which a warm base may not linger, °C. */
export const DANGER_BAND = { fromC: 60, toC: 5 } as const;
/** Heat that a wall takes up, J/cm³K: its density times its specific heat (physics). */
export const WALL_HEAT_J_PER_CM3 = { steel: 3.9, aluminium: 2.4, glass: 2.1, ceramic: 2.0, plastic: 1.6, silicone: 1.4, card: 1.0, none: 0 } as const;
