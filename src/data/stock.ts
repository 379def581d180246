import { asc, eq } from 'drizzle-orm';
import { drawDown, StockPackSchema, type StockPack } from '../core/larder/stock';
import type { KitchenDb } from './kitchen-file';
import { batchPacks, stockPacks } from './schema';

type Tx = Pick<KitchenDb, 'select' | 'update' | 'insert'>;

/** Packs that have something left, by ingredient. */
export const listStock = (db: Pick<KitchenDb, 'select'>): StockPack[] =>
  db
    .select()
    .from(stockPacks)
    .orderBy(asc(stockPacks.ingredientId), asc(stockPacks.bestBefore))
    .all()
    .filter((r) => r.leftG > 0)
    .map(({ id, ingredientId, sizeG, leftG, bestBefore, lot }) => ({ id, ingredientId, sizeG, leftG, bestBefore, lot }));

/**
 * Puts packs into the larder, or writes down what is left of one.
 * @param seen what was left of each as the screen showed it, g, by id: where a batch or another screen has taken of one since, nothing is written.
 * @returns whether it was.
 */
export function putPacks(db: KitchenDb, packs: readonly StockPack[], now: number, seen: Readonly<Record<string, number>> = {}): boolean {
  return db.transaction(
    (tx) => {
      const left = new Map(
        tx
          .select({ id: stockPacks.id, leftG: stockPacks.leftG })
          .from(stockPacks)
          .all()
          .map((p) => [p.id, p.leftG]),
      );
      if (packs.some((p) => left.has(p.id) && seen[p.id] !== undefined && left.get(p.id) !== seen[p.id])) return false;
      for (const p of packs.map((x) => StockPackSchema.parse(x)))
        tx.insert(stockPacks)
          .values({ ...p, addedAt: now })
          .onConflictDoUpdate({ target: stockPacks.id, set: { sizeG: p.sizeG, leftG: p.leftG, bestBefore: p.bestBefore, lot: p.lot } })
          .run();
      return true;
    },
    { behavior: 'immediate' },
  );
}

/**
 * Takes what a batch used out of the packs, inside the transaction that ends it, and keeps which packs it was drawn from. What the larder
 * never had is left out: the stock is kept simple.
 */
export function drawStock(tx: Tx, batchId: string, taken: readonly { readonly ingredientId: string; readonly massG: number }[], day: string): void {
  let stock: readonly StockPack[] = listStock(tx);
  const before = new Map(stock.map((p) => [p.id, p.leftG]));
  for (const t of taken) stock = drawDown(stock, t.ingredientId, t.massG, day).stock;
  for (const p of stock) {
    const massG = before.get(p.id)! - p.leftG;
    if (massG === 0) continue;
    tx.update(stockPacks).set({ leftG: p.leftG }).where(eq(stockPacks.id, p.id)).run();
    tx.insert(batchPacks).values({ batchId, packId: p.id, massG }).onConflictDoNothing().run();
  }
}
