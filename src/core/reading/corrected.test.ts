import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT } from '../../testing/sample';
import { corrected, withoutThinking } from './corrected';
import { readRecipe } from './read';

describe('a teller who corrects an amount', () => {
  it.each([
    ['Heat 500ml whole milk. PS sorry, I meant 300ml of milk not 500!', 'Heat 300ml whole milk.', ['PS sorry, I meant 300ml of milk not 500!']],
    [
      '3 tbsp gelatine powder\nOops, that should be 3 tsp gelatine, not 3 tbsp.',
      '3 tsp gelatine powder\n',
      ['Oops, that should be 3 tsp gelatine, not 3 tbsp.'],
    ],
    ['Whip 250 g sugar with 4 eggs. I mean 200 g sugar, not 250 g.', 'Whip 200 g sugar with 4 eggs.', ['I mean 200 g sugar, not 250 g.']],
    ['Chill 20 minutes. Correction: 40 minutes, not 20.', 'Chill 40 minutes.', ['Correction: 40 minutes, not 20.']],
    ['Sorry, 2 eggs not 3, see below. 3 eggs, 100 g sugar.', '2 eggs, 100 g sugar.', ['Sorry, 2 eggs not 3, see below.']],
    ['1/2 cup cream, 1/2 cup milk. Sorry, 3/4 cup milk, not 1/2.', '1/2 cup cream, 3/4 cup milk.', ['Sorry, 3/4 cup milk, not 1/2.']],
  ])('%j', (given, text, sentences) => {
    const r = corrected(given);
    expect(r.text.replace(/\s+/g, ' ').trim()).toBe(text.replace(/\s+/g, ' ').trim());
    expect(r.corrections.map((c) => c.sentence)).toEqual(sentences);
  });
  it.each([
    'Sorry, I meant 300 ml of milk not 500!',
    'Use 5 eggs, not 6. It is not 5 minutes but 10.',
    'Sorry it is so long. Do not 2 things at once.',
    'Heat 1500 ml milk. Sorry, 300 ml of milk not 500.',
    'Heat 500 ml cream. Sorry, 300 ml of milk not 500.',
  ])('what corrects nothing that was said stays: %j', (given) => expect(corrected(given)).toEqual({ text: given, corrections: [] }));
  it('is read as it was meant, and what was said is kept and asked about', () => {
    const r = readRecipe(
      'Custard\n\nWhisk 4 egg yolks with 50g caster sugar. Heat 500ml whole milk, pour on, back in the pan and stir until thick. Sorry, I meant 300ml of milk not 500!',
      CONTEXT,
    );
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.lines.map((l) => [l.draft.ingredient?.id, Math.round(l.draft.grams ?? 0)])).toEqual([
      ['egg-yolk', 68],
      ['sugar-caster', 50],
      ['milk-whole', 310],
    ]);
    expect(r.value.unread).toContain('Sorry, I meant 300ml of milk not 500!');
    expect(r.value.doubts).toEqual([{ about: '300ml whole milk', says: 'the recipe takes ‘500ml’ back: ‘300ml’ is meant', line: 2 }]);
  });
  it('two corrections of one text are both taken; one that another has changed is left as it stands', () => {
    expect(corrected('500 ml milk, 3 eggs. Sorry, 300 ml milk, not 500. Oops, 2 eggs, not 3.').text.trim()).toBe('300 ml milk, 2 eggs.');
    const both = 'Sorry, 5 eggs, not 4. Sorry, 6 eggs, not 5.';
    expect(corrected(both).text.length).toBeGreaterThan(10);
  });
  it('a long text without a full stop is gone through once', () => {
    const glued = `500 g milk ${'cream and sugar '.repeat(20_000)} sorry ${'and so on '.repeat(20_000)} not 5`;
    expect(corrected(glued)).toEqual({ text: glued, corrections: [] });
  });
  it('any text comes through without a throw, and no longer than by its corrections', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('sorry ', 'not ', '500', 'ml', ' g ', 'milk', '. ', ', ', '300', '(', '[', '*', '\\', '½', '1/2', '\n', 'I meant '), {
          maxLength: 30,
        }),
        (pieces) => {
          const given = pieces.join('');
          const { text, corrections } = corrected(given);
          expect(text.length).toBeLessThanOrEqual(given.length + 8 * corrections.length);
        },
      ),
    ));
});

describe('what is said while one thinks', () => {
  it.each([
    ['You want, let me think, 600 g cream', 'You want, 600 g cream'],
    ['Erm, take 3 eggs. Let me see… 200 g sugar, um, and cream', ' take 3 eggs. 200 g sugar, and cream'],
    ['Hold it on the heat. Let me think it over.', 'Hold it on the heat. Let me think it over.'],
    ['butter er cream', 'butter er cream'],
  ])('%s', (said, left) => {
    expect(withoutThinking(said)).toBe(left);
  });
  it('is no work of the recipe', () => {
    const r = readRecipe(
      'Coffee cake\n\nYou want, let me think, 600 of double cream, whip that with 60 icing sugar, to soft peaks. Then 250 mascarpone, fold the two together.\n',
      CONTEXT,
    );
    expect(r.ok && r.value.parts.map((p) => p.kind)).toEqual(['whipped-cream', 'set-filling']);
    expect(r.ok && r.value.lines.map((l) => l.draft.ingredient?.id)).toEqual(['cream-48', 'icing-sugar-starch', 'mascarpone']);
    expect(r.ok && r.value.steps.map((s) => s.work)).not.toContain('wait');
  });
});
