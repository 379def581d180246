import { asc, eq, ne, sql } from 'drizzle-orm';
import type { LearnableFigure } from '../core/learning/correction';
import { ForecastSchema } from '../core/batch/forecast';
import type { KitchenCorrection } from '../core/learning/correction';
import { correctionsFrom, outcomesOf, type LoggedBatch } from '../core/batch/outcomes';
import type { ReadingKind } from '../core/batch/method';
import { ReadingKindSchema } from '../core/batch/readings';
import { KitchenRulesSchema, type Mixer } from '../core/kitchen/schema';
import type { KitchenDb } from './kitchen-file';
import { batches, kitchenRules, outcomeAnswers, readings } from './schema';
import { outcomesOfTests } from './tests-kept';
import { readRows } from './unreadable';

export type OutcomeAnswers = Readonly<Partial<Record<LearnableFigure, 'count' | 'leave-out'>>>;

/** The cook's answers about outcomes far off, by batch. */
export function readAnswers(db: KitchenDb): ReadonlyMap<string, OutcomeAnswers> {
  const answers = new Map<string, OutcomeAnswers>();
  for (const row of db.select().from(outcomeAnswers).all()) answers.set(row.batchId, { ...answers.get(row.batchId), [row.figure]: row.answer });
  return answers;
}

/** Every batch that the log learns from: those that were not left off, oldest first. */
export function loggedBatches(db: KitchenDb): readonly LoggedBatch[] {
  const taken = new Map<string, Partial<Record<ReadingKind, number>>>();
  for (const row of db.select().from(readings).all()) {
    const kind = ReadingKindSchema.safeParse(row.kind);
    if (kind.success) taken.set(row.batchId, { ...taken.get(row.batchId), [kind.data]: row.value });
  }
  const answers = readAnswers(db);
  // Of a plan only its forecast is read: the steps of a hundred thousand batches are not.
  const forecast = sql<string>`json_extract(${batches.plan}, '$.forecast')`;
  const rows = db
    .select({ id: batches.id, at: batches.startedAt, forecast })
    .from(batches)
    .where(ne(batches.status, 'abandoned'))
    .orderBy(asc(batches.startedAt))
    .all();
  return readRows('batch', rows, (row) => {
    const known = taken.get(row.id);
    return known
      ? [{ id: row.id, at: row.at, forecast: ForecastSchema.parse(JSON.parse(row.forecast)), readings: known, answers: answers.get(row.id) ?? {} }]
      : [];
  }).flat();
}

const kept = new WeakMap<KitchenDb, { readonly stamp: string; readonly corrections: readonly KitchenCorrection[] }>();

/** What the log makes of each house figure. Worked out anew only when a reading, an answer or what was left off has changed: a tick on Pass is none of these. */
export function readCorrections(db: KitchenDb, mixers: readonly Mixer[]): readonly KitchenCorrection[] {
  const of = db.get<{ n: number; o: number; t: number; a: string | null; k: string | null }>(
    sql`select (select count(*) from readings) n, (select count(*) from batches where status = 'abandoned') o, (select coalesce(sum(taken_at), 0) + coalesce(sum(value), 0) from readings) t, (select group_concat(batch_id || figure || answer) from outcome_answers) a, (select group_concat(id) from tune_tests) k`,
  );
  const stamp = JSON.stringify([of, mixers]);
  const known = kept.get(db);
  if (known?.stamp === stamp) return known.corrections;
  const corrections = correctionsFrom([...loggedBatches(db).flatMap((b) => outcomesOf(b, mixers)), ...outcomesOfTests(db, mixers)], mixers);
  kept.set(db, { stamp, corrections });
  return corrections;
}

/** Takes down whether an outcome far off counts; null takes the answer back. */
export function answerOutcome(db: KitchenDb, batchId: string, figure: LearnableFigure, answer: 'count' | 'leave-out' | null): void {
  db.transaction((tx) => {
    tx.delete(outcomeAnswers)
      .where(sql`${outcomeAnswers.batchId} = ${batchId} and ${outcomeAnswers.figure} = ${figure}`)
      .run();
    if (answer) tx.insert(outcomeAnswers).values({ batchId, figure, answer }).run();
  });
}

/** Whether the forecasts follow the log. The rules' revision moves with it, so that an open form of the kitchen hears of it. */
export function setLearning(db: KitchenDb, learning: boolean): void {
  db.transaction((tx) => {
    const row = tx.select().from(kitchenRules).where(eq(kitchenRules.id, 1)).get();
    if (!row) return;
    tx.update(kitchenRules)
      .set({ rules: { ...KitchenRulesSchema.parse(row.rules), learning }, revision: row.revision + 1 })
      .where(eq(kitchenRules.id, 1))
      .run();
  });
}
