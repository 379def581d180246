import { normalDraw, seededNumbers } from '../core/random';

/** A standard normal number that belongs to a device and a moment: asked again, it is the same. */
export function noiseAt(id: string, at: number): number {
  let seed = Math.floor(at / 50) >>> 0;
  for (const c of id) seed = (Math.imul(seed, 31) + c.charCodeAt(0)) >>> 0;
  return normalDraw(seededNumbers(seed));
}
