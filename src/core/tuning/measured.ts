import { z } from 'zod';

/** The small tests that tune a kitchen, and what is read off each. */
export const TUNE_KINDS = ['whisk', 'cold', 'dip', 'glass', 'scale', 'oven', 'hob'] as const;
export type TuneKind = (typeof TUNE_KINDS)[number];

const id = z.string().min(1).max(80);
const seconds = z.number().min(5).max(3600).nullable();

export const MeasuredSchema = z.discriminatedUnion('kind', [
  /** A plain cream under one mixer, s to each stage that was seen; at least one. */
  z.object({
    kind: z.literal('whisk'),
    thing: id,
    fatPct: z.number().min(25).max(60),
    creamG: z.number().min(50).max(50_000),
    creamC: z.number().min(-2).max(20),
    speed: z.enum(['fast', 'medium', 'slow']),
    softS: seconds,
    mediumS: seconds,
    firmS: seconds,
  }),
  /** A covered cup of water in a place: minutes since it went in, °C. */
  z.object({
    kind: z.literal('cold'),
    thing: id,
    waterG: z.number().min(50).max(5000),
    /** The cup, straight, across inside. */
    acrossMm: z.number().min(30).max(300),
    readings: z.array(z.object({ min: z.number().min(0).max(2880), c: z.number().min(-40).max(100) })).max(60),
  }),
  /** Biscuits weighed dry and dipped, g together, s in the soak. */
  z.object({
    kind: z.literal('dip'),
    thing: id,
    dryG: z.number().min(1).max(2000),
    dippedG: z.number().min(1).max(5000),
    seconds: z.number().min(0.2).max(30),
  }),
  /** A glass filled with water to the brim. */
  z.object({ kind: z.literal('glass'), thing: id, waterG: z.number().min(10).max(20_000) }),
  /** A known weight, and what the scale shows. */
  z.object({ kind: z.literal('scale'), thing: z.literal('scale'), trueG: z.number().min(1).max(50_000), shownG: z.number().min(0).max(60_000) }),
  /** An oven set to one heat, °C, and what a thermometer in its middle reads. */
  z.object({ kind: z.literal('oven'), thing: id, setC: z.number().min(50).max(300), readC: z.number().min(20).max(350) }),
  /** Water on the strongest ring: from which °C to the boil in how long, and where it boils if that was read. */
  z.object({
    kind: z.literal('hob'),
    thing: z.literal('hob'),
    waterG: z.number().min(100).max(20_000),
    fromC: z.number().min(0).max(80),
    seconds: z.number().min(20).max(7200),
    boilsC: z.number().min(80).max(101).nullable(),
  }),
]);
export type Measured = z.infer<typeof MeasuredSchema>;

/** A test that was kept: what was measured, when (ms since 1970), and what the thing was then. */
export interface KeptTest {
  readonly id: string;
  readonly at: number;
  readonly measured: Measured;
  /** What tells whether the thing has been replaced since: a mixer's kind and bowl, a place's kind. */
  readonly thingWas: string;
}
