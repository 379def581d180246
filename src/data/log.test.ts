import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cleanPhoto } from '../core/files/photo';
import { batchNames, getBatch, listBatches, placesOfBatches, recordEvent, readNews } from './batches';
import { batchChanged, watchBatch } from './batch-watch';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { answerOutcome, readCorrections, setLearning } from './learning';
import { batchLabels } from './labels';
import { readLog, readOutcomes } from './log';
import { listMends } from './mends';
import { latestSheetNames, listSheets, sheetsNaming } from './sheets';
import { addObservation, listObservations, readPhoto, removeObservation } from './observations';
import { openSampleKitchen } from '../testing/sample-file';
import { addTemperatures, listTemperatures, removeTemperature } from './temperatures';

let folder: string;
let db: KitchenDb;
const before = process.env.SOFT_PEAK_DATA;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'log-'));
  process.env.SOFT_PEAK_DATA = join(folder, 'kitchen.db');
  db = openSampleKitchen(process.env.SOFT_PEAK_DATA, Date.UTC(2026, 10, 20, 12));
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true, force: true });
  if (before === undefined) delete process.env.SOFT_PEAK_DATA;
  else process.env.SOFT_PEAK_DATA = before;
});

const timeInMixer = () => readCorrections(db, readKitchenFacts(db).mixers).find((c) => c.figure === 'whisk-time' && c.context === 'planetary')!.learnt;

describe('batches by pages', () => {
  it('page after page is the whole log, each once, newest first', () => {
    const all = listBatches(db).map((b) => b.id);
    expect(all.length).toBeGreaterThan(5);
    const paged: string[] = [];
    let before: number | undefined;
    for (;;) {
      const page = listBatches(db, { limit: 3, before });
      if (page.length === 0) break;
      paged.push(...page.map((b) => b.id));
      before = page.at(-1)!.startedAt;
    }
    expect(paged).toEqual(all);
  });
  it('by sheet, by place and by time, as a reader of all of them would choose', () => {
    const all = listBatches(db);
    const { sheetId } = all[0]!;
    expect(listBatches(db, { sheetId }).map((b) => b.id)).toEqual(all.filter((b) => b.sheetId === sheetId).map((b) => b.id));
    for (const place of placesOfBatches(db))
      expect(listBatches(db, { placeId: place }).map((b) => b.id)).toEqual(all.filter((b) => b.progress.placeId === place).map((b) => b.id));
    const middle = all[Math.floor(all.length / 2)]!.startedAt;
    expect(listBatches(db, { from: middle }).map((b) => b.id)).toEqual(all.filter((b) => b.startedAt >= middle).map((b) => b.id));
    expect(listBatches(db, { before: middle }).map((b) => b.id)).toEqual(all.filter((b) => b.startedAt < middle).map((b) => b.id));
    expect(batchNames(db).get(all[0]!.id)).toBe(all[0]!.plan.sheetName);
  });
  it('sheets are limited, counted, and found by what they name', () => {
    const all = listSheets(db);
    expect(listSheets(db, 3).map((s) => s.id)).toEqual(all.slice(0, 3).map((s) => s.id));
    expect(latestSheetNames(db).map((s) => s.id)).toEqual(all.map((s) => s.id));
    const naming = sheetsNaming(db, 'mascarpone').map((s) => s.id);
    expect(naming).toEqual(all.filter((s) => JSON.stringify(s.doc).includes('"mascarpone"')).map((s) => s.id));
    expect(naming.length).toBeGreaterThan(0);
  });
});

describe('mends', () => {
  const entry = (id: string) => ({
    id,
    at: 7,
    sign: 'grains',
    cause: 'past-firm',
    partId: getBatch(db, 'sample-1')!.plan.steps.find((s) => s.whisks)!.partId,
    kind: 'mend' as const,
    title: 'Stir in cold cream',
    adds: [{ lineId: `${id}-1`, ingredientId: 'cream-36', name: 'cream 36 %', massG: 60 }],
    again: [],
    portions: null,
    use: null,
    minutes: 5,
    rest: null,
    reopens: { keys: [], lines: [], step: null, whisked: false },
    helped: null,
  });
  const act = (event: Parameters<typeof recordEvent>[2], eventId: string) => recordEvent(db, 'sample-1', event, getBatch(db, 'sample-1')!.revision, 9, eventId);
  it('one touch writes it once into batch and kitchen; whether it helped follows', () => {
    act({ kind: 'mend', entry: entry('m-one') }, 'event-mend-1');
    act({ kind: 'mend', entry: entry('m-one') }, 'event-mend-1');
    act({ kind: 'mend', entry: entry('m-one') }, 'event-mend-2');
    expect(getBatch(db, 'sample-1')!.progress.mends).toHaveLength(1);
    expect(listMends(db)).toEqual([{ sign: 'grains', cause: 'past-firm', helped: null }]);
    act({ kind: 'mend-helped', id: 'm-one', helped: false }, 'event-mend-3');
    expect(listMends(db)).toEqual([{ sign: 'grains', cause: 'past-firm', helped: false }]);
  });
  it('a sign that this program does not know is kept and left out', () => {
    act({ kind: 'mend', entry: { ...entry('m-two'), sign: 'sings' } }, 'event-mend-4');
    expect(listMends(db)).toEqual([]);
  });
  it('its label says what went in, and none is printed once it was thrown away', () => {
    const label = () => batchLabels(db, 'sample-1', 100);
    const before = label();
    act(
      { kind: 'mend', entry: { ...entry('m-three'), adds: [{ lineId: 'm-three-1', ingredientId: 'hazelnut-toasted', name: 'hazelnuts', massG: 20 }] } },
      'event-mend-5',
    );
    const after = label();
    expect(before.ok && before.value[0]!.declares.join()).not.toContain('hazelnut');
    expect(after.ok && after.value[0]!.declares.join()).toContain('hazelnut');
    act({ kind: 'mend', entry: { ...entry('m-four'), kind: 'discard', adds: [] } }, 'event-mend-6');
    expect(label()).toMatchObject({ ok: false, fault: { code: 'discarded' } });
  });
});

describe('what the log learns', () => {
  it('the sample month: the kitchen is a tenth slower than the formula; the one over-whisked is asked about', () => {
    const l = timeInMixer();
    expect(l.n).toBe(9);
    expect(l.factor).toBeGreaterThan(1.05);
    expect(l.factor).toBeLessThan(1.14);
    expect(l.asked.map((o) => o.batchId)).toEqual(['sample-4']);
  });
  it('an answer counts at once, and can be taken back', () => {
    answerOutcome(db, 'sample-4', 'whisk-time', 'count');
    expect(timeInMixer().n).toBe(10);
    answerOutcome(db, 'sample-4', 'whisk-time', 'leave-out');
    expect(timeInMixer()).toMatchObject({ n: 9, asked: [] });
    answerOutcome(db, 'sample-4', 'whisk-time', null);
    expect(timeInMixer().asked).toHaveLength(1);
  });
  it('a corrected reading moves it; switched off, forecasts are plain again', () => {
    const was = timeInMixer().factor;
    const b = getBatch(db, 'sample-1')!;
    const out = recordEvent(
      db,
      'sample-1',
      { kind: 'write', reading: 'minutes-to-stage', text: '5:00', was: b.progress.fields['minutes-to-stage']! },
      b.revision,
      1,
    );
    expect(out.kind).toBe('done');
    expect(timeInMixer().factor).not.toBe(was);
    expect(readKitchenFacts(db).corrections.length).toBeGreaterThan(0);
    setLearning(db, false);
    expect(readKitchenFacts(db).corrections).toEqual([]);
  });
  it('a tick on Pass teaches nothing, and makes no page learn the log anew; a reading does', () => {
    const learnt = () => readCorrections(db, readKitchenFacts(db).mixers);
    const was = learnt();
    const b = getBatch(db, 'sample-1')!;
    recordEvent(db, 'sample-1', { kind: 'tick', line: 'x', on: true }, b.revision, 1);
    expect(learnt()).toBe(was);
    recordEvent(
      db,
      'sample-1',
      { kind: 'write', reading: 'minutes-to-stage', text: '5:01', was: b.progress.fields['minutes-to-stage']! },
      getBatch(db, 'sample-1')!.revision,
      1,
    );
    expect(learnt()).not.toBe(was);
  });
  it('a batch that was left off teaches nothing', () => {
    const n = readOutcomes(db).length;
    const b = getBatch(db, 'sample-10')!;
    db.$client.prepare("update batches set status = 'running' where id = 'sample-10'").run();
    recordEvent(db, 'sample-10', { kind: 'abandon', at: 5 }, b.revision, 5);
    expect(readOutcomes(db).length).toBeLessThan(n);
  });
  it('the whole log goes out, newest first', () => {
    const log = readLog(db);
    expect(log).toHaveLength(10);
    expect(log[0]!.startedAt).toBeGreaterThan(log[9]!.startedAt);
    expect(log.find((e) => e.id === 'sample-6')!.observations[0]).toMatchObject({ kind: 'weep', value: 14 });
    expect(readLog(db, 'bay-leaf-chantilly').every((e) => e.sheet === 'Bay-leaf chantilly')).toBe(true);
  });
});

describe('temperatures and what is seen later', () => {
  it('a sample sent twice is kept once; one typed wrongly can be taken away', () => {
    const s = { series: 'cook|probe 1', at: 1000, tC: 70 };
    addTemperatures(db, 'sample-1', [s, { ...s, at: 2000, tC: 72 }]);
    addTemperatures(db, 'sample-1', [s]);
    expect(listTemperatures(db, 'sample-1')).toEqual([s, { ...s, at: 2000, tC: 72 }]);
    expect(removeTemperature(db, 'sample-1', s.series, 2000)).toBe(true);
    expect(removeTemperature(db, 'sample-1', s.series, 2000)).toBe(false);
    expect(listTemperatures(db, 'sample-1')).toEqual([s]);
  });
  it('a photo lies beside the data file and goes with its observation', () => {
    const photo = cleanPhoto(Uint8Array.from([0xff, 0xd8, 0xff, 0xda, 0, 4, 1, 2, 7, 7, 0xff, 0xd9]));
    if (!photo.ok) throw new Error(photo.fault.says);
    addObservation(db, { id: 'seen', batchId: 'sample-1', kind: 'photo', at: 5, value: null, words: 'slice' }, photo.value);
    // Sent again, because no answer came, it is there once, as it was first.
    expect(addObservation(db, { id: 'seen', batchId: 'sample-1', kind: 'photo', at: 6, value: null, words: 'slice' }, photo.value)).toMatchObject({ at: 5 });
    expect(listObservations(db, 'sample-1')).toHaveLength(1);
    expect(readdirSync(join(folder, 'photos'))).toEqual(['seen.jpg']);
    expect(readPhoto(db, 'sample-1', 'seen')).toMatchObject({ type: 'image/jpeg' });
    expect(readPhoto(db, 'sample-2', 'seen')).toBeNull();
    expect(removeObservation(db, 'sample-1', 'seen')).toBe(true);
    expect(existsSync(join(folder, 'photos', 'seen.jpg'))).toBe(false);
    expect(listObservations(db, 'sample-1')).toEqual([]);
  });
});

describe('who watches a batch', () => {
  it('hears of every event that was written, and no more once it went', () => {
    const told: (string | null)[] = [];
    const stop = watchBatch('sample-1', (news) => told.push(news()));
    const event = (line: string) => recordEvent(db, 'sample-1', { kind: 'tick', line, on: true }, getBatch(db, 'sample-1')!.revision, 1);
    event('a');
    expect(recordEvent(db, 'sample-1', { kind: 'tick', line: 'b', on: true }, -1, 1).kind).toBe('behind');
    // What the stream says first is what it says of the event, word for word, and it has no plan.
    expect(told).toEqual([readNews(db, 'sample-1')]);
    expect(JSON.parse(told[0]!)).toEqual((({ id, revision, progress, status }) => ({ id, revision, progress, status }))(getBatch(db, 'sample-1')!));
    stop();
    event('c');
    expect(told).toHaveLength(1);
  });
  it('is read once, however many watch, and not at all where nobody does', () => {
    let read = 0;
    const asked = (): string => `${++read}`;
    batchChanged('nobody', asked);
    expect(read).toBe(0);
    const told: (string | null)[] = [];
    const stops = [1, 2, 3].map(() => watchBatch('watched', (news) => told.push(news())));
    batchChanged('watched', asked);
    expect([read, told]).toEqual([1, ['1', '1', '1']]);
    for (const stop of stops) stop();
    batchChanged('watched', asked);
    expect(read).toBe(1);
  });
});
