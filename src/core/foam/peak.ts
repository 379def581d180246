import { STAGE_X, X_START } from './house';
import { airShareAt } from './overrun';
import { stageAt } from './whisk';
import type { Stage } from './kinds';

/** How cream stands on an upturned whisk; every number follows the model's state without a step. */
export interface PeakLook {
  /** Height of the peak over its foot, 0 (runs off) to 1. */
  readonly height: number;
  /** How far the tip bends over, radians: 0 upright, above π/2 it hangs. */
  readonly droop: number;
  /** Depth of the ridges that the wires leave, 0–1. */
  readonly ridges: number;
  /** Wet shine, 0–1. */
  readonly sheen: number;
  /** Roughness of the edge, 0–1. */
  readonly grain: number;
  /** Thin liquid around yellow clumps, 0–1. */
  readonly whey: number;
  /** Air in it, share of what this cream can reach, 0–1. */
  readonly air: number;
  readonly stage: Stage | null;
  /** The sign in words. */
  readonly sign: string;
}

/** 0 below a, 1 above b, smooth between. */
function rise(x: number, a: number, b: number): number {
  const t = Math.min(1, Math.max(0, (x - a) / (b - a)));
  return t * t * (3 - 2 * t);
}

const SIGNS: Readonly<Record<Stage | 'liquid' | 'thickening', string>> = {
  liquid: 'Runs off the whisk; trails close at once.',
  thickening: 'Coats the wires; trails close slowly.',
  soft: 'The tip folds over; trails stay.',
  medium: 'The body stands, the tip bends.',
  firm: 'The tip stands; sheen still smooth.',
  grainy: 'Sheen gone, edge rough: stop now.',
  butter: 'Yellow clumps in thin liquid: butter.',
};

/**
 * The look of the peak at a fat network x, 0.02–1 (house: the signs are job knowledge, the curve is the model's).
 */
export function peakLook(x: number): PeakLook {
  const stage = stageAt(x);
  const stands = rise(x, 0.08, STAGE_X.medium);
  const breaks = rise(x, STAGE_X.grainy - 0.04, STAGE_X.butter + 0.04);
  return {
    height: stands * (1 - 0.55 * breaks),
    droop: 2.3 * (1 - rise(x, 0.12, STAGE_X.firm)),
    ridges: rise(x, 0.18, STAGE_X.firm) * (1 - 0.5 * breaks),
    sheen: 1 - rise(x, STAGE_X.medium, STAGE_X.grainy + 0.05),
    grain: rise(x, STAGE_X.firm + 0.05, STAGE_X.grainy + 0.12),
    whey: rise(x, STAGE_X.grainy + 0.08, STAGE_X.butter + 0.03),
    air: airShareAt(Math.max(X_START, Math.min(STAGE_X.butter, x))) ?? 0,
    stage,
    sign: SIGNS[stage ?? (x < 0.12 ? 'liquid' : 'thickening')],
  };
}
