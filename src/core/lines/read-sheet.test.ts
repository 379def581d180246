import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, partsSheet } from '../../testing/sample';
import type { Sheet } from '../document/schema';
import { readSheet, usedUpParts, type SheetReading } from './read-sheet';
import { bowlFatPct, boughtG, creamKindOf } from './read-part';

const read = (sheet: Sheet): SheetReading => readSheet(sheet, KITCHEN.larder, CONTEXT.measures);
const massOf = (r: SheetReading, id: string): number => r.parts.get(id)!.mixture.massG;
const faults = (r: SheetReading): readonly (readonly [string, string])[] =>
  [...r.parts].flatMap(([id, p]) => p.lines.flatMap((l) => (l.fault ? [[id, l.fault.code] as const] : [])));
/** 600 g of cream, of which others take as these lines say. */
const cream = (...takers: readonly (readonly string[])[]): Sheet =>
  partsSheet([
    ['cream', 'whipped-cream', 'Chantilly', ['500 g cream 36 %', '100 g icing sugar']],
    ...takers.map((lines, i) => [`t${i}`, 'set-filling', `Filling ${i + 1}`, lines] as const),
  ]);

describe('parts that take from each other', () => {
  it('take shares, grams and what is left, and mass is counted once', () => {
    const r = read(cream(['300 g mascarpone', '1/4 of the Chantilly'], ['150 g Chantilly'], ['the rest of the Chantilly']));
    expect(faults(r)).toEqual([]);
    expect(massOf(r, 't0')).toBeCloseTo(450, 6);
    expect(massOf(r, 't1')).toBeCloseTo(150, 6);
    expect(massOf(r, 't2')).toBeCloseTo(300, 6);
    expect(r.givenG.get('cream')).toBeCloseTo(600, 6);
    // A quarter of its fat goes along: 36 % of 500 g.
    expect(r.parts.get('t1')!.mixture.grams.milk_fat).toBeCloseTo(45, 6);
  });
  it('two that take the rest share it; none is left where all was taken', () => {
    const two = read(cream(['200 g Chantilly'], ['the rest of the Chantilly'], ['the rest of the Chantilly']));
    expect([massOf(two, 't1'), massOf(two, 't2')].map(Math.round)).toEqual([200, 200]);
    const none = read(cream(['all of the Chantilly'], ['the rest of the Chantilly']));
    expect(massOf(none, 't1')).toBe(0);
  });
  it('no more than there is, by one line; nothing of nothing', () => {
    expect(faults(read(cream(['601 g Chantilly'])))).toEqual([['t0', 'more-than-there-is']]);
    expect(faults(read(cream(['600 g Chantilly'])))).toEqual([]);
    expect(
      faults(
        read(
          partsSheet([
            ['cream', 'whipped-cream', 'Chantilly', []],
            ['t0', 'set-filling', 'Filling', ['half of the Chantilly']],
          ]),
        ),
      ),
    ).toEqual([['t0', 'nothing-there']]);
  });
  it('a circle is broken where it closes, and what is not of it is read', () => {
    const sheet = partsSheet([
      ['a', 'custard', 'Custard', ['500 g milk']],
      ['b', 'set-filling', 'Filling', ['200 g mascarpone', 'half of the Custard']],
    ]);
    const circled = {
      ...sheet,
      parts: sheet.parts.map((p) =>
        p.id === 'a'
          ? { ...p, lines: [...p.lines, { ...sheet.parts[1]!.lines[1]!, id: 'a-2', text: 'half of the Filling', fromPartId: 'b', lastGood: null }] }
          : p,
      ),
    };
    const r = read(circled);
    expect(faults(r)).toEqual([['b', 'circular']]);
    expect(massOf(r, 'b')).toBeCloseTo(200, 6);
    expect(massOf(r, 'a')).toBeCloseTo(600, 6);
  });
  it('what is lost is lost before it is given on', () => {
    const r = read(
      partsSheet([
        ['c', 'custard', 'Custard', ['500 g milk', '100 g caster sugar', 'less 10 % left in the pan']],
        ['f', 'set-filling', 'Filling', ['half of the Custard']],
      ]),
    );
    expect(massOf(r, 'c')).toBeCloseTo(540, 6);
    expect(massOf(r, 'f')).toBeCloseTo(270, 6);
    expect(r.parts.get('f')!.mixture.grams.sucrose).toBeCloseTo(45, 1);
  });
  it('whatever is taken by shares, what is given is never more than what there is', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 1, maxLength: 4 }), (shares) => {
        const r = read(cream(...shares.map((s) => [`${s} % Chantilly`]), ['the rest of the Chantilly']));
        const taken = shares.reduce((a, b) => a + b, 0) / 100;
        expect(r.givenG.get('cream')! / massOf(r, 'cream')).toBeCloseTo(Math.max(1, taken), 6);
      }),
      { numRuns: 40 },
    );
  });
});

describe('what others have used up, by the text alone', () => {
  const used = (...lines: readonly string[]): boolean => usedUpParts(cream(...lines.map((l) => [l]))).has('cream');
  it.each([
    [['all of the Chantilly'], true],
    [['half of the Chantilly', 'half of the Chantilly'], true],
    [['1/3 of the Chantilly', '2/3 of the Chantilly'], true],
    [['the rest of the Chantilly'], true],
    [['half of the Chantilly'], false],
    [['1/3 of the Chantilly', '1/2 of the Chantilly'], false],
    [['600 g Chantilly'], false],
  ])('%j: %s', (lines, is) => expect(used(...lines)).toBe(is));
});

describe('a part read', () => {
  it('its fat counts without the sugar that is added', () => {
    const fat = (...lines: string[]): number | null => bowlFatPct(read(partsSheet([['c', 'whipped-cream', 'C', lines]])).parts.get('c')!);
    expect(fat('500 g cream 36 %', '100 g caster sugar')).toBeCloseTo(36, 1);
    // The starch of icing sugar is no sugar: 180 g of 500 g and some 3 g.
    expect(fat('500 g cream 36 %', '100 g icing sugar')).toBeCloseTo((100 * 180) / 503.2, 1);
    expect(bowlFatPct(read(partsSheet([['c', 'whipped-cream', 'C', []]])).parts.get('c')!)).toBeNull();
  });
  it('what is bought is more by peel and stones', () => {
    const mango = [...KITCHEN.larder.values()].find((i) => i.ediblePct < 100)!;
    expect(boughtG(100, mango)).toBeCloseTo(10_000 / mango.ediblePct, 9);
    expect(boughtG(100, { ...mango, ediblePct: 0 })).toBe(100);
  });
  it.each([
    ['500 g UHT cream 35 %', 'long-life'],
    ['500 g long-life cream', 'long-life'],
    ['500 g stabilised UHT cream', 'stabilised'],
    ['500 g cream with emulsifier', 'stabilised'],
    ['500 g cream 36 %', null],
    ['500 g vegan cream', null],
  ])('%s is %s', (text, kind) => expect(creamKindOf(KITCHEN.larder.get('cream-36')!, text)).toBe(kind));
  it('of plants only where there is no milk fat', () => {
    const cream36 = KITCHEN.larder.get('cream-36')!;
    expect(creamKindOf({ ...cream36, composition: { ...cream36.composition, milk_fat: 0 } }, '500 g vegan cream')).toBe('plant');
  });
});
