import { describe, expect, it } from 'vitest';
import { lookUp } from './look-up';

describe('a word looked up', () => {
  const table: Readonly<Record<string, number>> = { cup: 1, nothing: 0 };
  it('gives what stands there', () => expect([lookUp(table, 'cup'), lookUp(table, 'nothing')]).toEqual([1, 0]));
  it.each(['pint', '', 'constructor', 'toString', '__proto__', 'hasOwnProperty'])('gives nothing for ‘%s’', (word) =>
    expect(lookUp(table, word)).toBeUndefined(),
  );
});
