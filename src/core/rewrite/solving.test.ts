import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { solveBalance } from '../balance/solve';
import { analyseSheet } from '../analysis/analyse';
import { changesOf, goalChoices, sheetProblem, startsLocked, type SheetGoal } from './balance';
import { setLineText } from '../editing/edits';
import { cutLayers } from '../tin/cut-layers';
import type { Sheet } from '../document/schema';
import { leverRange, pulled, sweep, sweptFiguresOf } from './sweep';
import { drinkSwaps, withoutAlcohol } from './without-alcohol';

const of = (sheet: Sheet) => analyseSheet(sheet, KITCHEN);
const goal = (sheet: Sheet, key: string, low: number, high: number): SheetGoal => {
  const choice = goalChoices(of(sheet), KITCHEN).find((c) => c.key.startsWith(key));
  if (!choice) throw new Error(`no goal ${key}`);
  return { choice, low, high, weight: 1 };
};
/** The sheet with every change of an answer taken, and the answer. */
function taken(sheet: Sheet, goals: readonly SheetGoal[], keepWeight = true) {
  const s = of(sheet);
  const r = solveBalance(sheetProblem(s, KITCHEN, goals, new Map(), keepWeight));
  if (!r.ok) throw new Error(r.fault.says);
  const changes = changesOf(s, r.value.amountsG, 0.1);
  return { answer: r.value, changes, sheet: changes.reduce((at, c) => setLineText(at, c.partId, c.lineId, c.after, CONTEXT), sheet) };
}

describe('solving a sheet', () => {
  it('lands where the tells read it: fat, sweetness and gelatin of one cream', () => {
    const sheet = sheetOf(['600 g double cream 48 %', '150 g milk', '40 g caster sugar', '3 g powdered gelatin', '1 tsp vanilla extract'], {}, { use: 'pipe' });
    const t = taken(sheet, [goal(sheet, 'fat', 35, 37), goal(sheet, 'sweetness', 9, 11), goal(sheet, 'gelatin', 5, 7)]);
    const a = of(t.sheet).parts[0]!;
    expect(a.fatPct).toBeCloseTo(36, 0);
    expect(a.sweetness).toBeCloseTo(10, 0);
    expect(a.gelatin.ok && a.gelatin.value.doseGPerKg).toBeCloseTo(6, 0);
    expect(t.changes.some((c) => c.name.includes('vanilla'))).toBe(false);
    expect(of(t.sheet).mixture.massG).toBeCloseTo(of(sheet).mixture.massG, -1);
  });
  it('counts a part in what takes from it, and a loss as lost', () => {
    const sheet = partsSheet([
      ['fruit', 'fruit-base', 'Fruit', ['400 g plums', '70 g caster sugar', 'less 90 g boils off']],
      ['cream', 'whipped-cream', 'Cream', ['300 g cream 36 %']],
      ['mousse', 'set-filling', 'Mousse', ['half of the fruit', 'all the cream']],
    ]);
    const s = of(sheet);
    const r = solveBalance(sheetProblem(s, KITCHEN, [goal(sheet, 'sweetness', 12, 14), goal(sheet, 'solids', 40, 44)], new Map(), false));
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.goals[0]!.before).toBeCloseTo(s.sweetness, 6);
  });
  it('whole eggs stay whole in the text', () => {
    const sheet = partsSheet([['y', 'egg-foam', 'Yolks', ['6 yolks', '80 g caster sugar']]]);
    const t = taken(sheet, [goal(sheet, 'sweetness', 30, 32)], false);
    const eggs = of(t.sheet).parts[0]!.reading.lines[0]!.read!;
    expect(Number.isInteger(eggs.quantity)).toBe(true);
  });
  it('flavours, salt and acid start locked', () => {
    const lines = of(sheetOf(['500 g cream 36 %', 'a pinch of salt', '1 tsp vanilla extract'])).parts[0]!.reading.lines;
    expect(lines.map(startsLocked)).toEqual([false, true, true]);
  });
  it('says nothing of an empty sheet', () => expect(goalChoices(of(sheetOf([])), KITCHEN)).toEqual([]));
});

describe('what if', () => {
  const sheet = sheetOf(['600 g cream 36 %', '60 g caster sugar', '5 g powdered gelatin'], {}, { use: 'pipe' });
  it('is the sheet analysed anew at each point', () => {
    const r = sweep(sheet, KITCHEN, { kind: 'line', lineId: 'l2' }, 0, 120, 5, 'sweetness');
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.map((p) => p.x)).toEqual([0, 30, 60, 90, 120]);
    expect(r.value[2]!.y).toBeCloseTo(of(sheet).sweetness, 9);
    for (let i = 1; i < 5; i++) expect(r.value[i]!.y!).toBeGreaterThan(r.value[i - 1]!.y!);
  });
  it('more gelatin never holds shorter, warmer never longer', () => {
    const hold = sweep(sheet, KITCHEN, { kind: 'line', lineId: 'l3' }, 0, 10, 21, 'counter');
    const fridge = sweep(sheet, KITCHEN, { kind: 'fridge' }, 1, 9, 17, 'hold');
    if (!hold.ok || !fridge.ok) throw new Error('no sweep');
    for (let i = 1; i < 21; i++) expect(hold.value[i]!.y!).toBeGreaterThanOrEqual(hold.value[i - 1]!.y! - 1e-9);
    for (let i = 1; i < 17; i++) expect(fridge.value[i]!.y!).toBeLessThanOrEqual(fridge.value[i - 1]!.y! + 1e-9);
  });
  it('has no figure where the model ends, and says wrong ranges', () => {
    const r = sweep(sheet, KITCHEN, { kind: 'carton-fat', lineId: 'l1' }, 10, 60, 11, 'air');
    expect(r.ok && r.value[0]!.y).toBeNull();
    expect(r.ok && r.value[5]!.y).toBeGreaterThan(50);
    expect(sweep(sheet, KITCHEN, { kind: 'room' }, 30, 10, 10, 'counter').ok).toBe(false);
    expect(sweep(sheet, KITCHEN, { kind: 'room' }, 10, 30, 1, 'counter').ok).toBe(false);
    expect(sweep(sheet, KITCHEN, { kind: 'room' }, 10, 30, 10, 'taste').ok).toBe(false);
  });
  it('every lever has a range around where it stands, and every figure shown has a value', () => {
    const s = of(sheet);
    for (const lever of [
      { kind: 'line', lineId: 'l1' },
      { kind: 'carton-fat', lineId: 'l1' },
      { kind: 'cream-temperature' },
      { kind: 'served-after' },
      { kind: 'fridge' },
      { kind: 'room' },
    ] as const) {
      const range = leverRange(s, KITCHEN, lever)!;
      expect(range.from).toBeLessThanOrEqual(range.now);
      expect(range.to).toBeGreaterThan(range.now);
      const at = pulled(sheet, KITCHEN, lever, range.now);
      for (const f of sweptFiguresOf(s, KITCHEN)) expect(f.of(analyseSheet(at.sheet, at.kitchen), at.kitchen)).toBeCloseTo(f.of(s, KITCHEN)!, 6);
    }
    expect(leverRange(s, KITCHEN, { kind: 'line', lineId: 'none' })).toBeNull();
  });
});

describe('the version without alcohol', () => {
  const sheet = sheetOf(['500 g cream 36 %', '40 g caster sugar', '60 g orange liqueur', '1 tsp vanilla extract']);
  it('keeps water and sweetness and leaves the vanilla', () => {
    let n = 0;
    const before = of(sheet);
    const after = of(withoutAlcohol(before, KITCHEN, () => `new-${n++}`));
    expect(drinkSwaps(before)).toHaveLength(1);
    const sweet = (s: typeof before) => (s.sweetness * s.mixture.massG) / 100;
    expect(sweet(after)).toBeCloseTo(sweet(before), 0);
    expect(Math.abs(after.mixture.grams.water - before.mixture.grams.water)).toBeLessThan(0.6);
    expect(after.abvPct).toBeLessThan(0.4);
    expect(after.parts[0]!.reading.lines.every((l) => l.fault === null)).toBe(true);
  });
});

describe('the cut of a syllabub', () => {
  it('shows the clear drink under the curd, as much as will have sunk, and the same volume in all', () => {
    const parted = sheetOf(
      ['400 g double cream 48 %', '250 g perry', '80 g caster sugar'],
      { stage: 'soft' },
      { family: 'syllabub', ways: { syllabub: 'parted' }, vessel: { kind: 'glass', name: 'Glass', topMm: 74, baseMm: 46, heightMm: 95 }, portions: 6 },
    );
    const [drink, curd] = cutLayers(of(parted));
    expect(drink).toMatchObject({ name: 'Clear drink', airShare: 0 });
    expect(curd!.fromMm).toBeCloseTo(drink!.toMm, 9);
    const later = cutLayers(of({ ...parted, servedAfterH: 30 }))[0]!;
    expect(later.massG).toBeGreaterThan(drink!.massG);
    const s = of(parted);
    expect(s.volumeMl.ok && s.volumeMl.value).toBeCloseTo(6 * (drink!.volumeMl + curd!.volumeMl), 6);
    const whole = cutLayers(of({ ...parted, parts: parted.parts.map((p) => ({ ...p, lines: p.lines.slice(0, 1) })) }));
    expect(whole).toHaveLength(1);
  });
});
