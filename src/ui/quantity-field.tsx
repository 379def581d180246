'use client';

import { useId, useState } from 'react';
import { readQuantity } from '../core/measures/quantity';
import { asDecimal } from '../core/measures/quantity';

interface QuantityFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
  readonly onChange: (value: number) => void;
}

/** A number with its unit; takes fractions and sums, keeps what cannot be read with the reason beside it. */
export function QuantityField({ label, unit, value, min, max, whole = false, onChange }: QuantityFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const read = (text: string) => {
    setDraft(text);
    const quantity = readQuantity(text);
    const range = `${label} goes from ${min} to ${max}${unit ? `\u00a0${unit}` : ''}`;
    if (!quantity.ok) setFault(text.trim() === '' ? `Type a number: ${range.toLowerCase()}.` : quantity.fault.says);
    else if (quantity.value < min || quantity.value > max) setFault(`${range}; ${asDecimal(quantity.value)} is outside.`);
    else if (whole && !Number.isInteger(quantity.value)) setFault(`${label} is a whole number.`);
    else {
      setFault(null);
      onChange(quantity.value);
    }
  };
  return (
    <div>
      <label htmlFor={id} className="block text-[13.5px] text-ink-soft">
        {label}
      </label>
      <div className="relative mt-0.5">
        <input
          id={id}
          inputMode="decimal"
          value={draft ?? asDecimal(value)}
          maxLength={60}
          aria-invalid={fault !== null || undefined}
          aria-describedby={`${id}-fault`}
          onChange={(e) => read(e.target.value)}
          onBlur={() => fault === null && setDraft(null)}
          className="field fig w-full pr-10 text-[16px]"
        />
        <span className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-ink-soft">{unit}</span>
      </div>
      <p id={`${id}-fault`} role="alert" className="text-[13.5px] text-beet empty:hidden">
        {fault}
      </p>
    </div>
  );
}
