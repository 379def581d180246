import Database from 'better-sqlite3';
import type { KitchenDb } from './kitchen-file';

/** What of one kind differs between a copy and the kitchen now, by name. */
export interface Differing {
  /** There now, and not in the copy: going back takes it away. */
  readonly since: readonly string[];
  /** Written since: going back makes it what it was. */
  readonly changed: readonly string[];
  /** In the copy, and no longer there: going back brings it back. */
  readonly back: readonly string[];
}

/** What going back to a copy would undo. */
export type SinceCopy = Readonly<Record<'batches' | 'sheets' | 'ingredients' | 'services', Differing>>;

interface Row {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
}

/** Rows as they are named to a cook: a batch by its dessert and day. */
const ROWS: Readonly<Record<keyof SinceCopy, string>> = {
  batches:
    "select id, json_extract(plan, '$.sheetName') || ', ' || strftime('%d.%m. %H:%M', started_at / 1000, 'unixepoch', 'localtime') name, revision from batches order by started_at",
  sheets: 'select id, name, revision from sheets order by name',
  ingredients: 'select id, name, revision from ingredients order by name',
  services: 'select id, name, revision from services where REMOVED is null order by name',
};

/** The question to a file, which may be older than the column for what was taken away. */
function rowsOf(what: keyof SinceCopy, file: Database.Database): string {
  const known = (file.pragma('table_info(services)') as { name: string }[]).some((c) => c.name === 'removed_at');
  return ROWS[what].replace('REMOVED', known ? 'removed_at' : 'null');
}

/**
 * What differs between a copy and the kitchen now.
 * @param copy path of the copy. @throws where it cannot be opened.
 */
export function sinceCopy(db: KitchenDb, copy: string): SinceCopy {
  const then = new Database(copy, { readonly: true, fileMustExist: true });
  try {
    const of = (what: keyof SinceCopy): Differing => {
      const before = new Map((then.prepare(rowsOf(what, then)).all() as Row[]).map((r) => [r.id, r]));
      const now = db.$client.prepare(rowsOf(what, db.$client)).all() as Row[];
      const ids = new Set(now.map((r) => r.id));
      return {
        since: now.filter((r) => !before.has(r.id)).map((r) => r.name),
        changed: now.filter((r) => before.has(r.id) && before.get(r.id)!.revision !== r.revision).map((r) => r.name),
        back: [...before.values()].filter((r) => !ids.has(r.id)).map((r) => r.name),
      };
    };
    return { batches: of('batches'), sheets: of('sheets'), ingredients: of('ingredients'), services: of('services') };
  } finally {
    then.close();
  }
}
