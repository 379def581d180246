import { EGG_RULES } from '../heat/lethality';
import { z } from 'zod';
import { SWEETNESS_BANDS, type SweetnessBand } from '../composition/sweetness';
import { SUGAR_MOMENTS } from '../foam/overrun';
import { SPEEDS, WISHED_STAGES } from '../foam/whisk';
import { ROLES } from '../larder/role';
import { CUP_SYSTEM_KEYS } from '../measures/units';
import { fail, ok, type Result } from '../result';
import { FAMILIES, FORMAT_VERSION, PART_KINDS, PLACE_KINDS, STEP_MACHINES, STEP_WORKS, USES, USUAL_HEAT, USUAL_WAIT_H } from './kinds';
import { ColdPlanSchema } from '../cold/setup-schema';
import { USUAL_COLD } from '../cold/usual';
import { TinPlanSchema } from '../tin/plan-schema';
import { USUAL_TIN } from '../tin/usual';
import { CookSchema, OvenSchema } from '../timetable/crew-schema';
import { USUAL_CREW, USUAL_OVENS } from '../timetable/usual';
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
  lastGood: z.object({ text: z.string().max(500), ingredientId: z.string().max(80).nullable(), fromPartId: z.string().max(40).nullable().default(null) }).nullable(),
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
});
export type Part = Omit<Readonly<z.infer<typeof PartSchema>>, 'lines'> & { readonly lines: readonly Line[] };

/** One thing to do. Its words may hold {stage}, {creamC}, {mixer}, {time} and {bowls}, which are filled in when it is shown. */
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
  minutes: z.tuple([z.number().min(0).max(100_000), z.number().min(0).max(100_000)]).nullable().default(null),
  machine: z.enum(STEP_MACHINES).nullable().default(null),
  /** Steps that must be behind before it begins, in a method of the cook's own. */
  after: z.array(z.string().min(1).max(60)).max(60).default([]),
  /** Said to be done the day before. */
  ahead: z.boolean().default(false),
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
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return fail('file', 'no-sheet', 'That is no sheet: it should be a JSON object with "format": "soft-peak-sheet".');
  const doc = raw as Record<string, unknown>;
  if (doc.format !== 'soft-peak-sheet') return fail('format', 'no-sheet', 'That JSON is no sheet of this kitchen’s kind: its "format" is not "soft-peak-sheet".');
  if (typeof doc.formatVersion === 'number' && doc.formatVersion > FORMAT_VERSION) {
    return fail('formatVersion', 'newer', `That sheet is of form ${doc.formatVersion}; this program reads up to form ${FORMAT_VERSION}. Nothing was taken over.`);
  }
  const read = SheetSchema.safeParse(doc.formatVersion === 1 ? upgraded(doc) : doc);
  if (read.success) return ok(read.data as Sheet);
  const issue = read.error.issues[0];
  return fail(issue?.path.join('.') || 'file', 'invalid', `In that sheet, ${issue?.path.join('.') || 'the whole'} cannot be read: ${issue?.message ?? 'invalid'}.`);
}

/** The mixer as the sheet's figures need it. */
export const MixerSchema = z.object({
  id,
  name: z.string().min(1).max(80),
  kind: z.enum(['planetary', 'hand-mixer', 'balloon-whisk', 'processor']),
  /** Bowl brimful, mL. */
  bowlMl: z.number().min(50).max(500_000),
});
export type Mixer = Readonly<z.infer<typeof MixerSchema>>;

/** A fridge, freezer or counter of the kitchen. */
export const ColdPlaceSchema = z.object({
  id,
  name: z.string().min(1).max(80),
  kind: z.enum(PLACE_KINDS),
  airC: z.number().min(-45).max(40),
  litres: z.number().min(0).max(100_000),
  /** Heat transfer that the kitchen's own probe readings came to, W/m²K; the usual of its kind where it is not there. */
  hWPerM2K: z.number().min(0.5).max(500).optional(),
});
export type ColdPlace = Readonly<z.infer<typeof ColdPlaceSchema>>;

/** A vessel on the kitchen's shelf: its shape and how many there are. */
export const ShelfVesselSchema = z.object({ id, vessel: VesselSchema, count: z.number().int().min(0).max(10_000) });
export type ShelfVessel = Readonly<z.infer<typeof ShelfVesselSchema>>;

/** What holds for every sheet of a kitchen. */
export const KitchenRulesSchema = z.object({
  kitchenName: z.string().min(1).max(80),
  cups: z.enum(CUP_SYSTEM_KEYS),
  /** Which eggs are bought; written sizes count in the same system. */
  eggs: z.object({ system: z.enum(['us', 'eu']), size: z.enum(['small', 'medium', 'large', 'extra large', 'jumbo']) }).default({ system: 'us', size: 'large' }),
  /** Keeping at ≤ 5 °C that this kitchen allows, h; null for the usual rule. */
  keepingH: z.number().positive().max(72).nullable(),
  fridgeC: z.number().min(0).max(10),
  roomC: z.number().min(5).max(40),
  /** Smallest step that the kitchen's scale shows, g. */
  scaleStepG: z.number().positive().max(50),
  /** What counts as one standard drink, g of ethanol: 8, 10 or 14 by the country's code. */
  standardDrinkG: z.number().min(5).max(20).default(10),
  /** What its authority takes as enough heat for egg. */
  eggRule: z.enum(EGG_RULES).default('table'),
  /** Whose rules the kitchen follows, in its own words. */
  authority: z.string().max(400).default(''),
  /** Where plain water boils here, °C: lower on a mountain. */
  waterBoilsC: z.number().min(80).max(101).default(100),
  /** The kitchen's own cooling rule, of its authority: from so many °C to so many within minutes, then colder within minutes of the same start. */
  cooling: z
    .object({ fromC: z.number().min(20).max(100), firstC: z.number().min(0).max(60), firstMin: z.number().min(1).max(1440), secondC: z.number().min(-5).max(30), secondMin: z.number().min(1).max(2880) })
    .nullable()
    .default(null),
  /** Whether what the log has found corrects the forecasts. */
  learning: z.boolean().default(true),
  /** The kitchen's preferred schools, by question. */
  ways: z.record(z.string().max(40), z.string().max(40)).default({}),
  /** Who usually works when. */
  crew: z.array(CookSchema).max(20).default([...USUAL_CREW]),
  ovens: z.array(OvenSchema).max(10).default([...USUAL_OVENS]),
  hobRings: z.number().int().min(0).max(40).default(4),
  /** Of the kitchen's wall clock, by its name; '' for that of the machine that it runs on. */
  zone: z.string().max(60).default(''),
});
export type KitchenRules = Readonly<z.infer<typeof KitchenRulesSchema>>;
