'use client';

import Link from 'next/link';
import { X } from 'lucide-react';
import { inSentence } from '../../../core/figure';
import { showSpan } from '../../../core/timetable/says';
import { clockOf, dayClock } from '../../../core/timetable/clock-words';
import type { PlannedGap, PlannedTask } from '../../../core/timetable/service-plan';
import { gapKey } from '../../../core/timetable/names';
import { localTime } from '../../../core/timetable/zone';
import { LocalMoment } from '../../../ui/local-moment';
import { QuantityField } from '../../../ui/quantity-field';
import { useService } from '../service-provider';

/** One task with its working: how long and why, why not later, what it waits for; each of it can be changed here. */
export function TaskPanel({ task: t }: { readonly task: PlannedTask }) {
  const { doc, plan, change, select } = useService();
  const { zone } = doc;
  const waits = plan?.gaps.filter((g) => (g.from === t.id || g.to === t.id) && (g.min > 0 || g.max !== null) && (g.says !== '' || g.max !== 0)) ?? [];
  const pin = doc.pins[t.id];
  const setPin = (local: string | null) =>
    change((d) => {
      const pins = { ...d.pins };
      if (local === null) delete pins[t.id];
      else pins[t.id] = local;
      return { ...d, pins };
    });
  const edited = doc.minutes[t.id];
  const serving = doc.servings.find((s) => s.id === t.servings[0]);
  return (
    <section aria-label={`Task: ${t.name}`} data-panel="task">
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-[19px] leading-snug">{t.kind === 'served' ? `${t.dish} is served` : t.name}</h2>
        <button
          type="button"
          className="-mt-0.5 flex size-9 shrink-0 items-center justify-center text-ink-soft hover:text-ink pointer-coarse:size-11"
          aria-label="Close"
          onClick={() => select(null)}
        >
          <X size={18} />
        </button>
      </div>
      <p className="text-ink-soft">
        {t.kind !== 'served' && t.dish}
        {t.part && `, ${inSentence(t.part)}`}
      </p>
      <p className="pt-2">
        <b className="fig text-[21px]">
          {dayClock(t.start, zone)}
          {t.end > t.start && ` – ${t.end - t.start < 1440 ? clockOf(t.end, zone) : dayClock(t.end, zone)}`}
        </b>
        {t.cook && <span>, {t.cook}</span>}
        {t.needs.length > 0 && <span>, {t.needs.join(', ')}</span>}
      </p>
      {t.done && <p className="text-ink-soft">It is behind.</p>}
      {t.running && <p>It is in hand.</p>}
      {t.kind !== 'served' && (
        <>
          <dl className="mt-2 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 gap-y-1 border-t border-steel-light pt-2 text-[14.5px]">
            <dt className="text-ink-soft">takes</dt>
            <dd>
              <b className="fig">{showSpan(t.end - t.start)}</b>: {t.because}
            </dd>
            <dt className="text-ink-soft">not later</dt>
            <dd>{t.why}</dd>
            <dt className="text-ink-soft">could slide</dt>
            <dd>
              {t.latest > t.soonest
                ? `from ${dayClock(t.soonest, zone)} to ${dayClock(t.latest, zone)}, the others staying where they are`
                : 'not at all without the others'}
            </dd>
            {t.critical && (
              <>
                <dt className="text-ink-soft">chain</dt>
                <dd>on the chain that sets when everything begins</dd>
              </>
            )}
          </dl>
          <div className="mt-2 grid grid-cols-2 items-end gap-x-3 gap-y-2 border-t border-steel-light pt-2">
            <QuantityField
              key={`${t.id}-minutes`}
              label="Takes"
              unit="min"
              value={edited?.minutes ?? t.end - t.start}
              min={0}
              max={20_160}
              whole
              onChange={(minutes) => change((d) => ({ ...d, minutes: { ...d.minutes, [t.id]: { minutes } } }), true)}
            />
            {edited ? (
              <button
                type="button"
                className="btn text-[14px]"
                onClick={() => change((d) => ({ ...d, minutes: Object.fromEntries(Object.entries(d.minutes).filter(([k]) => k !== t.id)) }))}
              >
                As worked out
              </button>
            ) : (
              <span />
            )}
            {!t.done && !t.running && (
              <>
                <div className="col-span-2">
                  <LocalMoment
                    label="Pinned to"
                    value={pin ?? localTime(t.start, zone)}
                    soft={pin === undefined}
                    onChange={(local) => setPin(local === '' ? null : local)}
                  />
                </div>
                {pin === undefined ? (
                  <button type="button" className="btn text-[14px]" onClick={() => setPin(localTime(t.start, zone))}>
                    Pin it here
                  </button>
                ) : (
                  <button type="button" className="btn text-[14px]" onClick={() => setPin(null)}>
                    Let it go
                  </button>
                )}
              </>
            )}
          </div>
        </>
      )}
      {waits.length > 0 && (
        <div className="mt-3">
          <h3 className="text-[15px]">Waits</h3>
          <ul>
            {waits.map((g) => (
              <Wait key={gapKey(g.from, g.to)} gap={g} of={t.id} />
            ))}
          </ul>
        </div>
      )}
      {serving && (
        <p className="pt-3 text-[14px]">
          <Link href={`/sheet/${serving.sheetId}/bench`} className="underline decoration-dotted underline-offset-4">
            to the sheet
          </Link>
        </p>
      )}
    </section>
  );
}

/** From here on a limit is shown in hours, min. */
const LONG_MIN = 240;

function Wait({ gap: g, of }: { readonly gap: PlannedGap; readonly of: string }) {
  const { plan, doc, change } = useService();
  const other = plan?.tasks.find((t) => t.id === (g.from === of ? g.to : g.from));
  const key = gapKey(g.from, g.to);
  const edit = doc.gaps[key];
  const long = (g.max ?? 0) >= LONG_MIN;
  const set = (next: { min: number; max: number | null }) => change((d) => ({ ...d, gaps: { ...d.gaps, [key]: next } }), true);
  return (
    <li className="border-t border-steel-light py-1.5 text-[14px]">
      <p>
        {g.from === of ? 'until' : 'after'} ‘{other === undefined || other.kind === 'served' ? 'served' : inSentence(other.name)}’:{' '}
        <b className="fig">{showSpan(g.minutes)}</b>
        {g.says && <span className="text-ink-soft">; {g.says}</span>}
      </p>
      <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-2 pt-1">
        <QuantityField
          key={`${key}-min`}
          label="At least"
          unit="min"
          value={g.min}
          min={0}
          max={200_000}
          whole
          onChange={(min) => set({ min, max: g.max === null ? null : Math.max(min, g.max) })}
        />
        {g.max === null ? (
          <button type="button" className="btn text-[14px]" onClick={() => set({ min: g.min, max: Math.max(g.minutes, g.min) })}>
            Set a most
          </button>
        ) : (
          <QuantityField
            key={`${key}-max`}
            label="At most"
            unit={long ? 'h' : 'min'}
            value={long ? Math.round((10 * g.max) / 60) / 10 : g.max}
            min={0}
            max={long ? 3000 : 200_000}
            onChange={(v) => set({ min: Math.min(g.min, Math.round(v * (long ? 60 : 1))), max: Math.round(v * (long ? 60 : 1)) })}
          />
        )}
        {edit && (
          <button
            type="button"
            className="btn text-[14px]"
            onClick={() => change((d) => ({ ...d, gaps: Object.fromEntries(Object.entries(d.gaps).filter(([k]) => k !== key)) }))}
          >
            As it was
          </button>
        )}
      </div>
    </li>
  );
}
