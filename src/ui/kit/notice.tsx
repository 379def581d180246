'use client';

import { Toast } from 'radix-ui';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';

/** Something that has happened, with its way back. */
interface Said {
  readonly key: number;
  readonly says: string;
  readonly undo: (() => void) | null;
}

const Notices = createContext<(says: string, undo?: () => void) => void>(() => undefined);
/** Says what has happened; `undo` is offered while it stands. */
export const useNotice = () => useContext(Notices);

const STANDS_MS = 8000;

/** Small notes at the foot of the page: what is so now, and how to take it back. */
export function NoticeProvider({ children }: { readonly children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null);
  const say = useCallback((says: string, undo?: () => void) => setSaid((old) => ({ key: (old?.key ?? 0) + 1, says, undo: undo ?? null })), []);
  return (
    <Notices.Provider value={say}>
      <Toast.Provider duration={STANDS_MS} label="Note">
        {children}
        {said && (
          <Toast.Root
            key={said.key}
            onOpenChange={(open) => !open && setSaid(null)}
            className="flex items-center gap-5 rounded-s bg-ink px-4 py-2.5 text-paper shadow-float"
          >
            <Toast.Title className="text-[15px]">{said.says}</Toast.Title>
            {said.undo && (
              <Toast.Action asChild altText="Undo">
                <button type="button" onClick={said.undo} className="min-h-9 font-[650] text-yolk underline underline-offset-2">
                  Undo
                </button>
              </Toast.Action>
            )}
          </Toast.Root>
        )}
        <Toast.Viewport className="fixed bottom-5 left-1/2 z-50 w-max max-w-[92vw] -translate-x-1/2" />
      </Toast.Provider>
    </Notices.Provider>
  );
}
