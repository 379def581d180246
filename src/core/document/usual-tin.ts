import type { LayPattern } from '../vessel/packing/lay';
import type { Vessel } from '../vessel/schema';

/** How a dessert lies in its vessel until the cook says otherwise: a dip of a second a side in a cold soak, biscuits as tight as they go. */
export const USUAL_TIN = {
  layers: null,
  count: 1,
  also: [] as readonly { vessel: Vessel; count: number }[],
  pattern: 'tight' as LayPattern,
  stagger: true,
  cutting: true,
  breakagePct: 5,
  dipS: 2,
  soakC: 10,
  dipTests: {} as Record<string, never>,
  cutAlong: 1,
  cutAcross: 1,
  kerfMm: 1,
  nozzleMm: 12,
};
