import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, partsSheet } from '../../testing/sample';
import { COMPONENTS } from '../composition/components';
import { analyseSheet } from './analyse';
import { addPart, movePart, removePart, setLineText, setPart } from '../editing/edits';
import { cutLayers } from '../tin/cut-layers';
import { readSheetDoc, SheetSchema, type Sheet } from '../document/schema';
import { startingPart } from '../editing/starting';

const divided = partsSheet([
  ['cream', 'whipped-cream', 'Whipped cream', ['400 g cream 36 %', '30 g icing sugar']],
  ['custard', 'custard', 'Custard', ['400 g milk', '4 yolks', '60 g caster sugar']],
  ['filling', 'set-filling', 'Filling', ['all the custard', 'half of the whipped cream']],
]);
const part = (s: Sheet, id: string) => analyseSheet(s, KITCHEN).parts.find((p) => p.part.id === id)!;
const faultOf = (s: Sheet, lineId: string) =>
  analyseSheet(s, KITCHEN)
    .parts.flatMap((a) => a.reading.lines)
    .find((l) => l.line.id === lineId)?.fault?.says ?? null;

describe('a part that feeds another', () => {
  it('is counted once: nothing is made and nothing is lost', () => {
    const s = analyseSheet(divided, KITCHEN);
    expect(s.mixture.massG).toBeCloseTo(430 + 400 + 68 + 60, 6);
    expect(part(divided, 'filling').reading.mixture.massG).toBeCloseTo(528 + 215, 6);
    expect(part(divided, 'cream').leftG).toBeCloseTo(215, 6);
    expect(part(divided, 'custard').leftG).toBeCloseTo(0, 6);
  });
  it('conserves every component whatever the shares', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 50, max: 900 }), (pct, grams) => {
        const alone = partsSheet([['a', 'whipped-cream', 'Cream one', [`${grams} g cream 36 %`, '20 g honey']]]);
        const fed = partsSheet([
          ['a', 'whipped-cream', 'Cream one', [`${grams} g cream 36 %`, '20 g honey']],
          ['b', 'set-filling', 'Taker', [`${pct} % of the cream one`]],
        ]);
        const x = analyseSheet(alone, KITCHEN).mixture;
        const y = analyseSheet(fed, KITCHEN).mixture;
        for (const c of COMPONENTS) expect(y.grams[c]).toBeCloseTo(x.grams[c], 8);
      }),
    );
  });
  it('gives the rest to whoever asks for it', () => {
    const s = partsSheet([
      ['a', 'whipped-cream', 'Cream one', ['400 g cream 36 %']],
      ['b', 'set-filling', 'First', ['100 g cream one']],
      ['c', 'set-filling', 'Second', ['the rest of the cream one']],
    ]);
    expect(part(s, 'c').reading.mixture.massG).toBeCloseTo(300, 6);
    expect(part(s, 'a').leftG).toBeCloseTo(0, 6);
  });
  it('cannot give more than it has, nor take from what takes from it', () => {
    expect(faultOf(setLineText(divided, 'filling', 'filling-2', '900 g whipped cream', CONTEXT), 'filling-2')).toContain('has only 430');
    expect(faultOf(setLineText(divided, 'filling', 'filling-2', '3/2 of the whipped cream', CONTEXT), 'filling-2')).toContain('at most all');
    expect(faultOf(setLineText(divided, 'filling', 'filling-2', '5 leaves whipped cream', CONTEXT), 'filling-2')).toContain('take a share');
    const circle = setLineText(divided, 'cream', 'cream-2', 'half of the filling', CONTEXT);
    expect(
      analyseSheet(circle, KITCHEN)
        .parts.flatMap((a) => a.reading.lines)
        .map((l) => l.fault?.code),
    ).toContain('circular');
    expect(Number.isFinite(analyseSheet(circle, KITCHEN).mixture.massG)).toBe(true);
  });
  it('brings its gelatin, allergens and raw egg along', () => {
    const s = partsSheet([
      ['a', 'egg-foam', 'Whites', ['3 whites', '2 leaves gelatin']],
      ['b', 'set-filling', 'Taker', ['all the whites']],
    ]);
    const way = (ways: Record<string, string>) => part({ ...s, parts: s.parts.map((p) => (p.id === 'a' ? { ...p, ways } : p)) }, 'b');
    expect(way({}).rawEgg).toBe(true);
    expect(way({}).reading.allergens).toContain('egg');
    expect(way({}).reading.gelatin225G).toBeCloseTo(4 * Math.sqrt(200 / 225), 9);
    expect(way({ eggs: 'steam' }).rawEgg).toBe(true);
    expect(way({ whites: 'swiss-71' }).rawEgg).toBe(false);
  });
  it('keeps its lines’ words when it is renamed, and lets go of them when it is taken out', () => {
    const renamed = setPart(divided, 'cream', { name: 'Chantilly' }, CONTEXT);
    expect(renamed.parts[2]!.lines[1]!.text).toBe('half of the Chantilly');
    expect(part(renamed, 'filling').reading.mixture.massG).toBeCloseTo(743, 6);
    const gone = removePart(divided, 'custard', CONTEXT);
    expect(gone.parts[1]!.lines[0]).toMatchObject({ text: 'all the custard', fromPartId: null });
    expect(faultOf(gone, 'filling-1')).not.toBeNull();
  });
});

describe('a loss', () => {
  const reduced = (line: string) => partsSheet([['a', 'fruit-base', 'Plums', ['400 g plums', '100 g dry white wine', line]]]);
  it('of a share takes a share of everything', () => {
    const s = part(reduced('less 10 % sieved out'), 'a').reading.mixture;
    expect(s.massG).toBeCloseTo(450, 9);
    expect(s.grams.fructose / s.massG).toBeCloseTo(part(reduced(''), 'a').reading.mixture.grams.fructose / 500, 9);
  });
  it('by boiling takes water and ethanol, ethanol faster, and sugar never', () => {
    const before = part(reduced(''), 'a').reading.mixture.grams;
    const after = part(reduced('less 120 g boils off'), 'a').reading.mixture;
    expect(after.massG).toBeCloseTo(380, 6);
    expect(after.grams.fructose).toBeCloseTo(before.fructose, 9);
    const waterLeft = after.grams.water / before.water;
    expect(after.grams.ethanol / before.ethanol).toBeCloseTo(waterLeft ** 5, 6);
    expect(after.grams.ethanol).toBeGreaterThan(0);
  });
  it('never takes more than there is', () => {
    expect(faultOf(reduced('less 900 g boils off'), 'a-3')).toContain('can boil off');
    expect(faultOf(reduced('less 100 % left in the bowl'), 'a-3')).toContain('less than 100');
    fc.assert(
      fc.property(fc.double({ min: 1, max: 440, noNaN: true }), (g) => {
        const { grams } = part(reduced(`less ${g.toFixed(2)} g boils off`), 'a').reading.mixture;
        for (const c of COMPONENTS) expect(grams[c]).toBeGreaterThanOrEqual(-1e-6);
      }),
    );
  });
});

describe('parts', () => {
  it('move with their steps, and the document stays one that its schema takes', () => {
    const moved = movePart(divided, 'custard', 0, CONTEXT);
    expect(moved.parts.map((p) => p.id)).toEqual(['custard', 'cream', 'filling']);
    expect(moved.steps[0]!.partId).toBe('custard');
    expect(SheetSchema.safeParse(moved).success).toBe(true);
    const more = addPart(divided, startingPart('x', 'topping', 'planetary'), CONTEXT);
    expect(SheetSchema.safeParse(more).success).toBe(true);
    expect(removePart(removePart(more, 'x', CONTEXT), 'x', CONTEXT).parts).toHaveLength(3);
  });
  it('lie in the vessel from the floor up without gaps; what is left of a fed one lies on top', () => {
    const layers = cutLayers(analyseSheet(divided, KITCHEN));
    expect(layers.map((l) => l.partId)).toEqual(['filling', 'cream']);
    layers.slice(1).forEach((l, i) => expect(l.fromMm).toBe(layers[i]!.toMm));
    expect(layers[0]!.fromMm).toBe(0);
    expect(layers.reduce((sum, l) => sum + l.massG, 0)).toBeCloseTo(analyseSheet(divided, KITCHEN).mixture.massG, 6);
  });
  it('of a document of a later form are refused in words', () => {
    const later = readSheetDoc({ ...divided, formatVersion: 3 });
    expect(later.ok ? '' : later.fault.says).toContain('form 3');
    for (const odd of [null, [], 7, 'x', {}, { format: 'soft-peak-sheet' }]) expect(readSheetDoc(odd).ok).toBe(false);
  });
});

describe('a sieve', () => {
  const dose = (lines: readonly string[]) => {
    const a = part(partsSheet([['f', 'fruit-base', 'Glaze', lines]]), 'f');
    return { a, dose: a.gelatin.ok ? a.gelatin.value.doseGPerKg : NaN };
  };
  it('takes its share of everything, gelatin and sugar too: the doses stay', () => {
    const lines = ['400 g plums', '70 g caster sugar', '3 leaves gelatin'];
    const [whole, sieved] = [dose(lines), dose([...lines, 'less 20 % sieved out'])];
    expect(sieved.dose).toBeCloseTo(whole.dose, 9);
    expect(sieved.a.sweetness).toBeCloseTo(whole.a.sweetness, 9);
    expect(sieved.a.reading.gelatin225G).toBeCloseTo(0.8 * whole.a.reading.gelatin225G, 9);
    const boiled = dose([...lines, 'less 100 g boils off']);
    expect(boiled.dose).toBeGreaterThan(whole.dose);
  });
});
