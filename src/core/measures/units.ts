/** Kitchen measures. Masses in g, volumes in mL; pieces and packs weigh what the larder says. */
import { lookUp } from '../look-up';
export type Dimension = 'mass' | 'volume' | 'piece' | 'pack';

export interface Unit {
  readonly key: string;
  readonly dimension: Dimension;
  /** g or mL of one; 1 for pieces and packs, and replaced by the kitchen's own cup, spoons and pint. */
  readonly size: number;
  readonly names: readonly string[];
  /** Shown for one, and for more than one. */
  readonly one: string;
  readonly many: string;
}

const unit = (key: string, dimension: Dimension, size: number, names: string, one: string, many = one): Unit => ({
  key,
  dimension,
  size,
  names: names.split(' ').map((n) => n.replaceAll('_', ' ')),
  one,
  many,
});

/** Measures that nobody measures: what is said beside them in grams or millilitres counts, and where nothing is, the usual size is asked about. */
const BY_FEEL: ReadonlySet<string> = new Set(['knob', 'bar', 'punnet', 'handful', 'thumb', 'glug', 'splash', 'wineglass', 'spoonful', 'shot', 'drizzle']);
export const isByFeel = (u: Unit): boolean => BY_FEEL.has(u.key);

/** A US stick of butter, half a US cup as it is cut by weight: a quarter of a pound. */
export const OZ_G = 28.349523125;
export const LB_G = 16 * OZ_G;
/** US fluid ounce and quart. */
export const FL_OZ_ML = 29.5735295625;
export const QT_ML = 32 * FL_OZ_ML;
export const CU_FT_ML = 28_316.846592;
export const INCH_MM = 25.4;

const STICK_G = LB_G / 4;

export const UNITS: readonly Unit[] = [
  unit('g', 'mass', 1, 'g gr gm gms gram grams gramme grammes', 'g'),
  unit('kg', 'mass', 1000, 'kg kgs kilo kilos kilogram kilograms', 'kg'),
  unit('mg', 'mass', 0.001, 'mg milligram milligrams', 'mg'),
  unit('oz', 'mass', OZ_G, 'oz ounce ounces', 'oz'),
  unit('lb', 'mass', LB_G, 'lb lbs pound pounds', 'lb'),
  unit('stick', 'mass', STICK_G, 'stick sticks', 'stick', 'sticks'),
  unit('ml', 'volume', 1, 'ml mls mil mils millilitre millilitres milliliter milliliters', 'mL'),
  unit('cl', 'volume', 10, 'cl centilitre centilitres', 'cL'),
  unit('dl', 'volume', 100, 'dl decilitre decilitres', 'dL'),
  unit('l', 'volume', 1000, 'l litre litres liter liters', 'L'),
  unit('floz', 'volume', FL_OZ_ML, 'fl_oz fl._oz floz fluid_ounce fluid_ounces', 'fl oz'),
  unit('cup', 'volume', 236.5882365, 'cup cups c cupful cupfuls', 'cup', 'cups'),
  unit('tbsp', 'volume', 14.78676478125, 'tbsp tbsps tablespoon tablespoons tablespoonful tablespoonfuls tbs tblsp tb', 'tbsp'),
  unit('dsp', 'volume', 9.8578431875, 'dsp dsps dessertspoon dessertspoons dstspn', 'dsp'),
  unit('tsp', 'volume', 4.92892159375, 'tsp tsps teaspoon teaspoons teaspoonful teaspoonfuls', 'tsp'),
  unit('pint', 'volume', 473.176473, 'pint pints pt pts', 'pint', 'pints'),
  // A quarter of the pint that is meant.
  unit('gill', 'volume', 118.29411825, 'gill gills', 'gill', 'gills'),
  unit('quart', 'volume', QT_ML, 'quart quarts qt qts', 'quart', 'quarts'),
  // Amounts by feel (house): a glug is about a tablespoon, a dash an eighth of a teaspoon, a drop a twentieth of a mL.
  unit('glug', 'volume', 15, 'glug glugs', 'glug', 'glugs'),
  unit('drizzle', 'volume', 7.5, 'drizzle drizzles', 'drizzle', 'drizzles'),
  unit('splash', 'volume', 5, 'splash splashes squeeze squeezes', 'splash', 'splashes'),
  // A wine glass of the old books is an eighth of a pint (house); a spoonful is a tablespoon.
  unit('wineglass', 'volume', 70, 'wine_glass wine_glasses wineglass wineglassful wine_glassful', 'wine glass', 'wine glasses'),
  // A tea cup of the old books is a quarter of their pint (house).
  unit(
    'teacup',
    'volume',
    142,
    'tea_cup tea_cups tea-cup tea-cups tea-cupful tea-cupfuls teacup teacups teacupful teacupfuls tea_cupful tea_cupfuls',
    'tea cup',
    'tea cups',
  ),
  unit('spoonful', 'volume', 15, 'spoonful spoonfuls spoon spoons', 'spoonful', 'spoonfuls'),
  // Of espresso or a spirit, as bars measure it (house).
  unit('shot', 'volume', 30, 'shot shots', 'shot', 'shots'),
  unit('dash', 'volume', 0.6, 'dash dashes', 'dash', 'dashes'),
  unit('drop', 'volume', 0.05, 'drop drops', 'drop', 'drops'),
  unit('pinch', 'mass', 0.3, 'pinch pinches', 'pinch', 'pinches'),
  unit('knob', 'mass', 15, 'knob knobs', 'knob', 'knobs'),
  // A bar of chocolate and a punnet of berries as they are mostly sold (house): asked about where they are read.
  unit('bar', 'mass', 100, 'bar bars', 'bar', 'bars'),
  unit('punnet', 'mass', 125, 'punnet punnets', 'punnet', 'punnets'),
  // As much of a root as a thumb (house).
  unit('thumb', 'mass', 20, 'thumb thumbs thumb-sized_piece thumb-size_piece', 'thumb', 'thumbs'),
  unit('handful', 'mass', 40, 'handful handfuls', 'handful', 'handfuls'),
  unit('leaf', 'piece', 1, 'leaf leaves sheet sheets', 'leaf', 'leaves'),
  unit('piece', 'piece', 1, 'piece pieces pc pcs', 'piece', 'pieces'),
  unit(
    'pack',
    'pack',
    1,
    'pack packs packet packets package packages pkg pkgs pkt pkts carton cartons tub tubs pot pots tin tins can cans jar jars box boxes bottle bottles bag bags block blocks container containers brick bricks sleeve sleeves',
    'pack',
    'packs',
  ),
  unit('sachet', 'pack', 1, 'sachet sachets envelope envelopes', 'sachet', 'sachets'),
];

const BY_NAME = new Map(UNITS.flatMap((u) => u.names.map((n) => [n, u] as const)));
const BY_KEY = new Map(UNITS.map((u) => [u.key, u]));

/** The unit of a written word, whatever its case and with or without a full stop; null when it is no measure. */
export function unitNamed(word: string): Unit | null {
  // A capital T is a tablespoon and a small t a teaspoon in handwritten American recipes.
  if (word === 'T' || word === 'T.') return unitOf('tbsp');
  if (word === 't' || word === 't.') return unitOf('tsp');
  return BY_NAME.get(word.toLowerCase().replace(/\.$/, '')) ?? null;
}

export const unitOf = (key: string): Unit => {
  const found = BY_KEY.get(key);
  if (!found) throw new RangeError(`no unit ${key}`);
  return found;
};

/**
 * The cups, spoons and pints that a kitchen means, mL. Where metric and Australian recipes still write pints and fluid
 * ounces they mean the imperial ones.
 */
export const CUP_SYSTEMS = {
  us: {
    name: 'US',
    cup: 236.5882365,
    tbsp: 14.78676478125,
    dsp: 9.8578431875,
    tsp: 4.92892159375,
    floz: FL_OZ_ML,
    pint: 473.176473,
    gill: 118.29411825,
    quart: QT_ML,
  },
  metric: { name: 'metric', cup: 250, tbsp: 15, dsp: 10, tsp: 5, floz: 28.4130625, pint: 568.26125, gill: 142.0653125, quart: 1136.5225 },
  imperial: {
    name: 'imperial',
    cup: 284.130625,
    tbsp: 17.7581640625,
    dsp: 11.838776041666667,
    tsp: 5.919388020833333,
    floz: 28.4130625,
    pint: 568.26125,
    gill: 142.0653125,
    quart: 1136.5225,
  },
  australian: { name: 'Australian', cup: 250, tbsp: 20, dsp: 10, tsp: 5, floz: 28.4130625, pint: 568.26125, gill: 142.0653125, quart: 1136.5225 },
} as const;
export type CupSystem = keyof typeof CUP_SYSTEMS;
export const CUP_SYSTEM_KEYS = Object.keys(CUP_SYSTEMS) as [CupSystem, ...CupSystem[]];

/** What a system's measures are called where they are written before the unit: '2 metric cups', '1 wine pint'. */
export type WrittenSystem = CupSystem | 'wine';

const SYSTEM_NAMES: Readonly<Record<string, WrittenSystem>> = {
  us: 'us',
  american: 'us',
  metric: 'metric',
  imperial: 'imperial',
  imp: 'imperial',
  uk: 'imperial',
  british: 'imperial',
  australian: 'australian',
  aus: 'australian',
  au: 'australian',
  wine: 'wine',
};

/** 'US', 'imp.', 'metric', 'Australian', 'wine' before a unit; null for any other word. */
export const systemNamed = (word: string): WrittenSystem | null => lookUp(SYSTEM_NAMES, word.toLowerCase().replace(/\.$/, '')) ?? null;

/** The old wine pint: an eighth of the wine gallon of 231 cubic inches (the US pint keeps it). */
const WINE_PINT_ML = (231 * 16.387064) / 8;

/** Whether a unit's size depends on whose kitchen it is. */
export const differsBySystem = (u: Unit): boolean => u.key in CUP_SYSTEMS.us && u.key !== 'name';

/** g or mL of one of a unit in this kitchen, or in the system written before it. */
export function unitSize(u: Unit, cups: CupSystem, written: WrittenSystem | null = null): number {
  if (!differsBySystem(u)) return u.size;
  const key = u.key as Exclude<keyof (typeof CUP_SYSTEMS)['us'], 'name'>;
  if (written === 'wine') return (CUP_SYSTEMS.us[key] / CUP_SYSTEMS.us.pint) * WINE_PINT_ML;
  return CUP_SYSTEMS[written ?? cups][key];
}

/** How full a spoon or cup is, against a level one (house). */
export const HEAPS: Readonly<Record<string, number>> = { level: 1, heaped: 1.5, heaping: 1.5, rounded: 1.25, generous: 1.15, tiny: 0.5, scant: 0.9, good: 1.1 };

/**
 * What an egg of a size holds without its shell, g. US: USDA weight classes (large 50 g); European: the middle of each
 * class of EU egg marketing rules, less 12 % shell. White and yolk keep the larder's shares (house).
 */
export const EGG_SIZES = {
  us: { small: 38, medium: 44, large: 50, 'extra large': 56, jumbo: 63 },
  eu: { small: 43, medium: 50, large: 60, 'extra large': 68, jumbo: 68 },
} as const;
export type EggSystem = keyof typeof EGG_SIZES;
export type EggSize = keyof (typeof EGG_SIZES)['us'];
/** The larder's egg piece is one of these, g without shell. */
export const LARDER_EGG_G = 50;
