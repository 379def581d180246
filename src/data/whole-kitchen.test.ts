import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { readLarderCsv } from '../core/larder/larder-csv';
import { openSampleKitchen } from '../testing/sample-file';
import { goBackTo, listCopies } from './copies';
import { openKitchenFile, type KitchenDb } from './kitchen-file';
import { sinceCopy } from './since-copy';
import { kitchenToZip, zipToCopy } from './whole-kitchen';

const NOW = Date.UTC(2026, 10, 29, 10);
let folder: string;
let db: KitchenDb;
let copies: string;
let photos: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'whole-'));
  [copies, photos] = [join(folder, 'copies'), join(folder, 'photos')];
  db = openSampleKitchen(join(folder, 'kitchen.db'), NOW);
  mkdirSync(photos);
  writeFileSync(join(photos, 'a-1.jpg'), new Uint8Array([255, 216, 1, 2, 3]));
  writeFileSync(join(photos, 'notes.txt'), 'not a photo');
});
afterEach(() => {
  if (db.$client.open) db.$client.close();
  rmSync(folder, { recursive: true, force: true });
});

const TABLES = [
  'batch_events',
  'batch_packs',
  'batches',
  'book_entries',
  'cold_places',
  'ingredients',
  'kitchen_rules',
  'mends',
  'mixers',
  'observations',
  'outcome_answers',
  'practice_stops',
  'readings',
  'services',
  'sheet_versions',
  'sheets',
  'stock_packs',
  'temperatures',
  'trial_events',
  'tune_tests',
  'vessels',
];
const rows = (of: KitchenDb): Record<string, unknown> =>
  Object.fromEntries(TABLES.map((t) => [t, of.$client.prepare(`select * from ${t} order by rowid`).all()]));
const copyOf = (bytes: Uint8Array): string => {
  const read = zipToCopy(bytes, copies, NOW);
  if (!read.ok) throw new Error(read.fault.says);
  return join(copies, read.value.name);
};
/** The zip with a file of it written anew. */
const changed = (file: string, to: (text: string) => string): Uint8Array => {
  const files = unzipSync(kitchenToZip(db, photos));
  return zipSync({ ...files, [file]: strToU8(to(strFromU8(files[file] ?? new Uint8Array()))) });
};
const refused = (bytes: Uint8Array): string => {
  const read = zipToCopy(bytes, copies, NOW);
  if (read.ok) throw new Error('it was taken');
  expect(existsSync(copies) ? readdirSync(copies).filter((n) => n !== 'photos') : []).toEqual([]);
  return read.fault.says;
};

describe('a whole kitchen', () => {
  it('comes back from its zip row for row, photos too', () => {
    // Every table of the data file is one that this test compares.
    expect(
      (
        db.$client
          .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and substr(name, 1, 2) <> '__' order by name")
          .all() as { name: string }[]
      ).map((t) => t.name),
    ).toEqual(TABLES);
    const before = rows(db);
    const copy = copyOf(kitchenToZip(db, photos));
    expect(sinceCopy(db, copy)).toMatchObject({ batches: { since: [], changed: [], back: [] }, sheets: { since: [], changed: [], back: [] } });
    rmSync(join(photos, 'a-1.jpg'));
    db.$client.close();
    goBackTo(copy, join(folder, 'kitchen.db'), NOW);
    db = openKitchenFile(join(folder, 'kitchen.db'));
    expect(rows(db)).toEqual(before);
    expect([...readFileSync(join(photos, 'a-1.jpg'))]).toEqual([255, 216, 1, 2, 3]);
    expect(existsSync(join(photos, 'notes.txt'))).toBe(true);
  });
  it('is open: lines of JSON, a larder that reads as a table, and a word on what is what', () => {
    const files = unzipSync(kitchenToZip(db, photos));
    expect(Object.keys(files)).toEqual(expect.arrayContaining(['kitchen.json', 'about.txt', 'larder.csv', 'photos/a-1.jpg', 'tables/sheets.jsonl']));
    expect(Object.keys(files)).not.toContain('photos/notes.txt');
    const sheets = strFromU8(files['tables/sheets.jsonl']!)
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { name: string; doc: string });
    expect(sheets.map((s) => (JSON.parse(s.doc) as { name: string }).name)).toEqual(sheets.map((s) => s.name));
    const larder = readLarderCsv(strFromU8(files['larder.csv']!));
    expect(larder.ok && larder.value.faults).toEqual([]);
  });
  it('is a copy beside the others until the kitchen goes to it', () => {
    const before = rows(db);
    copyOf(kitchenToZip(db, photos));
    copyOf(kitchenToZip(db, photos));
    expect(listCopies(copies)).toHaveLength(2);
    expect(rows(db)).toEqual(before);
  });
});

describe('what is no kitchen', () => {
  it.each([
    ['no zip', () => strToU8('quinces'), /no zip/],
    ['an empty zip', () => zipSync({}), /kitchen.json is missing/],
    ['another manifest', () => changed('kitchen.json', () => '{"format":"other"}'), /kitchen.json is missing or says/],
    ['a newer form', () => changed('kitchen.json', (t) => t.replace(/"tablesOf": \d+/, '"tablesOf": 99999999999999')), /newer version/],
    ['a table that this has not', () => changed('kitchen.json', (t) => t.replace('"sheets"', '"dreams"')), /no table dreams/],
    ['rows that are missing', () => changed('tables/sheets.jsonl', (t) => t.split('\n').slice(1).join('\n')), /sheets has \d+ rows, and \d+ are promised/],
    ['a torn row', () => changed('tables/sheets.jsonl', (t) => t.replace(/^\{.*$/m, '{"id":')), /cannot be read as a kitchen/],
    [
      'a column that is none',
      () => changed('tables/mixers.jsonl', (t) => t.replace('"bowl_ml"', '"id) values (1); drop table sheets; --"')),
      /is not of this form/,
    ],
    [
      'a row that names what is not there',
      () => changed('tables/batches.jsonl', (t) => t.replace(/"sheet_id":"[^"]+"/, '"sheet_id":"nowhere"')),
      /names something that is not there/,
    ],
    ['half of it', () => kitchenToZip(db, photos).slice(0, 20_000), /no zip/],
  ])('%s is refused in words, and nothing is left of it', (_, bytes, says) => expect(refused(bytes())).toMatch(says));
  it('any bytes, and a zip with any of its bytes changed, are a copy or a sentence', () => {
    const zip = kitchenToZip(db, photos);
    fc.assert(
      fc.property(
        fc.oneof(
          fc.uint8Array({ maxLength: 400 }),
          fc.tuple(fc.nat(zip.length - 1), fc.nat(255)).map(([at, b]) => zip.with(at, b)),
        ),
        (bytes) => {
          const read = zipToCopy(bytes, copies, NOW);
          if (!read.ok) expect(read.fault.says.length).toBeGreaterThan(10);
        },
      ),
      { numRuns: 40 },
    );
  });
});
