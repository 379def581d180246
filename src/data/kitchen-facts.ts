import { asc, eq } from 'drizzle-orm';
import { IngredientSchema, type Ingredient } from '../core/composition/ingredient';
import type { KitchenFacts } from '../core/kitchen/kitchen';
import { ColdPlaceSchema, KitchenRulesSchema, ShelfVesselSchema } from '../core/kitchen/schema';
import type { KitchenDb } from './kitchen-file';
import { readCorrections } from './learning';
import { coldPlaces, ingredients, kitchenRules, mixers, vessels } from './schema';
import { readRows } from './unreadable';

/** The kitchen's ingredients by name; a row that cannot be read is left out and named. */
export const readLarder = (db: KitchenDb): Ingredient[] =>
  readRows('ingredient', db.select().from(ingredients).orderBy(asc(ingredients.name)).all(), (i) => IngredientSchema.parse(i.facts));

/** The kitchen's larder, mixers, vessels, cold places and rules, and what its log has found. */
export function readKitchenFacts(db: KitchenDb): KitchenFacts {
  const row = db.select().from(kitchenRules).where(eq(kitchenRules.id, 1)).get();
  const rules = KitchenRulesSchema.parse(row?.rules);
  const known = db
    .select()
    .from(mixers)
    .orderBy(asc(mixers.place))
    .all()
    .map(({ id, name, kind, bowlMl }) => ({ id, name, kind, bowlMl }));
  return {
    larder: readLarder(db),
    mixers: known,
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
    rules,
    corrections: rules.learning ? readCorrections(db, known) : [],
  };
}
