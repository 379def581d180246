import { asc, eq, sql } from 'drizzle-orm';
import { ok, type Result } from '../core/result';
import { admittedTrial, keptOf, seriesOf, TrialSaysSchema, type NewTrialEvent, type Series, type TrialEvent } from '../core/trials/series';
import type { KitchenDb } from './kitchen-file';
import { trialEvents } from './schema';
import { readRows } from './unreadable';

const eventOf = (row: typeof trialEvents.$inferSelect): TrialEvent => ({
  id: row.id,
  seriesId: row.seriesId,
  at: row.at,
  says: TrialSaysSchema.parse(row.says),
});

const eventsOf = (db: Pick<KitchenDb, 'select'>, seriesId: string): readonly TrialEvent[] =>
  readRows(
    'trial',
    db
      .select()
      .from(trialEvents)
      .where(eq(trialEvents.seriesId, seriesId))
      .orderBy(asc(sql`rowid`))
      .all(),
    eventOf,
  );

/** A series as it stands; null where there is none. */
export const getSeries = (db: Pick<KitchenDb, 'select'>, seriesId: string): Series | null => seriesOf(eventsOf(db, seriesId));

/** Every series of a sheet, the newest first. */
export function listSeries(db: KitchenDb, sheetId: string): readonly Series[] {
  const rows = db
    .select()
    .from(trialEvents)
    .where(eq(trialEvents.sheetId, sheetId))
    .orderBy(asc(sql`rowid`))
    .all();
  return [...grouped(readRows('trial', rows, eventOf)).values()].flatMap((events) => seriesOf(events) ?? []).toReversed();
}

const grouped = (events: readonly TrialEvent[]): Map<string, TrialEvent[]> => {
  const out = new Map<string, TrialEvent[]>();
  for (const e of events) out.set(e.seriesId, [...(out.get(e.seriesId) ?? []), e]);
  return out;
};

/**
 * Adds an event to a series. One that is sent twice is there once.
 * @param sheetId of a series that begins; any other is of the sheet that it began with. @param now ms since 1970.
 * @returns the series as it stands then, or why the event cannot follow.
 */
export function addTrialEvent(db: KitchenDb, sheetId: string, fresh: NewTrialEvent, now: number): Result<Series | null> {
  return db.transaction(
    (tx): Result<Series | null> => {
      const before = getSeries(tx, fresh.seriesId);
      if (tx.select({ id: trialEvents.id }).from(trialEvents).where(eq(trialEvents.id, fresh.id)).get()) return ok(before);
      const may = admittedTrial(before, fresh);
      if (!may.ok) return may;
      const began = tx.select({ sheetId: trialEvents.sheetId }).from(trialEvents).where(eq(trialEvents.seriesId, fresh.seriesId)).limit(1).get();
      const of = began?.sheetId ?? sheetId;
      for (const e of keptOf(before, fresh)) tx.insert(trialEvents).values({ id: e.id, seriesId: e.seriesId, sheetId: of, at: now, says: e.says }).run();
      return ok(getSeries(tx, fresh.seriesId));
    },
    { behavior: 'immediate' },
  );
}

/** A series with the sheet that it is of; null where there is none. */
export function seriesSheet(db: KitchenDb, seriesId: string): { readonly sheetId: string; readonly series: Series } | null {
  const row = db.select({ sheetId: trialEvents.sheetId }).from(trialEvents).where(eq(trialEvents.seriesId, seriesId)).limit(1).get();
  const series = row && getSeries(db, seriesId);
  return row && series ? { sheetId: row.sheetId, series } : null;
}
