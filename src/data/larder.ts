import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import { IngredientSchema, type Ingredient } from '../core/composition/ingredient';
import type { KitchenDb } from './kitchen-file';
import { ingredients } from './schema';
import { sheetsNaming } from './sheets';
import { readRows } from './unreadable';

export interface StoredIngredient {
  readonly ingredient: Ingredient;
  readonly revision: number;
}

export function getIngredient(db: KitchenDb, id: string): StoredIngredient | null {
  const row = db.select().from(ingredients).where(eq(ingredients.id, id)).get();
  return row ? (readRows('ingredient', [row], (r) => ({ ingredient: IngredientSchema.parse(r.facts), revision: r.revision }))[0] ?? null) : null;
}

export type LarderOutcome =
  { readonly kind: 'saved'; readonly stored: StoredIngredient } | { readonly kind: 'conflict'; readonly current: StoredIngredient } | { readonly kind: 'gone' };

/** Saves an ingredient that was read at `baseRevision`; 0 makes a new one. What another screen saved is never overwritten. */
export function saveIngredient(db: KitchenDb, ingredient: Ingredient, baseRevision: number): LarderOutcome {
  const valid = IngredientSchema.parse(ingredient);
  return db.transaction(
    (tx): LarderOutcome => {
      const row = tx.select().from(ingredients).where(eq(ingredients.id, valid.id)).get();
      if (!row && baseRevision !== 0) return { kind: 'gone' };
      if (!row) {
        const made = tx.insert(ingredients).values({ id: valid.id, name: valid.name, facts: valid }).returning().get();
        return { kind: 'saved', stored: { ingredient: valid, revision: made.revision } };
      }
      // The same words are saved already: an answer was lost, or two screens mean the same.
      if (isDeepStrictEqual(valid, IngredientSchema.parse(row.facts))) return { kind: 'saved', stored: { ingredient: valid, revision: row.revision } };
      if (row.revision !== baseRevision) return { kind: 'conflict', current: { ingredient: IngredientSchema.parse(row.facts), revision: row.revision } };
      const saved = tx
        .update(ingredients)
        .set({ name: valid.name, facts: valid, revision: row.revision + 1 })
        .where(eq(ingredients.id, valid.id))
        .returning()
        .get();
      return { kind: 'saved', stored: { ingredient: valid, revision: saved.revision } };
    },
    { behavior: 'immediate' },
  );
}

/** As which revision each ingredient stands in the larder, by id. */
export const larderRevisions = (db: KitchenDb): ReadonlyMap<string, number> =>
  new Map(
    db
      .select({ id: ingredients.id, revision: ingredients.revision })
      .from(ingredients)
      .all()
      .map((r) => [r.id, r.revision]),
  );

/** An ingredient of a larder file that differs from the kitchen's. */
export interface LarderChange {
  readonly id: string;
  readonly name: string;
  /** The whole ingredient, as the data file keeps it. */
  readonly facts: string;
  /** As which revision it stood when it was compared; null: it is new. */
  readonly from: number | null;
}

/** What a larder file would do: what differs, and the names of those that somebody has edited since the file was taken out: they stay. */
export interface Compared {
  readonly changes: readonly LarderChange[];
  readonly edited: readonly string[];
}

/**
 * Compares the ingredients of a larder file with the kitchen's; writes nothing.
 * @param revisions as which they were taken out; what is not named there counts as taken out just now.
 */
export function compareLarder(db: KitchenDb, list: readonly Ingredient[], revisions: ReadonlyMap<string, number> = new Map()): Compared {
  const here = new Map(
    db
      .select()
      .from(ingredients)
      .all()
      .map((r) => [r.id, r]),
  );
  const changes: LarderChange[] = [];
  const edited: string[] = [];
  for (const i of list) {
    const valid = IngredientSchema.parse(i);
    const row = here.get(valid.id);
    // Whatever the order of its words; a row that cannot be read is replaced.
    if (row && isDeepStrictEqual(valid, IngredientSchema.safeParse(row.facts).data)) continue;
    if (row && (revisions.get(valid.id) ?? row.revision) !== row.revision) edited.push(row.name);
    else changes.push({ id: valid.id, name: valid.name, facts: JSON.stringify(valid), from: row?.revision ?? null });
  }
  return { changes, edited };
}

/** What a larder file did: how many were added and replaced, and the names of those that stay as somebody edited them. */
export interface TakenOver {
  readonly added: number;
  readonly replaced: number;
  readonly edited: readonly string[];
}

/** Writes what was compared, in one transaction; what somebody else saved since then stays, and is named. */
export function takeOverLarder(db: KitchenDb, { changes, edited }: Compared): TakenOver {
  // By the database's own statements: the words of a row were made where there was time.
  const add = db.$client.prepare('insert into ingredients (id, name, facts) values (?, ?, ?) on conflict do nothing');
  const replace = db.$client.prepare('update ingredients set name = ?, facts = ?, revision = revision + 1 where id = ? and revision = ?');
  const write = db.$client.transaction((): TakenOver => {
    const late: string[] = [];
    let added = 0;
    let replaced = 0;
    for (const c of changes) {
      const written = c.from === null ? add.run(c.id, c.name, c.facts) : replace.run(c.name, c.facts, c.id, c.from);
      if (written.changes === 0) late.push(c.name);
      else if (c.from === null) added++;
      else replaced++;
    }
    return { added, replaced, edited: [...edited, ...late] };
  });
  return write.immediate();
}

/** A place where an ingredient is used. */
export interface IngredientUse {
  readonly sheetId: string;
  readonly sheetName: string;
  readonly part: string;
  readonly text: string;
}

/** Every line of every sheet that means an ingredient. */
export const usesOf = (db: KitchenDb, ingredientId: string): IngredientUse[] =>
  sheetsNaming(db, ingredientId).flatMap((s) =>
    s.doc.parts.flatMap((p) =>
      p.lines
        .filter((l) => (l.ingredientId ?? l.lastGood?.ingredientId) === ingredientId)
        .map((l) => ({ sheetId: s.id, sheetName: s.doc.name, part: p.name, text: l.text })),
    ),
  );

/** Takes one of the kitchen's own ingredients out; not while a sheet uses it, and not what came with the larder. */
export function removeIngredient(db: KitchenDb, id: string): 'removed' | 'used' | 'shipped' | 'gone' {
  const found = getIngredient(db, id);
  if (!found) return 'gone';
  if (!found.ingredient.own) return 'shipped';
  if (usesOf(db, id).length > 0) return 'used';
  db.delete(ingredients).where(eq(ingredients.id, id)).run();
  return 'removed';
}
