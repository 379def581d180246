import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { CONTEXT, ingredient, sheetOf } from '../testing/sample';
import { setLineText } from '../core/editing/edits';
import { analyseSheet } from '../core/analysis/analyse';
import { kitchenOf } from '../core/kitchen/kitchen';
import { batchPlan } from '../core/batch/make-batch';
import { getBatch, listBatches, recordEvent, runningBatch, startBatch } from './batches';
import { dueMomentsWith } from './due';
import { DataFileError, openKitchenFile, type KitchenDb } from './kitchen-file';
import { readKitchenFacts, readLarder } from './kitchen-facts';
import { readLarderCsv, writeLarderCsv } from '../core/larder/larder-csv';
import { seedSampleKitchen } from './sample/sample-kitchen';
import { compareLarder, getIngredient, larderRevisions, removeIngredient, saveIngredient, takeOverLarder, usesOf } from './larder';
import { saveThings, thingsRevision } from './kitchen-things';
import { unreadableRows } from './unreadable';
import {
  everySheet,
  placeSheet,
  shelf,
  type ShelfView,
  createSheet,
  getSheet,
  getSheetVersion,
  listSheetNames,
  listSheets,
  listVersions,
  nameVersion,
  saveSheet,
} from './sheets';

let folder: string;
let db: KitchenDb;
const MINUTE = 60_000;
const DOC = sheetOf(['600 g cream 36 %', '60 g icing sugar']);
const edited = (text: string) => setLineText(DOC, 'cream', 'l1', text, CONTEXT);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'soft-peak-'));
  db = openKitchenFile(join(folder, 'kitchen.db'));
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

const faultOpening = (path: string): DataFileError => {
  try {
    openKitchenFile(path).$client.close();
  } catch (error) {
    if (error instanceof DataFileError) return error;
    throw error;
  }
  throw new Error('it opened');
};

describe('a row that cannot be read', () => {
  it('is named and left out; the rest of the kitchen stays', () => {
    seedSampleKitchen(db, Date.UTC(2026, 10, 20, 12));
    const before = { batches: listBatches(db).length, sheets: listSheets(db).length, larder: readKitchenFacts(db).larder.length };
    const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    db.$client.exec("update batches set plan = '{}' where id = 'sample-3'");
    db.$client.exec("update sheets set doc = '{\"formatVersion\": 9}' where id = 'prune-mousse'");
    db.$client.exec("update ingredients set facts = json_set(facts, '$.composition.water', 1) where id = 'cream-36'");
    expect(listBatches(db)).toHaveLength(before.batches - 1);
    expect(getBatch(db, 'sample-3')).toBeNull();
    expect(listSheets(db)).toHaveLength(before.sheets - 1);
    expect(getSheet(db, 'prune-mousse')).toBeNull();
    expect(readKitchenFacts(db).larder).toHaveLength(before.larder - 1);
    expect(getIngredient(db, 'cream-36')).toBeNull();
    dueMomentsWith(db, Date.UTC(2026, 10, 20, 12), () => null);
    expect(unreadableRows()).toEqual(
      expect.arrayContaining([
        { table: 'batch', id: 'sample-3' },
        { table: 'sheet', id: 'prune-mousse' },
        { table: 'ingredient', id: 'cream-36' },
      ]),
    );
    // Said once in the log, not at every page.
    expect(quiet.mock.calls.filter(([said]) => String(said).includes('sample-3'))).toHaveLength(1);
    quiet.mockRestore();
  });
});

describe('the data file', () => {
  it('is stocked with the larder, mixers and rules once, and opens again as it was', () => {
    const facts = readKitchenFacts(db);
    expect(facts.larder).toHaveLength(337);
    expect(facts.mixers.map((m) => m.id)).toEqual(['planetary', 'hand-mixer', 'balloon']);
    const again = openKitchenFile(join(folder, 'kitchen.db'));
    expect(readKitchenFacts(again)).toEqual(facts);
    again.$client.close();
  });
  it('opened by a newer larder gets its new rows and what nobody changed; what the kitchen changed and its own stay', () => {
    const path = join(folder, 'older.db');
    const older = openKitchenFile(path);
    const honey = getIngredient(older, 'honey')!;
    older.$client.prepare("delete from ingredients where id = 'breadcrumbs'").run();
    older.$client.prepare("update ingredients set facts = json_set(facts, '$.note', 'an older note') where id = 'quark'").run();
    saveIngredient(older, { ...honey.ingredient, pricePerKg: 99 }, honey.revision);
    saveIngredient(older, { ...honey.ingredient, id: 'our-honey', name: 'Our honey', aliases: [], own: true }, 0);
    older.$client.close();
    const again = openKitchenFile(path);
    expect(getIngredient(again, 'breadcrumbs')?.ingredient.name).toContain('Breadcrumbs');
    expect(getIngredient(again, 'quark')?.ingredient.note).not.toBe('an older note');
    expect(getIngredient(again, 'quark')?.revision).toBe(1);
    expect(getIngredient(again, 'honey')?.ingredient.pricePerKg).toBe(99);
    expect(getIngredient(again, 'our-honey')?.ingredient.own).toBe(true);
    again.$client.close();
  });
  it('keeps its promises to the disk: WAL, full sync, foreign keys', () => {
    expect(db.$client.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.$client.pragma('synchronous', { simple: true })).toBe(2);
    expect(db.$client.pragma('foreign_keys', { simple: true })).toBe(1);
  });
  it('that is no database is called damaged and left byte for byte', () => {
    const path = join(folder, 'broken.db');
    writeFileSync(path, 'this is not a database, it is a shopping list'.repeat(40));
    const before = readFileSync(path);
    expect(faultOpening(path).code).toBe('damaged');
    expect(readFileSync(path)).toEqual(before);
  });
  it('with torn pages is called damaged and left byte for byte', () => {
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    const path = join(folder, 'torn.db');
    copyFileSync(join(folder, 'kitchen.db'), path);
    const bytes = readFileSync(path);
    bytes.fill(0x5a, 4096, Math.min(bytes.length, 4096 * 12));
    writeFileSync(path, bytes);
    expect(faultOpening(path).code).toBe('damaged');
    expect(readFileSync(path).equals(bytes)).toBe(true);
  });
  it('in a place that is no folder is called unwritable', () => {
    writeFileSync(join(folder, 'plate'), '');
    expect(faultOpening(join(folder, 'plate', 'kitchen.db')).code).toBe('unwritable');
  });
  it('from a newer version is refused and left alone', () => {
    const path = join(folder, 'newer.db');
    openKitchenFile(path).$client.close();
    const raw = new Database(path);
    raw.prepare("insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)").run();
    // Kept with another kind of log: that stands in the file, and stays.
    raw.pragma('journal_mode = delete');
    raw.close();
    const before = readFileSync(path);
    expect(faultOpening(path).code).toBe('newer');
    expect(readFileSync(path)).toEqual(before);
  });
  it('is copied before it is migrated', () => {
    const path = join(folder, 'old.db');
    const raw = new Database(path);
    raw.exec('create table mine (x)');
    raw.close();
    openKitchenFile(path).$client.close();
    expect(readdirSync(folder).some((f) => f.startsWith('old.db.before-'))).toBe(true);
  });
});

describe('saving a sheet', () => {
  it('keeps it and counts the revision', () => {
    const made = createSheet(db, 's', DOC, 0);
    // Asked again, because no answer came, it is the same one, as it was first.
    expect(createSheet(db, 's', { ...DOC, name: 'Another' }, 9)).toEqual(made);
    const saved = saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: made.revision, now: MINUTE });
    expect(saved).toMatchObject({ kind: 'saved', sheet: { version: 1, revision: 2 } });
    expect(getSheet(db, 's')?.doc.parts[0]!.lines[0]!.text).toBe('500 g cream 36 %');
    expect(listSheetNames(db)).toEqual([{ id: 's', name: 'Test cream' }]);
  });
  it('never overwrites what another screen saved', () => {
    createSheet(db, 's', DOC, 0);
    saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1 });
    const late = saveSheet(db, 's', { doc: edited('400 g cream 36 %'), baseRevision: 1, now: 2 });
    expect(late).toMatchObject({ kind: 'conflict', current: { revision: 2 } });
    expect(getSheet(db, 's')?.doc.parts[0]!.lines[0]!.text).toBe('500 g cream 36 %');
  });
  it('going on with mine keeps theirs as the version before', () => {
    createSheet(db, 's', DOC, 0);
    saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1 });
    const mine = saveSheet(db, 's', { doc: edited('400 g cream 36 %'), baseRevision: 2, now: 2, asNewVersion: true });
    expect(mine).toMatchObject({ kind: 'saved', sheet: { version: 2 } });
    expect(getSheetVersion(db, 's', 1)?.parts[0]!.lines[0]!.text).toBe('500 g cream 36 %');
  });
  it('opens a new version after ten minutes', () => {
    createSheet(db, 's', DOC, 0);
    expect(saveSheet(db, 's', { doc: edited('1 g cream'), baseRevision: 1, now: 9 * MINUTE })).toMatchObject({ sheet: { version: 1 } });
    expect(saveSheet(db, 's', { doc: edited('2 g cream'), baseRevision: 2, now: 11 * MINUTE })).toMatchObject({ sheet: { version: 2 } });
  });
  it('says when the sheet is gone, and refuses what is no sheet', () => {
    expect(saveSheet(db, 'nobody', { doc: DOC, baseRevision: 1, now: 0 })).toEqual({ kind: 'gone' });
    expect(() => createSheet(db, 'x', { ...DOC, portions: 0 }, 0)).toThrow();
    expect(getSheet(db, 'x')).toBeNull();
  });
});

describe('batches', () => {
  const start = () => {
    createSheet(db, 's', DOC, 0);
    const plan = batchPlan(DOC, kitchenOf(readKitchenFacts(db)));
    if (!plan.ok) throw new Error(plan.fault.says);
    return startBatch(db, { id: 'b', sheetId: 's', sheetVersion: 1, portions: 8, plan: plan.value, startedAt: 5 });
  };
  it('freeze the version that they were made from', () => {
    start();
    saveSheet(db, 's', { doc: edited('1 kg cream 36 %'), baseRevision: 1, now: 10 });
    expect(getSheet(db, 's')?.version).toBe(2);
    expect(getSheetVersion(db, 's', 1)?.parts[0]!.lines[0]!.text).toBe('600 g cream 36 %');
  });
  it('an event that is told twice is done once, whatever revision it comes with', () => {
    const b = start();
    const more = { kind: 'rescale', factor: 1.5, words: 'more', at: 1 } as const;
    const once = recordEvent(db, 'b', more, b.revision, 9, 'event-of-a-tablet');
    const again = recordEvent(db, 'b', more, b.revision, 10, 'event-of-a-tablet');
    expect(again).toEqual(once);
    expect(getBatch(db, 'b')!.progress.scale).toBeCloseTo(1.5, 12);
    expect(recordEvent(db, 'b', more, b.revision, 11, 'another-event')).toMatchObject({ kind: 'behind' });
    expect(recordEvent(db, 'b', more, getBatch(db, 'b')!.revision, 12, 'another-event')).toMatchObject({ kind: 'done' });
    expect(getBatch(db, 'b')!.progress.scale).toBeCloseTo(2.25, 12);
  });
  it('turn what is written into readings, and take it back when it cannot be read', () => {
    const b = start();
    const write = (text: string, revision: number, was = '') => recordEvent(db, 'b', { kind: 'write', reading: 'cup-liquid', text, was }, revision, 9);
    const readings = () => getBatch(db, 'b')!.readings;
    expect(write('120', b.revision)).toMatchObject({ kind: 'done', batch: { revision: 2 } });
    expect(readings()).toEqual({ 'cup-liquid': 120 });
    // Written over what is not there any more, it is asked about; the same text again is no question.
    expect(write('12o', 2)).toMatchObject({ kind: 'behind', current: { progress: { fields: { 'cup-liquid': '120' } } } });
    expect(write('120', 2, '7')).toMatchObject({ kind: 'done' });
    const torn = write('12o', 3, '120');
    expect(torn).toMatchObject({ kind: 'done', batch: { progress: { fields: { 'cup-liquid': '12o' } } } });
    expect(readings()).toEqual({});
  });
  it('do nothing for a screen that is behind, and tell it what is so', () => {
    start();
    recordEvent(db, 'b', { kind: 'go', step: 2 }, 1, 6);
    expect(recordEvent(db, 'b', { kind: 'go', step: 1 }, 1, 7)).toMatchObject({ kind: 'behind', current: { progress: { step: 2 }, revision: 2 } });
    expect(recordEvent(db, 'nobody', { kind: 'go', step: 1 }, 1, 7)).toEqual({ kind: 'gone' });
  });
  it('finish once, and then stand in the strip until their hold ends', () => {
    start();
    expect(runningBatch(db, 's')?.id).toBe('b');
    recordEvent(db, 'b', { kind: 'finish', at: 100 }, 1, 100);
    recordEvent(db, 'b', { kind: 'abandon', at: 200 }, 2, 200);
    expect(getBatch(db, 'b')).toMatchObject({ status: 'finished', endedAt: 100 });
    expect(runningBatch(db)).toBeNull();
    expect(dueMomentsWith(db, 200, () => null)[0]?.says).toContain('Test cream');
    expect(dueMomentsWith(db, 1e15, () => null)).toEqual([]);
  });
});

describe('one screen and itself', () => {
  const by = (screen: string, count: number) => ({ screen, count });
  it('a save that its own page sent on leaving is no conflict; another screen’s still is', () => {
    createSheet(db, 's', DOC, 0);
    saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1, by: by('a', 1) });
    expect(saveSheet(db, 's', { doc: edited('510 g cream 36 %'), baseRevision: 1, now: 2, by: by('a', 2) })).toMatchObject({
      kind: 'saved',
      sheet: { revision: 3 },
    });
    expect(saveSheet(db, 's', { doc: edited('400 g cream 36 %'), baseRevision: 1, now: 3, by: by('b', 1) }).kind).toBe('conflict');
    saveSheet(db, 's', { doc: edited('400 g cream 36 %'), baseRevision: 3, now: 4, by: by('b', 2) });
    expect(saveSheet(db, 's', { doc: edited('520 g cream 36 %'), baseRevision: 3, now: 5, by: by('a', 3) }).kind).toBe('conflict');
  });
  it('the same words from two screens are no conflict, and no new state', () => {
    createSheet(db, 's', DOC, 0);
    saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1, by: by('a', 1) });
    expect(saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 2, by: by('b', 1) })).toMatchObject({
      kind: 'saved',
      sheet: { revision: 2 },
    });
    // As a new version it is one.
    expect(saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 2, now: 3, by: by('b', 2), asNewVersion: true })).toMatchObject({
      kind: 'saved',
      sheet: { revision: 3 },
    });
  });
  it('no name is no screen: nothing passes for the own', () => {
    createSheet(db, 's', DOC, 0);
    expect(saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1, by: by('', 0) })).toMatchObject({
      kind: 'saved',
      sheet: { revision: 2 },
    });
    expect(saveSheet(db, 's', { doc: edited('400 g cream 36 %'), baseRevision: 1, now: 2, by: by('', 0) }).kind).toBe('conflict');
    expect(saveSheet(db, 's', { doc: edited('400 g cream 36 %'), baseRevision: 1, now: 3 }).kind).toBe('conflict');
  });
  it('a save that was overtaken on the way changes nothing', () => {
    createSheet(db, 's', DOC, 0);
    saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1, by: by('a', 2) });
    expect(saveSheet(db, 's', { doc: edited('1 g cream 36 %'), baseRevision: 1, now: 2, by: by('a', 1) })).toMatchObject({
      kind: 'conflict',
      current: { revision: 2 },
    });
    // The same words once more are saved, and no new state.
    expect(saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 3, by: by('a', 2) })).toMatchObject({
      kind: 'saved',
      sheet: { revision: 2 },
    });
    expect(getSheet(db, 's')?.doc.parts[0]!.lines[0]!.text).toBe('500 g cream 36 %');
  });
});

describe('the shelf', () => {
  const view: ShelfView = { find: '', folder: '', order: 'touched', limit: 10 };
  const names = (v: Partial<ShelfView> = {}): readonly string[] => shelf(db, { ...view, ...v }).sheets.map((s) => s.doc.name);
  beforeEach(() => ['Quince fool', 'almond cream', 'Cream 100 %_'].forEach((name, i) => createSheet(db, `s${i}`, { ...DOC, name }, i)));
  it('is by what was touched last or by name, whatever the letters', () => {
    expect(names()).toEqual(['Cream 100 %_', 'almond cream', 'Quince fool']);
    expect(names({ order: 'name' })).toEqual(['almond cream', 'Cream 100 %_', 'Quince fool']);
  });
  it('finds by a part of the name, in which no letter is special', () => {
    expect(names({ find: ' CREAM ' })).toEqual(['Cream 100 %_', 'almond cream']);
    expect(names({ find: '%_' })).toEqual(['Cream 100 %_']);
    expect(names({ find: '%' })).toEqual(['Cream 100 %_']);
    expect(shelf(db, { ...view, find: 'cream', limit: 1 })).toMatchObject({ found: 2, inUse: 3 });
  });
  it('has folders by the kitchen’s own names, with what is in use', () => {
    expect(placeSheet(db, 's0', { folder: ' Weddings ' }, 9)).toBe(true);
    placeSheet(db, 's1', { folder: 'Weddings' }, 9);
    placeSheet(db, 's2', { folder: 'autumn' }, 9);
    placeSheet(db, 's1', { archived: true }, 9);
    expect(shelf(db, view).folders).toEqual([
      { name: 'autumn', n: 1 },
      { name: 'Weddings', n: 1 },
    ]);
    expect(names({ folder: 'Weddings' })).toEqual(['Quince fool']);
    placeSheet(db, 's0', { folder: '' }, 9);
    expect(shelf(db, view).folders).toEqual([{ name: 'autumn', n: 1 }]);
  });
  it('what is put away is not in use, is still there, keeps its folder and its edits, and comes back', () => {
    placeSheet(db, 's0', { folder: 'Weddings' }, 9);
    placeSheet(db, 's0', { archived: true }, 9);
    expect(names()).toEqual(['Cream 100 %_', 'almond cream']);
    expect(names({ folder: null })).toEqual(['Quince fool']);
    expect(shelf(db, view)).toMatchObject({ inUse: 2, putAway: 1 });
    expect([listSheets(db).length, everySheet(db).length]).toEqual([2, 3]);
    expect(saveSheet(db, 's0', { doc: { ...DOC, name: 'Quince fool, better' }, baseRevision: 1, now: 10 }).kind).toBe('saved');
    placeSheet(db, 's0', { archived: false }, 11);
    expect(names({ folder: 'Weddings' })).toEqual(['Quince fool, better']);
  });
  it('a sheet that is gone is not placed', () => {
    expect(placeSheet(db, 'none', { folder: 'x' }, 9)).toBe(false);
    expect(placeSheet(db, 'none', {}, 9)).toBe(false);
    expect(placeSheet(db, 's0', {}, 9)).toBe(true);
  });
});

describe('versions', () => {
  it('that are named stay as they are, and are listed with their batches', () => {
    createSheet(db, 's', DOC, 0);
    expect(nameVersion(db, 's', 1, ' as served in June ', '')).toEqual({ kind: 'named' });
    expect(nameVersion(db, 's', 9, 'x', '')).toEqual({ kind: 'gone' });
    // Two screens at once: the second is told; the same name twice is no conflict.
    expect(nameVersion(db, 's', 1, 'as served in May', '')).toEqual({ kind: 'conflict', name: 'as served in June' });
    expect(nameVersion(db, 's', 1, 'as served in June', '')).toEqual({ kind: 'named' });
    saveSheet(db, 's', { doc: edited('500 g cream 36 %'), baseRevision: 1, now: 1 });
    expect(listVersions(db, 's').map((v) => [v.number, v.name, v.batches])).toEqual([
      [2, null, 0],
      [1, 'as served in June', 0],
    ]);
    expect(getSheetVersion(db, 's', 1)?.parts[0]!.lines[0]!.text).toBe('600 g cream 36 %');
  });
  it('of the first form are read and brought up to date', () => {
    createSheet(db, 's', DOC, 0);
    const old = {
      ...DOC,
      formatVersion: 1,
      parts: DOC.parts.map((p) => ({
        id: p.id,
        kind: p.kind,
        name: p.name,
        lines: p.lines.map((l) => ({ id: l.id, text: l.text, ingredientId: l.ingredientId, lastGood: { text: l.text, ingredientId: l.ingredientId } })),
        whisk: p.whisk,
      })),
    } as Record<string, unknown>;
    for (const key of ['family', 'steps', 'ways', 'method', 'unread']) delete old[key];
    db.$client.prepare('update sheets set doc = ? where id = ?').run(JSON.stringify(old), 's');
    expect(getSheet(db, 's')?.doc).toMatchObject({ formatVersion: 2, family: 'chantilly', steps: [] });
    expect(getSheet(db, 's')?.doc.parts[0]!.lines[0]).toMatchObject({ text: '600 g cream 36 %', stepId: null });
  });
});

describe('the larder', () => {
  const own = { ...ingredient('cream-36'), id: 'own-cream', name: 'Own cream', own: true, aliases: [] };
  it('is read from the file again where something changed, and only there; what cannot be read is left out', () => {
    const creamNow = () => readLarder(db).find((i) => i.id === 'cream-36');
    const before = creamNow()!;
    expect(creamNow()).toBe(before);
    saveIngredient(db, { ...before, packG: 777 }, getIngredient(db, 'cream-36')!.revision);
    expect(creamNow()).toMatchObject({ packG: 777 });
    // As another program, or a copy that was gone back to, writes it.
    db.$client.prepare("update ingredients set facts = json_set(facts, '$.packG', 500) where id = 'cream-36'").run();
    expect(creamNow()).toMatchObject({ packG: 500 });
    db.$client.prepare("update ingredients set facts = '{no json' where id = 'cream-36'").run();
    const others = readLarder(db);
    expect(others.length).toBeGreaterThan(300);
    expect(others.some((i) => i.id === 'cream-36')).toBe(false);
  });
  it('takes new ingredients, checks the revision, keeps what is used', () => {
    expect(saveIngredient(db, own, 0)).toMatchObject({ kind: 'saved', stored: { revision: 1 } });
    // The same again, because no answer came, is no conflict; other words under that id are.
    expect(saveIngredient(db, own, 0)).toMatchObject({ kind: 'saved', stored: { revision: 1 } });
    expect(saveIngredient(db, { ...own, packG: 9 }, 0).kind).toBe('conflict');
    expect(saveIngredient(db, { ...own, packG: 500 }, 1)).toMatchObject({ kind: 'saved', stored: { revision: 2 } });
    expect(saveIngredient(db, own, 1).kind).toBe('conflict');
    expect(saveIngredient(db, { ...own, id: 'nobody' }, 4).kind).toBe('gone');
    createSheet(
      db,
      's',
      { ...DOC, parts: DOC.parts.map((p) => ({ ...p, lines: p.lines.map((l, i) => (i === 0 ? { ...l, ingredientId: 'own-cream' } : l)) })) },
      0,
    );
    expect(usesOf(db, 'own-cream')).toMatchObject([{ sheetId: 's', text: '600 g cream 36 %' }]);
    expect(removeIngredient(db, 'own-cream')).toBe('used');
    expect(removeIngredient(db, 'cream-36')).toBe('shipped');
    expect(removeIngredient(db, 'nobody')).toBe('gone');
    saveSheet(db, 's', { doc: DOC, baseRevision: 1, now: 1 });
    expect(removeIngredient(db, 'own-cream')).toBe('removed');
  });
  it('takes a file over whole or not at all', () => {
    const before = readKitchenFacts(db).larder.length;
    expect(takeOverLarder(db, compareLarder(db, [own, { ...own, id: 'cream-36' }]))).toEqual({ added: 1, replaced: 1, edited: [] });
    expect(readKitchenFacts(db).larder).toHaveLength(before + 1);
    expect(() =>
      takeOverLarder(
        db,
        compareLarder(db, [
          { ...own, id: 'fine' },
          { ...own, id: 'bad', ediblePct: 400 },
        ]),
      ),
    ).toThrow();
    expect(readKitchenFacts(db).larder.some((i) => i.id === 'fine')).toBe(false);
  });
});

describe('a larder file that comes back', () => {
  it('replaces what differs, and leaves what somebody edited since it was taken out', () => {
    const out = readLarderCsv(writeLarderCsv(readKitchenFacts(db).larder, larderRevisions(db)));
    if (!out.ok) throw new Error(out.fault.says);
    const { ingredients, revisions } = out.value;
    expect(takeOverLarder(db, compareLarder(db, ingredients, revisions))).toEqual({ added: 0, replaced: 0, edited: [] });
    const cream = getIngredient(db, 'cream-36')!;
    saveIngredient(db, { ...cream.ingredient, packG: 123 }, cream.revision);
    const changed = ingredients.map((i) => (i.id === 'cream-36' || i.id === 'butter-82' ? { ...i, packG: 999 } : i));
    expect(takeOverLarder(db, compareLarder(db, changed, revisions))).toEqual({ added: 0, replaced: 1, edited: [cream.ingredient.name] });
    expect(getIngredient(db, 'cream-36')!.ingredient.packG).toBe(123);
    expect(getIngredient(db, 'butter-82')!.ingredient.packG).toBe(999);
    // A file that does not say what it was taken from replaces.
    expect(takeOverLarder(db, compareLarder(db, changed)).replaced).toBe(1);
  });
  it('leaves what another screen saved between the comparing and the writing, and writes the rest', () => {
    const cream = getIngredient(db, 'cream-36')!;
    const butter = getIngredient(db, 'butter-82')!;
    const compared = compareLarder(db, [
      { ...cream.ingredient, packG: 7 },
      { ...butter.ingredient, packG: 8 },
      { ...cream.ingredient, id: 'new-cream', own: true },
    ]);
    expect(compared.changes.map((c) => c.from)).toEqual([cream.revision, butter.revision, null]);
    saveIngredient(db, { ...cream.ingredient, packG: 123 }, cream.revision);
    saveIngredient(db, { ...cream.ingredient, id: 'new-cream', packG: 5, own: true }, 0);
    expect(takeOverLarder(db, compared)).toEqual({ added: 0, replaced: 1, edited: [cream.ingredient.name, cream.ingredient.name] });
    expect(getIngredient(db, 'cream-36')).toMatchObject({ revision: cream.revision + 1, ingredient: { packG: 123 } });
    expect(getIngredient(db, 'butter-82')).toMatchObject({ revision: butter.revision + 1, ingredient: { packG: 8 } });
    expect(getIngredient(db, 'new-cream')?.ingredient.packG).toBe(5);
  });
  it('a data file is its owner’s alone', () => {
    expect(statSync(db.$client.name).mode & 0o077).toBe(0);
  });
});

describe('the kitchen’s things', () => {
  it('are saved whole, with a check of what they were read at', () => {
    const { vessels, mixers, places, rules } = readKitchenFacts(db);
    const at = thingsRevision(db);
    expect(vessels.length).toBeGreaterThan(5);
    expect(places.length).toBeGreaterThan(2);
    const things = { vessels: vessels.slice(0, 2), mixers, places: [], rules: { ...rules, roomC: 24 } };
    expect(saveThings(db, things, at)).toEqual({ kind: 'saved', revision: at + 1 });
    expect(saveThings(db, things, at)).toEqual({ kind: 'conflict' });
    expect(readKitchenFacts(db)).toMatchObject({ places: [], rules: { roomC: 24 } });
    expect(readKitchenFacts(db).vessels).toHaveLength(2);
    expect(() => saveThings(db, { ...things, mixers: [{ ...mixers[0]!, bowlMl: -1 }] }, at + 1)).toThrow();
    expect(readKitchenFacts(db).mixers).toEqual(mixers);
  });
});

describe('the sample kitchen', () => {
  it('fills an empty kitchen once: every family, every line read and used, a month of batches', () => {
    expect(seedSampleKitchen(db, Date.UTC(2026, 5, 20, 12))).toBe(true);
    expect(seedSampleKitchen(db, Date.UTC(2026, 5, 20, 12))).toBe(false);
    const sheets = listSheets(db);
    expect(sheets).toHaveLength(13);
    expect(new Set(sheets.map((s) => s.doc.family)).size).toBe(10);
    const kitchen = kitchenOf(readKitchenFacts(db));
    for (const s of sheets) {
      const analysis = analyseSheet(s.doc, kitchen);
      for (const l of analysis.parts.flatMap((a) => a.reading.lines)) {
        expect(l.fault, `${s.doc.name}: ${l.line.text}`).toBeNull();
        if (l.kind !== 'loss') expect(l.line.stepId, `${s.doc.name}: ${l.line.text}`).not.toBeNull();
      }
      expect(analysis.fillMm.ok, s.doc.name).toBe(true);
      expect(batchPlan(s.doc, kitchen).ok, s.doc.name).toBe(true);
    }
    const batches = listBatches(db);
    expect(batches).toHaveLength(10);
    expect(batches.filter((b) => b.progress.note !== '').length).toBeGreaterThanOrEqual(3);
    expect(readKitchenFacts(db).rules.kitchenName).toBe('Gannet Quay');
  });
});

describe('the larder file', () => {
  it('names the row that is wrong', () => {
    const [head, row] = readFileSync('src/data/seed/larder.csv', 'utf8').split('\n');
    const read = readLarderCsv(`${head}\n${row!.replace('80.08', '8')}`);
    expect(read.ok ? '' : read.fault.says).toMatch(/row 2 \(cream-12\)/);
  });
});
