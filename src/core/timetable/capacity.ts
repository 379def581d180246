import { fail, ok, type Result } from '../result';
import type { DishCache } from './dish';
import { planService } from './service-plan';
import type { ServiceFacts } from './service-project';
import type { Serving } from './service-schema';

/** How many portions of one dessert can be there by its hour, and what stands in the way of more. */
export interface Capacity {
  readonly portions: number;
  /** Why not one more; null where the most that is asked for fits. */
  readonly because: string | null;
  readonly tried: number;
}

export const MOST_PORTIONS = 500;

/**
 * The most portions of one serving with everything else of the service as it is: doubled until it fails, then halved in between. A plan for
 * fewer is taken to hold where one for more does.
 *
 * @param servingId which. @yields after each try.
 * @returns a fault where not even one portion can be made.
 */
export function* tryCapacity(f: ServiceFacts, cache: DishCache, servingId: string): Generator<number, Result<Capacity>> {
  const why = new Map<number, string | null>();
  const works = (portions: number): boolean => {
    const servings = f.service.servings.map((s): Serving => (s.id === servingId ? { ...s, portions } : s));
    const found = planService({ ...f, service: { ...f.service, servings } }, cache, 'quick');
    why.set(portions, !found.ok ? found.fault.says : found.value.ok ? null : found.value.says);
    return why.get(portions) === null;
  };
  if (!f.service.servings.some((s) => s.id === servingId)) return fail('serving', 'gone', 'That serving is no longer in the service.');
  let good = 0;
  let bad = MOST_PORTIONS + 1;
  for (let n = 1; n <= MOST_PORTIONS; n = Math.min(n * 2, n === MOST_PORTIONS ? n + 1 : MOST_PORTIONS)) {
    const fits = works(n);
    yield n;
    if (!fits) {
      bad = n;
      break;
    }
    good = n;
  }
  if (good === 0) return fail('portions', 'none', why.get(1) ?? 'Not even one portion can be made by then.');
  while (bad - good > 1) {
    const n = Math.floor((good + bad) / 2);
    if (works(n)) good = n;
    else bad = n;
    yield n;
  }
  return ok({ portions: good, because: bad > MOST_PORTIONS ? null : (why.get(bad) ?? null), tried: why.size });
}
