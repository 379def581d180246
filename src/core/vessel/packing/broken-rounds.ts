import type { Floor } from '../profile';
import { byPlace, jutsOutMm, overlapMm, type Outline, type Point } from './outline';

/** A round broken in two or in four. */
export interface Broken {
  readonly outline: Outline;
  readonly share: 0.5 | 0.25;
}

const ARC_STEPS = 8;
const TURNS = 12;

/** Half or a quarter of a round with its corner (or the middle of its straight side) at the origin, the arc in straight steps that lie just outside it. */
function brokenShape(r: number, share: 0.5 | 0.25): readonly Point[] {
  const sweep = 2 * Math.PI * share;
  const step = sweep / ARC_STEPS;
  const out = r / Math.cos(step / 2);
  const arc = Array.from({ length: ARC_STEPS }, (_, i) => ({ x: out * Math.cos((i + 0.5) * step), y: out * Math.sin((i + 0.5) * step) }));
  const ends = [{ x: r, y: 0 }, ...arc, { x: r * Math.cos(sweep), y: r * Math.sin(sweep) }];
  return share === 0.5 ? ends : [{ x: 0, y: 0 }, ...ends];
}

/** Where the middle of a broken piece lies, seen from its corner: about its centre of mass. */
const middleOfShape = (r: number, share: 0.5 | 0.25): Point =>
  share === 0.5 ? { x: 0, y: (4 * r) / (3 * Math.PI) } : { x: (4 * r) / (3 * Math.PI), y: (4 * r) / (3 * Math.PI) };

/**
 * Halves, then quarters, broken into the gaps that whole rounds leave: every gap is tried on a grid, in twelve directions.
 *
 * @param wholes what lies there already.
 */
export function breakInto(floor: Floor, r: number, wholes: readonly Outline[]): readonly Broken[] {
  const laid = byPlace([...wholes]);
  const broken: Broken[] = [];
  const grid = r / 3.5;
  const [halfX, halfY] = floor.kind === 'round' ? [floor.radiusMm, floor.radiusMm] : [floor.lengthMm / 2, floor.widthMm / 2];
  for (const share of [0.5, 0.25] as const) {
    const shape = brokenShape(r, share);
    const middle = middleOfShape(r, share);
    // The largest round in it: a gap that does not hold this holds none of it.
    const core = share === 0.5 ? r / 2 : r / (1 + Math.SQRT2);
    const room = core * 0.8;
    for (let gy = -halfY + room; gy <= halfY - room; gy += grid) {
      for (let gx = -halfX + room; gx <= halfX - room; gx += grid) {
        if (jutsOutMm(floor, { kind: 'round', x: gx, y: gy, r: room }) > 0) continue;
        const gap: Outline = { kind: 'round', x: gx, y: gy, r: room };
        if (laid(gx, gy, 0).some((o) => overlapMm(o, gap) > 0) || laid(gx, gy, room).some((o) => overlapMm(o, gap) > 0)) continue;
        const fits = firstFit(floor, shape, middle, gx, gy, laid(gx, gy, 1.1 * r));
        if (!fits) continue;
        laid.add(fits);
        broken.push({ outline: fits, share });
      }
    }
  }
  return broken;
}

function firstFit(floor: Floor, shape: readonly Point[], middle: Point, gx: number, gy: number, near: readonly Outline[]): Outline | null {
  for (let t = 0; t < TURNS; t++) {
    const a = (2 * Math.PI * t) / TURNS;
    const c = Math.cos(a);
    const s = Math.sin(a);
    const points = shape.map((p) => ({ x: gx + (p.x - middle.x) * c - (p.y - middle.y) * s, y: gy + (p.x - middle.x) * s + (p.y - middle.y) * c }));
    const outline: Outline = { kind: 'polygon', points };
    if (jutsOutMm(floor, outline) <= 0 && near.every((o) => overlapMm(o, outline) <= 0)) return outline;
  }
  return null;
}
