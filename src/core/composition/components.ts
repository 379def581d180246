/** What an ingredient is made of, g per 100 g of it. The order is that of the larder file's columns. */
export const COMPONENTS = [
  'water',
  'milk_fat',
  'cocoa_fat',
  'egg_fat',
  'other_fat',
  'milk_protein',
  'egg_protein',
  'gelatin_protein',
  'other_protein',
  'lactose',
  'sucrose',
  'glucose',
  'fructose',
  'higher_saccharides',
  'polyol',
  'starch',
  'fibre',
  'ethanol',
  'acid',
  'salt',
  'other_solids',
] as const;

export type Component = (typeof COMPONENTS)[number];

/** g of each component; per 100 g for an ingredient, in absolute grams for a mix. */
export type Composition = Readonly<Record<Component, number>>;

/** Five thermal classes of Choi & Okos, water, and ethanol. */
export type ThermalClass = 'protein' | 'fat' | 'carbohydrate' | 'fibre' | 'ash' | 'water' | 'ethanol';

export const THERMAL_CLASS: Readonly<Record<Component, ThermalClass>> = {
  water: 'water',
  milk_fat: 'fat',
  cocoa_fat: 'fat',
  egg_fat: 'fat',
  other_fat: 'fat',
  milk_protein: 'protein',
  egg_protein: 'protein',
  gelatin_protein: 'protein',
  other_protein: 'protein',
  lactose: 'carbohydrate',
  sucrose: 'carbohydrate',
  glucose: 'carbohydrate',
  fructose: 'carbohydrate',
  higher_saccharides: 'carbohydrate',
  polyol: 'carbohydrate',
  starch: 'carbohydrate',
  fibre: 'fibre',
  ethanol: 'ethanol',
  acid: 'carbohydrate',
  salt: 'ash',
  other_solids: 'ash',
};

const NOTHING = Object.fromEntries(COMPONENTS.map((c) => [c, 0])) as Record<Component, number>;

/** A composition with the unnamed components at zero. */
export const composition = (part: Partial<Record<Component, number>>): Composition => ({ ...NOTHING, ...part });
