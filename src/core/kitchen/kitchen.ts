import type { Ingredient } from '../composition/ingredient';
import type { KitchenCorrection } from '../learning/correction';
import type { ColdPlace, KitchenRules, Mixer, ShelfVessel } from './schema';

/** Everything of a kitchen that a sheet's figures rest on. */
export interface Kitchen {
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly mixers: readonly Mixer[];
  readonly vessels: readonly ShelfVessel[];
  readonly places: readonly ColdPlace[];
  readonly rules: KitchenRules;
  /** What the log has found; empty where it is switched off. */
  readonly corrections: readonly KitchenCorrection[];
}

/** A kitchen as it travels to the browser: plain lists. */
export interface KitchenFacts extends Omit<Kitchen, 'larder'> {
  readonly larder: readonly Ingredient[];
}

/** A kitchen ready to be asked, its larder by id. */
export const kitchenOf = (facts: KitchenFacts): Kitchen => ({ ...facts, larder: new Map(facts.larder.map((i) => [i.id, i])) });
