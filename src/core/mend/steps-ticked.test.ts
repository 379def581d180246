import { describe, expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { freshProgress, type BatchPlan, type Progress } from '../batch/batch';
import { batchPlan } from '../batch/make-batch';
import { SHORT_REST } from './house';
import { cutShort, stepsTicked, tickedBefore, type TickedStep } from './steps-ticked';

const PLAN = ((): BatchPlan => {
  const p = batchPlan(sheetOf(['600 g cream 36 %', '60 g icing sugar']), KITCHEN);
  if (!p.ok) throw new Error(p.fault.says);
  const [one] = p.value.steps;
  const step = (key: string, waitMin: [number, number] | null = null, partId = 'a') => ({ ...one!, key, wayKey: key, title: key, partId, waitMin });
  return { ...p.value, steps: [step('cook'), step('cool', [60, 90]), step('fold'), step('chill', [240, 300], '')] };
})();
const MIN = 60_000;
const ticked = (minutes: Readonly<Record<string, number>>, skipped: readonly string[] = []): Progress => ({
  ...freshProgress(),
  done: Object.keys(minutes),
  doneAt: Object.fromEntries(Object.entries(minutes).map(([k, m]) => [k, m * MIN])),
  skipped: [...skipped],
});

describe('what the ticks of a batch say', () => {
  it('the order in which they came; a rest ends with the next step of its part, not with its own tick', () => {
    const rested = (minutes: Readonly<Record<string, number>>) => Object.fromEntries(stepsTicked(PLAN, ticked(minutes)).map((s) => [s.wayKey, s.restedMin]));
    expect(stepsTicked(PLAN, ticked({ cook: 10, fold: 20, cool: 40 })).map((s) => s.wayKey)).toEqual(['cook', 'fold', 'cool']);
    // Into the fridge and on at once: the wait goes on meanwhile.
    expect(rested({ cook: 10, cool: 11, fold: 75 }).cool).toBe(64);
    expect(rested({ cook: 10, cool: 11, fold: 20 }).cool).toBe(9);
    // Sat out at the step: from when it was come to.
    expect(rested({ cook: 10, cool: 70, fold: 72 }).cool).toBe(62);
    // Nothing has come of it yet: nobody knows.
    expect(rested({ cook: 10, cool: 11 }).cool).toBeNull();
    const timer = { id: 'cool', name: 'cool', seconds: 3600, startedAt: 15 * MIN, stoppedAt: null, owner: '', slowAt: null };
    expect(stepsTicked(PLAN, { ...ticked({ cook: 10, cool: 60, fold: 75 }), timers: [timer] }).find((s) => s.wayKey === 'cool')!.restedMin).toBe(60);
    expect(stepsTicked(PLAN, ticked({ cook: 10, cool: 80 }, ['cool'])).map((s) => s.wayKey)).toEqual(['cook']);
    expect(stepsTicked(PLAN, freshProgress())).toEqual([]);
  });
  it('a rest is cut short below its share, of this part or of the whole, and a short rest says nothing', () => {
    const rest = (restedMin: number, ofMin: number, partId = 'a'): TickedStep => ({ wayKey: 'cool', title: 'Cool', partId, restedMin, ofMin });
    const least = SHORT_REST.share * 100;
    expect(cutShort([rest(least - 0.1, 100)], 'a', ['cool'])).toHaveLength(1);
    expect(cutShort([rest(least, 100)], 'a', ['cool'])).toEqual([]);
    expect(cutShort([rest(5, 100, 'b')], 'a', ['cool'])).toEqual([]);
    expect(cutShort([rest(5, 100, '')], 'a', ['cool'])).toHaveLength(1);
    expect(cutShort([rest(5, 100)], 'a', ['chill'])).toEqual([]);
    expect(cutShort([rest(0, SHORT_REST.fromMin - 1)], 'a', ['cool'])).toEqual([]);
    expect(cutShort([rest(0, SHORT_REST.fromMin)], 'a', ['cool'])).toHaveLength(1);
    expect(cutShort([rest(30, 240)], 'a', ['cool'])[0]).toBe('‘Cool’ had 30\u00a0min of 4\u00a0h.');
  });
  it('what was ticked before what it should follow', () => {
    const at = (...keys: string[]): readonly TickedStep[] => keys.map((k) => ({ wayKey: k, title: k, partId: 'a', restedMin: null, ofMin: null }));
    expect(tickedBefore(at('fold', 'cool'), 'a', ['fold'], ['cool'])).toBe('‘fold’ was ticked before ‘cool’.');
    expect(tickedBefore(at('cool', 'fold'), 'a', ['fold'], ['cool'])).toBeNull();
    expect(tickedBefore(at('fold'), 'a', ['fold'], ['cool'])).toBeNull();
    expect(tickedBefore(at('fold', 'cool'), 'b', ['fold'], ['cool'])).toBeNull();
  });
});
