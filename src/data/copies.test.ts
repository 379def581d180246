import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { copiesToKeep, copyNamed, goBackTo, holdingsOf, isCopyDue, KEPT, listCopies, makeCopy } from './copies';
import { openKitchenFile, type KitchenDb } from './kitchen-file';
import { sinceCopy } from './since-copy';
import { openSampleKitchen } from '../testing/sample-file';
import { getSheet, listSheets, saveSheet } from './sheets';

const NOW = Date.UTC(2026, 10, 20, 3);
const DAY = 86_400_000;
let folder: string;
let path: string;
let copies: string;
let db: KitchenDb;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'copies-'));
  path = join(folder, 'kitchen.db');
  copies = join(folder, 'copies');
  db = openSampleKitchen(path, NOW);
});
afterEach(() => {
  if (db.$client.open) db.$client.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('a copy', () => {
  it('holds every row, opens by itself, and is named by its moment', async () => {
    const made = await makeCopy(db, NOW, copies);
    expect(made.name).toBe('kitchen-20261120-030000.db');
    expect(made.sheets).toBe(listSheets(db).length);
    expect(made.ingredients).toBeGreaterThan(200);
    expect(readdirSync(copies)).toEqual([made.name]);
    const table = (of: KitchenDb, name: string): string => JSON.stringify(of.$client.prepare(`select * from ${name} order by 1`).all());
    const copy = openKitchenFile(join(copies, made.name));
    for (const name of ['sheets', 'sheet_versions', 'batches', 'readings', 'ingredients', 'services', 'observations', 'temperatures'])
      expect(table(copy, name), name).toBe(table(db, name));
    copy.$client.close();
  });
  it('made while the kitchen writes has whole writes only', async () => {
    const sheet = listSheets(db)[0]!;
    const making = makeCopy(db, NOW, copies);
    let revision = sheet.revision;
    for (let i = 0; i < 20; i++) {
      const saved = saveSheet(db, sheet.id, { doc: { ...sheet.doc, notes: `note ${i}` }, baseRevision: revision, now: NOW + i });
      if (saved.kind === 'saved') revision = saved.sheet.revision;
    }
    const made = await making;
    const copy = openKitchenFile(join(copies, made.name));
    expect(getSheet(copy, sheet.id)).not.toBeNull();
    copy.$client.close();
  });
  it('asked for twice at once is made once', async () => {
    const [a, b] = await Promise.all([makeCopy(db, NOW, copies), makeCopy(db, NOW, copies)]);
    expect(b).toEqual(a);
    expect(listCopies(copies)).toHaveLength(1);
    expect((await makeCopy(db, NOW + 5000, copies)).name).not.toBe(a.name);
  });
  it('is due at first, then once a day', async () => {
    expect(isCopyDue(NOW, copies)).toBe(true);
    await makeCopy(db, NOW, copies);
    expect(isCopyDue(NOW + DAY - 1000, copies)).toBe(false);
    expect(isCopyDue(NOW + DAY, copies)).toBe(true);
  });
  it('a damaged one is never put back, and nothing is changed', async () => {
    writeFileSync(join(folder, 'broken.db'), 'not a data file');
    const before = listSheets(db).length;
    expect(() => goBackTo(join(folder, 'broken.db'), path, NOW)).toThrow();
    expect(listSheets(db).length).toBe(before);
  });
});

describe('going back', () => {
  it('to a copy: the kitchen is as it was then, and what stood there is kept aside with its last writes', async () => {
    const made = await makeCopy(db, NOW, copies);
    const sheet = listSheets(db)[0]!;
    saveSheet(db, sheet.id, { doc: { ...sheet.doc, name: 'Changed since' }, baseRevision: sheet.revision, now: NOW + 5 });
    db.$client.close();
    const aside = goBackTo(join(copies, made.name), path, NOW + 60_000);
    db = openKitchenFile(path);
    expect(getSheet(db, sheet.id)!.doc.name).toBe(sheet.doc.name);
    const kept = openKitchenFile(aside!);
    expect(getSheet(kept, sheet.id)!.doc.name).toBe('Changed since');
    kept.$client.close();
    expect(existsSync(`${path}.before-20261120-030100`)).toBe(true);
    expect(holdingsOf(path)).toEqual(holdingsOf(join(copies, made.name)));
  });
});

describe('what is kept', () => {
  it('by hand: a copy a day for two years leaves seven days, the weeks and the months', () => {
    const daily = Array.from({ length: 730 }, (_, i) => NOW - i * DAY);
    const kept = copiesToKeep(daily, NOW);
    expect(kept.slice(0, KEPT.days)).toEqual(daily.slice(0, KEPT.days));
    expect(kept.length).toBeGreaterThanOrEqual(KEPT.days + 3 + KEPT.months - 2);
    expect(kept.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
    expect(NOW - kept.at(-1)!).toBeGreaterThan(320 * DAY);
    expect(NOW - kept.at(-1)!).toBeLessThan(366 * DAY);
  });
  it('all of the last day stay, up to twelve: what was kept before a going back is there after it', () => {
    const hourly = Array.from({ length: 30 }, (_, i) => NOW - i * 3_600_000);
    const kept = copiesToKeep(hourly, NOW);
    expect(kept.slice(0, 12)).toEqual(hourly.slice(0, 12));
    expect(kept.length).toBeLessThanOrEqual(12 + 2);
    expect(copiesToKeep([NOW, NOW - 3_600_000], NOW + 3 * DAY)).toEqual([NOW]);
  });
  it('two within a second are two', async () => {
    const [a, b] = [await makeCopy(db, NOW, copies), await makeCopy(db, NOW + 300, copies)];
    expect(b.name).not.toBe(a.name);
    expect(listCopies(copies)).toHaveLength(2);
  });
  it('one is spared that would go', async () => {
    const old = await makeCopy(db, NOW, copies);
    await makeCopy(db, NOW + 400 * DAY, copies, old.name);
    expect(listCopies(copies)).toHaveLength(2);
    await makeCopy(db, NOW + 401 * DAY, copies);
    expect(listCopies(copies).map((c) => c.name)).not.toContain(old.name);
  });
  it('law: the newest always stays, nothing is made up, and what is kept today from what was kept yesterday is what all of it would leave', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 500 * 24 }), { minLength: 1, maxLength: 60 }), (hours) => {
        const moments = [...new Set(hours)].map((h) => NOW - h * 3_600_000);
        const kept = copiesToKeep(moments, NOW);
        expect(kept[0]).toBe(Math.max(...moments));
        for (const at of kept) expect(moments).toContain(at);
        expect(copiesToKeep(kept, NOW)).toEqual(kept);
      }),
    );
  });
  it('older files of other names are let be', async () => {
    await makeCopy(db, NOW, copies);
    writeFileSync(join(copies, 'mine.txt'), 'x');
    await makeCopy(db, NOW + 400 * DAY, copies);
    expect(existsSync(join(copies, 'mine.txt'))).toBe(true);
    expect(listCopies(copies)).toHaveLength(1);
  });
});

describe('what has changed since a copy', () => {
  it('is nothing at once; then what came, what was written anew, and what is gone', async () => {
    const made = await makeCopy(db, NOW, copies);
    const copy = copyNamed(made.name, copies)!;
    const none = { since: [], changed: [], back: [] };
    expect(sinceCopy(db, copy)).toEqual({ batches: none, sheets: none, ingredients: none, services: none });
    const sheet = listSheets(db)[0]!;
    db.$client.prepare('update sheets set revision = revision + 1 where id = ?').run(sheet.id);
    db.$client
      .prepare(
        "insert into services (id, name, doc, revision, created_at, updated_at) select 'other', 'Late supper', doc, 1, created_at, updated_at from services limit 1",
      )
      .run();
    const gone = db.$client.prepare('select id, name from services where id <> ? limit 1').get('other') as { id: string; name: string };
    db.$client.prepare('delete from services where id = ?').run(gone.id);
    const differs = sinceCopy(db, copy);
    expect(differs.sheets).toEqual({ ...none, changed: [sheet.doc.name] });
    expect(differs.services).toEqual({ since: ['Late supper'], changed: [], back: [gone.name] });
    expect(differs.batches).toEqual(none);
    // Gone back, nothing differs, and what stood there is beside it.
    db.$client.close();
    const aside = goBackTo(copy, path, NOW + 1000)!;
    db = openKitchenFile(path);
    expect(sinceCopy(db, copy)).toEqual({ batches: none, sheets: none, ingredients: none, services: none });
    expect(sinceCopy(db, aside).services).toEqual({ since: [gone.name], changed: [], back: ['Late supper'] });
    expect(existsSync(`${path}.coming`)).toBe(false);
  });
  it('a name that is no copy’s leads nowhere', async () => {
    const made = await makeCopy(db, NOW, copies);
    for (const name of ['', '..', '../kitchen.db', 'kitchen.db', `../copies/${made.name}`, `${made.name}x`, 'kitchen-20991231-000000.db'])
      expect(copyNamed(name, copies), name).toBeNull();
    expect(copyNamed(made.name, copies)).toBe(join(copies, made.name));
  });
});
