import { isDeepStrictEqual } from 'node:util';
import { count, eq, gte } from 'drizzle-orm';
import { IngredientSchema } from '../core/composition/ingredient';
import { kitchenOf } from '../core/kitchen/kitchen';
import { KitchenRulesSchema, type KitchenRules } from '../core/kitchen/schema';
import { fail, ok, type Result } from '../core/result';
import { effectOf, EffectSchema, type Effect } from '../core/tuning/effect';
import { MeasuredSchema, type Measured } from '../core/tuning/measured';
import { tuned, type Tuned } from '../core/tuning/tuned';
import { IN_USE_DAYS } from '../core/tuning/house';
import { thingNow, type SheetInUse } from '../core/tuning/worth';
import type { KitchenDb } from './kitchen-file';
import { readKitchenFacts } from './kitchen-facts';
import { listSheets } from './sheets';
import { batches, coldPlaces, ingredients, kitchenRules, tuneTests, vessels } from './schema';

type Tx = Pick<KitchenDb, 'select' | 'update' | 'insert' | 'delete'>;

/** Changes the rules, and says so to every open form of the kitchen. */
function changeRules(tx: Tx, change: (rules: KitchenRules) => KitchenRules): void {
  const row = tx.select().from(kitchenRules).where(eq(kitchenRules.id, 1)).get();
  if (!row) return;
  tx.update(kitchenRules)
    .set({ rules: KitchenRulesSchema.parse(change(KitchenRulesSchema.parse(row.rules))), revision: row.revision + 1 })
    .where(eq(kitchenRules.id, 1))
    .run();
}

/** Puts what an effect sets, or what was there before, into the kitchen. */
function put(tx: Tx, effect: Effect, which: 'set' | 'was'): void {
  switch (effect.of) {
    case 'place': {
      const { airC, hWPerM2K } = effect[which];
      tx.update(coldPlaces)
        .set({ airC, hWPerM2K: hWPerM2K ?? null })
        .where(eq(coldPlaces.id, effect.id))
        .run();
      return changeRules(tx, (r) => r);
    }
    case 'biscuit': {
      const row = tx.select().from(ingredients).where(eq(ingredients.id, effect.id)).get();
      const facts = row && IngredientSchema.parse(row.facts);
      if (!row || !facts?.biscuit) return;
      tx.update(ingredients)
        .set({ facts: IngredientSchema.parse({ ...facts, biscuit: { ...facts.biscuit, uptakePct: effect[which] } }), revision: row.revision + 1 })
        .where(eq(ingredients.id, effect.id))
        .run();
      return;
    }
    case 'glass':
      tx.update(vessels).set({ shape: effect[which] }).where(eq(vessels.id, effect.id)).run();
      return changeRules(tx, (r) => r);
    case 'oven': {
      const offK = effect[which];
      return changeRules(tx, (r) => ({ ...r, ovens: r.ovens.map((o) => (o.id === effect.id ? { ...o, offK: offK ?? undefined } : o)) }));
    }
    case 'scale': {
      const scaleOffPct = effect[which];
      return changeRules(tx, (r) => ({ ...r, scaleOffPct }));
    }
    case 'hob': {
      const { watts, boilsC } = effect[which];
      return changeRules(tx, (r) => ({ ...r, hobW: watts, waterBoilsC: boilsC }));
    }
  }
}

/**
 * Keeps a test: what it came to stands in the kitchen from then on. One that is sent twice is kept once.
 * @param now ms since 1970. @returns what it came to, or the fault of what was measured.
 */
export function keepTest(db: KitchenDb, id: string, measured: Measured, now: number): Result<Tuned> {
  const valid = MeasuredSchema.parse(measured);
  return db.transaction(
    (tx): Result<Tuned> => {
      const kitchen = kitchenOf(readKitchenFacts(db));
      const result = tuned(valid, kitchen);
      if (!result.ok || tx.select({ id: tuneTests.id }).from(tuneTests).where(eq(tuneTests.id, id)).get()) return result;
      const effect = effectOf(valid, result.value, kitchen);
      tx.insert(tuneTests)
        .values({ id, at: now, measured: valid, thingWas: thingNow(valid.kind, valid.thing, kitchen) ?? '', effect })
        .run();
      if (effect) put(tx, effect, 'set');
      return result;
    },
    { behavior: 'immediate' },
  );
}

/** Takes a test back: what stood there before stands there again, unless something else was set since. */
export function takeBackTest(db: KitchenDb, id: string): Result<null> {
  return db.transaction(
    (tx): Result<null> => {
      const row = tx.select().from(tuneTests).where(eq(tuneTests.id, id)).get();
      if (!row) return fail('id', 'gone', 'This test is no longer there.');
      tx.delete(tuneTests).where(eq(tuneTests.id, id)).run();
      const effect = EffectSchema.nullable().parse(row.effect);
      if (effect && stillSet(effect, readKitchenFacts(db))) put(tx, effect, 'was');
      return ok(null);
    },
    { behavior: 'immediate' },
  );
}

/** Whether what an effect set is what stands there now. */
function stillSet(effect: Effect, { larder, vessels: shelf, places, rules }: ReturnType<typeof readKitchenFacts>): boolean {
  const now = (): unknown => {
    switch (effect.of) {
      case 'place': {
        const p = places.find((x) => x.id === effect.id);
        return p && { airC: p.airC, hWPerM2K: p.hWPerM2K };
      }
      case 'biscuit':
        return larder.find((x) => x.id === effect.id)?.biscuit?.uptakePct;
      case 'glass':
        return shelf.find((x) => x.id === effect.id)?.vessel;
      case 'oven':
        return rules.ovens.find((x) => x.id === effect.id)?.offK ?? null;
      case 'scale':
        return rules.scaleOffPct;
      case 'hob':
        return { watts: rules.hobW, boilsC: rules.waterBoilsC };
    }
  };
  return isDeepStrictEqual(now(), effect.set);
}

/** The sheets that are worth narrowing for: the ones last touched, with their batches of the last months. @param now ms since 1970. */
export function sheetsInUse(db: KitchenDb, now: number): readonly SheetInUse[] {
  const since = now - IN_USE_DAYS * 86_400_000;
  const made = new Map(
    db
      .select({ sheetId: batches.sheetId, n: count() })
      .from(batches)
      .where(gte(batches.startedAt, since))
      .groupBy(batches.sheetId)
      .all()
      .map((r) => [r.sheetId, r.n]),
  );
  return listSheets(db, MOST_SHEETS).map((s) => ({ id: s.id, name: s.doc.name, doc: s.doc, batches: made.get(s.id) ?? 0 }));
}
/** More sheets than a kitchen makes in a season. */
const MOST_SHEETS = 200;
