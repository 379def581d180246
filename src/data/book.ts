import { asc, eq, inArray, or } from 'drizzle-orm';
import { takenBy } from '../core/batch/batch';
import { admitted, BookEntrySchema, standing, subjectOf, type BookEntry, type NewEntry } from '../core/book/entry';
import { bookDay, type BookDay } from '../core/book/book-day';
import type { BookBatch, BookFacts, BookServing, LotUse } from '../core/book/facts';
import { traceLots, type LotTrace } from '../core/book/lots';
import type { Ingredient } from '../core/composition/ingredient';
import { declarations } from '../core/files/tub-label';
import { roleOf, type Role } from '../core/larder/role';
import { isDiscarded } from '../core/mend/batch-case';
import { ok, type Result } from '../core/result';
import { dishOf } from '../core/timetable/dish';
import { localTime, minuteOf, nextDay } from '../core/timetable/zone';
import { getBatch, listBatches, type StoredBatch } from './batches';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { eatByOf } from './labels';
import { batchPacks, bookEntries, stockPacks } from './schema';
import { dishCache, serviceFacts } from './service-plans';
import { listServices } from './services';
import { listTemperatures } from './temperatures';
import { readRows } from './unreadable';

const MINUTE_MS = 60_000;
/** Batches of so many days before stand on a page while they may still be eaten. */
const LOOK_BACK_DAYS = 31;
/** Whose cartons are asked for: what spoils, and what is cooked because it may carry germs. */
const WITH_LOTS: ReadonlySet<Role> = new Set(['cream', 'milk', 'cheese', 'butter', 'sour', 'yolk', 'white', 'egg']);

const entryOf = (row: typeof bookEntries.$inferSelect): BookEntry => BookEntrySchema.parse(row.entry);

/**
 * Adds an entry to the book. One that is sent twice is there once.
 * @param now ms since 1970. @returns it as it stands; a fault where it may not be added.
 */
export function addToBook(db: KitchenDb, fresh: NewEntry, now: number): Result<BookEntry> {
  return db.transaction(
    (tx): Result<BookEntry> => {
      const known = tx.select().from(bookEntries).where(eq(bookEntries.id, fresh.id)).get();
      if (known) return ok(entryOf(known));
      const subject = subjectOf(fresh);
      const corrected = fresh.corrects === null ? undefined : tx.select().from(bookEntries).where(eq(bookEntries.id, fresh.corrects)).get();
      // Whatever stands in for an entry has its subject.
      const about = tx
        .select()
        .from(bookEntries)
        .where(inArray(bookEntries.subject, corrected ? [subject, corrected.subject] : [subject]))
        .all();
      const entry = admitted(readRows('book entry', about, entryOf), fresh, now);
      if (entry.ok)
        tx.insert(bookEntries)
          .values({ id: fresh.id, day: fresh.day, at: now, subject: corrected?.subject ?? subject, entry: entry.value })
          .run();
      return entry;
    },
    { behavior: 'immediate' },
  );
}

const zoneOf = (rules: { readonly zone: string }): string => rules.zone || Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The day that it is in the kitchen. @param now ms since 1970. */
export const kitchenDay = (db: KitchenDb, now: number): string => localTime(Math.floor(now / MINUTE_MS), zoneOf(readKitchenFacts(db).rules)).slice(0, 10);

function lotsOfBatch(db: KitchenDb, b: StoredBatch, larder: ReadonlyMap<string, Ingredient>): readonly LotUse[] {
  const used = new Set(takenBy(b.plan, b.progress, b.status !== 'abandoned').map((t) => t.ingredientId));
  const packs = db
    .select({ ingredientId: stockPacks.ingredientId, lot: stockPacks.lot, bestBefore: stockPacks.bestBefore })
    .from(batchPacks)
    .innerJoin(stockPacks, eq(stockPacks.id, batchPacks.packId))
    .where(eq(batchPacks.batchId, b.id))
    .all();
  return [...used].flatMap((id): LotUse[] => {
    const ingredient = larder.get(id);
    if (!ingredient || !WITH_LOTS.has(roleOf(ingredient))) return [];
    return [
      {
        ingredientId: id,
        name: ingredient.name,
        packs: packs.filter((p) => p.ingredientId === id && p.lot !== '').map(({ lot, bestBefore }) => ({ lot, bestBefore })),
      },
    ];
  });
}

function bookBatch(db: KitchenDb, b: StoredBatch, larder: ReadonlyMap<string, Ingredient>, now: number): BookBatch {
  const discarded = b.status === 'abandoned' || isDiscarded(b.progress.mends);
  const eatBy = b.status === 'finished' && !discarded ? eatByOf(db, b.id, now) : null;
  return {
    id: b.id,
    name: b.plan.sheetName,
    startedAt: b.startedAt,
    endedAt: b.endedAt,
    running: b.status === 'running',
    discarded,
    eatBy: eatBy?.ok ? eatBy.value * MINUTE_MS : null,
    steps: b.plan.steps.map(({ key, title, partName, heat }) => ({ key, title, partName, heat })),
    done: b.progress.done.filter((k) => !b.progress.skipped.includes(k)),
    samples: listTemperatures(db, b.id),
    lots: lotsOfBatch(db, b, larder),
  };
}

function servingsOf(db: KitchenDb, day: string, now: number): readonly BookServing[] {
  return listServices(db).flatMap((service) => {
    const { doc } = service;
    const mine = doc.servings.filter((s) => s.at.slice(0, 10) === day);
    if (mine.length === 0) return [];
    const { facts } = serviceFacts(db, doc, now);
    return mine.map((s): BookServing => {
      const sheet = facts.sheets.get(s.sheetId);
      const dish = sheet && dishOf(sheet, s, facts.kitchen, dishCache(db));
      return {
        id: `${service.id} ${s.id}`,
        service: doc.name,
        at: minuteOf(s.at, doc.zone),
        dessert: sheet?.name ?? 'a sheet that is gone',
        portions: s.portions,
        declares: dish?.ok ? declarations(dish.value.analysis) : null,
      };
    });
  });
}

/** Everything that a page of the book is written from. @param day 'YYYY-MM-DD'. @param now ms since 1970. */
export function bookFacts(db: KitchenDb, day: string, now: number): BookFacts {
  const { rules, places, larder } = readKitchenFacts(db);
  const zone = zoneOf(rules);
  const [from, to] = [minuteOf(`${day}T00:00`, zone) * MINUTE_MS, minuteOf(`${nextDay(day)}T00:00`, zone) * MINUTE_MS];
  const byId = new Map(larder.map((i) => [i.id, i]));
  const all = listBatches(db, { from: from - LOOK_BACK_DAYS * 86_400_000, before: to, limit: 1000 }).filter(
    (b) => b.startedAt >= from || (b.endedAt ?? 0) < to,
  );
  const subjects = all.flatMap((b) => [`ended ${b.id}`, ...b.plan.steps.flatMap((s) => s.lines.map((l) => `lot ${b.id} ${l.ingredientId}`))]);
  const rows = db
    .select()
    .from(bookEntries)
    .where(or(eq(bookEntries.day, day), inArray(bookEntries.subject, [...new Set(subjects)])))
    .orderBy(asc(bookEntries.at))
    .all();
  const entries = readRows('book entry', rows, entryOf);
  const saidBefore = new Set(standing(entries).flatMap(({ entry: e }) => (e.says.kind === 'ended' && e.day < day ? [e.says.batchId] : [])));
  const batches = all
    .filter((b) => b.startedAt >= from || !saidBefore.has(b.id))
    .map((b) => bookBatch(db, b, byId, now))
    // Made today, or still to be eaten on this day.
    .filter((b) => b.startedAt >= from || (b.eatBy !== null && b.eatBy >= from))
    .toSorted((a, b) => a.startedAt - b.startedAt);
  return { day, now: Math.floor(now / MINUTE_MS), zone, places, rules, entries, batches, servings: servingsOf(db, day, now) };
}

/** The longest that the book is written out for at once, days. */
export const MOST_DAYS = 62;

/** Pages of the book from one day to another, both with them; the first so many where they are more. */
export function bookDays(db: KitchenDb, from: string, to: string, now: number): readonly BookDay[] {
  const days: BookDay[] = [];
  for (let day = from; day <= to && days.length < MOST_DAYS; day = nextDay(day)) days.push(bookDay(bookFacts(db, day, now)));
  return days;
}

/** What the book has of one batch: the page of the day that it was begun on, its rows alone. Null where there is no such batch. */
export function bookOfBatch(db: KitchenDb, batchId: string, now: number): BookDay | null {
  const batch = getBatch(db, batchId);
  if (!batch) return null;
  const page = bookDay(bookFacts(db, kitchenDay(db, batch.startedAt), now));
  return { ...page, rows: page.rows.filter((r) => r.batchId === batchId) };
}

/** Lots of the last so many batches, and what was made of them. */
const TRACED_BATCHES = 1000;
export function tracedLots(db: KitchenDb, asked: string): readonly LotTrace[] {
  const { larder } = readKitchenFacts(db);
  const byId = new Map(larder.map((i) => [i.id, i]));
  const entries = readRows('book entry', db.select().from(bookEntries).orderBy(asc(bookEntries.at)).all(), entryOf);
  const batches = listBatches(db, { limit: TRACED_BATCHES }).map((b) => ({
    id: b.id,
    name: b.plan.sheetName,
    startedAt: b.startedAt,
    lots: lotsOfBatch(db, b, byId),
  }));
  return traceLots(batches, entries, asked);
}
