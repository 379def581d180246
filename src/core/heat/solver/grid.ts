import type { Material } from './material';

/** One outer face: what it gives its heat to. */
export interface Face {
  /** Heat transfer with wall and film in it, W/m²K; 0 for a face through which nothing goes. */
  readonly h: number;
  /** Which air: an index into the airs of the march. */
  readonly air: number;
  /** A face whose air stirs itself where it is warmer or colder than that air; absent where the transfer is always the same. */
  readonly own?: OwnDraught;
}

/** Air that a hot or cold surface sets moving by itself. */
export interface OwnDraught {
  /** Transfer of the air alone, W/m²K, at no difference. */
  readonly airH: number;
  /** By how much it rises for each degree between surface and air, W/m²K². */
  readonly risePerK: number;
}

/** Heat transfer of a face whose inner surface differs by so many degrees from its air, W/m²K: the wall as it is, the air's share moved by the difference at the outside. */
export function faceH(face: Face, differenceK: number): number {
  if (!face.own) return face.h;
  const { airH, risePerK } = face.own;
  const restM2KPerW = 1 / face.h - 1 / airH;
  let h = face.h;
  let moved = airH;
  // The outside of the wall is nearer to the air than its inside; three rounds settle it to a thousandth.
  for (let i = 0; i < 3; i++) {
    moved = airH + (risePerK * Math.abs(differenceK) * h) / moved;
    h = 1 / (1 / moved + restM2KPerW);
  }
  return h;
}

/** A layer across the height. */
export interface GridLayer {
  readonly material: Material;
  readonly fromM: number;
  readonly toM: number;
  readonly startC: number;
}

/**
 * A body cut into cells in up to three directions, row by row: cell (i, j, k) is i + n₁·(j + n₂·k). The first direction is across (x or
 * radius, from the middle where it is symmetric), the second upwards, the third along. Conductances are geometry alone: area over half the
 * cell, m, on either side of each cell.
 */
export interface Grid {
  readonly n: readonly [across: number, up: number, along: number];
  readonly volumeM3: Float64Array;
  readonly material: readonly Material[];
  /** Which of `material` each cell is. */
  readonly of: Uint8Array;
  readonly startC: Float64Array;
  /** Area over half the cell towards lower and higher neighbours, for each direction, m. */
  readonly low: readonly [Float64Array, Float64Array, Float64Array];
  readonly high: readonly [Float64Array, Float64Array, Float64Array];
  /** Area of the faces at both ends of each direction, m², by cell; 0 inside. */
  readonly lowFace: readonly [Float64Array, Float64Array, Float64Array];
  readonly highFace: readonly [Float64Array, Float64Array, Float64Array];
  readonly faces: readonly (readonly [low: Face | null, high: Face | null])[];
  /** Middles of the cells of a row across at each height, m, and of heights: for drawing. */
  readonly acrossM: (i: number, j: number) => number;
  readonly upM: Float64Array;
  readonly widthM: Float64Array;
}

const three = (n: number): [Float64Array, Float64Array, Float64Array] => [new Float64Array(n), new Float64Array(n), new Float64Array(n)];

/** Half the inner width (or the radius) at a height, m. */
export type HalfWidth = (zM: number) => number;

export interface BodySpec {
  /** 'round' turns the section about its middle; 'long' is a section of a metre's length; 'brick' has a length of its own. */
  readonly kind: 'round' | 'long' | 'brick';
  readonly half: HalfWidth;
  /** Half the length at a height, m; bricks only. */
  readonly halfLength?: HalfWidth;
  readonly layers: readonly GridLayer[];
  readonly side: Face;
  /** The two ends of a brick; the side's where it is not given. */
  readonly end?: Face;
  readonly bottom: Face;
  readonly top: Face;
  /** Cells from the middle to the side, and upwards. */
  readonly across: number;
  readonly up: number;
  readonly along?: number;
}

/** Borders of the cells upwards, so that each layer is cut evenly and has at least two. */
function bordersOf(layers: readonly GridLayer[], up: number): { z: number[]; layer: number[] } {
  const total = layers.at(-1)!.toM - layers[0]!.fromM;
  const z = [layers[0]!.fromM];
  const layer: number[] = [];
  layers.forEach((l, index) => {
    const n = Math.max(2, Math.round((up * (l.toM - l.fromM)) / total));
    for (let i = 1; i <= n; i++) {
      z.push(l.fromM + ((l.toM - l.fromM) * i) / n);
      layer.push(index);
    }
  });
  return { z, layer };
}

/** Cuts a body into cells: symmetric halves only, the middle is a wall through which nothing goes. */
export function gridOf(b: BodySpec): Grid {
  const { z, layer } = bordersOf(b.layers, b.up);
  const [n1, n2, n3] = [b.across, layer.length, b.kind === 'brick' ? (b.along ?? b.across) : 1];
  const cells = n1 * n2 * n3;
  const grid = {
    volumeM3: new Float64Array(cells),
    of: new Uint8Array(cells),
    startC: new Float64Array(cells),
    low: three(cells),
    high: three(cells),
    lowFace: three(cells),
    highFace: three(cells),
  };
  const materials = [...new Set(b.layers.map((l) => l.material))];
  const mid = (j: number): number => (z[j]! + z[j + 1]!) / 2;
  const widthM = Float64Array.from({ length: n2 }, (_, j) => b.half(mid(j)));
  const lengthM = Float64Array.from({ length: n2 }, (_, j) => (b.kind === 'brick' ? b.halfLength!(mid(j)) : b.kind === 'long' ? 1 : 0));
  const areaUp = (i: number, j: number): number => {
    const [w, l] = [widthM[j]!, lengthM[j]!];
    return b.kind === 'round' ? Math.PI * ((w * (i + 1)) / n1) ** 2 - Math.PI * ((w * i) / n1) ** 2 : (w / n1) * (l / n3);
  };
  for (let k = 0; k < n3; k++) {
    for (let j = 0; j < n2; j++) {
      const dz = z[j + 1]! - z[j]!;
      const w = widthM[j]!;
      const l = lengthM[j]!;
      for (let i = 0; i < n1; i++) {
        const c = i + n1 * (j + n2 * k);
        const own = areaUp(i, j);
        grid.volumeM3[c] = own * dz;
        grid.of[c] = materials.indexOf(b.layers[layer[j]!]!.material);
        grid.startC[c] = b.layers[layer[j]!]!.startC;
        const half = w / n1 / 2;
        const sideArea = (at: number): number => (b.kind === 'round' ? 2 * Math.PI * ((w * at) / n1) * dz : (l / n3) * dz);
        // Round: from a ring's middle by volume to its borders the way is a logarithm.
        grid.low[0][c] = i === 0 ? 0 : b.kind === 'round' ? (2 * Math.PI * dz) / Math.log((i + 0.5) / i) : sideArea(i) / half;
        grid.high[0][c] = b.kind === 'round' ? (2 * Math.PI * dz) / Math.log((i + 1) / (i + 0.5)) : sideArea(i + 1) / half;
        // A wall that leans has more face than its height: the slant.
        const slant = Math.hypot(1, slope(b.half, z[j]!, z[j + 1]!));
        if (i === n1 - 1) grid.highFace[0][c] = sideArea(n1) * slant;
        const below = j > 0 ? (own + areaUp(i, j - 1)) / 2 : own;
        const above = j < n2 - 1 ? (own + areaUp(i, j + 1)) / 2 : own;
        grid.low[1][c] = below / (dz / 2);
        grid.high[1][c] = above / (dz / 2);
        if (j === 0) grid.lowFace[1][c] = own;
        if (j === n2 - 1) grid.highFace[1][c] = own;
        if (b.kind === 'brick') {
          const end = (w / n1) * dz;
          grid.low[2][c] = k === 0 ? 0 : end / (l / n3 / 2);
          grid.high[2][c] = end / (l / n3 / 2);
          if (k === n3 - 1) grid.highFace[2][c] = end;
        }
      }
    }
  }
  return {
    n: [n1, n2, n3],
    material: materials,
    ...grid,
    faces: [
      [null, b.side],
      [b.bottom, b.top],
      [null, b.end ?? b.side],
    ],
    acrossM: (i, j) => (widthM[j]! * (i + 0.5)) / n1,
    upM: Float64Array.from({ length: n2 }, (_, j) => mid(j)),
    widthM,
  };
}

const slope = (half: HalfWidth, z0: number, z1: number): number => (z1 > z0 ? (half(z1) - half(z0)) / (z1 - z0) : 0);
