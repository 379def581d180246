import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { PDFDocument } from 'pdf-lib';
import { buildAside } from '../../scripts/prepare.mjs';
import { logCsv, logJson } from '../core/files/log-files';
import { writeLarderCsv } from '../core/larder/larder-csv';
import { listBatches } from '../data/batches';
import { countCopiesBy, holdingsOf, listCopies, makeCopy } from '../data/copies';
import type { KitchenDb } from '../data/kitchen-file';
import { readKitchenFacts, readLarder } from '../data/kitchen-facts';
import { getIngredient, larderRevisions } from '../data/larder';
import { readLog } from '../data/log';
import { plannedService } from '../data/service-plans';
import { getService, saveService } from '../data/services';
import { openSampleKitchen } from '../testing/sample-file';
import { asideOf, tookTooLong, TookTooLong, type Aside } from './aside';

const NOW = Date.UTC(2026, 10, 25, 9);
let folder: string;
let db: KitchenDb;
let path: string;
let aside: Aside;
// Beside the packages, where it finds the database's.
const BUNDLE = join(process.cwd(), 'node_modules', '.aside-under-test.mjs');

beforeAll(async () => {
  await buildAside(BUNDLE);
  aside = asideOf(BUNDLE);
});
afterAll(async () => {
  await aside.end();
  rmSync(BUNDLE, { force: true });
});
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'soft-peak-'));
  path = join(folder, 'kitchen.db');
  db = openSampleKitchen(path, NOW);
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

describe('the second thread', () => {
  it('plans a service as this thread does, and sees at once what was written here', async () => {
    const first = await aside.ask('plan', { path, serviceId: 'harbour-dinner', now: NOW });
    const service = getService(db, 'harbour-dinner')!;
    expect(first).toEqual(plannedService(db, service, NOW));
    const later = service.doc.servings.slice(1);
    saveService(db, service.id, { ...service.doc, servings: later }, service.revision, NOW);
    const second = await aside.ask('plan', { path, serviceId: 'harbour-dinner', now: NOW });
    expect(second.ok && second.value.ok && second.value.plan.servings.map((s) => s.id)).toEqual(later.map((s) => s.id));
    expect(await aside.ask('plan', { path, serviceId: 'nobody', now: NOW })).toMatchObject({ ok: false, fault: { code: 'gone' } });
  });

  it('holds nobody up here: what is asked meanwhile is answered first', async () => {
    const answered: string[] = [];
    const planned = aside.ask('plan', { path, serviceId: 'harbour-dinner', now: NOW }).then(() => answered.push('the plan'));
    for (let i = 0; i < 5; i++) await new Promise((go) => setImmediate(go));
    readKitchenFacts(db);
    answered.push('another screen');
    await planned;
    expect(answered).toEqual(['another screen', 'the plan']);
  });

  it('stops what takes longer than its limit, and answers the next question', async () => {
    await expect(aside.ask('plan', { path, serviceId: 'harbour-dinner', now: NOW }, 0.001)).rejects.toThrow(TookTooLong);
    expect(await aside.ask('calculated', { name: 'overrun', input: { liquidG: 120, foamG: 60 } })).toEqual({
      ok: true,
      value: expect.objectContaining({}) as object,
    });
  });

  it('a limit that is over is known by its name, whichever bundle of the app asked', () => {
    class Another extends Error {
      override name = 'TookTooLong';
    }
    expect(tookTooLong(new TookTooLong(3))).toBe(true);
    expect(tookTooLong(new Another('stopped'))).toBe(true);
    expect(tookTooLong(new Error('stopped'))).toBe(false);
    expect(tookTooLong(null)).toBe(false);
  });

  it('a fault of its own reaches who asked, and the thread goes on', async () => {
    await expect(aside.ask('plan', { path: join(folder, 'nowhere.db'), serviceId: 'x', now: NOW })).rejects.not.toThrow(TookTooLong);
    writeFileSync(join(folder, 'odd.db'), 'this is no data file, and never was one');
    await expect(aside.ask('plan', { path: join(folder, 'odd.db'), serviceId: 'x', now: NOW })).rejects.toThrow(/not a database/);
    await expect(asideOf(join(folder, 'not-built.mjs')).ask('larderFile', { path })).rejects.toThrow(/npm run build/);
    expect(await aside.ask('larderFile', { path })).toBe(writeLarderCsv(readLarder(db), larderRevisions(db)));
  });

  it('writes the log as the first thread would, whole or of one sheet', async () => {
    expect(await aside.ask('logFile', { path, sheetId: undefined, format: 'csv' })).toBe(logCsv(readLog(db)));
    const sheetId = listBatches(db)[0]!.sheetId!;
    expect(await aside.ask('logFile', { path, sheetId, format: 'json' })).toBe(logJson(readLog(db, sheetId)));
    expect(JSON.parse(await aside.ask('logFile', { path, sheetId: 'nowhere', format: 'json' }))).toMatchObject({ batches: [] });
  });

  it('compares a larder’s file with the kitchen, and leaves the writing to the first thread', async () => {
    const text = writeLarderCsv(readLarder(db), larderRevisions(db));
    expect(await aside.ask('larderCompared', { path, text })).toEqual({
      ok: true,
      value: { rows: readLarder(db).length, changes: [], edited: [], faults: [] },
    });
    const cream = getIngredient(db, 'cream-36')!;
    const compared = await aside.ask('larderCompared', { path, text: text.replace(cream.ingredient.name, 'Cream of the house') });
    expect(compared).toMatchObject({ ok: true, value: { changes: [{ id: 'cream-36', name: 'Cream of the house', from: cream.revision }] } });
    expect(getIngredient(db, 'cream-36')).toEqual(cream);
    expect(await aside.ask('larderCompared', { path, text: 'a,b\n1,2' })).toMatchObject({ ok: false, fault: { code: 'no-column' } });
  });

  it('counts what a copy holds, and says when it is damaged; a copy is made with that', async () => {
    const copies = join(folder, 'counted');
    const asked: string[] = [];
    countCopiesBy((of) => {
      asked.push(of);
      return aside.ask('holdings', { path: of });
    });
    try {
      const copy = await makeCopy(db, NOW, copies);
      expect(asked).toEqual([join(copies, `${copy.name}.unfinished`)]);
      expect(copy).toMatchObject(holdingsOf(path));
      const whole = readFileSync(join(copies, copy.name));
      const damaged = join(folder, 'damaged.db');
      writeFileSync(damaged, whole.fill(0x55, 4096, 40_000));
      await expect(aside.ask('holdings', { path: damaged })).rejects.toThrow();
    } finally {
      countCopiesBy((of) => Promise.resolve(holdingsOf(of)));
    }
  });

  it('writes labels, and the whole kitchen, and reads it into a copy; the data file stays as it is', async () => {
    const before = statSync(path);
    const pdf = await aside.ask('labels', { path, of: { serviceId: 'harbour-dinner', servings: [] }, grid: 'a4-21', skip: 0, now: NOW });
    expect(pdf.ok && (await PDFDocument.load(pdf.value)).getPageCount()).toBe(1);
    expect(await aside.ask('labels', { path, of: { batchId: 'nobody' }, grid: 'a4-21', skip: 0, now: NOW })).toMatchObject({
      ok: false,
      fault: { code: 'gone' },
    });
    const zip = await aside.ask('kitchenZip', { path, photos: join(folder, 'photos') });
    const copies = join(folder, 'copies');
    const [whole, half] = [join(folder, 'whole.zip'), join(folder, 'half.zip')];
    writeFileSync(whole, zip);
    writeFileSync(half, zip.slice(0, 900));
    const copy = await aside.ask('copyOfZip', { zip: whole, folder: copies, now: NOW });
    expect(copy.ok && listCopies(copies).map((c) => c.name)).toEqual([copy.ok && copy.value.name]);
    expect(await aside.ask('copyOfZip', { zip: half, folder: copies, now: NOW })).toMatchObject({ ok: false });
    expect([statSync(path).size, statSync(path).mtimeMs]).toEqual([before.size, before.mtimeMs]);
  });
});
