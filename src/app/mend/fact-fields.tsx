'use client';

import { useId, useState } from 'react';
import { asksOf, type Ask } from '../../core/mend/asks';
import type { BatchFacts } from '../../core/mend/case';
import type { SignId } from '../../core/mend/words';
import { typedFace } from '../../core/figure';
import { ok } from '../../core/result';
import { numberField } from '../../ui/units/number-field';

interface FactFieldsProps {
  readonly sign: SignId;
  /** A second sign that is seen. */
  readonly too: SignId | null;
  readonly facts: BatchFacts;
  /** What the batch tells of itself. */
  readonly fromBatch: BatchFacts;
  readonly onChange: (facts: BatchFacts) => void;
}

/** What is known, and what can still be said: each figure moves causes and amounts at once. */
export function FactFields({ sign, too, facts, fromBatch, onChange }: FactFieldsProps) {
  const asks = asksOf(sign, too);
  if (asks.length === 0) return null;
  return (
    <section aria-label="What is known" className="mt-6 flex flex-wrap gap-x-4 gap-y-3">
      {asks.map((ask) => (
        <FactField
          key={ask.key}
          ask={ask}
          value={facts[ask.key]}
          known={fromBatch[ask.key] !== null && fromBatch[ask.key] === facts[ask.key]}
          onChange={(value) => onChange({ ...facts, [ask.key]: value })}
        />
      ))}
    </section>
  );
}

function FactField({
  ask,
  value,
  known,
  onChange,
}: {
  readonly ask: Ask;
  readonly value: number | null;
  readonly known: boolean;
  readonly onChange: (value: number | null) => void;
}) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const field = numberField(ask.unit, ask.max);
  const read = (text: string) => {
    setDraft(text);
    if (text.trim() === '') {
      setFault(null);
      onChange(null);
      return;
    }
    const clock = ask.key === 'whiskedS' ? /^(\d{1,3}):([0-5]\d)$/.exec(text.trim()) : null;
    const typed = clock ? Number(clock[1]) + Number(clock[2]) / 60 : null;
    const measured = typed === null ? field.read(text) : ok({ value: typed });
    const v = measured.ok ? measured.value.value : null;
    if (!measured.ok) setFault(measured.fault.says);
    else if (v === null || v < ask.min || v > ask.max)
      setFault(`From ${field.says(ask.min)} to ${field.says(ask.max)}${field.unit ? `\u00a0${field.unit}` : ''}.`);
    else if (ask.whole && !Number.isInteger(v)) setFault('A whole number.');
    else {
      setFault(null);
      onChange(v * ask.times);
    }
  };
  const shown = value === null ? '' : ask.key === 'whiskedS' ? typedFace(value) : field.says(value / ask.times);
  return (
    <div className="w-36">
      <label htmlFor={id} className="block text-[13.5px] text-ink-soft">
        {ask.label}
        {known && ', from the batch'}
      </label>
      <div className="relative mt-0.5">
        <input
          id={id}
          inputMode="decimal"
          value={draft ?? shown}
          maxLength={20}
          placeholder="not known"
          aria-invalid={fault !== null || undefined}
          onChange={(e) => read(e.target.value)}
          onBlur={() => fault === null && setDraft(null)}
          className="field fig w-full pr-10 text-[16px]"
        />
        <span className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-ink-soft">{field.unit}</span>
      </div>
      <p role="alert" className="text-[13.5px] text-beet empty:hidden">
        {fault}
      </p>
    </div>
  );
}
