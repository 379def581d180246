'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Fit } from '../../../../../core/cold/fit';
import { placeOf } from '../../../../../core/kitchen/place';
import { plainNumber, showHours, withUnit } from '../../../../../core/figure';
import { readCurve } from '../../../../../core/heat/lethality';
import { AIR_H } from '../../../../../core/heat/surface';
import type { Result } from '../../../../../core/result';
import type { ColdPlace } from '../../../../../core/kitchen/schema';
import { ClockTime } from '../../../../../ui/clock-time';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useSheet } from '../../../../../ui/sheet/sheet-provider';
import { coreWith } from '../../../../../workers/core-service';
import { ColdPages } from '../../../../cold/cold-pages';
import { useSetup } from '../cold-desk';
import { SetupForm } from '../setup-form';

/** One probe of one batch. */
export interface Series {
  readonly key: string;
  readonly startedAt: number;
  readonly name: string;
  /** Milliseconds since 1970, °C. */
  readonly readings: readonly (readonly [at: number, tC: number])[];
}

/** By the probe: readings of the core tell how well the air of a place takes heat; the corrected place is used from then on. */
export function ProbeDesk({ series }: { readonly series: readonly Series[] }) {
  const router = useRouter();
  const { id, doc, kitchen } = useSheet();
  const [setup, change] = useSetup();
  const [text, setText] = useState('');
  const [fit, setFit] = useState<Result<Fit> | null>(null);
  const [says, setSays] = useState<string | null>(null);
  const place = placeOf(kitchen, setup, doc.family);
  const usual = place ? AIR_H[place.kind] : null;
  const work = async (readings: readonly (readonly [number, number])[]) => {
    setSays(null);
    const core = await coreWith(kitchen);
    setFit(await core.fit(doc, setup, readings));
  };
  const typed = () => {
    const curve = readCurve(text);
    if (!curve.ok) setFit(curve);
    else void work(curve.value.map(([min, tC]) => [min / 60, tC] as const));
  };
  const keep = async (at: ColdPlace, hWPerM2K: number | null) => {
    try {
      const answer = await fetch('/api/kitchen/place-h', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ placeId: at.id, hWPerM2K }),
      });
      if (!answer.ok) throw new Error(((await answer.json()) as { says?: string }).says);
      setSays(hWPerM2K === null ? `${at.name} is reckoned as usual again.` : `${at.name} is reckoned with ${plainNumber(hWPerM2K, 1)} W/m²K from now on.`);
      router.refresh();
    } catch (error) {
      setSays(`Not kept: ${error instanceof Error && error.message ? error.message : 'the server does not answer.'}`);
    }
  };
  return (
    <SheetFrame station="Cold">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <ColdPages sheetId={id} here="probe" />
      </div>
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px]">
        <section aria-label="Readings" className="px-4 pt-4 pb-8 md:px-6">
          <p className="max-w-[62ch] pb-3 text-[17px]">
            The probe in the middle of it, from when it goes in: the readings say how well the air of the {place?.name.toLowerCase() ?? 'place'} takes heat.
          </p>
          {series.length > 0 && (
            <ul aria-label="Logged on Pass" className="pb-3">
              {series.map((s) => (
                <li key={s.key} className="flex flex-wrap items-center justify-between gap-3 border-t border-steel-light py-1.5">
                  <span>
                    {s.name.split(':').at(-1)}, <ClockTime at={s.startedAt} withDate />: <span className="fig">{s.readings.length}</span> readings over{' '}
                    {showHours((s.readings.at(-1)![0] - s.readings[0]![0]) / 3_600_000)}, {withUnit(plainNumber(s.readings[0]![1], 0), '°C')} to{' '}
                    {withUnit(plainNumber(s.readings.at(-1)![1], 0), '°C')}
                  </span>
                  <button
                    type="button"
                    className="btn"
                    onClick={() => void work(s.readings.map(([at, tC]) => [(at - s.readings[0]![0]) / 3_600_000, tC] as const))}
                  >
                    Fit
                  </button>
                </li>
              ))}
            </ul>
          )}
          <label className="block max-w-[640px]">
            <span className="block text-[13.5px] text-ink-soft">Or type them: minutes and °C, apart by commas</span>
            <textarea
              value={text}
              rows={2}
              maxLength={2000}
              placeholder="0 20, 30 16.4, 60 13.1, 120 9, 240 5.8"
              onChange={(e) => setText(e.target.value)}
              className="field fig mt-0.5 w-full py-2 text-[16px]"
            />
          </label>
          <button type="button" className="btn btn-act mt-2" disabled={text.trim() === ''} onClick={typed}>
            Fit these
          </button>
          <div role="status" className="pt-4">
            {fit && !fit.ok && <p className="text-[17px] text-beet">{fit.fault.says}</p>}
            {fit?.ok && (
              <p className="text-[19px]" data-fitted={fit.value.h.toFixed(2)}>
                <span className="fig text-[22px]">
                  {plainNumber(fit.value.h, 1)} ± {plainNumber(fit.value.error, 1)} W/m²K
                </span>{' '}
                in the {place?.name.toLowerCase()}; {fit.value.readings} readings, {withUnit(plainNumber(fit.value.misfitK, 1), '°C')} off on the whole.
                {usual !== null && <span className="block text-[15px] text-ink-soft">Usual for its kind: {usual} W/m²K.</span>}
              </p>
            )}
            {fit?.ok && place && (
              <button type="button" className="btn btn-act mt-2" onClick={() => void keep(place, Math.round(fit.value.h * 100) / 100)}>
                Use it for {place.name}
              </button>
            )}
            {says && <p className="pt-2 text-[15px]">{says}</p>}
          </div>
          <table className="mt-6 w-full max-w-[640px] text-[15px]">
            <caption className="pb-1 text-left text-[17px] font-[650]">How well the air of each place takes heat</caption>
            <thead>
              <tr className="text-[13.5px] text-ink-soft">
                <th scope="col" className="py-1 text-left font-normal">
                  place
                </th>
                <th scope="col" className="py-1 text-right font-normal">
                  usual of its kind
                </th>
                <th scope="col" className="py-1 text-right font-normal">
                  by your probe
                </th>
              </tr>
            </thead>
            <tbody>
              {kitchen.places.map((p) => (
                <tr key={p.id} className="border-t border-steel-light" data-place={p.id}>
                  <th scope="row" className="py-1.5 text-left font-normal">
                    {p.name}, {withUnit(plainNumber(p.airC, 0), '°C')}
                  </th>
                  <td className="fig py-1.5 text-right font-medium">{withUnit(String(AIR_H[p.kind]), 'W/m²K')}</td>
                  <td className="py-1.5 text-right">
                    {p.hWPerM2K === undefined ? (
                      <span className="text-ink-soft">not yet</span>
                    ) : (
                      <>
                        <span className="fig">{withUnit(plainNumber(p.hWPerM2K, 1), 'W/m²K')}</span>{' '}
                        <button
                          type="button"
                          className="min-h-8 text-[14px] underline decoration-dotted underline-offset-4 hover:text-ink"
                          onClick={() => void keep(p, null)}
                        >
                          Back to the usual
                        </button>
                      </>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <aside aria-label="Set-up" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
          <SetupForm setup={setup} onChange={change} />
        </aside>
      </div>
    </SheetFrame>
  );
}
