import { z } from 'zod';
import { LAY_PATTERNS } from '../vessel/packing/lay';
import { VesselSchema } from '../vessel/schema';
import { USUAL_TIN } from './usual-tin';

/** How much of its part a layer takes: an equal share of what is there, or so much in one vessel. A layer of biscuits by share lies as thick as one biscuit. */
export const TAKES = ['share', 'mm', 'g', 'ml'] as const;
export type Take = (typeof TAKES)[number];

export const LaidLayerSchema = z.object({
  id: z.string().min(1).max(40),
  partId: z.string().min(1).max(40),
  by: z.enum(TAKES).default('share'),
  /** In the unit of `by`; not read for a share. */
  amount: z.number().min(0).max(100_000).default(0),
});
export type LaidLayer = Readonly<z.infer<typeof LaidLayerSchema>>;

/** Five biscuits weighed dry and dipped. */
export const DipTestSchema = z.object({
  seconds: z.number().min(0.2).max(60),
  dryG: z.number().positive().max(5000),
  dippedG: z.number().positive().max(20_000),
});
export type DipTest = Readonly<z.infer<typeof DipTestSchema>>;

/** How a dessert is built in its vessel, soaked, cut and shared out. */
export const TinPlanSchema = z.object({
  /** From the floor up, in one vessel; null where each part lies there once, in building order. */
  layers: z.array(LaidLayerSchema).max(80).readonly().nullable().default(USUAL_TIN.layers),
  /** How many of the sheet's vessel are filled; one that each portion has for itself is counted by portions. */
  count: z.number().int().min(1).max(500).default(USUAL_TIN.count),
  /** Other vessels that the same batch fills. */
  also: z
    .array(z.object({ vessel: VesselSchema, count: z.number().int().min(1).max(500) }))
    .max(6)
    .readonly()
    .default(USUAL_TIN.also),
  pattern: z.enum(LAY_PATTERNS).default(USUAL_TIN.pattern),
  /** Whether every other layer of biscuits is turned against the one below. */
  stagger: z.boolean().default(USUAL_TIN.stagger),
  /** Whether biscuits are cut or broken for the gaps. */
  cutting: z.boolean().default(USUAL_TIN.cutting),
  /** Biscuits bought on top, for those that break, %. */
  breakagePct: z.number().min(0).max(50).default(USUAL_TIN.breakagePct),
  /** Each biscuit in the soak, both sides together, s. */
  dipS: z.number().min(0).max(60).default(USUAL_TIN.dipS),
  /** The soak when they are dipped, °C. */
  soakC: z.number().min(0).max(90).default(USUAL_TIN.soakC),
  /** The kitchen's own dip tests, by ingredient. */
  dipTests: z.record(z.string().max(80), DipTestSchema).default({ ...USUAL_TIN.dipTests }),
  /** Wedges, or pieces along and across. */
  cutAlong: z.number().int().min(1).max(60).default(USUAL_TIN.cutAlong),
  cutAcross: z.number().int().min(1).max(60).default(USUAL_TIN.cutAcross),
  /** What the knife takes with it at each cut, mm. */
  kerfMm: z.number().min(0).max(10).default(USUAL_TIN.kerfMm),
  /** Opening of the nozzle, mm. */
  nozzleMm: z.number().min(2).max(40).default(USUAL_TIN.nozzleMm),
});
export type TinPlan = Readonly<z.infer<typeof TinPlanSchema>>;
