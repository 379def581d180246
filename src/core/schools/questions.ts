import type { Role } from '../larder/role';
import type { Family, PartKind } from '../document/kinds';
import type { WhiskPlan } from '../document/schema';

/** What choosing a school does to the lines of a part. */
export type LineChange =
  /** By mass, one for one. */
  | { readonly kind: 'swap'; readonly from: string; readonly to: string }
  /** Adds a line when the part has none of that role: g per 100 g of what is there of another role. */
  | { readonly kind: 'add'; readonly ingredientId: string; readonly unless: Role; readonly per100Of: Role; readonly grams: number }
  | { readonly kind: 'drop'; readonly role: Role };

/** One school of method. */
export interface WayOption {
  readonly id: string;
  readonly name: string;
  /** Why a cook would, in one sentence. */
  readonly why: string;
  readonly whisk?: Partial<WhiskPlan>;
  readonly lines?: readonly LineChange[];
}

/** Where good cooks disagree: a question with its schools; the first is the usual one here, with its reason. */
export interface WayQuestion {
  readonly key: string;
  readonly asks: string;
  /** Part kinds that it is asked of; empty for a question of the whole dessert. */
  readonly kinds: readonly PartKind[];
  readonly families: readonly Family[];
  /** Asked only of parts that have all of these. */
  readonly needs: readonly Role[];
  readonly options: readonly [WayOption, ...WayOption[]];
}

const CREAMS = ['whipped-cream', 'cheese-cream', 'crown'] as const satisfies readonly PartKind[];

const CARTON_EGG: readonly LineChange[] = [
  { kind: 'swap', from: 'egg-yolk', to: 'egg-yolk-pasteurised' },
  { kind: 'swap', from: 'egg-white', to: 'egg-white-pasteurised' },
  { kind: 'swap', from: 'egg-whole', to: 'egg-whole-pasteurised' },
];
const SHELL_EGG: readonly LineChange[] = [
  { kind: 'add', ingredientId: 'egg-yolk', unless: 'yolk', per100Of: 'sugar', grams: 65 },
  { kind: 'swap', from: 'egg-yolk-pasteurised', to: 'egg-yolk' },
  { kind: 'swap', from: 'egg-white-pasteurised', to: 'egg-white' },
  { kind: 'swap', from: 'egg-whole-pasteurised', to: 'egg-whole' },
];

const part = (key: string, asks: string, kinds: readonly PartKind[], needs: readonly Role[], options: WayQuestion['options']): WayQuestion => ({
  key,
  asks,
  kinds,
  families: [],
  needs,
  options,
});
const whole = (key: string, asks: string, families: readonly Family[], options: WayQuestion['options']): WayQuestion => ({
  key,
  asks,
  kinds: [],
  families,
  needs: [],
  options,
});

export const WAY_QUESTIONS: readonly WayQuestion[] = [
  part(
    'sugar-moment',
    'Sugar goes in',
    CREAMS,
    ['cream', 'sugar'],
    [
      { id: 'start', name: 'at the start', why: 'Simple, and it has time to dissolve.', whisk: { sugarAt: 'start' } },
      {
        id: 'soft-peak',
        name: 'at soft peak',
        why: 'Takes more air and whisks faster; needs a sugar that dissolves at once.',
        whisk: { sugarAt: 'soft-peak' },
      },
    ],
  ),
  part(
    'sugar-kind',
    'Sugar',
    CREAMS,
    ['cream', 'sugar'],
    [
      {
        id: 'icing',
        name: 'icing',
        why: 'Dissolves at once, and its starch holds a little.',
        lines: [
          { kind: 'swap', from: 'sugar-caster', to: 'icing-sugar-starch' },
          { kind: 'swap', from: 'sugar-granulated', to: 'icing-sugar-starch' },
        ],
      },
      {
        id: 'caster',
        name: 'caster',
        why: 'Cleaner taste; no starch to dull it.',
        lines: [
          { kind: 'swap', from: 'icing-sugar-starch', to: 'sugar-caster' },
          { kind: 'swap', from: 'sugar-granulated', to: 'sugar-caster' },
        ],
      },
    ],
  ),
  part(
    'bowl',
    'Bowl and whisk',
    CREAMS,
    ['cream'],
    [
      { id: 'chilled', name: 'chilled', why: 'The cream stays below 7 °C and takes the most air.' },
      { id: 'room', name: 'as they are', why: 'Good enough in a cold room, with cream straight from the fridge.' },
    ],
  ),
  part(
    'peak',
    'Cream for folding or piping',
    CREAMS,
    ['cream'],
    [
      { id: 'medium', name: 'medium', why: 'Stands, and still gives way.', whisk: { stage: 'medium' } },
      { id: 'soft', name: 'soft', why: 'Folds in without lumps and keeps its air in the fold.', whisk: { stage: 'soft' } },
      { id: 'firm', name: 'firm', why: 'Pipes and stands; turns grainy soonest.', whisk: { stage: 'firm' } },
    ],
  ),
  part(
    'stabilise',
    'Stabilised with',
    CREAMS,
    ['cream'],
    [
      { id: 'as-written', name: 'what is written', why: 'Leaves the lines as they are.' },
      {
        id: 'nothing',
        name: 'nothing',
        why: 'For cream eaten within hours.',
        lines: [
          { kind: 'drop', role: 'gelatin' },
          { kind: 'drop', role: 'setter' },
          { kind: 'drop', role: 'starch' },
        ],
      },
      {
        id: 'gelatin',
        name: 'gelatin',
        why: 'Least in amount and taste; holds two days.',
        lines: [{ kind: 'add', ingredientId: 'gelatin-leaf-gold', unless: 'gelatin', per100Of: 'cream', grams: 0.7 }],
      },
      {
        id: 'cheese',
        name: 'cheese',
        why: 'No soaking; richer, and it takes less air.',
        lines: [
          { kind: 'drop', role: 'gelatin' },
          { kind: 'add', ingredientId: 'cream-cheese-block', unless: 'cheese', per100Of: 'cream', grams: 45 },
        ],
      },
      {
        id: 'yoghurt',
        name: 'strained yoghurt',
        why: 'Holds well and tastes fresh; it sours the cream a little.',
        lines: [
          { kind: 'drop', role: 'gelatin' },
          { kind: 'add', ingredientId: 'greek-yoghurt-10', unless: 'cheese', per100Of: 'cream', grams: 35 },
        ],
      },
      {
        id: 'starch',
        name: 'instant starch',
        why: 'Dry in the cupboard, no heat; shows in taste above 2 %.',
        lines: [
          { kind: 'drop', role: 'gelatin' },
          { kind: 'add', ingredientId: 'instant-pudding-powder', unless: 'starch', per100Of: 'cream', grams: 2 },
        ],
      },
      {
        id: 'buttercream',
        name: 'meringue buttercream',
        why: 'For a warm room: sets firm with the butter. Whites, sugar and butter are cooked and beaten first.',
        lines: [
          { kind: 'drop', role: 'gelatin' },
          { kind: 'add', ingredientId: 'egg-white', unless: 'white', per100Of: 'cream', grams: 12 },
          { kind: 'add', ingredientId: 'butter-82', unless: 'butter', per100Of: 'cream', grams: 36 },
        ],
      },
    ],
  ),
  part(
    'gelatin-melt',
    'Gelatin is melted',
    [...CREAMS, 'set-filling', 'fruit-base'],
    ['gelatin'],
    [
      { id: 'over-water', name: 'over warm water', why: 'Nothing else to heat; loosen it with a spoon of cream before it goes in.' },
      { id: 'in-liquid', name: 'in a little of the cream or fruit', why: 'Goes in without strings, at the price of warming part of it.' },
    ],
  ),
  part(
    'mascarpone-foam',
    'Mascarpone is lightened with',
    ['cheese-cream'],
    ['cheese'],
    [
      { id: 'as-written', name: 'what is written', why: 'Leaves the lines as they are.' },
      {
        id: 'cream',
        name: 'whipped cream',
        why: 'Keeps three days and needs no raw white.',
        lines: [
          { kind: 'drop', role: 'white' },
          { kind: 'add', ingredientId: 'cream-36', unless: 'cream', per100Of: 'cheese', grams: 60 },
        ],
      },
      {
        id: 'whites',
        name: 'whisked whites',
        why: 'The lightest; raw white, so a day at most.',
        lines: [
          { kind: 'drop', role: 'cream' },
          { kind: 'add', ingredientId: 'egg-white', unless: 'white', per100Of: 'cheese', grams: 20 },
        ],
      },
      {
        id: 'both',
        name: 'cream and whites',
        why: 'Light, and steadier than whites alone.',
        lines: [
          { kind: 'add', ingredientId: 'cream-36', unless: 'cream', per100Of: 'cheese', grams: 40 },
          { kind: 'add', ingredientId: 'egg-white', unless: 'white', per100Of: 'cheese', grams: 13 },
        ],
      },
      {
        id: 'neither',
        name: 'nothing',
        why: 'Dense and rich; the easiest to keep.',
        lines: [
          { kind: 'drop', role: 'white' },
          { kind: 'drop', role: 'cream' },
        ],
      },
    ],
  ),
  part(
    'eggs',
    'Eggs',
    ['egg-foam'],
    [],
    [
      {
        id: 'syrup',
        name: 'cooked with hot syrup',
        why: 'Reaches the usual figure when the syrup is hot and the bowl small; keeps the most air.',
        lines: [...SHELL_EGG, { kind: 'add', ingredientId: 'water', unless: 'liquid', per100Of: 'sugar', grams: 30 }],
      },
      { id: 'steam', name: 'over steam', why: 'No syrup to boil; a probe says when it is there.', lines: SHELL_EGG },
      { id: 'raw', name: 'raw', why: 'The old way and the quickest. Not for everyone: see the caution.', lines: SHELL_EGG },
      { id: 'pasteurised', name: 'pasteurised from a carton', why: 'No kill step needed; a little less air.', lines: CARTON_EGG },
      {
        id: 'none',
        name: 'none',
        why: 'No egg at all: the sugar goes into the cream, which carries the air alone.',
        lines: [
          { kind: 'drop', role: 'yolk' },
          { kind: 'drop', role: 'egg' },
        ],
      },
    ],
  ),
  part(
    'whites',
    'Meringue',
    ['meringue', 'egg-foam', 'buttercream'],
    ['white', 'sugar'],
    [
      { id: 'french', name: 'French, cold', why: 'Simple and light, for what is baked through.' },
      { id: 'swiss-71', name: 'Swiss, to 71 °C', why: 'Reaches the one-point rule in the bowl; dense and steady.' },
      { id: 'swiss-50', name: 'Swiss, to about 50 °C', why: 'Only to melt the sugar: not a kill step.' },
      {
        id: 'italian',
        name: 'Italian, with syrup',
        why: 'Steadiest, for folding into creams that are not baked.',
        lines: [{ kind: 'add', ingredientId: 'water', unless: 'liquid', per100Of: 'sugar', grams: 30 }],
      },
    ],
  ),
  part(
    'cooling',
    'Meringue cools',
    ['meringue'],
    [],
    [
      { id: 'ajar', name: 'oven door ajar', why: 'Steam leaves, the shell stays crisp.' },
      { id: 'shut', name: 'oven shut overnight', why: 'Slowest, fewest cracks; needs a free oven.' },
    ],
  ),
  part(
    'custard-cooling',
    'Custard cools',
    ['custard'],
    [],
    [
      { id: 'ice-bath', name: 'in an ice bath, stirred', why: 'Past the warm band in minutes, whatever the amount.' },
      { id: 'tray', name: 'spread in a tray, then the fridge', why: 'No ice; keep it shallow, under film.' },
    ],
  ),
  part(
    'ganache',
    'Chocolate is melted',
    ['chocolate-base'],
    ['chocolate'],
    [
      { id: 'hot-cream', name: 'with hot cream or milk poured on', why: 'One pan; the emulsion starts at once.' },
      { id: 'bain-marie', name: 'over warm water', why: 'For chocolate with little liquid: a spoonful of water would seize it.' },
    ],
  ),
  part(
    'fruit-cooked',
    'Fruit is',
    ['fruit-base'],
    ['fruit'],
    [
      { id: 'cooked', name: 'cooked, then sieved', why: 'Safe with gelatin, and the taste is deeper.' },
      { id: 'raw', name: 'raw, sieved', why: 'Fresher; kiwi, pineapple, papaya, mango, fig and ginger would eat gelatin.' },
    ],
  ),
  part(
    'first-portion',
    'Folded in first',
    ['set-filling'],
    ['part'],
    [
      { id: 'third', name: 'a third', why: 'Loosens a stiff base enough to save the rest.' },
      { id: 'quarter', name: 'a quarter', why: 'Gives up less air; for a base that is nearly as soft as the foam.' },
      { id: 'none', name: 'nothing', why: 'For a base as soft as the foam.' },
    ],
  ),
  part(
    'dip',
    'Biscuits are',
    ['biscuit-layer'],
    ['biscuit'],
    [
      { id: 'dipped', name: 'dipped', why: 'Even, and quick for a whole tray.' },
      { id: 'brushed', name: 'brushed', why: 'For sponge and toast, which fall apart in a bath.' },
      { id: 'dry', name: 'laid dry', why: 'They soften in the cream over the rest.' },
    ],
  ),
  part(
    'base',
    'The base is',
    ['pressed-base'],
    [],
    [
      { id: 'chilled', name: 'pressed and chilled', why: 'No oven; crumbles when warm.' },
      { id: 'baked', name: 'baked blind', why: 'Crisper, and stays dry under a wet filling.' },
    ],
  ),
  part(
    'fruit-late',
    'Fruit that browns',
    ['topping'],
    ['fruit'],
    [
      { id: 'late', name: 'sliced late', why: 'Just before serving: no juice on the cream.' },
      {
        id: 'lemon',
        name: 'held in lemon juice',
        why: 'Ready beforehand; sharper.',
        lines: [{ kind: 'add', ingredientId: 'lemon-juice', unless: 'sour', per100Of: 'fruit', grams: 4 }],
      },
    ],
  ),
  whole(
    'rest',
    'It rests',
    ['tiramisu'],
    [
      { id: 'overnight', name: 'overnight', why: 'The soak spreads evenly and it cuts clean.' },
      { id: 'hour', name: 'one hour', why: 'Fresher foam, fingers with a bite; spoon it.' },
    ],
  ),
  whole(
    'soften',
    'It softens',
    ['icebox'],
    [
      { id: 'overnight', name: 'overnight', why: 'Every thin biscuit is soft through, and the knife does not crack it.' },
      { id: 'six', name: 'six hours', why: 'The least for thin biscuits, with a little bite left.' },
    ],
  ),
  whole(
    'syllabub',
    'By serving it is',
    ['syllabub'],
    [
      { id: 'whole', name: 'whole', why: 'Firm through: for piping and keeping.' },
      { id: 'parted', name: 'parted', why: 'A clear drink under the curd, as it was first made.' },
    ],
  ),
];

export const questionNamed = (key: string): WayQuestion | null => WAY_QUESTIONS.find((q) => q.key === key) ?? null;

/** The usual school, which stands first. */
export const usualOption = (q: WayQuestion): WayOption => q.options[0];

export const optionOf = (q: WayQuestion, id: string | undefined): WayOption => q.options.find((o) => o.id === id) ?? usualOption(q);
