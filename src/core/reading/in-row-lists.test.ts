import { describe, expect, it } from 'vitest';
import { matchOf } from '../measures/match';
import { splitLine } from '../measures/line';
import { CONTEXT } from '../../testing/sample';
import { piecesOf } from './in-row-lists';

const isIngredient = (name: string): boolean => (matchOf(splitLine(name), CONTEXT.matcher)?.confidence ?? 0) >= 0.85;
const pieces = (text: string, amongLists = false): readonly string[] => piecesOf(text, isIngredient, amongLists).map((p) => `${p.kind} ${p.text}`);

describe('lists within a row', () => {
  it.each<[string, readonly string[]]>([
    [
      'You’ll need 6 egg whites, a pinch of salt and 340 g sugar. For the topping: 450 ml double cream, 8 passion fruit.',
      ['item 6 egg whites', 'item a pinch of salt', 'item 340 g sugar', 'head topping', 'item 450 ml double cream', 'item 8 passion fruit'],
    ],
    ['Base: digestives 200, butter 80. Crush and press.', ['head Base', 'item digestives 200', 'item butter 80', 'rest Crush and press.']],
    [
      '397 g tin condensed milk · 600 ml double cream · 150 g honeycomb, bashed',
      ['item 397 g tin condensed milk', 'item 600 ml double cream', 'item 150 g honeycomb, bashed'],
    ],
    ['Whites 150 g / sugar 250 g: to 70 °C, then whip.', ['item Whites 150 g', 'item sugar 250 g', 'rest to 70 °C, then whip.']],
    ['Butter 300 g, soft (20 °C): add bit by bit.', ['item Butter 300 g, soft (20 °C)', 'rest add bit by bit.']],
    ['Vanilla paste 1 tsp. Salt 2 g.', ['item Vanilla paste 1 tsp', 'item Salt 2 g']],
    ['Cream 400 + icing sugar 30', ['item Cream 400', 'item icing sugar 30']],
    ['To finish: lime zest, flaky salt', ['head To finish', 'item lime zest', 'item flaky salt']],
  ])('%s', (text, found) => expect(pieces(text)).toEqual(found));

  it.each([
    'Whip the 400 ml cream with 30 g sugar, then fold in 200 g mascarpone.',
    'Layer it up: a spoon of purée, a spoon of cream, 2 biscuits.',
    '1/2 cup + 2 tbsp sugar',
    'cream 250 + 300 whipped',
    '3/4 cup powdered sugar, plus 2 tablespoons for the berries',
    'Chill 4 hours, 2 days at most.',
    'TPT: 10 verrines of 120 ml',
    'Serves 8, makes 2 loaves',
  ])('no list: %s', (text) => expect(pieces(text)).toEqual([]));

  it('one without a name stands before its work only among other lists', () => {
    const row = '½ pt double cream & ¼ pt thick custard. Whip the cream.';
    expect(pieces(row)).toEqual([]);
    expect(pieces(row, true)).toEqual(['item ½ pt double cream', 'item ¼ pt thick custard', 'rest Whip the cream.']);
  });

  it('every piece stands where it says', () => {
    for (const text of [
      'Base: digestives 200, butter 80. Crush and press.',
      'Whites 150 g / sugar 250 g: to 70 °C, then whip.',
      'You need 2 lemons and 300 g sugar. For the top: 200 ml double cream, 20 g sugar. Boil.',
    ])
      for (const p of piecesOf(text, isIngredient))
        expect(text.slice(p.at).startsWith(p.text.split(', ')[0]!), `${p.text} at ${p.at}`).toBe(p.kind !== 'head' || text.slice(p.at).startsWith(p.text));
  });

  it('is linear: a long row without an end is read in a breath', () => {
    const long = 'Base: '.concat('200 g sugar, '.repeat(3000));
    expect(pieces(long)).toEqual([]);
  });
});
