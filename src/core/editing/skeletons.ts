import { newLine, type EditContext } from './edits';
import type { Family, PartKind, Use } from '../document/kinds';
import type { Part, Sheet, WhiskPlan } from '../document/schema';
import { startingPart, startingSheet } from './starting';
import type { SweetnessBand } from '../composition/sweetness';
import { STARTING_VESSELS } from '../vessel/profile';
import { settleMethod } from '../ways/settle';

/** A dessert to start from: the parts of its family with amounts that work, to be changed. */
export interface Skeleton {
  readonly id: Family | 'buttercream';
  readonly name: string;
  /** What it is made of, in a few words. */
  readonly says: string;
  readonly family: Family;
  readonly use: Use;
  readonly sweetness: SweetnessBand;
  readonly portions: number;
  readonly vessel: string;
  readonly parts: readonly {
    readonly kind: PartKind;
    readonly name: string;
    readonly lines: readonly string[];
    readonly ways?: Readonly<Record<string, string>>;
    readonly whisk?: Partial<WhiskPlan>;
  }[];
}

/** One of each family, and buttercream (house proportions, each within the usual of its kind). */
export const SKELETONS: readonly Skeleton[] = [
  {
    id: 'chantilly',
    name: 'Chantilly',
    says: 'cream, sugar, vanilla',
    family: 'chantilly',
    use: 'spoon',
    sweetness: 'chantilly',
    portions: 8,
    vessel: 'Serving bowl',
    parts: [{ kind: 'whipped-cream', name: 'Cream', lines: ['600 g cream 36 %', '60 g icing sugar', '1 tsp vanilla extract'] }],
  },
  {
    id: 'frosting',
    name: 'Stabilised cream',
    says: 'cream held by gelatin, to pipe',
    family: 'frosting',
    use: 'pipe',
    sweetness: 'frosting',
    portions: 24,
    vessel: 'Tub',
    parts: [
      {
        kind: 'cheese-cream',
        name: 'Piping cream',
        lines: ['500 g cream 36 %', '150 g mascarpone', '100 g icing sugar', '2 leaves gelatin'],
        whisk: { stage: 'firm' },
      },
    ],
  },
  {
    id: 'buttercream',
    name: 'Meringue buttercream',
    says: 'Swiss meringue, butter, folded into cheese',
    family: 'frosting',
    use: 'pipe',
    sweetness: 'frosting',
    portions: 24,
    vessel: 'Tub',
    parts: [
      { kind: 'buttercream', name: 'Buttercream', lines: ['150 g egg whites', '230 g caster sugar', '330 g butter'] },
      { kind: 'set-filling', name: 'Cheese frosting', lines: ['300 g cream cheese', 'all of the Buttercream'] },
    ],
  },
  {
    id: 'tiramisu',
    name: 'Tiramisu tray',
    says: 'yolk foam, mascarpone, cream, fingers, coffee',
    family: 'tiramisu',
    use: 'spoon',
    sweetness: 'dessert',
    portions: 12,
    vessel: 'Steel tray',
    parts: [
      { kind: 'egg-foam', name: 'Yolk foam', lines: ['6 yolks', '120 g caster sugar', '40 g water'], ways: { eggs: 'syrup' } },
      { kind: 'whipped-cream', name: 'Cream', lines: ['300 g cream 36 %'], whisk: { stage: 'soft' } },
      { kind: 'set-filling', name: 'Mascarpone cream', lines: ['500 g mascarpone', 'all of the Yolk foam', 'all of the Cream'] },
      { kind: 'soak', name: 'Coffee', lines: ['300 g espresso', '40 g marsala'] },
      { kind: 'biscuit-layer', name: 'Fingers', lines: ['36 ladyfingers'] },
      { kind: 'topping', name: 'Cocoa', lines: ['10 g cocoa powder'] },
    ],
  },
  {
    id: 'icebox',
    name: 'Icebox cake',
    says: 'sweet cream, thin biscuits, a ring',
    family: 'icebox',
    use: 'slice',
    sweetness: 'dessert',
    portions: 10,
    vessel: 'Springform 20 cm',
    parts: [
      { kind: 'cheese-cream', name: 'Cream', lines: ['500 g cream 36 %', '150 g mascarpone', '70 g icing sugar'] },
      { kind: 'biscuit-layer', name: 'Biscuits', lines: ['48 ginger thins'], ways: { dip: 'dry' } },
    ],
  },
  {
    id: 'syllabub',
    name: 'Syllabub',
    says: 'double cream, sweet wine, lemon',
    family: 'syllabub',
    use: 'glass',
    sweetness: 'dessert',
    portions: 6,
    vessel: 'Small glass',
    parts: [
      {
        kind: 'whipped-cream',
        name: 'Syllabub',
        lines: ['300 g double cream', '110 g sweet wine', '70 g caster sugar', '20 g lemon juice'],
        whisk: { stage: 'soft' },
      },
    ],
  },
  {
    id: 'semifreddo',
    name: 'Semifreddo',
    says: 'yolks with syrup, cream, a terrine',
    family: 'semifreddo',
    use: 'slice',
    sweetness: 'semifreddo',
    portions: 10,
    vessel: 'Terrine 1.2 L',
    parts: [
      { kind: 'egg-foam', name: 'Yolk foam', lines: ['6 yolks', '140 g caster sugar', '45 g water'], ways: { eggs: 'syrup' } },
      { kind: 'whipped-cream', name: 'Cream', lines: ['400 g cream 36 %'], whisk: { stage: 'soft' } },
      { kind: 'set-filling', name: 'Parfait', lines: ['all of the Yolk foam', 'all of the Cream'], ways: { 'first-portion': 'quarter' } },
    ],
  },
  {
    id: 'mousse',
    name: 'Chocolate mousse',
    says: 'ganache, whipped cream, glasses',
    family: 'mousse',
    use: 'glass',
    sweetness: 'fruit-mousse',
    portions: 8,
    vessel: 'Footed glass',
    parts: [
      { kind: 'chocolate-base', name: 'Ganache', lines: ['220 g dark chocolate 64 %', '180 g cream 36 %'] },
      { kind: 'whipped-cream', name: 'Cream', lines: ['380 g cream 36 %'], whisk: { stage: 'soft' } },
      { kind: 'set-filling', name: 'Mousse', lines: ['all of the Ganache', 'all of the Cream'] },
    ],
  },
  {
    id: 'cheesecake',
    name: 'Set cheesecake',
    says: 'pressed base, cheese, cream, gelatin',
    family: 'cheesecake',
    use: 'slice',
    sweetness: 'dessert',
    portions: 12,
    vessel: 'Springform 24 cm',
    parts: [
      { kind: 'pressed-base', name: 'Base', lines: ['220 g digestives', '95 g butter'] },
      { kind: 'whipped-cream', name: 'Cream', lines: ['350 g cream 36 %'], whisk: { stage: 'soft' } },
      { kind: 'set-filling', name: 'Filling', lines: ['500 g cream cheese', '130 g caster sugar', '60 g lemon juice', '4 leaves gelatin', 'all of the Cream'] },
    ],
  },
  {
    id: 'nest',
    name: 'Meringue under cream',
    says: 'dried shell, whipped cream, fruit',
    family: 'nest',
    use: 'spoon',
    sweetness: 'meringue',
    portions: 8,
    vessel: 'Nest on a plate',
    parts: [
      { kind: 'meringue', name: 'Shells', lines: ['4 whites', '230 g caster sugar', '5 g corn starch', '1 tsp white vinegar'] },
      { kind: 'crown', name: 'Cream', lines: ['350 g cream 36 %', '25 g icing sugar'] },
      { kind: 'topping', name: 'Berries', lines: ['300 g raspberries'] },
    ],
  },
  {
    id: 'pudding',
    name: 'Layered pudding',
    says: 'cooked custard, cream, biscuits',
    family: 'pudding',
    use: 'spoon',
    sweetness: 'dessert',
    portions: 8,
    vessel: 'Footed glass',
    parts: [
      { kind: 'custard', name: 'Custard', lines: ['500 g milk', '4 yolks', '90 g caster sugar', '32 g corn starch'] },
      { kind: 'whipped-cream', name: 'Cream', lines: ['300 g cream 36 %', '20 g icing sugar'], whisk: { stage: 'soft' } },
      { kind: 'set-filling', name: 'Custard cream', lines: ['all of the Custard', 'half of the Cream'] },
      { kind: 'biscuit-layer', name: 'Wafers', lines: ['40 vanilla wafers'], ways: { dip: 'dry' } },
    ],
  },
];

/** A working sheet of a skeleton, in a kitchen. @param newId gives fresh ids, so that the core has no randomness. */
export function sheetOfSkeleton(
  skeleton: Skeleton,
  name: string,
  mixerId: string,
  context: EditContext,
  preferred: Readonly<Record<string, string>>,
  newId: () => string,
): Sheet {
  const made: Part[] = [];
  for (const p of skeleton.parts) {
    const part = startingPart(newId(), p.kind, mixerId, preferred);
    const named: Part = { ...part, name: p.name, ways: { ...part.ways, ...p.ways }, whisk: { ...part.whisk, ...p.whisk } };
    made.push({ ...named, lines: p.lines.map((text) => newLine(newId(), text, context, { parts: [...made, named], partId: named.id })) });
  }
  const start = startingSheet(name, mixerId, [], context.larder, preferred);
  const vessel = STARTING_VESSELS.find((v) => v.name === skeleton.vessel) ?? start.vessel;
  return settleMethod(
    { ...start, family: skeleton.family, use: skeleton.use, sweetness: skeleton.sweetness, portions: skeleton.portions, vessel, parts: made, steps: [] },
    context.larder,
  );
}
