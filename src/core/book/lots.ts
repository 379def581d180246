import { standing, type BookEntry } from './entry';
import type { BookBatch } from './facts';

/** A lot of an ingredient, and what was made of it. */
export interface LotTrace {
  readonly ingredientId: string;
  readonly ingredient: string;
  readonly lot: string;
  readonly bestBefore: string | null;
  /** Newest first; `by`: who wrote the lot down, null where it was drawn from a pack of the larder. */
  readonly desserts: readonly { readonly batchId: string; readonly name: string; readonly startedAt: number; readonly by: string | null }[];
}

/** Lots are told apart by their letters and digits, however they are spaced and written. */
const same = (lot: string): string => lot.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/**
 * Every lot and which desserts had it. What was written by hand stands for what was drawn from packs.
 * @param asked part of a lot as it is printed on a carton; '' for all of them.
 */
export function traceLots(
  batches: readonly Pick<BookBatch, 'id' | 'name' | 'startedAt' | 'lots'>[],
  entries: readonly BookEntry[],
  asked = '',
): readonly LotTrace[] {
  const byHand = new Map(
    standing(entries).flatMap(({ entry: e }) =>
      e.says.kind === 'lot' ? [[`${e.says.batchId} ${e.says.ingredientId}`, { ...e.says, by: e.by }] as const] : [],
    ),
  );
  const found = new Map<string, LotTrace>();
  for (const b of batches.toSorted((x, y) => y.startedAt - x.startedAt))
    for (const use of b.lots) {
      const hand = byHand.get(`${b.id} ${use.ingredientId}`);
      for (const p of hand ? [hand] : use.packs) {
        const key = `${use.ingredientId} ${same(p.lot)} ${p.bestBefore}`;
        const before = found.get(key) ?? { ingredientId: use.ingredientId, ingredient: use.name, lot: p.lot, bestBefore: p.bestBefore, desserts: [] };
        if (before.desserts.some((d) => d.batchId === b.id)) continue;
        found.set(key, { ...before, desserts: [...before.desserts, { batchId: b.id, name: b.name, startedAt: b.startedAt, by: hand?.by ?? null }] });
      }
    }
  return dated([...found.values()]).filter((t) => same(t.lot).includes(same(asked)));
}

/** A lot that was written without its day is that of the only delivery that has it. */
function dated(all: readonly LotTrace[]): readonly LotTrace[] {
  const homeOf = (t: LotTrace): LotTrace | null => {
    const of = all.filter((x) => x.bestBefore !== null && x.ingredientId === t.ingredientId && same(x.lot) === same(t.lot));
    return t.bestBefore === null && of.length === 1 ? of[0]! : null;
  };
  return all
    .filter((t) => homeOf(t) === null)
    .map((t) => ({
      ...t,
      desserts: [t, ...all.filter((x) => homeOf(x) === t)].flatMap((x) => x.desserts).toSorted((a, b) => b.startedAt - a.startedAt),
    }));
}
