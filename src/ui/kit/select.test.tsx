// @vitest-environment jsdom
import { cleanup, configure, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { Select } from './select';

// As long as a busy machine lets it.
configure({ asyncUtilTimeout: 30_000 });

const OPTIONS = [
  ['', 'as the sheet'],
  ['fridge', 'Tall fridge'],
  ['freezer', 'Chest freezer'],
] as const;

function Field({ onChange = () => undefined }: { readonly onChange?: (v: string) => void }) {
  const [value, setValue] = useState<(typeof OPTIONS)[number][0]>('fridge');
  return (
    <label>
      Kept in
      <Select
        value={value}
        options={OPTIONS}
        onChange={(v) => {
          setValue(v);
          onChange(v);
        }}
      />
    </label>
  );
}

describe('a list that opens', () => {
  beforeAll(() => {
    // What a browser has and the stand-in for one has not.
    Element.prototype.scrollIntoView = () => undefined;
    Element.prototype.hasPointerCapture = () => false;
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe() {}
        unobserve() {}
        disconnect() {}
      },
    );
  });
  afterEach(cleanup);
  it('says what is chosen, and has the name of its label', () => {
    render(<Field />);
    expect(screen.getByRole('combobox', { name: /Kept in/ }).textContent).toBe('Tall fridge');
  });
  it('opens by touch and by keys, takes what is touched, and stands again with the focus on it', async () => {
    const hand = userEvent.setup();
    const chosen = vi.fn();
    render(<Field onChange={chosen} />);
    await hand.click(screen.getByRole('combobox'));
    await hand.click(await screen.findByRole('option', { name: 'Chest freezer' }));
    await waitFor(() => expect(screen.queryByRole('listbox')).toBeNull());
    expect(chosen.mock.calls).toEqual([['freezer']]);
    const field = screen.getByRole('combobox');
    expect(field.textContent).toBe('Chest freezer');
    await waitFor(() => expect(document.activeElement).toBe(field));
    await hand.keyboard('{ArrowDown}');
    expect(await screen.findByRole('listbox')).toBeTruthy();
    await hand.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('listbox')).toBeNull());
    expect(chosen).toHaveBeenCalledTimes(1);
  });
  it('takes the empty word for a value like any other', async () => {
    const hand = userEvent.setup();
    const chosen = vi.fn();
    render(<Field onChange={chosen} />);
    await hand.click(screen.getByRole('combobox'));
    await hand.click(await screen.findByRole('option', { name: 'as the sheet' }));
    expect(chosen.mock.calls).toEqual([['']]);
  });
  it('says nothing when what stands is taken again', async () => {
    const hand = userEvent.setup();
    const chosen = vi.fn();
    render(<Field onChange={chosen} />);
    await hand.click(screen.getByRole('combobox'));
    await hand.click(await screen.findByRole('option', { name: 'Tall fridge' }));
    await waitFor(() => expect(screen.queryByRole('listbox')).toBeNull());
    expect(chosen).not.toHaveBeenCalled();
  });
  it('says what it waits for while nothing is chosen', () => {
    render(<Select label="Serve one more" value="" placeholder="Serve one more…" options={[['a', 'A']]} onChange={() => undefined} />);
    expect(screen.getByRole('combobox', { name: 'Serve one more' }).textContent).toBe('Serve one more…');
  });
});
