'use client';

import { useEffect, useState, useSyncExternalStore } from 'react';
import { documentSaver, type DocumentSaver, type KeptDocument, type SaveAnswer, type SavedState, type Stored } from './document-saver';

interface SavedWhere<D> {
  /** Where it lies on this tablet until the server has it. */
  readonly key: string;
  /** Where the server takes it: a PUT of what `body` makes. */
  readonly path: string;
  readonly body: (doc: D, baseRevision: number) => unknown;
  /** The revision of an answer that it was saved; undefined where it does not say. */
  readonly revisionOf: (answer: unknown) => number | undefined;
  /** What the server has instead, of an answer that another screen was first. */
  readonly theirsOf: (answer: unknown) => Stored<D> | undefined;
  /** Whether what was kept can be such a document. */
  readonly isKept: (doc: unknown) => boolean;
}

/** The longest that a browser sends while a page is left, characters. */
const MOST_LEAVING = 60_000;

function readKept<D>(key: string, isKept: (doc: unknown) => boolean): KeptDocument<D> | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as KeptDocument<D> | null;
    return kept && typeof kept.baseRevision === 'number' && isKept(kept.doc) ? kept : null;
  } catch {
    return null;
  }
}

function keep(key: string, kept: unknown): void {
  try {
    if (kept === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(kept));
  } catch {
    // A private window keeps nothing; the server's copy follows within a second.
  }
}

async function send<D>(where: SavedWhere<D>, doc: D, baseRevision: number, leaving: boolean): Promise<SaveAnswer<D>> {
  const text = JSON.stringify(where.body(doc, baseRevision));
  try {
    const response = await fetch(where.path, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: text,
      keepalive: leaving && text.length < MOST_LEAVING,
    });
    const answer: unknown = await response.json();
    const [revision, theirs] = [where.revisionOf(answer), where.theirsOf(answer)];
    if (response.ok && revision !== undefined) return { kind: 'saved', revision };
    if (response.status === 409 && theirs) return { kind: 'clash', theirs };
    return { kind: 'refused', says: (answer as { says?: string }).says ?? 'The server could not save it.' };
  } catch {
    return { kind: 'away' };
  }
}

function later(ms: number, run: () => void): () => void {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
}

/** A document in hand: changed here, saved by itself, with what was kept from last time taken up. */
export function useSaved<D>(first: D, revision: number, where: SavedWhere<D>): { readonly saver: DocumentSaver<D>; readonly state: SavedState<D> } {
  const [{ saver, kept }] = useState(() => ({
    saver: documentSaver(first, revision, {
      send: (doc, base, leaving) => send(where, doc, base, leaving),
      keep: (document) => keep(where.key, document),
      later,
    }),
    kept: () => readKept<D>(where.key, where.isKept),
  }));
  const state = useSyncExternalStore(saver.subscribe, saver.get, saver.get);
  useEffect(() => {
    // After the first drawing, which is the server's.
    const before = kept();
    if (before) saver.takeUp(before);
    const leave = (): void => saver.leave();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [saver, kept]);
  return { saver, state };
}
