import { desc, eq } from 'drizzle-orm';
import { readServiceDoc, ServiceSchema, type Service } from '../core/timetable/service-schema';
import type { KitchenDb } from './kitchen-file';
import { services } from './schema';

export interface StoredService {
  readonly id: string;
  readonly doc: Service;
  readonly revision: number;
  readonly updatedAt: number;
}

type Row = typeof services.$inferSelect;

function stored(row: Row): StoredService {
  const doc = readServiceDoc(row.doc);
  if (!doc.ok) throw new Error(`stored service: ${doc.fault.says}`);
  return { id: row.id, doc: doc.value, revision: row.revision, updatedAt: row.updatedAt };
}

/** All services, last touched first. */
export const listServices = (db: KitchenDb): StoredService[] => db.select().from(services).orderBy(desc(services.updatedAt)).all().map(stored);

export function getService(db: KitchenDb, id: string): StoredService | null {
  const row = db.select().from(services).where(eq(services.id, id)).get();
  return row ? stored(row) : null;
}

export function createService(db: KitchenDb, id: string, doc: Service, now: number): StoredService {
  const valid = ServiceSchema.parse(doc);
  return stored(db.insert(services).values({ id, name: valid.name, doc: valid, createdAt: now, updatedAt: now }).returning().get());
}

export type ServiceOutcome = { readonly kind: 'saved'; readonly service: StoredService } | { readonly kind: 'conflict'; readonly current: StoredService } | { readonly kind: 'gone' };

/** Saves a service that was read at `baseRevision`; nothing when another screen saved since. */
export function saveService(db: KitchenDb, id: string, doc: Service, baseRevision: number, now: number): ServiceOutcome {
  const valid = ServiceSchema.parse(doc);
  return db.transaction(
    (tx): ServiceOutcome => {
      const row = tx.select().from(services).where(eq(services.id, id)).get();
      if (!row) return { kind: 'gone' };
      if (row.revision !== baseRevision) return { kind: 'conflict', current: stored(row) };
      return { kind: 'saved', service: stored(tx.update(services).set({ name: valid.name, doc: valid, revision: row.revision + 1, updatedAt: now }).where(eq(services.id, id)).returning().get()) };
    },
    { behavior: 'immediate' },
  );
}

/** Takes a service away; its batches stay in the log. Whether there was one. */
export const removeService = (db: KitchenDb, id: string): boolean => db.delete(services).where(eq(services.id, id)).run().changes > 0;

/** Notes which batch makes a serving, whatever else was changed meanwhile. Whether there is such a serving. */
export function setServingBatch(db: KitchenDb, serviceId: string, servingId: string, batchId: string, now: number): boolean {
  return db.transaction(
    (tx) => {
      const row = tx.select().from(services).where(eq(services.id, serviceId)).get();
      if (!row) return false;
      const { doc, revision } = stored(row);
      if (!doc.servings.some((s) => s.id === servingId)) return false;
      const next = { ...doc, servings: doc.servings.map((s) => (s.id === servingId ? { ...s, batchId } : s)) };
      tx.update(services).set({ doc: next, revision: revision + 1, updatedAt: now }).where(eq(services.id, serviceId)).run();
      return true;
    },
    { behavior: 'immediate' },
  );
}
