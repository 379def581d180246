import { fail, ok, type Result } from '../result';
import { leadBounds } from './bounds';
import { contradictionIn } from './contradiction';
import { placedOf } from './ledger';
import { compile, type Compiled, type Placed, type Project } from './project';
import { search, type Effort } from './search';
import type { Schedule, Stuck } from './serial';
import { windowsOf, withinHours, type Clash, type Windows } from './window';
import { isBetter, leadOf, worthOf, type Worth } from './worth';

/** A plan: when everything begins, who does it, and how near the best possible it is. */
export interface Plan {
  /** By task, in the project's order. */
  readonly placed: readonly Placed[];
  /** Latest starts that gaps and hours allow, were nobody else there. */
  readonly late: readonly number[];
  readonly worth: Worth;
  /** By goal: minutes from the first start to serving, and the fewest that any plan can have. */
  readonly leads: readonly { readonly minutes: number; readonly atLeast: number }[];
  /** Whether it is proved that there is no better. */
  readonly proved: boolean;
}

/** Why there is no plan, for words to be made of. */
export type NoPlan =
  | { readonly kind: 'bad'; readonly task: number; readonly what: 'nobody' | 'hours' }
  /** A circle of gaps: all waits for another ('wait'), or something held for less than the chain meanwhile takes ('hold'). */
  | { readonly kind: 'circle'; readonly of: 'wait' | 'hold'; readonly tasks: readonly number[]; readonly gap: number }
  | { readonly kind: 'clash'; readonly clash: Clash }
  | { readonly kind: 'stuck'; readonly stuck: Stuck };

export type Planned = { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly why: NoPlan };

/** A few sizes that nobody means and nothing here could work through. */
const MOST_TASKS = 2000;

/** Checks what the types cannot: whole minutes, amounts that are none, names that are there twice. */
function checked(project: Project): Result<Project> {
  const ids = new Set<string>();
  for (const t of project.tasks) {
    if (ids.has(t.id)) return fail('tasks', 'twice', `There are two tasks called ${t.id}.`);
    ids.add(t.id);
    if (!Number.isInteger(t.minutes) || t.minutes < 0)
      return fail('tasks', 'minutes', `${t.name} takes ${t.minutes} min: it must be whole minutes, none at least.`);
    if (t.uses.some((u) => !(u.amount >= 0))) return fail('tasks', 'amount', `${t.name} takes less than nothing of something.`);
  }
  if (project.tasks.length > MOST_TASKS) return fail('tasks', 'many', `That is ${project.tasks.length} tasks; at most ${MOST_TASKS} are planned at once.`);
  for (const g of project.gaps)
    if (!Number.isInteger(g.min) || (g.max !== null && (!Number.isInteger(g.max) || g.max < g.min)))
      return fail('gaps', 'minutes', `${g.says || 'A gap'}: at least ${g.min}, at most ${g.max} min cannot be kept.`);
  if (!Number.isFinite(project.from)) return fail('from', 'missing', 'The plan has no beginning.');
  if (!project.tasks.some((t) => t.at !== null)) return fail('tasks', 'nothing-fixed', 'Nothing has a fixed time: there is nothing to count back from.');
  return ok(project);
}

/** The groups of which one must be chosen, each once. */
const choices = (c: Compiled): readonly string[] => [...new Set(c.oneOf.flatMap((groups) => groups.flatMap((g) => (g.length > 1 ? [g.join(',')] : []))))];

/** Every combination of 'the first k of this group'. */
function prefixes(c: Compiled): readonly Compiled[] {
  let all: readonly Compiled[] = [c];
  for (const key of choices(c)) {
    const size = key.split(',').length;
    all = all.flatMap((base) =>
      Array.from({ length: size }, (_, k) => ({
        ...base,
        oneOf: base.oneOf.map((groups) => groups.map((g) => (g.join(',') === key ? g.slice(0, k + 1) : g))),
      })),
    );
  }
  return all;
}

/**
 * Plans a project backwards: every task as late as it can be, the shortest lead before each serving first. Each smaller kitchen (the first
 * cook alone, the first two …) is searched too, so that one more cook or bowl never makes the plan worse; the shorter looks leave that out.
 *
 * @returns a fault for a project that cannot be read (no whole minutes, two tasks of one name, nothing fixed, too many tasks).
 */
export function planProject(project: Project, effort: Effort = 'thorough'): Result<Planned> {
  const valid = checked(project);
  if (!valid.ok) return valid;
  const c = compile(project);
  const nobody = c.oneOf.findIndex((groups) => groups.some((g) => g.length === 0));
  if (nobody >= 0) return ok({ ok: false, why: { kind: 'bad', task: nobody, what: 'nobody' } });
  // Longer than any of those who could do it is ever there.
  const tooLong = c.oneOf.findIndex((groups, i) => Number.isNaN(c.at[i]!) && withinHours(c, i, Number.MAX_SAFE_INTEGER) === -Infinity && groups.length > 0);
  if (tooLong >= 0) return ok({ ok: false, why: { kind: 'bad', task: tooLong, what: 'hours' } });
  const circle = contradictionIn(c);
  if (circle) {
    const hold = circle.find((r) => r.kind === 'max');
    return ok({
      ok: false,
      why: { kind: 'circle', of: hold ? 'hold' : 'wait', tasks: [...new Set(circle.flatMap((r) => [r.from, r.to]))], gap: (hold ?? circle[0]!).gap },
    });
  }
  const whole = windowsOf(c);
  if (!whole.ok) return ok({ ok: false, why: { kind: 'clash', clash: whole.clash } });
  const bounds = leadBounds(c, whole.value.late);
  const atLeastMin = bounds.reduce((sum, b) => sum + b, 0);
  let best: Schedule | null = null;
  let worth: Worth | null = null;
  let proved = false;
  let stuck: Stuck | null = null;
  for (const smaller of effort === 'thorough' ? prefixes(c) : [c]) {
    const windows: { readonly ok: true; readonly value: Windows } | { readonly ok: false } = windowsOf(smaller);
    if (!windows.ok) continue;
    const found = search(smaller, windows.value, effort, atLeastMin);
    // The whole kitchen comes last: what it says of proof and of what is stuck stands.
    proved = found.proved;
    stuck = found.stuck;
    if (!found.best) continue;
    const here = worthOf(c, found.best.starts, whole.value.late);
    if (!worth || isBetter(here, worth)) {
      best = found.best;
      worth = here;
    }
  }
  if (!best || !worth) return ok({ ok: false, why: { kind: 'stuck', stuck: stuck ?? { task: 0, because: null, shortBy: Infinity, held: -1 } } });
  const { starts } = best;
  return ok({
    ok: true,
    plan: {
      placed: placedOf(c, starts, best.machines),
      late: [...whole.value.late],
      worth,
      leads: c.goals.map((g, i) => ({ minutes: leadOf(g, starts), atLeast: bounds[i]! })),
      proved,
    },
  });
}
