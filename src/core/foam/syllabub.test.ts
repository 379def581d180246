import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PARTED_WISH, readSyllabub, wineFor } from './syllabub';

const read = (milkFatG: number, massG: number, hours = 12) => {
  const r = readSyllabub({ milkFatG, massG, hours });
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

describe('syllabub', () => {
  it('by hand: 400 g of 48 % cream and 355 g more keep 412.8 g of water phase', () => {
    const s = read(192, 755, 8);
    expect(s.keepsG).toBeCloseTo(412.8, 9);
    expect(s.excessG).toBeCloseTo(150.2, 9);
    expect(s.drinkG).toBeCloseTo(150.2 * (1 - Math.exp(-1)), 9);
    expect(s.kind).toBe('parted');
  });
  it('rich enough it stays whole, however long', () => expect(read(192, 500, 700)).toMatchObject({ kind: 'whole', drinkG: 0 }));
  it('longer never shows less drink, more wine never shows less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 600, noNaN: true }),
        fc.double({ min: 0, max: 48, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (fat, rest, h, more) => {
          const now = read(fat, fat * 2 + rest, h);
          expect(read(fat, fat * 2 + rest, h + more).drinkG).toBeGreaterThanOrEqual(now.drinkG - 1e-9);
          expect(read(fat, fat * 2 + rest + more, h).drinkG).toBeGreaterThanOrEqual(now.drinkG - 1e-9);
          expect(now.drinkG).toBeLessThan(fat * 2 + rest);
        },
      ),
    );
  });
  it('wine for either school lands on it', () => {
    const without = { milkFatG: 192, massG: 505, hours: 12 };
    const whole = wineFor(without, 'whole');
    if (!whole.ok) throw new Error(whole.fault.says);
    expect(read(192, 505 + whole.value).excessG).toBeCloseTo(0, 9);
    const parted = wineFor(without, PARTED_WISH);
    if (!parted.ok) throw new Error(parted.fault.says);
    expect(read(192, 505 + parted.value).drinkShare).toBeCloseTo(PARTED_WISH, 9);
  });
  it('says when no wine does it', () => {
    expect(wineFor({ milkFatG: 50, massG: 500, hours: 12 }, 'whole').ok).toBe(false);
    expect(wineFor({ milkFatG: 192, massG: 505, hours: 0.5 }, 0.15).ok).toBe(false);
    expect(readSyllabub({ milkFatG: 10, massG: 5, hours: 1 }).ok).toBe(false);
  });
});
