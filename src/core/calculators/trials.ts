import { z } from 'zod';
import { fail, ok } from '../result';
import { FULL_SCORE, MOST_AXES, MOST_TRIALS } from '../trials/house';
import { learntOf, nextTrial } from '../trials/next-trial';
import { define } from './define';

const PointSchema = z.array(z.number().min(0).max(1)).min(1).max(MOST_AXES);
const placeOf = z
  .number()
  .int()
  .min(0)
  .max(MOST_TRIALS - 1);

export const nextTrialCalculator = define({
  name: 'next-trial',
  answers: 'Where the next trial of a dessert should stand, what tastings say of the best one so far, how sure that is, and whether to stop.',
  input: z.object({
    /** Where each trial stands: each thing that is varied from 0 (its lower bound) to 1 (its upper one). */
    points: z.array(PointSchema).min(1).max(MOST_TRIALS),
    /** Scores, each list of one taster's sitting. */
    sittings: z
      .array(
        z
          .array(z.object({ trial: placeOf, score: z.number().min(0).max(FULL_SCORE) }))
          .min(1)
          .max(MOST_TRIALS),
      )
      .max(200)
      .default([]),
    pairs: z
      .array(z.object({ better: placeOf, than: placeOf, same: z.boolean().default(false) }))
      .max(500)
      .default([]),
  }),
  output: z.object({
    next: PointSchema,
    best: PointSchema.nullable(),
    /** That it lies within a tenth of each range, 0 to 1. */
    sure: z.number().nullable(),
    between: z.array(z.array(z.number())).nullable(),
    /** What another trial may gain, points of ten; null where only pairs were compared. */
    gain: z.number().nullable(),
    stop: z.enum(['sure', 'little to gain', 'long enough']).nullable(),
  }),
  run: ({ points, sittings, pairs }) => {
    const axes = points[0]!.length;
    if (points.some((p) => p.length !== axes)) return fail('points', 'axes', 'Every trial has as many values as things are varied.');
    const places = [...sittings.flatMap((s) => s.map((x) => x.trial)), ...pairs.flatMap((p) => [p.better, p.than])];
    if (places.some((t) => t >= points.length)) return fail('sittings', 'unknown', 'Something was tasted that is no trial of the list.');
    const learnt = learntOf(points, { sittings, pairs });
    return ok({
      next: [...nextTrial(points, { sittings, pairs }, axes)],
      best: learnt ? [...learnt.best] : null,
      sure: learnt?.sure ?? null,
      between: learnt ? learnt.between.map((b) => [...b]) : null,
      gain: learnt?.gain ?? null,
      stop: learnt?.stop ?? null,
    });
  },
});
