'use client';

import { useId } from 'react';
import { READING_FORMS, readReading } from '../../core/batch/readings';
import type { ReadingKind } from '../../core/batch/method';
import { asTyped, shownUnit, typedIn } from '../../core/measures/shown';
import { unitsHere } from '../../core/measures/shown-here';

interface ReadingFieldProps {
  readonly kind: ReadingKind;
  readonly text: string;
  readonly onWrite: (text: string) => void;
  readonly dark?: boolean;
  /** Said beside the field on top of its own fault. */
  readonly fault?: string | null;
}

/** A value taken down by the cook; unreadable text stays, with the reason beside it. */
export function ReadingField({ kind, text, onWrite, dark = false, fault = null }: ReadingFieldProps) {
  const id = useId();
  const form = READING_FORMS[kind];
  const read = text.trim() === '' ? null : readReading(kind, text);
  const wrong = read && !read.ok ? read.fault.says : fault;
  return (
    <div>
      <label htmlFor={id} className={`block ${dark ? 'text-[18px] text-cocoa-soft' : 'text-[13.5px] text-ink-soft'}`}>
        {form.name}
      </label>
      <div className="relative mt-1">
        <input
          id={id}
          inputMode="text"
          autoComplete="off"
          value={asTyped(text, form.unit, unitsHere())}
          maxLength={60}
          placeholder={form.hint}
          aria-invalid={wrong !== null || undefined}
          aria-describedby={`${id}-fault`}
          onChange={(e) => onWrite(typedIn(e.target.value, form.unit, unitsHere()))}
          className={
            dark
              ? 'fig h-16 w-full rounded-s border border-cocoa-line bg-transparent px-4 pr-16 text-[30px] text-milk aria-invalid:border-yolk'
              : 'field fig w-full pr-12 text-[17px]'
          }
        />
        <span className={`pointer-events-none absolute inset-y-0 right-4 flex items-center ${dark ? 'text-[20px] text-cocoa-soft' : 'text-ink-soft'}`}>
          {shownUnit(form.unit, unitsHere())}
        </span>
      </div>
      <p id={`${id}-fault`} role="alert" className={`mt-1 empty:hidden ${dark ? 'text-[17px] text-yolk' : 'text-[13.5px] text-beet'}`}>
        {wrong}
      </p>
    </div>
  );
}
