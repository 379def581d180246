'use client';

import { showHours } from '../../../../../core/figure';
import type { ColdSetup } from '../../../../../core/document/cold-plan-schema';
import type { ColdView } from '../../../../../core/cold/view';
import { mainReady } from '../../../../../core/cold/tries';
import type { Result } from '../../../../../core/result';
import { capacityMl, isPerPortion } from '../../../../../core/vessel/profile';
import { Choice } from '../../../../../ui/choice';
import { SheetFrame } from '../../../../../ui/sheet/sheet-frame';
import { useSheet } from '../../../../../ui/sheet/sheet-provider';
import { useCold } from '../../../../../workers/use-cold';
import { ColdPages } from '../../../../cold/cold-pages';
import { useSetup } from '../cold-desk';
import { SectionFieldView } from '../section-field';
import { SetupForm } from '../setup-form';

/** Two set-ups side by side: another vessel, another shelf, an ice bath first; the minutes between them. */
export function CompareDesk() {
  const { id, doc, kitchen, edit } = useSheet();
  const [setup, change] = useSetup();
  const { other } = doc.cold;
  const vessels = [
    doc.vessel,
    ...kitchen.vessels.map((v) => v.vessel).filter((v) => v.name !== doc.vessel.name && isPerPortion(v) === isPerPortion(doc.vessel)),
  ];
  const otherVessel = vessels.find((v) => v.name === doc.cold.otherVessel) ?? doc.vessel;
  const { view: first } = useCold(doc, kitchen, setup);
  const { view: second } = useCold(doc, kitchen, other, otherVessel);
  const setOther = (label: string, to: Partial<{ other: ColdSetup | null; otherVessel: string | null }>) =>
    edit(`cold:other:${label}`, (d) => ({ ...d, cold: { ...d.cold, ...to } }));
  const readyOf = (v: Result<ColdView> | null): number | null => (v?.ok ? (mainReady(v.value.answers.ready)?.atH ?? null) : null);
  const [a, b] = [readyOf(first), other ? readyOf(second) : null];
  const min = a !== null && b !== null ? Math.round(60 * (a - b)) : null;
  return (
    <SheetFrame station="Cold">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <ColdPages sheetId={id} here="compare" />
      </div>
      <p className="px-4 pt-4 text-[20px] md:px-6" data-saved-min={min ?? ''}>
        {other === null ? (
          'One set-up so far.'
        ) : min === null ? (
          'One of the two is never ready.'
        ) : min === 0 ? (
          'Both are ready at the same time.'
        ) : (
          <>
            The {min > 0 ? 'second' : 'first'} is ready <span className="fig text-[22px]">{showHours(Math.abs(min) / 60)}</span> sooner.
          </>
        )}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 px-4 py-4 md:px-6 lg:grid-cols-2">
        <section aria-label="First set-up">
          <h2 className="pb-1 text-[18px]">As it is set</h2>
          <OneRun view={first} vesselName={doc.vessel.name} />
          <SetupForm setup={setup} onChange={change} />
        </section>
        {!other && (
          <section aria-label="No second set-up" className="max-lg:mt-6 max-lg:border-t max-lg:border-steel max-lg:pt-4">
            <h2 className="pb-2 text-[18px]">Beside it</h2>
            <p className="max-w-[44ch] pb-3 text-[16px] text-ink-soft">
              A shallower tray, more moulds, an ice bath first, a colder shelf, a tin from the fridge: set it up here and see the minutes between the two.
            </p>
            <button type="button" className="btn btn-act" onClick={() => setOther('begin', { other: { ...setup, iceBathMin: setup.iceBathMin > 0 ? 0 : 20 } })}>
              Set another up beside it
            </button>
          </section>
        )}
        {other && (
          <section aria-label="Second set-up" className="max-lg:mt-6 max-lg:border-t max-lg:border-steel max-lg:pt-4">
            <h2 className="pb-1 text-[18px]">Beside it</h2>
            <OneRun view={second} vesselName={otherVessel.name} />
            <div className="mb-3">
              <Choice
                label="Vessel"
                value={otherVessel.name}
                options={vessels.map((v) => [v.name, `${v.name}, ${Math.round(capacityMl(v))} mL`] as const)}
                onChange={(otherName) => setOther('vessel', { otherVessel: otherName === doc.vessel.name ? null : otherName })}
              />
            </div>
            <SetupForm setup={other} onChange={(to) => setOther(Object.keys(to).join(), { other: { ...other, ...to } })} />
            <button
              type="button"
              className="mt-3 min-h-9 text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
              onClick={() => setOther('end', { other: null, otherVessel: null })}
            >
              Take it away
            </button>
          </section>
        )}
      </div>
    </SheetFrame>
  );
}

function OneRun({ view, vesselName }: { readonly view: Result<ColdView> | null; readonly vesselName: string }) {
  if (view === null) return <p className="py-6 text-ink-soft">Working it out…</p>;
  if (!view.ok) return <p className="py-6 text-beet">{view.fault.says}</p>;
  const v = view.value;
  const main = mainReady(v.answers.ready);
  const hour = (main?.atH ?? v.curves.h.at(-1)!) / 2;
  const frame = v.frames.reduce((best, f, i) => (Math.abs(f.h - hour) < Math.abs(v.frames[best]!.h - hour) ? i : best), 0);
  return (
    <div className="pb-4">
      <p className="pb-2 text-[17px]">
        {main === null || main.atH === null ? (
          <span className="text-beet">{main?.says ?? 'Nothing is waited for.'}</span>
        ) : (
          <>
            <b className="font-[650]">{main.name}</b> after <span className="fig text-[20px]">{showHours(main.atH)}</span>, {main.says}
          </>
        )}
      </p>
      <div className="h-[200px]">
        <SectionFieldView view={v} frame={frame} shown="temperature" says={`${vesselName} half way, after ${showHours(v.frames[frame]!.h)}`} />
      </div>
      <p className="pt-1 text-[13.5px] text-ink-soft">
        {vesselName}, {v.topMm.toFixed(0)}&nbsp;mm high, half way there: after {showHours(v.frames[frame]!.h)}
      </p>
    </div>
  );
}
