import { describe, expect, it } from 'vitest';
import { writtenSheet } from '../../testing/written';
import { layersSaid } from './repeats';

/** The layers of a recipe as the sheet starts with them, by the names of their parts. */
function layersOf(text: string): readonly string[] | null {
  const sheet = writtenSheet(text);
  const name = new Map(sheet.parts.map((p) => [p.id, p.name]));
  return sheet.tin.layers?.map((l) => name.get(l.partId)!) ?? null;
}

describe('layers as they are told', () => {
  it('a repeat is all that was laid, fruit and spice with it', () => {
    const cycle = ['Filling', 'Vanilla wafers', 'Banana', 'Cinnamon'];
    const cake = (again: string) =>
      layersOf(
        `Banana icebox cake\n\n1 box vanilla wafers (300 g)\n6 bananas\n1 tsp cinnamon\n500 ml double cream\n250 g mascarpone\n80 g sugar\n\nWhip the cream with the sugar, fold in the mascarpone. Spread a third of the cream in a 20 cm square dish. Lay wafers, slice bananas over and dust with cinnamon. ${again} Chill for 8 hours.`,
      );
    expect(cake('Repeat twice.')).toEqual([...cycle, ...cycle, ...cycle]);
    expect(cake('Repeat.')).toEqual([...cycle, ...cycle]);
    expect(cake('Do that three more times.')).toEqual([...cycle, ...cycle, ...cycle, ...cycle]);
    expect(cake('')).toBeNull();
  });
  it('‘repeat with the rest’ lies twice, what is dusted on at the end once', () => {
    expect(
      layersOf(
        'Tiramisu\n\n48 ladyfingers\n400 ml espresso\n500 g mascarpone\n400 ml cream\n80 g sugar\n2 tbsp cocoa\n\nWhip the cream with the sugar, fold into the mascarpone. Dip half the ladyfingers in the espresso and lay in a 30 x 20 cm dish. Spread with half the cream. Repeat with the remaining ladyfingers and cream. Chill 6 hours. Dust with cocoa.',
      ),
    ).toEqual(['Biscuits', 'Filling', 'Biscuits', 'Filling', 'Cocoa powder']);
  });
  it('a base lies once, however often something is poured onto it', () => {
    expect(
      layersOf(
        'Cheesecake\n\n200 g digestive biscuits\n90 g butter\n500 g cream cheese\n300 ml double cream\n80 g sugar\n200 g raspberries\n\nCrush the biscuits, mix with the melted butter and press into a 20 cm springform. Whip the cream with the sugar and fold into the cheese. Spread over the base and chill for 4 hours. Top with the raspberries.',
      ),
    ).toBeNull();
  });
  const kinds = new Map([
    ['c', 'whipped-cream'],
    ['b', 'biscuit-layer'],
    ['s', 'soak'],
    ['p', 'pressed-base'],
    ['f', 'topping'],
  ] as const);
  const fill = (text: string, ...places: string[]) => ({ text, work: 'fill' as const, places });
  it('what carries the new layer is not laid again; what is laid anew is', () => {
    expect(layersSaid([fill('lay', 'b'), fill('Spread the cream over the biscuits', 'c', 'b'), fill('lay', 'b')], kinds)).toEqual(['b', 'c', 'b']);
    expect(layersSaid([fill('lay', 'b'), fill('pour over, top with the rest of the crumbs', 'c', 'b')], kinds)).toEqual(['b', 'c', 'b']);
    expect(layersSaid([fill('press', 'p'), fill('spread over the base', 'c', 'p'), fill('Repeat', 'c')], kinds)).toBeNull();
  });
  it('‘in three layers’, ‘ending with cream’, a soak that is no layer, a step that levels', () => {
    expect(layersSaid([fill('build in three layers', 'b', 'c')], kinds)).toEqual(['b', 'c', 'b', 'c', 'b', 'c']);
    expect(layersSaid([fill('spread', 'c'), fill('lay', 'b', 's'), fill('Repeat twice, finishing with cream', 'c')], kinds)).toEqual([
      'c',
      'b',
      'c',
      'b',
      'c',
      'b',
      'c',
    ]);
    expect(layersSaid([fill('spread', 'c'), fill('level', 'c'), fill('lay', 'b')], kinds)).toBeNull();
    expect(layersSaid([fill('spread', 'c'), { ...fill('fold', 'c'), work: 'fold' as const }, fill('lay', 'b')], kinds)).toBeNull();
  });
  it('are at most sixty', () => {
    expect(layersSaid([fill('lay', 'b', 'c'), fill('Repeat 99 times')], kinds)!.length).toBe(60);
  });
});
