import { desc } from 'drizzle-orm';
import type { MendEntry } from '../core/batch/batch';
import type { Logged } from '../core/mend/case';
import { CAUSES, SIGN_IDS } from '../core/mend/words';
import type { KitchenDb } from './kitchen-file';
import { mends } from './schema';

/** As many as the causes of a kitchen are learnt from: the newest. */
const MOST = 2000;

/** Writes the mends of a batch into the kitchen's own list, in the transaction of the event. */
export function keepMends(tx: Pick<KitchenDb, 'insert'>, batchId: string, entries: readonly MendEntry[]): void {
  for (const { id, at, sign, cause, helped } of entries)
    tx.insert(mends).values({ id, batchId, at, sign, cause, helped }).onConflictDoUpdate({ target: mends.id, set: { helped } }).run();
}

/** What went wrong in this kitchen and what was done, newest first; what this program no longer knows is left out. */
export function listMends(db: KitchenDb): readonly Logged[] {
  return db
    .select()
    .from(mends)
    .orderBy(desc(mends.at))
    .limit(MOST)
    .all()
    .flatMap((row): Logged[] => {
      const sign = SIGN_IDS.find((s) => s === row.sign);
      return sign && Object.hasOwn(CAUSES, row.cause) ? [{ sign, cause: row.cause as Logged['cause'], helped: row.helped }] : [];
    });
}
