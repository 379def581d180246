import { singular } from './singular';
import MiniSearch from 'minisearch';
import type { Ingredient } from '../composition/ingredient';
import type { WrittenLine } from './written';
import { lookUp } from '../look-up';

export interface Match {
  readonly ingredient: Ingredient;
  /** 1 for a name or alias written exactly; below that, how near it is. */
  readonly confidence: number;
}

/** Finds the ingredients that a written name may mean. */
export interface Matcher {
  /** Best first, at most `limit`; none for an empty name. */
  readonly find: (name: string, limit?: number) => readonly Match[];
  /** The one that is meant without asking (confidence at least 0.6); null when none is near enough. */
  readonly best: (name: string) => Ingredient | null;
}

/** Lower case, no accents, no marks, single spaces. */
export const plainName = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** One spelling for words that kitchens spell in several ways. */
const SPELLINGS: Readonly<Record<string, string>> = {
  gelatine: 'gelatin',
  yogurt: 'yoghurt',
  yoghourt: 'yoghurt',
  castor: 'caster',
  superfine: 'caster',
  powdered: 'icing',
  confectioner: 'icing',
  cornflour: 'corn starch',
  cornstarch: 'corn starch',
  ladyfinger: 'ladyfinger',
  savoiardi: 'ladyfinger',
  choc: 'chocolate',
  flavouring: 'extract',
  flavoring: 'extract',
  essence: 'extract',
  soured: 'sour',
  desiccated: 'desiccated',
  dessicated: 'desiccated',
  whiskey: 'whisky',
  vanillin: 'vanilla',
  crm: 'cream',
  hvy: 'heavy',
  mascp: 'mascarpone',
  sug: 'sugar',
  ic: 'icing',
  van: 'vanilla',
  lvs: 'leaf',
  btr: 'butter',
  ylk: 'yolk',
  wht: 'white',
  gran: 'granulated',
  dbl: 'double',
  whp: 'whipping',
  strawb: 'strawberry',
  rasp: 'raspberry',
  pwd: 'powder',
  h2o: 'water',
  conf: 'icing',
  evap: 'evaporated',
  cond: 'condensed',
  sw: 'sweetened',
};

/** Names of one thing in different places; a search for one also finds the other, ranked lower. */
const NEIGHBOURS: Readonly<Record<string, readonly string[]>> = {
  double: ['heavy'],
  heavy: ['double', 'whipping'],
  whipping: ['heavy'],
  thickened: ['whipping', 'heavy'],
  single: ['light'],
  pouring: ['single'],
  plain: ['wheat'],
  strained: ['greek'],
  greek: ['strained'],
  biscuit: ['cracker', 'wafer', 'thin'],
  cookie: ['biscuit', 'wafer', 'thin'],
  treacle: ['syrup'],
  molasses: ['treacle'],
};

const spelled = (word: string): string => {
  const one = singular(word);
  return lookUp(SPELLINGS, word) ?? lookUp(SPELLINGS, one) ?? one;
};

/** What cooks say of an ingredient that does not say which one it is. */
const MANNERS = new Set(
  'fresh freshly sheep buffalo cow crumb crumbs chopped melted cold chilled softened soft sifted frozen thawed defrosted unflavored unflavoured liquid mashed spiced canned tinned unwaxed unsalted lukewarm tepid iced plump boiled sweet-cream packed heaped shredded shaved slivered flaked rolled crumbled broken halved quartered cubed zested juiced separated bought homemade store leftover stale baked unbaked prebaked prepared ready-made readymade ready made shop full-fat fullfat finely coarsely roughly grated squeezed ripe raw room temperature at very good quality best extra thick plus more about of the your favourite favorite organic free range beaten lightly whipped separated toasted crushed sliced diced hulled pitted stoned peeled cored split scraped shelled skinned blanched cubes chunks pieces slices wedges full sheets dissolved mixed stirred soaked bloomed drained strained warm hot strong dry fine to taste or and for dusting serving optional garnish decorating decoration sprinkling divided plus such as like these those thin good-quality nice few ea each little well medium large small whole pure natural plain unsalted'.split(
    ' ',
  ),
);

/** A name as its bare words, so that 'confectioners’ sugars' and 'Confectioner’s sugar' are one. */
const nameKey = (name: string): string =>
  plainName(name.replace(/[’']s\b/g, ''))
    .split(' ')
    .map(spelled)
    .join(' ');

/** The same without words of manner; '' when nothing else is said. */
const bareKey = (name: string): string =>
  plainName(name.replace(/[’']s\b/g, ''))
    .split(' ')
    .filter((w) => !MANNERS.has(w))
    .map(spelled)
    .join(' ');

/** The written name without what stands in brackets or behind a comma: '(at room temperature)', ', chopped'. */
const beforeManner = (name: string): string =>
  name
    .replace(/\([^)]*\)?/g, ' ')
    .split(/,| - /)[0]!
    .trim();

type Named = Pick<WrittenLine, 'name' | 'fatText' | 'wordAfter'> & { readonly amounts?: WrittenLine['amounts'] };

/** Gelatin by the spoon or in packets is powder; leaves are counted or weighed. */
function asMeasured(match: Match | null, written: Named, matcher: Matcher): Match | null {
  const unit = written.amounts?.[0]?.unit;
  const bySpoon = unit?.dimension === 'volume' || unit?.dimension === 'pack';
  // A spoon of ginger is of the powder, where there is one.
  const ground =
    match?.ingredient.id === 'ginger-fresh' && unit?.dimension === 'volume' && !/fresh|grated|root|chopped/i.test(written.name)
      ? matcher.find('ground ginger', 1)[0]
      : undefined;
  if (ground?.ingredient.id === 'ginger-ground') return { ingredient: ground.ingredient, confidence: match!.confidence };
  if (!match || !bySpoon || match.ingredient.piece?.name !== 'leaf' || match.ingredient.bloom === null || /leaf|leaves|sheet/i.test(written.name)) return match;
  const powder = matcher.find('gelatin powder', 1)[0];
  return powder ? { ingredient: powder.ingredient, confidence: match.confidence } : match;
}

/**
 * The ingredient that a written line names: with its percentage first ('dark chocolate 70 %'), then without
 * ('mascarpone 44 %', where it is the fat on the carton).
 */
export function ingredientNamed(written: Named, matcher: Matcher): Ingredient | null {
  return matchOf(written, matcher)?.ingredient ?? null;
}

/** As `ingredientNamed`, with how sure it is; null when nothing is near enough. */
export function matchOf(written: Named, matcher: Matcher): Match | null {
  if (written.name === '') return null;
  const whole = asMeasured(namedWhole(written, matcher), written, matcher);
  if (whole || written.wordAfter === null || !written.name.includes(written.wordAfter)) return whole;
  // '250 gx cream cheese': the name may begin behind a measure that is not known.
  return nearEnough(matcher, written.name.replace(written.wordAfter, '').trim());
}

function namedWhole(written: Pick<WrittenLine, 'name' | 'fatText'>, matcher: Matcher): Match | null {
  const withPct = written.fatText === null ? null : nearEnough(matcher, `${beforeManner(written.name)} ${written.fatText}%`);
  return withPct ?? nearEnough(matcher, written.name);
}

/** What is the same thing when it is ground. */
const GROUND_OF: ReadonlySet<string> = new Set(['nut', 'biscuit']);

const NEAR_ENOUGH = 0.6;
const MOST_REMEMBERED = 2000;
const nearEnough = (matcher: Matcher, name: string): Match | null => {
  const first = matcher.find(name, 1)[0];
  // 'Toasted': how a thing is, and none.
  const onlyManner = bareKey(name) === '' && (first?.confidence ?? 0) < 1;
  return first && first.confidence >= NEAR_ENOUGH && !onlyManner ? first : null;
};

/** Finds names in a larder. The index is built when the first name is asked for, as a page seldom needs it; searching it is then a millisecond or two for thousands. */
export function matcherFor(larder: readonly Ingredient[]): Matcher {
  let made: Matcher | null = null;
  const begun = (): Matcher => (made ??= madeMatcher(larder));
  return { find: (name, limit) => begun().find(name, limit), best: (name) => begun().best(name) };
}

function madeMatcher(larder: readonly Ingredient[]): Matcher {
  const byId = new Map(larder.map((i) => [i.id, i]));
  const exact = new Map<string, Ingredient>();
  const claim = (key: string, i: Ingredient): void => {
    if (key !== '' && !exact.has(key)) exact.set(key, i);
  };
  // Aliases first, then whole names, then the name before its comma or bracket, then the bare words.
  for (const i of larder) for (const alias of i.aliases) claim(nameKey(alias), i);
  for (const i of larder) exact.set(nameKey(i.name), i);
  for (const i of larder) claim(nameKey(i.name.replace(/\(.*?\)/g, '').split(',')[0]!), i);
  for (const key of [...exact.keys()]) claim(key.replaceAll(' ', ''), exact.get(key)!);
  for (const i of larder) claim(bareKey(i.name.replace(/\(.*?\)/g, '').split(',')[0]!), i);
  const index = new MiniSearch({
    fields: ['name', 'aliases'],
    processTerm: (term) => {
      const word = spelled(plainName(term));
      return word.includes(' ') ? word.split(' ') : word || null;
    },
    searchOptions: { boost: { aliases: 2 }, prefix: (term) => term.length > 2, fuzzy: (term) => (term.length > 3 ? 0.25 : false), maxFuzzy: 2 },
  });
  index.addAll(larder.map((i) => ({ id: i.id, name: i.name, aliases: i.aliases.join(' ') })));

  const sureOf = (name: string): Match | null => {
    const whole = exact.get(nameKey(name));
    if (whole) return { ingredient: whole, confidence: 1 };
    const plain = beforeManner(name);
    const bare = exact.get(nameKey(plain)) ?? exact.get(bareKey(plain)) ?? exact.get(bareKey(name)) ?? exact.get(bareKey(plain).replaceAll(' ', ''));
    if (bare) return { ingredient: bare, confidence: 0.92 };
    // 'Ground pistachios' are pistachios; ground coffee is no cup of it.
    const ungrind = plain.replace(/\bground\s+/i, '');
    const of = ungrind === plain ? null : sureOf(ungrind);
    return of && GROUND_OF.has(of.ingredient.category) ? { ...of, confidence: 0.92 } : null;
  };

  /** A recipe asks for the same name at its line, at its steps and at its doubts: the nearest is remembered. */
  const nearest = new Map<string, readonly Match[]>();
  const find = (name: string, limit = 6): readonly Match[] => {
    if (limit !== 1) return findAfresh(name, limit);
    const known = nearest.get(name);
    if (known) return known;
    if (nearest.size >= MOST_REMEMBERED) nearest.clear();
    const found = findAfresh(name, 1);
    nearest.set(name, found);
    return found;
  };
  const findAfresh = (name: string, limit: number): readonly Match[] => {
    if (plainName(name) === '') return [];
    const sure = sureOf(name);
    if (sure && limit === 1) return [sure];
    // 'Cherries in kirsch' are cherries, whatever they lie in; 'butter in cubes' is butter.
    const lies = sure ? null : LIES_IN.exec(beforeManner(name));
    if (lies) {
      const rank = /^(?:water)?$/.test(bareKey(lies[2]!)) ? 1 : IN_SOMETHING;
      return findAfresh(lies[1]!, limit).map((m) => ({ ...m, confidence: m.confidence * rank }));
    }
    const bare = bareKey(beforeManner(name).slice(0, 80)) || nameKey(name).slice(0, 80);
    const long = bare.split(' ').filter((w) => w.length > 2 || /\d/.test(w));
    const words = long.length > 0 ? long : bare.split(' ');
    const near = words.flatMap((w) => lookUp(NEIGHBOURS, w) ?? []);
    const found = index.search([...words, ...near].join(' '), { combineWith: 'OR' }).slice(0, 40);
    const ranked = found
      .map((r) => ({ ingredient: byId.get(r.id as string)!, confidence: 0.9 * coverage(r.match, words), score: r.score }))
      .filter((m) => m.ingredient !== sure?.ingredient)
      .sort((a, b) => b.confidence - a.confidence || b.score - a.score)
      .map(({ ingredient, confidence }) => ({ ingredient, confidence }));
    return (sure ? [sure, ...ranked] : ranked).slice(0, limit);
  };
  return { find, best: (name) => nearEnough({ find, best: () => null }, name)?.ingredient ?? null };
}

/** 'Cherries in kirsch': what lies in what. */
const LIES_IN = /^(.{3,60}?) in (?:(?:a|an|the|its|their|own) )*(.{3,40})$/i;
/** How sure a thing still is that lies in what the larder does not know it in: below what is taken without asking (house). */
const IN_SOMETHING = 0.8;

/** Share of the written words that the match really holds, so that 'goat cream' is not taken for cream. */
function coverage(match: Record<string, string[]>, words: readonly string[]): number {
  const terms = Object.keys(match);
  const near = (w: string, t: string): boolean =>
    (w.length > 2 && t.startsWith(w)) || (t.length > 3 && w.length > 3 && apart(t, w) <= (w.length < SHORT_WORD ? 1 : 2));
  const found = words.reduce((sum, w) => sum + (terms.includes(w) ? 1 : terms.some((t) => near(w, t)) ? NEARLY : 0), 0);
  return found / words.length;
}

/** A word of fewer letters is another one with two slips of the pen: 'pastry' is no 'paste'. */
const SHORT_WORD = 7;
/** What a word counts that is only nearly the one that is meant: a slip of the pen is taken, but shown. */
const NEARLY = 0.9;

/** Letters that must be put in, left out, changed or swapped with their neighbour between two words (optimal string alignment). */
function apart(a: string, b: string): number {
  if (Math.abs(a.length - b.length) > 2) return 3;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const change = a[i - 1] === b[j - 1] ? 0 : 1;
      let least = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + change);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) least = Math.min(least, before[j - 2]! + 1);
      row.push(least);
    }
    before = last;
    last = row;
  }
  return last[b.length]!;
}
