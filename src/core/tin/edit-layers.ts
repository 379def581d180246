import type { Build } from '../analysis/build';
import type { LaidLayer, Take, TinPlan } from '../document/tin-plan-schema';

/** No layer is drawn or laid thinner, mm. */
const THINNEST_MM = 1;

/** The layers of a plan as they are laid now, so that one of them can be changed: each part once becomes a list. */
export const plannedLayers = (plan: TinPlan, build: Build): readonly LaidLayer[] =>
  plan.layers ?? build.layers.map((l) => ({ id: l.id, partId: l.layer.part.id, by: 'share', amount: 0 }));

/**
 * Moves the top of a layer to a height, snapped to whole mm: the layer is then so thick, and the next one that is no biscuit and has a fixed
 * thickness gives way, so that what lies above it stays.
 *
 * @param layerId of a layer that is not laid in biscuits.
 */
export function moveTop(plan: TinPlan, build: Build, layerId: string, toMm: number): TinPlan {
  const at = build.layers.findIndex((l) => l.id === layerId);
  const layer = build.layers[at];
  if (!layer || layer.pieces !== null) return plan;
  const top = Math.max(layer.fromMm + THINNEST_MM, Math.min(build.vessel.heightMm, Math.round(toMm)));
  const moved = top - layer.toMm;
  if (layer.by === 'mm' && Math.abs(moved) < 1e-9) return plan;
  const next = build.layers.slice(at + 1).find((l) => l.pieces === null);
  return {
    ...plan,
    layers: plannedLayers(plan, build).map((l) => {
      if (l.id === layerId) return { ...l, by: 'mm', amount: top - layer.fromMm };
      if (next && l.id === next.id && l.by === 'mm') return { ...l, amount: Math.max(THINNEST_MM, l.amount - moved) };
      return l;
    }),
  };
}

/** Another take for a layer, its amount what it is now in that unit. */
export function setTake(plan: TinPlan, build: Build, layerId: string, by: Take, amount?: number): TinPlan {
  const laid = build.layers.find((l) => l.id === layerId);
  if (!laid) return plan;
  const outside = laid.volumeMl > 0 ? 1 - laid.inGapsMl / laid.volumeMl : 1;
  const now = { share: 0, mm: laid.toMm - laid.fromMm, g: laid.massG * outside, ml: laid.volumeMl * outside }[by];
  return { ...plan, layers: plannedLayers(plan, build).map((l) => (l.id === layerId ? { ...l, by, amount: amount ?? Math.round(now * 10) / 10 } : l)) };
}

/** A layer of a part on top, or above another. */
export function addLayer(plan: TinPlan, build: Build, id: string, partId: string, aboveId: string | null = null): TinPlan {
  const layers = plannedLayers(plan, build);
  const at = aboveId === null ? layers.length : layers.findIndex((l) => l.id === aboveId) + 1;
  return { ...plan, layers: [...layers.slice(0, at), { id, partId, by: 'share', amount: 0 }, ...layers.slice(at)] };
}

/** Takes a layer out; the last one stays. */
export function removeLayer(plan: TinPlan, build: Build, layerId: string): TinPlan {
  const layers = plannedLayers(plan, build);
  return layers.length <= 1 ? plan : { ...plan, layers: layers.filter((l) => l.id !== layerId) };
}

/** Moves a layer one up (1) or down (−1). */
export function shiftLayer(plan: TinPlan, build: Build, layerId: string, by: 1 | -1): TinPlan {
  const layers = [...plannedLayers(plan, build)];
  const at = layers.findIndex((l) => l.id === layerId);
  const to = at + by;
  if (at < 0 || to < 0 || to >= layers.length) return plan;
  [layers[at], layers[to]] = [layers[to]!, layers[at]!];
  return { ...plan, layers };
}
