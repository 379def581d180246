import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bubbleTile, MOST_BUBBLES } from './bubbles';
import { capacityMl, fillHeightMm, ringsOf, STARTING_VESSELS, volumeBelowMl, isRound } from './profile';
import { VesselSchema, type RoundVessel, type Vessel } from './schema';

const glass: Vessel = { kind: 'glass', name: 'Glass', topMm: 80, baseMm: 60, heightMm: 100 };
const rounds: fc.Arbitrary<Vessel> = fc.record({
  kind: fc.constantFrom('bowl' as const, 'tub' as const, 'glass' as const),
  name: fc.constant('Vessel'),
  topMm: fc.double({ min: 60, max: 400, noNaN: true }),
  baseMm: fc.double({ min: 20, max: 60, noNaN: true }),
  heightMm: fc.double({ min: 20, max: 300, noNaN: true }),
});

const rects: fc.Arbitrary<Vessel> = fc.record({
  kind: fc.constantFrom('tray' as const, 'terrine' as const),
  name: fc.constant('Vessel'),
  lengthMm: fc.double({ min: 60, max: 400, noNaN: true }),
  widthMm: fc.double({ min: 60, max: 400, noNaN: true }),
  baseLengthMm: fc.double({ min: 40, max: 400, noNaN: true }),
  baseWidthMm: fc.double({ min: 40, max: 400, noNaN: true }),
  heightMm: fc.double({ min: 20, max: 300, noNaN: true }),
});
const vessels = fc.oneof(rounds, rects);

describe('vessels', () => {
  it('a terrine holds its prismoid: h/6·(top + 4·middle + floor)', () => {
    fc.assert(
      fc.property(rects, (v) => {
        if (isRound(v)) throw new Error('round');
        const middle = ((v.lengthMm + v.baseLengthMm) / 2) * ((v.widthMm + v.baseWidthMm) / 2);
        const expected = ((v.heightMm / 6) * (v.lengthMm * v.widthMm + 4 * middle + v.baseLengthMm * v.baseWidthMm)) / 1000;
        expect(capacityMl(v) / expected).toBeCloseTo(1, 9);
      }),
    );
  });
  it('a glass holds its frustum: π·h/3·(R² + R·r + r²)', () => {
    expect(capacityMl(glass)).toBeCloseTo((Math.PI * 100 * (1600 + 1200 + 900)) / 3000, 9);
    const straight: RoundVessel = { ...glass, baseMm: 80 };
    expect(volumeBelowMl(straight, 50)).toBeCloseTo((Math.PI * 1600 * 50) / 1000, 9);
  });
  it('a bowl is within 0.2 % of its smooth wall', () => {
    const bowl: RoundVessel = { kind: 'bowl', name: 'Bowl', topMm: 200, baseMm: 80, heightMm: 90 };
    let ml = 0;
    const n = 20_000;
    for (let i = 0; i < n; i++) {
      const z = ((i + 0.5) / n) * 90;
      const r = 40 + 60 * Math.sqrt(1 - (1 - z / 90) ** 2);
      ml += (Math.PI * r * r * (90 / n)) / 1000;
    }
    expect(Math.abs(capacityMl(bowl) / ml - 1)).toBeLessThan(0.002);
  });
  it('height and volume are inverse of each other', () => {
    fc.assert(
      fc.property(vessels, fc.double({ min: 0, max: 1, noNaN: true }), (v, share) => {
        const ml = share * capacityMl(v);
        const z = fillHeightMm(v, ml);
        expect(z.ok && Math.abs(volumeBelowMl(v, z.value) - ml)).toBeLessThan(1e-5 * capacityMl(v));
      }),
    );
  });
  it('holds more the higher it is filled', () => {
    fc.assert(
      fc.property(vessels, fc.double({ min: 0, max: 0.98, noNaN: true }), (v, share) => {
        expect(volumeBelowMl(v, v.heightMm * (share + 0.02))).toBeGreaterThan(volumeBelowMl(v, v.heightMm * share));
      }),
    );
  });
  it('says how much is too much', () => {
    const r = fillHeightMm(glass, 1000);
    expect(r.ok ? '' : r.fault.says).toBe('Glass holds 387\u00a0mL: 613\u00a0mL too much.');
    expect(fillHeightMm(glass, -1).ok).toBe(false);
    expect(fillHeightMm(glass, NaN).ok).toBe(false);
  });
  it('takes no wall whose marks are out of order, lie at one height, or stop short of the rim', () => {
    const glass = (profile: readonly (readonly [zMm: number, acrossMm: number])[]) =>
      VesselSchema.safeParse({ kind: 'glass', name: 'G', topMm: 80, baseMm: 50, heightMm: 90, profile: profile.map(([zMm, acrossMm]) => ({ zMm, acrossMm })) });
    expect(
      glass([
        [0, 50],
        [40, 60],
        [90, 80],
      ]).success,
    ).toBe(true);
    for (const bad of [
      [
        [60, 80],
        [0, 50],
        [90, 80],
      ],
      [
        [0, 50],
        [40, 50],
        [40, 60],
        [90, 80],
      ],
      [
        [0, 50],
        [60, 80],
      ],
      [
        [10, 50],
        [90, 80],
      ],
    ] as const) {
      const r = glass(bad as readonly (readonly [number, number])[]);
      expect(r.success).toBe(false);
      expect(r.success ? '' : r.error.issues[0]!.message).toMatch(/wall/);
    }
  });
  it('starts with vessels that its own schema takes, rings rising', () => {
    for (const v of STARTING_VESSELS) {
      expect(VesselSchema.safeParse(v).success).toBe(true);
      if (!isRound(v)) continue;
      const rings = ringsOf(v);
      expect(rings.at(-1)!.zMm).toBeCloseTo(v.heightMm, 9);
      rings.slice(1).forEach((r, i) => expect(r.zMm).toBeGreaterThan(rings[i]!.zMm));
    }
  });
});

describe('bubbles', () => {
  it('cover exactly the share of air', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: MOST_BUBBLES, noNaN: true }), (share) => {
        const tile = bubbleTile(share);
        const area = tile.bubbles.reduce((sum, b) => sum + Math.PI * b.r * b.r, 0);
        expect(area / tile.sizeMm ** 2).toBeCloseTo(share, 9);
      }),
    );
  });
  it('never overlap, not even across the seam', () => {
    const { bubbles, sizeMm } = bubbleTile(MOST_BUBBLES);
    for (let i = 0; i < bubbles.length; i++) {
      for (let j = i + 1; j < bubbles.length; j++) {
        const a = bubbles[i]!;
        const b = bubbles[j]!;
        const dx = Math.abs(a.x - b.x);
        const dy = Math.abs(a.y - b.y);
        expect(Math.hypot(Math.min(dx, sizeMm - dx), Math.min(dy, sizeMm - dy))).toBeGreaterThanOrEqual(a.r + b.r - 1e-9);
      }
    }
  });
  it('say how much they show where the foam is lighter still', () => expect(bubbleTile(0.9).share).toBe(MOST_BUBBLES));
});
