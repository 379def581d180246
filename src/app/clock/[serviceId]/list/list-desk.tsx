'use client';

import Link from 'next/link';
import { Pin, Printer } from 'lucide-react';
import { inSentence } from '../../../../core/figure';
import { daySheets, whenSays } from '../../../../core/timetable/day-sheet';
import { showSpan } from '../../../../core/timetable/says';
import { clockOf, dayDate } from '../../../../core/timetable/clock-words';
import type { PlannedTask } from '../../../../core/timetable/service-plan';
import { minuteOf } from '../../../../core/timetable/zone';
import { ClockFrame } from '../../clock-frame';
import { useService } from '../../service-provider';
import { AnswerLine } from '../answer-line';
import { TaskPanel } from '../task-panel';
import { LinkToLook } from './link-to-look';

/** The same plan as a list: every task of every day in the order of the clock. */
export function ListDesk() {
  const { id, doc, plan, answer, selected } = useService();
  const task = selected === null ? undefined : plan?.tasks.find((t) => t.id === selected);
  const holds = answer?.ok === true && answer.value.ok;
  return (
    <ClockFrame here="list">
      <div className={`grid grid-cols-[minmax(0,1fr)] ${task ? 'lg:grid-cols-[minmax(0,1fr)_336px]' : ''}`}>
        <div className="px-4 pb-10 md:px-6">
          <div className="flex items-start justify-between gap-x-6 pb-3 max-lg:flex-col">
            <div className="min-w-0 flex-1">
              <AnswerLine />
            </div>
            {plan && (
              <div className="flex shrink-0 flex-wrap gap-2 pt-1">
                <LinkToLook serviceId={id} />
                <Link href={`/print/service/${id}`} className="btn mt-2">
                  <Printer size={16} aria-hidden="true" /> Day sheet
                </Link>
              </div>
            )}
          </div>
          {plan && (
            <div className={holds ? '' : 'opacity-60'}>
              {daySheets(doc, plan).map((d) => (
                <section key={d.day} className="mb-7">
                  <h2 className="pb-1 text-[17px]">{dayDate(minuteOf(`${d.day}T12:00`, doc.zone), doc.zone)}</h2>
                  <DayTable
                    day={d.day}
                    tasks={plan.tasks.filter((t) => d.servings.includes(t) || d.byItself.includes(t) || d.cooks.some((c) => c.tasks.includes(t)))}
                  />
                </section>
              ))}
            </div>
          )}
        </div>
        {task && (
          <aside aria-label="Task" className="border-steel bg-paper px-4 pt-3 pb-8 max-lg:order-first max-lg:border-b md:px-5 lg:border-l">
            <TaskPanel key={task.id} task={task} />
          </aside>
        )}
      </div>
    </ClockFrame>
  );
}

function DayTable({ day, tasks }: { readonly day: string; readonly tasks: readonly PlannedTask[] }) {
  const { doc, select, selected } = useService();
  const { zone } = doc;
  return (
    <table className="w-full text-[14.5px]">
      <thead>
        <tr className="text-left text-[13.5px] text-ink-soft">
          <th scope="col" className="w-[116px] py-1 pr-3 font-normal">
            when
          </th>
          <th scope="col" className="py-1 pr-3 font-normal">
            what
          </th>
          <th scope="col" className="py-1 pr-3 font-normal max-sm:hidden">
            who, with
          </th>
          <th scope="col" className="w-[86px] py-1 text-right font-normal">
            takes
          </th>
        </tr>
      </thead>
      <tbody>
        {tasks.map((t) => (
          <tr
            key={t.id}
            data-row={t.id}
            className={`border-t border-steel-light align-baseline ${t.kind === 'served' ? 'bg-yolk-pale' : ''} ${t.done ? 'text-ink-soft' : ''}`}
          >
            <td className={`py-1.5 pr-3 ${t.critical ? 'border-l-[4px] border-yolk pl-2' : 'border-l-[4px] border-transparent pl-2'}`}>
              <span className="fig text-[15.5px]">{whenSays(t, day, zone)}</span>
              {t.end > t.start && <span className="fig font-medium text-ink-soft"> – {t.end - t.start < 1440 ? clockOf(t.end, zone) : ''}</span>}
            </td>
            <td className="py-1.5 pr-3">
              <button
                type="button"
                aria-pressed={selected === t.id}
                onClick={() => select(t.id)}
                className="text-left underline decoration-dotted decoration-transparent underline-offset-4 hover:decoration-current"
              >
                {t.kind === 'served' ? <b className="font-[650]">{t.dish} is served</b> : <span className={t.cook ? 'font-[600]' : ''}>{t.name}</span>}
              </button>
              {t.pinned && <Pin size={13} className="ml-1 inline" aria-label="pinned" />}
              {t.kind !== 'served' && (
                <span className="block text-[13.5px] text-ink-soft">
                  {t.dish}
                  {t.part && `, ${inSentence(t.part)}`}
                  {t.done ? ', behind' : t.running ? ', in hand' : ''}
                </span>
              )}
            </td>
            <td className="py-1.5 pr-3 max-sm:hidden">
              {t.cook}
              {t.needs.length > 0 && <span className="block text-[13.5px] text-ink-soft">{t.needs.join(', ')}</span>}
              {!t.cook && t.kind !== 'served' && t.needs.length === 0 && <span className="text-ink-soft">by itself</span>}
            </td>
            <td className="fig py-1.5 text-right font-medium">{t.end > t.start ? showSpan(t.end - t.start) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
