'use client';

import { showGrams, showGramsPlain } from '../../../../core/figure';
import { PARTED_WISH, wineFor } from '../../../../core/foam/syllabub';
import { mainPart } from '../../../../core/analysis/analyse';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import { wineOf } from '../../../../core/analysis/wine';
import { setLineAmount } from '../../../../core/editing/edits';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** The wine for a whole syllabub and for a parted one, each with one touch. */
export function WineForEither({ analysis: s }: { readonly analysis: SheetAnalysis }) {
  const { edit, context } = useSheet();
  const a = mainPart(s);
  const wine = wineOf(a);
  if (!wine) return <p className="text-[14.5px] text-ink-soft">Add a line of wine, cider or sherry, and the amount for either is worked out.</p>;
  const without = { ...wine.without, hours: s.sheet.servedAfterH };
  const each = [
    { name: 'Whole, firm through', wish: 'whole' as const, note: 'the most that stays whole' },
    { name: 'Parted', wish: PARTED_WISH, note: `${Math.round(100 * PARTED_WISH)} % clear drink by serving` },
  ].map((o) => ({ ...o, g: wineFor(without, o.wish) }));
  return (
    <ul className="pt-1">
      {each.map((o) => (
        <li key={o.name} className="flex flex-wrap items-baseline justify-between gap-x-4 border-t border-steel-light py-1.5">
          <span>
            {o.name}: {o.g.ok ? <span className="fig">{showGrams(Math.floor(o.g.value))}</span> : o.g.fault.says} {o.g.ok && `${wine.line.name}, ${o.note}`}
          </span>
          {o.g.ok && o.g.value >= 1 && (
            <button
              type="button"
              className="btn min-h-8 px-2.5 text-[14px]"
              onClick={() =>
                o.g.ok && edit('wine', (d) => setLineAmount(d, a.part.id, wine.line.line.id, showGramsPlain(Math.floor(o.g.ok ? o.g.value : 0)), context))
              }
            >
              Use it
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
