import { describe, expect, it } from 'vitest';
import {
  BOIL_OFF_GRACE_G,
  BOWL_HEAT,
  BOWL_TOUCHED,
  CUSTARD_OFF_HOB_C,
  FOLD_TOO_WARM_C,
  FOLD_WINDOWS,
  GANACHE_WINDOW,
  HOB_SPREAD,
  ICE_BATH,
  ICE_VOLUME,
  KNIFE_ICE,
  KNIFE_SPREAD,
  ONE_POINT_C,
  PAN_TAKES,
  POURED_C,
  RICH_IN_SUGAR,
  RICH_WHOLE_EGG,
  STEAM_STOP_C,
  SWEET_YOLK,
  SWISS_STOPS,
  THICK_CHOCOLATE_SHARE,
  THIN_CHOCOLATE,
  USUAL_C,
  WHISKED_COOLING,
  WHISKED_UNTIL_C,
} from './house';

const fahrenheit = (c: number): number => Math.round((c * 9) / 5 + 32);

/* The house figures of heat in a cook's words and other units, so that none is changed by a slip of the pen. */
describe('temperatures, as a probe in °F says them', () => {
  it('egg is enough at 160 °F, over steam too; the two schools of Swiss meringue stop at 122 and 160', () => {
    expect([ONE_POINT_C, STEAM_STOP_C, SWISS_STOPS['swiss-50'], SWISS_STOPS['swiss-71']].map(fahrenheit)).toEqual([160, 160, 122, 160]);
  });
  it('where foam is folded in: gelatin 64 to 77, chocolate 90 to 108, custard 32 to 68; warmer than 75 it loses its air', () => {
    expect(Object.values(FOLD_WINDOWS).flatMap((w) => [fahrenheit(w.lowC), fahrenheit(w.highC)])).toEqual([64, 77, 90, 108, 32, 68]);
    expect(fahrenheit(FOLD_TOO_WARM_C)).toBe(75);
  });
  it('where a part is taken to stand lies in its window', () => {
    for (const kind of ['gelatin', 'chocolate', 'custard'] as const) {
      expect(USUAL_C[kind]).toBeGreaterThanOrEqual(FOLD_WINDOWS[kind].lowC);
      expect(USUAL_C[kind]).toBeLessThanOrEqual(FOLD_WINDOWS[kind].highC);
    }
    expect(Object.entries(USUAL_C).map(([what, c]) => `${what} ${fahrenheit(c)}`)).toEqual([
      'gelatin 72',
      'chocolate 100',
      'custard 64',
      'meringue 72',
      'egg-foam 75',
      'egg-foam-raw 64',
      'fruit 68',
      'room 68',
    ]);
  });
  it('ganache: poured at 185, comes to 93 to 131; a custard leaves the hob at 181, the ice bath takes it to 39 with ice at 23', () => {
    expect([POURED_C, GANACHE_WINDOW.lowC, GANACHE_WINDOW.highC].map(fahrenheit)).toEqual([185, 93, 131]);
    expect([CUSTARD_OFF_HOB_C, ICE_BATH.toC, ICE_BATH.iceC].map(fahrenheit)).toEqual([181, 39, 23]);
    // Cocoa butter melts at 34 °C, and yolk is not cooked under 60.
    expect(GANACHE_WINDOW.highC).toBeLessThan(60);
  });
  it('a yolk foam under the whisk: from 71 °C to no warmer than 104 °F in ten minutes fast, in twenty slow', () => {
    expect(fahrenheit(WHISKED_UNTIL_C)).toBe(104);
    expect((71 - WHISKED_UNTIL_C) / WHISKED_COOLING.fast).toBeCloseTo(10.33, 1);
    expect((71 - WHISKED_UNTIL_C) / WHISKED_COOLING.slow).toBeCloseTo(20.67, 1);
  });
  it('a base of little chocolate is fluid down to 75', () => {
    expect(fahrenheit(THIN_CHOCOLATE.lowC)).toBe(75);
    expect([THIN_CHOCOLATE.share, THICK_CHOCOLATE_SHARE]).toEqual([0.3, 0.7]);
  });
});

describe('bowls and hobs', () => {
  it('a kilogram of steel warmed by 40 °C takes 20 kJ, of glass 34, of plastic 68', () =>
    expect(Object.values(BOWL_HEAT).map((j) => Math.round(40 * j))).toEqual([20, 34, 68]));
  it('a verdict on egg counts all of the bowl, a forecast six tenths', () => expect(BOWL_TOUCHED).toEqual({ forecast: 0.6, verdict: 1 }));
  it('a hob of 2 kW brings a litre of milk from 5 to 85 °C in about five minutes', () =>
    // 1030 g at 3.9 J/(g K), half of the heat in the pan.
    expect((1030 * 3.9 * 80) / (2000 * PAN_TAKES) / 60).toBeCloseTo(5.36, 1));
  it('give or take a quarter', () => expect(HOB_SPREAD).toBe(0.25));
});

describe('ice and sugar', () => {
  it('a knife goes through while half to two thirds of the water is ice; it cuts clean up to 24 % of the volume, hard from 32', () => {
    expect([KNIFE_ICE.low, KNIFE_ICE.high, KNIFE_SPREAD]).toEqual([0.5, 0.68, 0.08]);
    expect([ICE_VOLUME.clean, ICE_VOLUME.hard]).toEqual([0.24, 0.32]);
  });
  it('sugar protects germs beyond the tables from a fifth on, in whole egg from an eighth; a yolk is sweetened from a fiftieth', () =>
    expect([1 / RICH_IN_SUGAR, 1 / RICH_WHOLE_EGG, 1 / SWEET_YOLK].map((n) => Math.round(10 * n) / 10)).toEqual([5, 8.3, 50]));
  it('three grams of a written boil-off are nothing', () => expect(BOIL_OFF_GRACE_G).toBe(3));
});
