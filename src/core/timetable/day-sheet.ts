import { dayClock } from './clock-words';
import type { PlannedTask, ServicePlan } from './service-plan';
import type { Service } from './service-schema';
import { localTime } from './zone';

/** A day of a plan as the day sheet lists it: who does what when, what goes on by itself beside it. */
export interface DaySheet {
  readonly day: string;
  readonly cooks: readonly { readonly name: string; readonly tasks: readonly PlannedTask[] }[];
  readonly byItself: readonly PlannedTask[];
  readonly servings: readonly PlannedTask[];
}

/** A plan by days of the kitchen's clock; a wait stands on the day on which it begins. */
export function daySheets(service: Service, plan: ServicePlan): readonly DaySheet[] {
  const dayOf = (t: PlannedTask): string => localTime(t.start, service.zone).slice(0, 10);
  return [...new Set(plan.tasks.map(dayOf))].sort().map((day): DaySheet => {
    const tasks = plan.tasks.filter((t) => dayOf(t) === day);
    const names = [...new Set(tasks.map((t) => t.cook).filter(Boolean))];
    return {
      day,
      cooks: names.map((name) => ({ name, tasks: tasks.filter((t) => t.cook === name) })),
      byItself: tasks.filter((t) => t.cook === '' && t.kind !== 'served'),
      servings: tasks.filter((t) => t.kind === 'served'),
    };
  });
}

/** When, as it is read across the kitchen: the day only where it is another. */
export const whenSays = (t: { readonly start: number }, day: string, zone: string): string => {
  const local = localTime(t.start, zone);
  return local.slice(0, 10) === day ? local.slice(11) : dayClock(t.start, zone);
};
