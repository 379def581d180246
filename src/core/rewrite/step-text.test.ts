import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { writtenSheet } from '../../testing/written';
import { scaleToPortions } from './scale';
import { scaleStepText } from './step-text';

describe('the words of a step at another size', () => {
  it.each([
    ['Beat in the 3 cups butter, a little at a time', 'Beat in the 6 cups butter, a little at a time'],
    ['Warm 1 1/4 cups of the cream', 'Warm 2 1/2 cups of the cream'],
    ['Stir in 250 ml milk and 20 g sugar', 'Stir in 500 ml milk and 40 g sugar'],
    ['Add 2-3 tbsp rum', 'Add 4-6 tbsp rum'],
    ['Whip ½ cup cream', 'Whip 1 cup cream'],
  ])('%s', (from, to) => expect(scaleStepText(from, 2)).toBe(to));
  it.each([
    'Pour into a 900 g loaf tin',
    'Fill 120 ml glasses',
    'Pipe 30 g each',
    'Add the sugar 1 tbsp at a time',
    'Bake at 180 C for 2 hours',
    'Roll to 3 mm, cut 4 rounds of 8 cm',
    'Whisk for 5 min to 60 °C',
    'Fold in 3 egg whites',
    'Spoon 60 g of cream per nest',
  ])('of one vessel, of each, of time, heat and length nothing changes: %s', (text) => expect(scaleStepText(text, 2)).toBe(text));
  it('follow the sheet when it is doubled, and come back', () => {
    const sheet = writtenSheet(
      'Buttercream\n\nServes 10\n\n3 cups butter, room temperature\n6 egg whites\n2 cups sugar\n\nWhisk the whites and sugar over simmering water to 160 F. Whip until cool and stiff. Beat in the 3 cups butter, a little at a time.',
    );
    const twice = scaleToPortions(sheet, 20);
    if (!twice.ok) throw new Error(twice.fault.says);
    expect(twice.value.steps.at(-1)!.title).toBe('Beat in the 6 cups butter, a little at a time');
    expect(twice.value.steps[0]!.title).toBe(sheet.steps[0]!.title);
    const back = scaleToPortions(twice.value, 10);
    expect(back.ok && back.value.steps.map((s) => s.title)).toEqual(sheet.steps.map((s) => s.title));
  });
  it('by one are themselves, and no text makes it fail', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom('1', '2', '½', ' ', 'g', 'ml', 'cup', 'a', '-', '/', '.', ' to ', 'tin', '°', '\u00a0') }),
        fc.double({ min: 0.01, max: 100, noNaN: true }),
        (text, f) => {
          expect(scaleStepText(text, 1)).toBe(text);
          expect(typeof scaleStepText(text, f)).toBe('string');
        },
      ),
    );
  });
});
