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
/** In creams, where fat helps to set: g/kg by use; and the share of fat (%) at which these hold wholly, coming in from the first. */
export const CREAM_BANDS: Readonly<Partial<Record<GelatinUse, { readonly low: number; readonly high: number }>>> = {
  glass: { low: 5, high: 7 },
  slice: { low: 7, high: 10 },
  'turn-out': { low: 8, high: 12 },
};
export const CREAM_FAT_PCT = { from: 10, wholly: 15 } as const;
/** What else sets, as g of 225-bloom gelatin a kg for each % of the mass (house ±40 %). */
export const SUPPORTS = {
  cheese: { name: 'cream cheese', perPct: 5 / 40 },
  cocoaButter: { name: 'cocoa butter', perPct: 4 / 6 },
  cookedStarch: { name: 'cooked starch', perPct: 3 / 2 },
  custardYolk: { name: 'cooked yolk', perPct: 1 / 8 },
  hardFat: { name: 'coconut or palm fat', perPct: 4 / 10 },
} as const;
export type Support = keyof typeof SUPPORTS;
export const SUPPORT_SPREAD = 0.4;
/** Above this it is rubbery. */
export const RUBBERY_G_PER_KG = 18;
/** Sour (about pH 4 and below) or strong: so much more of it, by g of acid a kg and by % vol; straight between, with no step. */
export const SOUR_EXTRA: readonly (readonly [acidGPerKg: number, extra: number])[] = [
  [0, 0],
  [6, 0],
  [10, 0.25],
  [1000, 0.25],
];
export const STRONG_EXTRA: readonly (readonly [abvPct: number, extra: number])[] = [
  [0, 0],
  [3, 0],
  [5, 0.25],
  [13, 0.25],
  [17, 0.5],
  [100, 0.5],
];
/** Above this it will not set reliably. */
export const NO_SET_ABV_PCT = 30;
/** Soaked leaf keeps about this many times its mass of water. */
export const SOAK_WATER_PER_G = 5;

/** Gelatin goes in melted, at 50–60 °C: taken at 55. */
export const MELTED_GELATIN_C = 55;
/** Gelatin that meets something so cold, and is so much, strings. */
export const STRINGS = { belowC: 18, fromGPerKg: 2 } as const;
/** What the first spoonful's mix is brought to. */
export const SPOONFUL_C = { wish: 25, low: 22, high: 28 } as const;

/** Setting of gelatin (±25 %): maturity = (1 − exp(−(t/4 h)^0.6)) / (1 − exp(−4.5^0.6)), counted from a core under 15 °C. */
export const SET_SPREAD = 0.25;
export const SET = { hours: 4, power: 0.6, full: 4.5, startsBelowC: 15, coldAtMostC: 6 } as const;
export const SET_NEEDS = {
  glass: { name: 'in a glass', maturity: 0.5 },
  slice: { name: 'to cut', maturity: 0.65 },
  'turn-out': { name: 'to turn out', maturity: 0.75 },
} as const;
export type SetNeed = keyof typeof SET_NEEDS;

/** Setters other than gelatin: g per kg of everything they set (±20 %), and what each asks of the cook. */
export const OTHER_SETTERS = {
  'corn-starch': {
    name: 'cooked starch',
    low: 8,
    high: 12,
    rule: 'Cook it until it bubbles, then cool it in two stages: raw starch sets nothing, and a warm custard is slow to cool.',
  },
  'instant-starch': { name: 'instant starch', low: 15, high: 25, rule: 'Whisk it in dry with the sugar: it swells cold, within minutes.' },
  agar: { name: 'agar', low: 2, high: 4, rule: 'Boil it for two minutes; fold the base in above 40\u00a0°C, for it sets as it cools and does not wait.' },
  xanthan: { name: 'xanthan', low: 0.5, high: 2, rule: 'Mix it dry with ten times its sugar and rain it in: it lumps otherwise.' },
  carrageenan: {
    name: 'iota carrageenan',
    low: 0.5,
    high: 1.5,
    rule: 'Heat it to 80\u00a0°C in milk or cream; it sets as it cools and thaws without weeping.',
  },
  'milk-powder': { name: 'milk powder', low: 20, high: 30, rule: 'Stir it into the cold cream and leave it ten minutes before whisking.' },
} as const;
export type OtherSetter = keyof typeof OTHER_SETTERS;

const MASCARPONE_C = [10, 12] as const;

/** Setters that are counted as a share of the dairy, %, and marshmallow of the whole. */
export const SHARE_SETTERS = {
  mascarpone: {
    name: 'mascarpone',
    low: 20,
    high: 50,
    rule: `Stir it soft on its own at ${MASCARPONE_C.join('–')}\u00a0°C; beaten warm, or long, it turns grainy.`,
  },
  'cream-cheese': {
    name: 'cream cheese',
    low: 20,
    high: 45,
    rule: 'Soften it alone to 18\u00a0°C and beat it smooth first; stream the cream in slowly, scraping down.',
  },
  'strained-yoghurt': { name: 'strained yoghurt', low: 20, high: 35, rule: 'Drain it well; it sours the cream a little.' },
  'white-chocolate': { name: 'white chocolate', low: 20, high: 35, rule: 'Melt it into hot cream, and chill that overnight before whisking.' },
  marshmallow: { name: 'marshmallow', low: 8, high: 15, rule: 'Melt it in a little of the cream and let it cool to 25\u00a0°C; its gelatin is counted.' },
} as const;
export type ShareSetter = keyof typeof SHARE_SETTERS;

/**
 * What cheese is stirred smooth at, °C, and how long before it stands out of the fridge, min (house: a 500 g tub at 20 °C warms by half in
 * about 90 min). Mascarpone is loose when cool and turns grainy warm; soft cheese is stiff until it has softened.
 */
export const STIRRED_CHEESE = {
  mascarpone: { toC: MASCARPONE_C, outMin: { least: 30, most: 60 } },
  'soft-cheese': { toC: [16, 18], outMin: { least: 60, most: 120 } },
} as const;

/** How long soft cheese is beaten before it curdles, s (science-2). */
export const CHEESE_BEATEN_S = [20, 30] as const;
