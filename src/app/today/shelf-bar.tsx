'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';

interface ShelfBarProps {
  readonly find: string;
  readonly folder: string | null;
  readonly order: 'touched' | 'name';
  readonly inUse: number;
  readonly putAway: number;
  readonly folders: readonly { readonly name: string; readonly n: number }[];
}

const WAIT_MS = 220;

/** The address of a view of the shelf. @param folder null for what was put away. */
const hrefOf = (find: string, folder: string | null, order: 'touched' | 'name'): string => {
  const q = new URLSearchParams();
  if (find.trim() !== '') q.set('find', find.trim());
  if (folder === null) q.set('away', '1');
  else if (folder !== '') q.set('folder', folder);
  if (order === 'name') q.set('order', 'name');
  const text = q.toString();
  return text === '' ? '/' : `/?${text}`;
};

/** Finds among the sheets, by name, folder and order; each view has its address. */
export function ShelfBar({ find, folder, order, inUse, putAway, folders }: ShelfBarProps) {
  const router = useRouter();
  const here = usePathname();
  const [words, setWords] = useState(find);
  const asked = useRef(find);
  useEffect(() => {
    if (words === asked.current || here !== '/') return;
    const timer = setTimeout(() => {
      asked.current = words;
      router.replace(hrefOf(words, folder, order), { scroll: false });
    }, WAIT_MS);
    return () => clearTimeout(timer);
  }, [words, folder, order, router, here]);
  const tab = (name: string | null, says: string, n: number) => (
    <li key={says}>
      <Link
        href={hrefOf(words, name, order)}
        scroll={false}
        aria-current={folder === name ? 'true' : undefined}
        className={`inline-flex min-h-9 items-center px-2.5 text-[14.5px] ${folder === name ? 'font-[650] shadow-[inset_0_-2px_0_var(--color-ink)]' : 'text-ink-soft hover:text-ink'}`}
      >
        {says}&nbsp;<span className="fig font-[400] text-ink-soft">{n}</span>
      </Link>
    </li>
  );
  const shows = folders.length > 0 || putAway > 0 || folder !== '';
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-steel pb-2">
      <h2 className="text-[17px]">Sheets</h2>
      {shows && (
        <ul className="flex flex-wrap" aria-label="Folders">
          {tab('', 'In use', inUse)}
          {folders.map((f) => tab(f.name, f.name, f.n))}
          {putAway > 0 && tab(null, 'Put away', putAway)}
        </ul>
      )}
      <div className="ml-auto flex flex-wrap items-center gap-2">
        <Link
          href={hrefOf(words, folder, order === 'name' ? 'touched' : 'name')}
          scroll={false}
          className="px-1.5 text-[14px] text-ink-soft underline underline-offset-2 hover:text-ink"
        >
          {order === 'name' ? 'by name' : 'last touched first'}
        </Link>
        <input
          type="search"
          aria-label="Find among the sheets"
          placeholder={`find among ${inUse}`}
          className="field w-[180px]"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        <Link href="/new" className="btn">
          Start one
        </Link>
        <Link href="/paste" className="btn">
          Paste a recipe
        </Link>
      </div>
    </div>
  );
}
