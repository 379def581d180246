'use client';

import { useState } from 'react';
import { plainNumber, withUnit } from '../../../../../core/figure';
import type { PartSoak } from '../../../../../core/tin/sheet-soak';
import { QuantityField } from '../../../../../ui/quantity-field';
import { useSheet } from '../../../../../ui/sheet/sheet-provider';

/** The kitchen's own dip test: five biscuits weighed dry and dipped replace the larder's figures in this sheet. */
export function DipTestForm({ soak }: { readonly soak: PartSoak }) {
  const { doc, edit } = useSheet();
  const { ingredient } = soak;
  const kept = doc.tin.dipTests[ingredient.id];
  const five = 5 * (ingredient.piece?.grams ?? 8);
  const [draft, setDraft] = useState({ seconds: doc.tin.dipS, dryG: five, dippedG: 0 });
  const wrong = draft.dippedG > 0 && draft.dippedG <= draft.dryG ? 'Dipped biscuits weigh more than dry ones: weigh them again.' : null;
  const keep = () => edit('tin:dip-test', (d) => ({ ...d, tin: { ...d.tin, dipTests: { ...d.tin.dipTests, [ingredient.id]: draft } } }));
  const drop = () =>
    edit('tin:dip-test', (d) => {
      const { [ingredient.id]: _gone, ...rest } = d.tin.dipTests;
      return { ...d, tin: { ...d.tin, dipTests: rest } };
    });
  return (
    <section aria-label={`Dip test of ${ingredient.name}`} className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">Your own dip test</h2>
      {kept ? (
        <>
          <p className="py-1 text-[14.5px]">
            <span className="fig">{withUnit(plainNumber(kept.dryG, 1), 'g')}</span> dry came to{' '}
            <span className="fig">{withUnit(plainNumber(kept.dippedG, 1), 'g')}</span> after{' '}
            <span className="fig">{withUnit(plainNumber(kept.seconds, 1), 's')}</span>:{' '}
            <span className="fig">{withUnit(plainNumber((100 * (kept.dippedG - kept.dryG)) / kept.dryG, 0), '%')}</span>. It replaces the larder’s figures in
            this sheet.
          </p>
          <button type="button" className="min-h-9 text-[14px] underline decoration-dotted underline-offset-4 hover:text-ink" onClick={drop}>
            Back to the larder’s figures
          </button>
        </>
      ) : (
        <>
          <p className="py-1 text-[14px] text-ink-soft">Weigh five dry, dip each as you do, let them drip once, weigh them again.</p>
          <div className="grid grid-cols-3 items-end gap-x-3">
            <QuantityField label="Seconds" unit="s" value={draft.seconds} min={0.2} max={60} onChange={(seconds) => setDraft({ ...draft, seconds })} />
            <QuantityField label="Dry" unit="g" value={draft.dryG} min={0.1} max={5000} onChange={(dryG) => setDraft({ ...draft, dryG })} />
            <QuantityField label="Dipped" unit="g" value={draft.dippedG} min={0} max={20_000} onChange={(dippedG) => setDraft({ ...draft, dippedG })} />
          </div>
          {wrong && (
            <p role="alert" className="pt-1 text-[14px] text-beet">
              {wrong}
            </p>
          )}
          <button type="button" className="btn mt-2.5" disabled={draft.dippedG <= 0 || wrong !== null} onClick={keep}>
            Use these figures
          </button>
        </>
      )}
    </section>
  );
}
