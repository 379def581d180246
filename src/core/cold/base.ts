import { volumeMl } from '../composition/density';
import type { Mixture } from '../composition/mixture';
import { coolingVerdict, type CoolingRule, type CoolingVerdict } from '../heat/cooling';
import { heatContent } from '../heat/heat-content';
import { gridOf, type Face } from '../heat/solver/grid';
import { march } from '../heat/solver/march';
import { materialOf, type Material } from '../heat/solver/material';
import { stirredCurve } from '../heat/stirred';
import { AIR_H, DRAUGHT_PER_K, drivenShare, effectiveH, FILM_M2K_PER_W, WALLS, type Wall } from '../heat/surface';
import { fail, ok, within, type Result } from '../result';

/** A cooked base that is to be cooled. */
export interface HotBase {
  readonly name: string;
  readonly mixture: Mixture;
  readonly freezingG: number;
  readonly startC: number;
}

/** The pan or bowl that it stands in, and the tray that it is spread in. */
export interface BaseInput {
  /** Inner diameter of the pan, mm. */
  readonly panMm: number;
  /** Depth in the tray, mm. */
  readonly depthMm: number;
  readonly placeH: number;
  readonly placeC: number;
  readonly placeName: string;
  /** What the place carries off for each degree that it is warmer than set, W/K: hot food warms it. Null for one that never warms. */
  readonly placeUaWPerK: number | null;
  readonly roomC: number;
}

/** Every way, and the deepest that a tray may be filled. */
export interface BaseAnswer {
  readonly ways: readonly BaseWay[];
  readonly depthMm: Result<number>;
}

/** One way to cool it, with the curve of its warmest point. */
export interface BaseWay {
  readonly key: 'bath' | 'tray' | 'pan';
  readonly name: string;
  /** Minutes and °C. */
  readonly curve: readonly (readonly [min: number, tC: number])[];
  readonly verdict: CoolingVerdict;
  /** Every stage met. */
  readonly meets: boolean;
}

/** The volume and the weight of a litre are those of a base on its way down, °C. */
const VOLUME_AT_C = 60;
const MOST_H = 24;
const ICE_WATER_C = 0;
const DOWN_TO_C = 4;
const STRIP_M2 = 2;
const UNDER_STILL = 0.5;

/** Stirred in an ice bath, spread in a tray, or left in its pan: each against a rule (physics; ±30 % stirred, ±20 % in the place). */
export function baseWays(base: HotBase, i: BaseInput, rule: CoolingRule): Result<readonly BaseWay[]> {
  const fault =
    within('panMm', 'The pan', i.panMm, 60, 1000, 'mm') ??
    within('depthMm', 'The depth', i.depthMm, 2, 300, 'mm') ??
    within('startC', 'The base', base.startC, 5, 110, '°C');
  if (fault) return { ok: false, fault };
  if (!(base.mixture.massG > 0)) return fail('mixture', 'empty', `There is nothing in ${base.name} yet.`);
  const ml = volumeMl(base.mixture, VOLUME_AT_C);
  const radiusM = i.panMm / 2000;
  const depthM = ml / 1e6 / (Math.PI * radiusM ** 2);
  const bathed = stirredCurve(
    {
      heat: heatContent(base.mixture, base.freezingG),
      massG: base.mixture.massG,
      startC: base.startC,
      areaM2: Math.PI * radiusM ** 2 + 2 * Math.PI * radiusM * depthM,
      outerH: AIR_H['ice-bath'],
      wallM2KPerW: 0.001 / WALLS.steel.k,
      bathC: ICE_WATER_C,
    },
    DOWN_TO_C,
  );
  if (!bathed.ok) return bathed;
  const material = materialOf(base.name, base.mixture, base.freezingG, 0, VOLUME_AT_C);
  const tray = trayCurve(base, material, i);
  const pan = stillCurve(material, base.startC, i, radiusM, depthM);
  const way = (key: BaseWay['key'], name: string, curve: BaseWay['curve']): BaseWay | null => {
    const verdict = coolingVerdict(curve, rule);
    return verdict.ok
      ? { key, name, curve, verdict: verdict.value, meets: verdict.value.stages.every((s) => s.state === 'met') || verdict.value.startMin === null }
      : null;
  };
  return ok(
    [
      way('bath', 'stirred in its pan in an ice bath', bathed.value),
      way('tray', `spread ${Math.round(i.depthMm)}\u00a0mm deep in a tray, ${i.placeName.toLowerCase()}`, tray),
      way('pan', `left in its pan, ${i.placeName.toLowerCase()}`, pan),
    ].filter((w) => w !== null),
  );
}

/** A face of a hot base: its wall and film, and the draught that its own heat makes, in the share that no fan drives. */
function hotFace(airH: number, wall: Wall, wallMm: number, coverM2KPerW: number, own: number): Face {
  const made = effectiveH(airH, wall, wallMm, coverM2KPerW);
  return { h: made.ok ? made.value : 0, air: 0, ...(made.ok && own > 0 ? { own: { airH, risePerK: own * DRAUGHT_PER_K } } : {}) };
}

/** The warmest point of a layer in a steel tray under film, min and °C. */
function trayCurve(base: HotBase, material: Material, i: Pick<BaseInput, 'depthMm' | 'placeH' | 'placeC' | 'placeUaWPerK'>): BaseWay['curve'] {
  const { startC } = base;
  // Still air under a warm floor hardly moves: about half of what it takes from above (textbook figures for plates facing up and down).
  const driven = drivenShare(i.placeH);
  const under = hotFace(i.placeH * (UNDER_STILL + (1 - UNDER_STILL) * driven), 'steel', 0.8, 0, UNDER_STILL * (1 - driven));
  const over = hotFace(i.placeH, 'none', 0, FILM_M2K_PER_W, 1 - driven);
  const grid = gridOf({
    kind: 'long',
    half: () => 1,
    layers: [{ material, fromM: 0, toM: i.depthMm / 1000, startC }],
    side: { h: 0, air: 0 },
    bottom: under,
    top: over,
    across: 1,
    up: 16,
  });
  // The grid is a strip two metres wide and one long: as much of it as the base spreads to.
  const areaM2 = volumeMl(base.mixture, VOLUME_AT_C) / 1e6 / (i.depthMm / 1000);
  const run = march({
    grid,
    airs: [{ setC: i.placeC, uaWPerK: i.placeUaWPerK, bodies: areaM2 / STRIP_M2 }],
    mostH: MOST_H,
    untilC: Math.max(i.placeC + 0.3, DOWN_TO_C),
  });
  return run.ok ? Array.from(run.value.h, (x, k) => [60 * x, run.value.warmest[k]!] as const) : [];
}

/** The warmest point of a pan that is left alone. */
function stillCurve(material: Material, startC: number, i: BaseInput, radiusM: number, depthM: number): BaseWay['curve'] {
  const own = 1 - drivenShare(i.placeH);
  const side = hotFace(i.placeH, 'steel', 1, 0, own);
  const top = hotFace(i.placeH, 'none', 0, FILM_M2K_PER_W, own);
  const grid = gridOf({
    kind: 'round',
    half: () => radiusM,
    layers: [{ material, fromM: 0, toM: depthM, startC }],
    side,
    bottom: side,
    top,
    across: 10,
    up: 14,
  });
  const run = march({ grid, airs: [{ setC: i.placeC, uaWPerK: i.placeUaWPerK, bodies: 1 }], mostH: MOST_H, untilC: Math.max(i.placeC + 0.3, DOWN_TO_C) });
  return run.ok ? Array.from(run.value.h, (x, k) => [60 * x, run.value.warmest[k]!] as const) : [];
}

/**
 * The deepest that a tray may be filled so that the rule is met in the place, mm (bisection of the run, to half a millimetre).
 * @returns a fault when not even 3 mm meet it.
 */
export function depthThatMeets(base: HotBase, i: Omit<BaseInput, 'depthMm'>, rule: CoolingRule): Result<number> {
  const material = materialOf(base.name, base.mixture, base.freezingG, 0, VOLUME_AT_C);
  const meets = (depthMm: number): boolean => {
    const verdict = coolingVerdict(trayCurve(base, material, { ...i, depthMm }), rule);
    return verdict.ok && verdict.value.stages.every((s) => s.state === 'met');
  };
  if (!meets(3))
    return fail(
      'depthMm',
      'never',
      `In the ${i.placeName.toLowerCase()} at ${Math.round(i.placeC)}\u00a0°C no depth meets that rule: an ice bath first, or a colder place.`,
    );
  let low = 3;
  let high = 200;
  if (meets(high)) return ok(high);
  while (high - low > 0.5) {
    const mid = (low + high) / 2;
    if (meets(mid)) low = mid;
    else high = mid;
  }
  return ok(low);
}
