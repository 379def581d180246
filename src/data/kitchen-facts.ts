import { asc, eq, sql } from 'drizzle-orm';
import { IngredientSchema, type Ingredient } from '../core/composition/ingredient';
import type { KitchenFacts } from '../core/kitchen/kitchen';
import { ColdPlaceSchema, KitchenRulesSchema, ShelfVesselSchema } from '../core/kitchen/schema';
import type { KitchenDb } from './kitchen-file';
import { readCorrections } from './learning';
import { coldPlaces, ingredients, kitchenRules, mixers, vessels } from './schema';
import { readRows } from './unreadable';

/** Ingredients as they were read last, by what stands in the file: a larder is read for every page and seldom changes. */
const readBefore = new Map<string, { readonly text: string; readonly ingredient: Ingredient }>();

function ingredientOf({ id, text }: { readonly id: string; readonly text: string }): Ingredient {
  const before = readBefore.get(id);
  if (before?.text === text) return before.ingredient;
  const ingredient = IngredientSchema.parse(JSON.parse(text));
  readBefore.set(id, { text, ingredient });
  return ingredient;
}

/** The kitchen's ingredients by name; a row that cannot be read is left out and named. */
export const readLarder = (db: KitchenDb): Ingredient[] =>
  readRows(
    'ingredient',
    db
      .select({ id: ingredients.id, text: sql<string>`${ingredients.facts}` })
      .from(ingredients)
      .orderBy(asc(ingredients.name))
      .all(),
    ingredientOf,
  );

/** What stands in the kitchen, and its rules. */
export function readThings(db: KitchenDb): Pick<KitchenFacts, 'mixers' | 'vessels' | 'places' | 'rules'> {
  const row = db.select().from(kitchenRules).where(eq(kitchenRules.id, 1)).get();
  return {
    mixers: db
      .select()
      .from(mixers)
      .orderBy(asc(mixers.place))
      .all()
      .map(({ id, name, kind, bowlMl }) => ({ id, name, kind, bowlMl })),
    vessels: db
      .select()
      .from(vessels)
      .orderBy(asc(vessels.place))
      .all()
      .map((v) => ShelfVesselSchema.parse({ id: v.id, vessel: v.shape, count: v.count })),
    places: db
      .select()
      .from(coldPlaces)
      .orderBy(asc(coldPlaces.place))
      .all()
      .map((p) => ColdPlaceSchema.parse({ ...p, hWPerM2K: p.hWPerM2K ?? undefined })),
    rules: KitchenRulesSchema.parse(row?.rules),
  };
}

/** The kitchen's larder, mixers, vessels, cold places and rules, and what its log has found. */
export function readKitchenFacts(db: KitchenDb): KitchenFacts {
  const things = readThings(db);
  return { larder: readLarder(db), ...things, corrections: things.rules.learning ? readCorrections(db, things.mixers) : [] };
}
