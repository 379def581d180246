import { ROUND_TABLE } from './round-table';
import type { Point } from './outline';

/** A packing of n rounds that was found by long search: centres x₀, y₀, x₁, … with the outermost at distance 1. */
export interface FoundPacking {
  readonly n: number;
  readonly centres: readonly number[];
  /** The smallest inner radius over the rounds' radius that it fits. */
  readonly ratio: number;
}

/** What a packing is worth: half its least distance is the radius of a round. */
function ratioOf(c: readonly number[]): number {
  let least = Infinity;
  let far = 0;
  for (let i = 0; i < c.length; i += 2) {
    far = Math.max(far, Math.hypot(c[i]!, c[i + 1]!));
    for (let j = i + 2; j < c.length; j += 2) least = Math.min(least, Math.hypot(c[i]! - c[j]!, c[i + 1]! - c[j + 1]!));
  }
  return c.length === 2 ? 1 : 1 + (2 * far) / least;
}

/** Reads the table of found packings: 1, 2, 3, … rounds one after the other, 24-bit whole numbers in base64. */
export function readRoundTable(text: string): readonly FoundPacking[] {
  const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0));
  const word = (at: number): number => ((bytes[at]! << 8) | (bytes[at + 1]! << 16) | (bytes[at + 2]! << 24)) >> 8;
  const table: FoundPacking[] = [];
  for (let n = 1, at = 0; at < bytes.length; n++) {
    const stored = Array.from({ length: 2 * n }, (_, i) => word(at + 3 * i));
    const far = Math.max(1, ...stored.map((_, i) => (i % 2 === 0 ? Math.hypot(stored[i]!, stored[i + 1]!) : 0)));
    const centres = stored.map((v) => v / far);
    at += 6 * n;
    table.push({ n, centres, ratio: ratioOf(centres) });
  }
  return table;
}

let table: readonly FoundPacking[] | null = null;
/** The packings that ship with the program, read at the first question. */
export const foundPackings = (): readonly FoundPacking[] => (table ??= readRoundTable(ROUND_TABLE));

/** Rounding of sums, as a share of the radius: touching counts as lying inside. */
const TOUCH = 1e-9;

/**
 * The most equal rounds in a round (geometry): the better of what a long search has found for up to 100, a hexagonal lattice moved to
 * its best place, and rings.
 *
 * @param R inner radius of the vessel, mm.
 * @param r radius of a round, mm.
 * @returns centres, mm from the middle; none when R < r.
 */
export function roundsInRound(R: number, r: number): readonly Point[] {
  const found = fromTable(R, r);
  const tried = [found, ...(R / r < LATTICE_FROM && found.length > 0 ? [] : [bestLattice(R, r)]), ringsInRound(R, r)];
  return tried.reduce((a, b) => (b.length > a.length ? b : a));
}

/** Below this ratio the table cannot be beaten by a lattice. */
const LATTICE_FROM = 10;

function fromTable(R: number, r: number): readonly Point[] {
  const best = foundPackings().findLast((p) => p.ratio <= (R / r) * (1 + TOUCH));
  if (!best) return [];
  // Spread out to the wall: the distances only grow.
  const reach = best.n === 1 ? 0 : R - r;
  return Array.from({ length: best.n }, (_, i) => ({ x: best.centres[2 * i]! * reach, y: best.centres[2 * i + 1]! * reach }));
}

const OFFSETS = 12;

function bestLattice(R: number, r: number): readonly Point[] {
  let best: readonly Point[] = [];
  for (let i = 0; i < OFFSETS; i++) {
    for (let j = 0; j < OFFSETS; j++) {
      const points = hexInRound(R, r, i / OFFSETS, j / OFFSETS);
      if (points.length > best.length) best = points;
    }
  }
  return best;
}

/** The points of a hexagonal lattice that fit, moved by u along a row and v across, each 0–1 of its period. Only where it lies counts, not how it is turned. */
export function hexInRound(R: number, r: number, u: number, v: number): readonly Point[] {
  const points: Point[] = [];
  const reach = R - r + TOUCH * R;
  if (reach < 0) return points;
  const rise = Math.sqrt(3) * r;
  for (let row = Math.ceil(-reach / rise - 2 * v); row * rise + 2 * v * rise <= reach; row++) {
    const y = row * rise + 2 * v * rise;
    const half = Math.sqrt(Math.max(0, reach * reach - y * y));
    const shift = 2 * r * u + (row % 2 === 0 ? 0 : r);
    for (let k = Math.ceil((-half - shift) / (2 * r)); 2 * r * k + shift <= half; k++) points.push({ x: 2 * r * k + shift, y });
  }
  return points;
}

/** Rings from the wall inwards, each as full as it gets and evenly spread, one in the middle where there is room. */
export function ringsInRound(R: number, r: number): readonly Point[] {
  const points: Point[] = [];
  for (let reach = R - r; reach >= -TOUCH * R; reach -= 2 * r) {
    if (reach < r * (1 - TOUCH)) {
      points.push({ x: 0, y: 0 });
      break;
    }
    const n = Math.floor(Math.PI / Math.asin(Math.min(1, r / reach)) + 1e-9);
    for (let k = 0; k < n; k++) points.push({ x: reach * Math.cos((2 * Math.PI * k) / n), y: reach * Math.sin((2 * Math.PI * k) / n) });
  }
  return points;
}
