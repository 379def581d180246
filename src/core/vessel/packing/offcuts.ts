/** What a cut costs in crumbs, mm. */
export const CUT_CRUMBS_MM = 1;

/** Which biscuit each cut piece comes from. */
export interface CutFrom {
  /** Index of the biscuit, from 0, for each piece in its given order. */
  readonly biscuit: readonly number[];
  readonly biscuits: number;
  /** What is left of each of them, mm of its length. */
  readonly leftMm: readonly number[];
}

/**
 * Cut pieces from as few biscuits as first fit, longest first, finds: an offcut serves the next shorter piece. Every cut costs a millimetre.
 *
 * @param lengths of the pieces, mm, none longer than the biscuit.
 */
export function cutFromBiscuits(lengths: readonly number[], biscuitMm: number): CutFrom {
  const left: number[] = [];
  const biscuit = new Array<number>(lengths.length).fill(0);
  const longestFirst = lengths.map((mm, i) => ({ mm, i })).sort((a, b) => b.mm - a.mm || a.i - b.i);
  for (const { mm, i } of longestFirst) {
    // The last piece of a biscuit needs no cut of its own.
    let at = left.findIndex((rest) => rest >= mm - 1e-9);
    if (at < 0) at = left.push(biscuitMm) - 1;
    biscuit[i] = at;
    left[at] = Math.max(0, left[at]! - mm - CUT_CRUMBS_MM);
  }
  return { biscuit, biscuits: left.length, leftMm: left };
}
