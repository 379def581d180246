import { describe, expect, it } from 'vitest';
import type { SinceCopy } from '../../../data/since-copy';
import { diskSays, sinceSays } from './copy-words';

const NONE = { since: [], changed: [], back: [] };
const since = (change: Partial<SinceCopy>): SinceCopy => ({ batches: NONE, sheets: NONE, ingredients: NONE, services: NONE, ...change });

describe('what the disk still takes', () => {
  it.each([
    [123e9, false, 'The disk takes 123 GB more.'],
    [1.25e9, false, 'The disk takes 1.3 GB more.'],
    [420e6, true, 'The disk takes only 420 MB more: make room, or nothing can be written down soon.'],
  ])('%d', (bytes, full, says) => expect(diskSays(bytes, full).replaceAll('\u00a0', ' ')).toBe(says));
});

describe('what going back undoes', () => {
  it('is said by kind, with names, and no more of them than one reads', () => {
    expect(
      sinceSays(
        since({
          batches: { ...NONE, since: ['Fool, 28.11. 09:00'] },
          sheets: { since: ['a', 'b', 'c', 'd', 'e'], changed: ['Trifle'], back: ['Old', 'Older'] },
        }),
      ),
    ).toEqual(['1 batch goes: Fool, 28.11. 09:00.', '5 sheets go: a, b, c and 2 more.', '1 sheet is what it was: Trifle.', '2 sheets come back: Old, Older.']);
  });
  it('is nothing where nothing differs', () => expect(sinceSays(since({}))).toEqual([]));
});
