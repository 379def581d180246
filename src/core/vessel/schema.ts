import { z } from 'zod';

const name = z.string().min(1).max(80);
const across = z.number().min(20).max(1000);
const high = z.number().min(5).max(1000);

/** A height above the foot and the inner diameter there, mm. */
const ProfileMarkSchema = z.object({ zMm: z.number().min(0).max(1000), acrossMm: z.number().min(2).max(1000) });
export type ProfileMark = Readonly<z.infer<typeof ProfileMarkSchema>>;

/**
 * A vessel of revolution. One for all: a tub, a bowl whose wall curves from its foot to its rim, a springform or ring with straight walls,
 * a dome (as it is filled: the curve below, the opening above). One for each portion: a glass, a mould of a tray of moulds, a piece that
 * stands free and has no wall at all. Inner sizes, mm.
 */
const RoundVesselSchema = z
  .object({
    kind: z.enum(['bowl', 'tub', 'springform', 'dome', 'glass', 'mould', 'free']),
    name,
    /** Inner diameter at the rim. */
    topMm: across,
    /** Inner diameter of the flat foot. */
    baseMm: z.number().min(5).max(1000),
    /** Inner height. */
    heightMm: high,
    /** A glass that is neither straight nor tapered: its inner diameters from foot to rim, heights rising from 0 to the height. */
    profile: z
      .array(ProfileMarkSchema)
      .min(2)
      .max(40)
      .refine((marks) => marks[0]!.zMm === 0, 'The first mark of a wall stands at its foot, 0\u00a0mm.')
      .refine(
        (marks) => marks.every((m, i) => i === 0 || m.zMm > marks[i - 1]!.zMm),
        'The marks of a wall stand one above the other, from the foot to the rim.',
      )
      .readonly()
      .optional(),
    /** Moulds in one tray of them. */
    cavities: z.number().int().min(1).max(200).optional(),
  })
  .refine((v) => v.profile === undefined || Math.abs(v.profile.at(-1)!.zMm - v.heightMm) < 1e-6, {
    path: ['profile'],
    message: 'The last mark of a wall stands at its rim.',
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
  /** Radius of the four upright corners. */
  cornerMm: z.number().min(0).max(200).optional(),
});

export const VesselSchema = z.union([RoundVesselSchema, RectVesselSchema]);
export type RoundVessel = Readonly<z.infer<typeof RoundVesselSchema>>;
export type RectVessel = Readonly<z.infer<typeof RectVesselSchema>>;
export type Vessel = RoundVessel | RectVessel;
