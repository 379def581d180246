'use client';

import { useId, useState } from 'react';
import { inSentence } from '../core/figure';
import { numberField } from './units/number-field';

interface QuantityFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
  /** What it is stands beside it already. */
  readonly quietLabel?: boolean;
  readonly onChange: (value: number) => void;
}

/** A number with its unit; takes fractions and sums and other units ('11 in', '350 F'), keeps what cannot be read with the reason beside it. */
export function QuantityField({ label, unit, value, min, max, whole = false, quietLabel = false, onChange }: QuantityFieldProps) {
  const id = useId();
  const field = numberField(unit, max);
  const [draft, setDraft] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  /** What was typed in another unit, as long as it is what stands here. */
  const [converted, setConverted] = useState<number | null>(null);
  const other = converted !== null && converted === value;
  const read = (text: string) => {
    setDraft(text);
    setConverted(null);
    const measured = field.read(text);
    const range = `${label} goes from ${field.says(min)} to ${field.says(max)}${field.unit ? `\u00a0${field.unit}` : ''}`;
    if (!measured.ok) return setFault(text.trim() === '' ? `Type a number: ${inSentence(range)}.` : measured.fault.says);
    const n = measured.value.value;
    if (n < min || n > max) return setFault(`${range}; ${field.says(n)} is outside.`);
    if (whole && !Number.isInteger(n)) return setFault(`${label} is a whole number.`);
    setFault(null);
    if (measured.value.converted) setConverted(n);
    onChange(n);
  };
  return (
    <div>
      <label htmlFor={id} className={quietLabel ? 'sr-only' : 'block text-[13.5px] text-ink-soft'}>
        {label}
      </label>
      <div className="relative mt-0.5">
        <input
          id={id}
          inputMode="decimal"
          value={draft !== null && (fault !== null || converted === null || other) ? draft : field.says(value)}
          maxLength={60}
          aria-invalid={fault !== null || undefined}
          aria-describedby={`${id}-fault ${id}-is`}
          onChange={(e) => read(e.target.value)}
          onBlur={() => fault === null && !other && setDraft(null)}
          className="field fig w-full pr-10 text-[16px]"
        />
        <span className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-ink-soft">{other ? '' : field.unit}</span>
      </div>
      <p id={`${id}-is`} className="text-[13.5px] text-ink-soft empty:hidden">
        {other && `= ${field.says(value)}\u00a0${field.unit}`}
      </p>
      <p id={`${id}-fault`} role="alert" className="text-[13.5px] text-beet empty:hidden">
        {fault}
      </p>
    </div>
  );
}
