import { describe, expect, it } from 'vitest';
import { sheetOf } from '../../testing/sample';
import { makeSheetStore, type SavedState } from './sheet-store';

const saved: SavedState = { doc: sheetOf(['600 g cream 36 %']), version: 1, revision: 1, updatedAt: 0 };
const named = (name: string) => (d: SavedState['doc']) => ({ ...d, name });

describe('the open sheet', () => {
  it('undoes and does again, the last edit first', () => {
    const s = makeSheetStore(saved);
    s.edit('a', named('A'), 0);
    s.edit('b', named('B'), 1);
    s.undo();
    expect(s.get().doc.name).toBe('A');
    s.undo();
    expect(s.get()).toMatchObject({ doc: saved.doc, status: { kind: 'saved' } });
    s.undo();
    s.redo();
    s.redo();
    s.redo();
    expect(s.get().doc.name).toBe('B');
  });
  it('typing in one field is one step; a pause or another field starts the next', () => {
    const s = makeSheetStore(saved);
    s.edit('name', named('x'), 0);
    s.edit('name', named('xy'), 500);
    s.edit('name', named('xyz'), 5000);
    expect(s.get().past).toHaveLength(2);
    s.undo();
    expect(s.get().doc.name).toBe('xy');
  });
  it('a new edit forgets what could be done again', () => {
    const s = makeSheetStore(saved);
    s.edit('a', named('A'), 0);
    s.undo();
    s.edit('b', named('B'), 1);
    s.redo();
    expect(s.get().doc.name).toBe('B');
  });
  it('an edit during a save stays and waits', () => {
    const s = makeSheetStore(saved);
    s.edit('a', named('A'), 0);
    const sent = s.get().doc;
    s.edit('b', named('B'), 5000);
    s.confirm({ ...saved, doc: sent, revision: 2 }, sent);
    expect(s.get()).toMatchObject({ status: { kind: 'waiting' }, doc: { name: 'B' }, saved: { revision: 2 } });
  });
  it('a conflict stays until it is settled; taking theirs can be undone', () => {
    const s = makeSheetStore(saved);
    s.edit('a', named('Mine'), 0);
    const theirs = { ...saved, doc: named('Theirs')(saved.doc), revision: 4 };
    s.setStatus({ kind: 'conflict', theirs });
    s.edit('b', named('Mine too'), 5000);
    expect(s.get().status.kind).toBe('conflict');
    s.adopt(theirs, 6000);
    expect(s.get()).toMatchObject({ doc: { name: 'Theirs' }, status: { kind: 'saved' }, saved: { revision: 4 } });
    s.undo();
    expect(s.get()).toMatchObject({ doc: { name: 'Mine too' }, status: { kind: 'waiting' } });
  });
});
