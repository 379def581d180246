import { z } from 'zod';

const name = z.string().min(1).max(80);
const across = z.number().min(20).max(1000);
const high = z.number().min(5).max(1000);

/**
 * A vessel of revolution: a glass (one for each portion), a tub, ring or springform (one for all) with straight tapering walls,
 * a bowl (one for all) whose wall curves from its foot to its rim, or a piece that stands free (one for each portion) and has
 * no wall at all. Inner sizes, mm.
 */
const RoundVesselSchema = z.object({
  kind: z.enum(['bowl', 'tub', 'springform', 'glass', 'free']),
  name,
  /** Inner diameter at the rim. */
  topMm: across,
  /** Inner diameter of the flat foot. */
  baseMm: z.number().min(5).max(1000),
  /** Inner height. */
  heightMm: high,
});

/** A tray, or a loaf tin or terrine whose walls lean out. Inner sizes, mm. */
const RectVesselSchema = z.object({
  kind: z.enum(['tray', 'terrine']),
  name,
  /** At the rim. */
  lengthMm: across,
  widthMm: across,
  /** On the floor. */
  baseLengthMm: across,
  baseWidthMm: across,
  heightMm: high,
});

export const VesselSchema = z.union([RoundVesselSchema, RectVesselSchema]);
export type RoundVessel = Readonly<z.infer<typeof RoundVesselSchema>>;
export type RectVessel = Readonly<z.infer<typeof RectVesselSchema>>;
export type Vessel = RoundVessel | RectVessel;
