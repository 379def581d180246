import { z } from 'zod';
import { SUGAR_MOMENTS } from './kinds';
import { MIXER_KINDS, SPEEDS, STAGES, WISHED_STAGES } from './kinds';

/** What the room's models are asked with: kept apart from them, so that the browser need not carry the checks. */

/** What is in the whisk bowl, as far as its foam goes. */
export const CreamStateSchema = z.object({
  /** Fat % of all in the bowl, the added sugar left out. */
  fatPct: z.number(),
  /** g of added sugar per 100 g of the dairy. */
  sugarPer100: z.number().min(0),
  sugarAt: z.enum(SUGAR_MOMENTS),
  /** Cream with its bowl at the start, °C. */
  creamC: z.number(),
  /** Shares of the dairy, 0–1. */
  softCheeseShare: z.number().min(0).max(1),
  mascarponeShare: z.number().min(0).max(1),
  /** g of acid per kg of all in the bowl; none where left out. */
  acidGPerKg: z.number().min(0).optional(),
  /** Shares of the cream, 0–1: long-life, long-life with a stabiliser, plant cream for whipping; pasteurised where left out. */
  longLifeShare: z.number().min(0).max(1).optional(),
  stabilisedShare: z.number().min(0).max(1).optional(),
  plantShare: z.number().min(0).max(1).optional(),
});
export type CreamState = Readonly<z.infer<typeof CreamStateSchema>>;

export const WhiskInputSchema = CreamStateSchema.extend({
  mixer: z.enum(MIXER_KINDS),
  /** Bowl brimful, mL. */
  bowlMl: z.number().min(50).max(500_000),
  /** Only a planetary mixer's speeds are known; the others run at their own. */
  speed: z.enum(SPEEDS),
  /** Drop to slow once soft peak is reached (planetary only). */
  slowFromSoft: z.boolean(),
  /** Volume of the whole mix before whipping, mL. */
  mixMl: z.number().positive().max(1_000_000),
  /** How many bowlfuls the mix is whisked in. */
  batches: z.number().int().min(1).max(50),
  target: z.enum(WISHED_STAGES),
});
export type WhiskInput = Readonly<z.infer<typeof WhiskInputSchema>>;

const share = z.number().min(0).max(1);

export const HoldInputSchema = z.object({
  /** Fat % of all in the bowl, the added sugar left out. */
  fatPct: z.number(),
  /** g of 225-bloom gelatin per kg of everything that it sets. */
  gelatinGPerKg: z.number().min(0),
  mascarponeShare: share,
  softCheeseShare: share,
  strainedYoghurtShare: share,
  /** % of the whole. */
  rawStarchPct: z.number().min(0),
  xanthanGPerKg: z.number().min(0),
  /** Milk powder or cooked starch, g per kg. */
  powderGPerKg: z.number().min(0),
  /** Juice or wine, % of the whole. */
  sourLiquidPct: z.number().min(0),
  /** g of added sugar per 100 g of the dairy; none where left out. */
  sugarPer100: z.number().min(0).optional(),
  /** Shares of the cream, 0–1, as in `CreamState`. */
  longLifeShare: share.optional(),
  stabilisedShare: share.optional(),
  plantShare: share.optional(),
  stage: z.enum(STAGES),
  /** Where it stands, °C. */
  tempC: z.number(),
  rawEgg: z.boolean(),
  /** The kitchen's keeping rule at ≤ 5 °C, h; never longer than the usual 72 h (24 h with raw egg). */
  keepingRuleH: z.number().positive().nullable(),
});
export type HoldInput = Readonly<z.infer<typeof HoldInputSchema>>;
