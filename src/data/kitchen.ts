import 'server-only';
import { DataFileError, dataFilePath, openKitchenFile, type KitchenDb } from './kitchen-file';

/** The open data file of this server, or why there is none. */
export type KitchenAccess = { readonly ok: true; readonly db: KitchenDb } | { readonly ok: false; readonly error: DataFileError };

const held = globalThis as typeof globalThis & { softPeakDb?: { path: string; db: KitchenDb } };

/** The kitchen's data file, opened once. A failed opening is tried again at the next request, and logged each time. */
export function kitchen(): KitchenAccess {
  const path = dataFilePath();
  if (held.softPeakDb?.path === path) return { ok: true, db: held.softPeakDb.db };
  try {
    held.softPeakDb = { path, db: openKitchenFile(path) };
    return { ok: true, db: held.softPeakDb.db };
  } catch (error) {
    if (!(error instanceof DataFileError)) throw error;
    console.error(`soft-peak: data file not opened (${error.code}): ${error.path}: ${error.detail}`);
    return { ok: false, error };
  }
}

/** The data file for a page that is only drawn when it could be opened (the root layout shows why otherwise). */
export function openedKitchen(): KitchenDb {
  const access = kitchen();
  if (!access.ok) throw access.error;
  return access.db;
}
