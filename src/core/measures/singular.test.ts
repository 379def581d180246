import { describe, expect, it } from 'vitest';
import { singular } from './singular';

describe('one of many', () => {
  it.each([
    ['eggs', 'egg'],
    ['leaves', 'leaf'],
    ['halves', 'half'],
    ['raspberries', 'raspberry'],
    ['cherries', 'cherry'],
    ['peaches', 'peach'],
    ['boxes', 'box'],
    ['cookies', 'cooky'],
    ['glass', 'glass'],
    ['hibiscus', 'hibiscus'],
    ['marquis', 'marquis'],
    ["grandma's", "grandma's"],
    ['gas', 'gas'],
    ['egg', 'egg'],
    ['', ''],
  ])('%s → %s', (many, one) => expect(singular(many)).toBe(one));
  it('of one is that one', () => {
    for (const word of ['egg', 'leaf', 'raspberry', 'peach', 'glass', 'cream']) expect(singular(singular(word))).toBe(singular(word));
  });
});
