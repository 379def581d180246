'use client';

import { lazy, Suspense, useRef, useState, type ReactNode } from 'react';

const load = () => import('./floating-panel');
const FloatingPanel = lazy(load);

interface OpensPanelProps {
  readonly className: string;
  /** The opener's name for those who hear it; its text where left out. */
  readonly label?: string;
  readonly panelLabel: string;
  readonly wide?: boolean;
  readonly face: ReactNode;
  readonly panel: (close: () => void) => ReactNode;
}

/** A button that opens a floating panel. The panel's code comes when the button is neared, so that a page opens light. */
export function OpensPanel({ className, label, panelLabel, wide = false, face, panel }: OpensPanelProps) {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const close = () => setOpen(false);
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={open}
        {...(label === undefined ? {} : { 'aria-label': label })}
        data-state={open ? 'open' : 'closed'}
        className={className}
        onClick={() => setOpen(!open)}
        onPointerEnter={() => void load()}
        onFocus={() => void load()}
      >
        {face}
      </button>
      {open && (
        <Suspense>
          <FloatingPanel anchor={button} label={panelLabel} wide={wide} onClose={close}>
            {panel(close)}
          </FloatingPanel>
        </Suspense>
      )}
    </>
  );
}
