import { within, fail, ok, type Result } from '../result';

/** Where something cools or freezes, as the air round it: W/m²K by the usual movement of that air (published ranges, the middle of each). */
export const AIR_H = {
  'still-fridge': 7,
  'fan-fridge': 15,
  'crowded-shelf': 5,
  'chest-freezer': 7,
  'frost-free-freezer': 12,
  'blast-chiller': 35,
  'ice-bath': 250,
  counter: 8,
} as const;
export type AirKind = keyof typeof AIR_H;

/**
 * What a surface adds to still air by its own draught, W/m²K for each degree between them: 7 cold, 11 at 60 °C difference
 * (natural convection and radiation from a hot plate, textbook range); air that a fan drives does not feel it.
 */
export const DRAUGHT_PER_K = 4 / 60;

/** How far a place's air is driven by a fan, 0 in a still fridge to 1 in a fan fridge and beyond. */
export const drivenShare = (placeH: number): number =>
  Math.min(1, Math.max(0, (placeH - AIR_H['still-fridge']) / (AIR_H['fan-fridge'] - AIR_H['still-fridge'])));

/** What stands under the base: W/m²K where it is not the air itself. */
export const UNDER_H = { rack: null, 'metal-shelf': 12, 'freezing-plate': 20 } as const;
export type Under = keyof typeof UNDER_H;

/** Walls, W/mK (published), and how thick they usually are, mm. */
export const WALLS = {
  steel: { k: 16, usualMm: 0.6 },
  aluminium: { k: 200, usualMm: 1 },
  glass: { k: 1.0, usualMm: 3 },
  ceramic: { k: 1.5, usualMm: 5 },
  plastic: { k: 0.2, usualMm: 1.5 },
  silicone: { k: 0.2, usualMm: 2 },
  card: { k: 0.06, usualMm: 0.8 },
  none: { k: Infinity, usualMm: 0 },
} as const;
export type Wall = keyof typeof WALLS;

/** A film that leaves air under it, m²K/W. */
export const FILM_M2K_PER_W = 0.02;
/** A lid with its air, m²K/W (ours: 1 cm of still air and the lid). */
export const LID_M2K_PER_W = 0.3;
export const COVERS = { open: 0, film: FILM_M2K_PER_W, lid: LID_M2K_PER_W } as const;
export type Cover = keyof typeof COVERS;

/** What a fridge carries off for each degree that it is warmer than it is set, W/K (house ±20 %; a blast chiller ours). */
export const FRIDGE_UA = { domestic: 7, 'under-counter': 15, blast: 60 } as const;

/**
 * Heat transfer through a face, W/m²K: 1/(1/h + Σ thickness/k + what lies over it) (physics).
 * @returns a fault on `h` when it is 0 or less: then nothing ever cools.
 */
export function effectiveH(h: number, wall: Wall, wallMm: number, coverM2KPerW = 0): Result<number> {
  if (!(h > 0)) return fail('h', 'nothing', 'With a heat transfer of nothing it never cools: give it the air of a fridge, 5 W/m²K or more.');
  const fault = within('wallMm', 'The wall', wallMm, 0, 50, 'mm') ?? within('h', 'The heat transfer', h, 0, 5000, 'W/m²K');
  if (fault) return { ok: false, fault };
  return ok(1 / (1 / h + wallMm / 1000 / WALLS[wall].k + coverM2KPerW));
}
