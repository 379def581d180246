import { isRunning, WHISK_TIMER } from '../core/batch/batch';
import { dueMoments, type DueMoment } from '../core/batch/due';
import { isDiscarded } from '../core/mend/batch-case';
import { momentsOf } from '../core/timetable/moments';
import type { Result } from '../core/result';
import type { ServiceAnswer } from '../core/timetable/service-plan';
import { minuteOf } from '../core/timetable/zone';
import { listBatches } from './batches';
import type { KitchenDb } from './kitchen-file';
import { listServices, type StoredService } from './services';

type PlanOf = (serviceId: string) => Result<ServiceAnswer> | null;

/**
 * The kitchen's due moments after `now`, from its latest batches and the plans of its present services.
 * @param planOf the plan of a service by its id; null where none has been made, which says nothing then.
 */
export function dueMomentsWith(db: KitchenDb, now: number, planOf: PlanOf): readonly DueMoment[] {
  const batches = listBatches(db, { limit: 60 }).map((b) => ({
    id: b.id,
    name: b.plan.sheetName,
    status: b.status,
    endedAt: b.endedAt,
    holdShownH: isDiscarded(b.progress.mends) ? null : b.plan.forecast.holdShownH,
    keepingH: b.plan.forecast.keepingH,
    timers: b.progress.timers.filter(isRunning).flatMap((t) => {
      const whisk = b.plan.steps.find((s) => s.key === t.id || (t.id === WHISK_TIMER && s.whisks))?.whisk;
      const dueS = t.seconds ?? whisk?.opensS ?? (t.id === WHISK_TIMER ? b.plan.forecast.stageTimeS?.value : undefined);
      return dueS === undefined ? [] : [{ at: t.startedAt! + 1000 * dueS, says: t.seconds === null ? 'stop window opens' : t.name }];
    }),
  }));
  return [...dueMoments(batches, now), ...plannedMoments(db, now, planOf)].sort((a, b) => a.at - b.at);
}

/** Services whose servings lie between these hours from now are asked for their next moments. */
const SERVICE_SPAN_H = { before: 6, after: 8 * 24 } as const;

/** Services with something served in these days. */
export const presentServices = (db: KitchenDb, now: number): readonly StoredService[] =>
  listServices(db).filter((s) =>
    s.doc.servings.some((x) => {
      const at = minuteOf(x.at, s.doc.zone) * 60_000;
      return at > now - SERVICE_SPAN_H.before * 3_600_000 && at < now + SERVICE_SPAN_H.after * 3_600_000;
    }),
  );

/** What the plans of the present services have next: hands that begin after a pause, what comes out of the cold, and servings. */
function plannedMoments(db: KitchenDb, now: number, planOf: PlanOf): readonly DueMoment[] {
  return presentServices(db, now).flatMap((s) => {
    const answer = planOf(s.id);
    return answer?.ok && answer.value.ok ? momentsOf(answer.value.plan, `/clock/${s.id}`, now) : [];
  });
}
