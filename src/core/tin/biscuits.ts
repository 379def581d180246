import type { Ingredient } from '../composition/ingredient';
import { fail, type Result } from '../result';
import type { SheetAnalysis } from '../analysis/analysed';
import type { LayPattern, Plan } from '../vessel/packing/lay';
import { narrowestFloor, type Floor } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import { biscuitOfPart, buildIn, filledVessels, laidBiscuit } from '../analysis/build';

/** One layer of biscuits that is to be laid. */
export interface BiscuitLayer {
  /** Layer of the plan, and which vessel it lies in. */
  readonly layerId: string;
  readonly vessel: Vessel;
  /** How many of that vessel there are. */
  readonly vessels: number;
  readonly partId: string;
  readonly ingredient: Ingredient;
  /** Counted from the floor, among its vessel's layers of biscuits; every other one is staggered. */
  readonly turn: number;
  readonly fromMm: number;
  readonly floor: Floor;
}

/** Every layer of biscuits in every vessel that the batch fills. */
export function biscuitLayers(s: SheetAnalysis): readonly BiscuitLayer[] {
  return filledVessels(s).flatMap(({ vessel, count }) => {
    const build = buildIn(s, vessel);
    if (!build.ok) return [];
    let turn = 0;
    return build.value.layers.flatMap((b): BiscuitLayer[] => {
      const found = b.pieces === null ? null : biscuitOfPart(s, b.layer.part.id);
      const biscuit = laidBiscuit(found?.ingredient);
      if (!found || !biscuit) return [];
      return [
        {
          layerId: b.id,
          vessel,
          vessels: count,
          partId: b.layer.part.id,
          ingredient: found.ingredient,
          turn: turn++,
          fromMm: b.fromMm,
          floor: narrowestFloor(vessel, b.fromMm, b.fromMm + biscuit.heightMm),
        },
      ];
    });
  });
}

/** How a layer is asked to be laid: everything that its plan depends on. */
export interface LayAsk {
  readonly floor: Floor;
  readonly shape: 'round' | 'rect';
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly pattern: LayPattern;
  readonly cutting: boolean;
  /** Whether it is turned against the layer below. */
  readonly turned: boolean;
}

export function layAsk(s: SheetAnalysis, layer: BiscuitLayer): LayAsk {
  const { pattern, cutting, stagger } = s.sheet.tin;
  const b = laidBiscuit(layer.ingredient)!;
  return { floor: layer.floor, shape: b.shape, widthMm: b.widthMm, lengthMm: b.lengthMm, pattern, cutting, turned: stagger && layer.turn % 2 === 1 };
}

/** What all layers of one biscuit come to. */
export interface BiscuitCount {
  readonly partId: string;
  readonly ingredient: Ingredient;
  /** Layers, over all vessels. */
  readonly layers: number;
  /** Biscuits that the plans take, cut ones counted once for all that comes out of them. */
  readonly needed: number;
  readonly whole: number;
  readonly cutFrom: number;
  /** With what breaks, rounded up. */
  readonly toBuy: number;
  readonly packs: number | null;
  /** What stays in the last pack. */
  readonly spare: number | null;
  /** What the sheet's lines have. */
  readonly there: number;
}

/**
 * Counts over all layers, from their plans.
 *
 * @param plans of `layers`, in the same order; a layer without a plan counts as none.
 */
export function countBiscuits(s: SheetAnalysis, layers: readonly BiscuitLayer[], plans: readonly (Plan | null)[]): readonly BiscuitCount[] {
  const parts = [...new Set(layers.map((l) => l.partId))];
  return parts.map((partId) => {
    const mine = layers.flatMap((l, i) => (l.partId === partId ? [{ layer: l, plan: plans[i] ?? null }] : []));
    const { ingredient } = mine[0]!.layer;
    const sum = (of: (plan: Plan) => number): number => mine.reduce((n, x) => n + (x.plan ? of(x.plan) * x.layer.vessels : 0), 0);
    const needed = sum((p) => p.biscuits);
    const toBuy = Math.ceil(needed * (1 + s.sheet.tin.breakagePct / 100) - 1e-9);
    const inPack = ingredient.packG && ingredient.piece ? Math.floor(ingredient.packG / ingredient.piece.grams + 1e-6) : 0;
    const packs = inPack > 0 ? Math.ceil(toBuy / inPack) : null;
    return {
      partId,
      ingredient,
      layers: mine.reduce((n, x) => n + x.layer.vessels, 0),
      needed,
      whole: sum((p) => p.whole),
      cutFrom: sum((p) => p.cutFrom),
      toBuy,
      packs,
      spare: packs === null ? null : packs * inPack - needed,
      there: biscuitOfPart(s, partId)?.pieces ?? 0,
    };
  });
}

/** Why there is nothing to lay, in words. */
export function whyNoBiscuits(s: SheetAnalysis, larder: ReadonlyMap<string, Ingredient>): Result<never> {
  if (![...larder.values()].some((i) => laidBiscuit(i)))
    return fail('larder', 'no-biscuits', 'The larder has no biscuit with a size: enter one there, its width, length and height in mm.');
  const part = s.parts.find((a) => a.part.kind === 'biscuit-layer');
  if (!part) return fail('parts', 'no-biscuits', 'No part of this sheet is laid in biscuits: add a biscuit layer on Bench, with a line like 48 ginger thins.');
  return fail(
    'lines',
    'no-size',
    `${part.part.name} has no biscuit whose size the larder knows: write one like 48 ginger thins, or enter its size in the Larder.`,
  );
}
