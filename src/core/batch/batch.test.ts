import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import {
  amountNow,
  freshProgress,
  takenBy,
  type BatchPlan,
  MendEntrySchema,
  progressAfter,
  ProgressSchema,
  rescaleTo,
  stepAfter,
  timerOf,
  whileItRests,
  WHISK_TIMER,
  type Progress,
  type ProgressEvent,
} from './batch';
import { batchPlan } from './make-batch';
import { whiskAt } from '../analysis/step-whisk';
import { elapsedS, phaseOf, timerMarks } from './whisk-timer';

const start = (at: number, by = 'mine'): ProgressEvent => ({ kind: 'timer-start', id: WHISK_TIMER, name: 'whisk', seconds: null, at, by });
const stop = (at: number, by = 'mine'): ProgressEvent => ({ kind: 'timer-stop', id: WHISK_TIMER, at, by });
const whiskOf = (p: Progress) => timerOf(p, WHISK_TIMER);
const after = (...events: ProgressEvent[]): Progress => events.reduce(progressAfter, freshProgress());

describe('what is done on Pass', () => {
  it('ticks and unticks, once each', () => {
    const on: ProgressEvent = { kind: 'tick', line: 'a', on: true };
    expect(after(on, on).ticks).toEqual(['a']);
    expect(after(on, { kind: 'tick', line: 'a', on: false }).ticks).toEqual([]);
  });
  it('a running timer is joined, not started again', () => {
    expect(whiskOf(after(start(1000), start(5000, 'other')))).toMatchObject({ startedAt: 1000, stoppedAt: null, owner: 'mine' });
  });
  it('stopping writes the time down, but over nothing that the cook wrote', () => {
    expect(after(start(0), stop(250_000)).fields['minutes-to-stage']).toBe('4:10');
    const mine: ProgressEvent = { kind: 'write', reading: 'minutes-to-stage', text: '4', was: '' };
    expect(after(mine, start(0), stop(250_000)).fields['minutes-to-stage']).toBe('4');
  });
  it('a clock moved back never makes a negative time', () => {
    expect(whiskOf(after(start(9000), stop(4000)))).toMatchObject({ startedAt: 9000, stoppedAt: 9000 });
    expect(elapsedS({ startedAt: 9000, stoppedAt: null }, 4000)).toBe(0);
  });
  it('a mend of before rests were written down keeps hands for an hour, and the rest of it is a rest', () => {
    const entry = {
      id: 'm',
      at: 1,
      sign: 'unset',
      cause: 'too-soon',
      partId: 'p',
      kind: 'mend' as const,
      title: 'Leave it',
      adds: [],
      again: [],
      portions: null,
      use: null,
    };
    const read = (more: object) => MendEntrySchema.parse({ ...entry, ...more });
    expect(read({ minutes: 240 }).rest).toEqual({ min: 180, where: 'cold' });
    expect(read({ minutes: 60 }).rest).toBeNull();
    expect(read({ minutes: 240, rest: null }).rest).toBeNull();
    expect(read({ minutes: 240, rest: { min: 230, where: 'freezer' } }).rest).toEqual({ min: 230, where: 'freezer' });
    expect(MendEntrySchema.safeParse({ ...entry, rest: { min: -1, where: 'cold' } }).success).toBe(false);
  });
  it('any run of events leaves progress that its schema takes', () => {
    const id = fc.constantFrom('whisk', 'step-1');
    const by = fc.constantFrom('mine', 'other');
    const at = fc.integer({ min: 0, max: 1e12 });
    const event: fc.Arbitrary<ProgressEvent> = fc.oneof(
      fc.record({ kind: fc.constant('go' as const), step: fc.integer({ min: 0, max: 9 }) }),
      fc.record({ kind: fc.constant('tick' as const), line: fc.constantFrom('a', 'b'), on: fc.boolean() }),
      fc.record({ kind: fc.constant('timer-start' as const), id, at, by, name: fc.constant('rest'), seconds: fc.constantFrom(null, 60) }),
      fc.record({ kind: fc.constant('timer-stop' as const), id, at, by }),
      fc.record({ kind: fc.constantFrom('timer-take' as const, 'timer-clear' as const), id, by }),
      fc.record({ kind: fc.constant('timer-slow' as const), id, at }),
      fc.record({
        kind: fc.constant('weigh' as const),
        line: fc.constantFrom('a', 'b'),
        tick: fc.constant('a'),
        grams: fc.double({ min: 0, max: 5000, noNaN: true }),
      }),
      fc.record({ kind: fc.constant('skip' as const), step: fc.integer({ min: 0, max: 9 }), key: fc.constantFrom('a', 'b'), title: fc.constant('Chill'), at }),
      fc.record({ kind: fc.constant('rescale' as const), factor: fc.double({ min: 0.5, max: 2, noNaN: true }), words: fc.constant('more'), at }),
      fc.record({
        kind: fc.constant('off-plan' as const),
        entry: fc.record({ at, kind: fc.constantFrom('paused' as const, 'resumed' as const, 'note' as const), words: fc.string({ maxLength: 40 }) }),
      }),
      fc.record({
        kind: fc.constant('write' as const),
        reading: fc.constantFrom('cup-foam' as const, 'cup-liquid' as const),
        text: fc.string({ maxLength: 20 }),
        was: fc.constant(''),
      }),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (events) => {
        expect(ProgressSchema.safeParse(after(...events)).success).toBe(true);
      }),
    );
  });
});

describe('several timers and two tablets', () => {
  it('only the tablet that owns a timer stops it; another takes it over first', () => {
    const running = after(start(0));
    expect(progressAfter(running, stop(5000, 'other'))).toBe(running);
    expect(progressAfter(running, { kind: 'timer-clear', id: WHISK_TIMER, by: 'other' })).toBe(running);
    expect(whiskOf(after(start(0), { kind: 'timer-take', id: WHISK_TIMER, by: 'other' }, stop(5000, 'other')))!.stoppedAt).toBe(5000);
  });
  it('timers run beside each other; stopping a rest writes no whisking time', () => {
    const rest: ProgressEvent = { kind: 'timer-start', id: 'rest', name: 'gelatin soaks', seconds: 600, at: 10, by: 'mine' };
    const p = after(start(0), rest, { kind: 'timer-stop', id: 'rest', at: 999, by: 'mine' });
    expect(p.timers.map((t) => [t.id, t.stoppedAt])).toEqual([
      ['whisk', null],
      ['rest', 999],
    ]);
    expect(p.fields['minutes-to-stage']).toBeUndefined();
  });
  it('a batch of before there were several keeps its whisk timer', () => {
    const old = { step: 1, ticks: ['a'], timer: { startedAt: 5, stoppedAt: 9 }, fields: {}, note: 'n' };
    const p = ProgressSchema.parse(old);
    expect(whiskOf(p)).toMatchObject({ startedAt: 5, stoppedAt: 9, seconds: null });
    expect(ProgressSchema.parse({ ...old, timer: { startedAt: null, stoppedAt: null } }).timers).toEqual([]);
  });
});

describe('off the plan', () => {
  const cream = { lineId: 'cream', name: 'cream', massG: 300 };
  it('more of one line: what is still to come follows, what was weighed stays, and it is written down', () => {
    const poured = progressAfter(after(), { kind: 'weigh', line: 'cream', tick: 'cream', grams: 330 });
    const p = progressAfter(poured, rescaleTo(poured, cream, 330, 77)!);
    expect(amountNow(p, cream)).toBe(330);
    expect(amountNow(p, { lineId: 'sugar', massG: 30 })).toBeCloseTo(33, 9);
    expect(p.offPlan).toEqual([{ at: 77, kind: 'more', words: expect.stringContaining('330') }]);
    expect(rescaleTo(p, cream, 100_000, 1)).toBeNull();
  });
  it('a skipped step is behind and written down; paused until it goes on', () => {
    const p = after({ kind: 'skip', step: 2, key: 's1', title: 'Sieve it', at: 5 }, { kind: 'off-plan', entry: { at: 9, kind: 'paused', words: 'Paused' } });
    expect(p).toMatchObject({ step: 2, done: ['s1'], pausedAt: 9 });
    expect(p.offPlan.map((o) => o.kind)).toEqual(['skipped', 'paused']);
    expect(progressAfter(p, { kind: 'off-plan', entry: { at: 20, kind: 'resumed', words: 'Goes on' } }).pausedAt).toBeNull();
  });
  it('of two steps of one name only the skipped one took nothing, until it is taken up again', () => {
    const step = (key: string, grams: number) => ({
      key,
      title: 'Stir it in',
      lines: [{ lineId: `l-${key}`, ingredientId: 'milk', massG: grams, name: 'milk', measure: '' }],
    });
    const plan = { steps: [step('a', 100), step('b', 30)] } as unknown as BatchPlan;
    const taken = (p: Progress): number => takenBy(plan, p, true).reduce((sum, t) => sum + t.massG, 0);
    const skipped = after({ kind: 'skip', step: 1, key: 'b', title: 'Stir it in', at: 5 });
    expect(taken(after())).toBe(130);
    expect(taken(skipped)).toBe(100);
    expect(taken(progressAfter(skipped, { kind: 'reopen', key: 'b' }))).toBe(130);
  });
  it('the next step is the next open one, and round to what was left open', () => {
    const steps = ['a', 'b', 'c', 'd'].map((key) => ({ key }));
    expect(stepAfter(steps, ['a', 'c'], 1)).toBe(3);
    expect(stepAfter(steps, ['a', 'b', 'd'], 3)).toBe(2);
    expect(stepAfter(steps, ['a', 'b', 'c', 'd'], 3)).toBe(3);
  });
});

describe('mise en place and what can be done meanwhile', () => {
  const made = batchPlan(
    partsSheet([
      ['base', 'chocolate-base', 'Base', ['200 g dark chocolate 70 %', '120 g cream 36 %']],
      ['cream', 'whipped-cream', 'Cream', ['240 g cream 36 %', '2 leaves gelatin']],
    ]),
    KITCHEN,
  );
  if (!made.ok) throw new Error(made.fault.says);
  const { mise, steps, before } = made.value;
  it('the same ingredient in two steps stands apart with its turn, and nothing is weighed twice', () => {
    const names = mise.flatMap((g) => g.lines.map((l) => l.name));
    expect(names.filter((n) => n.startsWith('cream'))).toEqual([expect.stringMatching(/, first$/), expect.stringMatching(/, later$/)]);
    const weighed = mise.flatMap((g) => g.lines).reduce((sum, l) => sum + l.massG, 0);
    const inSteps = steps
      .flatMap((s) => s.lines)
      .filter((l) => l.ingredientId)
      .reduce((sum, l) => sum + l.massG, 0);
    expect(weighed).toBeCloseTo(inSteps, 9);
  });
  it('what takes its time stands before the first step', () => {
    expect(before.map((b) => b.title)).toContain('Bowl and whisk into the cold');
    expect(before.map((b) => b.title)).toContain('Cold water for the gelatin');
  });
  it('while one rests, only the next steps of other parts are offered', () => {
    const rest = steps.findIndex((s) => s.wayKey === 'chill');
    const offered = whileItRests(steps, [], rest).map((i) => steps[i]!);
    expect(offered).toHaveLength(1);
    expect(offered[0]!.partId).toBe('base');
    expect(
      whileItRests(
        steps,
        [],
        steps.findIndex((s) => s.wayKey === 'melt'),
      ),
    ).toEqual([]);
  });
});

describe('the whisk timer', () => {
  const plan = batchPlan(sheetOf(['600 g cream 36 %', '60 g caster sugar']), KITCHEN);
  if (!plan.ok) throw new Error(plan.fault.says);
  const whisk = plan.value.steps.find((s) => s.whisks)!.whisk!;
  const marks = timerMarks(whisk)!;
  const running = { startedAt: 0, stoppedAt: null };
  const phase = (s: number) => phaseOf(running, marks, s * 1000);

  it('calls at the early end of the spread, at least ten seconds before the window opens', () => {
    expect(marks.watchS).toBeCloseTo(marks.opensS / 1.3, 6);
    const quick = timerMarks({ ...whisk, earlyS: 10.2, opensS: 12 })!;
    expect(quick.opensS - quick.watchS).toBe(10);
  });
  it('goes through its phases in order, from the wall clock alone', () => {
    expect([1, marks.watchS + 1, marks.opensS + 1, marks.closesS! + 1].map(phase)).toEqual(['whisking', 'watch', 'stop', 'over']);
    expect(phaseOf({ startedAt: null, stoppedAt: null }, marks, 0)).toBe('ready');
    expect(phaseOf({ startedAt: 0, stoppedAt: 5 }, marks, 9e9)).toBe('stopped');
  });
  it('has no calls for a cream that churns before it stands', () => {
    const lean = batchPlan(sheetOf(['600 g cream 36 %'], { stage: 'firm', creamC: 14 }), KITCHEN);
    expect(lean.ok && timerMarks(lean.value.steps.find((s) => s.title.startsWith('Whisk'))?.whisk ?? null)).toBeNull();
    expect(phaseOf(running, null, 1e6)).toBe('whisking');
  });
});

describe('a clock with the cream as it was found', () => {
  const plan = batchPlan(sheetOf(['600 g cream 36 %'], { stage: 'medium', creamC: 5 }), KITCHEN);
  const planned = plan.ok ? plan.value.steps.find((s) => s.whisk)!.whisk! : null;
  it('is the plan’s own without a reading, later and narrower when the cream is warmer', () => {
    expect(whiskAt(planned!, null)).toBe(planned);
    expect(whiskAt(planned!, 5)).toBe(planned);
    const warm = whiskAt(planned!, 10)!;
    // 0.94 for each degree above 7 °C.
    expect(warm.opensS / planned!.opensS).toBeCloseTo(0.94 ** -3, 9);
    expect(warm.earlyS / warm.opensS).toBeCloseTo(planned!.earlyS / planned!.opensS, 9);
    expect(warm.cream!.input.creamC).toBe(10);
  });
  it('has no time where the cream churns before it stands', () => {
    expect(whiskAt(planned!, 17)).toBeNull();
    expect(whiskAt(planned!, 13)).not.toBeNull();
  });
});

describe('how a batch begins and ends', () => {
  const planOf = (text: string) => {
    const made = batchPlan(writtenSheet(text), KITCHEN);
    if (!made.ok) throw new Error(made.fault.says);
    return made.value;
  };
  it('what must be soft is taken out of the fridge first, by the words of its line', () => {
    const plan = planOf(
      'Cheese cream\nServes 4\n\n200 g cream cheese, softened\n100 g butter, at room temperature\n200 ml double cream\n\nBeat the cream cheese with the butter. Whip the cream and fold it in. Chill for 2 hours.',
    );
    expect(plan.before.map((b) => b.title)).toEqual(expect.arrayContaining(['Cream cheese out of the fridge', 'Butter out of the fridge']));
    expect(new Set(plan.before.map((b) => b.key)).size).toBe(plan.before.length);
  });
  it('in the cold, or on the plate', () => {
    expect(planOf('Fool\nServes 4\n\n300 ml double cream\n\nWhip the cream to soft peaks. Spoon into glasses. Chill for 1 hour. Serve.').ends).toBe('plate');
    expect(planOf('Fool\nServes 4\n\n300 ml double cream\n\nWhip the cream to soft peaks. Spoon into glasses. Chill for 1 hour.').ends).toBe('cold');
    const nest = batchPlan(partsSheet([['c', 'whipped-cream', 'Cream', ['300 g cream 36 %']]], { family: 'nest' }), KITCHEN);
    expect(nest.ok && nest.value.ends).toBe('plate');
  });
});
