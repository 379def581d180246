import { and, desc, eq, gte, lt, sql } from 'drizzle-orm';
import {
  BatchPlanSchema,
  freshProgress,
  takenBy,
  progressAfter,
  ProgressSchema,
  withTimes,
  type BatchPlan,
  type Progress,
  type ProgressEvent,
} from '../core/batch/batch';
import type { ReadingKind } from '../core/batch/method';
import { readReading, ReadingKindSchema, type Readings } from '../core/batch/readings';
import { batchChanged } from './batch-watch';
import type { KitchenDb } from './kitchen-file';
import { keepMends } from './mends';
import { batchEvents, batches, readings } from './schema';
import { drawStock } from './stock';
import { readRows } from './unreadable';

export interface StoredBatch {
  readonly id: string;
  readonly sheetId: string;
  readonly sheetVersion: number;
  readonly portions: number;
  readonly status: 'running' | 'finished' | 'abandoned';
  readonly plan: BatchPlan;
  readonly progress: Progress;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly revision: number;
  readonly readings: Readings;
}

type Row = typeof batches.$inferSelect;
type Tx = Pick<KitchenDb, 'select'>;

function readingsOf(db: Tx, batchId: string): Readings {
  const taken: Partial<Record<ReadingKind, number>> = {};
  for (const row of db.select().from(readings).where(eq(readings.batchId, batchId)).all()) {
    const kind = ReadingKindSchema.safeParse(row.kind);
    if (kind.success) taken[kind.data] = row.value;
  }
  return taken;
}

const stored = (db: Tx, row: Row): StoredBatch => ({
  ...row,
  plan: BatchPlanSchema.parse(row.plan),
  progress: ProgressSchema.parse(row.progress),
  readings: readingsOf(db, row.id),
});

/** Which batches are wanted. Moments are ms since 1970. */
export interface BatchesWanted {
  readonly sheetId?: string | undefined;
  /** Started before it. */
  readonly before?: number | undefined;
  /** Started from it on. */
  readonly from?: number | undefined;
  /** Where it went; null for those of which nobody said. */
  readonly placeId?: string | null | undefined;
  readonly limit?: number | undefined;
}

const placeOf = sql<string | null>`json_extract(${batches.progress}, '$.placeId')`;
const wantedWhere = (w: BatchesWanted) =>
  and(
    w.sheetId ? eq(batches.sheetId, w.sheetId) : undefined,
    w.before === undefined ? undefined : lt(batches.startedAt, w.before),
    w.from === undefined ? undefined : gte(batches.startedAt, w.from),
    w.placeId === undefined ? undefined : w.placeId === null ? sql`${placeOf} is null` : sql`${placeOf} = ${w.placeId}`,
  );

/** Batches, newest first: 200 unless another limit is wanted. */
export function listBatches(db: KitchenDb, wanted: BatchesWanted = {}): StoredBatch[] {
  const rows = db
    .select()
    .from(batches)
    .where(wantedWhere(wanted))
    .orderBy(desc(batches.startedAt))
    .limit(wanted.limit ?? 200)
    .all();
  return readRows('batch', rows, (row) => stored(db, row));
}

/** Places to which the latest batches went; null among them where nobody said. */
export function placesOfBatches(db: KitchenDb, sheetId?: string): readonly (string | null)[] {
  const latest = db.select({ place: placeOf }).from(batches).where(wantedWhere({ sheetId })).orderBy(desc(batches.startedAt)).limit(200).all();
  return [...new Set(latest.map((r) => r.place))];
}

/** The name of each batch's sheet when it was made, without reading its plan. */
export const batchNames = (db: KitchenDb): ReadonlyMap<string, string> =>
  new Map(
    db
      .select({ id: batches.id, name: sql<string>`json_extract(${batches.plan}, '$.sheetName')` })
      .from(batches)
      .all()
      .map((r) => [r.id, r.name]),
  );

export function getBatch(db: KitchenDb, id: string): StoredBatch | null {
  const row = db.select().from(batches).where(eq(batches.id, id)).get();
  return row ? (readRows('batch', [row], (r) => stored(db, r))[0] ?? null) : null;
}

/** The batch of a sheet that is being made now, if there is one. */
export function runningBatch(db: KitchenDb, sheetId?: string): StoredBatch | null {
  const running = eq(batches.status, 'running');
  const row = db
    .select()
    .from(batches)
    .where(sheetId ? and(running, eq(batches.sheetId, sheetId)) : running)
    .orderBy(desc(batches.startedAt))
    .get();
  return row ? (readRows('batch', [row], (r) => stored(db, r))[0] ?? null) : null;
}

export interface NewBatch {
  readonly id: string;
  readonly sheetId: string;
  readonly sheetVersion: number;
  readonly portions: number;
  readonly plan: BatchPlan;
  readonly startedAt: number;
}

export function startBatch(db: KitchenDb, batch: NewBatch): StoredBatch {
  return db.transaction((tx) => {
    const row = tx
      .insert(batches)
      .values({ ...batch, plan: BatchPlanSchema.parse(batch.plan), status: 'running', progress: freshProgress() })
      .returning()
      .get();
    return stored(tx, row);
  });
}

/** How far a batch has come, without its plan: what every tablet is told at each touch. */
export type BatchNow = Pick<StoredBatch, 'id' | 'revision' | 'progress' | 'status'>;

/** Without the plan, which is most of the row. */
const NOW = { id: batches.id, revision: batches.revision, progress: batches.progress, status: batches.status };
const nowOf = (row: Pick<Row, 'id' | 'revision' | 'progress' | 'status'>): BatchNow => ({
  id: row.id,
  revision: row.revision,
  progress: ProgressSchema.parse(row.progress),
  status: row.status,
});

/** What every touch on Pass asks, made ready once for each open file: making a question ready takes longer than answering it. */
const questionsOf = (db: KitchenDb) => ({
  now: db
    .select(NOW)
    .from(batches)
    .where(eq(batches.id, sql.placeholder('id')))
    .prepare(),
  known: db
    .select({ id: batchEvents.id })
    .from(batchEvents)
    .where(eq(batchEvents.id, sql.placeholder('id')))
    .prepare(),
  step: db
    .update(batches)
    .set({ progress: sql`${sql.placeholder('progress')}`, revision: sql`${batches.revision} + 1` })
    .where(eq(batches.id, sql.placeholder('id')))
    .prepare(),
  keep: db
    .insert(batchEvents)
    .values({ id: sql.placeholder('id'), batchId: sql.placeholder('batchId'), at: sql.placeholder('at') })
    .prepare(),
});
const ready = new WeakMap<KitchenDb, ReturnType<typeof questionsOf>>();
function questions(db: KitchenDb): ReturnType<typeof questionsOf> {
  const had = ready.get(db);
  if (had) return had;
  const made = questionsOf(db);
  ready.set(db, made);
  return made;
}

/** How far a batch has come; null where there is none, or none that can be read. */
function batchNow(db: KitchenDb, id: string): BatchNow | null {
  const row = questions(db).now.get({ id });
  return row ? (readRows('batch', [row], nowOf)[0] ?? null) : null;
}

/** The same as the text that streams say. */
export function readNews(db: KitchenDb, id: string): string | null {
  const now = batchNow(db, id);
  return now && JSON.stringify(now);
}

export type EventOutcome =
  | { readonly kind: 'done'; readonly batch: BatchNow }
  /** Another screen has written since, or there is another text than the one written over; nothing was done. */
  | { readonly kind: 'behind'; readonly current: BatchNow }
  | { readonly kind: 'gone' };

/**
 * Does one thing to a batch that was read at `baseRevision`, in one transaction. A written field becomes a reading when
 * it can be read; an unreadable or emptied one takes the reading away, and its text stays.
 * @param eventId of the screen that did it: one that is known already changes nothing, and is answered as done.
 */
export function recordEvent(db: KitchenDb, id: string, event: ProgressEvent, baseRevision: number, now: number, eventId: string | null = null): EventOutcome {
  const ask = questions(db);
  const outcome = db.transaction(
    (tx): EventOutcome => {
      const row = ask.now.get({ id });
      if (!row) return { kind: 'gone' };
      if (eventId !== null && ask.known.get({ id: eventId })) return { kind: 'done', batch: nowOf(row) };
      if (row.revision !== baseRevision) return { kind: 'behind', current: nowOf(row) };
      const before = ProgressSchema.parse(row.progress);
      // A text that was written over one that is no longer there is the cook's to decide, also where all else was known.
      if (event.kind === 'write' && ![event.was, event.text].includes(before.fields[event.reading] ?? '')) return { kind: 'behind', current: nowOf(row) };
      const progress = withTimes(before, progressAfter(before, event), now);
      const revision = row.revision + 1;
      const ended = row.status !== 'running' ? null : event.kind === 'finish' ? 'finished' : event.kind === 'abandon' ? 'abandoned' : null;
      ask.step.run({ id, progress: JSON.stringify(progress) });
      if (ended !== null) {
        drawStock(tx, id, takenBy(planOf(tx, id), progress, ended === 'finished'), new Date(now).toISOString().slice(0, 10));
        tx.update(batches).set({ status: ended, endedAt: now }).where(eq(batches.id, id)).run();
      }
      for (const kind of ReadingKindSchema.options) {
        if (progress.fields[kind] !== before.fields[kind]) setReading(tx, id, kind, progress.fields[kind] ?? '', now);
      }
      if (progress.mends !== before.mends) keepMends(tx, id, progress.mends);
      if (eventId !== null) ask.keep.run({ id: eventId, batchId: id, at: now });
      return { kind: 'done', batch: { id, revision, progress, status: ended ?? row.status } };
    },
    { behavior: 'immediate' },
  );
  if (outcome.kind === 'done') batchChanged(id, () => JSON.stringify(outcome.batch));
  return outcome;
}

const planOf = (tx: Tx, id: string): BatchPlan => BatchPlanSchema.parse(tx.select({ plan: batches.plan }).from(batches).where(eq(batches.id, id)).get()!.plan);

function setReading(tx: Pick<KitchenDb, 'insert' | 'delete'>, batchId: string, kind: ReadingKind, text: string, now: number): void {
  const value = readReading(kind, text);
  if (!value.ok) {
    tx.delete(readings)
      .where(and(eq(readings.batchId, batchId), eq(readings.kind, kind)))
      .run();
    return;
  }
  tx.insert(readings)
    .values({ batchId, kind, value: value.value, takenAt: now })
    .onConflictDoUpdate({ target: [readings.batchId, readings.kind], set: { value: value.value, takenAt: now } })
    .run();
}
