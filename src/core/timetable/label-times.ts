import type { SheetAnalysis } from '../sheet/analyse';
import type { ServicePlan } from './service-plan';
import { holdH } from './work';

/**
 * When a dessert is made and by when it is used, minutes since 1970: made when its last hands before the cold are done, used within its hold,
 * which is the kitchen's keeping rule at most.
 *
 * @param plan null where there is none: then it is made at `now`.
 */
export function labelTimes(plan: ServicePlan | null, servingId: string, s: SheetAnalysis, now: number): { readonly made: number; readonly useBy: number } {
  const served = plan?.servings.find((x) => x.id === servingId)?.at ?? Infinity;
  const mine = plan?.tasks.filter((t) => t.servings.includes(servingId)) ?? [];
  const away = mine.find((t) => t.stepId?.endsWith('put-away'));
  const hands = mine.filter((t) => t.kind === 'hands' && t.end <= served);
  const made = away?.end ?? hands.at(-1)?.end ?? now;
  return { made, useBy: made + Math.round(60 * holdH(s)) };
}
