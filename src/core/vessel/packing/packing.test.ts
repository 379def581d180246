import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { floorAreaMm2, type Floor } from '../profile';
import { BEST_KNOWN_RATIO } from './best-known';
import { cutFromBiscuits } from './offcuts';
import { areaMm2, jutsOutMm, overlapMm, rectangle, turned, type Outline } from './outline';
import { layBiscuits, LAY_PATTERNS, staggered, type LaidBiscuit, type Plan } from './lay';
import { rectsInRect } from './rects-in-rect';
import { roundsInRect } from './rounds-in-rect';
import { foundPackings, hexInRound, ringsInRound, roundsInRound } from './rounds-in-round';

const round = (radiusMm: number): Floor => ({ kind: 'round', radiusMm });
const rect = (lengthMm: number, widthMm: number, cornerMm = 0): Floor => ({ kind: 'rect', lengthMm, widthMm, cornerMm });
const planOf = (floor: Floor, b: LaidBiscuit, pattern: (typeof LAY_PATTERNS)[number] = 'tight', cutting = true): Plan => {
  const plan = layBiscuits(floor, b, pattern, cutting);
  if (!plan.ok) throw new Error(plan.fault.says);
  return plan.value;
};
const FINGER: LaidBiscuit = { shape: 'rect', widthMm: 25, lengthMm: 110 };
const THIN: LaidBiscuit = { shape: 'round', widthMm: 50, lengthMm: 50 };

/** The deepest overlap and the farthest jut of a plan, mm; worked out from the drawing alone. */
function worst(plan: Plan): number {
  let deep = -Infinity;
  for (let i = 0; i < plan.pieces.length; i++) {
    const a = plan.pieces[i]!.outline;
    deep = Math.max(deep, jutsOutMm(plan.floor, a));
    for (let j = i + 1; j < plan.pieces.length; j++) deep = Math.max(deep, overlapMm(a, plan.pieces[j]!.outline));
  }
  return deep;
}

const floors: fc.Arbitrary<Floor> = fc.oneof(
  fc.double({ min: 30, max: 140, noNaN: true }).map(round),
  fc
    .tuple(fc.double({ min: 50, max: 320, noNaN: true }), fc.double({ min: 50, max: 260, noNaN: true }), fc.double({ min: 0, max: 24, noNaN: true }))
    .map(([l, w, c]) => rect(l, w, c)),
);
const biscuits: fc.Arbitrary<LaidBiscuit> = fc.oneof(
  fc.double({ min: 30, max: 80, noNaN: true }).map((d): LaidBiscuit => ({ shape: 'round', widthMm: d, lengthMm: d })),
  fc
    .tuple(fc.double({ min: 22, max: 70, noNaN: true }), fc.double({ min: 30, max: 130, noNaN: true }))
    .map(([w, l]): LaidBiscuit => ({ shape: 'rect', widthMm: w, lengthMm: l })),
);

describe('a layer of biscuits', () => {
  it('never lies on itself nor outside the wall, in 10 000 random cases', () => {
    fc.assert(
      fc.property(floors, biscuits, fc.constantFrom(...LAY_PATTERNS), fc.boolean(), (floor, biscuit, pattern, cutting) => {
        const plan = layBiscuits(floor, biscuit, pattern, cutting);
        if (!plan.ok) return;
        expect(worst(plan.value)).toBeLessThanOrEqual(1e-6);
        expect(plan.value.coveredShare).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { numRuns: 10_000 },
    );
  }, 240_000);
  it('refuses crumbs in words, at once: thousands of pieces are no layer', () => {
    const floor = { kind: 'round', radiusMm: 1000 } as const;
    for (const b of [
      { shape: 'rect', widthMm: 25, lengthMm: 5 },
      { shape: 'round', widthMm: 5, lengthMm: 5 },
      { shape: 'rect', widthMm: 0.01, lengthMm: 20 },
    ] as const) {
      const plan = layBiscuits(floor, b);
      expect(plan).toMatchObject({ ok: false, fault: { field: 'biscuit', code: 'too-small' } });
      expect(!plan.ok && plan.fault.says).toContain('2\u202f500');
    }
    // By area: 2,500 of 20 × 20 mm are a square metre.
    expect(layBiscuits({ kind: 'rect', lengthMm: 1000, widthMm: 1000, cornerMm: 0 }, { shape: 'rect', widthMm: 20, lengthMm: 20 }).ok).toBe(true);
    expect(layBiscuits({ kind: 'rect', lengthMm: 1001, widthMm: 1000, cornerMm: 0 }, { shape: 'rect', widthMm: 20, lengthMm: 20 }).ok).toBe(false);
  });
  it('counts what is drawn: whole, cut, and the biscuits that they come from', () => {
    fc.assert(
      fc.property(floors, biscuits, fc.boolean(), (floor, biscuit, cutting) => {
        const found = layBiscuits(floor, biscuit, 'tight', cutting);
        if (!found.ok) return;
        const p = found.value;
        expect(p.whole).toBe(p.pieces.filter((x) => x.cut === null).length);
        expect(p.whole + p.cut).toBe(p.pieces.length);
        expect(new Set(p.pieces.map((x) => x.biscuit)).size).toBe(p.biscuits);
        expect(p.biscuits).toBe(p.whole + p.cutFrom);
        if (!cutting) expect(p.cut === 0 || floor.kind === 'rect').toBe(true);
        // What comes from one biscuit is never more than one biscuit.
        const each = new Map<number, number>();
        const one = biscuit.shape === 'round' ? (Math.PI / 4) * biscuit.widthMm ** 2 : biscuit.widthMm * biscuit.lengthMm;
        for (const x of p.pieces) each.set(x.biscuit, (each.get(x.biscuit) ?? 0) + (x.cut && 'share' in x.cut ? x.cut.share * one : areaMm2(x.outline)));
        for (const area of each.values()) expect(area).toBeLessThanOrEqual(one * (1 + 1e-9));
      }),
      { numRuns: 400 },
    );
  });
  it('cutting never lays fewer whole biscuits, and covers no less', () => {
    fc.assert(
      fc.property(floors, biscuits, (floor, biscuit) => {
        const cut = layBiscuits(floor, biscuit, 'tight', true);
        const whole = layBiscuits(floor, biscuit, 'tight', false);
        if (!whole.ok || !cut.ok) return;
        expect(cut.value.whole).toBe(whole.value.whole);
        expect(cut.value.coveredShare).toBeGreaterThanOrEqual(whole.value.coveredShare - 1e-9);
      }),
      { numRuns: 300 },
    );
  });
  it('says what is too large and what would fit', () => {
    const r = layBiscuits(round(30), FINGER, 'tight', false);
    expect(r.ok ? '' : r.fault.says).toBe(
      'Not one biscuit lies flat: it is 110\u00a0×\u00a025\u00a0mm, and the inside here is 60\u00a0mm across. Take a smaller biscuit or a wider vessel, have it cut, or crumble it.',
    );
    const cut = layBiscuits(round(30), FINGER);
    expect(cut.ok && cut.value.whole).toBe(0);
    expect(cut.ok && cut.value.cut).toBeGreaterThan(0);
    expect(layBiscuits(round(100), { shape: 'rect', widthMm: 0, lengthMm: 10 }).ok).toBe(false);
  });
  it('fills a steel tray with fingers and reuses the offcuts', () => {
    const p = planOf(rect(315, 255), FINGER);
    expect(p.whole).toBeGreaterThanOrEqual(26);
    expect(p.coveredShare).toBeGreaterThan(0.9);
    expect(p.cutFrom).toBeLessThan(Math.max(2, p.cut));
  });
  it('fits into rounded corners by cutting', () => {
    const square = planOf(rect(300, 200), { shape: 'rect', widthMm: 50, lengthMm: 100 });
    const rounded = planOf(rect(300, 200, 30), { shape: 'rect', widthMm: 50, lengthMm: 100 });
    expect(square.whole).toBe(12);
    expect(rounded.whole).toBe(8);
    expect(rounded.cut).toBe(4);
  });
});

describe('rounds in a round', () => {
  it('come within two of the best known, up to 100', () => {
    const short: string[] = [];
    for (let n = 1; n <= 100; n++) {
      const found = roundsInRound(BEST_KNOWN_RATIO[n - 1]! * (1 + 1e-6), 1).length;
      if (found < n - 2) short.push(`${found} for ${n}`);
    }
    expect(short).toEqual([]);
  });
  it('of the shipped table are packings at the ratio that is worked out for them', () => {
    expect(foundPackings()).toHaveLength(100);
    for (const p of foundPackings()) {
      const outlines = Array.from({ length: p.n }, (_, i): Outline => ({
        kind: 'round',
        x: p.centres[2 * i]! * (p.ratio - 1),
        y: p.centres[2 * i + 1]! * (p.ratio - 1),
        r: 1,
      }));
      for (let i = 0; i < p.n; i++) for (let j = i + 1; j < p.n; j++) expect(overlapMm(outlines[i]!, outlines[j]!)).toBeLessThan(1e-9);
    }
    // Nothing is tighter than what is known, but for the last digit that is printed.
    foundPackings().forEach((p, i) => expect(p.ratio).toBeGreaterThan(BEST_KNOWN_RATIO[i]! - 1e-4));
  });
  it('a wider tin never takes fewer', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 22, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (ratio, more) => {
        // Beyond the table the lattice is searched on a grid of places.
        expect(roundsInRound(ratio + more, 1).length).toBeGreaterThanOrEqual(roundsInRound(ratio, 1).length - (ratio > 11 ? 2 : 0));
      }),
      { numRuns: 200 },
    );
  });
  it('beyond the table cover as much as a good lattice', () => {
    for (const ratio of [12, 15, 20, 23]) {
      const n = roundsInRound(ratio, 1).length;
      expect(n / ratio ** 2).toBeGreaterThan(0.78);
      expect(n).toBeGreaterThanOrEqual(hexInRound(ratio, 1, 0, 0).length);
    }
  });
  it('in rings stand at the wall, evenly', () => {
    const ring = ringsInRound(100, 25);
    expect(ring).toHaveLength(9 + 2);
    expect(ring.filter((p) => Math.abs(Math.hypot(p.x, p.y) - 75) < 1e-9)).toHaveLength(9);
    expect(ringsInRound(3, 1)).toHaveLength(7);
    expect(ringsInRound(0.5, 1)).toHaveLength(0);
  });
});

describe('rounds in a rectangle', () => {
  it('take the better of rows and sunk rows', () => {
    expect(roundsInRect(4, 4, 1)).toHaveLength(4);
    expect(roundsInRect(10, 2, 1)).toHaveLength(5);
    // Two rows that sink into each other in a channel too low for two straight ones.
    expect(roundsInRect(6, 3.2, 1).length).toBe(3);
    expect(roundsInRect(20, 20, 1).length).toBeGreaterThanOrEqual(105);
    expect(roundsInRect(1, 5, 1)).toHaveLength(0);
  });
});

/** The most l × w pieces in L × W on a grid, by trying every place for the first free cell. */
function bruteForce(L: number, W: number, l: number, w: number): number {
  const taken = Array.from({ length: W }, () => new Array<boolean>(L).fill(false));
  let best = 0;
  const place = (from: number, count: number, wasted: number): void => {
    let at = from;
    while (at < L * W && taken[Math.floor(at / L)]![at % L]) at++;
    const free = L * W - count * l * w - wasted;
    if (count > best) best = count;
    if (at >= L * W || count + Math.floor(free / (l * w)) <= best) return;
    const x = at % L;
    const y = Math.floor(at / L);
    for (const [px, py] of l === w
      ? [[l, w]]
      : [
          [l, w],
          [w, l],
        ]) {
      if (x + px! > L || y + py! > W) continue;
      let fits = true;
      for (let j = 0; j < py! && fits; j++) for (let i = 0; i < px!; i++) if (taken[y + j]![x + i]) fits = false;
      if (!fits) continue;
      const set = (v: boolean): void => {
        for (let j = 0; j < py!; j++) for (let i = 0; i < px!; i++) taken[y + j]![x + i] = v;
      };
      set(true);
      place(at + 1, count + 1, wasted);
      set(false);
    }
    taken[y]![x] = true;
    place(at + 1, count, wasted + 1);
    taken[y]![x] = false;
  };
  place(0, 0, 0);
  return best;
}

describe('rectangles in a rectangle', () => {
  it('equal a search of every placing on small cases', () => {
    for (let L = 3; L <= 9; L++) {
      for (let W = 3; W <= Math.min(L, 7); W++) {
        for (const [l, w] of [
          [2, 1],
          [3, 2],
          [4, 1],
          [3, 1],
          [4, 3],
          [5, 2],
          [2, 2],
        ] as const) {
          expect(`${L}×${W} of ${l}×${w}: ${rectsInRect(L, W, l, w).pieces.length}`).toBe(`${L}×${W} of ${l}×${w}: ${bruteForce(L, W, l, w)}`);
        }
      }
    }
  });
  it('find the pinwheel', () => expect(rectsInRect(5, 5, 3, 2).pieces).toHaveLength(4));
  it('account for the whole floor: pieces and what is left', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 20, max: 120 }),
        fc.integer({ min: 20, max: 60 }),
        (L, W, l, w) => {
          const { pieces, left } = rectsInRect(L, W, l, w);
          const area = [...pieces, ...left].reduce((s, b) => s + b.dx * b.dy, 0);
          expect(area).toBeCloseTo(L * W, 5);
        },
      ),
      { numRuns: 200 },
    );
  });
  it('as few as one direction allows are never more than both', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 300 }), fc.integer({ min: 60, max: 300 }), (L, W) => {
        expect(rectsInRect(L, W, 110, 25).pieces.length).toBeGreaterThanOrEqual(
          Math.max(rectsInRect(L, W, 110, 25, false).pieces.length, rectsInRect(L, W, 25, 110, false).pieces.length),
        );
      }),
      { numRuns: 100 },
    );
  });
});

describe('offcuts', () => {
  it('serve again where they are long enough', () => {
    expect(cutFromBiscuits([50, 50], 110)).toMatchObject({ biscuits: 1, biscuit: [0, 0] });
    expect(cutFromBiscuits([60, 60], 110).biscuits).toBe(2);
    expect(cutFromBiscuits([], 110).biscuits).toBe(0);
  });
  it('never take more from a biscuit than it has, and never fewer biscuits than the length asks', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 15, max: 110, noNaN: true }), { maxLength: 30 }), (lengths) => {
        const { biscuit, biscuits } = cutFromBiscuits(lengths, 110);
        const sums = new Array<number>(biscuits).fill(0);
        lengths.forEach((mm, i) => (sums[biscuit[i]!]! += mm));
        for (const s of sums) expect(s).toBeLessThanOrEqual(110 + 1e-6);
        expect(biscuits).toBeGreaterThanOrEqual(Math.ceil(lengths.reduce((s, x) => s + x, 0) / 110 - 1e-9));
      }),
    );
  });
});

describe('every other layer', () => {
  it('is as full, and leaves fewer gaps above gaps', () => {
    const plan = planOf(round(118), THIN);
    const over = staggered(plan);
    expect(over.pieces).toHaveLength(plan.pieces.length);
    expect(worst(over)).toBeLessThanOrEqual(1e-6);
    expect(over).not.toEqual(plan);
  });
  it('turns fingers the other way where as many lie so', () => {
    const piece: LaidBiscuit = { shape: 'rect', widthMm: 20, lengthMm: 40 };
    const plan = planOf(rect(120, 120), piece, 'along');
    const other = planOf(rect(120, 120), piece, 'across');
    expect(staggered(plan, [other])).toBe(other);
  });
});

describe('outlines', () => {
  it('keep their area when turned and mirrored', () => {
    const o = rectangle(10, 20, 30, 40);
    expect(areaMm2(turned(o, 1.1, true))).toBeCloseTo(1200, 9);
    expect(jutsOutMm(round(100), turned(o, 0.7))).toBeCloseTo(jutsOutMm(round(100), o), 9);
  });
  it('know touching from overlapping', () => {
    expect(overlapMm(rectangle(0, 0, 10, 10), rectangle(10, 0, 10, 10))).toBeCloseTo(0, 12);
    expect(overlapMm(rectangle(0, 0, 10, 10), rectangle(9, 0, 10, 10))).toBeCloseTo(1, 12);
    expect(overlapMm({ kind: 'round', x: 9, y: 0, r: 4 }, rectangle(0, 0, 10, 10))).toBeCloseTo(0, 12);
    expect(overlapMm({ kind: 'round', x: 0, y: 0, r: 1 }, rectangle(0, 0, 10, 10))).toBeGreaterThan(1);
  });
  it('a floor is as large as its closed form', () => {
    expect(floorAreaMm2(rect(100, 50, 10))).toBeCloseTo(5000 - (4 - Math.PI) * 100, 9);
    expect(floorAreaMm2(round(10))).toBeCloseTo(Math.PI * 100, 9);
  });
});
