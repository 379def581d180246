import { z } from 'zod';
import { BalanceProblemSchema } from '../balance/inputs';
import { solveBalance, tradeOff } from '../balance/solve';
import { blendSources } from '../balance/blend';
import { ok } from '../result';
import { define } from './define';

export const solveCalculator = define({
  name: 'solve',
  answers: 'Amounts that come nearest to wishes for fat, sweetness, solids, setter, alcohol, volume, cost, ice or using up; locks and whole pieces kept.',
  input: BalanceProblemSchema,
  output: z.object({
    amountsG: z.array(z.number()),
    goals: z.array(z.object({ before: z.number(), after: z.number(), off: z.number(), met: z.boolean() })),
    fights: z.array(z.object({ goal: z.number(), with: z.number().nullable() })),
    cost: z.number(),
  }),
  run: (problem) => {
    const r = solveBalance(problem);
    return r.ok
      ? ok({ amountsG: [...r.value.amountsG], goals: r.value.goals.map((g) => ({ ...g })), fights: r.value.fights.map((f) => ({ ...f })), cost: r.value.cost })
      : r;
  },
});

export const tradeOffCalculator = define({
  name: 'trade-off',
  answers: 'Two wishes that fight: what the one costs in terms of the other.',
  input: z.object({
    problem: BalanceProblemSchema,
    a: z.number().int().min(0),
    b: z.number().int().min(0),
    points: z.number().int().min(2).max(25).default(9),
  }),
  output: z.object({ points: z.array(z.object({ a: z.number(), b: z.number(), amountsG: z.array(z.number()) })) }),
  run: ({ problem, a, b, points }) => {
    const r = tradeOff(problem, a, b, points);
    return r.ok ? ok({ points: r.value.map((p) => ({ a: p.a, b: p.b, amountsG: [...p.amountsG] })) }) : r;
  },
});

export const blendCalculator = define({
  name: 'blend',
  answers: 'Two or more creams, milks or cheeses blended to a fat %, within what is on hand, at the least cost.',
  input: z.object({
    targetPct: z.number(),
    totalG: z.number(),
    sources: z
      .array(
        z.object({
          name: z.string().max(80),
          fatPct: z.number(),
          onHandG: z.number().nullable().default(null),
          pricePerKg: z.number().min(0).nullable().default(null),
        }),
      )
      .min(2)
      .max(12),
  }),
  output: z.object({ amountsG: z.array(z.number()), fatPct: z.number() }),
  run: ({ targetPct, totalG, sources }) => {
    const r = blendSources(targetPct, totalG, sources);
    return r.ok ? ok({ amountsG: [...r.value], fatPct: targetPct }) : r;
  },
});
