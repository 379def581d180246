import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredient, KITCHEN, sheetOf, partsSheet } from '../../testing/sample';
import { capacityMl, STARTING_VESSELS } from '../vessel/profile';
import { analyseSheet } from '../analysis/analyse';
import { compareFigures, compareSheets, isSame } from './compare';
import { setLineText } from '../editing/edits';
import { CONTEXT } from '../../testing/sample';
import { roundSheet } from './round';
import { scaleTo, type ScaleWish } from './scale';
import { packsFor, shoppingOf } from '../shopping/shopping';
import { swapOptions } from './swap';

const dessert = partsSheet(
  [
    ['yolks', 'egg-foam', 'Yolk foam', ['5 yolks', '120 g caster sugar', '40 g water', 'less 15 g boils off']],
    ['cream', 'whipped-cream', 'Whipped cream', ['400 g cream 36 %']],
    ['all', 'set-filling', 'Mascarpone cream', ['500 g mascarpone', '4 leaves gelatin', 'all the yolk foam', '300 g whipped cream']],
  ],
  { vessel: STARTING_VESSELS.find((v) => v.kind === 'tray')! },
);
const scaled = (wish: ScaleWish) => {
  const r = scaleTo(dessert, wish, KITCHEN);
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

describe('scaling a dessert', () => {
  it('keeps every ratio, whatever it is scaled to', () => {
    const before = analyseSheet(dessert, KITCHEN);
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 30, noNaN: true }), (factor) => {
        const s = analyseSheet(scaled({ kind: 'factor', factor }).sheet, KITCHEN);
        expect(s.mixture.massG / (before.mixture.massG * factor)).toBeCloseTo(1, 2);
        expect(s.sweetness / before.sweetness).toBeCloseTo(1, 2);
        s.parts.forEach((a, i) => expect(a.leftShare).toBeCloseTo(before.parts[i]!.leftShare, 2));
      }),
    );
  });
  it('fills a vessel as full as asked, and a glass for each portion', () => {
    const tray = STARTING_VESSELS.find((v) => v.name === 'Small tray')!;
    const s = analyseSheet(scaled({ kind: 'vessel', vessel: tray, fullShare: 0.8 }).sheet, KITCHEN);
    expect(s.volumeMl.ok && s.volumeMl.value / capacityMl(tray)).toBeCloseTo(0.8, 2);
    const glass = STARTING_VESSELS.find((v) => v.kind === 'glass')!;
    const g = analyseSheet(scaled({ kind: 'vessel', vessel: glass, fullShare: 0.9 }).sheet, KITCHEN);
    expect(g.sheet.portions).toBe(dessert.portions);
    expect(g.perVesselMl.ok && g.perVesselMl.value / capacityMl(glass)).toBeCloseTo(0.9, 2);
  });
  it('comes to the whole weight asked', () => {
    expect(analyseSheet(scaled({ kind: 'total', totalG: 2000 }).sheet, KITCHEN).mixture.massG / 2000).toBeCloseTo(1, 2);
  });
  it.each<[ScaleWish, string]>([
    [{ kind: 'factor', factor: 0 }, 'factor'],
    [{ kind: 'factor', factor: 1e6 }, 'factor'],
    [{ kind: 'total', totalG: -1 }, 'totalG'],
    [{ kind: 'on-hand', lineId: 'all-3', onHandG: 100 }, 'lineId'],
    [{ kind: 'vessel', vessel: STARTING_VESSELS[0]!, fullShare: 1.2 }, 'fullShare'],
    [{ kind: 'portions', portions: 2.5 }, 'portions'],
  ])('refuses %o by its field', (wish, field) => {
    const r = scaleTo(dessert, wish, KITCHEN);
    expect(r.ok ? null : r.fault.field).toBe(field);
  });
  it('has nothing to go by in an empty sheet', () => expect(scaleTo(sheetOf([]), { kind: 'total', totalG: 100 }, KITCHEN).ok).toBe(false));
});

describe('rounding', () => {
  const texts = (s: typeof dessert) => s.parts.flatMap((p) => p.lines.map((l) => l.text));
  it('weighs what the scale shows, cracks whole eggs, cuts half leaves, opens whole packs', () => {
    const s = partsSheet([
      ['a', 'cheese-cream', 'Cream', ['333.4 g cream 36 %', '487 g mascarpone', '2.7 yolks', '2.3 leaves gelatin', '1.4 tsp vanilla extract', '3.4 g salt']],
    ]);
    const r = roundSheet(s, KITCHEN);
    expect(texts(r.sheet)).toEqual(['333 g cream 36 %', '500 g mascarpone', '3 yolks', '2 1/2 leaves gelatin', '1 1/2 tsp vanilla extract', '3 g salt']);
    expect(r.changes.map((c) => c.why)).toEqual(['the scale', 'whole packs', 'whole pieces', 'half leaves', 'the spoon', 'the scale']);
  });
  it('no cup, spoon or ounce moves an amount by more than 3 %: where none fits, it is grams', () => {
    const s = partsSheet([
      [
        'a',
        'custard',
        'Custard',
        ['0.625 cup caster sugar', '0.66 cup milk', '11.99 oz butter', '0.45 cup cornstarch', '213 ml cream 36 %', '0.3 tsp vanilla extract'],
      ],
    ]);
    expect(texts(roundSheet(s, KITCHEN).sheet)).toEqual([
      '125 g caster sugar',
      '2/3 cup milk',
      '12 oz butter',
      '54 g cornstarch',
      '215 ml cream 36 %',
      '1/4 tsp vanilla extract',
    ]);
    fc.assert(
      fc.property(fc.constantFrom('cup', 'tbsp', 'floz', 'oz', 'lb', 'ml', 'pint'), fc.double({ min: 0.2, max: 40, noNaN: true }), (unit, n) => {
        const written = sheetOf([`${(unit === 'ml' ? n * 20 : n).toFixed(3)} ${unit === 'floz' ? 'fl oz' : unit} caster sugar`]);
        const mass = (x: typeof written): number => analyseSheet(x, KITCHEN).mixture.massG;
        const [before, after] = [mass(written), mass(roundSheet(written, KITCHEN).sheet)];
        const grain = 0.03 * before + KITCHEN.rules.scaleStepG / 2;
        if (before >= 15) expect(Math.abs(after - before)).toBeLessThanOrEqual(grain + 1e-6);
      }),
    );
  });
  it('leaves what is round as it is, and is done after once', () => {
    const s = sheetOf(['600 g cream 36 %', '2 leaves gelatin']);
    expect(roundSheet(s, KITCHEN)).toEqual({ sheet: s, changes: [] });
    fc.assert(
      fc.property(fc.double({ min: 5, max: 3000, noNaN: true }), fc.double({ min: 0.3, max: 30, noNaN: true }), (g, n) => {
        const once = roundSheet(sheetOf([`${g.toFixed(2)} g cream 36 %`, `${n.toFixed(2)} leaves gelatin`, `${n.toFixed(2)} yolks`]), KITCHEN).sheet;
        expect(roundSheet(once, KITCHEN).changes).toEqual([]);
      }),
    );
  });
  it('moves the figures no further than it says', () => {
    const s = sheetOf(['333.4 g cream 36 %', '28.6 g icing sugar']);
    const pairs = compareFigures(analyseSheet(s, KITCHEN), analyseSheet(roundSheet(s, KITCHEN).sheet, KITCHEN));
    expect(pairs.find((p) => p.name === 'fat in the bowl')?.changed).toBe(false);
  });
});

describe('swapping', () => {
  const by = (s: ReturnType<typeof sheetOf>, line: string, to: string) => {
    const r = swapOptions(s, line, ingredient(to), KITCHEN);
    if (!r.ok) throw new Error(r.fault.says);
    return new Map(r.value.map((o) => [o.basis, o]));
  };
  it('matches what both bring: fat, sweetness, set, alcohol', () => {
    const s = sheetOf(['500 g cream 36 %', '50 g caster sugar', '4 leaves gelatin', '40 g rum']);
    expect(by(s, 'l1', 'mascarpone').get('fat')!.massG).toBeCloseTo((500 * 36) / ingredient('mascarpone').composition.milk_fat, 6);
    const dextrose = ingredient('dextrose').composition;
    expect(by(s, 'l2', 'dextrose').get('sweetness')!.massG).toBeCloseTo((50 * ingredient('sugar-caster').composition.sucrose) / (dextrose.glucose * 0.72), 6);
    expect(by(s, 'l3', 'gelatin-powder-225').get('setter')!.massG).toBeCloseTo(8 * Math.sqrt(200 / 225), 6);
    expect(by(s, 'l4', 'sherry-17').get('alcohol')!.massG).toBeCloseTo(
      (40 * ingredient('rum-40').composition.ethanol) / ingredient('sherry-17').composition.ethanol,
      6,
    );
    expect(by(s, 'l3', 'gelatin-powder-225').has('sweetness')).toBe(false);
  });
  it('there and back gives the same mass', () => {
    const s = sheetOf(['500 g cream 36 %']);
    const there = by(s, 'l1', 'cream-48').get('fat')!;
    const back = swapOptions(there.sheet, 'l1', ingredient('cream-36'), KITCHEN);
    expect(back.ok && back.value.find((o) => o.basis === 'fat')!.massG).toBeCloseTo(500, -0.5);
  });
  it('says what comes along, and refuses the same thing and an unread line', () => {
    const s = sheetOf(['500 g cream 36 %', '12 g quux']);
    expect(by(s, 'l1', 'milk-whole').get('mass')!.difference.fat).toBeCloseTo(5 * (ingredient('milk-whole').composition.milk_fat - 36), 6);
    expect(swapOptions(s, 'l2', ingredient('salt'), KITCHEN).ok).toBe(false);
    expect(swapOptions(s, 'l1', ingredient('cream-35'), KITCHEN).ok).toBe(true);
    expect(swapOptions(s, 'l1', KITCHEN.larder.get(s.parts[0]!.lines[0]!.ingredientId!)!, KITCHEN).ok).toBe(false);
  });
});

describe('comparing', () => {
  it('finds what was changed, added and taken out, and nothing where nothing was', () => {
    expect(isSame(compareSheets(dessert, dessert))).toBe(true);
    const other = setLineText(dessert, 'cream', 'cream-1', '450 g cream 36 %', CONTEXT);
    const c = compareSheets(dessert, { ...other, portions: 9 });
    expect(c.whole).toEqual([{ kind: 'changed', before: '8 portions', after: '9 portions' }]);
    expect(c.parts.flatMap((p) => p.lines).filter((d) => d.kind !== 'same')).toEqual([
      { kind: 'changed', before: '400 g cream 36 %', after: '450 g cream 36 %' },
    ]);
    const without = { ...dessert, parts: dessert.parts.map((p) => ({ ...p, lines: p.lines.filter((l) => l.id !== 'all-2') })) };
    expect(
      compareSheets(dessert, without)
        .parts.flatMap((p) => p.lines)
        .filter((d) => d.kind === 'removed'),
    ).toHaveLength(1);
    expect(
      compareSheets(without, dessert)
        .parts.flatMap((p) => p.lines)
        .filter((d) => d.kind === 'added'),
    ).toHaveLength(1);
  });
});

describe('shopping', () => {
  it('sums over parts, keeps the uses apart, balances the eggs', () => {
    const s = partsSheet([
      ['a', 'chocolate-base', 'Base', ['200 g dark chocolate 70 %', '300 g cream 36 %', '3 yolks']],
      ['b', 'whipped-cream', 'Cream', ['240 g cream 36 %']],
      ['c', 'egg-foam', 'Whites', ['7 whites', '60 g caster sugar']],
    ]);
    const shop = shoppingOf(analyseSheet(s, KITCHEN), KITCHEN);
    const cream = shop.items.find((i) => i.ingredient.category === 'cream')!;
    expect(cream.neededG).toBeCloseTo(540, 6);
    expect(cream.uses).toEqual([
      { part: 'Base', massG: 300 },
      { part: 'Cream', massG: 240 },
    ]);
    expect(cream.packs! * cream.ingredient.packG!).toBeGreaterThanOrEqual(540);
    expect(shop.eggs).toMatchObject({ eggs: 7, spareYolks: 4, spareWhites: 0 });
    expect(shop.spare[0]).toContain('4 yolks spare');
    const whole = analyseSheet(s, KITCHEN).mixture.massG;
    expect((shop.per100!.kcal * whole) / 100 / (shop.perPortion!.kcal * s.portions)).toBeCloseTo(1, 9);
  });
  it('buys the peel too', () => {
    const s = partsSheet([['a', 'topping', 'Pears', ['300 g pear']]]);
    const pear = shoppingOf(analyseSheet(s, KITCHEN)).items[0]!;
    expect(pear.boughtG).toBeCloseTo((300 * 100) / ingredient('pear').ediblePct, 6);
  });
  it('is empty for an empty sheet, without a number that is none', () => {
    expect(shoppingOf(analyseSheet(sheetOf([]), KITCHEN))).toMatchObject({ items: [], cost: null, per100: null, ethanolG: 0 });
  });
});

describe('what is bought', () => {
  const items = (...lines: string[]) => shoppingOf(analyseSheet(sheetOf(lines), KITCHEN), KITCHEN).items;
  it('two US cups are a pint carton, four are two, and a tenth more is one more', () => {
    const packs = (text: string) => items(text)[0]!;
    const cream = { ...packs('2 cups cream 36 %').ingredient, packG: 477 };
    expect([477.4, 954.8, 1002, 240].map((g) => packsFor(g, cream.packG))).toEqual([1, 2, 3, 1]);
  });
  it('zest is bought as fruits, not by its weight', () => {
    expect(items('300 g cream 36 %', '15 g lemon zest').find((i) => i.ingredient.id === 'lemon-zest')).toMatchObject({
      packs: null,
      fruits: { count: 3, name: 'lemons', shared: false },
    });
  });
  it('zest and juice come out of the same fruits', () => {
    const both = items('300 g cream 36 %', 'zest of 4 lemons', 'juice of 4 lemons').filter((i) => i.fruits);
    expect(both.map((i) => i.fruits)).toEqual([
      { count: 4, name: 'lemons', shared: true },
      { count: 4, name: 'lemons', shared: true },
    ]);
    expect(items('300 g cream 36 %', 'zest of 1 lemon', 'juice of 4 lemons').find((i) => i.fruits)!.fruits!.count).toBe(4);
    expect(items('300 g cream 36 %').every((i) => i.fruits === null)).toBe(true);
  });
});
