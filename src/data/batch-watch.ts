/** Who is told when a batch changes: every open stream of this server. */
type Listener = (news: () => string | null) => void;

const shared = globalThis as typeof globalThis & { softPeakBatchWatchers?: Map<string, Set<Listener>> };
const watchers = (): Map<string, Set<Listener>> => (shared.softPeakBatchWatchers ??= new Map());

/** @returns what ends the watching. */
export function watchBatch(id: string, listener: Listener): () => void {
  const of = watchers().get(id) ?? new Set();
  watchers().set(id, of.add(listener));
  return () => {
    of.delete(listener);
    if (of.size === 0) watchers().delete(id);
  };
}

/** Tells them. @param read how the batch stands: asked once, however many listen, and not at all where nobody does. */
export function batchChanged(id: string, read: () => string | null): void {
  let news: string | null | undefined;
  const once = (): string | null => (news === undefined ? (news = read()) : news);
  for (const listener of [...(watchers().get(id) ?? [])]) listener(once);
}
