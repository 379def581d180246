import { describe, expect, it } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { DAILY } from '../kitchen/usual-crew';
import { newDishCache } from '../timetable/dish';
import { planService } from '../timetable/service-plan';
import { EMPTY_SERVICE } from '../timetable/usual';
import type { Service } from '../timetable/service-schema';
import { minuteOf } from '../timetable/zone';
import { eveningOdds } from './evening';
import { WISHED_CHANCE } from './house';
import { trySurer } from './surer';

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
const service = (servings: Service['servings'], more: Partial<Service> = {}): Service => ({
  ...EMPTY_SERVICE,
  name: 'Dinner',
  zone: ZONE,
  servings,
  crew: [{ id: 'c', name: 'Cook', hours: [{ days: DAILY, from: '07:00', to: '22:30' }] }],
  ...more,
});
const facts = (s: Service, now = '2026-11-23T09:00') => ({ service: s, kitchen: GANNET_QUAY, sheets: SHEETS, batches: new Map(), now: minuteOf(now, ZONE) });
const cache = newDishCache();
const planOf = (s: Service) => {
  const found = planService(facts(s), cache);
  if (!found.ok || !found.value.ok) throw new Error('no plan');
  return found.value.plan;
};
const DINNER = service([
  serving('a', 'pear-icebox', '2026-11-27T20:15'),
  serving('b', 'honey-semifreddo', '2026-11-27T20:30'),
  serving('c', 'elderflower-syllabub', '2026-11-27T20:00'),
]);

describe('a plan that is surer', () => {
  const before = eveningOdds(planOf(DINNER));
  const surer = trySurer(facts(DINNER), cache)!;
  it('has every serving in time as often as was wished, by margins at the weak links', () => {
    expect(Math.min(...before.servings.map((s) => s.inTime))).toBeLessThan(0.6);
    expect(surer.reached).toBe(true);
    for (const s of surer.odds.servings) expect(s.inTime, s.name).toBeGreaterThanOrEqual(WISHED_CHANCE);
    expect(surer.margins.map((m) => m.name)).toContain('Freeze through');
    expect(surer.margins.every((m) => m.minutes > 0 && m.minutes % 5 === 0)).toBe(true);
  });
  it('is the plan of the service that it gives, and a margin is no work', () => {
    const again = planOf(surer.service);
    const freeze = again.tasks.find((t) => t.name === 'Freeze through')!;
    const own = planOf(DINNER).tasks.find((t) => t.name === 'Freeze through')!;
    expect(freeze.marginMin).toBe(surer.service.margins[freeze.id]);
    expect(freeze.end - freeze.start - freeze.marginMin).toBe(own.end - own.start);
    expect(eveningOdds(again).servings.every((s) => s.inTime >= WISHED_CHANCE - 0.02)).toBe(true);
  });
  it('what is put into the cold rests there from then on, whatever there is to spare', () => {
    const rest = surer.plan.tasks.find((t) => t.name === 'Soften overnight')!;
    const away = surer.plan.tasks.find((t) => t.servings.includes('a') && /into the cold/i.test(t.name))!;
    expect(rest.start).toBe(away.end);
  });
  it('is not looked for where it is as sure already, nor where there is no plan', () => {
    expect(trySurer(facts(surer.service), cache)).toBeNull();
    expect(trySurer(facts(service([serving('b', 'honey-semifreddo', '2026-11-27T20:30')]), '2026-11-27T20:00'), cache)).toBeNull();
  });
  it('with a wish that is met asks for nothing, with a greater one for more', () => {
    expect(trySurer(facts(DINNER), cache, 0.01)).toBeNull();
    const some = trySurer(facts(DINNER), cache, 0.7)!;
    const sum = (m: typeof surer) => m.margins.reduce((x, y) => x + y.minutes, 0);
    expect(sum(some)).toBeLessThanOrEqual(sum(surer));
  });
});
