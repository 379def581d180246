import { inArray } from 'drizzle-orm';
import { kitchenOf, type Kitchen } from '../core/kitchen/kitchen';
import { BatchPlanSchema, ProgressSchema } from '../core/batch/batch';
import type { Sheet } from '../core/document/schema';
import { newDishCache } from '../core/timetable/dish';
import { planService, type ServiceAnswer } from '../core/timetable/service-plan';
import type { ServiceFacts, SoFar } from '../core/timetable/service-project';
import { soFarOf } from '../core/timetable/so-far';
import type { Service } from '../core/timetable/service-schema';
import type { Result } from '../core/result';
import { readKitchenFacts } from './kitchen-facts';
import type { KitchenDb } from './kitchen-file';
import { batches } from './schema';
import { everySheet, getSheet } from './sheets';
import type { StoredService } from './services';
import { readRows } from './unreadable';

const MINUTE_MS = 60_000;

/** How far the batches of a service have come, by serving. @param now milliseconds since 1970. */
export function soFarByServing(db: KitchenDb, service: Service, now: number): ReadonlyMap<string, SoFar> {
  const ids = service.servings.flatMap((s) => (s.batchId === null ? [] : [s.batchId]));
  if (ids.length === 0) return new Map();
  const rows = db.select().from(batches).where(inArray(batches.id, ids)).all();
  return new Map(
    service.servings.flatMap((s) => {
      const row = rows.find((r) => r.id === s.batchId);
      // One that was left off is made anew.
      if (!row || row.status === 'abandoned') return [];
      const { status } = row;
      return readRows(
        'batch',
        [row],
        (r) =>
          [
            s.id,
            soFarOf(
              { status, startedAt: r.startedAt, plan: BatchPlanSchema.parse(r.plan), progress: ProgressSchema.parse(r.progress) },
              Math.floor(now / MINUTE_MS),
            ),
          ] as const,
      );
    }),
  );
}

/** Kitchen and sheets stay the same objects while nothing changed, so that what the cold solver found is found again. */
const held = globalThis as typeof globalThis & {
  softPeakPlans?: {
    facts: string;
    kitchen: Kitchen;
    docs: Map<string, { revision: number; doc: Sheet }>;
    cache: ReturnType<typeof newDishCache>;
    answers: Map<string, { key: string; answer: Result<ServiceAnswer> }>;
  };
};

function heldFor(db: KitchenDb) {
  const facts = readKitchenFacts(db);
  const text = JSON.stringify(facts);
  if (held.softPeakPlans?.facts !== text)
    held.softPeakPlans = { facts: text, kitchen: kitchenOf(facts), docs: new Map(), cache: newDishCache(), answers: new Map() };
  return held.softPeakPlans;
}

/** Everything that planning a service rests on, as it is now. @param now milliseconds since 1970. */
export function serviceFacts(db: KitchenDb, service: Service, now: number): { readonly facts: ServiceFacts; readonly revisions: string } {
  const { kitchen, docs } = heldFor(db);
  const sheets = new Map<string, Sheet>();
  const revisions: string[] = [];
  for (const id of new Set(service.servings.map((s) => s.sheetId))) {
    const sheet = getSheet(db, id);
    if (!sheet) continue;
    const known = docs.get(id);
    const doc = known?.revision === sheet.revision ? known.doc : sheet.doc;
    docs.set(id, { revision: sheet.revision, doc });
    sheets.set(id, doc);
    revisions.push(`${id}:${sheet.revision}`);
  }
  return { facts: { service, kitchen, sheets, batches: soFarByServing(db, service, now), now: Math.floor(now / MINUTE_MS) }, revisions: revisions.join() };
}

/** The plan of a stored service as it stands; kept for some minutes while nothing that it rests on has changed. */
export function plannedService(db: KitchenDb, stored: StoredService, now: number): Result<ServiceAnswer> {
  const { facts, revisions } = serviceFacts(db, stored.doc, now);
  const { cache, answers } = heldFor(db);
  const key = JSON.stringify([stored.revision, revisions, [...facts.batches], Math.floor(now / (KEPT_MIN * MINUTE_MS))]);
  const known = answers.get(stored.id);
  if (known?.key === key) return known.answer;
  const answer = planService(facts, cache);
  answers.set(stored.id, { key, answer });
  return answer;
}
const KEPT_MIN = 2;

/** The dishes of a service, for labels and shopping. */
export const dishCache = (db: KitchenDb) => heldFor(db).cache;

/** Every sheet with its document, for choosing what is served. */
export const sheetsForService = (db: KitchenDb): { readonly id: string; readonly name: string; readonly doc: Sheet }[] =>
  everySheet(db).map((s) => ({ id: s.id, name: s.doc.name, doc: s.doc }));
