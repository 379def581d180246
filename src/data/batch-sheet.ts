import { scaleTo, scaleToPortions } from '../core/rewrite/scale';
import type { Kitchen } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
import { fail, type Result, ok } from '../core/result';
import type { StoredBatch } from './batches';
import type { KitchenDb } from './kitchen-file';
import { getSheetVersion } from './sheets';

/**
 * The sheet that a batch is made from: its version at its size, and with what was poured more. What its mends put in is not in it yet.
 * @returns a fault when the version is no longer in the kitchen.
 */
export function sheetOfBatch(db: KitchenDb, batch: Pick<StoredBatch, 'sheetId' | 'sheetVersion' | 'portions' | 'progress'>, kitchen: Kitchen): Result<Sheet> {
  const doc = getSheetVersion(db, batch.sheetId, batch.sheetVersion);
  if (!doc) return fail('batch', 'gone', 'This batch is no longer in the log.');
  const scaled = scaleToPortions(doc, batch.portions);
  if (!scaled.ok || batch.progress.scale === 1) return scaled;
  const poured = scaleTo(scaled.value, { kind: 'factor', factor: batch.progress.scale }, kitchen);
  return poured.ok ? ok(poured.value.sheet) : poured;
}
