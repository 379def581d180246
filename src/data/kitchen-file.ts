import { accessSync, chmodSync, constants, copyFileSync, existsSync, mkdirSync, readFileSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import Database from 'better-sqlite3';
import { eq } from 'drizzle-orm';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema';
import { shipped, STARTING_MIXERS, STARTING_PLACES, STARTING_RULES, startingLarder, startingVessels } from './starting-kitchen';

export type KitchenDb = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** The kitchen's data file cannot be used. Nothing in it has been changed. */
export class DataFileError extends Error {
  override name = 'DataFileError';
  constructor(
    readonly path: string,
    readonly code: 'damaged' | 'unwritable' | 'newer' | 'in-use',
    readonly detail: string,
  ) {
    super(`${code} data file ${path}: ${detail}`);
  }
}

/**
 * Opens (or makes) a kitchen's data file: checks it, copies it before any migration, migrates, and stocks an empty one
 * with the starting larder, mixers and rules.
 * @throws DataFileError when the file is damaged, cannot be written, or was made by a newer version; it is then left as it was.
 */
export function openKitchenFile(path: string): KitchenDb {
  const existed = existsSync(path) && statSync(path).isFile() && statSync(path).size > 0;
  reach(path, existed);
  let client: Database.Database | null = null;
  try {
    client = new Database(path);
    ownersOnly(path);
    if (existed) check(client, path);
    const behind = stepsBehind(client, path);
    // Nothing is written before it is known to be ours: the way of keeping a log stands in the file too.
    client.pragma('journal_mode = WAL');
    // A log that was just begun is there only once something was read; before, it cannot be written back.
    client.pragma('schema_version');
    client.pragma('synchronous = FULL');
    client.pragma('foreign_keys = ON');
    client.pragma('busy_timeout = 4000');
    const db = drizzle(client, { schema });
    if (behind !== null) bringUpToDate(db, path, existed, behind);
    stock(db);
    return db;
  } catch (error) {
    client?.close();
    if (error instanceof DataFileError) throw error;
    throw new DataFileError(path, codeOf(error), error instanceof Error ? error.message : String(error));
  }
}

function reach(path: string, existed: boolean): void {
  try {
    mkdirSync(dirname(path), { recursive: true });
    accessSync(existed ? path : dirname(path), constants.R_OK | constants.W_OK);
  } catch (error) {
    throw new DataFileError(path, 'unwritable', error instanceof Error ? error.message : String(error));
  }
}

/** For its owner's eyes only; what SQLite lays beside it follows it. Another's file is used as it is. */
function ownersOnly(path: string): void {
  try {
    chmodSync(path, 0o600);
  } catch {
    // Somebody else's: who may read it is theirs to say.
  }
}

function check(client: Database.Database, path: string): void {
  const verdict = client.pragma('quick_check', { simple: true });
  if (verdict !== 'ok') throw new DataFileError(path, 'damaged', String(verdict).slice(0, 200));
}

function codeOf(error: unknown): 'damaged' | 'unwritable' {
  const code = (error as { code?: string }).code ?? '';
  return code.startsWith('SQLITE_NOTADB') || code.startsWith('SQLITE_CORRUPT') ? 'damaged' : 'unwritable';
}

interface Journal {
  readonly entries: readonly { readonly when: number }[];
}

/** The newest migration where a file has not had it yet; null for one that is up to date. @throws DataFileError for a newer one. */
function stepsBehind(client: Database.Database, path: string): number | null {
  const known = (JSON.parse(readFileSync(shipped('migrations', 'meta', '_journal.json'), 'utf8')) as Journal).entries;
  const hasTable = client.prepare("select 1 from sqlite_master where name = '__drizzle_migrations'").get();
  const last = hasTable ? (client.prepare('select max(created_at) as at from __drizzle_migrations').get() as { at: number | null }).at : null;
  const newest = known.at(-1)?.when ?? 0;
  if (last !== null && last > newest) throw new DataFileError(path, 'newer', 'it was written by a newer version of Soft Peak');
  return last === newest ? null : newest;
}

function bringUpToDate(db: KitchenDb, path: string, existed: boolean, newest: number): void {
  if (existed) {
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    copyFileSync(path, `${path}.before-${newest}`);
  }
  migrate(db, { migrationsFolder: shipped('migrations') });
}

type Write = Parameters<Parameters<KitchenDb['transaction']>[0]>[0];

/**
 * What the shipped larder has gained since a kitchen was stocked: rows that are new are put in, rows that nobody has touched become as they are
 * shipped now. What the kitchen has changed, and what is its own, stays.
 */
function freshen(tx: Write): void {
  const there = new Map(
    tx
      .select()
      .from(schema.ingredients)
      .all()
      .map((row) => [row.id, row]),
  );
  for (const facts of startingLarder()) {
    const row = there.get(facts.id);
    if (!row) tx.insert(schema.ingredients).values({ id: facts.id, name: facts.name, facts }).run();
    else if (row.revision === 1 && !row.facts.own && JSON.stringify(row.facts) !== JSON.stringify(facts))
      tx.update(schema.ingredients).set({ name: facts.name, facts }).where(eq(schema.ingredients.id, facts.id)).run();
  }
}

/** An empty kitchen gets the larder, mixers and rules that it starts from. */
function stock(db: KitchenDb): void {
  db.transaction((tx) => {
    // Kitchens from before vessels and places were kept get the shelf that every kitchen starts from.
    if (!tx.select({ id: schema.vessels.id }).from(schema.vessels).get()) {
      tx.insert(schema.vessels)
        .values(startingVessels().map((v, place) => ({ id: v.id, name: v.vessel.name, shape: v.vessel, count: v.count, place })))
        .run();
    }
    if (!tx.select({ id: schema.coldPlaces.id }).from(schema.coldPlaces).get())
      tx.insert(schema.coldPlaces)
        .values(STARTING_PLACES.map((p, place) => ({ ...p, place })))
        .run();
    if (tx.select({ id: schema.kitchenRules.id }).from(schema.kitchenRules).get()) {
      freshen(tx);
      return;
    }
    tx.insert(schema.kitchenRules).values({ id: 1, rules: STARTING_RULES }).run();
    tx.insert(schema.mixers)
      .values(STARTING_MIXERS.map((m, place) => ({ ...m, place })))
      .run();
    for (const facts of startingLarder()) tx.insert(schema.ingredients).values({ id: facts.id, name: facts.name, facts }).run();
  });
}
