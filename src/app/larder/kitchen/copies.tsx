'use client';

import { useRef, useState } from 'react';
import type { Copy, Holdings } from '../../../data/copies';
import { diskSays, sizeSays } from './copy-words';
import { PIECE_BYTES } from '../../api/kitchen/file/pieces';
import { askServer, refusal } from '../../../ui/ask-server';
import { ClockTime } from '../../../ui/clock-time';
import { freshUuid } from '../../../ui/sheet/fresh-id';
import { CopyRow } from './copy-row';

interface CopiesProps {
  readonly folder: string;
  readonly first: readonly Copy[];
  /** What the disk still takes; null where it does not say. */
  readonly disk: { readonly free: number | null; readonly nearlyFull: boolean };
}

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'making'; readonly says: string }
  | { readonly kind: 'made'; readonly says: string }
  | { readonly kind: 'not'; readonly says: string };

const SHOWN = 8;

/** The kitchen's memory, kept a second time: when the last good copy was made, and one more at a touch. */
export function Copies({ folder, first, disk }: CopiesProps) {
  const [copies, setCopies] = useState(first);
  const [state, setState] = useState<State>({ kind: 'idle' });
  const file = useRef<HTMLInputElement>(null);
  /** Makes a copy in one way or another, and says what came of it. */
  const making = async (make: () => Promise<string>) => {
    setState({ kind: 'making', says: 'Copying…' });
    try {
      const says = await make();
      setCopies(await askServer<readonly Copy[]>('/api/copies', 'GET'));
      setState({ kind: 'made', says });
    } catch (error) {
      setState({ kind: 'not', says: refusal(error) });
    }
  };
  const copyNow = () =>
    making(async () => {
      const held = await askServer<Holdings>('/api/copies', 'POST');
      return `It opens, and holds ${held.sheets} sheets, ${held.batches} batches and ${held.ingredients} ingredients.`;
    });
  const bringIn = (zip: File) =>
    making(async () => {
      const upload = freshUuid();
      for (let from = 0; from < zip.size; from += PIECE_BYTES) {
        setState({ kind: 'making', says: `${sizeSays(from)} of ${sizeSays(zip.size)} are here…` });
        const piece = zip.slice(from, from + PIECE_BYTES);
        await askServer(`/api/kitchen/file?upload=${upload}&from=${from}`, 'PUT', piece);
      }
      setState({ kind: 'making', says: `Reading ${zip.name}…` });
      await askServer<Copy>(`/api/kitchen/file?upload=${upload}`, 'POST');
      return `${zip.name} is the newest copy below: see what differs, and go to it.`;
    });
  const last = copies[0];
  return (
    <section aria-label="Copies" className="mt-10 border-t border-steel pt-4">
      <h2 className="text-[17px]">Copies of the kitchen</h2>
      <p className="mt-1 text-[16px]">
        {last ? (
          <>
            Last good copy:{' '}
            <b className="font-[650]">
              <ClockTime at={last.at} withDate />
            </b>
            , <span className="fig">{sizeSays(last.bytes)}</span>.
          </>
        ) : (
          'No copy yet: the first is made a minute after the server’s start.'
        )}
      </p>
      {disk.free !== null && (
        <p className={`text-[15px] ${disk.nearlyFull ? 'font-[600] text-beet' : 'text-ink-soft'}`}>{diskSays(disk.free, disk.nearlyFull)}</p>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className="btn" disabled={state.kind === 'making'} onClick={() => void copyNow()}>
          Copy it now
        </button>
        <a href="/api/kitchen/file" download className="btn">
          Take the whole kitchen out
        </a>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          aria-label="A kitchen’s zip"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => {
            const zip = e.target.files?.[0];
            if (zip) void bringIn(zip);
            e.target.value = '';
          }}
        />
        <button type="button" className="btn" disabled={state.kind === 'making'} onClick={() => file.current?.click()}>
          Bring one in
        </button>
        <p role="status" className={`text-[14.5px] ${state.kind === 'not' ? 'text-beet' : ''}`}>
          {state.kind === 'idle' ? '' : state.says}
        </p>
      </div>
      <ul aria-label="Copies, newest first" className="mt-3 text-[14.5px]">
        {copies.slice(0, SHOWN).map((c) => (
          <CopyRow key={c.name} copy={c} />
        ))}
      </ul>
      <p className="mt-3 max-w-[70ch] border-t border-steel-light pt-2 text-[13.5px] text-ink-soft">
        All of the last day, one a day for a week, one a week for five weeks, one a month for a year, in{' '}
        <span className="[overflow-wrap:anywhere]">{folder}</span>. Put that folder on another disk. Taken out whole, the kitchen is a zip of open files: tables
        as lines of JSON, the larder as a table, the photos. With the server stopped, <code>npm run restore -- NAME</code> goes back too.
      </p>
    </section>
  );
}
