import type { Gap, Goal, Machine, Pool, Project, Stay, Stretch, Task } from '../project';
import { seededNumbers } from '../../random';

const DAY = 1440;

export interface KitchenSize {
  readonly servings: number;
  readonly cooks: number;
  readonly bowls: number;
  /** Parts of each dessert, besides putting it together. */
  readonly parts: number;
  readonly days: number;
}

/** A made-up kitchen's work: desserts of parts that are cooked, cooled, whisked, folded, filled, set and finished, by a seed. */
export function randomKitchen(seed: number, size: Partial<KitchenSize> = {}): Project {
  const random = seededNumbers(seed);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const chance = (p: number): boolean => random() < p;
  const days = size.days ?? whole(2, 3);
  const cooks = size.cooks ?? whole(1, 3);
  const bowls = size.bowls ?? whole(1, 2);
  const machines: Machine[] = [];
  for (let k = 0; k < cooks; k++) {
    const [from, to] = [whole(6, 11) * 60, whole(16, 22) * 60];
    const open: Stretch[] = [];
    for (let d = 0; d < days; d++) open.push([d * DAY + from, d * DAY + to]);
    machines.push({ id: `cook-${k + 1}`, name: `Cook ${k + 1}`, open });
  }
  for (let k = 0; k < bowls; k++) machines.push({ id: `bowl-${k + 1}`, name: `Bowl ${k + 1}`, open: null });
  const pools: Pool[] = [
    { id: 'fridge', name: 'Fridge', capacity: whole(20, 60), unit: 'L' },
    { id: 'oven', name: 'Oven', capacity: 2, unit: 'shelf' },
    { id: 'hob', name: 'Hob', capacity: whole(1, 2), unit: 'ring' },
  ];
  const hands = machines.filter((m) => m.id.startsWith('cook')).map((m) => m.id);
  const bowl = machines.filter((m) => m.id.startsWith('bowl')).map((m) => m.id);
  const tasks: Task[] = [];
  const gaps: Gap[] = [];
  const stays: Stay[] = [];
  const goals: Goal[] = [];
  const add = (id: string, minutes: number, more: Partial<Task> = {}): string => {
    tasks.push({ id, name: id, minutes, notBefore: null, at: null, oneOf: [], uses: [], ...more });
    return id;
  };
  const gap = (from: string, to: string, min = 0, max: number | null = null): void => void gaps.push({ from, to, min, max, says: `${from} to ${to}` });
  const servings = size.servings ?? whole(1, 2);
  for (let s = 0; s < servings; s++) {
    const serve = add(`serve-${s}`, 0, { at: (days - 1) * DAY + whole(18, 22) * 60 + 5 * whole(0, 11) });
    const first = tasks.length;
    const fill = add(`fill-${s}`, whole(5, 20), { oneOf: [hands] });
    const set = add(`set-${s}`, whole(30, 300));
    gap(fill, set, 0, 0);
    gap(set, serve, 0, chance(0.4) ? whole(60, 2000) : null);
    stays.push({ from: set, until: serve, use: { pool: 'fridge', amount: whole(3, 12) } });
    if (chance(0.6)) {
      const top = add(`top-${s}`, whole(3, 8), { oneOf: [hands] });
      gap(set, top);
      gap(top, serve, 0, whole(20, 60));
    }
    const parts = size.parts ?? whole(0, 2);
    for (let p = 0; p < parts; p++) {
      const kind = whole(0, 2);
      if (kind === 0) {
        const cook = add(`cook-${s}-${p}`, whole(8, 25), { oneOf: [hands], uses: [{ pool: 'hob', amount: 1 }] });
        const cool = add(`cool-${s}-${p}`, whole(30, 240));
        gap(cook, cool, 0, 0);
        gap(cool, fill, 0, chance(0.3) ? whole(600, 4000) : null);
      } else if (kind === 1) {
        const whisk = add(`whisk-${s}-${p}`, whole(4, 12), { oneOf: [hands, bowl] });
        gap(whisk, fill, 0, whole(10, 40));
      } else {
        const pipe = add(`pipe-${s}-${p}`, whole(5, 15), { oneOf: [hands] });
        const bake = add(`bake-${s}-${p}`, whole(40, 120), { uses: [{ pool: 'oven', amount: 1, setting: chance(0.5) ? '100' : '160' }] });
        gap(pipe, bake, 0, 15);
        gap(bake, fill);
      }
    }
    goals.push({ serve, tasks: tasks.slice(first).map((t) => t.id) });
  }
  return { tasks, gaps, stays, machines, pools, goals, from: 0 };
}

/** The same a number of minutes later. */
export function shifted(project: Project, by: number): Project {
  const later = <T extends number | null>(t: T): T => (t === null ? t : (t as number) + by) as T;
  return {
    ...project,
    from: project.from + by,
    tasks: project.tasks.map((t) => ({ ...t, at: later(t.at), notBefore: later(t.notBefore) })),
    machines: project.machines.map((m) => ({ ...m, open: m.open && m.open.map(([a, b]) => [a + by, b + by] as const) })),
  };
}
