import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LARDER, ingredient } from '../../testing/sample';
import { COMPONENTS, composition } from './components';
import { CompositionSchema } from './ingredient';
import { dairyCream, withMilkFat } from './cream';
import { abvPct, densityGPerMl, volumeMl } from './density';
import { addedSugarG, fatG, milkSolidsNotFatG, mix, per100 } from './mixture';
import { sweetnessPer100 } from './sweetness';

const total = (c: Record<string, number>): number => Object.values(c).reduce((a, b) => a + b, 0);

describe('dairyCream', () => {
  it('is whole at every fat from 0 to 82 %', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 82, noNaN: true }), (fat) => {
        const cream = dairyCream(fat);
        expect(cream.ok).toBe(true);
        if (cream.ok) {
          expect(total(cream.value)).toBeCloseTo(100, 9);
          expect(cream.value.milk_fat).toBe(fat);
        }
      }),
    );
  });
  it.each([
    ['cream-36', 36],
    ['cream-18', 18],
    ['cream-48', 48],
  ])('agrees with the larder’s %s', (id, fat) => {
    const made = dairyCream(fat);
    const listed = ingredient(id).composition;
    if (!made.ok) throw new Error('no cream');
    for (const c of COMPONENTS) expect(Math.abs(made.value[c] - listed[c])).toBeLessThan(0.02);
  });
  it('matches a hand calculation at 36 %: 64 skim, 5.76 solids', () => {
    const cream = dairyCream(36);
    if (!cream.ok) throw new Error('no cream');
    expect(cream.value.lactose).toBeCloseTo(3.1104, 10);
    expect(cream.value.milk_protein).toBeCloseTo(2.1888, 10);
    expect(cream.value.water).toBeCloseTo(58.24, 10);
  });
  it.each([
    [82.1, 'fat-too-high'],
    [-1, 'negative'],
    [NaN, 'negative'],
  ])('refuses %s %% fat', (fat, code) => {
    const cream = dairyCream(fat);
    expect(cream.ok ? null : cream.fault.code).toBe(code);
  });
});

it('withMilkFat keeps the proportions of what is not milk fat', () => {
  const mascarpone = ingredient('mascarpone').composition;
  const leaner = withMilkFat(mascarpone, 36);
  if (!leaner.ok) throw new Error('no mascarpone');
  expect(total(leaner.value)).toBeCloseTo(total(mascarpone), 6);
  expect(leaner.value.lactose / leaner.value.water).toBeCloseTo(mascarpone.lactose / mascarpone.water, 10);
});

describe('the shipped larder', () => {
  it('has 337 ingredients, each adding up to 100 g', () => {
    expect(LARDER).toHaveLength(337);
    for (const i of LARDER) expect(CompositionSchema.safeParse(i.composition).success, i.id).toBe(true);
  });
  it('refuses a composition that does not add up', () => {
    expect(CompositionSchema.safeParse(composition({ water: 50 })).success).toBe(false);
  });
});

const portion = fc.record({
  massG: fc.double({ min: 0.001, max: 5000, noNaN: true }),
  per100: fc.constantFrom(...LARDER.map((i) => i.composition)),
});

describe('mix', () => {
  it('conserves the mass of every component, in whatever order', () => {
    fc.assert(
      fc.property(fc.array(portion, { minLength: 1, maxLength: 12 }), (portions) => {
        const forward = mix(portions);
        const back = mix(portions.toReversed());
        expect(forward.massG).toBeCloseTo(
          portions.reduce((s, p) => s + p.massG, 0),
          6,
        );
        for (const c of COMPONENTS) expect(Math.abs(forward.grams[c] - back.grams[c])).toBeLessThan(1e-9 * forward.massG);
      }),
    );
  });
  it('lies between the densities of what it is made of', () => {
    fc.assert(
      fc.property(fc.array(portion, { minLength: 1, maxLength: 6 }), fc.integer({ min: 0, max: 40 }), (portions, tC) => {
        const each = portions.map((p) => densityGPerMl(mix([p]), tC)!);
        const all = densityGPerMl(mix(portions), tC)!;
        expect(all).toBeGreaterThanOrEqual(Math.min(...each) - 1e-9);
        expect(all).toBeLessThanOrEqual(Math.max(...each) + 1e-9);
      }),
    );
  });
  it('has no composition and no density when empty', () => {
    expect(per100(mix([]))).toBeNull();
    expect(densityGPerMl(mix([]), 5)).toBeNull();
    expect(abvPct(mix([]))).toBe(0);
  });
});

describe('density (Choi & Okos 1986)', () => {
  it('of water at 20 °C is 995.74 kg/m³ by the published polynomial', () => {
    expect(densityGPerMl(mix([{ massG: 1, per100: composition({ water: 100 }) }]), 20)).toBeCloseTo(0.99574, 5);
  });
  it('of fat at 5 °C is 923.50 kg/m³', () => {
    expect(densityGPerMl(mix([{ massG: 1, per100: composition({ milk_fat: 100 }) }]), 5)).toBeCloseTo(0.9235, 4);
  });
  it('puts 36 % cream at 5 °C near 1.0 g/mL', () => {
    const cream = dairyCream(36);
    if (!cream.ok) throw new Error('no cream');
    const density = densityGPerMl(mix([{ massG: 600, per100: cream.value }]), 5)!;
    expect(density).toBeGreaterThan(0.98);
    expect(density).toBeLessThan(1.02);
    expect(volumeMl(mix([{ massG: 600, per100: cream.value }]), 5)).toBeCloseTo(600 / density, 6);
  });
});

it('finds the strength on the bottle: alcohol and water take less room together', () => {
  const strength = (id: string): number => abvPct(mix([{ massG: 100, per100: ingredient(id).composition }]));
  expect(strength('wine-white-dry')).toBeCloseTo(12, 0);
  // A spirit of 40 % by volume is 33.3 % by mass; added, its volumes would read 38.6 %.
  expect(abvPct(mix([{ massG: 100, per100: composition({ ethanol: 33.3, water: 66.7 }) }]))).toBeCloseTo(40, 0);
  expect(Math.abs(strength('rum-40') - 40)).toBeLessThan(0.4);
  expect(abvPct(mix([{ massG: 5e-324, per100: composition({ ethanol: 33.3, water: 66.7 }) }]))).toBe(0);
});

it('water with ethanol is as dense as its published table, by 1 part in 300 at 20 °C', () => {
  for (const [pct, density] of [
    [10, 0.98187],
    [25, 0.96164],
    [40, 0.93518],
    [60, 0.89113],
    [90, 0.81797],
  ] as const) {
    expect(densityGPerMl(mix([{ massG: 100, per100: composition({ ethanol: pct, water: 100 - pct }) }]), 20)! / density).toBeCloseTo(1, 2);
    expect(Math.abs(densityGPerMl(mix([{ massG: 100, per100: composition({ ethanol: pct, water: 100 - pct }) }]), 20)! / density - 1)).toBeLessThan(1 / 300);
  }
});

describe('sweetness', () => {
  it('of sugar in water is its share', () => {
    const sugar = { massG: 10, per100: composition({ sucrose: 100 }) };
    const water = { massG: 90, per100: composition({ water: 100 }) };
    expect(sweetnessPer100([sugar, water])).toBeCloseTo(10, 12);
    expect(sweetnessPer100([sugar], 90)).toBeCloseTo(10, 12);
  });
  it('counts lactose at 0.16 and fructose at 1.6', () => {
    expect(sweetnessPer100([{ massG: 100, per100: composition({ lactose: 50, fructose: 50 }) }])).toBeCloseTo(88, 10);
  });
  it('uses an ingredient’s own factor for its sugars', () => {
    const trehalose = ingredient('trehalose');
    expect(sweetnessPer100([{ massG: 1, per100: trehalose.composition, ownSweetness: trehalose.ownSweetness }])).toBeCloseTo(0.45 * 90.5, 6);
  });
  it('of nothing is 0', () => expect(sweetnessPer100([])).toBe(0));
});

it('counts fats, added sugars and milk solids', () => {
  const m = mix([{ massG: 100, per100: composition({ milk_fat: 20, cocoa_fat: 5, sucrose: 10, lactose: 4.6, milk_protein: 4.6, water: 55.8 }) }]);
  expect(fatG(m)).toBeCloseTo(25, 10);
  expect(addedSugarG(m)).toBeCloseTo(10, 10);
  expect(milkSolidsNotFatG(m)).toBeCloseTo(10, 10);
});
