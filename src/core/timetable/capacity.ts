import { fail, ok, type Result } from '../result';
import type { DishCache } from './dish';
import { MOST_PORTIONS } from './house';
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

/**
 * The most portions of one serving with everything else of the service as it is: doubled until it fails, then halved in between.
 *
 * @param servingId which. @yields after each try.
 * @returns a fault where not even one portion can be made.
 */
export function* tryCapacity(f: ServiceFacts, cache: DishCache, servingId: string): Generator<number, Result<Capacity>> {
  const why = new Map<number, string | null>();
  const works = (portions: number): boolean => {
    const servings = f.service.servings.map((s): Serving => (s.id === servingId ? { ...s, portions } : s));
    const found = planService({ ...f, service: { ...f.service, servings } }, cache, 'possible');
    why.set(portions, !found.ok ? found.fault.says : found.value.ok ? null : found.value.says);
    return why.get(portions) === null;
  };
  if (!f.service.servings.some((s) => s.id === servingId)) return fail('serving', 'gone', 'That serving is no longer in the service.');
  const asked = f.service.servings.find((s) => s.id === servingId)!.portions;
  let good = 0;
  let bad = MOST_PORTIONS + 1;
  // From what is asked for upwards by doubling, or downwards by halving: a bowl that is nearly empty whisks no better than one that is too full.
  const fits = works(Math.min(asked, MOST_PORTIONS));
  yield asked;
  if (fits) good = Math.min(asked, MOST_PORTIONS);
  else bad = asked;
  for (let n = fits ? good * 2 : Math.floor(asked / 2); n >= 1 && n < 2 * MOST_PORTIONS; n = fits ? n * 2 : Math.floor(n / 2)) {
    const size = Math.min(n, MOST_PORTIONS);
    if (size === good) break;
    const holds = works(size);
    yield size;
    if (holds) good = Math.max(good, size);
    else bad = Math.min(bad, size);
    if (holds !== fits) break;
  }
  if (good === 0) return fail('portions', 'none', why.get(bad) ?? 'Not even one portion can be made by then.');
  while (bad - good > 1) {
    const n = Math.floor((good + bad) / 2);
    if (works(n)) good = n;
    else bad = n;
    yield n;
  }
  return ok({ portions: good, because: bad > MOST_PORTIONS ? null : (why.get(bad) ?? null), tried: why.size });
}
