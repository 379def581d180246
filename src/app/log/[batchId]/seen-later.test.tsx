// @vitest-environment jsdom
import { cleanup, configure, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { SeenLater } from './seen-later';

// As long as a busy machine lets it.
configure({ asyncUtilTimeout: 30_000 });

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

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

let sent: Record<string, string>[];
let answer: () => Promise<Response>;
beforeEach(() => {
  localStorage.clear();
  refresh.mockClear();
  sent = [];
  answer = async () => Response.json({});
  vi.stubGlobal('fetch', async (_: string, { body }: { body: FormData }) => {
    sent.push(Object.fromEntries([...body.entries()].map(([k, v]) => [k, String(v)])));
    return answer();
  });
});
afterEach(cleanup);

const shown = () => render(<SeenLater batchId="b" endedAt={Date.UTC(2026, 10, 29, 12)} seen={[]} drink={null} />);
const write = (): void => void fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
const type = (label: string, text: string): void => void fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

describe('what is seen later', () => {
  it('is written down as now, and the fields are free again', async () => {
    shown();
    const before = Date.now();
    type('How much, g', '6');
    type('In words', 'at the rim');
    write();
    await waitFor(() => expect(refresh).toHaveBeenCalledOnce());
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({ kind: 'weep', value: '6', words: 'at the rim' });
    expect(Number(sent[0]!.at)).toBeGreaterThanOrEqual(before);
    expect((screen.getByLabelText('In words') as HTMLInputElement).value).toBe('');
  });
  it('earlier, by the day and time of this tablet’s clock, which the server may refuse in words', async () => {
    const hand = userEvent.setup();
    shown();
    await hand.click(screen.getByRole('combobox', { name: /When/ }));
    await hand.click(await screen.findByRole('option', { name: 'earlier' }));
    fireEvent.change(screen.getByRole('textbox', { name: 'Day it was seen' }), { target: { value: '2026-11-29' } });
    fireEvent.change(screen.getByRole('textbox', { name: 'Time it was seen' }), { target: { value: '14:30' } });
    type('How much, g', '6');
    answer = async () => Response.json({ says: 'That was before the batch was begun.' }, { status: 422 });
    write();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('That was before the batch was begun.'));
    expect(Number(sent[0]!.at)).toBe(new Date(2026, 10, 29, 14, 30).getTime());
    // What was typed is still there, and sent again it is the same thing.
    expect((screen.getByLabelText('How much, g') as HTMLInputElement).value).toBe('6');
    answer = async () => Response.json({});
    write();
    await waitFor(() => expect(refresh).toHaveBeenCalledOnce());
    expect(sent[1]!.id).toBe(sent[0]!.id);
  });
  it('an amount that is none is said, and the server that is away keeps nothing but loses nothing', async () => {
    shown();
    type('How much, g', 'lots');
    expect(screen.getByRole('alert').textContent).not.toBe('');
    type('How much, g', '6');
    answer = () => Promise.reject(new TypeError('away'));
    write();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/does not answer/));
    expect((screen.getByLabelText('How much, g') as HTMLInputElement).value).toBe('6');
    expect(refresh).not.toHaveBeenCalled();
  });
  it('words outlive the page until they are written down', () => {
    shown();
    type('In words', 'a drop in the corner');
    cleanup();
    shown();
    expect((screen.getByLabelText('In words') as HTMLInputElement).value).toBe('a drop in the corner');
  });
});
