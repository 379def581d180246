import { z } from 'zod';
import { MomentSchema } from '../batch/batch';
import { fail, ok, type Result } from '../result';

/** Readings of a place are asked for twice a day. */
export const SLOTS = ['morning', 'evening'] as const;
export type Slot = (typeof SLOTS)[number];
/** What became of what was made. */
export const ENDS = ['served', 'thrown away', 'frozen'] as const;

const id = z.string().min(1).max(80);
const words = z.string().trim().min(1).max(200);
export const DaySchema = z
  .string()
  .regex(/^20\d{2}-\d{2}-\d{2}$/, 'a day, like 2026-12-01')
  .refine((d) => new Date(`${d}T00:00:00Z`).toJSON()?.slice(0, 10) === d, 'a day that there is');

/** What an entry says. */
export const WrittenSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('place'), placeId: id, slot: z.enum(SLOTS), c: z.number().min(-60).max(60) }),
  z.object({ kind: z.literal('cleaned'), job: words }),
  z.object({ kind: z.literal('lot'), batchId: id, ingredientId: id, lot: words, bestBefore: DaySchema.nullable() }),
  z.object({ kind: z.literal('ended'), batchId: id, how: z.enum(ENDS) }),
  z.object({ kind: z.literal('remark'), words: z.string().trim().min(1).max(1000) }),
  z.object({ kind: z.literal('signed') }),
  /** What it corrects was never so. */
  z.object({ kind: z.literal('taken back') }),
]);
export type Written = Readonly<z.infer<typeof WrittenSchema>>;

/** An entry as a screen sends it. Nothing in the book is ever changed: a correction is an entry of its own. */
export const NewEntrySchema = z.object({
  id: z.string().regex(/^[\w-]{8,60}$/),
  day: DaySchema,
  by: z.string().trim().min(1).max(60),
  says: WrittenSchema,
  /** The entry that this one stands in for. */
  corrects: z.string().max(60).nullable().default(null),
});
export type NewEntry = Readonly<z.infer<typeof NewEntrySchema>>;
/** An entry as it stands in the book. `at`: when it was written, ms since 1970. */
export const BookEntrySchema = NewEntrySchema.extend({ at: MomentSchema });
export type BookEntry = Readonly<z.infer<typeof BookEntrySchema>>;

/** What an entry is about: two entries about the same cannot both stand. Remarks and what takes back stand for themselves. */
export function subjectOf(e: Pick<BookEntry, 'id' | 'day' | 'says'>): string {
  const { says, day } = e;
  switch (says.kind) {
    case 'place':
      return `${day} place ${says.placeId} ${says.slot}`;
    case 'cleaned':
      return `${day} cleaned ${says.job}`;
    case 'signed':
      return `${day} signed`;
    case 'lot':
      return `lot ${says.batchId} ${says.ingredientId}`;
    case 'ended':
      return `ended ${says.batchId}`;
    case 'remark':
    case 'taken back':
      return `${says.kind} ${e.id}`;
  }
}

/** An entry that stands, and those that it came to stand in for, oldest first. */
export interface Standing {
  readonly entry: BookEntry;
  readonly before: readonly BookEntry[];
}

/** What stands, oldest first: what was corrected is behind its correction, what was taken back is in nobody's place. */
export function standing(entries: readonly BookEntry[]): readonly Standing[] {
  const corrected = new Set(entries.map((e) => e.corrects));
  const byId = new Map(entries.map((e) => [e.id, e]));
  return entries
    .filter((e) => !corrected.has(e.id) && e.says.kind !== 'taken back')
    .toSorted((a, b) => a.at - b.at)
    .map((entry) => ({ entry, before: chainOf(entry, byId) }));
}

/** What was taken back, oldest first: it stays to be seen. */
export const takenBack = (entries: readonly BookEntry[]): readonly Standing[] => {
  const byId = new Map(entries.map((e) => [e.id, e]));
  return entries.filter((e) => e.says.kind === 'taken back').map((entry) => ({ entry, before: chainOf(entry, byId) }));
};

function chainOf(entry: BookEntry, byId: ReadonlyMap<string, BookEntry>): readonly BookEntry[] {
  const chain: BookEntry[] = [];
  for (let id = entry.corrects; id !== null && chain.length < byId.size;) {
    const before = byId.get(id);
    if (!before) break;
    chain.unshift(before);
    id = before.corrects;
  }
  return chain;
}

/**
 * Whether an entry may be added to those that are there.
 * @param entries at least all about the same, and what it corrects.
 * @returns it, with the moment; a fault on `corrects` when what it corrects is not there, was corrected already or is about something else,
 *   and on `says` when another entry about the same stands already.
 */
export function admitted(entries: readonly BookEntry[], fresh: NewEntry, at: number): Result<BookEntry> {
  const stands = standing(entries).map((s) => s.entry);
  const entry = { ...fresh, at };
  const { kind } = fresh.says;
  if (fresh.corrects === null) {
    if (kind === 'taken back') return fail('corrects', 'empty', 'It does not say what is taken back.');
    const other = stands.find((e) => subjectOf(e) === subjectOf(entry));
    return other ? fail('says', 'stands', `That was written already, by ${other.by}: correct it there.`) : ok(entry);
  }
  const before = stands.find((e) => e.id === fresh.corrects);
  if (!before) return fail('corrects', 'behind', 'It was corrected on another screen meanwhile: look at what stands there now.');
  const sameSubject = kind === 'remark' ? before.says.kind === 'remark' : subjectOf(entry) === subjectOf(before);
  return kind === 'taken back' || sameSubject ? ok(entry) : fail('corrects', 'other-subject', 'A correction says the same thing anew.');
}
