import fc from 'fast-check';
import { expect, it } from 'vitest';
import { drawDown, inStockG, type StockPack } from './stock';

const pack = (id: string, leftG: number, bestBefore: string | null = null, sizeG = 1000): StockPack => ({
  id,
  ingredientId: 'cream-36',
  sizeG,
  leftG,
  bestBefore,
  lot: '',
});

it('opened packs go first, then those that end soonest; past their day none', () => {
  const stock = [
    pack('whole-late', 1000, '2026-12-20'),
    pack('whole-soon', 1000, '2026-12-01'),
    pack('opened', 300, '2026-12-24'),
    pack('past', 1000, '2026-11-20'),
  ];
  const { stock: after, shortG } = drawDown(stock, 'cream-36', 1100, '2026-11-27');
  expect(shortG).toBe(0);
  expect(after.map((p) => p.leftG)).toEqual([1000, 200, 0, 1000]);
  expect(inStockG(after, 'cream-36', '2026-11-27')).toBe(1200);
  expect(drawDown(stock, 'cream-36', 3000, '2026-11-27').shortG).toBe(700);
  expect(drawDown(stock, 'milk', 100, '2026-11-27')).toEqual({ stock, shortG: 100 });
});

it('conserves mass, and no pack goes below nothing', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 1000 }), fc.constantFrom(null, '2026-01-01', '2027-01-01')), { maxLength: 12 }),
      fc.integer({ min: 0, max: 6000 }),
      (packs, need) => {
        const stock = packs.map(([left, day], i) => pack(`p${i}`, left, day));
        const drawn = drawDown(stock, 'cream-36', need, '2026-06-01');
        const sum = (s: readonly StockPack[]): number => s.reduce((n, p) => n + p.leftG, 0);
        expect(sum(stock) - sum(drawn.stock) + drawn.shortG).toBe(need);
        expect(drawn.stock.every((p) => p.leftG >= 0)).toBe(true);
      },
    ),
  );
});
