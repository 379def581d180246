'use client';

import { inShownUnits } from '../../core/measures/shown';
import { unitsHere } from '../../core/measures/shown-here';
import { readTime } from '../../core/timetable/typed-moment';
import { useTypedField } from './typed-field';

interface TimeFieldProps {
  /** 'HH:mm'; '' for none. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly id?: string;
  /** Its name, where no label stands for it. */
  readonly label?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

const STEP_MIN = 5;
const DAY_MIN = 1440;
const WHOLE = /^\d{2}:\d{2}$/;
const stepTime = (value: string, by: 1 | -1): string => {
  const [h, m] = value.split(':').map(Number) as [number, number];
  const at = (Math.round((60 * h + m) / STEP_MIN) * STEP_MIN + by * STEP_MIN + DAY_MIN) % DAY_MIN;
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
};

/** A time of day: '19:30', '7 pm', '1930', 'noon'; up and down by five minutes. */
export function TimeField({ value, onChange, id, label, disabled = false, className = 'field fig' }: TimeFieldProps) {
  const field = useTypedField({
    value,
    show: (v) => inShownUnits(v, unitsHere()).replace('\u00a0', ' '),
    read: readTime,
    whole: WHOLE,
    step: stepTime,
    empties: false,
    onChange,
  });
  return (
    <span className="block min-w-0">
      <input
        id={id}
        {...(label === undefined ? {} : { 'aria-label': label })}
        inputMode="text"
        autoComplete="off"
        placeholder="19:30"
        maxLength={16}
        disabled={disabled}
        value={field.text}
        aria-invalid={field.wrong || undefined}
        onChange={(e) => field.onText(e.target.value)}
        onBlur={field.onBlur}
        onKeyDown={field.onKeyDown}
        className={className}
      />
      {field.wrong && (
        <span role="alert" className="block text-[13px] text-beet">
          a time like 19:30 or 7 pm
        </span>
      )}
    </span>
  );
}
