import { z } from 'zod';
import { houseRange } from '../figure';
import { SYLLABUB_SPREAD } from '../foam/house';
import { foamVolumeMl } from '../foam/overrun';
import { syllabubOf } from '../analysis/syllabub';
import { mainPart } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import { airRange, holdRange, stabiliserFamily, STABILISER_FAMILIES, timeRange } from '../analysis/learnt';
import { secondsToStage } from '../foam/whisk';
import { STAGES, WISHED_STAGES, type Stage } from '../foam/kinds';
import { WhiskInputSchema } from '../foam/inputs';

const Band = z.object({ value: z.number(), low: z.number(), high: z.number() });
export type ForecastBand = Readonly<z.infer<typeof Band>>;

/** What a batch was expected to do, frozen when it starts so that the log compares like with like. */
export const ForecastSchema = z.object({
  stage: z.enum(WISHED_STAGES),
  /** Unaerated mix, mL, and everything in it, g. */
  mixMl: z.number(),
  massG: z.number(),
  mixerName: z.string(),
  /** Input of the whisk model, so that the curve can be drawn again. Null when it will not whip. */
  whisk: WhiskInputSchema.nullable(),
  /** Seconds to each stage at that speed; null where it never comes. */
  stageS: z.record(z.enum(STAGES), z.number().nullable()),
  stageTimeS: Band.nullable(),
  overrunPct: Band.nullable(),
  yieldMl: Band.nullable(),
  /** Clean in the fridge, h: the shape alone, so that the log can correct it. */
  holdCleanH: Band.nullable(),
  /** The shorter of shape and keeping, h: for the label. */
  holdShownH: z.number().nullable(),
  keepingH: z.number().nullable(),
  /** Clear drink under the curd of a parted syllabub by its serving hour, g; null in what does not part, absent in old batches. */
  drinkG: Band.nullable().default(null),
  /** What the plain formulas say, so that an outcome is held against them and not against what the log had made of them; absent in old batches, which were plain. */
  plain: z.object({ timeS: z.number().nullable(), overrunPct: z.number().nullable(), holdH: z.number().nullable() }).optional(),
  /** Where an outcome counts: which mixer, which family of stabilisers. */
  mixerId: z.string().default(''),
  family: z.enum(STABILISER_FAMILIES).default('plain'),
});
export type Forecast = Readonly<z.infer<typeof ForecastSchema>>;

const band = (value: number, [low, high]: readonly [number, number]): ForecastBand => ({ value, low, high });

/** What a parted syllabub lets go by its serving hour. */
function drinkOf(s: SheetAnalysis): ForecastBand | null {
  if (s.sheet.family !== 'syllabub') return null;
  const x = syllabubOf(s);
  return x.ok && x.value.drinkG > 0 ? band(x.value.drinkG, houseRange(x.value.drinkG, SYLLABUB_SPREAD)) : null;
}

/** The forecast of a sheet's main part, at the moment it is made. */
export function forecastOf(s: SheetAnalysis): Forecast {
  const a = mainPart(s);
  const { whip: w } = a;
  const toStage = (stage: Stage): number | null => (w.ok ? secondsToStage(w.value, stage) : null);
  const overrun = a.whip.ok && a.overrunPct.ok ? band(a.overrunPct.value, airRange(a, a.overrunPct.value)) : null;
  return {
    stage: a.part.whisk.stage,
    mixMl: a.mixMl,
    massG: a.reading.mixture.massG,
    mixerName: a.mixer?.name ?? '',
    whisk: a.whiskInput.ok && a.whip.ok ? a.whiskInput.value : null,
    stageS: Object.fromEntries(STAGES.map((stage) => [stage, toStage(stage)])) as Forecast['stageS'],
    stageTimeS: a.window.ok ? band(a.window.value.opensS, timeRange(a, a.window.value.opensS)) : null,
    overrunPct: overrun,
    yieldMl: overrun && {
      value: foamVolumeMl(a.mixMl, overrun.value),
      low: foamVolumeMl(a.mixMl, overrun.low),
      high: foamVolumeMl(a.mixMl, overrun.high),
    },
    holdCleanH: a.holdFridge.ok ? band(a.holdFridge.value.cleanH, holdRange(a, a.holdFridge.value.cleanH)) : null,
    holdShownH: a.holdFridge.ok ? a.holdFridge.value.shownH : null,
    keepingH: a.holdFridge.ok ? a.holdFridge.value.keepingH : null,
    drinkG: drinkOf(s),
    plain: {
      timeS: a.window.ok ? a.window.value.opensS / (a.learnt.time?.factor ?? 1) : null,
      overrunPct: overrun && overrun.value / (a.learnt.air?.factor ?? 1),
      holdH: a.holdFridge.ok ? a.holdFridge.value.cleanH / (a.learnt.hold?.factor ?? 1) : null,
    },
    mixerId: a.part.whisk.mixerId,
    family: stabiliserFamily(a.reading),
  };
}
