import { z } from 'zod';
import { fail, ok, type Result } from '../result';
import { CookSchema, type Cook } from '../kitchen/crew-schema';
import { isLocalTime, isZone, minuteOf } from './zone';

const id = z.string().min(1).max(60);
const local = z.string().refine(isLocalTime, 'a date and a time from 2000 to 2100, like 2026-11-27T19:00');
/** One serving moment: this dessert, for so many, at this time. */
export const ServingSchema = z.object({
  id,
  sheetId: z.string().min(1).max(80),
  at: local,
  portions: z.number().int().min(1).max(2000),
  /** A vessel of the shelf by its name; null for the sheet's own. */
  vessel: z.string().max(80).nullable().default(null),
  /** A cold place of the kitchen; null for the sheet's own. */
  placeId: z.string().max(40).nullable().default(null),
  /** The batch on Pass that makes it. */
  batchId: z.string().max(80).nullable().default(null),
});
export type Serving = Readonly<z.infer<typeof ServingSchema>>;

/** What the cook changed at a task: minutes of hands, minutes of waiting. */
const TaskEditSchema = z.object({ minutes: z.number().int().min(0).max(20_160) });
const GapEditSchema = z.object({ min: z.number().int().min(0).max(200_000), max: z.number().int().min(0).max(200_000).nullable() });

/** How long a service that was taken away is kept, days. */
export const REMOVED_KEPT_DAYS = 30;

/** A service: serving moments of a dinner, a counter day or a week of orders, who is there, and what the cook has said about its tasks. */
export const ServiceSchema = z.object({
  format: z.literal('soft-peak-service'),
  formatVersion: z.literal(1),
  name: z.string().min(1).max(120),
  /** Of the kitchen's wall clock. */
  zone: z.string().min(1).max(60).refine(isZone, 'no time zone that this machine knows'),
  /** Nothing begins before it; null for now. */
  from: local.nullable(),
  servings: z.array(ServingSchema).max(60),
  crew: z.array(CookSchema).max(20),
  /** More of a mixer than the kitchen has, by its id: a borrowed bowl. */
  moreBowls: z.record(z.string().max(40), z.number().int().min(0).max(10)).default({}),
  /** Minutes of breathing space before each serving. */
  spareMin: z.number().int().min(0).max(240),
  /** Tasks with other minutes, by task. */
  minutes: z.record(z.string().max(200), TaskEditSchema).default({}),
  /** Minutes that a task is planned longer than it takes, so that the evening is surer, by task. */
  margins: z.record(z.string().max(200), z.number().int().min(1).max(2880)).default({}),
  /** Waits with other limits, by 'from>to'. */
  gaps: z.record(z.string().max(400), GapEditSchema).default({}),
  /** Tasks that begin exactly then. */
  pins: z.record(z.string().max(200), local).default({}),
  /** Parts that are made once for several desserts, by what they are made of. */
  together: z.array(z.string().max(400)).max(100).default([]),
});
export type Service = Omit<Readonly<z.infer<typeof ServiceSchema>>, 'servings' | 'crew' | 'together'> & {
  readonly servings: readonly Serving[];
  readonly crew: readonly Cook[];
  readonly together: readonly string[];
};

/** Reads a service document. @returns a fault on the field that cannot be read. */
export function readServiceDoc(raw: unknown): Result<Service> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return fail('file', 'no-service', 'That is no service: it should be a JSON object with "format": "soft-peak-service".');
  const read = ServiceSchema.safeParse(raw);
  if (!read.success) {
    const issue = read.error.issues[0];
    return fail(
      issue?.path.join('.') || 'file',
      'invalid',
      `In that service, ${issue?.path.join('.') || 'the whole'} cannot be read: ${issue?.message ?? 'invalid'}.`,
    );
  }
  const torn = read.data.servings.find((s) => Number.isNaN(minuteOf(s.at, read.data.zone)));
  return torn ? fail('servings', 'invalid', `${torn.at} is no moment in ${read.data.zone}.`) : ok(read.data);
}
