import type { Gap, Pool, Project, Task } from '../project';
import { seededNumbers } from '../../random';

export interface InstanceRecipe {
  readonly tasks: number;
  readonly resources: number;
  /** Successors a task has on average. */
  readonly complexity: number;
  /** Share of the resources that a task uses, 0–1. */
  readonly factor: number;
  /** 0 for as scarce as the largest demand allows, 1 for as much as the earliest schedule asks. */
  readonly strength: number;
  /** Share of the tasks that another must follow within a longest gap, 0–1. */
  readonly maxima: number;
}

/** When all must be done, min: far enough for any order of the tasks. */
const HORIZON = 2000;

/**
 * A scheduling project of the form in which the literature compares procedures: tasks of 1 to 10 units with 1 to 10 units of each resource that
 * they use, a network of a chosen complexity, resource factor and resource strength (the recipe of ProGen: Kolisch, Sprecher and Drexl,
 * Management Science 41, 1995, pp. 1693–1703), and longest gaps between tasks that are linked by a path, as long as that path and somewhat
 * more (after ProGen/max: Schwindt, 1995). Read backwards: everything is to be done by one moment, the makespan is the lead.
 */
export function schedulingInstance(seed: number, r: InstanceRecipe): Project {
  const random = seededNumbers(seed);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const n = r.tasks;
  const demand: number[][] = [];
  const tasks: Task[] = [{ id: 'end', name: 'end', minutes: 0, notBefore: null, at: HORIZON, oneOf: [], uses: [] }];
  for (let i = 0; i < n; i++) {
    const uses = Array.from({ length: r.resources }, () => (random() < r.factor ? whole(1, 10) : 0));
    if (!uses.some((u) => u > 0)) uses[whole(0, r.resources - 1)] = whole(1, 10);
    demand.push(uses);
    tasks.push({
      id: `t${i}`,
      name: `t${i}`,
      minutes: whole(1, 10),
      notBefore: null,
      at: null,
      oneOf: [],
      uses: uses.flatMap((amount, k) => (amount > 0 ? [{ pool: `r${k}`, amount }] : [])),
    });
  }
  const minutes = (i: number): number => tasks[i + 1]!.minutes;
  // Every task but the first few has one before it, every one but the last few one after it; then more links up to the complexity.
  const follows = new Set<string>();
  const before = (i: number, j: number): void => void follows.add(`${i}>${j}`);
  const START = 3;
  for (let j = START; j < n; j++) before(whole(Math.max(0, j - 8), j - 1), j);
  for (let i = 0; i < n - START; i++) if (![...follows].some((f) => f.startsWith(`${i}>`))) before(i, whole(i + 1, Math.min(n - 1, i + 8)));
  for (let tries = 0; follows.size < r.complexity * n && tries < 50 * n; tries++) {
    const i = whole(0, n - 2);
    before(i, whole(i + 1, Math.min(n - 1, i + 10)));
  }
  const links = [...follows].map((f) => f.split('>').map(Number) as [number, number]).sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const gaps: Gap[] = links.map(([i, j]) => ({ from: `t${i}`, to: `t${j}`, min: 0, max: null, says: '' }));
  for (let i = 0; i < n; i++) gaps.push({ from: `t${i}`, to: 'end', min: 0, max: null, says: '' });
  // Longest path from the end of one to the start of another, for the longest gaps.
  const path = (from: number): number[] => {
    const dist = new Array<number>(n).fill(-1);
    dist[from] = 0;
    for (const [i, j] of links) if (dist[i]! >= 0) dist[j] = Math.max(dist[j]!, dist[i]! + minutes(i));
    return dist.map((d) => d - minutes(from));
  };
  for (let i = 0; i < n; i++) {
    if (random() >= r.maxima) continue;
    const reach = path(i).flatMap((d, j) => (d >= 0 && j !== i ? [j] : []));
    if (reach.length === 0) continue;
    const j = reach[whole(0, reach.length - 1)]!;
    gaps.push({ from: `t${i}`, to: `t${j}`, min: 0, max: path(i)[j]! + whole(5, 25), says: '' });
  }
  const soon = new Array<number>(n).fill(0);
  for (const [i, j] of links) soon[j] = Math.max(soon[j]!, soon[i]! + minutes(i));
  const pools: Pool[] = Array.from({ length: r.resources }, (_, k) => {
    const least = Math.max(...demand.map((d) => d[k]!));
    let most = 0;
    for (let t = 0; t < HORIZON; t++) {
      let load = 0;
      for (let i = 0; i < n; i++) if (soon[i]! <= t && t < soon[i]! + minutes(i)) load += demand[i]![k]!;
      if (load === 0 && t > Math.max(...soon) + 10) break;
      most = Math.max(most, load);
    }
    return { id: `r${k}`, name: `r${k}`, capacity: Math.round(least + r.strength * Math.max(0, most - least)), unit: '' };
  });
  return { tasks, gaps, stays: [], machines: [], pools, goals: [{ serve: 'end', tasks: tasks.slice(1).map((t) => t.id) }], from: 0 };
}
