import type { SheetAnalysis } from '../analysis/analysed';
import type { ServicePlan } from './service-plan';

/**
 * When a dessert is made and by when it is eaten, minutes since 1970: made when its last hands before the cold are done, eaten by the strictest
 * keeping rule that applies to it.
 *
 * @param plan null where there is none: then it is made at `now`.
 */
export function labelTimes(plan: ServicePlan | null, servingId: string, s: SheetAnalysis, now: number): { readonly made: number; readonly useBy: number } {
  const served = plan?.servings.find((x) => x.id === servingId)?.at ?? Infinity;
  const mine = plan?.tasks.filter((t) => t.servings.includes(servingId)) ?? [];
  const away = mine.find((t) => t.stepId?.endsWith('put-away'));
  const hands = mine.filter((t) => t.kind === 'hands' && t.end <= served);
  const made = away?.end ?? hands.at(-1)?.end ?? now;
  return { made, useBy: made + Math.round(60 * s.keeping.eatByH) };
}
