import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { batchPlan } from '../core/batch/make-batch';
import type { BookRow } from '../core/book/book-day';
import type { NewEntry, Written } from '../core/book/entry';
import { kitchenOf } from '../core/kitchen/kitchen';
import { fullMoment } from '../core/timetable/clock-words';
import { nextDay } from '../core/timetable/zone';
import { openSampleKitchen } from '../testing/sample-file';
import { getBatch, recordEvent, startBatch } from './batches';
import { addToBook, bookDays, bookOfBatch, kitchenDay, MOST_DAYS, tracedLots } from './book';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { bookEntries } from './schema';
import { getService, saveService } from './services';
import { getSheet } from './sheets';
import { putPacks } from './stock';
import { addTemperatures } from './temperatures';

let folder: string;
let db: KitchenDb;
const NOW = Date.UTC(2026, 10, 25, 9);
const HOUR = 3_600_000;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'soft-peak-'));
  db = openSampleKitchen(join(folder, 'kitchen.db'), NOW);
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

let n = 0;
const fresh = (says: Written, more: Partial<NewEntry> = {}): NewEntry => ({
  id: `written-${++n}`,
  day: today(),
  by: 'Early cook',
  says,
  corrects: null,
  ...more,
});
const today = (): string => kitchenDay(db, NOW);
const page = (day = today(), now = NOW) => bookDays(db, day, day, now)[0]!;
const row = (key: string, day = today(), now = NOW): BookRow | undefined => page(day, now).rows.find((r) => r.key === key);
const started = (sheetId: string, id = 'made-1') => {
  const plan = batchPlan(getSheet(db, sheetId)!.doc, kitchenOf(readKitchenFacts(db)));
  if (!plan.ok) throw new Error(plan.fault.says);
  return startBatch(db, {
    id,
    sheetId,
    sheetVersion: 1,
    portions: 6,
    plan: plan.value,
    startedAt: NOW,
  });
};
const finish = (id: string, now = NOW + HOUR): void => void recordEvent(db, id, { kind: 'finish', at: now }, getBatch(db, id)!.revision, now);
const evening = (c: number): Written => ({ kind: 'place', placeId: 'chest', slot: 'evening', c });

describe('the book of a kitchen', () => {
  it('takes an entry once, however often it is sent', () => {
    const entry = fresh(evening(-20));
    const [first, second] = [addToBook(db, entry, NOW), addToBook(db, { ...entry, by: 'Late cook' }, NOW + 5)];
    expect(first).toEqual({ ok: true, value: { ...entry, at: NOW } });
    expect(second).toEqual(first);
    expect(row('place chest evening')).toMatchObject({ state: 'in', says: '−20\u00a0°C' });
  });
  it('refuses a second about the same, takes a correction, and refuses a correction of what was corrected', () => {
    const first = fresh(evening(-9));
    addToBook(db, first, NOW);
    expect(addToBook(db, fresh(evening(-20)), NOW)).toMatchObject({ ok: false, fault: { code: 'stands' } });
    const second = fresh(evening(-19), { corrects: first.id });
    expect(addToBook(db, second, NOW + 1)).toMatchObject({ ok: true });
    expect(addToBook(db, fresh(evening(-18), { corrects: first.id }), NOW + 2)).toMatchObject({ ok: false, fault: { code: 'behind' } });
    const stands = row('place chest evening')!;
    expect([stands.says, stands.written?.before.map((e) => e.id)]).toEqual(['−19\u00a0°C', [first.id]]);
    // What was taken back leaves the row free, and stays on the page.
    expect(addToBook(db, fresh({ kind: 'taken back' }, { corrects: second.id }), NOW + 3)).toMatchObject({ ok: true });
    expect(row('place chest evening')!.written).toBeNull();
    expect(page().takenBack[0]!.before.map((e) => e.id)).toEqual([first.id, second.id]);
    expect(addToBook(db, fresh(evening(-18)), NOW + 4)).toMatchObject({ ok: true });
  });
  it('has nothing changed or taken out, whatever is written', () => {
    const before = db.select().from(bookEntries).all();
    const entry = fresh(evening(-9));
    addToBook(db, entry, NOW);
    addToBook(db, fresh(evening(-19), { corrects: entry.id }), NOW);
    addToBook(db, fresh({ kind: 'taken back' }, { corrects: 'nowhere' }), NOW);
    const after = db.select().from(bookEntries).all();
    expect(after.slice(0, before.length)).toEqual(before);
    expect(after).toHaveLength(before.length + 2);
  });
  it('has yesterday of the sample kitchen signed, with its reading outside of the rule', () => {
    const yesterday = page(nextDay(today(), -1));
    expect(yesterday.signed?.entry.by).toBe('Late cook');
    expect(yesterday.rows.filter((r) => r.state === 'out').map((r) => r.key)).toEqual(['place tall-fridge evening']);
    expect(yesterday.rows.some((r) => r.afterSigning)).toBe(false);
  });

  it('traces a carton both ways once a batch has drawn from it', () => {
    // The opened carton first, then the whole one.
    started('bay-leaf-chantilly');
    finish('made-1');
    expect(row('lot made-1 cream-36')).toMatchObject({ state: 'told', says: expect.stringContaining('L 3284') as string, written: null });
    const of = (lot: string) => tracedLots(db, lot).flatMap((t) => t.desserts.map((d) => d.batchId));
    expect(of('L3284')).toEqual(['made-1', 'sample-10', 'sample-9', 'sample-8']);
    const made = bookOfBatch(db, 'made-1', NOW + HOUR)!;
    expect(made.rows.map((r) => r.key)).toContain('lot made-1 cream-36');
    expect(made.rows.every((r) => r.batchId === 'made-1')).toBe(true);
    expect(bookOfBatch(db, 'nothing', NOW)).toBeNull();
    // What was on the carton after all.
    addToBook(db, fresh({ kind: 'lot', batchId: 'made-1', ingredientId: 'cream-36', lot: 'K 1', bestBefore: null }), NOW + HOUR);
    expect(of('L3284')).toEqual(['sample-10', 'sample-9', 'sample-8']);
    expect(of('k1')).toEqual(['made-1']);
  });
  it('misses the lot of what came from no pack', () => {
    putPacks(
      db,
      ['pack-1', 'pack-2'].map((id) => ({ id, ingredientId: 'cream-36', sizeG: 1000, leftG: 0, bestBefore: null, lot: '' })),
      NOW,
    );
    started('bay-leaf-chantilly');
    expect(row('lot made-1 cream-36')!.state).toBe('open');
    finish('made-1');
    expect(row('lot made-1 cream-36')!.state).toBe('missing');
    expect(row('lot made-1 sugar-caster')).toBeUndefined();
  });
  it('holds each batch until its label’s time, then misses what became of it', () => {
    started('bay-leaf-chantilly');
    expect(row('ended made-1')).toBeUndefined();
    finish('made-1');
    const held = row('ended made-1')!;
    expect(held.state).toBe('open');
    const lastDay = nextDay(today(), 3);
    // Three days, as the usual rule has it.
    expect(held.asks).toBe(`eat by ${fullMoment((NOW + 73 * HOUR) / 60_000, Intl.DateTimeFormat().resolvedOptions().timeZone, NOW / 60_000)}`);
    expect(row('ended made-1', lastDay, NOW + 96 * HOUR)!.state).toBe('missing');
    addToBook(db, fresh({ kind: 'ended', batchId: 'made-1', how: 'served' }, { day: nextDay(today()) }), NOW + 24 * HOUR);
    expect(row('ended made-1', nextDay(today()), NOW + 96 * HOUR)).toMatchObject({ state: 'told', says: expect.stringMatching(/served$/) as string });
    // On a day after it was served it stands no more, and again once that was taken back.
    expect(row('ended made-1', nextDay(today(), 2), NOW + 60 * HOUR)).toBeUndefined();
    const said = row('ended made-1', nextDay(today()), NOW + 60 * HOUR)!.written!.entry.id;
    addToBook(db, fresh({ kind: 'taken back' }, { corrects: said, day: nextDay(today()) }), NOW + 60 * HOUR);
    expect(row('ended made-1', nextDay(today(), 2), NOW + 60 * HOUR)).toMatchObject({ state: 'open' });
  });
  it('holds a cooked egg against its readings', () => {
    const withEgg = [...db.$client.prepare('select id from sheets').all()]
      .map((r) => (r as { id: string }).id)
      .find((id) => {
        const plan = batchPlan(getSheet(db, id)!.doc, kitchenOf(readKitchenFacts(db)));
        return plan.ok && plan.value.steps.some((s) => s.heat?.use === 'egg');
      })!;
    const made = started(withEgg, 'made-egg');
    const step = made.plan.steps.find((s) => s.heat?.use === 'egg')!;
    expect(row(`heat made-egg ${step.key}`)).toMatchObject({ section: 'eggs', state: 'open' });
    addTemperatures(
      db,
      'made-egg',
      [30, 60, 75].map((tC, i) => ({ series: `${step.key}|by hand`, at: NOW + i * 180_000, tC })),
    );
    expect(row(`heat made-egg ${step.key}`)!.state).toBe('in');
  });
  it('has what is served on a day with what it declares', () => {
    const service = getService(db, 'harbour-dinner')!;
    const day = service.doc.servings[0]!.at.slice(0, 10);
    const served = page(day).rows.filter((r) => r.section === 'allergens');
    expect(served).toHaveLength(service.doc.servings.length);
    expect(served.every((r) => r.state === 'told' && /milk/.test(r.says))).toBe(true);
    saveService(db, service.id, { ...service.doc, servings: [{ ...service.doc.servings[0]!, sheetId: 'gone' }] }, service.revision, NOW);
    expect(
      page(day)
        .rows.filter((r) => r.section === 'allergens')
        .map((r) => r.state),
    ).toEqual(['missing']);
  });
  it('is written out for so many days at once and no more', () => {
    expect(bookDays(db, '2026-11-20', '2026-11-22', NOW).map((d) => d.day)).toEqual(['2026-11-20', '2026-11-21', '2026-11-22']);
    expect(bookDays(db, '2020-01-01', '2026-01-01', NOW)).toHaveLength(MOST_DAYS);
    expect(bookDays(db, '2026-11-22', '2026-11-20', NOW)).toEqual([]);
  });
});
