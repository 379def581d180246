import { composition } from '../../core/composition/components';
import type { Ingredient } from '../../core/composition/ingredient';

const own = (
  i: Pick<Ingredient, 'id' | 'name' | 'aliases' | 'category' | 'composition' | 'packG' | 'pricePerKg' | 'note'> & Partial<Ingredient>,
): Ingredient => ({
  foamRole: 'none',
  densityGPerMl: null,
  gramsPerUsCup: null,
  piece: null,
  bloom: null,
  ownSweetness: null,
  ownFreezing: null,
  ediblePct: 100,
  allergens: [],
  flags: [],
  biscuit: null,
  inferred: [],
  own: true,
  ...i,
});

/** What Gannet Quay keeps besides the shipped larder. */
export const SAMPLE_INGREDIENTS: readonly Ingredient[] = [
  own({
    id: 'malt-extract',
    name: 'Malt extract, barley',
    aliases: ['malt', 'malt syrup', 'malt extract'],
    category: 'sugar',
    composition: composition({ water: 20, glucose: 9, fructose: 1, sucrose: 2, higher_saccharides: 60, other_protein: 5.5, other_solids: 2.5 }),
    densityGPerMl: 1.4,
    gramsPerUsCup: 331,
    packG: 450,
    pricePerKg: 9,
    allergens: ['barley'],
    note: 'Mostly maltose: a third as sweet as sugar. Warm the spoon.',
  }),
  own({
    id: 'elderflower-cordial',
    name: 'Elderflower cordial, house',
    aliases: ['elderflower cordial'],
    category: 'sugar',
    composition: composition({ water: 48.4, sucrose: 50, acid: 1.4, other_solids: 0.2 }),
    densityGPerMl: 1.23,
    gramsPerUsCup: 291,
    packG: 500,
    pricePerKg: 12,
    inferred: ['water'],
    note: 'Half sugar. Food-grade flowers only, picked away from roads.',
  }),
  own({
    id: 'buckwheat-honey',
    name: 'Buckwheat honey',
    aliases: ['buckwheat honey'],
    category: 'sugar',
    composition: composition({ water: 18, glucose: 34, fructose: 38, sucrose: 1.5, higher_saccharides: 7.5, acid: 0.4, other_protein: 0.3, other_solids: 0.3 }),
    densityGPerMl: 1.42,
    gramsPerUsCup: 336,
    packG: 500,
    pricePerKg: 16,
    inferred: ['higher_saccharides'],
    note: 'Dark and malty: it leads, so keep other flavours quiet.',
  }),
];
