'use client';

import { useState, type ReactNode } from 'react';
import { Undo2 } from 'lucide-react';
import { Frame } from '../../ui/frame';
import { ClockPages, type ClockPage } from './clock-pages';
import { useService } from './service-provider';

/** Every page of a service: its name, whether it is saved, and the way to its other pages. */
export function ClockFrame({ here, children }: { readonly here: ClockPage; readonly children: ReactNode }) {
  const { id, doc, change, saving, undo, canUndo, theirs, takeTheirs, keepMine } = useService();
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <Frame
      station="Clock"
      sheetId={null}
      heading={
        <>
          <input
            aria-label="Name of the service"
            value={draft ?? doc.name}
            maxLength={120}
            onChange={(e) => {
              setDraft(e.target.value);
              const name = e.target.value.trim();
              if (name !== '') change((d) => ({ ...d, name }), true);
            }}
            onBlur={() => setDraft(null)}
            className="min-h-9 w-full max-w-[430px] min-w-0 truncate rounded-s border border-transparent bg-transparent px-1.5 font-figure text-[20px] font-[650] hover:border-steel focus:border-steel focus:bg-paper"
          />
          <span role="status" aria-label="Saving" className={`text-[14px] ${saving.wrong ? 'text-beet' : 'whitespace-nowrap text-ink-soft max-md:hidden'}`}>
            {saving.text}
          </span>
        </>
      }
      right={
        <button type="button" className="btn" onClick={undo} disabled={!canUndo} title="Undo (Ctrl Z)" aria-label="Undo">
          <Undo2 size={16} aria-hidden="true" />
        </button>
      }
    >
      {theirs && (
        <div role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-steel bg-yolk-pale px-4 py-2 md:px-6">
          <span>Another screen has changed this service meanwhile.</span>
          <button type="button" className="btn" onClick={takeTheirs}>
            Take theirs
          </button>
          <button type="button" className="btn" onClick={keepMine}>
            Keep mine
          </button>
        </div>
      )}
      <div className="px-4 pt-2 md:px-6">
        <ClockPages serviceId={id} here={here} />
      </div>
      {children}
    </Frame>
  );
}
