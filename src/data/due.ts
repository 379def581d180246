import { isRunning, WHISK_TIMER } from '../core/sheet/batch';
import { dueMoments, type DueMoment } from '../core/sheet/due';
import { listBatches } from './batches';
import type { KitchenDb } from './kitchen-file';

/** The kitchen's due moments after `now`, from its latest batches. */
export function readDueMoments(db: KitchenDb, now: number): readonly DueMoment[] {
  const batches = listBatches(db, undefined, 60).map((b) => ({
    id: b.id,
    name: b.plan.sheetName,
    status: b.status,
    endedAt: b.endedAt,
    holdShownH: b.plan.forecast.holdShownH,
    keepingH: b.plan.forecast.keepingH,
    timers: b.progress.timers.filter(isRunning).flatMap((t) => {
      const whisk = b.plan.steps.find((s) => s.key === t.id || (t.id === WHISK_TIMER && s.whisks))?.whisk;
      const dueS = t.seconds ?? whisk?.opensS ?? (t.id === WHISK_TIMER ? b.plan.forecast.stageTimeS?.value : undefined);
      return dueS === undefined ? [] : [{ at: t.startedAt! + 1000 * dueS, says: t.seconds === null ? 'stop window opens' : t.name }];
    }),
  }));
  return dueMoments(batches, now);
}
