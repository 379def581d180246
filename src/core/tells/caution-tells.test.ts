import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { cautionsOf, cautionTells } from './caution-tells';
import { tellText } from './tell';

const keys = (sheet: Sheet): string[] => cautionsOf(analyseSheet(sheet, KITCHEN)).map((c) => c.key);
const cream = (...lines: string[]): Sheet => sheetOf(['500 g cream 36 %', ...lines]);

describe('the usual cautions', () => {
  it.each([
    ['60 g honey', 'honey'],
    ['10 g ground nutmeg', 'nutmeg'],
    ['2 drops lavender oil', 'flowers'],
    ['200 g cherries', 'stones'],
    ['100 g grapes', 'choking'],
    ['120 g pasteurised egg yolk', 'carton'],
    ['200 g kiwi', 'protease'],
    ['100 g mascarpone', 'vulnerable'],
    ['2 egg whites', 'vulnerable'],
    ['1 vanilla pod', 'take-out'],
  ])('%s: %s', (line, key) => {
    expect(keys(cream(line))).toContain(key);
    expect(keys(cream())).not.toContain(key);
  });
  it('raw flour in an unbaked base, not in one that is baked, nor toasted flour', () => {
    const base = (ways: Record<string, string>, flour = '60 g wheat flour'): Sheet => {
      const sheet = partsSheet([['b', 'pressed-base', 'Base', ['200 g digestives', '80 g butter', flour]]]);
      return { ...sheet, parts: sheet.parts.map((p) => ({ ...p, ways: { ...p.ways, ...ways } })) };
    };
    expect(keys(base({ base: 'chilled' }))).toContain('raw-flour');
    expect(keys(base({ base: 'baked' }))).not.toContain('raw-flour');
    expect(keys(base({ base: 'chilled' }, '60 g wheat flour, toasted'))).not.toContain('raw-flour');
  });
  it('a siphon is cautioned wherever the cook names it: name, line, step or note', () => {
    const plain = cream('30 g icing sugar');
    expect(keys(plain)).not.toContain('siphon');
    const [step] = plain.steps;
    for (const sheet of [
      { ...plain, name: 'Cream from a siphon' },
      { ...plain, notes: 'One can of whipped cream beside it.' },
      { ...plain, steps: [{ ...step!, detail: 'Into the siphon.' }] },
      cream('30 g icing sugar, for the siphon'),
    ])
      expect(keys(sheet)).toContain('siphon');
    expect(keys({ ...plain, notes: 'Siphoned off.' })).not.toContain('siphon');
  });
  it('a pinch of nutmeg, cut fruit and what is stoned are passed over', () => {
    expect(keys(cream('1 g ground nutmeg', '100 g grapes, quartered', '200 g cherries, pitted, chopped'))).toEqual([]);
  });
  it('protease fruit with gelatin has its own, louder tell', () => {
    expect(keys(cream('200 g kiwi', '4 leaves gelatin'))).not.toContain('protease');
  });
  it('is one quiet tell that defers to the code, and none where none applies', () => {
    const s = analyseSheet(cream('60 g honey', '200 g cherries'), KITCHEN);
    const [tell, ...more] = cautionTells(s, KITCHEN);
    expect(more).toEqual([]);
    expect(tell!.state).toBe('in');
    expect(tellText(tell!)).toMatch(/honey.*stones out.*local food code leads/i);
    expect(cautionTells(analyseSheet(cream(), KITCHEN), KITCHEN)).toEqual([]);
  });
});
