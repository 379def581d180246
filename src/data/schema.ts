import { integer, real, sqliteTable, text, uniqueIndex, index } from 'drizzle-orm/sqlite-core';
import type { BookEntry } from '../core/book/entry';
import type { Effect } from '../core/tuning/effect';
import type { Measured } from '../core/tuning/measured';
import type { TrialSays } from '../core/trials/series';
import type { Ingredient } from '../core/composition/ingredient';
import type { Vessel } from '../core/vessel/schema';
import type { BatchPlan, Progress } from '../core/batch/batch';
import { OBSERVATION_KINDS } from '../core/batch/observation';
import type { Sheet } from '../core/document/schema';
import type { ColdPlace, KitchenRules } from '../core/kitchen/schema';
import type { Service } from '../core/timetable/service-schema';

/** Times are milliseconds since 1970. Every table that is edited carries a revision, checked at each write. */

export const ingredients = sqliteTable('ingredients', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  facts: text('facts', { mode: 'json' }).$type<Ingredient>().notNull(),
  revision: integer('revision').notNull().default(1),
});

export const mixers = sqliteTable('mixers', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind', { enum: ['planetary', 'hand-mixer', 'balloon-whisk', 'processor'] }).notNull(),
  bowlMl: real('bowl_ml').notNull(),
  place: integer('place').notNull(),
  revision: integer('revision').notNull().default(1),
});

/** The vessels on the shelf. */
export const vessels = sqliteTable('vessels', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  shape: text('shape', { mode: 'json' }).$type<Vessel>().notNull(),
  count: integer('count').notNull(),
  place: integer('place').notNull(),
  revision: integer('revision').notNull().default(1),
});

/** Fridges, freezers, the counter. */
export const coldPlaces = sqliteTable('cold_places', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind').$type<ColdPlace['kind']>().notNull(),
  airC: real('air_c').notNull(),
  litres: real('litres').notNull(),
  /** Heat transfer fitted to the kitchen's own readings, W/m²K. */
  hWPerM2K: real('h_w_per_m2k'),
  place: integer('place').notNull(),
  revision: integer('revision').notNull().default(1),
});

export const kitchenRules = sqliteTable('kitchen_rules', {
  id: integer('id').primaryKey(),
  rules: text('rules', { mode: 'json' }).$type<KitchenRules>().notNull(),
  revision: integer('revision').notNull().default(1),
});

export const sheets = sqliteTable('sheets', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  doc: text('doc', { mode: 'json' }).$type<Sheet>().notNull(),
  headVersion: integer('head_version').notNull(),
  revision: integer('revision').notNull().default(1),
  createdAt: integer('created_at').notNull(),
  updatedAt: integer('updated_at').notNull(),
  /** The screen that saved last, and the revision that its unbroken run of saves began on: its own saves are no conflict. */
  savedBy: text('saved_by').notNull().default(''),
  savedOver: integer('saved_over').notNull().default(0),
  /** That screen's own count of its saves, so that one that was overtaken on the way is not taken for a newer. */
  savedCount: integer('saved_count').notNull().default(0),
  /** Where the kitchen keeps it, by its own name; '' for nowhere. */
  folder: text('folder').notNull().default(''),
  /** Put away: it is not on Today, and still there for what was made of it. Null while it is in use. */
  archivedAt: integer('archived_at'),
});

export const sheetVersions = sqliteTable(
  'sheet_versions',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id),
    number: integer('number').notNull(),
    name: text('name'),
    doc: text('doc', { mode: 'json' }).$type<Sheet>().notNull(),
    createdAt: integer('created_at').notNull(),
    savedAt: integer('saved_at').notNull(),
  },
  (t) => [uniqueIndex('sheet_versions_number').on(t.sheetId, t.number)],
);

export const batches = sqliteTable(
  'batches',
  {
    id: text('id').primaryKey(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id),
    sheetVersion: integer('sheet_version').notNull(),
    portions: integer('portions').notNull(),
    status: text('status', { enum: ['running', 'finished', 'abandoned'] }).notNull(),
    plan: text('plan', { mode: 'json' }).$type<BatchPlan>().notNull(),
    progress: text('progress', { mode: 'json' }).$type<Progress>().notNull(),
    startedAt: integer('started_at').notNull(),
    endedAt: integer('ended_at'),
    revision: integer('revision').notNull().default(1),
  },
  (t) => [
    index('batches_by_sheet').on(t.sheetId, t.startedAt),
    index('batches_by_start').on(t.startedAt),
    index('batches_by_status').on(t.status, t.startedAt),
  ],
);

/** What was done to a batch, by the id that its screen gave it: an event that is sent twice is known and changes nothing. */
export const batchEvents = sqliteTable(
  'batch_events',
  {
    id: text('id').primaryKey(),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    at: integer('at').notNull(),
  },
  (t) => [index('batch_events_by_batch').on(t.batchId)],
);

export const readings = sqliteTable(
  'readings',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    kind: text('kind').notNull(),
    value: real('value').notNull(),
    takenAt: integer('taken_at').notNull(),
  },
  (t) => [uniqueIndex('readings_kind').on(t.batchId, t.kind)],
);

/** Practised stops: which run, and when it was stopped; what that was worth follows from the core. */
export const practiceStops = sqliteTable('practice_stops', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  seed: integer('seed').notNull(),
  stoppedS: real('stopped_s').notNull(),
  at: integer('at').notNull(),
});

/** Temperatures of a batch, by series: a step and a probe. The same moment of a series is kept once. */
export const temperatures = sqliteTable(
  'temperatures',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    series: text('series').notNull(),
    at: integer('at').notNull(),
    tC: real('t_c').notNull(),
  },
  (t) => [uniqueIndex('temperatures_moment').on(t.batchId, t.series, t.at)],
);

/** What went wrong in a batch and was mended: from these the causes of this kitchen are learnt, and which rescues work here. */
export const mends = sqliteTable(
  'mends',
  {
    id: text('id').primaryKey(),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    at: integer('at').notNull(),
    sign: text('sign').notNull(),
    cause: text('cause').notNull(),
    helped: integer('helped', { mode: 'boolean' }),
  },
  (t) => [index('mends_by_sign').on(t.sign)],
);

/** What was seen of a batch afterwards. A photo lies as a file beside the data file. */
export const observations = sqliteTable(
  'observations',
  {
    id: text('id').primaryKey(),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    kind: text('kind', { enum: OBSERVATION_KINDS }).notNull(),
    at: integer('at').notNull(),
    value: real('value'),
    words: text('words').notNull().default(''),
    photo: text('photo'),
  },
  (t) => [index('observations_by_batch').on(t.batchId)],
);

/** The cook's answer about an outcome far off what the log had led to expect. */
export const outcomeAnswers = sqliteTable(
  'outcome_answers',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    figure: text('figure', { enum: ['whisk-time', 'overrun', 'hold'] }).notNull(),
    answer: text('answer', { enum: ['count', 'leave-out'] }).notNull(),
  },
  (t) => [uniqueIndex('outcome_answers_one').on(t.batchId, t.figure)],
);

/** Services: serving moments with who is there and what the cook has said of their tasks. */
export const services = sqliteTable('services', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  doc: text('doc', { mode: 'json' }).$type<Service>().notNull(),
  revision: integer('revision').notNull().default(1),
  createdAt: integer('created_at').notNull(),
  updatedAt: integer('updated_at').notNull(),
  /** Taken away, and kept for a month in case it is wanted back. Null while it is planned. */
  removedAt: integer('removed_at'),
});

/** Packs in the larder, whole and opened; batches draw them down. */
export const stockPacks = sqliteTable(
  'stock_packs',
  {
    id: text('id').primaryKey(),
    ingredientId: text('ingredient_id').notNull(),
    sizeG: real('size_g').notNull(),
    leftG: real('left_g').notNull(),
    bestBefore: text('best_before'),
    /** The maker's lot as it is printed on the pack; '' where it was not written down. */
    lot: text('lot').notNull().default(''),
    addedAt: integer('added_at').notNull(),
  },
  (t) => [index('stock_packs_by_ingredient').on(t.ingredientId)],
);

/** What a batch was drawn from when it ended: so a carton is traced to its desserts. */
export const batchPacks = sqliteTable(
  'batch_packs',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    packId: text('pack_id')
      .notNull()
      .references(() => stockPacks.id),
    massG: real('mass_g').notNull(),
  },
  (t) => [uniqueIndex('batch_packs_one').on(t.batchId, t.packId), index('batch_packs_by_pack').on(t.packId)],
);

/** The book: nothing in it is ever changed or taken out; a correction is a row of its own. `subject`: what the entry is about. */
export const bookEntries = sqliteTable(
  'book_entries',
  {
    id: text('id').primaryKey(),
    day: text('day').notNull(),
    at: integer('at').notNull(),
    subject: text('subject').notNull(),
    entry: text('entry', { mode: 'json' }).$type<BookEntry>().notNull(),
  },
  (t) => [index('book_entries_by_day').on(t.day), index('book_entries_by_subject').on(t.subject)],
);

/** The small tests that tune a kitchen; `effect`: what each set, and what stood there before. */
export const tuneTests = sqliteTable(
  'tune_tests',
  {
    id: text('id').primaryKey(),
    at: integer('at').notNull(),
    measured: text('measured', { mode: 'json' }).$type<Measured>().notNull(),
    thingWas: text('thing_was').notNull(),
    effect: text('effect', { mode: 'json' }).$type<Effect | null>(),
  },
  (t) => [index('tune_tests_by_time').on(t.at)],
);

/** Trials that teach: nothing of a series is changed or taken out; what was wrong is taken back by a row of its own. */
export const trialEvents = sqliteTable(
  'trial_events',
  {
    id: text('id').primaryKey(),
    seriesId: text('series_id').notNull(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id),
    at: integer('at').notNull(),
    says: text('says', { mode: 'json' }).$type<TrialSays>().notNull(),
  },
  (t) => [index('trial_events_by_series').on(t.seriesId), index('trial_events_by_sheet').on(t.sheetId)],
);
