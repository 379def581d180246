import { describe, expect, it } from 'vitest';
import { analyseSheet } from '../analysis/analyse';
import { GANNET_QUAY as KITCHEN, SHEETS } from '../../testing/gannet-quay';
import { axesOffered, AxisSchema, madePoint, sheetAt, shareOf, valueAt, valueSays, type TrialAxis } from './axes';
import { MOST_TRIALS } from './house';
import { admittedTrial, codeOf, keptOf, seriesOf, tastingsOf, type NewTrialEvent, type Series, type TrialEvent, type TrialSays } from './series';

const MOUSSE = SHEETS.get('prune-mousse')!;
const offered = axesOffered(analyseSheet(MOUSSE, KITCHEN), KITCHEN);
const SUGAR: TrialAxis = { kind: 'line', lineId: 'x', name: 'Sugar', low: 40, high: 80 };
const STAGE: TrialAxis = { kind: 'stage', partId: 'p', name: 'stage', low: 0, high: 2 };
const REST: TrialAxis = { kind: 'rest', name: 'rest', low: 2, high: 10 };

let at = 0;
const event = (says: TrialSays): NewTrialEvent => ({ id: `event-${String(++at).padStart(4, '0')}`, seriesId: 'series-0001', says });
const kept = (events: readonly NewTrialEvent[]): readonly TrialEvent[] => {
  let all: readonly TrialEvent[] = [];
  for (const e of events) all = [...all, ...keptOf(seriesOf(all), e).map((k) => ({ ...k, at: 1 }))];
  return all;
};
const axes = offered.slice(0, 2).map((o) => o.axis);
const BEGUN = event({ kind: 'begun', sheet: MOUSSE, axes, now: offered.slice(0, 2).map((o) => o.now), wishes: ['light'] });
const begun = (): Series => seriesOf(kept([BEGUN]))!;

describe('what is varied', () => {
  it('values are those that a kitchen weighs and whisks', () => {
    expect([0, 0.5, 1].map((x) => valueAt(SUGAR, x))).toEqual([40, 60, 80]);
    expect([0, 0.2, 0.4, 0.8].map((x) => valueAt(STAGE, x))).toEqual([0, 0, 1, 2]);
    expect(valueAt(REST, 0.44)).toBe(5.5);
    expect(valueAt({ ...SUGAR, low: 100, high: 201 }, 0.333)).toBe(134);
    expect([valueSays(SUGAR, 60), valueSays(STAGE, 1), valueSays(REST, 5.5)]).toEqual(['60\u00a0g', 'medium', '5.5\u00a0h']);
    expect(madePoint([STAGE], [0.7])).toEqual([0.5]);
    expect([shareOf(SUGAR, 30), shareOf(SUGAR, 50), shareOf(SUGAR, 99)]).toEqual([0, 0.25, 1]);
  });
  it('bounds are a range', () => expect(AxisSchema.safeParse({ ...SUGAR, high: 40 }).success).toBe(false));
  it('sugar and gelatin are offered first, and what is made has just that', () => {
    expect(offered[0]!.axis.name.toLowerCase()).toContain('sugar');
    const of = offered.slice(0, 2);
    const doc = sheetAt(
      MOUSSE,
      KITCHEN,
      of.map((o) => o.axis),
      [0, 1],
    );
    const grams = (id: string): number =>
      analyseSheet(doc, KITCHEN)
        .parts.flatMap((p) => p.reading.lines)
        .find((l) => l.line.id === id)!.read!.massG;
    of.forEach(({ axis, now }, d) => {
      if (axis.kind !== 'line') throw new Error('a line');
      expect(grams(axis.lineId)).toBeCloseTo(d === 0 ? axis.low : axis.high, 1);
      expect(axis.low).toBeLessThan(now);
      expect(axis.high).toBeGreaterThan(now);
    });
    const stage = offered.find((o) => o.axis.kind === 'stage')!.axis as Extract<TrialAxis, { kind: 'stage' }>;
    expect(sheetAt(MOUSSE, KITCHEN, [stage], [1]).parts.find((p) => p.id === stage.partId)!.whisk.stage).toBe('firm');
    expect(sheetAt(MOUSSE, KITCHEN, [REST], [1]).servedAfterH).toBe(10);
  });
});

describe('a series', () => {
  it('begins with the sheet as it is and two far from it', () => {
    const s = begun();
    expect(s.trials).toHaveLength(3);
    expect(new Set(s.trials.map((t) => t.code)).size).toBe(3);
    s.trials[0]!.point.forEach((x, d) => expect(valueAt(axes[d]!, x)).toBeCloseTo(offered[d]!.now, 0));
  });
  it('codes say nothing of their order, and none is there twice', () => {
    const codes = Array.from({ length: MOST_TRIALS }, (_, n) => codeOf('series-0001', n));
    expect(new Set(codes).size).toBe(MOST_TRIALS);
    expect(codes).not.toEqual(codes.toSorted());
    expect(codeOf('series-0002', 0)).not.toBe(codes[0]);
  });
  it('a point is chosen once: what is tasted afterwards moves no trial that was made', () => {
    const [a, b, c] = begun().trials.map((t) => t.code);
    const scored = event({ kind: 'scored', by: 'Ann', scores: [a!, b!, c!].map((code, i) => ({ code, score: 3 + 2 * i })) });
    const next = event({ kind: 'next' });
    const before = seriesOf(kept([BEGUN, scored, next]))!;
    const after = seriesOf(kept([BEGUN, scored, next, event({ kind: 'scored', by: 'Ben', scores: [a!, c!].map((code, i) => ({ code, score: 9 - 3 * i })) })]))!;
    expect(before.trials).toHaveLength(4);
    expect(after.trials).toEqual(before.trials);
    expect(tastingsOf(after).sittings.map((s) => s.length)).toEqual([3, 2]);
  });
  it('what was taken back was never said; a batch belongs to its trial', () => {
    const [a, b] = begun().trials.map((t) => t.code);
    const pair = event({ kind: 'paired', by: 'Ann', better: a!, than: b!, same: false });
    const s = seriesOf(
      kept([BEGUN, pair, event({ kind: 'taken back', eventId: pair.id }), event({ kind: 'made', code: b!, batchId: 'batch-1' }), event({ kind: 'ended' })]),
    )!;
    expect(s.said).toEqual([]);
    expect(s.trials.map((t) => t.batchId)).toEqual([null, 'batch-1', null]);
    expect(s.ended).toBe(true);
  });
  it('what cannot follow is refused in words', () => {
    const s = begun();
    const code = s.trials[0]!.code;
    const says = (e: TrialSays, of: Series | null = s): string => {
      const r = admittedTrial(of, event(e));
      return r.ok ? 'ok' : r.fault.says;
    };
    expect(says({ kind: 'next' }, null)).toContain('no longer in the kitchen');
    expect(says(BEGUN.says)).toContain('begun already');
    expect(says({ kind: 'next' }, { ...s, ended: true })).toContain('has ended');
    expect(says({ kind: 'next' }, { ...s, trials: Array.from({ length: MOST_TRIALS }, () => s.trials[0]!) })).toContain('at most 12');
    expect(
      says({
        kind: 'scored',
        by: 'Ann',
        scores: [
          { code, score: 3 },
          { code: 'Z9', score: 4 },
        ],
      }),
    ).toContain('called Z9');
    expect(
      says({
        kind: 'scored',
        by: 'Ann',
        scores: [
          { code, score: 3 },
          { code, score: 4 },
        ],
      }),
    ).toContain('two scores');
    expect(says({ kind: 'paired', by: 'Ann', better: code, than: code, same: false })).toContain('itself');
    expect(says({ kind: 'taken back', eventId: 'event-none' })).toContain('not said');
    expect(says({ kind: 'planned', code, point: [0.5] })).toContain('not sent');
    expect(says({ kind: 'made', code: 'Z9', batchId: 'b' })).toContain('called Z9');
    expect(says({ kind: 'ended' })).toBe('ok');
  });
  it('nothing is a series without its beginning', () => expect(seriesOf([{ ...event({ kind: 'next' }), at: 1 }])).toBeNull());
});
