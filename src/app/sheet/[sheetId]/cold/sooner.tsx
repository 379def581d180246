'use client';

import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { showHours } from '../../../../core/figure';
import type { ColdSetup } from '../../../../core/document/cold-plan-schema';
import { quickestFirst, type Tried } from '../../../../core/cold/tries';
import { useNow } from '../../../../ui/use-now';
import { useSheet } from '../../../../ui/sheet/sheet-provider';
import { coreWith } from '../../../../workers/core-service';
import { TimeField } from '../../../../ui/kit/time-field';

/** What would make it ready sooner: the solver tries one change after the other. */
export function Sooner({ setup }: { readonly setup: ColdSetup }) {
  const { doc, kitchen, edit } = useSheet();
  const [state, setState] = useState<{ readonly tried: readonly Tried[]; readonly of: number; readonly going: boolean } | null>(null);
  const [wanted, setWanted] = useState('');
  const now = useNow(wanted !== '', 30_000);
  const inH = hoursUntil(wanted, now);
  const asked = useRef(0);
  useEffect(() => () => void (asked.current = -1), []);
  const ask = async () => {
    const mine = ++asked.current;
    setState({ tried: [], of: 1, going: true });
    const core = await coreWith(kitchen);
    await core.tryChanges(
      doc,
      setup,
      proxy((one: Tried, of: number) => {
        if (mine === asked.current) setState((s) => ({ tried: quickestFirst([...(s?.tried ?? []), one]), of, going: true }));
      }),
    );
    if (mine === asked.current) setState((s) => (s ? { ...s, going: false } : s));
  };
  const stop = () => {
    asked.current++;
    void coreWith(kitchen).then((core) => core.stopTrying());
    setState((s) => (s ? { ...s, going: false } : s));
  };
  const take = (t: Tried) => edit('cold:taken', (d) => ({ ...d, vessel: t.vessel ?? d.vessel, cold: { ...d.cold, setup: t.setup } }));
  return (
    <section aria-label="Ready sooner" aria-busy={state?.going ?? false} className="mt-5 border-t border-steel-light pt-3">
      <h2 className="text-[17px]">What would make it sooner?</h2>
      <div className="flex items-center gap-3 py-1 text-[14.5px]">
        <label htmlFor="wanted-at">Wanted at</label>
        <TimeField id="wanted-at" value={wanted} onChange={setWanted} className="field fig w-[92px] px-2!" />
        {inH !== null && <span className="text-ink-soft">in {showHours(inH)}, if it goes in now</span>}
      </div>
      {state?.going ? (
        <p className="flex items-center gap-3 py-1">
          <progress className="h-2 flex-1 accent-ink" value={state.tried.length} max={state.of} aria-label="Changes tried" />
          <button type="button" className="btn" onClick={stop}>
            Stop
          </button>
        </p>
      ) : (
        <button type="button" className="btn mt-1" onClick={() => void ask()}>
          Try changes
        </button>
      )}
      {state && (
        <ul aria-label="Changes tried" className="mt-1 text-[14.5px]">
          {state.tried.map((t) => (
            <li key={t.key} className="flex items-center justify-between gap-3 border-t border-steel-light py-1" data-tried={t.key}>
              <span>
                {t.says}
                <span className="block text-[13.5px] text-ink-soft">
                  {t.readyH === null ? 'never' : `after ${showHours(t.readyH)}`}
                  {t.savedMin !== null &&
                    (t.savedMin > 0 ? `, ${t.savedMin}\u00a0min sooner` : t.savedMin < 0 ? `, ${-t.savedMin}\u00a0min later` : ', no sooner')}
                  {inH !== null &&
                    (t.readyH !== null && t.readyH <= inH ? <b className="text-fern-ink">: in time</b> : <span className="text-beet">: too late</span>)}
                </span>
              </span>
              {t.savedMin !== null && t.savedMin > 0 && (
                <button type="button" className="btn min-h-9" onClick={() => take(t)}>
                  Take
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Hours from now to the next time that a clock shows so; null where nothing is asked. */
function hoursUntil(clock: string, now: number): number | null {
  const at = /^(\d{2}):(\d{2})/.exec(clock);
  if (!at || now === 0) return null;
  const then = new Date(now);
  then.setHours(Number(at[1]), Number(at[2]), 0, 0);
  const ms = then.getTime() - now;
  return (ms < 0 ? ms + 24 * 3_600_000 : ms) / 3_600_000;
}
