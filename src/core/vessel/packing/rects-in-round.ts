import type { Box } from './rects-in-rect';

/** Whole and cut pieces in a round; boxes from its middle, mm. */
export interface RoundBoxes {
  readonly whole: readonly Box[];
  readonly cut: readonly Box[];
}

/** A cut piece shorter than this crumbles, mm. */
export const LEAST_CUT_MM = 15;

const OFFSETS = 24;
const chordHalf = (R: number, y0: number, y1: number): number => Math.sqrt(Math.max(0, R * R - Math.max(Math.abs(y0), Math.abs(y1)) ** 2));

/** One band of pieces across the round. */
interface Band {
  readonly y0: number;
  /** Along the band and across it, mm. */
  readonly px: number;
  readonly py: number;
}

/**
 * Rectangles in a round, in bands: pieces end to end along the band, or side by side across it, or the one kind in the middle and the other
 * above and below, the stack moved to its best place. What is left at the ends is filled with pieces cut to length.
 *
 * @param direction `along`, `across`, or null for the best of all.
 */
export function rectsInRound(R: number, lengthMm: number, widthMm: number, cutting: boolean, direction: 'along' | 'across' | null = null): RoundBoxes {
  let best: { boxes: RoundBoxes; wholeArea: number; area: number } | null = null;
  for (const bands of stacks(R, lengthMm, widthMm, direction)) {
    const boxes = fill(R, bands, Math.max(lengthMm, widthMm), cutting);
    const areaOf = (list: readonly Box[]): number => list.reduce((s, b) => s + b.dx * b.dy, 0);
    const wholeArea = areaOf(boxes.whole);
    const area = wholeArea + areaOf(boxes.cut);
    if (!best || wholeArea > best.wholeArea + 1e-6 || (wholeArea > best.wholeArea - 1e-6 && area > best.area + 1e-6)) best = { boxes, wholeArea, area };
  }
  return best?.boxes ?? { whole: [], cut: [] };
}

function* stacks(R: number, l: number, w: number, direction: 'along' | 'across' | null): Generator<readonly Band[]> {
  const kinds = [...(direction !== 'across' ? [{ px: l, py: w }] : []), ...(direction !== 'along' && l !== w ? [{ px: w, py: l }] : [])];
  for (const kind of kinds) {
    for (let i = 0; i < OFFSETS; i++) yield bandsBetween(-R, R, kind, (i / OFFSETS) * kind.py);
  }
  if (direction !== null || l === w) return;
  // Pieces stand across in the middle, and lie along above and below.
  for (let rows = 1; rows * l <= 2 * R; rows++) {
    for (let i = 0; i < OFFSETS; i++) {
      const y0 = -R + ((2 * R - rows * l) * i) / (OFFSETS - 1);
      const middle = Array.from({ length: rows }, (_, k) => ({ y0: y0 + k * l, px: w, py: l }));
      const below = Array.from({ length: Math.max(0, Math.floor((y0 + R) / w)) }, (_, k) => ({ y0: y0 - (k + 1) * w, px: l, py: w }));
      const top = y0 + rows * l;
      const above = Array.from({ length: Math.max(0, Math.floor((R - top) / w)) }, (_, k) => ({ y0: top + k * w, px: l, py: w }));
      yield [...below, ...middle, ...above];
    }
  }
}

function bandsBetween(from: number, to: number, { px, py }: { px: number; py: number }, offset: number): readonly Band[] {
  const bands: Band[] = [];
  for (let y0 = from + offset; y0 + py <= to + 1e-9; y0 += py) bands.push({ y0, px, py });
  return bands;
}

function fill(R: number, bands: readonly Band[], longSide: number, cutting: boolean): RoundBoxes {
  const whole: Box[] = [];
  const cut: Box[] = [];
  for (const { y0, px, py } of bands) {
    const half = chordHalf(R, y0, y0 + py);
    const n = Math.floor((2 * half) / px + 1e-9);
    // Whole pieces stand from one side where the rest is filled with a cut one, and in the middle where it is not.
    const rest = 2 * half - n * px;
    const oneCut = cutting && px === longSide && rest >= LEAST_CUT_MM;
    const start = oneCut ? -half : (-n * px) / 2;
    for (let k = 0; k < n; k++) whole.push({ x: start + k * px, y: y0, dx: px, dy: py });
    if (oneCut) cut.push({ x: -half + n * px, y: y0, dx: rest, dy: py });
    if (cutting && py === longSide && px < longSide) {
      // Pieces that stand across are cut to the height that the wall leaves them.
      for (const side of [-1, 1]) {
        for (let k = 0; ; k++) {
          const inner = (n * px) / 2 + k * px;
          if (inner + px > R) break;
          const reach = chordHalf(R, inner, inner + px);
          const low = Math.max(y0, -reach);
          const high = Math.min(y0 + py, reach);
          if (high - low < LEAST_CUT_MM) break;
          cut.push({ x: side < 0 ? -inner - px : inner, y: low, dx: px, dy: high - low });
        }
      }
    }
  }
  return { whole, cut };
}
