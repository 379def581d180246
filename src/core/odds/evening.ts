import type { PlannedGap, PlannedTask, ServicePlan } from '../timetable/service-plan';
import { RESOURCE } from '../timetable/service-project';
import { GRACE_MIN, WISHED_CHANCE, type Strays } from './house';
import { straysOf } from './strays';

/** What becomes of one serving over many evenings. */
export interface ServingOdds {
  readonly id: string;
  readonly name: string;
  /** Share of evenings in which it is served in time. */
  readonly inTime: number;
  /** Share in which it is served in time and nothing that it needs has waited longer than its limit. */
  readonly clean: number;
  /** How far both may be off, two standard errors. */
  readonly error: number;
  /** Served so many minutes late in the wished share of evenings, at the most; 0 where it is in time that often. */
  readonly soonerMin: number;
  /** The task that makes it late most often, and in which share of the late evenings; null where it is never late. */
  readonly weak: { readonly task: string; readonly share: number } | null;
}

export interface EveningOdds {
  readonly evenings: number;
  readonly servings: readonly ServingOdds[];
}

/** Evenings whose every time follows from its number and the task's name: two plans meet the same evenings, so that they compare fairly. */
export const EVENINGS = 2000;
const SEED = 20_261_127;

/** A number from 0 to 1 for an evening and a task: 32-bit mixing (the finalizer of MurmurHash3, public domain). */
function uniform(evening: number, name: number, salt: number): number {
  let h = (Math.imul(evening + 1, 0x9e3779b1) ^ Math.imul(name, 0x85ebca6b) ^ Math.imul(salt + 1, 0xc2b2ae35) ^ SEED) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (((h ^ (h >>> 16)) >>> 0) + 0.5) / 4_294_967_296;
}

/** A name as a number: FNV-1a. */
function numberOf(name: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < name.length; i++) h = Math.imul(h ^ name.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/** A standard normal number for an evening and a task (Box and Muller 1958). */
const normal = (evening: number, name: number): number =>
  Math.sqrt(-2 * Math.log(uniform(evening, name, 0))) * Math.cos(2 * Math.PI * uniform(evening, name, 1));

interface Link {
  readonly from: number;
  readonly min: number;
}

/** What a task waits for in every evening: the gaps of the plan, and whoever or whatever it shares a cook, a bowl or an oven with, in the plan's order. */
function linksOf(tasks: readonly PlannedTask[], gaps: readonly PlannedGap[]): readonly (readonly Link[])[] {
  const index = new Map(tasks.map((t, i) => [t.id, i]));
  const links: Link[][] = tasks.map(() => []);
  for (const g of gaps) {
    const [from, to] = [index.get(g.from), index.get(g.to)];
    // A breathing space before the table is what an evening eats up first.
    if (from !== undefined && to !== undefined) links[to]!.push({ from, min: tasks[to]!.kind === 'served' ? 0 : g.min });
  }
  const last = new Map<string, number>();
  const order = tasks.map((_, i) => i).sort((a, b) => tasks[a]!.start - tasks[b]!.start || tasks[a]!.end - tasks[b]!.end);
  for (const i of order) {
    for (const lane of tasks[i]!.lanes) {
      if (!lane.startsWith(RESOURCE.COOK) && !lane.startsWith(RESOURCE.MIXER)) continue;
      const before = last.get(lane);
      if (before !== undefined) links[i]!.push({ from: before, min: 0 });
      last.set(lane, i);
    }
  }
  return links;
}

/** Tasks in an order in which each comes after all that it waits for; the plan's own order keeps every link. */
const inOrder = (tasks: readonly PlannedTask[]): readonly number[] =>
  tasks
    .map((_, i) => i)
    .sort(
      (a, b) => tasks[a]!.start - tasks[b]!.start || tasks[a]!.end - tasks[b]!.end || Number(tasks[a]!.kind === 'served') - Number(tasks[b]!.kind === 'served'),
    );

/**
 * The odds of a plan: the evening many times over. Each task takes its planned minutes times a log-normal number; it begins at its planned
 * time, or as soon after as what it waits for is over; hands and bowls keep the plan's order. Nothing is begun sooner than planned. What has
 * happened stands.
 *
 * @param evenings how many; each chance is within `error` in 19 of 20 such counts.
 * @param strays how a task strays; the house's by default.
 */
export function eveningOdds(
  plan: Pick<ServicePlan, 'tasks' | 'gaps' | 'servings'>,
  evenings = EVENINGS,
  strays: (t: PlannedTask) => Strays = straysOf,
): EveningOdds {
  const { tasks, gaps } = plan;
  const links = linksOf(tasks, gaps);
  const order = inOrder(tasks);
  const n = tasks.length;
  const names = tasks.map((t) => numberOf(t.id));
  const spread = tasks.map(strays);
  const planned = tasks.map((t) => t.end - t.start - t.marginMin);
  const index = new Map(tasks.map((t, i) => [t.id, i]));
  const limits = gaps.flatMap((g) =>
    g.max === null || !index.has(g.from) || !index.has(g.to) ? [] : [{ from: index.get(g.from)!, to: index.get(g.to)!, max: g.max }],
  );
  const served = plan.servings.flatMap((s) => {
    const at = tasks.findIndex((t) => t.kind === 'served' && t.servings.includes(s.id));
    return at < 0 ? [] : [{ id: s.id, name: s.name, at, limits: limits.filter((l) => tasks[l.to]!.servings.includes(s.id)) }];
  });
  const late: Float64Array[] = served.map(() => new Float64Array(evenings));
  const clean = served.map(() => 0);
  const weak = served.map(() => new Map<number, number>());
  const start = new Float64Array(n);
  const end = new Float64Array(n);
  const held = new Int32Array(n);
  for (let e = 0; e < evenings; e++) {
    for (const i of order) {
      const t = tasks[i]!;
      start[i] = t.start;
      held[i] = -1;
      for (const l of links[i]!) {
        if (end[l.from]! + l.min <= start[i]!) continue;
        start[i] = end[l.from]! + l.min;
        held[i] = l.from;
      }
      const s = spread[i]!;
      end[i] = start[i]! + (planned[i] === 0 ? 0 : planned[i]! * s.median * Math.exp(s.sd === 0 ? 0 : s.sd * normal(e, names[i]!)));
    }
    served.forEach((s, k) => {
      late[k]![e] = start[s.at]! - tasks[s.at]!.start;
      const inTime = late[k]![e]! <= GRACE_MIN;
      if (inTime && s.limits.every((l) => start[l.to]! - end[l.from]! <= Math.max(l.max, tasks[l.to]!.start - tasks[l.from]!.end) + GRACE_MIN))
        clean[k] = clean[k]! + 1;
      if (!inTime) blame(s.at, weak[k]!, held, (i) => end[i]! - start[i]! - planned[i]!);
    });
  }
  return {
    evenings,
    servings: served.map((s, k): ServingOdds => {
      const inTime = late[k]!.reduce((sum, l) => sum + Number(l <= GRACE_MIN), 0) / evenings;
      const sorted = late[k]!.toSorted((a, b) => a - b);
      const atWish = sorted[Math.min(evenings - 1, Math.ceil(WISHED_CHANCE * evenings) - 1)]!;
      const worst = [...weak[k]!].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0];
      const lateOnes = evenings * (1 - inTime);
      return {
        id: s.id,
        name: s.name,
        inTime,
        clean: clean[k]! / evenings,
        error: 2 * Math.sqrt(Math.max(inTime * (1 - inTime), 1 / evenings) / evenings),
        soonerMin: Math.max(0, Math.ceil(atWish - GRACE_MIN)),
        weak: worst && lateOnes > 0 ? { task: tasks[worst[0]]!.id, share: worst[1] / lateOnes } : null,
      };
    }),
  };
}

/** Of the chain that made a serving late, the task that took the most longer than planned. */
function blame(from: number, counts: Map<number, number>, held: Int32Array, over: (i: number) => number): void {
  let worst = -1;
  for (let i = held[from]!; i >= 0; i = held[i]!) if (worst < 0 || over(i) > over(worst)) worst = i;
  if (worst >= 0) counts.set(worst, (counts.get(worst) ?? 0) + 1);
}
