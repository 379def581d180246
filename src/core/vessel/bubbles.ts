import { seededNumbers } from '../random';

/** One bubble in a tile, mm. */
export interface Bubble {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

/** A square tile of bubbles that repeats without a seam; the bubbles' area share is exactly `share`. */
export interface BubbleTile {
  readonly sizeMm: number;
  readonly share: number;
  readonly bubbles: readonly Bubble[];
}

/** The airiest tile that round, separate bubbles can show; a lighter foam is drawn with it and says so. */
export const MOST_BUBBLES = 0.62;

const TILE_MM = 30;

/** Bubbles of falling size dropped where they touch nothing, across the tile's edges, until the share is met. */
function densestTile(seed: number): readonly Bubble[] {
  const random = seededNumbers(seed);
  const wanted = MOST_BUBBLES * TILE_MM * TILE_MM;
  const placed: { x: number; y: number; r: number }[] = [];
  let area = 0;
  let r = TILE_MM * 0.12;
  let misses = 0;
  while (area < wanted) {
    const size = r * (0.35 + 0.65 * random() ** 1.5);
    const x = random() * TILE_MM;
    const y = random() * TILE_MM;
    const hits = placed.some((b) => {
      const dx = Math.abs(b.x - x);
      const dy = Math.abs(b.y - y);
      return Math.hypot(Math.min(dx, TILE_MM - dx), Math.min(dy, TILE_MM - dy)) < b.r + size;
    });
    if (hits) {
      if (++misses % 40 === 0) r *= 0.95;
      continue;
    }
    placed.push({ x, y, r: size });
    area += Math.PI * size * size;
  }
  const scale = Math.sqrt(wanted / area);
  return placed.map((b) => ({ x: b.x, y: b.y, r: b.r * scale }));
}

const DENSEST = densestTile(7);

/**
 * A tile whose bubbles cover the air's true share of the area.
 * One densest tile is made once; every other share shrinks its radii by √share, so the share is exact.
 *
 * @param share area share of air, 0–1; above 0.62 the tile shows 0.62 and says so in `share`.
 */
export function bubbleTile(share: number): BubbleTile {
  const shown = Math.min(MOST_BUBBLES, Math.max(0, share));
  const scale = Math.sqrt(shown / MOST_BUBBLES);
  return { sizeMm: TILE_MM, share: shown, bubbles: DENSEST.map((b) => ({ x: b.x, y: b.y, r: b.r * scale })) };
}
