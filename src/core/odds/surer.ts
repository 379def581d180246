import type { DishCache } from '../timetable/dish';
import type { Service } from '../timetable/service-schema';
import { planService, type PlannedTask, type ServicePlan } from '../timetable/service-plan';
import type { ServiceFacts } from '../timetable/service-project';
import { eveningOdds, EVENINGS, type EveningOdds } from './evening';
import { straysIn } from './strays';
import { SURE, WISHED_CHANCE } from './house';

/** A task that is planned longer than it takes. */
export interface Margin {
  readonly task: string;
  readonly name: string;
  readonly minutes: number;
}

/** A plan that is surer, with what it takes. */
export interface Surer {
  readonly service: Service;
  readonly plan: ServicePlan;
  readonly odds: EveningOdds;
  /** What was added to the service as it was asked about. */
  readonly margins: readonly Margin[];
  /** Whether every serving is in time as often as was wished. */
  readonly reached: boolean;
}

const MOST_ROUNDS = 16;
const STEP_MIN = 5;
const up = (minutes: number): number => Math.max(STEP_MIN, Math.ceil(minutes / STEP_MIN - 1e-9) * STEP_MIN);

/**
 * Makes a plan surer: the weak link of the serving that is late most often is planned so long that it is over in time in nineteen evenings of
 * twenty, then the next, then surer still, until every serving is in time as often as was wished or nothing more can be added. Only what helps is kept.
 *
 * @returns null where the plan is as sure as was wished already, or no plan can be made.
 */
export function trySurer(f: ServiceFacts, cache: DishCache, wished = WISHED_CHANCE): Surer | null {
  const planned = (service: Service): ServicePlan | null => {
    const found = planService({ ...f, service }, cache, 'possible');
    return found.ok && found.value.ok ? found.value.plan : null;
  };
  let service = f.service;
  let plan = planned(service);
  if (!plan) return null;
  const strays = straysIn(f.kitchen);
  let odds = eveningOdds(plan, EVENINGS, strays);
  /** How sure each task has been made, and what helped nothing. */
  const tried = new Map<string, number>();
  const added = new Map<string, Margin>();
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const late = odds.servings.filter((s) => s.inTime < wished && s.weak && (tried.get(s.weak.task) ?? 0) < SURE.length).sort((a, b) => a.inTime - b.inTime)[0];
    if (!late) break;
    const weak: PlannedTask = plan.tasks.find((t) => t.id === late.weak!.task)!;
    const level = tried.get(weak.id) ?? 0;
    tried.set(weak.id, level + 1);
    const { median, sd } = strays(weak);
    const own = weak.end - weak.start - weak.marginMin;
    const most = up(own * (median * Math.exp(SURE[level]! * sd) - 1));
    if (most <= weak.marginMin) continue;
    const next: Service = { ...service, margins: { ...service.margins, [weak.id]: most } };
    const nextPlan = planned(next);
    const nextOdds = nextPlan && eveningOdds(nextPlan, EVENINGS, strays);
    if (!nextPlan || !nextOdds || (nextOdds.servings.find((s) => s.id === late.id)?.inTime ?? 0) <= late.inTime) continue;
    service = next;
    plan = nextPlan;
    odds = nextOdds;
    added.set(weak.id, { task: weak.id, name: weak.name, minutes: most - (f.service.margins[weak.id] ?? 0) });
  }
  return added.size === 0 ? null : { service, plan, odds, margins: [...added.values()], reached: odds.servings.every((s) => s.inTime >= wished) };
}
