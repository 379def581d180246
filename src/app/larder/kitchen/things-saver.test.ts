import { describe, expect, it } from 'vitest';
import { STARTING_MIXERS, STARTING_PLACES, STARTING_RULES } from '../../../data/starting-kitchen';
import type { KitchenThings } from '../../../data/kitchen-things';
import { AGAIN_AFTER_MS, SAVE_AFTER_MS, thingsSaver, type Answer, type KeptThings } from './things-saver';

const FIRST: KitchenThings = { vessels: [], mixers: STARTING_MIXERS, places: STARTING_PLACES, rules: STARTING_RULES };
const named = (kitchenName: string): Partial<KitchenThings> => ({ rules: { ...STARTING_RULES, kitchenName } });

/** A tablet with a server that answers when it is told to. */
function tablet(first = FIRST, revision = 7, kept: KeptThings | null = null) {
  const asked: { name: string; base: number; leaving: boolean; answer: (a: Answer) => Promise<void> }[] = [];
  const timers: { ms: number; run: () => void; off: boolean }[] = [];
  let held: KeptThings | null | undefined;
  const saver = thingsSaver(first, revision, kept, {
    send: (body, leaving) =>
      new Promise<Answer>((go) =>
        asked.push({
          name: body.things.rules.kitchenName,
          base: body.baseRevision,
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

describe('the kitchen’s things', () => {
  it('are saved a moment after the last change, once', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.saver.change(named('AB'));
    expect([t.waits(), t.asked.length, t.saver.get().says]).toEqual([SAVE_AFTER_MS, 0, 'saving…']);
    expect(t.kept()?.things.rules.kitchenName).toBe('AB');
    t.pass();
    expect(t.asked.map((a) => [a.name, a.base, a.leaving])).toEqual([['AB', 7, false]]);
    await t.asked[0]!.answer({ kind: 'saved', revision: 8 });
    expect([t.saver.get().says, t.kept(), t.waits()]).toEqual(['saved', null, null]);
  });
  it('go one after the other: what is changed meanwhile follows on the revision that came back', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    t.saver.change(named('B'));
    t.pass();
    expect(t.asked).toHaveLength(1);
    await t.asked[0]!.answer({ kind: 'saved', revision: 8 });
    t.pass();
    expect(t.asked.map((a) => [a.name, a.base])).toEqual([
      ['A', 7],
      ['B', 8],
    ]);
  });
  it('are sent at once when the page is left, and not a second time', () => {
    const t = tablet();
    t.saver.leave();
    expect(t.asked).toHaveLength(0);
    t.saver.change(named('A'));
    t.saver.leave();
    t.saver.leave();
    expect(t.asked.map((a) => [a.name, a.leaving])).toEqual([['A', true]]);
    expect(t.waits()).toBeNull();
  });
  it('are sent again while the server does not answer, and kept until it has', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    await t.asked[0]!.answer({ kind: 'away' });
    expect([t.saver.get().wrong, t.waits(), t.kept()?.things.rules.kitchenName]).toEqual([true, AGAIN_AFTER_MS, 'A']);
    t.pass();
    await t.asked[1]!.answer({ kind: 'saved', revision: 8 });
    expect([t.saver.get().says, t.kept()]).toEqual(['saved', null]);
  });
  it('that were refused say why, and the next change tries again', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    await t.asked[0]!.answer({ kind: 'refused', says: 'no mixer is left' });
    expect([t.saver.get().says, t.waits()]).toEqual(['not saved: no mixer is left', null]);
    t.saver.change(named('B'));
    expect(t.waits()).toBe(SAVE_AFTER_MS);
  });
  it('of two screens ask once which counts; nothing goes until it is said', async () => {
    const t = tablet();
    t.saver.change(named('A'));
    t.pass();
    await t.asked[0]!.answer({ kind: 'clash', revision: 12 });
    expect(t.saver.get()).toMatchObject({ clash: true, wrong: true });
    t.saver.change(named('AB'));
    expect(t.waits()).toBeNull();
    t.saver.leave();
    expect(t.asked).toHaveLength(1);
    // Kept with what it was changed from: opened again it asks again.
    expect(t.kept()).toMatchObject({ baseRevision: 7, things: { rules: { kitchenName: 'AB' } } });
    expect(tablet({ ...FIRST, ...named('theirs') }, 12, t.kept()).saver.get().clash).toBe(true);
    t.saver.keepMine();
    t.pass();
    expect(t.asked.map((a) => [a.name, a.base]).at(-1)).toEqual(['AB', 12]);
    const other = tablet();
    other.saver.change(named('A'));
    other.saver.letGo();
    expect([other.kept(), other.waits()]).toEqual([null, null]);
  });
  it('kept from last time are taken up; those that had arrived are let go', () => {
    const things = { ...FIRST, ...named('A') };
    const taken = tablet(FIRST, 7, { baseRevision: 7, things, sent: null });
    expect([taken.saver.get().things, taken.waits()]).toEqual([things, SAVE_AFTER_MS]);
    const arrived = tablet(things, 8, { baseRevision: 7, things, sent: things });
    expect([arrived.saver.get().says, arrived.waits(), arrived.kept()]).toEqual(['saved', null, null]);
  });
  it('whose own save had been on its way clash with nobody; those that another overtook do', () => {
    const [sent, newer] = [
      { ...FIRST, ...named('A') },
      { ...FIRST, ...named('AB') },
    ];
    const own = tablet(sent, 8, { baseRevision: 7, things: newer, sent });
    expect(own.saver.get()).toMatchObject({ clash: false, things: newer });
    expect(own.waits()).toBe(SAVE_AFTER_MS);
    const overtaken = tablet({ ...FIRST, ...named('theirs') }, 8, { baseRevision: 7, things: newer, sent });
    expect(overtaken.saver.get()).toMatchObject({ clash: true, things: newer });
    expect(overtaken.waits()).toBeNull();
    overtaken.saver.keepMine();
    overtaken.pass();
    expect(overtaken.asked.map((a) => [a.name, a.base])).toEqual([['AB', 8]]);
  });
});
