import { z } from 'zod';
import { composition, type Component, type Composition } from '../composition/components';
import { fail, ok, within, type Result } from '../result';

/** What sort of thing a carton holds decides whose fat, sugar and protein its label means. */
export const LABEL_KINDS = ['dairy', 'sweetened-dairy', 'chocolate', 'plant', 'fruit', 'biscuit', 'syrup'] as const;
export type LabelKind = (typeof LABEL_KINDS)[number];

export const LABEL_KIND_NAMES: Readonly<Record<LabelKind, string>> = {
  dairy: 'milk, cream, cheese, yoghurt',
  'sweetened-dairy': 'sweetened dairy, dessert',
  chocolate: 'chocolate',
  plant: 'plant cream, nut paste',
  fruit: 'fruit, purée, juice',
  biscuit: 'biscuit, sponge, flour',
  syrup: 'sugar, syrup',
};

/** The table on a carton, g per 100 g (or per 100 mL: say so by the density). */
export const LabelSchema = z.object({
  kind: z.enum(LABEL_KINDS),
  fatG: z.number(),
  carbohydrateG: z.number(),
  sugarsG: z.number(),
  proteinG: z.number(),
  saltG: z.number(),
  fibreG: z.number().default(0),
  /** % by volume; 0 where none is declared. */
  abvPct: z.number().default(0),
});
export type Label = Readonly<z.infer<typeof LabelSchema>>;

export interface LabelReading {
  /** g per 100 g. */
  readonly composition: Composition;
  /** Components that the label does not say and that were worked out. */
  readonly inferred: readonly Component[];
}

const FAT_OF: Readonly<Record<LabelKind, Component>> = {
  dairy: 'milk_fat',
  'sweetened-dairy': 'milk_fat',
  chocolate: 'cocoa_fat',
  plant: 'other_fat',
  fruit: 'other_fat',
  biscuit: 'other_fat',
  syrup: 'other_fat',
};
const PROTEIN_OF: Readonly<Record<LabelKind, Component>> = {
  dairy: 'milk_protein',
  'sweetened-dairy': 'milk_protein',
  chocolate: 'other_protein',
  plant: 'other_protein',
  fruit: 'other_protein',
  biscuit: 'other_protein',
  syrup: 'other_protein',
};
/** Milk's own minerals beside its protein and lactose: 8 parts of ash to 92 (section 1 of the reference: 54 + 38 + 8). */
const ASH_PER_MILK_SOLIDS = 8 / 92;

/**
 * The composition behind a carton's nutrition table. Fat, protein and salt are as declared; which sugars, the starch, the
 * minerals and the water are worked out from what sort of thing it is, and named as inferred.
 * @returns a fault on the field at fault: negative, more sugars than carbohydrate, together more than 100 g.
 */
export function compositionFromLabel(label: Label): Result<LabelReading> {
  const { kind } = label;
  for (const [field, name] of [
    ['fatG', 'Fat'],
    ['carbohydrateG', 'Carbohydrate'],
    ['sugarsG', 'Of which sugars'],
    ['proteinG', 'Protein'],
    ['saltG', 'Salt'],
    ['fibreG', 'Fibre'],
    ['abvPct', 'Alcohol'],
  ] as const) {
    const fault = within(field, name, label[field], 0, 100, field === 'abvPct' ? '%' : 'g');
    if (fault) return { ok: false, fault };
  }
  if (label.sugarsG > label.carbohydrateG + 0.05) {
    return fail(
      'sugarsG',
      'more-than-whole',
      `Sugars ${label.sugarsG}\u00a0g are part of the carbohydrate, which is only ${label.carbohydrateG}\u00a0g: read the two lines again.`,
    );
  }
  const ethanol = label.abvPct * 0.789;
  const declared = label.fatG + label.carbohydrateG + label.proteinG + label.saltG + label.fibreG + ethanol;
  if (declared > 100.5) return fail('fatG', 'more-than-100', `Together that is ${declared.toFixed(1)}\u00a0g in 100\u00a0g: one of them is read wrong.`);
  const parts: Partial<Record<Component, number>> = { salt: label.saltG, fibre: label.fibreG, ethanol };
  const inferred = new Set<Component>(['water']);
  const add = (c: Component, g: number): void => {
    if (g <= 0) return;
    parts[c] = (parts[c] ?? 0) + g;
    if (c !== FAT_OF[kind] && c !== PROTEIN_OF[kind]) inferred.add(c);
  };
  add(FAT_OF[kind], label.fatG);
  add(PROTEIN_OF[kind], label.proteinG);
  const rest = Math.max(0, label.carbohydrateG - label.sugarsG);
  const milkLike = kind === 'dairy' || kind === 'sweetened-dairy';
  // Unsweetened dairy has no sugar but its own; sweetened dairy has about as much lactose as its protein brings along.
  const lactose = kind === 'dairy' ? label.sugarsG : kind === 'sweetened-dairy' ? Math.min(label.sugarsG, (54 / 38) * label.proteinG) : 0;
  add('lactose', lactose);
  const sugars = label.sugarsG - lactose;
  if (kind === 'fruit') {
    add('glucose', sugars / 2);
    add('fructose', sugars / 2);
  } else add('sucrose', sugars);
  add(kind === 'syrup' ? 'higher_saccharides' : kind === 'fruit' ? 'fibre' : 'starch', rest);
  const total = Object.values(parts).reduce((sum, g) => sum + g, 0);
  const ash = milkLike ? Math.min(100 - total, ASH_PER_MILK_SOLIDS * (label.proteinG + lactose)) : 0;
  if (ash > 0) add('other_solids', ash);
  parts.water = Math.max(0, 100 - total - Math.max(0, ash));
  const scale = 100 / (total + Math.max(0, ash) + parts.water);
  const whole = composition(Object.fromEntries(Object.entries(parts).map(([c, g]) => [c, g * scale])));
  return ok({ composition: whole, inferred: [...inferred].filter((c) => whole[c] > 0) });
}
