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

/** Whether the rows are in use, so that rows made anew would lose a cursor, a press that has begun, or what is open over them. */
const inUse = (list: HTMLElement | null): boolean =>
  list !== null && (list.contains(document.activeElement) || list.querySelector(':active, [data-state="open"], [aria-expanded="true"]') !== null);

/** A list whose grips come to life when a pointer moves over it and nothing in it is in use. */
export function useSortableRows(): WakingRows {
  const list = useRef<HTMLOListElement>(null);
  const [Sortable, setSortable] = useState<typeof SortableRows | null>(null);
  const wake = () => {
    if (Sortable || inUse(list.current)) return;
    void import('./sortable-rows').then((m) => {
      if (!inUse(list.current)) setSortable(() => m.SortableRows);
    });
  };
  return { list, Sortable, wake };
}
