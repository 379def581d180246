import { describe, expect, it } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { DAILY } from '../kitchen/usual-crew';
import { newDishCache } from '../timetable/dish';
import { planService } from '../timetable/service-plan';
import { EMPTY_SERVICE } from '../timetable/usual';
import type { Service } from '../timetable/service-schema';
import { minuteOf } from '../timetable/zone';
import { LEAST_GAIN, tryBuys, type Buy } from './buys';
import { eveningOdds } from './evening';

const ZONE = 'Europe/London';
const serving = (id: string, sheetId: string, at: string) => ({
  id,
  sheetId,
  at,
  portions: SHEETS.get(sheetId)!.portions,
  vessel: null,
  placeId: null,
  batchId: null,
});
const service = (servings: Service['servings']): Service => ({
  ...EMPTY_SERVICE,
  name: 'Dinner',
  zone: ZONE,
  servings,
  crew: [{ id: 'c', name: 'Cook', hours: [{ days: DAILY, from: '07:00', to: '22:30' }] }],
});
const facts = (s: Service, now = '2026-11-23T09:00') => ({ service: s, kitchen: GANNET_QUAY, sheets: SHEETS, batches: new Map(), now: minuteOf(now, ZONE) });
const cache = newDishCache();
const DINNER = service([
  serving('a', 'pear-icebox', '2026-11-27T20:15'),
  serving('b', 'honey-semifreddo', '2026-11-27T20:30'),
  serving('c', 'elderflower-syllabub', '2026-11-27T20:00'),
]);
const oddsOf = (s: Service) => {
  const found = planService(facts(s), cache, 'possible');
  if (!found.ok || !found.value.ok) throw new Error('no plan');
  return eveningOdds(found.value.plan).servings;
};

describe('what buys most', () => {
  const steps = [...tryBuys(facts(DINNER), cache)];
  const buys: readonly Buy[] = steps.at(-1)!.buys;
  it('is told after each try, and never of more tries than there are', () => {
    expect(steps.map((s) => s.tried)).toEqual(steps.map((_, i) => i + 1));
    expect(steps.every((s) => s.of === steps.length)).toBe(true);
  });
  it('is about the serving that is late most often, and begins with what helps it most', () => {
    const worst = oddsOf(DINNER).reduce((a, b) => (b.inTime < a.inTime ? b : a));
    expect(buys.length).toBeGreaterThan(0);
    for (const b of buys) {
      expect(b.serving).toBe(worst.name);
      expect(b.from).toBe(worst.inTime);
      expect(b.to - b.from).toBeGreaterThanOrEqual(LEAST_GAIN);
    }
    expect(buys.map((b) => b.to)).toEqual([...buys.map((b) => b.to)].sort((x, y) => y - x));
  });
  it('time to spare at the weak link helps, and the more the surer', () => {
    const spare = buys.find((b) => b.key.startsWith('spare:'))!;
    const worst = oddsOf(DINNER).reduce((a, b) => (b.inTime < a.inTime ? b : a));
    expect(spare.key).toContain(worst.weak!.task);
    expect(spare.says).toMatch(/^90\u00a0min to spare for ‘soften overnight’/);
    // The longest that was tried is the surest: 90 min.
    expect(spare.key).toMatch(/:90$/);
  });
  it('keeps its word: the odds of the service that it gives are those that it told, and no other serving pays', () => {
    for (const b of buys) {
      const then = oddsOf(b.service);
      expect(then.find((s) => s.name === b.serving)!.inTime).toBe(b.to);
      expect(Math.min(...then.map((s) => s.inTime))).toBeGreaterThanOrEqual(b.from);
    }
  });
  it('one of each kind', () => {
    const kinds = buys.map((b) => b.key.replace(/:.*$/, ''));
    expect(new Set(kinds).size).toBe(kinds.length);
  });
  it('asks nothing of the guests', () => expect(buys.filter((b) => /^(?:later|day|without|fewer)/.test(b.key))).toEqual([]));
  it('says nothing where there is no plan', () =>
    expect([...tryBuys(facts(service([serving('b', 'honey-semifreddo', '2026-11-27T20:30')]), '2026-11-27T20:00'), cache)]).toEqual([]));
});
