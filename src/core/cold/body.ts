import { volumeMl } from '../composition/density';
import { combine, type Mixture } from '../composition/mixture';
import { gridOf, type BodySpec, type Face, type Grid, type GridLayer } from '../heat/solver/grid';
import { materialOf, type Material } from '../heat/solver/material';
import type { Air } from '../heat/solver/march';
import { COVERS, effectiveH, UNDER_H, WALLS } from '../heat/surface';
import { fail, ok, type Result } from '../result';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { meetsAt } from '../analysis/warmth';
import { buildIn, type Build, type BuiltLayer } from '../analysis/build';
import { soaksOf } from '../tin/sheet-soak';
import { cavitiesOf, floorAreaMm2, floorAt, halfWidthAt, isRound, volumeBelowMl, wallLengthMm, wallOf } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import { airNow, wallOfVessel } from '../kitchen/place';
import type { ColdSetup } from '../document/cold-plan-schema';
import { WALL_HEAT_J_PER_CM3 } from './house';

/** A dessert in its vessel, cut into cells, with the airs round it. */
export interface ColdBody {
  readonly grid: Grid;
  readonly airs: readonly Air[];
  /** The same in an ice bath; null where there is none. */
  readonly iced: { readonly grid: Grid; readonly airs: readonly Air[] } | null;
  readonly vessel: Vessel;
  readonly build: Build;
  /** Which built layer each row of cells upwards belongs to. */
  readonly airC: number;
  readonly kind: BodySpec['kind'];
  readonly massG: number;
}

/** Cells across and upwards: chosen so that a grid twice as fine moves no answer by more than 1 % (tested). */
const CELLS = { round: [14, 22], long: [16, 24], brick: [12, 14] } as const;
/** Longer than so many times its width, or wider than so many times its height, the ends of a tin do not matter. */
const LONG_FROM = 2.2;
const FLAT_FROM = 3.5;

const ICE_WATER_C = 0;
/** Thinner than this a layer is counted with the one below it, mm. */
const THIN_MM = 1.2;

/** What a layer is made of: its part, and for biscuits what they drank and the cream that ran between them. */
function mixOf(s: SheetAnalysis, build: Build, l: BuiltLayer): { readonly mixture: Mixture; readonly freezingG: number } {
  const a = s.parts.find((p) => p.part.id === l.layer.part.id)!;
  const share = (massG: number, of: Mixture): number => (of.massG > 0 ? massG / of.massG : 0);
  const own = share(l.massG - inGapsG(l), a.reading.mixture);
  const parts = [{ mixture: a.reading.mixture, share: own }];
  let freezingG = a.reading.freezingG * own;
  if (l.pieces !== null) {
    const next = build.layers.slice(build.layers.indexOf(l) + 1).find((x) => x.pieces === null) ?? build.layers.findLast((x) => x.pieces === null);
    const cream = next && s.parts.find((p) => p.part.id === next.layer.part.id);
    if (next && cream) {
      const gap = share(inGapsG(next), cream.reading.mixture);
      parts.push({ mixture: cream.reading.mixture, share: gap });
      freezingG += cream.reading.freezingG * gap;
    }
    const soak = soaksOf(s).find((x) => x.partId === l.layer.part.id)?.soak;
    const liquid = s.parts.find((p) => p.part.kind === 'soak');
    if (soak?.ok && liquid) {
      const drunk = share(soak.value.drunkG * own, liquid.reading.mixture);
      parts.push({ mixture: liquid.reading.mixture, share: drunk });
      freezingG += liquid.reading.freezingG * drunk;
    }
  }
  return { mixture: combine(parts), freezingG };
}

const inGapsG = (l: BuiltLayer): number => (l.volumeMl > 0 ? (l.inGapsMl * l.massG) / l.volumeMl : 0);

/** Temperature at which a layer goes in, °C: the set-up's, or what its part usually has. */
export function startOf(s: SheetAnalysis, l: BuiltLayer, setup: ColdSetup, kitchen: Kitchen): number {
  if (setup.startC !== null) return setup.startC;
  if (l.pieces !== null || l.layer.part.kind === 'pressed-base' || l.layer.part.kind === 'topping' || l.layer.part.kind === 'meringue')
    return kitchen.rules.roomC;
  return meetsAt(s.parts.find((p) => p.part.id === l.layer.part.id)!).tC;
}

/** Tables are of a gram, so that they serve for any amount of a mix; so many are kept, since a shelf that is moved asks for the same again and again. */
const materials = new Map<string, Material>();
const MOST_MATERIALS = 80;
function material(name: string, mixture: Mixture, freezingG: number, overrunPct: number): Material {
  const each = (g: number): string => (g / mixture.massG).toFixed(7);
  const key = [...Object.values(mixture.grams).map(each), each(freezingG), overrunPct.toFixed(3)].join(' ');
  const known = materials.get(key);
  if (known) return known;
  if (materials.size >= MOST_MATERIALS) materials.clear();
  const made = materialOf(name, mixture, freezingG, overrunPct);
  materials.set(key, made);
  return made;
}

/**
 * The sheet's dessert in one vessel as the solver takes it.
 *
 * @param vessel which of the filled ones; the sheet's own by default.
 * @param fine 1 for the usual grid; 2 for twice as fine.
 * @returns a fault in a cook's words: nothing laid, no height, no heat transfer.
 */
export function bodyOf(s: SheetAnalysis, kitchen: Kitchen, setup: ColdSetup, vessel: Vessel = s.sheet.vessel, fine = 1): Result<ColdBody> {
  const built = buildIn(s, vessel);
  if (!built.ok) return built;
  const build = built.value;
  if (!(build.topMm > 0.5))
    return fail('layers', 'flat', `What lies in the ${vessel.name.toLowerCase()} has no height yet: add lines on Bench, or take a narrower vessel.`);
  const layers: (GridLayer & { mixture: Mixture; freezingG: number; volumeMl: number })[] = [];
  let pending: { mixture: Mixture; freezingG: number; fromMm: number; startC: number } | null = null;
  for (const l of build.layers) {
    if (!(l.toMm > l.fromMm)) continue;
    const own = mixOf(s, build, l);
    const startC = startOf(s, l, setup, kitchen);
    const joined: { mixture: Mixture; freezingG: number; fromMm: number; startC: number } =
      pending === null ? { ...own, fromMm: l.fromMm, startC } : joinedOf(pending, own, startC);
    pending = null;
    if (l.toMm - joined.fromMm < THIN_MM && l !== build.layers.at(-1)) {
      pending = joined;
      continue;
    }
    const last = layers.at(-1);
    if (l.toMm - joined.fromMm < THIN_MM && last) {
      const both = joinedOf({ ...last, fromMm: 1000 * last.fromM }, joined, joined.startC);
      layers[layers.length - 1] = layerOf(s, vessel, both, l.toMm);
      continue;
    }
    layers.push(layerOf(s, vessel, joined, l.toMm));
  }
  if (layers.length === 0) return fail('layers', 'flat', 'Nothing in it has a height yet.');
  return framed(s, kitchen, setup, vessel, build, layers, fine);
}

function joinedOf(a: { mixture: Mixture; freezingG: number; fromMm: number; startC: number }, b: { mixture: Mixture; freezingG: number }, startC: number) {
  const [ma, mb] = [a.mixture.massG, b.mixture.massG];
  return {
    mixture: combine([
      { mixture: a.mixture, share: 1 },
      { mixture: b.mixture, share: 1 },
    ]),
    freezingG: a.freezingG + b.freezingG,
    fromMm: a.fromMm,
    startC: ma + mb > 0 ? (a.startC * ma + startC * mb) / (ma + mb) : startC,
  };
}

function layerOf(s: SheetAnalysis, vessel: Vessel, l: { mixture: Mixture; freezingG: number; fromMm: number; startC: number }, toMm: number) {
  const sliceMl = volumeBelowMl(vessel, toMm) - volumeBelowMl(vessel, l.fromMm);
  const denseMl = volumeMl(l.mixture, 5);
  const overrunPct = denseMl > 0 ? Math.max(0, 100 * (sliceMl / denseMl - 1)) : 0;
  return { ...l, material: material(s.sheet.name, l.mixture, l.freezingG, overrunPct), fromM: l.fromMm / 1000, toM: toMm / 1000, volumeMl: sliceMl };
}

function framed(
  s: SheetAnalysis,
  kitchen: Kitchen,
  setup: ColdSetup,
  vessel: Vessel,
  build: Build,
  layers: readonly (GridLayer & { mixture: Mixture })[],
  fine: number,
): Result<ColdBody> {
  const place = airNow(kitchen, setup, s.sheet.family);
  if (!place.ok) return place;
  const { h, airC, uaWPerK } = place.value;
  const { wall, wallMm } = wallOfVessel(vessel, setup);
  const side = effectiveH(h, wall, wallMm);
  const top = effectiveH(h, 'none', 0, COVERS[setup.cover]);
  // A metal shelf is never worse than moving air alone.
  const bottom = effectiveH(Math.max(h, UNDER_H[setup.under] ?? 0), wall, wallMm);
  if (!side.ok) return side;
  if (!top.ok) return top;
  if (!bottom.ok) return bottom;
  const face = (hEff: number, air = 0): Face => ({ h: hEff, air });
  const massG = build.layers.reduce((sum, l) => sum + l.massG, 0);
  const chill = setup.chilledTin ? tinChills(vessel, setup, massG, kitchen.rules.fridgeC) : null;
  const started = layers.map((l) => ({ ...l, startC: chill === null ? l.startC : l.startC + (chill.tinC - l.startC) * chill.share }));
  const spec = (faces: { side: Face; bottom: Face; top: Face }): BodySpec => ({ ...shapeOf(vessel, build.topMm, fine), layers: started, ...faces });
  // Each portion of a tray of moulds is a body of its own; all of them give their heat to the same air.
  const bodies = setup.together * cavitiesOf(vessel) * wholeOf(vessel, build.topMm);
  const grid = gridOf(spec({ side: face(side.value), bottom: face(bottom.value), top: face(top.value) }));
  let iced: ColdBody['iced'] = null;
  if (setup.iceBathMin > 0) {
    const bath = effectiveH(250, wall, wallMm);
    if (!bath.ok) return bath;
    const open = effectiveH(8, 'none', 0, COVERS[setup.cover]);
    if (!open.ok) return open;
    iced = {
      grid: gridOf(spec({ side: face(bath.value), bottom: face(bath.value), top: face(open.value, 1) })),
      airs: [
        { setC: ICE_WATER_C, uaWPerK: null, bodies: 1 },
        { setC: kitchen.rules.roomC, uaWPerK: null, bodies: 1 },
      ],
    };
  }
  return ok({
    grid,
    airs: [{ setC: airC, uaWPerK, bodies }],
    iced,
    vessel,
    build,
    airC,
    kind: spec({ side: face(1), bottom: face(1), top: face(1) }).kind,
    massG,
  });
}

/** The shape of a vessel to the height that it is filled to. */
function shapeOf(vessel: Vessel, topMm: number, fine: number): Pick<BodySpec, 'kind' | 'half' | 'halfLength' | 'across' | 'up' | 'along'> {
  const wall = wallOf(vessel);
  const half = (zM: number): number => halfWidthAt(wall, 1000 * zM) / 1000;
  if (isRound(vessel)) return { kind: 'round', half, across: CELLS.round[0] * fine, up: CELLS.round[1] * fine };
  const long = vessel.lengthMm / vessel.widthMm >= LONG_FROM || vessel.widthMm / topMm >= FLAT_FROM;
  if (long) return { kind: 'long', half, across: CELLS.long[0] * fine, up: CELLS.long[1] * fine };
  const halfLength = (zM: number): number => (vessel.baseLengthMm + ((vessel.lengthMm - vessel.baseLengthMm) * 1000 * zM) / vessel.heightMm) / 2000;
  return { kind: 'brick', half, halfLength, across: CELLS.brick[0] * fine, up: CELLS.brick[1] * fine, along: CELLS.brick[0] * fine };
}

/** How many of what the grid holds make one dessert: it has half the section of a long one, a metre of it, and a quarter of a brick. */
function wholeOf(vessel: Vessel, topMm: number): number {
  if (isRound(vessel)) return 1;
  if (shapeOf(vessel, topMm, 1).kind === 'brick') return 4;
  const lengthAt = (zMm: number): number => vessel.baseLengthMm + ((vessel.lengthMm - vessel.baseLengthMm) * zMm) / vessel.heightMm;
  return (2 * lengthAt(topMm / 2)) / 1000;
}

const MIX_HEAT_J_PER_G = 3.2;

/** What a cold tin takes off: the heat of its wall and floor, as a share of the way to the tin's temperature. */
function tinChills(vessel: Vessel, setup: ColdSetup, massG: number, tinC: number): { readonly tinC: number; readonly share: number } {
  const { wall, wallMm } = wallOfVessel(vessel, setup);
  const areaCm2 = (floorAreaMm2(floorAt(vessel, 0)) + wallLengthMm(vessel, vessel.heightMm / 2) * vessel.heightMm) / 100;
  const tin = (areaCm2 * wallMm * WALL_HEAT_J_PER_CM3[wall]) / 10;
  return { tinC, share: WALLS[wall].k > 0 ? tin / (tin + massG * MIX_HEAT_J_PER_G) : 0 };
}
