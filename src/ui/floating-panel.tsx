'use client';

import { Popover } from 'radix-ui';
import type { ReactNode, RefObject } from 'react';

interface FloatingPanelProps {
  /** What it hangs on; gets the focus back when it closes. */
  readonly anchor: RefObject<HTMLElement | null>;
  readonly label: string;
  readonly wide?: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * A panel that floats beside what opened it and closes by Escape or a touch elsewhere.
 * It brings its own positioning code and so is loaded only when first wanted (see `OpensPanel`).
 */
export default function FloatingPanel({ anchor, label, wide = false, onClose, children }: FloatingPanelProps) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={anchor as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          aria-label={label}
          // Beside the column that it explains where there is room, so that the column stays readable.
          side={wide && window.innerWidth >= 1024 ? 'left' : 'bottom'}
          collisionPadding={10}
          sideOffset={6}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            anchor.current?.focus();
          }}
          // The opener closes it itself; taken as 'elsewhere' it would close and open again.
          onInteractOutside={(e) => anchor.current?.contains(e.target as Node) && e.preventDefault()}
          className={`z-50 max-h-[min(620px,var(--radix-popover-content-available-height))] overflow-y-auto rounded-s border border-steel bg-paper p-4 shadow-float ${wide ? 'w-[min(430px,94vw)]' : 'w-[min(340px,94vw)]'}`}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
