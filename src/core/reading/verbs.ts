import { PLAIN_LETTERS } from './words';
import type { StepWork } from '../document/kinds';
import { lookUp } from '../look-up';

/** What a verb of the kitchen does, before it is known to what. */
export interface Verb {
  readonly base: string;
  readonly work: StepWork;
  /** Also a noun or an adjective: it begins an action only where it is followed like a verb. */
  readonly weak: boolean;
}

const LIST: readonly (readonly [StepWork, string, string])[] = [
  ['whisk', 'whip whisk rewhip froth aerate', ''],
  ['beat', 'beat soften loosen blend blitz whizz whiz process pulse liquidise puree knead', 'cream'],
  ['fold', 'fold marble ripple swirl', 'lighten'],
  [
    'heat',
    'melt simmer scald microwave micro caramelise caramelize poach stew reheat rewarm deglaze saute fry brown temper',
    'heat warm boil cook bring reduce steam anglaise',
  ],
  ['bake', 'bake roast', 'toast'],
  ['soak', 'wet bloom infuse steep macerate dip dunk moisten drench submerge hydrate sponge sprinkle-over', 'soak brush'],
  ['wait', 'stand', 'cool rest leave let sit wait allow ripen'],
  ['chill', 'refrigerate fridge crystallise crystallize', 'chill'],
  ['freeze', 'freeze', ''],
  [
    'fill',
    'pour spoon spread pipe cast deposit ladle assemble arrange alternate scoop dollop sandwich distribute smear transfer tip pile heap mound float',
    'layer fill lay place set put build level smooth repeat divide divvy portion mould mold',
  ],
  ['finish', 'garnish decorate unmould unmold unclip invert demould demold', 'top crown dust finish glaze turn release slide ice frost'],
  ['serve', 'serve enjoy eat', ''],
  [
    'hands',
    'tear cube emulsify mix stir combine sweeten season flavour measure weigh chop dice mince grate zest squeeze juice sift sieve strain drain crush crumble bash blanch drop peel core hull pit wash rinse dry-off pat separate wrap unwrap crack discard add incorporate sprinkle scatter drizzle trickle strew stream preheat grease oil roll trim toss tilt remove take scrape tap press squash tamp push rub work gather bind dissolve store lift loosen-edge shave check taste repeat-as prepare get grab pick keep reserve save hold-back snip tear bang knock run switch lower raise start begin stop continue increase decrease adjust return bring-together give ease butterfly hang tie collar secure insert attach fit count mark trace draw draw-circles',
    'cut slice break pass halve quarter line cover set-aside dry reserve-some dot use make carry stick pop bung shove chuck plonk clean flatten double split form shape open close break-up',
  ],
];

const VERBS = new Map<string, Verb>();
for (const [work, strong, weak] of LIST) {
  for (const base of strong.split(' ').filter(Boolean)) VERBS.set(base, { base, work, weak: false });
  for (const base of weak.split(' ').filter(Boolean)) VERBS.set(base, { base, work, weak: true });
}

/** The verb of a word in its base form; null for any other word. */
export const verbNamed = (said: string): Verb | null => VERBS.get(withoutAccents(said)) ?? VERBS.get(said.replace(PARTLY, '')) ?? null;

/** 'Semi-whip', 'half whip', 'pre-bake': the verb, done in part or before. */
const PARTLY = /^(?:semi|half|part|pre|hand)[- ]/;

/** 'Purée' and 'sauté' as they stand in the list. */
const withoutAccents = (said: string): string => (PLAIN_LETTERS.test(said) ? said : said.normalize('NFD').replace(/\p{M}/gu, ''));

const IRREGULAR: Readonly<Record<string, string>> = {
  beaten: 'beat',
  brought: 'bring',
  cutting: 'cut',
  frozen: 'freeze',
  left: 'leave',
  made: 'make',
  spread: 'spread',
  kept: 'keep',
  stood: 'stand',
  laid: 'lay',
  took: 'take',
  taken: 'take',
  putting: 'put',
  rested: 'rest',
  iced: 'ice',
  setting: 'set',
  sitting: 'sit',
  whipping: 'whip',
  whipped: 'whip',
  chopped: 'chop',
  stirred: 'stir',
  dipped: 'dip',
  dipping: 'dip',
  topped: 'top',
  stirring: 'stir',
};

/** The verb of a participle or an -ing form: 'chilled', 'whisking', 'beaten'; null for any other word. */
export function verbOfForm(word: string): Verb | null {
  const said = withoutAccents(word);
  const known = lookUp(IRREGULAR, said);
  if (known) return VERBS.get(known) ?? null;
  for (const ending of ['ed', 'ing', 'd', 's', 'es']) {
    if (!said.endsWith(ending)) continue;
    const stem = said.slice(0, -ending.length);
    const found =
      VERBS.get(stem) ??
      VERBS.get(`${stem}e`) ??
      (stem.at(-1) === stem.at(-2) ? VERBS.get(stem.slice(0, -1)) : undefined) ??
      VERBS.get(stem.replace(/i$/, 'y'));
    if (found) return found;
  }
  return null;
}

/** Words that follow a verb and not a noun: 'cool the custard', 'rest for an hour', 'cream together'. */
export const AFTER_VERB = new Set(
  'the a an it them this that these those your some in into for until till to onto on over with out off up down aside together at all everything each half one two three four five six any again w/ gently well thoroughly completely slightly gradually slowly quickly briefly carefully lightly immediately back by through under overnight about another your every both very and between around rest remaining fridge just as from while if before when at among amongst'.split(
    ' ',
  ),
);

/** Adverbs that may stand before a verb: 'gently fold', 'then carefully pour', 'finally dust'. */
export const BEFORE_VERB = new Set(
  "blast flash then and & + next finally lastly first firstly second secondly meanwhile now also so but or please just simply always again immediately once after afterwards later here right okay ok well gently carefully slowly quickly lightly thoroughly gradually briefly roughly finely thinly evenly loosely generously quickly softly coarsely liberally partially neatly swiftly you i we can may should must will need want to go ahead have let's lets start by begin try not don't".split(
    ' ',
  ),
);
