'use client';

import { proxy } from 'comlink';
import { useState } from 'react';
import type { Result } from '../../../../core/result';
import type { Capacity } from '../../../../core/timetable/capacity';
import { MOST_PORTIONS } from '../../../../core/timetable/house';
import { dayClock } from '../../../../core/timetable/clock-words';
import { dishName } from '../../../../core/timetable/names';
import { minuteOf } from '../../../../core/timetable/zone';
import { Choice } from '../../../../ui/choice';
import { CrewForm } from '../../../../ui/crew-form';
import { coreForService } from '../../../../workers/core-service';
import { ClockFrame } from '../../clock-frame';
import { useService } from '../../service-provider';

/** How many portions of one dessert can be there by its hour, with these hands and this room, everything else as it is. */
export function CapacityDesk() {
  const { doc, sheetOf, kitchen, soFar, now, change } = useService();
  const [chosen, setChosen] = useState('');
  const [state, setState] = useState<{ readonly of: string; readonly tried: readonly number[]; readonly found: Result<Capacity> | null } | null>(null);
  const serving = doc.servings.find((s) => s.id === chosen) ?? doc.servings[0];
  const question = JSON.stringify([serving?.id, doc]);
  const ask = async () => {
    if (!serving) return;
    setState({ of: question, tried: [], found: null });
    const core = await coreForService(kitchen, sheetOf);
    const found = await core.capacity(
      { service: doc, soFar, now },
      serving.id,
      proxy((n: number) => setState((s) => (s?.of === question ? { ...s, tried: [...s.tried, n] } : s))),
    );
    setState((s) => (s?.of === question ? { ...s, found } : s));
  };
  const stop = async () => {
    const core = await coreForService(kitchen, sheetOf);
    await core.stopTrying();
    setState(null);
  };
  const shown = state?.of === question ? state : null;
  if (!serving) {
    return (
      <ClockFrame here="capacity">
        <p className="px-4 py-6 text-[17px] md:px-6">Say on the ribbon first what is served, and when.</p>
      </ClockFrame>
    );
  }
  const name = dishName(doc, sheetOf, serving);
  return (
    <ClockFrame here="capacity">
      <div className="grid grid-cols-[minmax(0,1fr)] lg:min-h-[calc(100dvh-130px)] lg:grid-cols-[minmax(0,1fr)_336px]">
        <section aria-label="How many" className="px-4 pt-3 pb-10 md:px-6">
          <div className="flex max-w-[620px] flex-wrap items-end gap-3">
            <div className="min-w-[240px] flex-1">
              <Choice
                label="How many portions of"
                value={serving.id}
                options={doc.servings.map((s) => [s.id, dishName(doc, sheetOf, s)] as const)}
                onChange={setChosen}
              />
            </div>
            {shown && !shown.found ? (
              <button type="button" className="btn" onClick={() => void stop()}>
                Stop
              </button>
            ) : (
              <button type="button" className="btn btn-act" onClick={() => void ask()}>
                Work it out
              </button>
            )}
          </div>
          <div className="min-h-[130px] pt-5" aria-live="polite">
            {!shown && (
              <p className="text-ink-soft">
                By {dayClock(minuteOf(serving.at, doc.zone), doc.zone)}, with the hands beside, this kitchen’s vessels, bowls and fridges, and everything else
                of the service as it is.
              </p>
            )}
            {shown && !shown.found && <p className="text-[17px]">Trying {shown.tried.at(-1) ?? 1} portions…</p>}
            {shown?.found?.ok && (
              <>
                <p className="text-[19px]">
                  <b className="fig text-[40px] leading-none">{shown.found.value.portions}</b> portions of {name} by{' '}
                  {dayClock(minuteOf(serving.at, doc.zone), doc.zone)}
                </p>
                <p className="pt-2">
                  {shown.found.value.because === null ? `More than ${MOST_PORTIONS} were not tried.` : `One more does not go: ${shown.found.value.because}`}
                </p>
                <p className="pt-1 text-[14px] text-ink-soft">
                  {shown.found.value.tried} plans were made for it. The service says {serving.portions} now.{' '}
                  {shown.found.value.portions !== serving.portions && (
                    <button
                      type="button"
                      className="underline decoration-dotted underline-offset-4"
                      onClick={() =>
                        change((d) => ({
                          ...d,
                          servings: d.servings.map((s) => (s.id === serving.id && shown.found?.ok ? { ...s, portions: shown.found.value.portions } : s)),
                        }))
                      }
                    >
                      Plan {shown.found.value.portions}
                    </button>
                  )}
                </p>
              </>
            )}
            {shown?.found && !shown.found.ok && <p className="text-[17px] text-beet">{shown.found.fault.says}</p>}
          </div>
        </section>
        <aside aria-label="Hands" className="border-steel bg-paper px-4 pt-4 pb-8 max-lg:border-t md:px-5 lg:border-l">
          <h2 className="pb-1 text-[17px]">Hands</h2>
          <CrewForm crew={doc.crew} onChange={(crew) => change((d) => ({ ...d, crew }), true)} />
        </aside>
      </div>
    </ClockFrame>
  );
}
