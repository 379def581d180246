import { DOSE_BANDS, type GelatinUse } from '../setting/house';
import type { BowlKind } from '../heat/house';

/** The kinds of part, in the order in which cooks build. */
export const PART_KINDS = [
  'whipped-cream',
  'cheese-cream',
  'egg-foam',
  'custard',
  'chocolate-base',
  'fruit-base',
  'set-filling',
  'buttercream',
  'soak',
  'biscuit-layer',
  'pressed-base',
  'meringue',
  'topping',
  'crown',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

export const PART_KIND_NAMES: Readonly<Record<PartKind, string>> = {
  'whipped-cream': 'whipped cream',
  'cheese-cream': 'cheese cream',
  'egg-foam': 'egg foam',
  custard: 'cooked custard',
  'chocolate-base': 'chocolate base',
  'fruit-base': 'fruit base',
  'set-filling': 'folded filling',
  buttercream: 'meringue buttercream',
  soak: 'soak',
  'biscuit-layer': 'biscuit layer',
  'pressed-base': 'pressed base',
  meringue: 'meringue shell',
  topping: 'topping',
  crown: 'crown of cream',
};

/** What a step does: the kinds of work that a plan and a timer tell apart. */
export const STEP_WORKS = ['hands', 'whisk', 'beat', 'fold', 'heat', 'bake', 'soak', 'wait', 'chill', 'freeze', 'fill', 'finish', 'serve'] as const;
export type StepWork = (typeof STEP_WORKS)[number];

export const STEP_WORK_NAMES: Readonly<Record<StepWork, string>> = {
  hands: 'by hand',
  whisk: 'whisk',
  beat: 'beat',
  fold: 'fold',
  heat: 'heat',
  bake: 'bake',
  soak: 'soak',
  wait: 'wait',
  chill: 'chill',
  freeze: 'freeze',
  fill: 'fill',
  finish: 'finish',
  serve: 'serve',
};

/** What goes on by itself once it has begun. */
export const goesByItself = (work: StepWork): boolean => work === 'wait' || work === 'chill' || work === 'freeze' || work === 'bake' || work === 'soak';

/** What a step needs besides hands. */
export const STEP_MACHINES = ['mixer', 'oven', 'hob', 'fridge', 'freezer'] as const;
export type StepMachine = (typeof STEP_MACHINES)[number];

/** Where a part stands: in the vessel, or beside it (a sauce in its jug, rosettes over the rim): then it fills nothing. */
export const STANDS = ['in', 'beside'] as const;
export type Stands = (typeof STANDS)[number];
/** Kinds that are served on top or beside often enough to be asked: decorations and sauces. */
export const MAY_STAND_BESIDE: ReadonlySet<PartKind> = new Set<PartKind>(['topping', 'crown', 'whipped-cream', 'fruit-base']);
export const STANDS_NAMES: Readonly<Record<Stands, string>> = { in: 'in the vessel', beside: 'on top or beside' };

/** By which part of its day a step is done: noon, five in the afternoon. */
export const DAY_PARTS = ['morning', 'afternoon'] as const;
export type DayPart = (typeof DAY_PARTS)[number];

/** Kinds whose air is that of whipped cream. */
export const isWhippedKind = (kind: PartKind): boolean => kind === 'whipped-cream' || kind === 'cheese-cream' || kind === 'crown';

export const USES = ['spoon', ...Object.keys(DOSE_BANDS)] as ['spoon', GelatinUse, ...GelatinUse[]];
export type Use = 'spoon' | GelatinUse;

export const FAMILIES = ['chantilly', 'frosting', 'tiramisu', 'icebox', 'syllabub', 'semifreddo', 'mousse', 'cheesecake', 'nest', 'pudding'] as const;
export type Family = (typeof FAMILIES)[number];

export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  chantilly: 'whipped cream',
  frosting: 'stabilised cream or frosting',
  tiramisu: 'tiramisu or trifle',
  icebox: 'icebox cake or slice',
  syllabub: 'syllabub',
  semifreddo: 'semifreddo or frozen parfait',
  mousse: 'mousse',
  cheesecake: 'set cheesecake or tart',
  nest: 'meringue nest or shell',
  pudding: 'layered pudding',
};

export const FORMAT_VERSION = 2;

/** What each use asks of the hold in the fridge, h (house). */
export const WISHED_HOLD_H: Readonly<Record<Use, number>> = {
  spoon: 4,
  'hold-a-day': 24,
  pipe: 48,
  glass: 24,
  slice: 48,
  'turn-out': 48,
};

export const USE_NAMES: Readonly<Record<Use, string>> = {
  spoon: 'spooned today',
  'hold-a-day': 'held a day',
  pipe: 'piped, held two days',
  glass: 'set in a glass',
  slice: 'cut in slices',
  'turn-out': 'turned out',
};

export const PLACE_KINDS = ['still-fridge', 'fan-fridge', 'chest-freezer', 'frost-free-freezer', 'blast-chiller', 'counter'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];
export const PLACE_KIND_NAMES: Readonly<Record<PlaceKind, string>> = {
  'still-fridge': 'still fridge',
  'fan-fridge': 'fan fridge',
  'chest-freezer': 'chest freezer',
  'frost-free-freezer': 'frost-free freezer',
  'blast-chiller': 'blast chiller',
  counter: 'counter',
};

/** What is hot or cold about a part: at which temperature it meets the others, its syrup, the bowl that it is in, its readings. */
export interface HeatPlan {
  /** At which it meets what it is folded or poured into, °C; null for the usual of its kind. */
  readonly atC: number | null;
  /** To which its syrup is boiled, °C. */
  readonly syrupC: number;
  readonly bowl: BowlKind;
  /** Empty, g. */
  readonly bowlG: number;
  /** Eggs when they meet the heat, °C. */
  readonly eggC: number;
  /** How it is whisked while it cools. */
  readonly cools: 'fast' | 'slow';
  /** What the hob gives, W. */
  readonly hobW: number;
  /** Readings of its temperature as the cook typed them: '0 20, 4 62, 7:30 71'. */
  readonly curve: string;
}

/** How a part is taken to be warmed and cooled until the cook says otherwise. */
export const USUAL_HEAT: HeatPlan = { atC: null, syrupC: 118, bowl: 'steel', bowlG: 500, eggC: 20, cools: 'fast', hobW: 1800, curve: '' };
/** From finished to served, h, until the cook says otherwise. */
export const USUAL_WAIT_H = 12;
