import type { Ingredient } from '../composition/ingredient';

/** Caffeine by what brings it, mg per 100 g. Source: science-2, from food tables; dark chocolate at 70 % cocoa, others by their cocoa. */
const CAFFEINE_MG: readonly (readonly [RegExp, number])[] = [
  [/^coffee-brewed/, 40],
  [/^coffee-espresso/, 210],
  [/^(?:coffee-instant|espresso-powder)/, 3100],
  [/^coffee-liqueur/, 10],
  [/^cocoa-(?:powder|nibs)/, 230],
  [/^tea-black/, 20],
  [/^matcha/, 3200],
];
const DARK_70_MG = 80;
/** Cocoa of a chocolate whose name does not say, %. */
const USUAL_COCOA_PCT = 50;

/** mg of caffeine per 100 g; 0 for what has none, null where it has some and no table gives how much. */
export function caffeineMgPer100(i: Pick<Ingredient, 'id' | 'name' | 'flags'>): number | null {
  if (!i.flags.includes('caffeine')) return 0;
  const known = CAFFEINE_MG.find(([id]) => id.test(i.id));
  if (known) return known[1];
  if (/^chocolate|\bchocolate\b/i.test(`${i.id} ${i.name}`)) return (DARK_70_MG * Number(/(\d{2})\s?%/.exec(i.name)?.[1] ?? USUAL_COCOA_PCT)) / 70;
  return null;
}

/** Nuts by their own names, as a label needs them. */
const NUTS = ['almond', 'hazelnut', 'pistachio', 'walnut', 'pecan', 'cashew', 'macadamia', 'brazil'] as const;
const ALSO: Readonly<Record<string, string>> = {
  marzipan: 'almond',
  amaretti: 'almond',
  praline: 'hazelnut',
  gianduja: 'hazelnut',
  'nut-chocolate': 'hazelnut',
};

/** The nuts that an ingredient brings, by name; none where it is no tree nut or its name does not say which. */
export function nutsIn(i: Pick<Ingredient, 'id' | 'name' | 'allergens' | 'aliases'>): readonly string[] {
  if (!i.allergens.includes('tree-nut')) return [];
  const words = `${i.id} ${i.name} ${i.aliases.join(' ')}`.toLowerCase();
  return [...new Set([...NUTS.filter((n) => words.includes(n)), ...Object.entries(ALSO).flatMap(([word, nut]) => (i.id.startsWith(word) ? [nut] : []))])];
}
