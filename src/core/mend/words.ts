/**
 * Signs by the words of cooks: names and what the finder knows them by. Nothing but words, so that every page can carry it.
 */
export const SIGN_GROUPS = ['cream', 'egg foam', 'setting', 'chocolate', 'buttercream and cheese', 'custard and syrup', 'fruit and folds', 'layers and shells', 'frozen', 'taste', 'amounts and order', 'time and danger'] as const;
export type SignGroup = (typeof SIGN_GROUPS)[number];

interface SignWords {
  readonly group: SignGroup;
  /** As it is written under its drawing. */
  readonly name: string;
  /** What it looks, feels or tastes like. */
  readonly look: string;
  /** Other words for it. */
  readonly words: readonly string[];
}

const sign = (group: SignGroup, name: string, look: string, ...words: string[]): SignWords => ({ group, name, look, words });

export const SIGN_WORDS = {
  runs: sign('cream', 'runs, will not stand', 'It falls back level; the whisk leaves no trail.', 'runny', 'thin', 'liquid', 'will not whip', 'will not thicken', 'never stiff', 'soup', 'soupy cream'),
  grains: sign('cream', 'grains, sheen gone', 'Dull, short tears at the whisk; it looks like wet semolina.', 'grainy', 'scraped back', 'piped again', 'scooped back', 'overwhipped', 'over-whipped', 'overwhisked', 'too stiff', 'broken cream', 'rough'),
  butter: sign('cream', 'yellow clumps, slapping', 'Yellow clumps in thin liquid; the bowl sounds wet.', 'butter', 'churned', 'split cream', 'separated', 'clumps'),
  sandy: sign('cream', 'sandy on the tongue', 'Smooth to look at; grains of sugar between the teeth.', 'gritty', 'sugar not dissolved', 'crunchy'),
  weeps: sign('cream', 'weeps at the bottom', 'A clear or milky drop under the cream, or round its edge.', 'weepy', 'watery', 'whey', 'water at the bottom', 'leaks'),
  softens: sign('cream', 'soft again in the cold', 'It stood, and now its edges are round and it gives way.', 'gone soft', 'slumps', 'collapsed', 'flat cream', 'lost volume', 'droops'),
  fizzles: sign('cream', 'siphon or can fizzles', 'Gas comes without cream, or it spits and runs.', 'fizzles out', 'spray can', 'siphon', 'only gas', 'sputters', 'nozzle blocked'),
  'whites-flat': sign('egg foam', 'whites will not rise', 'They stay thin and grey with large bubbles.', 'whites flat', 'meringue runny', 'egg white liquid', 'no peaks'),
  'whites-dry': sign('egg foam', 'whites dry and in clots', 'Cottony clots, liquid below; they break instead of folding.', 'overwhipped whites', 'whites broken', 'curdled whites', 'clumpy meringue'),
  'yolks-thin': sign('egg foam', 'yolk foam stays thin', 'It runs off the whisk without a trail.', 'no ribbon', 'sabayon thin', 'yolks runny'),
  strings: sign('setting', 'strings or lumps of gelatin', 'Rubbery threads on the whisk, or clear lumps.', 'stringy', 'lumpy gelatin', 'gelatin lumps', 'threads', 'rubbery bits'),
  unset: sign('setting', 'did not set', 'After its hours it still runs when the tin is tipped.', 'not set', 'still liquid', 'too loose', 'wobbly', 'will not set', 'runny cheesecake'),
  rubbery: sign('setting', 'set like rubber', 'It bounces and breaks clean, and does not melt on the tongue.', 'too firm', 'bouncy', 'too much gelatin', 'hard jelly'),
  seized: sign('chocolate', 'chocolate seized', 'A dull, stiff paste that holds the spoon.', 'seized chocolate', 'chocolate stiff', 'chocolate clumped', 'thick paste'),
  'ganache-split': sign('chocolate', 'ganache split', 'Oil at the edge, a curdled look.', 'split', 'broken ganache', 'oily', 'greasy', 'curdled chocolate'),
  specks: sign('chocolate', 'specks of chocolate', 'Hard crumbs of chocolate in the pale fold.', 'speckled', 'chocolate bits', 'chips in the mousse', 'hard bits'),
  'bc-curdled': sign('buttercream and cheese', 'buttercream curdled', 'Lumps of butter in wet foam.', 'curdled', 'scrambled buttercream', 'buttercream split', 'lumpy buttercream'),
  'bc-soup': sign('buttercream and cheese', 'buttercream is soup', 'Shiny and running; the whisk leaves nothing.', 'soupy', 'melted buttercream', 'runny buttercream'),
  'cheese-curdled': sign('buttercream and cheese', 'cheese grainy, runs', 'Fine white grains, and it is thinner than before.', 'curdled', 'curdled cheese', 'mascarpone split', 'broken mascarpone', 'runny frosting', 'grainy cheese'),
  'cheese-lumps': sign('buttercream and cheese', 'lumps of cheese', 'White lumps in smooth cream.', 'lumpy', 'lumps', 'cheese lumps'),
  scrambled: sign('custard and syrup', 'egg scrambled', 'Flecks or curds of egg in the custard.', 'curdled custard', 'split custard', 'scrambled egg', 'bits of egg', 'overcooked'),
  'custard-thin': sign('custard and syrup', 'custard stays thin', 'It does not coat the spoon.', 'runny custard', 'thin custard', 'pudding will not thicken'),
  lumpy: sign('custard and syrup', 'lumps of starch', 'Soft floury lumps.', 'lumpy custard', 'lumps', 'starch lumps'),
  'egg-cold': sign('custard and syrup', 'egg not hot enough', 'The thermometer stopped short of what egg needs.', 'too cold', 'raw egg', 'undercooked', 'did not reach temperature'),
  'syrup-grainy': sign('custard and syrup', 'syrup turned to sugar', 'Crystals on the wall, then all of it at once.', 'crystallised', 'sugar crystals', 'grainy syrup', 'grainy'),
  'custard-warm': sign('custard and syrup', 'still warm after hours', 'The middle is not cold, though it stood in the fridge.', 'still warm', 'not cold', 'warm in the middle', 'too warm'),
  'juice-runs': sign('fruit and folds', 'fruit runs into the cream', 'Coloured streaks and a puddle.', 'bleeds', 'juicy', 'fruit leaks', 'pink puddle'),
  browned: sign('fruit and folds', 'fruit went brown', 'Brown faces where it was cut.', 'brown banana', 'oxidised', 'brown apple'),
  flat: sign('fruit and folds', 'fold went flat', 'Less in the bowl than before, and it runs.', 'deflated', 'lost its air', 'overfolded', 'flat', 'heavy', 'dense'),
  'base-hot': sign('fruit and folds', 'base too hot for the cream', 'The cream melts at its edge as it goes in.', 'too hot', 'cream melted', 'hot base'),
  'base-set': sign('fruit and folds', 'base set before the fold', 'It is a jelly or a block, and the foam will not go in.', 'set too early', 'too cold to fold', 'jelly lumps'),
  soggy: sign('layers and shells', 'biscuits soggy', 'They tear when lifted; liquid runs out.', 'mushy', 'too wet', 'soaked', 'wet biscuits', 'falling apart'),
  hard: sign('layers and shells', 'biscuits still hard', 'The knife cracks them, the layers slide.', 'dry biscuits', 'crunchy', 'not softened', 'hard biscuits'),
  'few-biscuits': sign('layers and shells', 'too few biscuits', 'The last layer does not close.', 'ran out of biscuits', 'not enough biscuits', 'missing biscuits'),
  stuck: sign('layers and shells', 'will not turn out', 'It clings to the wall.', 'stuck', 'will not come out', 'sticks to the mould', 'unmould'),
  leans: sign('layers and shells', 'slice leans or slumps', 'It stood in the tin; cut, it spreads.', 'falls over', 'slice collapses', 'leaning', 'oozes'),
  'crust-crumbles': sign('layers and shells', 'base falls to crumbs', 'The slice leaves its base behind.', 'crumbly', 'crust crumbles', 'base does not hold'),
  cracked: sign('layers and shells', 'shell cracked', 'Cracks through the shell, or it broke under the crown.', 'cracked meringue', 'broken shell', 'crown cracked', 'cracks'),
  'shell-wet': sign('layers and shells', 'shell sticky or wet', 'Beads of syrup, a tacky skin.', 'weeping meringue', 'sticky meringue', 'damp', 'chewy shell'),
  'too-hard': sign('frozen', 'too hard to cut', 'The knife stops.', 'hard as stone', 'rock hard', 'too hard', 'cannot slice'),
  'never-froze': sign('frozen', 'never froze', 'After its hours it can still be spooned.', 'not frozen', 'still soft', 'will not freeze'),
  icy: sign('frozen', 'icy', 'Crystals that crunch and melt to water.', 'crystals', 'ice crystals', 'crunchy ice', 'grainy ice'),
  thawed: sign('frozen', 'thawed', 'It was out, or the freezer stood open.', 'melted', 'freezer failed', 'defrosted', 'power cut'),
  'too-sweet': sign('taste', 'too sweet', 'Sugar is all that is left after a spoon.', 'sweet', 'sickly', 'cloying'),
  'too-sour': sign('taste', 'too sour', 'It pulls the mouth together.', 'sour', 'acid', 'sharp', 'tart'),
  'too-strong': sign('taste', 'too boozy', 'It burns.', 'boozy', 'too strong', 'too much alcohol', 'too much rum', 'strong'),
  bland: sign('taste', 'tastes of nothing', 'Cold and fat, no flavour.', 'bland', 'no flavour', 'dull'),
  short: sign('amounts and order', 'not enough of it', 'The bowl is empty before the last vessel.', 'ran out', 'too little', 'short', 'not enough cream', 'not enough'),
  left: sign('amounts and order', 'some left over', 'All vessels are full and the bowl is not empty.', 'left over', 'leftover', 'too much', 'cream left', 'tin too small'),
  glasses: sign('amounts and order', 'glasses miscounted', 'There are fewer, or more, than planned.', 'too few glasses', 'miscounted', 'not enough glasses', 'more guests'),
  forgot: sign('amounts and order', 'something forgotten', 'It is still on the bench.', 'forgot', 'forgot the rum', 'forgot the sugar', 'left out an ingredient', 'missed a step'),
  twice: sign('amounts and order', 'something went in twice', 'Weighed two times, or too much of it.', 'doubled', 'double', 'twice', 'too much sugar', 'overpoured'),
  'all-in': sign('amounts and order', 'all in at once', 'Half was for later, and it is in the bowl.', 'all at once', 'poured everything', 'divided cream', 'wrong step'),
  'left-out': sign('time and danger', 'stood out of the cold', 'It was on the counter, nobody knows quite how long.', 'left out', 'forgotten on the counter', 'too warm', 'not chilled'),
  burnt: sign('time and danger', 'burnt or caught', 'Dark specks from the pan, a bitter smell.', 'burnt', 'scorched', 'caught', 'burned'),
  foreign: sign('time and danger', 'glass or metal in it', 'Something broke near the bowl.', 'broken glass', 'glass', 'metal', 'plastic', 'foreign body', 'plaster'),
} as const satisfies Readonly<Record<string, SignWords>>;

export type SignId = keyof typeof SIGN_WORDS;
export const SIGN_IDS = Object.keys(SIGN_WORDS) as [SignId, ...SignId[]];

export const CAUSES = {
  'past-firm': 'Whisked past firm',
  'warm-cream': 'Cream too warm',
  'rich-cream': 'Rich cream, narrow window',
  'worked-again': 'Piped, and scraped back',
  'gas-first': 'The gas went out before the cream',
  'nozzle-blocked': 'Something in the nozzle',
  'lean-cream': 'Too little fat in the bowl',
  'stopped-early': 'Not whisked long enough',
  'out-of-reach': 'The whisk does not reach it',
  'too-wet': 'Too much wine or juice in it',
  'fat-melted': 'The fat was hot and has not set',
  'coarse-sugar': 'Sugar too coarse, too late',
  'past-hold': 'Stood longer than it holds',
  'no-stabiliser': 'Nothing in it that holds water',
  'soft-stage': 'Whisked too soft to hold',
  'warm-place': 'Its place is too warm',
  'fat-in-whites': 'Fat or yolk in the whites',
  'whisked-dry': 'Whisked past firm',
  'sugar-early': 'Much sugar, and it went in early',
  'not-long-yolks': 'Not whisked or warmed long enough',
  'cold-contact': 'Gelatin met something cold',
  'dry-gelatin': 'Not soaked, or stirred in dry',
  'boiled-gelatin': 'It boiled',
  'low-dose': 'Too little that sets',
  'raw-fruit': 'Raw fruit that eats gelatin',
  'too-strong-set': 'Too much alcohol to set',
  'too-soon': 'Not long enough in the cold',
  'high-dose': 'Too much gelatin',
  'little-water': 'A little water in the chocolate',
  'too-hot-mix': 'Mixed too hot, or too fast',
  'too-fat-mix': 'More fat than its water holds',
  'cold-fold': 'Folded too cold',
  'butter-cold': 'Butter too cold',
  'butter-warm': 'Butter or meringue too warm',
  'over-mixed': 'Beaten too long',
  'cold-cheese': 'Cheese not softened',
  'too-hot': 'Cooked too hot',
  'not-cooked': 'Not cooked far enough',
  'starch-thinned': 'Something thins the starch',
  'dry-starch': 'Starch went in dry or hot',
  'too-little-heat': 'Too little heat for so much egg',
  'stirred-syrup': 'Stirred, or crystals on the wall',
  'too-deep': 'Too much in too deep a pan',
  'fruit-early': 'Fruit laid on too early',
  'no-acid': 'Nothing sour on it',
  'over-folded': 'Folded too long, or all at once',
  'warm-fold': 'Base too warm for the foam',
  'waited': 'It waited too long',
  'dipped-long': 'Dipped too long, or soak too hot',
  'dipped-short': 'Too dry for the time it had',
  'miscounted': 'Counted for another vessel',
  'no-lining': 'Not lined, or too cold to let go',
  'too-soft-set': 'Not set firm enough for that',
  'little-fat-base': 'Too little fat in the base',
  'cooled-fast': 'Cooled too fast, or crowned too heavy',
  'crowned-early': 'Crowned too early, or stored damp',
  'much-ice': 'Much ice, little sugar or air',
  'little-ice': 'Much sugar or spirit',
  'warm-freezer': 'Freezer too warm, or too full',
  'slow-freezing': 'Froze slowly',
  'freezer-open': 'The cold was off',
  'more-than-band': 'The recipe is so',
  'weighed-wrong': 'More or less went in than written',
  'tastes-cold': 'Cold dulls it',
  'smaller-yield': 'Less air than reckoned',
  'larger-yield': 'More air, or smaller vessels',
  'step-missed': 'The step was passed over',
  'not-divided': 'Not weighed apart',
  'nobody-there': 'Nobody was there',
} as const;
export type CauseId = keyof typeof CAUSES;

const plain = (text: string): string => text.toLowerCase().replace(/[^a-z ]+/g, ' ').replace(/\s+/g, ' ').trim();

/** Signs that a cook's words mean, best first; empty where nothing matches. Words may be begun ('curdl'). */
export function signsFor(said: string): readonly SignId[] {
  const asked = plain(said);
  if (asked.length < 3) return [];
  const score = (id: SignId): number => {
    const { name, words, look } = SIGN_WORDS[id];
    const known = [name, ...words].map(plain);
    if (known.some((k) => k === asked)) return 4;
    if (known.some((k) => k.startsWith(asked) || asked.startsWith(k))) return 3;
    if (known.some((k) => k.split(' ').some((w) => w.startsWith(asked)) || (asked.includes(' ') && k.includes(asked)))) return 2;
    const parts = asked.split(' ').filter((w) => w.length > 3);
    if (parts.length > 0 && parts.every((w) => known.some((k) => k.includes(w)))) return 1.5;
    return asked.length > 4 && plain(look).includes(asked) ? 1 : 0;
  };
  return SIGN_IDS.map((id) => ({ id, n: score(id) }))
    .filter((x) => x.n > 0)
    .sort((a, b) => b.n - a.n)
    .map((x) => x.id);
}
