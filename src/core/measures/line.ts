import { dairyCream, withMilkFat } from '../composition/cream';
import type { Composition } from '../composition/components';
import type { Ingredient } from '../composition/ingredient';
import { fail, ok, type Result } from '../result';
import { asDecimal, asFraction } from './quantity';
import {
  CUP_SYSTEMS,
  differsBySystem,
  EGG_SIZES,
  LARDER_EGG_G,
  isByFeel,
  unitOf,
  unitSize,
  type CupSystem,
  type EggSize,
  type EggSystem,
  type Unit,
} from './units';
import { splitLine, type WrittenAmount, type WrittenLine } from './written';

/** No line of a dessert is heavier. */
export const MAX_LINE_G = 100_000;
/** What 'to taste' is counted as, until the cook writes a weight beside it: 'salt to taste (2 g)' (house). */
export const TO_TASTE_G = 1;
/** A small envelope of gelatin powder as recipes mean it, g (house: they run from 7 to 12). */
const GELATIN_SACHET_G = 7;

/** A splash of vanilla and the like, g (house). */
const FLAVOUR_SPLASH_G = 1.5;

/** A line that has been understood. */
export interface ReadLine {
  readonly massG: number;
  /** Both ends, g, where a range is written. */
  readonly rangeG: readonly [low: number, high: number] | null;
  readonly quantity: number;
  readonly unit: Unit;
  readonly fatPct: number | null;
  /** Of this carton, g per 100 g. */
  readonly per100: Composition;
  /** Shown as the cook wrote it: nobody weighs it. */
  readonly unweighed: boolean;
}

/** How to read a kitchen's measures. */
export interface Measures {
  readonly cups: CupSystem;
  /** Which eggs the kitchen buys; a US large one where left out. */
  readonly eggs?: { readonly system: EggSystem; readonly size: EggSize };
}

/**
 * Reads a written line of a known ingredient into grams. Amounts that are written twice ('1 cup (200 g)') count by weight;
 * a range counts as its middle.
 * @returns a fault whose sentence stands beside the field: nothing typed, not above 0, above 100 kg, unknown measure, fat above 82 %.
 */
export function readLine(text: string, ingredient: Ingredient | null, measures: Measures): Result<ReadLine> {
  if (text.trim() === '') return fail('text', 'empty', 'Type an amount and a name, like 600\u00a0g cream 36\u00a0%, or take the line out.');
  const written = splitLine(text);
  if (written.amounts.length === 0) {
    if (written.unweighed && ingredient) return ok(unweighed(ingredient, TO_TASTE_G));
    if (written.unweighed) return fail('text', 'unknown-ingredient', unknownName(written.name));
    return fail('text', 'no-amount', 'There is no amount here: add one, like 20\u00a0g or 2\u00a0tbsp.');
  }
  for (const { quantity, text: amount } of written.amounts) {
    if (!quantity.ok) return quantity;
    if (quantity.value <= 0) return fail('text', 'not-positive', `${amount} is not an amount that can be weighed: it must be more than 0.`);
  }
  if (!ingredient) return fail('text', 'unknown-ingredient', unknownName(written.name));
  const carton = cartonOf(ingredient, written.fatText);
  if (!carton.ok) return carton;
  const mass = massOf(written, ingredient, measures);
  if (!mass.ok) return mass;
  const { massG, rangeG, unit, quantity } = mass.value;
  if (massG > MAX_LINE_G) return fail('text', 'too-large', `${written.amounts[0]!.text} is more than 100\u00a0kg: read it again.`);
  return ok({ massG, rangeG, quantity, unit, fatPct: carton.value.fatPct, per100: carton.value.per100, unweighed: written.unweighed || unit.key === 'pinch' });
}

const unweighed = (ingredient: Ingredient, massG: number): ReadLine => ({
  massG,
  rangeG: null,
  quantity: massG,
  unit: unitOf('g'),
  fatPct: null,
  per100: ingredient.composition,
  unweighed: true,
});

const unknownName = (name: string): string =>
  name === '' ? 'Which ingredient? Add its name.' : `‘${name}’ is not in the larder: choose one below or write it another way.`;

interface Mass {
  readonly massG: number;
  readonly rangeG: readonly [number, number] | null;
  readonly unit: Unit;
  readonly quantity: number;
}

/** Grams of everything that a line says, the weight in brackets first. */
function massOf(written: WrittenLine, ingredient: Ingredient, measures: Measures): Result<Mass> {
  const first = written.amounts[0]?.unit;
  const weighed = first?.dimension === 'mass' && !isByFeel(first);
  const volumeOfPack = written.aside?.unit?.dimension === 'volume' && written.amounts[0]?.unit?.dimension === 'pack';
  const aside =
    !weighed &&
    (written.aside?.unit?.dimension === 'mass' || volumeOfPack) &&
    written.aside?.unit &&
    written.aside.quantity.ok &&
    written.aside.quantity.value > 0
      ? gramsOf(written.aside, unitOf(written.aside.unit.key), ingredient, measures)
      : null;
  let massG = 0;
  let main: { unit: Unit; quantity: number; range: readonly [number, number] | null } | null = null;
  for (const amount of written.amounts) {
    const unit = amount.unit ?? (isWholeOne(written, ingredient) ? unitOf('pack') : ingredient.piece ? unitOf('piece') : null);
    if (!unit) return fail('text', 'unknown-unit', unknownUnit(written.wordAfter, amount.text));
    const grams = gramsOf(amount, unit, ingredient, measures);
    if (!grams.ok && !aside?.ok) return grams;
    if (grams.ok) massG += grams.value;
    const quantity = amount.quantity.ok ? amount.quantity.value : 0;
    main ??= {
      unit,
      quantity,
      range: amount.range && grams.ok ? [(grams.value * amount.range[0]) / quantity, (grams.value * amount.range[1]) / quantity] : null,
    };
  }
  if (!main) return fail('text', 'no-amount', 'There is no amount here.');
  return ok({
    massG: aside?.ok ? aside.value * timesAside(written, ingredient, aside.value) : massG,
    rangeG: aside?.ok ? null : main.range,
    unit: main.unit,
    quantity: main.quantity,
  });
}

/** '1 madeira cake', '1 panettone': the whole, of what the larder counts by the slice. */
const isWholeOne = (written: WrittenLine, ingredient: Ingredient): boolean =>
  /^(?:slice|piece)$/.test(ingredient.piece?.name ?? '') &&
  ingredient.packG !== null &&
  /\b(?:(?<!sponge )cakes?|loaf|loaves|panettone|brioche)$/i.test(written.name.replace(/,.*$|\(.*?\)/g, '').trim()) &&
  !/\bslic/i.test(written.name);

/** How often the size in brackets counts: for each of the packs where it says so, or where that is nearer to the pack of the larder. */
function timesAside(written: WrittenLine, ingredient: Ingredient, asideG: number): number {
  const first = written.amounts[0];
  if (written.asideEach === false || first?.unit?.dimension !== 'pack' || !first.quantity.ok)
    return written.asideEach && first?.quantity.ok ? first.quantity.value : 1;
  const count = first.quantity.value;
  if (written.asideEach || ingredient.packG === null) return count;
  return Math.abs(Math.log(asideG / ingredient.packG)) <= Math.abs(Math.log(asideG / count / ingredient.packG)) ? count : 1;
}

const unknownUnit = (word: string | null, quantity: string): string =>
  word
    ? `‘${word}’ is not a measure I know: use g, kg, oz, lb, mL, L, cup, tbsp, tsp, pint, packet or leaves.`
    : `${quantity} of what? Add g, mL, cup, tbsp or tsp.`;

function cartonOf(ingredient: Ingredient, fatText: string | null): Result<{ fatPct: number | null; per100: Composition }> {
  if (fatText === null) return ok({ fatPct: null, per100: ingredient.composition });
  const fatPct = Number(fatText.replace(',', '.'));
  if (ingredient.composition.milk_fat === 0) {
    // 'dark chocolate 70 %' is a name; 'coconut cream 20 %' asks for something that is not known.
    if (ingredient.foamRole === 'none') return ok({ fatPct: null, per100: ingredient.composition });
    return fail('text', 'fat-not-dairy', `${ingredient.name} has no milk fat: a fat % can be typed for dairy only.`);
  }
  if (ingredient.foamRole === 'none') return ok({ fatPct: null, per100: ingredient.composition });
  const per100 = ingredient.foamRole === 'cream' ? dairyCream(fatPct) : withMilkFat(ingredient.composition, fatPct);
  return per100.ok ? ok({ fatPct, per100: per100.value }) : per100;
}

/** g per mL as a cook fills a measure; null when the larder does not know. */
export const gPerMl = (ingredient: Ingredient): number | null =>
  ingredient.densityGPerMl ?? (ingredient.gramsPerUsCup === null ? null : ingredient.gramsPerUsCup / CUP_SYSTEMS.us.cup);

function gramsOf(amount: WrittenAmount, unit: Unit, ingredient: Ingredient, measures: Measures): Result<number> {
  const quantity = (amount.quantity.ok ? amount.quantity.value : 0) * amount.heap;
  if (unit.dimension === 'mass') return ok(quantity * unit.size);
  if (unit.key === 'splash' && ingredient.category === 'flavour') return ok(quantity * FLAVOUR_SPLASH_G);
  if (unit.dimension === 'volume') {
    const density = gPerMl(ingredient);
    // 'a small leaf' and other pieces aside, a spoon of something that comes by the spoon needs no density.
    if (density !== null) return ok(quantity * unitSize(unit, measures.cups, amount.system) * density);
    const spoon = unit.key === 'tsp' && ingredient.piece?.name.endsWith('teaspoon') ? ingredient.piece.grams : null;
    return spoon === null
      ? fail('text', 'no-density', `The larder does not know what a ${unit.one} of ${ingredient.name} weighs: use grams.`)
      : ok(quantity * spoon);
  }
  if (unit.dimension === 'pack' && ingredient.bloom !== null && ingredient.piece?.name !== 'leaf') return ok(quantity * GELATIN_SACHET_G);
  if (unit.dimension === 'pack') {
    return ingredient.packG === null
      ? fail('text', 'no-pack', `The larder does not know what a pack of ${ingredient.name} weighs: use grams.`)
      : ok(quantity * ingredient.packG);
  }
  if (!ingredient.piece || (unit.key === 'leaf' && ingredient.piece.name !== 'leaf')) {
    return fail('text', 'no-piece', `${ingredient.name} does not come in ${unit.many}: use grams.`);
  }
  return ok(quantity * ingredient.piece.grams * eggFactor(ingredient, amount.size, measures));
}

/** How much larger than the larder's egg this one is; 1 for what is no egg. */
function eggFactor(ingredient: Ingredient, written: EggSize | null, measures: Measures): number {
  if (ingredient.category !== 'egg' || !ingredient.piece || ingredient.piece.grams < 10) return 1;
  const { system, size } = measures.eggs ?? { system: 'us', size: 'large' };
  return EGG_SIZES[system][written ?? size] / LARDER_EGG_G;
}

const EGG_NOUNS: Readonly<Record<string, string>> = { white: 'white', yolk: 'yolk', whole: 'egg' };

/** What one piece is called: 'yolk', 'finger', 'leaf'; '' where the larder has only a description. */
export function pieceNoun(ingredient: Ingredient): string {
  const egg = /^egg-(white|yolk|whole)/.exec(ingredient.id);
  if (egg) return EGG_NOUNS[egg[1]!]!;
  const name = ingredient.piece?.name ?? '';
  return name.length <= 16 && !/\b(of|level)\b/.test(name) ? name.replace(/ \(.*$/, '') : '';
}

/** A noun for more than one: leaf, leaves; cherry, cherries. */
export const plural = (noun: string): string =>
  noun === 'leaf' ? 'leaves' : /[^aeiou]y$/.test(noun) ? `${noun.slice(0, -1)}ies` : /(s|x|ch|sh)$/.test(noun) ? `${noun}es` : `${noun}s`;

/** The amount in the cook's measure: as typed when it is no weight, otherwise the nearest handy measure; '' when there is none. */
export function cooksMeasure(text: string, read: ReadLine, ingredient: Ingredient, measures: Measures): string {
  const written = splitLine(text);
  const amount = written.amounts[0];
  if (!amount) return read.unweighed ? 'to taste' : '';
  if (written.amounts.length > 1 || amount.range || amount.heap !== 1) {
    return written.amounts
      .map((a) => a.text)
      .join(' + ')
      .replaceAll(' ', '\u00a0');
  }
  if (read.unit.dimension === 'pack') return amount.text.replaceAll(' ', '\u00a0');
  if (read.unit.dimension !== 'mass' || read.unit.key === 'pinch' || read.unit.key === 'stick' || read.unit.key === 'knob') {
    const number = asFraction(read.quantity, 0.002) ?? asDecimal(read.quantity);
    const noun = read.unit.key === 'piece' ? pieceNoun(ingredient) : null;
    const word = noun === null ? (read.quantity > 1 ? read.unit.many : read.unit.one) : read.quantity > 1 && noun ? plural(noun) : noun;
    const system = amount.system && differsBySystem(read.unit) ? `${amount.system === 'wine' ? 'wine' : CUP_SYSTEMS[amount.system].name}\u00a0` : '';
    return `${number.replace(' ', '\u00a0')}${word ? `\u00a0${system}${word}` : ''}`;
  }
  if (ingredient.piece?.name === 'leaf') return handy(read.massG / ingredient.piece.grams, unitOf('leaf'));
  const density = gPerMl(ingredient);
  if (density === null) return '';
  return inMeasures(read.massG / density, CUP_SYSTEMS[measures.cups]);
}

/** The nearest kitchen fraction, marked ≈ where it is more than 1 % off. */
function handy(quantity: number, unit: Unit): string {
  const exact = asFraction(quantity, 0.01);
  const text = exact ?? asFraction(quantity, 0.07);
  if (!text) return '';
  return `${exact ? '' : '≈\u00a0'}${counted(text, unit)}`;
}

const counted = (number: string, unit: Unit): string => `${number.replace(' ', '\u00a0')}\u00a0${/^1$|^[0-9]+\/[0-9]+$/.test(number) ? unit.one : unit.many}`;

/** What a set of measures has: cups by quarters and thirds, tablespoons by halves, teaspoons by quarters and an eighth. */
const CUP_PARTS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4] as const;
const TSP_PARTS = [1 / 8, 1 / 4, 1 / 2, 3 / 4, 1, 1.5, 2] as const;
/** As good as exact; near enough for one measure; near enough for two together; the most that ≈ is said of, share of the amount (house). */
const EXACT = 0.015;
const NEAR_ONE = 0.04;
const NEAR_TWO = 0.04;
const NEAREST = 0.07;

/** So much in measures that a kitchen has: one, or a larger and a smaller one where one does not do; '' below an eighth of a teaspoon. */
function inMeasures(ml: number, size: (typeof CUP_SYSTEMS)[CupSystem]): string {
  const said = (quantity: number, unit: 'cup' | 'tbsp' | 'tsp') => ({
    ml: quantity * size[unit],
    text: counted(asFraction(quantity, 1e-6) ?? asDecimal(quantity), unitOf(unit)),
  });
  type Said = ReturnType<typeof said>;
  const whole = Math.floor(ml / size.cup);
  const cups = [whole, whole + 1]
    .flatMap((n) => CUP_PARTS.map((part) => n + part))
    .filter((n) => n > 0)
    .map((n) => said(n, 'cup'));
  const spoons = Array.from({ length: 8 }, (_, i) => said((i + 1) / 2, 'tbsp'));
  const small = TSP_PARTS.map((n) => said(n, 'tsp'));
  const singles = ml >= size.cup / 4 - 1e-9 ? cups : [...spoons, ...small];
  const off = (x: Pick<Said, 'ml'>): number => Math.abs(x.ml - ml) / ml;
  const nearest = <T extends Pick<Said, 'ml'>>(list: readonly T[]): T | undefined =>
    list.reduce<T | undefined>((best, x) => (best === undefined || off(x) < off(best) - 1e-9 ? x : best), undefined);
  const about = (x: Said): string => `${off(x) <= EXACT ? '' : '≈\u00a0'}${x.text}`;
  const one = nearest(singles);
  if (one && off(one) <= NEAR_ONE) return about(one);
  const wholeSpoons = spoons.filter((_, i) => i % 2 === 1);
  const pairs = (ml >= size.cup / 4 ? cups : wholeSpoons)
    .filter((big) => big.ml < ml)
    .flatMap((big) =>
      [...(ml >= size.cup / 4 ? wholeSpoons.slice(0, 3) : []), ...small.filter((s) => s.ml >= size.tsp)].map((little) => ({
        ml: big.ml + little.ml,
        text: `${big.text}\u00a0+\u00a0${little.text}`,
      })),
    );
  const two = nearest(pairs);
  if (two && off(two) <= NEAR_TWO) return about(two);
  return one && off(one) <= NEAREST ? about(one) : '';
}

/**
 * The same line at another amount, everything else as it was written: every number of the amount times the factor.
 * Sums become their number; four digits are kept so that scaling there and back returns.
 */
export function scaleLineText(text: string, factor: number): string {
  const written = splitLine(text);
  const spoken = written.amounts[0];
  if (spoken?.spoken && spoken.quantity.ok)
    return withAmount(text, `${scaledNumber(spoken.quantity.value * factor, spoken.unit)}${spoken.unit ? ` ${spoken.unit.one}` : ''}`);
  const edits = [...written.amounts, ...(written.aside && !written.asideEach ? [written.aside] : [])].flatMap((a) =>
    a.runs.map((run) => ({ run, unit: a.unit })),
  );
  edits.sort((a, b) => b.run.start - a.run.start);
  let scaled = text;
  for (const { run, unit } of edits) {
    if (!run.value.ok) return text;
    scaled = scaled.slice(0, run.start) + scaledNumber(run.value.value * factor, unit) + scaled.slice(run.end);
  }
  return scaled;
}

function scaledNumber(value: number, unit: Unit | null): string {
  const fractional = unit === null ? !Number.isInteger(value) : unit.dimension !== 'mass' && unit.key !== 'ml';
  return (fractional ? asFraction(value, 0.002) : null) ?? asDecimal(value);
}

/** The same line with another amount and unit written in place of the old ones. */
export function withAmount(text: string, amount: string): string {
  const { span, name, fatText } = splitLine(text);
  if (!span) return `${amount} ${text.trim()}`;
  const tail = text.slice(span[1]);
  const rebuilt = `${text.slice(0, span[0])}${amount}${tail.startsWith(' ') || tail === '' ? tail : ` ${tail}`}`;
  return splitLine(rebuilt).name === name ? rebuilt : `${amount} ${name}${fatText === null ? '' : ` ${fatText} %`}`;
}

export { splitLine };
