import { fail, ok, within, type Result } from '../result';
import { readTable } from '../interpolate';
import {
  GELATIN_FADES_C,
  HOLD_GAIN,
  HOLD_GAIN_CAP,
  HOLD_H,
  HOLD_Q10,
  HOLD_WARM,
  KEEPING_H,
  REFERENCE_FAT_PCT,
  SOUR_HOLD,
  STAGE_HOLD,
  SUGAR_HOLD,
  USABLE_FACTOR,
} from './house';
import { creamKindFactor } from './whisk';
import type { HoldInput } from './inputs';

export interface Hold {
  /** Until the first drop of whey or a softened edge, h. */
  readonly cleanH: number;
  /** Until it can no longer be filled or whipped again, h. */
  readonly usableH: number;
  /** What the stabilisers multiply the hold by, 1 to 20. */
  readonly gain: number;
  readonly gainCapped: boolean;
  readonly keepingH: number;
  /** The shorter of shape and keeping, h. */
  readonly shownH: number;
  readonly limit: 'shape' | 'keeping';
  /** Factors of the hold, for the working. */
  readonly factors: {
    readonly fat: number;
    readonly warmth: number;
    readonly stage: number;
    readonly sour: number;
    readonly sugar: number;
    readonly kind: number;
  };
}

/** Germs grow by factors: between its figures the rule falls evenly by factor, with no step. */
const LOG_KEEPING = KEEPING_H.byPlace.map(([c, h]) => [c, Math.log(h)] as const);

/**
 * How long dairy cream may be kept at a temperature, h: 72 to 5 °C, falling to 24 at 8 °C and to 2 at 12 °C; raw egg 24; the kitchen's
 * rule where it is stricter. @param tempC of the place, −60 to 100.
 */
export function keepingHours(tempC: number, rawEgg: boolean, keepingRuleH: number | null): number {
  const byPlace = Math.exp(readTable(LOG_KEEPING, tempC) ?? Math.log(KEEPING_H.outOfFridge));
  return Math.min(byPlace, rawEgg ? KEEPING_H.rawEgg : Infinity, keepingRuleH ?? Infinity);
}

/** Until a foam can no longer be filled or whipped again, h: some times its clean hours, never past its keeping. */
export const goodUntilH = (cleanH: number, keepingH: number): number => Math.min(cleanH * USABLE_FACTOR, keepingH);

/**
 * How long a whipped cream keeps its shape (house ±45 %): 10·(F/36)²·A·s·u·t hours, and the shorter of that and keeping. Source: science-2, section 12.
 * @returns a fault on `fatPct` outside 25–60 %, or on `tempC` outside −1 to 45 °C (colder it is frozen, warmer it is melting).
 */
export function holdOf(input: HoldInput): Result<Hold> {
  const fat = within('fatPct', 'Fat in the bowl', input.fatPct, 25, 60, '%');
  if (fat) return { ok: false, fault: fat };
  const temp = within('tempC', 'Where it stands', input.tempC, -1, 45, '°C');
  if (temp) return { ok: false, fault: temp };
  if (input.keepingRuleH !== null && !(input.keepingRuleH > 0)) {
    return fail('keepingRuleH', 'not-positive', 'The kitchen’s keeping rule must be more than 0\u00a0h.');
  }
  const { from, gone } = GELATIN_FADES_C;
  const gelatinLeft = Math.min(1, Math.max(0, (gone - input.tempC) / (gone - from)));
  const full =
    (1 + HOLD_GAIN.gelatinPerGPerKg * input.gelatinGPerKg) ** gelatinLeft *
    (1 + HOLD_GAIN.mascarponeShare * input.mascarponeShare) *
    (1 + HOLD_GAIN.softCheeseShare * input.softCheeseShare) *
    (1 + HOLD_GAIN.strainedYoghurtShare * input.strainedYoghurtShare) *
    (1 + HOLD_GAIN.rawStarchPct * input.rawStarchPct) *
    (1 + HOLD_GAIN.xanthanPerGPerKg * input.xanthanGPerKg) *
    (1 + HOLD_GAIN.powderPerGPerKg * input.powderGPerKg);
  const gain = Math.min(HOLD_GAIN_CAP, full);
  const factors = {
    fat: (input.fatPct / REFERENCE_FAT_PCT) ** 2,
    warmth: HOLD_Q10 ** ((4 - Math.min(input.tempC, HOLD_WARM.fromC)) / 10) * HOLD_WARM.q10 ** (Math.min(0, HOLD_WARM.fromC - input.tempC) / 10),
    stage: STAGE_HOLD[input.stage],
    sour: readTable(SOUR_HOLD, Math.min(100, input.sourLiquidPct)) ?? 1,
    sugar: Math.min(SUGAR_HOLD.most, 1 + SUGAR_HOLD.perG * (input.sugarPer100 ?? 0)),
    kind: creamKindFactor(input, 'hold'),
  };
  const cleanH = HOLD_H * factors.fat * gain * factors.warmth * factors.stage * factors.sour * factors.sugar * factors.kind;
  const keepingH = keepingHours(input.tempC, input.rawEgg, input.keepingRuleH);
  return ok({
    cleanH,
    usableH: cleanH * USABLE_FACTOR,
    gain,
    gainCapped: full > HOLD_GAIN_CAP,
    keepingH,
    shownH: Math.min(cleanH, keepingH),
    limit: cleanH <= keepingH ? 'shape' : 'keeping',
    factors,
  });
}
