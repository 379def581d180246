import type { Ingredient } from '../composition/ingredient';
import { nutritionOf, type Nutrition } from '../larder/nutrition';
import { EGG_SIZES, LARDER_EGG_G } from '../measures/units';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { boughtG } from '../lines/read-part';

/** One thing to buy or to take from the larder, summed over every part and step. */
export interface ShoppingItem {
  readonly ingredient: Ingredient;
  /** On the board, g. */
  readonly neededG: number;
  /** With peel and stones, g. */
  readonly boughtG: number;
  /** Null where the larder knows no pack. */
  readonly packs: number | null;
  /** Whole fruits to buy: zest and juice come out of the same ones. Null for what is no citrus fruit. */
  readonly fruits: { readonly count: number; readonly name: string; readonly shared: boolean } | null;
  /** What stays in the last pack, g. */
  readonly openedG: number | null;
  readonly cost: number | null;
  /** Part and amount wherever it is used. */
  readonly uses: readonly { readonly part: string; readonly massG: number }[];
}

/** Eggs to crack, and what stays of them. */
export interface EggBalance {
  readonly eggs: number;
  readonly spareWhites: number;
  readonly spareYolks: number;
  /** In the larder's money, at its price per kg in the shell. */
  readonly cost: number;
}

export interface Shopping {
  readonly items: readonly ShoppingItem[];
  readonly eggs: EggBalance;
  /** What could be made of what is left over, in words. */
  readonly spare: readonly string[];
  /** In the larder's money; null while a price is missing. */
  readonly cost: number | null;
  readonly unpriced: readonly string[];
  readonly per100: Nutrition | null;
  readonly perPortion: Nutrition | null;
  readonly allergens: readonly string[];
  /** g in a portion. */
  readonly ethanolG: number;
}

const CRUMB_G = 0.5;
/** Share of an egg that is not shell. */
const EGG_EDIBLE = 0.88;

/** An amount of an ingredient, and where it goes. */
export interface IngredientUse {
  readonly ingredient: Ingredient;
  readonly part: string;
  readonly massG: number;
}

/** Every line of a sheet that is bought. */
export const usesOf = (s: SheetAnalysis): readonly IngredientUse[] =>
  s.parts.flatMap((a) => a.reading.lines.flatMap(({ ingredient, read }) => (ingredient && read ? [{ ingredient, part: a.part.name, massG: read.massG }] : [])));

/** A pack that falls short by so much of itself still does: two US cups are a pint carton. */
const PACK_GRACE = 0.02;
/** Packs for so many grams. */
export const packsFor = (g: number, packG: number): number => Math.max(1, Math.ceil(g / packG - PACK_GRACE));

const CITRUS = ['lemon', 'lime', 'orange'] as const;
/** Whole fruits for zest, juice and fruit of one kind: as many as the greater of zest and juice needs, and the whole ones. */
function citrusOf(
  items: ReadonlyMap<string, { readonly ingredient: Ingredient; readonly neededG: number }>,
): ReadonlyMap<string, NonNullable<ShoppingItem['fruits']>> {
  const out = new Map<string, NonNullable<ShoppingItem['fruits']>>();
  for (const name of CITRUS) {
    const mine = (['zest', 'juice', 'whole'] as const).flatMap((taken) => {
      const item = items.get(`${name}-${taken}`);
      return item?.ingredient.piece ? [{ taken, id: item.ingredient.id, count: item.neededG / item.ingredient.piece.grams }] : [];
    });
    const of = (taken: string): number => mine.find((m) => m.taken === taken)?.count ?? 0;
    // A piece is so much of a fruit; a twentieth short of one more is no fruit more.
    const count = Math.max(1, Math.ceil(Math.max(of('zest'), of('juice')) + of('whole') - 0.05));
    mine.forEach((m) => out.set(m.id, { count, name: count === 1 ? name : `${name}s`, shared: mine.length > 1 }));
  }
  return out;
}

/** Amounts summed by ingredient, with packs and what they cost. */
export function itemsFrom(uses: readonly IngredientUse[]): readonly ShoppingItem[] {
  const byId = new Map<string, { ingredient: Ingredient; neededG: number; uses: { part: string; massG: number }[] }>();
  for (const { ingredient, part, massG } of uses) {
    const item = byId.get(ingredient.id) ?? { ingredient, neededG: 0, uses: [] };
    item.neededG += massG;
    item.uses.push({ part, massG });
    byId.set(ingredient.id, item);
  }
  const fruits = citrusOf(byId);
  return [...byId.values()].map(({ ingredient, neededG, uses: where }): ShoppingItem => {
    // Whites and yolks come out of the same shells: they are bought as eggs, below.
    const shell = isShellEgg(ingredient);
    const bought = shell ? neededG : boughtG(neededG, ingredient);
    const fruit = fruits.get(ingredient.id) ?? null;
    const packs = shell || fruit || ingredient.packG === null ? null : packsFor(bought, ingredient.packG);
    return {
      ingredient,
      neededG,
      boughtG: bought,
      packs,
      fruits: fruit,
      openedG: packs === null || ingredient.packG === null ? null : Math.max(0, packs * ingredient.packG - bought),
      cost: ingredient.pricePerKg === null ? null : shell ? 0 : (bought * ingredient.pricePerKg) / 1000,
      uses: where,
    };
  });
}

/** Everything of a sheet that is bought, counted and declared. */
export function shoppingOf(s: SheetAnalysis, kitchen?: Kitchen): Shopping {
  const items = itemsFrom(usesOf(s));
  const unpriced = items.filter((i) => i.cost === null).map((i) => i.ingredient.name);
  const eggs = eggBalance(items, kitchen);
  const { massG, grams } = s.mixture;
  const scaled = (to: number): Nutrition | null =>
    massG > 0 ? nutritionOf(Object.fromEntries(Object.entries(grams).map(([c, g]) => [c, (g * to) / massG])) as unknown as typeof grams) : null;
  return {
    items,
    eggs,
    spare: spareWords(items, eggs),
    cost: items.length === 0 || unpriced.length > 0 ? null : items.reduce((sum, i) => sum + (i.cost ?? 0), 0) + eggs.cost,
    unpriced,
    per100: scaled(100),
    perPortion: scaled(massG / s.sheet.portions),
    allergens: [...new Set(s.parts.flatMap((a) => a.reading.allergens))].sort(),
    ethanolG: massG > 0 ? grams.ethanol / s.sheet.portions : 0,
  };
}

export const isShellEgg = (i: Ingredient): boolean => i.category === 'egg' && i.flags.includes('raw-egg');

/** Whites and yolks come out of the same eggs: as many as the greater need, and the others are spare. */
export function eggBalance(items: readonly ShoppingItem[], kitchen?: Kitchen): EggBalance {
  const size = kitchen ? EGG_SIZES[kitchen.rules.eggs.system][kitchen.rules.eggs.size] / LARDER_EGG_G : 1;
  const pieces = (id: string): number => {
    const item = items.find((i) => i.ingredient.id === id);
    return item?.ingredient.piece ? item.neededG / (item.ingredient.piece.grams * size) : 0;
  };
  // A twentieth over is no egg more.
  const counted = (id: string): number => Math.max(0, Math.ceil(pieces(id) - 0.05));
  const whites = counted('egg-white');
  const yolks = counted('egg-yolk');
  const whole = counted('egg-whole');
  const cracked = Math.max(whites, yolks);
  const eggs = cracked + whole;
  const pricePerKg = Math.max(0, ...items.filter((i) => isShellEgg(i.ingredient)).map((i) => i.ingredient.pricePerKg ?? 0));
  return { eggs, spareWhites: cracked - whites, spareYolks: cracked - yolks, cost: (eggs * LARDER_EGG_G * size * pricePerKg) / (1000 * EGG_EDIBLE) };
}

/** Sugar for a meringue, g a white, and small nests that a white makes (house). */
const SUGAR_PER_WHITE_G = 60;
const NESTS_PER_WHITE = 3;
/** Milk and sugar for a custard, g a yolk (house). */
const MILK_PER_YOLK_G = 100;
const SUGAR_PER_YOLK_G = 20;
/** A part-used pack is named from this share of it on. */
const OPENED_FROM = 0.1;

export function spareWords(items: readonly ShoppingItem[], eggs: EggBalance): string[] {
  const words: string[] = [];
  const { spareWhites: w, spareYolks: y } = eggs;
  if (w > 0) words.push(`${w} white${w === 1 ? '' : 's'} spare: ${w * SUGAR_PER_WHITE_G}\u00a0g sugar would make ${w * NESTS_PER_WHITE} small nests.`);
  if (y > 0)
    words.push(`${y} yolk${y === 1 ? '' : 's'} spare: ${y * MILK_PER_YOLK_G}\u00a0g milk and ${y * SUGAR_PER_YOLK_G}\u00a0g sugar would make a custard.`);
  for (const i of items) {
    if (i.ingredient.category === 'egg' || i.openedG === null || i.ingredient.packG === null || i.openedG < CRUMB_G) continue;
    const perishable = i.ingredient.category === 'cream' || i.ingredient.category === 'dairy';
    if (perishable && i.openedG > OPENED_FROM * i.ingredient.packG)
      words.push(`${Math.round(i.openedG)}\u00a0g of ${i.ingredient.name.replace(/ \(.*$/, '').toLowerCase()} stays in an opened pack.`);
  }
  return words;
}
