/**
 * A project is what the planner sees of a kitchen's work: tasks with minimal and maximal gaps, and what they need. All times are whole
 * minutes since 1970 (any origin would do: only differences count), all durations whole minutes.
 */

/** From a minute, up to and without another. */
export type Stretch = readonly [from: number, to: number];

/** Somebody or something that does one thing at a time: a cook, a mixer with its bowl. */
export interface Machine {
  readonly id: string;
  readonly name: string;
  /** When it is there, in order and without overlaps; null for always. */
  readonly open: readonly Stretch[] | null;
}

/** Something of which several tasks take a share at once: litres of a fridge, shelves of an oven, rings of a hob, tins of one kind. */
export interface Pool {
  readonly id: string;
  readonly name: string;
  readonly capacity: number;
  /** What its shares are counted in: 'L', 'shelf'; '' for pieces. */
  readonly unit: string;
}

export interface PoolUse {
  readonly pool: string;
  /** At least 0; with 0 only the setting counts. */
  readonly amount: number;
  /** Two uses with different settings (an oven's temperature) exclude each other, whatever the capacity. */
  readonly setting?: string;
}

export interface Task {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  /** Begins no sooner. */
  readonly notBefore: number | null;
  /** Begins exactly then: pinned, served, or already begun. */
  readonly at: number | null;
  /** One of each group is needed for the whole task, e.g. one of the cooks and the one planetary mixer. */
  readonly oneOf: readonly (readonly string[])[];
  readonly uses: readonly PoolUse[];
  /** How much a minute too early weighs: 1 where nothing is said, more for what loses by waiting. */
  readonly weight?: number;
}

/** From the end of one task to the start of another: at least `min` minutes, at most `max`. */
export interface Gap {
  readonly from: string;
  readonly to: string;
  readonly min: number;
  readonly max: number | null;
  /** In words, for when it cannot be kept: 'whipped cream waits at most 20 min for its fold'. */
  readonly says: string;
}

/** A share of a pool that is taken from the start of one task until another begins: a tin in the fridge until it is called. */
export interface Stay {
  readonly from: string;
  readonly until: string;
  readonly use: PoolUse;
}

/** What is wished of a plan: that nothing of `tasks` begins longer before `serve` than it must. */
export interface Goal {
  /** The task that serving is. */
  readonly serve: string;
  readonly tasks: readonly string[];
}

export interface Project {
  readonly tasks: readonly Task[];
  readonly gaps: readonly Gap[];
  readonly stays: readonly Stay[];
  readonly machines: readonly Machine[];
  readonly pools: readonly Pool[];
  readonly goals: readonly Goal[];
  /** Nothing begins before it (now, or the beginning of the plan). */
  readonly from: number;
}

/** Where a task came to lie. */
export interface Placed {
  readonly start: number;
  /** Which machine of each group it has. */
  readonly machines: readonly string[];
}

/** A project ready to be planned: everything by number. Built once, read by every search. */
export interface Compiled {
  readonly project: Project;
  readonly n: number;
  readonly minutes: Int32Array;
  readonly notBefore: Float64Array;
  /** NaN where it is free. */
  readonly at: Float64Array;
  readonly weight: Float64Array;
  /** Groups of machine numbers. */
  readonly oneOf: readonly (readonly (readonly number[])[])[];
  readonly uses: readonly (readonly { readonly pool: number; readonly amount: number; readonly setting: string | null }[])[];
  /** x[to] may be at most x[from] + c: rows of (from, to, c), both kinds of gap. */
  readonly rules: readonly Rule[];
  /** The same as flat pairs: by the task that a rule reads (to, c), by the task that it bounds (from, c). */
  readonly out: readonly Float64Array[];
  readonly into: readonly Float64Array[];
  readonly stays: readonly { readonly from: number; readonly until: number; readonly pool: number; readonly amount: number; readonly setting: string | null }[];
  readonly staysOf: readonly (readonly number[])[];
  readonly goals: readonly { readonly serve: number; readonly tasks: readonly number[] }[];
}

/** start(to) ≤ start(from) + c. */
export interface Rule {
  readonly from: number;
  readonly to: number;
  readonly c: number;
  /** Which gap it comes of, and which end of it. */
  readonly gap: number;
  readonly kind: 'min' | 'max';
}

/** Puts numbers in the place of names. Gaps, stays and goals of tasks that are not there are left out. */
export function compile(project: Project): Compiled {
  const number = new Map(project.tasks.map((t, i) => [t.id, i]));
  const machine = new Map(project.machines.map((m, i) => [m.id, i]));
  const pool = new Map(project.pools.map((p, i) => [p.id, i]));
  const n = project.tasks.length;
  const rules: Rule[] = [];
  project.gaps.forEach((g, gap) => {
    const a = number.get(g.from);
    const b = number.get(g.to);
    if (a === undefined || b === undefined) return;
    const d = project.tasks[a]!.minutes;
    rules.push({ from: b, to: a, c: -(d + g.min), gap, kind: 'min' });
    if (g.max !== null) rules.push({ from: a, to: b, c: d + g.max, gap, kind: 'max' });
  });
  const out: number[][] = Array.from({ length: n }, () => []);
  const into: number[][] = Array.from({ length: n }, () => []);
  for (const r of rules) {
    out[r.from]!.push(r.to, r.c);
    into[r.to]!.push(r.from, r.c);
  }
  const useOf = (u: PoolUse) => ({ pool: pool.get(u.pool)!, amount: u.amount, setting: u.setting ?? null });
  const known = (u: PoolUse): boolean => pool.has(u.pool);
  const stays = project.stays
    .filter((s) => number.has(s.from) && number.has(s.until) && known(s.use))
    .map((s) => ({ from: number.get(s.from)!, until: number.get(s.until)!, ...useOf(s.use) }));
  const staysOf: number[][] = Array.from({ length: n }, () => []);
  stays.forEach((s, i) => {
    staysOf[s.from]!.push(i);
    if (s.until !== s.from) staysOf[s.until]!.push(i);
  });
  return {
    project,
    n,
    minutes: Int32Array.from(project.tasks, (t) => t.minutes),
    notBefore: Float64Array.from(project.tasks, (t) => Math.max(project.from, t.notBefore ?? -Infinity)),
    at: Float64Array.from(project.tasks, (t) => t.at ?? NaN),
    weight: Float64Array.from(project.tasks, (t) => t.weight ?? 1),
    oneOf: project.tasks.map((t) => t.oneOf.map((group) => group.flatMap((m) => (machine.has(m) ? [machine.get(m)!] : [])))),
    uses: project.tasks.map((t) => t.uses.filter(known).map(useOf)),
    rules,
    out: out.map((row) => Float64Array.from(row)),
    into: into.map((row) => Float64Array.from(row)),
    stays,
    staysOf,
    goals: project.goals.flatMap((g) =>
      number.has(g.serve) ? [{ serve: number.get(g.serve)!, tasks: g.tasks.flatMap((t) => (number.has(t) ? [number.get(t)!] : [])) }] : [],
    ),
  };
}
