import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { freeBytes, isNearlyFull, NEARLY_FULL_BYTES } from './disk';

describe('the disk', () => {
  it('says what it still takes, and nothing where there is none', () => {
    expect(freeBytes(join(tmpdir(), 'kitchen.db'))).toBeGreaterThan(0);
    expect(freeBytes('/no/such/folder/kitchen.db')).toBeNull();
  });
  it('is nearly full below half a gigabyte', () => {
    expect(NEARLY_FULL_BYTES).toBe(5e8);
    expect([NEARLY_FULL_BYTES - 1, NEARLY_FULL_BYTES, null].map(isNearlyFull)).toEqual([true, false, false]);
  });
});
