/**
 * House numbers of mending: how often each thing goes wrong, how much an observation says, and what a rescue takes. Nothing here is known
 * to better than a factor of one and a half, unless its line names a source; the kitchen's own log moves the priors.
 */

/** What an observation makes of the odds of a cause: from what all but proves it to what all but rules it out. */
export const SAYS = { proves: 12, points: 4, hints: 2, speaksAgainst: 0.4, rulesOut: 0.06 } as const;
/** How often a cause is behind a sign when nothing is known of the batch, 0–1. */
export const OFTEN = { mostly: 0.5, often: 0.3, sometimes: 0.15, seldom: 0.06 } as const;
/** Logged mends of a sign weigh against the prior as if it stood on so many of them. */
export const PRIOR_WEIGHS = 4;

/** Grains: cold cream stirred in, share of the bowl, from the first grain to the last that comes back, by fat network; past it, it goes on to butter. */
export const GRAINS_BACK = { fromX: 0.7, toX: 0.85, fromShare: 0.05, toShare: 0.2, usualX: 0.76, goes: 3, creamC: 5 } as const;
/** Butter: its fat (codex standards: at least 80 %; a churn's is near 82), and the share of the cream's fat that is in it. */
export const BUTTER = { fatPct: 82, fatInIt: 0.97, rinseC: 8 } as const;
/** Fat of the bowl that a lean cream is brought to, with what, % fat. */
export const RICHER = { toPct: 35, withPct: 48 } as const;
/** A stabiliser for a cream that will not stand: gelatin, g of 225 bloom a kg (the middle of 'hold a day', science-2). */
export const HOLDS_G_PER_KG = 3.5;
/** Cream is whisked no warmer, °C. */
export const WHISK_AT_C = 5;

/** Strings and lumps: the whole is warmed to here, so that gelatin melts and the foam is not yet lost, °C (gelatin melts at 27–35). */
export const REMELT_C = 35;
/** What was not set: part of it is warmed to melt the new gelatin, share of the whole. */
export const REMELT_SHARE = 0.25;
/** Above this a rescued foam has lost its air: it is whisked anew, °C. */
export const FOAM_LOST_C = 28;

/** Seized chocolate comes loose from this share of water on, of chocolate and liquid together, and is a sauce or a ganache then. */
export const LOOSE_WATER_SHARE = 0.2;
/** A split ganache is beaten together with warm milk or cream: so much of its mass at a time, and so warm, °C. */
export const GANACHE_BACK = { share: 0.03, goes: 3, liquidC: 40, massC: 33 } as const;

/** Buttercream is smooth in this window, °C (science-2: butter 18–22); out of it it is brought to the middle. */
export const BUTTERCREAM_C = { low: 18, high: 22, curdledC: 14, soupC: 26 } as const;
/** What a bowl over steam takes up, W for each kg in it, and what an ice bath carries off from a stirred bowl (W/m²K is in heat/stirred). */
export const STEAM_W_PER_KG = 250;
/** Overworked cheese: so much cold cream or milk, share of the cheese, stirred in by hand and passed through a sieve. */
export const CHEESE_BACK_SHARE = 0.12;

/** A custard that has curdled comes back up to here, whisked hard off the heat or blended, °C; above, only the sieve is left. */
export const CUSTARD_BACK_C = 88;
/** Foam lost to folding that is brought back with fresh foam: no more than this share of the bowl, since each fold costs air. */
export const FRESH_FOAM_MOST = 0.5;

/** Turning out: a warm cloth or water, °C and s for each wall. */
export const LOOSEN = { waterC: 45, steelS: [5, 8], glassS: [10, 15], plasticS: [12, 18] } as const;
/** Out of the fridge a cream dessert may stand so long, h: the usual rule, and where it is warm (science-2, section 11). */
export const OUT_H = { usual: 2, warm: 1, warmFromC: 32 } as const;
/** Between these germs grow, °C (food codes). */
export const DANGER_C = { low: 5, high: 60 } as const;

/** A taste is corrected to the edge of its band and never by more of the thing than this share of the whole. */
export const MOST_ADDED = 0.35;
/** ABV that a dessert is brought down to when it is too strong, % vol (house). */
export const STRONG_ABV = 4;
/** Of acid so much a kg is sour, and it is brought to this, g/kg (house). */
export const SOUR = { fromGPerKg: 8, toGPerKg: 6 } as const;

/** A dish of glasses is level to a spoon: so much of a glass may be missing before it is seen, share. */
export const SEEN_SHORT = 0.05;

/** Fat for each gram of water that a ganache holds, and from which it all but surely splits. */
export const GANACHE_HOLDS = { fatPerWater: 1.1, splits: 1.4 } as const;
/** A rest is cut short when less than this share of its least time has gone; shorter rests than this say nothing, min. */
export const SHORT_REST = { share: 0.6, fromMin: 10 } as const;
/** Egg in a custard curdles from here on, °C; cheese is soft from here on, °C; fat of a pressed base from which it holds, %. */
export const EGG_CURDLES_C = 85;
export const CHEESE_SOFT_C = 16;
export const BASE_FAT_PCT = 30;
