'use client';

import { DayField } from './kit/day-field';
import { TimeField } from './kit/time-field';

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

/** The time that a day gets which has none yet. */
const USUAL_TIME = '08:00';

/** A day and a time of the kitchen's clock, each typed as one likes. */
export function LocalMoment({ label, of, value, soft = false, onChange }: LocalMomentProps) {
  const named = of ? `${of}, ${label.toLowerCase()}` : label;
  const tone = soft ? 'text-ink-soft' : '';
  return (
    <fieldset className="grid grid-cols-[minmax(0,1fr)_92px] gap-x-2">
      <legend className="text-[13.5px] text-ink-soft">{label}</legend>
      <DayField
        label={`${named}, day`}
        value={value.slice(0, 10)}
        onChange={(day) => onChange(day === '' ? '' : `${day}T${value.slice(11) || USUAL_TIME}`)}
        className={`field fig mt-0.5 w-full px-2! font-medium ${tone}`}
      />
      <TimeField
        label={`${named}, time`}
        value={value.slice(11)}
        disabled={value === ''}
        onChange={(time) => time !== '' && onChange(`${value.slice(0, 10)}T${time}`)}
        className={`field fig mt-0.5 w-full px-2! font-medium ${tone}`}
      />
    </fieldset>
  );
}
