import { z } from 'zod';
import { PLACE_KINDS } from '../document/kinds';
import { EGG_RULES } from '../heat/lethality';
import { METRIC, ShownUnitsSchema } from '../measures/shown';
import { CUP_SYSTEM_KEYS } from '../measures/units';
import { VesselSchema } from '../vessel/schema';
import { CookSchema, OvenSchema } from './crew-schema';
import { USUAL_CREW, USUAL_OVENS } from './usual-crew';

const id = z.string().min(1).max(40);

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

/** What the book asks for every day. */
export const BookRulesSchema = z.object({
  /** The most that a fridge may read, °C. */
  fridgeAtMostC: z.number().min(-5).max(20).default(5),
  /** The most that a freezer may read, °C. */
  freezerAtMostC: z.number().min(-40).max(0).default(-18),
  /** What is cleaned and checked, in the kitchen's own words. */
  jobs: z.array(z.string().trim().min(1).max(120)).max(40).default([]),
});

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
    .object({
      fromC: z.number().min(20).max(100),
      firstC: z.number().min(0).max(60),
      firstMin: z.number().min(1).max(1440),
      secondC: z.number().min(-5).max(30),
      secondMin: z.number().min(1).max(2880),
    })
    .nullable()
    .default(null),
  /** Whether what the log has found corrects the forecasts. */
  learning: z.boolean().default(true),
  /** The kitchen's preferred schools, by question. */
  ways: z.record(z.string().max(40), z.string().max(40)).default({}),
  /** Who usually works when. */
  crew: z
    .array(CookSchema)
    .max(20)
    .default([...USUAL_CREW]),
  ovens: z
    .array(OvenSchema)
    .max(10)
    .default([...USUAL_OVENS]),
  book: BookRulesSchema.default({ fridgeAtMostC: 5, freezerAtMostC: -18, jobs: [] }),
  hobRings: z.number().int().min(0).max(40).default(4),
  /** Power of the strongest ring as its own boiling water said it, W; null for the usual one. */
  hobW: z.number().min(50).max(20_000).nullable().default(null),
  /** What the scale shows too much by a known weight, %; null where nobody has checked it. */
  scaleOffPct: z.number().min(-50).max(50).nullable().default(null),
  /** Of the kitchen's wall clock, by its name; '' for that of the machine that it runs on. */
  zone: z.string().max(60).default(''),
  /** In which units figures are shown; they are kept and reckoned as before. */
  shown: ShownUnitsSchema.default(METRIC),
});
export type KitchenRules = Readonly<z.infer<typeof KitchenRulesSchema>>;
