import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { composition } from '../../composition/components';
import { mix } from '../../composition/mixture';
import { densityGPerMl } from '../../composition/density';
import { sucroseEquivalentG, solutionOf, freezingStartC } from '../freezing';
import { heatContent } from '../heat-content';
import { DRAUGHT_PER_K } from '../surface';
import { faceH, gridOf, type BodySpec, type Face } from './grid';
import { march, type March, type MarchInput } from './march';
import { constantMaterial, heatAt, materialOf, temperatureAt, type Material } from './material';
import { cylinderTheta, plankS, slabTheta } from './series';

const RHO = 1000;
const C = 3.5;
const K = 0.5;
const ALPHA = K / (RHO * C * 1000);
const plain = constantMaterial(RHO, C, K);
const still = (setC: number) => [{ setC, uaWPerK: null, bodies: 1 }];
const face = (h: number, air = 0): Face => ({ h, air });
const shut = face(0);
const run = (spec: BodySpec, input: Partial<MarchInput> & { airC?: number } = {}): March => {
  const { airC = 0, ...rest } = input;
  const m = march({ grid: gridOf(spec), airs: still(airC), mostH: 2000, untilC: null, ...rest });
  if (!m.ok) throw new Error(m.fault.says);
  return m.value;
};
/** Moment at which the warmest cell falls through a temperature, s. */
function when(m: March, tC: number, curve = m.warmest): number {
  const i = curve.findIndex((t) => t <= tC);
  if (i < 1) return NaN;
  return 3600 * (m.h[i - 1]! + ((m.h[i]! - m.h[i - 1]!) * (curve[i - 1]! - tC)) / (curve[i - 1]! - curve[i]!));
}
/** Time at which a falling function comes to a value. */
function invert(f: (t: number) => number, value: number): number {
  let [a, b] = [0, 1e8];
  for (let i = 0; i < 100; i++) {
    const m = (a + b) / 2;
    if (f(m) > value) a = m;
    else b = m;
  }
  return a;
}
const body = (
  kind: BodySpec['kind'],
  half: number,
  height: number,
  faces: { side: Face; bottom: Face; top: Face },
  cells: [number, number, number?],
  material: Material = plain,
  startC = 20,
): BodySpec => ({
  kind,
  half: () => half,
  halfLength: () => half,
  layers: [{ material, fromM: 0, toM: height, startC }],
  ...faces,
  across: cells[0],
  up: cells[1],
  along: cells[2] ?? cells[0],
});

const BIOTS = [0.1, 0.5, 1, 5, 20];

describe('against series solutions, within 1 %', () => {
  it.each(BIOTS)('slab, Bi %s', (bi) => {
    const L = 0.03;
    const h = (bi * K) / L;
    for (const theta of [0.5, 0.2, 0.05]) {
      const exact = invert((t) => slabTheta(bi, (ALPHA * t) / (L * L)), theta);
      const m = run(body('long', 1, 2 * L, { side: shut, bottom: face(h), top: face(h) }, [1, 24]), { untilC: 20 * theta * 0.98 });
      expect(Math.abs(when(m, 20 * theta) / exact - 1)).toBeLessThan(0.01);
    }
  });
  it.each(BIOTS)('long cylinder, Bi %s', (bi) => {
    const R = 0.035;
    const h = (bi * K) / R;
    const exact = invert((t) => cylinderTheta(bi, (ALPHA * t) / (R * R)), 0.2);
    const m = run(body('round', R, 0.1, { side: face(h), bottom: shut, top: shut }, [24, 2]), { untilC: 3.9 });
    expect(Math.abs(when(m, 4) / exact - 1)).toBeLessThan(0.01);
  });
  it.each(BIOTS)('short cylinder and brick as products of their series, Bi %s', (bi) => {
    const R = 0.03;
    const h = (bi * K) / R;
    const fo = (t: number): number => (ALPHA * t) / (R * R);
    const can = invert((t) => cylinderTheta(bi, fo(t)) * slabTheta(bi, fo(t)), 0.2);
    const m = run(body('round', R, 2 * R, { side: face(h), bottom: face(h), top: face(h) }, [16, 24]), { untilC: 3.9 });
    expect(Math.abs(when(m, 4) / can - 1)).toBeLessThan(0.01);
    const cube = invert((t) => slabTheta(bi, fo(t)) ** 3, 0.2);
    const b = run(body('brick', R, 2 * R, { side: face(h), bottom: face(h), top: face(h) }, [10, 20, 10]), { untilC: 3.9 });
    expect(Math.abs(when(b, 4) / cube - 1)).toBeLessThan(0.01);
  });
});

/** Near-water gel, and a sweet cream. */
const gel = (): Material => {
  const portions = [{ massG: 100, per100: composition({ water: 97, gelatin_protein: 2, sucrose: 1 }), ownSweetness: null, ownFreezing: null }];
  return materialOf('gel', mix(portions), sucroseEquivalentG(portions), 0);
};
const sweet = (overrun = 60): Material => {
  const portions = [
    { massG: 320, per100: composition({ water: 58, milk_fat: 36, milk_protein: 2.2, lactose: 3.3, salt: 0.5 }), ownSweetness: null, ownFreezing: null },
    { massG: 110, per100: composition({ sucrose: 100 }), ownSweetness: null, ownFreezing: null },
    { massG: 120, per100: composition({ water: 50, egg_fat: 32, egg_protein: 16, salt: 2 }), ownSweetness: null, ownFreezing: null },
  ];
  return materialOf('sweet', mix(portions), sucroseEquivalentG(portions), overrun);
};

describe('freezing', () => {
  it('agrees with Plank within 15 % where he applies: near-water gel, slab and cylinder, Bi 0.5–5', () => {
    const m = gel();
    const portions = [{ massG: 100, per100: composition({ water: 97, gelatin_protein: 2, sucrose: 1 }), ownSweetness: null, ownFreezing: null }];
    const startC = freezingStartC(solutionOf(mix(portions), sucroseEquivalentG(portions)))!;
    const dh = 1000 * (heatAt(m, startC) - heatAt(m, -5));
    const k = m.k[Math.round((-5 + 40) / 0.5)]!;
    const d = 0.05;
    for (const bi of [0.5, 1, 2, 5]) {
      const h = (2 * k * bi) / d;
      const slab = run(body('long', 1, d, { side: shut, bottom: face(h), top: face(h) }, [1, 40], m, startC), { airC: -25, untilC: -5.2, step: 0.015 });
      expect(Math.abs(when(slab, -5) / plankS('slab', m.rhoKgPerM3, dh, startC, -25, d, h, k) - 1)).toBeLessThan(0.15);
      const rod = run(body('round', d / 2, 0.2, { side: face(h), bottom: shut, top: shut }, [30, 2], m, startC), { airC: -25, untilC: -5.2, step: 0.015 });
      expect(Math.abs(when(rod, -5) / plankS('cylinder', m.rhoKgPerM3, dh, startC, -25, d, h, k) - 1)).toBeLessThan(0.15);
    }
  }, 60_000);
  it('a gel that starts where it begins to freeze has all of its latent heat before it', () => {
    const portions = [{ massG: 100, per100: composition({ water: 97, gelatin_protein: 2, sucrose: 1 }), ownSweetness: null, ownFreezing: null }];
    const eq = sucroseEquivalentG(portions);
    const startC = freezingStartC(solutionOf(mix(portions), eq))!;
    const exact = heatContent(mix(portions), eq);
    const m = gel();
    for (const tC of [startC, startC + 0.02, startC + 1]) expect(heatAt(m, tC)).toBeCloseTo(exact.at(tC), 3);
    expect(Math.abs(temperatureAt(m, exact.at(startC)) - startC)).toBeLessThan(0.02);
    const lag = (from: number): number =>
      when(run(body('long', 1, 0.05, { side: shut, bottom: face(40), top: face(40) }, [1, 40], m, from), { airC: -25, untilC: -5.2, step: 0.015 }), -5);
    // A hundredth of a degree warmer has no more than its own heat to lose: nothing jumps.
    expect(lag(startC + 0.01) / lag(startC)).toBeLessThan(1.003);
  }, 60_000);
  it('the litre is weighed at the temperature at which it was filled', () => {
    const m = mix([{ massG: 100, per100: composition({ water: 66, milk_fat: 12, milk_protein: 6, sucrose: 16 }) }]);
    expect(materialOf('hot', m, 16, 0, 60).rhoKgPerM3).toBeCloseTo(1000 * densityGPerMl(m, 60)!, 9);
    expect(materialOf('hot', m, 16, 0, 60).rhoKgPerM3).toBeLessThan(0.985 * materialOf('cold', m, 16, 0).rhoKgPerM3);
  });
  it('a sweet terrine against a grid and steps twice as fine: within 1 %', () => {
    const spec = (across: number, up: number): BodySpec => ({
      ...body('long', 0.037, 0.055, { side: face(6.8), bottom: face(7), top: face(6.5) }, [across, up], sweet(), 12),
      half: (z) => 0.034 + 0.1 * z,
    });
    const coarse = run(spec(16, 24), { airC: -20, untilC: -15.2 });
    const fine = run(spec(32, 48), { airC: -20, untilC: -15.2, step: 0.015 });
    for (const t of [-5, -15]) expect(Math.abs(when(coarse, t) / when(fine, t) - 1)).toBeLessThan(0.01);
  }, 60_000);
});

describe('what must hold', () => {
  it('heat is accounted for to round-off, freezing and layers included', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: -25, max: 5, noNaN: true }),
        fc.double({ min: 0.01, max: 0.08, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (h, airC, height, startC) => {
          const m = run(
            {
              ...body('round', 0.04, height, { side: face(h), bottom: face(h), top: face(h / 2) }, [6, 10], sweet(), startC),
              layers: [
                { material: sweet(), fromM: 0, toM: height / 2, startC },
                { material: gel(), fromM: height / 2, toM: height, startC: startC / 2 },
              ],
            },
            { airC, mostH: 6 },
          );
          expect(Math.abs(m.gaveJ - m.lostJ)).toBeLessThan(0.005 * Math.abs(m.lostJ) + 1e-6);
        },
      ),
      { numRuns: 25 },
    );
  }, 60_000);
  it('colder air, thinner, or a better face is never slower; a film never faster', () => {
    const time = (h: number, airC: number, height: number, top = h): number =>
      when(run(body('round', 0.05, height, { side: face(h), bottom: face(h), top: face(top) }, [8, 12], sweet(), 25), { airC, untilC: 8, mostH: 500 }), 8.5);
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 40, noNaN: true }),
        fc.double({ min: -20, max: 4, noNaN: true }),
        fc.double({ min: 0.02, max: 0.09, noNaN: true }),
        fc.double({ min: 1.05, max: 2, noNaN: true }),
        (h, airC, height, factor) => {
          const now = time(h, airC, height);
          const grace = 1.004;
          expect(time(h * factor, airC, height)).toBeLessThanOrEqual(now * grace);
          expect(time(h, airC - 2 * factor, height)).toBeLessThanOrEqual(now * grace);
          expect(time(h, airC, height / factor)).toBeLessThanOrEqual(now * grace);
          expect(time(h, airC, height, 1 / (1 / h + 0.02)) * grace).toBeGreaterThanOrEqual(now);
        },
      ),
      { numRuns: 20 },
    );
  }, 60_000);
  it('keeps symmetry: a slab cooled alike from both sides is its own mirror', () => {
    const spec = body('long', 1, 0.06, { side: shut, bottom: face(9), top: face(9) }, [1, 20], sweet());
    const m = march({ grid: gridOf(spec), airs: still(-18), mostH: 2, untilC: null, frames: 4 });
    if (!m.ok) throw new Error(m.fault.says);
    const last = m.value.frames.at(-1)!.tC;
    for (let i = 0; i < 10; i++) expect(Math.abs(last[i]! - last[19 - i]!)).toBeLessThan(1e-4);
  });
  it('a layered slab between two airs comes to the exact steady state', () => {
    const good = constantMaterial(1000, 2, 2);
    const poor = constantMaterial(1000, 2, 0.1);
    const spec: BodySpec = {
      ...body('long', 1, 0.04, { side: shut, bottom: { h: 20, air: 1 }, top: { h: 10, air: 0 } }, [1, 20]),
      layers: [
        { material: good, fromM: 0, toM: 0.02, startC: 10 },
        { material: poor, fromM: 0.02, toM: 0.04, startC: 10 },
      ],
    };
    const grid = gridOf(spec);
    const m = march({
      grid,
      airs: [
        { setC: 0, uaWPerK: null, bodies: 1 },
        { setC: 30, uaWPerK: null, bodies: 1 },
      ],
      mostH: 200,
      untilC: null,
      frames: 4,
    });
    if (!m.ok) throw new Error(m.fault.says);
    const r = [1 / 20, 0.02 / 2, 0.02 / 0.1, 1 / 10];
    const q = 30 / r.reduce((a, b) => a + b, 0);
    const last = m.value.endC;
    grid.upM.forEach((z, j) => {
      const below = r[0]! + (z <= 0.02 ? z / 2 : 0.01 + (z - 0.02) / 0.1);
      expect(last[j]!).toBeCloseTo(30 - q * below, 3);
    });
  });
  it('a full shelf warms the fridge, and the more stands there the slower', () => {
    const at = (bodies: number): March => {
      const m = march({
        grid: gridOf(body('round', 0.08, 0.08, { side: face(7), bottom: face(7), top: face(7) }, [8, 10])),
        airs: [{ setC: 4, uaWPerK: 7, bodies }],
        mostH: 40,
        untilC: 8,
      });
      if (!m.ok) throw new Error(m.fault.says);
      return m.value;
    };
    expect(Math.max(...at(10).air)).toBeGreaterThan(Math.max(...at(1).air) + 1);
    expect(when(at(10), 9)).toBeGreaterThan(when(at(1), 9));
  });
  it('heat and temperature come back from the tables', () => {
    const m = sweet();
    fc.assert(
      fc.property(fc.double({ min: -35, max: 90, noNaN: true }), (t) => {
        expect(Math.abs(temperatureAt(m, heatAt(m, t)) - t)).toBeLessThan(0.05);
      }),
    );
  });
  it('stops when it is asked to, and refuses nothing', () => {
    const grid = gridOf(body('round', 0.05, 0.05, { side: face(5), bottom: face(5), top: face(5) }, [8, 8]));
    const m = march({ grid, airs: still(4), mostH: 100, untilC: null, goOn: () => false });
    expect(m.ok && m.value.stopped).toBe('asked');
    expect(march({ grid, airs: still(4), mostH: 0, untilC: null }).ok).toBe(false);
  });
});

describe('the draught of a hot surface', () => {
  const still: Face = { h: 7, air: 0, own: { airH: 7, risePerK: DRAUGHT_PER_K } };
  it('takes 7 W/m²K cold and 11 at sixty degrees; through a film both ways in series', () => {
    expect(faceH(still, 0)).toBeCloseTo(7, 9);
    expect(faceH(still, 60)).toBeCloseTo(11, 6);
    expect(faceH(still, -60)).toBeCloseTo(11, 6);
    const filmed: Face = { h: 1 / (1 / 7 + 0.02), air: 0, own: { airH: 7, risePerK: DRAUGHT_PER_K } };
    const h = faceH(filmed, 60);
    // What the film lets through is what the air takes at the difference that is left outside it.
    const outsideK = 60 - h * 60 * 0.02;
    expect(h * 60).toBeCloseTo((7 + DRAUGHT_PER_K * outsideK) * outsideK, 0);
  });
  it('a thin plate of one temperature cools as the closed solution of h = h₀ + rΔ says', () => {
    const thickM = 0.01;
    const m = run(body('long', 1, thickM, { side: shut, bottom: still, top: still }, [1, 4], constantMaterial(RHO, C, 500), 80), {
      airC: 4,
      untilC: 9,
      step: 0.01,
    });
    const of = (d: number): number => Math.log(d / (7 + DRAUGHT_PER_K * d));
    const seconds = (RHO * C * 1000 * thickM * (of(76) - of(6))) / (2 * 7);
    expect(when(m, 10) / seconds).toBeCloseTo(1, 2);
  });
});
