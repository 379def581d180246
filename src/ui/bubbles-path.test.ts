import { describe, expect, it } from 'vitest';
import { bubbleTile } from '../core/vessel/bubbles';
import { bubblesPath } from './bubbles-path';

/** What a path draws: the middle and half width of each circle, by its two arcs. */
const circles = (path: string): { x: number; y: number; r: number }[] =>
  [...path.matchAll(/M(-?[\d.]+) (-?[\d.]+)a([\d.]+) ([\d.]+) 0 1 0 ([\d.]+) 0a([\d.]+) ([\d.]+) 0 1 0-([\d.]+) 0/g)].map((m) => {
    const [x, y, r, ry, across] = m.slice(1).map(Number) as [number, number, number, number, number];
    expect([ry, across]).toEqual([r, expect.closeTo(2 * r, 9)]);
    return { x: x + r, y, r };
  });

describe('bubbles as one path', () => {
  it.each([0.05, 0.3, 0.62])('are those of the tile at a share of %f, and nothing beside', (share) => {
    const { path, sizeMm } = bubblesPath(share);
    const tile = bubbleTile(share);
    expect(sizeMm).toBe(tile.sizeMm);
    expect(path.replace(/M[^M]+0 1 0-[\d.]+ 0/g, '')).toBe('');
    const inside = circles(path).filter((c) => c.x >= 0 && c.x < sizeMm && c.y >= 0 && c.y < sizeMm);
    expect(inside).toHaveLength(tile.bubbles.length);
    const area = inside.reduce((sum, c) => sum + Math.PI * c.r ** 2, 0);
    expect(area / sizeMm ** 2).toBeCloseTo(share, 2);
    for (const b of tile.bubbles) expect(inside.some((c) => Math.hypot(c.x - b.x, c.y - b.y) < 0.015)).toBe(true);
  });

  it('stand at both edges where they reach over one', () => {
    const { path, sizeMm } = bubblesPath(0.62);
    const all = circles(path);
    const over = bubbleTile(0.62).bubbles.filter((b) => b.x - b.r < 0);
    expect(over.length).toBeGreaterThan(0);
    for (const b of over) expect(all.some((c) => Math.hypot(c.x - b.x - sizeMm, c.y - b.y) < 0.015)).toBe(true);
  });

  it('are nothing without air, and no larger than they must be', () => {
    expect(circles(bubblesPath(0).path).every((c) => c.r === 0)).toBe(true);
    expect(bubblesPath(0.5).path.length).toBeLessThan(60 * circles(bubblesPath(0.5).path).length);
  });
});
