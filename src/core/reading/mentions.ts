import type { Ingredient } from '../composition/ingredient';
import type { Role } from '../larder/role';
import { splitLine } from '../measures/line';
import type { DraftLine } from './lines';
import { SORTS } from './sorts';
import { keyOf, type Word } from './words';

/** What words of a clause may stand for. */
export type Sense =
  /** Lines whose name they are: 3 the full name, 2 its noun, 1 what such things are called. */
  | { readonly kind: 'line'; readonly lines: readonly { readonly line: number; readonly strength: number }[] }
  /** Something of the larder that no line is. */
  | { readonly kind: 'larder'; readonly ingredient: Ingredient }
  /** Something that is made: 'the custard'. */
  | { readonly kind: 'product'; readonly name: string }
  /** A letter that a list is called by: 'cook A to 83 °C'. */
  | { readonly kind: 'label'; readonly letter: string }
  /** Words that name no ingredient, though one stands in them: 'wooden spoon', 'baking paper'. */
  | { readonly kind: 'other' };

export interface Mention {
  readonly sense: Sense;
  /** Of the clause's words. */
  readonly from: number;
  readonly to: number;
  readonly phrase: string;
}

/** What things of a role are called, besides their name. */
const CALLED: Readonly<Partial<Record<Role, string>>> = {
  cream: 'cream|double cream|heavy cream|whipping cream|whipped cream',
  milk: 'milk',
  cheese: 'cheese|cream cheese|soft cheese',
  sugar: 'sugar',
  gelatin: 'gelatin|leaf|sheet|gelatin leaf|gelatin sheet|gelatin powder|bloomed gelatin',
  starch: 'starch|corn starch|flour|corn flour',
  yolk: 'yolk|egg yolk|egg',
  white: 'white|egg white',
  egg: 'egg',
  butter: 'butter',
  chocolate: 'chocolate',
  cocoa: 'cocoa|cocoa powder',
  fruit: 'fruit',
  sour: 'juice',
  drink: 'alcohol|booze|spirit|liqueur|wine',
  biscuit: 'biscuit|crumb|biscuit crumb|finger|ladyfinger|sponge finger|wafer',
  nut: 'nut',
  setter: 'setter',
  flavour: 'flavouring|spice|extract',
};
/** Of single ingredients. */
const ALSO: readonly (readonly [RegExp, string])[] = [
  [/zest/, 'zest|peel|rind|paring|lemon peel|orange peel'],
  [/^(?:redcurrant|blackcurrant)/, 'currant'],
  [/^(?:raspberry|blackberry|blueberry|strawberry|redcurrant|blackcurrant|gooseberry|mixed-berries)/, 'berry|fruit'],
  [/^(?:coffee|espresso)/, 'coffee|espresso'],
  [/^(?:greek-yoghurt|yoghurt|skyr|labneh)/, 'yoghurt'],
  [/^(?:glucose-syrup|golden-syrup|maple|invert)/, 'syrup'],
  [/^water/, 'water'],
  [/^butter/, 'butter'],
  [/^oil/, 'oil'],
  [/^lemon-whole/, 'lemon|lemon juice|lemon zest|juice|zest'],
  [/^orange-whole/, 'orange|orange juice|orange zest|juice|zest'],
  [/^lime-whole/, 'lime|lime juice|lime zest|juice|zest'],
  [/^(?:lemon|orange|lime)-juice/, 'juice'],
  [/^(?:meringue-shell)/, 'meringue|nest|shell'],
  [/^(?:panettone|enriched-bread|sponge-cake|genoise|brownie)/, 'bread|cake|sponge|slice|piece|cube'],
  [/^cherry/, 'cherry|fruit'],
  [/^(?:banana|mango|peach|pear|apple|plum|apricot|kiwi|fig|pineapple|rhubarb|pumpkin|quince|prune|grape|papaya)/, 'fruit'],
  [/^chocolate-chips/, 'chip|chocolate chip'],
  [/^(?:jam|lemon-curd|caramel|nut-chocolate-spread|honey|marzipan|peanut-butter)/, 'spread'],
  [/^(?:instant-pudding|custard-powder|cake-glaze|gelatin-dessert)/, 'powder|pudding|mix|glaze powder|glaze'],
  [/^vanilla/, 'vanilla'],
  [/^almond-liqueur/, 'amaretto'],
  [/^(?:salt)/, 'salt'],
];

/** How a thing is that may be called by its kind alone: 'the chopped nuts'. */
const STATES = 'chopped|toasted|roasted|crushed|ground|grated|flaked|sliced|diced|mixed|fresh|ripe';
const AS_IT_IS = new RegExp(`^(?:${STATES}) `);
const HOW_IT_IS = new RegExp(`\\b(?:${STATES})\\b`);

/** What is made on the way, by the names that it gets. */
export const PRODUCTS =
  'custard|meringue|pavlova|pav|ganache|mousse|filling|base|crust|topping|sauce|syrup|foam|caramel|jelly|compote|coulis|puree|pulp|curd|buttercream|frosting|icing|batter|mixture|mix|crumble|crumb|dough|whipped cream|froth|pastry cream|zabaglione|sabayon|egg foam|bombe|pate a bombe|shell|nest|soak|biscuit base|crown|chantilly|syllabub|semifreddo|parfait|cheesecake|trifle|pudding|paste|layer|emulsion|infusion|reduction|glaze|cake|tart|dacquoise|disc|marshmallow mixture|liquid|cream mixture|dip|drizzle|brittle|praline|nougatine|streusel|sponge|plain';

/** Things of a kitchen whose names hold that of an ingredient. */
const OTHERS =
  'baking paper|parchment paper|baking parchment|greaseproof paper|paper|wooden spoon|sugar thermometer|candy thermometer|water bath|ice bath|ice water bath|cream of tartar|biscuit cutter|cake tin|cake pan|cake ring|cake board|cake stand|cake pop|muffin tin|cupcake|cheese cloth|cheesecloth|coffee filter|coffee cup|tea towel|kitchen towel|butter knife|egg wash|egg shell|ice cream machine|ice cream maker|cream whipper|cream colour|cream colored|wine glass|wine glasses|shot glass|tea spoon|boiling water bath|simmering water|hot water|baking sheet|sheet of paper|sheet of|sheet pan|plastic sheet|acetate sheet|biscuit tin|swiss roll tin|swiss roll pan|jelly roll pan|tart case|bread knife|fruit bowl|cling film|food processor|gas mark|ice cube|ice cubes|nozzle|star nozzle|pan of water|pan of simmering water|inch of water|bowl of water|bowl of cold water|cold water|warm water|sieve|pudding basin|pudding bowl|pie dish|tart tin|tart pan|flan tin|loaf tin|wet finger|finger and thumb|your finger|egg beater|whole thing|sugar grain|grain of sugar|sugar crystal|cocktail glass|layer cake|cream puff|slice of cake|cake slice|piece of cake'.split(
    '|',
  );

export interface Lexicon {
  /** Of the recipe's own lines, of what is made on the way, of things of a kitchen. */
  readonly senses: ReadonlyMap<string, Sense>;
  /** What else the larder has, by its names. */
  readonly larder: ReadonlyMap<string, Sense>;
  /** Of each word that begins a phrase, how many words the longest such phrase has: of the recipe's own lines, and of all else. */
  readonly longest: readonly [own: ReadonlyMap<string, number>, usual: ReadonlyMap<string, number>];
}

/** Takes the phrases into account that begin with each word. */
function lengthen(longest: Map<string, number>, phrases: Iterable<string>): void {
  for (const phrase of phrases) {
    const words = phrase.split(' ');
    longest.set(words[0]!, Math.max(longest.get(words[0]!) ?? 0, Math.min(LONGEST_PHRASE, words.length)));
  }
}

const LONGEST_PHRASE = 5;
const OTHER_KEYS = OTHERS.map((o) => keyOf(o));

/** Everything of the larder by its names, made once for a larder. */
const larderKeys = new WeakMap<ReadonlyMap<string, Ingredient>, ReadonlyMap<string, Sense>>();
function keysOfLarder(larder: ReadonlyMap<string, Ingredient>): ReadonlyMap<string, Sense> {
  const known = larderKeys.get(larder);
  if (known) return known;
  const made = new Map<string, Sense>();
  for (const i of larder.values())
    for (const name of [...i.aliases, i.name.replace(/\(.*?\)/g, '').split(',')[0]!])
      if (keyOf(name).length > 2 && !made.has(keyOf(name))) made.set(keyOf(name), { kind: 'larder', ingredient: i });
  larderKeys.set(larder, made);
  return made;
}

/** What is made on the way, by its name. */
const MADE: ReadonlyMap<string, Sense> = new Map(PRODUCTS.split('|').map((p) => [keyOf(p), { kind: 'product', name: keyOf(p) }]));

/** Sweet things that nobody calls sugar. */
const NO_SUGAR = /^(?:sugar-strands|caramel|jam|lemon-curd|marshmallow|honey|golden-syrup|maple|treacle|nut-chocolate)/;

/** What a line says that it is kept for. */
const FOR_LATER = /\bfor (?:the )?(?:drizzl\w*|top(?:ping)?|dust\w*|garnish\w*|serving|decorat\w*|glaz\w*|brushing|finish\w*)\b/i;

/** Whether a phrase is a word for something that work makes. */
export const isProduct = (phrase: string): boolean => MADE.has(phrase);

/** How surely a name of the larder means a line that is another of its names. */
const OF_ITS_NAME = 2.5;

/** How surely 'the sugar' means icing sugar: less than a plain one. */
const NO_PLAIN_ONE = 2.9;
const FINE_SUGAR = /^(?:icing|powdered|confectioner'?s'?) sugar$/;

/** The phrases that may mean a line, each with how surely; found once for a line, though the lexicon is made anew when a method adds one. */
const claimed = new WeakMap<DraftLine, ReadonlyMap<string, number>>();
function claimsOf(l: DraftLine): ReadonlyMap<string, number> {
  const known = claimed.get(l);
  if (known) return known;
  const out = new Map<string, number>();
  const claim = (phrase: string, strength: number): void => {
    if (phrase.length >= 3) out.set(phrase, Math.max(out.get(phrase) ?? 0, strength));
  };
  const written = keyOf(
    splitLine(l.text)
      .name.replace(/\([^)]*\)/g, ' ')
      // 'Cherries in kirsch' are no kirsch.
      .split(/,| - | or | in (?=\p{L})/u)[0]!,
  );
  claim(written, 3);
  // Of an egg the white is no sort.
  // A spread for biscuits is no sort either.
  const kept = written
    .split(' ')
    .filter((w, i, all) => !SORTS.has(w) || (l.role === 'white' && w === 'white') || ((w === 'spread' || w === 'milk') && i > 0 && i === all.length - 1));
  // 'Chocolate digestives' are no chocolate, 'full-cream milk' is no cream, whatever is only a sort of them.
  const only = kept.join(' ');
  const bare = (only === 'chocolate' || only === 'cream') && l.role !== null && l.role !== only ? written.split(' ') : kept;
  claim(bare.join(' '), FINE_SUGAR.test(written) ? NO_PLAIN_ONE : 3);
  if (l.ingredient) {
    if (l.ingredient.id !== 'water')
      for (const name of [l.ingredient.name.replace(/\(.*?\)/g, '').split(',')[0]!, ...l.ingredient.aliases]) claim(keyOf(name), OF_ITS_NAME);
    if (!NO_SUGAR.test(l.ingredient.id))
      for (const word of (CALLED[l.role!] ?? '').split('|')) claim(keyOf(word), l.role === 'yolk' && word === 'egg' ? 0.5 : 1);
    for (const [id, words] of ALSO) if (id.test(l.ingredient.id)) for (const word of words.split('|')) claim(keyOf(word), 1.5);
  }
  // Of what the larder lacks, by its noun: 'the nuts' are the candied walnuts.
  else if (l.role) for (const word of (CALLED[l.role] ?? '').split('|')) claim(keyOf(word), 1);
  // 'The chopped nuts' are those that the list has chopped, and no paste of them.
  const how = HOW_IT_IS.exec(l.text.toLowerCase())?.[0];
  if (how && l.role) for (const word of (CALLED[l.role] ?? '').split('|')) claim(`${how} ${keyOf(word)}`, 2.6);
  // The noun of a name stands last; of an ingredient with a role of its own only that role's nouns do.
  for (const w of new Set(bare)) {
    const head = w === bare.at(-1);
    const nounOfOther = /^(?:cream|milk|sugar|butter|water|egg|cheese|juice|chocolate|vanilla)$/.test(w) && !head;
    if (!nounOfOther && (head || !MADE.has(w)) && !(l.role === 'cheese' && w === 'cream')) claim(w, head ? 2 : 1.2);
  }
  // 'Cream for the drizzle' is not 'the cream' where there is another.
  if (FOR_LATER.test(l.text)) for (const [phrase, strength] of out) out.set(phrase, strength - 0.6);
  claimed.set(l, out);
  return out;
}

/** A line's name as its words in one spelling, found once. */
const names = new WeakMap<DraftLine, string>();
function namedAs(l: DraftLine): string {
  const known = names.get(l);
  if (known !== undefined) return known;
  const key = keyOf(splitLine(l.text).name);
  names.set(l, key);
  return key;
}

/** The name of another that a line never says counts for less where a line says it: 'jelly' is the jelly's, though jam is called so too. */
function ownWord(
  phrase: string,
  of: readonly { readonly line: number; readonly strength: number }[],
  lines: readonly DraftLine[],
): readonly { readonly line: number; readonly strength: number }[] {
  if (of.length < 2) return of;
  const says = (i: number): boolean => ` ${namedAs(lines[i]!)} `.includes(` ${phrase} `);
  return of.some((l) => says(l.line)) ? of.map((l) => (l.strength === OF_ITS_NAME && !says(l.line) ? { ...l, strength: 1 } : l)) : of;
}

/** Whether an ingredient has this name. */
const larderHas = (name: string, larder: ReadonlyMap<string, Ingredient>): boolean => keysOfLarder(larder).has(name);

/** 'For the rest': no name of anything. */
export const NO_NAME = /^(?:for )?(?:the )?(?:rest|remainder|other|you need|everything else|also)$/;

/** What each phrase of a recipe's method stands for, given its lines. */
export function lexiconOf(lines: readonly DraftLine[], larder: ReadonlyMap<string, Ingredient>): Lexicon {
  const senses = new Map<string, Sense>(MADE);
  const byPhrase = new Map<string, { line: number; strength: number }[]>();
  lines.forEach((l, line) => {
    for (const [phrase, strength] of claimsOf(l)) {
      const of = byPhrase.get(phrase);
      if (of) of.push({ line, strength });
      else byPhrase.set(phrase, [{ line, strength }]);
    }
  });
  for (const [phrase, of] of byPhrase) senses.set(phrase, { kind: 'line', lines: ownWord(phrase, of, lines) });
  for (const key of OTHER_KEYS) {
    const there = senses.get(key);
    if (there?.kind !== 'line' || there.lines.every((l) => l.strength < 2.5)) senses.set(key, { kind: 'other' });
  }
  // 'The lemon cream', where the list has that heading.
  const headings = [...new Set(lines.flatMap((l) => (l.under === null ? [] : [keyOf(l.under)])))].filter(
    (h) => h !== '' && !NO_NAME.test(h) && h.split(' ').length <= LONGEST_PHRASE,
  );
  for (const h of headings) {
    const there = senses.get(h);
    // 'Toffee' alone is its list where it is no ingredient.
    if (!h.includes(' ') && (there !== undefined || larderHas(h, larder) || h.length < 4)) continue;
    if (there?.kind !== 'line' || there.lines.every((l) => l.strength < 2.5)) senses.set(h, { kind: 'product', name: h });
    // 'The swirl' of 'Cranberry swirl', where no ingredient is called so.
    const noun = h.split(' ').at(-1)!;
    if (!senses.has(noun) && !larderHas(noun, larder)) senses.set(noun, { kind: 'product', name: h });
  }
  const ofLarder = keysOfLarder(larder);
  const own = new Map<string, number>();
  lengthen(own, [...byPhrase.keys(), ...headings]);
  return { senses, larder: ofLarder, longest: [own, startsOf(ofLarder)] };
}

/** How long what begins with a word may be: of the larder, of what is made on the way and of a kitchen's things; these stay the same. */
const starts = new WeakMap<ReadonlyMap<string, Sense>, ReadonlyMap<string, number>>();
function startsOf(ofLarder: ReadonlyMap<string, Sense>): ReadonlyMap<string, number> {
  const known = starts.get(ofLarder);
  if (known) return known;
  const made = new Map<string, number>();
  for (const phrases of [ofLarder.keys(), MADE.keys(), OTHER_KEYS]) lengthen(made, phrases);
  starts.set(ofLarder, made);
  return made;
}

/** Words behind which a spice is put in, not only spoken of: 'grate a little nutmeg'. */
const BY_FEEL = new Set(['little', 'some', 'grate', 'grated', 'scrape']);
/** 'A bit of nutmeg'. */
const A_BIT_OF = new Set(['bit', 'little', 'dusting', 'grating', 'sprinkle', 'pinch', 'scrape']);
const byFeel = (words: readonly Word[], at: number): boolean =>
  BY_FEEL.has(words[at - 1]?.said ?? '') || (words[at - 1]?.said === 'of' && A_BIT_OF.has(words[at - 2]?.said ?? ''));

/**
 * Whether a name of the larder's says here what the recipe has lines for: 'lemon juice and zest' is a whole lemon, but not where there is a
 * line for either; 'chopped nuts' are the recipe's pistachios.
 */
const isOwn = (phrase: string, lexicon: Lexicon): boolean => {
  const isLine = (one: string): boolean => lexicon.senses.get(one)?.kind === 'line';
  const two = phrase.split(' and ');
  return (two.length === 2 && two.every(isLine)) || (AS_IT_IS.test(phrase) && isLine(phrase.replace(AS_IT_IS, '')));
};

/**
 * Everything that a clause names, in its order; the longest phrase counts.
 * @param verb which of the words is the verb: that is no thing, though 'mix', 'dip' and 'cream' may be. −1 for none.
 */
export function mentionsIn(words: readonly Word[], lexicon: Lexicon, verb = -1): readonly Mention[] {
  const out: Mention[] = [];
  const [own, usual] = lexicon.longest;
  const keys = words.map((w) => w.word.replaceAll('-', ' '));
  for (let i = 0; i < words.length;) {
    let found: Mention | null = null;
    // A hyphenated word is several: its first begins the phrase.
    const first = keys[i]!.split(' ')[0]!;
    const begun = Math.max(own.get(first) ?? 0, usual.get(first) ?? 0);
    const longest = i > verb ? begun : Math.min(begun, verb - i);
    for (let n = Math.min(longest, words.length - i); n >= 1 && !found; n--) {
      const phrase = keys.slice(i, i + n).join(' ');
      const sense = lexicon.senses.get(phrase) ?? (isOwn(phrase, lexicon) ? undefined : lexicon.larder.get(phrase));
      if (sense && !(n === 1 && sense.kind === 'larder' && sense.ingredient.category === 'flavour' && !byFeel(words, i)))
        found = { sense, from: i, to: i + n, phrase };
    }
    if (found) out.push(found);
    i = found ? found.to : i + 1;
  }
  return out;
}
