import { AIR_H, FRIDGE_UA, WALLS, type AirKind, type Wall } from '../heat/surface';
import { fail, ok, type Result } from '../result';
import type { Kitchen } from './kitchen';
import type { Family, PlaceKind } from '../document/kinds';
import type { ColdPlace } from './schema';
import type { Vessel } from '../vessel/schema';
import type { ColdSetup } from '../document/cold-plan-schema';

const AIR_OF_PLACE: Readonly<Record<PlaceKind, AirKind>> = {
  'still-fridge': 'still-fridge',
  'fan-fridge': 'fan-fridge',
  'chest-freezer': 'chest-freezer',
  'frost-free-freezer': 'frost-free-freezer',
  'blast-chiller': 'blast-chiller',
  counter: 'counter',
};

/** Fan-moved machines are those of kitchens, still ones those of homes. */
const UA_OF_PLACE: Readonly<Record<PlaceKind, number | null>> = {
  'still-fridge': FRIDGE_UA.domestic,
  'fan-fridge': FRIDGE_UA['under-counter'],
  'chest-freezer': FRIDGE_UA.domestic,
  'frost-free-freezer': FRIDGE_UA['under-counter'],
  'blast-chiller': FRIDGE_UA.blast,
  counter: null,
};

const FREEZERS: readonly PlaceKind[] = ['chest-freezer', 'frost-free-freezer'];
export const isFreezer = (p: Pick<ColdPlace, 'kind'>): boolean => FREEZERS.includes(p.kind);

/** The place that a set-up means: its own, or the first that suits the dessert. Null where the set-up has air of its own, or the kitchen no such place. */
export function placeOf(kitchen: Kitchen, setup: ColdSetup, family: Family): ColdPlace | null {
  const named = kitchen.places.find((p) => p.id === setup.placeId);
  if (named) return named;
  return kitchen.places.find((p) => (family === 'semifreddo' ? isFreezer(p) : p.kind === 'still-fridge' || p.kind === 'fan-fridge')) ?? null;
}

export interface AirNow {
  /** Without wall and film, W/m²K. */
  readonly h: number;
  readonly airC: number;
  /** What its machine carries off for each degree that a load warms it, W/K; null for the counter, whose air stays as it is. */
  readonly uaWPerK: number | null;
  /** Whether h was fitted to readings in it; on a crowded shelf it is the usual one of such a shelf. */
  readonly fitted: boolean;
  readonly name: string;
}

/** The air round a dessert: how cold, and how well it takes heat. @returns a fault on `placeId` where the kitchen has no place that suits. */
export function airNow(kitchen: Kitchen, setup: ColdSetup, family: Family): Result<AirNow> {
  const place = placeOf(kitchen, setup, family);
  if (!place)
    return fail(
      'placeId',
      'no-place',
      family === 'semifreddo'
        ? 'The kitchen has no freezer: enter one in the Larder, with its temperature.'
        : 'The kitchen has no fridge: enter one in the Larder, with its temperature.',
    );
  const crowded = setup.air === 'crowded-shelf' && place.kind !== 'counter';
  const h = place.hWPerM2K ?? AIR_H[AIR_OF_PLACE[place.kind]];
  return ok({
    h: crowded ? Math.min(h, AIR_H['crowded-shelf']) : h,
    airC: setup.airC ?? place.airC,
    uaWPerK: UA_OF_PLACE[place.kind],
    fitted: place.hWPerM2K !== undefined && !crowded,
    name: crowded ? `${place.name}, crowded` : place.name,
  });
}

/** The wall that a vessel has when the cook has not said: glass for glasses, none for what stands free. */
export function wallOfVessel(vessel: Vessel, setup: ColdSetup): { readonly wall: Wall; readonly wallMm: number } {
  if (vessel.kind === 'free') return { wall: 'none', wallMm: 0 };
  if (vessel.kind === 'glass' && setup.wall === 'steel') return { wall: 'glass', wallMm: WALLS.glass.usualMm };
  if (vessel.kind === 'tub' && setup.wall === 'steel') return { wall: 'plastic', wallMm: WALLS.plastic.usualMm };
  return { wall: setup.wall, wallMm: setup.wallMm };
}
