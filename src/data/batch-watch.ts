/** Who is told when a batch changes: every open stream of this server. */
type Listener = () => void;

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

export function batchChanged(id: string): void {
  for (const listener of [...(watchers().get(id) ?? [])]) listener();
}
