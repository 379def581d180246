import { z } from 'zod';
import { SWEETNESS_BANDS, type SweetnessBand } from '../composition/sweetness';
import { SUGAR_MOMENTS } from '../foam/kinds';
import { SPEEDS, WISHED_STAGES } from '../foam/kinds';
import { ROLES } from '../larder/role';
import { fail, ok, type Result } from '../result';
import { DAY_PARTS, FAMILIES, FORMAT_VERSION, PART_KINDS, STANDS, STEP_MACHINES, STEP_WORKS, USES, USUAL_HEAT, USUAL_WAIT_H } from './kinds';
import { ColdPlanSchema } from './cold-plan-schema';
import { USUAL_COLD } from './usual-cold';
import { TinPlanSchema } from './tin-plan-schema';
import { USUAL_TIN } from './usual-tin';
import { VesselSchema } from '../vessel/schema';

const id = z.string().min(1).max(40);

/** One ingredient of a part, kept as the cook typed it; it may also take from another part, or say what is lost. */
export const LineSchema = z.object({
  id,
  /** What was typed, whatever it is: nothing typed is lost. */
  text: z.string().max(500),
  /** The larder's ingredient that the name stands for; null while it is not found. */
  ingredientId: z.string().max(80).nullable(),
  /** The part of this sheet that it takes from: 'half of the chantilly'. */
  fromPartId: z.string().max(40).nullable().default(null),
  /** The last that could be read; figures are made from it while `text` cannot be. */
  lastGood: z
    .object({ text: z.string().max(500), ingredientId: z.string().max(80).nullable(), fromPartId: z.string().max(40).nullable().default(null) })
    .nullable(),
  /** The step that uses it; null while none does. */
  stepId: z.string().max(60).nullable().default(null),
});
export type Line = Readonly<z.infer<typeof LineSchema>>;

/** How a cream is whisked. */
export const WhiskPlanSchema = z.object({
  mixerId: id,
  speed: z.enum(SPEEDS),
  slowFromSoft: z.boolean(),
  /** Cream with its bowl at the start, °C. */
  creamC: z.number().min(-2).max(25),
  sugarAt: z.enum(SUGAR_MOMENTS),
  stage: z.enum(WISHED_STAGES),
  batches: z.number().int().min(1).max(50),
});
export type WhiskPlan = Readonly<z.infer<typeof WhiskPlanSchema>>;

export const HeatPlanSchema = z.object({
  atC: z.number().min(-30).max(120).nullable().default(USUAL_HEAT.atC),
  syrupC: z.number().min(80).max(140).default(USUAL_HEAT.syrupC),
  bowl: z.enum(['steel', 'glass', 'plastic']).default(USUAL_HEAT.bowl),
  bowlG: z.number().min(0).max(50_000).default(USUAL_HEAT.bowlG),
  eggC: z.number().min(0).max(60).default(USUAL_HEAT.eggC),
  cools: z.enum(['fast', 'slow']).default(USUAL_HEAT.cools),
  hobW: z.number().min(50).max(20_000).default(USUAL_HEAT.hobW),
  curve: z.string().max(2000).default(USUAL_HEAT.curve),
});

export const PartSchema = z.object({
  id,
  kind: z.enum(PART_KINDS),
  name: z.string().max(120),
  /** The schools chosen for this part, by question; the usual one where none is named. */
  ways: z.record(z.string().max(40), z.string().max(40)).default({}),
  lines: z.array(LineSchema).max(200),
  whisk: WhiskPlanSchema,
  heat: HeatPlanSchema.default({ ...USUAL_HEAT }),
  stands: z.enum(STANDS).default('in'),
});
export type Part = Omit<Readonly<z.infer<typeof PartSchema>>, 'lines'> & { readonly lines: readonly Line[] };

/** One thing to do. Its words may hold {stage}, {creamC}, {cheeseC}, {mixer}, {time} and {bowls}, which are filled in when it is shown. */
export const StepSchema = z.object({
  id: z.string().min(1).max(60),
  /** The part that it makes; null for putting the dessert together. */
  partId: z.string().max(40).nullable(),
  /** Which step of a way it is; null for the cook's own. */
  key: z.string().max(40).nullable(),
  title: z.string().max(200),
  /** One word for the lines that it uses. */
  short: z.string().max(30),
  detail: z.string().max(4000),
  handsMin: z.number().min(0).max(6000).nullable(),
  /** Passive time, h. */
  waitH: z.tuple([z.number().min(0).max(1000), z.number().min(0).max(1000)]).nullable(),
  /** Temperature to reach, °C. */
  tempC: z.number().min(-40).max(300).nullable(),
  ovenC: z.number().min(30).max(300).nullable(),
  /** To be used within, min. */
  useWithinMin: z.number().min(0).max(100_000).nullable(),
  whisks: z.boolean(),
  /** What it cannot do without. */
  wants: z.array(z.enum(ROLES)).max(20),
  /** Parts that it takes up when the dessert is put together. */
  parts: z.array(z.string().max(40)).max(40),
  /** The cook's own words in title or detail: a change of way leaves them. */
  edited: z.boolean(),
  note: z.string().max(2000),
  /** What is done; null for a step of a way, whose key says it. */
  work: z.enum(STEP_WORKS).nullable().default(null),
  /** The time that the cook's own words say, min. */
  minutes: z
    .tuple([z.number().min(0).max(100_000), z.number().min(0).max(100_000)])
    .nullable()
    .default(null),
  machine: z.enum(STEP_MACHINES).nullable().default(null),
  /** Steps that must be behind before it begins, in a method of the cook's own. */
  after: z.array(z.string().min(1).max(60)).max(60).default([]),
  /** Done so many days before serving; documents of before say true for the day before. */
  ahead: z.coerce.number().int().min(0).max(30).default(0),
  /** Done by then on its day, in a method of the cook's own. */
  by: z.enum(DAY_PARTS).nullable().default(null),
});
export type Step = Readonly<z.infer<typeof StepSchema>>;

/** A dessert: its parts, its method, the vessel that it fills, how many it serves. One document; version 2 of its form. */
export const SheetSchema = z.object({
  format: z.literal('soft-peak-sheet'),
  formatVersion: z.literal(FORMAT_VERSION),
  name: z.string().min(1).max(120),
  family: z.enum(FAMILIES),
  portions: z.number().int().min(1).max(2000),
  /** What it must do: decides the gelatin band and the hold that is wished. */
  use: z.enum(USES),
  sweetness: z.enum(Object.keys(SWEETNESS_BANDS) as [SweetnessBand, ...SweetnessBand[]]),
  vessel: VesselSchema,
  /** How it is laid in its vessel, soaked and cut. */
  tin: TinPlanSchema.default({ ...USUAL_TIN }),
  /** How and where it cools, sets or freezes. */
  cold: ColdPlanSchema.default({ ...USUAL_COLD }),
  /** In building order. */
  parts: z.array(PartSchema).min(1).max(40),
  /** In working order. */
  steps: z.array(StepSchema).max(300),
  /** Whether the ways write the steps, or they are the cook's own (a pasted recipe). */
  method: z.enum(['ways', 'own']).default('ways'),
  /** The schools chosen for putting it together. */
  ways: z.record(z.string().max(40), z.string().max(40)).default({}),
  /** From finished to served, h. */
  servedAfterH: z.number().min(0).max(2400).default(USUAL_WAIT_H),
  notes: z.string().max(20_000),
  /** Text of a pasted recipe that was not understood: kept in sight, never dropped. */
  unread: z.array(z.string().max(4000)).max(400).default([]),
});
export type Sheet = Omit<Readonly<z.infer<typeof SheetSchema>>, 'parts' | 'steps' | 'unread'> & {
  readonly parts: readonly Part[];
  readonly steps: readonly Step[];
  readonly unread: readonly string[];
};

/** A document of the first form, which had one part and no steps of its own. */
function upgraded(raw: Record<string, unknown>): unknown {
  return { ...raw, formatVersion: FORMAT_VERSION, family: 'chantilly', steps: [] };
}

/**
 * Reads a sheet document of this or an earlier form.
 * @returns a fault on `formatVersion` for a later form, on the field at fault otherwise.
 */
export function readSheetDoc(raw: unknown): Result<Sheet> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return fail('file', 'no-sheet', 'That is no sheet: it should be a JSON object with "format": "soft-peak-sheet".');
  const doc = raw as Record<string, unknown>;
  if (doc.format !== 'soft-peak-sheet')
    return fail('format', 'no-sheet', 'That JSON is no sheet of this kitchen’s kind: its "format" is not "soft-peak-sheet".');
  if (typeof doc.formatVersion === 'number' && doc.formatVersion > FORMAT_VERSION) {
    return fail(
      'formatVersion',
      'newer',
      `That sheet is of form ${doc.formatVersion}; this program reads up to form ${FORMAT_VERSION}. Nothing was taken over.`,
    );
  }
  const read = SheetSchema.safeParse(doc.formatVersion === 1 ? upgraded(doc) : doc);
  if (read.success) return ok(read.data as Sheet);
  const issue = read.error.issues[0];
  return fail(
    issue?.path.join('.') || 'file',
    'invalid',
    `In that sheet, ${issue?.path.join('.') || 'the whole'} cannot be read: ${issue?.message ?? 'invalid'}.`,
  );
}
