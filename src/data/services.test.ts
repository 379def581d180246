import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { tubLabelPdf } from '../core/files/tub-label-pdf';
import { LABEL_SIZES, type LabelGridKey } from '../core/files/label-sizes';
import { kitchenOf } from '../core/kitchen/kitchen';
import { batchPlan } from '../core/batch/make-batch';
import { PDFDocument } from 'pdf-lib';
import { getBatch, recordEvent, startBatch } from './batches';
import { dueMomentsWith } from './due';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { openSampleKitchen } from '../testing/sample-file';
import { batchLabels, serviceLabels } from './labels';
import { plannedService, soFarByServing } from './service-plans';
import { bringServiceBack, createService, getService, listServices, removedServices, removeService, saveService, setServingBatch } from './services';
import { getSheet } from './sheets';
import { listStock, putPacks } from './stock';

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

const dinner = () => getService(db, 'harbour-dinner')!;
const started = (sheetId: string) => {
  const plan = batchPlan(getSheet(db, sheetId)!.doc, kitchenOf(readKitchenFacts(db)));
  if (!plan.ok) throw new Error(plan.fault.says);
  return startBatch(db, { id: `batch-${sheetId}`, sheetId, sheetVersion: 1, portions: 6, plan: plan.value, startedAt: NOW });
};

describe('services in the data file', () => {
  it('are saved with their revision; a save from an older one changes nothing', () => {
    const first = dinner();
    const saved = saveService(db, first.id, { ...first.doc, name: 'Quay dinner' }, first.revision, NOW + 1);
    expect(saved).toMatchObject({ kind: 'saved', service: { revision: first.revision + 1, doc: { name: 'Quay dinner' } } });
    // The same words again, because no answer came, are no conflict.
    expect(saveService(db, first.id, { ...first.doc, name: 'Quay dinner' }, first.revision, NOW + 2)).toEqual(saved);
    expect(saveService(db, first.id, { ...first.doc, name: 'Too late' }, first.revision, NOW + 2)).toMatchObject({
      kind: 'conflict',
      current: { doc: { name: 'Quay dinner' } },
    });
    expect(saveService(db, 'nobody', first.doc, 1, NOW)).toEqual({ kind: 'gone' });
    expect(dinner().doc.name).toBe('Quay dinner');
    const copy = createService(db, 'copy', first.doc, NOW);
    // Asked again, because no answer came, it is the same one.
    expect(createService(db, 'copy', { ...first.doc, name: 'Another' }, NOW)).toEqual(copy);
    expect(listServices(db).map((s) => s.id)).toContain(copy.id);
    expect(removeService(db, 'copy', NOW)).toBe(true);
    expect(removeService(db, 'copy', NOW)).toBe(false);
  });

  it('that were taken away are gone for every page, and come back as they were for thirty days', () => {
    const DAY = 86_400_000;
    const copy = createService(db, 'copy', { ...dinner().doc, name: 'Wanted back' }, NOW);
    expect(bringServiceBack(db, 'copy')).toBe(false);
    removeService(db, 'copy', NOW);
    expect(getService(db, 'copy')).toBeNull();
    expect(listServices(db).map((s) => s.id)).not.toContain('copy');
    expect(saveService(db, 'copy', copy.doc, copy.revision, NOW + 1)).toEqual({ kind: 'gone' });
    expect(setServingBatch(db, 'copy', copy.doc.servings[0]!.id, 'b', NOW)).toBe(false);
    expect(removedServices(db, NOW + 29 * DAY)).toMatchObject([{ id: 'copy', until: NOW + 30 * DAY }]);
    expect(bringServiceBack(db, 'copy')).toBe(true);
    expect(getService(db, 'copy')).toEqual(copy);
    expect(removedServices(db, NOW)).toEqual([]);
  });

  it('that have been away for longer than a month are shown nowhere, and go when another is taken away', () => {
    const DAY = 86_400_000;
    createService(db, 'old', dinner().doc, NOW);
    removeService(db, 'old', NOW);
    expect(removedServices(db, NOW + 31 * DAY)).toEqual([]);
    expect(bringServiceBack(db, 'old')).toBe(true);
    removeService(db, 'old', NOW);
    removeService(db, 'harbour-dinner', NOW + 31 * DAY);
    expect(bringServiceBack(db, 'old')).toBe(false);
    expect(bringServiceBack(db, 'harbour-dinner')).toBe(true);
  });

  it('one that cannot be read is left out, the rest stays', () => {
    createService(db, 'odd', dinner().doc, NOW);
    db.$client.prepare('update services set doc = \'{"format":"else"}\' where id = \'odd\'').run();
    expect(listServices(db).map((s) => s.id)).toEqual(['harbour-dinner']);
  });

  it('a batch of a serving is noted, and the plan follows it; one that was left off is made anew', () => {
    const batch = started('elderflower-syllabub');
    expect(setServingBatch(db, 'harbour-dinner', 'syllabub', batch.id, NOW)).toBe(true);
    expect(setServingBatch(db, 'harbour-dinner', 'nobody', batch.id, NOW)).toBe(false);
    const step = batch.plan.steps[0]!;
    recordEvent(db, batch.id, { kind: 'go', step: 1, done: step.key }, batch.revision, NOW + 120_000);
    const soFar = soFarByServing(db, dinner().doc, NOW + 150_000).get('syllabub')!;
    expect(soFar.doneAt[step.key]).toBe((NOW + 120_000) / 60_000);
    const answer = plannedService(db, dinner(), NOW + 180_000);
    expect(answer.ok && answer.value.ok && answer.value.plan.tasks.find((t) => t.id === `syllabub/${step.key}`)?.done).toBe(true);
    recordEvent(db, batch.id, { kind: 'abandon', at: NOW + 240_000 }, getBatch(db, batch.id)!.revision, NOW + 240_000);
    expect(soFarByServing(db, dinner().doc, NOW + 300_000).has('syllabub')).toBe(false);
  });

  it('their next moments are due, and ring', () => {
    const planned = dueMomentsWith(db, NOW, (id) => plannedService(db, getService(db, id)!, NOW)).filter((m) => m.rings);
    expect(planned.length).toBeGreaterThan(3);
    expect(planned[0]!.href).toMatch(/^\/clock\/harbour-dinner/);
    expect(planned.every((m) => m.at > NOW)).toBe(true);
  });

  it('labels: a label for each tin, all that must be said, on every paper', async () => {
    const labels = serviceLabels(db, dinner(), [], NOW);
    if (!labels.ok) throw new Error(labels.fault.says);
    expect(labels.value).toHaveLength(3);
    expect(labels.value.find((l) => l.name.startsWith('Elderflower'))!.declares.join()).toMatch(/Contains milk, sulphites,Alcohol/);
    const many = Array.from({ length: 30 }, () => labels.value[0]!);
    const pages = async (grid: LabelGridKey, skip = 0): Promise<PDFDocument> => PDFDocument.load(await tubLabelPdf(many, grid, skip));
    const counts = { 'a4-21': 2, 'a4-14': 3, 'letter-10': 3, 'roll-62': 30 } as const;
    for (const grid of Object.keys(LABEL_SIZES) as LabelGridKey[]) expect((await pages(grid)).getPageCount(), grid).toBe(counts[grid]);
    expect((await pages('a4-21', 20)).getPageCount()).toBe(3);
    expect((await pages('roll-62')).getPage(0).getWidth() / (72 / 25.4)).toBeCloseTo(62, 6);
  });
});

describe('the label of a batch', () => {
  it('is made when the batch went into the cold, at its size; a batch that is gone has none', () => {
    const batch = started('prune-mousse');
    const before = batchLabels(db, batch.id, NOW);
    recordEvent(db, batch.id, { kind: 'finish', at: NOW }, batch.revision, NOW);
    const DAY = 86_400_000;
    const later = batchLabels(db, batch.id, NOW + DAY);
    if (!before.ok || !later.ok) throw new Error('no label');
    expect(later.value[0]).toMatchObject({ name: getBatch(db, batch.id)!.plan.sheetName, portions: batch.portions });
    // The prune mousse has raw whites: 24 h from the cold, whenever it is printed.
    expect(later.value[0]!.declares).toContain('Raw or lightly cooked egg');
    const hour = (words: string): string => words.slice(-5);
    expect(hour(later.value[0]!.useBy)).toBe(hour(later.value[0]!.made));
    expect(later.value[0]!.made.slice(-5)).toBe(before.value[0]!.made.slice(-5));
    expect(batchLabels(db, 'nobody', NOW)).toMatchObject({ ok: false, fault: { code: 'gone' } });
  });
});

describe('stock', () => {
  it('a finished batch draws down what its steps took, the opened pack first; one that is left off what was ticked', () => {
    const left = (id: string): number => listStock(db).find((p) => p.id === id)?.leftG ?? 0;
    const before = left('pack-2') + left('pack-1');
    const batch = started('bay-leaf-chantilly');
    recordEvent(db, batch.id, { kind: 'finish', at: NOW }, batch.revision, NOW);
    const cream = batch.plan.steps
      .flatMap((s) => s.lines)
      .filter((l) => l.ingredientId === 'cream-36')
      .reduce((sum, l) => sum + l.massG, 0);
    expect(cream).toBeGreaterThan(100);
    expect(before - left('pack-2') - left('pack-1')).toBeCloseTo(cream, 6);
    expect(left('pack-2')).toBeLessThan(380);
    // Finishing twice takes nothing twice.
    const once = left('pack-1');
    recordEvent(db, batch.id, { kind: 'finish', at: NOW }, getBatch(db, batch.id)!.revision, NOW);
    expect(left('pack-1')).toBe(once);
  });

  it('packs are put in, written down and gone when they are empty', () => {
    putPacks(db, [{ id: 'x', ingredientId: 'milk', sizeG: 1000, leftG: 1000, bestBefore: null, lot: '' }], NOW);
    putPacks(db, [{ id: 'x', ingredientId: 'milk', sizeG: 1000, leftG: 250, bestBefore: '2026-12-01', lot: '' }], NOW);
    expect(listStock(db).find((p) => p.id === 'x')).toMatchObject({ leftG: 250, bestBefore: '2026-12-01' });
    putPacks(db, [{ id: 'x', ingredientId: 'milk', sizeG: 1000, leftG: 0, bestBefore: null, lot: '' }], NOW);
    expect(listStock(db).some((p) => p.id === 'x')).toBe(false);
  });
  it('what was taken of a pack meanwhile does not come back over it', () => {
    const pack = { id: 'y', ingredientId: 'milk', sizeG: 1000, leftG: 1000, bestBefore: null, lot: '' };
    expect(putPacks(db, [pack], NOW, {})).toBe(true);
    expect(putPacks(db, [{ ...pack, leftG: 400 }], NOW, { y: 1000 })).toBe(true);
    // A second screen still shows a full one; with it nothing else is written either.
    expect(
      putPacks(
        db,
        [
          { ...pack, leftG: 900 },
          { ...pack, id: 'z' },
        ],
        NOW,
        { y: 1000 },
      ),
    ).toBe(false);
    expect(listStock(db).find((p) => p.id === 'y')).toMatchObject({ leftG: 400 });
    expect(listStock(db).some((p) => p.id === 'z')).toBe(false);
  });
});
