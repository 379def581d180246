import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isotherm, roundValues, valueAt, type SectionField } from './isotherms';

/** A wall that leans from 30 to 50 mm, five rows of eight cells, with a field of a rule. */
const fieldOf = (rule: (x: number, z: number) => number): SectionField => {
  const [across, up] = [8, 5];
  const upMm = Array.from({ length: up }, (_, j) => 10 * (j + 0.5));
  const halfMm = upMm.map((z) => 30 + 0.4 * z);
  return { across, up, upMm, halfMm, value: upMm.flatMap((z, j) => Array.from({ length: across }, (_, i) => rule((halfMm[j]! * (i + 0.5)) / across, z))) };
};

describe('a field between the middles of its cells', () => {
  const flat = fieldOf(() => 4);
  it('is the same everywhere where it is the same in every cell', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: -20, max: 80, noNaN: true }),
        (x, z) => void expect(valueAt(flat, x, z)).toBeCloseTo(4, 12),
      ),
    );
  });
  it('is what the cell has, in its middle', () => {
    const f = fieldOf((x, z) => 3 * x - z * z);
    f.upMm.forEach((z, j) => {
      for (let i = 0; i < f.across; i++) expect(valueAt(f, (f.halfMm[j]! * (i + 0.5)) / f.across, z)).toBeCloseTo(f.value[i + f.across * j]!, 9);
    });
  });
  it('comes back exactly where it rises evenly upwards, and across along a row', () => {
    const up = fieldOf((_, z) => 2 * z + 1);
    for (const z of [5, 7.3, 22, 44.9]) expect(valueAt(up, 12, z)).toBeCloseTo(2 * z + 1, 9);
    const side = fieldOf((x) => 5 - 0.1 * x);
    for (const x of [3, 9, 20, 28]) expect(valueAt(side, x, 5)).toBeCloseTo(5 - 0.1 * x, 9);
  });
  it('is mirrored about the middle, and beyond the outermost cells as in them', () => {
    const f = fieldOf((x, z) => x + z);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (x, z) => void expect(valueAt(f, -x, z)).toBe(valueAt(f, x, z)),
      ),
    );
    expect(valueAt(f, 500, 5)).toBeCloseTo(f.value[7]!, 12);
    expect(valueAt(f, 10, -9)).toBe(valueAt(f, 10, 5));
    expect(valueAt(f, 10, 99)).toBe(valueAt(f, 10, 45));
  });
  it('never leaves the range of its cells', () => {
    const f = fieldOf((x, z) => Math.sin(x) * 20 + Math.cos(z) * 7);
    const [low, high] = [Math.min(...Array.from(f.value)), Math.max(...Array.from(f.value))];
    fc.assert(
      fc.property(fc.double({ min: -60, max: 60, noNaN: true }), fc.double({ min: -5, max: 60, noNaN: true }), (x, z) => {
        const v = valueAt(f, x, z);
        expect(v >= low - 1e-9 && v <= high + 1e-9).toBe(true);
      }),
    );
  });
  it('of one cell is that cell', () => expect(valueAt({ across: 1, up: 1, upMm: [5], halfMm: [10], value: [7] }, 3, 3)).toBe(7));
});

describe('lines of one value', () => {
  it('lie where the field has it', () => {
    const f = fieldOf((x, z) => x + 2 * z);
    const stretches = isotherm(f, 50);
    expect(stretches.length).toBeGreaterThan(3);
    for (const [x0, z0, x1, z1] of stretches)
      for (const [x, z] of [
        [x0, z0],
        [x1, z1],
      ] as const)
        if (x > 3) expect(x + 2 * z).toBeCloseTo(50, 6);
  });
  it('are none outside its range, and round numbers inside', () => {
    expect(
      isotherm(
        fieldOf((x) => x),
        500,
      ),
    ).toEqual([]);
    expect(roundValues(4.1, 19.7)).toEqual([5, 10, 15]);
    expect(roundValues(-20, -18)).toEqual([-20, -19.5, -19, -18.5, -18]);
    expect(roundValues(4, 4)).toEqual([]);
  });
});
