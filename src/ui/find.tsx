'use client';

import { Command as Cmdk } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { SIGN_IDS, SIGN_WORDS } from '../core/mend/words';
import { STATIONS, stationHref } from './stations';

/** Something that the finder can do. */
export interface Command {
  readonly name: string;
  readonly group: string;
  readonly keys?: string;
  /** Other words that find it. */
  readonly words?: readonly string[];
  readonly run: () => void;
}

interface FindProps {
  readonly onClose: () => void;
  readonly sheetId: string | null;
  readonly commands: readonly Command[];
  readonly showKeys: () => void;
}

/** Mend for a sign: of the batch in hand, else of the sheet, else it asks. */
function mendHref(sign: string, sheetId: string | null): string {
  const batchId = /^\/(?:pass|log)\/([^/]+)$/.exec(window.location.pathname)?.[1];
  return batchId && batchId !== 'compare' && batchId !== 'learnt'
    ? `/mend?batch=${batchId}&sign=${sign}`
    : sheetId
      ? `/mend?sheet=${sheetId}&sign=${sign}`
      : `/mend?sign=${sign}`;
}

/** Finds any sheet, service, ingredient, station or command by typing part of its name. */
export function Find({ onClose, sheetId, commands, showKeys }: FindProps) {
  const router = useRouter();
  const [sheets, setSheets] = useState<readonly { id: string; name: string }[]>([]);
  const [services, setServices] = useState<readonly { id: string; name: string }[]>([]);
  const [ingredients, setIngredients] = useState<readonly { id: string; name: string }[]>([]);
  /** All that can be found is here; until then Enter waits, or it would take what is only nearest of half a list. */
  const [isWhole, setWhole] = useState(false);
  const [waits, setWaits] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    let wanted = true;
    const listed = (path: string, set: (found: readonly { id: string; name: string }[]) => void): Promise<void> =>
      fetch(path)
        .then((r) => r.json())
        .then((found) => (wanted ? set(found as { id: string; name: string }[]) : undefined))
        .catch(() => undefined);
    void Promise.all([listed('/api/larder', setIngredients), listed('/api/services', setServices), listed('/api/sheets', setSheets)]).then(
      () => wanted && setWhole(true),
    );
    return () => {
      wanted = false;
    };
  }, []);
  useEffect(() => {
    if (!isWhole) return;
    // What has come is in its order a frame later; what was chosen before it is no longer the first.
    const press = (key: string): void => void input.current?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    let frame = requestAnimationFrame(() => {
      press('Home');
      if (waits) frame = requestAnimationFrame(() => press('Enter'));
    });
    return () => cancelAnimationFrame(frame);
  }, [isWhole, waits]);
  const go = (href: string) => () => router.push(href);
  const all: readonly Command[] = [
    ...sheets.map((s) => ({ name: s.name, group: 'Sheets', run: go(`/sheet/${s.id}/bench`) })),
    ...services.map((s) => ({ name: s.name, group: 'Services', run: go(`/clock/${s.id}`) })),
    { name: 'Today', group: 'Stations', keys: '0', run: go('/') },
    ...STATIONS.map((s) => ({ name: `${s.name}, ${s.says}`, group: 'Stations', keys: s.key, run: go(stationHref(s.name, sheetId)) })),
    { name: 'Start a new sheet', group: 'Commands', run: go('/new') },
    { name: 'Paste a recipe: read what is written or told', group: 'Commands', run: go('/paste') },
    { name: 'The book of today: fridges, lots, cleaning', group: 'Commands', words: ['inspector', 'temperatures', 'allergens', 'sign'], run: go('/log/book') },
    { name: 'Which desserts had this carton', group: 'Commands', words: ['lot', 'trace', 'recall'], run: go('/log/book/lots') },
    {
      name: 'Set up the kitchen: measures, cold, mixers, tins, rules',
      group: 'Commands',
      words: ['begin', 'first', 'units', 'country', 'authority'],
      run: go('/begin'),
    },
    { name: 'Show the keys', group: 'Commands', keys: '?', run: showKeys },
    ...commands,
    ...SIGN_IDS.map((id) => ({ name: SIGN_WORDS[id].name, group: 'Something is wrong', words: SIGN_WORDS[id].words, run: go(mendHref(id, sheetId)) })),
    // With a sheet in hand an ingredient is one to add; its own page is a touch on its line.
    ...(sheetId === null ? ingredients.map((i) => ({ name: i.name, group: 'Larder', run: go(`/larder/${i.id}`) })) : []),
  ];
  const groups = [...new Set(all.map((c) => c.group))];
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          className="fixed top-[12vh] left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 rounded-s bg-paper shadow-float"
          aria-describedby={undefined}
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Cmdk label="Find">
            <Cmdk.Input
              ref={input}
              autoFocus
              onKeyDown={(e) => {
                if (e.key !== 'Enter' || isWhole) return;
                e.preventDefault();
                setWaits(true);
              }}
              placeholder="A sheet, an ingredient, a station or a command"
              className="w-full border-b border-steel px-4 py-3.5 text-[17px] outline-none"
            />
            <Cmdk.List className="max-h-[52vh] overflow-y-auto p-2">
              <Cmdk.Empty className="px-3 py-4 text-ink-soft">Nothing by that name.</Cmdk.Empty>
              {groups.map((group) => (
                <Cmdk.Group
                  key={group}
                  heading={group}
                  className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-[13px] [&_[cmdk-group-heading]]:text-ink-soft"
                >
                  {all
                    .filter((c) => c.group === group)
                    .map((c) => (
                      <Cmdk.Item
                        key={c.name}
                        value={`${c.name} ${group}`}
                        keywords={[...(c.words ?? [])]}
                        onSelect={() => {
                          onClose();
                          c.run();
                        }}
                        className="flex min-h-10 cursor-pointer items-center justify-between rounded-s px-3 data-[selected=true]:bg-yolk-pale"
                      >
                        <span className="truncate">{c.name}</span>
                        {c.keys && <kbd className="fig text-[13px] text-ink-soft">{c.keys}</kbd>}
                      </Cmdk.Item>
                    ))}
                </Cmdk.Group>
              ))}
            </Cmdk.List>
          </Cmdk>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
