import { z } from 'zod';

/** A pack in the larder, whole or opened. */
export const StockPackSchema = z.object({
  id: z.string().min(1).max(80),
  ingredientId: z.string().min(1).max(80),
  /** As it was bought, g. */
  sizeG: z.number().positive().max(1_000_000),
  /** What is left of it, g. */
  leftG: z.number().min(0).max(1_000_000),
  /** 'YYYY-MM-DD'; null where it says none. */
  bestBefore: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/, 'a day, like 2026-12-01')
    .nullable(),
  /** The maker's lot as it is printed on it; '' where it was not written down. */
  lot: z.string().trim().max(60).default(''),
});
export type StockPack = Readonly<z.infer<typeof StockPackSchema>>;

/** Opened before whole, then by the day that it says, none last. */
const firstOut = (a: StockPack, b: StockPack): number =>
  Number(a.leftG >= a.sizeG) - Number(b.leftG >= b.sizeG) ||
  ((a.bestBefore ?? '9999') < (b.bestBefore ?? '9999') ? -1 : (a.bestBefore ?? '9999') > (b.bestBefore ?? '9999') ? 1 : a.id < b.id ? -1 : 1);

/** Whether a pack is still good on a day. */
export const isGoodOn = (pack: StockPack, day: string): boolean => pack.bestBefore === null || pack.bestBefore >= day;

/** What there is of an ingredient that is still good on a day, g. */
export const inStockG = (stock: readonly StockPack[], ingredientId: string, day: string): number =>
  stock.reduce((sum, p) => sum + (p.ingredientId === ingredientId && isGoodOn(p, day) ? p.leftG : 0), 0);

export interface Drawn {
  readonly stock: readonly StockPack[];
  /** What the larder did not have, g. */
  readonly shortG: number;
}

/** Takes an amount out of the packs of an ingredient: opened ones first, then those that end soonest; past their day none. Mass is conserved. */
export function drawDown(stock: readonly StockPack[], ingredientId: string, massG: number, day: string): Drawn {
  let left = Math.max(0, massG);
  const taken = new Map<string, number>();
  for (const p of stock.filter((x) => x.ingredientId === ingredientId && isGoodOn(x, day)).sort(firstOut)) {
    const take = Math.min(left, p.leftG);
    if (take > 0) taken.set(p.id, take);
    left -= take;
  }
  return { stock: stock.map((p) => (taken.has(p.id) ? { ...p, leftG: p.leftG - taken.get(p.id)! } : p)), shortG: left };
}
