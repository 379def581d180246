'use client';

import { CalendarDays } from 'lucide-react';
import { lazy } from 'react';
import { readDay, showDay } from '../../core/timetable/typed-moment';
import { nextDay } from '../../core/timetable/zone';
import { OpensPanel } from '../opens-panel';
import { useTypedField } from './typed-field';

const Calendar = lazy(() => import('./calendar').then((m) => ({ default: m.Calendar })));

interface DayFieldProps {
  /** 'YYYY-MM-DD'; '' for none. */
  readonly value: string;
  /** Called with '' where the day was emptied. */
  readonly onChange: (value: string) => void;
  readonly id?: string;
  /** Its name, where no label stands for it. */
  readonly label?: string;
  readonly className?: string;
}

const WHOLE = /^\d{4}-\d{2}-\d{2}$/;
const today = (): string => {
  const now = new Date();
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
};

/** A day: 'Sat', '28 Nov', '28.11.', 'tomorrow', or from a calendar; up and down by one. */
export function DayField({ value, onChange, id, label, className = 'field fig' }: DayFieldProps) {
  const field = useTypedField({
    value,
    show: (v) => (v === '' ? '' : showDay(v)),
    read: (text) => readDay(text, today()),
    whole: WHOLE,
    step: (v, by) => nextDay(v, by),
    empties: true,
    onChange,
  });
  return (
    <span className="block min-w-0">
      <span className="relative block">
        <input
          id={id}
          {...(label === undefined ? {} : { 'aria-label': label })}
          autoComplete="off"
          placeholder="Sat, 28 Nov"
          maxLength={32}
          value={field.text}
          data-day={value}
          aria-invalid={field.wrong || undefined}
          onChange={(e) => field.onText(e.target.value)}
          onBlur={field.onBlur}
          onKeyDown={field.onKeyDown}
          className={`${className} pr-9!`}
        />
        <span className="absolute inset-y-0 right-0 flex items-center">
          <OpensPanel
            className="flex size-9 items-center justify-center text-ink-soft hover:text-ink pointer-coarse:size-11"
            label={`Calendar${label === undefined ? '' : ` of ${label}`}`}
            panelLabel={label ?? 'Day'}
            face={<CalendarDays size={16} aria-hidden="true" />}
            panel={(close) => (
              <Calendar
                value={value}
                onChoose={(day) => {
                  onChange(day);
                  close();
                }}
              />
            )}
          />
        </span>
      </span>
      {field.wrong && (
        <span role="alert" className="block text-[13px] text-beet">
          a day like Sat, 28 Nov or 28.11.
        </span>
      )}
    </span>
  );
}
