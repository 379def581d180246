import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bareOvenC, temperaturesIn } from './degrees';
import { figured } from './figured';

describe('degrees as they are said', () => {
  it.each([
    ['a hundred and fifty', 150],
    ['one hundred and twenty', 120],
    ['two hundred', 200],
    ['two hundred and five', 205],
    ['one-eighty', 180],
    ['one sixty five', 165],
    ['three hundred fifty', 350],
    ['seventy-one', 71],
    ['eighteen', 18],
    ['forty', 40],
  ])('%s', (said, n) => {
    expect(figured(`to ${said} degrees`)).toBe(`to ${String(n).padStart(said.length)} degrees`);
  });
  it('an article is no hundred, and words below ten stay words', () => {
    expect(figured('an eighty, a twenty, nine, one, hundreds, tenderly')).toBe('an     80, a     20, nine, one, hundreds, tenderly');
  });
  it('never moves what stands beside it', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'hundred', 'and', 'fifty', 'one', 'ten', 'x', '80', 'sixty-five'), { maxLength: 12 }), (words) => {
        const text = words.join(' ');
        expect(figured(text)).toHaveLength(text.length);
        expect(figured(figured(text))).toHaveLength(text.length);
      }),
    );
  });
  it('is what a heat is read by, with where it stands', () => {
    expect(temperaturesIn('whisk it over steam to seventy-one degrees', false)).toMatchObject([{ c: 71, of: 'mix' }]);
    expect(temperaturesIn('bake at a hundred and fifty degrees for an hour', false)).toMatchObject([
      { c: 150, of: 'oven', start: 'bake at a hundred and fifty'.length - 3 },
    ]);
    expect(bareOvenC('it goes into a hundred and fifty', false)).toBe(150);
    expect(bareOvenC('and you drop it to a hundred and twenty', false)).toBe(120);
    expect(bareOvenC('oven at three hundred and fifty', true)).toBeCloseTo(176.7, 1);
    expect(bareOvenC('add a hundred and fifty grams of it', false)).toBeNull();
    expect(bareOvenC('stir into two hundred grams', false)).toBeNull();
  });
});
