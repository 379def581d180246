import { splitLine } from '../measures/line';
import { isByFeel } from '../measures/units';
import { wordNumber } from '../measures/word-number';
import type { WrittenAmount } from '../measures/written';
import type { Clause } from './clauses';
import { temperaturesIn } from './degrees';
import { GRAMS_FROM } from './lines';
import { timesIn } from './times';

/** An amount of something that a sentence says. */
export interface SaidAmount {
  /** As it stands there, amount and name: 'three quarters of a cup of powdered sugar'. */
  readonly text: string;
  /** The name alone, without 'of', 'the', 'those'. */
  readonly name: string;
  readonly amount: WrittenAmount;
  /** 'of the', 'of that', 'your': of something that has been named before. */
  readonly definite: boolean;
  /** Said to be more of it: 'another cup'. */
  readonly more: boolean;
  /** In the clause's text. */
  readonly start: number;
  readonly end: number;
}

/** Words that end a name. */
const STOPS = new Set(
  'with and to until till til thru into in for over on onto that which from through at by then while plus if it them they is are was were be or off together when as so but before after like around about between each per using stirred dipped moistened drenched brushed dusted dissolved mixed melted cut beat beaten whipped sifted chopped, added left soaked sweetened squeezed warmed heated pared grated snapped broken whisked per than gently slowly gradually ground up down out apart aside does do will you i we he she has have had just instead already first one go goes going a an put'.split(
    ' ',
  ),
);
/** What a number counts that is no ingredient. */
const COUNTS =
  /^(?:(?:decent|good|generous|big|proper|nice|fair)\s+(?:slices|portions|helpings)\b(?! of)|inch(?:es)?|in|cm|mm|layers?|altogether|in all|in total|times?|additions?|batche?s?|parts?|portions?|glass(?:es)?|people|goes|go|bowls?|circles?|dis[ck]s?|ways?|more|speeds?|degrees?|rounds?|servings?|persons?|slices?(?: and\b|\W|$)|thirds?|halves|rows?|stages?|steps?|guests?|moulds?|ramekins?|tins?|trays?|nests? each|days?|nights?|hours?|minutes?|seconds?|x|by|of each|pans?|dish(?:es)?|tins?|squares?|rectangles?|rings?|pots?|coupes?|jars?|plates?|sides?|turns?|strokes?|hands?|fingers? (?:wide|deep|thick)|year|years|week|weeks|notch|minute)\b/i;
const LEAD =
  /^[\s\u00a0]*(?:(?:of|from)[\s\u00a0]+)?(the |that |those |these |your |this |my |our )?(?:finished |whipped |cold |same |decent |good |nice |proper )*/i;

/** The percentage that stands in brackets behind a name. */
const SORT_PCT = /^\s?\(\s?\d{2}\s?%(?: cocoa)?\s?\)/;

/** How much a pack holds, in brackets behind its name. */
const PACK_SIZE = /^\s?\(\s?[\d.,]+\s?(?:g|kg|ml|l|oz)\s?\)/i;

/** What is taken of it stands before the number. */
const PART_OF = /\b(?:yolks?|whites?|juice|zest|peel|rind|seeds)(?: and (?:the )?(?:juice|zest|peel|rind|seeds))? (?:of|from) (?:the )?$/i;

/** Where numbers may begin: a digit, a fraction, or a number word; not inside a word or a number. */
const NUMBERS =
  /(?<![\p{L}\d.,/½¼¾⅓⅔°-])(?:\d|[½⅓⅔¼¾⅛⅜⅝⅞]|(?:another|an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|hundred|half|quarter|couple)(?![\p{L}]))/giu;

/** A measure that begins a phrase without its number: 'Wineglass of sherry, pinch of nutmeg'. */
const MEASURE_WORDS =
  'wineglass|cup|pint|gill|spoonful|teaspoon|tablespoon|pinch|handful|knob|splash|squeeze|dash|glug|punnet|tin|can|jar|packet|pack|carton|tub|block|bar|bag|box|stick|sachet';
const BARE = new RegExp(`(?<=^|[,;:.+&]\\s{1,3}|\\b(?:and|then|with|plus) )(?:${MEASURE_WORDS})(?= of\\s)`);
const IS_MEASURE = new RegExp(`^(?:${MEASURE_WORDS})$`, 'i');

const BEGINS = new RegExp(`${BARE.source}|${NUMBERS.source}`, NUMBERS.flags);

/** Every amount of something that a clause says, in its order. Times, temperatures, sizes and counts of layers are none. */
export function amountsIn(c: Clause): readonly SaidAmount[] {
  const { text } = c;
  const taken = [...timesIn(text), ...temperaturesIn(text, false)].map((t) => [t.start, t.end] as const);
  const out: SaidAmount[] = [];
  const from = BEGINS;
  from.lastIndex = 0;
  for (let m = from.exec(text); m; m = from.exec(text)) {
    const start = m.index;
    if (taken.some(([a, b]) => start >= a && start < b)) continue;
    const more = /^another/i.test(m[0]);
    // 'Another cup' and a bare 'cup' are one of it.
    const said = more ? start + 7 + /^\s*/.exec(text.slice(start + 7))![0].length : start;
    const one = more || IS_MEASURE.test(m[0]);
    // 'Another 60 g' says how much itself.
    const figured = more && /^\d/.test(text.slice(said));
    const source = figured ? text.slice(said, said + 180) : one ? `one ${text.slice(said, start + 180)}` : text.slice(start, start + 180);
    const shift = figured ? said : one ? said - 4 : start;
    const again = restated(text, source, start, out.at(-1));
    if (again) {
      const only = ONLY_USED.exec(text.slice(shift + again.length));
      const used = only ? splitLine(`${only[1]!} g x`).amounts[0] : undefined;
      if (used) {
        out[out.length - 1] = { ...again.said, amount: used, text: `${used.text} ${again.said.name}`, end: shift + again.length + only![0].length };
        from.lastIndex = Math.max(shift + again.length + only![0].length, start + 1);
        continue;
      }
      out[out.length - 1] = { ...again.said, end: shift + again.length };
      from.lastIndex = Math.max(shift + again.length, start + 1);
      continue;
    }
    const found = howItIs(amountFrom(source, more), text, start) ?? namedBefore(text, source, start);
    if (!found) {
      const one = ofTheSame(text, source, start, out.at(-1));
      if (one) {
        out.push(one);
        from.lastIndex = Math.max(one.end, start + 1);
      }
      continue;
    }
    // 'Dark chocolate (70 %)': the bracket says which.
    const end =
      shift +
      found.length +
      ((SORT_PCT.exec(text.slice(shift + found.length)) ??
        (found.said.amount.unit?.dimension === 'pack' ? PACK_SIZE.exec(text.slice(shift + found.length)) : null))?.[0].length ?? 0);
    // 'the yolks of five eggs', 'the juice and peel of two lemons'.
    const part = PART_OF.exec(text.slice(Math.max(0, start - 40), start));
    if (part) {
      out.push({ ...found.said, name: found.said.name, text: text.slice(start - part[0].length, end).trim(), start: start - part[0].length, end });
      from.lastIndex = Math.max(end, start + 1);
      continue;
    }
    from.lastIndex = Math.max(end, start + 1);
    // 'Tin of caramel': one of it.
    const bare = IS_MEASURE.test(m[0]) && found.said.amount.unit?.dimension === 'pack' ? '1 ' : '';
    const definite = found.said.definite || THE_OTHER.test(text.slice(Math.max(0, start - 20), start));
    out.push({ ...found.said, definite, text: withItsName(`${bare}${text.slice(start, end).trim()}`, found.said), start, end });
  }
  return out;
}

/** 'Flaked almonds, a handful': the amount as a line of its own would say it. */
function withItsName(says: string, { name, more, amount }: Omit<SaidAmount, 'text' | 'start' | 'end'>): string {
  if (more || says.toLowerCase().includes(name.toLowerCase())) return says;
  return `${says.replace(/[.,;]+$/, '').replace(/ of (?:them|those)$/i, '')} ${amount.unit === null ? '' : 'of '}${name}`;
}

/** 'The peel of two lemons and the juice of one': of the fruit that was named last. */
function ofTheSame(text: string, source: string, start: number, last: SaidAmount | undefined): SaidAmount | null {
  const part = PART_OF.exec(text.slice(Math.max(0, start - 40), start));
  const many =
    /^(?:(?:one|two|three) and a half|\d{1,2}(?:\s1\/2|½)|one|two|three|four|half|an?|the other|\d{1,2})(?=\s*(?:[,.;)]|$|and\b|goe?s?\b|into?\b|over\b))/i.exec(
      source,
    )?.[0];
  if (!part || !last || last.amount.unit !== null || many === undefined) return null;
  const said = `${many} ${last.name}`;
  const [amount] = splitLine(said).amounts;
  return amount === undefined
    ? null
    : { text: `${part[0]}${said}`, name: last.name, amount, definite: false, more: false, start: start - part[0].length, end: start + many.length };
}

function amountFrom(source: string, more: boolean): { said: Omit<SaidAmount, 'text' | 'start' | 'end'>; length: number } | null {
  const split = splitLine(source);
  const amount = split.amounts[0];
  if (!amount || !split.span || split.span[0] > 1 || !amount.quantity.ok) return null;
  const said = wordNumber(source, 0);
  if (/^(?:quarter|half|couple)/i.test(source) && amount.unit === null && !/^half (?:a|an|of)/i.test(source)) return null;
  if (amount.unit === null && amount.quantity.value < 1 && /^[^\s]+(?:[\s-]+\w+)?[\s]+of[\s]+(?:the|that|this|your|it)/i.test(source)) return null;
  const end = amountEnd(source, split.span[1], split.amounts);
  const rest = source.slice(end);
  if (amount.unit === null && COUNTS.test(rest.trimStart().replace(/^-/, ''))) return null;
  if (/^[\s-]*(?:inch|cm|mm)\b|^\s*[,;]\s*\d/i.test(rest)) return null;
  // 'About 300 ml, strong': what follows the comma says how it is.
  if (amount.unit !== null && /^\s*[,;]/.test(rest)) return null;
  // 'Four 6-oz cups' hold something; they are nothing to eat.
  if (/^\)?[\s-]*(?:altogether\b|all (?:in|told)\b|in (?:all|total)\b|(?:cups|glasses|ramekins|mou?lds|jars|pots|verrines|dishes)\b)/i.test(rest)) return null;
  const lead = LEAD.exec(rest)!;
  const nameText = rest.slice(lead[0].length);
  const name = nameOf(nameText);
  // 'Coats the back of a spoon (82 °C)': nothing is named.
  if (!/\p{L}{2}/u.test(name)) return null;
  // 'a' alone is an article: only with a measure, or of what is counted.
  if (
    amount.unit === null &&
    said &&
    said.value === 1 &&
    /^an?\b/i.test(source) &&
    !/^(?:large |small |medium |ripe |whole |unwaxed |extra |juicy |split |halved |vanilla )*(?:egg|yolk|white|lemon|orange|lime|banana|mango|pear|apple|peach|vanilla|sprig)/i.test(
      name,
    )
  )
    return null;
  return { said: { name, amount, definite: Boolean(lead[1]), more }, length: end + lead[0].length + nameText.indexOf(name) + name.length };
}

/** 'The other 150 ml of cream': of what was named before. */
const THE_OTHER = /\b(?:the|that) (?:other|remaining|last)\s+$/i;

/** 'For the strawberries, 300 g hulled and quartered': of those, where only how they are is said. */
function howItIs(found: ReturnType<typeof amountFrom>, text: string, start: number): ReturnType<typeof amountFrom> {
  if (!found || !ONLY_HOW.test(found.said.name)) return found;
  const of = FOR_THESE.exec(text.slice(0, start))?.[1];
  return of === undefined ? found : { said: { ...found.said, name: of }, length: found.length - found.said.name.length };
}
const ONLY_HOW =
  /^(?:hulled|sliced|chopped|quartered|halved|peeled|diced|stoned|pitted|cubed|grated|crushed|mixed|fresh|frozen|ripe)(?: (?:hulled|sliced|chopped|quartered|halved|peeled|diced))*$/i;
const FOR_THESE = /^(?:and |then |now |so )?for (?:the|your) (\p{L}[\p{L}'’-]*(?: \p{L}[\p{L}'’-]*)?),\s+(?:about |you want |take )?$/iu;

/** 'A madeira cake, i don't know, 250 grams'; 'some toasted almonds, a handful'. */
const NAMED_HEDGED =
  /(?:^|[\s(])(?:an?|the|some|your|my|in|with|into|bit of)\s+(?:(?:layer|slice|covering) of (?:the )?)?((?:[\p{L}'’-]+\s+){0,4}[\p{L}'’-]+),?\s+(?:about|around|roughly|approximately|approx\.?|maybe|say|(?:oh,? )?i (?:don['’]t know|think|suppose|guess|reckon|use),?|let['’]?s say,?|it['’]?s)\s+$/iu;
const NAMED_SOME = /(?:^|[\s(])(?:some|a few|the)\s+((?:[\p{L}'’-]+\s+){0,3}[\p{L}'’-]+),\s+$/iu;
/** 'Some caramel sauce (about 60 g)'. */
const NAMED_ASIDE =
  /(?:^|^.*[\s(])(?:some|a little|a bit of|with|and|the|of|an?)\s+((?:[\p{L}'’-]+\s+){0,3}[\p{L}'’-]+)\s+\(\s?(?:[^()]{1,20},\s*)?(?:about |around |roughly |say )?$/iu;
/** 'Ginger nuts, two packets', 'flaked almonds, toasted, a handful': the name begins, its amount follows. */
const NAMED_FIRST =
  /^(?:(?:then|and|next)\s+)?(?:(?:scatter|sprinkle|strew|add|dust with|fold in|stir in)\s+)?(\p{L}[\p{L}'’-]*(?:\s+[\p{L}'’-]+){0,3}?)(?: (?:to (?:finish|serve|decorate)|on top|over the top))?(?:,\s+(?:toasted|chopped|crushed|grated|sliced|shaved|broken|halved|melted|sieved|soft(?:ened)?|cold|unsalted|full[- ]fat|the full[- ]fat (?:one|kind)|(?:straight |right )?(?:from|out of) the fridge|at room temperature|room temperature|drained|the good (?:one|stuff|kind))){0,3},\s+(?:about |around |roughly |say )?$/iu;
/** 'Coffee: I make about 300 ml'. */
const NAMED_COLON =
  /(?:^|[.;]\s+)(\p{L}[\p{L}'’-]*(?:\s+[\p{L}'’-]+){0,3}):\s+(?:(?:i|you|we) )?(?:make|use|need|take|want|have)\s+(?:about |around |roughly )?$/iu;
/** Things of a kitchen that have a size, and are nothing to eat. */
const HOLDS =
  /\b(?:bowl|dish|tin|pan|saucepan|tray|glass|jug|mould|mold|terrine|ring|cup|ramekin|pot|box|tub|container|basin|jar|plate|bag|bottle|fridge|freezer|oven|mixer|machine|processor|blender)(?:e?s)?$/i;
const CUT_UP = /\s+(?:in|on|out|on top)$|\s+(?:cut|torn|broken|sliced|chopped|crumbled)(?: up| small| in(?:to)? (?:pieces|cubes|chunks|slices))?$/i;

/** 'A jar of lemon curd, about 320 grams', 'two packets, 400 grams all in': the same again, weighed; null where it is something else. */
function restated(text: string, source: string, start: number, last: SaidAmount | undefined): { said: SaidAmount; length: number } | null {
  if (!last) return null;
  const byFeel = last.amount.unit !== null && isByFeel(last.amount.unit);
  if (!byFeel && (last.amount.unit?.dimension === 'mass' || last.amount.unit?.dimension === 'volume')) return null;
  const between = text.slice(last.end, start);
  if (byFeel && /^\s+(?:about|around|roughly|say|maybe)\s+$/i.test(between)) {
    const weighed = measuredAlone(source);
    return weighed && { said: { ...last, amount: weighed.amount, text: `${weighed.amount.text} ${last.name}` }, length: weighed.length };
  }
  if (
    !/^(?:\s+\p{L}+){0,2},?\s*\(?(?:(?:that['’]?s|it['’]?s|about|around|roughly|say|maybe|i think|i (?:don['’]t know))[\s,]+)*$/iu.test(
      text.slice(last.end, start),
    ) ||
    !/[,(]/.test(text.slice(last.end - 1, start))
  )
    return null;
  // 'A sleeve and a half of crackers, that's about 13 of them': counted.
  const them = /that['’]?s/i.test(text.slice(last.end, start)) ? OF_THEM.exec(source) : null;
  const [many] = them === null ? [] : splitLine(`${them[1]!} ${last.name}`).amounts;
  if (them && many?.quantity.ok) return { said: { ...last, amount: many, text: `${them[1]!} ${last.name}` }, length: them[0].length };
  // 'Two tins of peaches, 410 grams each'.
  const each = last.amount.unit?.dimension === 'pack' ? EACH_WEIGHS.exec(source) : null;
  if (each) return { said: { ...last, text: `${last.text} (${each[1]!} each)` }, length: each[0].length };
  const weighed = measuredAlone(source) ?? (last.amount.unit?.dimension === 'pack' ? gramsAlone(source) : null);
  return weighed && { said: { ...last, amount: weighed.amount, text: `${weighed.amount.text} ${last.name}` }, length: weighed.length };
}

const EACH_WEIGHS = /^(\d{2,4}\s?(?:g|grams?|ml|oz|ounces?))\s+(?:each|apiece|a (?:tin|can|pack|tub))(?=\s*(?:[.,;)]|$|and\b))/i;

/** 'A block of butter, two fifty': what a pack weighs, where nobody counts so many. */
function gramsAlone(source: string): { amount: WrittenAmount; length: number } | null {
  const number = splitLine(source);
  const [bare] = number.amounts;
  if (!bare?.quantity.ok || bare.unit !== null || bare.quantity.value < GRAMS_FROM || !number.span || number.span[0] > 1) return null;
  const [amount] = splitLine(`${bare.quantity.value} g x`).amounts;
  return amount && NOTHING_MORE.test(source.slice(number.span[1])) ? { amount, length: number.span[1] } : null;
}

/** 'That's 400 g but I only use 250'. */
const ONLY_USED = /^\s*,?\s*but (?:i|we|you) only (?:use|need|want) (?:about )?(\d{2,4})(?:\s?(?:g|grams?)\b)?/i;

/** A mass or a volume behind which nothing is named. */
function measuredAlone(source: string): { amount: WrittenAmount; length: number } | null {
  const { amounts, span } = splitLine(source);
  const amount = amounts[0];
  if (!amount?.quantity.ok || !span || span[0] > 1 || (amount.unit?.dimension !== 'mass' && amount.unit?.dimension !== 'volume')) return null;
  return NOTHING_MORE.test(source.slice(span[1])) ? { amount, length: span[1] } : null;
}
const NOTHING_MORE =
  /^[\s\u00a0]*(?:(?:all (?:in|told)|in (?:all|total)|altogether|or so)\b\s*)?(?:[.,;)]|$|but\b|(?:and|plus|&) (?:\d|[½¼¾]|(?:an?|one|two|three|four|half)\b))/i;

/** 'a shop-bought madeira cake, about 250 grams': the name stands before its amount. */
function namedBefore(text: string, source: string, start: number): { said: Omit<SaidAmount, 'text' | 'start' | 'end'>; length: number } | null {
  // 'A Madeira cake, a shop one is fine, about 300 grams': what may be said between is none of its name.
  const lead = text.slice(Math.max(0, start - 90), start).replace(ANY_WILL_DO, ', ');
  const before =
    NAMED_HEDGED.exec(lead) ?? NAMED_ASIDE.exec(lead) ?? (IS_MEASURE.test(splitLine(source).amounts[0]?.unit?.one ?? '') ? NAMED_SOME.exec(lead) : null);
  const split = splitLine(source);
  const amount = split.amounts[0];
  // 'Whip the other 300 ml': of what was named before.
  if (amount?.quantity.ok && amount.unit !== null && split.span && split.span[0] <= 1 && THE_OTHER.test(text.slice(Math.max(0, start - 20), start)))
    return { said: { name: 'more', amount, definite: false, more: true }, length: split.span[1] };
  const toTaste = /(?:^|[\s,(])(?:and |with )?([\p{L}]+(?: [\p{L}]+)?) to (?:your |the )?taste,? (?:about|say|perhaps)\s+$/iu.exec(
    text.slice(Math.max(0, start - 60), start),
  );
  if (toTaste && amount?.quantity.ok && amount.unit !== null && split.span && split.span[0] <= 1)
    return { said: { name: toTaste[1]!, amount, definite: false, more: false }, length: split.span[1] };
  // 'Passion fruit, four or five of them'.
  const them = OF_THEM.exec(source);
  const counted = them === null ? null : NAMED_THEN.exec(lead);
  const [many] = counted === null ? [] : splitLine(`${them![1]!} ${counted[1]!}`).amounts;
  if (counted && many?.quantity.ok) return { said: { name: counted[1]!, amount: many, definite: false, more: false }, length: them![0].length };
  // 'Into a dish, about 2 litres': what it holds.
  if (before && HOLDS.test(before[1]!)) return null;
  const opening =
    before ??
    (amount?.quantity.ok && amount.unit !== null && split.span && split.span[0] <= 1 && NOTHING_MORE.test(source.slice(split.span[1]))
      ? (NAMED_FIRST.exec(text.slice(0, start)) ?? NAMED_COLON.exec(text.slice(0, start)))
      : null);
  if (opening && !before) return { said: { name: opening[1]!.replace(CUT_UP, ''), amount: amount!, definite: false, more: false }, length: split.span![1] };
  const weighed = before && measuredAlone(source);
  if (!weighed) return null;
  return { said: { name: before[1]!.replace(CUT_UP, ''), amount: weighed.amount, definite: false, more: false }, length: weighed.length };
}

/** ', a shop one is fine,', ', shop-bought will do,', ', whichever you like,'. */
const ANY_WILL_DO =
  /,\s+(?:an? )?(?:shop|bought|ready-made|supermarket|cheap|good|any|either|whichever|whatever)[\p{L} '’-]{0,24}\b(?:fine|ok|okay|will do|does|you like|do)\b,\s+/iu;

/** The end of all that is the amount, a weight in brackets included. */
function amountEnd(source: string, to: number, amounts: readonly WrittenAmount[]): number {
  const size = /^[\s\u00a0]*(?:large|medium|small|big|heaped|level|extra[- ]large)\b/i.exec(source.slice(to, to + 16));
  return amounts[0]!.unit === null && size ? to + size[0].length : to;
}

/** 'Four or five of them': so many of what was just named. */
const OF_THEM =
  /^((?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|twelve|a dozen)(?:(?:\s+(?:or|to)\s+|\s?[-–]\s?)(?:\d{1,2}|two|three|four|five|six|seven|eight|nine|ten|twelve))?) of (?:them|those)\b/i;
const NAMED_THEN =
  /(?:^|[,;]\s+|\b(?:and|with|then|plus)\s+)((?:(?!and\b|with\b|then\b|plus\b)\p{L}[\p{L}'’-]*\s+){0,2}(?!and\b|with\b|then\b|plus\b)\p{L}[\p{L}'’-]*),\s+(?:about |maybe |say )?$/iu;

/** States that may stand before a name: '90 grams melted butter'. */
const STATES = new Set([
  'ground',
  'sweetened',
  'melted',
  'beaten',
  'whipped',
  'sifted',
  'soaked',
  'heated',
  'warmed',
  'whisked',
  'stirred',
  'mixed',
  'dissolved',
  'squeezed',
]);

/** The words of a name: up to a comma, a bracket, a preposition or a verb. */
function nameOf(text: string): string {
  const words: string[] = [];
  let end = 0;
  for (const m of text.matchAll(/([\p{L}\d%’'-]+)([\s\u00a0]*)([.,;:()–—]?)/gu)) {
    if (m.index > end + 2 || /[&+/]/.test(text.slice(end, m.index))) break;
    const word = m[1]!.toLowerCase();
    if (/^[-–—]$/.test(word)) break;
    if (STOPS.has(word) && !(words.length === 0 && STATES.has(word))) break;
    // 'Brandy the night before.'
    if (words.length > 0 && word === 'the') break;
    // 'a pint of cream stiff': how it is whipped.
    if (
      words.length > 0 &&
      /^(?:very|quite|good|nice|stiff|stiffly|thick|thickly|lightly|smooth|firm|firmly|softly|thinly|finely|roughly|coarsely)$/.test(word)
    )
      break;
    words.push(m[1]!);
    end = m.index + m[1]!.length;
    if (m[3] || words.length >= 6) break;
    if (m[2] === '') break;
    end = m.index + m[1]!.length + (m[2]?.length ?? 0);
  }
  return words.length === 0 ? '' : text.slice(0, text.indexOf(words[0]!) + words.join(' ').length).trim() === '' ? '' : exact(text, words);
}

function exact(text: string, words: readonly string[]): string {
  let at = 0;
  let first = -1;
  for (const w of words) {
    at = text.indexOf(w, at);
    if (first < 0) first = at;
    at += w.length;
  }
  return text.slice(first, at);
}
