'use client';

import { lazy, type ReactNode } from 'react';
import { showFigure, type Figure } from '../core/figure';
import { OpensPanel } from './opens-panel';

const Working = lazy(() => import('./working').then((m) => ({ default: m.Working })));

interface FigureButtonProps {
  readonly figure: Figure;
  readonly shown?: string;
  readonly className?: string;
  /** Seen instead of the figure's text. */
  readonly face?: ReactNode;
}

/** A computed number in running text; click or Enter opens its working. */
export function FigureButton({ figure, shown, className = '', face }: FigureButtonProps) {
  return (
    <OpensPanel
      wide
      className={`fig relative inline cursor-pointer border-b border-ink-soft/45 text-[15.5px] after:absolute after:-inset-x-1 after:-inset-y-2 hover:border-ink data-[state=open]:border-yolk ${className}`}
      label={`${figure.name} ${shown ?? showFigure(figure)}: open its working`}
      panelLabel={`Working of ${figure.name.toLowerCase()}`}
      face={face ?? shown ?? showFigure(figure)}
      panel={() => <Working figure={figure} />}
    />
  );
}
