import { z } from 'zod';
import { eggWhip } from '../foam/egg-whisk';
import { foldStrokes, keptAfter } from '../foam/fold-strokes';
import { EGG_FOAM_OVERRUN, FOLD_KEEPS, STIFF_FOLD_KEEPS, type EggFoam } from '../foam/house';
import { MIXER_KINDS, SPEEDS } from '../foam/kinds';
import { COOLING_RULES, coolingVerdict } from '../heat/cooling';
import { LEARNABLE, learn, type LearnableFigure } from '../learning/correction';
import { fail, ok } from '../result';
import { define } from './define';

const foams = Object.keys(EGG_FOAM_OVERRUN) as [EggFoam, ...EggFoam[]];

export const eggWhiskCalculator = define({
  name: 'egg-whisk',
  answers: 'An egg foam under the whisk: seconds to each stage, its stop window and its air (house ±25 %).',
  input: z.object({
    foam: z.enum(foams),
    mixer: z.enum(MIXER_KINDS),
    bowlMl: z.number(),
    speed: z.enum(SPEEDS).default('fast'),
    mixMl: z.number(),
    batches: z.number().int().default(1),
    eggC: z.number().default(20),
  }),
  output: z.object({
    right: z.string(),
    opensS: z.number(),
    closesS: z.number().nullable(),
    stages: z.array(z.object({ name: z.string(), atS: z.number(), overrunPct: z.number() })),
  }),
  run: (input) => {
    const made = eggWhip(input);
    if (!made.ok) return made;
    const { right, window, stages } = made.value;
    return ok({ right, ...window, stages: stages.map((s) => ({ ...s })) });
  },
});

export const strokesCalculator = define({
  name: 'fold-strokes',
  answers: 'Strokes that a fold should take, and the air that is left after some (house ±30 %).',
  input: z.object({ bowlMl: z.number(), stiff: z.boolean().default(false), made: z.number().min(0).max(10_000).default(0) }),
  output: z.object({ strokes: z.number(), keptShare: z.number() }),
  run: ({ bowlMl, stiff, made }) => {
    const strokes = foldStrokes(bowlMl);
    return strokes.ok ? ok({ strokes: strokes.value, keptShare: keptAfter(made, strokes.value, stiff ? STIFF_FOLD_KEEPS : FOLD_KEEPS) }) : strokes;
  },
});

const figures = Object.keys(LEARNABLE) as [LearnableFigure, ...LearnableFigure[]];

export const correctionCalculator = define({
  name: 'correction',
  answers: 'What a log of outcomes over the formula makes of a house figure: factor, band of the next batch, what is asked about.',
  input: z.object({ figure: z.enum(figures), ratios: z.array(z.number().positive().max(1000)).max(10_000) }),
  output: z.object({ factor: z.number(), low: z.number(), high: z.number(), n: z.number(), asked: z.array(z.number()) }),
  run: ({ figure, ratios }) => {
    const { spread, noise } = LEARNABLE[figure];
    const { factor, low, high, n, asked } = learn(
      ratios.map((ratio, at) => ({ ratio, at, batchId: `${at}`, answer: null })),
      spread,
      noise,
    );
    return ok({ factor, low, high, n, asked: asked.map((o) => o.at) });
  },
});

export const coolingCalculator = define({
  name: 'cooling',
  answers: 'A cooling curve against a usual two-stage rule: met, late or running at each stage. The local code decides.',
  input: z.object({
    rule: z.enum(COOLING_RULES.map((r) => r.key) as [string, ...string[]]).default(COOLING_RULES[0]!.key),
    curve: z.array(z.tuple([z.number(), z.number()])).max(20_000),
  }),
  output: z.object({
    startMin: z.number().nullable(),
    stages: z.array(z.object({ toC: z.number(), withinMin: z.number(), tookMin: z.number().nullable(), state: z.enum(['met', 'late', 'running']) })),
  }),
  run: ({ rule, curve }) => {
    const known = COOLING_RULES.find((r) => r.key === rule);
    if (!known) return fail('rule', 'unknown', 'There is no such rule.');
    const verdict = coolingVerdict(curve, known);
    return verdict.ok ? ok({ startMin: verdict.value.startMin, stages: verdict.value.stages.map((s) => ({ ...s })) }) : verdict;
  },
});
