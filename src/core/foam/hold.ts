import { fail, ok, within, type Result } from '../result';
import {
  GELATIN_MELTS_C,
  HOLD_GAIN,
  HOLD_GAIN_CAP,
  HOLD_H,
  HOLD_Q10,
  KEEPING_H,
  OFF_STAGE_HOLD,
  REFERENCE_FAT_PCT,
  SOUR_HOLD,
  USABLE_FACTOR,
} from './house';
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
  readonly factors: { readonly fat: number; readonly warmth: number; readonly stage: number; readonly sour: number };
}

/** How long dairy cream may be kept at a temperature, h: the kitchen's rule or the usual one, whichever is stricter. */
export function keepingHours(tempC: number, rawEgg: boolean, keepingRuleH: number | null): number {
  if (tempC > KEEPING_H.coldAtMostC) return KEEPING_H.outOfFridge;
  const usual = rawEgg ? KEEPING_H.rawEgg : KEEPING_H.dairy;
  return keepingRuleH === null ? usual : Math.min(usual, keepingRuleH);
}

/** Until a foam can no longer be filled or whipped again, h: some times its clean hours, never past its keeping. */
export const goodUntilH = (cleanH: number, keepingH: number): number => Math.min(cleanH * USABLE_FACTOR, keepingH);

/**
 * How long a whipped cream keeps its shape (house ±45 %): 10·(F/36)²·A hours at 4 °C, and the shorter of that and keeping.
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
  const gelatin = input.tempC > GELATIN_MELTS_C ? 0 : input.gelatinGPerKg;
  const full =
    (1 + HOLD_GAIN.gelatinPerGPerKg * gelatin) *
    (1 + HOLD_GAIN.mascarponeShare * input.mascarponeShare) *
    (1 + HOLD_GAIN.softCheeseShare * input.softCheeseShare) *
    (1 + HOLD_GAIN.strainedYoghurtShare * input.strainedYoghurtShare) *
    (1 + HOLD_GAIN.rawStarchPct * input.rawStarchPct) *
    (1 + HOLD_GAIN.xanthanPerGPerKg * input.xanthanGPerKg) *
    (1 + HOLD_GAIN.powderPerGPerKg * input.powderGPerKg);
  const gain = Math.min(HOLD_GAIN_CAP, full);
  const sour = input.sourLiquidPct >= SOUR_HOLD.lowPct && input.sourLiquidPct <= SOUR_HOLD.highPct;
  const factors = {
    fat: (input.fatPct / REFERENCE_FAT_PCT) ** 2,
    warmth: HOLD_Q10 ** ((4 - input.tempC) / 10),
    stage: input.stage === 'medium' || input.stage === 'firm' ? 1 : OFF_STAGE_HOLD,
    sour: sour ? SOUR_HOLD.factor : 1,
  };
  const cleanH = HOLD_H * factors.fat * gain * factors.warmth * factors.stage * factors.sour;
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
