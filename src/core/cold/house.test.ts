import { describe, expect, it } from 'vitest';
import {
  COLD_ENOUGH_C,
  COLD_SPREAD,
  DANGER_BAND,
  FOLD_ON_C,
  LID_OVER_AIR_K,
  MOST_H,
  NEAR_AIR_K,
  SETS_UNDER_C,
  SOFTENING_Q10,
  WALL_HEAT_J_PER_CM3,
} from './house';

const fahrenheit = (c: number): number => Math.round((c * 9) / 5 + 32);

/* The house figures of the cold in a cook's words and other units, so that none is changed by a slip of the pen. */
describe('the cold, by the house', () => {
  it('°F: cold enough to serve at 43, gelatin’s clock under 59, a fold from 68 down, the danger band 140 to 41', () =>
    expect([COLD_ENOUGH_C, SETS_UNDER_C, FOLD_ON_C, DANGER_BAND.fromC, DANGER_BAND.toC].map(fahrenheit)).toEqual([43, 59, 68, 140, 41]));
  it('a lid goes on four degrees over its air, frozen through is one', () => expect([LID_OVER_AIR_K, NEAR_AIR_K]).toEqual([4, 1]));
  it('a biscuit softens in a warm larder of 14 °C in five ninths of its time in the fridge', () => expect(1 / SOFTENING_Q10).toBeCloseTo(5 / 9, 9));
  it('a forecast is known to a fifth; looked at for four days, five in the freezer, half a day on the counter', () => {
    expect(COLD_SPREAD).toBe(0.2);
    expect([MOST_H.fridge / 24, MOST_H.freezer / 24, MOST_H.warming / 24]).toEqual([4, 5, 0.5]);
  });
  it.each([
    // g/cm³ and J/(g K), as handbooks have them.
    ['steel', 7.9, 0.49],
    ['aluminium', 2.7, 0.9],
    ['glass', 2.5, 0.84],
    ['ceramic', 2.3, 0.87],
    ['plastic', 0.9, 1.8],
    ['silicone', 1.1, 1.3],
    ['card', 0.7, 1.4],
  ] as const)('a wall of %s: its density times its heat, to five hundredths', (wall, density, heat) => {
    expect(WALL_HEAT_J_PER_CM3[wall] / (density * heat)).toBeGreaterThan(0.95);
    expect(WALL_HEAT_J_PER_CM3[wall] / (density * heat)).toBeLessThan(1.05);
  });
});
