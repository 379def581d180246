import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { kitchenOf } from '../core/kitchen/kitchen';
import { analyseSheet } from '../core/analysis/analyse';
import { axesOffered } from '../core/trials/axes';
import type { NewTrialEvent } from '../core/trials/series';
import { openSampleKitchen } from '../testing/sample-file';
import { readKitchenFacts } from './kitchen-facts';
import type { KitchenDb } from './kitchen-file';
import { getSheet } from './sheets';
import { addTrialEvent, getSeries, listSeries, seriesSheet } from './trials';

const SHEET = 'prune-mousse';
let folder: string;
let db: KitchenDb;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'trials-'));
  db = openSampleKitchen(join(folder, 'kitchen.db'), Date.UTC(2026, 11, 1));
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

const begun = (seriesId: string): NewTrialEvent => {
  const kitchen = kitchenOf(readKitchenFacts(db));
  const sheet = getSheet(db, SHEET)!.doc;
  const [a] = axesOffered(analyseSheet(sheet, kitchen), kitchen);
  return { id: `begun-${seriesId}`, seriesId, says: { kind: 'begun', sheet, axes: [a!.axis], now: [a!.now], wishes: ['light'] } };
};

describe('trials in the data file', () => {
  it('a series is what its events say; one that is sent twice is there once', () => {
    expect(addTrialEvent(db, SHEET, begun('series-0001'), 5)).toMatchObject({ ok: true });
    expect(addTrialEvent(db, SHEET, begun('series-0001'), 6)).toMatchObject({ ok: true });
    const s = getSeries(db, 'series-0001')!;
    expect([s.trials.length, s.begunAt]).toEqual([3, 5]);
    const next: NewTrialEvent = { id: 'next-0001', seriesId: 'series-0001', says: { kind: 'next' } };
    addTrialEvent(db, SHEET, next, 7);
    addTrialEvent(db, SHEET, next, 8);
    expect(getSeries(db, 'series-0001')!.trials).toHaveLength(4);
  });
  it('the newest series is first, and a sheet has only its own', () => {
    addTrialEvent(db, SHEET, begun('series-0001'), 1);
    addTrialEvent(db, SHEET, begun('series-0002'), 2);
    expect(listSeries(db, SHEET).map((s) => s.id)).toEqual(['series-0002', 'series-0001']);
    expect(listSeries(db, 'honey-semifreddo')).toEqual([]);
    expect(seriesSheet(db, 'series-0001')?.sheetId).toBe(SHEET);
    expect([seriesSheet(db, 'none'), getSeries(db, 'none')]).toEqual([null, null]);
  });
  it('an event is of the sheet that its series began with, whatever page it comes from', () => {
    addTrialEvent(db, SHEET, begun('series-0001'), 1);
    addTrialEvent(db, 'honey-semifreddo', { id: 'next-0001', seriesId: 'series-0001', says: { kind: 'next' } }, 2);
    expect(listSeries(db, SHEET)[0]?.trials).toHaveLength(4);
    expect(listSeries(db, 'honey-semifreddo')).toEqual([]);
  });
  it('what cannot follow writes nothing', () => {
    const r = addTrialEvent(db, SHEET, { id: 'next-0001', seriesId: 'series-none', says: { kind: 'next' } }, 1);
    expect(r).toMatchObject({ ok: false });
    expect(listSeries(db, SHEET)).toEqual([]);
  });
});
