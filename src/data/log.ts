import { asc } from 'drizzle-orm';
import type { LogEntry } from '../core/files/log-files';
import { outcomesOf, type Outcome } from '../core/batch/outcomes';
import { listBatches } from './batches';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { loggedBatches, readAnswers } from './learning';
import { observations } from './schema';
import { outcomesOfTests } from './tests-kept';

const ALL = 1_000_000;

/** The whole log, newest first, as it leaves the kitchen. */
export function readLog(db: KitchenDb, sheetId?: string): readonly LogEntry[] {
  const { mixers, places } = readKitchenFacts(db);
  const answers = readAnswers(db);
  const seen = new Map<string, (typeof observations.$inferSelect)[]>();
  for (const o of db.select().from(observations).orderBy(asc(observations.at)).all()) seen.set(o.batchId, [...(seen.get(o.batchId) ?? []), o]);
  return listBatches(db, { sheetId, limit: ALL }).map((b) => ({
    id: b.id,
    sheet: b.plan.sheetName,
    version: b.sheetVersion,
    portions: b.portions,
    scale: b.plan.scale,
    status: b.status,
    startedAt: b.startedAt,
    endedAt: b.endedAt,
    place: places.find((p) => p.id === b.progress.placeId)?.name ?? '',
    forecast: b.plan.forecast,
    readings: b.readings,
    note: b.progress.note,
    offPlan: b.progress.offPlan,
    observations: (seen.get(b.id) ?? []).map(({ kind, at, value, words }) => ({ kind, at, value, words })),
    outcomes: outcomesOf({ id: b.id, at: b.startedAt, forecast: b.plan.forecast, readings: b.readings, answers: answers.get(b.id) ?? {} }, mixers),
  }));
}

/** Every outcome that the log learns from, oldest first. */
export function readOutcomes(db: KitchenDb): readonly Outcome[] {
  const { mixers } = readKitchenFacts(db);
  return [...loggedBatches(db).flatMap((b) => outcomesOf(b, mixers)), ...outcomesOfTests(db, mixers)];
}
