import { z } from 'zod';
import { BiscuitSchema } from '../composition/ingredient';
import { ok } from '../result';
import { laidAs } from '../tin/laid-as';
import { DipTestSchema } from '../document/tin-plan-schema';
import { soakOf } from '../tin/soak';
import { softeningOf } from '../tin/softening';
import { LAY_PATTERNS } from '../vessel/packing/lay';
import { capacityMl, fillHeightMm, floorAreaMm2, floorAt, volumeBelowMl } from '../vessel/profile';
import { VesselSchema } from '../vessel/schema';
import { define } from './define';

const mm = z.number().positive().max(1000);
const FloorSchema = z.union([
  z.object({ kind: z.literal('round'), radiusMm: mm }),
  z.object({ kind: z.literal('rect'), lengthMm: mm, widthMm: mm, cornerMm: z.number().min(0).max(200).default(0) }),
]);
const PointSchema = z.object({ x: z.number(), y: z.number() });
const OutlineSchema = z.union([
  z.object({ kind: z.literal('round'), x: z.number(), y: z.number(), r: z.number() }),
  z.object({ kind: z.literal('polygon'), points: z.array(PointSchema) }),
]);

export const biscuitsCalculator = define({
  name: 'biscuits',
  answers: 'A layer of biscuits laid on a floor: where each lies, whole, cut and broken ones, what is covered.',
  input: z.object({
    floor: FloorSchema,
    shape: z.enum(['round', 'rect']),
    widthMm: z.number().min(5).max(500),
    lengthMm: z.number().min(5).max(500),
    pattern: z.enum(LAY_PATTERNS).default('tight'),
    cutting: z.boolean().default(true),
    /** Turned against the layer below. */
    turned: z.boolean().default(false),
  }),
  output: z.object({
    floor: FloorSchema,
    pieces: z.array(
      z.object({
        outline: OutlineSchema,
        biscuit: z.number().int(),
        cut: z.union([z.object({ keptMm: z.number() }), z.object({ share: z.number() })]).nullable(),
      }),
    ),
    whole: z.number().int(),
    cut: z.number().int(),
    cutFrom: z.number().int(),
    biscuits: z.number().int(),
    coveredShare: z.number(),
  }),
  run: (ask) => {
    const plan = laidAs(ask);
    return plan.ok
      ? ok({
          ...plan.value,
          pieces: [
            ...plan.value.pieces.map((p) => ({
              ...p,
              outline: p.outline.kind === 'round' ? p.outline : { kind: 'polygon' as const, points: [...p.outline.points] },
            })),
          ],
        })
      : plan;
  },
});

export const vesselCalculator = define({
  name: 'vessel',
  answers: 'What a vessel holds, how much to a height, how high so much stands, and the area there.',
  input: z.object({ vessel: VesselSchema, zMm: z.number().min(0).max(1000).optional(), volumeMl: z.number().min(0).optional() }),
  output: z.object({ capacityMl: z.number(), volumeMl: z.number(), heightMm: z.number(), areaMm2: z.number() }),
  run: ({ vessel, zMm, volumeMl }) => {
    const holds = capacityMl(vessel);
    const height = zMm !== undefined ? ok(Math.min(zMm, vessel.heightMm)) : fillHeightMm(vessel, volumeMl ?? holds);
    if (!height.ok) return height;
    return ok({
      capacityMl: holds,
      volumeMl: volumeBelowMl(vessel, height.value),
      heightMm: height.value,
      areaMm2: floorAreaMm2(floorAt(vessel, height.value)),
    });
  },
});

export const soakCalculator = define({
  name: 'soak',
  answers: 'What a dip does: uptake, syrup for all of them, dry, right, soggy or pooling; by the larder or the kitchen’s own test.',
  input: z.object({
    biscuit: BiscuitSchema,
    biscuitsG: z.number().min(0).max(1_000_000),
    seconds: z.number(),
    sugarPct: z.number().min(0).max(100).default(0),
    soakC: z.number().default(10),
    test: DipTestSchema.nullable().default(null),
  }),
  output: z.object({ uptakePct: z.number(), filled: z.number(), reading: z.enum(['dry', 'right', 'soggy', 'pools']), syrupG: z.number(), drunkG: z.number() }),
  run: soakOf,
});

export const softeningCalculator = define({
  name: 'softening',
  answers: 'Hours in cream until a biscuit bends, and until it falls apart.',
  input: z.object({
    biscuit: BiscuitSchema,
    waterPct: z.number().min(0).max(100).default(4),
    /** Share of what it can hold that the dip filled. */ filled: z.number().min(0).max(2).default(0),
    /** g of one, where it is known. */ pieceG: z.number().positive().max(5000).optional(),
    /** g of sugar in 100 g of it. */ sugarPct: z.number().min(0).max(100).default(0),
  }),
  output: z.object({ softH: z.number(), range: z.tuple([z.number(), z.number()]), mushH: z.number(), dense: z.boolean(), sponge: z.boolean() }),
  run: ({ biscuit, waterPct, filled, pieceG, sugarPct }) => {
    const s = softeningOf(biscuit, waterPct, filled, { pieceG: pieceG ?? null, sugarPct });
    return s.ok ? ok({ ...s.value, range: [s.value.range[0], s.value.range[1]] as [number, number] }) : s;
  },
});
