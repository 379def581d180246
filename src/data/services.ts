import { isDeepStrictEqual } from 'node:util';
import { and, desc, eq, isNotNull, isNull, lt } from 'drizzle-orm';
import { readServiceDoc, REMOVED_KEPT_DAYS, ServiceSchema, type Service } from '../core/timetable/service-schema';
import type { KitchenDb } from './kitchen-file';
import { services } from './schema';
import { readRows } from './unreadable';

export interface StoredService {
  readonly id: string;
  readonly doc: Service;
  readonly revision: number;
  readonly updatedAt: number;
}

type Row = typeof services.$inferSelect;

const planned = (id: string) => and(eq(services.id, id), isNull(services.removedAt));

function stored(row: Row): StoredService {
  const doc = readServiceDoc(row.doc);
  if (!doc.ok) throw new Error(`stored service: ${doc.fault.says}`);
  return { id: row.id, doc: doc.value, revision: row.revision, updatedAt: row.updatedAt };
}

/** All services that are planned, last touched first; one that cannot be read is named in the log and left out. */
export const listServices = (db: KitchenDb): StoredService[] =>
  readRows('service', db.select().from(services).where(isNull(services.removedAt)).orderBy(desc(services.updatedAt)).all(), stored);

export function getService(db: KitchenDb, id: string): StoredService | null {
  const row = db.select().from(services).where(planned(id)).get();
  return row ? stored(row) : null;
}

/** Makes a service; one that is there already stays as it is, for its screen only asks again. */
export function createService(db: KitchenDb, id: string, doc: Service, now: number): StoredService {
  const valid = ServiceSchema.parse(doc);
  const there = db.select().from(services).where(eq(services.id, id)).get();
  return stored(there ?? db.insert(services).values({ id, name: valid.name, doc: valid, createdAt: now, updatedAt: now }).returning().get());
}

export type ServiceOutcome =
  { readonly kind: 'saved'; readonly service: StoredService } | { readonly kind: 'conflict'; readonly current: StoredService } | { readonly kind: 'gone' };

/** Saves a service that was read at `baseRevision`; nothing when another screen saved since. */
export function saveService(db: KitchenDb, id: string, doc: Service, baseRevision: number, now: number): ServiceOutcome {
  const valid = ServiceSchema.parse(doc);
  return db.transaction(
    (tx): ServiceOutcome => {
      const row = tx.select().from(services).where(planned(id)).get();
      if (!row) return { kind: 'gone' };
      // The same words are saved already: an answer was lost, or two screens mean the same.
      if (isDeepStrictEqual(valid, ServiceSchema.parse(row.doc))) return { kind: 'saved', service: stored(row) };
      if (row.revision !== baseRevision) return { kind: 'conflict', current: stored(row) };
      return {
        kind: 'saved',
        service: stored(
          tx
            .update(services)
            .set({ name: valid.name, doc: valid, revision: row.revision + 1, updatedAt: now })
            .where(eq(services.id, id))
            .returning()
            .get(),
        ),
      };
    },
    { behavior: 'immediate' },
  );
}

const KEPT_MS = REMOVED_KEPT_DAYS * 86_400_000;

/** Takes a service away; its batches stay in the log. It is kept for a month, and what has been away longer goes. Whether there was one. */
export function removeService(db: KitchenDb, id: string, now: number): boolean {
  db.delete(services)
    .where(lt(services.removedAt, now - KEPT_MS))
    .run();
  return db.update(services).set({ removedAt: now }).where(planned(id)).run().changes > 0;
}

/** A service that was taken away, and until when it is kept. */
export interface RemovedService extends StoredService {
  readonly until: number;
}

/** What was taken away within the last month, the last first. */
export const removedServices = (db: KitchenDb, now: number): RemovedService[] =>
  readRows('service', db.select().from(services).where(isNotNull(services.removedAt)).orderBy(desc(services.removedAt)).all(), (row) => ({
    ...stored(row),
    until: row.removedAt! + KEPT_MS,
  })).filter((s) => s.until > now);

/** Brings a service back that was taken away, as it was. Whether there was one. */
export const bringServiceBack = (db: KitchenDb, id: string): boolean =>
  db
    .update(services)
    .set({ removedAt: null })
    .where(and(eq(services.id, id), isNotNull(services.removedAt)))
    .run().changes > 0;

/** Notes which batch makes a serving, whatever else was changed meanwhile. Whether there is such a serving. */
export function setServingBatch(db: KitchenDb, serviceId: string, servingId: string, batchId: string, now: number): boolean {
  return db.transaction(
    (tx) => {
      const row = tx.select().from(services).where(planned(serviceId)).get();
      if (!row) return false;
      const { doc, revision } = stored(row);
      if (!doc.servings.some((s) => s.id === servingId)) return false;
      const next = { ...doc, servings: doc.servings.map((s) => (s.id === servingId ? { ...s, batchId } : s)) };
      tx.update(services)
        .set({ doc: next, revision: revision + 1, updatedAt: now })
        .where(eq(services.id, serviceId))
        .run();
      return true;
    },
    { behavior: 'immediate' },
  );
}
