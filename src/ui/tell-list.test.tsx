// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Figure } from '../core/figure';
import { plainTell, type Tell, type TellState } from '../core/tells/tell';
import { TellList, TellRow } from './tell-list';

afterEach(cleanup);

const NB = '\u00a0';
const figure: Figure = {
  key: 'air',
  name: 'Air at soft',
  value: 71,
  unit: '%',
  kind: 'house',
  spread: 0.2,
  range: [66, 77],
  formula: 'a = b',
  words: '',
  inputs: [],
  source: '',
  decimals: 0,
};
const air = (state: TellState, more: Partial<Tell> = {}): Tell => ({
  key: 'air',
  state,
  sentence: ['Cream: Air ', { figure, shown: `66–77${NB}%` }, ' at soft: makes 540 mL.'],
  track: { from: 0, to: 100, low: 40, high: 80, value: 71, range: [66, 77], says: '71 % on a track to 100' },
  action: null,
  ...more,
});
const row = (tell: Tell, onEdit = vi.fn()) => {
  render(
    <ul>
      <TellRow tell={tell} partNames={['Cream']} onEdit={onEdit} />
    </ul>,
  );
  return onEdit;
};

describe('a tell', () => {
  it('in its band shows figure, words and part; its sentence comes on touch and goes again', () => {
    row(air('in'));
    const words = screen.getByRole('button', { name: /^air/ });
    expect(words.textContent).toBe('airCream');
    expect(words.getAttribute('aria-expanded')).toBe('false');
    const big = screen.getByRole('button', { name: /^Air at soft .*open its working$/ });
    expect(within(big).getByText('66')).toBeTruthy();
    expect(within(big).getByText('–77 %')).toBeTruthy();
    fireEvent.click(words);
    expect(words.getAttribute('aria-expanded')).toBe('true');
    expect(document.getElementById(words.getAttribute('aria-controls')!)!.className).not.toContain('sr-only');
    fireEvent.click(words);
    expect(words.getAttribute('aria-expanded')).toBe('false');
  });
  it('folded away is still there for those who hear it', () => {
    row(air('in'));
    expect(screen.getByText(/at soft: makes 540 mL/).className).toContain('sr-only');
  });
  it.each<[TellState, string]>([
    ['out', 'to be mended'],
    ['near', 'at its edge'],
    ['silent', 'no figure'],
  ])('that is %s says its sentence at once, with a mark of its own', (state, says) => {
    row(air(state));
    expect(screen.queryByRole('button', { name: /^air/ })).toBeNull();
    expect(screen.getByRole('img', { name: says })).toBeTruthy();
    expect(screen.getByText(/at soft: makes 540 mL/).closest('.sr-only')).toBeNull();
  });
  it('has each figure once to open: large, and not in its sentence again', () => {
    row(air('out'));
    expect(screen.getAllByRole('button', { name: /^Air at soft/ })).toHaveLength(1);
  });
  it('offers what mends it', () => {
    const edit = { kind: 'set-portions', portions: 8 } as const;
    const onEdit = row(air('out', { action: { label: 'Serve 8', why: 'as many as it fills', edit } }));
    fireEvent.click(screen.getByRole('button', { name: 'Serve 8' }));
    expect(onEdit.mock.calls).toEqual([[edit]]);
  });
  it('of who should not eat it is never folded away', () => {
    row(plainTell('cautions', 'in', 'Mind: honey is not for children under one year.'));
    expect(screen.getByText(/honey is not for children/).className).not.toContain('sr-only');
  });
});

describe('the column of tells', () => {
  const many = Array.from({ length: 9 }, (_, i): Tell => ({ ...plainTell(`browns:p${i}`, 'in', `Fruit ${i} browns.`) }));
  it('shows seven, and the rest on touch', () => {
    render(<TellList tells={many} partNames={[]} onEdit={vi.fn()} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(7);
    fireEvent.click(screen.getByRole('button', { name: 'Show 2 more, all in their bands' }));
    expect(screen.getAllByRole('listitem')).toHaveLength(9);
    fireEvent.click(screen.getByRole('button', { name: 'Show the first seven' }));
    expect(screen.getAllByRole('listitem')).toHaveLength(7);
  });
  it('does not call the rest well where one of them is not', () => {
    render(<TellList tells={[...many.slice(0, 8), plainTell('thins:x', 'near', 'It thins.')]} partNames={[]} onEdit={vi.fn()} />);
    expect(screen.getByRole('button', { name: 'Show 2 more' })).toBeTruthy();
  });
});
