import { cpSync, chmodSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { seededNumbers } from '../../src/core/random';
import { KitchenServer, pause } from './kitchen-server';

export interface FileReport {
  readonly rounds: Readonly<Record<string, number>>;
  readonly faults: readonly string[];
}

const MIGRATIONS = 'src/data/migrations';
/** Rows by table, of those that a kitchen would miss. */
const TABLES = ['sheets', 'sheet_versions', 'batches', 'readings', 'temperatures'] as const;
type Rows = Readonly<Record<(typeof TABLES)[number], number>>;

function rowsOf(path: string): Rows {
  const db = new Database(path, { readonly: true });
  try {
    const whole = (db.pragma('integrity_check') as { integrity_check: string }[])[0]!.integrity_check;
    if (whole !== 'ok') throw new Error(`the data file: ${whole}`);
    return Object.fromEntries(TABLES.map((t) => [t, (db.prepare(`select count(*) n from ${t}`).get() as { n: number }).n])) as Record<
      (typeof TABLES)[number],
      number
    >;
  } finally {
    db.close();
  }
}
const same = (a: Rows, b: Rows): boolean => TABLES.every((t) => a[t] === b[t]);

/** A data file as the program of some migrations ago left it, with the rows of a kitchen of today in what it had then. */
function olderFile(today: string, upTo: number): { readonly path: string; readonly there: ReadonlySet<string> } {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-older-'));
  const steps = join(folder, 'migrations');
  cpSync(MIGRATIONS, steps, { recursive: true });
  const journal = JSON.parse(readFileSync(join(steps, 'meta/_journal.json'), 'utf8')) as { entries: unknown[] };
  writeFileSync(join(steps, 'meta/_journal.json'), JSON.stringify({ ...journal, entries: journal.entries.slice(0, upTo) }));
  const path = join(folder, 'kitchen.db');
  const db = new Database(path);
  db.pragma('journal_mode = wal');
  migrate(drizzle(db), { migrationsFolder: steps });
  db.prepare('attach ? as today').run(today);
  const there = new Set((db.prepare("select name from main.sqlite_master where type = 'table'").all() as { name: string }[]).map((t) => t.name));
  for (const table of TABLES.filter((t) => there.has(t))) {
    const columns = (db.pragma(`table_info(${table})`) as { name: string }[]).map((c) => `"${c.name}"`).join(', ');
    db.exec(`insert into main.${table} (${columns}) select ${columns} from today.${table}`);
  }
  db.close();
  return { path, there };
}

/** Killed while it brings an older file up to date: the next start ends with every row. */
async function killedMigrations(rounds: number, random: () => number, faults: string[]): Promise<void> {
  const today = await KitchenServer.on();
  const todays = rowsOf(today.path);
  const steps = readdirSync(MIGRATIONS).filter((f) => f.endsWith('.sql')).length;
  for (let k = 0; k < rounds; k++) {
    const { path, there } = olderFile(today.path, 1 + Math.floor((steps - 1) * random()));
    // What it had no table for then, it had nothing of.
    const before = Object.fromEntries(TABLES.map((t) => [t, there.has(t) ? todays[t] : 0])) as Record<(typeof TABLES)[number], number>;
    const server = await KitchenServer.on(path);
    // The file is opened by the first question.
    const up = server
      .start()
      .then(() => fetch(`${server.url}/`).then((r) => r.arrayBuffer()))
      .catch(() => undefined);
    await pause(500 + 2500 * random());
    await server.kill();
    await up;
    try {
      await server.start();
      const status = (await fetch(`${server.url}/`)).status;
      if (status !== 200) faults.push(`after a killed migration the first page is answered ${status}`);
      if (!same(rowsOf(path), before)) faults.push(`a killed migration: ${JSON.stringify(rowsOf(path))} of ${JSON.stringify(before)}`);
    } catch (error) {
      faults.push(`a killed migration: ${String(error)}`);
    }
    await server.kill();
  }
}

/** Killed while it makes a copy: the kitchen is whole, and whatever is listed as a copy is one. */
async function killedCopies(rounds: number, random: () => number, faults: string[]): Promise<void> {
  const server = await KitchenServer.on();
  const before = rowsOf(server.path);
  for (let k = 0; k < rounds; k++) {
    await server.start();
    void fetch(`${server.url}/api/copies`, { method: 'POST' }).catch(() => undefined);
    await pause(120 * random());
    await server.kill();
    if (!same(rowsOf(server.path), before)) faults.push('a killed copy changed the kitchen');
  }
  await server.start();
  const copies = (await (await fetch(`${server.url}/api/copies`)).json()) as { name: string }[];
  for (const { name } of copies) {
    try {
      if (!same(rowsOf(join(dirname(server.path), 'copies', name)), before)) faults.push(`the copy ${name} is not whole`);
    } catch (error) {
      faults.push(`the copy ${name}: ${String(error)}`);
    }
  }
  await server.kill();
}

/** No more room: what cannot be written is refused, what was acknowledged stays, and with room again all goes on. */
async function fullDisk(faults: string[]): Promise<void> {
  const server = await KitchenServer.on();
  await server.start();
  const put = (n: number): Promise<number> =>
    fetch(`${server.url}/api/stock`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        packs: Array.from({ length: 400 }, (_, i) => ({ id: `full-${n}-${i}`, ingredientId: 'honey', sizeG: 500, leftG: 500, bestBefore: null })),
      }),
    }).then(
      (r) => r.status,
      () => 0,
    );
  if ((await put(0)) !== 200) faults.push('a pack was not taken with room enough');
  await server.kill();
  // No file may grow past this: what the disk says when it is full, for this server alone. In blocks of 1,024 bytes.
  const { size } = new Database(server.path, { readonly: true })
    .prepare('select page_count * page_size size from pragma_page_count(), pragma_page_size()')
    .get() as { size: number };
  await server.start(`ulimit -f ${Math.ceil(size / 1024) + 200}`);
  let taken = 1;
  let refused = 0;
  for (let n = 1; n <= 60 && refused < 5; n++) {
    const status = await put(n);
    if (status === 200) taken++;
    else refused++;
    if (status === 0) faults.push('the server went when the disk was full');
  }
  if (refused === 0) faults.push('the disk was never full: this proves nothing');
  if (
    (await fetch(`${server.url}/log`).then(
      (r) => r.status,
      () => 0,
    )) !== 200
  )
    faults.push('nothing can be read while the disk is full');
  await server.kill();
  await server.start();
  const db = new Database(server.path, { readonly: true });
  const { n } = db.prepare("select count(*) n from stock_packs where id like 'full-%'").get() as { n: number };
  db.close();
  if (n !== 400 * taken) faults.push(`${400 * taken} packs were acknowledged around a full disk, ${n} are there`);
  if ((await put(999)) !== 200) faults.push('with room again nothing is taken');
  await server.kill();
}

/** A file that is not a kitchen's, or not this program's: refused in words, and left byte for byte. */
async function wrongFiles(faults: string[]): Promise<void> {
  const whole = await KitchenServer.on();
  const spoil: Readonly<Record<string, (bytes: Buffer) => Buffer>> = {
    'no database': () => Buffer.from('quinces, and how to keep them\n'.repeat(400)),
    'cut short': (b) => b.subarray(0, Math.floor(b.length * 0.6)),
    'torn in the middle': (b) => Buffer.concat([b.subarray(0, 20_000), Buffer.alloc(12_000, 0xa5), b.subarray(32_000)]),
    newer: (b) => b,
  };
  for (const [name, change] of Object.entries(spoil)) {
    const path = join(mkdtempSync(join(tmpdir(), 'soft-peak-wrong-')), 'kitchen.db');
    const db = new Database(whole.path);
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
    writeFileSync(path, change(readFileSync(whole.path)));
    if (name === 'newer') {
      const later = new Database(path);
      later.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run('later', 4_000_000_000_000);
      later.pragma('wal_checkpoint(TRUNCATE)');
      later.pragma('journal_mode = delete');
      later.close();
    }
    const before = readFileSync(path);
    const server = await KitchenServer.on(path);
    await server.start();
    const page = await fetch(`${server.url}/`).then(async (r) => ({ status: r.status, text: await r.text() }));
    if (!page.text.includes('data file')) faults.push(`${name}: no word of it (${page.status})`);
    const write = await fetch(`${server.url}/api/stock`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ packs: [{ id: 'x', ingredientId: 'honey', sizeG: 5, leftG: 5, bestBefore: null }] }),
    });
    if (write.status !== 503) faults.push(`${name}: a write was answered ${write.status}`);
    await server.kill();
    if (!readFileSync(path).equals(before)) faults.push(`${name}: the file was changed`);
  }
  // One that may not be written. Whoever may do anything writes it nevertheless: then there is nothing to prove.
  const path = join(mkdtempSync(join(tmpdir(), 'soft-peak-closed-')), 'kitchen.db');
  cpSync(whole.path, path);
  chmodSync(path, 0o400);
  chmodSync(dirname(path), 0o500);
  if (process.getuid?.() !== 0) {
    const server = await KitchenServer.on(path);
    await server.start();
    const status = (await fetch(`${server.url}/api/stock`)).status;
    if (status !== 503 && status !== 200) faults.push(`a closed file was answered ${status}`);
    await server.kill();
  }
  chmodSync(dirname(path), 0o700);
}

/** What can befall the file itself. @param rounds of each kind of kill. */
export async function filesInTrouble(rounds: number, seed: number, say: (words: string) => void): Promise<FileReport> {
  const faults: string[] = [];
  const random = seededNumbers(seed);
  await wrongFiles(faults);
  say(`wrong files: ${faults.length} faults`);
  await fullDisk(faults);
  say(`full disk: ${faults.length} faults`);
  await killedCopies(rounds, random, faults);
  say(`${rounds} killed copies: ${faults.length} faults`);
  await killedMigrations(rounds, random, faults);
  say(`${rounds} killed migrations: ${faults.length} faults`);
  return { rounds: { 'wrong files': 4, 'full disk': 1, 'killed copies': rounds, 'killed migrations': rounds }, faults: [...new Set(faults)] };
}
