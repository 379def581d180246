import { composition, type Composition } from '../composition/components';
import type { FoamRole, Ingredient } from '../composition/ingredient';
import { addedSugarG, combine, mix, type Mixture, type MixtureShare, type Portion } from '../composition/mixture';
import { sweetnessPer100, type SweetPortion } from '../composition/sweetness';
import { roleOf, type Role } from '../larder/role';
import { caffeineMgPer100, nutsIn } from '../larder/stimulants';
import { cooksMeasure, readLine, splitLine, type Measures, type ReadLine } from '../measures/line';
import { unitOf } from '../measures/units';
import type { Fault, Result } from '../result';
import { gelatinForStrength } from '../setting/gelatin';
import { REFERENCE_BLOOM, SOAK_WATER_PER_G } from '../setting/house';
import { optionOf, questionNamed } from '../schools/questions';
import { readFeedAmount, shareTaken } from './feed';
import { sucroseEquivalentG, type FreezingPortion } from '../heat/freezing';
import { isLossText, lossPortion, readLoss, type Loss } from './loss';
import type { Line, Part } from '../document/schema';

/** A line with what was made of it. */
export interface LineReading {
  readonly line: Line;
  readonly kind: 'ingredient' | 'part' | 'loss';
  /** What the figures rest on. */
  readonly ingredient: Ingredient | null;
  /** The part that it takes from. */
  readonly fromPart: Part | null;
  readonly role: Role | null;
  /** The name as the cook wrote it. */
  readonly name: string;
  /** Null until the line has been readable once. The mass of a loss is negative. */
  readonly read: ReadLine | null;
  /** What is wrong with what is typed now; the figures then rest on the last good text. */
  readonly fault: Fault | null;
  readonly cooksMeasure: string;
  /** Water that soaked leaf brings along, g. */
  readonly soakWaterG: number;
}

/** Cream that is not simply pasteurised. */
export type CreamKind = 'long-life' | 'stabilised' | 'plant';

/** The kind of a cream, by the words of its carton in the line and of its name in the larder; null for pasteurised. */
export function creamKindOf(ingredient: Pick<Ingredient, 'name' | 'composition'>, text: string): CreamKind | null {
  const words = `${text} ${ingredient.name}`;
  if (/\bplant\b|\bnon-?dairy\b|\bvegan\b/i.test(words) && ingredient.composition.milk_fat === 0) return 'plant';
  if (/\bstabili[sz]e[dr]\b|\bemulsifiers?\b/i.test(words)) return 'stabilised';
  return /\b(?:uht|long[- ]life)\b/i.test(words) ? 'long-life' : null;
}

/** A part read into grams, and what its foam depends on. */
export interface PartReading {
  readonly lines: readonly LineReading[];
  /** Everything in the bowl, soak water and what other parts give included, losses taken off. */
  readonly mixture: Mixture;
  /** g of sucrose equivalent in all of it. */
  readonly sweetG: number;
  /** g of sucrose that would lower the freezing point as much as its sugars, acids and salts. */
  readonly freezingG: number;
  readonly soakWaterG: number;
  /** What other parts give, g. */
  readonly fedG: number;
  readonly dairyG: number;
  /** Milk fat, and the fat of plant creams: fat that is in droplets and can build a network. */
  readonly whippingFatG: number;
  readonly addedSugarG: number;
  readonly roleG: Readonly<Record<FoamRole, number>>;
  /** g of cream that is not simply pasteurised, by its kind. */
  readonly creamKindG: Readonly<Partial<Record<CreamKind, number>>>;
  /** As 225-bloom by the square-root school, g. */
  readonly gelatin225G: number;
  readonly rawStarchG: number;
  readonly rawProteaseFruit: boolean;
  readonly caffeine: boolean;
  /** mg in all of it, as far as tables give it. */
  readonly caffeineMg: number;
  /** Tree nuts by their own names. */
  readonly nuts: readonly string[];
  /** What sets besides gelatin, g: starch and yolk that were cooked, fat that is hard in the cold (coconut, palm). */
  readonly cookedStarchG: number;
  readonly custardYolkG: number;
  readonly hardFatG: number;
  readonly allergens: readonly string[];
}

/** What a line may take from the other parts: their readings, and how much is left for 'the rest'. */
export interface FeedSources {
  readonly partOf: (partId: string) => Part | null;
  /** Null for a part that takes from this one in turn. */
  readonly readingOf: (partId: string) => PartReading | null;
  /** Share (0–1) of the source that each 'rest' line gets. */
  readonly restShare: (partId: string) => number;
}

/** Yolk in a whole egg, share. */
const YOLK_OF_EGG = 0.34;
const WATER: Composition = composition({ water: 100 });
const DAIRY_ROLES: readonly FoamRole[] = ['cream', 'milk', 'mascarpone', 'soft-cheese', 'strained-yoghurt'];

const emptyRoles = (): Record<FoamRole, number> => ({
  cream: 0,
  milk: 0,
  mascarpone: 0,
  'soft-cheese': 0,
  'strained-yoghurt': 0,
  'sour-liquid': 0,
  'milk-powder': 0,
  xanthan: 0,
  none: 0,
});

/** Line readings stay true while line, larder and measures are the same objects: a keystroke reads one line, not a hundred. */
const remembered = new WeakMap<Line, { larder: ReadonlyMap<string, Ingredient>; cups: Measures['cups']; eggs: Measures['eggs']; reading: LineReading }>();

/** Reads one line of an ingredient; its figures come from the last good text while the present one cannot be read. */
export function readingOf(line: Line, larder: ReadonlyMap<string, Ingredient>, measures: Measures): LineReading {
  const known = remembered.get(line);
  if (known && known.larder === larder && known.cups === measures.cups && known.eggs === measures.eggs) return known.reading;
  const reading = readIngredientLine(line, larder, measures);
  remembered.set(line, { larder, cups: measures.cups, eggs: measures.eggs, reading });
  return reading;
}

function readIngredientLine(line: Line, larder: ReadonlyMap<string, Ingredient>, measures: Measures): LineReading {
  const named = line.ingredientId === null ? null : (larder.get(line.ingredientId) ?? null);
  const now = readLine(line.text, named, measures);
  const before = now.ok || line.lastGood?.ingredientId == null ? null : (larder.get(line.lastGood.ingredientId) ?? null);
  const text = before && line.lastGood ? line.lastGood.text : line.text;
  const good = before ? readLine(text, before, measures) : now;
  const read = good.ok ? good.value : null;
  const ingredient = before ?? named;
  return {
    line,
    kind: 'ingredient',
    ingredient,
    fromPart: null,
    role: ingredient ? roleOf(ingredient) : null,
    name: splitLine(line.text).name || ingredient?.name || '',
    read,
    fault: now.ok ? null : now.fault,
    cooksMeasure: read && ingredient ? cooksMeasure(text, read, ingredient, measures) : '',
    soakWaterG: read && ingredient?.bloom && ingredient.piece?.name === 'leaf' ? read.massG * SOAK_WATER_PER_G : 0,
  };
}

const faulty = (line: Line, kind: LineReading['kind'], fault: Fault, fromPart: Part | null = null): LineReading => ({
  line,
  kind,
  ingredient: null,
  fromPart,
  role: kind === 'part' ? 'part' : null,
  name: fromPart?.name ?? line.text,
  read: null,
  fault,
  cooksMeasure: '',
  soakWaterG: 0,
});

/** A line that takes from another part, and what it brings. */
function readFeed(line: Line, from: Part, sources: FeedSources, cups: Measures['cups']): { reading: LineReading; source: PartReading | null; share: number } {
  const source = sources.readingOf(from.id);
  const wrong = (fault: Fault) => ({ reading: faulty(line, 'part', fault, from), source: null, share: 0 });
  if (!source) return wrong({ field: 'text', code: 'circular', says: `${from.name} takes from this part in turn: one of the two must come first.` });
  const massG = source.mixture.massG;
  if (massG <= 0) return wrong({ field: 'text', code: 'nothing-there', says: `There is nothing in ${from.name} yet.` });
  const amount = readFeedAmount(line.text, cups);
  if (!amount.ok) return wrong(amount.fault);
  const a = amount.value;
  const share = shareTaken(a, from.kind, massG) ?? sources.restShare(from.id);
  if (share > 1 + 1e-9)
    return wrong({ field: 'text', code: 'more-than-there-is', says: `${from.name} has only ${Math.round(massG)}\u00a0g: take less, or make more of it.` });
  const read: ReadLine = { massG: massG * share, rangeG: null, quantity: share, unit: unitOf('g'), fatPct: null, per100: WATER, unweighed: false };
  const cook = a.kind === 'rest' ? 'the rest' : a.kind === 'share' ? shareWords(a.share) : `${Math.round(100 * share)}\u00a0%`;
  return {
    reading: { line, kind: 'part', ingredient: null, fromPart: from, role: 'part', name: from.name, read, fault: null, cooksMeasure: cook, soakWaterG: 0 },
    source,
    share,
  };
}

const SHARE_WORDS: readonly (readonly [number, string])[] = [
  [1, 'all'],
  [1 / 2, 'half'],
  [1 / 3, 'a third'],
  [2 / 3, 'two thirds'],
  [1 / 4, 'a quarter'],
  [3 / 4, 'three quarters'],
];
const shareWords = (share: number): string => SHARE_WORDS.find(([s]) => Math.abs(s - share) < 1e-6)?.[1] ?? `${Math.round(100 * share)}\u00a0%`;

const NO_SOURCES: FeedSources = { partOf: () => null, readingOf: () => null, restShare: () => 0 };

/** Parts that take from no other stay read while part, larder and measures are the same objects. */
const rememberedParts = new WeakMap<Part, { larder: ReadonlyMap<string, Ingredient>; cups: Measures['cups']; eggs: Measures['eggs']; reading: PartReading }>();

/** Reads a whole part: every line to grams, added up, with the shares that the foam models ask for. */
export function readPart(part: Part, larder: ReadonlyMap<string, Ingredient>, measures: Measures, sources: FeedSources = NO_SOURCES): PartReading {
  const alone = part.lines.every((l) => l.fromPartId === null);
  const known = alone ? rememberedParts.get(part) : undefined;
  if (known && known.larder === larder && known.cups === measures.cups && known.eggs === measures.eggs) return known.reading;
  const reading = readLines(part, larder, measures, sources);
  if (alone) rememberedParts.set(part, { larder, cups: measures.cups, eggs: measures.eggs, reading });
  return reading;
}

function readLines(part: Part, larder: ReadonlyMap<string, Ingredient>, measures: Measures, sources: FeedSources): PartReading {
  const portions: (SweetPortion & FreezingPortion)[] = [];
  const fed: MixtureShare[] = [];
  let fedSweetG = 0;
  let fedFreezingG = 0;
  const roleG = emptyRoles();
  const creamKindG: Partial<Record<CreamKind, number>> = {};
  const allergens = new Set<string>();
  const lines: LineReading[] = [];
  const losses: number[] = [];
  let soakWaterG = 0;
  let fedG = 0;
  let whippingFatG = 0;
  let gelatin225G = 0;
  let rawStarchG = 0;
  let rawProteaseFruit = false;
  let caffeine = false;
  let caffeineMg = 0;
  const nuts = new Set<string>();
  const sets = { cookedStarchG: 0, custardYolkG: 0, hardFatG: 0 };
  const heated = fruitIsCooked(part);
  for (const line of part.lines) {
    const from = line.fromPartId === null ? null : sources.partOf(line.fromPartId);
    if (from) {
      const { reading, source, share } = readFeed(line, from, sources, measures.cups);
      lines.push(reading);
      if (!source || !reading.read) continue;
      fedG += reading.read.massG;
      fed.push({ mixture: source.mixture, share });
      fedSweetG += share * source.sweetG;
      fedFreezingG += share * source.freezingG;
      for (const role of Object.keys(roleG) as FoamRole[]) roleG[role] += share * source.roleG[role];
      for (const [kind, g] of Object.entries(source.creamKindG)) creamKindG[kind as CreamKind] = (creamKindG[kind as CreamKind] ?? 0) + share * g;
      whippingFatG += share * source.whippingFatG;
      gelatin225G += share * source.gelatin225G;
      rawStarchG += share * source.rawStarchG;
      rawProteaseFruit ||= source.rawProteaseFruit;
      caffeine ||= source.caffeine;
      caffeineMg += share * source.caffeineMg;
      source.nuts.forEach((n) => nuts.add(n));
      for (const key of ['cookedStarchG', 'custardYolkG', 'hardFatG'] as const) sets[key] += share * source[key];
      source.allergens.forEach((a) => allergens.add(a));
      continue;
    }
    if (isLossText(line.text)) {
      losses.push(lines.length);
      lines.push(faulty(line, 'loss', { field: 'text', code: 'nothing-there', says: '' }));
      continue;
    }
    const reading = readingOf(line, larder, measures);
    lines.push(reading);
    const { read, ingredient, soakWaterG: soak } = reading;
    if (!read || !ingredient) continue;
    const { massG, per100: per } = read;
    portions.push({ massG, per100: per, ownSweetness: ingredient.ownSweetness, ownFreezing: ingredient.ownFreezing });
    roleG[ingredient.foamRole] += massG;
    const kind = ingredient.foamRole === 'cream' ? creamKindOf(ingredient, line.text) : null;
    if (kind) creamKindG[kind] = (creamKindG[kind] ?? 0) + massG;
    soakWaterG += soak;
    whippingFatG += (massG * (per.milk_fat + (ingredient.foamRole === 'cream' ? per.other_fat : 0))) / 100;
    rawStarchG += (massG * per.starch) / 100;
    if (ingredient.bloom) {
      const same = gelatinForStrength(massG, ingredient.bloom, REFERENCE_BLOOM, 'square-root');
      if (same.ok) gelatin225G += same.value;
    } else if (per.gelatin_protein > 0) gelatin225G += (massG * per.gelatin_protein) / 100;
    rawProteaseFruit ||= !heated && ingredient.flags.includes('protease');
    caffeine ||= ingredient.flags.includes('caffeine');
    caffeineMg += (massG * (caffeineMgPer100(ingredient) ?? 0)) / 100;
    nutsIn(ingredient).forEach((n) => nuts.add(n));
    if (part.kind === 'custard') {
      sets.cookedStarchG += (massG * per.starch) / 100;
      if (reading.role === 'yolk') sets.custardYolkG += massG;
      if (reading.role === 'egg') sets.custardYolkG += massG * YOLK_OF_EGG;
    }
    if (/^(?:coconut-(?:oil|cream)|cream-of-coconut|shortening)/.test(ingredient.id)) sets.hardFatG += (massG * per.other_fat) / 100;
    ingredient.allergens.forEach((a) => allergens.add(a));
  }
  if (soakWaterG > 0) portions.push({ massG: soakWaterG, per100: WATER, ownSweetness: null });
  const own = mix(portions);
  let mixture = fed.length === 0 ? own : combine([{ mixture: own, share: 1 }, ...fed]);
  const sweetG = (sweetnessPer100(portions) * own.massG) / 100 + fedSweetG;
  const freezingG = sucroseEquivalentG(portions) + fedFreezingG;
  let stays = 1;
  for (const at of losses) {
    const taken = takeLoss(part.lines[at]!, mixture);
    lines[at] = taken.reading;
    mixture = taken.mixture;
    // What is sieved out or left in the bowl is a share of everything.
    stays *= taken.staysShare;
  }
  if (stays < 1) {
    for (const role of Object.keys(roleG) as FoamRole[]) roleG[role] *= stays;
    for (const kind of Object.keys(creamKindG) as CreamKind[]) creamKindG[kind] = creamKindG[kind]! * stays;
  }
  return {
    lines,
    mixture,
    sweetG: sweetG * stays,
    freezingG: freezingG * stays,
    soakWaterG,
    fedG,
    dairyG: DAIRY_ROLES.reduce((sum, role) => sum + roleG[role], 0),
    whippingFatG: whippingFatG * stays,
    addedSugarG: addedSugarG(mixture),
    roleG,
    creamKindG,
    gelatin225G: gelatin225G * stays,
    rawStarchG: rawStarchG * stays,
    rawProteaseFruit,
    caffeine,
    caffeineMg: caffeineMg * stays,
    nuts: [...nuts].sort(),
    cookedStarchG: sets.cookedStarchG * stays,
    custardYolkG: sets.custardYolkG * stays,
    hardFatG: sets.hardFatG * stays,
    allergens: [...allergens].sort(),
  };
}

/** Whether the part's way cooks its fruit through. */
function fruitIsCooked(part: Part): boolean {
  return part.kind === 'custard' || (part.kind === 'fruit-base' && optionOf(questionNamed('fruit-cooked')!, part.ways['fruit-cooked']).id === 'cooked');
}

/** What must be bought for so much on the board: peel and stones come along. */
export const boughtG = (massG: number, ingredient: Ingredient): number => (ingredient.ediblePct > 0 ? (100 * massG) / ingredient.ediblePct : massG);

interface AfterLoss {
  readonly reading: LineReading;
  readonly mixture: Mixture;
  /** Share (0–1) of what does not boil off that stays. */
  readonly staysShare: number;
}

/** Reads a line of loss against what is in the part so far, and what is left after it. */
function takeLoss(line: Line, before: Mixture): AfterLoss {
  const lossOf = (text: string): Result<{ portion: Portion; loss: Loss }> => {
    const loss = readLoss(text);
    if (!loss.ok) return loss;
    const portion = lossPortion(loss.value, before);
    return portion.ok ? { ok: true, value: { portion: portion.value, loss: loss.value } } : portion;
  };
  const now = lossOf(line.text);
  const good = now.ok || !line.lastGood ? now : lossOf(line.lastGood.text);
  if (!good.ok) return { reading: faulty(line, 'loss', good.fault), mixture: before, staysShare: 1 };
  const { portion, loss } = good.value;
  const read: ReadLine = {
    massG: portion.massG,
    rangeG: null,
    quantity: -portion.massG,
    unit: unitOf('g'),
    fatPct: null,
    per100: portion.per100,
    unweighed: false,
  };
  const reading: LineReading = {
    line,
    kind: 'loss',
    ingredient: null,
    fromPart: null,
    role: null,
    name: loss.words,
    read,
    fault: now.ok ? null : now.fault,
    cooksMeasure: '',
    soakWaterG: 0,
  };
  const left = (before.massG + portion.massG) / before.massG;
  return {
    reading,
    mixture: combine([
      { mixture: before, share: 1 },
      { mixture: mix([portion]), share: 1 },
    ]),
    staysShare: loss.kind === 'share' ? left : 1,
  };
}

/** Fat % of all in the bowl, the added sugar left out; null for an empty bowl. */
export function bowlFatPct(p: PartReading): number | null {
  const rest = p.mixture.massG - p.addedSugarG;
  return rest > 0 ? (100 * p.whippingFatG) / rest : null;
}
