'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { AlertDialog } from 'radix-ui';
import { declarations } from '../../../../core/files/tub-label';
import { LABEL_SIZES, type LabelGridKey } from '../../../../core/files/label-sizes';
import { dishOf, newDishCache } from '../../../../core/timetable/dish';
import { labelTimes } from '../../../../core/timetable/label-times';
import { fullMoment } from '../../../../core/timetable/clock-words';
import { dishName } from '../../../../core/timetable/names';
import { REMOVED_KEPT_DAYS } from '../../../../core/timetable/service-schema';
import { Choice } from '../../../../ui/choice';
import { QuantityField } from '../../../../ui/quantity-field';
import { ClockFrame } from '../../clock-frame';
import { useService } from '../../service-provider';

/** Labels for tubs and trays, and the plan as files. */
export function LabelsDesk() {
  const { id, doc, sheetOf, kitchen, plan, now, saving } = useService();
  const [grid, setGrid] = useState<LabelGridKey>('a4-21');
  const [skip, setSkip] = useState(0);
  const [out, setOut] = useState<readonly string[]>([]);
  const cache = newDishCache();
  const wanted = doc.servings.filter((s) => !out.includes(s.id));
  const query = new URLSearchParams([['grid', grid], ['skip', String(skip)], ...wanted.map((s) => ['serving', s.id])]);
  return (
    <ClockFrame here="labels">
      <div className="grid max-w-[1180px] grid-cols-[minmax(0,1fr)] gap-x-12 px-4 pt-3 pb-10 md:px-6 lg:grid-cols-[minmax(0,1fr)_320px]">
        <section aria-label="Labels">
          <h2 className="text-[17px]">Labels</h2>
          {doc.servings.length === 0 && <p className="py-4">Nothing is served yet.</p>}
          <ul>
            {doc.servings.map((s) => {
              const sheet = sheetOf.get(s.sheetId);
              const dish = sheet && dishOf(sheet, s, kitchen, cache);
              if (!dish?.ok) return null;
              const { analysis } = dish.value;
              const times = labelTimes(plan, s.id, analysis, now);
              const at = (minute: number): string => fullMoment(minute, doc.zone, now);
              return (
                <li key={s.id} className="border-t border-steel py-2.5">
                  <label className="flex gap-2.5">
                    <input
                      type="checkbox"
                      checked={!out.includes(s.id)}
                      onChange={(e) => setOut(e.target.checked ? out.filter((x) => x !== s.id) : [...out, s.id])}
                      className="mt-1 size-4 shrink-0 accent-ink"
                    />
                    <span>
                      <span className="font-[650]">{dishName(doc, sheetOf, s)}</span>
                      <span className="block">
                        made <b className="fig font-[620]">{at(times.made)}</b>, use by <b className="fig font-[620]">{at(times.useBy)}</b>
                      </span>
                      {declarations(analysis).map((d) => (
                        <span key={d} className="block text-[14px] text-ink-soft">
                          {d}
                        </span>
                      ))}
                    </span>
                  </label>
                </li>
              );
            })}
          </ul>
          <p className="border-t border-steel pt-2 text-[13.5px] text-ink-soft">
            Use by follows the strictest keeping rule that applies, from when it goes into the cold: raw egg 24 h, dairy cream 72 h, the kitchen’s own rule
            where it is shorter. What must stand on a label, and how, follows your local food code. One label for each tin, tray or tub; one for the tray that
            glasses stand on.
          </p>
        </section>
        <div>
          <section aria-label="Print the labels" className="grid gap-y-2">
            <h2 className="text-[17px]">Print</h2>
            <Choice
              label="On"
              value={grid}
              options={Object.entries(LABEL_SIZES).map(([key, name]) => [key as LabelGridKey, name] as const)}
              onChange={setGrid}
            />
            {grid !== 'roll-62' && <QuantityField label="Places used up on the first sheet" unit="" value={skip} min={0} max={20} whole onChange={setSkip} />}
            {wanted.length > 0 && saving.text === 'saved' ? (
              <a href={`/api/services/${id}/labels?${query.toString()}`} target="_blank" className="btn btn-act">
                Labels as PDF
              </a>
            ) : (
              <span className="text-ink-soft">{wanted.length === 0 ? 'Choose a dessert for its label.' : 'A moment: it is being saved.'}</span>
            )}
            <p className="text-[13.5px] text-ink-soft">Print at 100&nbsp;%, without fitting to the page.</p>
          </section>
          <section aria-label="The plan as files" className="mt-7 grid gap-y-2">
            <h2 className="text-[17px]">The plan as files</h2>
            <a href={`/api/services/${id}/files/ics`} className="btn">
              Calendar, with alarms (.ics)
            </a>
            <a href={`/api/services/${id}/files/csv`} className="btn">
              Table of tasks (.csv)
            </a>
            <a href={`/api/services/${id}/files/json`} className="btn">
              The service itself (.json)
            </a>
            <p className="text-[13.5px] text-ink-soft">
              The calendar has the hands’ tasks and the servings, with an alarm five minutes before what begins after a pause. A service file is read again on
              Clock’s first page.
            </p>
          </section>
          <section aria-label="Take the service away" className="mt-7">
            <TakeAway id={id} name={doc.name} />
          </section>
        </div>
      </div>
    </ClockFrame>
  );
}

function TakeAway({ id, name }: { readonly id: string; readonly name: string }) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const remove = async () => {
    try {
      const response = await fetch(`/api/services/${id}`, { method: 'DELETE' });
      if (!response.ok) throw new Error(((await response.json()) as { says?: string }).says ?? 'It is still there.');
      router.push('/clock');
      // What is due shows it no more.
      router.refresh();
    } catch (error) {
      setFault(error instanceof TypeError ? 'The server does not answer: it is still there.' : (error as Error).message);
    }
  };
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger className="btn">Take this service away</AlertDialog.Trigger>
      <span role="alert" className="block pt-1 text-beet">
        {fault}
      </span>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 w-[min(420px,92vw)] -translate-x-1/2 rounded-s bg-paper p-5 shadow-float">
          <AlertDialog.Title className="text-[19px]">Take ‘{name}’ away?</AlertDialog.Title>
          <AlertDialog.Description className="pt-1">
            It is kept for {REMOVED_KEPT_DAYS} days on Clock’s first page, with its plan, pins and limits. Batches that were made stay in the log.
          </AlertDialog.Description>
          <div className="flex justify-end gap-2 pt-4">
            <AlertDialog.Cancel className="btn">Keep it</AlertDialog.Cancel>
            <AlertDialog.Action className="btn btn-act" onClick={() => void remove()}>
              Take it away
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
