import { desc, sql } from 'drizzle-orm';
import type { Outcome } from '../core/batch/outcomes';
import type { Mixer } from '../core/kitchen/schema';
import { MeasuredSchema, type KeptTest } from '../core/tuning/measured';
import { whiskedIn } from '../core/tuning/tuned';
import { mixerNow } from '../core/tuning/worth';
import type { KitchenDb } from './kitchen-file';
import { tuneTests } from './schema';
import { readRows } from './unreadable';

/** Every tuning test that was kept, the newest first. */
export const keptTests = (db: Pick<KitchenDb, 'select'>): readonly KeptTest[] =>
  readRows(
    'tuning test',
    db
      .select()
      .from(tuneTests)
      .orderBy(desc(tuneTests.at), desc(sql`rowid`))
      .all(),
    (row) => ({ id: row.id, at: row.at, measured: MeasuredSchema.parse(row.measured), thingWas: row.thingWas }),
  );

/** What the log learns from the tests: timed creams, each as one more outcome of the mixer that is still the same. */
export const outcomesOfTests = (db: Pick<KitchenDb, 'select'>, mixers: readonly Mixer[]): readonly Outcome[] =>
  keptTests(db).flatMap(({ id, at, measured: m, thingWas }): Outcome[] => {
    const mixer = mixers.find((x) => x.id === m.thing);
    if (m.kind !== 'whisk' || !mixer || mixerNow(mixer) !== thingWas) return [];
    const r = whiskedIn(m, mixer);
    return r.ok && r.value.kind === 'whisk' ? [{ figure: 'whisk-time', context: mixer.id, ratio: r.value.ratio, at, batchId: id, answer: 'count' }] : [];
  });
