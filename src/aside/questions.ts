import { readFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import type { BookDay } from '../core/book/book-day';
import type { LotTrace } from '../core/book/lots';
import { calculate, type CalculatorName } from '../core/calculators';
import type { LabelGridKey } from '../core/files/label-sizes';
import { logCsv, logJson } from '../core/files/log-files';
import { tubLabelPdf } from '../core/files/tub-label-pdf';
import { readLarderCsv, writeLarderCsv } from '../core/larder/larder-csv';
import { fail, ok, type Result } from '../core/result';
import type { Point } from '../core/trials/liking';
import { learntOf, type Learnt } from '../core/trials/next-trial';
import type { Tastings } from '../core/trials/tastings';
import type { ServiceAnswer } from '../core/timetable/service-plan';
import { holdingsOf, type Holdings } from '../data/copies';
import { bookDays, bookOfBatch, tracedLots } from '../data/book';
import type { KitchenDb } from '../data/kitchen-file';
import { readLarder } from '../data/kitchen-facts';
import { batchLabels, serviceLabels } from '../data/labels';
import { compareLarder, larderRevisions, type Compared } from '../data/larder';
import { readLog } from '../data/log';
import { kitchenNamed } from '../data/named-kitchens';
import * as schema from '../data/schema';
import { plannedService } from '../data/service-plans';
import { getService } from '../data/services';
import { kitchenToZip, zipToCopy } from '../data/whole-kitchen';

/*
 * What takes long is asked of a second thread, so that no screen waits for another's question: each of these is one. They run in a thread
 * of their own (see aside.ts), which reads the data file itself and writes nothing in it: the server's first thread is its only writer.
 */

/** Opens the data file for reading as long as one question lasts: it always sees what was acknowledged last. */
function reading<T>(path: string, run: (db: KitchenDb) => T): T {
  let client: Database.Database | null = null;
  try {
    client = new Database(path, { readonly: true, fileMustExist: true });
    client.pragma('busy_timeout = 4000');
    return run(drizzle(client, { schema }));
  } catch (error) {
    // The database's own kind of error loses its words on the way to the other thread.
    throw new Error(error instanceof Error ? error.message : String(error));
  } finally {
    client?.close();
  }
}

const gone = <T>(): Result<T> => fail('service', 'gone', 'This service is no longer in the kitchen.');

/** The plan of a stored service. @param now milliseconds since 1970. @returns a fault `gone` when it is not there, or what planning found. */
export const plan = ({ path, serviceId, now }: { readonly path: string; readonly serviceId: string; readonly now: number }): Result<ServiceAnswer> =>
  reading(path, (db) => {
    const service = getService(db, serviceId);
    return service ? plannedService(db, service, now) : gone();
  });

export interface LabelsQuestion {
  readonly path: string;
  readonly of: { readonly batchId: string } | { readonly serviceId: string; readonly servings: readonly string[] };
  readonly grid: LabelGridKey;
  /** Places on the first sheet that are used up. */
  readonly skip: number;
  readonly now: number;
}

/** Tub labels as PDF. @returns a fault `gone` when batch or service is not there. */
export async function labels({ path, of, grid, skip, now }: LabelsQuestion): Promise<Result<Uint8Array>> {
  const read = reading(path, (db) => {
    if ('batchId' in of) return batchLabels(db, of.batchId, now);
    const service = getService(db, of.serviceId);
    return service ? serviceLabels(db, service, of.servings, now) : gone<never>();
  });
  return read.ok ? ok(await tubLabelPdf(read.value, grid, skip)) : read;
}

/** What the tastings of a series say; null where nothing can be compared yet. */
export const trialsLearnt = ({ points, said }: { readonly points: readonly Point[]; readonly said: Tastings }): Learnt | null => learntOf(points, said);

/** A calculator's answer to what was sent, with a kitchen that ships with the program. */
export const calculated = ({ name, input }: { readonly name: CalculatorName; readonly input: unknown }) => calculate(name, input, kitchenNamed);

/** What a larder's file would change in this kitchen: how many of its rows could be read, what differs, and a sentence for each row that cannot be read. */
export function larderCompared({
  path,
  text,
}: {
  readonly path: string;
  readonly text: string;
}): Result<Compared & { readonly rows: number; readonly faults: readonly string[] }> {
  const read = readLarderCsv(text);
  if (!read.ok) return read;
  const { ingredients, revisions, faults } = read.value;
  return ok({ ...reading(path, (db) => compareLarder(db, ingredients, revisions)), rows: ingredients.length, faults: faults.map((f) => f.says) });
}

/** The kitchen's larder as a CSV file. */
export const larderFile = ({ path }: { readonly path: string }): string => reading(path, (db) => writeLarderCsv(readLarder(db), larderRevisions(db)));

/** The log as a file, newest batch first. @param sheetId only the batches of this sheet. */
export const logFile = ({ path, sheetId, format }: { readonly path: string; readonly sheetId: string | undefined; readonly format: 'csv' | 'json' }): string =>
  (format === 'csv' ? logCsv : logJson)(reading(path, (db) => readLog(db, sheetId)));

/** Pages of the book from one day to another, 'YYYY-MM-DD'. @param now ms since 1970. */
export const bookPages = ({
  path,
  from,
  to,
  now,
}: {
  readonly path: string;
  readonly from: string;
  readonly to: string;
  readonly now: number;
}): readonly BookDay[] => reading(path, (db) => bookDays(db, from, to, now));

/** What the book has of one batch; null where there is none. @param now ms since 1970. */
export const bookOf = ({ path, batchId, now }: { readonly path: string; readonly batchId: string; readonly now: number }): BookDay | null =>
  reading(path, (db) => bookOfBatch(db, batchId, now));

/** Lots and what was made of them. @param asked part of a lot as it is printed; '' for all. */
export const lots = ({ path, asked }: { readonly path: string; readonly asked: string }): readonly LotTrace[] => reading(path, (db) => tracedLots(db, asked));

/** What a copy of the data file holds, once it has been checked. @throws where it does not open or is damaged. */
export const holdings = ({ path }: { readonly path: string }): Holdings => holdingsOf(path);

/** The whole kitchen as a zip of open files. @param photos the folder of its pictures. */
export const kitchenZip = ({ path, photos }: { readonly path: string; readonly photos: string }): Uint8Array => reading(path, (db) => kitchenToZip(db, photos));

/** Such a zip as a copy in the folder of copies; the kitchen itself is not touched. @param zip where it lies. */
export const copyOfZip = ({ zip, folder, now }: { readonly zip: string; readonly folder: string; readonly now: number }) =>
  zipToCopy(readFileSync(zip), folder, now);
