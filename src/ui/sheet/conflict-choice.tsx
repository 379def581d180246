'use client';

import { Dialog } from 'radix-ui';
import { ClockTime } from '../clock-time';
import { useSheet } from './sheet-provider';
import type { Sheet } from '../../core/document/schema';

/** The lines of a sheet that the other one does not have. */
const linesOnlyIn = (a: Sheet, b: Sheet): readonly string[] => {
  const others = new Set(b.parts.flatMap((p) => p.lines.map((l) => l.text)));
  return a.parts.flatMap((p) => p.lines.map((l) => l.text)).filter((t) => !others.has(t));
};

function Side({ head, doc, other }: { readonly head: string; readonly doc: Sheet; readonly other: Sheet }) {
  const lines = linesOnlyIn(doc, other);
  const rest = [
    doc.name !== other.name ? `name: ${doc.name}` : '',
    doc.portions !== other.portions ? `${doc.portions} portions` : '',
    doc.vessel.name !== other.vessel.name ? doc.vessel.name : '',
    JSON.stringify(doc.parts.map((p) => p.whisk)) !== JSON.stringify(other.parts.map((p) => p.whisk)) ? `whisked to ${doc.parts[0]?.whisk.stage}` : '',
  ].filter(Boolean);
  return (
    <div>
      <h3 className="mb-1 text-[16px]">{head}</h3>
      <ul className="text-[14.5px]">
        {[...lines, ...rest].map((t) => (
          <li key={t} className="border-t border-steel-light py-1">
            {t}
          </li>
        ))}
        {lines.length + rest.length === 0 && <li className="border-t border-steel-light py-1 text-ink-soft">everything else is the same</li>}
      </ul>
    </div>
  );
}

/** Two screens edited one sheet: the cook chooses, and neither is lost. */
export function ConflictChoice() {
  const { status, doc, store, save } = useSheet();
  if (status.kind !== 'conflict') return null;
  const { theirs } = status;
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          className="fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(620px,94vw)] -translate-1/2 overflow-y-auto rounded-s bg-paper p-6 shadow-float"
          onEscapeKeyDown={(e) => e.preventDefault()}
        >
          <Dialog.Title className="text-[20px]">Another screen changed this sheet</Dialog.Title>
          <Dialog.Description className="mt-1 mb-4 text-ink-soft">
            It was saved there at <ClockTime at={theirs.updatedAt} /> while you were editing here. Choose which goes on; the other can be had back.
          </Dialog.Description>
          <div className="grid gap-6 sm:grid-cols-2">
            <Side head="Here" doc={doc} other={theirs.doc} />
            <Side head="There" doc={theirs.doc} other={doc} />
          </div>
          <div className="mt-5 flex flex-wrap gap-3">
            <button type="button" className="btn btn-act" onClick={() => void save(true)}>
              Go on with mine
            </button>
            <button type="button" className="btn" onClick={() => store.adopt(theirs, Date.now())}>
              Take theirs
            </button>
          </div>
          <p className="mt-3 text-[13.5px] text-ink-soft">Mine: theirs stays as version {theirs.version}. Theirs: undo brings yours back.</p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
