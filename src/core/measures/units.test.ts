import { describe, expect, it } from 'vitest';
import { CU_FT_ML, CUP_SYSTEMS, EGG_SIZES, FL_OZ_ML, HEAPS, INCH_MM, LARDER_EGG_G, LB_G, OZ_G, QT_ML, UNITS, unitOf, unitSize } from './units';

/* Every measure from what the law has as its one figure: the inch, the pound, the gallon of 231 cubic inches, the imperial gallon of 4.54609 L. */
const INCH_CM = 2.54;
const US_GALLON_ML = 231 * INCH_CM ** 3;
const IMPERIAL_GALLON_ML = 4546.09;

describe('mass and length', () => {
  it('the pound and the inch of 1959', () => {
    expect(LB_G).toBeCloseTo(453.59237, 6);
    expect(OZ_G).toBeCloseTo(453.59237 / 16, 6);
    expect(INCH_MM).toBe(25.4);
    expect(CU_FT_ML).toBeCloseTo((12 * INCH_CM) ** 3, 4);
  });
  it('a stick of butter is a quarter of a pound', () => expect(unitOf('stick').size).toBeCloseTo(453.59237 / 4, 6));
  it.each([
    ['g', 1],
    ['kg', 1000],
    ['mg', 0.001],
    ['ml', 1],
    ['cl', 10],
    ['dl', 100],
    ['l', 1000],
  ])('%s is %f', (key, size) => expect(unitOf(key).size).toBe(size));
});

describe('volumes by the gallon', () => {
  it.each([
    ['quart', 4],
    ['pint', 8],
    ['cup', 16],
    ['gill', 32],
    ['floz', 128],
    ['tbsp', 256],
    ['tsp', 768],
    ['dsp', 384],
  ] as const)('a US %s is one part of %i', (key, parts) => {
    expect(CUP_SYSTEMS.us[key]).toBeCloseTo(US_GALLON_ML / parts, 6);
    // A unit without a system is the US one.
    expect(unitOf(key).size).toBeCloseTo(US_GALLON_ML / parts, 6);
  });
  it('fluid ounces and quarts stand once', () => expect([FL_OZ_ML, QT_ML]).toEqual([CUP_SYSTEMS.us.floz, CUP_SYSTEMS.us.quart]));
  it.each([
    ['quart', 4],
    ['pint', 8],
    ['cup', 16],
    ['gill', 32],
    ['floz', 160],
    ['tbsp', 256],
    ['tsp', 768],
    ['dsp', 384],
  ] as const)('an imperial %s is one part of %i', (key, parts) => expect(CUP_SYSTEMS.imperial[key]).toBeCloseTo(IMPERIAL_GALLON_ML / parts, 6));
  it('metric cups and spoons, the Australian tablespoon of four teaspoons; their pints and ounces are imperial', () => {
    const { metric, australian, imperial } = CUP_SYSTEMS;
    expect([metric.cup, metric.tbsp, metric.dsp, metric.tsp]).toEqual([250, 15, 10, 5]);
    expect([australian.cup, australian.tbsp, australian.dsp, australian.tsp]).toEqual([250, 20, 10, 5]);
    for (const system of [metric, australian]) for (const key of ['floz', 'pint', 'gill', 'quart'] as const) expect(system[key]).toBe(imperial[key]);
  });
  it('a wine pint is the US pint, wherever the kitchen is', () => {
    expect(unitSize(unitOf('pint'), 'imperial', 'wine')).toBeCloseTo(US_GALLON_ML / 8, 6);
    expect(unitSize(unitOf('cup'), 'metric', 'wine')).toBeCloseTo(US_GALLON_ML / 16, 6);
  });
});

describe('amounts by feel', () => {
  it.each([
    ['a tablespoon', 'glug', 15],
    ['half of one', 'drizzle', 7.5],
    ['a third of one', 'splash', 5],
    ['a tablespoon', 'spoonful', 15],
    ['two of them', 'shot', 30],
    ['an eighth of a teaspoon', 'dash', 0.6],
    ['a twentieth of a mL', 'drop', 0.05],
    ['an eighth of an imperial pint', 'wineglass', 70],
    ['a quarter of one', 'teacup', 142],
  ])('%s: a %s, %f mL', (_, key, size) => {
    expect(unitOf(key).size).toBe(size);
    expect(unitOf(key).dimension).toBe('volume');
  });
  it.each([
    ['pinch', 0.3],
    ['knob', 15],
    ['bar', 100],
    ['punnet', 125],
    ['thumb', 20],
    ['handful', 40],
  ])('a %s is %f g', (key, size) => {
    expect(unitOf(key).size).toBe(size);
    expect(unitOf(key).dimension).toBe('mass');
  });
  it('a wine glass and a tea cup against the pint', () => {
    expect(unitOf('wineglass').size / (IMPERIAL_GALLON_ML / 64)).toBeCloseTo(0.985, 2);
    expect(unitOf('teacup').size / (IMPERIAL_GALLON_ML / 32)).toBeCloseTo(1, 2);
  });
  it('heaped is half as much again, scant a tenth less, tiny half', () =>
    expect(HEAPS).toEqual({ level: 1, heaped: 1.5, heaping: 1.5, rounded: 1.25, generous: 1.15, tiny: 0.5, scant: 0.9, good: 1.1 }));
  it('no two units share a name', () => {
    const names = UNITS.flatMap((u) => u.names);
    expect(new Set(names).size).toBe(names.length);
  });
});

describe('eggs without their shell', () => {
  /** An eighth of an egg is shell. */
  const inside = (withShellG: number): number => 0.88 * withShellG;
  it.each([
    ['small', 18],
    ['medium', 21],
    ['large', 24],
    ['extra large', 27],
    ['jumbo', 30],
  ] as const)('US %s: %i ounces the dozen', (size, ouncesADozen) => {
    const g = inside((ouncesADozen * OZ_G) / 12);
    expect(EGG_SIZES.us[size] / g).toBeGreaterThan(0.98);
    expect(EGG_SIZES.us[size] / g).toBeLessThan(1.02);
  });
  it.each([
    ['medium', 53, 63],
    ['large', 63, 73],
  ] as const)('European %s: from %i to %i g with the shell', (size, from, to) => {
    const g = inside((from + to) / 2);
    expect(EGG_SIZES.eu[size] / g).toBeGreaterThan(0.97);
    expect(EGG_SIZES.eu[size] / g).toBeLessThan(1.03);
  });
  it('the open classes lie beyond their bound', () => {
    expect(EGG_SIZES.eu.small).toBeLessThan(inside(53));
    expect(EGG_SIZES.eu['extra large']).toBeGreaterThan(inside(73));
    expect([EGG_SIZES.eu.small, EGG_SIZES.eu['extra large'], EGG_SIZES.eu.jumbo]).toEqual([43, 68, 68]);
  });
  it('the larder’s egg is a US large one', () => expect(LARDER_EGG_G).toBe(EGG_SIZES.us.large));
});
