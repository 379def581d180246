import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, ingredient, KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import {
  addLine,
  divideLine,
  moveLine,
  moveStep,
  newLine,
  placePart,
  removeLine,
  removeStep,
  setLineAmount,
  setLineIngredient,
  setLinePart,
  setLineText,
  setPartKind,
  setStepPart,
  setStepWork,
} from './edits';
import { scaleTo, scaleToPortions } from '../rewrite/scale';
import { SheetSchema, type Sheet } from '../document/schema';

const lines = (s: Sheet): readonly string[] => s.parts[0]!.lines.map((l) => l.text);
const first = (s: Sheet) => analyseSheet(s, KITCHEN).parts[0]!.reading.lines[0]!;
const sheet = sheetOf(['600 g cream 36 %', '60 g icing sugar', '2 leaves gelatin']);

const onHand = (lineId: string, onHandG: number) => scaleTo(sheet, { kind: 'on-hand', lineId, onHandG }, KITCHEN);

describe('lines', () => {
  it('are added, moved and taken out', () => {
    const more = addLine(sheet, 'cream', newLine('x', '1 tsp vanilla', CONTEXT), CONTEXT, 1);
    expect(lines(more)).toEqual(['600 g cream 36 %', '1 tsp vanilla', '60 g icing sugar', '2 leaves gelatin']);
    expect(lines(moveLine(more, 'cream', 'x', 3)).at(-1)).toBe('1 tsp vanilla');
    expect(lines(moveLine(more, 'cream', 'x', -5))[0]).toBe('1 tsp vanilla');
    expect(moveLine(more, 'cream', 'nobody', 0)).toEqual(more);
    expect(lines(removeLine(more, 'cream', 'x', CONTEXT))).toEqual(lines(sheet));
  });
  it('moving changes no line and loses none', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 }), fc.integer({ min: -3, max: 6 }), (which, to) => {
        const id = sheet.parts[0]!.lines[which]!.id;
        expect([...lines(moveLine(sheet, 'cream', id, to))].sort()).toEqual([...lines(sheet)].sort());
      }),
    );
  });
});

describe('typing', () => {
  it('keeps what was typed and the last good figures while it cannot be read', () => {
    const bad = setLineText(sheet, 'cream', 'l1', '1/0 g cream 36 %', CONTEXT);
    expect(lines(bad)[0]).toBe('1/0 g cream 36 %');
    expect(first(bad)).toMatchObject({ fault: { code: 'divides-by-nothing' }, read: { massG: 600 } });
  });
  it('keeps the last good ingredient when the name is lost', () => {
    const bad = setLineText(sheet, 'cream', 'l1', '600 g flarb', CONTEXT);
    expect(first(bad)).toMatchObject({ fault: { code: 'unknown-ingredient' }, ingredient: { id: 'cream-36' }, read: { massG: 600 } });
    expect(first(setLineText(bad, 'cream', 'l1', '500 g double cream', CONTEXT))).toMatchObject({
      fault: null,
      ingredient: { id: 'cream-48' },
      read: { massG: 500 },
    });
  });
  it('keeps a settled ingredient while only the amount changes', () => {
    const odd = setLineIngredient(setLineText(sheet, 'cream', 'l1', '600 g flarb', CONTEXT), 'cream', 'l1', ingredient('cream-40'), CONTEXT);
    expect(first(odd)).toMatchObject({ fault: null, ingredient: { id: 'cream-40' } });
    expect(first(setLineText(odd, 'cream', 'l1', '650 g flarb', CONTEXT))).toMatchObject({ fault: null, ingredient: { id: 'cream-40' }, read: { massG: 650 } });
  });
  it('sets an amount in any measure, the rest as it was', () => {
    expect(lines(setLineAmount(sheet, 'cream', 'l3', '3 leaves', CONTEXT))[2]).toBe('3 leaves gelatin');
  });
  it('never throws and always leaves a document that its schema takes', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (text) => {
        const after = setLineText(sheet, 'cream', 'l1', text, CONTEXT);
        expect(SheetSchema.safeParse(after).success).toBe(true);
        expect(lines(after)[0]).toBe(text);
        const { mixture } = analyseSheet(after, KITCHEN).parts[0]!.reading;
        expect(Number.isFinite(mixture.massG)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});

describe('scaling', () => {
  const massOf = (s: Sheet): number => analyseSheet(s, KITCHEN).parts[0]!.reading.mixture.massG;
  it('by portions takes every line along', () => {
    const r = scaleToPortions(sheet, 12);
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.portions).toBe(12);
    expect(lines(r.value)).toEqual(['900 g cream 36 %', '90 g icing sugar', '3 leaves gelatin']);
  });
  it('by portions, step by step and back, keeps the mass within a part in a thousand', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 6 }), (stops) => {
        let s: Sheet = sheet;
        for (const n of [...stops, 8]) {
          const r = scaleToPortions(s, n);
          if (r.ok) s = r.value;
        }
        expect(massOf(s) / massOf(sheet)).toBeCloseTo(1, 2.5);
      }),
    );
  });
  it.each([0, -1, 2.5, 2001, NaN])('refuses %s portions', (n) => expect(scaleToPortions(sheet, n).ok).toBe(false));
  it('by what is on hand: 450 g of the cream makes 6 portions, never one too many', () => {
    const r = onHand('l1', 450);
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.sheet.portions).toBe(6);
    expect(lines(r.value.sheet)).toEqual(['450 g cream 36 %', '45 g icing sugar', '1 1/2 leaves gelatin']);
    const less = onHand('l1', 449);
    expect(less.ok && less.value.sheet.portions).toBe(5);
  });
  it('keeps the ratios of the mix', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 20_000, noNaN: true }), (grams) => {
        const r = onHand('l1', grams);
        if (!r.ok) throw new Error(r.fault.says);
        expect(analyseSheet(r.value.sheet, KITCHEN).parts[0]!.fatPct! / analyseSheet(sheet, KITCHEN).parts[0]!.fatPct!).toBeCloseTo(1, 2.5);
      }),
    );
  });
  it('refuses nothing on hand, and a line that cannot be read', () => {
    expect(onHand('l1', 0).ok).toBe(false);
    expect(onHand('nobody', 100).ok).toBe(false);
  });
});

describe('putting a reading right', () => {
  const own = writtenSheet(
    'Fool\nServes 4\n\n300 ml double cream\n100 g mascarpone\n30 g icing sugar\n\nBeat the mascarpone with the sugar. Whip the cream to soft peaks for 3 minutes. Fold together. Spoon into glasses. Chill for 2 hours.',
  );
  const valid = (s: Sheet): Sheet => {
    expect(SheetSchema.safeParse(s).success).toBe(true);
    const ids = new Set(s.steps.map((x) => x.id));
    for (const x of s.steps) for (const a of x.after) expect(ids.has(a)).toBe(true);
    return s;
  };
  const total = (s: Sheet): number =>
    analyseSheet(s, KITCHEN).parts.reduce((g, p) => g + p.reading.lines.reduce((x, l) => x + (l.kind === 'part' ? 0 : (l.read?.massG ?? 0)), 0), 0);

  it('another kind keeps the lines and their words; a school of the old kind goes', () => {
    const cream = own.parts.find((p) => p.kind === 'whipped-cream')!;
    const after = valid(setPartKind(own, cream.id, 'cheese-cream', CONTEXT));
    expect(after.parts.find((p) => p.id === cream.id)).toMatchObject({ kind: 'cheese-cream', lines: cream.lines });
    const foam = partsSheet([['a', 'egg-foam', 'Foam', ['3 egg whites', '150 g sugar']]]);
    const swiss = { ...foam, parts: foam.parts.map((p) => ({ ...p, ways: { whites: 'swiss-71', eggs: 'raw' } })) };
    expect(setPartKind(swiss, 'a', 'meringue', CONTEXT).parts[0]!.ways).toEqual({ whites: 'swiss-71' });
    expect(setPartKind(swiss, 'a', 'whipped-cream', CONTEXT).parts[0]!.ways).toEqual({});
  });
  it('a line into another part keeps its step and its grams', () => {
    const sugar = own.parts.flatMap((p) => p.lines).find((l) => l.text.includes('sugar'))!;
    const cream = own.parts.find((p) => p.kind === 'whipped-cream')!;
    const after = valid(setLinePart(own, sugar.id, cream.id, CONTEXT));
    expect(after.parts.find((p) => p.id === cream.id)!.lines.at(-1)).toEqual(sugar);
    expect(total(after)).toBeCloseTo(total(own), 9);
    expect(setLinePart(own, sugar.id, 'nowhere', CONTEXT)).toBe(own);
    expect(setLinePart(own, 'nobody', cream.id, CONTEXT)).toBe(own);
  });
  it('a divided line is two whose grams are those of the one', () => {
    const cream = own.parts.flatMap((p) => p.lines).find((l) => l.text.startsWith('300 ml'))!;
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), (share) => {
        const after = divideLine(own, cream.id, share, 'more', CONTEXT);
        expect(total(after) / total(own)).toBeCloseTo(1, 2);
        const more = analyseSheet(after, KITCHEN)
          .parts.flatMap((p) => p.reading.lines)
          .find((l) => l.line.id === 'more')!;
        expect(more.read!.massG / 300).toBeCloseTo(share, 2);
      }),
      { numRuns: 40 },
    );
    for (const share of [0, 1, -1, 2, Number.NaN]) expect(divideLine(own, cream.id, share, 'more', CONTEXT)).toBe(own);
  });
  it('another kind of work has its clock, its machine, and its time in the right place', () => {
    const step = own.steps.find((s) => s.work === 'whisk')!;
    const chilled = valid(setStepWork(own, step.id, 'chill')).steps.find((s) => s.id === step.id)!;
    expect(chilled).toMatchObject({ work: 'chill', whisks: false, machine: 'fridge', handsMin: null, waitH: [0.05, 0.05] });
    const back = valid(setStepWork(setStepWork(own, step.id, 'chill'), step.id, 'whisk')).steps.find((s) => s.id === step.id)!;
    expect(back).toMatchObject({ work: 'whisk', whisks: true, machine: 'mixer', waitH: null, handsMin: 3 });
    const wait = own.steps.find((s) => s.work === 'chill')!;
    expect(setStepWork(own, wait.id, 'hands').steps.find((s) => s.id === wait.id)).toMatchObject({ waitH: null, handsMin: 120, machine: null });
    expect(setStepPart(own, wait.id, own.parts[0]!.id).steps.find((s) => s.id === wait.id)).toMatchObject({ partId: own.parts[0]!.id, edited: true });
  });
  it('moved or taken out, no step waits for one that is gone or that follows', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(own.steps.length - 1), fc.nat(own.steps.length - 1), fc.boolean()), { minLength: 1, maxLength: 8 }), (moves) => {
        let s = own;
        for (const [which, to, gone] of moves) {
          const step = s.steps[which % Math.max(1, s.steps.length)];
          if (!step) break;
          s = gone ? removeStep(s, step.id) : moveStep(s, step.id, to);
        }
        const at = new Map(s.steps.map((x, i) => [x.id, i]));
        s.steps.forEach((x, i) => {
          for (const a of x.after) expect(at.get(a) ?? Infinity).toBeLessThan(i);
        });
      }),
      { numRuns: 200 },
    );
  });
  it('a part that goes nowhere is placed by the last step that builds', () => {
    const loose = { ...own, steps: own.steps.map((s) => ({ ...s, parts: [] })) };
    const id = own.parts[0]!.id;
    const after = valid(placePart(loose, id));
    expect(after.steps.filter((s) => s.parts.includes(id)).map((s) => s.work)).toEqual(['fill']);
    expect(placePart(after, id)).toEqual(after);
  });
});
