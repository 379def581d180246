'use client';

import { Dialog, DropdownMenu } from 'radix-ui';
import { useRouter } from 'next/navigation';
import { useId, useState, type FormEvent } from 'react';
import { sendingIds } from '../../ui/sheet/fresh-id';
import { useNotice } from '../../ui/kit/notice';

interface SheetMenuProps {
  readonly id: string;
  readonly name: string;
  readonly folder: string;
  readonly folders: readonly string[];
  readonly archived: boolean;
}

const ITEM = 'flex min-h-10 cursor-default items-center px-3 text-[15px] outline-none data-[highlighted]:bg-steel-light';

/** What can be done with a sheet of the gallery: a copy, its folder, away and back. */
export function SheetMenu({ id, name, folder, folders, archived }: SheetMenuProps) {
  const router = useRouter();
  const say = useNotice();
  const [naming, setNaming] = useState(false);
  const place = async (to: { readonly folder?: string; readonly archived?: boolean }): Promise<boolean> => {
    const answer = await fetch(`/api/sheets/${id}`, { method: 'PATCH', headers: { 'content-type': 'application/json' }, body: JSON.stringify(to) }).catch(
      () => null,
    );
    if (answer?.ok) router.refresh();
    else say('The server did not take it: nothing was changed.');
    return answer?.ok === true;
  };
  const moved = async (
    to: { readonly folder?: string; readonly archived?: boolean },
    says: string,
    back: { readonly folder?: string; readonly archived?: boolean },
  ): Promise<void> => {
    if (await place(to)) say(says, () => void place(back));
  };
  const [ids] = useState(sendingIds);
  const copy = async (): Promise<void> => {
    const there = await fetch(`/api/sheets/${id}`).catch(() => null);
    const doc = there?.ok ? ((await there.json()) as { readonly doc: { readonly name: string } }).doc : null;
    const made =
      doc &&
      (await fetch('/api/sheets', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: ids.of(JSON.stringify(doc)), doc: { ...doc, name: `${doc.name}, copy`.slice(0, 120) } }),
      }).catch(() => null));
    if (!made?.ok) return say('The server did not take it: nothing was copied.');
    ids.arrived();
    router.push(`/sheet/${((await made.json()) as { id: string }).id}/bench`);
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="btn min-h-9 border-transparent bg-transparent px-2.5 text-ink-soft" aria-label={`More for ${name}`}>
          <span aria-hidden="true" className="tracking-[2px]">
            ···
          </span>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={4}
            collisionPadding={10}
            className="z-50 min-w-[180px] rounded-s border border-steel bg-paper py-1 shadow-float"
          >
            <DropdownMenu.Item className={ITEM} onSelect={() => void copy()}>
              Make a copy
            </DropdownMenu.Item>
            {!archived && (
              <DropdownMenu.Item className={ITEM} onSelect={() => setNaming(true)}>
                {folder === '' ? 'Into a folder…' : `In ${folder}…`}
              </DropdownMenu.Item>
            )}
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => void moved({ archived: !archived }, archived ? `${name} is on Today again.` : `${name} is put away.`, { archived })}
            >
              {archived ? 'Take it back' : 'Put away'}
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <Dialog.Root open={naming} onOpenChange={setNaming}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed left-1/2 top-[22%] z-50 w-[min(420px,94vw)] -translate-x-1/2 rounded-s bg-paper p-5 shadow-float"
          >
            <Dialog.Title className="text-[18px]">Where {name} is kept</Dialog.Title>
            <FolderForm
              folder={folder}
              folders={folders}
              onDone={(to) => {
                setNaming(false);
                if (to !== folder) void moved({ folder: to }, to === '' ? `${name} is in no folder.` : `${name} is in ${to}.`, { folder });
              }}
            />
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function FolderForm({ folder, folders, onDone }: { readonly folder: string; readonly folders: readonly string[]; readonly onDone: (folder: string) => void }) {
  const id = useId();
  const [name, setName] = useState('');
  const named = (event: FormEvent): void => {
    event.preventDefault();
    if (name.trim() !== '') onDone(name.trim());
  };
  return (
    <>
      <ul className="mt-3">
        {folders.map((f) => (
          <li key={f} className="border-t border-steel-light">
            <button
              type="button"
              onClick={() => onDone(f)}
              aria-pressed={f === folder}
              className={`min-h-11 w-full text-left hover:underline ${f === folder ? 'font-[650]' : ''}`}
            >
              {f}
              {f === folder && <span className="text-ink-soft">, here now</span>}
            </button>
          </li>
        ))}
        {folder !== '' && (
          <li className="border-t border-steel-light">
            <button type="button" onClick={() => onDone('')} className="min-h-11 w-full text-left hover:underline">
              In no folder
            </button>
          </li>
        )}
      </ul>
      <form onSubmit={named} className="mt-3 border-t border-steel pt-3">
        <label htmlFor={id} className="text-[14px] text-ink-soft">
          A new folder, by a name of your own
        </label>
        <div className="mt-1 flex gap-2">
          <input id={id} className="field min-w-0 flex-1" maxLength={60} value={name} onChange={(e) => setName(e.target.value)} />
          <button type="submit" className="btn" disabled={name.trim() === ''}>
            Put it there
          </button>
        </div>
      </form>
    </>
  );
}
