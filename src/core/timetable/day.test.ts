import { describe, expect, it } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { dayOf, nextOf, whenSays, type DayService } from './day';
import { newDishCache } from './dish';
import { DAILY } from '../kitchen/usual-crew';
import { planService } from './service-plan';
import { EMPTY_SERVICE } from './usual';
import { minuteOf } from './zone';

const zone = 'Europe/London';
const at = (local: string): number => minuteOf(local, zone);
const cache = newDishCache();
const serving = (id: string, sheetId: string, when: string) => ({
  id,
  sheetId,
  at: when,
  portions: SHEETS.get(sheetId)!.portions,
  vessel: null,
  placeId: null,
  batchId: null,
});
const crew = [{ id: 'early', name: 'Early', hours: [{ days: DAILY, from: '07:00', to: '22:00' }] }];
const planned = (now: string, ...servings: ReturnType<typeof serving>[]): DayService => {
  const answer = planService(
    { service: { ...EMPTY_SERVICE, name: 'Dinner', zone, crew, servings }, kitchen: GANNET_QUAY, sheets: SHEETS, batches: new Map(), now: at(now) },
    cache,
  );
  if (!answer.ok || !answer.value.ok) throw new Error('no plan');
  return { id: 'd', zone, plan: answer.value.plan };
};

describe('the day', () => {
  const syllabub = planned('2026-11-27T09:00', serving('s', 'elderflower-syllabub', '2026-11-27T20:00'));
  it('is today while anything of it is to come; its rows are hands, cold and what is served', () => {
    const day = dayOf([syllabub], at('2026-11-27T09:00'))!;
    expect(day.says).toBe('today');
    expect([...new Set(day.rows.map((r) => r.kind))]).toEqual(['hands', 'cold', 'served']);
    expect(day.rows[0]!.name).toBe('Early');
    const served = day.rows.find((r) => r.kind === 'served')!.bars[0]!;
    expect([served.from, served.to, served.says]).toEqual([at('2026-11-27T20:00'), at('2026-11-27T20:00'), SHEETS.get('elderflower-syllabub')!.name]);
    const cold = day.rows.find((r) => r.kind === 'cold')!.bars[0]!;
    expect(cold.says).toMatch(/: ready \d\d:\d\d$/);
  });
  it('spans whole hours that hold all of it and now, and at least six', () => {
    const day = dayOf([syllabub], at('2026-11-27T09:20'))!;
    expect(day.from).toBe(at('2026-11-27T09:00'));
    expect(day.to).toBe(at('2026-11-27T20:00'));
    const late = dayOf([syllabub], at('2026-11-27T19:30'))!;
    expect(late.to - late.from).toBeGreaterThanOrEqual(360);
    for (const r of day.rows) for (const b of r.bars) expect(b.from >= day.from && b.to <= day.to && b.from <= b.to).toBe(true);
  });
  it('is the next day that has anything, by its name; none where nothing is to come', () => {
    expect(dayOf([syllabub], at('2026-11-25T09:00'))?.says).toBe('Friday');
    expect(dayOf([syllabub], at('2026-11-27T20:01'))).toBeNull();
    expect(dayOf([], at('2026-11-27T09:00'))).toBeNull();
  });
  it('has no stretch of one cook that overlaps another of the same dessert, and joins neighbours', () => {
    const day = dayOf([syllabub], at('2026-11-27T09:00'))!;
    const { bars } = day.rows.find((r) => r.kind === 'hands')!;
    const tasks = syllabub.plan.tasks.filter((t) => t.cook !== '' && t.kind !== 'served');
    expect(bars.length).toBeLessThan(tasks.length);
    for (const t of tasks) expect(bars.some((b) => b.from <= t.start && b.to >= t.end)).toBe(true);
    bars.slice(1).forEach((b, i) => expect(b.from - bars[i]!.to).toBeGreaterThan(12));
  });
  it('tells what is over from what is going on and what comes', () => {
    const day = dayOf([syllabub], at('2026-11-27T09:00'))!;
    const { bars } = day.rows.find((r) => r.kind === 'hands')!;
    const inIt = Math.floor((bars[0]!.from + bars[0]!.to) / 2);
    const seen = dayOf([syllabub], inIt)!.rows.find((r) => r.kind === 'hands')!.bars;
    expect(seen[0]!.state).toBe('now');
    expect(seen.slice(1).every((b) => b.state === 'coming')).toBe(true);
    expect(dayOf([syllabub], bars[0]!.to + 1)!.rows.find((r) => r.kind === 'hands')!.bars[0]!.state).toBe('done');
  });
  it('serves together what is served together', () => {
    const two = planned('2026-11-26T09:00', serving('a', 'elderflower-syllabub', '2026-11-27T20:00'), serving('b', 'bay-leaf-chantilly', '2026-11-27T20:00'));
    const served = dayOf([two], at('2026-11-27T08:00'))!.rows.filter((r) => r.kind === 'served');
    expect(served).toHaveLength(1);
    expect(served[0]!.bars[0]!.says.split('; ')).toHaveLength(2);
  });
});

describe('what comes next', () => {
  const s = planned('2026-11-27T09:00', serving('s', 'elderflower-syllabub', '2026-11-27T20:00'));
  const first = s.plan.tasks.filter((t) => t.cook !== '').sort((a, b) => a.start - b.start)[0]!;
  it('is what is being made', () => {
    expect(nextOf([{ id: 'b', name: 'Bay-leaf chantilly', step: 'Whisk to medium', at: 2, of: 5 }], [s], first.start)).toEqual({
      when: 'Now',
      what: 'whisk to medium',
      about: 'Bay-leaf chantilly, step 3 of 5',
      href: '/pass/b',
      action: 'Go on with it',
    });
  });
  it('else the next hands of a plan, with who, what for and until when', () => {
    const next = nextOf([], [s], first.start - 8)!;
    expect(next.when).toBe('In 8\u00a0min');
    expect(next.href).toBe(`/clock/d?task=${encodeURIComponent(first.id)}`);
    expect(next.about).toContain('Early');
    expect(next.about).toMatch(/served 20:00$/);
  });
  it('else nothing', () => expect(nextOf([], [s], at('2026-11-27T20:01'))).toBeNull());
  it.each<[string, string, string]>([
    ['2026-11-27T10:00', '2026-11-27T10:00', 'Now'],
    ['2026-11-27T10:59', '2026-11-27T10:00', 'In 59\u00a0min'],
    ['2026-11-27T11:00', '2026-11-27T10:00', 'At 11:00'],
    ['2026-11-28T09:05', '2026-11-27T10:00', 'Sat 09:05'],
  ])('%s, seen at %s: %s', (then, now, right) => expect(whenSays(at(then), at(now), zone)).toBe(right));
});
