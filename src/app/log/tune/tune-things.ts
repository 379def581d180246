import type { Ingredient } from '../../../core/composition/ingredient';
import type { TunedThings } from '../../../core/tuning/tuned';

/** A kitchen as far as its tests go, as it travels to the page. */
export interface TuneThings extends Omit<TunedThings, 'larder'> {
  readonly larder: readonly Ingredient[];
}

/** The things of a kitchen with its biscuits by id, as a test asks for them. */
export const knownOf = (things: TuneThings): TunedThings => ({ ...things, larder: new Map(things.larder.map((i) => [i.id, i])) });
