'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect } from 'react';
import { CrewForm } from '../../../ui/crew-form';
import { LocalMoment } from '../../../ui/local-moment';
import { QuantityField } from '../../../ui/quantity-field';
import { ClockFrame } from '../clock-frame';
import { useService } from '../service-provider';
import { AnswerLine } from './answer-line';
import { MergeOffer } from './merge-offer';
import { Ribbon } from './ribbon';
import { ServedList } from './served-list';
import { TaskPanel } from './task-panel';

/** The plan of a service: what it comes to, the ribbon, and beside it what is served and who is there, or the task in hand. */
export function PlanDesk() {
  const { doc, plan, answer, change, selected, select } = useService();
  const wanted = useSearchParams().get('task');
  useEffect(() => {
    if (wanted) select(wanted);
  }, [wanted, select]);
  const task = selected === null ? undefined : plan?.tasks.find((t) => t.id === selected);
  const holds = answer?.ok === true && answer.value.ok;
  return (
    <ClockFrame here="plan">
      <div className="grid grid-cols-[minmax(0,1fr)] lg:min-h-[calc(100dvh-130px)] lg:grid-cols-[minmax(0,1fr)_336px]">
        <div className="px-4 pb-8 md:px-6">
          {doc.servings.length === 0 ? <p className="py-6 text-[19px]">Choose what is served, and when: the plan counts back from there.</p> : <AnswerLine />}
          {plan && doc.servings.length > 0 && <Ribbon plan={plan} stale={!holds} />}
        </div>
        <aside aria-label="Service" className="border-steel bg-paper px-4 pt-3 pb-8 max-lg:border-t md:px-5 lg:border-l">
          {task ? (
            <TaskPanel key={task.id} task={task} />
          ) : (
            <>
              <ServedList />
              <MergeOffer />
              <section aria-label="Hands" className="mt-5">
                <h2 className="pb-1 text-[17px]">Hands</h2>
                <CrewForm crew={doc.crew} onChange={(crew) => change((d) => ({ ...d, crew }), true)} />
              </section>
              <section aria-label="Limits" className="mt-5 grid grid-cols-2 items-end gap-x-3 gap-y-2">
                <h2 className="col-span-2 text-[17px]">Limits</h2>
                <QuantityField
                  label="Breathing space before serving"
                  unit="min"
                  value={doc.spareMin}
                  min={0}
                  max={240}
                  whole
                  onChange={(spareMin) => change((d) => ({ ...d, spareMin }), true)}
                />
                <div className="col-span-2">
                  <LocalMoment
                    label="Nothing begins before"
                    value={doc.from ?? ''}
                    onChange={(from) => change((d) => ({ ...d, from: from === '' ? null : from }))}
                  />
                </div>
                <p className="col-span-2 text-[13.5px] text-ink-soft">
                  Times are those of {doc.zone}. Keeping and cooling follow the usual rules; your local food code comes first.
                </p>
              </section>
            </>
          )}
        </aside>
      </div>
    </ClockFrame>
  );
}
