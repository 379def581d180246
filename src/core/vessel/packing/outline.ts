import type { Floor } from '../profile';

/** A place on the floor, mm from its middle. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** What a piece covers from above: a round, or a convex polygon with its corners in turn (a rectangle, or a broken round with its arc in short straight steps outside the arc). */
export type Outline =
  { readonly kind: 'round'; readonly x: number; readonly y: number; readonly r: number } | { readonly kind: 'polygon'; readonly points: readonly Point[] };

/** A rectangle by its middle and its sides along x and y. */
export const rectangle = (x: number, y: number, dx: number, dy: number): Outline => ({
  kind: 'polygon',
  points: [
    { x: x - dx / 2, y: y - dy / 2 },
    { x: x + dx / 2, y: y - dy / 2 },
    { x: x + dx / 2, y: y + dy / 2 },
    { x: x - dx / 2, y: y + dy / 2 },
  ],
});

/** Turned about the middle of the floor by an angle, and mirrored left to right before it where asked. */
export function turned(o: Outline, angle: number, mirrored = false): Outline {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const move = (p: Point): Point => {
    const x = mirrored ? -p.x : p.x;
    return { x: x * c - p.y * s, y: x * s + p.y * c };
  };
  if (o.kind === 'round') return { ...o, ...move(o) };
  const points = o.points.map(move);
  return { kind: 'polygon', points: mirrored ? points.reverse() : points };
}

/** Area, mm². */
export function areaMm2(o: Outline): number {
  if (o.kind === 'round') return Math.PI * o.r ** 2;
  let twice = 0;
  for (let i = 0; i < o.points.length; i++) {
    const a = o.points[i]!;
    const b = o.points[(i + 1) % o.points.length]!;
    twice += a.x * b.y - b.x * a.y;
  }
  return Math.abs(twice) / 2;
}

/** The least and greatest x and y of a piece. */
function boundsOf(o: Outline): readonly [x0: number, y0: number, x1: number, y1: number] {
  if (o.kind === 'round') return [o.x - o.r, o.y - o.r, o.x + o.r, o.y + o.r];
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const p of o.points) {
    if (p.x < x0) x0 = p.x;
    if (p.x > x1) x1 = p.x;
    if (p.y < y0) y0 = p.y;
    if (p.y > y1) y1 = p.y;
  }
  return [x0, y0, x1, y1];
}

/** Pieces found by where they lie: a grid of cells, each with the pieces whose bounds reach into it. More may be laid while it is asked. */
export function byPlace(outlines: Outline[]): ((x: number, y: number, within: number) => readonly Outline[]) & { readonly add: (o: Outline) => void } {
  const first = outlines[0];
  const [x0, y0, x1, y1] = first ? boundsOf(first) : [0, 0, 40, 40];
  const cell = Math.max(10, Math.max(x1 - x0, y1 - y0) / 2);
  const cells = new Map<number, Outline[]>();
  const key = (i: number, j: number): number => i * 100_003 + j;
  const add = (o: Outline): void => {
    const [a, b, c, d] = boundsOf(o);
    for (let i = Math.floor(a / cell); i <= Math.floor(c / cell); i++) {
      for (let j = Math.floor(b / cell); j <= Math.floor(d / cell); j++) {
        const here = cells.get(key(i, j));
        if (here) here.push(o);
        else cells.set(key(i, j), [o]);
      }
    }
  };
  outlines.forEach(add);
  const find = (x: number, y: number, within: number): readonly Outline[] => {
    const [i0, i1, j0, j1] = [
      Math.floor((x - within) / cell),
      Math.floor((x + within) / cell),
      Math.floor((y - within) / cell),
      Math.floor((y + within) / cell),
    ];
    if (i0 === i1 && j0 === j1) return cells.get(key(i0, j0)) ?? NONE;
    const found = new Set<Outline>();
    for (let i = i0; i <= i1; i++) for (let j = j0; j <= j1; j++) for (const o of cells.get(key(i, j)) ?? NONE) found.add(o);
    return [...found];
  };
  return Object.assign(find, { add });
}

const NONE: readonly Outline[] = [];

/** How far a point lies outside a convex polygon, mm; below 0 inside it. */
function distanceTo(points: readonly Point[], p: Point): number {
  let outside = Infinity;
  let inside = -Infinity;
  for (let i = 0; i < points.length; i++) {
    const a = points[i]!;
    const b = points[(i + 1) % points.length]!;
    const ex = b.x - a.x;
    const ey = b.y - a.y;
    const length = Math.hypot(ex, ey);
    if (length === 0) continue;
    // Corners run counter-clockwise, so that the outside is to the right of an edge.
    const off = ((p.x - a.x) * ey - (p.y - a.y) * ex) / length;
    inside = Math.max(inside, off);
    if (off <= 0) continue;
    const t = Math.max(0, Math.min(1, ((p.x - a.x) * ex + (p.y - a.y) * ey) / (length * length)));
    outside = Math.min(outside, Math.hypot(p.x - a.x - t * ex, p.y - a.y - t * ey));
  }
  return inside > 0 ? outside : inside;
}

/** How deep two convex polygons lie in one another along the direction in which it is least, mm; 0 or less where they are apart. */
function polygonDepth(a: readonly Point[], b: readonly Point[]): number {
  let least = Infinity;
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const) {
    for (let i = 0; i < one.length; i++) {
      const p = one[i]!;
      const q = one[(i + 1) % one.length]!;
      const length = Math.hypot(q.x - p.x, q.y - p.y);
      if (length === 0) continue;
      const nx = (q.y - p.y) / length;
      const ny = (p.x - q.x) / length;
      let nearest = Infinity;
      for (const o of other) nearest = Math.min(nearest, (o.x - p.x) * nx + (o.y - p.y) * ny);
      least = Math.min(least, -nearest);
      if (least <= 0) return least;
    }
  }
  return least;
}

/** How deep two pieces lie in one another, mm; 0 or less where they only touch or are apart. */
export function overlapMm(a: Outline, b: Outline): number {
  if (a.kind === 'round' && b.kind === 'round') return a.r + b.r - Math.hypot(a.x - b.x, a.y - b.y);
  if (a.kind === 'round') return b.kind === 'polygon' ? a.r - distanceTo(b.points, a) : 0;
  return b.kind === 'round' ? b.r - distanceTo(a.points, b) : polygonDepth(a.points, b.points);
}

/** How far a point lies outside a floor, mm; below 0 inside it. */
function outsideMm(floor: Floor, p: Point): number {
  if (floor.kind === 'round') return Math.hypot(p.x, p.y) - floor.radiusMm;
  const c = floor.cornerMm;
  const dx = Math.abs(p.x) - floor.lengthMm / 2 + c;
  const dy = Math.abs(p.y) - floor.widthMm / 2 + c;
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) - c : Math.max(dx, dy) - c;
}

/** How far a piece juts out of a floor, mm; 0 or less where it lies inside or touches the wall. */
export function jutsOutMm(floor: Floor, o: Outline): number {
  if (o.kind === 'polygon') return Math.max(...o.points.map((p) => outsideMm(floor, p)));
  if (floor.kind === 'rect' && floor.cornerMm <= o.r) return Math.max(Math.abs(o.x) + o.r - floor.lengthMm / 2, Math.abs(o.y) + o.r - floor.widthMm / 2);
  return outsideMm(floor, o) + o.r;
}

/** Whether a point lies on a piece that is drawn in by so much all round. */
export const liesOn = (o: Outline, p: Point, drawnInMm: number): boolean =>
  o.kind === 'round' ? Math.hypot(p.x - o.x, p.y - o.y) < o.r - drawnInMm : distanceTo(o.points, p) < -drawnInMm;
