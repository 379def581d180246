import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import type { Statement } from 'better-sqlite3';
import { z } from 'zod';
import type { Ingredient } from '../core/composition/ingredient';
import { writeLarderCsv } from '../core/larder/larder-csv';
import { fail, ok, type Result } from '../core/result';
import { copyNameFree, holdingsOf, type Copy } from './copies';
import { DataFileError, openKitchenFile, type KitchenDb } from './kitchen-file';

/** A whole kitchen as a zip of open files: each table as lines of JSON, one row a line as it is stored; the larder as a table too; the photos. */

const FORMAT = 'soft-peak-kitchen';
const ManifestSchema = z.object({
  format: z.literal(FORMAT),
  formatVersion: z.literal(1),
  /** The last change of the tables' form that this was written by, ms since 1970. */
  tablesOf: z.number(),
  /** Rows of each table. */
  tables: z.record(z.string().regex(/^[a-z_]{1,60}$/), z.number().int().min(0)),
});
const PHOTO = /^[\w-]{1,80}\.(?:jpg|png)$/;
/** What a zip may unfold to, bytes: no kitchen comes near it. */
const MOST_BYTES = 1_500_000_000;
const ABOUT = `Everything of one kitchen, as open files.

kitchen.json    what this is, and how many rows each table has
tables/*.jsonl  one row a line, as JSON: documents are JSON in a text of the row
larder.csv      the larder as a table; as lines it is in tables/ingredients.jsonl
photos/         pictures that batches name

Times are milliseconds since 1970. Bring it in on Larder, 'Vessels, mixers, places, rules'.
`;

const tablesOf = (db: KitchenDb): readonly string[] =>
  (
    db.$client
      .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name not like '\\_\\_%' escape '\\' order by name")
      .all() as { name: string }[]
  ).map((t) => t.name);
const formOf = (db: KitchenDb): number => (db.$client.prepare('select max(created_at) at from __drizzle_migrations').get() as { at: number }).at;
const lines = (rows: readonly unknown[]): string => rows.map((r) => `${JSON.stringify(r)}\n`).join('');

/** @param photos the folder of the kitchen's photos. @returns the zip; everything in it is of one moment. */
export function kitchenToZip(db: KitchenDb, photos: string): Uint8Array {
  const files: Zippable = {};
  const tables: Record<string, number> = {};
  db.transaction(() => {
    for (const table of tablesOf(db)) {
      const rows = db.$client.prepare(`select * from ${table} order by rowid`).all();
      tables[table] = rows.length;
      files[`tables/${table}.jsonl`] = strToU8(lines(rows));
      if (table === 'ingredients') files['larder.csv'] = strToU8(writeLarderCsv(rows.map((r) => JSON.parse((r as { facts: string }).facts) as Ingredient)));
    }
  });
  for (const name of existsSync(photos) ? readdirSync(photos).filter((n) => PHOTO.test(n)) : [])
    files[`photos/${name}`] = [readFileSync(join(photos, name)), { level: 0 }];
  files['kitchen.json'] = strToU8(JSON.stringify({ format: FORMAT, formatVersion: 1, tablesOf: formOf(db), tables }, null, 1));
  files['about.txt'] = strToU8(ABOUT);
  return zipSync(files, { level: 6 });
}

/**
 * Reads a zip of a kitchen into a copy beside the others, where what differs can be seen and gone to. The kitchen itself is not touched.
 * @param folder of the copies. @returns faults on `file` that say what is wrong with it; nothing is left of it then.
 */
export function zipToCopy(bytes: Uint8Array, folder: string, now: number): Result<Copy> {
  const unfolded = unfold(bytes);
  if (!unfolded.ok) return unfolded;
  const files = unfolded.value;
  const manifest = manifestOf(files);
  if (!manifest.ok) return manifest;
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const { name, at } = copyNameFree(folder, now);
  const unfinished = join(folder, `${name}.unfinished`);
  try {
    const db = openKitchenFile(unfinished);
    try {
      if (manifest.value.tablesOf > formOf(db)) return fail('file', 'newer', 'It was written by a newer version of Soft Peak.');
      fill(db, manifest.value.tables, files);
      db.$client.pragma('wal_checkpoint(TRUNCATE)');
      db.$client.pragma('journal_mode = DELETE');
    } finally {
      db.$client.close();
    }
    holdingsOf(unfinished);
    keepPhotos(files, join(folder, 'photos'));
    renameSync(unfinished, join(folder, name));
    return ok({ name, at, bytes: statSync(join(folder, name)).size });
  } catch (error) {
    if (error instanceof DataFileError) throw error;
    return fail('file', 'unreadable', `It cannot be read as a kitchen: ${error instanceof Error ? error.message.slice(0, 200) : 'it is damaged'}.`);
  } finally {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${unfinished}${end}`, { force: true });
  }
}

function unfold(bytes: Uint8Array): Result<Record<string, Uint8Array>> {
  let whole = 0;
  try {
    const files = unzipSync(bytes, {
      filter: (f) => {
        whole += f.originalSize;
        return (
          whole <= MOST_BYTES &&
          (/^(?:kitchen\.json|tables\/[a-z_]{1,60}\.jsonl)$/.test(f.name) || (f.name.startsWith('photos/') && PHOTO.test(f.name.slice(7))))
        );
      },
    });
    return whole > MOST_BYTES ? fail('file', 'too-large', 'It unfolds to more than a kitchen ever holds.') : ok(files);
  } catch {
    return fail('file', 'unreadable', 'That is no zip, or it is damaged.');
  }
}

function manifestOf(files: Record<string, Uint8Array>): Result<z.infer<typeof ManifestSchema>> {
  try {
    return ok(ManifestSchema.parse(JSON.parse(strFromU8(files['kitchen.json'] ?? new Uint8Array()))));
  } catch {
    return fail('file', 'unreadable', 'There is no kitchen in it: kitchen.json is missing or says something else.');
  }
}

/** Puts the rows of the files in the place of all that is there. @throws with words on the first row that cannot be. */
function fill(db: KitchenDb, counts: Readonly<Record<string, number>>, files: Record<string, Uint8Array>): void {
  const known = new Set(tablesOf(db));
  const strange = Object.keys(counts).find((t) => !known.has(t));
  if (strange !== undefined) throw new Error(`this version has no table ${strange}`);
  db.$client.pragma('foreign_keys = OFF');
  db.transaction(() => {
    for (const table of known) {
      db.$client.prepare(`delete from ${table}`).run();
      const columns = new Set((db.$client.pragma(`table_info(${table})`) as { name: string }[]).map((c) => c.name));
      const rows = strFromU8(files[`tables/${table}.jsonl`] ?? new Uint8Array())
        .split('\n')
        .filter((l) => l !== '');
      if (rows.length !== (counts[table] ?? 0)) throw new Error(`${table} has ${rows.length} rows, and ${counts[table] ?? 0} are promised`);
      const ways = new Map<string, Statement<unknown[]>>();
      const insert = (names: readonly string[]): Statement<unknown[]> => {
        const key = names.join(', ');
        const made = ways.get(key) ?? db.$client.prepare<unknown[]>(`insert into ${table} (${key}) values (${names.map(() => '?').join(', ')})`);
        ways.set(key, made);
        return made;
      };
      rows.forEach((text, i) => {
        const row = JSON.parse(text) as Record<string, unknown>;
        const names = Object.keys(row);
        const odd = names.find((n) => !columns.has(n) || !(row[n] === null || typeof row[n] === 'string' || Number.isFinite(row[n])));
        if (odd !== undefined) throw new Error(`row ${i + 1} of ${table}: ${odd.slice(0, 60)} is not of this form`);
        insert(names).run(...names.map((n) => row[n]));
      });
    }
    const loose = (db.$client.pragma('foreign_key_check') as { table: string }[])[0];
    if (loose) throw new Error(`a row of ${loose.table} names something that is not there`);
  });
}

function keepPhotos(files: Record<string, Uint8Array>, folder: string): void {
  for (const [name, bytes] of Object.entries(files).filter(([n]) => n.startsWith('photos/'))) {
    mkdirSync(folder, { recursive: true });
    const path = join(folder, name.slice(7));
    if (!existsSync(path)) writeFileSync(path, bytes);
  }
}
