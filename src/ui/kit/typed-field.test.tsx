// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { inShownUnits, METRIC } from '../../core/measures/shown';
import { showHereIn } from '../../core/measures/shown-here';
import { readTime } from '../../core/timetable/typed-moment';
import { DayField } from './day-field';
import { TimeField } from './time-field';

afterEach(() => {
  cleanup();
  showHereIn(METRIC);
});

function Time({ start = '19:00', heard }: { readonly start?: string; readonly heard: (v: string) => void }) {
  const [value, setValue] = useState(start);
  return (
    <TimeField
      label="Served"
      value={value}
      onChange={(v) => {
        heard(v);
        setValue(v);
      }}
    />
  );
}
function Day({ start = '2026-11-28', heard }: { readonly start?: string; readonly heard: (v: string) => void }) {
  const [value, setValue] = useState(start);
  return (
    <DayField
      label="Served"
      value={value}
      onChange={(v) => {
        heard(v);
        setValue(v);
      }}
    />
  );
}
const field = (): HTMLInputElement => screen.getByRole('textbox', { name: 'Served' });
const type = (text: string): void => void fireEvent.change(field(), { target: { value: text } });

describe('a time that is typed', () => {
  it('is shown by the kitchen’s clock, and every time that is shown is read as what it was', () => {
    showHereIn({ ...METRIC, clock: '12 h' });
    const heard = vi.fn();
    render(<Time heard={heard} />);
    expect(field().value).toBe('7:00 pm');
    type('12:15 am');
    fireEvent.blur(field());
    expect(heard.mock.calls).toEqual([['00:15']]);
    expect(field().value).toBe('12:15 am');
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    expect(field().value).toBe('12:20 am');
    for (let m = 0; m < 1440; m += 7) {
      const time = `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`;
      expect(readTime(inShownUnits(time, { ...METRIC, clock: '12 h' }).replace('\u00a0', ' '))).toBe(time);
    }
  });
  it('is taken when the field is left, or at Enter, however it is written', () => {
    const heard = vi.fn();
    render(<Time heard={heard} />);
    type('7 p');
    type('7:30 pm');
    expect(heard).not.toHaveBeenCalled();
    fireEvent.blur(field());
    expect(heard.mock.calls).toEqual([['19:30']]);
    expect(field().value).toBe('19:30');
    type('20');
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(heard).toHaveBeenLastCalledWith('20:00');
  });
  it('is taken at once where it is whole', () => {
    const heard = vi.fn();
    render(<Time heard={heard} />);
    type('18:45');
    expect(heard.mock.calls).toEqual([['18:45']]);
  });
  it('that is none stays in sight with a word, and what was there stands; Escape brings it back', () => {
    const heard = vi.fn();
    render(<Time heard={heard} />);
    type('25');
    fireEvent.blur(field());
    expect(screen.getByRole('alert').textContent).toContain('19:30');
    expect(field().value).toBe('25');
    expect(heard).not.toHaveBeenCalled();
    fireEvent.keyDown(field(), { key: 'Escape' });
    expect(field().value).toBe('19:00');
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('that is emptied stands as it was', () => {
    const heard = vi.fn();
    render(<Time heard={heard} />);
    type('');
    fireEvent.blur(field());
    expect(field().value).toBe('19:00');
    expect(heard).not.toHaveBeenCalled();
  });
  it('goes up and down by five minutes, over midnight too', () => {
    const heard = vi.fn();
    render(<Time start="23:57" heard={heard} />);
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    expect(heard).toHaveBeenLastCalledWith('00:00');
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    expect(heard).toHaveBeenLastCalledWith('23:55');
  });
  it('is not lost when the page goes, or the field', () => {
    const heard = vi.fn();
    const { unmount } = render(<Time heard={heard} />);
    type('8 pm');
    fireEvent(window, new Event('pagehide'));
    expect(heard).toHaveBeenLastCalledWith('20:00');
    type('9 pm');
    unmount();
    expect(heard).toHaveBeenLastCalledWith('21:00');
  });
});

describe('a day that is typed', () => {
  it('is shown in one form and read in many', () => {
    const heard = vi.fn();
    render(<Day heard={heard} />);
    expect(field().value).toBe('Sat 28 Nov 2026');
    type('2026-12-05');
    expect(heard).toHaveBeenLastCalledWith('2026-12-05');
    type('5.1.2027');
    fireEvent.blur(field());
    expect(heard).toHaveBeenLastCalledWith('2027-01-05');
    expect(field().value).toBe('Tue 5 Jan 2027');
  });
  it('in the middle of a year nothing is taken', () => {
    const heard = vi.fn();
    render(<Day heard={heard} />);
    for (const text of ['2', '20', '202', '2026', '2026-', '2026-1', '2026-12-0']) type(text);
    expect(heard).not.toHaveBeenCalled();
  });
  it('may be emptied', () => {
    const heard = vi.fn();
    render(<Day heard={heard} />);
    type('');
    fireEvent.blur(field());
    expect(heard.mock.calls).toEqual([['']]);
  });
  it('goes up and down by a day, and has a calendar beside it', () => {
    const heard = vi.fn();
    render(<Day start="2026-12-31" heard={heard} />);
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    expect(heard).toHaveBeenLastCalledWith('2027-01-01');
    expect(screen.getByRole('button', { name: 'Calendar of Served' })).toBeTruthy();
  });
});
