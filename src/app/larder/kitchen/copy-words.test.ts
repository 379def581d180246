import { describe, expect, it } from 'vitest';
import type { SinceCopy } from '../../../data/since-copy';
import { sinceSays } from './copy-words';

const NONE = { since: [], changed: [], back: [] };
const since = (change: Partial<SinceCopy>): SinceCopy => ({ batches: NONE, sheets: NONE, ingredients: NONE, services: NONE, ...change });

describe('what going back undoes', () => {
  it('is said by kind, with names, and no more of them than one reads', () => {
    expect(sinceSays(since({ batches: { ...NONE, since: ['Fool, 28.11. 09:00'] }, sheets: { since: ['a', 'b', 'c', 'd', 'e'], changed: ['Trifle'], back: ['Old', 'Older'] } }))).toEqual([
      '1 batch goes: Fool, 28.11. 09:00.',
      '5 sheets go: a, b, c and 2 more.',
      '1 sheet is what it was: Trifle.',
      '2 sheets come back: Old, Older.',
    ]);
  });
  it('is nothing where nothing differs', () => expect(sinceSays(since({}))).toEqual([]));
});
