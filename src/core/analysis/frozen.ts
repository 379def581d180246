import { composition } from '../composition/components';
import { volumeMl } from '../composition/density';
import { combine, mix, type Mixture } from '../composition/mixture';
import { abvPct } from '../composition/density';
import {
  freezingStartC,
  frozenShare,
  iceVolumeShare,
  knifeWindow,
  solutionOf,
  sucroseEquivalentG,
  temperatureOfFrozenShare,
  type KnifeWindow,
  type Solution,
} from '../heat/freezing';
import { ICE_VOLUME, KNIFE_ICE } from '../heat/house';
import { fail, ok, within, type Result } from '../result';
import type { SheetAnalysis } from './analysed';
import type { Kitchen } from '../kitchen/kitchen';
import type { PartKind } from '../document/kinds';
import type { Sheet } from '../document/schema';

/** What freezes as one: everything in the vessel but biscuits, bases, shells and what lies on top. */
export interface FrozenMix {
  readonly mixture: Mixture;
  readonly solution: Solution;
  readonly sucroseEqG: number;
  /** Air of all of it, % of the dense volume. */
  readonly overrunPct: number;
}

export interface FrozenReading extends FrozenMix {
  readonly freezerC: number;
  readonly solidsPct: number;
  readonly startC: number | null;
  /** Share of the water that is ice at the freezer's temperature. */
  readonly frozen: number;
  readonly iceVolume: number;
  readonly window: Result<KnifeWindow>;
}

const NOT_FROZEN_IN: ReadonlySet<PartKind> = new Set<PartKind>(['biscuit-layer', 'pressed-base', 'meringue', 'topping', 'soak']);
export const isFrozenIn = (kind: PartKind): boolean => !NOT_FROZEN_IN.has(kind);
/** What a kitchen without a freezer is reckoned with, °C. */
const USUAL_FREEZER_C = -18;

/** The mix of a sheet that would freeze; null where there is none. */
export function frozenMixOf(s: SheetAnalysis): FrozenMix | null {
  const parts = s.parts.filter((a) => !NOT_FROZEN_IN.has(a.part.kind) && a.leftShare > 0.005 && a.reading.mixture.massG > 0);
  if (parts.length === 0) return null;
  const mixture = combine(parts.map((a) => ({ mixture: a.reading.mixture, share: a.leftShare })));
  const sucroseEqG = parts.reduce((sum, a) => sum + a.leftShare * a.reading.freezingG, 0);
  const dense = volumeMl(mixture, 5);
  const airMl = parts.reduce((sum, a) => sum + (a.overrunPct.ok ? (a.leftShare * a.mixMl * a.overrunPct.value) / 100 : 0), 0);
  return { mixture, sucroseEqG, solution: solutionOf(mixture, sucroseEqG), overrunPct: dense > 0 ? (100 * airMl) / dense : 0 };
}

/** The freezer that a sheet is meant for, °C: the place of its set-up, else the kitchen's first, or −18 °C where it has none: the one that Cold and Clock take. */
export function freezerOf(kitchen: Pick<Kitchen, 'places'>, sheet: Pick<Sheet, 'cold'>): number {
  const freezers = kitchen.places.filter((p) => p.kind === 'chest-freezer' || p.kind === 'frost-free-freezer');
  return (freezers.find((p) => p.id === sheet.cold.setup.placeId) ?? freezers[0])?.airC ?? USUAL_FREEZER_C;
}

/** How a mix is when it is frozen through at a temperature (published curve; window house ±8 %). */
export function readFrozen(m: FrozenMix, freezerC: number): Result<FrozenReading> {
  const fault = within('freezerC', 'The freezer', freezerC, -45, 0, '°C');
  if (fault) return { ok: false, fault };
  const abv = abvPct(m.mixture);
  if (abv > MOST_ABV_PCT)
    return fail('abvPct', 'too-strong', `This is ${abv.toFixed(0)}\u00a0% alcohol; the freezing line holds up to ${MOST_ABV_PCT}\u00a0%.`);
  const g = m.mixture.grams;
  return ok({
    ...m,
    freezerC,
    solidsPct: (100 * (m.mixture.massG - g.water - g.ethanol)) / m.mixture.massG,
    startC: freezingStartC(m.solution),
    frozen: frozenShare(m.solution, freezerC),
    iceVolume: iceVolumeShare(m.mixture, m.solution, m.overrunPct, freezerC),
    window: knifeWindow(m.mixture, m.solution, m.overrunPct, freezerC),
  });
}
/** Beyond it the straight line of ethanol's freezing points is not known to hold, % by volume. */
const MOST_ABV_PCT = 60;

export const FREEZING_LEVERS = ['sucrose', 'dextrose', 'spirit', 'air'] as const;
export type FreezingLever = (typeof FREEZING_LEVERS)[number];
export const LEVER_NAMES: Readonly<Record<FreezingLever, string>> = { sucrose: 'caster sugar', dextrose: 'dextrose', spirit: 'a 40 % spirit', air: 'air' };

const LEVER_COMPOSITION = {
  sucrose: composition({ sucrose: 99.9, water: 0.1 }),
  dextrose: composition({ glucose: 91, water: 9 }),
  spirit: composition({ water: 66.4, ethanol: 33.3, other_solids: 0.3 }),
} as const;

/** A wish must leave so much of the water as ice for a knife: the middle of the window. */
const SLICE_ICE = (KNIFE_ICE.low + KNIFE_ICE.high) / 2;

/** Where the middle of the knife window lies now, °C: how cold it is sliced; null where it never has so much ice. */
export const sliceC = (m: FrozenMix): number | null => temperatureOfFrozenShare(m.solution, SLICE_ICE);

/** The mix with so many grams of a lever added. */
export function withLever(m: FrozenMix, lever: Exclude<FreezingLever, 'air'>, addG: number): FrozenMix {
  const portion = { massG: addG, per100: LEVER_COMPOSITION[lever] };
  const mixture = combine([
    { mixture: m.mixture, share: 1 },
    { mixture: mix([portion]), share: 1 },
  ]);
  const sucroseEqG = m.sucroseEqG + sucroseEquivalentG([portion]);
  return { mixture, sucroseEqG, solution: solutionOf(mixture, sucroseEqG), overrunPct: m.overrunPct };
}

export interface LeverAnswer {
  readonly lever: FreezingLever;
  /** g to add (below 0: to take out), or % of air that is wanted. */
  readonly amount: number;
  readonly unit: 'g' | '%';
}

/**
 * What moves the slice temperature to a wish (published curve, house window): g of sugar, dextrose or spirit more or less, so that the
 * middle of the window lies at the wish; or the air at which it cuts straight out at that temperature.
 *
 * @param wishC −30 to −1 °C.
 * @returns a fault on `wishC` out of range, or on `lever` when no amount of it (to half of the mix again, or all that is in it) does it.
 */
export function moveSliceTo(m: FrozenMix, wishC: number, lever: FreezingLever): Result<LeverAnswer> {
  const fault = within('wishC', 'The slice temperature', wishC, -30, -1, '°C');
  if (fault) return { ok: false, fault };
  if (lever === 'air') return airFor(m, wishC);
  const share = (addG: number): number => frozenShare(withLever(m, lever, addG).solution, wishC);
  // More of any of them leaves less ice at the wish.
  let low = -takeable(m, lever);
  let high = m.mixture.massG / 2;
  if (share(low) < SLICE_ICE || share(high) > SLICE_ICE) {
    if (low > -0.5 && share(low) < SLICE_ICE)
      return fail('lever', 'none-in-it', `It is softer than that at ${wishC}\u00a0°C, and has no ${LEVER_NAMES[lever].replace(/^an? /, '')} to take out.`);
    return fail(
      'lever',
      'out-of-reach',
      share(low) < SLICE_ICE
        ? `Even without its ${LEVER_NAMES[lever].replace(/^an? /, '')} it is softer than that at ${wishC}\u00a0°C.`
        : `No sensible amount of ${LEVER_NAMES[lever]} brings the window to ${wishC}\u00a0°C.`,
    );
  }
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (share(mid) > SLICE_ICE) low = mid;
    else high = mid;
  }
  return ok({ lever, amount: (low + high) / 2, unit: 'g' });
}

/** How much of a lever is in the mix and could come out, g. */
function takeable(m: FrozenMix, lever: Exclude<FreezingLever, 'air'>): number {
  const { grams } = m.mixture;
  if (lever === 'sucrose') return (0.99 * grams.sucrose) / 0.999;
  return lever === 'dextrose' ? (0.99 * grams.glucose) / 0.91 : (0.99 * grams.ethanol) / 0.333;
}

function airFor(m: FrozenMix, wishC: number): Result<LeverAnswer> {
  const dense = iceVolumeShare(m.mixture, m.solution, 0, wishC);
  const overrun = 100 * (dense / ICE_VOLUME.clean - 1);
  if (overrun > 400) return fail('lever', 'out-of-reach', `No foam carries the air that this would need at ${wishC}\u00a0°C.`);
  return ok({ lever: 'air', amount: Math.max(0, overrun), unit: '%' });
}
