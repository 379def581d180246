import 'server-only';
import { METRIC, ShownUnitsSchema, type ShownUnits } from '../core/measures/shown';
import { showHereIn } from '../core/measures/shown-here';
import { copiesFolder, copyNamed, goBackTo, isCopyDue, makeCopy, type Copy } from './copies';
import { dataFilePath } from './data-file-path';
import { takeHold } from './hold';
import { DataFileError, openKitchenFile, type KitchenDb } from './kitchen-file';

/** The open data file of this server, or why there is none. */
export type KitchenAccess = { readonly ok: true; readonly db: KitchenDb } | { readonly ok: false; readonly error: DataFileError };

const held = globalThis as typeof globalThis & { softPeakDb?: { path: string; db: KitchenDb; end: () => void } };

/** The kitchen's data file, opened once. A failed opening is tried again at the next request, and logged each time. */
export function kitchen(): KitchenAccess {
  const access = heldKitchen();
  // Whatever is drawn next is drawn in its units, whoever changed them.
  if (access.ok) showHereIn(shownUnits(access.db));
  return access;
}

function heldKitchen(): KitchenAccess {
  const path = dataFilePath();
  if (held.softPeakDb?.path === path) return { ok: true, db: held.softPeakDb.db };
  try {
    const letGo = takeHold(path, Date.now());
    try {
      const db = openKitchenFile(path);
      held.softPeakDb = { path, db, end: watchOver(db, letGo) };
      return { ok: true, db };
    } catch (error) {
      letGo();
      throw error;
    }
  } catch (error) {
    if (!(error instanceof DataFileError)) throw error;
    console.error(`soft-peak: data file not opened (${error.code}): ${error.path}: ${error.detail}`);
    return { ok: false, error };
  }
}

/** In which units this kitchen is shown. */
function shownUnits(db: KitchenDb): ShownUnits {
  const row = db.$client.prepare("select json_extract(rules, '$.shown') shown from kitchen_rules where id = 1").get() as { shown: string | null } | undefined;
  const read = ShownUnitsSchema.safeParse(JSON.parse(row?.shown ?? '{}'));
  return read.success ? read.data : METRIC;
}

const FIRST_LOOK_MS = 60_000;
const LOOK_EVERY_MS = 30 * 60_000;
/** After being told to go: time for the writes that are under way. */
const CLOSES_AFTER_MS = 1500;

/**
 * Copies the file when a copy is due, and closes it at the end, so that all of it lies in the one file that a cook would copy.
 * @returns what closes it and watches no more.
 */
function watchOver(db: KitchenDb, letGo: () => void): () => void {
  const look = (): void => {
    if (!isCopyDue(Date.now())) return;
    makeCopy(db, Date.now()).catch((error: unknown) => console.error(`soft-peak: no copy was made: ${error instanceof Error ? error.message : String(error)}`));
  };
  const timers = [setTimeout(look, FIRST_LOOK_MS).unref(), setInterval(look, LOOK_EVERY_MS).unref()];
  const end = (): void => {
    timers.forEach(clearTimeout);
    process.off('exit', end);
    for (const signal of ['SIGTERM', 'SIGINT'] as const) process.off(signal, goes);
    if (db.$client.open) db.$client.close();
    letGo();
  };
  const goes = (): void => void setTimeout(end, CLOSES_AFTER_MS);
  process.on('exit', end);
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, goes);
  return end;
}

/**
 * Goes back to a copy while the server runs: what stands there now becomes a copy of its own first, and is kept beside the file as well.
 * @param letGo makes everybody else who reads the file let go of it, and forget what was worked out from it: the new one may bear the same revisions.
 * @returns the copy of what stood there; null where no copy has that name. @throws where either cannot be opened or written; the kitchen is then as it was.
 */
export async function goBackWhileOpen(name: string, now: number, letGo: () => Promise<void>): Promise<Copy | null> {
  const copy = copyNamed(name);
  if (!copy) return null;
  const present = await makeCopy(openedKitchen(), now, copiesFolder(), name);
  const path = dataFilePath();
  await letGo();
  // From here to the end nothing else runs: no request sees a file that is half gone back.
  held.softPeakDb?.end();
  delete held.softPeakDb;
  goBackTo(copy, path, now);
  const again = kitchen();
  if (!again.ok) throw again.error;
  return present;
}

/** The data file for a page that is only drawn when it could be opened (the root layout shows why otherwise). */
export function openedKitchen(): KitchenDb {
  const access = kitchen();
  if (!access.ok) throw access.error;
  return access.db;
}
