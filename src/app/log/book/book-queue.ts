'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { z } from 'zod';
import { NewEntrySchema, type NewEntry } from '../../../core/book/entry';
import { useKept } from '../../../ui/use-kept';

/** What was written in the book on this tablet and the server has not confirmed. */
const WAITING = 'soft-peak:book:waiting';
const AGAIN_MS = 4000;

const readWaiting = (text: string | null): readonly NewEntry[] => {
  try {
    const read = z.array(NewEntrySchema).safeParse(JSON.parse(text ?? '[]'));
    return read.success ? read.data : [];
  } catch {
    return [];
  }
};

/** Sends one entry. @returns null when it stands, else why it was refused. @throws TypeError while the server does not answer. */
async function send(entry: NewEntry): Promise<string | null> {
  const response = await fetch('/api/book', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(entry) });
  if (response.ok) return null;
  if (response.status >= 500) throw new TypeError('the server could not write');
  const body = (await response.json().catch(() => null)) as { says?: string } | null;
  return body?.says ?? 'It was refused.';
}

/**
 * Entries on their way to the book: kept on this tablet until the server has them, sent in order, again while it does not answer. One that is
 * refused is said and let go.
 */
export function useBookQueue(): { readonly waiting: readonly NewEntry[]; readonly refused: string | null; readonly write: (entry: NewEntry) => void } {
  const [text, keep] = useKept('local', WAITING);
  const [refused, setRefused] = useState<string | null>(null);
  const [turn, setTurn] = useState(0);
  const busy = useRef(false);
  /** As it is kept now, also between two drawings. */
  const latest = useRef(text);
  useEffect(() => {
    latest.current = text;
  }, [text]);
  const put = (entries: readonly NewEntry[]): void => {
    latest.current = entries.length === 0 ? '' : JSON.stringify(entries);
    keep(latest.current);
  };
  const { refresh } = useRouter();
  const waiting = readWaiting(text);
  const first = waiting[0];
  const again = useRef<ReturnType<typeof setTimeout>>(undefined);
  const next = (): void => {
    busy.current = false;
    setTurn((n) => n + 1);
  };
  const sendFirst = useEffectEvent(() => {
    if (!first || busy.current) return;
    busy.current = true;
    send(first).then(
      (says) => {
        if (says !== null) setRefused(says);
        put(readWaiting(latest.current).filter((e) => e.id !== first.id));
        refresh();
        next();
      },
      () => {
        again.current = setTimeout(next, AGAIN_MS);
      },
    );
  });
  const firstId = first?.id;
  // Once for each entry that comes first, and again at each turn.
  useEffect(() => {
    if (firstId !== undefined) sendFirst();
    return () => clearTimeout(again.current);
  }, [firstId, turn]);
  return {
    waiting,
    refused,
    write: (entry) => {
      setRefused(null);
      put([...readWaiting(latest.current), entry]);
    },
  };
}
