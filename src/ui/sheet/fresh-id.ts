/** A short id for a new line or part, unique enough within a sheet; made in the browser only. */
export const freshId = (): string =>
  Array.from(crypto.getRandomValues(new Uint32Array(2)), (n) => n.toString(36))
    .join('')
    .slice(0, 12);

/**
 * Ids for what is sent off to be kept: the same words sent again, because no answer came, have the same id, by which the server knows
 * that it has them. Begin anew when they have arrived.
 */
export function sendingIds(): { readonly of: (words: string) => string; readonly arrived: () => void } {
  let last: { readonly words: string; readonly id: string } | null = null;
  return {
    of: (words) => {
      if (last?.words !== words) last = { words, id: freshUuid() };
      return last.id;
    },
    arrived: () => void (last = null),
  };
}

/** A random UUID (version 4); the browser's own maker is missing where a page came over plain HTTP. */
export function freshUuid(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
