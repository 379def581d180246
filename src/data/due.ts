import { isRunning, WHISK_TIMER } from '../core/batch/batch';
import { dueMoments, type DueMoment } from '../core/batch/due';
import { isDiscarded } from '../core/mend/batch-case';
import { momentsOf } from '../core/timetable/moments';
import { minuteOf } from '../core/timetable/zone';
import { listBatches } from './batches';
import type { KitchenDb } from './kitchen-file';
import { lastPlan, plannedService } from './service-plans';
import { listServices, type StoredService } from './services';

/**
 * The kitchen's due moments after `now`, from its latest batches and the plans of its present services.
 * @param patient plans that are not there yet are made; else only those that are there already count.
 */
export function readDueMoments(db: KitchenDb, now: number, patient = true): readonly DueMoment[] {
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
  return [...dueMoments(batches, now), ...plannedMoments(db, now, patient)].sort((a, b) => a.at - b.at);
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
function plannedMoments(db: KitchenDb, now: number, patient: boolean): readonly DueMoment[] {
  return presentServices(db, now)
    .flatMap((s) => {
      const answer = patient ? plannedService(db, s, now) : lastPlan(s.id);
      return answer?.ok && answer.value.ok ? momentsOf(answer.value.plan, `/clock/${s.id}`, now) : [];
    });
}
