import { splitLine } from '../measures/line';
import { clauseOf, sentencesOf } from './clauses';
import { temperaturesIn } from './degrees';
import { timesIn } from './times';
import { verbNamed } from './verbs';
import { wordsOf } from './words';

/** A longer row is a sentence, characters. */
export const LONGEST_LINE = 150;

/** Above a list. */
export const INGREDIENTS =
  /^(?:the |for the |your )?(?:ingredients?|shopping list|what you(?:['’]ll)? need|you(?:['’]ll| will)? need|what goes in|things)\b[^.]{0,40}:?$/i;

/** How many it serves, how much it makes. */
export const YIELD =
  /^(?:pour|für|per|para) \d{1,3} (?:personn?e?s?|pers\.?|parts?|personen|persone|personas)\b|^(?:\p{L}{2,10}:\s*)?\d{1,3} (?:verrines|coupes|tumblers) (?:of|à|a)\b|^[x×]\s?\d{1,3}$|^\d{1,3} (?:glasses|cups|pots|ramekins|jars|verrines|coupes|mou?lds|tumblers) ?(?:[x×@]|of|à) ?\d{2,4} ?(?:ml|g)\W*$|^\d{1,4}(?:\s*(?:-|–|to)\s*\d{1,4})? (?:portions?|servings?|people|persons|slices|pieces|glasses|cupcakes)(?:,? (?:from |in )?(?:an? |one )?(?:terrine|loaf|tin|ring|tray|mou?ld|dish|cake)\b.{0,24}|\W*)$|^\d{1,2}(?:[.,]\d)?[\s-]?(?:inch(?:es)?|in|cm|")\W[^.]{0,24}\b\d{1,3} (?:portions?|servings?|slices|pieces)\W*$|^(?:\W*)(?:serves?|makes?|yields?|servings?|portions?|feeds|enough for|for)\b[:\s]*(?:about |approx\.? |around |up to |a |~ ?)?(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twelve|a dozen|enough)/iu;

/** 'Prep 25 min', 'chill 6 hours'. */
const FOR_HOW_LONG =
  /^(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|chill(?:ing)?|rest(?:ing)?|freez(?:e|ing)|setting|total|active|hands-on|ready in)(?: time)?:?\s+(?:about |at least |c\. ?|~ ?)?(?:\d|[½¼¾]|overnight)[^.]{0,24}$/i;
/** '9x13 pan', 'one 9-inch springform'. */
const VESSEL_OF_SIZE =
  /^(?:(?:in|for|fits|fills) )?(?:an? |one )?\d{1,2}(?:[.,]\d)?\s?(?:(?:x|×|by)\s?\d{1,2}|[\s-]?(?:inch(?:es)?|in|cm|["”″]))[^,.;]{0,24}\b(?:pan|tin|dish|springform|tray|ring|mou?ld|terrine|bowl)\b[^,.;]{0,16}$/i;

/** '1.2 litre terrine', '900 g loaf tin'. */
const VESSEL_THAT_HOLDS =
  /^(?:(?:in|for|fits|fills) )?(?:an? |one )?\d{1,4}(?:[.,]\d{1,2})?[\s-]?(?:l|litres?|liters?|ml|g|lb|qt|quarts?|pints?)[\s-](?:[\p{L}-]+ ){0,2}(?:terrine|tin|mou?ld|bowl|dish|basin|pan|ring)s?$/iu;

/** 'Prep 25 min · Makes one 9-inch springform', '9x13 pan, feeds 15': a row that says several things, each of the whole dessert. */
export function saysOfTheWhole(text: string): boolean {
  const pieces =
    text.length > 120
      ? []
      : text
          .replace(/^\((.*)\)$/, '$1')
          .split(
            /\s+[·•|/–—-]\s+|[,;]\s+|\s+(?=(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|chill(?:ing)?|freez(?:e|ing)|total|serves|makes)(?: time)?:? +\d)/i,
          )
          .map((t) => t.replace(/[.]$/, ''));
  return (
    pieces.length > 1 &&
    pieces.every(
      (t) => YIELD.test(t) || FOR_HOW_LONG.test(t) || VESSEL_OF_SIZE.test(t) || VESSEL_THAT_HOLDS.test(t) || /^(?:easy|medium|hard|no[- ]bake)$/i.test(t),
    ) &&
    pieces.some((t) => YIELD.test(t) || VESSEL_OF_SIZE.test(t) || VESSEL_THAT_HOLDS.test(t))
  );
}

/** 'Yolks 80', 'cream 250 + 300 whipped': a list that says no measure anywhere is in grams. */
export const BARE_GRAMS =
  /^(?![^,]*,[^,]*\b(?:zest|juice|rind|peel|to|in|into|until|till|at|for)\b)(\p{L}[\p{L} %’',-]*?(?:\s\d{1,2}(?:[.,]\d)?\s?%?(?=\s))?(?:\s?\((?:\d|\p{L}{2,12})\)(?:, \p{L}+)?)?)[\s:]+(\d{1,4}(?:[.,]\d{1,2})?)(?:\s*\+\s*(\d{1,4})(?:\s+(\p{L}+))?)?((?:\s*\([^()]{0,40}\)|\s+(?:whipped|melted|softened|soft|cold|chopped|sifted|toasted))?)$/u;

/** What is taken of a counted fruit. */
export const TAKEN_FROM =
  /^(?:(?:finely |freshly )?grated )?(?:zest|juice|rind|peel)(?: (?:and|&|\+) (?:zest|juice|rind|peel))? (?:\d{1,2}|[½¼¾]|half an?|one|two|three|four) (?:(?:large|small|medium|unwaxed|lrg|lge|sm|med) )*(?:lemons?|limes?|oranges?|grapefruits?|clementines?)\b[^.!]{0,24}$/i;

/** '3 lemons juice + zest of 2': two things of one fruit. */
export const JUICE_THEN_ZEST =
  /^(\d{1,2}|[½¼¾]|one|two|three|four|five|six) ((?:unwaxed |large |small )?(?:lemon|lime|orange|grapefruit)s?),? (?:the )?juice,? (?:and|&|\+|plus) (?:the )?(?:zest|rind|peel) (?:of|from) (\d{1,2}|half|one|two|three|four)\b.{0,12}$/i;

/** What something of a list is for: no work. */
export const PURPOSE = /,?\s+(?:to|for) (?:garnish|serve|decorate|decorating|finish|finishing|dust|dusting|serving|glaze|glazing|brush|coat|sprinkle|top)\W*$/i;

/** Whether a row reads like an amount and a name, with a verb of the kitchen nowhere before them. */
export function looksLikeLine(text: string, isIngredient: (name: string) => boolean = () => false): boolean {
  if (text.length > LONGEST_LINE) return false;
  const { amounts, span, name, unweighed } = splitLine(text);
  const first = wordsOf(text)[0]?.said ?? '';
  if (timesIn(text).length > 0 && !amounts.some((a) => a.unit?.dimension === 'mass' || a.unit?.dimension === 'volume')) return false;
  if (amounts.length === 0 || !span) return unweighed && name !== '' && (isIngredient(name.replace(/[,\s]+$/, '')) || !isAction(text.replace(PURPOSE, '')));
  if (name === '' && amounts[0]!.unit === null) return false;
  // 'Cream 35 %   200 g': what ends in its measure is no sentence.
  if (endsMeasured(text) && !isTime(text)) return true;
  if (span[0] <= 2) return !/[.!]\s+\p{Lu}/u.test(text) && !isTime(text) && name !== '';
  if (
    /^(?:the )?(?:(?:finely|freshly|thinly) )*(?:grated |pared |peeled )?(?:zest|juice|peel|rind|seeds)\b[^.]{0,30}\b(?:of|from)\b/i.test(text) &&
    text.length < 70
  )
    return true;
  // 'Juice ½ lemon', 'zest 2 oranges'.
  if (TAKEN_FROM.test(text)) return true;
  if (amounts[0]!.unit !== null && text.length < 70 && !/[.!]$/.test(text) && !isTime(text) && isIngredient(name)) return true;
  // 'Shortbread fingers 8, to serve'.
  const called = name.replace(PURPOSE, '').split(',')[0]!;
  if (amounts[0]!.unit === null && !isIngredient(name) && !isIngredient(called)) return false;
  return !(verbNamed(first) !== null && isAction(text)) && text.length < 90 && !/[.!]$/.test(text) && !isTime(text) && !hasVerbInside(text);
}

export const isTime = (text: string): boolean => {
  const t = timesIn(text)[0];
  return t !== undefined && t.start <= 3;
};

const hasVerbInside = (text: string): boolean =>
  /\b(?:until|till|then|into the|in the (?:fridge|freezer|oven|microwave))\b/i.test(text) || temperaturesIn(text, false).length > 0;

/** Whether a row says what is done: it begins with a verb, or is a sentence with one, or a time in a place. */
export function isAction(text: string): boolean {
  const first = sentencesOf(text)[0] ?? text;
  const c = clauseOf(first);
  if (c.verb && c.at <= 6) return !c.verb.weak || c.at > 0 || /[.!]$/.test(text) || text.split(/\s+/).length > 3 || timesIn(text).length > 0;
  return (
    c.verb !== null ||
    (/\b(?:fridge|freezer|oven|microwave|water|hob|overnight|o\/n|till|until)\b/i.test(text) && (timesIn(text).length > 0 || /\b(?:till|until)\b/i.test(text)))
  );
}

/** 'Gelatin leaf 3 g': a short name, and its measure at the end. */
export const endsMeasured = (text: string): boolean => {
  const { amounts, span, name } = splitLine(text);
  return span !== null && amounts[0]?.unit != null && span[1] === text.trimEnd().length && name !== '' && name.split(/\s+/).length <= 5;
};

export const looksLikeMeasured = (text: string): boolean => {
  const { amounts, span } = splitLine(text);
  return span !== null && span[0] <= 2 && amounts[0]?.unit != null;
};
