import type { Plan } from './lay';
import type { Outline } from './outline';

/** Where a straight cut along x at a height y goes through a piece, mm; null where it misses it. */
function through(o: Outline, y: number): readonly [number, number] | null {
  if (o.kind === 'round') {
    const half = Math.sqrt(Math.max(0, o.r ** 2 - (y - o.y) ** 2));
    return half > 0 ? [o.x - half, o.x + half] : null;
  }
  let from = Infinity;
  let to = -Infinity;
  o.points.forEach((a, i) => {
    const b = o.points[(i + 1) % o.points.length]!;
    if ((a.y - y) * (b.y - y) > 0 || a.y === b.y) return;
    const x = a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y);
    from = Math.min(from, x);
    to = Math.max(to, x);
  });
  return to > from ? [from, to] : null;
}

/** The ends of a layer's biscuits as a cut along x leaves them, from left to right; at the middle by default. */
export const slicedThrough = (plan: Plan, y = 0): readonly (readonly [number, number])[] =>
  plan.pieces
    .map((p) => through(p.outline, y))
    .filter((x) => x !== null)
    .sort((a, b) => a[0] - b[0]);
