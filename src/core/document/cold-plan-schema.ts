import { z } from 'zod';
import { AIR_H, COVERS, UNDER_H, WALLS, type AirKind, type Cover, type Under, type Wall } from '../heat/surface';
import { USUAL_SETUP } from './usual-cold';

const keys = <K extends string>(of: Readonly<Record<K, unknown>>): [K, ...K[]] => Object.keys(of) as [K, ...K[]];

/** How and where a dessert is put to cool, set or freeze. */
export const ColdSetupSchema = z.object({
  /** A place of the kitchen; null for air of one's own. */
  placeId: z.string().max(40).nullable().default(USUAL_SETUP.placeId),
  air: z.enum(keys<AirKind>(AIR_H)).default(USUAL_SETUP.air),
  /** The air; of a place it is the place's, unless it is set here. */
  airC: z.number().min(-45).max(40).nullable().default(USUAL_SETUP.airC),
  under: z.enum(keys<Under>(UNDER_H)).default(USUAL_SETUP.under),
  wall: z.enum(keys<Wall>(WALLS)).default(USUAL_SETUP.wall),
  wallMm: z.number().min(0).max(50).default(USUAL_SETUP.wallMm),
  cover: z.enum(keys<Cover>(COVERS)).default(USUAL_SETUP.cover),
  /** All layers at one temperature when it goes in; null for what each part usually has. */
  startC: z.number().min(-5).max(100).nullable().default(USUAL_SETUP.startC),
  /** So many at once, in the same place. */
  together: z.number().int().min(1).max(500).default(USUAL_SETUP.together),
  /** Minutes in an ice bath first. */
  iceBathMin: z.number().min(0).max(600).default(USUAL_SETUP.iceBathMin),
  /** The empty tin was in the cold. */
  chilledTin: z.boolean().default(USUAL_SETUP.chilledTin),
});
export type ColdSetup = Readonly<z.infer<typeof ColdSetupSchema>>;

/** The set-up of a sheet, and one beside it to compare. */
export const ColdPlanSchema = z.object({
  setup: ColdSetupSchema.default({ ...USUAL_SETUP }),
  other: ColdSetupSchema.nullable().default(null),
  /** The vessel of the other set-up, by its name on the shelf; null for the sheet's. */ otherVessel: z.string().max(80).nullable().default(null),
});
export type ColdPlan = Readonly<z.infer<typeof ColdPlanSchema>>;
