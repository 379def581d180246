import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { cp } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { dataFilePath } from './data-file-path';
import type { KitchenDb } from './kitchen-file';

/** Copies of the kitchen's data file, made by SQLite's own online backup while the kitchen works. */

/** A copy that was opened and counted when it was made. */
export interface Copy {
  readonly name: string;
  /** ms since 1970. */
  readonly at: number;
  readonly bytes: number;
}

/** What a data file holds, for comparing two of them. */
export interface Holdings {
  readonly sheets: number;
  readonly batches: number;
  readonly ingredients: number;
  readonly services: number;
}

const NAME = /^kitchen-(\d{4})(\d{2})(\d{2})-(\d{2})(\d{2})(\d{2})\.db$/;
const DAY_MS = 86_400_000;
/** All of the last 24 h up to so many, one a day for so many days, one a week for so many weeks, one a month for so many months. */
export const KEPT = { lastDay: 12, days: 7, weeks: 5, months: 12 } as const;
/** A copy is due when the last one is older than this, ms. */
export const DUE_MS = DAY_MS;

/** Where copies lie: SOFT_PEAK_COPIES, or `copies` beside the data file. */
export const copiesFolder = (): string => process.env.SOFT_PEAK_COPIES ?? join(dirname(dataFilePath()), 'copies');

const two = (n: number): string => String(n).padStart(2, '0');
const nameOf = (at: number): string => {
  const d = new Date(at);
  return `kitchen-${d.getUTCFullYear()}${two(d.getUTCMonth() + 1)}${two(d.getUTCDate())}-${two(d.getUTCHours())}${two(d.getUTCMinutes())}${two(d.getUTCSeconds())}.db`;
};

function momentOf(name: string): number | null {
  const m = NAME.exec(name);
  if (!m) return null;
  const [y, mo, d, h, mi, s] = m.slice(1).map(Number) as [number, number, number, number, number, number];
  return Date.UTC(y, mo - 1, d, h, mi, s);
}

/** The name of a copy that is made now. Names count seconds: a second copy within one does not take the first one's place. */
export function copyNameFree(folder: string, now: number): { readonly name: string; readonly at: number } {
  let at = now;
  while (existsSync(join(folder, nameOf(at)))) at += 1000;
  return { name: nameOf(at), at: momentOf(nameOf(at))! };
}

/** The copies of a folder, newest first. */
export function listCopies(folder = copiesFolder()): readonly Copy[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): Copy[] => {
      const at = momentOf(name);
      return at === null ? [] : [{ name, at, bytes: statSync(join(folder, name)).size }];
    })
    .sort((a, b) => b.at - a.at);
}

/**
 * Which copies stay: those of the last day, so that one made before a risky change or a going back is still there after it; the newest of each of the last days, weeks and months, and always the newest of all.
 * @param moments ms since 1970. @returns those that stay, newest first.
 */
export function copiesToKeep(moments: readonly number[], now: number): readonly number[] {
  const newestFirst = [...moments].sort((a, b) => b - a);
  const kept = new Set([...newestFirst.slice(0, 1), ...newestFirst.filter((at) => now - at < DAY_MS).slice(0, KEPT.lastDay)]);
  const keepNewestOf = (span: (at: number) => number, most: number, present: number): void => {
    const seen = new Set<number>();
    for (const at of newestFirst) {
      const which = span(at);
      if (seen.has(which) || present - which >= most) continue;
      seen.add(which);
      kept.add(at);
    }
  };
  const day = (at: number): number => Math.floor(at / DAY_MS);
  const week = (at: number): number => Math.floor((at / DAY_MS + 3) / 7);
  const month = (at: number): number => new Date(at).getUTCFullYear() * 12 + new Date(at).getUTCMonth();
  keepNewestOf(day, KEPT.days, day(now));
  keepNewestOf(week, KEPT.weeks, week(now));
  keepNewestOf(month, KEPT.months, month(now));
  return newestFirst.filter((at) => kept.has(at));
}

/** What a data file holds. @throws where it cannot be opened or is damaged. */
export function holdingsOf(path: string): Holdings {
  const file = new Database(path, { readonly: true, fileMustExist: true });
  try {
    const verdict = file.pragma('quick_check', { simple: true });
    if (verdict !== 'ok') throw new Error(`the copy is damaged: ${String(verdict).slice(0, 200)}`);
    const n = (table: string): number => (file.prepare(`select count(*) n from ${table}`).get() as { n: number }).n;
    return { sheets: n('sheets'), batches: n('batches'), ingredients: n('ingredients'), services: n('services') };
  } finally {
    file.close();
  }
}

const shared = globalThis as typeof globalThis & { softPeakCounts?: (path: string) => Promise<Holdings> };

/** Lets another thread open, check and count what was copied: of a few years' kitchen that takes most of a second, in which nobody else is answered. */
export const countCopiesBy = (count: (path: string) => Promise<Holdings>): void => {
  shared.softPeakCounts = count;
};

/**
 * Makes a copy, opens and counts it, and takes away those that are no longer kept. Photos go along: a new one is copied once.
 * @param spared a copy that stays this time, however old. @returns the copy with what it holds. @throws where it cannot be written or does not open; nothing is left of it then.
 */
export function makeCopy(db: KitchenDb, now: number, folder = copiesFolder(), spared: string | null = null): Promise<Copy & Holdings> {
  // Who asks while one is being made gets that one.
  const underWay = making.get(folder);
  if (underWay) return underWay;
  const made = copyInto(folder, db, now, spared).finally(() => making.delete(folder));
  making.set(folder, made);
  return made;
}

const making = new Map<string, Promise<Copy & Holdings>>();

async function copyInto(folder: string, db: KitchenDb, now: number, spared: string | null): Promise<Copy & Holdings> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const { name } = copyNameFree(folder, now);
  const unfinished = join(folder, `${name}.unfinished`);
  try {
    await db.$client.backup(unfinished);
    const holdings = await (shared.softPeakCounts ?? holdingsOf)(unfinished);
    renameSync(unfinished, join(folder, name));
    const photos = join(dirname(dataFilePath()), 'photos');
    if (existsSync(photos)) await cp(photos, join(folder, 'photos'), { recursive: true, force: false, errorOnExist: false });
    const all = listCopies(folder);
    const keep = new Set(
      copiesToKeep(
        all.map((c) => c.at),
        now,
      ),
    );
    for (const c of all) if (!keep.has(c.at) && c.name !== spared) rmSync(join(folder, c.name));
    return { name, at: momentOf(name)!, bytes: statSync(join(folder, name)).size, ...holdings };
  } finally {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${unfinished}${end}`, { force: true });
  }
}

/** Whether a copy is due. */
export const isCopyDue = (now: number, folder = copiesFolder()): boolean => now - (listCopies(folder)[0]?.at ?? -Infinity) >= DUE_MS;

/**
 * Puts a copy in the data file's place; what stood there is kept beside it. Nobody may have the file open.
 * @returns where the former file is kept, null where there was none. @throws where the copy does not open; nothing is changed then.
 */
export function goBackTo(copy: string, path: string, now: number): string | null {
  holdingsOf(copy);
  const aside = existsSync(path) ? `${path}.before-${nameOf(now).slice(8, -3)}` : null;
  if (aside !== null) {
    // What the log beside the file still holds belongs to it.
    const file = new Database(path);
    file.pragma('wal_checkpoint(TRUNCATE)');
    file.close();
    renameSync(path, aside);
  }
  for (const end of ['-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
  // Written beside and put in its place: at no moment does half a kitchen stand there.
  const coming = `${path}.coming`;
  cpSync(copy, coming);
  renameSync(coming, path);
  const photos = join(dirname(copy), 'photos');
  if (existsSync(photos)) cpSync(photos, join(dirname(path), 'photos'), { recursive: true, force: false, errorOnExist: false });
  return aside;
}

/** The path of a copy by its name; null where no copy is called so. */
export function copyNamed(name: string, folder = copiesFolder()): string | null {
  const path = join(folder, name);
  return NAME.test(name) && existsSync(path) ? path : null;
}
