/**
 * Numbers from 0 (in it) to 1 (not in it) that are the same for the same seed, so that a picture, a search, a practice run and a test come
 * out alike each time. For likelihoods drawn side by side by many see odds/evening.ts. @param seed whole number; its lower 32 bits count.
 * Source: mulberry32, in the public domain.
 */
export function seededNumbers(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A draw of the bell curve of mean 0 and spread 1. Source: Box and Muller 1958. @param next numbers from 0 (in it) to 1 (not in it). */
export const normalDraw = (next: () => number): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
