'use client';

import { useEffect, useRef, useState, type KeyboardEvent } from 'react';

interface TypedField {
  /** What the field shows: what is being typed, else what it stands for. */
  readonly text: string;
  /** Typed and not understood. */
  readonly wrong: boolean;
  readonly onText: (text: string) => void;
  readonly onBlur: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

interface Of {
  readonly value: string;
  readonly show: (value: string) => string;
  readonly read: (text: string) => string | null;
  /** Whole as it is typed: it is taken at once, not in the middle of a word. */
  readonly whole: RegExp;
  /** Another one by the arrow keys. */
  readonly step: (value: string, by: 1 | -1) => string;
  /** Whether it may be emptied. */
  readonly empties: boolean;
  readonly onChange: (value: string) => void;
}

/**
 * A field that takes what cooks type in several ways. What is typed stands until it is left or Enter is pressed; then it is read, and stays
 * with a word where it is not understood. Nothing typed is lost when the page goes.
 */
export function useTypedField(of: Of): TypedField {
  const [draft, setDraft] = useState<string | null>(null);
  const [left, setLeft] = useState(false);
  const put = (text: string): boolean => {
    const found = text.trim() === '' ? (of.empties ? '' : of.value) : of.read(text);
    if (found === null) return false;
    if (found !== of.value) of.onChange(found);
    return true;
  };
  const open = useRef<() => void>(() => undefined);
  useEffect(() => {
    open.current = () => {
      if (draft !== null) put(draft);
    };
  });
  useEffect(() => {
    const go = (): void => open.current();
    window.addEventListener('pagehide', go);
    return () => {
      window.removeEventListener('pagehide', go);
      go();
    };
  }, []);
  const settle = (): void => {
    if (draft === null) return;
    const ok = put(draft);
    setLeft(!ok);
    if (ok) setDraft(null);
  };
  return {
    text: draft ?? of.show(of.value),
    wrong: left && draft !== null,
    onText: (text) => {
      setLeft(false);
      setDraft(text);
      const found = of.whole.test(text.trim()) ? of.read(text) : null;
      if (found !== null && found !== of.value) of.onChange(found);
    },
    onBlur: settle,
    onKeyDown: (event) => {
      if (event.key === 'Enter') settle();
      else if (event.key === 'Escape' && draft !== null) {
        event.stopPropagation();
        setDraft(null);
        setLeft(false);
      } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && of.value !== '') {
        event.preventDefault();
        setDraft(null);
        of.onChange(of.step(of.value, event.key === 'ArrowUp' ? 1 : -1));
      }
    },
  };
}
