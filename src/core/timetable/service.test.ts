import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { switchWay } from '../ways/switch';
import { writeCalendar, writePlanCsv } from '../files/service-files';
import { daySheets } from './day-sheet';
import { batchPlan } from '../batch/make-batch';
import { freshProgress, progressAfter, ProgressEventSchema, withTimes, type Progress, type ProgressEvent } from '../batch/batch';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { tryCapacity, type Capacity } from './capacity';
import { dishOf, newDishCache } from './dish';
import { tryMends, type Mend } from './mends';
import { madeOnce } from './made-once';
import { tryMerges } from './merges';
import { momentsOf } from './moments';
import { brokenBy } from './proving/check-plan';
import type { Result } from '../result';
import { planService, type ServiceAnswer, type ServicePlan } from './service-plan';
import { serviceProject, type ServiceFacts, type SoFar } from './service-project';
import { readServiceDoc, ServiceSchema, type Service } from './service-schema';
import { serviceShopping } from './service-shopping';
import { soFarOf } from './so-far';
import { EMPTY_SERVICE } from './usual';
import { DAILY } from '../kitchen/usual-crew';
import { localTime, minuteOf } from './zone';

const kitchen = GANNET_QUAY;
const sheets = SHEETS;
const cache = newDishCache();
const zone = 'Europe/London';
const NOW = minuteOf('2026-11-25T09:00', zone);

const serving = (id: string, sheetId: string, at: string, more: Partial<Service['servings'][number]> = {}) => ({
  id,
  sheetId,
  at,
  portions: sheets.get(sheetId)?.portions ?? 1,
  vessel: null,
  placeId: null,
  batchId: null,
  ...more,
});
const early = { id: 'early', name: 'Early', hours: [{ days: DAILY, from: '07:00', to: '15:30' }] };
const late = { id: 'late', name: 'Late', hours: [{ days: DAILY, from: '12:00', to: '22:30' }] };
const service = (servings: Service['servings'], more: Partial<Service> = {}): Service => ({
  ...EMPTY_SERVICE,
  name: 'A dinner',
  zone,
  servings,
  crew: [early, late],
  ...more,
});
const facts = (s: Service, more: Partial<ServiceFacts> = {}): ServiceFacts => ({ service: s, kitchen, sheets, batches: new Map(), now: NOW, ...more });
const answerOf = (f: ServiceFacts): ServiceAnswer => {
  const found: Result<ServiceAnswer> = planService(f, cache);
  if (!found.ok) throw new Error(found.fault.says);
  return found.value;
};
const planOf = (f: ServiceFacts): ServicePlan => {
  const answer = answerOf(f);
  if (!answer.ok) throw new Error(answer.says);
  return answer.plan;
};
const saysOf = (f: ServiceFacts): string => {
  const answer = answerOf(f);
  if (answer.ok) throw new Error('there is a plan');
  return answer.says.replaceAll('\u00a0', ' ');
};
const DINNER = service([
  serving('cake', 'pear-icebox', '2026-11-27T20:15'),
  serving('semi', 'honey-semifreddo', '2026-11-27T20:30'),
  serving('syl', 'elderflower-syllabub', '2026-11-27T20:00'),
]);

describe('tasks of a sheet', () => {
  const tasks = (id: string, portions = sheets.get(id)!.portions) => {
    const dish = dishOf(sheets.get(id)!, { portions, vessel: null, placeId: null }, kitchen, cache);
    if (!dish.ok) throw new Error(dish.fault.says);
    return dish.value.work;
  };

  it('hands, waits, the oven, the cheese that must be out', () => {
    const cake = tasks('pear-icebox');
    expect(cake.tasks.find((t) => t.name === 'Cheese out of the fridge')).toMatchObject({ minutes: 30, hands: false });
    expect(cake.tasks.find((t) => t.stepId?.endsWith('whisk'))).toMatchObject({ hands: true, mixerId: 'planetary' });
    const nest = tasks('hazelnut-nest');
    expect(nest.tasks.filter((t) => t.oven).map((t) => t.oven!.setting)).toEqual(expect.arrayContaining(['160', 'off']));
    expect(nest.tasks.some((t) => t.name.startsWith('Oven to'))).toBe(true);
    expect(nest.gaps.find((g) => g.to === 'served' && g.max === 30)).toBeDefined();
    // Every task of every sample is tied to another: nothing floats.
    for (const [id, sheet] of sheets) {
      const { tasks: all, gaps } = tasks(id, sheet.portions);
      for (const t of all)
        expect(
          gaps.some((g) => g.from === t.key),
          `${id}: ${t.name}`,
        ).toBe(true);
    }
  });

  it('the cold hours are the solver’s, the way’s own rest is kept', () => {
    const semi = tasks('honey-semifreddo');
    const freeze = semi.tasks.find((t) => t.name === 'Freeze through')!;
    expect(freeze.because).toContain('Cold: ready after');
    expect(freeze.minutes).toBeGreaterThan(240);
    expect(tasks('pear-icebox').tasks.find((t) => t.name === 'Soften overnight')!.minutes).toBe(600);
  });

  it('a rest of an hour that was chosen is an hour, whatever Cold says of cutting', () => {
    const rested = switchWay(sheets.get('barley-tiramisu')!, null, 'rest', 'hour', {
      larder: kitchen.larder,
      measures: { cups: 'us', eggs: kitchen.rules.eggs },
      newId: () => 'x',
    });
    const dish = dishOf(rested, { portions: rested.portions, vessel: null, placeId: null }, kitchen, newDishCache());
    if (!dish.ok) throw new Error(dish.fault.says);
    expect(dish.value.work.tasks.find((t) => t.name.startsWith('Rest at'))).toMatchObject({ minutes: 60 });
  });

  it('a larger size takes more bowlfuls, more hands, more tins', () => {
    const whisk = (n: number): number => tasks('bay-leaf-chantilly', n).tasks.find((t) => t.stepId?.endsWith('whisk'))!.minutes;
    expect(whisk(80)).toBeGreaterThan(2 * whisk(8));
    const tins = tasks('pear-icebox', 24).stays.find((s) => s.what.kind === 'vessel')!.what;
    expect(tins).toMatchObject({ count: 2 });
  });
});

describe('a dinner of three desserts', () => {
  it('is planned backwards, keeps every limit, and says why each thing lies where it lies', () => {
    const made = serviceProject(facts(DINNER), cache);
    if (!made.ok) throw new Error(made.fault.says);
    const plan = planOf(facts(DINNER));
    const placed = made.value.project.tasks.map((t) => {
      const found = plan.tasks.find((x) => x.id === t.id)!;
      return { start: found.start, machines: found.lanes.filter((l) => l.startsWith('cook:') || l.startsWith('mixer:')) };
    });
    expect(brokenBy(made.value.project, placed)).toEqual([]);
    for (const s of plan.servings) expect(s.leadMin).toBeGreaterThanOrEqual(s.atLeastMin);
    expect(plan.tasks.every((t) => t.kind === 'served' || t.why !== '')).toBe(true);
    const soften = plan.tasks.find((t) => t.name === 'Soften overnight')!;
    expect(soften.end - soften.start).toBe(600);
    const top = plan.tasks.find((t) => t.id === 'syl/served')!;
    expect(localTime(top.start, zone)).toBe('2026-11-27T20:00');
  });

  it('a pin holds, minutes and waits that were changed are kept', () => {
    const plan = planOf(facts({ ...DINNER, pins: { 'cake/assembly.build': '2026-11-27T09:00' }, minutes: { 'cake/assembly.build': { minutes: 45 } } }));
    const build = plan.tasks.find((t) => t.id === 'cake/assembly.build')!;
    expect(localTime(build.start, zone)).toBe('2026-11-27T09:00');
    expect(build.end - build.start).toBe(45);
    expect(build.pinned).toBe(true);
  });

  it('as files: calendar in real moments with alarms, table, day sheet', () => {
    const plan = planOf(facts(DINNER));
    const ics = writeCalendar(DINNER, plan, 'service', 0).text;
    expect(ics).toContain('BEGIN:VALARM');
    expect(ics).toContain('DTSTART:20261127T200000Z');
    expect(ics.match(/BEGIN:VEVENT/g)!.length).toBe(plan.tasks.filter((t) => t.cook || t.kind === 'served').length);
    const csv = writePlanCsv(DINNER, plan).text.trim().split('\n');
    expect(csv).toHaveLength(plan.tasks.length + 1);
    const days = daySheets(DINNER, plan);
    expect(days.map((d) => d.day)).toEqual(['2026-11-27']);
    expect(days[0]!.cooks.flatMap((c) => c.tasks).length + days[0]!.byItself.length + days[0]!.servings.length).toBe(plan.tasks.length);
  });

  it('calls for what begins after a pause, and for what is served', () => {
    const plan = planOf(facts(DINNER));
    const moments = momentsOf(plan, '/clock/x', NOW * 60_000);
    expect(moments.some((m) => m.says.includes('is served'))).toBe(true);
    expect(moments.length).toBeLessThan(plan.tasks.filter((t) => t.cook).length + 10);
    expect(moments.every((m, i) => i === 0 || m.at >= moments[i - 1]!.at)).toBe(true);
  });

  it('the night of a clock change: a set of ten hours takes ten real hours', () => {
    const plan = planOf(
      facts(service([serving('cake', 'pear-icebox', '2026-10-25T09:00')], { crew: [{ ...early, hours: [{ days: DAILY, from: '00:00', to: '23:59' }] }] }), {
        now: minuteOf('2026-10-24T06:00', zone),
      }),
    );
    const soften = plan.tasks.find((t) => t.name === 'Soften overnight')!;
    expect(soften.end - soften.start).toBe(600);
    // On the clock only nine hours lie between, because one comes twice.
    expect(localTime(soften.start, zone) < '2026-10-24T23:59').toBe(true);
    expect(localTime(soften.end, zone).slice(0, 10)).toBe('2026-10-25');
  });
});

describe('moments that a kitchen plans in', () => {
  it('a year that is half typed is none: 2, 20 and 202 are refused at field, schema and core', () => {
    for (const year of ['0002', '0020', '0202', '1999', '2101', '9999']) {
      expect(minuteOf(`${year}-12-05T19:00`, zone)).toBeNaN();
      expect(ServiceSchema.safeParse(service([serving('cream', 'bay-leaf-chantilly', `${year}-12-05T19:00`)])).success).toBe(false);
    }
    for (const year of ['2000', '2026', '2100']) {
      expect(minuteOf(`${year}-12-05T19:00`, zone)).toBeGreaterThan(0);
      expect(ServiceSchema.safeParse(service([serving('cream', 'bay-leaf-chantilly', `${year}-12-05T19:00`)])).success).toBe(true);
    }
  });
  it('an event at no moment of a calendar is refused', () => {
    const skip = (at: number) => ProgressEventSchema.safeParse({ kind: 'skip', step: 1, key: 'a', title: 'A', at }).success;
    expect(skip(Date.UTC(2026, 1, 1))).toBe(true);
    for (const at of [8.64e15 + 1, 1e300, 1e16, -1, NaN]) expect(skip(at)).toBe(false);
  });
});

describe('while it runs', () => {
  const cream = service([serving('cream', 'bay-leaf-chantilly', '2026-11-25T12:00', { batchId: 'b' })]);
  const batch = (act: (p: Progress, keys: readonly string[], at: (min: number) => number) => Progress, sheetId = 'bay-leaf-chantilly', after = 90): SoFar => {
    const plan = batchPlan(sheets.get(sheetId)!, kitchen);
    if (!plan.ok) throw new Error(plan.fault.says);
    const startedAt = minuteOf('2026-11-25T10:30', zone) * 60_000;
    const keys = plan.value.steps.map((s) => s.key);
    return soFarOf(
      { status: 'running', startedAt, plan: plan.value, progress: act(freshProgress(), keys, (min) => startedAt + min * 60_000) },
      startedAt / 60_000 + after,
    );
  };
  const act = (p: Progress, event: ProgressEvent, at: number): Progress => withTimes(p, progressAfter(p, event), at);

  it('what is behind stays where it happened, what is left is planned from now', () => {
    const soFar = batch((p, keys, at) => act(act(p, { kind: 'go', step: 1, done: keys[0]! }, at(4)), { kind: 'go', step: 2, done: keys[1]! }, at(36)));
    const now = minuteOf('2026-11-25T11:10', zone);
    const plan = planOf(facts(cream, { batches: new Map([['cream', soFar]]), now }));
    const done = plan.tasks.filter((t) => t.done && t.kind === 'hands');
    expect(done.length).toBeGreaterThan(0);
    expect(done.every((t) => t.end <= now)).toBe(true);
    expect(plan.tasks.filter((t) => !t.done && !t.running && t.kind !== 'served').every((t) => t.start >= now)).toBe(true);
    expect(plan.servings[0]!.lateMin).toBe(0);
  });

  it('a mend of the step in hand moves what comes after it by its minutes', () => {
    const mend = (minutes: number) => ({
      kind: 'mend' as const,
      entry: {
        id: 'm1',
        at: 1e15,
        sign: 'grains',
        cause: 'past-firm',
        partId: 'p',
        kind: 'mend' as const,
        title: 'Stir in cream',
        adds: [],
        again: [],
        portions: null,
        use: null,
        minutes,
        rest: null,
        reopens: { keys: [], lines: [], step: null, whisked: false },
        helped: null,
      },
    });
    const now = minuteOf('2026-11-25T11:05', zone);
    const whisk = (p: Progress, keys: readonly string[], at: (min: number) => number): Progress =>
      act(
        act(act(p, { kind: 'go', step: 1, done: keys[0]! }, at(1)), { kind: 'go', step: 2, done: keys[1]! }, at(2)),
        { kind: 'timer-start', id: keys[2]!, name: 'x', seconds: null, at: at(3), by: 't' },
        at(3),
      );
    const from = batch(whisk);
    const later = (minutes: number): number => {
      const soFar = batch((p, keys, at) => act(whisk(p, keys, at), mend(minutes), at(4)));
      expect(soFar.mendMin).toBe(minutes);
      const plan = planOf(facts(cream, { batches: new Map([['cream', soFar]]), now }));
      return Math.min(...plan.tasks.filter((t) => !t.done && !t.running && t.kind === 'hands').map((t) => t.start));
    };
    expect(from.mendMin).toBe(0);
    const plain = Math.min(
      ...planOf(facts(cream, { batches: new Map([['cream', from]]), now }))
        .tasks.filter((t) => !t.done && !t.running && t.kind === 'hands')
        .map((t) => t.start),
    );
    // As late as it may be, half an hour lies between; what is longer moves it.
    expect(later(25)).toBe(plain);
    expect(later(55)).toBeGreaterThan(plain + 10);
  });

  it('a rest that a mend asks for is a wait of its own: what comes after its part waits for it, hands do not', () => {
    const cake = service([serving('cake', 'pear-icebox', '2026-11-26T20:15', { batchId: 'b' })]);
    const now = minuteOf('2026-11-25T11:30', zone);
    const upTo = (p: Progress, keys: readonly string[], at: (min: number) => number): Progress =>
      keys.slice(0, keys.indexOf('assembly.rest') + 1).reduce((q, key, i) => act(q, { kind: 'go', step: i + 1, done: key }, at(5 * i)), p);
    const rests = (min: number, more: object = {}, then: (p: Progress, at: (min: number) => number) => Progress = (p) => p): SoFar =>
      batch(
        (p, keys, at) =>
          then(
            act(
              upTo(p, keys, at),
              {
                kind: 'mend',
                entry: {
                  id: 'm1',
                  at: at(50),
                  sign: 'hard',
                  cause: 'too-soon',
                  partId: 'assembly',
                  kind: 'mend',
                  title: 'Leave it longer',
                  adds: [],
                  again: [],
                  portions: null,
                  use: null,
                  minutes: min + 20,
                  rest: { min, where: 'cold' },
                  reopens: { keys: [], lines: [], step: null, whisked: false },
                  helped: null,
                  ...more,
                },
              },
              at(50),
            ),
            at,
          ),
        'pear-icebox',
        60,
      );
    const began = minuteOf('2026-11-25T10:30', zone) + 50 + 20;
    const plan = (soFar: SoFar) => planOf(facts(cake, { batches: new Map([['cake', soFar]]), now }));
    const long = plan(rests(28 * 60));
    expect(long.tasks.find((t) => t.id === 'cake/mend/m1')).toMatchObject({
      kind: 'cold',
      name: 'Leave it longer',
      start: began,
      end: began + 28 * 60,
      running: true,
      because: 'a rescue: it rests in the cold',
    });
    // The pears are laid on the cake once it has rested; without it they came sooner.
    const crown = (p: ReturnType<typeof plan>): number =>
      Math.min(...p.tasks.filter((t) => !t.done && !t.running && t.kind === 'hands' && t.id.includes('assembly')).map((t) => t.start));
    expect(crown(long)).toBeGreaterThanOrEqual(began + 28 * 60);
    // Longer than until it is served: by which hour it would have had to begin, and what would do.
    const late = answerOf(facts(cake, { batches: new Map([['cake', rests(40 * 60)]]), now }));
    expect(late).toMatchObject({ ok: false, says: expect.stringMatching(/‘leave it longer’ would have to begin by Wed 04:15/) as string });
    // Over, known to have helped, or of what was lost since: no wait any more.
    const waits = (soFar: SoFar): number => soFar.mendRests.length;
    expect(waits(rests(28 * 60))).toBe(1);
    expect(waits(rests(5, { minutes: 5 }))).toBe(0);
    expect(waits(rests(28 * 60, { helped: true }))).toBe(0);
    expect(
      waits(rests(28 * 60, {}, (p, at) => act(p, { kind: 'mend', entry: { ...p.mends[0]!, id: 'm2', at: at(55), kind: 'discard', rest: null } }, at(55)))),
    ).toBe(0);
    expect(
      waits(rests(28 * 60, {}, (p, at) => act(p, { kind: 'mend', entry: { ...p.mends[0]!, id: 'm2', at: at(55), partId: 'pears', rest: null } }, at(55)))),
    ).toBe(1);
  });

  it('a fresh bowl is planned by its steps, which are to be done anew, and by no minutes besides', () => {
    const now = minuteOf('2026-11-25T11:05', zone);
    const begun = (p: Progress, keys: readonly string[], at: (min: number) => number): Progress =>
      act(act(p, { kind: 'go', step: 1, done: keys[0]! }, at(1)), { kind: 'go', step: 2, done: keys[1]! }, at(2));
    const anew = batch((p, keys, at) => {
      const done = begun(p, keys, at);
      const again = [{ lineId: 'm1-1', ingredientId: 'cream-36', name: 'cream', massG: 600 }];
      return act(
        done,
        {
          kind: 'mend',
          entry: {
            id: 'm1',
            at: 1e15,
            sign: 'butter',
            cause: 'past-firm',
            partId: 'p',
            kind: 'mend',
            title: 'A fresh bowl',
            adds: [],
            again,
            portions: null,
            use: null,
            minutes: 20,
            rest: null,
            reopens: { keys: [keys[0]!, keys[1]!], lines: [], step: 0, whisked: false },
            helped: null,
          },
        },
        at(4),
      );
    });
    expect(anew.mendMin).toBe(0);
    expect(anew.doneAt).toEqual({});
    const open = (soFar: SoFar): number =>
      planOf(facts(cream, { batches: new Map([['cream', soFar]]), now })).tasks.filter((t) => !t.done && t.kind === 'hands').length;
    expect(open(anew)).toBe(open(batch(begun)) + 2);
  });

  it('what rests has been put away, and the step after it is not in hand while it rests', () => {
    const upTo = (p: Progress, keys: readonly string[], at: (min: number) => number): Progress =>
      keys.slice(0, keys.indexOf('assembly.rest') + 1).reduce((q, key, i) => act(q, { kind: 'go', step: i + 1, done: key }, at(5 * i)), p);
    const cake = service([serving('cake', 'pear-icebox', '2026-11-26T20:15', { batchId: 'b' })]);
    const soFar = batch(upTo, 'pear-icebox', 60);
    expect(soFar.doneAt['assembly.put-away']).toBe(soFar.waitFrom['assembly.rest']);
    expect(soFar.step).toBeNull();
    const plan = planOf(facts(cake, { batches: new Map([['cake', soFar]]), now: minuteOf('2026-11-25T11:30', zone) }));
    expect(plan.notes).toEqual([]);
    expect(plan.tasks.find((t) => t.id === 'cake/assembly.rest/wait')?.running).toBe(true);
    expect(localTime(plan.tasks.find((t) => t.id === 'cake/pears.ready')!.start, zone).slice(0, 10)).toBe('2026-11-26');
    // Ten hours on it is soft, and what comes next may be in hand.
    expect(batch(upTo, 'pear-icebox', 45 + 600).step).toBe('pears.ready');
  });

  it('when the time no longer does, the serving is put off by as little as will do', () => {
    const soFar = batch((p, keys, at) => act(p, { kind: 'go', step: 1, done: keys[0]! }, at(4)));
    const plan = planOf(facts(cream, { batches: new Map([['cream', soFar]]), now: minuteOf('2026-11-25T11:58', zone) }));
    expect(plan.servings[0]!.lateMin).toBeGreaterThan(0);
    expect(plan.servings[0]!.lateMin).toBeLessThanOrEqual(60);
  });

  it('a wait that has run over is said, and no longer asked', () => {
    const whisked = batch((p, keys, at) =>
      keys.slice(0, keys.findIndex((k) => k.endsWith('whisk')) + 1).reduce((q, key, i) => act(q, { kind: 'go', step: i + 1, done: key }, at(4 + i)), p),
    );
    const plan = planOf(facts(cream, { batches: new Map([['cream', whisked]]), now: minuteOf('2026-11-25T11:20', zone) }));
    expect(plan.notes.join()).toMatch(/waits at most 20.min.*it has waited/);
  });
});

describe('what cannot be, and what would mend it', () => {
  const mendsOf = (f: ServiceFacts): readonly Mend[] => {
    const answer = answerOf(f);
    if (answer.ok) throw new Error('there is a plan');
    return [...tryMends(f, cache, answer.tasks)].flatMap((m) => (m ? [m] : []));
  };

  it('too little time: the chain is named, and each mend that is offered really works', () => {
    const f = facts(service([serving('semi', 'honey-semifreddo', '2026-11-27T19:00')]), { now: minuteOf('2026-11-27T13:00', zone) });
    expect(saysOf(f)).toMatch(/Buckwheat-honey semifreddo/);
    const mends = mendsOf(f);
    expect(mends.length).toBeGreaterThan(0);
    expect(mends.length).toBeLessThanOrEqual(3);
    for (const m of mends) expect(planService({ ...f, service: m.service }, cache)).toMatchObject({ ok: true, value: { ok: true } });
  });

  it('a serving in the past', () => {
    expect(planService(facts(service([serving('cream', 'bay-leaf-chantilly', '2026-11-24T12:00')])), cache)).toMatchObject({
      ok: false,
      fault: { says: expect.stringMatching(/was to be served at Tue 12:00, which is past/) as unknown },
    });
    // Beside others it is named and holds up none of them.
    const two = answerOf(facts(service([serving('cream', 'bay-leaf-chantilly', '2026-11-24T12:00'), serving('semi', 'honey-semifreddo', '2026-11-27T19:00')])));
    expect(two.ok).toBe(true);
    expect(two.left.map((l) => l.serving)).toEqual(['cream']);
  });

  it('no cooks', () => {
    const f = facts(service([serving('cream', 'bay-leaf-chantilly', '2026-11-27T12:00')], { crew: [] }));
    expect(saysOf(f)).toContain('Nobody is there');
    expect(mendsOf(f).map((m) => m.key)).toContain('cook');
  });

  it('two servings of one vessel', () => {
    const f = facts(
      service([
        serving('a', 'honey-semifreddo', '2026-11-27T19:00'),
        serving('b', 'honey-semifreddo', '2026-11-27T19:10'),
        serving('c', 'honey-semifreddo', '2026-11-27T19:20'),
      ]),
    );
    expect(saysOf(f)).toMatch(/There are only 2 × Terrine 1.2 L/);
  });

  it('a hold shorter than its chain', () => {
    const plan = planOf(facts(DINNER));
    const gap = plan.gaps.find((g) => g.from.startsWith('cake') && g.to === 'cake/served' && g.max !== null && g.max > 2000)!;
    const f = facts({ ...DINNER, gaps: { [`${gap.from}>${gap.to}`]: { min: 0, max: 120 } } });
    expect(saysOf(f)).toMatch(/what must happen meanwhile takes longer/);
  });

  it('a step longer than the day', () => {
    const f = facts({ ...DINNER, minutes: { 'cake/assembly.build': { minutes: 900 } } });
    expect(saysOf(f)).toMatch(/‘Build the layers’ \(Pear and black-tea icebox cake\) takes 15 h, longer than any cook is there/);
  });

  it('nothing served, a sheet that is gone', () => {
    expect(planService(facts(service([])), cache)).toMatchObject({ ok: false, fault: { code: 'empty' } });
    expect(planService(facts(service([serving('x', 'nobody', '2026-11-27T12:00')])), cache)).toMatchObject({ ok: false, fault: { code: 'nothing-there' } });
    const some = answerOf(facts(service([serving('x', 'nobody', '2026-11-27T12:00'), serving('y', 'bay-leaf-chantilly', '2026-11-27T12:00')])));
    expect(some.left).toEqual([{ serving: 'x', says: 'Its sheet is no longer in the kitchen.' }]);
  });
});

describe('made once', () => {
  const week = service([
    serving('a', 'sesame-fig-pudding', '2026-11-28T12:00'),
    serving('b', 'sesame-fig-pudding', '2026-11-28T18:00', { portions: 12 }),
    serving('c', 'plum-cheesecake', '2026-11-28T18:30'),
  ]);

  it('parts that are alike are found; a whipped cream that must wait too long is not offered', () => {
    const merges = tryMerges(facts(week), cache);
    const custard = merges.find((m) => m.part === 'Sesame custard')!;
    expect(custard.savesMin).toBeGreaterThan(0);
    // Nests are crowned at the pass, and their cream waits twenty minutes: not for two servings six hours apart.
    const nests = tryMerges(facts(service([serving('x', 'hazelnut-nest', '2026-11-28T13:00'), serving('y', 'hazelnut-nest', '2026-11-28T19:00')])), cache);
    expect(nests.find((m) => m.part === 'Coffee cream')).toMatchObject({ savesMin: null });
    const once = planOf(facts(madeOnce(week, custard.madeOf, true)));
    const apart = planOf(facts(week));
    expect(once.handsMin).toBeLessThan(apart.handsMin);
    expect(once.tasks.find((t) => t.servings.length === 2)?.because).toContain('made once for 2');
  });
});

it('how many: one more than it says does not go', () => {
  const f = facts(service([serving('semi', 'honey-semifreddo', '2026-11-27T19:00')]));
  const asking = tryCapacity(f, cache, 'semi');
  let step = asking.next();
  while (!step.done) step = asking.next();
  const found = step.value as Result<Capacity>;
  if (!found.ok) throw new Error(found.fault.says);
  const at = (portions: number) => planService(facts(service([serving('semi', 'honey-semifreddo', '2026-11-27T19:00', { portions })])), cache, 'possible');
  expect(at(found.value.portions)).toMatchObject({ ok: true, value: { ok: true } });
  expect(at(found.value.portions + 1)).toMatchObject({ ok: true, value: { ok: false } });
  expect(found.value.because).toContain('Terrine');
});

it('shopping over all desserts: summed, less what the larder has, eggs balanced', () => {
  const dishes = DINNER.servings.map((s) => {
    const dish = dishOf(sheets.get(s.sheetId)!, s, kitchen, cache);
    if (!dish.ok) throw new Error(dish.fault.says);
    return { name: s.sheetId, dish: dish.value };
  });
  const empty = serviceShopping(dishes, kitchen, [], '2026-11-27');
  const cream = empty.items.find((i) => i.ingredient.id === 'cream-36')!;
  expect(cream.neededG).toBeCloseTo(870, 6);
  expect(cream.uses.reduce((sum, u) => sum + u.massG, 0)).toBeCloseTo(cream.neededG, 9);
  const stocked = serviceShopping(
    dishes,
    kitchen,
    [
      { id: 'p', ingredientId: 'cream-36', sizeG: 1000, leftG: 600, bestBefore: null, lot: '' },
      { id: 'q', ingredientId: 'cream-36', sizeG: 1000, leftG: 900, bestBefore: '2026-11-20', lot: '' },
    ],
    '2026-11-27',
  ).items.find((i) => i.ingredient.id === 'cream-36')!;
  expect(stocked.inStockG).toBe(600);
  expect(stocked.toBuyG).toBeCloseTo(270, 6);
  expect(empty.eggs).toMatchObject({ eggs: 6, spareWhites: 6, spareYolks: 0 });
  expect(empty.vessels.find((v) => v.name === 'Terrine 1.2 L')).toMatchObject({ count: 1, onShelf: 2 });
});

it('whatever is read as a service is one, or refused in words', () => {
  fc.assert(
    fc.property(
      fc.jsonValue({ maxDepth: 3 }),
      fc.constantFrom('servings', 'crew', 'gaps', 'pins', 'zone', 'spareMin', 'together', 'minutes', 'from', 'name'),
      (value, field) => {
        for (const raw of [value, { ...DINNER, [field]: value }]) {
          const read = readServiceDoc(raw);
          if (read.ok) expect(planService(facts(read.value), cache, 'quick')).toBeDefined();
          else expect(read.fault.says.length).toBeGreaterThan(10);
        }
      },
    ),
    { numRuns: 150 },
  );
});

it('a service document is read or refused in words', () => {
  expect(readServiceDoc(JSON.parse(JSON.stringify(DINNER)))).toEqual({ ok: true, value: DINNER });
  for (const bad of [
    null,
    [],
    'x',
    { ...DINNER, zone: 'Harbour/Quay' },
    { ...DINNER, servings: [{ ...DINNER.servings[0], at: 'soon' }] },
    { ...DINNER, formatVersion: 2 },
  ]) {
    const read = readServiceDoc(bad);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.fault.says.length).toBeGreaterThan(10);
  }
});
