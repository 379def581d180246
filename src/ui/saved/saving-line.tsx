'use client';

import type { DocumentSaver, SavedState } from './document-saver';

/** Whether what stands here is saved; and where another screen was first, which of the two is kept. */
export function SavingLine<D>({ saver, state }: { readonly saver: DocumentSaver<D>; readonly state: SavedState<D> }) {
  return (
    <>
      <p role="status" aria-label="Saving" className={`mt-2 min-h-[21px] text-[14px] ${state.wrong ? 'text-beet' : 'text-ink-soft'}`}>
        {state.says}
      </p>
      {state.theirs && (
        <p className="flex flex-wrap items-center gap-2 pt-1">
          <button type="button" className="btn" onClick={saver.keepMine}>
            Keep what is here
          </button>
          <button type="button" className="btn" onClick={saver.takeTheirs}>
            Take the other screen’s
          </button>
        </p>
      )}
    </>
  );
}
