import { z } from 'zod';
import { dairyCream } from '../composition/cream';
import { CompositionSchema } from '../composition/ingredient';
import { mix, type Mixture } from '../composition/mixture';
import type { SweetPortion } from '../composition/sweetness';
import { sucroseEquivalentG, type FreezingPortion } from '../heat/freezing';
import { fail, ok, type Result } from '../result';

const massG = z.number().positive().max(1_000_000);

/** Some grams of a cream by its fat, or of anything by its composition. */
export const PortionSchema = z.union([
  z.object({ massG, creamFatPct: z.number() }),
  z.object({ massG, per100: CompositionSchema, ownSweetness: z.number().min(0).nullable().optional(), ownFreezing: z.number().min(0).nullable().optional() }),
]);
export const PortionsSchema = z.array(PortionSchema).min(1).max(500);

export interface ReadPortions {
  readonly portions: readonly (SweetPortion & FreezingPortion)[];
  readonly mixture: Mixture;
  readonly sucroseEqG: number;
}

/** Portions as a calculator is given them, mixed. @returns a fault on a cream's fat outside its range. */
export function readPortions(given: z.infer<typeof PortionsSchema>): Result<ReadPortions> {
  const portions: (SweetPortion & FreezingPortion)[] = [];
  for (const p of given) {
    if ('per100' in p) {
      portions.push({ massG: p.massG, per100: p.per100, ownSweetness: p.ownSweetness ?? null, ownFreezing: p.ownFreezing ?? null });
      continue;
    }
    const cream = dairyCream(p.creamFatPct);
    if (!cream.ok) return cream;
    portions.push({ massG: p.massG, per100: cream.value });
  }
  const mixture = mix(portions);
  return mixture.massG > 0
    ? ok({ portions, mixture, sucroseEqG: sucroseEquivalentG(portions) })
    : fail('portions', 'empty', 'There is nothing to mix: give at least one portion.');
}
