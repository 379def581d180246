import { branchAndBound } from './exact';
import type { Compiled } from './project';
import { placeBackwards, type Schedule, type Stuck } from './serial';
import type { Windows } from './window';
import { isBetter, worthOf, type Worth } from './worth';
import { seededNumbers } from '../random';

/** How long to look: while something is dragged; until one plan is found; until it rests. */
export type Effort = 'quick' | 'possible' | 'thorough';

/** Up to so many tasks without a fixed time the search goes on to the proof. */
const PROVED_UP_TO = 10;
const MOST_NODES = 30_000;
const MOST_TURNS = 30;
/** While there is no plan yet. */
const MOST_TURNS_FIRST = 100;
/** So many orders without any plan, and it is given up. */
const MOST_STUCK = 16;
const SEED = 17;
const FEW_MORE = 6;
/** How far an order is shaken, min. */
const LEAST_SHAKE_MIN = 20;
const MOST_SHAKE_MIN = 600;

export interface Found {
  readonly best: Schedule | null;
  readonly worth: Worth | null;
  /** Whether no better one exists (or none at all). */
  readonly proved: boolean;
  /** The task that was stuck most often, and how; null where every order went through. */
  readonly stuck: Stuck | null;
}

/** How many orders are tried. */
const triesFor = (n: number, effort: Effort): number =>
  effort === 'quick' ? Math.max(2, Math.min(10, Math.round(450 / Math.max(1, n)))) : Math.max(MOST_STUCK, Math.min(100, Math.round(1800 / Math.max(1, n))));

/** A longest wait up to this ties two tasks closely, min. */
const CLOSE_MIN = 120;

/** Tasks that hang together by short longest waits: the number of a cluster by task. */
function clustersOf(c: Compiled): Int32Array {
  const root = Int32Array.from({ length: c.n }, (_, i) => i);
  const find = (i: number): number => {
    while (root[i] !== i) {
      root[i] = root[root[i]!]!;
      i = root[i]!;
    }
    return i;
  };
  for (const r of c.rules) {
    if (r.kind !== 'max' || !Number.isNaN(c.at[r.from]!) || !Number.isNaN(c.at[r.to]!)) continue;
    if (r.c - c.minutes[r.from]! <= CLOSE_MIN) root[find(r.from)] = find(r.to);
  }
  return Int32Array.from({ length: c.n }, (_, i) => find(i));
}

/** Where each cluster ends in a plan, by its number. */
function clusterEnds(plan: Schedule, cluster: Int32Array): Float64Array {
  const ends = new Float64Array(cluster.length).fill(-Infinity);
  for (let j = 0; j < cluster.length; j++) ends[cluster[j]!] = Math.max(ends[cluster[j]!]!, plan.starts[j]!);
  return ends;
}

/** The same plan with every task placed anew in the order of its starts, the last first: what gave way on the way slides back to as late as it can. */
function latestInOrder(c: Compiled, windows: Windows, plan: Schedule): Schedule {
  const order = Array.from({ length: c.n }, (_, i) => i).sort(
    (a, b) => Number(!Number.isNaN(c.at[b]!)) - Number(!Number.isNaN(c.at[a]!)) || plan.starts[b]! - plan.starts[a]! || a - b,
  );
  const again = placeBackwards(c, windows, order, 1);
  return again.ok && isBetter(worthOf(c, again.value.starts, windows.late), worthOf(c, plan.starts, windows.late)) ? again.value : plan;
}

/** How many of the tasks have no fixed time. */
const freeTasks = (c: Compiled): number => c.at.reduce((n, t) => n + (Number.isNaN(t) ? 1 : 0), 0);

/**
 * Looks for a plan: orders of placing by rules, then orders near the best one found (its tasks by their starts, shaken), a task that was stuck
 * coming sooner each time ('squeaky wheel', Joslin and Clements 1999); small projects are proved. Deterministic: no clock, a fixed seed.
 *
 * @param atLeastMin leads summed that no plan undercuts: once they are met only a few more orders are tried.
 */
export function search(c: Compiled, windows: Windows, effort: Effort, atLeastMin: number): Found {
  const random = seededNumbers(SEED);
  const boost = new Float64Array(c.n);
  let best: Schedule | null = null;
  let worth: Worth | null = null;
  let stuck: Stuck | null = null;
  const { late, soon } = windows;
  const order = (key: (i: number) => number): readonly number[] => {
    const keys = Float64Array.from({ length: c.n }, (_, i) => (Number.isNaN(c.at[i]!) ? key(i) + boost[i]! : Infinity));
    return Array.from({ length: c.n }, (_, i) => i).sort((a, b) => keys[b]! - keys[a]! || a - b);
  };
  const cluster = clustersOf(c);
  const clusterLate = new Float64Array(c.n).fill(-Infinity);
  for (let i = 0; i < c.n; i++) if (Number.isNaN(c.at[i]!)) clusterLate[cluster[i]!] = Math.max(clusterLate[cluster[i]!]!, late[i]! + c.minutes[i]!);
  // What hangs closely together is placed together, so that nothing else takes the hands between.
  const together = (i: number): number => clusterLate[cluster[i]!]! + cluster[i]! * 1e-3 + late[i]! * 1e-9;
  const rules: readonly ((i: number) => number)[] = [
    together,
    (i) => late[i]!,
    (i) => late[i]! + c.minutes[i]!,
    (i) => late[i]! - (late[i]! - soon[i]!) / 50,
    (i) => soon[i]! - late[i]!,
  ];
  let span = 0;
  for (let i = 0; i < c.n; i++) span = Math.max(span, late[i]! - soon[i]!);
  const shakes = Math.min(MOST_SHAKE_MIN, Math.max(LEAST_SHAKE_MIN, span / 8));
  const noise = (width: number): Float64Array => Float64Array.from({ length: c.n }, () => width * (random() - 0.5));
  /** The k-th order to try: by the rules first, then shaken, in turn by clusters and by single tasks, near the best plan where there is one. */
  const orderAt = (k: number, shake: number): readonly number[] => {
    const rule = rules[k];
    if (rule) return order(rule);
    const from = best;
    const shaken = noise(2 * shake);
    if (k % 2 === 1) {
      const ends = from && clusterEnds(from, cluster);
      return order((i) => (from && ends ? ends[cluster[i]!]! + from.starts[i]! * 1e-6 : together(i)) + shaken[cluster[i]!]!);
    }
    return from && k % 3 !== 0 ? order((i) => from.starts[i]! + c.minutes[i]! / 2 + shaken[i]! / 2) : order((i) => late[i]! + shaken[i]!);
  };
  const tries = triesFor(freeTasks(c), effort);
  let failed = 0;
  for (let k = 0; k < tries; k++) {
    if (worth && effort === 'possible') break;
    if (worth && worth.leadMin <= atLeastMin && (worth.earlyMin === 0 || k >= rules.length + FEW_MORE)) break;
    const shake = shakes * (0.1 + 0.9 * random());
    const found = placeBackwards(c, windows, orderAt(k, shake), worth ? MOST_TURNS : MOST_TURNS_FIRST);
    if (!found.ok) {
      if (!worth && ++failed >= MOST_STUCK) break;
      stuck = found.stuck;
      boost[found.stuck.task]! += 30 + shake;
      continue;
    }
    const settled = latestInOrder(c, windows, found.value);
    const here = worthOf(c, settled.starts, late);
    if (!worth || isBetter(here, worth)) {
      best = settled;
      worth = here;
    }
    // What begins first of a goal decides its lead: it may choose sooner next time.
    for (const g of c.goals) {
      let first = g.serve;
      for (const t of g.tasks) if (found.value.starts[t]! < found.value.starts[first]!) first = t;
      if (first !== g.serve) boost[first]! += shake / 4;
    }
  }
  // Nothing is better than what meets the bound and begins nothing early.
  if (worth && worth.leadMin <= atLeastMin && worth.earlyMin === 0) return { best, worth, proved: true, stuck };
  if (freeTasks(c) > PROVED_UP_TO) return { best, worth, proved: false, stuck };
  const exact = branchAndBound(c, late, best, MOST_NODES);
  return { best: exact.best, worth: exact.best && worthOf(c, exact.best.starts, late), proved: exact.proved, stuck };
}
