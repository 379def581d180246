/** A service with nothing in it yet, but for its name, zone and crew. */
export const EMPTY_SERVICE = {
  format: 'soft-peak-service',
  formatVersion: 1,
  from: null,
  servings: [],
  moreBowls: {},
  spareMin: 5,
  minutes: {},
  margins: {},
  gaps: {},
  pins: {},
  together: [],
} as const;
