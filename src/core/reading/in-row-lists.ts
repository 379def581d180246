import { splitLine } from '../measures/line';
import { ABBREVIATED } from './clauses';
import { temperaturesIn } from './degrees';
import { BARE_GRAMS, endsMeasured, INGREDIENTS, isAction, isTime, JUICE_THEN_ZEST, looksLikeMeasured, TAKEN_FROM } from './row-looks';
import { timesIn } from './times';
import { verbNamed } from './verbs';
import { DISHES } from './words';

/** What stands within one row, in its order: the name of a list, a thing of the list, or all else. */
export interface Piece {
  readonly kind: 'head' | 'item' | 'rest';
  readonly text: string;
  /** Where it stands in the row. */
  readonly at: number;
}

/**
 * Lists that stand within a row: 'You'll need 6 whites and 340 g sugar. For the topping: 450 ml cream, 8 passion fruit', 'Base: biscuits 200,
 * butter 80. Crush and press.', 'yolks 80 / sugar 100 / milk 250', 'Whites 150 g, sugar 250 g: to 70 °C, then whip'. A list has things that are
 * measured, and nothing in it asks for work.
 *
 * @param amongLists whether other rows are lists too: then one without a name may stand before its work.
 * @returns the pieces of the row; none where there is no list in it. Linear in its length.
 */
export function piecesOf(text: string, isIngredient: (name: string) => boolean, amongLists = false): readonly Piece[] {
  // 'Jelly 135 g + 570 ml water', '3 lemons juice + zest of 2': one thing with what it is made with.
  if (JUICE_THEN_ZEST.test(text) || MADE_WITH.test(text)) return [];
  const out: Piece[] = [];
  const sentences = saidApart(text);
  // 'Vanilla paste 1 tsp. Salt 2 g.', '1 tablespoon gelatine. 1/4 cup cold water.'
  const thing = (t: string): boolean => endsMeasured(t) || (looksLikeMeasured(t) && isIngredient(nameIn(t))) || (counted(t) && isIngredient(nameIn(t)));
  if (
    sentences.length > 1 &&
    sentences.every(
      (s) => thing(s.text.replace(/\.$/, '')) && !isTime(s.text) && (endsMeasured(s.text.replace(/\.$/, '')) ? !isAction(s.text) : !asksForWork(s.text)),
    )
  )
    return sentences.map((s) => ({ kind: 'item', text: s.text.replace(/\.$/, ''), at: s.at }));
  let found = false;
  for (const s of sentences) {
    const list = listIn(s.text, sentences.length === 1 || (amongLists && s === sentences[0]), isIngredient);
    const last = out.at(-1);
    if (list) {
      found = true;
      out.push(...list.map((p) => ({ ...p, at: s.at + p.at })));
    } else if (last?.kind === 'rest') out[out.length - 1] = { ...last, text: text.slice(last.at, s.at + s.text.length) };
    else out.push({ kind: 'rest', text: s.text, at: s.at });
  }
  return found ? out : [];
}

/** Sentences that may be lists: cut behind a full stop where a new one begins, never within a bracket. */
function saidApart(text: string): readonly { readonly text: string; readonly at: number }[] {
  const out: { text: string; at: number }[] = [];
  let from = 0;
  const push = (to: number): void => {
    const lead = /^\s*/.exec(text.slice(from, to))![0].length;
    const said = text.slice(from + lead, to).trimEnd();
    if (said !== '') out.push({ text: said, at: from + lead });
    from = to;
  };
  for (const m of text.matchAll(/[.!?]\s+(?=[\p{Lu}\d½¼¾⅓⅔]|for the\b|then\b)|(?<=\))\.\s+(?=\p{Ll})|;\s+(?=\p{Lu}[\p{L} '’-]{2,30}:\s)/gu)) {
    const before = text.slice(from, m.index);
    if (ABBREVIATED.test(before) && !/\p{Lu}/u.test(text[m.index + m[0].length] ?? '')) continue;
    if ((before.match(/\(/g) ?? []).length > (before.match(/\)/g) ?? []).length) continue;
    push(m.index + m[0].length);
  }
  push(text.length);
  return out;
}

/** What one says before one begins. */
const GREETS = '(?:(?:hi(?:ya)?|hey|hello|morning|ok(?:ay)?|so|right|well|now|here)[,:! ]+)*';
/** 'You'll need …', 'for the raspberry fool you want …', 'Ingredients: …', 'Things: …': what follows is the list of all. */
const NEEDS = new RegExp(
  `^${GREETS}(?:for (?:the|my|our|a) (?:[\\p{L}'’-]+ ){0,3}(?:${DISHES}),? )?(?:you(?:['’]ll| will)? (?:need|want)|(?:the |your )?ingredients(?: are)?|shopping list|what you(?:['’]ll)? need|things)\\b[:,–—-]?\\s+(?=\\S)`,
  'iu',
);
/** 'For the topping: …', 'for the base you need …'. */
const FOR_THE =
  /^(?:(?:and|then) )?(?:for|to make) (?!(?:this|that|these|it)\b)(?:the |your )?(\p{L}[\p{L} '’-]{1,30}?)(?:\s*[:–—]\s+|,? (?:you(?:['’]ll| will)? (?:need|want)|take|use)[:,]?\s+)/iu;
const NAMED = /^(\p{Lu}[\p{L}\d '’&()-]{1,40}?)\s*[:–—]\s+(?=\S)/u;
/** '1st layer: …', '2nd: …'. */
const NUMBERED = /^((?:\d(?:st|nd|rd|th)|first|second|third|fourth|bottom|middle|top)(?: layer)?)\s*[:–—]\s+(?=\S)/i;
/** 'crust: 1 1/2 c crumbs, 5 T butter'. */
const SMALL = /^(\p{Ll}[\p{L} '’&]{2,24}?):\s+(?=\d|[½¼¾⅓⅔]|\p{L}[\p{L} ]{1,24} \d)/u;
/** '1 pint of custard made with 3 egg yolks, 1 oz sugar': a list by what it gives. */
const MADE_OF_THESE =
  /^(?:[\d½¼¾⅓⅔./ ]+(?:pints?|ml|l|litres?|cups?|g)? (?:of )?|an? (?:\p{L}+ )?(?:batch|quantity) of )?(\p{L}[\p{L} ]{2,24}?),? made (?:with|from|of|using) (?=\d|[½¼¾⅓⅔])/iu;
/** 'compote - 300g blackberries, 40g sugar'. */
const DASHED = /^(\p{L}[\p{L} '’&]{2,30}?)\s+-\s+(?=\d|[½¼¾⅓⅔])/u;
const LOUD = /^(\p{Lu}{3,24}(?: \p{Lu}{2,20})?)\s+(?=\d)/u;
/** 'Layer it up: a spoon of purée, a spoon of cream': work. */
const WORKS =
  /^(?:(?:on|in|onto|into) (?:an?|the|your) |\p{L}+ (?:it|them|this|that|up)|layer|assemble|build|fill|assembly|method|to (?:build|assemble|serve it|fill)|serves|makes|yield|step|time)\b/iu;
/** What goes on top is rarely measured. */
const ON_TOP = /^(?:(?:to |for )?(?:finish(?:ing)?|garnish|decorat(?:e|ion|ing)|serv(?:e|ing)|dust(?:ing)?|the top)|toppings?)\b/i;

interface Head {
  /** null where the list has no name of its own. */
  readonly name: string | null;
  readonly length: number;
}

function headOf(text: string): Head | null {
  const needs = NEEDS.exec(text);
  if (needs) return { name: null, length: needs[0].length };
  const made = MADE_OF_THESE.exec(text);
  if (made) return { name: made[1]!, length: made[0].length };
  const named = NUMBERED.exec(text) ?? FOR_THE.exec(text) ?? NAMED.exec(text) ?? SMALL.exec(text) ?? DASHED.exec(text) ?? LOUD.exec(text);
  // 'Half of it chocolate: 120 g dark chocolate': no name of a list.
  if (named && /\bof (?:it|them|this|that)\b/i.test(named[1]!)) return { name: null, length: named[0].length };
  if (!named || (WORKS.test(named[1]!) && !ON_TOP.test(named[1]!) && !LOUD.test(text))) return null;
  return { name: INGREDIENTS.test(`${named[1]!}:`) ? null : named[1]!, length: named[0].length };
}

/** The separators that a list may have, the strictest first. */
const BARS = /\s+[/·•|]\s+/;
const PLUS = /\s+\+\s+|;\s+/;
const MADE_WITH =
  /^[^+]{3,60}\b(?:jelly|gelatine?|powder|mix|espresso|coffee)\b[^+]{0,24}\s\+\s\d[\d.,]*\s?(?:ml|l|dl|cl|g|cups?|tbsp|tsp)\s(?:of )?(?:\w+ )?(?:water|milk)\W*$/i;
/** Never within 'juice and zest of 4 lemons'. */
const COMMAS =
  /[,;]\s+(?:and\s+)?(?!plus\b)(?![^(]*\))|(?<!\b(?:juice|zest|rind|peel))\s+(?:and|&)\s+(?=(?:about |another )?(?:\d|[½¼¾⅓⅔]|an?\s|one\s|two\s|three\s|four\s|half\b|the (?:juice|zest|rind)\b|juice\b|zest\b|some\b))(?![^(]*\))/i;

/** Where the work begins that stands behind the things of a list: '250 g biscuits + 100 g butter, blitz, press, chill'; null where none does. */
function worksFrom(body: string): number | null {
  const commas = [...body.matchAll(/,\s+/g)];
  const pieces = commas.map((m, i) => body.slice(m.index + m[0].length, commas[i + 1]?.index ?? body.length));
  const done = (t: string): boolean =>
    !weighed(t) && !LOOSE.test(t) && (isAction(t) || (t.split(/\s+/).length <= 3 && verbNamed(t.split(/\s+/)[0]!.toLowerCase()) !== null));
  const first = pieces.findIndex((t, i) => isAction(t) && pieces.slice(i).every(done));
  return first < 0 ? null : commas[first]!.index + commas[first]![0].length;
}

/** One sentence as a list with its name; null where it is none. */
function listIn(sentence: string, alone: boolean, isIngredient: (name: string) => boolean): readonly Piece[] | null {
  if (sentence.length > 600) return null;
  const head = headOf(sentence);
  const from = head?.length ?? 0;
  const body = sentence.slice(from).replace(/[.;]+$/, '');
  // 'Whites 150 g / sugar 250 g: to 70 °C, then whip': what stands behind the colon is its work.
  const colon = /^([^:]{4,200}?):\s+(?=\p{L})/u.exec(body);
  const works = colon === null && head !== null && alone ? worksFrom(body) : null;
  const tailAt = colon !== null ? colon[0].length : works;
  const tail = tailAt === null ? '' : sentence.slice(from + tailAt);
  const told = colon !== null ? colon[1]! : works !== null ? body.slice(0, works).replace(/,\s*$/, '') : body;
  if (colon !== null && !(isAction(tail) || temperaturesIn(tail, false).length > 0)) return null;
  const items = itemsIn(told, head, isIngredient);
  if (items === null) return null;
  const measured = items.filter((t) => t.weighed).length;
  const ofMany =
    items.length >= 3 ||
    (items.length === 2 &&
      (COMMAS !== separatorOf(told, isIngredient) ||
        (items.every((t) => looksLikeMeasured(t.text) || (t.weighed && isIngredient(nameIn(t.text)))) && isIngredient(nameIn(items[1]!.text)))));
  const one = head?.name != null && (ON_TOP.test(head.name) || isIngredient(nameIn(items[0]!.text)));
  const enough =
    colon !== null
      ? measured >= 1 && items[0]!.weighed
      : head === null
        ? alone && ofMany && measured >= 2
        : measured >= 1 && (items.length >= 2 || one || (head.name === null && alone));
  const onTop = head?.name !== null && head !== null && ON_TOP.test(head.name!) && items.length > 1;
  if (!enough && !onTop) return null;
  let at = 0;
  const pieces: Piece[] = head?.name != null ? [{ kind: 'head', text: head.name, at: 0 }] : [];
  for (const item of items) {
    at = Math.max(at, body.indexOf(item.text.split(', ')[0]!, at));
    pieces.push({ kind: 'item', text: item.text, at: from + at });
  }
  if (tail !== '') pieces.push({ kind: 'rest', text: tail, at: from + tailAt! });
  return pieces;
}

/** Whether a thing says how much, in front or behind: '6 egg whites', 'sugar 250 g', 'yolks 80'. */
const weighed = (t: string): boolean => looksLikeMeasured(t) || endsMeasured(t) || BARE_GRAMS.test(t) || counted(t) || TAKEN_FROM.test(t);
/** 'A 900 g loaf tin lined with film': a thing of the kitchen. */
const HOLDS =
  /^(?:an?|one|\d+)\s.{0,30}\b(?:tins?|pans?|dish(?:es)?|ramekins?|mou?lds?|springforms?|trays?|ring|terrine|glasses|verrines|coupes|tumblers)(?:,? (?:lined|greased|buttered|oiled)\b.*)?$/i;
/** 'A 30 by 20 centimetre dish', 'about 6 cm deep': what it is made in. */
const OF_A_SIZE = /\d\s?(?:x|×|by)\s?\d|\d[\s-]?(?:cm|mm|inch(?:es)?|centimet(?:re|er)s?)\b[^,]{0,16}\b(?:deep|high|wide|across|dish|tin|pan|tray|ring)\b/i;
const counted = (t: string): boolean =>
  !OF_A_SIZE.test(t) &&
  /^(?:about )?(?:\d|[½¼¾⅓⅔]|an?\s|one\s|two\s|three\s|four\s|five\s|six\s|eight\s|ten\s|twelve\s|half\b)/i.test(t) &&
  splitLine(t).amounts.length > 0 &&
  splitLine(t).name !== '';
/** A thing that nobody weighs: 'a pinch of salt', 'zest of a lemon', 'the rest of the cream', 'salt'. */
const LOOSE =
  /^(?:an? (?:good |small |big |generous )?(?:pinch|dash|splash|squeeze|knob|handful|drop|few|little)|pinch|dash|splash|squeeze|all|half|the (?:rest|whole|other)|rest|remaining|juice|zest|rind|peel|pulp|seeds|the (?:juice|zest|rind|seeds|pulp)|some|more|extra|a few)\b/i;
/** Words that only say how something is, though a thing of the larder may have them in its name. */
const HOW =
  /^(?:(?:very|finely|roughly|freshly|lightly|well|thinly|coarsely) )?(?:\p{L}+ed|soft|cold|warm|hot|fresh|frozen|whole|ripe|chilled|cut|ground|thick|thin|plain|small|large)\b(?:\s*\([^)]*\)|\s+(?:and|or|in|into|from|at|to)\b.*)?$/iu;
const FOR_WHAT = /\s+(?:for|to) (?:the )?\p{L}+(?: \p{L}+)?$/iu;
/** How the thing before it is: 'soft', 'chopped small', 'at room temperature', 'plus extra to dust'. */
const STATE = /^(?:[^\d]{1,50}|[^\d]{0,20}\([^)]{0,30}\)|at \d{1,2} ?°?C?|\p{L}+ed\b.{0,30})$/u;

/** '1/2 cup + 2 tbsp sugar' is one thing, 'cream 250 + 300 whipped' too: what a plus stands between are things with names of their own. */
function separatorOf(told: string, isIngredient: (name: string) => boolean): RegExp {
  if (BARS.test(told)) return BARS;
  // '4 oz chocolate + 1/2 cup cream; chopped peanuts': a new thing behind the sum.
  const summed = told
    .split(';')[0]!
    .split(PLUS)
    .map((t) => t.trim());
  return summed.length > 1 && summed.every((t) => weighed(t) && !HOW.test(nameIn(t)) && isIngredient(nameIn(t))) ? PLUS : COMMAS;
}
const nameIn = (t: string): string => (BARE_GRAMS.exec(t)?.[1] ?? splitLine(t).name).trim();

/** An amount or a size of nothing that is named. */
const NO_NAME =
  /^(?:about |approx\.? |ca\.? |roughly )?[\d.,/½¼¾ -]+\s?(?:g|kg|ml|l|oz|lb|cm|mm|in|inch(?:es)?)\b(?: (?:across|long|wide|in total|altogether))?\W*$/i;

/** 'A shop one is fine': a sentence. */
const WILL_DO = /\b(?:is|are|will be|'s) (?:fine|ok|okay|good|best)$|\bwill do$/i;

interface Thing {
  readonly text: string;
  /** Its amount is said. */
  readonly weighed: boolean;
}

/** The things of a list; null where one of them is none. */
function itemsIn(told: string, head: Head | null, isIngredient: (name: string) => boolean): readonly Thing[] | null {
  const by = separatorOf(told, isIngredient);
  const raw = told
    .split(by)
    .map((t) => t.trim())
    .filter((t) => t !== '');
  if (raw.length === 0) return null;
  const onTop = head?.name != null && ON_TOP.test(head.name);
  const out: Thing[] = [];
  for (const t of raw) {
    // '1 sponge cake, about 24 cm, 400 g': one thing, and how large it is.
    if (HOLDS.test(t) || (out.length > 0 && (NO_NAME.test(t) || WILL_DO.test(t)))) return null;
    if (t.length > 90 || /[!?]\s|\.\s+\p{Lu}/u.test(t) || isTime(t)) return null;
    const thing = !HOW.test(t) && (weighed(t) || LOOSE.test(t) || (t.split(/\s+/).length <= 7 && isIngredient(splitLine(t.replace(FOR_WHAT, '')).name)));
    if (thing) {
      if (asksForWork(t)) return null;
      out.push({ text: t, weighed: weighed(t) });
    } else if (out.length > 0 && STATE.test(t) && !asksForWork(t) && by !== BARS) out[out.length - 1] = { ...out.at(-1)!, text: `${out.at(-1)!.text}, ${t}` };
    else if ((onTop && t.split(/\s+/).length <= 4 && !asksForWork(t)) || (by === BARS && t.length < 60 && !asksForWork(t)))
      out.push({ text: t, weighed: false });
    else return null;
  }
  return out;
}

/** A verb before its thing, a time, or how far: '300 ml cream whipped with the sugar until thick'. */
function asksForWork(t: string): boolean {
  const bare = t.replace(/\([^)]*\)/g, ' ');
  if (timesIn(bare).length > 0 || /\b(?:until|till|into|onto|over|then|while|together|them|it)\b/i.test(bare)) return true;
  return (
    isAction(bare) &&
    !weighed(bare) &&
    !/^(?:the )?(?:peel|juice|zest|rind|seeds|pulp)(?: (?:and|&) (?:the )?(?:peel|juice|zest|rind))? (?:of|from)\b/i.test(bare)
  );
}
