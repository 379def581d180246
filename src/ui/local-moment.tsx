'use client';

import { useState, type ChangeEvent } from 'react';
import { isPlannableYear } from '../core/timetable/zone';

interface LocalMomentProps {
  /** What it is the moment of; the time's field carries it too. */
  readonly label: string;
  /** For those who hear it, where several stand on a page. */
  readonly of?: string;
  /** 'YYYY-MM-DDTHH:mm'; '' for none. */
  readonly value: string;
  /** Shown soft: it is only what it comes to. */
  readonly soft?: boolean;
  /** Called with a whole moment; with '' where the day was emptied. */
  readonly onChange: (value: string) => void;
}

const DAY = /^(\d{4})-\d{2}-\d{2}$/;
const TIME = /^\d{2}:\d{2}$/;
/** The time that a day gets which has none yet. */
const USUAL_TIME = '08:00';

/** A day and a time of the kitchen's clock. What is typed of a year stays in the field until it is one that a kitchen plans in. */
export function LocalMoment({ label, of, value, soft = false, onChange }: LocalMomentProps) {
  const named = of ? `${of}, ${label.toLowerCase()}` : label;
  const tone = soft ? 'text-ink-soft' : '';
  const [draft, setDraft] = useState<string | null>(null);
  const typed = (e: ChangeEvent<HTMLInputElement>) => {
    const day = e.target.value;
    const year = DAY.exec(day)?.[1];
    if (year !== undefined && isPlannableYear(Number(year))) {
      setDraft(null);
      onChange(`${day}T${value.slice(11) || USUAL_TIME}`);
      return;
    }
    setDraft(day);
    // Emptied on purpose, not in the middle of a date.
    if (day === '' && !e.target.validity.badInput) onChange('');
  };
  return (
    <fieldset className="grid grid-cols-[minmax(0,1fr)_112px] gap-x-2">
      <legend className="text-[13.5px] text-ink-soft">{label}</legend>
      <input type="date" min="2000-01-01" max="2100-12-31" aria-label={`${named}, day`} value={draft ?? value.slice(0, 10)} onChange={typed} onBlur={() => setDraft(null)} className={`field fig mt-0.5 w-full px-2! font-medium ${tone}`} />
      <input type="time" step={300} aria-label={`${named}, time`} value={value.slice(11)} disabled={value === ''} onChange={(e) => TIME.test(e.target.value) && onChange(`${value.slice(0, 10)}T${e.target.value}`)} className={`field fig mt-0.5 w-full px-2! font-medium ${tone}`} />
    </fieldset>
  );
}
