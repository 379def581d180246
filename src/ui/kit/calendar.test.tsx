// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { Calendar } from './calendar';

afterEach(cleanup);

it('a calendar opens at the month of its day, weeks from Monday, and gives the day that is chosen', () => {
  const onChoose = vi.fn();
  render(<Calendar value="2027-03-05" onChoose={onChoose} />);
  expect(screen.getByText('March 2027')).toBeTruthy();
  expect(screen.getByText('Mo').compareDocumentPosition(screen.getByText('Su')) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /March 9/ }));
  expect(onChoose.mock.calls).toEqual([['2027-03-09']]);
});
it('goes on to the next month and back', () => {
  const onChoose = vi.fn();
  render(<Calendar value="2026-12-31" onChoose={onChoose} />);
  fireEvent.click(screen.getByRole('button', { name: /next/i }));
  expect(screen.getByText('January 2027')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /previous/i }));
  fireEvent.click(screen.getByRole('button', { name: /December 1[^0-9]/ }));
  expect(onChoose).toHaveBeenLastCalledWith('2026-12-01');
});
