'use client';

import type { ReactNode } from 'react';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { rectSortingStrategy, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { Drag } from './use-sortable-rows';

interface SortableRowsProps {
  readonly id: string;
  readonly ids: readonly string[];
  /** Rows that stand in columns move in both directions. */
  readonly columns?: boolean;
  readonly onMove: (rowId: string, to: number) => void;
  readonly row: (at: number, drag: Drag) => ReactNode;
}

/** The rows of a list with grips that drag. It brings its own code and so is loaded when a pointer first comes near. */
export function SortableRows({ id, ids, columns = false, onMove, row }: SortableRowsProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(String(active.id), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={columns ? [restrictToParentElement] : [restrictToVerticalAxis, restrictToParentElement]}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={[...ids]} strategy={columns ? rectSortingStrategy : verticalListSortingStrategy}>
        {ids.map((rowId, at) => (
          <SortableRow key={rowId} id={rowId} row={(drag) => row(at, drag)} />
        ))}
      </SortableContext>
    </DndContext>
  );
}

function SortableRow({ id, row }: { readonly id: string; readonly row: (drag: Drag) => ReactNode }) {
  const { setNodeRef, transform, transition, isDragging, attributes, listeners } = useSortable({ id });
  return row({
    ref: setNodeRef,
    style: { transform: CSS.Translate.toString(transform), transition },
    dragging: isDragging,
    grip: { ...attributes, ...listeners },
  });
}
