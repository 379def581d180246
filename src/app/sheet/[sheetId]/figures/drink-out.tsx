'use client';

import { analyseSheet } from '../../../../core/analysis/analyse';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { drinkSwaps, withoutAlcohol } from '../../../../core/rewrite/without-alcohol';
import { plainNumber } from '../../../../core/figure';
import { DifferenceList } from '../../../../ui/difference-list';
import { freshId } from '../../../../ui/sheet/fresh-id';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** The version without alcohol, seen before it is taken. */
export function DrinkOut({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { edit, kitchen } = useSheet();
  const swaps = drinkSwaps(s);
  if (swaps.length === 0) return null;
  const after = analyseSheet(
    withoutAlcohol(s, kitchen, () => 'preview'),
    kitchen,
  );
  return (
    <details className="border-t border-steel-light pt-1.5">
      <summary className="min-h-8 cursor-pointer text-[14px] text-ink-soft hover:text-ink">The version without alcohol</summary>
      <DifferenceList differences={swaps.map((d) => ({ kind: 'changed', before: d.before, after: d.after.join(' and ') }))} none="" />
      <p className="py-1.5 text-[14px] text-ink-soft">
        Water and sweetness stay: {plainNumber(s.sweetness, 1)} before, {plainNumber(after.sweetness, 1)} after; alcohol {plainNumber(s.abvPct, 1)} to{' '}
        {plainNumber(after.abvPct, 1)}&nbsp;% vol. Steep in the water what the drink tasted of.
      </p>
      <button type="button" className="btn" onClick={() => edit('without-alcohol', () => withoutAlcohol(s, kitchen, freshId))}>
        Swap them
      </button>
    </details>
  );
}
