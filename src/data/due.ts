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
    windowOpensS: b.plan.forecast.stageTimeS?.value ?? null,
    timerStartedAt: b.progress.timer.startedAt,
    timerStoppedAt: b.progress.timer.stoppedAt,
  }));
  return dueMoments(batches, now);
}
