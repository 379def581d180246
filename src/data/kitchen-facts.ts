import { asc, eq } from 'drizzle-orm';
import { IngredientSchema } from '../core/composition/ingredient';
import type { KitchenFacts } from '../core/sheet/analyse';
import { ColdPlaceSchema, KitchenRulesSchema, ShelfVesselSchema } from '../core/sheet/schema';
import type { KitchenDb } from './kitchen-file';
import { coldPlaces, ingredients, kitchenRules, mixers, vessels } from './schema';

/** The kitchen's larder, mixers, vessels, cold places and rules. */
export function readKitchenFacts(db: KitchenDb): KitchenFacts {
  const rules = db.select().from(kitchenRules).where(eq(kitchenRules.id, 1)).get();
  return {
    larder: db.select().from(ingredients).orderBy(asc(ingredients.name)).all().map((row) => IngredientSchema.parse(row.facts)),
    mixers: db.select().from(mixers).orderBy(asc(mixers.place)).all().map(({ id, name, kind, bowlMl }) => ({ id, name, kind, bowlMl })),
    vessels: db.select().from(vessels).orderBy(asc(vessels.place)).all().map((row) => ShelfVesselSchema.parse({ id: row.id, vessel: row.shape, count: row.count })),
    places: db.select().from(coldPlaces).orderBy(asc(coldPlaces.place)).all().map((row) => ColdPlaceSchema.parse(row)),
    rules: KitchenRulesSchema.parse(rules?.rules),
  };
}
