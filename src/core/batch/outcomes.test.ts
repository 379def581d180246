import { describe, expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { logCsv, logJson, type LogEntry } from '../files/log-files';
import { readTable } from '../table/table';
import { analyseSheet, mainPart } from '../analysis/analyse';
import type { Kitchen } from '../kitchen/kitchen';
import { forecastOf } from './forecast';
import { correctionsFrom, outcomesOf, type LoggedBatch } from './outcomes';
import { sheetTells } from '../tells/sheet-tells';
import type { Figure } from '../figure';

const SHEET = sheetOf(['600 g cream 36 %', '60 g caster sugar'], { stage: 'firm', slowFromSoft: false });
const forecast = forecastOf(analyseSheet(SHEET, KITCHEN));
const formulaS = forecast.plain!.timeS!;
const batch = (n: number, ratio: number, rest: Partial<LoggedBatch> = {}): LoggedBatch => ({
  id: `b${n}`,
  at: n,
  forecast,
  readings: { 'minutes-to-stage': (formulaS * ratio) / 60, 'cup-liquid': 120, 'cup-foam': 60, 'hold-hours': forecast.plain!.holdH! * 0.8 },
  answers: {},
  ...rest,
});
const withLog = (batches: readonly LoggedBatch[]): Kitchen => ({
  ...KITCHEN,
  corrections: correctionsFrom(
    batches.flatMap((b) => outcomesOf(b, KITCHEN.mixers)),
    KITCHEN.mixers,
  ),
});

describe('outcomes of a batch', () => {
  it('are held against the plain formula, in the context of their mixer or family', () => {
    const o = outcomesOf(batch(1, 1.2), KITCHEN.mixers);
    expect(o.map((x) => [x.figure, x.context])).toEqual([
      ['whisk-time', 'planetary'],
      ['overrun', 'planetary'],
      ['hold', 'plain'],
    ]);
    expect(o[0]!.ratio).toBeCloseTo(1.2, 9);
    expect(o[1]!.ratio).toBeCloseTo(100 / forecast.plain!.overrunPct!, 9);
    expect(o[2]!.ratio).toBeCloseTo(0.8, 9);
  });
  it('an old batch, which names its mixer only in words, counts there too', () => {
    const { plain: _, mixerId: __, ...old } = forecast;
    const o = outcomesOf(batch(1, 1.2, { forecast: { ...old, mixerId: '' } }), KITCHEN.mixers);
    expect(o[0]).toMatchObject({ context: 'planetary' });
    expect(o[0]!.ratio).toBeCloseTo(1.2, 9);
  });
  it('a cup of foam that weighs more than the liquid says nothing', () => {
    expect(outcomesOf(batch(1, 1, { readings: { 'cup-liquid': 60, 'cup-foam': 120 } }), KITCHEN.mixers)).toEqual([]);
  });
});

describe('forecasts that follow the log', () => {
  const kitchen = withLog(Array.from({ length: 12 }, (_, i) => batch(i, 1.2)));
  const plain = mainPart(analyseSheet(SHEET, KITCHEN));
  const a = mainPart(analyseSheet(SHEET, kitchen));
  it('take the corrected time, air and hold, with the band of the next batch', () => {
    const factor = a.learnt.time!.factor;
    expect(factor).toBeGreaterThan(1.17);
    if (!a.window.ok || !plain.window.ok || !a.holdFridge.ok || !plain.holdFridge.ok) throw new Error('no window');
    expect(a.window.value.opensS / plain.window.value.opensS).toBeCloseTo(factor, 9);
    expect(a.holdFridge.value.cleanH / plain.holdFridge.value.cleanH).toBeCloseTo(a.learnt.hold!.factor, 9);
    const f = forecastOf(analyseSheet(SHEET, kitchen));
    expect(f.stageTimeS!.high / f.stageTimeS!.value).toBeCloseTo(a.learnt.time!.high / factor, 9);
    // The formula's own figure stays, so that the next outcome is held against it.
    expect(f.plain!.timeS).toBeCloseTo(formulaS, 6);
  });
  it('the working shows the plain figure and from how many batches', () => {
    const figures = sheetTells(analyseSheet(SHEET, kitchen), kitchen).flatMap((t) =>
      t.sentence.filter((s): s is { figure: Figure; shown: string } => typeof s !== 'string').map((s) => s.figure),
    );
    const learnt = figures.filter((f) => f.learnt);
    expect(learnt.length).toBeGreaterThan(0);
    for (const f of learnt) {
      expect(f.learnt!.says).toBe('from 12 batches');
      expect(f.learnt!.plain).not.toBe('');
      expect(f.inputs.map((i) => i.symbol)).toContain('log');
    }
    const without = sheetTells(analyseSheet(SHEET, KITCHEN), KITCHEN).flatMap((t) =>
      t.sentence.filter((s): s is { figure: Figure; shown: string } => typeof s !== 'string').map((s) => s.figure),
    );
    expect(without.every((f) => !f.learnt)).toBe(true);
  });
  it('another mixer is helped by what it shares with the first, and keeps a wider band; without any batch nothing is said', () => {
    const hand = sheetOf(['600 g cream 36 %'], { mixerId: 'hand-mixer' });
    const time = mainPart(analyseSheet(hand, kitchen)).learnt.time!;
    const first = a.learnt.time!;
    expect(time).toMatchObject({ n: 0, borrowed: 12 });
    expect(time.factor).toBeGreaterThan(1.03);
    expect(time.factor).toBeLessThan(first.factor);
    expect(time.high / time.low).toBeGreaterThan(first.high / first.low);
    expect(mainPart(analyseSheet(hand, KITCHEN)).learnt.time).toBeNull();
  });
});

describe('the log as a file', () => {
  const entry: LogEntry = {
    id: 'b1',
    sheet: '=Bay, leaf',
    version: 2,
    portions: 8,
    scale: 1.5,
    status: 'finished',
    startedAt: 0,
    endedAt: 60_000,
    place: 'Tall fridge',
    forecast,
    readings: batch(1, 1.2).readings,
    note: 'stood\nwell',
    offPlan: [{ at: 5, kind: 'more', words: 'cream: 330 g' }],
    observations: [{ kind: 'weep', at: 9, value: 4, words: '' }],
    outcomes: outcomesOf(batch(1, 1.2), KITCHEN.mixers),
  };
  it('CSV: a row a batch, read back by its heads; nothing that a spreadsheet would run', () => {
    const text = logCsv([entry, { ...entry, id: 'b2', readings: {} }]);
    const read = readTable(text, ['batch', 'time_s_came', 'whisk_time_over_formula']);
    if (!read.ok) throw new Error(read.fault.says);
    expect(read.value.rows).toHaveLength(2);
    const [row, empty] = read.value.rows;
    expect(Number(row!.time_s_came)).toBeCloseTo(formulaS * 1.2, 2);
    expect(Number(row!.whisk_time_over_formula)).toBeCloseTo(1.2, 3);
    expect(row!.sheet!.startsWith('=')).toBe(false);
    expect(empty!.time_s_came).toBe('');
  });
  it('JSON: everything that was written down', () => {
    const back = JSON.parse(logJson([entry])) as { batches: LogEntry[] };
    expect(back.batches[0]).toMatchObject({ note: 'stood\nwell', offPlan: entry.offPlan, observations: entry.observations });
  });
});
