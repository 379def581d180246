/** A short id for a new line or part, unique enough within a sheet; made in the browser only. */
export const freshId = (): string => Array.from(crypto.getRandomValues(new Uint32Array(2)), (n) => n.toString(36)).join('').slice(0, 12);
