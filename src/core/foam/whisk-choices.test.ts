import { describe, expect, it } from 'vitest';
import { practiceRun } from './practice';
import { whiskChoices, whiskingWarmsC } from './whisk-choices';
import type { WhiskInput } from './inputs';

const INPUT: WhiskInput = {
  ...practiceRun(1).input,
  fatPct: 36,
  creamC: 5,
  sugarPer100: 10,
  sugarAt: 'start',
  mixer: 'planetary',
  bowlMl: 4800,
  speed: 'fast',
  slowFromSoft: false,
  mixMl: 1000,
  batches: 1,
  target: 'firm',
  softCheeseShare: 0,
  mascarponeShare: 0,
};
const CONTEXT = { correct: <T>(w: T): T => w, roomBowlC: 8, warmRoomC: 28, warmCreamC: 10 };
const rows = (change: Partial<WhiskInput> = {}) => new Map(whiskChoices({ ...INPUT, ...change }, CONTEXT).map((r) => [r.key, r]));

describe('the same cream done another way', () => {
  it('dropping to slow makes the window 2.5 times as wide', () => {
    const r = rows();
    expect(r.get('slow')!.widthS! / r.get('planned')!.widthS!).toBeCloseTo(2.5, 9);
    expect(r.get('slow')!.opensS!).toBeGreaterThan(r.get('planned')!.opensS!);
  });
  it('sugar at soft peak is quicker and airier; warmth is slower and flatter', () => {
    const r = rows();
    const planned = r.get('planned')!;
    expect(r.get('sugar')!.opensS!).toBeLessThan(planned.opensS!);
    expect(r.get('sugar')!.overrunPct!).toBeGreaterThan(planned.overrunPct!);
    for (const key of ['bowl', 'cream'] as const) {
      expect(r.get(key)!.opensS!).toBeGreaterThan(planned.opensS!);
      expect(r.get(key)!.overrunPct!).toBeLessThan(planned.overrunPct!);
    }
  });
  it('without sugar, or with no speed to drop, those rows are not there', () => {
    expect(rows({ sugarPer100: 0 }).has('sugar')).toBe(false);
    expect(rows({ mixer: 'hand-mixer', bowlMl: 3000 }).has('slow')).toBe(false);
    expect(rows({ target: 'soft' }).has('slow')).toBe(false);
  });
  it('a cream too warm for the stage says never, not a time', () => {
    expect(whiskChoices(INPUT, { ...CONTEXT, roomBowlC: 15 }).find((r) => r.key === 'bowl')!.opensS).toBeNull();
  });
  it('whisking warms by 0.03 a minute and degree, and cools in a colder room', () => {
    expect(whiskingWarmsC(5, 20, 240)).toBeCloseTo(0.03 * 15 * 4, 12);
    expect(whiskingWarmsC(20, 5, 60)).toBeLessThan(0);
  });
});
