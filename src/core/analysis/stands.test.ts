import { describe, expect, it } from 'vitest';
import { KITCHEN } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import type { Sheet } from '../document/schema';
import { analyseSheet } from './analyse';

const TART = writtenSheet(
  'Tart\n\n200 g digestive biscuits\n90 g butter\n400 g cream cheese\n200 ml double cream\n80 g sugar\n150 ml whipping cream\n\nCrush the biscuits, mix with the melted butter, press into a 23 cm tart tin. Beat the cheese with the sugar, whip the double cream and fold in. Spread over the base. Chill for 4 hours. Whip the whipping cream and pipe rosettes round the edge.',
);
const TERRINE = writtenSheet(
  'Terrine\n\n400 g strawberries\n100 g sugar\n4 leaves gelatine\n400 ml double cream\n\nSauce\n200 g raspberries\n40 g icing sugar\n\nPuree the strawberries with the sugar. Soak the gelatine, melt and stir in. Whip the cream and fold in. Pour into a 1.2 litre terrine and chill overnight. For the sauce, blend the raspberries with the icing sugar and sieve. Turn out, slice and serve with the sauce.',
);
const allIn = (s: Sheet): Sheet => ({ ...s, parts: s.parts.map((p) => ({ ...p, stands: 'in' as const })) });
const volume = (s: Sheet): number => {
  const { volumeMl } = analyseSheet(s, KITCHEN);
  if (!volumeMl.ok) throw new Error(volumeMl.fault.says);
  return volumeMl.value;
};

describe('where a part stands', () => {
  it('is read: rosettes on a set tart are over its rim, a sauce is beside the terrine', () => {
    expect(TART.parts.filter((p) => p.stands === 'beside').map((p) => p.name)).toEqual(['Whipped cream 2']);
    expect(TERRINE.parts.filter((p) => p.stands === 'beside').map((p) => p.name)).toEqual(['Sauce']);
  });
  it('beside the vessel it fills nothing of it, and weighs as before', () => {
    const a = analyseSheet(TART, KITCHEN);
    const rosettes = a.parts.find((p) => p.part.stands === 'beside')!;
    expect(a.layers.some((l) => l.part.id === rosettes.part.id)).toBe(false);
    expect(volume(allIn(TART)) - volume(TART)).toBeCloseTo(rosettes.foamMl.ok ? rosettes.foamMl.value : NaN, 6);
    expect(analyseSheet(allIn(TART), KITCHEN).mixture.massG).toBeCloseTo(a.mixture.massG, 9);
  });
  it('in a bowl or a glass what goes on late is still within', () => {
    const trifle = writtenSheet(
      'Trifle\n\n200 g sponge fingers\n400 ml custard\n300 ml double cream\n\nLay the fingers in a trifle bowl. Pour the custard over. Chill for 2 hours. Whip the cream and spread on top.',
    );
    expect(trifle.parts.every((p) => p.stands === 'in')).toBe(true);
  });
  it('of parts that are all beside it, it is their vessel after all', () => {
    const none = { ...TART, parts: TART.parts.map((p) => ({ ...p, stands: 'beside' as const })) };
    expect(volume(none)).toBeCloseTo(volume(allIn(TART)), 6);
  });
});

describe('a sponge of eggs and flour', () => {
  const cake = writtenSheet(
    'Cake\n\n3 eggs\n90 g caster sugar\n90 g plain flour\n300 ml whipping cream\n\nWhisk eggs and sugar for 8 min until thick. Sift over the flour and fold in. Bake in a 23cm tin at 180°C for 20 min. Cool. Whip the cream and spread on top.',
  );
  it('lies as a sponge, not as its batter: 330 g are about a litre, and its egg is baked', () => {
    const sponge = analyseSheet(cake, KITCHEN).parts.find((p) => p.part.kind === 'biscuit-layer')!;
    expect(sponge.reading.mixture.massG).toBeCloseTo(330, 0);
    expect(sponge.foamMl.ok && sponge.foamMl.value).toBeCloseTo((330 * 0.88) / 0.3, 0);
    expect(sponge.rawEgg).toBe(false);
  });
});
