/**
 * House constants of heat: kitchen rules of thumb put into numbers, each with its spread where it has one. What comes from the
 * literature stands beside its table, in the file that uses it.
 */

/** Specific heat of bowls and pans, J/gK (physics). */
export const BOWL_HEAT = { steel: 0.5, glass: 0.84, plastic: 1.7 } as const;
export type BowlKind = keyof typeof BOWL_HEAT;
/** How much of a bowl the mix touches: for a forecast, and for a verdict on egg, which must be on the safe side. */
export const BOWL_TOUCHED = { forecast: 0.6, verdict: 1 } as const;

/** Temperatures of the base at which cream or foam is folded into it, °C. */
export const FOLD_WINDOWS = {
  gelatin: { lowC: 18, highC: 25 },
  chocolate: { lowC: 32, highC: 42 },
  custard: { lowC: 0, highC: 20 },
} as const;
export type BaseKind = keyof typeof FOLD_WINDOWS;
/** A chocolate base of no more chocolate than this share is fluid down to this, °C; from the other share on it is as chocolate alone (house). */
export const THIN_CHOCOLATE = { share: 0.3, lowC: 24 } as const;
export const THICK_CHOCOLATE_SHARE = 0.7;
/** A finished fold that is warmer loses its air. */
export const FOLD_TOO_WARM_C = 24;
/** At which a part is taken to stand when the cook has not said otherwise, °C. */
export const USUAL_C = { gelatin: 22, chocolate: 38, custard: 18, meringue: 22, 'egg-foam': 24, 'egg-foam-raw': 18, fruit: 20, room: 20 } as const;

/** A yolk foam under a running whisk loses so many °C a minute: fast, and slow. */
export const WHISKED_COOLING = { fast: 3, slow: 1.5 } as const;
/** It is whisked until it is no warmer than this, °C. */
export const WHISKED_UNTIL_C = 40;

/** 71 °C (160 °F) reached throughout is taken as enough, whatever the time. */
export const ONE_POINT_C = 71;
/** Stops of the two schools of Swiss meringue, °C. */
export const SWISS_STOPS = { 'swiss-50': 50, 'swiss-71': 71 } as const;
/** Egg over steam is taken to this, °C, when nothing was measured. */
export const STEAM_STOP_C = 71;

/** What is lost of a hob's heat on the way into the pan: a usual pan takes up half of it (house ±25 %). */
export const PAN_TAKES = 0.5;
export const HOB_SPREAD = 0.25;
/** The same where a litre of the kitchen's own water was timed: what pans and rings still differ by. */
export const HOB_MEASURED_SPREAD = 0.1;

/** Ice of the water at which a knife goes through, share (±8 %). */
export const KNIFE_ICE = { low: 0.5, high: 0.68 } as const;
/** Ice by volume of the whole at the freezer's temperature: below, it cuts straight out; above, it is hard and icy. */
export const ICE_VOLUME = { clean: 0.24, hard: 0.32 } as const;
export const KNIFE_SPREAD = 0.08;

/** Cream or milk as it is poured over chocolate, and what the two must come to so that the cocoa butter is melted and yolks are not cooked, °C. */
export const POURED_C = 85;
export const GANACHE_WINDOW = { lowC: 34, highC: 55 } as const;
/** A custard as it leaves the hob, where the ice bath takes it, and the ice, °C. */
export const CUSTARD_OFF_HOB_C = 83;
export const ICE_BATH = { toC: 4, iceC: -5 } as const;
/** From this share of added sugar on, sugar protects germs beyond what the egg tables cover: the one-point rule leads. */
export const RICH_IN_SUGAR = 0.2;
/** Of whole egg the tables end here already. */
export const RICH_WHOLE_EGG = 0.12;
/** Yolk counts as sweetened from this share of sugar on (as the tables do). */
export const SWEET_YOLK = 0.02;
/** A written boil-off may differ by so many g before it is mentioned. */
export const BOIL_OFF_GRACE_G = 3;
