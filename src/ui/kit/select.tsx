'use client';

import { ChevronDown } from 'lucide-react';
import { lazy, Suspense, useId, useRef, useState, type KeyboardEvent } from 'react';

const load = () => import('./select-open');
const SelectOpen = lazy(load);

export interface SelectProps<V extends string> {
  readonly value: V;
  readonly options: readonly (readonly [V, string])[];
  readonly onChange: (value: V) => void;
  readonly id?: string | undefined;
  /** Its name, where no label stands for it. */
  readonly label?: string | undefined;
  /** Said while nothing is chosen. */
  readonly placeholder?: string | undefined;
  readonly className?: string | undefined;
}

/** How it looks, open and shut. */
export const SELECT_LOOK = 'inline-flex items-center justify-between gap-2 text-left';

/** The words and the mark of a shut list. */
export function SelectFace({ text }: { readonly text: string }) {
  return (
    <>
      <span className="truncate">{text}</span>
      <ChevronDown size={16} aria-hidden="true" className="shrink-0 text-ink-soft" />
    </>
  );
}

const OPENS = new Set(['ArrowDown', 'ArrowUp', 'Enter', ' ']);

/**
 * One of several from a list that opens. The list itself comes when the field is neared, so that a page opens light; until then it is a
 * button that says what is chosen.
 */
export function Select<V extends string>(props: SelectProps<V>) {
  const { value, options, id, label, placeholder = '', className = 'field' } = props;
  const [open, setOpen] = useState(false);
  const own = useId();
  const shut = useRef<HTMLButtonElement>(null);
  const text = options.find(([v]) => v === value)?.[1] ?? placeholder;
  const onKey = (event: KeyboardEvent): void => {
    if (!OPENS.has(event.key)) return;
    event.preventDefault();
    setOpen(true);
  };
  const face = (
    <button
      ref={shut}
      id={id ?? own}
      type="button"
      role="combobox"
      aria-haspopup="listbox"
      aria-expanded={false}
      aria-controls={`${own}-list`}
      {...(label === undefined ? {} : { 'aria-label': label })}
      data-value={value}
      className={`${SELECT_LOOK} ${className}`}
      onClick={() => setOpen(true)}
      onKeyDown={onKey}
      onPointerEnter={() => void load()}
      onFocus={() => void load()}
    >
      <SelectFace text={text} />
    </button>
  );
  if (!open) return face;
  const close = (): void => {
    setOpen(false);
    // The field stands again once the list is gone; the hand stays on it.
    requestAnimationFrame(() => shut.current?.focus());
  };
  return (
    <Suspense fallback={face}>
      <SelectOpen
        id={id ?? own}
        value={value}
        options={options}
        onChange={(v: string) => props.onChange(v as V)}
        label={label}
        placeholder={placeholder}
        className={className}
        onClose={close}
      />
    </Suspense>
  );
}
