import { and, asc, eq } from 'drizzle-orm';
import type { KitchenDb } from './kitchen-file';
import { temperatures } from './schema';

/** A temperature of a batch; `series` is the step and the probe that it belongs to. */
export interface StoredTemperature {
  readonly series: string;
  readonly at: number;
  readonly tC: number;
}

export const listTemperatures = (db: KitchenDb, batchId: string): readonly StoredTemperature[] =>
  db
    .select({ series: temperatures.series, at: temperatures.at, tC: temperatures.tC })
    .from(temperatures)
    .where(eq(temperatures.batchId, batchId))
    .orderBy(asc(temperatures.at))
    .all();

/** Keeps samples; the same moment of a series sent twice is kept once. */
export function addTemperatures(db: KitchenDb, batchId: string, samples: readonly StoredTemperature[]): void {
  if (samples.length === 0) return;
  db.transaction((tx) =>
    tx
      .insert(temperatures)
      .values(samples.map((s) => ({ ...s, batchId })))
      .onConflictDoNothing()
      .run(),
  );
}

/** Takes one away: a reading that was typed wrongly. Whether there was one. */
export const removeTemperature = (db: KitchenDb, batchId: string, series: string, at: number): boolean =>
  db.transaction(
    (tx) =>
      tx
        .delete(temperatures)
        .where(and(eq(temperatures.batchId, batchId), eq(temperatures.series, series), eq(temperatures.at, at)))
        .run().changes > 0,
  );
