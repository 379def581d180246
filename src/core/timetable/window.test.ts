import { describe, expect, it } from 'vitest';
import { leadBounds } from './bounds';
import { chainsOf, heldBy } from './chain';
import { contradictionIn } from './contradiction';
import { planProject } from './plan';
import { compile, type Gap, type Project, type Task } from './project';
import { randomKitchen } from './proving/random-kitchen';
import { schedulingInstance } from './proving/scheduling-instance';
import { brokenBy } from './proving/check-plan';
import { fitAfter, fitBefore, windowsOf } from './window';

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
const gap = (from: string, to: string, min = 0, max: number | null = null): Gap => ({ from, to, min, max, says: '' });
const project = (tasks: readonly Task[], gaps: readonly Gap[], more: Partial<Project> = {}): Project => ({
  tasks,
  gaps,
  stays: [],
  machines: [],
  pools: [],
  goals: [{ serve: 'serve', tasks: tasks.map((t) => t.id) }],
  from: 0,
  ...more,
});
const serve = task('serve', 0, { at: 1000 });

describe('hours', () => {
  const open = [
    [100, 200],
    [300, 450],
  ] as const;
  it('the latest start that fits before, the soonest after', () => {
    expect([fitBefore(open, 500, 60), fitBefore(open, 380, 60), fitBefore(open, 299, 60), fitBefore(open, 299, 101), fitBefore(open, 99, 1)]).toEqual([
      390,
      380,
      140,
      -Infinity,
      -Infinity,
    ]);
    expect([fitAfter(open, 0, 60), fitAfter(open, 150, 60), fitAfter(open, 391, 60), fitAfter(open, 0, 120)]).toEqual([100, 300, Infinity, 300]);
  });
});

describe('windows', () => {
  it('are what gaps and hours leave of each task', () => {
    const found = windowsOf(
      compile(
        project([serve, task('a', 20, { oneOf: [['cook']] }), task('b', 30)], [gap('a', 'b', 10, 60), gap('b', 'serve', 5)], {
          machines: [
            {
              id: 'cook',
              name: '',
              open: [
                [0, 400],
                [500, 900],
              ],
            },
          ],
        }),
      ),
    );
    if (!found.ok) throw new Error('no windows');
    // b ends by 995, so begins by 965; a ends by 955 − …, but the cook leaves at 900.
    expect([...found.value.late]).toEqual([1000, 880, 960]);
    // Nothing is sooner than the plan begins, and b waits for a.
    expect([...found.value.soon]).toEqual([1000, 0, 30]);
  });

  it('no window of a planned task is left', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const p = randomKitchen(seed);
      const windows = windowsOf(compile(p));
      const planned = planProject(p);
      if (!planned.ok || !planned.value.ok) continue;
      if (!windows.ok) throw new Error(`seed ${seed}: planned without windows`);
      planned.value.plan.placed.forEach((x, i) => {
        expect(x.start).toBeLessThanOrEqual(windows.value.late[i]!);
        expect(x.start).toBeGreaterThanOrEqual(windows.value.soon[i]!);
      });
    }
  });

  it('a circle is found by its own gaps, and none where there is none', () => {
    const c = compile(project([serve, task('a', 5), task('b', 5), task('c', 5)], [gap('a', 'b'), gap('b', 'c', 30), gap('a', 'c', 0, 20)]));
    expect(contradictionIn(c)?.some((r) => r.kind === 'max' && r.gap === 2)).toBe(true);
    expect(contradictionIn(compile(project([serve, task('a', 5)], [gap('a', 'serve')])))).toBeNull();
  });
});

describe('lower bounds', () => {
  const bound = (p: Project): number => {
    const c = compile(p);
    const w = windowsOf(c);
    if (!w.ok) throw new Error('no windows');
    return leadBounds(c, w.value.late)[0]!;
  };
  it('by the path, by the hands, by a pool', () => {
    expect(bound(project([serve, task('a', 40), task('b', 50)], [gap('a', 'b', 10), gap('b', 'serve')]))).toBe(100);
    const hands = ['a', 'b', 'c'].map((id) => task(id, 30, { oneOf: [['x', 'y']] }));
    const gaps = hands.map((t) => gap(t.id, 'serve'));
    const machines = ['x', 'y'].map((id) => ({ id, name: id, open: null }));
    // Ninety minutes of hands for two: three quarters of an hour at least.
    expect(bound(project([serve, ...hands], gaps, { machines }))).toBe(45);
    expect(
      bound(
        project([serve, ...hands.map((t) => ({ ...t, oneOf: [], uses: [{ pool: 'p', amount: 2 }] }))], gaps, {
          pools: [{ id: 'p', name: '', capacity: 3, unit: '' }],
        }),
      ),
    ).toBe(60);
  });

  it('no generated project is planned below its bound, and its plan keeps every limit', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const p = schedulingInstance(seed, { tasks: 20, resources: 3, complexity: 1.5, factor: 0.5, strength: 0.6, maxima: 0.2 });
      const found = planProject(p);
      if (!found.ok || !found.value.ok) continue;
      expect(brokenBy(p, found.value.plan.placed)).toEqual([]);
      expect(found.value.plan.leads[0]!.minutes).toBeGreaterThanOrEqual(found.value.plan.leads[0]!.atLeast);
    }
  });
});

describe('why a task lies where it lies', () => {
  it('held by the next, by the cook’s next, by the end of the hours; the chain leads to serving', () => {
    const p = project(
      [serve, task('stir', 30, { oneOf: [['cook']] }), task('fill', 20, { oneOf: [['cook']] }), task('set', 100)],
      [gap('stir', 'serve', 0, null), gap('fill', 'set', 0, 0), gap('set', 'serve')],
      { machines: [{ id: 'cook', name: 'Cook', open: [[0, 900]] }] },
    );
    const found = planProject(p);
    if (!found.ok || !found.value.ok) throw new Error('no plan');
    const { placed } = found.value.plan;
    const held = heldBy(p, placed);
    const by = (id: string) => held[p.tasks.findIndex((t) => t.id === id)]!;
    expect(by('serve').by).toEqual([{ kind: 'fixed' }]);
    expect(by('set').by).toContainEqual({ kind: 'gap', task: 0, gap: 2 });
    expect(by('fill').by.map((h) => h.kind)).toContain('gap');
    // Of stirring and filling one ends when the other begins, the last when the cook leaves or the set must begin.
    expect(
      by('stir')
        .by.map((h) => h.kind)
        .some((k) => k === 'machine' || k === 'hours'),
    ).toBe(true);
    for (const [i, h] of held.entries()) {
      expect(h.slide.soonest).toBeLessThanOrEqual(placed[i]!.start);
      expect(h.slide.latest).toBeGreaterThanOrEqual(placed[i]!.start);
    }
    const chain = chainsOf(p, placed, held);
    expect(chain.has(0)).toBe(true);
    const first = Math.min(...placed.map((x) => x.start));
    expect([...chain].some((i) => placed[i]!.start === first)).toBe(true);
  });
});
