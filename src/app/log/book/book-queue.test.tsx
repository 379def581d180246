// @vitest-environment jsdom
import { act, cleanup, configure, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { NewEntry } from '../../../core/book/entry';
import { useBookQueue } from './book-queue';

// As long as a busy machine lets it.
configure({ asyncUtilTimeout: 30_000 });

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const KEPT = 'soft-peak:book:waiting';
const entry = (n: number): NewEntry => ({
  id: `entry-000${n}`,
  day: '2026-11-28',
  by: 'Early cook',
  says: { kind: 'place', placeId: 'chest', slot: 'morning', c: -20 + n },
  corrects: null,
});
const kept = (): string[] => (JSON.parse(localStorage.getItem(KEPT) ?? '[]') as NewEntry[]).map((e) => e.id);

let sent: string[];
let answer: (n: number) => Promise<Response>;
beforeEach(() => {
  localStorage.clear();
  refresh.mockClear();
  sent = [];
  answer = async () => Response.json({}, { status: 201 });
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    sent.push((JSON.parse(body) as NewEntry).id);
    return answer(sent.length);
  });
});
afterEach(cleanup);

describe('entries on their way to the book', () => {
  it('go one after the other in the order they were written, and are let go when they stand', async () => {
    const { result } = renderHook(useBookQueue);
    act(() => {
      result.current.write(entry(1));
      result.current.write(entry(2));
    });
    await waitFor(() => expect(result.current.waiting).toEqual([]));
    expect(sent).toEqual(['entry-0001', 'entry-0002']);
    expect([kept(), refresh.mock.calls.length]).toEqual([[], 2]);
  });
  it('wait on the tablet while the server is away, also over a new page, and the first goes first', async () => {
    answer = () => Promise.reject(new TypeError('away'));
    const first = renderHook(useBookQueue);
    act(() => first.result.current.write(entry(1)));
    await waitFor(() => expect(sent).toEqual(['entry-0001']));
    act(() => first.result.current.write(entry(2)));
    expect([kept(), first.result.current.refused]).toEqual([['entry-0001', 'entry-0002'], null]);
    first.unmount();
    answer = async () => Response.json({}, { status: 201 });
    const second = renderHook(useBookQueue);
    await waitFor(() => expect(second.result.current.waiting).toEqual([]));
    expect(sent.slice(1)).toEqual(['entry-0001', 'entry-0002']);
  });
  it('that a server at its end could not write are sent again, not lost', async () => {
    answer = async (n) => (n === 1 ? Response.json({ says: 'the disk is full' }, { status: 507 }) : Response.json({}, { status: 201 }));
    const { result } = renderHook(useBookQueue);
    act(() => result.current.write(entry(1)));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(kept()).toEqual(['entry-0001']);
    await waitFor(() => expect(result.current.waiting).toEqual([]));
    expect(sent).toEqual(['entry-0001', 'entry-0001']);
  });
  it('that are refused say why once, and hold nothing up', async () => {
    answer = async (n) => (n === 1 ? Response.json({ says: 'That was written already, by Late cook.' }, { status: 409 }) : Response.json({}, { status: 201 }));
    const { result } = renderHook(useBookQueue);
    act(() => {
      result.current.write(entry(1));
      result.current.write(entry(2));
    });
    await waitFor(() => expect(result.current.waiting).toEqual([]));
    expect(result.current.refused).toBe('That was written already, by Late cook.');
    expect(sent).toEqual(['entry-0001', 'entry-0002']);
    act(() => result.current.write(entry(3)));
    await waitFor(() => expect(result.current.refused).toBeNull());
  });
  it('what lies there and is no entry is nothing', () => {
    localStorage.setItem(KEPT, '[{"id":"x"}]');
    expect(renderHook(useBookQueue).result.current.waiting).toEqual([]);
    cleanup();
    localStorage.setItem(KEPT, 'no json');
    expect(renderHook(useBookQueue).result.current.waiting).toEqual([]);
  });
});
