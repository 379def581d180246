import { z } from 'zod';

const id = z.string().min(1).max(60);
const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time of day, like 07:30');

export const HoursSchema = z.object({ days: z.array(z.number().int().min(1).max(7)).max(7), from: clock, to: clock });

export const CookSchema = z.object({ id, name: z.string().min(1).max(60), hours: z.array(HoursSchema).max(14) });
export type Cook = Readonly<z.infer<typeof CookSchema>>;

export const OvenSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  shelves: z.number().int().min(1).max(40),
  /** By how much a thermometer in it read more than its dial, K; not known where it is not there. */
  offK: z.number().min(-100).max(100).optional(),
});
export type Oven = Readonly<z.infer<typeof OvenSchema>>;
