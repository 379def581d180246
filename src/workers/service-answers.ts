/** What the worker answers of a service: loaded at the first such question. */
export { eveningOdds, EVENINGS } from '../core/odds/evening';
export { tryBuys } from '../core/odds/buys';
export { straysIn } from '../core/odds/strays';
export { trySurer } from '../core/odds/surer';
export { tryCapacity } from '../core/timetable/capacity';
export { newDishCache } from '../core/timetable/dish';
export { tryMends } from '../core/timetable/mends';
export { tryMerges } from '../core/timetable/merges';
export { planService } from '../core/timetable/service-plan';
