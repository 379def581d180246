/**
 * House constants of foams: kitchen rules of thumb put into numbers. Each has a spread (relative standard
 * deviation), and the kitchen's own log corrects it. Nowhere else in this room is such a number written.
 */
export const SPREAD = { overrun: 0.2, whiskTime: 0.3, hold: 0.45 } as const;

/** Overrun % that a cream can reach, by fat % of all in the bowl but the added sugar; linear between, no figure outside. */
export const OVERRUN_BY_FAT: readonly (readonly [fatPct: number, overrunPct: number])[] = [
  [25, 40],
  [28, 80],
  [30, 110],
  [33, 120],
  [36, 110],
  [40, 95],
  [45, 75],
  [48, 62],
  [55, 30],
  [60, 10],
];

/** Overrun lost per g of sugar per 100 g of cream: sugar at the start, or at soft peak. */
export const OVERRUN_LOSS_PER_SUGAR = { start: 0.006, 'soft-peak': 0.003 } as const;
/** Overrun lost per °C above 7 °C; no figure above 20 °C. */
export const OVERRUN_LOSS_PER_C = 0.06;
export const COLD_ENOUGH_C = 7;
export const WARMEST_OVERRUN_C = 20;
/** Overrun lost per share (0–1) of the dairy that is not cream. */
export const OVERRUN_LOSS_PER_SHARE = { softCheese: 0.9, mascarpone: 0.5 } as const;

/** Fat network x at which each stage begins. */
export const STAGE_X = { soft: 0.25, medium: 0.4, firm: 0.55, grainy: 0.7, butter: 0.9 } as const;
/** Fat network at the start. */
export const X_START = 0.02;
/** Rate per second of the reference whip: 36 % fat, 5 °C, 1.0 L in a 4.8 L planetary bowl, fast: firm at 240 s. */
export const REFERENCE_RATE_PER_S = 0.017075;
export const REFERENCE_FAT_PCT = 36;
export const FAT_POWER = 1.5;

/** Whisk speed against a planetary mixer on fast. */
export const SPEED_FACTOR = { fast: 1, medium: 0.7, slow: 0.4 } as const;
export const MIXER_FACTOR = { planetary: 1, 'hand-mixer': 0.85, 'balloon-whisk': 0.6, processor: 3 } as const;
/** Liquid volume over bowl volume at which each works best. */
export const BEST_FILL = { planetary: 0.2, 'hand-mixer': 0.18, 'balloon-whisk': 0.07, processor: 0.25 } as const;
export const FILL_PENALTY = 0.8;
/** Less than the best filling whisks quicker, by this power of best over filling and at most so much: less cream never takes longer. */
export const SHALLOW = { power: 0.2, most: 1.3 } as const;
/** Below best fill times this the wires do not reach the cream: there is no time to plan on. */
export const REACH_LIMIT = 1 / 8;
/** Foam above this share of the bowl climbs out. */
export const CLIMB_SHARE = 0.9;
/** A batch is split so that each fills a planetary bowl 0.12–0.30: 0.6 to 1.5 times its best fill, taken for the others too. */
export const GOOD_FILL = { low: 0.6, high: 1.5 } as const;

/** Rate per °C above 7 °C of the clock that builds air and network up to firm, and of the clock that clumps the fat past it. */
export const WARM_RATE = 0.94;
export const WARM_CLUMPING = 1.12;
/** Rate lost per g of sugar per 100 g of cream. */
export const RATE_LOSS_PER_SUGAR = { start: 0.01, 'soft-peak': 0.003 } as const;
/** Rate gained per share (0–1) of the dairy: mascarpone and soft cheese bring fat that is ready to stand. */
export const RATE_GAIN_PER_SHARE = { mascarpone: 2.2, softCheese: 2.2 } as const;
/** Sour cream thickens sooner and takes less air, per g of acid in a kg of the bowl, up to so much acid. */
export const SOUR_WHISK = { rate: 0.14, air: 0.03, most: 8 } as const;
/** What the kind of cream does to rate, air and hold; pasteurised is 1. */
export const CREAM_KINDS = {
  'long-life': { rate: 0.7, air: 1.15, hold: 2 },
  stabilised: { rate: 0.8, air: 1.35, hold: 3 },
} as const;
/** A plant cream made for whipping: overrun %, and its fat stays in droplets, so that it never turns to butter. */
export const PLANT_CREAM = { overrunPct: 300, rate: 0.8, hold: 6 } as const;
/** Above the first of these there is no clean firm stage; from there to the second the earlier stages come to close at the first grain, °C. */
export const CHURNS_FROM_C = 12;
export const CHURNS_WHOLLY_C = 13;
/** Above this no peak stands at all, °C. */
export const NO_PEAK_FROM_C = 16;
/** Fat % from which the clumping clock runs steeper downwards. */
export const LEAN_CLUMPS = { belowPct: 33, power: 2.5 } as const;
/** Fat % below which firm may not come, and below which it will not stand. */
export const LEAN = { mayNotComePct: 31, willNotStandPct: 28 } as const;
/** Air against the fat network: √((x − 0.02)/0.53) up to firm, then straight down to 0.4 at butter. */
export const AIR_AT_BUTTER = 0.4;

/** How a fat % of everything in the bowl reads; each from its figure on. */
export const FAT_READINGS = [
  { from: 0, key: 'will-not-whip', says: 'will not whip' },
  { from: 25, key: 'foams', says: 'foams, will not stand' },
  { from: 30, key: 'soft', says: 'soft and airy, needs a stabiliser' },
  { from: 33, key: 'stands', says: 'stands well' },
  { from: 38, key: 'firm', says: 'firm and quick' },
  { from: 43, key: 'dense', says: 'dense, easily over' },
  { from: 50.000001, key: 'spreads', says: 'spreads, hardly takes air' },
] as const;

/** Hold at 4 °C, h, of a 36 % cream with nothing added, until the first drop of whey or a softened edge. */
export const HOLD_H = 10;
/** Still to be filled or whipped again: this many times as long. */
export const USABLE_FACTOR = 5;
export const HOLD_GAIN = {
  gelatinPerGPerKg: 0.55,
  mascarponeShare: 6,
  softCheeseShare: 10,
  strainedYoghurtShare: 10,
  rawStarchPct: 0.15,
  xanthanPerGPerKg: 1.2,
  powderPerGPerKg: 0.05,
} as const;
export const HOLD_GAIN_CAP = 20;
/** Each 10 °C warmer shortens the hold by this factor. */
export const HOLD_Q10 = 3.5;
/** The last of the milk fat melts above this: from there each 10 °C shortens it so much (decision 119). */
export const HOLD_WARM = { fromC: 25, q10: 20 } as const;
/** Gelatin melts at 27–32 °C: its part of the hold fades evenly by factor between these, °C (decision 119). */
export const GELATIN_FADES_C = { from: 20, gone: 32 } as const;
/** Sugar binds water: hold gained per g of added sugar per 100 g of dairy, and its most. */
export const SUGAR_HOLD = { perG: 0.02, most: 1.4 } as const;
/** How long each stage holds against medium and firm; butter holds nothing. */
export const STAGE_HOLD = { soft: 0.85, medium: 1, firm: 1, grainy: 0.6, butter: 0 } as const;
/** Juice or wine acidulates and thickens: factor of the hold by % of the mass, straight between. */
export const SOUR_HOLD: readonly (readonly [pct: number, factor: number])[] = [
  [0, 1],
  [2, 1],
  [5, 1.4],
  [15, 1.4],
  [25, 1],
  [100, 1],
];
/** Air that a meringue buttercream keeps, % of its volume without air: the butter takes most of what the meringue had (house: 1.05 to 1.25 mL a gram). */
export const BUTTERCREAM_OVERRUN = 22;

/** The usual rule for dairy cream desserts; a kitchen may be stricter. `byPlace`: h that dairy keeps by °C where it stands, evenly by factor between. */
export const KEEPING_H = {
  dairy: 72,
  rawEgg: 24,
  outOfFridge: 2,
  frozen: 2160,
  byPlace: [
    [-60, 72],
    [5, 72],
    [8, 24],
    [12, 2],
    [100, 2],
  ] as readonly (readonly [placeC: number, hours: number])[],
} as const;

/** What a fold keeps of the air of every foam in the bowl, ±6 %. */
export const FOLD_SPREAD = 0.06;
export const FOLD_KEEPS = 0.93;
/** A base that is warmer than this counts as stiff, °C. */
export const WARM_BASE_C = 30;
/** Into a base stiffer than the foam, or warmer than 30 °C. */
export const STIFF_FOLD_KEEPS = 0.8;
/** Whites that meet chocolate or cheese lose air to its fat before they are folded under; this is kept of theirs (ours, ±25 %: a mousse of 170 g chocolate and four eggs comes to about a litre). */
export const WHITES_IN_FAT_KEEP = 0.55;
/** The sacrificed first portion keeps this of its own air. */
export const FIRST_PORTION_KEEPS = 0.55;
/** A foam that is whisked in rather than folded. */
export const WHISKED_IN_KEEPS = 0.75;

/** Overrun % of egg foams at their right stage, ±15 %. */
export const EGG_FOAM_SPREAD = 0.15;
export const EGG_FOAM_OVERRUN = {
  'french-1-1': 480,
  'french-2-1': 350,
  swiss: 330,
  italian: 400,
  whites: 650,
  'yolks-ribbon': 170,
  'yolks-hot-syrup': 210,
  'whole-eggs': 240,
} as const;
export type EggFoam = keyof typeof EGG_FOAM_OVERRUN;

/** Syllabub (±25 %): g of water phase that the foam keeps per g of milk fat, h in which the excess sinks, clear drink that is wished. */
export const SYLLABUB_SPREAD = 0.25;
export const SYLLABUB = { keepsPerFat: 2.15, partsInH: 8, drinkShare: { low: 0.1, high: 0.2 } } as const;

/** Where a finished dessert waits: a fridge, a cool box with packs, the counter. */
export const COOL_BOX_C = 8;
/** Frozen desserts are kept this long, months. */
export const FROZEN_MONTHS = 3;

/**
 * Egg foams under the whisk, ±25 % (ours: no table gives them). Seconds to each stage in a planetary mixer on fast whose foam fills the bowl
 * well, eggs at 20 °C; for a foam with hot syrup or hot whites from the moment it is in. `air` is the share of the foam's own overrun.
 */
export const EGG_WHISK_SPREAD = 0.25;
export const EGG_WHISK = {
  whites: {
    right: 'soft',
    stages: [
      ['foamy', 40, 0.45],
      ['soft', 90, 1],
      ['firm', 140, 1],
      ['dry', 190, 0.75],
    ],
  },
  'french-1-1': {
    right: 'firm',
    stages: [
      ['foamy', 60, 0.35],
      ['soft', 150, 0.8],
      ['firm', 300, 1],
      ['dry', 540, 0.8],
    ],
  },
  'french-2-1': {
    right: 'firm',
    stages: [
      ['foamy', 75, 0.35],
      ['soft', 210, 0.8],
      ['firm', 420, 1],
      ['dry', 840, 0.85],
    ],
  },
  swiss: {
    right: 'firm',
    stages: [
      ['foamy', 60, 0.35],
      ['soft', 180, 0.8],
      ['firm', 390, 1],
    ],
  },
  italian: {
    right: 'firm',
    stages: [
      ['foamy', 45, 0.45],
      ['soft', 100, 0.85],
      ['firm', 420, 1],
    ],
  },
  'yolks-ribbon': {
    right: 'ribbon',
    stages: [
      ['pale', 90, 0.35],
      ['thick', 200, 0.75],
      ['ribbon', 330, 1],
    ],
  },
  'yolks-hot-syrup': {
    right: 'ribbon',
    stages: [
      ['pale', 90, 0.35],
      ['thick', 220, 0.75],
      ['ribbon', 420, 1],
    ],
  },
  'whole-eggs': {
    right: 'ribbon',
    stages: [
      ['pale', 120, 0.35],
      ['thick', 300, 0.75],
      ['ribbon', 480, 1],
      ['coarse', 900, 0.85],
    ],
  },
} as const satisfies Readonly<Record<EggFoam, { readonly right: string; readonly stages: readonly (readonly [name: string, seconds: number, air: number])[] }>>;
/** How each mixer drives an egg foam; a processor's blade cuts and brings no air. */
export const EGG_MIXER_FACTOR = { planetary: 1, 'hand-mixer': 0.75, 'balloon-whisk': 0.35, processor: null } as const;
/** Rate lost per °C that the eggs are colder than 20 °C, where nothing hot comes in. */
export const COLD_EGG = { warmC: 20, lossPerC: 0.015 } as const;

/** Warming of what is whisked, °C per minute per °C that the room is warmer. */
export const WHISK_WARMS = 0.03;

/** What the motor feels, over its load at firm, by fat network (ours; the filter bends it): a network stiffens the cream, butter frees the whisk again. */
export const LOAD_BY_NETWORK: readonly (readonly [x: number, load: number])[] = [
  [0.02, 0],
  [0.1, 0.07],
  [0.25, 0.3],
  [0.4, 0.62],
  [0.55, 1],
  [0.7, 1.22],
  [0.8, 1.12],
  [0.9, 0.6],
  [1, 0.45],
];

/** Strokes of a spatula that fold a litre in (±30 %, ours); more volume takes more, as its cube root. What a fold keeps is kept at these strokes. */
export const FOLD_STROKES = { perLitre: 30, spread: 0.3 } as const;

/** Melted milk fat sets again in the cold before it can hold air: at least, and best, h at 5 °C or below (science-2, section 5). */
export const FAT_SETS_H = [6, 12] as const;
/** From this share of the cream on it matters that it was hot (house). */
export const HEATED_SHARE = 0.25;

/** A whisked sponge once it is baked: its density, g/mL, and what is left of the batter’s mass after the water that the oven takes (ours, ±20 %; genoise is 0.25–0.35). */
export const SPONGE = { gPerMl: 0.3, bakedShare: 0.88 } as const;
