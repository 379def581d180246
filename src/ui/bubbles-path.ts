import { bubbleTile, type BubbleTile } from '../core/vessel/bubbles';

const two = (n: number): string => String(Math.round(n * 100) / 100);
const touches = (c: number, r: number, size: number): boolean => c + r > 0 && c - r < size;
const drawn = new Map<number, string>();
const MOST_DRAWN = 200;

/** A whole circle as part of a path. */
function circle(x: number, y: number, radius: number): string {
  const r = two(radius);
  const across = two(2 * Number(r));
  return `M${two(x - Number(r))} ${two(y)}a${r} ${r} 0 1 0 ${across} 0a${r} ${r} 0 1 0-${across} 0`;
}

/** All bubbles of a tile as one path, to a hundredth of a millimetre; those that reach over an edge stand at both. */
const pathOf = ({ bubbles, sizeMm }: BubbleTile): string =>
  bubbles
    .flatMap((b) =>
      [-sizeMm, 0, sizeMm].flatMap((dx) =>
        [-sizeMm, 0, sizeMm].filter((dy) => touches(b.x + dx, b.r, sizeMm) && touches(b.y + dy, b.r, sizeMm)).map((dy) => circle(b.x + dx, b.y + dy, b.r)),
      ),
    )
    .join('');

/** The bubbles of a foam, drawn once for each share of air, to a thousandth. @param share area share of air, 0–1. */
export function bubblesPath(share: number): { readonly sizeMm: number; readonly path: string } {
  const key = Math.round(1000 * share) / 1000;
  const tile = bubbleTile(key);
  const path = drawn.get(key) ?? pathOf(tile);
  if (drawn.size >= MOST_DRAWN) drawn.clear();
  drawn.set(key, path);
  return { sizeMm: tile.sizeMm, path };
}
