import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { sheetOf } from '../../testing/sample';
import { dropDraft, keepDraft, keepUndo, makeSaver, readDraft, readEarlierDraft, readUndo, type SaveAnswer } from './saving';
import { makeSheetStore, type SavedState } from './sheet-store';

const saved: SavedState = { doc: sheetOf(['600 g cream 36 %']), version: 1, revision: 1, updatedAt: 0 };
const named = (name: string) => (d: SavedState['doc']) => ({ ...d, name });
let kept: Map<string, string>;

interface Sent {
  readonly baseRevision: number;
  readonly asNewVersion: boolean;
  readonly by: { readonly screen: string; readonly count: number };
  readonly doc: SavedState['doc'];
}

/** Answers each save in turn by what it is given; remembers what was sent. */
function answering(...answers: ((sent: Sent) => SaveAnswer | Error)[]): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (_url: string, init: { body: string }) => {
    const body = JSON.parse(init.body) as Sent;
    sent.push(body);
    const answer = answers[Math.min(sent.length, answers.length) - 1]!(body);
    if (answer instanceof Error) throw answer;
    return Response.json(answer, { status: answer.kind === 'saved' ? 200 : answer.kind === 'conflict' ? 409 : 422 });
  });
  return sent;
}

const taken = ({ doc, baseRevision }: Sent): SaveAnswer => ({ kind: 'saved', sheet: { doc, version: 1, revision: baseRevision + 1, updatedAt: 9 } });

beforeEach(() => {
  kept = new Map();
  const store = {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  };
  vi.stubGlobal('localStorage', store);
  vi.stubGlobal('sessionStorage', store);
});
afterEach(() => vi.unstubAllGlobals());

describe('saving', () => {
  it('sends what is in hand with the revision it was read at, and nothing when nothing changed', async () => {
    const sent = answering(taken);
    const store = makeSheetStore(saved);
    const { save } = makeSaver('s', store);
    await save();
    expect(sent).toHaveLength(0);
    store.edit('name', named('A'), 0);
    await save();
    expect(sent[0]).toMatchObject({ baseRevision: 1, asNewVersion: false, doc: { name: 'A' } });
    expect(store.get()).toMatchObject({ status: { kind: 'saved' }, saved: { revision: 2 } });
  });
  it('says which screen saves, with a count that rises', async () => {
    const sent = answering(taken);
    const store = makeSheetStore(saved);
    const { save } = makeSaver('s', store);
    for (const name of ['A', 'B']) {
      store.edit(name, named(name), 0);
      await save();
    }
    expect(sent[0]!.by.screen).toBe(sent[1]!.by.screen);
    expect(sent[1]!.by.count).toBeGreaterThan(sent[0]!.by.count);
  });
  it('an edit made while a save is on its way is sent after it, on top of it', async () => {
    const store = makeSheetStore(saved);
    const sent = answering((s) => {
      if (s.doc.name === 'A') store.edit('b', named('B'), 5000);
      return taken(s);
    });
    store.edit('a', named('A'), 0);
    await makeSaver('s', store).save();
    expect(sent.map((s) => [s.doc.name, s.baseRevision])).toEqual([
      ['A', 1],
      ['B', 2],
    ]);
    expect(store.get().status.kind).toBe('saved');
  });
  it('a conflict stops saving until the cook has chosen; mine then goes on top of theirs as a new version', async () => {
    const theirs: SavedState = { ...saved, doc: named('Theirs')(saved.doc), revision: 7 };
    const sent = answering(() => ({ kind: 'conflict', current: theirs }), taken);
    const store = makeSheetStore(saved);
    const { save } = makeSaver('s', store);
    store.edit('a', named('Mine'), 0);
    await save();
    expect(store.get().status).toEqual({ kind: 'conflict', theirs });
    await save();
    expect(sent).toHaveLength(1);
    await save(true);
    expect(sent[1]).toMatchObject({ baseRevision: 7, asNewVersion: true, doc: { name: 'Mine' } });
    expect(store.get().status.kind).toBe('saved');
  });
  it('a server that is away, or that refuses, is said in words, and the edit stays', async () => {
    answering(
      () => new TypeError('away'),
      () => ({ kind: 'refused', says: 'No.' }),
    );
    const store = makeSheetStore(saved);
    const { save } = makeSaver('s', store);
    store.edit('a', named('A'), 0);
    await save();
    expect(store.get().status).toMatchObject({ kind: 'failed', says: expect.stringContaining('kept in this browser') as string });
    await save();
    expect(store.get()).toMatchObject({ status: { kind: 'failed', says: 'No.' }, doc: { name: 'A' } });
  });
});

describe('undo over a reload', () => {
  it('comes back when it leads to the very document, and only then', () => {
    const store = makeSheetStore(saved);
    store.edit('a', named('A'), 0);
    store.edit('b', named('B'), 5000);
    store.undo();
    const { doc, past, future } = store.get();
    keepUndo('s', doc, past, future);
    const again = makeSheetStore({ ...saved, doc });
    const undo = readUndo('s', again.get().doc)!;
    again.resume(undo.past, undo.future);
    again.redo();
    expect(again.get().doc.name).toBe('B');
    again.undo();
    again.undo();
    expect(again.get().doc.name).toBe(saved.doc.name);
    expect(readUndo('s', named('other')(doc))).toBeNull();
    kept.set('soft-peak:undo:s', '{');
    expect(readUndo('s', doc)).toBeNull();
  });
});

describe('drafts', () => {
  it('are kept, read back and dropped', () => {
    keepDraft('s', { baseRevision: 3, doc: saved.doc, screen: 'here' });
    expect(readDraft('s', saved.doc)).toEqual({ baseRevision: 3, doc: saved.doc, screen: 'here' });
    expect(readDraft('other', saved.doc)).toBeNull();
    dropDraft('s');
    expect(readDraft('s', saved.doc)).toBeNull();
  });
  it('that are torn or of another form are no drafts', async () => {
    for (const text of ['{', 'null', '7', '{"baseRevision":1}', '{"baseRevision":"x","doc":{}}', '[]']) {
      kept.set('soft-peak:draft:s', text);
      const read = readDraft('s', saved.doc);
      expect(read === 'earlier' ? await readEarlierDraft('s') : read).toBeNull();
    }
  });
  it('of an earlier form are brought up to date', async () => {
    const { unread: _, ...earlier } = saved.doc;
    kept.set('soft-peak:draft:s', JSON.stringify({ baseRevision: 3, doc: earlier, screen: 'here' }));
    expect(readDraft('s', saved.doc)).toBe('earlier');
    expect(await readEarlierDraft('s')).toEqual({ baseRevision: 3, doc: saved.doc, screen: 'here' });
  });
  it('survive a browser that keeps nothing', async () => {
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new Error('no');
      },
      setItem: () => {
        throw new Error('no');
      },
      removeItem: () => {
        throw new Error('no');
      },
    });
    expect(() => keepDraft('s', { baseRevision: 1, doc: saved.doc, screen: 'here' })).not.toThrow();
    expect(() => dropDraft('s')).not.toThrow();
    expect(readDraft('s', saved.doc)).toBeNull();
  });
});
