import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planProject, type Planned } from './plan';
import type { Gap, Project, Task } from './project';
import { brokenBy } from './proving/check-plan';
import { randomKitchen, shifted } from './proving/random-kitchen';
import { seededNumbers } from '../random';

const planned = (p: Project): Planned => {
  const found = planProject(p);
  if (!found.ok) throw new Error(found.fault.says);
  return found.value;
};
const task = (id: string, minutes: number, more: Partial<Task> = {}): Task => ({
  id,
  name: id,
  minutes,
  notBefore: null,
  at: null,
  oneOf: [],
  uses: [],
  ...more,
});
const gap = (from: string, to: string, min = 0, max: number | null = null): Gap => ({ from, to, min, max, says: `${from} before ${to}` });
const bare: Project = { tasks: [], gaps: [], stays: [], machines: [], pools: [], goals: [], from: 0 };

describe('over 2 000 random kitchens', () => {
  const KITCHENS = 2000;

  it('no limit, no gap and no hours are broken, and no lead is below its bound', () => {
    let plans = 0;
    for (let seed = 1; seed <= KITCHENS; seed++) {
      const project = randomKitchen(seed);
      const found = planned(project);
      if (!found.ok) continue;
      plans++;
      expect(brokenBy(project, found.plan.placed), `seed ${seed}`).toEqual([]);
      for (const l of found.plan.leads) expect(l.minutes, `seed ${seed}`).toBeGreaterThanOrEqual(l.atLeast);
    }
    // Most of them can be planned; else the rest of the test would say little.
    expect(plans).toBeGreaterThan(KITCHENS / 2);
  });

  it('everything a week later changes nothing', () => {
    const WEEK = 7 * 1440;
    for (let seed = 1; seed <= KITCHENS; seed += 4) {
      const project = randomKitchen(seed);
      const [a, b] = [planned(project), planned(shifted(project, WEEK))];
      expect(b.ok).toBe(a.ok);
      if (a.ok && b.ok) expect(b.plan.placed.map((p) => ({ ...p, start: p.start - WEEK }))).toEqual(a.plan.placed);
    }
  });

  it('one more cook or bowl never makes it worse', () => {
    for (let seed = 1; seed <= KITCHENS; seed += 2) {
      const project = randomKitchen(seed);
      const before = planned(project);
      const extra = seed % 4 === 1 ? 'cook' : 'bowl';
      const more = {
        id: `${extra}-more`,
        name: 'one more',
        open: extra === 'cook' ? [[480, 1320] as const, [1920, 2760] as const, [3360, 4200] as const] : null,
      };
      const after = planned({
        ...project,
        machines: [...project.machines, more],
        tasks: project.tasks.map((t) => ({ ...t, oneOf: t.oneOf.map((g) => (g[0]!.startsWith(extra) ? [...g, more.id] : g)) })),
      });
      if (!before.ok) continue;
      expect(after.ok, `seed ${seed}`).toBe(true);
      if (after.ok) expect(after.plan.worth.leadMin, `seed ${seed}`).toBeLessThanOrEqual(before.plan.worth.leadMin);
    }
  });

  it('a longer hold never makes it impossible', () => {
    for (let seed = 1; seed <= KITCHENS; seed += 2) {
      const project = randomKitchen(seed);
      if (!planned(project).ok) continue;
      const random = seededNumbers(seed);
      const longer = {
        ...project,
        gaps: project.gaps.map((g) => (g.max !== null && g.max > 0 && random() < 0.5 ? { ...g, max: g.max + 5 + Math.floor(random() * 200) } : g)),
      };
      expect(planned(longer).ok, `seed ${seed}`).toBe(true);
    }
  });
});

/** The best lead by trying every start of every task, later ones first, and every machine. */
function byHand(project: Project): number | null {
  const { tasks } = project;
  const last = Math.max(...tasks.map((t) => t.at ?? 0));
  let best: number | null = null;
  const placed: { start: number; machines: string[] }[] = [];
  const choose = (groups: readonly (readonly string[])[]): string[][] =>
    groups.reduce<string[][]>((all, g) => all.flatMap((chosen) => g.map((m) => [...chosen, m])), [[]]);
  const visit = (i: number): void => {
    if (i === tasks.length) {
      if (brokenBy(project, placed).length > 0) return;
      const start = (id: string): number => placed[tasks.findIndex((t) => t.id === id)]!.start;
      const lead = project.goals.reduce((sum, g) => sum + start(g.serve) - Math.min(start(g.serve), ...g.tasks.map(start)), 0);
      if (best === null || lead < best) best = lead;
      return;
    }
    const t = tasks[i]!;
    for (let start = t.at ?? last; start >= (t.at ?? project.from); start--) {
      for (const machines of choose(t.oneOf)) {
        placed.push({ start, machines });
        const so = {
          ...project,
          tasks: tasks.slice(0, i + 1),
          stays: project.stays.filter((s) => [s.from, s.until].every((id) => tasks.slice(0, i + 1).some((x) => x.id === id))),
          gaps: project.gaps.filter((g) => [g.from, g.to].every((id) => tasks.slice(0, i + 1).some((x) => x.id === id))),
        };
        if (brokenBy(so, placed).length === 0) visit(i + 1);
        placed.pop();
      }
    }
  };
  visit(0);
  return best;
}

/** A small project in a day of few minutes. */
function smallProject(seed: number): Project {
  const random = seededNumbers(seed);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const serve = whole(6, 10);
  const free = whole(2, 4);
  const tasks: Task[] = [task('serve', 0, { at: serve })];
  const gaps: Gap[] = [];
  const cooks = whole(1, 2);
  const hands = cooks === 1 ? ['a'] : ['a', 'b'];
  for (let i = 0; i < free; i++) {
    const kind = whole(0, 3);
    tasks.push(
      task(`t${i}`, whole(1, 3), {
        oneOf: kind < 2 ? [hands] : [],
        uses: kind === 2 ? [{ pool: 'p', amount: whole(1, 3), ...(random() < 0.4 ? { setting: `${whole(1, 2)}` } : {}) }] : [],
        notBefore: random() < 0.15 ? whole(0, 3) : null,
      }),
    );
    const to = i > 0 && random() < 0.5 ? `t${whole(0, i - 1)}` : 'serve';
    const min = whole(0, 2);
    gaps.push(gap(`t${i}`, to, min, random() < 0.4 ? min + whole(0, 3) : null));
  }
  const stays = free > 2 && random() < 0.4 ? [{ from: 't2', until: 't0', use: { pool: 'p', amount: 2 } }] : [];
  return {
    tasks,
    gaps,
    stays,
    machines: [
      {
        id: 'a',
        name: 'A',
        open:
          random() < 0.4
            ? [
                [0, whole(2, 4)],
                [whole(4, 5), serve],
              ]
            : null,
      },
      { id: 'b', name: 'B', open: random() < 0.5 ? [[whole(0, 3), serve]] : null },
    ],
    pools: [{ id: 'p', name: 'P', capacity: 3, unit: '' }],
    goals: [{ serve: 'serve', tasks: tasks.slice(1).map((t) => t.id) }],
    from: 0,
  };
}

describe('small projects', () => {
  it('are planned as well as by trying everything, and proved', () => {
    let possible = 0;
    for (let seed = 1; seed <= 400; seed++) {
      const project = smallProject(seed);
      const best = byHand(project);
      const found = planned(project);
      expect(found.ok, `seed ${seed}`).toBe(best !== null);
      if (!found.ok || best === null) continue;
      possible++;
      expect(brokenBy(project, found.plan.placed)).toEqual([]);
      expect(found.plan.worth.leadMin, `seed ${seed}`).toBe(best);
      expect(found.plan.proved).toBe(true);
    }
    expect(possible).toBeGreaterThan(100);
  });

  it('one mixer: two whisks lie one after the other, the fold right after the last', () => {
    const project: Project = {
      ...bare,
      tasks: [
        task('serve', 0, { at: 1200 }),
        task('yolks', 8, { oneOf: [['cook'], ['mixer']] }),
        task('cream', 5, { oneOf: [['cook'], ['mixer']] }),
        task('fold', 6, { oneOf: [['cook']] }),
      ],
      gaps: [gap('yolks', 'fold', 0, 15), gap('cream', 'fold', 0, 20), gap('fold', 'serve', 60, null)],
      machines: [
        { id: 'cook', name: 'Cook', open: null },
        { id: 'mixer', name: 'Mixer', open: null },
      ],
      goals: [{ serve: 'serve', tasks: ['yolks', 'cream', 'fold'] }],
    };
    const found = planned(project);
    expect(found.ok && found.plan.placed.map((p) => p.start)).toEqual([1200, 1121, 1129, 1134]);
    expect(found.ok && found.plan.leads).toEqual([{ minutes: 79, atLeast: 79 }]);
  });

  it('hands rest at night, a set does not', () => {
    const project: Project = {
      ...bare,
      tasks: [task('serve', 0, { at: 1440 + 600 }), task('fill', 20, { oneOf: [['cook']] }), task('set', 600)],
      gaps: [gap('fill', 'set', 0, 0), gap('set', 'serve')],
      machines: [
        {
          id: 'cook',
          name: 'Cook',
          open: [
            [480, 1140],
            [1440 + 480, 1440 + 1140],
          ],
        },
      ],
      goals: [{ serve: 'serve', tasks: ['fill', 'set'] }],
    };
    const found = planned(project);
    expect(found.ok && found.plan.placed.map((p) => p.start)).toEqual([2040, 1120, 1140]);
  });

  it('an oven of two shelves takes two trays at one heat, and one after the other at two', () => {
    const oven = (setting: string) => ({ uses: [{ pool: 'oven', amount: 1, setting }] });
    const starts = (second: string): readonly number[] => {
      const found = planned({
        ...bare,
        tasks: [task('serve', 0, { at: 300 }), task('one', 60, oven('100')), task('two', 60, oven(second))],
        gaps: [gap('one', 'serve'), gap('two', 'serve')],
        pools: [{ id: 'oven', name: 'Oven', capacity: 2, unit: 'shelf' }],
        goals: [{ serve: 'serve', tasks: ['one', 'two'] }],
      });
      return found.ok ? found.plan.placed.map((p) => p.start).sort((a, b) => a - b) : [];
    };
    expect(starts('100')).toEqual([240, 240, 300]);
    expect(starts('160')).toEqual([180, 240, 300]);
  });
});

describe('what cannot be', () => {
  const serve = task('serve', 0, { at: 600 });

  it('a circular wait names its tasks', () => {
    const found = planned({ ...bare, tasks: [serve, task('a', 5), task('b', 5)], gaps: [gap('a', 'b'), gap('b', 'a')] });
    expect(found.ok).toBe(false);
    if (!found.ok) expect(found.why).toMatchObject({ kind: 'circle', of: 'wait', tasks: expect.arrayContaining([1, 2]) as unknown });
  });

  it('a hold shorter than its chain', () => {
    const found = planned({
      ...bare,
      tasks: [serve, task('whisk', 5), task('chill', 40), task('fold', 5)],
      gaps: [gap('whisk', 'chill'), gap('chill', 'fold'), gap('whisk', 'fold', 0, 20)],
    });
    expect(found.ok).toBe(false);
    if (!found.ok) expect(found.why).toMatchObject({ kind: 'circle', of: 'hold', gap: 2 });
  });

  it('a step longer than anybody is there, no cooks, no time', () => {
    const cook = { id: 'cook', name: 'Cook', open: [[480, 540] as const] };
    const long = planned({ ...bare, tasks: [serve, task('stir', 90, { oneOf: [['cook']] })], gaps: [gap('stir', 'serve')], machines: [cook] });
    expect(!long.ok && long.why).toMatchObject({ kind: 'bad', task: 1, what: 'hours' });
    const none = planned({ ...bare, tasks: [serve, task('stir', 9, { oneOf: [[]] })], gaps: [] });
    expect(!none.ok && none.why).toMatchObject({ kind: 'bad', what: 'nobody', task: 1 });
    const late = planned({ ...bare, from: 500, tasks: [serve, task('set', 240)], gaps: [gap('set', 'serve')] });
    expect(!late.ok && late.why).toMatchObject({ kind: 'clash', clash: { task: 1 } });
  });

  it('two crowns at once by one cook', () => {
    const found = planned({
      ...bare,
      tasks: [serve, task('one', 20, { oneOf: [['cook']] }), task('two', 20, { oneOf: [['cook']] })],
      gaps: [gap('one', 'serve', 0, 10), gap('two', 'serve', 0, 10)],
      machines: [{ id: 'cook', name: 'Cook', open: null }],
    });
    expect(found.ok).toBe(false);
    if (!found.ok) expect(found.why.kind).toBe('stuck');
  });

  it('nothing fixed, twice the same name, half a minute: faults, not plans', () => {
    expect(planProject({ ...bare, tasks: [task('a', 5)] })).toMatchObject({ ok: false, fault: { code: 'nothing-fixed' } });
    expect(planProject({ ...bare, tasks: [serve, serve] })).toMatchObject({ ok: false, fault: { code: 'twice' } });
    expect(planProject({ ...bare, tasks: [serve, task('a', 1.5)] })).toMatchObject({ ok: false, fault: { code: 'minutes' } });
  });
});

it('the quick look keeps every limit too', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const project = randomKitchen(seed, { servings: 3, parts: 3 });
      const found = planProject(project, 'quick');
      expect(found.ok).toBe(true);
      if (found.ok && found.value.ok) expect(brokenBy(project, found.value.plan.placed)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});
