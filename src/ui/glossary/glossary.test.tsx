// @vitest-environment jsdom
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Glossed } from './glossed';
import { pieces, TERMS } from './terms';

const terms = (text: string): readonly string[] => pieces(text).flatMap((p) => (typeof p === 'string' ? [] : [p.term.name]));
const whole = (text: string): string =>
  pieces(text)
    .map((p) => (typeof p === 'string' ? p : p.said))
    .join('');

describe('words of the trade', () => {
  it.each([
    ['Whip to soft peaks, then fold in the cream and fold again.', ['soft peak', 'fold']],
    ['Overrun 90 %: bloomed gelatin, tempered eggs.', ['overrun', 'bloom', 'temper']],
    ['A pate à bombe to the ribbon', ['pâte à bombe', 'ribbon']],
    // Words that only begin alike, and none at all.
    ['The temperature of an unfolded blossom', []],
    ['', []],
  ])('%s', (text, found) => expect(terms(text)).toEqual(found));
  it('every one of them is found by its own name', () => {
    for (const t of TERMS) expect(terms(`You ${t.name} it.`)).toEqual([t.name]);
  });
  it('no text loses or gains a letter', () =>
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.string({ maxLength: 8 }), fc.constantFrom('fold', 'soft peaks', ' bloom ', 'temper', '. ')), { maxLength: 12 }),
        (parts) => {
          expect(whole(parts.join(''))).toBe(parts.join(''));
        },
      ),
    ));
  it('says on touch what it means, and is read as one sentence before', async () => {
    const { container } = render(
      <p>
        <Glossed text="Fold in the cream." />
      </p>,
    );
    expect(container.textContent).toBe('Fold in the cream.');
    await userEvent.click(screen.getByRole('button', { name: 'Fold: what it means' }));
    expect((await screen.findByRole('dialog', { name: 'What fold means' })).textContent).toContain('so that the air stays in');
  });
});
