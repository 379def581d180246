// @vitest-environment jsdom
import { cleanup, configure, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LARDER } from '../../testing/sample';
import { LarderDesk } from './larder-desk';

// As long as a busy machine lets it.
configure({ asyncUtilTimeout: 30_000 });

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

let answer: () => Promise<Response>;
let sent: string[];
beforeEach(() => {
  refresh.mockClear();
  sent = [];
  answer = async () => Response.json({ rows: 3, added: 1, replaced: 1, edited: [], faults: [] });
  vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
    sent.push(`${path} ${init.body}`);
    return answer();
  });
});
afterEach(cleanup);

const file = (text: string): File => new File([text], 'larder.csv', { type: 'text/csv' });
const readIn = async (f: File) => {
  const hand = userEvent.setup();
  render(<LarderDesk larder={LARDER.slice(0, 6)} />);
  await hand.upload(screen.getByLabelText('Read a CSV file in'), f);
};

describe('a larder file that is read in', () => {
  it('goes to the server as it is, and what it did is counted', async () => {
    await readIn(file('id,name\nx,X'));
    await screen.findByText('3 rows read: 1 new, 1 replaced.');
    expect(sent).toEqual(['/api/larder/file id,name\nx,X']);
    expect(refresh).toHaveBeenCalledOnce();
  });
  it('names each row that could not be read, and what somebody edited since', async () => {
    answer = async () => Response.json({ rows: 1, added: 0, replaced: 0, edited: ['Butter'], faults: ['row 3 (x): no name.'] });
    await readIn(file('id,name'));
    await screen.findByText('1 row read: 0 new, 0 replaced. 1 could not be read:');
    expect(screen.getByText('row 3 (x): no name.')).toBeTruthy();
    expect(screen.getByText('Butter was edited here since the file was taken out: it stays as it is here.')).toBeTruthy();
  });
  it('says why it was refused, and that the server does not answer; nothing is drawn anew', async () => {
    answer = async () => Response.json({ says: 'There is no column ‘id’ in the first row (it has a).' }, { status: 422 });
    await readIn(file('a'));
    await screen.findByText('There is no column ‘id’ in the first row (it has a).');
    answer = () => Promise.reject(new TypeError('away'));
    await userEvent.setup().upload(screen.getByLabelText('Read a CSV file in'), file('a'));
    await screen.findByText('The server does not answer; nothing was taken over.');
    expect(refresh).not.toHaveBeenCalled();
  });
  it('one that is too large is not sent', async () => {
    await readIn(file('x'.repeat(5_000_001)));
    await screen.findByText(/larger than 5 MB/);
    expect(sent).toEqual([]);
  });
});

describe('the larder’s table', () => {
  const rows = (): number => within(screen.getByRole('table')).getAllByRole('row').length - 1;
  it('finds by other names and with a slip of the pen, and says so when nothing is called so', async () => {
    const hand = userEvent.setup();
    render(<LarderDesk larder={LARDER} />);
    const field = screen.getByRole('searchbox');
    await hand.type(field, 'heavy crem');
    await waitFor(() => expect(within(screen.getByRole('table')).getAllByRole('row')[1]!.textContent).toMatch(/cream/i));
    await hand.clear(field);
    await hand.type(field, 'zzzzqqq');
    await screen.findByText(/Nothing by that name/);
  });
  it('draws a page of it, and all when asked', async () => {
    const hand = userEvent.setup();
    render(<LarderDesk larder={LARDER} />);
    expect(rows()).toBe(120);
    await hand.click(screen.getByRole('button', { name: `Show all ${LARDER.length}` }));
    expect(rows()).toBe(LARDER.length);
    await hand.click(screen.getByRole('button', { name: 'Show the first 120' }));
    expect(rows()).toBe(120);
  });
});
