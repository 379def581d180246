import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { batchPlan } from '../core/batch/make-batch';
import { kitchenOf } from '../core/kitchen/kitchen';
import { openSampleKitchen } from '../testing/sample-file';
import { recordEvent, startBatch } from './batches';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { pagesToKeep } from './pages-to-keep';
import { removeService } from './services';
import { getSheet } from './sheets';

let folder: string;
let db: KitchenDb;
const NOW = Date.UTC(2026, 10, 25, 9);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'soft-peak-'));
  db = openSampleKitchen(join(folder, 'kitchen.db'), NOW);
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

const start = (id: string, at: number): void => {
  const plan = batchPlan(getSheet(db, 'bay-leaf-chantilly')!.doc, kitchenOf(readKitchenFacts(db)));
  if (!plan.ok) throw new Error(plan.fault.says);
  startBatch(db, { id, sheetId: 'bay-leaf-chantilly', sheetVersion: 1, portions: 6, plan: plan.value, startedAt: at });
};
const hrefs = (): readonly string[] => pagesToKeep(db, NOW).map((p) => p.href);

describe('the pages that a tablet keeps', () => {
  it('are Today, what is being made with its sheet and Mend, and what is served in these days, by name', () => {
    start('mine', NOW);
    expect(pagesToKeep(db, NOW)).toEqual(
      expect.arrayContaining([
        { href: '/', name: 'Today' },
        { href: '/pass/mine', name: 'Pass: Bay-leaf chantilly' },
        { href: '/mend?batch=mine', name: 'Mend: Bay-leaf chantilly' },
        { href: '/sheet/bay-leaf-chantilly/bench', name: 'Bench: Bay-leaf chantilly' },
        { href: '/clock/harbour-dinner', name: expect.stringMatching(/^Clock: /) },
        { href: '/print/service/harbour-dinner', name: expect.stringMatching(/^Day sheet: /) },
      ]),
    );
  });
  it('leave out a batch that is done, and a service that was taken away', () => {
    start('mine', NOW);
    recordEvent(db, 'mine', { kind: 'finish', at: NOW + 1 }, 1, NOW + 1);
    removeService(db, 'harbour-dinner', NOW);
    expect(hrefs()).not.toContain('/pass/mine');
    expect(hrefs()).not.toContain('/clock/harbour-dinner');
    expect(hrefs()).toContain('/');
  });
  it('are of the eight batches begun last, each sheet once', () => {
    for (let i = 0; i < 10; i++) start(`b${i}`, NOW + i);
    expect(hrefs().filter((h) => h.startsWith('/pass/b'))).toEqual([
      '/pass/b9',
      '/pass/b8',
      '/pass/b7',
      '/pass/b6',
      '/pass/b5',
      '/pass/b4',
      '/pass/b3',
      '/pass/b2',
    ]);
    expect(hrefs().filter((h) => h.startsWith('/sheet/bay-leaf'))).toHaveLength(1);
  });
});
