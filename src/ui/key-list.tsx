'use client';

import { Dialog } from 'radix-ui';
import { STATIONS } from './stations';

const KEYS: readonly (readonly [string, string])[] = [
  ['0', 'Today'],
  ...STATIONS.map((s) => [s.key, `${s.name}: ${s.says}`] as const),
  ['Ctrl K', 'find a sheet, ingredient, station or command'],
  ['Ctrl Z', 'undo an edit of the sheet; Ctrl Shift Z does it again'],
  ['Enter', 'on a line: start the next line'],
  ['↑ ↓', 'on a line: to the line above or below'],
  ['Alt ↑ ↓', 'on a line: move it'],
  ['Ctrl ⌫', 'on a line: take it out'],
  ['↑ ↓', 'on a boundary of Tin’s cut: a millimetre; Page keys five'],
  ['← →', 'on a serving or a task of Clock: five minutes, with Shift half an hour; Delete lets a pin go'],
  ['← →', 'on Whisk’s curve, in Cold and on Pass: back and on'],
  ['Esc', 'close what is open'],
];

/** The keys, opened with '?'. */
export function KeyList({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          className="fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(520px,94vw)] -translate-1/2 overflow-y-auto rounded-s bg-paper p-6 shadow-float"
          aria-describedby={undefined}
        >
          <Dialog.Title className="mb-3 text-[20px]">Keys</Dialog.Title>
          <dl className="grid grid-cols-[88px_1fr]">
            {KEYS.map(([keys, says]) => (
              <div key={says} className="contents">
                <dt className="fig border-t border-steel-light py-1.5">{keys}</dt>
                <dd className="border-t border-steel-light py-1.5">{says}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="btn mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
