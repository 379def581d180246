import type { Ingredient } from '../composition/ingredient';
import { fail, ok, type Result } from '../result';
import type { Layer, SheetAnalysis } from './analysed';
import { floorAreaMm2, floorAt, volumeBelowMl, fillHeightMm, capacityMl, isPerPortion } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import type { Take } from '../document/tin-plan-schema';

/** One layer as it lies in one vessel. */
export interface BuiltLayer {
  readonly id: string;
  readonly layer: Layer;
  readonly by: Take;
  /** Heights above the floor, mm. */
  readonly fromMm: number;
  readonly toMm: number;
  /** In this vessel; cream that runs into the gaps between biscuits below or above is counted with the cream. */
  readonly massG: number;
  readonly volumeMl: number;
  /** Of it in gaps between biscuits, mL. */
  readonly inGapsMl: number;
  /** Biscuits in it; null where it has none that are laid. */
  readonly pieces: number | null;
}

/** What a build takes of a part, in one vessel. */
export interface PartUse {
  readonly layer: Layer;
  readonly thereMl: number;
  readonly takenMl: number;
  /** Above 0: left over; below 0: missing. */
  readonly leftMl: number;
  readonly leftG: number;
}

export interface Build {
  readonly vessel: Vessel;
  readonly layers: readonly BuiltLayer[];
  readonly uses: readonly PartUse[];
  /** Top of the last layer, mm; the vessel's height where it runs over. */
  readonly topMm: number;
  /** What stands over the rim, mL; 0 where it all fits. */
  readonly overMl: number;
}

/** A vessel, and how many of it the batch fills. */
export interface Filled {
  readonly vessel: Vessel;
  readonly count: number;
}

/** Every vessel that the batch fills. One for each portion: as many as there are portions, less those of the other kinds. */
export function filledVessels(s: Pick<SheetAnalysis, 'sheet'>): readonly Filled[] {
  const { vessel, portions, tin } = s.sheet;
  const others = tin.also.filter((a) => isPerPortion(a.vessel)).reduce((n, a) => n + a.count, 0);
  return [{ vessel, count: isPerPortion(vessel) ? Math.max(1, portions - others) : tin.count }, ...tin.also];
}

/** Share of the batch that one of the sheet's own vessels gets, 0–1: every vessel is filled equally full. */
export function shareOfOne(s: Pick<SheetAnalysis, 'sheet'>, vessel: Vessel = s.sheet.vessel): number {
  const all = filledVessels(s).reduce((sum, f) => sum + f.count * capacityMl(f.vessel), 0);
  return capacityMl(vessel) / all;
}

/** A biscuit that is laid, not scattered. */
export const laidBiscuit = (ingredient: Ingredient | null | undefined): (NonNullable<Ingredient['biscuit']> & { readonly shape: 'round' | 'rect' }) | null => {
  const b = ingredient?.biscuit;
  return b && b.shape !== 'loose' ? { ...b, shape: b.shape } : null;
};

/** The biscuit of a part that is laid: its first. Null for a part without. */
export function biscuitOfPart(s: SheetAnalysis, partId: string): { readonly ingredient: Ingredient; readonly pieces: number; readonly massG: number } | null {
  const reading = s.parts.find((a) => a.part.id === partId)?.reading;
  const line = reading?.lines.find((l) => laidBiscuit(l.ingredient) && l.ingredient?.piece && l.read);
  if (!line?.ingredient?.piece || !line.read) return null;
  const same = reading!.lines.filter((l) => l.ingredient === line.ingredient && l.read);
  const massG = same.reduce((sum, l) => sum + l.read!.massG, 0);
  return { ingredient: line.ingredient, pieces: massG / line.ingredient.piece.grams, massG };
}

interface Slot {
  readonly id: string;
  readonly layer: Layer;
  readonly by: Take;
  readonly amount: number;
  /** Of a layer of biscuits: how many, their volume and how high they are; null for anything else. */
  readonly biscuits: { readonly pieces: number; readonly ownMl: number; readonly heightMm: number } | null;
}

const BISCUIT_TAKE: Take = 'share';
const TURNS = 40;

/** Layers as they are planned, or each part once. Layers of parts that are gone are left out. */
function slotsOf(s: SheetAnalysis, share: number, layers: readonly Layer[]): readonly Slot[] {
  const planned = s.sheet.tin.layers;
  const slot = (id: string, layer: Layer, by: Take, amount: number, times: number): Slot => {
    const found = layer.part.kind === 'biscuit-layer' && by === BISCUIT_TAKE ? biscuitOfPart(s, layer.part.id) : null;
    const biscuits = found && {
      pieces: (found.pieces * share) / times,
      ownMl: (layer.volumeMl * share) / times,
      heightMm: laidBiscuit(found.ingredient)?.heightMm ?? 0,
    };
    return { id, layer, by, amount, biscuits };
  };
  if (!planned) return layers.map((l, i) => slot(`each-${i}`, l, 'share', 0, 1));
  return planned.flatMap((p): Slot[] => {
    const layer = layers.find((l) => l.part.id === p.partId);
    return layer ? [slot(p.id, layer, p.by, p.amount, planned.filter((x) => x.partId === p.partId).length)] : [];
  });
}

/**
 * The layers in one vessel, from the floor up (physics: volumes add, and each fills the vessel's own section). Biscuits lie as high as they
 * are; the next layer that is no biscuit runs into the gaps between them. Layers by share get equal volumes of what their part has left
 * after its other layers and the gaps. Solved by going round until no share moves by more than a billionth.
 *
 * @param vessel which of the filled ones; the sheet's own by default.
 * @param layers what lies there; the analysis's by default.
 * @returns a fault on `layers` when there is nothing to lay.
 */
export function buildIn(s: SheetAnalysis, vessel: Vessel = s.sheet.vessel, layers: readonly Layer[] = s.layers): Result<Build> {
  if (layers.length === 0) return s.volumeMl.ok ? fail('layers', 'empty', 'There is nothing to lay yet: add a part with lines on Bench.') : s.volumeMl;
  const share = shareOfOne(s, vessel);
  const slots = slotsOf(s, share, layers);
  if (slots.length === 0) return fail('layers', 'empty', 'No layer is planned: add one, or lay each part once.');
  const holds = capacityMl(vessel);
  const sharesOf = new Map<Layer, number>();
  for (const x of slots) if (x.by === 'share' && !x.biscuits) sharesOf.set(x.layer, (sharesOf.get(x.layer) ?? 0) + 1);
  let shareMl = new Map([...sharesOf].map(([l, n]) => [l, (l.volumeMl * share) / n]));
  let laid = lay(vessel, slots, shareMl);
  for (let turn = 0; turn < TURNS; turn++) {
    const next = new Map<Layer, number>();
    let moved = 0;
    for (const [layer, n] of sharesOf) {
      const elsewhere = laid.filter((b) => b.layer === layer).reduce((sum, b) => sum + b.inGapsMl + (b.by === 'share' ? 0 : b.volumeMl - b.inGapsMl), 0);
      const each = Math.max(0, (layer.volumeMl * share - elsewhere) / n);
      moved = Math.max(moved, Math.abs(each - (shareMl.get(layer) ?? 0)));
      next.set(layer, each);
    }
    shareMl = next;
    laid = lay(vessel, slots, shareMl);
    if (moved <= 1e-9 * holds) break;
  }
  const uses = layers.map((layer): PartUse => {
    const thereMl = layer.volumeMl * share;
    const takenMl = laid.filter((b) => b.layer === layer).reduce((sum, b) => sum + b.volumeMl, 0);
    const gone = Math.abs(thereMl - takenMl) < 1e-6 * Math.max(1, thereMl);
    const leftMl = gone ? 0 : thereMl - takenMl;
    return { layer, thereMl, takenMl, leftMl, leftG: layer.volumeMl > 0 ? (leftMl * layer.massG) / layer.volumeMl : 0 };
  });
  const totalMl = laid.reduce((sum, b) => sum + b.volumeMl, 0);
  return ok({ vessel, layers: laid, uses, topMm: laid.at(-1)!.toMm, overMl: totalMl > holds * (1 + 1e-9) ? totalMl - holds : 0 });
}

/** One walk from the floor to the top with these shares. */
function lay(vessel: Vessel, slots: readonly Slot[], shareMl: ReadonlyMap<Layer, number>): readonly BuiltLayer[] {
  const holds = capacityMl(vessel);
  // Over the rim the walls are thought to go straight up, so that a layer that stands there has a volume, too.
  const rimMm2 = floorAreaMm2(floorAt(vessel, vessel.heightMm));
  const volumeTo = (z: number): number => (z <= vessel.heightMm ? volumeBelowMl(vessel, z) : holds + (rimMm2 * (z - vessel.heightMm)) / 1000);
  const heightOf = (ml: number): number => {
    const z = fillHeightMm(vessel, Math.min(ml, holds));
    return (z.ok ? z.value : vessel.heightMm) + (1000 * Math.max(0, ml - holds)) / rimMm2;
  };
  const drawn = (z: number): number => Math.min(vessel.heightMm, z);
  const built: (Omit<BuiltLayer, 'massG' | 'inGapsMl' | 'volumeMl'> & { inGapsMl: number; volumeMl: number })[] = [];
  let belowMl = 0;
  let fromMm = 0;
  let openGapMl = 0;
  for (const slot of slots) {
    let ownMl: number;
    if (slot.biscuits) {
      ownMl = slot.biscuits.ownMl;
      // Where more lie than one layer holds, they stand higher.
      const sliceMl = Math.max(ownMl, volumeTo(fromMm + slot.biscuits.heightMm) - volumeTo(fromMm));
      const gapMl = sliceMl - ownMl;
      const below = built.findLast((b) => b.pieces === null);
      const above = slots.slice(slots.indexOf(slot) + 1).some((x) => !x.biscuits);
      belowMl += sliceMl;
      if (above) openGapMl += gapMl;
      else if (below) {
        below.inGapsMl += gapMl;
        below.volumeMl += gapMl;
      }
    } else {
      const grams = slot.layer.massG > 0 ? slot.layer.volumeMl / slot.layer.massG : 0;
      ownMl =
        slot.by === 'share'
          ? (shareMl.get(slot.layer) ?? 0)
          : slot.by === 'g'
            ? slot.amount * grams
            : slot.by === 'ml'
              ? slot.amount
              : volumeTo(fromMm + slot.amount) - volumeTo(fromMm);
      belowMl += ownMl;
    }
    const toMm = Math.max(fromMm, heightOf(belowMl));
    const inGapsMl = slot.biscuits ? 0 : openGapMl;
    built.push({
      id: slot.id,
      layer: slot.layer,
      by: slot.by,
      fromMm: drawn(fromMm),
      toMm: drawn(toMm),
      pieces: slot.biscuits?.pieces ?? null,
      inGapsMl,
      volumeMl: ownMl + inGapsMl,
    });
    if (!slot.biscuits) openGapMl = 0;
    fromMm = toMm;
  }
  return built.map((b) => ({ ...b, massG: b.layer.volumeMl > 0 ? (b.volumeMl * b.layer.massG) / b.layer.volumeMl : 0 }));
}
