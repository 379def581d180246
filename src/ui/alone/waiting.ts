import { KEPT_EVENTS, KEPT_TEMPERATURES } from '../batch/kept-here';

/** What waits on this tablet for the server, of one batch. */
export interface Waiting {
  readonly batchId: string;
  readonly things: number;
}

/** Everything done or measured on this tablet that the server has not confirmed, by batch; what cannot be read counts as nothing. */
export function waitingOn(storage: Pick<Storage, 'length' | 'key' | 'getItem'>): readonly Waiting[] {
  const found = new Map<string, number>();
  for (let i = 0; i < storage.length; i++) {
    const key = storage.key(i) ?? '';
    const prefix = [KEPT_EVENTS, KEPT_TEMPERATURES].find((p) => key.startsWith(p));
    if (prefix === undefined) continue;
    const batchId = key.slice(prefix.length);
    const things = lengthOf(storage.getItem(key));
    if (things > 0) found.set(batchId, (found.get(batchId) ?? 0) + things);
  }
  return [...found].map(([batchId, things]) => ({ batchId, things })).sort((a, b) => a.batchId.localeCompare(b.batchId));
}

function lengthOf(text: string | null): number {
  try {
    const list: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(list) ? list.length : 0;
  } catch {
    return 0;
  }
}
