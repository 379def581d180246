import { z } from 'zod';
import { DOSE_BANDS, type GelatinUse } from './house';

export const GelatinDoseInputSchema = z.object({
  /** g of 225-bloom gelatin (or its equivalent). */
  gelatin225G: z.number().min(0),
  /** g of everything that it sets, soak water included. */
  totalG: z.number().positive(),
  use: z.enum(Object.keys(DOSE_BANDS) as [GelatinUse, ...GelatinUse[]]),
  acidGPerKg: z.number().min(0),
  abvPct: z.number().min(0).max(100),
  /** Raw kiwi, pineapple, papaya, mango, fig or ginger in it. */
  rawProteaseFruit: z.boolean(),
  /** Fat of what is set, %; counted as fruit or water where left out. */
  fatPct: z.number().min(0).max(100).optional(),
  /** What else sets, % of the mass; none where left out. */
  supportPct: z
    .object({
      cheese: z.number().min(0),
      cocoaButter: z.number().min(0),
      cookedStarch: z.number().min(0),
      custardYolk: z.number().min(0),
      hardFat: z.number().min(0),
    })
    .partial()
    .optional(),
});
export type GelatinDoseInput = Readonly<z.infer<typeof GelatinDoseInputSchema>>;
