'use client';

import { useEffect, useRef, useState } from 'react';
import { proxy } from 'comlink';
import type { Mend } from '../../../core/timetable/mends';
import { showSpan, taskSays } from '../../../core/timetable/says';
import { dayClock } from '../../../core/timetable/clock-words';
import { coreForService } from '../../../workers/core-service';
import { useService } from '../service-provider';
import { OddsLine } from './odds-line';

/** What the plan comes to, or why there is none and what would mend it. */
export function AnswerLine() {
  const { answer, plan, doc } = useService();
  if (!answer) return <p className="min-h-[3.2em] py-2 text-[17px]">Planning…</p>;
  if (!answer.ok) return <p className="min-h-[3.2em] py-2 text-[17px]">{answer.fault.says}</p>;
  const { left } = answer.value;
  return (
    <div className="py-2" aria-live="polite">
      {answer.value.ok && plan ? <Comes /> : <Impossible says={answer.value.ok ? '' : answer.value.says} tasks={answer.value.ok ? [] : answer.value.tasks} />}
      {left.map((l) => (
        <p key={l.serving} className="text-beet">
          {doc.servings.findIndex((s) => s.id === l.serving) + 1}. serving left out: {l.says}
        </p>
      ))}
      {answer.value.ok &&
        plan?.notes.map((n) => (
          <p key={n} className="text-[14px] text-beet">
            {n}
          </p>
        ))}
    </div>
  );
}

function Comes() {
  const { plan, doc, now } = useService();
  if (!plan) return null;
  const { zone } = doc;
  const ahead = plan.tasks.filter((t) => !t.done && t.kind !== 'served');
  const first = ahead.find((t) => !t.running) ?? ahead[0];
  const late = plan.servings.find((s) => s.lateMin > 0);
  const gap = plan.servings.reduce((sum, s) => sum + s.leadMin - s.atLeastMin, 0);
  return (
    <>
      <p className="text-[19px] leading-snug">
        {late && (
          <span className="text-beet">
            It runs late: what is left is served <b className="fig">{showSpan(late.lateMin)}</b> later.{' '}
          </span>
        )}
        {first ? (
          <>
            {first.start <= now + 1 ? 'Now' : 'Begin'} <b className="fig">{dayClock(first.start, zone)}</b> with {taskSays(first)}.
          </>
        ) : (
          'Everything is done.'
        )}
      </p>
      <p className="text-[14px] text-ink-soft">
        {showSpan(plan.handsMin)} of hands in {plan.tasks.filter((t) => t.cook !== '').length} tasks.{' '}
        {plan.proved
          ? 'No plan begins later: that is proved.'
          : gap === 0
            ? 'No plan begins later: gaps and hours allow none.'
            : `Summed over the servings no plan can begin more than ${showSpan(gap)} later than this one.`}
      </p>
      <OddsLine />
    </>
  );
}

function Impossible({ says, tasks }: { readonly says: string; readonly tasks: readonly string[] }) {
  const { kitchen, sheetOf, doc, soFar, now, change, select } = useService();
  const [found, setFound] = useState<{ readonly of: object; readonly mends: readonly Mend[]; readonly tried: number; readonly over: boolean }>({
    of: doc,
    mends: [],
    tried: 0,
    over: false,
  });
  const asking = useRef(0);
  const stuck = tasks.join('|');
  useEffect(() => {
    const asked = asking;
    const mine = ++asked.current;
    const ask = async () => {
      const core = await coreForService(kitchen, sheetOf);
      const mends: Mend[] = [];
      const tell = proxy((mend: Mend | null, tried: number) => {
        if (mine !== asked.current) return;
        if (mend) mends.push(mend);
        setFound({ of: doc, mends: [...mends], tried, over: false });
      });
      await core.mends({ service: doc, soFar, now }, stuck === '' ? [] : stuck.split('|'), tell);
      if (mine === asked.current) setFound((f) => ({ ...f, of: doc, over: true }));
    };
    const timer = setTimeout(() => void ask(), 350);
    return () => {
      clearTimeout(timer);
      asked.current++;
      void coreForService(kitchen, sheetOf).then((core) => core.stopTrying());
    };
    // Each minute it is looked for anew: what worked a minute ago may be too late.
  }, [kitchen, sheetOf, doc, soFar, now, stuck]);
  const current = found.of === doc ? found : { mends: [], tried: 0, over: false };
  return (
    <>
      <p role="alert" className="text-[19px] leading-snug text-beet">
        {says}
      </p>
      {tasks[0] && (
        <button type="button" className="text-[14px] underline decoration-dotted underline-offset-4" onClick={() => select(tasks[0]!)}>
          change the limits of that task
        </button>
      )}
      <section aria-label="What would mend it" className="mt-1">
        <p className="text-[14px] text-ink-soft">
          {current.mends.length > 0
            ? 'Each of these has been tried and works:'
            : current.over
              ? `${current.tried} changes have been tried, each on its own; none of them does. Change more than one thing.`
              : 'Trying what would mend it…'}
        </p>
        <ul className="flex flex-wrap gap-x-3 gap-y-1.5 pt-1">
          {current.mends.map((m) => (
            <li key={m.key}>
              <button type="button" className="btn h-auto! min-h-9 py-1 text-left whitespace-normal!" onClick={() => change(() => m.service)}>
                {m.says}
              </button>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}
