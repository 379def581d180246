import { describe, expect, it } from 'vitest';
import { ingredient } from '../../testing/sample';
import { composition } from './components';
import { mix } from './mixture';
import { conductivity, specificHeat, specificHeatOf, waterHeat } from './thermal';

const of = (id: string) => mix([{ massG: 100, per100: ingredient(id).composition }]);

describe('thermal properties', () => {
  it.each([
    // Choi & Okos as printed in refrigeration handbooks.
    ['water', 20, 4.1762 - 9.0864e-5 * 20 + 5.4731e-6 * 400],
    ['water', -10, 4.0817 + 0.053062 + 0.099516],
    ['ice', -20, 2.0623 - 0.121538],
    ['protein', 20, 2.0319],
    ['fat', 20, 2.0117],
    ['carbohydrate', 20, 1.5857],
    ['ash', 20, 1.1289],
  ] as const)('%s at %s °C has %s J/gK', (c, t, expected) => expect(specificHeatOf(c, t)).toBeCloseTo(expected, 3));
  it('whole milk is near the handbooks’ 3.85 J/gK, 36 % cream near 3.2', () => {
    expect(Math.abs(specificHeat(of('milk-whole'), 5) - 3.85)).toBeLessThan(0.08);
    expect(Math.abs(specificHeat(of('cream-36'), 5) - 3.2)).toBeLessThan(0.15);
  });
  it('warming water from 0 to 20 °C takes 83.5 J/g, cooling it below 0 gives heat back', () => {
    expect(waterHeat(20)).toBeCloseTo(83.52, 1);
    expect(waterHeat(-5)).toBeLessThan(0);
  });
  it('conducts as its volume shares say: pure water and pure ice are the table’s', () => {
    const water = mix([{ massG: 100, per100: composition({ water: 100 }) }]);
    expect(conductivity(water, 0)).toBeCloseTo(0.57109, 6);
    expect(conductivity(water, -10, 100)).toBeCloseTo(2.2196 + 0.062489 + 0.010154, 4);
  });
  it('air insulates: more air conducts less, down to air’s own', () => {
    const cream = of('cream-36');
    const k = [0, 50, 100, 200, 1e7].map((o) => conductivity(cream, 5, 0, o));
    for (let i = 1; i < k.length; i++) expect(k[i]).toBeLessThan(k[i - 1]!);
    expect(k[4]).toBeCloseTo(0.0245, 3);
    expect(conductivity(mix([]), 5)).toBe(0);
  });
});
