import { singular } from '../measures/singular';
import { lookUp } from '../look-up';

/** Words of a recipe brought to one spelling, so that what is looked for is found however it is written. */

/** What hurried cooks write for a word. */
const SHORT: Readonly<Record<string, string>> = {
  dk: 'dark',
  masc: 'mascarpone',
  liq: 'liqueur',
  'w/': 'with',
  'o/n': 'overnight',
  h2o: 'water',
  crm: 'cream',
  hvy: 'heavy',
  unfl: 'unflavored',
  micro: 'microwave',
  mascp: 'mascarpone',
  marsc: 'mascarpone',
  sug: 'sugar',
  ic: 'icing',
  van: 'vanilla',
  lvs: 'leaf',
  lvs_: 'leaf',
  elec: 'electric',
  med: 'medium',
  choc: 'chocolate',
  noz: 'nozzle',
  btr: 'butter',
  bics: 'biscuit',
  bix: 'biscuit',
  biccies: 'biscuit',
  bickies: 'biscuit',
  ylks: 'yolk',
  ylk: 'yolk',
  yks: 'yolk',
  whts: 'white',
  wht: 'white',
  gel: 'gelatin',
  gelatine: 'gelatin',
  yogurt: 'yoghurt',
  yoghourt: 'yoghurt',
  savoiardi: 'ladyfinger',
  whiskey: 'whisky',
  temp: 'temperature',
  rm: 'room',
  mins: 'minute',
  min: 'minute',
  secs: 'second',
  sec: 'second',
  hrs: 'hour',
  hr: 'hour',
  powdered: 'icing',
  confectioner: 'icing',
  confectioners: 'icing',
  superfine: 'caster',
  castor: 'caster',
  cornflour: 'corn-starch',
  cornstarch: 'corn-starch',
  bisc: 'biscuit',
  biscs: 'biscuit',
  cookie: 'biscuit',
  cookies: 'biscuit',
  cracker: 'biscuit',
  crackers: 'biscuit',
  thru: 'through',
  til: 'until',
  till: 'until',
  "'til": 'until',
  refrig: 'refrigerate',
  fridge: 'fridge',
  refrigerator: 'fridge',
  icebox: 'fridge',
  ladyfingers: 'ladyfinger',
  fingers: 'finger',
  whites: 'white',
  yolks: 'yolk',
  creamcheese: 'cream-cheese',
  raspb: 'raspberry',
  rasps: 'raspberry',
  strawbs: 'strawberry',
  liqueur: 'liqueur',
  mixt: 'mixture',
  mix: 'mix',
  n: 'and',
  pb: 'peanut-butter',
  oj: 'orange-juice',
};

/** What desserts are called, as the last word of their name. */
export const DISHES =
  'fool|trifle|mousse|cheesecakes?|tiramis[uù]|semifreddo|parfait|syllabub|posset|pavlova|meringues?|roulade|bavarois|blancmange|panna cotta|pudding|charlotte|zuccotto|terrine|icebox cake|cake|tart|pie|gateau|delight|mess|snow|cream|nests?|cups|pots|glasses|squares|slices|bars';

/** A word of a text, where it stands, in its one spelling. */
export interface Word {
  readonly word: string;
  /** As it is written, in lower case. */
  readonly said: string;
  readonly start: number;
  readonly end: number;
}

export const PLAIN_LETTERS = /^[\x20-\x7e]*$/;
const TOKEN =
  /w\/(?=\s)|(?:half|semi|part) (?=(?:whip|whisk|bak|beat|freez|cook)\p{L}*)\p{L}+|o\/n\b|h2o\b|[\p{L}][\p{L}\p{M}’'-]*|\d+(?:[.,]\d+)?|[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]|[^\s\p{L}\d]/giu;

/** The same sentence is split when it is cut into actions, when each is looked at, and when it is followed: what it gives is remembered. */
const split = new Map<string, readonly Word[]>();
const MOST_SPLIT = 2000;
const LONGEST_SPLIT = 600;

/** The words, numbers and marks of a text. Linear in its length. */
export function wordsOf(text: string): readonly Word[] {
  if (text.length > LONGEST_SPLIT) return splitWords(text);
  const known = split.get(text);
  if (known) return known;
  if (split.size >= MOST_SPLIT) split.clear();
  const words = splitWords(text);
  split.set(text, words);
  return words;
}

function splitWords(text: string): readonly Word[] {
  const out: Word[] = [];
  for (const m of text.matchAll(TOKEN)) {
    const said = m[0].toLowerCase().replaceAll('’', "'");
    const plain = (PLAIN_LETTERS.test(said) ? said : said.normalize('NFD').replace(/\p{M}/gu, '')).replace(/'s$/, '');
    const word = lookUp(SHORT, plain) ?? lookUp(SHORT, plain.replace(/\.$/, '')) ?? singular(plain);
    out.push({ word: lookUp(SHORT, word) ?? word, said, start: m.index, end: m.index + m[0].length });
  }
  return out;
}

/** Keys that were asked for: the names of a larder are, at every line that a method adds. */
const keys = new Map<string, string>();
const MOST_KEYS = 4000;
const LONGEST_KEPT = 60;

/** A name as its words in one spelling, single spaces: the key under which it is found. */
export function keyOf(name: string): string {
  const known = keys.get(name);
  if (known !== undefined) return known;
  const key = wordsOf(name)
    .map((w) => w.word)
    .filter((w) => /[\p{L}\d]/u.test(w))
    .join(' ')
    .replaceAll('-', ' ');
  if (name.length <= LONGEST_KEPT) {
    if (keys.size >= MOST_KEYS) keys.clear();
    keys.set(name, key);
  }
  return key;
}
