import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, writeSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { and, asc, eq, isNotNull } from 'drizzle-orm';
import type { CleanPhoto } from '../core/files/photo';
import type { ObservationKind } from '../core/batch/observation';
import { dataFilePath } from './data-file-path';
import type { KitchenDb } from './kitchen-file';
import { observations } from './schema';

/** What was seen of a batch after the making. */
export interface StoredObservation {
  readonly id: string;
  readonly batchId: string;
  readonly kind: ObservationKind;
  readonly at: number;
  readonly value: number | null;
  readonly words: string;
  /** Name of the photo's file; null where there is none. */
  readonly photo: string | null;
}

/** Photos lie in a folder beside the data file. */
const photoFolder = (): string => join(dirname(dataFilePath()), 'photos');

export const listObservations = (db: KitchenDb, batchId: string): readonly StoredObservation[] =>
  db.select().from(observations).where(eq(observations.batchId, batchId)).orderBy(asc(observations.at)).all();

/** Keeps an observation, once for each id; the photo's file is whole on disk before the row names it. */
export function addObservation(db: KitchenDb, seen: Omit<StoredObservation, 'photo'>, photo: CleanPhoto | null): StoredObservation {
  const there = db.select().from(observations).where(eq(observations.id, seen.id)).get();
  if (there) return there;
  const name = photo ? `${seen.id}.${photo.kind === 'jpeg' ? 'jpg' : 'png'}` : null;
  if (photo && name) {
    mkdirSync(photoFolder(), { recursive: true, mode: 0o700 });
    const path = join(photoFolder(), name);
    const part = openSync(`${path}.part`, 'w', 0o600);
    try {
      writeSync(part, photo.bytes);
      fsyncSync(part);
    } finally {
      closeSync(part);
    }
    renameSync(`${path}.part`, path);
  }
  return db.transaction((tx) =>
    tx
      .insert(observations)
      .values({ ...seen, photo: name })
      .returning()
      .get(),
  );
}

export function removeObservation(db: KitchenDb, batchId: string, id: string): boolean {
  const gone = db.transaction((tx) =>
    tx
      .delete(observations)
      .where(and(eq(observations.id, id), eq(observations.batchId, batchId)))
      .returning()
      .get(),
  );
  if (gone?.photo) rmSync(join(photoFolder(), gone.photo), { force: true });
  return gone !== undefined;
}

/** A photo's bytes; null where no observation names it or its file is gone. */
export function readPhoto(db: KitchenDb, batchId: string, id: string): { readonly bytes: Buffer; readonly type: string } | null {
  const row = db
    .select()
    .from(observations)
    .where(and(eq(observations.id, id), eq(observations.batchId, batchId), isNotNull(observations.photo)))
    .get();
  const path = row?.photo ? join(photoFolder(), row.photo) : null;
  return path && existsSync(path) ? { bytes: readFileSync(path), type: path.endsWith('.png') ? 'image/png' : 'image/jpeg' } : null;
}
