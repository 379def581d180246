'use client';

import { useRouter } from 'next/navigation';
import { useId, useRef, useState } from 'react';
import { Camera } from 'lucide-react';
import { showHours } from '../../../core/figure';
import { readObservation, SLICE_WORDS, type ObservationKind } from '../../../core/batch/observation';
import { shownUnit, typedIn } from '../../../core/measures/shown';
import { unitsHere } from '../../../core/measures/shown-here';
import { localTime, minuteOf } from '../../../core/timetable/zone';
import { ClockTime } from '../../../ui/clock-time';
import { DayField } from '../../../ui/kit/day-field';
import { Select } from '../../../ui/kit/select';
import { TimeField } from '../../../ui/kit/time-field';
import { sendingIds } from '../../../ui/sheet/fresh-id';
import { useKept } from '../../../ui/use-kept';
import { observationWords, type ExpectedDrink } from '../observation-words';

interface Seen {
  readonly id: string;
  readonly kind: ObservationKind;
  readonly at: number;
  readonly value: number | null;
  readonly words: string;
  readonly photo: string | null;
}

const KINDS: readonly (readonly [ObservationKind, string])[] = [
  ['weep', 'liquid that ran out'],
  ['slice', 'how a slice stands'],
  ['temperature', 'a temperature'],
  ['note', 'something seen'],
];

const MINUTE_MS = 60_000;
const here = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
/** A day and a time of this tablet's clock. */
interface When {
  readonly day: string;
  readonly time: string;
}
const whenNow = (): When => {
  const [day = '', time = ''] = localTime(Math.floor(Date.now() / MINUTE_MS), here()).split('T');
  return { day, time };
};

const WHEN = [
  ['now', 'now'],
  ['before', 'earlier'],
] as const;

/** What is seen hours or days later: weeping, slices, temperatures, words, a photo. */
export function SeenLater({
  batchId,
  endedAt,
  seen,
  drink,
}: {
  readonly batchId: string;
  readonly endedAt: number | null;
  readonly seen: readonly Seen[];
  readonly drink: ExpectedDrink;
}) {
  const router = useRouter();
  const id = useId();
  const [kind, setKind] = useState<ObservationKind>('weep');
  const [value, setValue] = useState('');
  const [slice, setSlice] = useState<string>(SLICE_WORDS[0]);
  const [draft, setWords] = useKept('local', `soft-peak:seen:${batchId}`);
  const words = draft ?? '';
  /** null is now. */
  const [when, setWhen] = useState<When | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const [ids] = useState(sendingIds);
  const file = useRef<HTMLInputElement>(null);
  const numbered = kind === 'weep' || kind === 'temperature';
  /** As it is sent: with the unit that stood beside it. */
  const written = typedIn(value, kind === 'weep' ? 'g' : '°C', unitsHere());
  const read = numbered && value.trim() !== '' ? readObservation(kind, written) : null;

  const send = async (fields: Readonly<Record<string, string>>, photo?: File) => {
    setSending(true);
    const form = new FormData();
    for (const [key, text] of Object.entries({
      id: ids.of(`${JSON.stringify([fields, when])} ${photo ? `${photo.name} ${photo.size} ${photo.lastModified}` : ''}`),
      at: `${when === null ? Date.now() : minuteOf(`${when.day}T${when.time}`, here()) * MINUTE_MS}`,
      ...fields,
    }))
      form.set(key, text);
    if (photo) form.set('photo', photo);
    try {
      const answer = await fetch(`/api/batches/${batchId}/observations`, { method: 'POST', body: form });
      if (answer.ok) {
        ids.arrived();
        setTrouble(null);
        setValue('');
        setWords('');
        setWhen(null);
        router.refresh();
      } else setTrouble(((await answer.json()) as { says?: string }).says ?? 'That could not be kept.');
    } catch {
      setTrouble('The server does not answer: nothing was kept. What you typed is still here.');
    }
    setSending(false);
  };
  const remove = async (observationId: string) => {
    await fetch(`/api/batches/${batchId}/observations/${observationId}`, { method: 'DELETE' });
    router.refresh();
  };
  const after = (at: number): string => (endedAt === null || at < endedAt ? '' : `${showHours((at - endedAt) / 3_600_000)} on`);
  return (
    <>
      <form
        className="flex flex-wrap items-end gap-x-4 gap-y-3"
        onSubmit={(e) => {
          e.preventDefault();
          void send({ kind, value: numbered ? written : '', words: kind === 'slice' ? `${slice}${words.trim() ? `, ${words.trim()}` : ''}` : words });
        }}
      >
        <label className="grid text-[13.5px] text-ink-soft">
          Seen
          <Select
            value={kind}
            options={drink ? KINDS.map(([k, name]) => [k, k === 'weep' ? 'clear drink under the curd' : name] as const) : KINDS}
            onChange={setKind}
            className="field mt-0.5 flex min-w-[150px]"
          />
        </label>
        {numbered && (
          <label className="text-[13.5px] text-ink-soft">
            {kind === 'weep' ? `How much, ${shownUnit('g', unitsHere())}` : `Reads, ${unitsHere().temperature}`}
            <input
              value={value}
              maxLength={30}
              inputMode="decimal"
              aria-invalid={(read !== null && !read.ok) || undefined}
              aria-describedby={`${id}-fault`}
              onChange={(e) => setValue(e.target.value)}
              className="field fig mt-0.5 block w-24"
            />
          </label>
        )}
        {kind === 'slice' && (
          <label className="grid text-[13.5px] text-ink-soft">
            It
            <Select value={slice} options={SLICE_WORDS.map((w) => [w, w] as const)} onChange={setSlice} className="field mt-0.5 flex min-w-[120px]" />
          </label>
        )}
        <label className="min-w-0 flex-1 basis-40 text-[13.5px] text-ink-soft">
          In words
          <input value={words} maxLength={400} onChange={(e) => setWords(e.target.value)} className="field mt-0.5 block w-full" />
        </label>
        <label className="grid text-[13.5px] text-ink-soft">
          When
          <Select
            value={when === null ? 'now' : 'before'}
            options={WHEN}
            onChange={(v) => setWhen(v === 'now' ? null : whenNow())}
            className="field mt-0.5 flex min-w-[96px]"
          />
        </label>
        {when !== null && (
          <span className="flex gap-x-4">
            <span className="w-[190px] text-[13.5px] text-ink-soft">
              Day
              <DayField value={when.day} onChange={(day) => setWhen({ ...when, day })} label="Day it was seen" className="field fig mt-0.5 w-full" />
            </span>
            <span className="text-[13.5px] text-ink-soft">
              Time
              <TimeField value={when.time} onChange={(time) => setWhen({ ...when, time })} label="Time it was seen" className="field fig mt-0.5 w-[84px]" />
            </span>
          </span>
        )}
        <button type="submit" className="btn btn-act" disabled={sending || (when !== null && (when.day === '' || when.time === ''))}>
          Write it down
        </button>
        <input
          ref={file}
          type="file"
          accept="image/jpeg,image/png"
          aria-label="Photo"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => {
            const photo = e.target.files?.[0];
            if (photo) void send({ kind: 'photo', words }, photo);
            e.target.value = '';
          }}
        />
        <button type="button" className="btn" disabled={sending} onClick={() => file.current?.click()}>
          <Camera size={16} aria-hidden="true" /> Photo
        </button>
      </form>
      <p id={`${id}-fault`} role="alert" className="mt-1 text-[14px] text-beet empty:hidden">
        {read && !read.ok ? read.fault.says : trouble}
      </p>
      {seen.length > 0 && (
        <ul className="mt-3" aria-label="Seen so far">
          {seen.map((o) => (
            <li key={o.id} className="flex flex-wrap items-baseline gap-x-4 border-t border-steel-light py-2">
              <span className="fig w-20 text-ink-soft">{after(o.at) || <ClockTime at={o.at} />}</span>
              <span className="min-w-0 flex-1">
                {observationWords(o, drink)}
                {o.photo && (
                  // eslint-disable-next-line @next/next/no-img-element -- a picture from the kitchen's own file, shown as it is
                  <img
                    src={`/api/batches/${batchId}/observations/${o.id}`}
                    alt={o.words || 'Photo of this batch'}
                    className="mt-1 max-h-72 max-w-full rounded-s"
                  />
                )}
              </span>
              <button
                type="button"
                className="text-[14px] text-ink-soft underline decoration-dotted underline-offset-4 hover:text-ink"
                aria-label={`Take away: ${observationWords(o, drink)}`}
                onClick={() => void remove(o.id)}
              >
                take away
              </button>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-[13.5px] text-ink-soft">A photo is kept beside the data file without place, time or camera; JPEG or PNG, at most 8&nbsp;MB.</p>
    </>
  );
}
