'use client';

import Link from 'next/link';
import { plainNumber, showGrams, showHours, withUnit } from '../../../../../core/figure';
import { soakServed, soaksOf, type PartSoak } from '../../../../../core/tin/sheet-soak';
import type { TinPlan } from '../../../../../core/document/tin-plan-schema';
import { soakOf, type SoakInput } from '../../../../../core/tin/soak';
import { soakPortionFigure, softFigure, syrupFigure, uptakeFigure } from '../../../../../core/tells/tin-figures';
import { soakTrack } from '../../../../../core/tells/tin-tells';
import { setLineAmount } from '../../../../../core/editing/edits';
import type { SheetAnalysis } from '../../../../../core/analysis/analysed';
import { FigureButton } from '../../../../../ui/figure-button';
import { QuantityField } from '../../../../../ui/quantity-field';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../../ui/sheet/sheet-provider';
import { TrackRuler } from '../../../../../ui/track';
import { TinPages } from '../../../../tin/tin-pages';
import { DipTestForm } from './dip-test';
import { RestBand } from './rest-band';

/** Soak and rest: how long in the soak, how much of it, and when the biscuits bend. */
export function SoakDesk() {
  const analysis = useAnalysis();
  const { id, doc, edit } = useSheet();
  const soaks = soaksOf(analysis);
  const set = (change: Partial<TinPlan>) => edit('tin:soak', (d) => ({ ...d, tin: { ...d.tin, ...change } }));
  const wet = soaks.some((x) => x.way === 'dipped' && x.soak);
  return (
    <SheetFrame station="Tin">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <TinPages sheetId={id} here="soak" />
      </div>
      {soaks.length === 0 ? (
        <div className="px-4 py-6 md:px-6">
          <p className="mb-4 max-w-[60ch] text-[19px]">
            No biscuits are laid in this sheet: add a biscuit layer on Bench, with a line like 48 ladyfingers, and a soak if they are dipped.
          </p>
          <Link href={`/sheet/${id}/bench`} className="btn btn-act">
            To Bench
          </Link>
        </div>
      ) : (
        <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px]">
          <section aria-label="Soak" className="px-4 pt-4 pb-8 md:px-6">
            {wet && (
              <div className="mb-4 grid max-w-[720px] grid-cols-[minmax(0,1fr)_120px] items-end gap-x-6 gap-y-3 sm:grid-cols-[minmax(0,1fr)_110px_110px]">
                <label className="col-span-2 block sm:col-span-1">
                  <span className="block text-[13.5px] text-ink-soft">Dip, both sides together</span>
                  <input
                    type="range"
                    min={0}
                    max={8}
                    step={0.1}
                    value={Math.min(8, doc.tin.dipS)}
                    aria-valuetext={`${doc.tin.dipS} seconds`}
                    onChange={(e) => set({ dipS: Number(e.target.value) })}
                    className="mt-1 block h-9 w-full accent-ink"
                  />
                </label>
                <QuantityField label="Seconds" unit="s" value={doc.tin.dipS} min={0} max={60} onChange={(dipS) => set({ dipS })} />
                <QuantityField label="Soak at" unit="°C" value={doc.tin.soakC} min={0} max={90} onChange={(soakC) => set({ soakC })} />
              </div>
            )}
            {soaks.map((x) => (
              <PartRow key={x.partId} soak={x} hours={doc.servedAfterH} />
            ))}
          </section>
          <aside aria-label="Soak in all" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
            <InAll analysis={analysis} soaks={soaks} />
            <div className="max-w-44">
              <QuantityField
                label="Served after"
                unit="h"
                value={doc.servedAfterH}
                min={0}
                max={2400}
                onChange={(servedAfterH) => edit('served-after', (d) => ({ ...d, servedAfterH }))}
              />
            </div>
            {soaks
              .filter((x) => x.way === 'dipped' && x.soak)
              .map((x) => (
                <DipTestForm key={x.ingredient.id} soak={x} />
              ))}
          </aside>
        </div>
      )}
    </SheetFrame>
  );
}

const READING_WORDS = { dry: 'a dry middle', right: 'right for a day’s rest', soggy: 'soggy', pools: 'more than it holds: it pools below' } as const;

function PartRow({ soak: x, hours }: { readonly soak: PartSoak; readonly hours: number }) {
  const uptake = uptakeFigure(x);
  const soft = softFigure(x);
  const right = x.rightS;
  return (
    <section aria-label={x.name} className="border-t border-steel py-4" data-soak={x.partId} data-reading={x.soak?.ok ? x.soak.value.reading : 'none'}>
      <h2 className="text-[20px]">{x.name}</h2>
      <p className="text-ink-soft">
        <span className="fig text-ink">{plainNumber(x.pieces, 0)}</span> {x.ingredient.name.toLowerCase()},{' '}
        <span className="fig text-ink">{showGrams(x.biscuitsG)}</span> dry, {{ dry: 'laid dry', dipped: 'dipped', brushed: 'brushed' }[x.way]}
      </p>
      {x.soak && !x.soak.ok && <p className="py-2 text-beet">{x.soak.fault.says}</p>}
      {uptake && x.soak?.ok && (
        <div className="grid items-center gap-x-6 py-2 sm:grid-cols-[minmax(0,1fr)_260px]">
          <p className="text-[19px]">
            They drink <FigureButton figure={uptake} className="text-[21px]" /> of their weight:{' '}
            <b className={x.soak.value.reading === 'right' ? 'text-fern-ink' : 'text-beet'}>{READING_WORDS[x.soak.value.reading]}</b>.
            {right && x.soak.value.reading !== 'right' && (
              <span className="block text-[15px] text-ink-soft">
                {right.ok ? (
                  <>
                    About <span className="fig text-ink">{withUnit(plainNumber(right.value, 1), 's')}</span> would be right.
                  </>
                ) : (
                  right.fault.says
                )}
              </span>
            )}
          </p>
          <TrackRuler track={soakTrack(x.soak.value.filled)} out={x.soak.value.reading === 'pools'} />
        </div>
      )}
      {!x.soak && (
        <p className="py-1 text-ink-soft">
          {x.way === 'dry' ? 'Dry: only the cream softens them.' : 'There is no soak in this sheet yet: add a soak part on Bench.'}
        </p>
      )}
      {x.softening.ok ? (
        <>
          {soft && (
            <p className="pt-1 text-[17px]">
              {x.softening.value.sponge ? (
                'A sponge: it bends from the start'
              ) : (
                <>
                  Soft through after <FigureButton figure={soft} className="text-[19px]" />
                </>
              )}
              ; falls apart after about <span className="fig">{showHours(x.softening.value.mushH)}</span>.
            </p>
          )}
          <RestBand softening={x.softening.value} hours={hours} />
          {x.served && (
            <p className="text-[14.5px] text-ink-soft">
              Served after {showHours(hours)}: <span className="fig text-ink">{withUnit(plainNumber(100 * x.served.softened, 0), '%')}</span> softened, and with
              what the cream gives <span className="fig text-ink">{withUnit(plainNumber(100 * x.served.filled, 0), '%')}</span> of what{' '}
              {x.pieces === 1 ? 'it' : 'they'} can hold.
              {x.served.mush && <b className="text-beet"> By then {x.pieces === 1 ? 'it falls' : 'they fall'} apart.</b>}
            </p>
          )}
        </>
      ) : (
        <p className="py-2 text-beet">{x.softening.fault.says}</p>
      )}
      {x.input && x.way === 'dipped' && <DipTable soak={x} input={x.input} />}
    </section>
  );
}

const DIPS_S = [0.5, 1, 1.5, 2, 3, 4, 6] as const;

/** What other dips would do. */
function DipTable({ soak: x, input }: { readonly soak: PartSoak; readonly input: SoakInput }) {
  const { doc, edit } = useSheet();
  return (
    <table className="mt-4 w-full max-w-[720px] text-[15px]">
      <caption className="pb-1 text-left text-[13.5px] text-ink-soft">Other dips of {x.name.toLowerCase()} in this soak</caption>
      <thead>
        <tr className="text-[13.5px] text-ink-soft">
          <th scope="col" className="py-1 text-left font-normal">
            dip
          </th>
          <th scope="col" className="py-1 text-right font-normal">
            they drink
          </th>
          <th scope="col" className="py-1 text-right font-normal">
            soak needed
          </th>
          <th scope="col" className="py-1 pl-6 text-left font-normal">
            it is
          </th>
        </tr>
      </thead>
      <tbody>
        {DIPS_S.map((seconds) => {
          const soak = soakOf({ ...input, seconds });
          const here = Math.abs(doc.tin.dipS - seconds) < 0.05;
          return (
            <tr key={seconds} className={`border-t border-steel-light ${here ? 'bg-yolk-pale' : ''}`}>
              <th scope="row" className="py-1 text-left font-normal">
                <button
                  type="button"
                  className="min-h-7 underline decoration-dotted underline-offset-4 hover:text-ink"
                  onClick={() => edit('tin:soak', (d) => ({ ...d, tin: { ...d.tin, dipS: seconds } }))}
                >
                  <span className="fig">{withUnit(String(seconds), 's')}</span>
                </button>
              </th>
              <td className="fig py-1 text-right font-medium">{soak.ok ? withUnit(plainNumber(soak.value.uptakePct, 0), '%') : '–'}</td>
              <td className="fig py-1 text-right font-medium">{soak.ok ? showGrams(Math.round(soak.value.syrupG / 10) * 10) : '–'}</td>
              <td className={`py-1 pl-6 ${soak.ok && soak.value.reading === 'right' ? 'text-fern-ink' : ''}`}>
                {soak.ok ? READING_WORDS[soak.value.reading] : soak.fault.says}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function InAll({ analysis, soaks }: { readonly analysis: SheetAnalysis; readonly soaks: readonly PartSoak[] }) {
  const { edit, context, kitchen } = useSheet();
  const served = soakServed(analysis, soaks);
  if (!served) return <p className="pb-4 text-ink-soft">Nothing is soaked.</p>;
  const liquid = analysis.parts.find((a) => a.part.kind === 'soak')!;
  const factor = served.syrupThereG > 0 ? served.syrupNeededG / served.syrupThereG : 1;
  const brushed = soaks.every((x) => x.way !== 'dipped');
  const syrup = soaks.map(syrupFigure).find((f) => f !== null);
  const make = () =>
    edit('tin:soak-scale', (d) =>
      liquid.reading.lines.reduce(
        (at, l) => (l.read && l.kind === 'ingredient' ? setLineAmount(at, liquid.part.id, l.line.id, `${Math.round(l.read.massG * factor)} g`, context) : at),
        d,
      ),
    );
  return (
    <section aria-label="Soak needed" className="pb-4" data-needed={served.syrupNeededG.toFixed(1)}>
      <h2 className="text-[17px]">{liquid.part.name}</h2>
      <p className="py-1 text-[17px]">
        {syrup ? <FigureButton figure={syrup} className="text-[22px]" /> : null} needed, <span className="fig">{showGrams(served.syrupThereG)}</span> there.
      </p>
      {!brushed && Math.abs(factor - 1) > 0.05 && (
        <button type="button" className="btn btn-act" onClick={make}>
          Make {showGrams(served.syrupNeededG)} of it
        </button>
      )}
      <ul className="mt-3 text-[14.5px]">
        <li className="border-t border-steel-light py-1.5">
          <FigureButton figure={soakPortionFigure(analysis, served)} /> in a portion, {withUnit(plainNumber(served.drunkPerPortionMl, 0), 'mL')}
        </li>
        {served.caffeinatedPerPortionG > 0.5 && (
          <li className="border-t border-steel-light py-1.5">
            <span className="fig">{withUnit(plainNumber(served.caffeinatedPerPortionG, 0), 'g')}</span> of it coffee or the like, with caffeine
          </li>
        )}
        {served.ethanolPerPortionG > 0.05 && (
          <li className="border-t border-steel-light py-1.5">
            <span className="fig">{withUnit(plainNumber(served.ethanolPerPortionG, 1), 'g')}</span> alcohol a portion from it ({plainNumber(served.abvPct, 1)}
            &nbsp;% vol), <span className="fig">{plainNumber(served.ethanolPerPortionG / kitchen.rules.standardDrinkG, 2)}</span> standard drinks: not for
            children or those who avoid it
          </li>
        )}
      </ul>
    </section>
  );
}
