import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openSampleKitchen } from '../testing/sample-file';
import type { KitchenDb } from './kitchen-file';
import { createService, getService, removeService } from './services';
import { sinceCopy } from './since-copy';

let folder: string;
let db: KitchenDb;
const NOW = Date.UTC(2026, 10, 29, 15);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'soft-peak-since-'));
  db = openSampleKitchen(join(folder, 'kitchen.db'), NOW);
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

const copyOf = (change: (file: Database.Database) => void = () => undefined): string => {
  const path = join(folder, 'copy.db');
  db.$client.exec(`vacuum into '${path}'`);
  const file = new Database(path);
  change(file);
  file.close();
  return path;
};

describe('what differs since a copy', () => {
  it('nothing, where nothing was done', () => {
    const none = { since: [], changed: [], back: [] };
    expect(sinceCopy(db, copyOf())).toEqual({ batches: none, sheets: none, ingredients: none, services: none });
  });
  it('a service that was begun since would go, one that was taken away would come back', () => {
    const copy = copyOf();
    createService(db, 'new', { ...getService(db, 'harbour-dinner')!.doc, name: 'Begun since' }, NOW);
    removeService(db, 'harbour-dinner', NOW);
    expect(sinceCopy(db, copy).services).toEqual({ since: ['Begun since'], changed: [], back: ['Harbour dinner'] });
  });
  it('a copy from before there was a place for what was taken away is compared too', () => {
    const copy = copyOf((file) => file.exec('alter table services drop column removed_at'));
    removeService(db, 'harbour-dinner', NOW);
    expect(sinceCopy(db, copy).services.back).toEqual(['Harbour dinner']);
  });
});
