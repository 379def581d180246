import type { PeakLook } from './peak';
import { seededNumbers } from '../random';

/** A point of the drawing; the peak's foot is at 0,0 and y points up; the whisk's head is 1 wide. */
export type Point = readonly [x: number, y: number];

/** The peak as a drawing: its edge, its ridges and its lit side. */
export interface PeakShape {
  readonly edge: readonly Point[];
  readonly ridges: readonly (readonly Point[])[];
  readonly light: readonly Point[];
}

const STEPS = 40;
const FOOT = 0.5;
/** How far a full peak rises over the whisk's head. */
const TALL = 1.5;

interface Spine {
  readonly x: number;
  readonly y: number;
  /** Direction of the spine there, radians from upright. */
  readonly lean: number;
  readonly halfWidth: number;
}

/** A foam without air is this share as wide and tall as one with all that it can hold. */
const FLAT = 0.8;

/** The middle line of the peak: upright at its foot, bending over towards its tip. */
function spineOf(look: PeakLook): readonly Spine[] {
  const volume = FLAT + (1 - FLAT) * Math.min(1, look.air);
  const length = volume * (0.12 + TALL * look.height);
  const spine: Spine[] = [];
  let x = 0;
  let y = 0;
  for (let i = 0; i <= STEPS; i++) {
    const s = i / STEPS;
    const lean = look.droop * s ** 2.2;
    const halfWidth = volume * FOOT * ((1 - s) ** (0.75 + 0.55 * look.height) * (1 - 0.1 * s) + 0.012 * (1 - s));
    spine.push({ x, y, lean, halfWidth });
    x += (Math.sin(lean) * length) / STEPS;
    y += (Math.cos(lean) * length) / STEPS;
  }
  return spine;
}

const beside = (p: Spine, share: number): Point => [p.x + share * p.halfWidth * Math.cos(p.lean), p.y - share * p.halfWidth * Math.sin(p.lean)];

/**
 * The outline of a peak from its look. Grain roughens the edge with a fixed seed, so that the picture changes only with the look.
 */
export function peakShape(look: PeakLook): PeakShape {
  const spine = spineOf(look);
  const random = seededNumbers(31);
  const rough = (): number => 1 + look.grain * 0.32 * (random() - 0.5);
  const left = spine.map((p) => beside(p, -rough()));
  const right = spine.map((p) => beside(p, rough()));
  const ridge = (share: number): readonly Point[] => spine.slice(1, Math.round(STEPS * 0.86)).map((p) => beside(p, share));
  return {
    edge: [...left, ...right.toReversed()],
    ridges: [-0.62, -0.2, 0.24, 0.66].map(ridge),
    light: spine.slice(3, Math.round(STEPS * 0.8)).map((p) => beside(p, -0.45)),
  };
}
