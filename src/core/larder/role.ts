import type { Ingredient } from '../composition/ingredient';

/** What an ingredient is to a step: what the step asks for, and which lines it takes. */
export const ROLES = [
  'cream',
  'milk',
  'cheese',
  'sugar',
  'gelatin',
  'setter',
  'starch',
  'yolk',
  'white',
  'egg',
  'butter',
  'chocolate',
  'cocoa',
  'fruit',
  'sour',
  'drink',
  'liquid',
  'biscuit',
  'nut',
  'salt',
  'acid',
  'flavour',
  'part',
] as const;
export type Role = (typeof ROLES)[number];

export const ROLE_NAMES: Readonly<Record<Role, string>> = {
  cream: 'cream',
  milk: 'milk',
  cheese: 'cheese',
  sugar: 'sugar',
  gelatin: 'gelatin',
  setter: 'a setter',
  starch: 'starch',
  yolk: 'yolks',
  white: 'whites',
  egg: 'eggs',
  butter: 'butter',
  chocolate: 'chocolate',
  cocoa: 'cocoa',
  fruit: 'fruit',
  sour: 'juice or wine',
  drink: 'a drink',
  liquid: 'a liquid',
  biscuit: 'biscuits',
  nut: 'nuts',
  salt: 'salt',
  acid: 'acid',
  flavour: 'flavour',
  part: 'another part',
};

const BY_CATEGORY: Readonly<Record<string, Role>> = {
  cream: 'cream',
  sugar: 'sugar',
  starch: 'starch',
  fat: 'butter',
  chocolate: 'chocolate',
  fruit: 'fruit',
  drink: 'drink',
  liquid: 'liquid',
  biscuit: 'biscuit',
  nut: 'nut',
  flavour: 'flavour',
};
const ACIDS = new Set(['citric-acid', 'cream-of-tartar', 'vinegar-white']);

/** The role of an ingredient in a method. */
export function roleOf(i: Ingredient): Role {
  if (i.bloom !== null) return 'gelatin';
  if (i.category === 'egg') return i.id.startsWith('egg-yolk') ? 'yolk' : i.id.startsWith('egg-white') ? 'white' : 'egg';
  if (i.category === 'dairy') {
    if (i.foamRole === 'mascarpone' || i.foamRole === 'soft-cheese' || i.foamRole === 'strained-yoghurt' || i.id === 'ricotta' || i.id === 'quark')
      return 'cheese';
    return i.foamRole === 'cream' ? 'cream' : 'milk';
  }
  if (i.id.startsWith('cocoa-powder')) return 'cocoa';
  if (i.id === 'salt') return 'salt';
  if (ACIDS.has(i.id)) return 'acid';
  if (i.category === 'setting') return i.id === 'marshmallow' ? 'sugar' : 'setter';
  if (i.foamRole === 'sour-liquid') return i.category === 'drink' ? 'drink' : 'sour';
  return BY_CATEGORY[i.category] ?? 'flavour';
}
