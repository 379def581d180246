import { describe, expect, it } from 'vitest';
import { AGAIN_AFTER_MS, documentSaver, SAVE_AFTER_MS, type KeptDocument, type SaveAnswer } from './document-saver';

interface Doc {
  readonly name: string;
}
const FIRST: Doc = { name: 'first' };
const named = (name: string): Doc => ({ name });

/** A tablet with a server that answers when it is told to. */
function tablet(first = FIRST, revision = 7) {
  const asked: { name: string; base: number; leaving: boolean; answer: (a: SaveAnswer<Doc>) => Promise<void> }[] = [];
  const timers: { ms: number; run: () => void; off: boolean }[] = [];
  let held: KeptDocument<Doc> | null | undefined;
  const saver = documentSaver(first, revision, {
    send: (doc, base, leaving) =>
      new Promise<SaveAnswer<Doc>>((go) =>
        asked.push({
          name: doc.name,
          base,
          leaving,
          answer: async (a) => {
            go(a);
            await new Promise((next) => setTimeout(next));
          },
        }),
      ),
    keep: (k) => (held = k),
    later: (ms, run) => {
      const timer = { ms, run, off: false };
      timers.push(timer);
      return () => (timer.off = true);
    },
  });
  return {
    saver,
    asked,
    sent: () => asked.map((a) => [a.name, a.base]),
    kept: () => held,
    /** How long the next save waits, ms; null where none does. */
    waits: () => timers.findLast((t) => !t.off)?.ms ?? null,
    pass: () => {
      const due = timers.filter((t) => !t.off);
      for (const t of due) t.off = true;
      due.forEach((t) => t.run());
    },
  };
}
const THEIRS = { doc: named('theirs'), revision: 12 };

describe('a document', () => {
  it('is saved a moment after the last change, once', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.saver.change(named('AB'));
    expect([t.waits(), t.asked.length, t.saver.get().says]).toEqual([SAVE_AFTER_MS, 0, 'saving…']);
    expect(t.kept()?.doc.name).toBe('AB');
    t.pass();
    expect(t.asked.map((a) => [a.name, a.base, a.leaving])).toEqual([['AB', 7, false]]);
    await t.asked[0]!.answer({ kind: 'saved', revision: 8 });
    expect([t.saver.get().says, t.kept(), t.waits()]).toEqual(['saved', null, null]);
  });
  it('goes one save after the other: what is changed meanwhile follows on the revision that came back', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    t.saver.change(named('B'));
    t.pass();
    expect(t.asked).toHaveLength(1);
    await t.asked[0]!.answer({ kind: 'saved', revision: 8 });
    t.pass();
    expect(t.sent()).toEqual([
      ['A', 7],
      ['B', 8],
    ]);
  });
  it('that is again what was saved sends nothing, and says so', () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.saver.change(FIRST);
    expect(t.kept()).toBeNull();
    t.pass();
    expect([t.asked.length, t.saver.get().says]).toEqual([0, 'saved']);
  });
  it('is sent at once when the page is left, and not a second time', () => {
    const t = tablet();
    t.saver.leave();
    expect(t.asked).toHaveLength(0);
    t.saver.change(named('A'));
    t.saver.leave();
    t.saver.leave();
    expect(t.asked.map((a) => [a.name, a.leaving])).toEqual([['A', true]]);
    expect(t.waits()).toBeNull();
  });
  it('is sent again while the server does not answer, and kept until it has', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    await t.asked[0]!.answer({ kind: 'away' });
    expect([t.saver.get().wrong, t.waits(), t.kept()?.doc.name]).toEqual([true, AGAIN_AFTER_MS, 'A']);
    t.pass();
    await t.asked[1]!.answer({ kind: 'saved', revision: 8 });
    expect([t.saver.get().says, t.kept()]).toEqual(['saved', null]);
  });
  it('that was refused says why, and the next change tries again', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    await t.asked[0]!.answer({ kind: 'refused', says: 'no mixer is left' });
    expect([t.saver.get().says, t.waits()]).toEqual(['not saved: no mixer is left', null]);
    t.saver.change(named('B'));
    expect(t.waits()).toBe(SAVE_AFTER_MS);
  });
});

describe('a document of two screens', () => {
  const clashed = async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    await t.asked[0]!.answer({ kind: 'clash', theirs: THEIRS });
    return t;
  };
  it('asks once which counts; nothing goes until it is said, and it is kept as it was begun', async () => {
    const t = await clashed();
    expect(t.saver.get()).toMatchObject({ theirs: THEIRS, wrong: true });
    t.saver.change(named('AB'));
    t.saver.leave();
    expect([t.waits(), t.asked.length]).toEqual([null, 1]);
    expect(t.kept()).toMatchObject({ baseRevision: 7, doc: { name: 'AB' } });
    // Opened again it asks again.
    const again = tablet(THEIRS.doc, THEIRS.revision);
    again.saver.takeUp(t.kept()!);
    expect(again.saver.get()).toMatchObject({ theirs: THEIRS, doc: { name: 'AB' } });
  });
  it('this one counts: it goes over theirs', async () => {
    const t = await clashed();
    t.saver.keepMine();
    t.pass();
    expect(t.sent().at(-1)).toEqual(['A', 12]);
    expect(t.saver.get().theirs).toBeNull();
  });
  it('theirs counts: it is shown, and what was changed here is let go', async () => {
    const t = await clashed();
    t.saver.takeTheirs();
    expect(t.saver.get()).toEqual({ doc: THEIRS.doc, says: 'saved', wrong: false, theirs: null });
    expect([t.kept(), t.waits()]).toEqual([null, null]);
    t.saver.change(named('B'));
    t.pass();
    expect(t.sent().at(-1)).toEqual(['B', 12]);
  });
  it('a newer one is shown where nothing of one’s own waits, and only there', async () => {
    const idle = tablet();
    idle.saver.seen(THEIRS);
    expect([idle.saver.get().doc, idle.saver.get().says]).toEqual([THEIRS.doc, 'saved']);
    idle.saver.change(named('B'));
    idle.pass();
    expect(idle.sent()).toEqual([['B', 12]]);
    // While a save is on its way an older answer says nothing.
    idle.saver.seen({ doc: named('older'), revision: 11 });
    expect(idle.saver.get().doc.name).toBe('B');
    const busy = tablet();
    busy.saver.change(named('A'));
    busy.saver.seen(THEIRS);
    expect(busy.saver.get().doc.name).toBe('A');
  });
});

describe('what was kept from last time', () => {
  it('is taken up; what had arrived is let go', () => {
    const taken = tablet();
    taken.saver.takeUp({ baseRevision: 7, doc: named('A'), sent: null });
    expect([taken.saver.get().doc.name, taken.waits()]).toEqual(['A', SAVE_AFTER_MS]);
    const arrived = tablet(named('A'), 8);
    arrived.saver.takeUp({ baseRevision: 7, doc: named('A'), sent: named('A') });
    expect([arrived.saver.get().says, arrived.waits(), arrived.kept()]).toEqual(['saved', null, null]);
  });
  it('clashes with nobody where its own save had been on its way, and does where another overtook it', () => {
    const own = tablet(named('A'), 8);
    own.saver.takeUp({ baseRevision: 7, doc: named('AB'), sent: named('A') });
    expect(own.saver.get()).toMatchObject({ theirs: null, doc: { name: 'AB' } });
    expect(own.waits()).toBe(SAVE_AFTER_MS);
    const overtaken = tablet(named('theirs'), 8);
    overtaken.saver.takeUp({ baseRevision: 7, doc: named('AB'), sent: named('A') });
    expect(overtaken.saver.get()).toMatchObject({ theirs: { doc: { name: 'theirs' }, revision: 8 }, doc: { name: 'AB' } });
    expect(overtaken.waits()).toBeNull();
    overtaken.saver.keepMine();
    overtaken.pass();
    expect(overtaken.sent()).toEqual([['AB', 8]]);
  });
});
