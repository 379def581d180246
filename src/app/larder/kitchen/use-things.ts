'use client';

import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { KitchenThings } from '../../../data/kitchen-things';
import { thingsSaver, type Answer, type KeptThings } from './things-saver';

const KEPT = 'soft-peak:kitchen';
/** The longest that a browser sends while a page is left, characters. */
const MOST_LEAVING = 60_000;

function readKept(): KeptThings | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as KeptThings | null;
    return Array.isArray(kept?.things?.mixers) && typeof kept.things.rules === 'object' ? kept : null;
  } catch {
    return null;
  }
}

function keep(kept: KeptThings | null): void {
  try {
    if (kept) localStorage.setItem(KEPT, JSON.stringify(kept));
    else localStorage.removeItem(KEPT);
  } catch {
    // A private window keeps nothing; the server's copy follows within a second.
  }
}

async function send(body: { readonly things: KitchenThings; readonly baseRevision: number }, leaving: boolean): Promise<Answer> {
  const text = JSON.stringify(body);
  try {
    const response = await fetch('/api/kitchen', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: text,
      keepalive: leaving && text.length < MOST_LEAVING,
    });
    const answer = (await response.json()) as { revision?: number; says?: string };
    if (response.ok && answer.revision !== undefined) return { kind: 'saved', revision: answer.revision };
    if (response.status === 409 && answer.revision !== undefined) return { kind: 'clash', revision: answer.revision };
    return { kind: 'refused', says: answer.says ?? 'The server could not save it.' };
  } catch {
    return { kind: 'away' };
  }
}

function later(ms: number, run: () => void): () => void {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
}

/** The kitchen's things in hand: changed here, saved by themselves. */
export function useThings(first: KitchenThings, revision: number) {
  const [saver, setSaver] = useState(() => thingsSaver(first, revision, null, { send, keep, later }));
  const state = useSyncExternalStore(saver.subscribe, saver.get, saver.get);
  const latest = useRef(saver);
  useEffect(() => {
    latest.current = saver;
  }, [saver]);
  useEffect(() => {
    const kept = readKept();
    // After the first drawing, which is the server's.
    const took = kept ? later(0, () => setSaver(thingsSaver(first, revision, kept, { send, keep, later }))) : () => undefined;
    const leave = (): void => latest.current.leave();
    window.addEventListener('pagehide', leave);
    return () => {
      took();
      window.removeEventListener('pagehide', leave);
      leave();
    };
    // What the server has when the page is opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return {
    state,
    change: saver.change,
    keepMine: saver.keepMine,
    letGo: () => {
      saver.letGo();
      location.reload();
    },
  };
}
