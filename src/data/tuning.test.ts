import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { kitchenOf } from '../core/kitchen/kitchen';
import type { Measured } from '../core/tuning/measured';
import { testsOffered } from '../core/tuning/worth';
import { capacityMl } from '../core/vessel/profile';
import { openSampleKitchen } from '../testing/sample-file';
import { readKitchenFacts } from './kitchen-facts';
import type { KitchenDb } from './kitchen-file';
import { setPlaceH, thingsRevision } from './kitchen-things';
import { readOutcomes } from './log';
import { keptTests } from './tests-kept';
import { keepTest, sheetsInUse, takeBackTest } from './tuning';

const NOW = Date.UTC(2026, 11, 1);
let folder: string;
let db: KitchenDb;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tuning-'));
  db = openSampleKitchen(join(folder, 'kitchen.db'), NOW);
});
afterEach(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

const facts = () => readKitchenFacts(db);
const fridge = () => facts().places.find((p) => p.kind.endsWith('fridge'))!;
const glass = () => facts().vessels.find((v) => v.vessel.kind === 'glass')!;
const cup = (): Measured => {
  const k = 0.009;
  return {
    kind: 'cold',
    thing: fridge().id,
    waterG: 250,
    acrossMm: 70,
    readings: [0, 20, 45, 80, 140, 240].map((min) => ({ min, c: 3 + 17 * Math.exp(-k * min) })),
  };
};

describe('tests in the data file', () => {
  it('what a cup of water said stands in its place, once however often it is sent; taken back, what stood there before', () => {
    const was = fridge();
    const before = thingsRevision(db);
    expect(keepTest(db, 'test-0001', cup(), NOW)).toMatchObject({ ok: true });
    expect(fridge()).toMatchObject({ airC: 3 });
    expect(fridge().hWPerM2K).toBeGreaterThan(5);
    expect(thingsRevision(db)).toBe(before + 1);
    expect(keepTest(db, 'test-0001', cup(), NOW + 1)).toMatchObject({ ok: true });
    expect(keptTests(db).map((t) => [t.id, t.at])).toEqual([['test-0001', NOW]]);
    expect(takeBackTest(db, 'test-0001')).toEqual({ ok: true, value: null });
    expect(fridge()).toEqual(was);
    expect(keptTests(db)).toEqual([]);
    expect(takeBackTest(db, 'test-0001')).toMatchObject({ ok: false, fault: { code: 'gone' } });
  });
  it('what was set since is left as it is', () => {
    keepTest(db, 'test-0002', cup(), NOW);
    setPlaceH(db, fridge().id, 12);
    takeBackTest(db, 'test-0002');
    expect(fridge().hWPerM2K).toBe(12);
  });
  it('a test that cannot be is not kept, and changes nothing', () => {
    const before = thingsRevision(db);
    expect(keepTest(db, 'test-0003', { ...cup(), readings: [] } as Measured, NOW)).toMatchObject({ ok: false, fault: { field: 'readings' } });
    expect([thingsRevision(db), keptTests(db)]).toEqual([before, []]);
  });
  it('each thing takes what its test said, and gives it back', () => {
    const biscuit = () => facts().larder.find((i) => i.id === 'ladyfinger')!.biscuit!.uptakePct;
    const { ovens } = facts().rules;
    const uptake = biscuit();
    const holds = capacityMl(glass().vessel);
    const all: readonly (readonly [Measured, () => unknown, unknown])[] = [
      [
        { kind: 'dip', thing: 'ladyfinger', dryG: 100, dippedG: 100 + 1.1 * uptake[1], seconds: 2 },
        biscuit,
        uptake.map((x) => expect.closeTo(1.1 * x, 1) as number),
      ],
      [{ kind: 'glass', thing: glass().id, waterG: 1.04 * holds * 0.9982 }, () => capacityMl(glass().vessel) / holds, expect.closeTo(1.04, 4) as number],
      [{ kind: 'oven', thing: ovens[0]!.id, setC: 160, readC: 171 }, () => facts().rules.ovens[0]!.offK, 11],
      [{ kind: 'scale', thing: 'scale', trueG: 500, shownG: 495 }, () => facts().rules.scaleOffPct, -1],
      [{ kind: 'hob', thing: 'hob', waterG: 1000, fromC: 20, seconds: 360, boilsC: 99 }, () => facts().rules.waterBoilsC, 99],
    ];
    for (const [i, [measured, now, then]] of all.entries()) {
      const was = now();
      expect(keepTest(db, `test-1${i}00`, measured, NOW)).toMatchObject({ ok: true });
      expect(now()).toEqual(then);
      takeBackTest(db, `test-1${i}00`);
      expect(now()).toEqual(was);
    }
  });
  it('the log learns from a timed cream as from a batch, and narrows by it', () => {
    const mixer = facts().mixers[0]!;
    const learnt = () => facts().corrections.find((c) => c.figure === 'whisk-time' && c.context === mixer.id)?.learnt;
    const [n, outcomes] = [learnt()?.n ?? 0, readOutcomes(db).length];
    const cream: Measured = { kind: 'whisk', thing: mixer.id, fatPct: 36, creamG: 900, creamC: 5, speed: 'medium', softS: 150, mediumS: null, firmS: null };
    expect(keepTest(db, 'test-0005', cream, NOW)).toMatchObject({ ok: true });
    expect(learnt()?.n).toBe(n + 1);
    expect(readOutcomes(db)).toHaveLength(outcomes + 1);
    takeBackTest(db, 'test-0005');
    expect(learnt()?.n ?? 0).toBe(n);
  });
  it('sheets that were made of late count by their batches', () => {
    const sheets = sheetsInUse(db, NOW);
    expect(sheets.length).toBeGreaterThan(3);
    expect(sheets.some((s) => s.batches > 0)).toBe(true);
    expect(sheetsInUse(db, NOW + 200 * 86_400_000).every((s) => s.batches === 0)).toBe(true);
    const offered = testsOffered(kitchenOf(facts()), sheets, readOutcomes(db), keptTests(db), NOW);
    expect(offered[0]!.perMinute).toBeGreaterThan(0);
  });
});
