import { z } from 'zod';
import { analyseSheet } from '../analysis/analyse';
import { SheetSchema } from '../document/schema';
import { NO_FACTS, type MendCase } from '../mend/case';
import { mendOf } from '../mend/mend';
import { CAUSES, SIGN_IDS, type CauseId } from '../mend/words';
import type { Kitchen } from '../kitchen/kitchen';
import { ok } from '../result';
import { define } from './define';

const seen = z.number().nullable().default(null);
const TickedSchema = z.object({ wayKey: z.string().max(40), title: z.string().max(200), partId: z.string().max(40), restedMin: seen, ofMin: seen });
const FactsSchema = z.object({
  partId: z.string().max(40).nullable().default(null),
  whiskedS: seen,
  creamC: seen,
  nowC: seen,
  coldH: seen,
  outH: seen,
  massG: seen,
  volumeMl: seen,
  glasses: seen,
  skipped: z.array(z.string().max(80)).max(100).default([]),
  steps: z.array(TickedSchema).max(100).default([]),
});
const AskSchema = z.object({
  /** Whose larder, mixers and places. */
  kitchen: z.enum(['starting', 'gannet-quay']).default('starting'),
  sheet: SheetSchema,
  sign: z.enum(SIGN_IDS),
  cause: z
    .enum(Object.keys(CAUSES) as [CauseId, ...CauseId[]])
    .nullable()
    .default(null),
  /** A second sign that is seen beside it. */
  seenToo: z.enum(SIGN_IDS).nullable().default(null),
  facts: FactsSchema.default({ ...NO_FACTS, skipped: [], steps: [] }),
});
const AddedSchema = z.object({ ingredientId: z.string(), name: z.string(), massG: z.number() });

const caseOf = (ask: z.infer<typeof AskSchema>, kitchen: Kitchen): MendCase => ({
  s: analyseSheet(ask.sheet, kitchen),
  kitchen,
  facts: ask.facts,
  log: [],
  ...(ask.seenToo === null ? {} : { seenToo: ask.seenToo }),
});

export const mendCausesCalculator = define({
  name: 'mend-causes',
  answers: 'Why a sign is seen in a dessert: its causes with their likelihood for this batch, and what speaks for each.',
  input: AskSchema,
  output: z.object({
    part: z.string(),
    causes: z.array(
      z.object({ cause: z.string(), name: z.string(), p: z.number(), prior: z.number(), evidence: z.array(z.object({ says: z.string(), ratio: z.number() })) }),
    ),
  }),
  run: (ask, kitchens) => {
    const found = mendOf(caseOf(ask, kitchens(ask.kitchen)), ask.sign, ask.cause);
    return found.ok
      ? ok({
          part: found.value.part.part.name,
          causes: found.value.causes.map(({ cause, name, p, prior, evidence }) => ({ cause, name, p, prior, evidence: [...evidence] })),
        })
      : found;
  },
});

export const mendRescueCalculator = define({
  name: 'mend-rescue',
  answers: 'What to do about a sign: steps with amounts and timers, what goes in, what it is then, what prevents it.',
  input: AskSchema,
  output: z.object({
    kind: z.enum(['mend', 'instead', 'discard']),
    title: z.string(),
    says: z.string(),
    steps: z.array(
      z.object({
        amount: z.string().nullable(),
        does: z.string(),
        timerS: z.number().nullable(),
        stopIf: z.string().nullable(),
        reads: z.object({ toC: z.number(), cooling: z.boolean() }).nullable(),
      }),
    ),
    adds: z.array(AddedSchema),
    again: z.array(AddedSchema),
    minutes: z.number(),
    then: z.array(z.object({ name: z.string(), before: z.string(), after: z.string() })),
    prevents: z.array(z.object({ label: z.string(), moves: z.string() })),
  }),
  run: (ask, kitchens) => {
    const found = mendOf(caseOf(ask, kitchens(ask.kitchen)), ask.sign, ask.cause);
    if (!found.ok) return found;
    const { rescue, after, prevents } = found.value;
    const { kind, title, says, steps, adds, again, minutes } = rescue;
    return ok({
      kind,
      title,
      says,
      steps: [...steps],
      adds: [...adds],
      again: [...again],
      minutes,
      then: (after?.figures ?? []).map(({ name, before, after: now }) => ({ name, before, after: now })),
      prevents: prevents.map(({ label, moves }) => ({ label, moves })),
    });
  },
});
