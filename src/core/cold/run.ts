import { march, type Frame, type March } from '../heat/solver/march';
import type { Grid } from '../heat/solver/grid';
import { iceAt } from '../heat/solver/material';
import { fail, ok, type Result } from '../result';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import type { Vessel } from '../vessel/schema';
import { bodyOf, type ColdBody } from './body';
import { MOST_H } from './house';
import type { ColdSetup } from '../document/cold-plan-schema';

/** Curves of a run: moments, h, and temperatures, °C. The core is the warmest point while it cools, the coldest while it warms. */
export interface ColdCurves {
  readonly h: readonly number[];
  readonly core: readonly number[];
  readonly mean: readonly number[];
  readonly edge: readonly number[];
  readonly air: readonly number[];
}

/** A body in the cold, run through. */
export interface ColdRun {
  readonly body: ColdBody;
  readonly warming: boolean;
  readonly curves: ColdCurves;
  readonly frames: readonly Frame[];
  readonly steps: number;
  /** Heat given against heat lost, relative. */
  readonly energyError: number;
  readonly stopped: March['stopped'];
}

export interface RunOptions {
  readonly vessel?: Vessel;
  readonly frames?: number;
  readonly fine?: number;
  readonly goOn?: (share: number) => boolean;
  /** Stops once the core is past this, °C; close to the air by default. */
  readonly untilC?: number;
}

/** Close enough to the air to stop, K. */
const CLOSE_K = 0.5;

/**
 * Runs a sheet's dessert through a set-up (physics, ±20 % for the air): an ice bath first where it is asked, then the place.
 * @returns the faults of `bodyOf`.
 */
export function runCold(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup, options: RunOptions = {}): Result<ColdRun> {
  const body = bodyOf(s, kitchen, setup, options.vessel ?? s.sheet.vessel, options.fine ?? 1);
  return body.ok ? runBody(body.value, setup.iceBathMin, options) : body;
}

/** The same of a body that is there already. */
export function runBody(body: ColdBody, iceBathMin: number, options: RunOptions = {}): Result<ColdRun> {
  const first = Math.max(...body.grid.startC);
  const warming = first < body.airC;
  const untilC = options.untilC ?? (warming ? body.airC - CLOSE_K : body.airC + CLOSE_K);
  const common = { frames: options.frames ?? 0, ...(options.goOn ? { goOn: options.goOn } : {}) };
  let before: March | null = null;
  let grid: Grid = body.grid;
  if (body.iced && iceBathMin > 0) {
    const iced = march({ grid: body.iced.grid, airs: body.iced.airs, mostH: iceBathMin / 60, untilC: null, ...common });
    if (!iced.ok) return iced;
    before = iced.value;
    // The field as the ice bath leaves it is where the place begins.
    grid = { ...body.grid, startC: Float64Array.from(before.endC) };
  }
  const mostH = body.airC < 0 ? MOST_H.freezer : MOST_H.fridge;
  const run = march({ grid, airs: body.airs, mostH, untilC, ...common });
  if (!run.ok) return run;
  const after = run.value;
  const offset = before?.h.at(-1) ?? 0;
  const joined = (key: 'warmest' | 'coldest' | 'mean' | 'edge' | 'air'): number[] => [...(before ? before[key] : []), ...after[key]];
  const frames = common.frames > 0 ? [...(before?.frames ?? []), ...after.frames.map((f) => ({ h: f.h + offset, tC: f.tC }))] : [];
  const lost = (before?.lostJ ?? 0) + after.lostJ;
  const gave = (before?.gaveJ ?? 0) + after.gaveJ;
  return ok({
    body,
    warming,
    curves: {
      h: [...(before ? before.h : []), ...Array.from(after.h, (h) => h + offset)],
      core: joined(warming ? 'coldest' : 'warmest'),
      mean: joined('mean'),
      edge: joined('edge'),
      air: joined('air'),
    },
    frames,
    steps: after.steps + (before?.steps ?? 0),
    energyError: Math.abs(lost) > 0 ? Math.abs(gave - lost) / Math.abs(lost) : 0,
    stopped: after.stopped,
  });
}

/** Hour at which a curve first is past a value (falling, or rising where it warms); null where it never is. */
export function hourAt(h: readonly number[], curve: readonly number[], value: number, rising = false): number | null {
  const past = (t: number): boolean => (rising ? t >= value : t <= value);
  const i = curve.findIndex(past);
  if (i < 0) return null;
  if (i === 0) return h[0]!;
  const [a, b] = [curve[i - 1]!, curve[i]!];
  return a === b ? h[i]! : h[i - 1]! + ((h[i]! - h[i - 1]!) * (a - value)) / (a - b);
}

/** A curve's value at an hour, straight between its moments. */
export function valueAt(h: readonly number[], curve: readonly number[], hour: number): number {
  const i = h.findIndex((x) => x >= hour);
  if (i < 0) return curve.at(-1)!;
  if (i === 0) return curve[0]!;
  const [a, b] = [h[i - 1]!, h[i]!];
  return curve[i - 1]! + ((curve[i]! - curve[i - 1]!) * (hour - a)) / Math.max(1e-12, b - a);
}

/** Ice of the water in each cell of a field, 0–1. */
export const iceField = (grid: Grid, tC: Float32Array): Float32Array => Float32Array.from(tC, (t, c) => iceAt(grid.material[grid.of[c]!]!, t));

/**
 * A body all at one temperature in another air: out of the freezer into the fridge or onto the counter (physics).
 * @returns hours at which the mean comes to each temperature; null where it never does.
 */
export function warmUp(
  s: SheetAnalysis,
  kitchen: Kitchen,
  setup: ColdSetup,
  fromC: number,
  placeId: string,
  meanC: readonly number[],
): Result<readonly (number | null)[]> {
  const place = kitchen.places.find((p) => p.id === placeId);
  if (!place) return fail('placeId', 'no-place', 'That place is no longer in the kitchen.');
  const body = bodyOf(s, kitchen, {
    ...setup,
    placeId,
    airC: null,
    startC: Math.max(-5, fromC),
    iceBathMin: 0,
    chilledTin: false,
    cover: 'open',
    wall: 'none',
    wallMm: 0,
  });
  if (!body.ok) return body;
  const grid = { ...body.value.grid, startC: body.value.grid.startC.map(() => fromC) };
  const run = march({ grid, airs: body.value.airs, mostH: MOST_H.warming, untilC: Math.min(place.airC - 0.5, Math.max(...meanC) + 3) });
  if (!run.ok) return run;
  const h = [...run.value.h];
  return ok(meanC.map((t) => (fromC >= t ? 0 : hourAt(h, [...run.value.mean], t, true))));
}
