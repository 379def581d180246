import { z } from 'zod';
import type { Ingredient } from '../composition/ingredient';
import { PAN_TAKES } from '../heat/house';
import type { Kitchen } from '../kitchen/kitchen';
import { ColdPlaceSchema } from '../kitchen/schema';
import { VesselSchema } from '../vessel/schema';
import { isRound } from '../vessel/profile';
import { scaledToHold } from '../vessel/glass';
import type { Measured } from './measured';
import type { Tuned } from './tuned';

const air = ColdPlaceSchema.pick({ airC: true, hWPerM2K: true });
const uptake = z.tuple([z.number(), z.number(), z.number()]);
const number = z.number().nullable();

/** What a test changes in the kitchen: what it sets, and what stood there. A timed cream changes nothing: the log learns from it. */
export const EffectSchema = z.discriminatedUnion('of', [
  z.object({ of: z.literal('place'), id: z.string(), set: air, was: air }),
  z.object({ of: z.literal('biscuit'), id: z.string(), set: uptake, was: uptake }),
  z.object({ of: z.literal('glass'), id: z.string(), set: VesselSchema, was: VesselSchema }),
  z.object({ of: z.literal('oven'), id: z.string(), set: number, was: number }),
  z.object({ of: z.literal('scale'), set: number, was: number }),
  z.object({ of: z.literal('hob'), set: z.object({ watts: number, boilsC: z.number() }), was: z.object({ watts: number, boilsC: z.number() }) }),
]);
export type Effect = Readonly<z.infer<typeof EffectSchema>>;

/** A tenth of a kelvin, a percent: no test says more. */
const tenth = (x: number): number => Math.round(10 * x) / 10;

/** What keeping a test changes in the kitchen; null where the log learns from it instead, or nothing of it is left. */
export function effectOf(m: Measured, t: Tuned, kitchen: Pick<Kitchen, 'larder' | 'vessels' | 'places' | 'rules'>): Effect | null {
  switch (t.kind) {
    case 'whisk':
      return null;
    case 'cold': {
      const p = kitchen.places.find((x) => x.id === m.thing);
      if (!p) return null;
      return {
        of: 'place',
        id: p.id,
        set: { airC: tenth(t.airC), hWPerM2K: tenth(t.h) },
        was: { airC: p.airC, ...(p.hWPerM2K === undefined ? {} : { hWPerM2K: p.hWPerM2K }) },
      };
    }
    case 'dip': {
      const b: Ingredient['biscuit'] = kitchen.larder.get(m.thing)?.biscuit ?? null;
      if (!b) return null;
      const [one, two, four] = b.uptakePct;
      const scaled = (x: number): number => Math.min(400, tenth(x * t.ratio));
      return { of: 'biscuit', id: m.thing, set: [scaled(one), scaled(two), scaled(four)], was: [one, two, four] };
    }
    case 'glass': {
      const v = kitchen.vessels.find((x) => x.id === m.thing)?.vessel;
      if (!v || !isRound(v)) return null;
      const set = scaledToHold(v, { zMm: v.heightMm, ml: t.ml });
      return set.ok ? { of: 'glass', id: m.thing, set: set.value, was: v } : null;
    }
    case 'oven': {
      const o = kitchen.rules.ovens.find((x) => x.id === m.thing);
      return o ? { of: 'oven', id: o.id, set: tenth(t.offC), was: o.offK ?? null } : null;
    }
    case 'scale':
      return { of: 'scale', set: Math.round(100 * t.offPct) / 100, was: kitchen.rules.scaleOffPct };
    case 'hob':
      return {
        of: 'hob',
        set: { watts: Math.round(t.watts / PAN_TAKES), boilsC: t.boilsC ?? kitchen.rules.waterBoilsC },
        was: { watts: kitchen.rules.hobW, boilsC: kitchen.rules.waterBoilsC },
      };
  }
}
