'use client';

import { useRef, useState, type CSSProperties, type HTMLAttributes, type Ref, type RefObject } from 'react';
import type { SortableRows } from './sortable-rows';

/** What makes a row draggable; null until a pointer has come near. */
export interface Drag {
  readonly ref: Ref<HTMLLIElement>;
  readonly style: CSSProperties;
  readonly dragging: boolean;
  readonly grip: HTMLAttributes<HTMLButtonElement>;
}

interface WakingRows {
  readonly list: RefObject<HTMLOListElement | null>;
  /** Null until the list was woken. */
  readonly Sortable: typeof SortableRows | null;
  readonly wake: () => void;
}

/** A list whose grips come to life when a pointer nears; not while a row is being typed in, which would lose its cursor. */
export function useSortableRows(): WakingRows {
  const list = useRef<HTMLOListElement>(null);
  const [Sortable, setSortable] = useState<typeof SortableRows | null>(null);
  const wake = () => {
    if (Sortable || list.current?.contains(document.activeElement)) return;
    void import('./sortable-rows').then((m) => setSortable(() => m.SortableRows));
  };
  return { list, Sortable, wake };
}
