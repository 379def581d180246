import { inSentence } from '../figure';
import type { DueMoment } from '../batch/due';
import type { PlannedTask, ServicePlan } from './service-plan';

const MINUTE_MS = 60_000;

/** Whether somebody must be called for it: hands that begin after a pause of their cook, what a plan serves. What is in hand or behind calls nobody. */
export function calls(plan: ServicePlan, t: PlannedTask): boolean {
  if (t.done || t.running) return false;
  if (t.kind === 'served') return true;
  if (t.kind === 'ahead') return true;
  return t.cook !== '' && !plan.tasks.some((o) => o !== t && o.cook === t.cook && o.servings[0] === t.servings[0] && o.end === t.start && o.end > o.start);
}

/** The moments of a plan that are still to come, soonest first. @param now milliseconds since 1970. */
export const momentsOf = (plan: ServicePlan, href: string, now: number): readonly DueMoment[] =>
  plan.tasks
    .filter((t) => t.start * MINUTE_MS > now && calls(plan, t))
    .map((t) => ({
      at: t.start * MINUTE_MS,
      says: t.kind === 'served' ? `${t.dish} is served` : `${t.dish}: ${inSentence(t.name)}`,
      href: t.kind === 'served' ? href : `${href}?task=${encodeURIComponent(t.id)}`,
      rings: true,
    }));
