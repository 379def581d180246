import { ok, type Result } from '../result';
import { layBiscuits, staggered, type Plan } from '../vessel/packing/lay';
import type { LayAsk } from './biscuits';

/** Lays one layer as it was asked. @returns the fault of `layBiscuits`. */
export function laidAs(ask: LayAsk): Result<Plan> {
  const plan = layBiscuits(ask.floor, ask, ask.pattern, ask.cutting);
  if (!plan.ok || !ask.turned) return plan;
  const others =
    ask.shape === 'round' ? [] : (['along', 'across'] as const).map((p) => layBiscuits(ask.floor, ask, p, ask.cutting)).flatMap((o) => (o.ok ? [o.value] : []));
  return ok(staggered(plan.value, others));
}
