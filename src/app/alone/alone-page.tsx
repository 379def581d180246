'use client';

import { useEffect, useState } from 'react';
import { KEPT_NAMES, PAGES } from '../../ui/alone/kept-pages';
import { PagesSchema, type NamedPage } from '../../ui/alone/pages-named';
import { Frame } from '../../ui/frame';

/** The pages that are kept on this tablet, of those that have a name. */
async function keptHere(): Promise<readonly NamedPage[]> {
  if (!('caches' in window)) return [];
  const named = PagesSchema.safeParse(JSON.parse(localStorage.getItem(KEPT_NAMES) ?? '[]'));
  if (!named.success) return [];
  const caught = new Set<string>();
  for (const name of await caches.keys()) {
    if (!name.startsWith(PAGES)) continue;
    for (const { url } of await (await caches.open(name)).keys()) caught.add(url.slice(location.origin.length));
  }
  return named.data.filter((p) => caught.has(p.href));
}

/** Shown while the server is away where a page was never kept: what there is instead. */
export function AlonePage() {
  const [kept, setKept] = useState<readonly NamedPage[] | null>(null);
  useEffect(() => {
    keptHere().then(setKept, () => setKept([]));
  }, []);
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="text-[20px]">Not kept on this tablet</h1>}>
      <div className="max-w-[640px] px-6 py-10">
        <p className="mb-5 text-[17px]">The server does not answer, and this page was not kept here. What is:</p>
        <ul className="divide-y divide-steel border-y border-steel empty:hidden">
          {(kept ?? []).map((k) => (
            <li key={k.href}>
              {/* The whole page, as it was kept: no part of it can be asked for. */}
              <a href={k.href} className="flex min-h-12 items-center py-2 text-[17px] hover:text-yolk-ink">
                <span className="min-w-0 truncate">{k.name}</span>
              </a>
            </li>
          ))}
        </ul>
        {kept?.length === 0 && (
          <p className="text-ink-soft">Nothing yet. A tablet keeps pages while the server answers, over https or on the server’s own machine.</p>
        )}
      </div>
    </Frame>
  );
}
