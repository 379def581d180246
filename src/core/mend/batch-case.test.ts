import { describe, expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import { freshProgress, MISE, progressAfter, reopensFor, takenBy, WHISK_TIMER, type MendEntry, type Progress } from '../batch/batch';
import { batchPlan } from '../batch/make-batch';
import { factsOfBatch, isDiscarded, withMends } from './batch-case';

const CREAM = sheetOf(['600 g cream 36 %', '60 g icing sugar']);
const plan = (() => {
  const p = batchPlan(CREAM, KITCHEN);
  if (!p.ok) throw new Error(p.fault.says);
  return p.value;
})();
const entry = (more: Partial<MendEntry> = {}): MendEntry => ({
  id: 'm1',
  at: 5,
  sign: 'grains',
  cause: 'past-firm',
  partId: CREAM.parts[0]!.id,
  kind: 'mend',
  title: 'Stir in 80 g cold cream',
  adds: [{ lineId: 'm1-1', ingredientId: 'cream-36', name: 'cream 36 %', massG: 80 }],
  again: [],
  portions: null,
  use: null,
  minutes: 5,
  rest: null,
  reopens: { keys: [], lines: [], step: null, whisked: false },
  helped: null,
  ...more,
});
const mended = (e: MendEntry, p: Progress = freshProgress()): Progress => progressAfter(p, { kind: 'mend', entry: e });

describe('a mend in a batch', () => {
  it('is written once, also when it is sent twice, with a line off the plan', () => {
    const p = mended(entry(), mended(entry()));
    expect(p.mends).toHaveLength(1);
    expect(p.offPlan.map((o) => [o.kind, o.words])).toEqual([['mended', 'Mended: Stir in 80 g cold cream']]);
    expect(progressAfter(p, { kind: 'mend-helped', id: 'm1', helped: true }).mends[0]!.helped).toBe(true);
    expect(progressAfter(p, { kind: 'mend-helped', id: 'other', helped: true }).mends[0]!.helped).toBeNull();
  });
  it('its cream leaves the larder, and a fresh bowl once more', () => {
    const creamG = (p: Progress): number => takenBy(plan, p, true).reduce((g, t) => g + (t.ingredientId === 'cream-36' ? t.massG : 0), 0);
    expect(creamG(freshProgress())).toBe(600);
    expect(creamG(mended(entry()))).toBe(680);
    expect(creamG(mended(entry({ id: 'm2', adds: [], again: [{ lineId: 'm2-1', ingredientId: 'cream-36', name: 'cream', massG: 600 }] })))).toBe(1200);
  });
  it('stands in the dessert that is made: weight, fat, portions', () => {
    const s = analyseSheet(withMends(CREAM, [entry(), entry({ id: 'm2', adds: [], portions: 7, use: 'glass' })]), KITCHEN);
    expect(s.mixture.massG).toBeCloseTo(740, 6);
    expect(s.sheet.portions).toBe(7);
    expect(s.sheet.use).toBe('glass');
    // The sheet itself is as it was.
    expect(CREAM.parts[0]!.lines).toHaveLength(2);
    expect(new Set(s.sheet.parts[0]!.lines.map((l) => l.id)).size).toBe(3);
  });
  it('one that was thrown away is known as such', () => {
    expect(isDiscarded([entry()])).toBe(false);
    expect(isDiscarded([entry(), entry({ id: 'm2', kind: 'discard', adds: [] })])).toBe(true);
  });
});

describe('what a batch tells of itself', () => {
  const whiskStep = plan.steps.findIndex((s) => s.whisks);
  const at = (p: Partial<Progress>): Progress => ({ ...freshProgress(), step: whiskStep, ...p });
  const timer = (startedAt: number, stoppedAt: number | null) => ({
    id: WHISK_TIMER,
    name: 'whisk',
    seconds: null,
    startedAt,
    stoppedAt,
    owner: 'x',
    slowAt: null,
  });
  it('the part in hand, the whisk’s clock running or stopped', () => {
    const running = factsOfBatch(plan, at({ timers: [timer(1000, null)] }), {}, [], null, 91_000);
    expect(running.partId).toBe(CREAM.parts[0]!.id);
    expect(running.whiskedS).toBe(90);
    expect(factsOfBatch(plan, at({ timers: [timer(1000, 61_000)] }), {}, [], null, 91_000).whiskedS).toBe(60);
    expect(factsOfBatch(plan, at({}), { 'minutes-to-stage': 4.5 }, [], null, 0).whiskedS).toBe(270);
    expect(factsOfBatch(plan, at({}), {}, [], null, 0).whiskedS).toBeNull();
    // A clock that was left on over night says nothing.
    expect(factsOfBatch(plan, at({ timers: [timer(0, null)] }), {}, [], null, 9 * 3_600_000).whiskedS).toBeNull();
  });
  it('the last temperature that was taken at the step in hand, as Pass writes it; none of another step', () => {
    const { key } = plan.steps[whiskStep]!;
    const taken = [
      { series: `${key}|by hand`, at: 10, tC: 6 },
      { series: `${key}|probe 1`, at: 15, tC: 7 },
      { series: `${plan.steps[0]!.key}|by hand`, at: 20, tC: 83 },
    ];
    expect(factsOfBatch(plan, at({}), {}, taken, null, 0).nowC).toBe(7);
    expect(factsOfBatch(plan, at({}), {}, taken.slice(2), null, 0).nowC).toBeNull();
    expect(factsOfBatch(plan, at({}), {}, taken, 30, 40).nowC).toBeNull();
  });
  it('hours in the cold once it has ended, and no part in hand then', () => {
    const f = factsOfBatch(plan, at({}), { 'cream-temperature': 6 }, [], 0, 5 * 3_600_000);
    expect(f).toMatchObject({ partId: null, coldH: 5, creamC: 6 });
    expect(factsOfBatch(plan, at({}), {}, [], null, 5).coldH).toBeNull();
  });
  it('what was skipped, by the key of its way', () => {
    const skipped = plan.steps[0]!;
    expect(factsOfBatch(plan, at({ skipped: [skipped.key] }), {}, [], null, 0).skipped).toEqual([skipped.wayKey]);
  });
});

describe('a fresh bowl', () => {
  const part = CREAM.parts[0]!.id;
  const mine = plan.steps.filter((s) => s.partId === part);
  const lineIds = mine.flatMap((s) => s.lines.map((l) => l.lineId));
  const whisked: Progress = {
    ...freshProgress(),
    step: plan.steps.indexOf(mine.at(-1)!),
    done: [MISE, ...mine.slice(0, -1).map((s) => s.key)],
    ticks: [...lineIds, `${MISE}:${lineIds[0]!}`, 'other'],
    weighed: { [lineIds[0]!]: 612, other: 3 },
    timers: [
      { id: WHISK_TIMER, name: 'whisk', seconds: null, startedAt: 1, stoppedAt: 2, owner: '', slowAt: null },
      { id: 'oven', name: 'oven', seconds: 60, startedAt: 1, stoppedAt: null, owner: '', slowAt: null },
    ],
  };

  it('opens the steps of its part again, those that were done and the one in hand, and nothing of them is weighed', () => {
    const opens = reopensFor(plan.steps, whisked, part);
    expect(opens.keys).toEqual(mine.map((s) => s.key));
    expect(opens.step).toBe(plan.steps.indexOf(mine[0]!));
    const p = mended(entry({ adds: [], again: [{ lineId: 'm1-1', ingredientId: 'cream-36', name: 'cream', massG: 600 }], reopens: opens }), whisked);
    expect(p).toMatchObject({ step: opens.step, done: [MISE], ticks: ['other'], weighed: { other: 3 } });
    expect(p.timers.map((t) => t.id)).toEqual(['oven']);
    // What the lost bowl took under the whisk would be taken for the new one's; that of another part stays.
    const timed = { ...whisked, fields: { 'minutes-to-stage': '9:30', 'cream-temperature': '5' } };
    expect(mended(entry({ reopens: opens }), timed).fields).toEqual({ 'minutes-to-stage': '', 'cream-temperature': '5' });
    const unwhisked = mended(entry({ reopens: { ...opens, whisked: false } }), timed);
    expect(unwhisked.fields).toEqual(timed.fields);
    expect(unwhisked.timers).toHaveLength(2);
    // Sent twice it is done once: what was ticked since stays.
    const on = progressAfter(p, { kind: 'go', step: opens.step! + 1, done: opens.keys[0]! });
    expect(mended(entry({ reopens: opens }), on)).toEqual(on);
  });
  it('of a part that nothing was done of opens nothing, and a rescue of what is there leaves all as it is', () => {
    expect(reopensFor(plan.steps, { step: plan.steps.length - 1, done: [] }, part)).toEqual({ keys: [], lines: [], step: null, whisked: false });
    expect(mended(entry(), whisked)).toMatchObject({ step: whisked.step, done: whisked.done, ticks: whisked.ticks, weighed: whisked.weighed });
  });
});
