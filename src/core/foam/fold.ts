import { FIRST_PORTION_KEEPS, FOLD_KEEPS, STIFF_FOLD_KEEPS, WHISKED_IN_KEEPS, WHITES_IN_FAT_KEEP } from './house';

/** Something with air in it that is folded in; volumes in mL. */
export interface FoamVolume {
  /** Unaerated. */
  readonly mixMl: number;
  readonly airMl: number;
}

export interface Fold extends FoamVolume {
  /** Share (0–1) that is given up first to loosen the base; 0 for none. */
  readonly firstShare: number;
  /** Whites that meet fat: part of their air is gone before they are under. */
  readonly fragile?: boolean;
  /** Beaten in rather than folded. */
  readonly whiskedIn: boolean;
}

/** The bowl after a fold. */
export interface FoldStep extends FoamVolume {
  /** Air that this foam brought, mL. */
  readonly broughtMl: number;
  /** Share (0–1) of all air then in the bowl that the fold kept. */
  readonly keeps: number;
}

/**
 * The account of a base and its foams, fold by fold (physics: volumes add; house ±6 %: what each fold keeps). Every fold costs every foam
 * that is in the bowl. The first portion keeps 0.55 of its air, and after it the base counts as soft.
 *
 * @param base unaerated volume and air of what is in the bowl at first.
 * @param stiff whether the base is stiffer than the foam or warmer than 30 °C.
 * @returns a step for each fold; volumes ≥ 0, air never more than was brought.
 */
export function foldAccount(base: FoamVolume, folds: readonly Fold[], stiff: boolean): readonly FoldStep[] {
  let { mixMl, airMl } = base;
  let hard = stiff;
  return folds.map((fold) => {
    mixMl += fold.mixMl;
    const there = airMl + fold.airMl;
    const arrives = fold.airMl * (fold.fragile ? WHITES_IN_FAT_KEEP : 1);
    if (fold.whiskedIn) airMl = (airMl + arrives) * WHISKED_IN_KEEPS;
    else {
      const first = Math.min(1, Math.max(0, fold.firstShare));
      if (first > 0) {
        airMl = airMl * (hard ? STIFF_FOLD_KEEPS : FOLD_KEEPS) + first * arrives * FIRST_PORTION_KEEPS;
        hard = false;
      }
      airMl = (airMl + (1 - first) * arrives) * (hard ? STIFF_FOLD_KEEPS : FOLD_KEEPS);
    }
    return { mixMl, airMl, broughtMl: fold.airMl, keeps: there > 0 ? airMl / there : 1 };
  });
}
