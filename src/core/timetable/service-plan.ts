import { ok, type Result } from '../result';
import { chainsOf, heldBy, type Holds } from './chain';
import type { DishCache } from './dish';
import { planProject, type Plan } from './plan';
import { noPlanSays, showSpan, taskSays } from './says';
import { dayClock } from './clock-words';
import type { Effort } from './search';
import { RESOURCE, serviceProject, type ServiceFacts, type ServiceProject, type TaskFacts } from './service-project';
import { localTime, minuteOf } from './zone';

/** A task with its time, as the ribbon and the list show it. Minutes since 1970. */
export interface PlannedTask extends TaskFacts {
  readonly start: number;
  readonly end: number;
  /** Which cook, mixer, oven, place it has, by resource id. */
  readonly lanes: readonly string[];
  /** Who does it; '' for what goes on by itself. */
  readonly cook: string;
  /** How far it could slide while all others stay, by its gaps. */
  readonly soonest: number;
  readonly latest: number;
  readonly critical: boolean;
  readonly pinned: boolean;
  /** Why it does not begin later. */
  readonly why: string;
}

/** A wait with limits that ends or begins at a task. */
export interface PlannedGap {
  readonly from: string;
  readonly to: string;
  readonly min: number;
  readonly max: number | null;
  /** As it came out. */
  readonly minutes: number;
  readonly says: string;
}

export interface PlannedServing {
  readonly id: string;
  readonly name: string;
  readonly at: number;
  readonly portions: number;
  readonly vessel: string;
  /** Minutes from its first task to serving, and the fewest that any plan can have. */
  readonly leadMin: number;
  readonly atLeastMin: number;
  /** Minutes later than was asked for; 0 where it is in time. */
  readonly lateMin: number;
  readonly coldH: number | null;
}

/** Something that stays in a place or vessel for a while. */
export interface PlannedStay {
  readonly resource: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly amount: number;
  readonly serving: string;
}

export interface ServicePlan {
  readonly tasks: readonly PlannedTask[];
  readonly gaps: readonly PlannedGap[];
  readonly stays: readonly PlannedStay[];
  readonly servings: readonly PlannedServing[];
  /** Lanes in the order in which they are drawn. */
  readonly lanes: readonly {
    readonly id: string;
    readonly name: string;
    readonly kind: 'hands' | 'mixer' | 'hob' | 'oven' | 'place' | 'vessel';
    readonly open: readonly (readonly [number, number])[] | null;
    readonly capacity: number;
    readonly unit: string;
  }[];
  readonly handsMin: number;
  readonly proved: boolean;
  readonly notes: readonly string[];
  readonly from: number;
  readonly to: number;
}

/** A plan, or why there is none; with what of the service could not even be read. */
export type ServiceAnswer =
  | { readonly ok: true; readonly plan: ServicePlan; readonly left: ServiceProject['left'] }
  | { readonly ok: false; readonly says: string; readonly tasks: readonly string[]; readonly left: ServiceProject['left'] };

/** While it runs, a serving that cannot be in time is planned so many minutes later, the first that will do. */
const LATER_MIN = [5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 240, 360, 480];

/**
 * Plans a service. When one of its batches runs and the time no longer does, a longest wait that has begun is let go, or servings are put off
 * by as little as will do; both are said.
 * @returns a fault when nothing can be planned at all (no servings, sheets gone).
 */
export function planService(f: ServiceFacts, cache: DishCache, effort: Effort = 'thorough'): Result<ServiceAnswer> {
  const first = answer(f, cache, effort, 0);
  if (!first.ok || first.value.ok) return first;
  const running = [...f.batches.values()].some((b) => b.status === 'running');
  if (!running) return first;
  // In time before all, then a wait that has begun is let go, then the serving is put off.
  for (const [later, ease] of [[0, true] as const, ...LATER_MIN.flatMap((l) => [[l, false] as const, [l, true] as const])]) {
    const next = answer(later === 0 ? f : putOff(f, later), cache, effort, later, ease);
    if (next.ok && next.value.ok) return next;
  }
  return first;
}

/** Every serving that is still to come later by some minutes. */
function putOff(f: ServiceFacts, minutes: number): ServiceFacts {
  const { zone } = f.service;
  return {
    ...f,
    service: {
      ...f.service,
      servings: f.service.servings.map((s) => (f.batches.get(s.id)?.status === 'finished' ? s : { ...s, at: localTime(minuteOf(s.at, zone) + minutes, zone) })),
    },
  };
}

function answer(f: ServiceFacts, cache: DishCache, effort: Effort, lateMin: number, ease = false): Result<ServiceAnswer> {
  const made = serviceProject(f, cache, ease);
  if (!made.ok) return made;
  const { project, left } = made.value;
  const planned = planProject(project, effort);
  if (!planned.ok) return planned;
  if (!planned.value.ok) {
    const { why } = planned.value;
    const task = why.kind === 'bad' ? [why.task] : why.kind === 'circle' ? why.tasks : why.kind === 'clash' ? [why.clash.task] : [why.stuck.task];
    return ok({ ok: false, says: noPlanSays(why, made.value, f.service.zone), tasks: task.map((i) => project.tasks[i]!.id), left });
  }
  const { plan } = planned.value;
  return ok({ ok: true, plan: drawn(f, made.value, plan, lateMin), left });
}

function drawn(f: ServiceFacts, made: ServiceProject, plan: Plan, lateMin: number): ServicePlan {
  const { project, facts, dishes } = made;
  const { zone } = f.service;
  const held = heldBy(project, plan.placed);
  const chain = chainsOf(project, plan.placed, held);
  const index = new Map(project.tasks.map((t, i) => [t.id, i]));
  const start = (id: string): number => plan.placed[index.get(id)!]!.start;
  const end = (id: string): number => start(id) + project.tasks[index.get(id)!]!.minutes;
  const machine = (id: string): string => project.machines.find((m) => m.id === id)?.name ?? '';
  const tasks = facts.map((fact, i): PlannedTask => {
    const t = project.tasks[i]!;
    const placed = plan.placed[i]!;
    const lanes = [...placed.machines, ...t.uses.map((u) => u.pool)];
    const cook = placed.machines.find((m) => m.startsWith(RESOURCE.COOK));
    return {
      ...fact,
      start: placed.start,
      end: placed.start + t.minutes,
      lanes,
      cook: cook ? machine(cook) : '',
      soonest: Math.min(placed.start, held[i]!.slide.soonest),
      latest: Math.max(placed.start, Number.isFinite(held[i]!.slide.latest) ? held[i]!.slide.latest : placed.start),
      critical: chain.has(i),
      pinned: f.service.pins[t.id] !== undefined && t.at !== null && !fact.done && !fact.running,
      why: whySays(
        held[i]!.by,
        facts,
        project,
        zone,
        plan.placed.map((p) => p.start),
      ),
    };
  });
  const servings = project.goals.map((g, i): PlannedServing => {
    const id = g.serve.slice(0, g.serve.lastIndexOf('/'));
    const serving = f.service.servings.find((s) => s.id === id)!;
    const dish = dishes.get(id)!;
    return {
      id,
      name: facts[index.get(g.serve)!]!.dish,
      at: start(g.serve),
      portions: serving.portions,
      vessel: dish.analysis.sheet.vessel.name,
      leadMin: plan.leads[i]!.minutes,
      atLeastMin: plan.leads[i]!.atLeast,
      lateMin,
      coldH: dish.coldH,
    };
  });
  const servingOf = (id: string): string => facts[index.get(id)!]!.servings[0] ?? '';
  const stays = project.stays
    .filter((s) => index.has(s.from) && index.has(s.until) && start(s.until) > start(s.from))
    .map((s): PlannedStay => ({
      resource: s.use.pool,
      name: `${facts[index.get(s.from)!]!.dish}${facts[index.get(s.from)!]!.part ? `, ${facts[index.get(s.from)!]!.part.toLowerCase()}` : ''}`,
      from: start(s.from),
      to: start(s.until),
      amount: s.use.amount,
      serving: servingOf(s.from),
    }));
  const used = new Set([...tasks.flatMap((t) => t.lanes), ...stays.map((s) => s.resource)]);
  const kinds = [
    [RESOURCE.COOK, 'hands'],
    [RESOURCE.MIXER, 'mixer'],
    [RESOURCE.HOB, 'hob'],
    [RESOURCE.OVEN, 'oven'],
    [RESOURCE.PLACE, 'place'],
    [RESOURCE.VESSEL, 'vessel'],
  ] as const;
  const lanes = kinds.flatMap(([prefix, kind]) => [
    ...project.machines
      .filter((m) => m.id.startsWith(prefix) && (kind === 'hands' || used.has(m.id)))
      .map((m) => ({ id: m.id, name: m.name, kind, open: m.open, capacity: 1, unit: '' })),
    ...project.pools
      .filter((p) => p.id.startsWith(prefix) && used.has(p.id))
      .map((p) => ({ id: p.id, name: p.name, kind, open: null, capacity: p.capacity, unit: p.unit })),
  ]);
  return {
    tasks: tasks.toSorted((a, b) => a.start - b.start || a.end - b.end || (a.id < b.id ? -1 : 1)),
    gaps: project.gaps.filter((g) => index.has(g.from) && index.has(g.to)).map((g) => ({ ...g, minutes: start(g.to) - end(g.from) })),
    stays,
    servings,
    lanes,
    handsMin: tasks.reduce((sum, t) => sum + (t.cook ? t.end - t.start : 0), 0),
    proved: plan.proved,
    notes: [
      ...made.notes,
      ...made.eased.flatMap((g) => {
        const wait = start(g.to) - end(g.from);
        return g.max !== null && wait > g.max ? [`${facts[index.get(g.from)!]!.dish}: ${g.says || 'a wait'}; in this plan it is ${showSpan(wait)}.`] : [];
      }),
    ],
    from: Math.min(...tasks.map((t) => t.start)),
    to: Math.max(...tasks.map((t) => t.end)),
  };
}

function whySays(by: readonly Holds[], facts: readonly TaskFacts[], project: ServiceProject['project'], zone: string, starts: readonly number[]): string {
  const h = by[0];
  if (!h) return 'nothing holds it there but the hands of others before';
  switch (h.kind) {
    case 'gap':
      return `${taskSays(facts[h.task]!)} at ${dayClock(starts[h.task]!, zone)}${project.gaps[h.gap]!.min > 0 ? `, ${showSpan(project.gaps[h.gap]!.min)} later` : ' needs it'}`;
    case 'machine':
      return `right after it ${project.machines.find((m) => m.id === h.machine)?.name ?? 'its machine'} goes on to ${taskSays(facts[h.task]!)}`;
    case 'room':
      return `right after it ${taskSays(facts[h.task]!)} takes its place`;
    case 'hours':
      return `${project.machines.find((m) => m.id === h.machine)?.name ?? 'the cook'} leaves right after it`;
    case 'fixed':
      return 'its time is fixed';
  }
}
