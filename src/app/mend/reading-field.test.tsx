// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ReadingField } from './reading-field';

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});
afterEach(cleanup);

const field = (): HTMLInputElement => screen.getByLabelText('It reads');
const type = (text: string): void => void fireEvent.change(field(), { target: { value: text } });
const says = (): string => screen.getByRole('status').textContent!.replace(/\u00a0/g, ' ');
const shown = (more: Partial<Parameters<typeof ReadingField>[0]> = {}) =>
  render(<ReadingField reads={{ toC: 71, cooling: false }} at="batch-1:egg-cold:x:0" where="local" onWrite={null} {...more} />);

describe('what the thermometer says at a step of a rescue', () => {
  it('how far it is, that it is there, and what is past it', () => {
    shown();
    expect(says()).toBe('');
    type('63,5');
    expect(says()).toBe('7.5 °C to go.');
    type('71');
    expect(says()).toBe('It is there.');
    type('80');
    expect(says()).toBe('9.0 °C past it: let it cool before it goes on.');
  });
  it('cooling, the other way about', () => {
    shown({ reads: { toC: 5, cooling: true } });
    type('9');
    expect(says()).toBe('4.0 °C to go.');
    type('2');
    expect(says()).toBe('3.0 °C past it: warm it a little before it goes on.');
  });
  it('what is no temperature is said with one that is, and nothing can be written down', () => {
    const write = vi.fn();
    shown({ onWrite: write });
    type('tepid');
    expect(says()).toBe('‘tepid’ is no temperature: write degrees Celsius, like 71.');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('of a batch it goes into the log when it is written down, and the field is free again', () => {
    const write = vi.fn();
    shown({ onWrite: write });
    type('68.4');
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(write.mock.calls).toEqual([[68.4]]);
    expect(field().value).toBe('');
    // Without a batch there is nowhere to write it.
    cleanup();
    shown();
    type('68.4');
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('stays over a reload, at its own step alone', () => {
    shown();
    type('64');
    cleanup();
    shown();
    expect(field().value).toBe('64');
    cleanup();
    shown({ at: 'batch-1:egg-cold:x:1' });
    expect(field().value).toBe('');
    cleanup();
    shown({ at: 'batch-2:egg-cold:x:0' });
    expect(field().value).toBe('');
  });
});
