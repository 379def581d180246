import { houseRange } from '../figure';
import { nutritionOf } from '../larder/nutrition';
import { fail, ok, type Result } from '../result';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { roundsInRect } from '../vessel/packing/rounds-in-rect';
import { coverMl, fillingMl, type CakeSizes } from '../vessel/cover';
import { floorAreaMm2, floorAt, isRound, isPerPortion } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import type { Build } from '../analysis/build';
import { CUPCAKE_ML, PIPED_SPREAD, ROSETTE, SHELL, SHELL_BEARS } from './house';

/** One slice of what stands in a vessel. */
export interface Slice {
  readonly kind: 'wedge' | 'piece';
  readonly count: number;
  readonly massG: number;
  readonly volumeMl: number;
  /** Its top, mm: the rim's arc and the radius of a wedge, or the two sides of a piece. */
  readonly sidesMm: readonly [number, number];
  readonly heightMm: number;
  /** What the knife takes with it in all, g. */
  readonly lostG: number;
  readonly kcal: number;
  readonly fatG: number;
  readonly ethanolG: number;
}

/**
 * Slices of the sheet's vessel: wedges of a round, pieces of anything with straight sides (geometry). The knife takes a strip at every cut.
 *
 * @returns a fault where a slice would be narrower than the knife's own width.
 */
export function sliceOf(s: SheetAnalysis, build: Build): Result<Slice> {
  const { vessel, tin } = s.sheet;
  const heightMm = build.topMm;
  const massG = build.layers.reduce((sum, l) => sum + l.massG, 0);
  const volumeMl = build.layers.reduce((sum, l) => sum + l.volumeMl, 0);
  const floor = floorAt(vessel, heightMm / 2);
  const area = floorAreaMm2(floor);
  const { lost, count, sidesMm, kind } =
    floor.kind === 'round' ? wedges(floor.radiusMm, tin.cutAlong, tin.kerfMm) : pieces(floor.lengthMm, floor.widthMm, tin.cutAlong, tin.cutAcross, tin.kerfMm);
  if (Math.min(...sidesMm) <= 0 || lost >= area) return fail('cutAlong', 'too-many', 'So many cuts leave nothing between them: cut fewer.');
  const keeps = (1 - lost / area) / count;
  const whole = s.mixture.massG > 0 ? massG / s.mixture.massG : 0;
  const n = nutritionOf(s.mixture.grams);
  const share = keeps * whole;
  return ok({
    kind,
    count,
    massG: massG * keeps,
    volumeMl: volumeMl * keeps,
    sidesMm,
    heightMm,
    lostG: (massG * lost) / area,
    kcal: n.kcal * share,
    fatG: n.fatG * share,
    ethanolG: s.mixture.grams.ethanol * share,
  });
}

const wedges = (r: number, n: number, kerf: number) => ({
  kind: 'wedge' as const,
  count: n,
  sidesMm: [(2 * Math.PI * r) / n - (n > 1 ? kerf : 0), r] as const,
  lost: n > 1 ? n * r * kerf : 0,
});

function pieces(l: number, w: number, along: number, across: number, kerf: number) {
  return {
    kind: 'piece' as const,
    count: along * across,
    sidesMm: [(l - (along - 1) * kerf) / along, (w - (across - 1) * kerf) / across] as const,
    lost: (along - 1) * kerf * w + (across - 1) * kerf * l - (along - 1) * (across - 1) * kerf * kerf,
  };
}

/** Pieces along and across that come nearest to so many portions, as square as they can be. */
export function gridFor(vessel: Vessel, portions: number): { readonly along: number; readonly across: number } {
  if (isRound(vessel)) return { along: Math.max(1, Math.min(60, portions)), across: 1 };
  let best = { along: portions, across: 1, off: Infinity };
  for (let across = 1; across <= Math.min(60, portions); across++) {
    const along = Math.round(portions / across);
    if (along < 1 || along > 60) continue;
    const sides = [vessel.lengthMm / along, vessel.widthMm / across];
    const off = Math.abs(along * across - portions) * 10 + Math.max(...sides) / Math.min(...sides);
    if (off < best.off) best = { along, across, off };
  }
  return best;
}

/** Volume of one rosette (a cone) or shell (half a spheroid that tapers: two thirds of it), mL, from the nozzle's opening, mm (house ±15 %). */
export const rosetteMl = (nozzleMm: number): number => (Math.PI * (ROSETTE.wide * nozzleMm) ** 2 * (ROSETTE.high * nozzleMm)) / 12_000;
export const shellMl = (nozzleMm: number): number =>
  ((2 / 3) * (2 / 3) * Math.PI * ((SHELL.wide * nozzleMm) / 2) * ((SHELL.long * nozzleMm) / 2) * (SHELL.high * nozzleMm)) / 1000;

/** What a whipped part would pipe, top, spread or cover. */
export interface Piped {
  readonly partId: string;
  readonly name: string;
  readonly volumeMl: number;
  readonly rosettes: readonly [number, number];
  readonly shells: readonly [number, number];
  readonly cupcakesLow: readonly [number, number];
  readonly cupcakesHigh: readonly [number, number];
  /** cm² at a thickness of 5 mm. */
  readonly coversCm2: number;
}

const counts = (ml: number, each: number, spread: number): readonly [number, number] => {
  const [low, high] = houseRange(ml / each, spread);
  return [Math.floor(low), Math.floor(high)];
};

/** What a part pipes and covers. Null where it has no volume. */
export function pipedFrom(a: PartAnalysis, nozzleMm: number): Piped | null {
  if (!a.foamMl.ok) return null;
  const ml = a.foamMl.value * a.leftShare;
  return {
    partId: a.part.id,
    name: a.part.name,
    volumeMl: ml,
    rosettes: counts(ml, rosetteMl(nozzleMm), PIPED_SPREAD),
    shells: counts(ml, shellMl(nozzleMm), PIPED_SPREAD),
    cupcakesLow: counts(ml, CUPCAKE_ML.low, 0.2),
    cupcakesHigh: counts(ml, CUPCAKE_ML.high, 0.2),
    coversCm2: ml / 0.5,
  };
}

/** A cake's filling and cover, mL, and how many such cakes a volume does. */
export function cakesFrom(
  volumeMl: number,
  cake: CakeSizes,
  sponges: number,
  fillingMm: number,
  coverThickMm: number,
): { readonly eachMl: number; readonly fillingMl: number; readonly coverMl: number; readonly cakes: number; readonly leftMl: number } {
  const filling = fillingMl(cake, sponges, fillingMm);
  const cover = coverMl(cake, coverThickMm);
  const eachMl = filling + cover;
  const cakes = eachMl > 0 ? Math.floor(volumeMl / eachMl + 1e-9) : 0;
  return { eachMl, fillingMl: filling, coverMl: cover, cakes, leftMl: volumeMl - cakes * eachMl };
}

/** A crown of cream against what its shell bears. */
export interface Crown {
  /** Cream on one shell, g. */
  readonly creamG: number;
  /** What the shell's floor bears, g: the middle and the range (house). */
  readonly bearsG: number;
  readonly range: readonly [number, number];
  readonly verdict: 'bears' | 'near' | 'cracks';
  /** At most so long before it is served, min. */
  readonly withinMin: number;
}

/** Whether a nest bears its crown (ours, ±40 %). Null where the sheet has no shell or no cream on it. */
export function crownOf(s: SheetAnalysis): Crown | null {
  const shell = s.layers.find((l) => l.part.kind === 'meringue');
  if (!shell) return null;
  // A shell for many carries all of it, a nest its portion.
  const shells = isPerPortion(s.sheet.vessel) ? s.sheet.portions : Math.max(1, s.sheet.tin.count);
  const creamG = s.layers.filter((l) => l !== shell).reduce((sum, l) => sum + l.massG, 0) / shells;
  if (creamG <= 0) return null;
  const { vessel } = s.sheet;
  const areaCm2 = floorAreaMm2(floorAt(vessel, 0)) / 100;
  const bearsG = SHELL_BEARS.gPerCm2 * areaCm2;
  const range = houseRange(bearsG, SHELL_BEARS.spread);
  return { creamG, bearsG, range, verdict: creamG <= range[0] ? 'bears' : creamG <= range[1] ? 'near' : 'cracks', withinMin: SHELL_BEARS.crownMin };
}

/** Discs cut from a baked sheet for a round vessel. */
export interface Discs {
  /** Inner diameter at that height less 2 mm. */
  readonly cutterMm: number;
  readonly perSheet: number;
  readonly sheets: number;
}

/** Between a disc and the wall, mm across: a disc that touches does not go down. */
const DISC_PLAY_MM = 2;

/**
 * The cutter for a glass or ring at a height, and how many discs a sheet gives (physics; the packing of rounds in a rectangle).
 * @returns a fault on `discs` where the sheet is smaller than one disc.
 */
export function discsFrom(vessel: Vessel, atMm: number, sheetMm: { readonly lengthMm: number; readonly widthMm: number }, wanted: number): Result<Discs> {
  const floor = floorAt(vessel, atMm);
  const across = floor.kind === 'round' ? 2 * floor.radiusMm : Math.min(floor.lengthMm, floor.widthMm);
  const cutterMm = Math.floor(across - DISC_PLAY_MM);
  if (cutterMm < 10) return fail('atMm', 'too-narrow', 'The vessel is too narrow for a disc there: choose another height.');
  const perSheet = roundsInRect(sheetMm.lengthMm, sheetMm.widthMm, cutterMm / 2).length;
  if (perSheet === 0)
    return fail(
      'sheetMm',
      'too-small',
      `A sheet of ${sheetMm.lengthMm}\u00a0×\u00a0${sheetMm.widthMm}\u00a0mm gives not one disc of ${cutterMm}\u00a0mm: bake a larger one, or cut strips.`,
    );
  return ok({ cutterMm, perSheet, sheets: Math.ceil(wanted / perSheet) });
}
