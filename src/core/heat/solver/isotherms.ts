/** A field on rows that may each be of another width: the middles of its cells, mm, and a value in each. */
export interface SectionField {
  readonly across: number;
  readonly up: number;
  /** Half width of each row, mm. */
  readonly halfMm: readonly number[];
  /** Height of each row's middle, mm. */
  readonly upMm: readonly number[];
  readonly value: ArrayLike<number>;
}

/** One straight stretch of an isotherm, mm from the middle of the floor. */
export type Stretch = readonly [x0: number, z0: number, x1: number, z1: number];

/** Values for lines that are round numbers: about so many between the least and the greatest. */
export function roundValues(low: number, high: number, about = 6): readonly number[] {
  const span = high - low;
  if (!(span > 1e-6)) return [];
  const raw = span / about;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((m) => m * power).find((s) => s >= raw) ?? 10 * power;
  const values: number[] = [];
  for (let v = Math.ceil(low / step) * step; v <= high + 1e-9; v += step) values.push(Math.abs(v) < 1e-9 ? 0 : Number(v.toPrecision(12)));
  return values;
}

/** Where a field has a value: the stretches between the middles of its cells (marching triangles, straight within each). */
export function isotherm(f: SectionField, value: number): readonly Stretch[] {
  const out: Stretch[] = [];
  // One column beyond the middle is the first one mirrored, so that lines run through.
  const point = (i: number, j: number) => ({ x: (f.halfMm[j]! * (i + 0.5)) / f.across, z: f.upMm[j]!, v: f.value[Math.max(0, i) + f.across * j]! });
  type P = ReturnType<typeof point>;
  const triangle = (a: P, b: P, c: P): void => {
    const cuts: [number, number][] = [];
    for (const [p, q] of [
      [a, b],
      [b, c],
      [c, a],
    ] as const) {
      if (p.v < value === q.v < value) continue;
      const t = (value - p.v) / (q.v - p.v);
      cuts.push([p.x + (q.x - p.x) * t, p.z + (q.z - p.z) * t]);
    }
    if (cuts.length === 2) out.push([cuts[0]![0], cuts[0]![1], cuts[1]![0], cuts[1]![1]]);
  };
  for (let j = 0; j + 1 < f.up; j++) {
    for (let i = -1; i + 1 < f.across; i++) {
      triangle(point(i, j), point(i + 1, j), point(i + 1, j + 1));
      triangle(point(i, j), point(i + 1, j + 1), point(i, j + 1));
    }
  }
  return out;
}

/** Half width at a height, mm, between the rows as a straight wall. */
function halfAt({ halfMm, upMm }: SectionField, row: number, share: number): number {
  const next = Math.min(row + 1, upMm.length - 1);
  return halfMm[row]! + (halfMm[next]! - halfMm[row]!) * share;
}

/**
 * The field at a point of the section, between the middles of its cells in straight lines both ways; beyond the outermost middles it is as
 * there. A linear field comes back exactly between the middles.
 * @param xMm from the middle, either side, mm.
 * @param zMm from the foot, mm.
 */
export function valueAt(field: SectionField, xMm: number, zMm: number): number {
  const { across, up, upMm, value } = field;
  let row = 0;
  while (row < up - 2 && upMm[row + 1]! < zMm) row++;
  const next = Math.min(row + 1, up - 1);
  const height = upMm[next]! - upMm[row]!;
  const v = height > 0 ? Math.max(0, Math.min(1, (zMm - upMm[row]!) / height)) : 0;
  const half = halfAt(field, row, v);
  // Mirrored about the middle: left of the innermost middle it is as there.
  const place = Math.max(0, Math.min(across - 1, half > 0 ? (Math.abs(xMm) / half) * across - 0.5 : 0));
  const column = Math.min(Math.floor(place), Math.max(0, across - 2));
  const u = place - column;
  const beside = Math.min(column + 1, across - 1);
  const line = (j: number): number => value[column + across * j]! * (1 - u) + value[beside + across * j]! * u;
  return line(row) * (1 - v) + line(next) * v;
}
