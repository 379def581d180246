import type { Ingredient } from '../composition/ingredient';
import { JUICE_THEN_ZEST } from './row-looks';
import { roleOf, type Role } from '../larder/role';
import { readLine, scaleLineText, splitLine, type Measures } from '../measures/line';
import { asFraction } from '../measures/quantity';
import { isByFeel } from '../measures/units';
import { matchOf, type Match, type Matcher } from '../measures/match';
import { PURPOSE } from './row-looks';
import { SORTS } from './sorts';
import { lookUp } from '../look-up';

/** From here on a match is taken without asking. */
export const SURE_FROM = 0.85;

/** An ingredient of a recipe, as it is written and as it is understood. */
export interface DraftLine {
  /** As it stands in the recipe. */
  readonly written: string;
  /** As it stands in the sheet: one amount, one name. */
  readonly text: string;
  readonly ingredient: Ingredient | null;
  readonly role: Role | null;
  readonly confidence: number;
  readonly grams: number | null;
  /** Why it cannot be weighed yet; '' where it can. */
  readonly fault: string;
  /** What a cook should look at, in words; '' where nothing is guessed. */
  readonly doubt: string;
  /** Heading of the list that it stands under. */
  readonly under: string | null;
  /** Of the list that it stands in, without a blank row between. */
  readonly block: number;
  /** Said to be for several steps. */
  readonly divided: boolean;
  readonly optional: boolean;
  readonly start: number;
  readonly end: number;
}

export interface LineContext {
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly matcher: Matcher;
  readonly measures: Measures;
}

type Place = Pick<DraftLine, 'under' | 'block' | 'start' | 'end'>;

const FRUIT = '(lemon|lime|orange|grapefruit|clementine|tangerine|mandarin)s?';
const BOTH = new RegExp(
  `^(?:the )?(?:(?:finely |freshly )?(?:grated )?(?:zest|rind|peel) (?:and|&|\\+) (?:the )?juice|juice (?:and|&|\\+) (?:the )?(?:(?:finely )?grated )?(?:zest|rind|peel)) (?:(?:of|from) |(?=\\d|[½¼¾]|half |one |two |three |four |five |six ))(.+)$|^(.+?\\b${FRUIT})(?:,| [-–—:])?\\s*\\(?(?:(?:finely )?(?:grated )?(?:zested?|zest|rind|peel) (?:and|&|\\+) (?:the )?juiced?|juiced? (?:and|&|\\+) (?:the )?(?:zested?|zest|rind|peel))\\)?.*$`,
  'i',
);
const MEASURED = /\((?:about |approx\.? |around |roughly |c\.? ?|~ ?)?(\d[\d./]*\s?(?:ml|g|cups?|tbsp|tsp|fl oz))(?: (?:of )?juice)?\)/i;
/** 'Zest of 3 limes and juice of 4'. */
const ZEST_AND_JUICE =
  /^(?:the )?(?:(?:finely|freshly) )?(?:grated )?(?:zest|rind|peel) (?:(?:of|from) )?(\d+|\w+) ((?:unwaxed )?(?:lemon|lime|orange|grapefruit)s?)(?:,? (?:and|&|\+)|,) (?:the )?juice (?:of|from) (\d+|one|two|three|four|five|six)\b.{0,20}$/i;
/** 'Juice of 1 lemon and grated rind', 'the zest of 2 limes, and their juice': both of the same ones. */
const THEN_THE_OTHER = new RegExp(
  `^(?:the )?(?:(?:finely|freshly) )?(?:grated )?(juice|zest|rind|peel) (?:of|from) ([^,()]{1,24}?\\b${FRUIT}),? (?:and|&|\\+|plus) (?:(?:the|its|their|also|finely|freshly|grated|pared|strained) )*(juice|zest|rind|peel)\\W*$`,
  'i',
);
/** 'Zest of 2 lemons and 75 ml juice', 'juice': of the fruit that is named. */
const ZEST_AND_MEASURED =
  /^((?:the )?(?:(?:finely|freshly) )?(?:grated )?(?:zest|rind|peel) (?:of|from) (?:\d+|\w+) (?:(?:unwaxed|large|small|medium) )*(lemon|lime|orange|grapefruit)s?),? (?:and|&|\+|plus) ([^()]{2,16}?) (?:of )?(?:(?:the|their|its|fresh|lemon|lime|orange|grapefruit) )*juice\b.{0,24}$/i;
const ZEST_PLUS_JUICE = new RegExp(
  `^(.*?\\b(lemon|lime|orange|grapefruit)s? zest),?\\s+(?:plus|and|\\+|&)\\s+([^()]{1,16}?) (?:fresh )?(?:(?:lemon|lime|orange|grapefruit) )?juice\\b`,
  'i',
);
const SEPARATED = /^(.*?\beggs?)\b[^.]*\b(?:separated|divided into yolks and whites|(?:yolks and whites|whites and yolks) (?:separated?|apart))\b.*$/i;
const EXTRA =
  /^(.*?)\s*[,(]?\s*(?:\+|plus|and)\s*(?:an? )?(?:extra\s+)?((?:\d|½|¼|¾|⅓|⅔|an?\s|one\s|two\s)[^()]{0,24}?)\s*(?:\b(extra|more|additional)\b|\b(?=for\b))([^()]*)\)?\s*$/i;
const OR = /^(.+?)\s+or\s+(?!more\b|less\b|so\b|to taste\b|as needed\b)(.+)$/i;

/** '100 g sugar, plus 50 g', '3/4 cup sugar plus 2 tablespoons, divided': two lines of one thing. */
const AND_AGAIN = /^(.+?)\s*,?\s+(?:\+|plus|and)\s+((?:\d|[½¼¾⅓⅔]|one |two |three )[^,()]{0,20}?)(?:,? divided)?$/i;
/** An amount that is parted in brackets. */
const PARTED = /^(.+?)\s*\(\s*([\d½¼¾⅓⅔][^,;()]{0,14}?)\s+(?:for|in|with) [^,;()]+[,;]\s*(?:and )?([\d½¼¾⅓⅔][^,;()]{0,14}?)\s+(?:for|in|with) [^,;()]+\)$/i;
/** 'A cake or about 350 g of sponge'. */
const OR_WEIGHED = /^(.{4,60}?),? or (?:about |around |roughly )?(\d[\d.,]*\s?(?:g|kg|ml|oz|lb)\b(?: of)? \p{L}.+)$/iu;

/** '100 ml cream and a handful of berries': two lines. */
const AND_SOME =
  /^(.+?)\s+(?:and|plus|&|\+)\s+((?:a (?:handful|few|little|pinch|splash|dash|knob)|some)\s(?:of )?(?!more\b|extra\b)\p{L}[\p{L} '’-]{2,40}[.;]?)$/iu;

/** 'Eggs: 3 whole + 2 yolks', '3 whole eggs and 2 yolks', '3 eggs plus 2 yolks': of two kinds in one row. */
const WHOLE_AND_PARTS =
  /^(?:eggs?[\s:,–-]+(\d{1,2}) whole|(\d{1,2}) (?:(?:whole|large|medium|free-range) )*eggs?)(?:,)? ?(?:\+|and|plus|&) ?(\d{1,2}) (?:extra |more )?(?:egg )?(yolks?|whites?)[.;]?$/i;

/** What the method takes apart: yolks and whites of eggs, zest and juice of a fruit. */
export interface Apart {
  readonly yolks: boolean;
  readonly whites: boolean;
  readonly zest: boolean;
  readonly juice: boolean;
  /** The list has yolks and whites of its own: its eggs are whole. */
  readonly listed?: boolean;
}

/** What the work takes apart, by its words. */
export const apartIn = (prose: string): Apart => ({
  yolks: /\byolks?\b/i.test(prose),
  whites: /\bwhites?\b(?! (?:chocolate|sugar|wine))/i.test(prose),
  zest: /\b(?:zest|rind|peel|parings?|pare)\b/i.test(prose),
  juice: /\bjuice\b/i.test(prose),
});

const WHOLE_CITRUS = /^((?:\d+|an?|one|two|three|four|half an?|½) (?:(?:large|small|medium|unwaxed|ripe|whole) )*(?:lemons?|limes?|oranges?))[.;]?$/i;

/** A thing counted, its size perhaps, and what it weighs. */
const PIECE_WEIGHED =
  /^((?:\d{1,2}|an?|one|two|three|four)\s(?!\d)(?!(?:packs?|packets?|tins?|cans?|boxe?s?|jars?|tubs?|cartons?|blocks?|bars?|bags?|cups?|tbsp|tsp|g|kg|ml|oz|lb)\b)[^,(\d]{3,40}?)(,(?: about)? \d{1,2} ?cm(?: [a-z]+)?)?,\s+(?:about |approx\.? |around |roughly )?(\d{2,4}(?:[.,]\d)?\s?(?:g|grams?|kg|oz|lb))(?: in total| altogether| in all)?(?:,\s\p{L}[^,\d]{2,30})?$/iu;
const ZEST_OF_SOME =
  /^(\d{1,2}) ((?:lemon|lime|orange|grapefruit|clementine)s)\s?[(,:]\s?(?:the )?(?:finely )?(?:grated )?(zest|rind|juice) of (\d{1,2}|all|both|one|two|three),? (?:and )?(?:the )?(zest|rind|juice) of (\d{1,2}|all|both|them all|one|two|three)\)?$/i;
const OUT_OF_A_TIN =
  /^(\p{L}[\p{L} '’-]{2,40}?) (?:from|of) (?:an?|one|1|the) (?:\d{2,4}\s?(?:g|grams?|ml|oz) )?(?:tin|can|jar)(?: of [\p{L} ]{3,30}?)?,? \(?(?:about |roughly )?(\d{1,4}\s?(?:ml|g|grams?|tbsp))\)?$/iu;
const IN_ALL =
  /^(?:\d{1,2}|an?|one|two|three|four|five|six) (?:small |large )?(?:cups?|shots?|glasse?s?|mugs?)(?: of)? (\p{L}[^(]{2,50}?),? \((?:about |approx\.? |around |roughly )?(\d[\d.,]*\s?(?:ml|cl|l|g)) (?:in all|in total|altogether|all told|total)\)$/iu;
/** 'The thinly pared rind': how it comes off. */
const PARED = /^(?:the )?(?:(?:finely|freshly|thinly|very) )*(?:grated |pared |peeled )(?=(?:zest|peel|rind)\b)/i;
const SO_MANY_OF_SIZE = /^(\d{1,2})\s?[x×]\s?\d{1,2}(?:[.,]\d)?[\s-]?(?:cm|mm|inch(?:es)?|in)\b\s*/i;
/** ', 20 cm', ' 20cm': how large a thing is. */
const SIZE_ALONE =
  /,? (?:about )?\d{1,2}(?:[.,]\d)?\s?(?:cm|mm|inch(?:es)?)\b(?! (?:piece|length|stick|strip|knob|chunk|cube)s?\b)(?: (?:across|round|long|wide|diameter))?(?=,|\s*$)/i;

/**
 * The lines of one row of a list: mostly one; two of eggs that are separated, of a fruit whose zest and juice are both used, of an amount
 * with an extra one beside it.
 * @param apart which of yolks and whites the method names: with both, eggs are two lines; with one, eggs that the list calls separated.
 */
export function linesOfRow(row: string, place: Place, context: LineContext, apart: Apart): readonly DraftLine[] {
  // 'Limes, zest and juice 4': how many stands behind.
  const behind = /^((?:lemon|lime|orange|grapefruit)s?\b[^\d]{0,40}?)[\s–-]+(\d{1,2})$/i.exec(row);
  // '1 x 23 cm pastry case': one, of that size.
  const text = (behind ? `${behind[2]!} ${behind[1]!}` : countFirst(row.slice(0, 480), context)).replace(SO_MANY_OF_SIZE, '$1 ').replace(PARED, '');
  const made = (words: string, doubt = ''): DraftLine => ({ ...draftLine(words, place, context), written: row, ...(doubt ? { doubt } : {}) });
  // '2 - 7 oz packages': so many of that size.
  const packs = PACKS_OF.exec(text);
  // '1 sponge cake, about 24 cm, 400 g', 'sponge base, 20 cm, shop bought': what it weighs counts, how large it is does not.
  const weighs = PIECE_WEIGHED.exec(text);
  if (weighs) return [made(`${weighs[1]!}${weighs[2] ?? ''} (about ${weighs[3]!})`)];
  const sized = text.replace(SIZE_ALONE, '');
  // One of that size, where nothing says how many.
  if (sized !== text && splitLine(sized).name !== '')
    return linesOfRow(splitLine(sized).amounts.length > 0 ? sized : `1 ${sized}`, place, context, apart).map((l) => ({ ...l, written: row }));
  if (packs) return [made(`${packs[1]!} (${packs[2]!}) ${packs[3]!}${text.slice(packs[0].length)}`)];
  // '4 limes (zest of 2, juice of all)'.
  const some = ZEST_OF_SOME.exec(text);
  if (some) {
    const many = (of: string): string => (/^(?:all|both|them all)$/i.test(of) ? some[1]! : of);
    return [made(`${some[3]!} of ${many(some[4]!)} ${some[2]!}`), made(`${some[5]!} of ${many(some[6]!)} ${some[2]!}`)];
  }
  // 'Aquafaba from a 400 g tin of chickpeas (about 130 ml)': so much of that.
  const from = OUT_OF_A_TIN.exec(text);
  if (from) return [made(`${from[2]!} ${from[1]!}`)];
  // '4 cups espresso, cooled (about 300 ml in all)': that much.
  const all = IN_ALL.exec(text);
  if (all) return [made(`${all[2]!} ${all[1]!}`)];
  const joined = text.split(
    /\s\+\s|\s(?:in|with)\s(?=\d[^()]*\b(?:water|milk|cream|juice|liqueur|rum|brandy|kirsch|cognac|armagnac|wine|marsala|sherry|amaretto|whisk(?:e)?y)\b)/,
  );
  if (joined.length > 1 && joined.every((t) => splitLine(t).amounts[0]?.unit && splitLine(t).name !== '')) return joined.map((t) => made(t.trim()));
  const mass = gelatinMass(text);
  if (mass) return mass.lines.map((t) => made(t, mass.doubt));
  const two = twoOfOne(text);
  if (two) return two.map((t) => made(t));
  // '1 flan case or about 350 g of sponge': what is weighed counts.
  const weighed = OR_WEIGHED.exec(text);
  if (weighed && splitLine(weighed[1]!).amounts[0]?.unit == null && ingredientOf(weighed[2]!, context).confidence >= SURE_FROM) return [made(weighed[2]!)];
  const more = AND_SOME.exec(text);
  if (more && splitLine(more[1]!).amounts[0]?.unit)
    return [...linesOfRow(more[1]!, place, context, apart).map((l) => ({ ...l, written: row })), made(more[2]!.replace(/[.;]$/, ''))];
  // '1 tbsp lemon zest plus 3 tbsp juice (from 2 lemons)': of one fruit.
  const zestThenJuice = ZEST_PLUS_JUICE.exec(text);
  if (zestThenJuice && splitLine(zestThenJuice[3]!).amounts.length > 0)
    return [made(zestThenJuice[1]!), made(`${zestThenJuice[3]!} ${zestThenJuice[2]!} juice`)];
  // 'Mango cubes, shaved chocolate and mint to garnish': several things, none weighed.
  const purpose = splitLine(text).amounts.length > 0 ? undefined : (PURPOSE.exec(text)?.[0] ?? (FEW_MORE.test(text) ? '' : undefined));
  const several =
    purpose === undefined
      ? []
      : text
          .slice(0, text.length - purpose.length)
          .split(/,\s+(?:and\s+)?|\s+(?:and|&)\s+/)
          .map((t) => t.trim().replace(A_FEW, ''));
  // What is strewn with a few of something else may be a doubt of its own.
  const known = (t: string): boolean => (purpose === '' ? ingredientOf(t, context).ingredient !== null : ingredientOf(t, context).confidence >= SURE_FROM);
  if (several.length > 1 && several.every(known)) return several.map((t) => made(`${t}${purpose}`));
  const both = BOTH.exec(text);
  if (both) {
    const fruit = (both[1] ?? both[2] ?? '').replace(/[,(].*$/, '').trim();
    // '3 lemons, zest and juice (about 120 ml)': the juice that was measured.
    const [measured, kind] = [MEASURED.exec(text)?.[1], new RegExp(FRUIT, 'i').exec(fruit)?.[1]];
    return [made(`zest of ${fruit}`), made(measured && kind ? `${measured} ${kind} juice` : `juice of ${fruit}`)];
  }
  const other = THEN_THE_OTHER.exec(text);
  if (other && /juice/i.test(other[1]!) !== /juice/i.test(other[4]!)) return [made(`zest of ${other[2]!}`), made(`juice of ${other[2]!}`)];
  const each = ZEST_AND_JUICE.exec(text);
  if (each) return [made(`zest of ${each[1]!} ${each[2]!}`), made(`juice of ${each[3]!} ${each[2]!}`)];
  const measuredJuice = ZEST_AND_MEASURED.exec(text);
  if (measuredJuice && splitLine(measuredJuice[3]!).amounts[0]?.unit) return [made(measuredJuice[1]!), made(`${measuredJuice[3]!} ${measuredJuice[2]!} juice`)];
  // '3 lemons juice + zest of 2'.
  const juiced = JUICE_THEN_ZEST.exec(text);
  if (juiced) return [made(`juice of ${juiced[1]!} ${juiced[2]!}`), made(`zest of ${juiced[3]!} ${juiced[2]!}`)];
  const eggs = SEPARATED.exec(text);
  if (eggs && (apart.yolks || apart.whites)) {
    const count = eggs[1]!.replace(/\beggs?$/i, '').trim();
    return [made(`${count} egg yolks`), made(`${count} egg whites`)];
  }
  const wholeAnd = WHOLE_AND_PARTS.exec(text);
  if (wholeAnd) return [made(`${wholeAnd[1] ?? wholeAnd[2]!} eggs`), made(`${wholeAnd[3]!} egg ${wholeAnd[4]!}`)];
  const split = apart.yolks && apart.whites && !apart.listed && /\beggs?\b/i.test(text) ? splitLine(text) : null;
  if (
    split?.span &&
    split.amounts.length === 1 &&
    split.amounts[0]!.unit === null &&
    /^\W*eggs?\W*$/i.test(split.name.replace(/\b(?:large|medium|small|free-range|organic|very|fresh|whole|good|at room temp(?:erature)?)\b/gi, ' '))
  ) {
    const count = text.slice(split.span[0], split.span[1]);
    return [made(`${count} egg yolks`), made(`${count} egg whites`)];
  }
  // '1 lemon', of which the method grates the rind and squeezes the juice.
  const fruit = apart.zest && apart.juice ? WHOLE_CITRUS.exec(text) : null;
  if (fruit) return [made(`zest of ${fruit[1]!}`), made(`juice of ${fruit[1]!}`)];
  const extra = EXTRA.exec(text);
  if (extra && splitLine(extra[1]!).amounts.length > 0 && splitLine(extra[2]!.trim()).amounts[0]?.unit) {
    const main = extra[1]!.replace(/[\s(,]+$/, '');
    const { name } = splitLine(main);
    if (name !== '') return [made(main), made(`${extra[2]!.trim()} ${name}`)];
  }
  const grams = inBareGrams(text, context);
  return [grams === text ? made(text) : made(grams, 'no measure is written: grams are taken')];
}

const PACKS_OF =
  /^([1-9]|1\d)\s?[-–x×]\s?(\d{1,4}(?:\.\d)?[\s-]?(?:oz|ounce|g|ml)s?\.?)\s+(packages|pkgs?|packs|packets|cans|tins|boxes|containers|jars|bars|cartons|tubs|blocks)\b/i;

/** Known to come in pieces. */
const comesInPieces = (name: string, context: LineContext): boolean => {
  const { ingredient, confidence } = ingredientOf(name, context);
  return ingredient?.piece != null && confidence >= SURE_FROM && isCounted(name, context);
};

/** 'Mango 1 large (about 300 g flesh)', 'lime 1, zest and juice': how many stands behind the name. */
const COUNT_BEHIND = /^(\p{L}[\p{L}'’ -]{2,30}?)\s+(\d{1,2}|½|half|one|two|three|four)((?: (?:large|small|medium|ripe|big))?)(?=\s*(?:$|,|\())/iu;
const countFirst = (row: string, context: LineContext): string => {
  const m = COUNT_BEHIND.exec(row);
  return m && Number(m[2]) !== 0 && !(Number(m[2]) >= GRAMS_FROM) && comesInPieces(m[1]!, context) ? `${m[2]!}${m[3]!} ${m[1]!}${row.slice(m[0].length)}` : row;
};

/** One part of gelatin in so many of water, where a recipe says only 'gelatin mass' (house: what most pastry kitchens keep). */
const MASS_WATER = 5;
const GELATIN_MASS = /\bgelatine? mass\b/i;
const MASS_RATIO = /\(?\b1\s?(?:[:×x/]|to|in)\s?([4-7])\)?/i;

/** Gelatin that is kept swollen in its water: the two that it is. @returns null for anything else, or where no mass is said. */
function gelatinMass(text: string): { readonly lines: readonly [string, string]; readonly doubt: string } | null {
  if (!GELATIN_MASS.test(text)) return null;
  const said = MASS_RATIO.exec(text);
  const g = weighed(said ? text.replace(said[0], ' ') : text);
  if (g === null) return null;
  const parts = said ? Number(said[1]) : MASS_WATER;
  const of = (share: number): string => (g * share).toFixed(1).replace(/\.0$/, '');
  return {
    lines: [`${of(1 / (1 + parts))} g gelatin powder`, `${of(parts / (1 + parts))} g water`],
    doubt: said ? '' : `one part of gelatin in ${MASS_WATER} of water is taken`,
  };
}

/** 'Chocolate curls and a few extra raspberries'. */
const FEW_MORE = /\band (?:a few|some|a handful of)\b/i;
const A_FEW = /^(?:a few|some|a handful of) (?:(?:extra|more|whole|fresh) )*/i;

/** Two amounts of one thing, each with its name: added to it, parted in brackets, or summed; null where there is one. */
function twoOfOne(text: string): readonly [string, string] | null {
  const plus = AND_AGAIN.exec(text);
  const again = plus ? splitLine(plus[2]!) : null;
  if (plus && again?.amounts.length === 1 && again.amounts[0]!.unit && again.name === '' && splitLine(plus[1]!).amounts[0]?.unit) {
    const { name } = splitLine(plus[1]!);
    if (name !== '') return [plus[1]!, `${plus[2]!} ${name}`];
  }
  // '360 g sugar (60 g for the whites, 300 g for the syrup)'.
  const parted = PARTED.exec(text);
  if (parted && [parted[2]!, parted[3]!].every((t) => splitLine(t).amounts[0]?.unit)) {
    const { name } = splitLine(parted[1]!);
    if (name !== '') return [`${parted[2]!} ${name}`, `${parted[3]!} ${name}`];
  }
  // '100 g + 200 g cream, 35 %': in one measure nobody writes one amount so.
  const {
    amounts: [first, second],
    span,
  } = splitLine(text);
  if (!first?.unit || first.unit !== second?.unit || !span || span[0] !== 0 || !/^[^,(]*\+/.test(text.slice(0, span[1]))) return null;
  const name = text.slice(span[1]).trim();
  return [`${first.text} ${name}`, `${second.text} ${name}`];
}

/** Whether a thing comes in pieces that a cook counts; butter does not. */
export function isCounted(name: string, context: LineContext): boolean {
  const { ingredient } = ingredientOf(name, context);
  return ingredient === null || (ingredient.piece !== null && ingredient.category !== 'fat' && ingredient.category !== 'dairy');
}

/** A bare number of something is of grams from here on (house). */
export const GRAMS_FROM = 30;

/** 'Sug 400' among rows with their measures: in grams, where nobody counts so many. */
function inBareGrams(text: string, context: LineContext): string {
  const { amounts, span, name } = splitLine(text);
  const [amount, more] = amounts;
  if (
    !amount ||
    more ||
    !span ||
    amount.unit !== null ||
    !amount.quantity.ok ||
    amount.quantity.value < GRAMS_FROM ||
    !/^\d+$/.test(amount.text) ||
    span[1] !== text.trimEnd().length ||
    isCounted(name, context)
  )
    return text;
  return `${text.trimEnd()} g`;
}

/** What a thing that the larder lacks is for, by its own noun: 'oaty biscuits' are biscuits, whichever they are. */
const NOUNS: readonly (readonly [RegExp, Role])[] = [
  [/\b(?:biscuits?|cookies?|crackers?|wafers?|thins|fingers)\b/i, 'biscuit'],
  [/\b(?:liqueur|brandy|rum|whisk(?:e)?y|schnapps|armagnac|cognac|grappa|vermouth|wine)\b/i, 'drink'],
  [/\b(?:berries|currants|plums|cherries)\b/i, 'fruit'],
  [/nuts\b/i, 'nut'],
  [/\bchocolate\b/i, 'chocolate'],
];
const roleByWord = (text: string): Role | null => NOUNS.find(([word]) => word.test(text))?.[1] ?? null;

/** 'Baked tart shell 24 cm': one of that size. */
const SIZED = /^(\D{4,60}?)\s+\d{1,2}(?:[.,]\d)?\s?(?:cm|mm|inch(?:es)?|in|["”″])\W*$/i;

/** One line from its words. */
export function draftLine(written: string, place: Place, context: LineContext): DraftLine {
  const sized = SIZED.exec(written)?.[1];
  const text = sized === undefined ? written : `1 ${sized}`;
  const { ingredient, confidence, doubt } = ingredientOf(text, context);
  const read = readLine(text, ingredient, context.measures);
  const optional = /\boptional(?:ly)?\b|\bif (?:you like|liked|wished|desired)\b/i.test(text);
  return {
    written: text,
    text,
    ingredient,
    role: ingredient ? roleOf(ingredient) : roleByWord(text),
    confidence,
    grams: read.ok ? read.value.massG : ingredient === null ? weighed(text) : null,
    fault: read.ok ? '' : read.fault.says,
    doubt: doubt || (read.ok ? sizeDoubt(text) : ''),
    under: place.under,
    block: place.block,
    divided: /\bdivided\b|\bin (?:two|three) parts\b/i.test(text),
    optional,
    start: place.start,
    end: place.end,
  };
}

/** g that a line says itself, whatever it is of; null where it does not weigh. */
function weighed(text: string): number | null {
  const { amounts, aside } = splitLine(text);
  const said = [...amounts, ...(aside ? [aside] : [])].find((a) => a.unit?.dimension === 'mass' && a.unit.key.length <= 3);
  return said?.quantity.ok && said.unit ? said.quantity.value * said.unit.size : null;
}

/** Sorts that kitchens call by their first word alone, when they measure them: '300 ml double', '75 g caster'. */
const NICKNAMES: Readonly<Record<string, string>> = {
  double: 'double cream',
  single: 'single cream',
  whipping: 'whipping cream',
  heavy: 'heavy cream',
  caster: 'caster sugar',
  castor: 'caster sugar',
  icing: 'icing sugar',
  granulated: 'granulated sugar',
  demerara: 'demerara sugar',
  dark: 'dark chocolate',
  bittersweet: 'dark chocolate',
  plain: 'plain flour',
};

/** What a measured sort is called in full; null where the name says more, or is none that kitchens shorten. */
export function calledInFull(text: string): string | null {
  const { amounts, name } = splitLine(text);
  const measured = amounts[0]?.unit?.dimension === 'mass' || amounts[0]?.unit?.dimension === 'volume';
  return measured ? (lookUp(NICKNAMES, name.toLowerCase().replace(/^of /, '')) ?? null) : null;
}

/** '12 small pastry cases': no twelve tarts. */
const SMALL_CASES = /\b(?:small|mini|miniature|individual|bite-?size[d]?) (?:[\p{L}-]+ ){0,2}(?:pastry|tart|pie) (?:case|shell|crust)s\b/iu;

/** What a line's name means; of 'A or B' the first, and that is said. */
export function ingredientOf(
  text: string,
  context: LineContext,
): { readonly ingredient: Ingredient | null; readonly confidence: number; readonly doubt: string } {
  const full = calledInFull(text) ?? (SMALL_CASES.test(text) ? 'tartlet cases' : null);
  const split = full === null ? splitLine(text) : { ...splitLine(text), name: full };
  // '1 baked 9-inch pie crust': a size is no name.
  const written = {
    ...split,
    name:
      split.name
        // 'Orange-flavoured chocolate': chocolate.
        .replace(/\b\p{L}+[- ]flavou?red\s+(?=(?:\p{L}+ )*(?:chocolate|yogh?urt|marshmallow|cream cheese)s?\b)/giu, '')
        .replace(/\b\d{1,2}(?:[.,]\d)?[\s-]?(?:inch(?:es)?|cm|mm)\b[\s-]*/gi, '')
        .replace(BLOOM, '')
        // 'Whites from large eggs'.
        .replace(/\s+(?:from|of) (?:\d+ |\w+ )?(?:(?:large|medium|small|extra[- ]large|free[- ]range) )*eggs$/i, '')
        .replace(
          /,?\s*\b(?:for (?:the )?(?:top|topping|dusting|serving|decoration|decorating|garnish|finishing|drizzle|drizzling|brushing|coating|glazing|sprinkling|rolling|gelatine?|blooming)|to (?:serve|finish|decorate|garnish|dust|glaze|brush|coat|sprinkle))\b.*$/i,
          '',
        )
        .replace(/\s*(?:[+,]|\bplus|\band)\s*(?:a few|some|a little|a bit|extra|more)\b.*$/i, '')
        .replace(/(?<=^|\s)[\p{L}]+[- ](?:type|style)\s+/giu, '')
        .replace(/\s+at \d{1,2}\s?°?\s?[CF]\b.*$/i, '')
        .replace(/,?\s*\(?\boptional(?:ly)?\b\)?/i, '')
        .replace(IN_ITS_JUICE, '$1')
        .trim() || split.name,
  };
  // 'biscuits à la cuillère (ladyfingers)', 'almond brittle (use toasted hazelnuts)': what the bracket calls it.
  const plain = matchOf(written, context.matcher);
  const bracket = plain && plain.confidence >= SURE_FROM ? null : /\((?:use |or |i use |i\.e\. )?(?:the )?([\p{L}][\p{L} '’-]{3,40})\)/iu.exec(text)?.[1];
  const aside = bracket ? matchOf({ ...written, name: bracket }, context.matcher) : null;
  const whole = aside && aside.confidence > (plain?.confidence ?? 0) ? aside : plain;
  const or = whole && whole.confidence >= 0.98 ? null : OR.exec(written.name);
  const onlySort =
    or !== null &&
    or[1]!
      .toLowerCase()
      .split(/\s+/)
      .every((w) => SORTS.has(w));
  const first = or && !onlySort ? matchOf({ ...written, name: or[1]! }, context.matcher) : null;
  const second = or ? matchOf({ ...written, name: or[2]! }, context.matcher) : null;
  // 'heavy or whipping cream': the first half may need the noun of the second; the surer of the two is taken.
  const joined = or ? matchOf({ ...written, name: `${or[1]!} ${or[2]!.split(/\s+/).at(-1)!}` }, context.matcher) : null;
  const surer = joined && second && second.confidence > joined.confidence ? second : joined;
  const found: Match | null = or ? (first && first.confidence >= SURE_FROM ? first : (surer ?? first ?? second ?? whole)) : whole;
  if (!found) return { ingredient: null, confidence: 0, doubt: '' };
  // 'Gelatin sheets, silver', '3 leaves gelatine (bronze)': the grade counts, wherever it stands.
  const grade =
    found.ingredient.bloom !== null && found.ingredient.piece?.name === 'leaf' ? /\b(titanium|bronze|silver|gold|platinum)\b/i.exec(text)?.[1] : undefined;
  const graded = grade ? context.matcher.find(`${grade.toLowerCase()} gelatin leaves`, 1)[0] : undefined;
  if (graded && graded.ingredient.bloom !== null)
    return { ingredient: graded.ingredient, confidence: Math.max(found.confidence, graded.confidence), doubt: '' };
  const cocoa = ofItsCocoa(found, text, context);
  if (cocoa) return cocoa;
  const strength = ofItsBloom(found, text, context);
  if (strength) return strength;
  const choice = or && second && second.ingredient.id !== found.ingredient.id ? `either will do; ${found.ingredient.name} is taken` : '';
  return { ingredient: found.ingredient, confidence: found.confidence, doubt: choice };
}

/** 'Gelatin powder (200 bloom)': how strong it is. */
const BLOOM = /\(?\b(\d{2,3})[\s-]?bloom\b\)?/i;
/** So far from what is said, a gelatin sets alike (house: half the way between two grades of leaf). */
const NEAR_BLOOM = 20;

/** So many points of cocoa beside what is said, a chocolate is still that one (house). */
const NEAR_COCOA_PCT = 6;

/** Of leaves, or of powders, the one that is as strong as is said. @returns null where no bloom is said, or of what is no gelatin. */
function ofItsBloom(
  found: Match,
  text: string,
  context: LineContext,
): { readonly ingredient: Ingredient; readonly confidence: number; readonly doubt: string } | null {
  const bloom = Number(BLOOM.exec(text)?.[1] ?? NaN);
  if (found.ingredient.bloom === null || !Number.isFinite(bloom)) return null;
  const away = (i: Ingredient): number => Math.abs(i.bloom! - bloom);
  const alike = (i: Ingredient): boolean =>
    i.bloom !== null && i.piece?.name === found.ingredient.piece?.name && /\bfish\b/i.test(i.name) === /\bfish\b/i.test(text);
  const nearest = [...context.larder.values()].filter(alike).sort((a, b) => away(a) - away(b))[0] ?? found.ingredient;
  return {
    ingredient: nearest,
    confidence: Math.max(found.confidence, SURE_FROM),
    doubt: away(nearest) > NEAR_BLOOM ? `${bloom} bloom is said; ${nearest.name} is taken` : '',
  };
}

/** 'Dark chocolate (60 %)': of a kind that the larder has by its cocoa, the nearest. @returns null where no share of cocoa is said. */
function ofItsCocoa(
  found: Match,
  text: string,
  context: LineContext,
): { readonly ingredient: Ingredient; readonly confidence: number; readonly doubt: string } | null {
  const kind = /^(chocolate-(?:dark|milk))-\d{2}$/.exec(found.ingredient.id)?.[1];
  const pct = kind === undefined ? NaN : Number(/\b(\d{2})\s?%/.exec(text)?.[1] ?? NaN);
  if (!Number.isFinite(pct)) return null;
  const away = (i: Ingredient): number => Math.abs(Number(i.id.slice(-2)) - pct);
  const [nearest] = [...context.larder.values()].filter((i) => i.id.startsWith(`${kind!}-`)).sort((a, b) => away(a) - away(b));
  if (!nearest) return null;
  return {
    ingredient: nearest,
    confidence: Math.max(found.confidence, SURE_FROM),
    doubt: away(nearest) > NEAR_COCOA_PCT ? `the nearest is ${nearest.name}` : '',
  };
}

/** 'Peach slices in juice': what it lies in is poured off. */
const IN_ITS_JUICE = /^(\p{L}[\p{L} -]{2,40}?)\s+in (?:(?:its|their|own|light|heavy|natural|fruit) )*juice\b.*$/iu;

/** Amounts by feel and packs without a size, which are asked about. */
function sizeDoubt(text: string): string {
  const { amounts, aside } = splitLine(text);
  const unit = amounts[0]?.unit;
  if (/\bthick cream\b/i.test(text)) return 'double or clotted? double cream is taken';
  if (!unit || aside) return '';
  if (isByFeel(unit)) return `how much is ${amounts[0]!.text}? the usual size is taken`;
  return unit.dimension === 'pack' && unit.key !== 'sachet' ? `how large is ${amounts[0]!.text}? the larder’s pack is taken` : '';
}

/** A share of '1/4 cup plus 2 tbsp' in one measure: 2 tbsp; scaled as it is written where none is handy. */
function inOneMeasure(text: string, share: number): string {
  const { amounts, name } = splitLine(text);
  const spoons =
    amounts.reduce((sum, a) => sum + (a.unit?.dimension === 'volume' && a.quantity.ok ? (a.quantity.value * a.unit.size) / TBSP_ML : NaN), 0) * share;
  const said = Number.isFinite(spoons) ? asFraction(spoons, 0.02) : null;
  return said === null ? scaleLineText(text, share) : `${said} tbsp ${name}`;
}
const TBSP_ML = 14.78676478125;

/** The same line with a share of its amount, where a recipe divides it. */
export function shareOfLine(line: DraftLine, share: number, said: string, context: LineContext): DraftLine {
  const { name, amounts } = splitLine(line.text);
  const typed = said === '' ? (amounts.length > 1 ? inOneMeasure(line.text, share) : scaleLineText(line.text, share)) : `${said} ${name}`;
  const fresh = draftLine(typed, line, context);
  const good = fresh.ingredient?.id === line.ingredient?.id && fresh.grams !== null ? fresh : { ...draftLine(scaleLineText(line.text, share), line, context) };
  return { ...line, text: good.text, grams: good.grams ?? (line.grams === null ? null : line.grams * share), divided: false };
}
