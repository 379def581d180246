import { statfsSync } from 'node:fs';
import { dirname } from 'node:path';

/** From here on a disk counts as nearly full, bytes: a kitchen's busiest week with its photos and copies fits in no less. */
export const NEARLY_FULL_BYTES = 500_000_000;

/** What the disk of a path still takes, bytes; null where the system does not say. */
export function freeBytes(path: string): number | null {
  try {
    const { bavail, bsize } = statfsSync(dirname(path));
    return bavail * bsize;
  } catch {
    return null;
  }
}

export const isNearlyFull = (free: number | null): boolean => free !== null && free < NEARLY_FULL_BYTES;
