'use client';

import { useState } from 'react';
import { X } from 'lucide-react';
import { plainNumber, showVolumeMl, withUnit } from '../../../../core/figure';
import type { SheetAnalysis } from '../../../../core/analysis/analysed';
import type { Sheet } from '../../../../core/document/schema';
import { chooseVessels, filledWords, type Choice as VesselChoice } from '../../../../core/tin/choose';
import { capacityMl, isPerPortion } from '../../../../core/vessel/profile';
import { Choice } from '../../../../ui/choice';
import { QuantityField } from '../../../../ui/quantity-field';
import { useSheet } from '../../../../ui/sheet/sheet-provider';

/** The vessels that the batch fills: which, how many, others beside it, and what of the shelf would fit. */
export function VesselPanel({ analysis }: { readonly analysis: SheetAnalysis }) {
  const { doc, edit, kitchen } = useSheet();
  const shelf = kitchen.vessels.map((v) => v.vessel);
  const options = [doc.vessel, ...shelf.filter((v) => v.name !== doc.vessel.name)];
  const setTin = (label: string, change: (t: Sheet['tin']) => Partial<Sheet['tin']>) =>
    edit(`tin:${label}`, (d) => ({ ...d, tin: { ...d.tin, ...change(d.tin) } }));
  return (
    <section aria-label="Vessel">
      <div className="grid grid-cols-[minmax(0,1fr)_88px] items-end gap-x-3">
        <Choice
          label={isPerPortion(doc.vessel) ? 'Vessel, one a portion' : 'Vessel'}
          value={doc.vessel.name}
          options={options.map((v) => [v.name, `${v.name}, ${plainNumber(capacityMl(v), 0)} mL`] as const)}
          onChange={(name) => edit('vessel', (d) => ({ ...d, vessel: options.find((v) => v.name === name) ?? d.vessel }))}
        />
        {isPerPortion(doc.vessel) ? (
          <p className="self-center pt-4 text-right text-[14px] text-ink-soft">
            <span className="fig text-ink">{doc.portions - doc.tin.also.filter((a) => isPerPortion(a.vessel)).reduce((n, a) => n + a.count, 0)}</span> of them
          </p>
        ) : (
          <QuantityField label="How many" unit="" value={doc.tin.count} min={1} max={500} whole onChange={(count) => setTin('count', () => ({ count }))} />
        )}
      </div>
      {doc.tin.also.map((a, i) => (
        <div key={`${a.vessel.name}${i}`} className="mt-2 grid grid-cols-[minmax(0,1fr)_88px_36px] items-end gap-x-3">
          <p className="self-center pt-4">and {a.vessel.name.toLowerCase()}</p>
          <QuantityField
            label="How many"
            unit=""
            value={a.count}
            min={1}
            max={500}
            whole
            onChange={(count) => setTin(`also:${i}`, (t) => ({ also: t.also.map((x, k) => (k === i ? { ...x, count } : x)) }))}
          />
          <button
            type="button"
            className="flex h-9 items-center justify-center text-ink-soft hover:text-beet pointer-coarse:h-11"
            aria-label={`Take out ${a.vessel.name}`}
            onClick={() => setTin('also', (t) => ({ also: t.also.filter((_, k) => k !== i) }))}
          >
            <X size={16} />
          </button>
        </div>
      ))}
      <WhatFits analysis={analysis} />
    </section>
  );
}

/** The kitchen's vessels for this batch, alone or two kinds together. */
function WhatFits({ analysis }: { readonly analysis: SheetAnalysis }) {
  const { doc, edit, kitchen } = useSheet();
  const [open, setOpen] = useState(false);
  const ml = analysis.volumeMl.ok ? analysis.volumeMl.value : 0;
  const found = open ? chooseVessels(ml, doc.portions, doc.use, kitchen.vessels, isPerPortion(doc.vessel)) : null;
  const take = (c: VesselChoice) =>
    edit('tin:vessels', (d) => {
      const [main, ...also] = c.filled;
      const portions = c.filled.every((f) => isPerPortion(f.vessel)) ? c.portions : d.portions;
      return {
        ...d,
        vessel: main!.vessel,
        portions,
        tin: { ...d.tin, count: isPerPortion(main!.vessel) ? 1 : main!.count, also: also.map((f) => ({ vessel: f.vessel, count: f.count })) },
      };
    });
  return (
    <div className="mt-2">
      <button
        type="button"
        aria-expanded={open}
        className="min-h-9 text-[14px] underline decoration-dotted underline-offset-4 hover:text-ink"
        onClick={() => setOpen(!open)}
      >
        What on the shelf fits {showVolumeMl(ml)}?
      </button>
      {found && !found.ok && <p className="text-[14px] text-beet">{found.fault.says}</p>}
      {found?.ok && (
        <ul aria-label="Vessels that fit">
          {found.value.map((c) => (
            <li
              key={c.filled.map((f) => `${f.count}${f.vessel.name}`).join()}
              className="flex items-center justify-between gap-3 border-t border-steel-light py-1"
            >
              <span className="text-[14.5px]">
                {c.filled.map(filledWords).join(' and ')}
                <span className="block text-[13.5px] text-ink-soft">
                  {withUnit(plainNumber(100 * c.fullShare, 0), '%')} full, {c.portions} portions
                </span>
              </span>
              <button type="button" className="btn min-h-9" onClick={() => take(c)}>
                Take
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
