import type { Point } from './outline';

const TOUCH = 1e-9;

/** How many from one end of a length to the other, so far apart, each of a radius. */
const along = (lengthMm: number, pitch: number, r: number): number => (lengthMm < 2 * r * (1 - TOUCH) ? 0 : Math.floor((lengthMm - 2 * r) / pitch + TOUCH) + 1);

interface Rows {
  readonly rows: number;
  /** From row to row, mm. */
  readonly rise: number;
  /** From one to the next in a row, mm. */
  readonly pitch: number;
  /** What every other row is moved by, mm. */
  readonly shift: number;
  readonly count: number;
}

/** Every number of rows that the width allows, each as close as it may lie: straight, moved by less than a radius, or pulled apart so that the rows sink into each other. */
function bestRows(lengthMm: number, widthMm: number, r: number): Rows | null {
  let best: Rows | null = null;
  for (let rows = 1; ; rows++) {
    const room = widthMm - 2 * r;
    const rise = rows === 1 ? 0 : room / (rows - 1);
    // Rows two apart lie above each other: they need a whole diameter.
    if (room < -TOUCH * r || (rows > 2 && rise < r * (1 - TOUCH)) || (rows === 2 && room < r * TOUCH)) break;
    const needed = rows === 1 ? 0 : Math.sqrt(Math.max(0, 4 * r * r - rise * rise));
    const pitch = Math.max(2 * r, 2 * needed);
    const even = along(lengthMm, pitch, r);
    const odd = along(lengthMm - needed, pitch, r);
    const count = even * Math.ceil(rows / 2) + odd * Math.floor(rows / 2);
    if (even === 0) break;
    if (!best || count > best.count) best = { rows, rise, pitch, shift: needed, count };
  }
  return best;
}

/**
 * The most equal rounds in a rectangle by rows along one side or the other (geometry): the rows as close as their number allows.
 *
 * @returns centres, mm from the middle; none where a round is larger than the rectangle.
 */
export function roundsInRect(lengthMm: number, widthMm: number, r: number): readonly Point[] {
  const lengthwise = bestRows(lengthMm, widthMm, r);
  const across = bestRows(widthMm, lengthMm, r);
  if (across && (!lengthwise || across.count > lengthwise.count)) return placed(across, widthMm, lengthMm, r).map((p) => ({ x: p.y, y: p.x }));
  return lengthwise ? placed(lengthwise, lengthMm, widthMm, r) : [];
}

function placed({ rows, rise, pitch, shift }: Rows, lengthMm: number, widthMm: number, r: number): readonly Point[] {
  const points: Point[] = [];
  for (let row = 0; row < rows; row++) {
    const moved = row % 2 === 0 ? 0 : shift;
    const n = along(lengthMm - moved, pitch, r);
    for (let k = 0; k < n; k++) points.push({ x: -lengthMm / 2 + r + moved + k * pitch, y: rows === 1 ? 0 : -widthMm / 2 + r + row * rise });
  }
  return points;
}
