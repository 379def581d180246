import { fail, ok, within, type Result } from '../result';
import { BEST_FILL, CLIMB_SHARE, COLD_EGG, EGG_FOAM_OVERRUN, EGG_MIXER_FACTOR, EGG_WHISK, GOOD_FILL, SPEED_FACTOR, type EggFoam } from './house';
import { foamVolumeMl } from './overrun';
import { peakLook, type PeakLook } from './peak';
import { fillFactor } from './whisk';
import type { MixerKind, Speed } from './kinds';

/** Egg foams under the whisk: stages and times of their own (house ±25 %). */

export type EggStage = 'foamy' | 'soft' | 'firm' | 'dry' | 'pale' | 'thick' | 'ribbon' | 'coarse';

export interface EggWhiskInput {
  readonly foam: EggFoam;
  readonly mixer: MixerKind;
  /** Bowl brimful, mL. */
  readonly bowlMl: number;
  /** Only a planetary mixer's speeds are known. */
  readonly speed: Speed;
  /** Everything before whisking, mL. */
  readonly mixMl: number;
  readonly batches: number;
  /** Eggs at the start, °C; of no account where hot syrup or heated whites come in. */
  readonly eggC: number;
}

export interface EggWhip {
  readonly foam: EggFoam;
  /** Seconds to each stage, in order, and the overrun there, %. */
  readonly stages: readonly { readonly name: EggStage; readonly atS: number; readonly overrunPct: number }[];
  readonly right: EggStage;
  /** From reaching the right stage to the next one, s; null where it only stays as it is. */
  readonly window: { readonly opensS: number; readonly closesS: number | null };
  readonly fillShare: number;
  /** The liquid share of the bowl at which it whisks best. */
  readonly bestFill: number;
  readonly factors: { readonly mixer: number; readonly fill: number; readonly cold: number };
}

/** Heated before or while it is whisked, so that the eggs' own temperature does not slow it. */
const HOT: readonly EggFoam[] = ['swiss', 'italian', 'yolks-hot-syrup'];

/** Cream rises to about 2.1 times; a mixer fills best where the foam, not the liquid, fills alike. */
const CREAM_RISES = 2.1;

/** Liquid share of the bowl at which an egg foam whisks best: its foam fills what cream's does. */
export const bestEggFill = (foam: EggFoam, mixer: MixerKind): number => (BEST_FILL[mixer] * CREAM_RISES) / (1 + EGG_FOAM_OVERRUN[foam] / 100);

/**
 * When an egg foam reaches each of its stages (house ±25 %, ours).
 * @returns a fault on `mixer` for a processor, on `bowlMl`, `mixMl`, `batches` or `eggC` outside their domain, or where the liquid fills the bowl.
 */
export function eggWhip(input: EggWhiskInput): Result<EggWhip> {
  const mixer = EGG_MIXER_FACTOR[input.mixer];
  if (mixer === null) return fail('mixer', 'no-air', 'A processor cuts the foam instead of whisking air in: take a mixer or a balloon whisk.');
  const fault =
    within('bowlMl', 'The bowl', input.bowlMl, 50, 500_000, 'mL') ??
    within('mixMl', 'The mix', input.mixMl, 1, 1_000_000, 'mL') ??
    within('batches', 'The number of bowlfuls', input.batches, 1, 50, '') ??
    within('eggC', 'The eggs’ temperature', input.eggC, -2, 60, '°C');
  if (fault) return { ok: false, fault };
  const fillShare = input.mixMl / input.batches / input.bowlMl;
  if (fillShare >= 1) return fail('bowlMl', 'does-not-fit', 'The liquid alone fills the bowl: take a larger bowl or whisk it in more bowlfuls.');
  const bestFill = bestEggFill(input.foam, input.mixer);
  const factors = {
    mixer: mixer * (input.mixer === 'planetary' ? SPEED_FACTOR[input.speed] : 1),
    fill: fillFactor(bestFill, fillShare),
    cold: HOT.includes(input.foam) ? 1 : 1 / (1 + COLD_EGG.lossPerC * Math.max(0, COLD_EGG.warmC - input.eggC)),
  };
  const rate = factors.mixer * factors.fill * factors.cold;
  const { right, stages } = EGG_WHISK[input.foam];
  const timed = stages.map(([name, seconds, air]) => ({ name, atS: seconds / rate, overrunPct: air * EGG_FOAM_OVERRUN[input.foam] }));
  const at = timed.findIndex((s) => s.name === right);
  return ok({ foam: input.foam, stages: timed, right, window: { opensS: timed[at]!.atS, closesS: timed[at + 1]?.atS ?? null }, fillShare, bestFill, factors });
}

/** The fewest bowlfuls whose foam stays in the bowl and whose filling is not over the good one; null above 50. */
export function eggBowlfulsNeeded(input: Omit<EggWhiskInput, 'batches'>): number | null {
  const most = bestEggFill(input.foam, input.mixer) * GOOD_FILL.high;
  for (let n = 1; n <= 50; n++) {
    const share = input.mixMl / n / input.bowlMl;
    if (share <= most + 1e-9 && foamVolumeMl(share, EGG_FOAM_OVERRUN[input.foam]) <= CLIMB_SHARE) return n;
  }
  return null;
}

/** Between stages everything runs straight with the clock; past the last it stays. */
function between<T extends { readonly atS: number }>(stages: readonly T[], s: number, start: number, of: (stage: T) => number): number {
  let beforeS = 0;
  let before = start;
  for (const stage of stages) {
    if (s < stage.atS) return before + ((of(stage) - before) * (s - beforeS)) / (stage.atS - beforeS);
    beforeS = stage.atS;
    before = of(stage);
  }
  return before;
}

/** Overrun after some seconds, %, ≥ 0. */
export const eggOverrunAt = (w: EggWhip, seconds: number): number => between(w.stages, Math.max(0, seconds), 0, (s) => s.overrunPct);

/** The stage reached after some seconds; null before the first. */
export const eggStageAt = (w: EggWhip, seconds: number): EggStage | null => w.stages.findLast((s) => seconds >= s.atS - 1e-9)?.name ?? null;

const SIGNS: Readonly<Record<EggStage, string>> = {
  foamy: 'Coarse bubbles, still runs.',
  soft: 'The tip folds over; trails stay.',
  firm: 'Stands up glossy; the bowl can be turned over.',
  dry: 'Dull flakes and a wet foot: over-whisked.',
  pale: 'Paler and loose; trails close at once.',
  thick: 'Twice as thick; trails close slowly.',
  ribbon: 'Falls in a ribbon that stays three seconds.',
  coarse: 'Bubbles grow coarse: stop now.',
};

/** How stiff each stage stands, as the cream of that network does. */
const STANDS_LIKE: Readonly<Record<EggStage, number>> = { foamy: 0.1, soft: 0.27, firm: 0.56, dry: 0.76, pale: 0.06, thick: 0.12, ribbon: 0.19, coarse: 0.17 };

/** The look of an egg foam on the whisk after some seconds: drawn as the cream that stands alike, with the egg foam's own sign. */
export function eggLook(w: EggWhip, seconds: number): PeakLook {
  const stage = eggStageAt(w, seconds);
  const look = peakLook(between(w.stages, Math.max(0, seconds), 0.02, (s) => STANDS_LIKE[s.name]));
  return { ...look, stage: null, air: eggOverrunAt(w, seconds) / EGG_FOAM_OVERRUN[w.foam], sign: stage === null ? 'Runs off the whisk.' : SIGNS[stage] };
}
