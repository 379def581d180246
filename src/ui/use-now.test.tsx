// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useNow } from './use-now';

function Clock({ name, everyMs, running = true }: { readonly name: string; readonly everyMs: number; readonly running?: boolean }) {
  return <output aria-label={name}>{useNow(running, everyMs)}</output>;
}
const shows = (name: string): number => Number(screen.getByRole('status', { name }).textContent);
const START = 1_800_000_000_000;

beforeEach(() => void vi.useFakeTimers({ now: START }));
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('clocks of a page', () => {
  it('of one step are told together by one timer, however long after each other they began', () => {
    const { rerender } = render(<Clock name="strip" everyMs={200} />);
    act(() => void vi.advanceTimersByTime(130));
    rerender(
      <>
        <Clock name="strip" everyMs={200} />
        <Clock name="whisk" everyMs={200} />
      </>,
    );
    expect(vi.getTimerCount()).toBe(1);
    for (let i = 0; i < 30; i++) {
      act(() => void vi.advanceTimersByTime(70));
      expect(shows('whisk')).toBe(shows('strip'));
    }
    expect(shows('strip')).toBeGreaterThanOrEqual(START + 2000);
  });
  it('stand still while nothing runs, and leave no timer behind', () => {
    const { unmount } = render(<Clock name="still" everyMs={200} running={false} />);
    expect(vi.getTimerCount()).toBe(0);
    act(() => void vi.advanceTimersByTime(5000));
    expect(shows('still')).toBe(START);
    unmount();
    const running = render(<Clock name="runs" everyMs={1000} />);
    expect(vi.getTimerCount()).toBe(1);
    running.unmount();
    expect(vi.getTimerCount()).toBe(0);
  });
});
