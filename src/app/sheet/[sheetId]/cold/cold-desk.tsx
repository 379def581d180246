'use client';

import dynamic from 'next/dynamic';
import { useEffect, useEffectEvent, useState } from 'react';
import { Pause, Play } from 'lucide-react';
import { plainNumber, showHours, withUnit } from '../../../../core/figure';
import { unitsHere } from '../../../../core/measures/shown-here';
import type { ColdSetup } from '../../../../core/document/cold-plan-schema';
import type { ColdView } from '../../../../core/cold/view';
import { valueAt } from '../../../../core/cold/run';
import { mainReady } from '../../../../core/cold/tries';
import { readyFigure } from '../../../../core/tells/cold-figures';
import { Segments } from '../../../../ui/choice';
import { FigureButton } from '../../../../ui/figure-button';
import { isTyping } from '../../../../ui/frame';
import { SheetFrame } from '../../../../ui/sheet/sheet-frame';
import { useAnalysis, useSheet } from '../../../../ui/sheet/sheet-provider';
import { useCold } from '../../../../workers/use-cold';
import { ColdPages } from '../../../cold/cold-pages';
import { Happenings } from './happenings';
import { FieldLegend, SectionFieldView, type Shown } from './section-field';
import { SetupForm } from './setup-form';
import { Sooner } from './sooner';
import { Tempering } from './tempering';

const TimeChart = dynamic(() => import('./time-chart').then((m) => m.TimeChart), { ssr: false });

/** Changes the set-up of the sheet. */
export function useSetup(): readonly [ColdSetup, (change: Partial<ColdSetup>) => void] {
  const { doc, edit } = useSheet();
  return [
    doc.cold.setup,
    (change) => edit(`cold:${Object.keys(change).join()}`, (d) => ({ ...d, cold: { ...d.cold, setup: { ...d.cold.setup, ...change } } })),
  ];
}

/** Cold: how long in this tin, in this place, and when it is ready for what. */
export function ColdDesk() {
  const { id, doc, kitchen } = useSheet();
  const [setup, change] = useSetup();
  const analysis = useAnalysis();
  const { view, current } = useCold(doc, kitchen, setup);
  return (
    <SheetFrame station="Cold">
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <ColdPages sheetId={id} here="run" />
      </div>
      <div className="grid min-h-full grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_372px]">
        <section aria-label="In the cold" aria-busy={!current} className="px-4 pt-4 pb-8 md:px-6">
          {view === null ? (
            <p className="py-8 text-[17px] text-ink-soft">Working it out…</p>
          ) : view.ok ? (
            <Run view={view.value} />
          ) : (
            <p className="max-w-[60ch] py-8 text-[19px] text-beet">{view.fault.says}</p>
          )}
        </section>
        <aside aria-label="Set-up" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-[22px] lg:border-l">
          <SetupForm setup={setup} onChange={change} />
          {view?.ok && <Happenings view={view.value} />}
          {view?.ok && view.value.freezing && <Tempering view={view.value} analysis={analysis} />}
          <Sooner setup={setup} />
        </aside>
      </div>
    </SheetFrame>
  );
}

function Run({ view }: { readonly view: ColdView }) {
  const analysis = useAnalysis();
  const [asked, setHour] = useState<number | null>(null);
  const [shown, setShown] = useState<Shown>('temperature');
  const [playing, setPlaying] = useState(false);
  const { curves, frames, answers } = view;
  const end = curves.h.at(-1)!;
  const main = mainReady(answers.ready);
  const hour = Math.min(end, asked ?? Math.min(end, (main?.atH ?? end) * 0.2));
  const frame = frames.reduce((best, f, i) => (Math.abs(f.h - hour) < Math.abs(frames[best]!.h - hour) ? i : best), 0);
  const moments = answers.ready.flatMap((r) => (r.atH === null ? [] : [{ h: r.atH, name: r.name }]));
  const step = useEffectEvent((by: number) => setHour(Math.max(0, Math.min(end, hour + by))));
  const keys = useEffectEvent((e: KeyboardEvent) => {
    if (isTyping(e) || e.ctrlKey || e.metaKey || e.altKey || (e.target instanceof HTMLElement && e.target.closest('[role="slider"], select, input') !== null))
      return;
    if (e.key === 'ArrowRight' || e.key === 'ArrowLeft') {
      e.preventDefault();
      step((e.key === 'ArrowRight' ? 1 : -1) * (end / 60));
    }
  });
  useEffect(() => {
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, []);
  const onward = useEffectEvent(() => {
    if (hour >= end) setPlaying(false);
    else step(end / 150);
  });
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(onward, 60);
    return () => clearInterval(timer);
  }, [playing]);
  const at = (curve: readonly number[]): string => withUnit(plainNumber(valueAt(curves.h, curve, hour), 1), '°C');
  return (
    <>
      <p className="pb-2 text-[20px] leading-snug" data-ready={main?.atH?.toFixed(3) ?? 'never'}>
        {main === null ? (
          'Nothing is waited for.'
        ) : main.atH === null ? (
          <span className="font-semibold text-beet">{main.says}</span>
        ) : main.atH < 0.02 ? (
          <>It is {main.name.replace(/^to /, 'ready to ')} as it goes in.</>
        ) : (
          <>
            {main.name.charAt(0).toUpperCase() + main.name.slice(1)} after <FigureButton figure={readyFigure(analysis, view, main)} className="text-[22px]" />;{' '}
            <span className="text-[16px] text-ink-soft">{main.says}.</span>
          </>
        )}
      </p>
      {answers.broken[0] && (
        <p className="pb-2 text-[15px]" data-broken={answers.broken[0].key}>
          <b className="text-beet">First limit:</b> {answers.broken[0].says}
        </p>
      )}
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-[minmax(0,1fr)_150px]">
        <div className="h-[min(36vh,300px)]">
          <SectionFieldView
            view={view}
            frame={frame}
            shown={view.freezing ? shown : 'temperature'}
            says={`Section after ${showHours(hour)}: core ${at(curves.core)}, edge ${at(curves.edge)}`}
          />
        </div>
        <div className="grid content-start gap-2">
          <dl className="grid grid-cols-2 content-start gap-x-8 gap-y-1.5 text-[15px] sm:grid-cols-1">
            {(
              [
                ['after', showHours(hour)],
                ['core', at(curves.core)],
                ['mean', at(curves.mean)],
                ['edge', at(curves.edge)],
                ['air', at(curves.air)],
              ] as const
            ).map(([name, value]) => (
              <div key={name} className="flex items-baseline justify-between gap-3 border-b border-steel-light">
                <dt className="text-ink-soft">{name}</dt>
                <dd className="fig text-[17px]">{value}</dd>
              </div>
            ))}
          </dl>
          <FieldLegend view={view} shown={view.freezing ? shown : 'temperature'} />
        </div>
      </div>
      <div className="mt-2 flex items-center gap-3">
        <button
          type="button"
          className="btn w-10 px-0"
          aria-label={playing ? 'Stop' : 'Play'}
          onClick={() => {
            if (!playing && hour >= end) setHour(0);
            setPlaying(!playing);
          }}
        >
          {playing ? <Pause size={16} /> : <Play size={16} />}
        </button>
        <input
          type="range"
          aria-label="Hours since it went in"
          aria-valuetext={showHours(hour)}
          min={0}
          max={end}
          step={end / 300}
          value={hour}
          onChange={(e) => setHour(Number(e.target.value))}
          className="h-9 min-w-0 flex-1 accent-ink"
        />
        {view.freezing && (
          <div className="w-52">
            <Segments
              label=""
              value={shown}
              options={[
                ['temperature', unitsHere().temperature],
                ['ice', 'ice, %'],
              ]}
              onChange={setShown}
            />
          </div>
        )}
      </div>
      <div className="mt-2 h-[min(30vh,240px)]">
        <TimeChart
          curves={curves}
          moments={moments}
          nowH={hour}
          onHour={(h) => setHour(Math.max(0, Math.min(end, h)))}
          says={`Core, mean, edge and air over ${showHours(end)}; ${moments.map((m) => `${m.name} after ${showHours(m.h)}`).join(', ')}`}
        />
      </div>
      <p className="text-[13.5px] text-ink-soft">Thick: core; dashed: mean of the heat; dotted: edge; thin: air in there. Drag in the chart, or use ← and →.</p>
    </>
  );
}
