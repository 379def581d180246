import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet } from '../../testing/sample';
import { foldStrokes, keptAfter } from '../foam/fold-strokes';
import { analyseSheet } from './analyse';
import { foldPlansOf } from './fold-plan';
import { fitBowlfuls } from './fit-bowlfuls';

const mousse = partsSheet([
  ['base', 'chocolate-base', 'Base', ['220 g dark chocolate 70 %', '150 g cream 36 %']],
  ['whites', 'egg-foam', 'Whites', ['4 whites', '60 g caster sugar']],
  ['cream', 'whipped-cream', 'Cream', ['240 g cream 36 %']],
  ['mousse', 'set-filling', 'Mousse', ['all the base', 'all the whites', 'all the cream']],
]);

describe('how a fold goes', () => {
  const [plan] = foldPlansOf(analyseSheet(mousse, KITCHEN));
  it('names each foam with its mass, its first portion, its temperature and its clock', () => {
    expect(plan!.folds.map((f) => f.name)).toEqual(['Whites', 'Cream']);
    const [whites, cream] = plan!.folds;
    expect(cream!.massG).toBeCloseTo(240, 6);
    expect(whites!.firstG).toBeCloseTo(whites!.massG / 3, 6);
    expect(cream!.firstG).toBe(0);
    expect(whites!.useWithinMin).toBe(5);
    expect(cream!.tC).toBe(5);
    expect(plan!.meeting!.kind).toBe('fold');
  });
  it('the best order keeps at least as much, and the airiest comes last', () => {
    expect(plan!.best.keptPct).toBeGreaterThan(plan!.keptPct);
    expect(plan!.best.names).toEqual(['Cream', 'Whites']);
    const account = plan!.folds.at(-1)!;
    expect(plan!.keptPct).toBeCloseTo((100 * account.airMl) / plan!.folds.reduce((sum, f) => sum + f.broughtMl, 0), 6);
  });
  it('a sheet without folds has no plan', () => {
    expect(foldPlansOf(analyseSheet(partsSheet([['c', 'whipped-cream', 'Cream', ['300 g cream 36 %']]]), KITCHEN))).toEqual([]);
  });
  it('strokes: more for more, nothing kept from more strokes than from fewer, the fold’s own share at its own strokes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 100_000, noNaN: true }),
        fc.double({ min: 0.5, max: 0.99, noNaN: true }),
        fc.integer({ min: 0, max: 200 }),
        (ml, keeps, n) => {
          const [a, b] = [foldStrokes(ml), foldStrokes(ml * 2)];
          if (!a.ok || !b.ok) throw new Error('no strokes');
          expect(b.value).toBeGreaterThan(a.value);
          expect(keptAfter(a.value, a.value, keeps)).toBeCloseTo(keeps, 9);
          expect(keptAfter(n + 1, a.value, keeps)).toBeLessThan(keptAfter(n, a.value, keeps));
        },
      ),
    );
    expect(keptAfter(0, 30, 0.93)).toBe(1);
    for (const bad of [0, -5, NaN, 1e9]) expect(foldStrokes(bad).ok).toBe(false);
  });
});

describe('bowlfuls that fit', () => {
  it('a larger batch is split until nothing climbs out; what fits is left', () => {
    const small = partsSheet([['c', 'whipped-cream', 'Cream', ['600 g cream 36 %']]]);
    expect(fitBowlfuls(small, KITCHEN)).toEqual(small);
    const large = partsSheet([
      ['c', 'whipped-cream', 'Cream', ['4 kg cream 36 %']],
      ['w', 'egg-foam', 'Whites', ['40 whites']],
    ]);
    const split = fitBowlfuls(large, KITCHEN);
    expect(split.parts.map((p) => p.whisk.batches).every((n) => n > 1)).toBe(true);
    expect(fitBowlfuls(split, KITCHEN)).toEqual(split);
  });
});

describe('folds are told apart by their line', () => {
  const weights = (parts: Parameters<typeof partsSheet>[0]): number[] =>
    foldPlansOf(analyseSheet(partsSheet(parts), KITCHEN)).flatMap((p) => p.folds.map((f) => Math.round(f.massG)));
  it('a quarter of the cream and the rest of it: 100 g and 300 g', () => {
    expect(
      weights([
        ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
        ['f', 'set-filling', 'Filling', ['300 g mascarpone', '1/4 of the Cream', 'the rest of the Cream']],
      ]),
    ).toEqual([100, 300]);
  });
  it('two parts of one name keep their own weights', () => {
    expect(
      weights([
        ['a', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
        ['b', 'whipped-cream', 'Cream 2', ['200 g cream 36 %']],
        ['f', 'set-filling', 'Filling', ['300 g mascarpone', 'all of the Cream', 'all of the Cream 2']],
      ]),
    ).toEqual([400, 200]);
  });
});

describe('a part taken by the cup', () => {
  it('weighs what a cup of its foam weighs: half of its mix for whipped cream', () => {
    const s = analyseSheet(
      partsSheet([
        ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
        ['t', 'crown', 'Top', ['1 cup of the Cream']],
        ['f', 'set-filling', 'Filling', ['300 g mascarpone', 'the rest of the Cream']],
      ]),
      KITCHEN,
    );
    const grams = (id: string): number => s.parts.find((p) => p.part.id === id)!.reading.fedG;
    expect(grams('t')).toBeCloseTo(236.588 * 0.5, 2);
    expect(grams('f')).toBeCloseTo(400 - 236.588 * 0.5, 2);
  });
  it('more cups than there is foam is said', () => {
    const s = analyseSheet(
      partsSheet([
        ['c', 'whipped-cream', 'Cream', ['100 g cream 36 %']],
        ['t', 'crown', 'Top', ['1 cup of the Cream']],
      ]),
      KITCHEN,
    );
    expect(s.parts[1]!.reading.lines[0]!.fault?.code).toBe('more-than-there-is');
  });
});
