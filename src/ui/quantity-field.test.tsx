// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { METRIC } from '../core/measures/shown';
import { showHereIn } from '../core/measures/shown-here';
import { QuantityField } from './quantity-field';

afterEach(cleanup);

function Field({
  first,
  told,
  unit = 'mm',
  whole = false,
}: {
  readonly first: number;
  readonly told?: (n: number) => void;
  readonly unit?: string;
  readonly whole?: boolean;
}) {
  const [value, setValue] = useState(first);
  return (
    <>
      <QuantityField
        label="Across"
        unit={unit}
        value={value}
        min={20}
        max={1000}
        whole={whole}
        onChange={(n) => {
          setValue(n);
          told?.(n);
        }}
      />
      <button onClick={() => setValue(100)}>other screen</button>
    </>
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>('Across');
const type = (text: string) => fireEvent.change(field(), { target: { value: text } });

describe('a number with its unit', () => {
  it('takes another unit, shows what that is, and keeps what was typed also when it is left', () => {
    const told = vi.fn();
    render(<Field first={230} told={told} />);
    type('11 in');
    expect(told).toHaveBeenLastCalledWith(279.4);
    fireEvent.blur(field());
    expect(field().value).toBe('11 in');
    expect(screen.getByText(/= 279\.4/)).toBeTruthy();
    // Its own unit is one that nobody needs to see twice.
    type('280 mm');
    fireEvent.blur(field());
    expect(field().value).toBe('280');
    expect(screen.queryByText(/^= /)).toBeNull();
  });
  it('shows what another screen set instead', () => {
    render(<Field first={230} />);
    type('11 in');
    fireEvent.click(screen.getByText('other screen'));
    expect(field().value).toBe('100');
    expect(screen.queryByText(/^= /)).toBeNull();
  });
  it('what cannot be read, or is outside, stays with the reason, and nothing is told', () => {
    const told = vi.fn();
    render(<Field first={230} told={told} />);
    for (const [text, says] of [
      ['11 lb', /no measure of this/],
      ['2 in x', /./],
      ['50 in', /goes from 20 to 1000.mm; 1270 is outside/],
      ['', /Type a number/],
    ] as const) {
      type(text);
      fireEvent.blur(field());
      expect(field().value).toBe(text);
      expect(screen.getByRole('alert').textContent).toMatch(says);
      expect(field().getAttribute('aria-invalid')).toBe('true');
    }
    expect(told).not.toHaveBeenCalled();
  });
  it('a whole number is whole', () => {
    const told = vi.fn();
    render(<Field first={30} told={told} unit="" whole />);
    type('40.5');
    expect(screen.getByRole('alert').textContent).toBe('Across is a whole number.');
    type('41');
    expect(told).toHaveBeenCalledExactlyOnceWith(41);
  });
});

describe('a number in a kitchen that reads Fahrenheit and ounces', () => {
  const US = { temperature: '°F', mass: 'oz', volume: 'fl oz', length: 'in', clock: '12 h', currency: '' } as const;
  beforeEach(() => showHereIn(US));
  afterEach(() => showHereIn(METRIC));

  it('stands in its units, and what is typed without a unit is in them', () => {
    const told = vi.fn();
    render(<Field first={100} told={told} unit="°C" />);
    expect(field().value).toBe('212');
    expect(screen.getByText('°F')).toBeTruthy();
    type('350');
    expect(told).toHaveBeenLastCalledWith(176.667);
    fireEvent.blur(field());
    expect(field().value).toBe('350');
    // Said in Celsius it is taken so, and shown as what it is here.
    type('180 C');
    expect(told).toHaveBeenLastCalledWith(180);
    fireEvent.blur(field());
    expect(field().value).toBe('356');
  });
  it('says its bounds in them', () => {
    render(<Field first={100} unit="°C" />);
    type('40');
    expect(screen.getByRole('alert').textContent).toBe('Across goes from 68 to 1832\u00a0°F; 40 is outside.');
    type('');
    expect(screen.getByRole('alert').textContent).toBe('Type a number: across goes from 68 to 1832\u00a0°F.');
  });
  it('of lengths and weights too', () => {
    const told = vi.fn();
    const { rerender } = render(<Field first={254} told={told} unit="mm" />);
    expect(field().value).toBe('10');
    type('9 1/2');
    expect(told).toHaveBeenLastCalledWith(241.3);
    rerender(<Field key="g" first={567} told={told} unit="g" />);
    expect(field().value).toBe('20');
    type('1 lb');
    expect(told.mock.lastCall![0]).toBeCloseTo(453.6, 1);
  });
});
