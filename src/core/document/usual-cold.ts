import type { AirKind, Cover, Under, Wall } from '../heat/surface';

/** How a dessert is put in the cold until the cook says otherwise: the kitchen's fridge (or its freezer for what is frozen), on a rack, under film. */
export const USUAL_SETUP = {
  placeId: null as string | null,
  air: 'still-fridge' as AirKind,
  airC: null as number | null,
  under: 'rack' as Under,
  wall: 'steel' as Wall,
  wallMm: 0.6,
  cover: 'film' as Cover,
  startC: null as number | null,
  together: 1,
  iceBathMin: 0,
  chilledTin: false,
};
export const USUAL_COLD = { setup: { ...USUAL_SETUP }, other: null, otherVessel: null };
