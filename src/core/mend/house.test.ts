import { describe, expect, it } from 'vitest';
import {
  BASE_FAT_PCT,
  BUTTER,
  BUTTERCREAM_C,
  CHEESE_BACK_SHARE,
  CHEESE_SOFT_C,
  CUSTARD_BACK_C,
  DANGER_C,
  EGG_CURDLES_C,
  FOAM_LOST_C,
  FRESH_FOAM_MOST,
  GANACHE_BACK,
  GANACHE_HOLDS,
  GRAINS_BACK,
  HOLDS_G_PER_KG,
  LOOSE_WATER_SHARE,
  LOOSEN,
  MOST_ADDED,
  OFTEN,
  OUT_H,
  PRIOR_WEIGHS,
  REMELT_C,
  REMELT_SHARE,
  RICHER,
  SAYS,
  SEEN_SHORT,
  SHORT_REST,
  SOUR,
  STEAM_W_PER_KG,
  STRONG_ABV,
  WHISK_AT_C,
} from './house';

const fahrenheit = (c: number): number => Math.round((c * 9) / 5 + 32);

/* The house figures of mending in a cook's words and other units, so that none is changed by a slip of the pen. */
describe('what an observation says', () => {
  it('twelve to one, four to one, two to one for it; two in five, one in seventeen against', () =>
    expect([SAYS.proves, SAYS.points, SAYS.hints, 5 * SAYS.speaksAgainst, Math.round(1 / SAYS.rulesOut)]).toEqual([12, 4, 2, 2, 17]));
  it('of twenty times a cause is behind it ten, six, three, or about one', () =>
    expect(Object.values(OFTEN).map((o) => 20 * o)).toEqual([10, 6, 3, 1.2].map((v) => expect.closeTo(v, 9))));
  it('four logged mends weigh as much as the prior', () => expect(PRIOR_WEIGHS).toBe(4));
});

describe('temperatures', () => {
  it('°F of what a probe in an American kitchen would say', () => {
    expect([DANGER_C.low, DANGER_C.high, OUT_H.warmFromC].map(fahrenheit)).toEqual([41, 140, 90]);
    expect([WHISK_AT_C, REMELT_C, FOAM_LOST_C, CUSTARD_BACK_C, EGG_CURDLES_C, CHEESE_SOFT_C].map(fahrenheit)).toEqual([41, 95, 82, 190, 185, 61]);
    expect([BUTTERCREAM_C.curdledC, BUTTERCREAM_C.low, BUTTERCREAM_C.high, BUTTERCREAM_C.soupC].map(fahrenheit)).toEqual([57, 64, 72, 79]);
    expect([GANACHE_BACK.liquidC, GANACHE_BACK.massC, LOOSEN.waterC, BUTTER.rinseC, GRAINS_BACK.creamC].map(fahrenheit)).toEqual([104, 91, 113, 46, 41]);
  });
  it('a custard comes back only a little above where its egg curdles; a foam is lost before its gelatin melts', () => {
    expect(CUSTARD_BACK_C).toBeGreaterThan(EGG_CURDLES_C);
    expect(FOAM_LOST_C).toBeLessThan(REMELT_C);
  });
  it('two hours out of the fridge, one where it is warm', () => expect([OUT_H.usual, OUT_H.warm]).toEqual([2, 1]));
});

describe('how much', () => {
  it('in a kilogram of it', () => {
    const ofKg = (share: number): number => Math.round(1000 * share);
    expect([GRAINS_BACK.fromShare, GRAINS_BACK.toShare, CHEESE_BACK_SHARE, REMELT_SHARE, LOOSE_WATER_SHARE].map(ofKg)).toEqual([50, 200, 120, 250, 200]);
    expect([GANACHE_BACK.share, MOST_ADDED, FRESH_FOAM_MOST, SEEN_SHORT].map(ofKg)).toEqual([30, 350, 500, 50]);
    expect(HOLDS_G_PER_KG).toBe(3.5);
  });
  it('the grains that come back lie between the first grain and butter', () =>
    expect([GRAINS_BACK.fromX, GRAINS_BACK.usualX, GRAINS_BACK.toX, GRAINS_BACK.goes]).toEqual([0.7, 0.76, 0.85, 3]));
  it('butter of a litre of cream of 36 %: about 425 g, as a churn gives', () => {
    // 1 L weighs 1009 g and has 363 g of fat.
    expect((363 * BUTTER.fatInIt) / (BUTTER.fatPct / 100)).toBeCloseTo(429, 0);
    expect(BUTTER.fatPct).toBeGreaterThanOrEqual(80);
  });
  it('a lean cream of 30 %, 1 kg: 385 g of double cream bring it to 35 %', () =>
    expect((1000 * (RICHER.toPct - 30)) / (RICHER.withPct - RICHER.toPct)).toBeCloseTo(384.6, 1));
  it('a ganache holds eleven of fat for ten of water, and splits at fourteen; it is beaten back in three goes', () =>
    expect([10 * GANACHE_HOLDS.fatPerWater, 10 * GANACHE_HOLDS.splits, GANACHE_BACK.goes]).toEqual([11, 14, 3]));
  it('a bowl of 2 kg over steam warms by 4.5 °C a minute', () =>
    // 250 W a kg into cream of 3.35 kJ/(kg K).
    expect((60 * STEAM_W_PER_KG) / 3350).toBeCloseTo(4.48, 1));
  it('strong, sour, a base that holds', () => expect([STRONG_ABV, SOUR.fromGPerKg, SOUR.toGPerKg, BASE_FAT_PCT]).toEqual([4, 8, 6, 30]));
  it('a rest of an hour is cut short under 36 minutes; of nine minutes it says nothing', () => {
    expect(60 * SHORT_REST.share).toBeCloseTo(36, 9);
    expect(SHORT_REST.fromMin).toBe(10);
  });
  it('loosened sooner in steel than in glass, in glass than in plastic', () => {
    expect(LOOSEN).toMatchObject({ steelS: [5, 8], glassS: [10, 15], plasticS: [12, 18] });
  });
});
