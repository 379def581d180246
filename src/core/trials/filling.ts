import type { Point } from './liking';

/** Bases of the sequence, one for each axis. */
const BASES = [2, 3, 5];

/** A number's digits in a base mirrored behind the point. */
function mirrored(n: number, base: number): number {
  let out = 0;
  for (let f = 1 / base, i = n; i > 0; f /= base, i = Math.floor(i / base)) out += f * (i % base);
  return out;
}

/** So many points spread evenly over the axes, with their middle, their corners and the middles of their sides. Source: Halton's sequence. */
export function spreadPoints(axes: number, many: number): readonly Point[] {
  const grid = [0, 0.5, 1];
  const corners = Array.from({ length: 3 ** axes }, (_, i) => Array.from({ length: axes }, (_, d) => grid[Math.floor(i / 3 ** d) % 3]!));
  return [...corners, ...Array.from({ length: many }, (_, i) => Array.from({ length: axes }, (_, d) => mirrored(i + 1, BASES[d]!)))];
}

export const apart = (a: Point, b: Point): number => Math.hypot(...a.map((x, d) => x - b[d]!));

/** Bounds themselves say little of what lies between them: the first points stay off them by this share of a range (house). */
const OFF_THE_EDGE = 0.12;

/** The point of those that lies farthest from what is tried already: nothing is known there. */
export function emptiest(candidates: readonly Point[], tried: readonly Point[]): Point {
  const inner = candidates.map((p) => p.map((x) => OFF_THE_EDGE + (1 - 2 * OFF_THE_EDGE) * x));
  let best = inner[0]!;
  let far = -1;
  for (const p of inner) {
    const d = Math.min(...tried.map((t) => apart(p, t)), Infinity);
    if (d > far + 1e-12) [best, far] = [p, d];
  }
  return best;
}
