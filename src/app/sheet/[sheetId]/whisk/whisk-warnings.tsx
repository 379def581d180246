'use client';

import { plainNumber, withUnit } from '../../../../core/figure';
import { BEST_FILL, GOOD_FILL } from '../../../../core/foam/house';
import { bowlfulsNeeded, whiskWarnings, type WhiskWarning, type Whip } from '../../../../core/foam/whisk';
import type { WhiskInput } from '../../../../core/foam/inputs';
import type { PartAnalysis } from '../../../../core/analysis/analysed';
import { setPart } from '../../../../core/editing/edits';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

function words(warning: WhiskWarning, input: WhiskInput, w: Whip, mixer: string): string {
  const full = withUnit(plainNumber(100 * w.fillShare, 0), '%');
  switch (warning.key) {
    case 'never':
      return `Too warm for ${input.target}: at ${withUnit(plainNumber(input.creamC, 1), '°C')} it churns ${warning.reaches ? `past ${warning.reaches}` : 'before any peak stands'}. Chill cream and bowl to 5\u00a0°C.`;
    case 'lean':
      return `Lean: with ${withUnit(plainNumber(input.fatPct, 1), '%')} fat ${warning.willStand ? 'firm may not come' : 'it thickens, but will not stand'}.`;
    case 'sour':
      return 'Acid thickens it sooner and tighter than plain cream: watch from the start.';
    case 'warm':
      return `Cream at ${withUnit(plainNumber(input.creamC, 0), '°C')} is warm: slower, and it takes less air than at 7\u00a0°C or below.`;
    case 'climbs-out':
      return `It will climb out: ${mixer} is ${full} full before the air. Split it.`;
    case 'too-full':
      return `${mixer} is ${full} full: more than whisks well. Split it.`;
  }
}

/** What will go wrong, before the whisk is switched on. */
export function WhiskWarnings({ a, whip }: { readonly a: PartAnalysis; readonly whip: Whip }) {
  const { edit, context } = useSheet();
  if (!a.whiskInput.ok) return null;
  const input = a.whiskInput.value;
  const warnings = whiskWarnings(input, whip);
  const n = bowlfulsNeeded(input);
  return (
    <ul aria-label="Warnings">
      {warnings.length === 0 && (
        <li className="border-t border-steel-light py-2.5">
          {a.mixer?.name}: <span className="fig">{plainNumber(100 * whip.fillShare, 0)}&nbsp;%</span> full of liquid,{' '}
          {whip.fillShare < BEST_FILL[input.mixer] * GOOD_FILL.low ? 'shallow: it goes quicker than in a full bowl.' : 'a good filling.'}
        </li>
      )}
      {warnings.map((warning) => (
        <li key={warning.key} className="border-t border-steel-light py-2.5" data-warning={warning.key}>
          <span className="font-[650] text-beet">Look: </span>
          {words(warning, input, whip, a.mixer?.name ?? 'the bowl')}
          {(warning.key === 'climbs-out' || warning.key === 'too-full') && n !== null && n !== input.batches && (
            <button
              type="button"
              className="ml-2 min-h-7 border-b-2 border-yolk font-semibold hover:bg-yolk-pale"
              onClick={() => edit('batches', (d) => setPart(d, a.part.id, { whisk: { ...a.part.whisk, batches: n } }, context))}
            >
              Whisk in {n} bowlfuls
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
