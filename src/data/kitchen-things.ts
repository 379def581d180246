import { eq, sql } from 'drizzle-orm';
import {
  ColdPlaceSchema,
  KitchenRulesSchema,
  MixerSchema,
  ShelfVesselSchema,
  type ColdPlace,
  type KitchenRules,
  type Mixer,
  type ShelfVessel,
} from '../core/kitchen/schema';
import type { KitchenDb } from './kitchen-file';
import { coldPlaces, kitchenRules, mixers, vessels } from './schema';

/** The kitchen's vessels, mixers, cold places and rules are each saved whole: the lists are short and one cook keeps them. */
export interface KitchenThings {
  readonly vessels: readonly ShelfVessel[];
  readonly mixers: readonly Mixer[];
  readonly places: readonly ColdPlace[];
  readonly rules: KitchenRules;
}

/** The count of changes of the kitchen's things, checked at each write. */
export const thingsRevision = (db: KitchenDb): number =>
  db.select({ revision: kitchenRules.revision }).from(kitchenRules).where(eq(kitchenRules.id, 1)).get()?.revision ?? 0;

export type ThingsOutcome = { readonly kind: 'saved'; readonly revision: number } | { readonly kind: 'conflict' };

/** Saves the kitchen's things as they were edited from `baseRevision`; one transaction, and nothing when another screen saved since. */
export function saveThings(db: KitchenDb, things: KitchenThings, baseRevision: number): ThingsOutcome {
  const valid = {
    vessels: things.vessels.map((v) => ShelfVesselSchema.parse(v)),
    mixers: things.mixers.map((m) => MixerSchema.parse(m)),
    places: things.places.map((p) => ColdPlaceSchema.parse(p)),
    rules: KitchenRulesSchema.parse(things.rules),
  };
  return db.transaction(
    (tx): ThingsOutcome => {
      const row = tx.select({ revision: kitchenRules.revision }).from(kitchenRules).where(eq(kitchenRules.id, 1)).get();
      if (!row || row.revision !== baseRevision) return { kind: 'conflict' };
      tx.delete(vessels).run();
      tx.delete(mixers).run();
      tx.delete(coldPlaces).run();
      if (valid.vessels.length > 0)
        tx.insert(vessels)
          .values(valid.vessels.map((v, place) => ({ id: v.id, name: v.vessel.name, shape: v.vessel, count: v.count, place })))
          .run();
      if (valid.mixers.length > 0)
        tx.insert(mixers)
          .values(valid.mixers.map((m, place) => ({ ...m, place })))
          .run();
      if (valid.places.length > 0)
        tx.insert(coldPlaces)
          .values(valid.places.map((p, place) => ({ ...p, place })))
          .run();
      tx.update(kitchenRules)
        .set({ rules: valid.rules, revision: row.revision + 1 })
        .where(eq(kitchenRules.id, 1))
        .run();
      return { kind: 'saved', revision: row.revision + 1 };
    },
    { behavior: 'immediate' },
  );
}

/** Keeps the heat transfer that a place's readings came to, W/m²K, or takes it away. Whether there is such a place. */
export function setPlaceH(db: KitchenDb, placeId: string, hWPerM2K: number | null): boolean {
  return db.transaction(
    (tx) => {
      const changed = tx.update(coldPlaces).set({ hWPerM2K }).where(eq(coldPlaces.id, placeId)).run().changes > 0;
      if (changed)
        tx.update(kitchenRules)
          .set({ revision: sql`${kitchenRules.revision} + 1` })
          .where(eq(kitchenRules.id, 1))
          .run();
      return changed;
    },
    { behavior: 'immediate' },
  );
}
