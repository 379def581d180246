import type { Ingredient } from '../composition/ingredient';

/** An id from a name: 'Elder cordial' → 'elder-cordial'. */
export const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'ingredient';

/**
 * A new ingredient of the kitchen's own, with all that its nearest kin has until its packet has been read: composition, measures and allergens.
 * @param taken ids that are in use already.
 */
export function fromKin(name: string, kin: Ingredient, taken: ReadonlySet<string>): Ingredient {
  const plain = name.trim().replace(/\s+/g, ' ').slice(0, 110) || kin.name;
  const base = slugOf(plain);
  let id = base;
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
  return {
    ...kin,
    id,
    name: plain.charAt(0).toUpperCase() + plain.slice(1),
    aliases: [plain.toLowerCase()],
    note: `Taken from ${kin.name}: check composition and allergens on its packet.`.slice(0, 400),
    own: true,
  };
}
