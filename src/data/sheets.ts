import { isDeepStrictEqual } from 'node:util';
import { and, count, desc, eq, isNotNull, isNull, ne, sql, type SQL } from 'drizzle-orm';
import { readSheetDoc, SheetSchema, type Sheet } from '../core/document/schema';
import type { KitchenDb } from './kitchen-file';
import { batches, sheets, sheetVersions } from './schema';
import { readRows } from './unreadable';

/** A sheet as it stands in the data file. */
export interface StoredSheet {
  readonly id: string;
  readonly doc: Sheet;
  readonly version: number;
  readonly revision: number;
  readonly updatedAt: number;
  /** The screen that saved last; '' where none did. */
  readonly savedBy: string;
  readonly folder: string;
  readonly archived: boolean;
}

/** The document of a row, brought up to this program's form. */
function docOf(raw: unknown): Sheet {
  const read = readSheetDoc(raw);
  if (!read.ok) throw new Error(`stored sheet: ${read.fault.says}`);
  return read.value;
}

/** A version goes on taking edits for this long; after it, or once a batch was made from it, the next edit opens a new one. */
const VERSION_OPEN_MS = 10 * 60_000;

type Row = typeof sheets.$inferSelect;

const stored = (row: Row): StoredSheet => ({
  id: row.id,
  doc: docOf(row.doc),
  version: row.headVersion,
  revision: row.revision,
  updatedAt: row.updatedAt,
  savedBy: row.savedBy,
  folder: row.folder,
  archived: row.archivedAt !== null,
});

/** Sheets in use, last touched first: all, or as many as are wanted. */
export const listSheets = (db: KitchenDb, limit = -1): StoredSheet[] =>
  readRows('sheet', db.select().from(sheets).where(isNull(sheets.archivedAt)).orderBy(desc(sheets.updatedAt)).limit(limit).all(), stored);

/** Every sheet, those put away too. */
export const everySheet = (db: KitchenDb): StoredSheet[] => readRows('sheet', db.select().from(sheets).orderBy(desc(sheets.updatedAt)).all(), stored);

/** What of the shelf is looked at. */
export interface ShelfView {
  /** Part of a name. */
  readonly find: string;
  /** A folder's name; '' for all that are in use, null for what was put away. */
  readonly folder: string | null;
  readonly order: 'touched' | 'name';
  readonly limit: number;
}

/** The sheets of a view with how many there are of them, and every folder with its number. */
export function shelf(
  db: KitchenDb,
  view: ShelfView,
): {
  readonly sheets: readonly StoredSheet[];
  readonly found: number;
  readonly folders: readonly { readonly name: string; readonly n: number }[];
  readonly inUse: number;
  readonly putAway: number;
} {
  const named = view.find.trim() === '' ? undefined : sql`instr(lower(${sheets.name}), lower(${view.find.trim()})) > 0`;
  const where = and(
    view.folder === null ? isNotNull(sheets.archivedAt) : isNull(sheets.archivedAt),
    view.folder ? eq(sheets.folder, view.folder) : undefined,
    named,
  );
  const rows = db
    .select()
    .from(sheets)
    .where(where)
    .orderBy(view.order === 'name' ? sql`lower(${sheets.name})` : desc(sheets.updatedAt))
    .limit(view.limit)
    .all();
  const countOf = (w: SQL | undefined): number => db.select({ n: count() }).from(sheets).where(w).get()!.n;
  return {
    sheets: readRows('sheet', rows, stored),
    found: countOf(where),
    folders: db
      .select({ name: sheets.folder, n: count() })
      .from(sheets)
      .where(and(isNull(sheets.archivedAt), ne(sheets.folder, '')))
      .groupBy(sheets.folder)
      .orderBy(sql`lower(${sheets.folder})`)
      .all(),
    inUse: countOf(isNull(sheets.archivedAt)),
    putAway: countOf(isNotNull(sheets.archivedAt)),
  };
}

/** Puts a sheet into a folder, away, or back. Its document and its revision stay: nobody who edits it is disturbed. @returns false where it is gone. */
export function placeSheet(
  db: KitchenDb,
  id: string,
  to: { readonly folder?: string | undefined; readonly archived?: boolean | undefined },
  now: number,
): boolean {
  const set = {
    ...(to.folder === undefined ? {} : { folder: to.folder.trim() }),
    ...(to.archived === undefined ? {} : { archivedAt: to.archived ? now : null }),
  };
  return Object.keys(set).length === 0 ? getSheet(db, id) !== null : db.update(sheets).set(set).where(eq(sheets.id, id)).run().changes > 0;
}

/** Ids and names, last touched first. */
export const latestSheetNames = (db: KitchenDb): { id: string; name: string }[] =>
  db.select({ id: sheets.id, name: sheets.name }).from(sheets).orderBy(desc(sheets.updatedAt)).all();

/** Sheets whose text names an ingredient: those alone are read. */
export const sheetsNaming = (db: KitchenDb, ingredientId: string): StoredSheet[] =>
  readRows(
    'sheet',
    db
      .select()
      .from(sheets)
      .where(sql`instr(${sheets.doc}, ${JSON.stringify(ingredientId)}) > 0`)
      .orderBy(desc(sheets.updatedAt))
      .all(),
    stored,
  );

/** Names only, for finding. */
export const listSheetNames = (db: KitchenDb): { id: string; name: string }[] =>
  db.select({ id: sheets.id, name: sheets.name }).from(sheets).orderBy(sheets.name).all();

export function getSheet(db: KitchenDb, id: string): StoredSheet | null {
  const row = db.select().from(sheets).where(eq(sheets.id, id)).get();
  return row ? (readRows('sheet', [row], stored)[0] ?? null) : null;
}

/** A sheet as it was in one of its versions; null when there is none of that number. */
export function getSheetVersion(db: KitchenDb, id: string, number: number): Sheet | null {
  const row = db
    .select()
    .from(sheetVersions)
    .where(and(eq(sheetVersions.sheetId, id), eq(sheetVersions.number, number)))
    .get();
  return row ? docOf(row.doc) : null;
}

/** Makes a sheet; one that is there already stays as it is, for its screen only asks again. */
export function createSheet(db: KitchenDb, id: string, doc: Sheet, now: number): StoredSheet {
  return db.transaction((tx) => {
    const there = tx.select().from(sheets).where(eq(sheets.id, id)).get();
    if (there) return stored(there);
    const valid = SheetSchema.parse(doc);
    const row = tx.insert(sheets).values({ id, name: valid.name, doc: valid, headVersion: 1, createdAt: now, updatedAt: now }).returning().get();
    tx.insert(sheetVersions).values({ sheetId: id, number: 1, doc: valid, createdAt: now, savedAt: now }).run();
    return stored(row);
  });
}

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly sheet: StoredSheet }
  /** Somebody else saved since; nothing was written. */
  | { readonly kind: 'conflict'; readonly current: StoredSheet }
  | { readonly kind: 'gone' };

export interface Save {
  readonly doc: Sheet;
  /** The revision that the edited document was read at. */
  readonly baseRevision: number;
  readonly now: number;
  /** Keeps what the file has as an earlier version whatever its age. */
  readonly asNewVersion?: boolean;
  /** Which screen saves, and its own count of saves. A screen is never in conflict with itself. */
  readonly by?: { readonly screen: string; readonly count: number };
}

/**
 * Saves a sheet. One transaction; what another screen saved is never overwritten.
 * A version that a batch was made from, or that was named, is never changed: the edit opens the next one.
 */
export function saveSheet(db: KitchenDb, id: string, save: Save): SaveOutcome {
  const { baseRevision, now, asNewVersion = false, by } = save;
  const valid = SheetSchema.parse(save.doc);
  return db.transaction(
    (tx): SaveOutcome => {
      const row = tx.select().from(sheets).where(eq(sheets.id, id)).get();
      if (!row) return { kind: 'gone' };
      // The same words are saved already, whoever saved them: two tabs that took up one draft are in no conflict.
      if (!asNewVersion && isDeepStrictEqual(valid, row.doc)) return { kind: 'saved', sheet: stored(row) };
      const own = by !== undefined && by.screen !== '' && row.savedBy === by.screen;
      // Overtaken on its way by a later one of the same screen: it is not what is stored.
      if (own && by.count <= row.savedCount) return { kind: 'conflict', current: stored(row) };
      if (row.revision !== baseRevision && !(own && baseRevision >= row.savedOver)) return { kind: 'conflict', current: stored(row) };
      const head = tx
        .select()
        .from(sheetVersions)
        .where(and(eq(sheetVersions.sheetId, id), eq(sheetVersions.number, row.headVersion)))
        .get();
      const made = tx
        .select({ id: batches.id })
        .from(batches)
        .where(and(eq(batches.sheetId, id), eq(batches.sheetVersion, row.headVersion)))
        .get();
      const opens = asNewVersion || !head || made !== undefined || head.name !== null || now - head.createdAt > VERSION_OPEN_MS;
      const version = opens ? row.headVersion + 1 : row.headVersion;
      if (opens) {
        tx.insert(sheetVersions).values({ sheetId: id, number: version, doc: valid, createdAt: now, savedAt: now }).run();
      } else {
        tx.update(sheetVersions).set({ doc: valid, savedAt: now }).where(eq(sheetVersions.id, head.id)).run();
      }
      const saved = tx
        .update(sheets)
        .set({
          doc: valid,
          name: valid.name,
          headVersion: version,
          revision: row.revision + 1,
          updatedAt: now,
          savedBy: by?.screen ?? '',
          savedOver: own ? row.savedOver : row.revision,
          savedCount: by?.count ?? 0,
        })
        .where(eq(sheets.id, id))
        .returning()
        .get();
      return { kind: 'saved', sheet: stored(saved) };
    },
    { behavior: 'immediate' },
  );
}

/** A version of a sheet without its document. */
export interface VersionEntry {
  readonly number: number;
  readonly name: string | null;
  readonly createdAt: number;
  readonly savedAt: number;
  /** Batches that were made from it. */
  readonly batches: number;
}

/** Every kept state of a sheet, newest first. */
export function listVersions(db: KitchenDb, sheetId: string): VersionEntry[] {
  const made = new Map(
    db
      .select({ version: batches.sheetVersion, n: count() })
      .from(batches)
      .where(eq(batches.sheetId, sheetId))
      .groupBy(batches.sheetVersion)
      .all()
      .map((r) => [r.version, r.n]),
  );
  return db
    .select({ number: sheetVersions.number, name: sheetVersions.name, createdAt: sheetVersions.createdAt, savedAt: sheetVersions.savedAt })
    .from(sheetVersions)
    .where(eq(sheetVersions.sheetId, sheetId))
    .orderBy(desc(sheetVersions.number))
    .all()
    .map((v) => ({ ...v, batches: made.get(v.number) ?? 0 }));
}

/** Names a version, so that it stays as it is; an empty name takes the name away. Whether there is such a version. */
export function nameVersion(db: KitchenDb, sheetId: string, number: number, name: string, was: string): NamingOutcome {
  return db.transaction(
    (tx): NamingOutcome => {
      const of = and(eq(sheetVersions.sheetId, sheetId), eq(sheetVersions.number, number));
      const row = tx.select({ name: sheetVersions.name }).from(sheetVersions).where(of).get();
      if (!row) return { kind: 'gone' };
      const wanted = name.trim().slice(0, 80);
      if (![was, wanted].includes(row.name ?? '')) return { kind: 'conflict', name: row.name ?? '' };
      tx.update(sheetVersions)
        .set({ name: wanted || null })
        .where(of)
        .run();
      return { kind: 'named' };
    },
    { behavior: 'immediate' },
  );
}

export type NamingOutcome = { readonly kind: 'named' } | { readonly kind: 'conflict'; readonly name: string } | { readonly kind: 'gone' };
