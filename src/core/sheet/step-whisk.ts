import { z } from 'zod';
import { houseRange } from '../figure';
import { EGG_FOAM_OVERRUN, EGG_WHISK_SPREAD, type EggFoam } from '../foam/house';
import { WhiskInputSchema } from '../foam/inputs';
import { MIXER_KINDS, secondsTo, SPEEDS, STAGES } from '../foam/whisk';
import { STAGE_X } from '../foam/house';
import type { PartAnalysis } from './analyse';
import { timeRange } from './learnt';

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
export type StepWhisk = Readonly<z.infer<typeof StepWhiskSchema>>;

/** The clock of a part that is whisked; null where nothing can be said. */
export function stepWhisk(a: PartAnalysis): StepWhisk | null {
  if (a.whip.ok && a.whiskInput.ok) {
    if (!a.window.ok) return null;
    const { opensS } = a.window.value;
    const [earlyS, lateS] = timeRange(a, opensS);
    const { time, air } = a.learnt;
    const next = STAGES[STAGES.indexOf(a.part.whisk.stage) + 1]!;
    return {
      stage: a.part.whisk.stage,
      earlyS,
      opensS,
      closesS: secondsTo(a.whip.value, STAGE_X[next]),
      cream: { input: a.whiskInput.value, timeFactor: time?.factor ?? 1, airFactor: air?.factor ?? 1, logSd: Math.log(lateS / opensS) / (time ? 1.2816 : 1) },
      egg: null,
    };
  }
  if (!a.eggWhip?.ok || !a.eggFoam || !a.mixer) return null;
  const { window, right } = a.eggWhip.value;
  return {
    stage: right,
    earlyS: houseRange(window.opensS, EGG_WHISK_SPREAD)[0],
    opensS: window.opensS,
    closesS: window.closesS,
    cream: null,
    egg: { foam: a.eggFoam.foam, mixer: a.mixer.kind, bowlMl: a.mixer.bowlMl, speed: a.part.whisk.speed, mixMl: a.mixMl, batches: a.part.whisk.batches, eggC: a.part.heat.eggC },
  };
}
