import { describe, expect, it } from 'vitest';
import { KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import { foldTells } from './fold-tells';
import { tellText } from './tell';

const mousse = (joins: string) =>
  foldTells(
    analyseSheet(
      writtenSheet(`Two foams
4 egg yolks
80 g caster sugar
300 ml whipping cream
150 g prune puree
Whisk the yolks with the sugar over steam to 75 °C. Whip the cream to soft peaks. ${joins}`),
      KITCHEN,
    ),
  ).filter((t) => t.key.startsWith('folds-on:'));

describe('a written step that would whisk what already stands', () => {
  it('is folded, with a caution and no clock', () => {
    for (const verb of ['Whisk', 'Beat']) {
      const [tell] = mousse(`${verb} the cream and the egg foam together until smooth, adding the prune puree.`);
      expect(tell).toMatchObject({ state: 'near', action: null });
      expect(tellText(tell!)).toMatch(/already stands: fold it in.*turns to butter/);
    }
  });
  it('says nothing of one that says to fold', () => {
    expect(mousse('Fold the cream into the egg foam with the prune puree.')).toEqual([]);
  });
});
