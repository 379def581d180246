/** The sample kitchen as a file: written once for a run of tests, then copied; hundreds of durable writes for each test would wait for the disk. */
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openKitchenFile, type KitchenDb } from '../data/kitchen-file';
import { seedSampleKitchen } from '../data/sample/sample-kitchen';

const made = new Map<number, string>();

/** Opens a fresh copy of the sample kitchen of a moment at a path. */
export function openSampleKitchen(path: string, now: number): KitchenDb {
  let from = made.get(now);
  if (from === undefined) {
    const folder = mkdtempSync(join(tmpdir(), 'soft-peak-sample-'));
    from = join(folder, 'kitchen.db');
    const db = openKitchenFile(from);
    // It is thrown away after the run: nothing has to be on the disk before the next write.
    db.$client.pragma('synchronous = OFF');
    seedSampleKitchen(db, now);
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    db.$client.close();
    made.set(now, from);
    process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
  }
  copyFileSync(from, path);
  return openKitchenFile(path);
}
