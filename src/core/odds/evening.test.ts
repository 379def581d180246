import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { DAILY } from '../kitchen/usual-crew';
import { newDishCache } from '../timetable/dish';
import { planService, type PlannedGap, type PlannedTask, type ServicePlan } from '../timetable/service-plan';
import { EMPTY_SERVICE } from '../timetable/usual';
import { minuteOf } from '../timetable/zone';
import { eveningOdds } from './evening';
import { straysOf } from './strays';
import { GRACE_MIN, STRAYS, WISHED_CHANCE, type Strays } from './house';
import { normalDraw, seededNumbers } from '../random';

const MANY = 40_000;
const task = (id: string, start: number, end: number, more: Partial<PlannedTask> = {}): PlannedTask => ({
  id,
  servings: ['s'],
  stepId: id,
  kind: 'hands',
  name: id,
  dish: 'Dish',
  part: '',
  because: '',
  needs: [],
  marginMin: 0,
  done: false,
  running: false,
  start,
  end,
  lanes: [],
  cook: '',
  soonest: start,
  latest: start,
  critical: false,
  pinned: false,
  why: '',
  ...more,
});
const served = (at: number, id = 's'): PlannedTask => task(`${id}/served`, at, at, { kind: 'served', servings: [id] });
const gap = (from: string, to: string, min = 0, max: number | null = null): PlannedGap => ({ from, to, min, max, minutes: 0, says: '' });
const planOf = (tasks: readonly PlannedTask[], gaps: readonly PlannedGap[]): Pick<ServicePlan, 'tasks' | 'gaps' | 'servings'> => ({
  tasks,
  gaps,
  servings: [...new Set(tasks.filter((t) => t.kind === 'served').map((t) => t.servings[0]!))].map((id) => ({
    id,
    name: id,
    at: 0,
    portions: 1,
    vessel: '',
    leadMin: 0,
    atLeastMin: 0,
    lateMin: 0,
    coldH: null,
  })),
});
/** A chain of hands that ends so many minutes before serving. */
const chain = (minutes: readonly number[], slack: number) => {
  let at = 0;
  const tasks = minutes.map((m, i) => task(`t${i}`, at, (at += m)));
  return planOf([...tasks, served(at + slack)], [...tasks.slice(1).map((t, i) => gap(`t${i}`, t.id)), gap(`t${minutes.length - 1}`, 's/served')]);
};
const all = (s: Strays) => () => s;
const chance = (plan: ReturnType<typeof chain>, s: Strays): number => eveningOdds(plan, MANY, all(s)).servings[0]!.inTime;

/** Φ, to 1e-7 (Abramowitz and Stegun 26.2.17). */
function phi(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x >= 0 ? 1 - tail : tail;
}
const density = (x: number, median: number, sd: number): number => Math.exp(-((Math.log(x / median) / sd) ** 2) / 2) / (x * sd * Math.sqrt(2 * Math.PI));

describe('the odds of an evening', () => {
  it.each([
    [30, 0, 0.25, 1],
    [30, 5, 0.25, 1],
    [300, 30, 0.2, 1],
    [10, 3, 0.4, 0.85],
  ])('of one task of %d min with %d to spare are what its distribution says', (minutes, slack, sd, median) => {
    const exact = phi(Math.log((minutes + slack + GRACE_MIN) / (minutes * median)) / sd);
    expect(chance(chain([minutes], slack), { median, sd })).toBeCloseTo(exact, 2);
  });
  it('of two in a row are their convolution, within a point', () => {
    const [a, b, slack, sd] = [40, 25, 4, 0.3];
    const most = a + b + slack + GRACE_MIN;
    // P(A' + B ≤ most), where what is over early helps nobody: the second begins at its time at the soonest.
    let exact = 0;
    const dx = 0.01;
    for (let x = dx / 2; x < most; x += dx) exact += density(x, a, sd) * dx * phi(Math.log((most - Math.max(x, a)) / b) / sd);
    expect(Math.abs(chance(chain([a, b], slack), { median: 1, sd }) - exact)).toBeLessThan(0.01);
  });
  it('are all or nothing where nothing strays', () => {
    const sure = { median: 1, sd: 0 };
    expect(chance(chain([20, 30], 0), sure)).toBe(1);
    expect(chance(chain([20, 30], 0), { median: 1.2, sd: 0 })).toBe(0);
    expect(chance(chain([20, 30], 5), { median: 1.2, sd: 0 })).toBe(1);
  });
  it('are never worse with more to spare, the same evenings being met', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 120 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 0, max: 30 }),
        (minutes, slack, more) => {
          const [less, enough] = [slack, slack + more].map((s) => eveningOdds(chain(minutes, s), 300).servings[0]!);
          expect(enough!.inTime).toBeGreaterThanOrEqual(less!.inTime);
          expect(enough!.soonerMin).toBeLessThanOrEqual(less!.soonerMin);
        },
      ),
    );
  });
  it('are what comes: of evenings called 80 %, 76 to 84 in a hundred are in time, and alike for other chances', () => {
    // Kitchens whose true spreads are known, each with one evening of its own, by numbers that the odds have no part in.
    const random = seededNumbers(20_261_129);
    const bins = new Map<number, { called: number; came: number; n: number }>();
    for (let k = 0; k < 12_000; k++) {
      const minutes = Array.from({ length: 1 + Math.floor(3 * random()) }, () => 5 + Math.floor(90 * random()));
      const [slack, s] = [Math.floor(40 * random()), { median: 0.9 + 0.2 * random(), sd: 0.05 + 0.35 * random() }];
      const called = eveningOdds(chain(minutes, slack), 300, all(s)).servings[0]!.inTime;
      let at = 0;
      let planned = 0;
      for (const m of minutes) {
        at = Math.max(at, planned) + m * s.median * Math.exp(s.sd * normalDraw(random));
        planned += m;
      }
      const bin = bins.get(Math.round(10 * called)) ?? { called: 0, came: 0, n: 0 };
      bins.set(Math.round(10 * called), { called: bin.called + called, came: bin.came + Number(at <= planned + slack + GRACE_MIN), n: bin.n + 1 });
    }
    for (const b of [5, 6, 7, 8, 9]) {
      const { called, came, n } = bins.get(b)!;
      expect(n, `called ${b}0 %`).toBeGreaterThan(400);
      expect(Math.abs(came / n - called / n), `called ${b}0 %, of ${n}`).toBeLessThan(0.04);
    }
  });
  it('what is begun so much sooner is in time as often as was wished', () => {
    for (const minutes of [[60], [30, 240], [20, 20, 20, 20]]) {
      const before = eveningOdds(chain(minutes, 0), MANY).servings[0]!;
      expect(before.inTime).toBeLessThan(WISHED_CHANCE);
      const after = eveningOdds(chain(minutes, before.soonerMin), MANY).servings[0]!;
      expect(after.inTime).toBeGreaterThanOrEqual(WISHED_CHANCE - 0.002);
      expect(after.soonerMin).toBeLessThanOrEqual(1);
    }
  });
  it('hands that are shared pass a delay on; two pairs of hands do not', () => {
    const of = (lane: string) =>
      planOf([task('a', 0, 60, { lanes: ['cook:1'] }), task('b', 60, 70, { lanes: [lane], servings: ['t'] }), served(70, 't')], [gap('b', 't/served')]);
    const [shared, apart] = ['cook:1', 'cook:2'].map((l) => eveningOdds(of(l), MANY).servings[0]!);
    expect(shared!.inTime).toBeLessThan(apart!.inTime - 0.1);
    expect(shared!.weak!.task).toBe('a');
    expect(apart!.weak!.task).toBe('b');
  });
  it('a breathing space before the table is eaten up first; other waits are kept', () => {
    const spare = (min: number, to: string) =>
      planOf([task('a', 0, 30), task('b', 40, 50), served(60)], [gap('a', 'b', to === 'b' ? min : 0), gap('b', 's/served', to === 's' ? min : 0)]);
    const slow = all({ median: 1.6, sd: 0 });
    expect(eveningOdds(spare(10, 's'), 10, slow).servings[0]!.inTime).toBe(1);
    expect(eveningOdds(spare(10, 'b'), 10, slow).servings[0]!.inTime).toBe(0);
  });
  it('in time is not clean where a foam had to wait longer than it may', () => {
    const foam = (max: number | null) =>
      planOf(
        [task('whisk', 0, 10), task('base', 0, 10, { lanes: ['cook:1'] }), task('fold', 10, 20), served(60)],
        [gap('whisk', 'fold', 0, max), gap('base', 'fold'), gap('fold', 's/served')],
      );
    const slowBase = (t: PlannedTask) => ({ median: t.id === 'base' ? 2.5 : 1, sd: 0 });
    expect(eveningOdds(foam(5), 10, slowBase).servings[0]!).toMatchObject({ inTime: 1, clean: 0 });
    expect(eveningOdds(foam(null), 10, slowBase).servings[0]!).toMatchObject({ inTime: 1, clean: 1 });
  });
  it('what is behind does not stray, and a whisk is no other work of hands', () => {
    expect(straysOf(task('a', 0, 10, { done: true }))).toEqual({ median: 1, sd: 0 });
    expect(straysOf(task('a', 0, 10, { lanes: ['mixer:planetary'] }))).toBe(STRAYS.whisk);
    expect(straysOf(task('a', 0, 10))).toBe(STRAYS.hands);
    expect(straysOf(task('a', 0, 10, { kind: 'cold' }))).toBe(STRAYS.cold);
  });
  it('are the same twice, whatever order the tasks stand in, and say how far they may be off', () => {
    const plan = chain([30, 60, 20], 10);
    const odds = eveningOdds(plan);
    expect(eveningOdds({ ...plan, tasks: plan.tasks.toReversed() })).toEqual(odds);
    expect(odds.servings[0]!.error).toBeCloseTo(2 * Math.sqrt((odds.servings[0]!.inTime * (1 - odds.servings[0]!.inTime)) / odds.evenings), 9);
    // Forty counts of other evenings: all but a few within the error that is said.
    const counts = Array.from(
      { length: 40 },
      (_, k) =>
        eveningOdds({
          ...plan,
          tasks: plan.tasks.map((t) => ({ ...t, id: t.kind === 'served' ? t.id : `${t.id}.${k}` })),
          gaps: plan.gaps.map((g) => ({ ...g, from: `${g.from}.${k}`, to: g.to === 's/served' ? g.to : `${g.to}.${k}` })),
        }).servings[0]!.inTime,
    );
    const true_ = eveningOdds(plan, MANY).servings[0]!.inTime;
    expect(counts.filter((c) => Math.abs(c - true_) <= odds.servings[0]!.error).length).toBeGreaterThanOrEqual(35);
  });
  it('of a dinner of the sample kitchen: a chance for each serving, a task that is there, and sooner is surer', () => {
    const serving = (id: string, sheetId: string, at: string) => ({
      id,
      sheetId,
      at,
      portions: SHEETS.get(sheetId)!.portions,
      vessel: null,
      placeId: null,
      batchId: null,
    });
    const service = {
      ...EMPTY_SERVICE,
      name: 'Dinner',
      zone: 'Europe/London',
      servings: [
        serving('a', 'pear-icebox', '2026-11-27T20:15'),
        serving('b', 'honey-semifreddo', '2026-11-27T20:30'),
        serving('c', 'elderflower-syllabub', '2026-11-27T20:00'),
      ],
      crew: [{ id: 'c', name: 'Cook', hours: [{ days: DAILY, from: '07:00', to: '22:30' }] }],
    };
    const planned = (spareMin: number) => {
      const answer = planService(
        { service: { ...service, spareMin }, kitchen: GANNET_QUAY, sheets: SHEETS, batches: new Map(), now: minuteOf('2026-11-24T09:00', 'Europe/London') },
        newDishCache(),
      );
      if (!answer.ok || !answer.value.ok) throw new Error('no plan');
      return answer.value.plan;
    };
    const odds = eveningOdds(planned(5));
    expect(odds.servings.map((s) => s.id)).toEqual(['a', 'b', 'c']);
    for (const s of odds.servings) {
      expect(s.clean).toBeLessThanOrEqual(s.inTime);
      if (s.weak) expect(planned(5).tasks.some((t) => t.id === s.weak!.task)).toBe(true);
    }
    const most = Math.max(...odds.servings.map((s) => s.soonerMin));
    const surer = eveningOdds(planned(5 + most));
    for (const [i, s] of surer.servings.entries()) expect(s.inTime).toBeGreaterThanOrEqual(odds.servings[i]!.inTime - 0.03);
  });
});
