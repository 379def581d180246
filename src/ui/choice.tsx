'use client';

import { useId } from 'react';
import { Select } from './kit/select';

interface ChoiceProps<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly options: readonly (readonly [V, string])[];
  readonly onChange: (value: V) => void;
}

/** One of several, as a labelled list. */
export function Choice<V extends string>({ label, value, options, onChange }: ChoiceProps<V>) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-[13.5px] text-ink-soft">
        {label}
      </label>
      <Select id={id} value={value} options={options} onChange={onChange} className="field mt-0.5 w-full" />
    </div>
  );
}

/** One of two to four, all in sight. */
export function Segments<V extends string>({ label, value, options, onChange }: ChoiceProps<V>) {
  return (
    <fieldset>
      <legend className="text-[13.5px] text-ink-soft">{label}</legend>
      <div className="mt-0.5 flex rounded-s border border-steel bg-paper">
        {options.map(([v, name]) => (
          <label
            key={v}
            className={`flex min-h-9 flex-1 cursor-pointer items-center justify-center px-2 text-center leading-tight has-focus-visible:outline-2 has-focus-visible:outline-ink pointer-coarse:min-h-11 ${v === value ? 'bg-ink font-semibold text-paper' : 'hover:bg-enamel'}`}
          >
            <input type="radio" className="sr-only" name={label} checked={v === value} onChange={() => onChange(v)} />
            {name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
