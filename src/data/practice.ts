import { desc } from 'drizzle-orm';
import type { KitchenDb } from './kitchen-file';
import { practiceStops } from './schema';

/** A stop of a practice run, as it is kept. */
export interface PracticeStop {
  readonly seed: number;
  readonly stoppedS: number;
  readonly at: number;
}

/** So many are shown; older ones stay in the file. */
const SHOWN = 200;

export function addPracticeStop(db: KitchenDb, stop: PracticeStop): void {
  db.transaction((tx) => tx.insert(practiceStops).values(stop).run());
}

/** The last stops, newest first. */
export const listPracticeStops = (db: KitchenDb): readonly PracticeStop[] =>
  db
    .select({ seed: practiceStops.seed, stoppedS: practiceStops.stoppedS, at: practiceStops.at })
    .from(practiceStops)
    .orderBy(desc(practiceStops.id))
    .limit(SHOWN)
    .all();
