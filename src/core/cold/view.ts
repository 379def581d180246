import { coolingRulesOf } from '../heat/cooling';
import type { Result } from '../result';
import { ok } from '../result';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { airNow, isFreezer, placeOf } from '../kitchen/place';
import { coldAnswers, type ColdAnswers } from './ready';
import { iceField, runCold, warmUp, type ColdCurves } from './run';
import type { ColdSetup } from '../document/cold-plan-schema';
import type { Vessel } from '../vessel/schema';

/** The field of the section at one moment. */
export interface ViewFrame {
  readonly h: number;
  readonly tC: Float32Array;
  /** Ice of the water, 0–1; null where nothing freezes. */
  readonly ice: Float32Array | null;
}

/** Out of the freezer: when the knife goes through, and until when, h. */
export interface Tempering {
  readonly place: string;
  readonly opensH: number | null;
  readonly closesH: number | null;
}

/** A run in the cold as a screen shows it: plain data, so that it comes out of a worker as it is. */
export interface ColdView {
  readonly curves: ColdCurves;
  readonly frames: readonly ViewFrame[];
  readonly across: number;
  readonly up: number;
  readonly halfMm: readonly number[];
  readonly upMm: readonly number[];
  readonly topMm: number;
  readonly airC: number;
  readonly warming: boolean;
  readonly freezing: boolean;
  readonly placeName: string;
  /** Whether the heat transfer of the air comes from readings in the place; never where it warms out of it. */
  readonly fitted: boolean;
  readonly answers: ColdAnswers;
  readonly tempering: readonly Tempering[];
  readonly steps: number;
  readonly energyError: number;
}

const FRAMES = 60;

/** Everything that Cold shows of one set-up. @returns the faults of `runCold`. */
export function coldView(
  s: SheetAnalysis,
  kitchen: Kitchen,
  setup: ColdSetup,
  vessel: Vessel = s.sheet.vessel,
  goOn?: (share: number) => boolean,
): Result<ColdView> {
  const run = runCold(s, kitchen, setup, { vessel, frames: FRAMES, ...(goOn ? { goOn } : {}) });
  if (!run.ok) return run;
  const { body, curves, frames, warming, steps, energyError } = run.value;
  const answers = coldAnswers(s, kitchen, run.value, coolingRulesOf(kitchen.rules.cooling)[0]!);
  const [across, up] = body.grid.n;
  const freezing = body.airC < -1;
  const section = across * up;
  const air = airNow(kitchen, setup, s.sheet.family);
  return ok({
    curves,
    // Of a brick the plane through its middle.
    frames: frames.map((f) => {
      const tC = f.tC.slice(0, section);
      return { h: f.h, tC, ice: freezing ? iceField(body.grid, tC) : null };
    }),
    across,
    up,
    halfMm: Array.from(body.grid.widthM, (w) => 1000 * w),
    upMm: Array.from(body.grid.upM, (z) => 1000 * z),
    topMm: body.build.topMm,
    airC: body.airC,
    warming,
    freezing,
    placeName: placeOf(kitchen, setup, s.sheet.family)?.name ?? '',
    fitted: !warming && air.ok && air.value.fitted,
    answers,
    tempering: freezing ? temperings(s, kitchen, setup, body.airC, answers) : [],
    steps,
    energyError,
  });
}

function temperings(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup, fromC: number, { window }: ColdAnswers): readonly Tempering[] {
  if (!window || window.warmC === null) return [];
  const { warmC } = window;
  const openC = window.coldC ?? fromC;
  return kitchen.places
    .filter((p) => !isFreezer(p) && p.kind !== 'blast-chiller')
    .flatMap((p): Tempering[] => {
      const at = warmUp(s, kitchen, setup, fromC, p.id, [openC, warmC]);
      return at.ok ? [{ place: p.name, opensH: at.value[0] ?? null, closesH: at.value[1] ?? null }] : [];
    });
}
