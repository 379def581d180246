/**
 * Straight-line reading of a table of points with rising x.
 * @returns null outside the table: there is no figure there.
 */
export function readTable(points: readonly (readonly [number, number])[], x: number): number | null {
  for (let i = 0; i + 1 < points.length; i++) {
    const [x0, y0] = points[i]!;
    const [x1, y1] = points[i + 1]!;
    if (x >= x0 && x <= x1) return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
  }
  return null;
}
