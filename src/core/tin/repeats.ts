import type { SheetAnalysis } from '../analysis/analysed';
import type { PartKind } from '../document/kinds';
import { floorAreaMm2, floorAt } from '../vessel/profile';
import { biscuitOfPart, laidBiscuit, shareOfOne } from '../analysis/build';
import { BED_MM, CREAM_MM, RIM_MM } from './house';
import type { LaidLayer } from '../document/tin-plan-schema';

/** The parts of a sheet by where they lie. */
export interface Places {
  readonly base: readonly string[];
  readonly biscuits: readonly string[];
  readonly creams: readonly string[];
  readonly top: readonly string[];
}

const TOP: readonly PartKind[] = ['topping', 'crown'];

export function placesOf(s: SheetAnalysis): Places {
  const ids = (is: (kind: PartKind) => boolean): string[] => s.layers.filter((l) => is(l.part.kind)).map((l) => l.part.id);
  return {
    base: ids((k) => k === 'pressed-base'),
    biscuits: ids((k) => k === 'biscuit-layer'),
    creams: ids((k) => k !== 'pressed-base' && k !== 'biscuit-layer' && !TOP.includes(k)),
    top: ids((k) => TOP.includes(k)),
  };
}

/** What is repeated, in its order from below: biscuits and then their cream, or all between base and top as they are built. */
export function repeatedParts(s: SheetAnalysis): readonly string[] {
  const places = placesOf(s);
  if (places.creams.length === 1 && places.biscuits.length > 0) return [...places.biscuits, ...places.creams];
  return s.layers.map((l) => l.part.id).filter((id) => places.biscuits.includes(id) || places.creams.includes(id));
}

/** How often the middle can be repeated, and what each limit is by. */
export interface RepeatLimits {
  /** Whole repeats that the depth under the rim holds. */
  readonly byDepth: number;
  /** Repeats that there is cream for, at the wished thickness; not rounded. Null where the sheet has no cream. */
  readonly byCream: number | null;
  /** Repeats that there are biscuits for, at so many in a layer; null where none are laid. */
  readonly byBiscuits: number | null;
  /** One repeat, mm. */
  readonly eachMm: number;
}

/** The thickness that the cook has fixed for a part's one layer, mm; null where it shares out what there is. */
function fixedMm(s: SheetAnalysis, partId: string): number | null {
  const own = (s.sheet.tin.layers ?? []).filter((l) => l.partId === partId);
  return own.length === 1 && own[0]!.by === 'mm' ? own[0]!.amount : null;
}

/**
 * How many repeats of biscuits and cream a vessel holds (geometry, at the area of half its height).
 *
 * @param creamMm each cream of one repeat.
 * @param perLayer biscuits in one layer; null where it is not known yet.
 */
export function repeatLimits(s: SheetAnalysis, creamMm = CREAM_MM, perLayer: number | null = null): RepeatLimits {
  const { vessel } = s.sheet;
  const places = placesOf(s);
  const areaMm2 = floorAreaMm2(floorAt(vessel, vessel.heightMm / 2));
  const share = shareOfOne(s);
  const mlOf = (ids: readonly string[]): number => s.layers.filter((l) => ids.includes(l.part.id)).reduce((sum, l) => sum + l.volumeMl * share, 0);
  const mm = (ml: number): number => (1000 * ml) / areaMm2;
  const biscuits = places.biscuits.map((id) => biscuitOfPart(s, id)).filter((b) => b !== null);
  const biscuitMm = biscuits.reduce((sum, b) => sum + (laidBiscuit(b.ingredient)?.heightMm ?? 0), 0);
  const bedMm = places.creams.length === 1 && places.biscuits.length > 0 && places.base.length === 0 ? BED_MM : 0;
  const creams = Math.max(1, places.creams.length);
  const eachMm = biscuitMm + creamMm * creams;
  const takes = (ids: readonly string[]): number => ids.reduce((sum, id) => sum + (fixedMm(s, id) ?? mm(mlOf([id]))), 0);
  const room = vessel.heightMm - RIM_MM - bedMm - takes(places.base) - takes(places.top);
  const pieces = biscuits[0] ? biscuits[0].pieces * share : null;
  return {
    byDepth: Math.max(0, Math.floor(room / eachMm + 1e-9)),
    byCream: places.creams.length > 0 ? Math.max(0, mm(mlOf(places.creams)) - bedMm) / (creamMm * creams) : null,
    byBiscuits: pieces !== null && perLayer ? pieces / perLayer : null,
    eachMm,
  };
}

/**
 * The layers of a build in repeats: base, a thin bed of cream under the first biscuits, [biscuits, cream] × times, top. Cream always closes it.
 * Where several creams lie between, they keep the building order of the parts.
 *
 * @param times 1–20.
 */
export function layersInRepeats(s: SheetAnalysis, times: number): readonly LaidLayer[] {
  const places = placesOf(s);
  const layers: LaidLayer[] = [];
  const add = (partId: string, by: LaidLayer['by'] = 'share', amount = 0): void => void layers.push({ id: `l${layers.length + 1}`, partId, by, amount });
  const keep = (id: string): void => {
    const mm = fixedMm(s, id);
    if (mm === null) add(id);
    else add(id, 'mm', mm);
  };
  places.base.forEach(keep);
  const middle = repeatedParts(s);
  const cream = places.creams.at(-1);
  const bed = places.creams.length === 1 && places.biscuits.length > 0 && places.base.length === 0;
  if (bed && cream) add(cream, 'mm', BED_MM);
  for (let i = 0; i < times; i++) middle.forEach((id) => add(id));
  // Biscuits never close it: the last cream goes on top of them.
  if (cream && places.biscuits.includes(middle.at(-1) ?? '')) add(cream);
  places.top.forEach(keep);
  return layers;
}
