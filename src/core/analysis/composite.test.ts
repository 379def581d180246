import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient, KITCHEN, sheetOf, partsSheet } from '../../testing/sample';
import { volumeMl as mixMlOf } from '../composition/density';
import { mix } from '../composition/mixture';
import { EGG_FOAM_OVERRUN } from '../foam/house';
import { sheetTells } from '../tells/sheet-tells';
import { tellText } from '../tells/tell';
import { STARTING_VESSELS } from '../vessel/profile';
import { analyseSheet, mainPart } from './analyse';
import { removeStep, setLineStep } from '../editing/edits';
import { shownSteps, waitWords } from '../batch/method';
import type { Sheet } from '../document/schema';

const at = (s: Sheet, id: string) => analyseSheet(s, KITCHEN).parts.find((p) => p.part.id === id)!;
const value = <T>(r: { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: { readonly says: string } }): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const withWays = (s: Sheet, partId: string, ways: Record<string, string>): Sheet => ({
  ...s,
  parts: s.parts.map((p) => (p.id === partId ? { ...p, ways } : p)),
});
const plain = (t: string): string => t.replace(/[\u00a0\u202f]/g, ' ').replaceAll('\u2060', '');
const tells = (s: Sheet) => new Map(sheetTells(analyseSheet(s, KITCHEN), KITCHEN).map((t) => [t.key, plain(tellText(t))]));

describe('egg foams', () => {
  it.each([
    [['4 yolks', '100 g caster sugar'], { eggs: 'raw' }, 'yolks-ribbon'],
    [['4 yolks', '100 g caster sugar', '30 g water'], { eggs: 'syrup' }, 'yolks-hot-syrup'],
    [['3 eggs', '90 g caster sugar'], { eggs: 'steam' }, 'whole-eggs'],
    [['4 whites'], {}, 'whites'],
    [['4 whites', '130 g caster sugar'], { whites: 'french' }, 'french-1-1'],
    [['4 whites', '260 g caster sugar'], { whites: 'french' }, 'french-2-1'],
    [['4 whites', '260 g caster sugar'], { whites: 'swiss-71' }, 'swiss'],
    [['4 whites', '260 g caster sugar', '80 g water'], { whites: 'italian' }, 'italian'],
  ] as const)('%j by %j is %s', (lines, ways, expected) => {
    const s = withWays(partsSheet([['a', 'egg-foam', 'Foam', lines]]), 'a', { ...ways });
    const a = at(s, 'a');
    expect(a.eggFoam).toEqual({ foam: expected, overrunPct: EGG_FOAM_OVERRUN[expected] });
    expect(value(a.foamMl)).toBeCloseTo(a.mixMl * (1 + EGG_FOAM_OVERRUN[expected] / 100), 6);
  });
  it('are none where there is no egg, and a custard is never one', () => {
    expect(at(partsSheet([['a', 'egg-foam', 'Foam', ['100 g caster sugar']]]), 'a').eggFoam).toBeNull();
    expect(at(partsSheet([['a', 'custard', 'Custard', ['4 yolks', '300 g milk']]]), 'a').eggFoam).toBeNull();
  });
});

describe('a composite', () => {
  const mousse = partsSheet(
    [
      ['base', 'chocolate-base', 'Base', ['200 g dark chocolate 70 %', '150 g cream 36 %']],
      ['whites', 'egg-foam', 'Whites', ['4 whites', '60 g caster sugar']],
      ['mousse', 'set-filling', 'Mousse', ['all the base', 'all the whites']],
    ],
    { family: 'mousse' },
  );
  it('has the air that its folds keep: a third at 55 %, then everything at 93 %', () => {
    const whites = at(mousse, 'whites');
    const airMl = (whites.mixMl * value(whites.overrunPct)) / 100;
    // Whites into chocolate: 0.55 of their air arrives.
    const kept = 0.55 * ((airMl / 3) * 0.55 * 0.93 + (airMl * 2 * 0.93) / 3);
    const a = at(mousse, 'mousse');
    expect((value(a.foamMl) - a.mixMl) / kept).toBeCloseTo(1, 6);
  });
  it('keeps more the less is given up, and never more than it was brought', () => {
    const air = (first: string): number => {
      const a = at(withWays(mousse, 'mousse', { 'first-portion': first }), 'mousse');
      return value(a.foamMl) - a.mixMl;
    };
    const whites = at(mousse, 'whites');
    expect(air('quarter')).toBeGreaterThan(air('third'));
    for (const first of ['none', 'quarter', 'third']) expect(air(first)).toBeLessThan((whites.mixMl * value(whites.overrunPct)) / 100);
  });
  it('fills glasses by the portion, and the whole is what its parts brought', () => {
    const s = analyseSheet({ ...mousse, vessel: STARTING_VESSELS.find((v) => v.name === 'Footed glass')!, portions: 5 }, KITCHEN);
    expect(value(s.perVesselMl) * 5).toBeCloseTo(value(s.volumeMl), 6);
    expect(s.layers.map((l) => l.part.id)).toEqual(['mousse']);
    const brought = mix([
      { massG: 200, per100: ingredient('chocolate-dark-70').composition },
      { massG: 132, per100: ingredient('egg-white').composition },
      { massG: 60, per100: ingredient('sugar-caster').composition },
    ]);
    expect(s.mixture.grams.cocoa_fat).toBeCloseTo(brought.grams.cocoa_fat, 6);
    expect(s.mixture.massG).toBeCloseTo(brought.massG + 150, 6);
  });
  it('with biscuits takes the room that their sizes take', () => {
    const s = analyseSheet(partsSheet([['a', 'biscuit-layer', 'Fingers', ['10 ladyfingers']]]), KITCHEN);
    const b = ingredient('ladyfinger').biscuit!;
    expect(value(s.volumeMl)).toBeCloseTo((10 * b.widthMm * b.lengthMm * b.heightMm) / 1000, 6);
  });
  it('without air has the volume of its mix, by the densities of its components', () => {
    const s = partsSheet([['a', 'custard', 'Custard', ['300 g milk', '4 yolks', '60 g caster sugar']]]);
    const a = at(s, 'a');
    expect(value(a.foamMl)).toBeCloseTo(mixMlOf(a.reading.mixture, s.parts[0]!.whisk.creamC), 9);
  });
  it('grows with every gram that is added', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 800 }), fc.integer({ min: 1, max: 200 }), (g, more) => {
        const volume = (grams: number): number =>
          value(
            analyseSheet(
              partsSheet([
                ['c', 'whipped-cream', 'Cream', [`${grams} g cream 36 %`]],
                ['f', 'set-filling', 'Filling', ['200 g mascarpone', 'all the cream']],
              ]),
              KITCHEN,
            ).volumeMl,
          );
        expect(volume(g + more)).toBeGreaterThan(volume(g));
      }),
      { numRuns: 40 },
    );
  });
});

describe('tells of a dessert of parts', () => {
  const dessert = partsSheet(
    [
      ['cream', 'whipped-cream', 'Chantilly', ['400 g cream 36 %', '40 g icing sugar']],
      ['fruit', 'fruit-base', 'Plums', ['300 g plums', '60 g caster sugar']],
      ['top', 'topping', 'Nuts', ['40 g pistachio']],
    ],
    { family: 'pudding', sweetness: 'dessert' },
  );
  it('say of which part they speak, and judge sweetness by the mouthful', () => {
    const t = tells(dessert);
    expect(t.get('fat')).toMatch(/^Chantilly: Fat in the bowl/);
    expect(t.get('sweetness')).toContain('by the mouthful');
    expect([...t.keys()].some((k) => k.startsWith('gelatin'))).toBe(false);
  });
  it('name lines that no step uses', () => {
    expect(tells(setLineStep(dessert, 'fruit', 'fruit-1', null)).get('idle-lines')).toBe('No step uses plums: give it a step, or take it out.');
    expect(tells(dessert).has('idle-lines')).toBe(false);
  });
  it('name parts that go nowhere', () => {
    const building = dessert.steps.find((s) => s.parts.includes('fruit'))!;
    expect(tells(removeStep(dessert, building.id)).get('idle-parts')).toContain('Plums');
  });
  it('name what a step asks for and is not there', () => {
    const syrup = withWays(partsSheet([['y', 'egg-foam', 'Yolks', ['4 yolks', '80 g caster sugar']]]), 'y', { eggs: 'syrup' });
    const settled = partsSheet([['y', 'egg-foam', 'Yolks', ['4 yolks', '80 g caster sugar']]], {});
    expect([...tells(settled).values(), ...tells(syrup).values()].join(' ')).toContain('asks for a liquid');
  });
  it('name what is left over of a part that is only there to be taken from', () => {
    const s = partsSheet([
      ['c', 'custard', 'Custard', ['300 g milk', '4 yolks']],
      ['f', 'set-filling', 'Filling', ['200 g mascarpone', '100 g custard']],
    ]);
    const alone = { ...s, steps: s.steps.map((x) => ({ ...x, parts: x.parts.filter((p) => p !== 'c') })) };
    expect(tells(alone).get('left:c')).toContain('268 g of Custard is left over');
  });
  it('keep unsettled text in sight', () => expect(tells({ ...dessert, unread: ['who knows'] }).get('unread-text')).toContain('One piece'));
  it('turn on the part that is whipped', () => {
    expect(mainPart(analyseSheet(dessert, KITCHEN)).part.id).toBe('cream');
    expect(mainPart(analyseSheet(partsSheet([['a', 'topping', 'Nuts', ['40 g pistachio']]]), KITCHEN)).part.id).toBe('a');
  });
  it('never show a broken number, whatever the kinds and lines', () => {
    const lines = [
      '300 g cream 36 %',
      '4 yolks',
      '80 g caster sugar',
      '3 leaves gelatin',
      '200 g mascarpone',
      '100 g plums',
      '2 kiwi',
      '500 g rum',
      'less 20 g boils off',
      'half of the one',
    ];
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('whipped-cream', 'egg-foam', 'custard', 'set-filling', 'fruit-base', 'soak', 'meringue', 'topping', 'crown'),
            fc.array(fc.constantFrom(...lines), { maxLength: 5 }),
          ),
          { minLength: 1, maxLength: 4 },
        ),
        (parts) => {
          const names = ['One', 'Two', 'Three', 'Four'];
          const s = partsSheet(parts.map(([kind, ls], i) => [`p${i}`, kind, names[i]!, ls] as const));
          for (const text of tells(s).values()) expect(text).not.toMatch(/NaN|Infinity|undefined/);
          for (const step of shownSteps(analyseSheet(s, KITCHEN))) expect(`${step.title} ${step.detail} ${step.takes}`).not.toMatch(/NaN|undefined|\{/);
        },
      ),
      { numRuns: 150 },
    );
  }, 30_000);
});

describe('steps in words', () => {
  it.each([
    [[0.33, 0.5], '20–30 min'],
    [[1, 1], '60 min'],
    [[8, 14], '8–14 h'],
    [[1.25, 2], '1.3–2 h'],
  ] as const)('%j is %s', (wait, expected) => expect(plain(waitWords([wait[0], wait[1]]))).toBe(expected));
  it('are filled in from the figures of their part', () => {
    const steps = shownSteps(analyseSheet(sheetOf(['3 kg cream 36 %'], { batches: 3, stage: 'firm' }), KITCHEN));
    const words = (key: string): string =>
      plain(`${steps.find((s) => s.key === `cream.${key}`)?.title}: ${steps.find((s) => s.key === `cream.${key}`)?.detail}`);
    expect(words('whisk')).toMatch(/^Whisk to firm: Planetary mixer 4.8 L, fast: .* min\. Drop to slow at soft peak/);
    expect(words('weigh')).toContain('3 bowlfuls, 1 000 g each');
    expect(words('chill')).toContain('at 5 °C');
  });
});
