import { readyHours } from '../cold/hours';
import { analyseSheet } from '../analysis/analyse';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { fitBowlfuls } from '../analysis/fit-bowlfuls';
import { scaleToPortions } from '../rewrite/scale';
import type { Sheet } from '../document/schema';
import { capacityMl, isPerPortion } from '../vessel/profile';
import { fail, ok, type Result } from '../result';
import type { Serving } from './service-schema';
import { ownWorkOf } from './own-work';
import { workOf, type Work } from './work';

/** A dessert at the size that is served, with its work. */
export interface Dish {
  readonly analysis: SheetAnalysis;
  /** How many times its sheet. */
  readonly times: number;
  /** Hours in the cold until it is ready for its use, by the solver; null where it gives no answer. */
  readonly coldH: number | null;
  readonly work: Work;
  /** What each part is made of, by part: two parts with the same may be made together. */
  readonly madeOf: ReadonlyMap<string, string>;
}

/** So much over the rim is still one vessel. */
const OVER_RIM = 1.02;

/** The sheet as it is served: scaled, in its vessel and place, in as many vessels and bowlfuls as it needs. */
export function servedSheet(sheet: Sheet, serving: Pick<Serving, 'portions' | 'vessel' | 'placeId'>, kitchen: Kitchen): Result<Sheet> {
  const scaled = scaleToPortions(sheet, serving.portions);
  if (!scaled.ok) return scaled;
  const named = serving.vessel === null ? undefined : kitchen.vessels.find((v) => v.vessel.name === serving.vessel);
  if (serving.vessel !== null && !named) return fail('vessel', 'gone', `${serving.vessel} is no longer on the shelf: choose another vessel.`);
  let out: Sheet = named
    ? {
        ...scaled.value,
        vessel: named.vessel,
        tin: { ...scaled.value.tin, count: 1, also: [], layers: named.vessel.name === sheet.vessel.name ? scaled.value.tin.layers : null },
      }
    : scaled.value;
  if (serving.placeId !== null) out = { ...out, cold: { ...out.cold, setup: { ...out.cold.setup, placeId: serving.placeId, airC: null } } };
  if (serving.portions > sheet.portions) out = fitBowlfuls(out, kitchen);
  // As many as Tin says, at its own size: those of another size are reckoned.
  const asPlanned = serving.portions === sheet.portions && out.vessel.name === sheet.vessel.name;
  if (!asPlanned && !isPerPortion(out.vessel) && out.tin.also.length === 0) {
    const { volumeMl } = analyseSheet({ ...out, tin: { ...out.tin, count: 1, layers: null } }, kitchen);
    if (volumeMl.ok) {
      const fullest = Math.max(
        capacityMl(out.vessel),
        sheet.vessel.name === out.vessel.name ? volumeMl.value / (serving.portions / sheet.portions) / sheet.tin.count : 0,
      );
      const count = Math.max(1, Math.ceil(volumeMl.value / (fullest * OVER_RIM)));
      if (count !== out.tin.count) out = { ...out, tin: { ...out.tin, count } };
    }
  }
  return ok(out);
}

/** What a part is made of, in shares of a thousandth, with its ways and stage: the same for parts that can be made together; null where it takes from others. */
export function madeOf(a: PartAnalysis): string | null {
  const { lines, mixture } = a.reading;
  if (mixture.massG <= 0 || lines.some((l) => l.fromPart) || lines.some((l) => !l.read)) return null;
  const shares = new Map<string, number>();
  for (const l of lines) {
    const key =
      l.kind === 'loss' ? 'loss' : `${l.ingredient?.id ?? l.name}${l.read!.fatPct === null || l.read!.fatPct === undefined ? '' : ` ${l.read!.fatPct}`}`;
    shares.set(key, (shares.get(key) ?? 0) + l.read!.massG / mixture.massG);
  }
  const made = [...shares].sort(([x], [y]) => (x < y ? -1 : 1)).map(([k, v]) => `${k} ${Math.round(1000 * v)}`);
  const ways = Object.entries(a.part.ways)
    .sort(([x], [y]) => (x < y ? -1 : 1))
    .map(([k, v]) => `${k}=${v}`);
  return [a.part.kind, ...(a.whip.ok ? [a.part.whisk.stage] : []), ...ways, ...made].join('; ');
}

/** Answers that are kept while kitchen and sheet are the same objects: the cold is worth some milliseconds. */
export type DishCache = WeakMap<Kitchen, WeakMap<Sheet, Map<string, Result<Dish>>>>;
export const newDishCache = (): DishCache => new WeakMap();

/** A serving's dessert with all its work. @returns faults of scaling, and of a vessel that is gone. */
export function dishOf(sheet: Sheet, serving: Pick<Serving, 'portions' | 'vessel' | 'placeId'>, kitchen: Kitchen, cache: DishCache): Result<Dish> {
  let sheets = cache.get(kitchen);
  if (!sheets) cache.set(kitchen, (sheets = new WeakMap()));
  let known = sheets.get(sheet);
  if (!known) sheets.set(sheet, (known = new Map()));
  const key = JSON.stringify([serving.portions, serving.vessel, serving.placeId]);
  const held = known.get(key);
  if (held) return held;
  const made = makeDish(sheet, serving, kitchen);
  known.set(key, made);
  return made;
}

function makeDish(sheet: Sheet, serving: Pick<Serving, 'portions' | 'vessel' | 'placeId'>, kitchen: Kitchen): Result<Dish> {
  const served = servedSheet(sheet, serving, kitchen);
  if (!served.ok) return served;
  const analysis = analyseSheet(served.value, kitchen);
  if (analysis.mixture.massG <= 0) return fail('lines', 'empty', `${sheet.name} has nothing in it yet: add its lines on Bench first.`);
  const times = serving.portions / sheet.portions;
  const coldH = readyHours(analysis, kitchen);
  const parts = analysis.parts.flatMap((a) => {
    const made = madeOf(a);
    return made ? [[a.part.id, made] as const] : [];
  });
  return ok({
    analysis,
    times,
    coldH,
    work: served.value.method === 'own' ? ownWorkOf(analysis, kitchen, times, coldH) : workOf(analysis, kitchen, times, coldH),
    madeOf: new Map(parts),
  });
}
