import { nextDay } from '../../core/timetable/zone';
import type { Slot, Written } from '../../core/book/entry';
import { addToBook, kitchenDay } from '../book';
import type { KitchenDb } from '../kitchen-file';
import { batchPacks } from '../schema';

/** What Gannet Quay cleans and checks each day. */
export const SAMPLE_JOBS: readonly string[] = ['Whisk, bowls and siphon parts scalded', 'Fridge shelves and seals wiped', 'Probe read in ice water: 0 °C'];

const YESTERDAY: readonly (readonly [placeId: string, slot: Slot, c: number])[] = [
  ['under-counter', 'morning', 3],
  ['under-counter', 'evening', 4],
  ['tall-fridge', 'morning', 4],
  ['tall-fridge', 'evening', 7],
  ['chest', 'morning', -20],
  ['chest', 'evening', -19],
];

const BY_HAND: readonly (readonly [batchId: string, ingredientId: string, lot: string])[] = [
  ['sample-9', 'mascarpone', 'M 75 C'],
  ['sample-9', 'cream-36', 'L 3284'],
  ['sample-9', 'brown-butter', 'own, 26 Nov'],
];

/** Yesterday written and signed, with a reading outside of its rule and one that was corrected; this morning begun. */
export function sampleBook(db: KitchenDb, now: number): void {
  const today = kitchenDay(db, now);
  const yesterday = nextDay(today, -1);
  let n = 0;
  const write = (day: string, by: string, says: Written, corrects: string | null = null): string => {
    const id = `sample-book-${++n}`;
    const hoursAgo = day === today ? 1 : 14;
    const added = addToBook(db, { id, day, by, says, corrects }, now - hoursAgo * 3_600_000 + n * 60_000);
    if (!added.ok) throw new Error(`sample book: ${added.fault.says}`);
    return id;
  };
  const cook = (slot: Slot): string => (slot === 'morning' ? 'Early cook' : 'Late cook');
  for (const [placeId, slot, c] of YESTERDAY) write(yesterday, cook(slot), { kind: 'place', placeId, slot, c });
  for (const job of SAMPLE_JOBS) write(yesterday, 'Late cook', { kind: 'cleaned', job });
  write(yesterday, 'Late cook', { kind: 'remark', words: 'Tall fridge at 7 °C after the delivery; door seal cleaned, 4 °C an hour later.' });
  write(yesterday, 'Late cook', { kind: 'signed' });
  const wrong = write(today, 'Early cook', { kind: 'place', placeId: 'under-counter', slot: 'morning', c: 13 });
  write(today, 'Early cook', { kind: 'place', placeId: 'under-counter', slot: 'morning', c: 3 }, wrong);
  write(today, 'Early cook', { kind: 'cleaned', job: SAMPLE_JOBS[0]! });
  for (const [batchId, ingredientId, lot] of BY_HAND) write(today, 'Early cook', { kind: 'lot', batchId, ingredientId, lot, bestBefore: null });
  // The last chantilly and the one before it came out of the opened carton.
  for (const [batchId, massG] of [
    ['sample-8', 300],
    ['sample-10', 320],
  ] as const)
    db.insert(batchPacks).values({ batchId, packId: 'pack-2', massG }).run();
}
