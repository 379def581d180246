/**
 * Asks the server of this kitchen. @returns its answer; null where it has nothing to say.
 * @throws Error with words for a cook: the server's own refusal, or that it does not answer.
 */
export async function askServer<T>(path: string, method: 'GET' | 'POST' | 'PUT' | 'DELETE', body?: Blob): Promise<T> {
  const answer = await fetch(path, { method, ...(body ? { body } : {}) }).catch(() => null);
  if (!answer) throw new Error('The server does not answer: nothing was changed.');
  const said = answer.status === 204 ? null : ((await answer.json().catch(() => ({}))) as T & { says?: string });
  if (!answer.ok) throw new Error(said?.says ?? 'That was refused.');
  return said as T;
}

/** What a refusal says. */
export const refusal = (error: unknown): string => (error instanceof Error ? error.message : 'That was refused.');
