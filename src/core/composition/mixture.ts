import { COMPONENTS, composition, type Component, type Composition } from './components';

/** Some grams of something of known composition. */
export interface Portion {
  /** g, at least 0. */
  readonly massG: number;
  /** g per 100 g. */
  readonly per100: Composition;
}

/** A mix: its mass and the grams of each component in it. */
export interface Mixture {
  readonly massG: number;
  readonly grams: Composition;
}

/** Copied, not built anew: mixtures are made at every keystroke. */
const NOTHING: Readonly<Record<Component, number>> = composition({});

const present = new WeakMap<Composition, readonly (readonly [Component, number])[]>();

/** The components that a composition really has, found once: most ingredients have five of twenty-one. */
function presentIn(per100: Composition): readonly (readonly [Component, number])[] {
  const known = present.get(per100);
  if (known) return known;
  const found = COMPONENTS.flatMap((c): [Component, number][] => (per100[c] === 0 ? [] : [[c, per100[c]]]));
  present.set(per100, found);
  return found;
}

/**
 * The mass-weighted sum of portions (physics: mass is conserved).
 * @returns total mass and grams of each component; both zero for no portions.
 */
export function mix(portions: readonly Portion[]): Mixture {
  const grams = { ...NOTHING };
  let massG = 0;
  for (const { massG: m, per100: per } of portions) {
    massG += m;
    const share = m / 100;
    for (const [c, of] of presentIn(per)) grams[c] += share * of;
  }
  return { massG, grams };
}

/** g of every fat in a mix. */
export const fatG = ({ grams: g }: Mixture): number => g.milk_fat + g.cocoa_fat + g.egg_fat + g.other_fat;

/** g of sugars other than the milk's own: what a cook adds, as dry sugar. */
export const addedSugarG = ({ grams: g }: Mixture): number => g.sucrose + g.glucose + g.fructose + g.higher_saccharides + g.polyol;

/** Milk solids not fat, g: (lactose + milk protein) / 0.92, the rest of them being ash. */
export const milkSolidsNotFatG = ({ grams: g }: Mixture): number => (g.lactose + g.milk_protein) / 0.92;

/** The composition of a mix per 100 g; null for an empty one. */
export function per100(mixture: Mixture): Composition | null {
  if (mixture.massG <= 0) return null;
  return Object.fromEntries(COMPONENTS.map((c) => [c, (100 * mixture.grams[c]) / mixture.massG])) as Record<Component, number>;
}

/** A share of something that is mixed already; above 0, or below it for what is taken away. */
export interface MixtureShare {
  readonly mixture: Mixture;
  readonly share: number;
}

/** Several mixtures, or shares of them, as one (physics: mass is conserved). */
export function combine(parts: readonly MixtureShare[]): Mixture {
  const grams = { ...NOTHING };
  let massG = 0;
  for (const { mixture, share } of parts) {
    massG += share * mixture.massG;
    for (const c of COMPONENTS) grams[c] += share * mixture.grams[c];
  }
  return { massG, grams };
}
