'use client';

import { useMemo, useState } from 'react';
import { plainNumber, showGrams, withUnit } from '../../../../core/figure';
import { analyseSheet } from '../../../../core/analysis/analyse';
import { compareFigures } from '../../../../core/rewrite/compare';
import { BASIS_NAMES, swapOptions, type Basis, type SwapOption } from '../../../../core/rewrite/swap';
import { FigurePairs } from '../../../../ui/difference-list';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';

/** Puts another ingredient in a line's place, by what it brings; the figures before and after. */
export function SwapPanel({ lineId, name, onDone }: { readonly lineId: string; readonly name: string; readonly onDone: () => void }) {
  const { doc, edit, context, kitchen } = useSheet();
  const before = useAnalysis();
  const [text, setText] = useState('');
  const [toId, setToId] = useState<string | null>(null);
  const [basis, setBasis] = useState<Basis | null>(null);
  const found = text.trim() === '' ? [] : context.matcher.find(text, 5);
  const to = toId === null ? null : (kitchen.larder.get(toId) ?? null);
  const options = useMemo(() => (to ? swapOptions(doc, lineId, to, kitchen) : null), [doc, lineId, to, kitchen]);
  const chosen = options?.ok ? (options.value.find((o) => o.basis === basis) ?? usual(options.value)) : null;
  const pairs = useMemo(() => (chosen ? compareFigures(before, analyseSheet(chosen.sheet, kitchen)) : []), [before, chosen, kitchen]);
  return (
    <div className="text-[14.5px]">
      <label className="block">
        <span className="block text-[13.5px] text-ink-soft">In place of {name}</span>
        <input
          autoFocus
          value={to ? to.name : text}
          placeholder="type a name: mascarpone, caster, powder…"
          onChange={(e) => {
            setText(e.target.value);
            setToId(null);
          }}
          className="field mt-0.5 w-full"
        />
      </label>
      {!to && found.length > 0 && (
        <ul className="mt-1">
          {found.map(({ ingredient }) => (
            <li key={ingredient.id}>
              <button
                type="button"
                className="flex min-h-9 w-full items-center rounded-s px-2 text-left hover:bg-yolk-pale pointer-coarse:min-h-11"
                onClick={() => setToId(ingredient.id)}
              >
                {ingredient.name}
              </button>
            </li>
          ))}
        </ul>
      )}
      {options && !options.ok && <p className="mt-2 text-beet">{options.fault.says}</p>}
      {options?.ok && chosen && (
        <>
          <fieldset className="mt-2.5">
            <legend className="text-[13.5px] text-ink-soft">So that it brings</legend>
            {options.value.map((o) => (
              <label key={o.basis} className="flex min-h-8 cursor-pointer items-baseline gap-2.5 pointer-coarse:min-h-11">
                <input
                  type="radio"
                  name="basis"
                  className="size-4 self-center accent-ink"
                  checked={o.basis === chosen.basis}
                  onChange={() => setBasis(o.basis)}
                />
                <span className="flex-1">{BASIS_NAMES[o.basis]}</span>
                <span className="fig">{showGrams(o.massG)}</span>
              </label>
            ))}
          </fieldset>
          <p className="mt-1 text-[13.5px] text-ink-soft">{differenceWords(chosen)}</p>
          <div className="mt-1.5 border-t border-steel pt-1">
            <FigurePairs pairs={pairs} />
          </div>
          <button
            type="button"
            className="btn btn-act mt-2.5"
            onClick={() => {
              edit('swap', () => chosen.sheet);
              onDone();
            }}
          >
            Swap it: {chosen.text}
          </button>
        </>
      )}
    </div>
  );
}

const ORDER: readonly Basis[] = ['setter', 'alcohol', 'fat', 'sweetness', 'acid', 'mass', 'water'];
/** The basis that a cook would mean: what sets by its set, what is rich by its fat, what is sweet by its sweetness. */
const usual = (options: readonly SwapOption[]): SwapOption | null => ORDER.map((b) => options.find((o) => o.basis === b)).find((o) => o !== undefined) ?? null;

const NAMES = { fat: 'fat', sweetness: 'sweetness', water: 'water', alcohol: 'alcohol', acid: 'acid' } as const;

/** 'It brings 40 g water more and 3 g fat less.' */
function differenceWords(o: SwapOption): string {
  const parts = (Object.keys(NAMES) as (keyof typeof NAMES)[])
    .filter((k) => Math.abs(o.difference[k]) >= 0.5)
    .map(
      (k) =>
        `${withUnit(plainNumber(Math.abs(o.difference[k]), Math.abs(o.difference[k]) < 10 ? 1 : 0), 'g')} ${NAMES[k]} ${o.difference[k] > 0 ? 'more' : 'less'}`,
    );
  return parts.length === 0 ? 'Fat, sugar and water stay as they are.' : `It brings ${parts.join(', ')}.`;
}
