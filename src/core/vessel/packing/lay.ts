import { plainNumber } from '../../figure';
import { fail, ok, type Result } from '../../result';
import { floorAreaMm2, type Floor } from '../profile';
import { breakInto } from './broken-rounds';
import { cutFromBiscuits } from './offcuts';
import { areaMm2, byPlace, jutsOutMm, liesOn, rectangle, turned, type Outline, type Point } from './outline';
import { rectsInRect, type Box } from './rects-in-rect';
import { LEAST_CUT_MM, rectsInRound } from './rects-in-round';
import { roundsInRect } from './rounds-in-rect';
import { ringsInRound, roundsInRound } from './rounds-in-round';

/** A biscuit as it is laid: from above only. A round one is as wide as it is long. */
export interface LaidBiscuit {
  readonly shape: 'round' | 'rect';
  readonly widthMm: number;
  readonly lengthMm: number;
}

/** How they are laid: as many as go in, in rings from the wall, or all in one direction. */
export const LAY_PATTERNS = ['tight', 'rings', 'along', 'across'] as const;
export type LayPattern = (typeof LAY_PATTERNS)[number];

/** One piece on the plan. */
export interface Piece {
  readonly outline: Outline;
  /** The biscuit that it comes from, from 0: whole ones first. */
  readonly biscuit: number;
  /** What was cut or broken: the length kept, mm, or the share of a round; null for a whole one. */
  readonly cut: { readonly keptMm: number } | { readonly share: number } | null;
}

/** A layer of biscuits from above. */
export interface Plan {
  readonly floor: Floor;
  readonly pieces: readonly Piece[];
  /** Laid whole. */
  readonly whole: number;
  /** Cut or broken pieces, and the biscuits that they come from: an offcut serves again. */
  readonly cut: number;
  readonly cutFrom: number;
  /** All that the layer takes. */
  readonly biscuits: number;
  /** Share of the floor that is covered, 0–1. */
  readonly coveredShare: number;
}

/** From this ratio of sides on a biscuit breaks when it is cut lengthwise. */
const FINGER_FROM = 3;

/** No one lays more pieces than this in a layer; up to here the search takes no longer than half a second. */
const MOST_BISCUITS = 2500;

/**
 * Lays one layer (geometry): as many whole biscuits as the search finds, then, where cutting is asked, pieces cut or broken for what is left.
 * No piece lies on another or outside the wall, to 1e-6 mm.
 *
 * @returns a fault on `biscuit` when not one fits (the sentence names the widest that would), or when they are too small to lay one by one.
 */
export function layBiscuits(floor: Floor, biscuit: LaidBiscuit, pattern: LayPattern = 'tight', cutting = true): Result<Plan> {
  if (!(biscuit.widthMm > 0 && biscuit.lengthMm > 0)) return fail('biscuit', 'no-size', 'This biscuit has no size: enter its width and length in the Larder.');
  const each = biscuit.shape === 'round' ? (Math.PI / 4) * biscuit.widthMm ** 2 : biscuit.widthMm * biscuit.lengthMm;
  if (floorAreaMm2(floor) > MOST_BISCUITS * each)
    return fail('biscuit', 'too-small', `More than ${plainNumber(MOST_BISCUITS, 0)} of these would go on that floor: check the biscuit’s size, or crumble it.`);
  const pieces = biscuit.shape === 'round' ? layRounds(floor, biscuit.widthMm / 2, pattern, cutting) : layRects(floor, biscuit, pattern, cutting);
  if (pieces.length === 0) return fail('biscuit', 'too-large', tooLarge(floor, biscuit));
  const whole = pieces.filter((p) => p.cut === null).length;
  const biscuits = 1 + Math.max(...pieces.map((p) => p.biscuit));
  return ok({
    floor,
    pieces,
    whole,
    cut: pieces.length - whole,
    cutFrom: biscuits - whole,
    biscuits,
    coveredShare: pieces.reduce((s, p) => s + areaOf(p, biscuit), 0) / floorAreaMm2(floor),
  });
}

/** A broken round is drawn a little outside its arc; its area is its share. */
const areaOf = (p: Piece, b: LaidBiscuit): number => (p.cut && 'share' in p.cut ? p.cut.share * (Math.PI / 4) * b.widthMm ** 2 : areaMm2(p.outline));

function tooLarge(floor: Floor, b: LaidBiscuit): string {
  const size = b.shape === 'round' ? `${b.widthMm}\u00a0mm across` : `${b.lengthMm}\u00a0×\u00a0${b.widthMm}\u00a0mm`;
  const room =
    floor.kind === 'round'
      ? `the inside here is ${Math.floor(2 * floor.radiusMm)}\u00a0mm across`
      : `the inside here is ${Math.floor(floor.lengthMm)}\u00a0×\u00a0${Math.floor(floor.widthMm)}\u00a0mm`;
  return `Not one biscuit lies flat: it is ${size}, and ${room}. Take a smaller biscuit or a wider vessel, have it cut, or crumble it.`;
}

function layRounds(floor: Floor, r: number, pattern: LayPattern, cutting: boolean): readonly Piece[] {
  const centres = floor.kind === 'rect' ? roundsInCorners(floor, r) : pattern === 'rings' ? ringsInRound(floor.radiusMm, r) : roundsInRound(floor.radiusMm, r);
  const outlines = centres.map((p): Outline => ({ kind: 'round', x: p.x, y: p.y, r })).filter((o) => jutsOutMm(floor, o) <= 1e-6);
  const pieces: Piece[] = outlines.map((outline, biscuit) => ({ outline, biscuit, cut: null }));
  if (!cutting) return pieces;
  const broken = breakInto(floor, r, outlines);
  // Halves and quarters come out of the same biscuits: shares of a whole one.
  const from = shareOut(broken.map((b) => b.share));
  return [...pieces, ...broken.map((b, i) => ({ outline: b.outline, biscuit: outlines.length + from[i]!, cut: { share: b.share } }))];
}

/** Rounds a little larger than asked also fit: their places are tried too, so that a smaller round never goes in less often. */
const LARGER = [1, 1.01, 1.02, 1.035, 1.05];

/**
 * Rounds in a tray whose corners are rounder than they are: in the rectangle drawn in along one side, along the other, or a little along both,
 * so that a round in the corner touches its arc.
 */
function roundsInCorners(floor: Extract<Floor, { kind: 'rect' }>, r: number): readonly Point[] {
  const arc = floor.cornerMm - r;
  if (arc <= 1e-9) return roundsInRect(floor.lengthMm, floor.widthMm, r);
  let best: readonly Point[] = [];
  for (const larger of LARGER) {
    const radius = r * larger;
    const rest = Math.max(0, floor.cornerMm - radius);
    const both = rest * (1 - Math.SQRT1_2);
    for (const [along, across] of [
      [0, 0],
      [rest, 0],
      [0, rest],
      [both, both],
    ] as const) {
      const [length, width] = [floor.lengthMm - 2 * along, floor.widthMm - 2 * across];
      if (length < 2 * radius || width < 2 * radius) continue;
      const fits = roundsInRect(length, width, radius).filter((p) => jutsOutMm(floor, { kind: 'round', x: p.x, y: p.y, r }) <= 1e-6);
      if (fits.length > best.length) best = fits;
    }
  }
  return best;
}

/** Which biscuit each share comes from, halves first. */
function shareOut(shares: readonly number[]): readonly number[] {
  let used = 0;
  return shares.map((share) => {
    used += share;
    return Math.ceil(used - 1e-9) - 1;
  });
}

interface CutBox extends Box {
  /** Along the biscuit's length, or across it. */
  readonly across: boolean;
}

function layRects(floor: Floor, b: LaidBiscuit, pattern: LayPattern, cutting: boolean): readonly Piece[] {
  const l = Math.max(b.lengthMm, b.widthMm);
  const w = Math.min(b.lengthMm, b.widthMm);
  const { whole, cut } = floor.kind === 'round' ? inRound(floor.radiusMm, l, w, pattern, cutting) : inRect(floor, l, w, pattern, cutting);
  const outline = (x: Box): Outline => rectangle(x.x + x.dx / 2, x.y + x.dy / 2, x.dx, x.dy);
  const pieces: Piece[] = whole.map((x, biscuit) => ({ outline: outline(x), biscuit, cut: null }));
  let first = pieces.length;
  for (const across of [false, true]) {
    const mine = cut.filter((c) => c.across === across);
    const lengths = mine.map((c) => keptMm(c, l, w));
    const from = cutFromBiscuits(lengths, across ? w : l);
    mine.forEach((c, i) => pieces.push({ outline: outline(c), biscuit: first + from.biscuit[i]!, cut: { keptMm: lengths[i]! } }));
    first += from.biscuits;
  }
  return pieces;
}

/** What is kept of a cut piece's length, or of its width where it was cut lengthwise. */
const keptMm = (c: CutBox, l: number, w: number): number => {
  const other = c.across ? l : w;
  return Math.abs(c.dx - other) < Math.abs(c.dy - other) ? c.dy : c.dx;
};

function inRound(R: number, l: number, w: number, pattern: LayPattern, cutting: boolean): { whole: readonly Box[]; cut: readonly CutBox[] } {
  const { whole, cut } = rectsInRound(R, l, w, cutting, pattern === 'along' || pattern === 'across' ? pattern : null);
  return { whole, cut: cut.map((c) => ({ ...c, across: false })) };
}

function inRect(
  floor: Extract<Floor, { kind: 'rect' }>,
  l: number,
  w: number,
  pattern: LayPattern,
  cutting: boolean,
): { whole: readonly Box[]; cut: readonly CutBox[] } {
  const { lengthMm: L, widthMm: W } = floor;
  const found = pattern === 'along' ? rectsInRect(L, W, l, w, false) : pattern === 'across' ? rectsInRect(L, W, w, l, false) : rectsInRect(L, W, l, w);
  const centred = <T extends Box>(x: T): T => ({ ...x, x: x.x - L / 2, y: x.y - W / 2 });
  const strips = cutting ? found.left.flatMap((s) => fillStrip(s, l, w)) : [];
  const whole: Box[] = [];
  const cut: CutBox[] = [];
  for (const piece of found.pieces.map(centred)) {
    const fits = trimmed(floor, { ...piece, across: false });
    if (fits && fits.dx === piece.dx && fits.dy === piece.dy) whole.push(piece);
    else if (fits && cutting) cut.push(fits);
  }
  for (const piece of strips.map(centred)) {
    const fits = trimmed(floor, piece);
    if (fits) cut.push(fits);
  }
  return { whole, cut };
}

/** A piece whose corner would meet a tray's rounded corner, shortened until it lies inside; null when too little is left. */
function trimmed(floor: Floor, piece: CutBox): CutBox | null {
  let box = piece;
  const outside = (x: Box): boolean => jutsOutMm(floor, rectangle(x.x + x.dx / 2, x.y + x.dy / 2, x.dx, x.dy)) > 1e-6;
  while (outside(box)) {
    const alongX = box.dx >= box.dy;
    if ((alongX ? box.dx : box.dy) - 1 < LEAST_CUT_MM) return null;
    // The end that is farther from the middle gives way.
    const nearLow = alongX ? box.x + box.dx / 2 < 0 : box.y + box.dy / 2 < 0;
    box = alongX ? { ...box, dx: box.dx - 1, x: box.x + (nearLow ? 1 : 0) } : { ...box, dy: box.dy - 1, y: box.y + (nearLow ? 1 : 0) };
  }
  return box;
}

/** Cut pieces for a box that no whole one fits into: side by side at their own width, cut to its other side; again for what then stays. */
function fillStrip(strip: Box, l: number, w: number): readonly CutBox[] {
  const ways = [
    { px: w, py: Math.min(l, strip.dy), across: false },
    { px: Math.min(l, strip.dx), py: w, across: false },
    ...(l / w < FINGER_FROM
      ? [
          { px: l, py: Math.min(w, strip.dy), across: true },
          { px: Math.min(w, strip.dx), py: l, across: true },
        ]
      : []),
  ];
  let best: { px: number; py: number; nx: number; ny: number; across: boolean } | null = null;
  for (const { px, py, across } of ways) {
    if (Math.min(px, py) < LEAST_CUT_MM) continue;
    const nx = Math.floor(strip.dx / px + 1e-9);
    const ny = Math.floor(strip.dy / py + 1e-9);
    if (nx * ny > 0 && (!best || nx * ny * px * py > best.nx * best.ny * best.px * best.py + 1e-6)) best = { px, py, nx, ny, across };
  }
  if (!best) return [];
  const { px, py, nx, ny, across } = best;
  const pieces: CutBox[] = [];
  for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++) pieces.push({ x: strip.x + i * px, y: strip.y + j * py, dx: px, dy: py, across });
  const right = { x: strip.x + nx * px, y: strip.y, dx: strip.dx - nx * px, dy: strip.dy };
  const above = { x: strip.x, y: strip.y + ny * py, dx: nx * px, dy: strip.dy - ny * py };
  return [...pieces, ...fillStrip(right, l, w), ...fillStrip(above, l, w)];
}

/** Points of a floor, evenly, to ask what covers them. */
function samplesOf(floor: Floor, n: number): readonly Point[] {
  const [halfX, halfY] = floor.kind === 'round' ? [floor.radiusMm, floor.radiusMm] : [floor.lengthMm / 2, floor.widthMm / 2];
  const step = Math.sqrt((4 * halfX * halfY) / n);
  const points: Point[] = [];
  for (let y = -halfY + step / 2; y < halfY; y += step)
    for (let x = -halfX + step / 2; x < halfX; x += step) if (jutsOutMm(floor, { kind: 'round', x, y, r: 0 }) <= 0) points.push({ x, y });
  return points;
}

/** Points along the straight edges of a piece. */
function seamsOf(o: Outline): readonly Point[] {
  if (o.kind === 'round') return [];
  return o.points.flatMap((a, i) => {
    const b = o.points[(i + 1) % o.points.length]!;
    const n = Math.max(1, Math.round(Math.hypot(b.x - a.x, b.y - a.y) / SEAM_STEP_MM));
    return Array.from({ length: n }, (_, k) => ({ x: a.x + ((b.x - a.x) * (k + 0.5)) / n, y: a.y + ((b.y - a.y) * (k + 0.5)) / n }));
  });
}

/** A seam or gap counts from so far in from a piece's edge, mm. */
const SEAM_MM = 1.5;
const SEAM_STEP_MM = 12;
const SAMPLES = 500;
const MOST_POINTS = 700;
const TURNS = 12;

/** Whether a point of the floor is bare, a piece's edge or seam counted as bare. */
function bareIn(plan: Plan): (p: Point) => boolean {
  const near = byPlace(plan.pieces.map((x) => x.outline));
  return (p) => !near(p.x, p.y, 0).some((o) => liesOn(o, p, SEAM_MM));
}

/**
 * The plan for every other layer: the same, turned, mirrored, or another plan of no fewer whole pieces, so that the fewest seams and gaps
 * come to lie above each other.
 *
 * @param others plans of the same layer that may serve instead (laid the other way, say).
 */
export function staggered(plan: Plan, others: readonly Plan[] = []): Plan {
  const points = [...samplesOf(plan.floor, SAMPLES), ...plan.pieces.flatMap((p) => seamsOf(p.outline))];
  const every = Math.ceil(points.length / MOST_POINTS);
  const bare = points.filter((_, i) => i % every === 0).filter(bareIn(plan));
  // Where a turned layer is bare is asked of the plan itself, at points turned back.
  const isBare = bareIn(plan);
  const moves =
    plan.floor.kind === 'round'
      ? Array.from({ length: TURNS }, (_, i) => ({ angle: (Math.PI * (i + 1)) / TURNS, mirrored: false }))
      : [
          { angle: Math.PI, mirrored: false },
          { angle: 0, mirrored: true },
          { angle: Math.PI, mirrored: true },
        ];
  let best = { count: Infinity, plan: () => plan };
  for (const { angle, mirrored } of moves) {
    const c = Math.cos(angle);
    const s = Math.sin(angle);
    const count = bare.filter((p) => {
      const x = p.x * c + p.y * s;
      return isBare({ x: mirrored ? -x : x, y: p.y * c - p.x * s });
    }).length;
    if (count < best.count) best = { count, plan: () => moved(plan, angle, mirrored) };
  }
  for (const o of others.filter((x) => x.whole >= plan.whole)) {
    const count = bare.filter(bareIn(o)).length;
    if (count < best.count) best = { count, plan: () => o };
  }
  return best.plan();
}

const moved = (plan: Plan, angle: number, mirrored: boolean): Plan => ({
  ...plan,
  pieces: plan.pieces.map((p) => ({ ...p, outline: turned(p.outline, angle, mirrored) })),
});
