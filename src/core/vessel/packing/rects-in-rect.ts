/** A box on the floor by its lower left corner and its sides along x and y, mm from the floor's lower left corner. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

/** Whole pieces, and the boxes between them that no whole piece fits into. */
export interface Boxes {
  readonly pieces: readonly Box[];
  readonly left: readonly Box[];
}

type Cut =
  | { readonly kind: 'grid'; readonly turned: boolean; readonly nx: number; readonly ny: number }
  | { readonly kind: 'upright'; readonly at: number }
  | { readonly kind: 'level'; readonly at: number }
  /** Four boxes round a fifth. */
  | { readonly kind: 'pinwheel'; readonly x1: number; readonly x2: number; readonly y1: number; readonly y2: number };

interface Best {
  readonly count: number;
  readonly cut: Cut;
}

/** Pinwheels are tried only where so few places for a cut are left in each direction. */
const PINWHEEL_PLACES = 10;
/** With more places than this each half of a cut is judged by its rows alone. */
const MOST_PLACES = 60;

/**
 * The most equal rectangles in a rectangle, sides along its sides, turned or not: the floor is split in two, or in five like a pinwheel,
 * again and again at the places that sums of the two sides reach (Beasley's raster points; the five-block rule of Birgin, Morabito and
 * Nishihara, 2005), and each box is filled in rows. Worked in tenths of a mm.
 *
 * @param turning whether a piece may lie either way; a pattern of one direction is laid without.
 */
export function rectsInRect(lengthMm: number, widthMm: number, pieceLengthMm: number, pieceWidthMm: number, turning = true): Boxes {
  const l = Math.ceil(10 * pieceLengthMm - 1e-6);
  const w = Math.ceil(10 * pieceWidthMm - 1e-6);
  const L = Math.floor(10 * lengthMm + 1e-6);
  const W = Math.floor(10 * widthMm + 1e-6);
  const pieces: Box[] = [];
  const left: Box[] = [];
  const plan = splitter(l, w, turning);
  const lay = (x: number, y: number, dx: number, dy: number): void => {
    if (dx <= 0 || dy <= 0) return;
    const { count, cut } = plan(dx, dy);
    if (count === 0) {
      left.push({ x, y, dx, dy });
      return;
    }
    switch (cut.kind) {
      case 'upright':
        lay(x, y, cut.at, dy);
        lay(x + cut.at, y, dx - cut.at, dy);
        return;
      case 'level':
        lay(x, y, dx, cut.at);
        lay(x, y + cut.at, dx, dy - cut.at);
        return;
      case 'pinwheel': {
        const { x1, x2, y1, y2 } = cut;
        lay(x, y, x1, y2);
        lay(x, y + y2, x2, dy - y2);
        lay(x + x1, y, dx - x1, y1);
        lay(x + x2, y + y1, dx - x2, dy - y1);
        lay(x + x1, y + y1, x2 - x1, y2 - y1);
        return;
      }
      case 'grid': {
        const [px, py] = cut.turned ? [w, l] : [l, w];
        for (let j = 0; j < cut.ny; j++) for (let i = 0; i < cut.nx; i++) pieces.push({ x: x + i * px, y: y + j * py, dx: px, dy: py });
        const usedX = cut.nx * px;
        const usedY = cut.ny * py;
        if (usedX < dx) left.push({ x: x + usedX, y, dx: dx - usedX, dy });
        if (usedY < dy) left.push({ x, y: y + usedY, dx: usedX, dy: dy - usedY });
      }
    }
  };
  lay(0, 0, L, W);
  const back = (b: Box): Box => ({ x: b.x / 10, y: b.y / 10, dx: b.dx / 10, dy: b.dy / 10 });
  // A piece is as large as it is, not as the tenths that it was placed by.
  const sized = (b: Box): Box => ({ x: b.x / 10, y: b.y / 10, dx: b.dx === l ? pieceLengthMm : pieceWidthMm, dy: b.dy === l ? pieceLengthMm : pieceWidthMm });
  return { pieces: pieces.map(sized), left: left.map(back) };
}

/** A function that finds the best way to split a box, remembering the boxes that it has seen. */
function splitter(l: number, w: number, turning: boolean): (dx: number, dy: number) => Best {
  const seen = new Map<number, Best>();
  const sizes: readonly number[] = l === w || !turning ? [l] : [l, w];
  const grid = (dx: number, dy: number, turnedOver: boolean): Best => {
    const [px, py] = turnedOver ? [w, l] : [l, w];
    const nx = Math.floor(dx / px);
    const ny = Math.floor(dy / py);
    return { count: nx * ny, cut: { kind: 'grid', turned: turnedOver, nx, ny } };
  };
  const inRows = (dx: number, dy: number): Best => {
    const straight = grid(dx, dy, false);
    const other = turning ? grid(dx, dy, true) : straight;
    return other.count > straight.count ? other : straight;
  };
  const plan = (dx: number, dy: number): Best => {
    const key = dx * 1e6 + dy;
    const known = seen.get(key);
    if (known) return known;
    let best = inRows(dx, dy);
    const most = Math.floor((dx * dy) / (l * w));
    const xs = turning ? placesTo(dx, sizes) : [];
    const ys = turning ? placesTo(dy, sizes) : [];
    // Where there are very many places, each half is judged by its rows alone.
    if (best.count < most) best = twoWays(dx, dy, most, best, xs, ys, xs.length + ys.length <= MOST_PLACES ? plan : inRows);
    if (best.count < most && xs.length <= PINWHEEL_PLACES && ys.length <= PINWHEEL_PLACES)
      best = pinwheels(dx, dy, most, best, xs, ys, plan, (a, b) => Math.floor((a * b) / (l * w)));
    seen.set(key, best);
    return best;
  };
  return plan;
}

/** Every sum of pieces' sides below a length, in order. */
function placesTo(length: number, sizes: readonly number[]): readonly number[] {
  const places = new Set<number>([0]);
  for (const p of places) for (const s of sizes) if (p + s < length) places.add(p + s);
  places.delete(0);
  return [...places].sort((a, b) => a - b);
}

function twoWays(
  dx: number,
  dy: number,
  most: number,
  first: Best,
  xs: readonly number[],
  ys: readonly number[],
  plan: (dx: number, dy: number) => Best,
): Best {
  let best = first;
  for (const at of xs) {
    if (best.count >= most) break;
    if (2 * at > dx) break;
    const count = plan(at, dy).count + plan(dx - at, dy).count;
    if (count > best.count) best = { count, cut: { kind: 'upright', at } };
  }
  for (const at of ys) {
    if (best.count >= most) break;
    if (2 * at > dy) break;
    const count = plan(dx, at).count + plan(dx, dy - at).count;
    if (count > best.count) best = { count, cut: { kind: 'level', at } };
  }
  return best;
}

function pinwheels(
  dx: number,
  dy: number,
  most: number,
  first: Best,
  xs: readonly number[],
  ys: readonly number[],
  plan: (dx: number, dy: number) => Best,
  room: (dx: number, dy: number) => number,
): Best {
  let best = first;
  for (const x1 of xs) {
    for (const x2 of xs) {
      if (x2 <= x1) continue;
      for (const y1 of ys) {
        for (const y2 of ys) {
          if (y2 <= y1 || best.count >= most) continue;
          const atMost = room(x1, y2) + room(x2, dy - y2) + room(dx - x1, y1) + room(dx - x2, dy - y1) + room(x2 - x1, y2 - y1);
          if (atMost <= best.count) continue;
          const count = plan(x1, y2).count + plan(x2, dy - y2).count + plan(dx - x1, y1).count + plan(dx - x2, dy - y1).count + plan(x2 - x1, y2 - y1).count;
          if (count > best.count) best = { count, cut: { kind: 'pinwheel', x1, x2, y1, y2 } };
        }
      }
    }
  }
  return best;
}
