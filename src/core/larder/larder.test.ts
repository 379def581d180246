import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient, LARDER } from '../../testing/sample';
import { COMPONENTS, composition } from '../composition/components';
import { CompositionSchema } from '../composition/ingredient';
import { compositionFromLabel, LABEL_KINDS } from './label';
import { nutritionOf } from './nutrition';
import { roleOf } from './role';

const label = { kind: 'dairy' as const, fatG: 35, carbohydrateG: 3.2, sugarsG: 3.2, proteinG: 2.1, saltG: 0.1, fibreG: 0, abvPct: 0 };
const read = (change: Partial<Parameters<typeof compositionFromLabel>[0]> = {}) => compositionFromLabel({ ...label, ...change });

describe('a carton label', () => {
  it('of cream gives nearly the composition that its fat alone gives', () => {
    const r = read();
    const known = ingredient('cream-35').composition;
    if (!r.ok) throw new Error(r.fault.says);
    for (const c of COMPONENTS) expect(Math.abs(r.value.composition[c] - known[c]), c).toBeLessThan(0.6);
    expect(r.value.inferred).toEqual(expect.arrayContaining(['water', 'lactose', 'other_solids']));
    expect(r.value.inferred).not.toContain('milk_fat');
  });
  it('always adds up to 100 g, with nothing below 0', () => {
    const g = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...LABEL_KINDS),
        g(60),
        g(60),
        g(1),
        g(30),
        g(5),
        g(20),
        g(40),
        (kind, fatG, carbohydrateG, share, proteinG, saltG, fibreG, abvPct) => {
          const r = compositionFromLabel({ kind, fatG, carbohydrateG, sugarsG: carbohydrateG * share, proteinG, saltG, fibreG, abvPct });
          if (!r.ok) {
            expect(r.fault.code).toBe('more-than-100');
            return;
          }
          expect(CompositionSchema.safeParse(r.value.composition).success).toBe(true);
          expect(COMPONENTS.reduce((sum, c) => sum + r.value.composition[c], 0)).toBeCloseTo(100, 6);
        },
      ),
    );
  });
  it.each([
    [{ fatG: -1 }, 'fatG'],
    [{ sugarsG: 9 }, 'sugarsG'],
    [{ fatG: 98, proteinG: 9 }, 'fatG'],
    [{ saltG: NaN }, 'saltG'],
  ])('%o is refused at its field', (change, field) => {
    const r = read(change);
    expect(r.ok ? null : r.fault.field).toBe(field);
  });
});

describe('nutrition', () => {
  it('follows the factors of the regulation: 9, 4, 4, 7, 2.4, 2, 3 kcal a gram', () => {
    expect(nutritionOf(composition({ milk_fat: 10, sucrose: 20, milk_protein: 5, ethanol: 2, polyol: 3, fibre: 4, acid: 1 })).kcal).toBeCloseTo(
      90 + 80 + 20 + 14 + 7.2 + 8 + 3,
      9,
    );
    expect(nutritionOf(composition({ milk_fat: 10, sucrose: 20 })).kJ).toBeCloseTo(370 + 340, 9);
  });
  it('of the larder’s cream is what cartons say', () => {
    const cream = nutritionOf(ingredient('cream-36').composition);
    expect(cream.kcal).toBeGreaterThan(330);
    expect(cream.kcal).toBeLessThan(355);
    expect(cream.fatG).toBeCloseTo(36, 6);
    // Cartons of double cream (48 %) say about 30 g, of dark chocolate (70 %) about 25 g.
    const [low, high] = nutritionOf(ingredient('cream-48').composition).saturatesG;
    expect(low).toBeLessThan(30);
    expect(high).toBeGreaterThan(30);
    expect(high - low).toBeLessThan(3);
    expect(nutritionOf(composition({ cocoa_fat: 42 })).saturatesG).toEqual([expect.closeTo(24.4, 1), expect.closeTo(26, 1)]);
    expect(nutritionOf(composition({ egg_fat: 10 })).saturatesG).toEqual([expect.closeTo(3.1, 9), expect.closeTo(3.7, 9)]);
    expect(nutritionOf(composition({ other_fat: 10 })).saturatesG).toEqual([expect.closeTo(0.7, 9), expect.closeTo(9.2, 9)]);
    expect(nutritionOf(composition({ sucrose: 10 })).saturatesG).toEqual([0, 0]);
  });
});

describe('roles', () => {
  it.each([
    ['cream-36', 'cream'],
    ['mascarpone', 'cheese'],
    ['milk-whole', 'milk'],
    ['egg-yolk', 'yolk'],
    ['egg-white-pasteurised', 'white'],
    ['gelatin-leaf-gold', 'gelatin'],
    ['agar', 'setter'],
    ['wine-white-dry', 'drink'],
    ['lemon-juice', 'sour'],
    ['cocoa-powder-22', 'cocoa'],
    ['salt', 'salt'],
    ['ladyfinger', 'biscuit'],
  ])('%s is %s', (id, role) => expect(roleOf(ingredient(id))).toBe(role));
  it('every ingredient has one', () => {
    for (const i of LARDER) expect(roleOf(i).length).toBeGreaterThan(2);
  });
});
