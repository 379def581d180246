import type { z } from 'zod';
import { houseRange } from '../figure';
import { EGG_WHISK_SPREAD } from '../foam/house';
import { stopWindow, whip } from '../foam/whisk';
import type { PartAnalysis } from './analysed';
import { correctedWhip, timeRange } from './learnt';
import type { StepWhiskSchema } from './step-whisk-schema';

/** The clock of a whisking step, as it is kept with a batch. */
export type StepWhisk = Readonly<z.infer<typeof StepWhiskSchema>>;

/** The clock of a part that is whisked; null where nothing can be said. */
export function stepWhisk(a: PartAnalysis): StepWhisk | null {
  if (a.whip.ok && a.whiskInput.ok) {
    if (!a.window.ok) return null;
    const { opensS } = a.window.value;
    const [earlyS, lateS] = timeRange(a, opensS);
    const { time, air } = a.learnt;
    return {
      stage: a.part.whisk.stage,
      earlyS,
      opensS,
      closesS: a.window.value.closesS,
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
    egg: {
      foam: a.eggFoam.foam,
      mixer: a.mixer.kind,
      bowlMl: a.mixer.bowlMl,
      speed: a.part.whisk.speed,
      mixMl: a.mixMl,
      batches: a.part.whisk.batches,
      eggC: a.part.heat.eggC,
    },
  };
}

/**
 * The same clock with the cream as it was found in the bowl. @param creamC typed or probed, °C; null leaves it.
 * @returns null where no clean peak of that stage stands at this temperature.
 */
export function whiskAt(whisk: StepWhisk, creamC: number | null): StepWhisk | null {
  if (!whisk.cream || creamC === null || creamC === whisk.cream.input.creamC) return whisk;
  const input = { ...whisk.cream.input, creamC };
  const made = whip(input);
  if (!made.ok) return null;
  const window = stopWindow(correctedWhip(made.value, whisk.cream.timeFactor, whisk.cream.airFactor), input.target);
  if (!window) return null;
  return { ...whisk, earlyS: (whisk.earlyS / whisk.opensS) * window.opensS, ...window, cream: { ...whisk.cream, input } };
}
