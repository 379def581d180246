import { fail, ok, type Result } from '../result';
import type { Use } from '../document/kinds';
import type { ShelfVessel } from '../kitchen/schema';
import { capacityMl, cavitiesOf, isPerPortion } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import type { Filled } from '../analysis/build';

/** Vessels that a batch could go into. */
export interface Choice {
  readonly filled: readonly Filled[];
  /** How full each is, 0–1. */
  readonly fullShare: number;
  /** Portions: as many as there are glasses, or what was asked. */
  readonly portions: number;
  /** Lower is better: how far from well filled, and how many kinds. */
  readonly score: number;
}

/** A vessel and how many of it, in words; moulds are counted one by one. */
export function filledWords({ vessel, count }: Filled): string {
  const cavities = cavitiesOf(vessel);
  return cavities > 1 ? `${count} moulds in ${Math.ceil(count / cavities)} × ${vessel.name.toLowerCase()}` : `${count} × ${vessel.name.toLowerCase()}`;
}

/** How full a vessel looks right and can be levelled, share of its volume (house). */
export const WELL_FILLED = { low: 0.6, best: 0.88, high: 0.97 } as const;
/** A portion that is more than so many times what was wished is no portion any more. */
const PORTION_FACTOR = 1.6;
const KIND_COST = 0.06;
/** Some portions in glasses and some to be spooned out is a last resort. */
const MIXED_COST = 0.08;
const OTHER_COST = 0.2;
/** A vessel of many is better than many vessels. */
const EACH_COST = 0.015;

/** Which kinds of vessel suit how it is served. */
const SUITS: Readonly<Record<Use, readonly Vessel['kind'][]>> = {
  spoon: ['glass', 'bowl', 'tub', 'tray'],
  'hold-a-day': ['glass', 'bowl', 'tub', 'tray'],
  pipe: ['tub', 'bowl', 'free'],
  glass: ['glass', 'bowl'],
  slice: ['springform', 'tray', 'terrine', 'dome'],
  'turn-out': ['mould', 'dome', 'terrine', 'springform'],
};

/**
 * The kitchen's vessels that fit a batch, alone or two kinds together, best first (every pair and every count is tried).
 *
 * @param volumeMl of the batch. @param portions wished. @param shelf kinds and how many there are of each.
 * @param inGlasses whether it has been in vessels of one portion so far: others then come behind.
 * @returns at most `most` choices; a fault on `shelf` when none fits, with what comes nearest.
 */
export function chooseVessels(
  volumeMl: number,
  portions: number,
  use: Use,
  shelf: readonly ShelfVessel[],
  inGlasses = false,
  most = 6,
): Result<readonly Choice[]> {
  if (!(volumeMl > 0)) return fail('volumeMl', 'empty', 'There is nothing to fill yet: add lines on Bench.');
  const fitting = shelf
    .filter((v) => v.count > 0 && SUITS[use].includes(v.vessel.kind))
    .map((v) => ({ vessel: v.vessel, ml: capacityMl(v.vessel), there: v.count * cavitiesOf(v.vessel), each: isPerPortion(v.vessel) }));
  const portionMl = volumeMl / portions;
  const found: Choice[] = [];
  const add = (filled: readonly Filled[], holdsMl: number): void => {
    const full = volumeMl / holdsMl;
    if (full > WELL_FILLED.high || full < WELL_FILLED.low) return;
    const each = filled.filter((f) => isPerPortion(f.vessel));
    const served = each.length === filled.length ? each.reduce((n, f) => n + f.count, 0) : portions;
    if (each.some((f) => capacityMl(f.vessel) * full > portionMl * PORTION_FACTOR)) return;
    const shared = filled.reduce((n, f) => n + (isPerPortion(f.vessel) ? 0 : f.count), 0);
    found.push({
      filled,
      fullShare: full,
      portions: served,
      score:
        Math.abs(full - WELL_FILLED.best) +
        KIND_COST * (filled.length - 1) +
        (each.length > 0 && each.length < filled.length ? MIXED_COST : 0) +
        (inGlasses && each.length === 0 ? OTHER_COST : 0) +
        EACH_COST * Math.max(0, shared - 1) +
        0.4 * Math.abs(served / portions - 1),
    });
  };
  for (const a of fitting) {
    const most1 = Math.min(a.there, Math.ceil(volumeMl / (a.ml * WELL_FILLED.low)));
    for (let n = 1; n <= most1; n++) add([{ vessel: a.vessel, count: n }], n * a.ml);
    for (const b of fitting) {
      if (b === a || b.ml > a.ml || (b.ml === a.ml && fitting.indexOf(b) < fitting.indexOf(a))) continue;
      for (let n = 1; n <= most1 && n * a.ml < volumeMl / WELL_FILLED.low; n++) {
        const rest = volumeMl / WELL_FILLED.best - n * a.ml;
        const m = Math.max(1, Math.min(b.there, Math.round(rest / b.ml)));
        add(
          [
            { vessel: a.vessel, count: n },
            { vessel: b.vessel, count: m },
          ],
          n * a.ml + m * b.ml,
        );
      }
    }
  }
  if (found.length === 0) return nothingFits(volumeMl, fitting);
  // The best of each set of kinds: nine glasses and ten of the same are one answer.
  const best = new Map<string, Choice>();
  for (const c of found) {
    const key = c.filled.map((f) => f.vessel.name).join('+');
    const known = best.get(key);
    if (!known || c.score < known.score) best.set(key, c);
  }
  return ok([...best.values()].sort((x, y) => x.score - y.score).slice(0, most));
}

function nothingFits(volumeMl: number, fitting: readonly { readonly vessel: Vessel; readonly ml: number; readonly there: number }[]): Result<never> {
  const litres = (ml: number): string => (ml >= 1000 ? `${(ml / 1000).toFixed(1)}\u00a0L` : `${Math.round(ml)}\u00a0mL`);
  const nearest = fitting.map((f) => ({ f, off: Math.abs(Math.log((f.ml * f.there * WELL_FILLED.best) / volumeMl)) })).sort((a, b) => a.off - b.off)[0]?.f;
  if (!nearest) return fail('shelf', 'none', 'No vessel on the shelf suits how this is served: enter one in the Larder, or change what it must do.');
  return fail(
    'shelf',
    'none',
    `Nothing on the shelf is well filled by ${litres(volumeMl)}: ${nearest.there > 1 ? `all ${nearest.there} of ` : ''}${nearest.vessel.name} ${nearest.there > 1 ? 'hold' : 'holds'} ${litres(nearest.ml * nearest.there)}. Scale the sheet to it, or enter another vessel in the Larder.`,
  );
}
