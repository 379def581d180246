import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coverMl, coverMm, fillingMl, pressedMl, pressedThickness } from './cover';
import { glassOf, glassProfile, GLASS_SHAPES, GLASS_STARTS, nearestProfile, profileByWater, readProfile, scaledToHold } from './glass';
import { capacityMl, fillHeightMm, floorAreaMm2, floorAt, narrowestFloor, volumeBelowMl } from './profile';
import { VesselSchema, type RoundVessel, type Vessel } from './schema';

const glass = (shape: (typeof GLASS_SHAPES)[number]): RoundVessel => {
  const profile = glassProfile(shape, GLASS_STARTS[shape]);
  if (!profile.ok) throw new Error(profile.fault.says);
  return glassOf(shape, profile.value);
};

/** The volume of straight bands by slices: the trapezium rule on the area, Richardson's step on top. */
function bySlices(v: Vessel, zMm: number): number {
  const at = (n: number): number => {
    let ml = 0;
    for (let i = 0; i < n; i++) ml += floorAreaMm2(floorAt(v, ((i + 0.5) * zMm) / n)) * (zMm / n);
    return ml / 1000;
  };
  return at(4096) + (at(4096) - at(2048)) / 3;
}

describe('glasses', () => {
  it.each(GLASS_SHAPES)('a %s one holds what slices add up to, to 1e-6', (shape) => {
    const v = glass(shape);
    expect(VesselSchema.safeParse(v).success).toBe(true);
    for (const share of [0.2, 0.5, 0.83, 1]) expect(volumeBelowMl(v, share * v.heightMm) / bySlices(v, share * v.heightMm)).toBeCloseTo(1, 6);
  });
  it('a straight one holds its cylinder, a cone its frustum', () => {
    expect(capacityMl(glass('straight'))).toBeCloseTo((Math.PI * 35 ** 2 * 80) / 1000, 9);
    const { rimMm, footMm, heightMm } = GLASS_STARTS.cone;
    expect(capacityMl(glass('cone'))).toBeCloseTo((Math.PI * heightMm * ((rimMm / 2) ** 2 + (rimMm * footMm) / 4 + (footMm / 2) ** 2)) / 3000, 9);
  });
  it('fill and measure come back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GLASS_SHAPES), fc.double({ min: 0.001, max: 1, noNaN: true }), (shape, share) => {
        const v = glass(shape);
        const z = fillHeightMm(v, share * capacityMl(v));
        expect(z.ok && volumeBelowMl(v, z.value) / (share * capacityMl(v))).toBeCloseTo(1, 8);
      }),
    );
  });
  it('say where the wall closes or crosses itself, and offer one that works', () => {
    const closed = glassProfile('waisted', { rimMm: 80, waistMm: 4, footMm: 20, heightMm: 100 });
    expect(closed.ok ? '' : closed.fault.code).toBe('closes');
    const marks = [
      { zMm: 0, acrossMm: 40 },
      { zMm: 50, acrossMm: 60 },
      { zMm: 30, acrossMm: 70 },
    ];
    const crossed = readProfile(marks);
    expect(crossed.ok ? '' : crossed.fault.says).toBe('The profile crosses itself: 30\u00a0mm comes after 50\u00a0mm. Heights go up from the foot, each once.');
    expect(readProfile(nearestProfile(marks)).ok).toBe(true);
    expect(
      readProfile([
        { zMm: 5, acrossMm: 40 },
        { zMm: 9, acrossMm: 40 },
      ]).ok,
    ).toBe(false);
    expect(readProfile([{ zMm: 0, acrossMm: 40 }]).ok).toBe(false);
    expect(glassProfile('straight', { ...GLASS_STARTS.straight, heightMm: 0 }).ok).toBe(false);
  });
  it('the nearest profile always works, whatever was typed', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ zMm: fc.double(), acrossMm: fc.double() }), { maxLength: 8 }), (marks) => {
        expect(readProfile(nearestProfile(marks)).ok).toBe(true);
      }),
    );
  });
  it('are made to hold what water says', () => {
    const v = scaledToHold(glass('bellied'), { zMm: 60, ml: 180 });
    expect(v.ok && volumeBelowMl(v.value, 60)).toBeCloseTo(180, 9);
    expect(scaledToHold(glass('cone'), { zMm: 500, ml: 180 }).ok).toBe(false);
    expect(scaledToHold(glass('cone'), { zMm: 50, ml: 0 }).ok).toBe(false);
  });
  it('are found again from water alone', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GLASS_SHAPES), fc.integer({ min: 2, max: 7 }), (shape, n) => {
        const v = glass(shape);
        const marks = Array.from({ length: n }, (_, i) => ({ zMm: ((i + 1) * v.heightMm) / n, ml: volumeBelowMl(v, ((i + 1) * v.heightMm) / n) }));
        const profile = profileByWater(marks);
        if (!profile.ok) return;
        const found = glassOf('found', profile.value);
        for (const m of marks) expect(volumeBelowMl(found, m.zMm) / m.ml).toBeCloseTo(1, 8);
      }),
    );
    const tapered = glass('tapered');
    const at = [30, 60, 90].map((zMm) => ({ zMm, ml: volumeBelowMl(tapered, zMm) }));
    const found = profileByWater(at);
    expect(found.ok && found.value.at(-1)!.acrossMm).toBeGreaterThan(76);
    expect(found.ok && found.value.at(-1)!.acrossMm).toBeLessThan(84);
  });
  it('water that does not rise is asked for again', () => {
    expect(profileByWater([{ zMm: 30, ml: 80 }]).ok).toBe(false);
    const r = profileByWater([
      { zMm: 30, ml: 80 },
      { zMm: 25, ml: 120 },
    ]);
    expect(r.ok ? '' : r.fault.code).toBe('not-rising');
  });
});

describe('trays and domes', () => {
  it('a tray loses what its round corners take, exactly', () => {
    const square: Vessel = { kind: 'tray', name: 'T', lengthMm: 300, widthMm: 200, baseLengthMm: 300, baseWidthMm: 200, heightMm: 50 };
    expect(capacityMl(square) - capacityMl({ ...square, cornerMm: 30 })).toBeCloseTo(((4 - Math.PI) * 900 * 50) / 1000, 9);
    expect(capacityMl({ ...square, widthMm: 100, baseWidthMm: 100, lengthMm: 100, baseLengthMm: 100, cornerMm: 90 })).toBeCloseTo(
      (Math.PI * 2500 * 50) / 1000,
      9,
    );
  });
  it('a dome is near its half ellipsoid', () => {
    const dome: Vessel = { kind: 'dome', name: 'D', topMm: 180, baseMm: 5, heightMm: 90 };
    expect(capacityMl(dome) / (((2 / 3) * Math.PI * 90 ** 3) / 1000)).toBeGreaterThan(0.99);
    expect(capacityMl(dome) / (((2 / 3) * Math.PI * 90 ** 3) / 1000)).toBeLessThan(1.03);
  });
  it('a stiff piece must fit the narrowest inside of its height', () => {
    const v = glass('waisted');
    expect(narrowestFloor(v, 30, 80)).toMatchObject({ kind: 'round' });
    expect(floorAreaMm2(narrowestFloor(v, 30, 80))).toBeLessThan(floorAreaMm2(floorAt(v, 30)));
  });
});

describe('covered cakes and pressed bases', () => {
  const cake = { acrossMm: 200, heightMm: 80 };
  it('thickness and volume are inverse', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 40, noNaN: true }), (t) => {
        const back = coverMm(cake, coverMl(cake, t));
        expect(back.ok && back.value).toBeCloseTo(t, 8);
      }),
    );
    expect(coverMl(cake, 0)).toBe(0);
    expect(coverMm(cake, -1).ok).toBe(false);
    expect(fillingMl(cake, 3, 10)).toBeCloseTo((2 * Math.PI * 1e4 * 10) / 1000, 9);
    expect(fillingMl(cake, 1, 10)).toBe(0);
  });
  it('a base on the floor and wall is its thickness back', () => {
    const area = Math.PI * 100 ** 2;
    const wall = 2 * Math.PI * 100;
    fc.assert(
      fc.property(fc.double({ min: 1, max: 15, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true }), (t, up) => {
        const back = pressedThickness(area, wall, up, pressedMl(area, wall, up, t));
        expect(back.ok && back.value).toBeCloseTo(t, 6);
      }),
    );
    // Floor alone: volume over area.
    expect(pressedMl(area, wall, 0, 5)).toBeCloseTo((area * 5) / 1000, 9);
    // Floor and wall against the cylinder less its hollow.
    expect(pressedMl(area, wall, 40, 6)).toBeCloseTo((Math.PI * (100 ** 2 * 40 - 94 ** 2 * 34)) / 1000, 6);
    expect(pressedThickness(area, wall, 0, -1).ok).toBe(false);
  });
});
