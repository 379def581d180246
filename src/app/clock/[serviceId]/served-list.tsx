'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Plus, X } from 'lucide-react';
import { showSpan } from '../../../core/timetable/says';
import { dayClock } from '../../../core/timetable/clock-words';
import type { Serving } from '../../../core/timetable/service-schema';
import { Choice } from '../../../ui/choice';
import { Select } from '../../../ui/kit/select';
import { LocalMoment } from '../../../ui/local-moment';
import { freshId } from '../../../ui/sheet/fresh-id';
import { newServing } from '../new-service';
import { useService } from '../service-provider';

/** What is served, when, for how many, in what; and the way to Pass. */
export function ServedList() {
  const { doc, sheets, change, now } = useService();
  const add = (sheetId: string) => {
    const sheet = sheets.find((s) => s.id === sheetId);
    if (sheet) change((d) => ({ ...d, servings: [...d.servings, newServing(d, sheet.id, sheet.doc.portions, now, freshId())] }));
  };
  return (
    <section aria-label="Served">
      <h2 className="text-[17px]">Served</h2>
      {doc.servings.length === 0 && <p className="py-1.5 text-ink-soft">Nothing yet. Choose a sheet; then its day and time.</p>}
      <ul>
        {doc.servings.map((s) => (
          <ServingRow key={s.id} serving={s} />
        ))}
      </ul>
      <label className="flex items-center gap-2 border-t border-steel pt-2">
        <Plus size={16} aria-hidden="true" className="shrink-0" />
        <span className="sr-only">Serve one more</span>
        <Select value="" placeholder="Serve one more…" options={sheets.map((s) => [s.id, s.name] as const)} onChange={add} className="field w-full" />
      </label>
    </section>
  );
}

function ServingRow({ serving }: { readonly serving: Serving }) {
  const { id, doc, sheets, kitchen, plan, change, soFar, saving, answer } = useService();
  const router = useRouter();
  const [says, setSays] = useState('');
  const sheet = sheets.find((s) => s.id === serving.sheetId);
  const set = (next: Partial<Serving>, live = false) =>
    change((d) => ({ ...d, servings: d.servings.map((x) => (x.id === serving.id ? { ...x, ...next } : x)) }), live);
  const planned = answer?.ok && answer.value.ok ? plan?.servings.find((p) => p.id === serving.id) : undefined;
  const batch = soFar.find(([s]) => s === serving.id)?.[1];
  const start = async () => {
    setSays('');
    try {
      const response = await fetch('/api/batches', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ sheetId: serving.sheetId, serving: { serviceId: id, servingId: serving.id } }),
      });
      const body = (await response.json()) as { id?: string; says?: string };
      if (!response.ok || !body.id) throw new Error(body.says ?? 'The batch could not be started.');
      router.push(`/pass/${body.id}`);
    } catch (error) {
      setSays(error instanceof TypeError ? 'The server does not answer.' : (error as Error).message);
    }
  };
  const name = sheet?.name ?? 'a sheet that is gone';
  return (
    <li className="border-t border-steel py-2.5" data-serving-row={serving.id}>
      <div className="flex items-baseline justify-between gap-2">
        <span className="min-w-0 truncate font-[650]">{name}</span>
        <button
          type="button"
          className="-m-1 flex size-8 shrink-0 items-center justify-center text-ink-soft hover:text-beet pointer-coarse:size-11"
          aria-label={`Take out ${name}`}
          onClick={() => change((d) => ({ ...d, servings: d.servings.filter((x) => x.id !== serving.id) }))}
        >
          <X size={16} />
        </button>
      </div>
      <div className="grid gap-y-1.5 pt-1">
        <LocalMoment label="Served" of={name} value={serving.at} onChange={(at) => at !== '' && set({ at })} />
        <div className="grid grid-cols-[64px_minmax(0,1fr)] gap-x-2">
          <Portions name={name} value={serving.portions} onChange={(portions) => set({ portions }, true)} />
          <Choice
            label="In what"
            value={serving.vessel ?? ''}
            options={[
              ['', sheet ? `${sheet.doc.vessel.name}` : 'as the sheet'],
              ...kitchen.vessels.filter((v) => v.vessel.name !== sheet?.doc.vessel.name).map((v) => [v.vessel.name, `${v.vessel.name} (${v.count})`] as const),
            ]}
            onChange={(v) => set({ vessel: v === '' ? null : v })}
          />
        </div>
      </div>
      {planned && (
        <p className="pt-1.5 text-[14px] text-ink-soft">
          begins <b className="fig font-[620] text-ink">{dayClock(planned.at - planned.leadMin, doc.zone)}</b>, {showSpan(planned.leadMin)} before
          {planned.lateMin > 0 && <span className="text-beet">; {showSpan(planned.lateMin)} late</span>}
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-x-2 pt-1.5">
        <Choice
          label="Kept cold in"
          value={serving.placeId ?? ''}
          options={[['', 'as the sheet'], ...kitchen.places.filter((p) => p.kind !== 'counter').map((p) => [p.id, p.name] as const)]}
          onChange={(v) => set({ placeId: v === '' ? null : v })}
        />
        {batch ? (
          <Link href={`/${batch.status === 'running' ? 'pass' : 'log'}/${serving.batchId}`} className="btn text-[14px]">
            {batch.status === 'running' ? 'Go on, on Pass' : 'Made: to the log'}
          </Link>
        ) : (
          <button type="button" className="btn text-[14px]" onClick={() => void start()} disabled={!sheet || saving.text !== 'saved'}>
            Make it on Pass
          </button>
        )}
      </div>
      <p role="alert" className="text-[14px] text-beet empty:hidden">
        {says}
      </p>
    </li>
  );
}

/** A whole number of portions; what cannot be read stays in the field, the last good number in the plan. */
function Portions({ name, value, onChange }: { readonly name: string; readonly value: number; readonly onChange: (portions: number) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const wrong = draft !== null && !(/^\d+$/.test(draft.trim()) && Number(draft) >= 1 && Number(draft) <= 2000);
  return (
    <label className="block">
      <span className="block text-[13.5px] text-ink-soft">Portions</span>
      <input
        inputMode="numeric"
        aria-label={`${name}, portions`}
        aria-invalid={wrong || undefined}
        title={wrong ? 'Portions are a whole number from 1 to 2000.' : undefined}
        value={draft ?? String(value)}
        maxLength={6}
        onChange={(e) => {
          setDraft(e.target.value);
          const n = Number(e.target.value);
          if (/^\d+$/.test(e.target.value.trim()) && n >= 1 && n <= 2000) onChange(n);
        }}
        onBlur={() => !wrong && setDraft(null)}
        className="field fig mt-0.5 w-full px-2! text-[16px]"
      />
    </label>
  );
}
