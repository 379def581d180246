import { z } from 'zod';
import { EGG_FOAM_OVERRUN, type EggFoam } from '../foam/house';
import { WhiskInputSchema } from '../foam/inputs';
import { MIXER_KINDS, SPEEDS } from '../foam/kinds';

/** How the clock of a whisking step is kept with a batch: apart from what works it out, so that the browser's Bench need not carry the checks. */

/** An egg foam's whisk, so that its clock and look can be drawn again. */
export const EggWhiskSchema = z.object({
  foam: z.enum(Object.keys(EGG_FOAM_OVERRUN) as [EggFoam, ...EggFoam[]]),
  mixer: z.enum(MIXER_KINDS),
  bowlMl: z.number(),
  speed: z.enum(SPEEDS),
  mixMl: z.number(),
  batches: z.number(),
  eggC: z.number(),
});

/** What the clock of a whisking step goes by. */
export const StepWhiskSchema = z.object({
  /** The stage that is wished, in words. */
  stage: z.string(),
  /** Early end of the forecast, and the window, s. */
  earlyS: z.number(),
  opensS: z.number(),
  /** Null when the next stage never comes. */
  closesS: z.number().nullable(),
  /** The cream, for its curve, with what the log corrected; null for an egg foam. */
  cream: z.object({ input: WhiskInputSchema, timeFactor: z.number(), airFactor: z.number(), logSd: z.number() }).nullable(),
  egg: EggWhiskSchema.nullable(),
});
