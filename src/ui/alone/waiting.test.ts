import { describe, expect, it } from 'vitest';
import { isPage, pagesOf } from './kept-pages';
import { waitingOn } from './waiting';

const storage = (kept: Record<string, string>): Pick<Storage, 'length' | 'key' | 'getItem'> => ({
  length: Object.keys(kept).length,
  key: (i) => Object.keys(kept)[i] ?? null,
  getItem: (k) => kept[k] ?? null,
});

describe('what waits on this tablet', () => {
  it('is counted by batch, what was done and what was measured together', () => {
    expect(
      waitingOn(storage({ 'soft-peak:events:b': '[1,2]', 'soft-peak:temperatures:b': '[{}]', 'soft-peak:events:a': '[1]', 'soft-peak:draft:a': '[1,2,3]' })),
    ).toEqual([
      { batchId: 'a', things: 1 },
      { batchId: 'b', things: 3 },
    ]);
  });
  it.each(['[]', 'null', '{}', 'not to be read', ''])('‘%s’ counts as nothing', (text) =>
    expect(waitingOn(storage({ 'soft-peak:events:b': text }))).toEqual([]),
  );
  it('of an empty tablet is nothing', () => expect(waitingOn(storage({}))).toEqual([]));
});

describe('a page that is kept', () => {
  it.each(['/', '/pass/4f', '/sheet/x/bench', '/mend', '/print/service/s', '/alone', '/entered', '/apis'])('%s is one', (p) => expect(isPage(p)).toBe(true));
  it.each(['/api/due', '/api', '/enter', '/_next/static/a.js', '/icon-192.png', '/alone.js', '/soft-peak.webmanifest'])('%s is none', (p) =>
    expect(isPage(p)).toBe(false),
  );
  it('belongs to its build', () => expect(pagesOf('a')).not.toBe(pagesOf('b')));
});
