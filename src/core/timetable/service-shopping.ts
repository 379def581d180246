import type { Ingredient } from '../composition/ingredient';
import { inStockG, type StockPack } from '../larder/stock';
import type { Kitchen } from '../kitchen/kitchen';
import { eggBalance, isShellEgg, itemsFrom, packsFor, spareWords, usesOf, type EggBalance, type IngredientUse, type ShoppingItem } from '../shopping/shopping';
import { biscuitOfPart, filledVessels } from '../analysis/build';
import type { Dish } from './dish';

/** One thing of the whole service, with what the larder has of it. */
export interface ServiceItem extends Omit<ShoppingItem, 'uses'> {
  readonly uses: readonly { readonly dish: string; readonly massG: number }[];
  readonly inStockG: number;
  /** Still to be bought, g and packs. */
  readonly toBuyG: number;
  readonly packsToBuy: number | null;
}

export interface ServiceShopping {
  readonly items: readonly ServiceItem[];
  readonly eggs: EggBalance;
  readonly spare: readonly string[];
  readonly vessels: readonly { readonly name: string; readonly count: number; readonly onShelf: number }[];
  readonly biscuits: readonly { readonly name: string; readonly pieces: number }[];
  readonly cost: number | null;
  readonly unpriced: readonly string[];
}

/**
 * Everything that a service takes, summed over its desserts, less what the larder has that is still good on the day.
 * @param dishes each with its name. @param day 'YYYY-MM-DD' on which it is used.
 */
export function serviceShopping(
  dishes: readonly { readonly name: string; readonly dish: Dish }[],
  kitchen: Kitchen,
  stock: readonly StockPack[],
  day: string,
): ServiceShopping {
  const uses = dishes.flatMap(({ name, dish }) => usesOf(dish.analysis).map((u): IngredientUse => ({ ...u, part: name })));
  const items = itemsFrom(uses);
  // Only what is bought anew leaves an opened pack behind.
  const bought = items.flatMap((i) => {
    const toBuyG = i.boughtG - inStockG(stock, i.ingredient.id, day);
    const { packG } = i.ingredient;
    return isShellEgg(i.ingredient) ? [i] : toBuyG > 0.5 && packG !== null ? [{ ...i, openedG: Math.max(0, packsFor(toBuyG, packG) * packG - toBuyG) }] : [];
  });
  const eggs = eggBalance(items, kitchen);
  const unpriced = items.filter((i) => i.cost === null).map((i) => i.ingredient.name);
  const vessels = new Map<string, number>();
  for (const { dish } of dishes) for (const f of filledVessels(dish.analysis)) vessels.set(f.vessel.name, (vessels.get(f.vessel.name) ?? 0) + f.count);
  const biscuits = new Map<string, number>();
  for (const { dish } of dishes) {
    for (const a of dish.analysis.parts) {
      const found = biscuitOfPart(dish.analysis, a.part.id);
      if (found) biscuits.set(found.ingredient.name, (biscuits.get(found.ingredient.name) ?? 0) + found.pieces);
    }
  }
  return {
    items: items
      .map((i): ServiceItem => {
        const have = inStockG(stock, i.ingredient.id, day);
        const toBuyG = Math.max(0, i.boughtG - have);
        return {
          ...i,
          uses: byDish(uses, i.ingredient),
          inStockG: have,
          toBuyG,
          packsToBuy: isShellEgg(i.ingredient) || i.fruits || i.ingredient.packG === null ? null : toBuyG <= 0.5 ? 0 : packsFor(toBuyG, i.ingredient.packG),
        };
      })
      .sort((a, b) =>
        a.ingredient.category < b.ingredient.category ? -1 : a.ingredient.category > b.ingredient.category ? 1 : a.ingredient.name < b.ingredient.name ? -1 : 1,
      ),
    eggs,
    spare: spareWords(bought, eggs),
    vessels: [...vessels].map(([name, count]) => ({
      name,
      count,
      onShelf: kitchen.vessels.filter((v) => v.vessel.name === name).reduce((sum, v) => sum + v.count, 0),
    })),
    biscuits: [...biscuits].map(([name, pieces]) => ({ name, pieces: Math.ceil(pieces - 1e-6) })),
    cost: items.length === 0 || unpriced.length > 0 ? null : items.reduce((sum, i) => sum + (i.cost ?? 0), 0) + eggs.cost,
    unpriced,
  };
}

function byDish(uses: readonly IngredientUse[], ingredient: Ingredient): readonly { readonly dish: string; readonly massG: number }[] {
  const sums = new Map<string, number>();
  for (const u of uses) if (u.ingredient.id === ingredient.id) sums.set(u.part, (sums.get(u.part) ?? 0) + u.massG);
  return [...sums].map(([dish, massG]) => ({ dish, massG }));
}
