// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { GANNET_QUAY, SHEETS } from '../testing/gannet-quay';
import { useColdHours } from './use-cold-hours';

const asked = vi.fn<(sheet: unknown) => Promise<number | null>>();
vi.mock('./core-service', () => ({ coreWith: () => Promise.resolve({ coldHours: asked }) }));

beforeEach(() => {
  vi.useFakeTimers();
  asked.mockReset();
  asked.mockResolvedValue(1.5);
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const MOUSSE = SHEETS.get('prune-mousse')!;
const hours = (first = MOUSSE) => renderHook(({ sheet }) => useColdHours(sheet, GANNET_QUAY), { initialProps: { sheet: first } });
/** Lets hands rest, and the answer come. */
const rest = (ms = 700) => act(() => vi.advanceTimersByTimeAsync(ms));

describe('hours in the cold beside a sheet', () => {
  it('are asked for once the hands rest, of the newest sheet alone', async () => {
    const { result, rerender } = hours();
    expect(result.current).toBeNull();
    await rest(300);
    const next = { ...MOUSSE, portions: 13 };
    rerender({ sheet: next });
    await rest();
    expect(asked.mock.calls).toEqual([[next]]);
    expect(result.current).toBe(1.5);
  });
  it('stand until a newer answer is there', async () => {
    const { result, rerender } = hours();
    await rest();
    asked.mockResolvedValue(2);
    rerender({ sheet: { ...MOUSSE, portions: 20 } });
    expect(result.current).toBe(1.5);
    await rest();
    expect(result.current).toBe(2);
  });
  it('are not asked for where nothing sets', async () => {
    const { result } = hours(SHEETS.get('bay-leaf-chantilly')!);
    await rest();
    expect(asked).not.toHaveBeenCalled();
    expect(result.current).toBeNull();
  });
  it('are unknown where there is no answer: the method’s own hours stand', async () => {
    asked.mockRejectedValue(new Error('gone'));
    const { result } = hours();
    await rest();
    expect(result.current).toBeNull();
  });
});
