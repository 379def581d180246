import { EMPTY_SERVICE } from '../../core/timetable/usual';
import { USUAL_CREW } from '../../core/kitchen/usual-crew';
import type { KitchenRules } from '../../core/kitchen/schema';
import type { Service, Serving } from '../../core/timetable/service-schema';
import { dayDate } from '../../core/timetable/clock-words';
import { localTime, minuteOf, nextDay } from '../../core/timetable/zone';

/** An evening's dinner, until the cook says otherwise. */
const USUAL_CLOCK = 'T19:00';

/** A service for the day after `now` (minutes since 1970), with the kitchen's crew and nothing served yet. */
export function newService(rules: KitchenRules, now: number, machineZone: string): Service {
  const zone = rules.zone || machineZone;
  const day = nextDay(localTime(now, zone).slice(0, 10));
  return {
    ...EMPTY_SERVICE,
    name: `Service of ${dayDate(minuteOf(`${day}${USUAL_CLOCK}`, zone), zone)}`,
    zone,
    crew: rules.crew.length > 0 ? rules.crew : USUAL_CREW,
  };
}

/** One more thing that is served: at the time of the last, or tomorrow evening. */
export function newServing(service: Service, sheetId: string, portions: number, now: number, id: string): Serving {
  const last = service.servings.at(-1);
  const day = nextDay(localTime(now, service.zone).slice(0, 10));
  return { id, sheetId, at: last?.at ?? `${day}${USUAL_CLOCK}`, portions, vessel: null, placeId: null, batchId: null };
}
