import { z } from 'zod';
import { COMPONENTS, type Component } from './components';

const grams = z.number().min(0).max(100);

/** A whole composition: every component named, together 100 g within 0.6 g (label rounding). */
export const CompositionSchema = z
  .object(Object.fromEntries(COMPONENTS.map((c) => [c, grams])) as Record<Component, typeof grams>)
  .refine((c) => Math.abs(COMPONENTS.reduce((sum, k) => sum + c[k], 0) - 100) <= 0.6, {
    message: 'the components of 100 g must add up to 100 g',
  });

/**
 * What an ingredient does in a whisk bowl; decides which house factors see it.
 * `cream` and `milk` with the cheeses and yoghurt are the dairy that shares are counted in.
 */
export const FOAM_ROLES = ['cream', 'milk', 'mascarpone', 'soft-cheese', 'strained-yoghurt', 'sour-liquid', 'milk-powder', 'xanthan', 'none'] as const;
export type FoamRole = (typeof FOAM_ROLES)[number];

export const FLAGS = ['raw-egg', 'pasteurised', 'acid', 'protease', 'alcohol', 'alcohol-high', 'caffeine', 'contains-starch', 'contains-gelatin'] as const;

/** A biscuit as it is laid and dipped. */
export const BiscuitSchema = z.object({
  shape: z.enum(['round', 'rect', 'loose']),
  /** A round one is as wide as it is long. */
  widthMm: z.number().positive(),
  lengthMm: z.number().positive(),
  heightMm: z.number().positive(),
  /** g of liquid per 100 g of biscuit after 1, 2 and 4 seconds. */
  uptakePct: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0)]),
});

export const IngredientSchema = z.object({
  id: z.string().min(1).max(80),
  name: z.string().min(1).max(120),
  /** Other names that cooks write for it. */
  aliases: z.array(z.string()),
  category: z.string().min(1),
  foamRole: z.enum(FOAM_ROLES),
  /** g per 100 g. */
  composition: CompositionSchema,
  /** Reads kitchen measures only; volumes of mixes come from the composition. */
  densityGPerMl: z.number().positive().nullable(),
  /** g in one US cup of 236.588 mL, as a cook fills it. */
  gramsPerUsCup: z.number().positive().nullable(),
  piece: z.object({ grams: z.number().positive(), name: z.string() }).nullable(),
  /** Gelatin strength, Bloom degrees. */
  bloom: z.number().positive().nullable(),
  /** Sweetness of its sugars against sucrose where its group's factor is wrong. */
  ownSweetness: z.number().min(0).nullable(),
  /** What a gram of its sugars lowers the freezing point by, against sucrose, where its group's factor is wrong. */
  ownFreezing: z.number().min(0).max(12).nullable().default(null),
  packG: z.number().positive().nullable(),
  ediblePct: z.number().min(0).max(100),
  pricePerKg: z.number().min(0).nullable(),
  allergens: z.array(z.string()),
  flags: z.array(z.enum(FLAGS)),
  note: z.string(),
  biscuit: BiscuitSchema.nullable().default(null),
  /** Components that were worked out from a carton label, not read off a table. */
  inferred: z.array(z.enum(COMPONENTS)).default([]),
  /** The kitchen's own, not one that came with the larder. */
  own: z.boolean().default(false),
});

export type Ingredient = Readonly<z.infer<typeof IngredientSchema>>;
