import { describe, expect, it } from 'vitest';
import Papa from 'papaparse';
import { KITCHEN } from '../../testing/sample';
import { bookCsv } from './book-csv';
import { bookDay, entrySays, writtenBy, type BookRow } from './book-day';
import { admitted, DaySchema, NewEntrySchema, standing, subjectOf, takenBack, type BookEntry, type Written } from './entry';
import type { BookBatch, BookFacts } from './facts';
import { coolingRuleOf, coolingSays, eggSays } from './heat-rows';
import { traceLots } from './lots';

const DAY = '2026-11-28';
const ZONE = 'Europe/Madrid';
/** 28 November, an hour of the kitchen's clock (an hour ahead of Greenwich), minutes since 1970. */
const at = (hour: number, minute = 0, day = 28): number => Date.UTC(2026, 10, day, hour - 1, minute) / 60_000;
const MS = 60_000;

let count = 0;
const entry = (says: Written, more: Partial<BookEntry> = {}): BookEntry => ({
  id: `entry-${String(++count).padStart(4, '0')}`,
  day: DAY,
  by: 'Early cook',
  at: at(7) * MS + count,
  corrects: null,
  says,
  ...more,
});
const place = (c: number, slot: 'morning' | 'evening' = 'morning'): Written => ({ kind: 'place', placeId: 'tall-fridge', slot, c });

const batch = (more: Partial<BookBatch> = {}): BookBatch => ({
  id: 'b1',
  name: 'Custard pots',
  startedAt: at(9) * MS,
  endedAt: at(11) * MS,
  running: false,
  discarded: false,
  eatBy: at(11, 0, 30) * MS,
  steps: [
    { key: 'cook', title: 'Cook', partName: 'Custard', heat: { use: 'egg', egg: 'yolk', richInSugar: false, rule: 'table' } },
    { key: 'cool', title: 'Cool', partName: 'Custard', heat: { use: 'cooling' } },
    { key: 'fold', title: 'Fold', partName: '', heat: null },
  ],
  done: ['cook', 'cool', 'fold'],
  samples: [],
  lots: [{ ingredientId: 'cream-36', name: 'Cream 36 %', packs: [] }],
  ...more,
});
const facts = (more: Partial<BookFacts> = {}): BookFacts => ({
  day: DAY,
  now: at(16),
  zone: ZONE,
  places: KITCHEN.places,
  rules: { ...KITCHEN.rules, book: { fridgeAtMostC: 5, freezerAtMostC: -18, jobs: ['Whisk scalded', 'Shelves wiped'] } },
  entries: [],
  batches: [],
  servings: [],
  ...more,
});
const row = (f: BookFacts, key: string): BookRow => bookDay(f).rows.find((r) => r.key === key)!;
/** °C by minutes from when the step was begun. */
const series = (key: string, from: number, curve: readonly (readonly [number, number])[]) =>
  curve.map(([min, tC]) => ({ series: `${key}|by hand`, at: (from + min) * MS, tC }));

describe('an entry', () => {
  it('is never changed: a correction stands, and what it corrects stands behind it', () => {
    const first = entry(place(9));
    const second = entry(place(4), { corrects: first.id, by: 'Late cook' });
    const third = entry(place(4.5), { corrects: second.id });
    expect(standing([third, first, second])).toEqual([{ entry: third, before: [first, second] }]);
  });
  it('taken back stands no more, and is still told', () => {
    const first = entry(place(9));
    const back = entry({ kind: 'taken back' }, { corrects: first.id });
    expect(standing([first, back])).toEqual([]);
    expect(takenBack([first, back])).toEqual([{ entry: back, before: [first] }]);
  });
  it('about what is written already is refused with who wrote it; another slot, place or day is not', () => {
    const first = entry(place(4));
    const fresh = { id: 'fresh-0001', day: DAY, by: 'Late cook', corrects: null };
    expect(admitted([first], { ...fresh, says: place(5) }, 7)).toMatchObject({
      ok: false,
      fault: { field: 'says', says: expect.stringContaining('Early cook') as string },
    });
    expect(admitted([first], { ...fresh, says: place(5, 'evening') }, 7)).toEqual({ ok: true, value: { ...fresh, says: place(5, 'evening'), at: 7 } });
    expect(admitted([first], { ...fresh, day: '2026-11-29', says: place(5) }, 7)).toMatchObject({ ok: true });
    expect(admitted([first], { ...fresh, says: { kind: 'place', placeId: 'chest', slot: 'morning', c: -20 } }, 7)).toMatchObject({ ok: true });
  });
  it('corrects only what stands, and only the same thing', () => {
    const first = entry(place(9));
    const second = entry(place(4), { corrects: first.id });
    const fresh = { id: 'fresh-0001', day: DAY, by: 'Late cook' };
    expect(admitted([first, second], { ...fresh, says: place(5), corrects: first.id }, 7)).toMatchObject({ ok: false, fault: { code: 'behind' } });
    expect(admitted([first, second], { ...fresh, says: place(5), corrects: second.id }, 7)).toMatchObject({ ok: true });
    expect(admitted([first], { ...fresh, says: place(5, 'evening'), corrects: first.id }, 7)).toMatchObject({ ok: false, fault: { code: 'other-subject' } });
    expect(admitted([first], { ...fresh, day: '2026-11-29', says: place(5), corrects: first.id }, 7)).toMatchObject({
      ok: false,
      fault: { code: 'other-subject' },
    });
    expect(admitted([first], { ...fresh, says: { kind: 'taken back' }, corrects: first.id }, 7)).toMatchObject({ ok: true });
    expect(admitted([first], { ...fresh, says: { kind: 'taken back' }, corrects: null }, 7)).toMatchObject({ ok: false, fault: { code: 'empty' } });
    const remark = entry({ kind: 'remark', words: 'a delivery came warm' });
    expect(admitted([remark], { ...fresh, says: { kind: 'remark', words: 'it came at 9 °C' }, corrects: remark.id }, 7)).toMatchObject({ ok: true });
    expect(admitted([first], { ...fresh, says: { kind: 'remark', words: 'no' }, corrects: first.id }, 7)).toMatchObject({
      ok: false,
      fault: { code: 'other-subject' },
    });
  });
  it('a lot and an end are of their batch, whatever the day', () => {
    const lot = entry({ kind: 'lot', batchId: 'b1', ingredientId: 'cream-36', lot: 'L 1', bestBefore: null });
    expect(subjectOf(lot)).toBe(subjectOf({ ...lot, day: '2026-12-01' }));
    const end = entry({ kind: 'ended', batchId: 'b1', how: 'served' });
    expect(subjectOf(end)).toBe(subjectOf({ ...end, day: '2026-12-01' }));
    expect(subjectOf(entry({ kind: 'signed' }))).not.toBe(subjectOf(entry({ kind: 'signed' }, { day: '2026-12-01' })));
  });
  it('is read only as what it is: no day that is none, no name that is blank, no reading of no fridge', () => {
    const good = { id: 'fresh-0001', day: DAY, by: 'Early cook', says: place(4) };
    expect(NewEntrySchema.safeParse(good).success).toBe(true);
    expect(NewEntrySchema.safeParse({ ...good, by: '  ' }).success).toBe(false);
    expect(NewEntrySchema.safeParse({ ...good, says: place(61) }).success).toBe(false);
    expect(NewEntrySchema.safeParse({ ...good, id: 'a b' }).success).toBe(false);
    expect(['2026-02-29', '2026-13-01', '26-11-28', '1926-11-28', ''].map((d) => DaySchema.safeParse(d).success)).toEqual([false, false, false, false, false]);
    expect(DaySchema.safeParse('2028-02-29').success).toBe(true);
  });
});

describe('fridges and freezers', () => {
  it('are asked for twice a day, the counter never', () => {
    const places = bookDay(facts()).rows.filter((r) => r.section === 'places');
    expect(places.map((r) => r.about)).toEqual([
      'Under-counter fridge, morning',
      'Under-counter fridge, evening',
      'Tall fridge, morning',
      'Tall fridge, evening',
      'Chest freezer, morning',
      'Chest freezer, evening',
    ]);
    expect(places.map((r) => r.asks)).toEqual([...Array<string>(4).fill('5\u00a0°C at most'), ...Array<string>(2).fill('−18\u00a0°C at most')]);
    expect(places[0]!.asksFor).toEqual({ kind: 'place', placeId: 'under-counter', slot: 'morning', usualC: 4 });
  });
  it('are missing once their half of the day is over by the kitchen’s clock', () => {
    const state = (now: number, slot: string) => row(facts({ now }), `place tall-fridge ${slot}`).state;
    expect([state(at(13, 59), 'morning'), state(at(14), 'morning')]).toEqual(['open', 'missing']);
    expect([state(at(23, 59), 'evening'), state(at(24), 'evening')]).toEqual(['open', 'missing']);
  });
  it('at their most are within, above it outside', () => {
    const state = (c: number) => row(facts({ entries: [entry(place(c))] }), 'place tall-fridge morning').state;
    expect([state(5), state(5.1), state(-1)]).toEqual(['in', 'out', 'in']);
    const freezer = (c: number) => row(facts({ entries: [entry({ kind: 'place', placeId: 'chest', slot: 'evening', c })] }), 'place chest evening');
    expect([freezer(-18).state, freezer(-17.5).state]).toEqual(['in', 'out']);
    expect(freezer(-17.5).says).toBe('−17.5\u00a0°C');
  });
  it('of another day do not count', () => {
    expect(row(facts({ entries: [entry(place(4), { day: '2026-11-27' })] }), 'place tall-fridge morning').written).toBeNull();
  });
});

describe('a cooling log', () => {
  const rule = coolingRuleOf({ cooling: null });
  it('that meets every stage is within; by hand: 57 °C at 10 min, 21 °C 90 min on, 5 °C 290 min on', () => {
    const curve = [
      [0, 67],
      [10, 57],
      [100, 21],
      [300, 5],
    ] as const;
    expect(coolingSays(curve, rule, 400, true)).toEqual({ state: 'in', says: '21\u00a0°C after 90\u00a0min, 5\u00a0°C after 4\u00a0h 50\u00a0min' });
  });
  it('a minute too late is outside', () => {
    expect(
      coolingSays(
        [
          [0, 57],
          [120, 21],
          [360, 5],
        ],
        rule,
        400,
        true,
      ).state,
    ).toBe('in');
    expect(
      coolingSays(
        [
          [0, 57],
          [121, 21],
          [360, 5],
        ],
        rule,
        400,
        true,
      ),
    ).toEqual({ state: 'out', says: '21\u00a0°C after 2\u00a0h 1\u00a0min; 2\u00a0h are allowed' });
    expect(
      coolingSays(
        [
          [0, 57],
          [120, 21],
          [361, 5],
        ],
        rule,
        400,
        true,
      ).state,
    ).toBe('out');
  });
  it('that stops is open while there is time, missing after', () => {
    const curve = [
      [0, 57],
      [100, 21],
      [200, 12],
    ] as const;
    expect(coolingSays(curve, rule, 300, true)).toEqual({
      state: 'open',
      says: '21\u00a0°C after 1\u00a0h 40\u00a0min, 12\u00a0°C at the last, 5\u00a0°C within 60\u00a0min',
    });
    expect(coolingSays(curve, rule, 361, true)).toMatchObject({ state: 'missing', says: expect.stringContaining('no reading at 5') as string });
  });
  it('without a reading is to come, and missing once the step is behind', () => {
    expect(coolingSays([], rule, 0, false).state).toBe('open');
    expect(coolingSays([], rule, 0, true).state).toBe('missing');
    expect(coolingSays([[0, 80]], rule, 5, false)).toMatchObject({ state: 'open', says: expect.stringContaining('57') as string });
    expect(coolingSays([[0, 80]], rule, 5, true).state).toBe('missing');
  });
  it('is held against the kitchen’s own rule where it has one', () => {
    const own = coolingRuleOf({ cooling: { fromC: 60, firstC: 20, firstMin: 60, secondC: 4, secondMin: 200 } });
    expect(
      coolingSays(
        [
          [0, 60],
          [61, 20],
          [150, 4],
        ],
        own,
        300,
        true,
      ).state,
    ).toBe('out');
    expect(
      coolingSays(
        [
          [0, 60],
          [60, 20],
          [200, 4],
        ],
        own,
        300,
        true,
      ).state,
    ).toBe('in');
  });
});

describe('an egg’s log', () => {
  const heat = { use: 'egg', egg: 'yolk', richInSugar: false, rule: 'table' } as const;
  it('reaches at 71 °C, does not at 60 °C for a minute, and says so only when the step is behind', () => {
    expect(
      eggSays(
        [
          [0, 20],
          [6, 71],
        ],
        heat,
        true,
      ),
    ).toMatchObject({ state: 'in', says: expect.stringContaining('71') as string });
    expect(
      eggSays(
        [
          [0, 20],
          [6, 60],
          [7, 60],
        ],
        heat,
        true,
      ).state,
    ).toBe('out');
    expect(
      eggSays(
        [
          [0, 20],
          [6, 60],
          [7, 60],
        ],
        heat,
        false,
      ).state,
    ).toBe('open');
    expect(eggSays([], heat, true).state).toBe('missing');
  });
});

describe('a day of the book', () => {
  it('has the heat of the batches that were begun on it, each step by its own readings', () => {
    const made = batch({
      samples: [
        ...series('cook', at(9), [
          [0, 20],
          [6, 72],
        ]),
        ...series('cool', at(9, 30), [
          [0, 57],
          [100, 21],
          [300, 5],
        ]),
      ],
    });
    expect(row(facts({ batches: [made], now: at(20) }), 'heat b1 cook')).toMatchObject({
      section: 'eggs',
      state: 'in',
      about: 'Custard pots: Custard',
      batchId: 'b1',
    });
    expect(row(facts({ batches: [made], now: at(20) }), 'heat b1 cool')).toMatchObject({ section: 'cooling', state: 'in' });
    expect(bookDay(facts({ batches: [{ ...made, startedAt: at(9, 0, 27) * MS }] })).rows.filter((r) => r.key.startsWith('heat'))).toEqual([]);
    const running = batch({ running: true, endedAt: null, done: ['cook'] });
    expect(row(facts({ batches: [running] }), 'heat b1 cook').state).toBe('missing');
    expect(row(facts({ batches: [running] }), 'heat b1 cool').state).toBe('open');
  });
  it('has what was made, by when it is eaten, and misses what became of it once that is past', () => {
    const f = facts({ batches: [batch()] });
    expect(row(f, 'ended b1')).toMatchObject({ state: 'open', says: 'made 11:00', asks: 'eat by Mon 30.11. 11:00' });
    expect(row({ ...f, now: at(11, 1, 30) }, 'ended b1').state).toBe('missing');
    expect(row({ ...f, now: at(11, 1, 30), entries: [entry({ kind: 'ended', batchId: 'b1', how: 'thrown away' })] }, 'ended b1')).toMatchObject({
      state: 'told',
      says: 'made 11:00, thrown away',
    });
    expect(row(facts({ batches: [batch({ discarded: true, eatBy: null })] }), 'ended b1')).toMatchObject({
      state: 'told',
      says: 'made 11:00, thrown away',
      asks: '',
    });
    expect(bookDay(facts({ batches: [batch({ endedAt: null, running: true })] })).rows.some((r) => r.section === 'hold')).toBe(false);
  });
  it('has the lots: from the packs, from what was written, missing once it is made', () => {
    const drawn = batch({ lots: [{ ingredientId: 'cream-36', name: 'Cream 36 %', packs: [{ lot: 'L 3291', bestBefore: '2026-12-04' }] }] });
    expect(row(facts({ batches: [batch()] }), 'lot b1 cream-36').state).toBe('missing');
    expect(row(facts({ batches: [batch({ running: true, endedAt: null })] }), 'lot b1 cream-36').state).toBe('open');
    expect(row(facts({ batches: [drawn] }), 'lot b1 cream-36')).toMatchObject({ state: 'told', says: 'L 3291, best before Fri 4 Dec 2026', written: null });
    const written = entry({ kind: 'lot', batchId: 'b1', ingredientId: 'cream-36', lot: 'K 9', bestBefore: null }, { day: '2026-11-29' });
    expect(row(facts({ batches: [drawn], entries: [written] }), 'lot b1 cream-36')).toMatchObject({ state: 'told', says: 'K 9' });
  });
  it('has what was served with what it declares, and says where that is not known', () => {
    const serving = {
      id: 's1',
      service: 'Harbour dinner',
      at: at(19, 30),
      dessert: 'Syllabub',
      portions: 12,
      declares: ['Contains milk', 'Alcohol 6 g a portion'],
    };
    expect(row(facts({ servings: [serving] }), 'serving s1')).toMatchObject({
      state: 'told',
      about: '19:30 Syllabub, 12',
      says: 'Contains milk. Alcohol 6 g a portion',
      asks: 'Harbour dinner',
    });
    expect(row(facts({ servings: [{ ...serving, declares: null }] }), 'serving s1').state).toBe('missing');
  });
  it('has the kitchen’s own jobs, missing once the day is over; one that it no longer asks for stays where it was ticked', () => {
    const ticked = entry({ kind: 'cleaned', job: 'Shelves wiped' });
    const old = entry({ kind: 'cleaned', job: 'Old job' });
    const of = (now: number) =>
      bookDay(facts({ now, entries: [ticked, old] }))
        .rows.filter((r) => r.section === 'cleaning')
        .map((r) => [r.about, r.state]);
    expect(of(at(16))).toEqual([
      ['Whisk scalded', 'open'],
      ['Shelves wiped', 'told'],
      ['Old job', 'told'],
    ]);
    expect(of(at(24))[0]).toEqual(['Whisk scalded', 'missing']);
  });
  it('counts how its rows stand, every one once', () => {
    const page = bookDay(facts({ entries: [entry(place(9)), entry(place(4, 'evening'))], batches: [batch()] }));
    expect(page.counts).toEqual({ in: 1, out: 1, missing: 5, open: 5, told: 0 });
    expect(Object.values(page.counts).reduce((a, b) => a + b, 0)).toBe(page.rows.length);
  });
  it('is signed; what is written after it is told apart, and signing again stands in for the first', () => {
    const before = entry(place(4));
    const signed = entry({ kind: 'signed' });
    const after = entry(place(6, 'evening'));
    const page = bookDay(facts({ entries: [before, signed, after] }));
    expect(page.signed?.entry).toEqual(signed);
    expect(page.rows.filter((r) => r.afterSigning).map((r) => r.key)).toEqual(['place tall-fridge evening']);
    const again = entry({ kind: 'signed' }, { corrects: signed.id });
    const then = bookDay(facts({ entries: [before, signed, after, again] }));
    expect(then.signed).toEqual({ entry: again, before: [signed] });
    expect(then.rows.some((r) => r.afterSigning)).toBe(false);
  });
  it('has remarks as they were written, with what they corrected', () => {
    const first = entry({ kind: 'remark', words: 'delivery warm' });
    const second = entry({ kind: 'remark', words: 'delivery at 9 °C, sent back' }, { corrects: first.id });
    const rows = bookDay(facts({ entries: [first, second] })).rows.filter((r) => r.section === 'remarks');
    expect(rows.map((r) => [r.says, r.written?.before.map((e) => entrySays(e.says))])).toEqual([['delivery at 9 °C, sent back', ['delivery warm']]]);
  });
  it('says who wrote it by the kitchen’s clock, with the day where that is another', () => {
    expect(writtenBy(entry(place(4), { at: at(6, 12) * MS }), ZONE)).toBe('Early cook, 06:12');
    expect(writtenBy(entry(place(4), { at: at(6, 12, 29) * MS }), ZONE)).toBe('Early cook, Sun 29.11. 06:12');
  });
});

describe('the book as a table', () => {
  it('has a row for everything, the missing too, what was corrected behind it, and whether it is signed', () => {
    const first = entry(place(9));
    const second = entry(place(4), { corrects: first.id, by: '=cmd()' });
    const gone = entry(place(3, 'evening'));
    const back = entry({ kind: 'taken back' }, { corrects: gone.id });
    const page = bookDay(facts({ entries: [first, second, gone, back], batches: [batch()] }));
    const read = Papa.parse<Record<string, string>>(bookCsv([page]), { header: true });
    expect(read.errors).toEqual([]);
    expect(read.data).toHaveLength(page.rows.length + 2);
    const mine = read.data.find((r) => r.about === 'Tall fridge, morning')!;
    expect(mine).toMatchObject({
      day: DAY,
      says: '4\u00a0°C',
      state: 'in',
      written_by: "'=cmd()",
      before_it: expect.stringContaining('9\u00a0°C (Early cook 2026-11-28T') as string,
    });
    expect(read.data.at(-1)).toMatchObject({ section: 'Signed', state: 'missing' });
    expect(read.data.at(-2)).toMatchObject({ section: 'Taken back', before_it: expect.stringContaining('3\u00a0°C') as string });
  });
});

describe('lots', () => {
  const used = (id: string, lot: string, startedAt: number) => ({
    id,
    name: `Dessert ${id}`,
    startedAt,
    lots: [{ ingredientId: 'cream-36', name: 'Cream 36 %', packs: [{ lot, bestBefore: '2026-12-04' }] }],
  });
  it('lead to every dessert that had them, newest first, and what was written stands for what was drawn', () => {
    const batches = [used('b1', 'L 3291', 1), used('b2', 'L 3291', 2), used('b3', 'L 40', 3)];
    const hand = entry({ kind: 'lot', batchId: 'b2', ingredientId: 'cream-36', lot: 'L 40', bestBefore: '2026-12-04' });
    expect(traceLots(batches, []).map((t) => [t.lot, t.desserts.map((d) => d.batchId)])).toEqual([
      ['L 40', ['b3']],
      ['L 3291', ['b2', 'b1']],
    ]);
    expect(traceLots(batches, [hand]).map((t) => [t.lot, t.desserts.map((d) => [d.batchId, d.by])])).toEqual([
      [
        'L 40',
        [
          ['b3', null],
          ['b2', 'Early cook'],
        ],
      ],
      ['L 3291', [['b1', null]]],
    ]);
  });
  it('are found however they are spaced, and by a part of them', () => {
    const batches = [used('b1', 'L 3291', 1), used('b2', 'l-3291', 2)];
    expect(traceLots(batches, [], 'L3291')).toHaveLength(1);
    expect(traceLots(batches, [], '29').flatMap((t) => t.desserts.map((d) => d.batchId))).toEqual(['b2', 'b1']);
    expect(traceLots(batches, [], '77')).toEqual([]);
  });
  it('written without their day are of the only delivery that has them, and stand alone where there are two', () => {
    const bare = { ...used('b2', 'L 3291', 2), lots: [{ ingredientId: 'cream-36', name: 'Cream 36 %', packs: [{ lot: 'l3291', bestBefore: null }] }] };
    expect(traceLots([used('b1', 'L 3291', 1), bare], []).map((t) => [t.bestBefore, t.desserts.map((d) => d.batchId)])).toEqual([['2026-12-04', ['b2', 'b1']]]);
    const second = {
      ...used('b3', 'L 3291', 3),
      lots: [{ ingredientId: 'cream-36', name: 'Cream 36 %', packs: [{ lot: 'L 3291', bestBefore: '2026-12-09' }] }],
    };
    expect(traceLots([used('b1', 'L 3291', 1), bare, second], []).map((t) => t.desserts.map((d) => d.batchId))).toEqual([['b3'], ['b2'], ['b1']]);
    expect(traceLots([bare], [])).toHaveLength(1);
  });
  it('of another best-before day are another delivery', () => {
    const other = {
      ...used('b2', 'L 3291', 2),
      lots: [{ ingredientId: 'cream-36', name: 'Cream 36 %', packs: [{ lot: 'L 3291', bestBefore: '2026-12-09' }] }],
    };
    expect(traceLots([used('b1', 'L 3291', 1), other], [])).toHaveLength(2);
  });
});
