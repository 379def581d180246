'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { z } from 'zod';
import { useKept } from './use-kept';

const AGAIN_MS = 4000;

/** What is sent, where it waits, and what it must be to be sent. */
export interface Sending<T extends { readonly id: string }> {
  /** Under which name it waits on this tablet. */
  readonly kept: string;
  readonly url: string;
  readonly schema: z.ZodType<T>;
}

/** What of a kept text can still be sent; nothing where it cannot be read. */
function waitingOf<T>(schema: z.ZodType<T>, text: string | null): readonly T[] {
  try {
    return z.array(schema).safeParse(JSON.parse(text || '[]')).data ?? [];
  } catch {
    return [];
  }
}

/** Sends one thing. @returns null when it stands, else why it was refused. @throws TypeError while the server does not answer. */
async function send(url: string, body: unknown): Promise<string | null> {
  const response = await fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  if (response.ok) return null;
  if (response.status >= 500) throw new TypeError('the server could not write');
  const answer = (await response.json().catch(() => null)) as { says?: string } | null;
  return answer?.says ?? 'It was refused.';
}

/**
 * What is written on this tablet and on its way: kept until the server has it, sent in order, again while it does not answer. One that is
 * refused is said and let go. @param how the same object at each drawing.
 */
export function useSendingQueue<T extends { readonly id: string }>(
  how: Sending<T>,
): { readonly waiting: readonly T[]; readonly refused: string | null; readonly write: (what: T) => void } {
  const [text, keep] = useKept('local', how.kept);
  const [refused, setRefused] = useState<string | null>(null);
  const [turn, setTurn] = useState(0);
  const busy = useRef(false);
  /** As it is kept now, also between two drawings. */
  const latest = useRef(text);
  useEffect(() => {
    latest.current = text;
  }, [text]);
  const put = (entries: readonly T[]): void => {
    latest.current = entries.length === 0 ? '' : JSON.stringify(entries);
    keep(latest.current);
  };
  const { refresh } = useRouter();
  const waiting = waitingOf(how.schema, text);
  const first = waiting[0];
  const again = useRef<ReturnType<typeof setTimeout>>(undefined);
  const next = (): void => {
    busy.current = false;
    setTurn((n) => n + 1);
  };
  const sendFirst = useEffectEvent(() => {
    if (!first || busy.current) return;
    busy.current = true;
    send(how.url, first).then(
      (says) => {
        if (says !== null) setRefused(says);
        put(waitingOf(how.schema, latest.current).filter((e) => e.id !== first.id));
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
    write: (what) => {
      setRefused(null);
      put([...waitingOf(how.schema, latest.current), what]);
    },
  };
}
