import { z } from 'zod';
import { CompositionSchema } from '../composition/ingredient';

/** What can be wished for. */
export const BALANCE_FIGURES = ['fat', 'sweetness', 'solids', 'gelatin', 'abv', 'volume', 'mass', 'cost', 'ice', 'use-up'] as const;
export type BalanceFigure = (typeof BALANCE_FIGURES)[number];

const grams = z.number().min(0).max(1_000_000);

/** One line that the solver may move. */
export const BalanceLineSchema = z.object({
  name: z.string().max(200),
  nowG: grams,
  /** g per 100 g of it. */
  per100: CompositionSchema,
  ownSweetness: z.number().min(0).nullable().default(null),
  ownFreezing: z.number().min(0).nullable().default(null),
  /** Gelatin's strength; null for anything else. */
  bloom: z.number().min(50).max(350).nullable().default(null),
  /** Soak water that comes along, g per g. */
  soakPerG: z.number().min(0).max(20).default(0),
  /** A plant cream, whose fat is in droplets. */
  plantCream: z.boolean().default(false),
  pricePerKg: z.number().min(0).nullable().default(null),
  locked: z.boolean().default(false),
  minG: z.number().max(1_000_000).default(0),
  maxG: z.number().max(1_000_000).nullable().default(null),
  /** Comes in whole steps of so many g (an egg, half a leaf). */
  stepG: z.number().positive().nullable().default(null),
});
export type BalanceLine = Readonly<z.infer<typeof BalanceLineSchema>>;

/** A wish for one figure, with the band that is good enough. */
export const BalanceGoalSchema = z.object({
  figure: z.enum(BALANCE_FIGURES),
  name: z.string().max(200).default(''),
  low: z.number(),
  high: z.number(),
  weight: z.number().min(0).max(1000).default(1),
  /** Share of each line that counts here; all of every line where left out. */
  share: z.array(z.number().min(0).max(1)).optional(),
  /** What is there besides the lines; a loss has a negative mass. */
  fixed: z.array(z.object({ massG: z.number().min(-1_000_000).max(1_000_000), per100: z.record(z.string(), z.number()) })).optional(),
  /** Air, % (volume, and ice by volume). */
  airPct: z.number().min(0).max(2000).default(0),
  /** Ice by volume at this temperature, °C. */
  freezerC: z.number().min(-45).max(0).default(-18),
  /** Use up: which line, by its number from 0. */
  line: z.number().int().min(0).optional(),
});
export type BalanceGoal = Readonly<z.infer<typeof BalanceGoalSchema>>;

export const BalanceProblemSchema = z.object({
  lines: z.array(BalanceLineSchema).min(1).max(200),
  goals: z.array(BalanceGoalSchema).min(1).max(30),
  /** Keeps the sum of the lines, g; free where left out. */
  totalG: z.number().positive().max(1_000_000).nullable().default(null),
});
export type BalanceProblem = Readonly<z.infer<typeof BalanceProblemSchema>>;
