import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, ingredient, LARDER } from '../../testing/sample';
import { cooksMeasure, readLine, scaleLineText, splitLine, withAmount } from './line';
import { ingredientNamed, matcherFor } from './match';
import { asFraction, readQuantity } from './quantity';
import { CUP_SYSTEMS, UNITS, unitNamed, unitOf, unitSize } from './units';

const grams = (text: string, id: string): number => {
  const r = readLine(text, ingredient(id), { cups: 'us' });
  if (!r.ok) throw new Error(r.fault.says);
  return r.value.massG;
};
const code = (text: string, id: string | null): string | null => {
  const r = readLine(text, id === null ? null : ingredient(id), { cups: 'us' });
  return r.ok ? null : r.fault.code;
};

describe('quantities', () => {
  it.each([
    ['600', 600],
    ['2 1/2', 2.5],
    ['1½', 1.5],
    ['½', 0.5],
    ['1/3*750', 250],
    ['=5/8*960', 600],
    ['(2+1)*250', 750],
    ['0,5', 0.5],
    ['1,200', 1200],
    ['.5', 0.5],
    ['3 - 1', 2],
    ['-5', -5],
    ['1\u00a01/4', 1.25],
    ['12 × 2', 24],
  ])('%s is %s', (text, expected) => {
    const r = readQuantity(text);
    expect(r.ok && r.value).toBeCloseTo(expected, 12);
  });
  it.each([
    ['', 'empty'],
    ['1/0', 'divides-by-nothing'],
    ['1/(2-2)', 'divides-by-nothing'],
    ['(1', 'unclosed'],
    ['2 x', 'unreadable'],
    ['1e9', 'unreadable'],
    ['('.repeat(60), 'too-deep'],
    ['9'.repeat(150) + '*' + '9'.repeat(45), 'unreadable-or-large'],
  ])('%s is refused', (text, expected) => {
    const r = readQuantity(text);
    if (expected === 'unreadable-or-large') expect(r.ok ? Number.isFinite(r.value) : true).toBe(true);
    else expect(r.ok ? null : r.fault.code).toBe(expected);
  });
  it('never throws and never gives what is not a number, whatever is typed', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 60 }), fc.stringMatching(/^[0-9 ./+*()½-]{0,40}$/)), (text) => {
        const r = readQuantity(text);
        if (r.ok) expect(Number.isFinite(r.value)).toBe(true);
        else expect(r.fault.says.length).toBeGreaterThan(5);
      }),
      { numRuns: 3000 },
    );
  });
  it('fractions read back as what they were', () => {
    for (const value of [0.25, 1 / 3, 0.5, 2.5, 1.75, 3, 12.125]) {
      const text = asFraction(value, 0.002)!;
      const r = readQuantity(text);
      expect(r.ok && r.value).toBeCloseTo(value, 9);
    }
    expect(asFraction(0.06, 0.002)).toBeNull();
  });
});

describe('units', () => {
  it('knows its names, whatever their case or full stop', () => {
    expect(unitNamed('Cups')?.key).toBe('cup');
    expect(unitNamed('TBSP.')?.key).toBe('tbsp');
    expect(unitNamed('gx')).toBeNull();
    const names = UNITS.flatMap((u) => u.names);
    expect(new Set(names).size).toBe(names.length);
  });
  it('has four systems of cups and spoons', () => {
    expect(unitSize(unitOf('cup'), 'us')).toBeCloseTo(236.588, 3);
    expect(unitSize(unitOf('cup'), 'metric')).toBe(250);
    expect(unitSize(unitOf('tbsp'), 'australian')).toBe(20);
    expect(CUP_SYSTEMS.us.cup / CUP_SYSTEMS.us.tbsp).toBeCloseTo(16, 9);
    expect(CUP_SYSTEMS.imperial.tbsp / CUP_SYSTEMS.imperial.tsp).toBeCloseTo(3, 9);
  });
});

describe('splitting a line', () => {
  it.each([
    ['600 g cream 36 %', '600', 'g', 'cream', '36'],
    ['mascarpone 250 g', '250', 'g', 'mascarpone', null],
    ['250g mascarpone', '250', 'g', 'mascarpone', null],
    ['cream 36 % =5/8*960 g', '=5/8*960', 'g', 'cream', '36'],
    ['2 1/2 cup cream 36% fat', '2 1/2', 'cup', 'cream', '36'],
    ['2 leaves gelatin', '2', 'leaf', 'gelatin', null],
    ['3 tbsp of icing sugar', '3', 'tbsp', 'icing sugar', null],
    ['1 fl oz rum', '1', 'floz', 'rum', null],
    ['vanilla, 1 tsp', '1', 'tsp', 'vanilla', null],
    ['cream', null, null, 'cream', null],
    ['-5 g cream', '-5', 'g', 'cream', null],
    ['1/0 cup cream', '1/0', 'cup', 'cream', null],
  ])('%s', (text, quantity, unit, name, fat) => {
    const w = splitLine(text);
    expect([
      w.amounts[0]?.runs[0] ? text.slice(w.amounts[0].runs[0].start, w.amounts[0].runs[0].end) : null,
      w.amounts[0]?.unit?.key ?? null,
      w.name,
      w.fatText,
    ]).toEqual([quantity, unit, name, fat]);
  });
  it('never throws, whatever is typed, and never grows', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        const w = splitLine(text);
        expect(w.name.length).toBeLessThanOrEqual(text.length);
      }),
      { numRuns: 3000 },
    );
  });
});

describe('reading a line into grams', () => {
  it.each([
    ['600 g cream', 'cream-36', 600],
    ['1 kg cream', 'cream-36', 1000],
    ['8 oz cream cheese', 'cream-cheese-block', 226.796],
    ['1 cup icing sugar', 'icing-sugar-starch', 120],
    ['2 1/2 cup cream', 'cream-36', 2.5 * 236.5882365 * 1.009],
    ['500 mL cream', 'cream-36', 504.5],
    ['3 tbsp sugar', 'sugar-caster', (3 * 200) / 16],
    ['2 leaves gelatin', 'gelatin-leaf-gold', 4],
    ['3 egg whites', 'egg-white', 99],
  ])('%s', (text, id, expected) => expect(grams(text, id)).toBeCloseTo(expected, 2));
  it.each([
    ['', 'cream-36', 'empty'],
    ['cream', 'cream-36', 'no-amount'],
    ['-5 g cream', 'cream-36', 'not-positive'],
    ['0 g cream', 'cream-36', 'not-positive'],
    ['1/0 g cream', 'cream-36', 'divides-by-nothing'],
    ['250 gx cream', 'cream-36', 'unknown-unit'],
    ['250 cream', 'cream-36', 'unknown-unit'],
    ['999999 kg cream', 'cream-36', 'too-large'],
    ['600 g cream 83 %', 'cream-36', 'fat-too-high'],
    ['600 g coconut cream 20 %', 'coconut-cream', 'fat-not-dairy'],
    ['600 g flarb', null, 'unknown-ingredient'],
    ['2 leaves cream', 'cream-36', 'no-piece'],
    ['1 cup gelatin', 'gelatin-leaf-gold', 'no-density'],
  ])('%s is refused as %s', (text, id, expected) => expect(code(text, id)).toBe(expected));
  it('takes the fat on the carton', () => {
    const r = readLine('600 g cream 40 %', ingredient('cream-36'), { cups: 'us' });
    expect(r.ok && r.value.per100.milk_fat).toBe(40);
    expect(r.ok && r.value.fatPct).toBe(40);
  });
  it('lets a percentage be part of a name where it is no dairy', () => {
    expect(ingredientNamed(splitLine('100 g dark chocolate 70 %'), CONTEXT.matcher)?.id).toBe('chocolate-dark-70');
    expect(code('100 g dark chocolate 70 %', 'chocolate-dark-70')).toBeNull();
  });
});

describe('scaling what is written', () => {
  it.each([
    ['600 g cream 36 %', 2, '1200 g cream 36 %'],
    ['2 1/2 cup cream', 0.5, '1 1/4 cup cream'],
    ['mascarpone 250 g', 1.5, 'mascarpone 375 g'],
    ['cream 36 % =5/8*960 g', 2, 'cream 36 % 1200 g'],
    ['3 tbsp sugar', 1 / 3, '1 tbsp sugar'],
    ['who knows', 2, 'who knows'],
  ])('%s × %s', (text, factor, expected) => expect(scaleLineText(text, factor)).toBe(expected));
  it('there and back returns within a part in a thousand', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), (g, a, b) => {
        const there = scaleLineText(`${g} g cream`, b / a);
        expect(grams(scaleLineText(there, a / b), 'cream-36') / g).toBeCloseTo(1, 2.5);
      }),
    );
  });
  it.each([
    ['600 g cream 36 %', '500 g', '500 g cream 36 %'],
    ['2 1/2 leaves gelatin', '3 leaves', '3 leaves gelatin'],
    ['gelatin 2 leaves', '3 leaves', 'gelatin 3 leaves'],
    ['icing sugar', '50 g', '50 g icing sugar'],
  ])('%s with %s', (text, amount, expected) => expect(withAmount(text, amount)).toBe(expected));
});

describe('the cook’s measure', () => {
  const measure = (text: string, id: string): string => {
    const r = readLine(text, ingredient(id), { cups: 'us' });
    if (!r.ok) throw new Error(r.fault.says);
    return cooksMeasure(text, r.value, ingredient(id), { cups: 'us' }).replaceAll('\u00a0', ' ');
  };
  it.each([
    ['600 g cream', 'cream-36', '2 1/2 cups'],
    ['250 g cream cheese', 'cream-cheese-block', '≈ 1 cup'],
    ['4 g gelatin', 'gelatin-leaf-gold', '2 leaves'],
    ['1/4 tsp salt', 'salt', '1/4 tsp'],
    ['3 egg whites', 'egg-white', '3 whites'],
    ['2 imperial pint milk', 'milk-whole', '2 imperial pints'],
    ['2-3 tbsp sugar', 'sugar-caster', '2-3 tbsp'],
    ['1 lb 2 oz cream cheese', 'cream-cheese-block', '1 lb + 2 oz'],
    ['salt to taste', 'salt', 'to taste'],
    ['100 g agar', 'agar', '≈ 3/4 cup + 3 tbsp'],
    ['55 g sugar', 'sugar-caster', '≈ 1/4 cup + 1 tsp'],
    ['40 g water', 'water', '2 tbsp + 2 tsp'],
    ['400 g milk', 'milk-whole', '≈ 1 2/3 cups'],
    ['30 g water', 'water', '2 tbsp'],
    ['5 g water', 'water', '1 tsp'],
    ['1 g salt', 'salt', ''],
  ])('%s: %s %s', (text, id, expected) => expect(measure(text, id)).toBe(expected));
});

describe('measures that a kitchen has', () => {
  it('are cups by quarters and thirds, tablespoons by halves, teaspoons by quarters and an eighth, and never far from the amount', () => {
    const size = { cup: 236.588, tbsp: 14.787, tsp: 4.929 } as const;
    const parts = { cup: ['', '1/4', '1/3', '1/2', '2/3', '3/4'], tbsp: ['', '1/2'], tsp: ['', '1/8', '1/4', '1/2', '3/4'] } as const;
    const worth = (piece: string): number => {
      const m = /^(?:(\d+) ?)?(?:(\d\/\d) )?(cup|tbsp|tsp)s?$/.exec(piece.replace(/(\d) (cup|tbsp|tsp)/, '$1 $2').trim());
      if (!m) throw new Error(`‘${piece}’`);
      const unit = m[3] as keyof typeof size;
      expect(parts[unit] as readonly string[]).toContain(m[2] ?? '');
      const [n = 0, d = 1] = (m[2] ?? '0/1').split('/').map(Number);
      return (Number(m[1] ?? 0) + n / d) * size[unit];
    };
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3000, noNaN: true }), (g) => {
        const text = `${g.toFixed(2)} g water`;
        const r = readLine(text, ingredient('water'), { cups: 'us' });
        if (!r.ok) throw new Error(r.fault.says);
        const said = cooksMeasure(text, r.value, ingredient('water'), { cups: 'us' }).replaceAll('\u00a0', ' ');
        if (said === '') return;
        const ml = said
          .replace('≈ ', '')
          .split(' + ')
          .reduce((sum, piece) => sum + worth(piece), 0);
        const off = Math.abs(ml - r.value.massG / 0.998) / ml;
        expect(off, `${text}: ${said}`).toBeLessThan(said.startsWith('≈') ? 0.08 : 0.018);
      }),
    );
  });
});

describe('matching names', () => {
  it.each([
    ['cream', 'cream-35'],
    ['double cream', 'cream-48'],
    ['Heavy Cream', 'cream-36'],
    ['powdered sugar', 'icing-sugar-starch'],
    ['confectioner’s sugar', 'icing-sugar-starch'],
    ['cornflour', 'corn-starch'],
    ['gelatine', 'gelatin-leaf-gold'],
    ['superfine sugar', 'sugar-caster'],
    ['mascarpone', 'mascarpone'],
    ['mascarpnoe', 'mascarpone'],
    ['vanila extract', 'vanilla-extract'],
    ['crème fraîche', 'creme-fraiche-35'],
  ])('%s is %s', (name, id) => expect(CONTEXT.matcher.best(name)?.id).toBe(id));
  it.each(['', 'flarb', 'goat wool', '!!!', 'pastry cream'])('‘%s’ is nothing', (name) => expect(CONTEXT.matcher.best(name)).toBeNull());
  it('finds every ingredient of the larder by its own name', () => {
    for (const i of LARDER) expect(CONTEXT.matcher.best(i.name)?.id, i.name).toBe(i.id);
  });
  it('finds a name behind a measure that is not known', () => {
    expect(ingredientNamed(splitLine('250 gx mascarpone'), CONTEXT.matcher)?.id).toBe('mascarpone');
  });
  it('orders by confidence, at most as many as asked', () => {
    const found = matcherFor(LARDER).find('chocolate', 3);
    expect(found).toHaveLength(3);
    expect(found[0]!.confidence).toBeGreaterThanOrEqual(found[2]!.confidence);
  });
});
