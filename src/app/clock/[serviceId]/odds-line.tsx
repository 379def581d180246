'use client';

import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { inSentence, plainNumber, withUnit } from '../../../core/figure';
import type { Buy } from '../../../core/odds/buys';
import type { EveningOdds, ServingOdds } from '../../../core/odds/evening';
import { WISHED_CHANCE } from '../../../core/odds/house';
import type { Surer } from '../../../core/odds/surer';
import { showSpan, taskSays } from '../../../core/timetable/says';
import type { ServicePlan } from '../../../core/timetable/service-plan';
import { coreForService } from '../../../workers/core-service';
import { useService } from '../service-provider';

/** Asked once the plan rests. */
const REST_MS = 500;
/** Changes that are offered at once. */
const MOST_SHOWN = 4;
/** Below this a serving is rather late than in time. */
const UNSURE = 0.5;

/** Almost always is not always. */
const percent = (share: number): string => withUnit(plainNumber(Math.min(100 * share, share < 1 ? 99 : 100), 0), '%');
const inkOf = (s: ServingOdds): string => (s.inTime >= WISHED_CHANCE ? 'text-ink' : s.inTime >= UNSURE ? 'text-yolk-ink' : 'text-beet');

/** How likely each serving is in time, what makes it late most often, and what would make it surer. */
export function OddsLine() {
  const { plan, doc, kitchen, sheetOf, soFar, now, change, select } = useService();
  const [found, setFound] = useState<{ readonly of: ServicePlan; readonly odds: EveningOdds } | null>(null);
  const [surer, setSurer] = useState<{ readonly of: object; readonly it: Surer | 'asking' | 'none' } | null>(null);
  useEffect(() => {
    if (!plan) return;
    let wanted = true;
    const timer = setTimeout(() => {
      void coreForService(kitchen, sheetOf)
        .then((core) => core.odds(plan))
        .then((odds) => {
          if (wanted) setFound({ of: plan, odds });
        })
        // Without an answer the plan stands as it is, without its odds.
        .catch(() => undefined);
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [plan, kitchen, sheetOf]);
  if (!plan || !found || found.odds.servings.length === 0) return null;
  const { odds } = found;
  const ahead = odds.servings.filter((s) => plan.tasks.some((t) => t.kind !== 'served' && !t.done && t.servings.includes(s.id)));
  if (ahead.length === 0) return null;
  const worst = ahead.reduce((a, b) => (b.inTime < a.inTime ? b : a));
  const weak = worst.weak && worst.inTime < WISHED_CHANCE ? plan.tasks.find((t) => t.id === worst.weak!.task) : undefined;
  const points = Math.max(1, Math.round(100 * Math.max(...ahead.map((s) => s.error))));
  const margins = Object.keys(doc.margins).length;
  const asked = surer?.of === doc ? surer.it : null;
  const ask = async () => {
    setSurer({ of: doc, it: 'asking' });
    const it = await coreForService(kitchen, sheetOf)
      .then((core) => core.surer({ service: doc, soFar, now }))
      .catch(() => null);
    setSurer({ of: doc, it: it ?? 'none' });
  };
  return (
    <section aria-label="Odds" aria-busy={found.of !== plan || asked === 'asking'} className="pt-0.5 text-[14.5px]">
      <p>
        In time{' '}
        {ahead.map((s, i) => (
          <span key={s.id}>
            {i > 0 && ', '}
            <b className={`fig ${inkOf(s)}`}>{percent(s.inTime)}</b> {inSentence(s.name)}
          </span>
        ))}
        .{' '}
        <span className="text-ink-soft">
          {weak && (
            <>
              Late most often by{' '}
              <button type="button" className="underline decoration-dotted underline-offset-4 hover:text-ink" onClick={() => select(weak.id)}>
                {taskSays(weak)}
              </button>
              .{' '}
            </>
          )}
          {plainNumber(odds.evenings, 0)} evenings, each figure within {points} {points === 1 ? 'point' : 'points'}.
        </span>
      </p>
      <p className="flex flex-wrap items-baseline gap-x-4 text-ink-soft">
        {worst.inTime < WISHED_CHANCE && asked === null && (
          <button
            type="button"
            className="min-h-7 border-b-2 border-yolk font-semibold text-ink hover:bg-yolk-pale pointer-coarse:min-h-11"
            onClick={() => void ask()}
          >
            Plan for {percent(WISHED_CHANCE)}
          </button>
        )}
        {worst.inTime < WISHED_CHANCE && <Buys key={JSON.stringify(doc)} />}
        {asked === 'asking' && <span>Trying margins…</span>}
        {asked === 'none' && <span>No margin that fits makes it surer: fewer portions, another cook or another day would.</span>}
        {asked !== null && typeof asked === 'object' && <Offer surer={asked} onTake={() => change(() => asked.service)} onLeave={() => setSurer(null)} />}
        {margins > 0 && (
          <button
            type="button"
            className="min-h-7 underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11"
            onClick={() => change((d) => ({ ...d, margins: {} }))}
          >
            Without the {margins === 1 ? 'margin' : `${margins} margins`}
          </button>
        )}
      </p>
    </section>
  );
}

function Offer({ surer, onTake, onLeave }: { readonly surer: Surer; readonly onTake: () => void; readonly onLeave: () => void }) {
  const least = Math.min(...surer.odds.servings.map((s) => s.inTime));
  return (
    <>
      <span className="text-ink">
        With time to spare for{' '}
        {surer.margins.map((m, i) => (
          <span key={m.task}>
            {i > 0 && ', '}
            {inSentence(m.name)} <b className="fig whitespace-nowrap">{showSpan(m.minutes)}</b>
          </span>
        ))}
        : <b className="fig">{percent(least)}</b>
        {surer.odds.servings.length > 1 ? ' for the least sure.' : '.'}
      </span>
      <button type="button" className="min-h-7 border-b-2 border-yolk font-semibold text-ink hover:bg-yolk-pale pointer-coarse:min-h-11" onClick={onTake}>
        Plan it so
      </button>
      <button type="button" className="min-h-7 underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11" onClick={onLeave}>
        Leave it
      </button>
    </>
  );
}

/** What would make the least sure serving surer, each change tried on its own; the most first, each taken by a touch. */
function Buys() {
  const { doc, kitchen, sheetOf, soFar, now, change } = useService();
  const [found, setFound] = useState<{ readonly tried: number; readonly of: number; readonly buys: readonly Buy[]; readonly over: boolean } | null>(null);
  const asking = useRef(0);
  /** Ends what is being tried; null while nothing is. */
  const end = useRef<(() => void) | null>(null);
  useEffect(() => {
    const [asked, ends] = [asking, end];
    return () => {
      asked.current++;
      // Nobody waits for it any more.
      ends.current?.();
    };
  }, []);
  const stop = () => {
    asking.current++;
    setFound((f) => f && { ...f, over: true });
    end.current?.();
    end.current = null;
  };
  const ask = async () => {
    const mine = ++asking.current;
    setFound({ tried: 0, of: 0, buys: [], over: false });
    end.current = () => void coreForService(kitchen, sheetOf).then((core) => core.stopTrying());
    const tell = proxy((tried: number, of: number, buys: readonly Buy[]) => {
      if (mine === asking.current) setFound({ tried, of, buys, over: false });
    });
    await coreForService(kitchen, sheetOf)
      .then((core) => core.buys({ service: doc, soFar, now }, tell))
      // What was found until then stands.
      .catch(() => undefined);
    if (mine !== asking.current) return;
    end.current = null;
    setFound((f) => f && { ...f, over: true });
  };
  if (found === null) {
    return (
      <button
        type="button"
        className="min-h-7 underline decoration-dotted underline-offset-4 hover:text-ink pointer-coarse:min-h-11"
        onClick={() => void ask()}
      >
        What buys most
      </button>
    );
  }
  return (
    <section aria-label="What buys most" aria-busy={!found.over} className="w-full pt-1">
      <p>
        {found.buys.length > 0
          ? `For ${inSentence(found.buys[0]!.serving)}, each on its own:`
          : found.over
            ? `${found.tried} changes were tried, each on its own: none buys three points.`
            : 'Trying what would make it surer.'}{' '}
        {!found.over && (
          <>
            <span className="fig">
              {found.tried} of {found.of}
            </span>{' '}
            <button type="button" className="underline decoration-dotted underline-offset-4 hover:text-ink" onClick={stop}>
              Stop
            </button>
          </>
        )}
      </p>
      <ul className="grid max-w-[62ch] pt-0.5">
        {found.buys.slice(0, MOST_SHOWN).map((b) => (
          <li key={b.key}>
            <button
              type="button"
              className="grid min-h-9 w-full grid-cols-[auto_1fr] items-baseline gap-x-3 text-left text-ink hover:bg-yolk-pale pointer-coarse:min-h-11"
              onClick={() => change(() => b.service)}
            >
              <span className="fig whitespace-nowrap">
                {percent(b.from)} → <b>{percent(b.to)}</b>
              </span>
              <span className="underline decoration-dotted underline-offset-4">{b.says}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
