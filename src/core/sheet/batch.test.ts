import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { freshProgress, progressAfter, ProgressSchema, type Progress, type ProgressEvent } from './batch';
import { batchPlan } from './make-batch';
import { elapsedS, phaseOf, timerMarks } from './whisk-timer';

const after = (...events: ProgressEvent[]): Progress => events.reduce(progressAfter, freshProgress());

describe('what is done on Pass', () => {
  it('ticks and unticks, once each', () => {
    const on: ProgressEvent = { kind: 'tick', line: 'a', on: true };
    expect(after(on, on).ticks).toEqual(['a']);
    expect(after(on, { kind: 'tick', line: 'a', on: false }).ticks).toEqual([]);
  });
  it('a running timer is joined, not started again', () => {
    expect(after({ kind: 'timer-start', at: 1000 }, { kind: 'timer-start', at: 5000 }).timer).toEqual({ startedAt: 1000, stoppedAt: null });
  });
  it('stopping writes the time down, but over nothing that the cook wrote', () => {
    expect(after({ kind: 'timer-start', at: 0 }, { kind: 'timer-stop', at: 250_000 }).fields['minutes-to-stage']).toBe('4:10');
    const mine: ProgressEvent = { kind: 'write', reading: 'minutes-to-stage', text: '4', was: '' };
    expect(after(mine, { kind: 'timer-start', at: 0 }, { kind: 'timer-stop', at: 250_000 }).fields['minutes-to-stage']).toBe('4');
  });
  it('a clock moved back never makes a negative time', () => {
    expect(after({ kind: 'timer-start', at: 9000 }, { kind: 'timer-stop', at: 4000 }).timer).toEqual({ startedAt: 9000, stoppedAt: 9000 });
    expect(elapsedS({ startedAt: 9000, stoppedAt: null }, 4000)).toBe(0);
  });
  it('any run of events leaves progress that its schema takes', () => {
    const event: fc.Arbitrary<ProgressEvent> = fc.oneof(
      fc.record({ kind: fc.constant('go' as const), step: fc.integer({ min: 0, max: 9 }) }),
      fc.record({ kind: fc.constant('tick' as const), line: fc.constantFrom('a', 'b'), on: fc.boolean() }),
      fc.record({ kind: fc.constantFrom('timer-start' as const, 'timer-stop' as const), at: fc.integer({ min: 0, max: 1e12 }) }),
      fc.record({ kind: fc.constant('timer-clear' as const) }),
      fc.record({ kind: fc.constant('write' as const), reading: fc.constantFrom('cup-foam' as const, 'cup-liquid' as const), text: fc.string({ maxLength: 20 }), was: fc.constant('') }),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (events) => {
        expect(ProgressSchema.safeParse(after(...events)).success).toBe(true);
      }),
    );
  });
});

describe('the whisk timer', () => {
  const plan = batchPlan(sheetOf(['600 g cream 36 %', '60 g caster sugar']), KITCHEN);
  if (!plan.ok) throw new Error(plan.fault.says);
  const marks = timerMarks(plan.value.forecast)!;
  const running = { startedAt: 0, stoppedAt: null };
  const phase = (s: number) => phaseOf(running, marks, s * 1000);

  it('calls at the early end of the spread, at least ten seconds before the window opens', () => {
    expect(marks.watchS).toBeCloseTo(marks.opensS / 1.18, 6);
    const quick = timerMarks({ ...plan.value.forecast, stageTimeS: { value: 12, low: 10.2, high: 14.2 } })!;
    expect(quick.opensS - quick.watchS).toBe(10);
  });
  it('goes through its phases in order, from the wall clock alone', () => {
    expect([1, marks.watchS + 1, marks.opensS + 1, marks.closesS! + 1].map(phase)).toEqual(['whisking', 'watch', 'stop', 'over']);
    expect(phaseOf({ startedAt: null, stoppedAt: null }, marks, 0)).toBe('ready');
    expect(phaseOf({ startedAt: 0, stoppedAt: 5 }, marks, 9e9)).toBe('stopped');
  });
  it('has no calls for a cream that never comes there', () => {
    const lean = batchPlan(sheetOf(['600 g cream 28 %'], { stage: 'firm' }), KITCHEN);
    expect(lean.ok && timerMarks(lean.value.forecast)).toBeNull();
    expect(phaseOf(running, null, 1e6)).toBe('whisking');
  });
});
