import { describe, expect, it } from 'vitest';
import { readTable } from '../interpolate';
import { CREAM_BANDS, DOSE_BANDS, OTHER_SETTERS, SET, SHARE_SETTERS, SOUR_EXTRA, STRONG_EXTRA } from './house';

/* The doses of this room once more, as the trade has them, so that none is changed by a slip of the pen. */
describe('doses, g in a kg', () => {
  it.each([
    ['hold-a-day', 3, 4],
    ['pipe', 5, 7],
    ['glass', 6, 9],
    ['slice', 9, 12],
    ['turn-out', 12, 15],
  ] as const)('gelatin %s: %f to %f', (use, low, high) => expect(DOSE_BANDS[use]).toMatchObject({ low, high }));
  it('in creams less, as their fat sets with it', () => {
    for (const [use, band] of Object.entries(CREAM_BANDS)) {
      expect(band.low).toBeLessThan(DOSE_BANDS[use as keyof typeof DOSE_BANDS].low);
      expect(band.high).toBeLessThan(DOSE_BANDS[use as keyof typeof DOSE_BANDS].high);
    }
    expect(CREAM_BANDS).toEqual({ glass: { low: 5, high: 7 }, slice: { low: 7, high: 10 }, 'turn-out': { low: 8, high: 12 } });
  });
  it.each([
    ['corn-starch', 8, 12],
    ['instant-starch', 15, 25],
    ['agar', 2, 4],
    ['xanthan', 0.5, 2],
    ['carrageenan', 0.5, 1.5],
    ['milk-powder', 20, 30],
  ] as const)('%s: %f to %f', (setter, low, high) => expect(OTHER_SETTERS[setter]).toMatchObject({ low, high }));
});

describe('setters that are a share of the dairy, %', () => {
  it.each([
    ['mascarpone', 20, 50],
    ['cream-cheese', 20, 45],
    ['strained-yoghurt', 20, 35],
    ['white-chocolate', 20, 35],
    ['marshmallow', 8, 15],
  ] as const)('%s: %f to %f', (setter, low, high) => expect(SHARE_SETTERS[setter]).toMatchObject({ low, high }));
});

describe('gelatin that needs more', () => {
  it.each([
    [6, 0],
    [8, 0.125],
    [10, 0.25],
    [60, 0.25],
  ])('%f g of acid in a kg: %f more', (acid, extra) => expect(readTable(SOUR_EXTRA, acid)).toBeCloseTo(extra, 9));
  it.each([
    [3, 0],
    [4, 0.125],
    [5, 0.25],
    [13, 0.25],
    [15, 0.375],
    [17, 0.5],
    [40, 0.5],
  ])('%f %% of alcohol: %f more', (abv, extra) => expect(readTable(STRONG_EXTRA, abv)).toBeCloseTo(extra, 9));
  it('sets from under 15 °C on, in the cold of a fridge', () => expect(SET).toMatchObject({ startsBelowC: 15, coldAtMostC: 6, hours: 4 }));
});
