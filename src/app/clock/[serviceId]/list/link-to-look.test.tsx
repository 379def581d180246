// @vitest-environment jsdom
import { cleanup, configure, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { LinkToLook } from './link-to-look';

// As long as a busy machine lets it.
configure({ asyncUtilTimeout: 30_000 });

const UNTIL = Date.UTC(2026, 11, 7, 6, 52);
const URL_MADE = 'http://kitchen.example/seen/abc';
let asked: string[];
let there: { locked: boolean; until: number | null };
let refuses: string | null;

beforeAll(() => {
  // What a browser has and the stand-in for one has not.
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
});
beforeEach(() => {
  asked = [];
  there = { locked: true, until: null };
  refuses = null;
  vi.stubGlobal('fetch', async (path: string, { method }: { method: string }) => {
    asked.push(`${method} ${path}`);
    if (refuses !== null) return Response.json({ says: refuses }, { status: 409 });
    if (method === 'GET') return Response.json(there);
    if (method === 'DELETE') return new Response(null, { status: 204 });
    return Response.json({ until: UNTIL, url: URL_MADE, svg: '<svg></svg>', here: false });
  });
});
afterEach(cleanup);

const opened = async () => {
  const hand = userEvent.setup();
  render(<LinkToLook serviceId="dinner" />);
  await hand.click(screen.getByRole('button', { name: 'Link to look' }));
  await screen.findByRole('dialog', { name: 'Link to look' });
  await waitFor(() => expect(asked).toContain('GET /api/services/dinner/link'));
  return hand;
};

describe('a link to look', () => {
  it('is made when it is asked for, shown as an address and a square, and taken back', async () => {
    const hand = await opened();
    expect(screen.queryByRole('textbox')).toBeNull();
    await hand.click(await screen.findByRole('button', { name: 'Make a link' }));
    const field = await screen.findByRole<HTMLInputElement>('textbox', { name: 'Address of the link' });
    expect(field.value).toBe(URL_MADE);
    expect(screen.getByRole('img', { name: `Square for a camera: ${URL_MADE}` })).toBeTruthy();
    expect(screen.getByRole('dialog').textContent).toContain('Good until');
    await hand.click(screen.getByRole('button', { name: 'Take it back' }));
    await screen.findByRole('button', { name: 'Make a link' });
    expect(asked).toEqual(['GET /api/services/dinner/link', 'POST /api/services/dinner/link', 'DELETE /api/services/dinner/link']);
    expect(screen.queryByRole('textbox')).toBeNull();
  });
  it('one that is there already is said with its end, not with its address, which nobody keeps', async () => {
    there = { locked: true, until: UNTIL };
    await opened();
    await screen.findByText(/There is a link, good until/);
    expect(screen.getByRole('button', { name: 'A new one in its place' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Take it back' })).toBeTruthy();
    expect(screen.queryByRole('textbox')).toBeNull();
  });
  it('without a passphrase there is nothing to make, and the way to one is shown', async () => {
    there = { locked: false, until: null };
    await opened();
    expect((await screen.findByRole('link', { name: 'set one first' })).getAttribute('href')).toBe('/larder/entry');
    expect(screen.queryByRole('button', { name: 'Make a link' })).toBeNull();
  });
  it('a refusal is said in the server’s words, and what stood there stays', async () => {
    const hand = await opened();
    const make = await screen.findByRole('button', { name: 'Make a link' });
    refuses = 'This service is no longer in the kitchen.';
    await hand.click(make);
    await waitFor(() => expect(screen.getByRole('alert').textContent).toBe(refuses));
    expect(screen.getByRole('button', { name: 'Make a link' })).toBeTruthy();
  });
});
