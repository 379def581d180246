import type { DishCache } from '../timetable/dish';
import { changesFor, type Mend } from '../timetable/mends';
import { dishName } from '../timetable/names';
import { showSpan, taskSays } from '../timetable/says';
import { planService, type ServicePlan } from '../timetable/service-plan';
import type { ServiceFacts } from '../timetable/service-project';
import type { Service } from '../timetable/service-schema';
import { eveningOdds, EVENINGS, type EveningOdds } from './evening';
import { straysIn } from './strays';

/** One change, and what it does to the odds. */
export interface Buy extends Mend {
  /** Of the serving that is late most often: the share of evenings in which it is in time, as it is and after the change. */
  readonly from: number;
  readonly to: number;
  /** The serving that this is about. */
  readonly serving: string;
}

/** Time to spare that is tried at the weak link, min. */
const SPARES_MIN = [20, 40, 60, 90] as const;
/** What is asked of the guests or of the plan itself buys nothing that a kitchen could get otherwise. */
const NOT_TRIED = /^(?:day|without|from|pins|spare|wait|fewer|longer|later)(?::|$)/;
/** A gain below this is told nowhere: it is of the size of what the figures may be off (house). */
export const LEAST_GAIN = 0.03;
/** No more changes are tried, so that the answer comes while somebody waits. */
const MOST_TRIED = 24;

interface Asked extends Mend {
  readonly kind: string;
}

/**
 * What would make the least sure serving of a plan surer, each change on its own and planned anew: time to spare at its weak link, a portion less, more
 * bowls, another place, more hands. All are tried on the same evenings, so that they compare fairly.
 *
 * @yields after each try, so that it can be stopped: how many of how many were tried, and what helps so far, the most first, one of each kind.
 */
export function* tryBuys(f: ServiceFacts, cache: DishCache): Generator<{ readonly tried: number; readonly of: number; readonly buys: readonly Buy[] }> {
  const strays = straysIn(f.kitchen);
  const answered = (service: Service): { plan: ServicePlan; odds: EveningOdds } | null => {
    const found = planService({ ...f, service }, cache, 'possible');
    return found.ok && found.value.ok ? { plan: found.value.plan, odds: eveningOdds(found.value.plan, EVENINGS, strays) } : null;
  };
  const now = answered(f.service);
  if (!now || now.odds.servings.length === 0) return;
  const worst = now.odds.servings.reduce((a, b) => (b.inTime < a.inTime ? b : a));
  const asks = asked(f, cache, now.plan, worst.weak?.task ?? null, worst.id).slice(0, MOST_TRIED);
  const best = new Map<string, Buy>();
  for (const [i, ask] of asks.entries()) {
    const then = answered(ask.service);
    const to = then?.odds.servings.find((s) => s.id === worst.id)?.inTime ?? 0;
    // What helps one serving at the cost of another's buys nothing.
    const least = then ? Math.min(...then.odds.servings.map((s) => s.inTime)) : 0;
    if (then && to - worst.inTime >= LEAST_GAIN && least >= worst.inTime && to > (best.get(ask.kind)?.to ?? 0))
      best.set(ask.kind, { key: ask.key, says: ask.says, service: ask.service, from: worst.inTime, to, serving: worst.name });
    yield { tried: i + 1, of: asks.length, buys: [...best.values()].sort((a, b) => b.to - a.to) };
  }
}

/** The changes that are tried, in their order: what the weak link wants first. */
function asked(f: ServiceFacts, cache: DishCache, plan: ServicePlan, weak: string | null, servingId: string): readonly Asked[] {
  const { service } = f;
  const out: Asked[] = [];
  const link = weak === null ? undefined : plan.tasks.find((t) => t.id === weak);
  if (link) {
    for (const minutes of SPARES_MIN) {
      const margin = (service.margins[link.id] ?? 0) + minutes;
      out.push({
        kind: 'spare',
        key: `spare:${link.id}:${minutes}`,
        says: `${showSpan(minutes)} to spare for ${taskSays(link)}`,
        service: { ...service, margins: { ...service.margins, [link.id]: margin } },
      });
    }
  }
  const serving = service.servings.find((s) => s.id === servingId);
  if (serving && serving.portions > 1) {
    out.push({
      kind: 'less',
      key: `less:${servingId}`,
      says: `one portion less of ${dishName(service, f.sheets, serving)}`,
      service: { ...service, servings: service.servings.map((s) => (s === serving ? { ...s, portions: s.portions - 1 } : s)) },
    });
  }
  const kindOf = (key: string): string => key.replace(/:.*$/, '');
  for (const c of changesFor(f, cache, weak === null ? [] : [weak]))
    if (!NOT_TRIED.test(c.key)) out.push({ kind: kindOf(c.key), key: c.key, says: c.says, service: c.service });
  return out;
}
