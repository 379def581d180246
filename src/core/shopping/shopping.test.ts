import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient, KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import type { Ingredient } from '../composition/ingredient';
import { eggBalance, isShellEgg, itemsFrom, packsFor, shoppingOf, spareWords, usesOf, type ShoppingItem } from './shopping';

const taken = (id: string, massG: number, part = 'Cream', change: Partial<Ingredient> = {}) => ({ ingredient: { ...ingredient(id), ...change }, part, massG });
const only = (id: string, massG: number, change: Partial<Ingredient> = {}): ShoppingItem => itemsFrom([taken(id, massG, 'Cream', change)])[0]!;
const shop = (lines: readonly string[], portions = 10) => shoppingOf(analyseSheet(sheetOf(lines, {}, { portions }), KITCHEN), KITCHEN);

describe('packs', () => {
  it.each([
    [1, 500, 1],
    [500, 500, 1],
    // A pint carton is two US cups: 477 of 477.4 g do.
    [477.4, 477, 1],
    [509.9, 500, 1],
    [510.1, 500, 2],
    [1000, 500, 2],
    [0, 500, 1],
  ])('%d g in packs of %d are %d', (g, pack, packs) => expect(packsFor(g, pack)).toBe(packs));
  it('never fall short by more than a fiftieth of one, and are never one too many', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 20_000, noNaN: true }), fc.integer({ min: 20, max: 2000 }), (g, pack) => {
        const n = packsFor(g, pack);
        expect(n * pack).toBeGreaterThanOrEqual(g - 0.0201 * pack);
        expect(n === 1 || (n - 1) * pack < g).toBe(true);
      }),
    ));
});

describe('what is bought', () => {
  it('is summed over parts, each use beside it, with what stays in the last pack and its price', () => {
    const [cream, sugar] = itemsFrom([taken('cream-36', 400, 'Cream'), taken('sugar-caster', 60, 'Cream'), taken('cream-36', 300, 'Top')]);
    expect(cream).toMatchObject({
      neededG: 700,
      boughtG: 700,
      packs: 2,
      fruits: null,
      uses: [
        { part: 'Cream', massG: 400 },
        { part: 'Top', massG: 300 },
      ],
    });
    expect(cream!.openedG).toBe(2 * 477 - 700);
    expect(cream!.cost).toBeCloseTo(0.7 * 6.4, 9);
    expect(sugar).toMatchObject({ neededG: 60, packs: 1, openedG: 940 });
  });
  it('is more than what is used, where some is thrown away', () => {
    const berries = only('raspberry', 194);
    expect(berries.boughtG).toBeCloseTo(200, 9);
    expect(berries.cost).toBeCloseTo(0.2 * 14, 9);
    expect(berries.packs).toBe(1);
  });
  it('a pack that falls a little short leaves nothing open, not less than nothing', () => expect(only('cream-36', 480).openedG).toBe(0));
  it('has no packs where the larder knows none, and no price where there is none', () => {
    expect(only('cream-36', 480, { packG: null })).toMatchObject({ packs: null, openedG: null });
    expect(only('cream-36', 480, { pricePerKg: null }).cost).toBeNull();
  });
  it('eggs in their shells are counted as eggs: no packs of whites, and their price is the eggs’', () => {
    expect(only('egg-white', 120)).toMatchObject({ boughtG: 120, packs: null, openedG: null, cost: 0 });
    expect(isShellEgg(ingredient('egg-yolk'))).toBe(true);
    // White from a carton is bought like milk.
    expect(isShellEgg(ingredient('egg-white-pasteurised'))).toBe(false);
    expect(only('egg-white-pasteurised', 120).packs).toBeGreaterThan(0);
    expect(isShellEgg({ ...ingredient('cream-36'), flags: ['raw-egg'] })).toBe(false);
  });
});

describe('citrus fruit', () => {
  const fruits = (...of: readonly (readonly [string, number])[]) => itemsFrom(of.map(([id, g]) => taken(id, g))).map((i) => i.fruits);
  it('zest alone, juice alone: as many as they take', () => {
    expect(fruits(['lemon-zest', 15])).toEqual([{ count: 3, name: 'lemons', shared: false }]);
    expect(fruits(['lemon-juice', 45])).toEqual([{ count: 1, name: 'lemon', shared: false }]);
    expect(fruits(['lemon-juice', 91])).toEqual([{ count: 2, name: 'lemons', shared: false }]);
    expect(fruits(['lemon-juice', 94])).toEqual([{ count: 3, name: 'lemons', shared: false }]);
  });
  it('zest and juice come out of the same ones, whole ones besides', () => {
    expect(fruits(['lemon-zest', 20], ['lemon-juice', 90])).toEqual([
      { count: 4, name: 'lemons', shared: true },
      { count: 4, name: 'lemons', shared: true },
    ]);
    expect(fruits(['lemon-zest', 5], ['lemon-juice', 180])[0]!.count).toBe(4);
    expect(fruits(['lemon-zest', 10], ['lemon-whole', 100])[0]!.count).toBe(4);
  });
  it('a pinch of zest is one fruit, a twentieth over is no fruit more', () => {
    expect(fruits(['lemon-zest', 0.2])[0]!.count).toBe(1);
    expect(fruits(['lemon-zest', 15.2])[0]!.count).toBe(3);
    expect(fruits(['lemon-zest', 15.4])[0]!.count).toBe(4);
  });
  it('lemons are no limes, and what is counted in fruits is in no packs', () => {
    const items = itemsFrom([taken('lemon-juice', 45), taken('lime-juice', 60)]);
    expect(items.map((i) => i.fruits!.shared)).toEqual([false, false]);
    expect(items.map((i) => i.packs)).toEqual([null, null]);
    expect(itemsFrom([taken('lemon-juice', 45, 'Cream', { piece: null })])[0]!.fruits).toBeNull();
  });
});

describe('eggs', () => {
  const eggs = (...of: readonly (readonly [string, number])[]) => eggBalance(itemsFrom(of.map(([id, g]) => taken(id, g))));
  it('as many as whites or yolks need, the others are spare, whole ones besides', () => {
    expect(eggs(['egg-white', 4 * 33], ['egg-yolk', 6 * 17])).toMatchObject({ eggs: 6, spareWhites: 2, spareYolks: 0 });
    expect(eggs(['egg-white', 5 * 33], ['egg-yolk', 2 * 17], ['egg-whole', 3 * 50])).toMatchObject({ eggs: 8, spareWhites: 0, spareYolks: 3 });
    expect(eggs()).toEqual({ eggs: 0, spareWhites: 0, spareYolks: 0, cost: 0 });
  });
  it('a twentieth over is no egg more, a tenth is', () => {
    expect(eggs(['egg-white', 3.04 * 33]).eggs).toBe(3);
    expect(eggs(['egg-white', 3.1 * 33]).eggs).toBe(4);
    expect(eggs(['egg-yolk', 3.1 * 17]).eggs).toBe(4);
    expect(eggs(['egg-whole', 3.1 * 50]).eggs).toBe(4);
  });
  it('cost what they weigh in the shell', () => {
    // Six of 50 g, shell 12 %, at 4.40 a kilogram.
    expect(eggs(['egg-yolk', 6 * 17]).cost).toBeCloseTo((6 * 0.05 * 4.4) / 0.88, 9);
    expect(eggBalance(itemsFrom([taken('egg-yolk', 102, 'Cream', { pricePerKg: null })])).cost).toBe(0);
    expect(eggBalance(itemsFrom([taken('egg-yolk', 102), taken('cream-36', 500, 'Cream', { pricePerKg: 99 })])).cost).toBeCloseTo((6 * 0.05 * 4.4) / 0.88, 9);
  });
  it('of another size are fewer or more', () => {
    const large = { ...KITCHEN, rules: { ...KITCHEN.rules, eggs: { system: 'eu', size: 'large' } as const } };
    const items = itemsFrom([taken('egg-white', 6 * 33)]);
    // A large European egg weighs 60 g without its shell, a fifth more than the larder's.
    expect(eggBalance(items, large).eggs).toBe(5);
    expect(eggBalance(items, large).cost).toBeCloseTo((5 * 0.06 * 4.4) / 0.88, 9);
  });
});

describe('what is left over, in words', () => {
  const none = { eggs: 0, spareWhites: 0, spareYolks: 0, cost: 0 };
  it('whites make nests, yolks a custard', () => {
    expect(spareWords([], none)).toEqual([]);
    expect(spareWords([], { ...none, spareWhites: 1 })).toEqual(['1 white spare: 60\u00a0g sugar would make 3 small nests.']);
    expect(spareWords([], { ...none, spareWhites: 4, spareYolks: 1 })).toEqual([
      '4 whites spare: 240\u00a0g sugar would make 12 small nests.',
      '1 yolk spare: 100\u00a0g milk and 20\u00a0g sugar would make a custard.',
    ]);
    expect(spareWords([], { ...none, spareYolks: 3 })).toEqual(['3 yolks spare: 300\u00a0g milk and 60\u00a0g sugar would make a custard.']);
  });
  it('of packs only what does not keep, from a tenth of one on', () => {
    expect(spareWords([only('cream-36', 400)], none)).toEqual(['77\u00a0g of heavy whipping cream stays in an opened pack.']);
    expect(spareWords([only('mascarpone', 300)], none)).toEqual(['200\u00a0g of mascarpone stays in an opened pack.']);
    expect(spareWords([only('mascarpone', 449)], none)).toHaveLength(1);
    expect(spareWords([only('mascarpone', 450)], none)).toEqual([]);
    expect(spareWords([only('sugar-caster', 60), only('raspberry', 100)], none)).toEqual([]);
    expect(spareWords([only('cream-36', 400, { packG: null })], none)).toEqual([]);
    // A crumb in a small pack is nothing that stays.
    expect(spareWords([only('mascarpone', 0.6, { packG: 1 })], none)).toEqual([]);
    expect(spareWords([only('mascarpone', 0.4, { packG: 1 })], none)).toEqual(['1\u00a0g of mascarpone stays in an opened pack.']);
  });
  it('egg in a carton that stays open is not named among packs', () => expect(spareWords([only('egg-white-pasteurised', 100)], none)).toEqual([]));
});

describe('a sheet', () => {
  it('everything that is bought, with its part; a part of the dessert is bought nowhere', () => {
    const s = analyseSheet(
      partsSheet([
        ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
        ['f', 'set-filling', 'Filling', ['500 g mascarpone', 'all of the Cream']],
      ]),
      KITCHEN,
    );
    expect(usesOf(s).map((u) => [u.part, u.ingredient.id, u.massG])).toEqual([
      ['Cream', 'cream-36', 400],
      ['Filling', 'mascarpone', 500],
    ]);
  });
  it('costs the sum of what is bought and its eggs; nothing is said while a price is missing', () => {
    const s = shop(['500 g cream 36 %', '100 g caster sugar', '4 yolks']);
    expect(s.cost).toBeCloseTo(0.5 * 6.4 + 0.1 * 1.8 + (4 * 0.05 * 4.4) / 0.88, 6);
    expect(s.unpriced).toEqual([]);
    expect(shop([]).cost).toBeNull();
    const larder = KITCHEN.larder.get('cream-36')!;
    const unpriced = { ...KITCHEN, larder: new Map([...KITCHEN.larder, ['cream-36', { ...larder, pricePerKg: null }]]) };
    const without = shoppingOf(analyseSheet(sheetOf(['500 g cream 36 %', '100 g caster sugar']), unpriced), unpriced);
    expect(without.cost).toBeNull();
    expect(without.unpriced).toEqual([larder.name]);
  });
  it('its food values are of 100 g and of a portion, in proportion', () => {
    const s = shop(['500 g cream 36 %', '100 g caster sugar'], 4);
    expect(s.per100!.fatG).toBeCloseTo(30, 0);
    expect(s.perPortion!.fatG).toBeCloseTo((500 * 0.36) / 4, 0);
    expect(s.perPortion!.fatG / s.per100!.fatG).toBeCloseTo(1.5, 6);
    expect(shop([]).per100).toBeNull();
  });
  it('alcohol is said for a portion, allergens once and in order', () => {
    const s = shop(['500 g cream 36 %', '40 g dark rum', '50 g ground almonds'], 5);
    expect(s.ethanolG).toBeGreaterThan(2);
    expect(s.ethanolG).toBeCloseTo(2 * shop(['500 g cream 36 %', '40 g dark rum', '50 g ground almonds'], 10).ethanolG, 9);
    expect(s.allergens).toEqual([...new Set(s.allergens)].sort());
    expect(s.allergens).toContain('milk');
    expect(shop([]).ethanolG).toBe(0);
  });
});
