import { FL_OZ_ML, type CupSystem } from '../measures/units';
import type { Family, PartKind, Use } from '../document/kinds';
import type { Mixer } from '../kitchen/schema';
import { wordNumber } from '../measures/word-number';

/** How many a dessert serves, as it is said. */
export interface SaidPortions {
  readonly low: number;
  readonly high: number;
}

const N =
  '(\\d{1,4}(?!\\d|[.,]\\d)|(?:two dozen|a dozen|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty(?:[- ](?:one|two|three|four|five|six))?|thirty|forty)(?![a-z]))';
const UPTO = `${N}(?:\\s*(?:-|–|—|to|or)\\s*${N})?`;
const PEOPLE = '(?:people|persons?|pers\\b|servings?|portions?|guests?|helpings?|diners|mouths|of us|pax|personn?es?|personen|personas)';
const PIECES =
  '(?:glass(?:es)?\\b(?! (?:\\w+ )?(?:dish|bowl|jug))|cups?\\b(?!(?: of|,? enough|,? (?:frosting|buttercream|icing))\\b)|pots?|ramekins?|slices?|pieces?|cupcakes?|nests?|shells?|jars?|verrines?|coupes?|wedges?|pairs?|squares?\\b(?! (?:pan|tin|dish|baking|cake))|bars?|tartlets?|meringues?|moulds?|individuals?\\b(?: \\w+)?|small \\w+|mini \\w+|generous \\w+|bowls?|sundae glasses|sundaes|parfaits|possets|trifles|mousses|puddings|desserts|pavlovas|eclairs|puffs)';
const SAID: readonly RegExp[] = [
  new RegExp(
    `\\b(?:serves?|feeds|does|gives (?:you|us|me)|serving|serv\\.?|enough for|portions|servings|yield|yields)\\b\\s*[:=]?\\s*(?:about|approx\\.?|around|some|up to|a generous|generously|at least|enough for|enough to .{0,20}?)?\\s*${UPTO}(?!\\s*(?:h|hours?|min|cm|g|ml|inch|\\d|loaf|cake|tart|pie|x|×))`,
    'i',
  ),
  new RegExp(`\\bfor (?:about |around |a party of )?${UPTO}\\s+${PEOPLE}`, 'i'),
  // 'For a crowd of 20'.
  new RegExp(`\\b(?:crowd|party|table|group|gathering) of (?:about |around )?${UPTO}\\b`, 'i'),
  // 'Trace eight 3-inch circles', 'pipe 12 rounds'.
  new RegExp(`\\b(?:trace|draw|pipe|shape|form|spoon out) (?:out )?${N}\\s+(?:[\\w-]+ ){0,3}?(?:circles|rounds|discs|nests|mounds|shells)\\b`, 'i'),
  // 'In custard glasses — six or seven —'.
  new RegExp(`\\b(?:glasses|cups|pots|ramekins|jars|coupes)\\s*[—–(]\\s*${UPTO}\\s*[—–)]`, 'i'),
  // 'Makes: 8 (100ml) pots'.
  new RegExp(`\\b(?:makes?|yields?|fills?)\\b\\s*:?\\s*${UPTO}\\s*\\([^)]{1,16}\\)\\s*(?:\\w+ )?${PIECES}\\b`, 'i'),
  // '10 moulds x 90 ml'.
  new RegExp(`^\\W*${UPTO}\\s+(?:glasses|cups|pots|ramekins|jars|verrines|coupes|mou?lds|tumblers)\\s*(?:[x×@]|of|à)\\s*\\d{2,4}\\s?(?:ml|g)\\b`, 'i'),
  // 'Cups 160 ml x 30'.
  new RegExp(`^\\W*(?:glasses|cups|pots|ramekins|jars|verrines|coupes|mou?lds|tumblers)\\s+\\d{2,4}\\s?(?:ml|g)\\s*[x×]\\s*${N}\\b`, 'im'),
  // '2 x 1 L moulds (approx 16 slices)'.
  new RegExp(`\\((?:about |approx\\.? |around |ca\\.? )?${UPTO} (?:slices|portions|pieces|servings|people|pax)\\)`, 'i'),
  // 'Yield: 12 x 90 g'.
  new RegExp(`^\\W*(?:yields?|makes)\\s*:?\\s*${UPTO}\\s?[x×]\\s?\\d{2,4}\\s?(?:g|ml)\\b`, 'i'),
  // 'Bavarois (pour 8)'.
  new RegExp(`\\((?:pour|für|per|para) ${UPTO}(?: \\p{L}+)?\\)`, 'iu'),
  // '6 × 120 g glasses'.
  new RegExp(`${UPTO}\\s?(?:x|×)\\s?\\d{2,4}[\\s-]?(?:ml|g)\\s+(?:\\w+ )?${PIECES}\\b`, 'i'),
  // 'Fill your glasses, ten of them'.
  new RegExp(`\\b(?:glasses|cups|pots|ramekins|jars|coupes|moulds),? ${N} of (?:them|those)\\b`, 'i'),
  new RegExp(
    `\\b(?:makes?|yields?|gives|for|fills?|pipe onto|pipes|frosts?|covers?)\\b\\s*[:=]?\\s*(?:about|approx\\.?|around|some|enough .{0,24}?)?\\s*${UPTO}\\s+(?:\\w+[- ]){0,3}?${PIECES}\\b`,
    'i',
  ),
  new RegExp(`\\b${UPTO}\\s+(?:${PEOPLE})\\b`, 'i'),
  new RegExp(`(?:[,(]|\\s-{1,2}\\s|[–—·|])\\s*${UPTO}\\s+(?:pieces|slices|portions|servings|parts)\\b`, 'i'),
  new RegExp(`\\b(?:x|×)\\s?${N}\\s+(?:\\w+[- ]){0,2}?${PIECES}\\b`, 'i'),
  new RegExp(
    `\\b(?:cut(?:s|ting)?|slices?|divide) (?!them (?:in|into) (?:\\d+|[a-z]+)\\b(?!\\s+${PIECES}))(?:it |them |the \\w+ )?(?:(?:in|into)\\s+|(?=\\d+ (?:slices|pieces|squares|bars)))${UPTO}(?:\\s+(?:${PIECES}))?(?!\\s*(?:cm|mm|inch|layers|dis[ck]s|rounds|parts|equal|rectangles|cubes))`,
    'i',
  ),
  new RegExp(
    `\\b(?:into|among|between|over|in) (?:the |your |my )?${UPTO}\\s+(?:\\([^()]{1,12}\\)\\s*)?(?:\\w+[- ]){0,3}?(?:glass(?:es)?|cups|pots|ramekins|jars|verrines|coupes|tumblers|bowls|moulds|flutes)\\b(?! of\\b)`,
    'i',
  ),
  new RegExp(`\\b(?:makes?|for)\\s*:?\\s*(?:about\\s*)?${UPTO}\\s*(?:\\)|[.!]|$)`, 'i'),
  new RegExp(
    `(?:^|[.!]\\s+)${UPTO}\\s+(?:(?:\\w+ )?(?:slices|pieces|portions|servings|glasses|cups|bowls|pots|jars|ramekins)\\s*(?:[.!]|$)|(?:slices|pieces|portions|servings),\\s)`,
    'im',
  ),
  new RegExp(`\\s[—–-]\\s*${UPTO}\\s*$`, 'i'),
  new RegExp(`(?:[,(/|–—]|\\s-)\\s*${UPTO}\\s+(?:\\w+[- ]){0,1}?${PIECES}\\b`, 'i'),
  new RegExp(`\\((?:x|×)?\\s?${UPTO}\\)\\s*$|^\\s*(?:x|×)\\s?(\\d{1,3})\\s*$`, 'i'),
  new RegExp(`\\bfor ${UPTO}(?=\\s*$|[.,;:)]|\\s+(?:or|and)\\b)(?!\\s*(?:min|h|sec))`, 'im'),
];

const ABOUT_CUPS = /\b(?:makes?|yields?|gives)\b.*\b(?:about|approx\.?|around)\b.*\bcups$/i;

const numberOf = (said: string): number => {
  const n = Number(said);
  if (Number.isFinite(n)) return n;
  const w = wordNumber(`${said} `, 0);
  const two = /^two dozen$/i.test(said) ? 24 : null;
  return two ?? w?.value ?? NaN;
};

/** How many it serves; null where it is not said. @param heads rows that say it first: title and yields. */
export function portionsIn(heads: readonly string[], text: string): SaidPortions | null {
  for (const source of [...heads, text.slice(0, 60_000)]) {
    for (const [i, pattern] of SAID.entries()) {
      if (source === text && i >= SAID.length - 4) continue;
      const m = pattern.exec(source);
      // 'Makes about 4 cups': so much of it.
      if (!m || ABOUT_CUPS.test(m[0])) continue;
      const low = numberOf(m[1] ?? m[3]!);
      const high = m[2] ? numberOf(m[2]) : low;
      if (low >= 1 && high >= low && high <= 2000) return { low, high };
    }
  }
  return null;
}

const INCH = 25.4;
const SIZE = '(\\d{1,3}(?:[.,]\\d)?|[½]|\\d{1,2} 1/2|eight|nine|ten|eleven|twelve|six|seven|five|four)';
const UNIT = '[\\s-]*(inch(?:es)?|in\\b|["”″]|cm|mm|centimetres?|centimeters?)';

const mmOf = (n: string, unit: string): number => {
  const words: Readonly<Record<string, number>> = { four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12 };
  const value = words[n.toLowerCase()] ?? (/ 1\/2$/.test(n) ? Number(n.split(' ')[0]) + 0.5 : Number(n.replace(',', '.')));
  return value * (/^mm/.test(unit) ? 1 : /^c/.test(unit) ? 10 : INCH);
};

/** A vessel as a recipe says it. */
export interface SaidVessel {
  readonly shape: 'springform' | 'ring' | 'round' | 'tray' | 'dish' | 'terrine' | 'glass' | 'mould' | 'bowl' | 'free' | 'tart' | 'dome' | 'tub';
  readonly acrossMm?: number;
  readonly lengthMm?: number;
  readonly widthMm?: number;
  readonly heightMm?: number;
  readonly eachMl?: number;
  readonly count: number;
  /** The words that say so. */
  readonly says: string;
}

const SHAPES: readonly (readonly [RegExp, SaidVessel['shape']])[] = [
  [/\bspring[- ]?form\b|\bspringform (?:tin|pan)\b|\bloose[- ]?(?:bottom(?:ed)?|base[d]?)\b(?! (?:[\w-]+ )?(?:tart|flan|pie|quiche)\b)/i, 'springform'],
  [/\bterrine\b|\bloaf (?:tin|pan|mould)\b|\bbread tin\b/i, 'terrine'],
  [
    /\b(?:tart|pie|flan|quiche) (?:tin|pan|dish|ring|case|shell|crust|plate)\b|\btart (?:shell|crust)\b|\d[\s-]*(?:inch(?:es)?|in|cm|["”″])\)?[\s-]+(?:[\w-]+ ){0,3}crust\b|\bcrust \(\d{1,2}[\s-]?(?:inch|in|cm|["”″])|\b(?:pastry|tart) case\b/i,
    'tart',
  ],
  [
    /\b(?:cake|mousse|pastry|dessert|charlotte) rings?\b|\bring mould\b|\bmetal ring\b|\b(?:cm|mm|inch|in) rings?\b|\brings? (?:of )?\d{1,2}(?:[.,]\d)? ?(?:cm|mm|inch(?:es)?|in)\b|\b(?:line|fill|into|in) (?:the |a |two |your )?(?:\w+ )?rings?\b/i,
    'ring',
  ],
  [/\bdome\b(?! of)|\bhemisphere\b|\bpudding basin\b/i, 'dome'],
  [
    /\b(?:baking|casserole|gratin|serving|oven|rectangular|square|glass|lasagne?|ceramic|deep|shallow) (?:baking )?dish\b|\bdish\b|\bbaking (?:tin|pan)\b|\btray\b|\bsheet pan\b|\b(?:square|rectangular) (?:tin|pan)\b|\bbrownie (?:tin|pan)\b|\bframe\b/i,
    'tray',
  ],
  [/\b(?:round|cake|deep|sandwich|layer) (?:cake )?(?:tin|pan)s?\b/i, 'round'],
  [/\bramekins?\b|\b(?:silicone |individual |dariole |muffin |pudding )?mou?lds?\b|\bmoules?\b|\bmuffin (?:tin|cups)\b|\bjelly mou?ld\b/i, 'mould'],
  [
    /\bglass(?:es)?\b(?! (?:\w+ )?(?:dish|bowl|jug))|\bcoupes?\b|\bverrines?\b|\btumblers?\b|\bflutes?\b|\bjars?\b|\b(?:small|dessert|serving|little|individual) (?:pots|cups|bowls|dishes)\b|\b(?:espresso|coffee|tea|paper) cups\b|\b\d{1,3}[\s-]?(?:oz|ounce|ml)\)?\s(?:\w+ )?cups\b|\bpots\b/i,
    'glass',
  ],
  [/\btub\b(?! (?:of|cream|soft|mascarpone|ricotta))|\b(?:freezer|lidded|plastic|airtight|freezer-?(?:safe|proof)) (?:container|box)\b|\bcontainer\b/i, 'tub'],
  [/\btrifle bowl\b|\b(?:glass|serving|large|big|pretty|deep) bowl\b/i, 'bowl'],
  [
    /\bnests?\b|\bpavlova\b|\b(?:\d{1,2}|[a-z]+) (?:\w+ )?mounds\b|\b\d{1,2} (?:\w+ )?(?:rounds|discs) on\b|\b(?:on|onto) (?:a |the |your )?(?:flat |large |big )?(?:plate|platter|cake stand|serving plate)\b|\bcake stand\b/i,
    'free',
  ],
  // 'An eight inch tin', of no kind that is said: a round one.
  [/(?:\d|\b(?:six|seven|eight|nine|ten|eleven|twelve))[\s-]*(?:inch(?:es)?|in|cm|["”″])[\s-]*(?:deep |metal |non-?stick )?(?:tin|pan)\b/i, 'round'],
];
/** Between a number and the glasses that it counts stands no time and no other number's word: '3 hours Makes 8 jars'. */
const NO_TIME = '(?!(?:hours?|hrs?|h|minutes?|mins?|days?|makes|serves|fills)\\b)';
const COUNTED = new RegExp(
  `(?:\\b|\\bx)(?:(?<![\\d/.])(\\d{1,3})|(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve))(?!\\s*(?:cm|mm|inch|in\\b|x\\b|×|ml|g\\b|["”]))\\s+(?:${NO_TIME}\\w+[- ]){0,3}?(?:(?:\\d{1,3}|\\d\\/\\d|[½¼¾⅔⅓])[\\s-]?(?:ml|oz|ounce|g|cup)\\s+)?(?:${NO_TIME}\\w+[- ]){0,2}?(?:glasses|pots|ramekins|moulds?|molds?|cups|jars|verrines|coupes|tumblers|tins|dishes|trays|terrines|bowls|rings|nests|mounds|pavlovas|shells|circles|rounds|springforms?|loaf tins)\\b`,
  'i',
);
/** '6 x 250 ml jars', '6 × 120 g glasses'. */
const TIMES_EACH =
  /\b(\d{1,3})\s?[x×]\s?(?:\d{2,4}[\s-]?(?:ml|g)|\d(?:[.,]\d{1,2})?[\s-]?(?:l|litres?|liters?))\s+(?:\w+ )?(?:glasses|pots|ramekins|mou?lds|cups|jars|verrines|coupes|tumblers|terrines|tins)\b/i;
/** 'Cups 160 ml x 30'. */
const EACH_TIMES = /\b(?:glasses|pots|ramekins|mou?lds|cups|jars|verrines|coupes|tumblers)\s+\d{2,4}\s?(?:ml|g)\s?[x×]\s?(\d{1,3})\b/i;
/** 'Trifle jars (8 x 250 ml)'. */
const TIMES_BRACKETED = /\((\d{1,3})\s?[x×]\s?\d{2,4}\s?ml\b[^)]{0,12}\)/i;
/** '8 (100ml) pots'. */
const BRACKETED = /\b(\d{1,3})\s*\(\s?\d{1,4}[\s-]?(?:ml|oz|ounce)\s?\)\s*(?:\w+ )?(?:glasses|pots|ramekins|mou?lds|cups|jars|verrines|coupes)\b/i;
const OF_THEM = /\b(?:glasses|cups|pots|ramekins|jars|coupes|moulds),? (\d{1,2}|[a-z]+) of (?:them|those)\b/i;
const EACH_ML =
  /(\d{2,4})[\s-]?ml\b[^.]{0,24}?\b(?:glass|pot|ramekin|mou?ld|cup|jar|verrine|coupe|tumbler|capacity|each)|\b(?:glass(?:es)?|pots?|ramekins?|mou?lds?|cups|jars?|verrines?|coupes?)\b[^.]{0,20}?(\d{2,4})[\s-]?ml\b|\b(\d{1,2}(?:\.\d)?)[\s-]?(?:oz|ounce)\s+(?:\w+\s)?(?:glass|pot|ramekin|mou?ld|cup|jar|tumbler)|\b(?:glass(?:es)?|pots?|ramekins?|mou?lds?|cups|jars?|verrines?|coupes?),? \(?(\d{1,2}(?:\.\d)?)[\s-]?(?:oz|ounces?)\b/i;
const LITRES =
  /(\d(?:[.,]\d{1,2})?)[\s-]?(?:l|litres?|liters?)\b[^.]{0,24}?\b(?:terrine|loaf|tin|mou?ld|bowl|dish|basin|tub|container|box)|\b(?:tub|container|terrine|loaf tin|mou?ld|bowl|dish|basin)\b[^.]{0,16}?(\d(?:[.,]\d{1,2})?)[\s-]?(?:l|litres?|liters?)\b|(\d{3,4})[\s-]?ml\s+(?:terrine|loaf|mou?ld|bowl|basin|dish)/i;
const BY = new RegExp(
  `(\\d{1,3}(?:[.,]\\d)?)\\s*(?:cm|mm|inch(?:es)?|in\\b|["”])?\\s*(?:x|×|by)\\s*(\\d{1,3}(?:[.,]\\d)?)(?:\\s*(?:x|×|by)\\s*(\\d{1,2}(?:[.,]\\d)?))?[\\s-]*(cm|mm|inch(?:es)?|in\\b|["”])?`,
  'i',
);
const ROUND = new RegExp(
  `${SIZE}${UNIT}(?:[\\s-]*(?:\\(?\\d{1,3}[\\s-]?(?:cm|in(?:ch)?)\\)?))?[\\s,-]*(?:round|sandwich|layer|diameter|wide|across|deep|loose|spring|charlotte|mousse|cake|tart|ring|tin|pan|pie|flan|nonstick|non-stick|metal|pavlova|circle|removable|base|dish|square)`,
  'i',
);
const ROUND_AFTER = new RegExp(
  `(?:spring[- ]?form|tin|pan|rings?|round|tart|dish|shell|tray|mou?ld|moule)[^.\\d]{0,22}?${SIZE}${UNIT}(?!\\s*(?:up|thick|high|deep|layer))`,
  'i',
);

/** Pans of a kitchen by their share of a full one, mm. Source: EN 631. */
const GASTRONORM: readonly (readonly [RegExp, readonly [length: number, width: number]])[] = [
  [/^(?:full|whole|1\/1)/i, [530, 325]],
  [/^(?:half|1\/2|½)/i, [325, 265]],
  [/^(?:third|1\/3|⅓)/i, [325, 176]],
  [/^(?:quarter|1\/4|¼)/i, [265, 162]],
  [/^(?:sixth|1\/6)/i, [176, 162]],
];
const OF_GASTRONORM =
  /(?:\b(\d{1,2})\s?[x×]\s?)?\b(?:gn|gastro(?:norm)?)\s?(1\/[12346])(?:[,\s]+(\d{2,3})\s?mm)?|(?:(?<![\d/])(1\/[12346]|½|⅓|¼)|\b(full|whole|half|third|quarter|sixth))[\s-]*(?:size[d]? )?(?:gn|gastro(?:norm)?)\b(?: (?:pan|tray|dish|container))?(?:,? (\d{2,3})\s?mm(?: deep)?)?/i;

/** 'One half gastro'; null where none is said. */
function gastronormIn(text: string): SaidVessel | null {
  const m = OF_GASTRONORM.exec(text);
  const size = m && GASTRONORM.find(([share]) => share.test(m[2] ?? m[4] ?? m[5]!))?.[1];
  const deep = m?.[3] ?? m?.[6];
  return m && size
    ? { shape: 'tray', lengthMm: size[0], widthMm: size[1], ...(deep ? { heightMm: Number(deep) } : {}), count: Number(m[1] ?? 1), says: m[0] }
    : null;
}

/** The vessel that a text says; null where it says none. The last kind of vessel that is filled counts, with sizes from wherever they stand. */
export function vesselIn(written: string): SaidVessel | null {
  const text = written.replace(
    /\b(thirteen|twelve|eleven|ten|nine|eight|seven|six)(?=[\s-]by[\s-]|[\s-]inch)|(?<=\bby[\s-])(thirteen|twelve|eleven|ten|nine|eight|seven|six)\b/gi,
    (w) => String(numberOf(w.toLowerCase()) || WORD_INCHES[w.toLowerCase()] || w),
  );
  const pan = gastronormIn(text);
  if (pan) return pan;
  const clauses = text.split(/(?<=[.;\n])\s+/).flatMap((sentence) => sentence.split(/,\s/).map((piece) => [piece, sentence] as const));
  let best: { shape: SaidVessel['shape']; says: string; weight: number } | null = null;
  for (const [piece, sentence] of clauses) {
    for (const [rank, [pattern, named]] of SHAPES.entries()) {
      if (!pattern.test(piece)) continue;
      // A circle that is drawn on its paper stands on no tray: it is as wide as it was drawn.
      const drawn = named === 'tray' && DRAWN.test(piece);
      const shape = drawn ? 'free' : named;
      if (shape === 'tub' && /\bnot (?:in |from )?(?:the|an?) (?:tub|container)\b/i.test(piece)) continue;
      // 'Crush four meringue nests': they are eaten, and hold nothing.
      if (shape === 'free' && /\b(?:crush|crumbl|break|bash|smash|chop|crack)\w*\b[^.;]*\bnests?\b/i.test(piece)) continue;
      if (shape === 'dome' && /\bpipe\b/i.test(piece)) continue;
      // 'Two glasses of white wine': drunk from, not filled.
      if (shape === 'glass' && /\bglass(?:es|ful)? of (?:\w+ ){0,2}(?:wine|sherry|brandy|madeira|port|rum|cider|sack|marsala|water|milk)\b/i.test(piece))
        continue;
      // 'Sprinkle the gelatin over the water in a small dish'.
      if (shape === 'tray' && /\b(?:gelatine?|sprinkle|bloom|dissolve|soak)\b[^.;]*\bsmall dish\b/i.test(piece)) continue;
      if (
        (/\bmixing|\bmixer|\bsimmer|\bheatproof|\b(?:whisk|beat|whip|mix|stir|combine|put|place) .{0,40}\bin a (?:large |big |glass )?bowl|\bin an? (?:large |big |glass |deep )+bowl,? (?:whisk|beat|whip|mix|stir|combine|cream|toss)\b/i.test(
          piece,
        ) ||
          (/\bin an? (?:[\w-]+ )?bowl\b/i.test(piece) && MIXED_IN.test(sentence))) &&
        shape === 'bowl'
      )
        continue;
      if (
        /\bbaking (?:tray|sheet)|\bice(?: cube)? tray|\b(?:wine|shot) glass of|\bmuffin cases/i.test(piece) &&
        (shape === 'tray' || shape === 'glass') &&
        !/\binto (?:the )?tray/i.test(piece)
      )
        continue;
      // What is piled on a tray to bake is served from no tray.
      if (shape === 'tray' && /\b(?:mounds|nests|kisses|dollops|rounds|discs)\b[^.;]*\bon(?:to)? (?:(?:an?|the|your|lined|baking) )*tray\b/i.test(piece))
        continue;
      if (
        shape === 'tray' &&
        /\b(?:pile|spoon|heap|shape|pipe|dollop|pour|spread|tip)\w* (?:it|them|the meringue|the mixture)\b[^.;]{0,16}\bon(?:to)? (?:a|the|your) (?:lined |baking )?tray\b/i.test(
          piece,
        )
      )
        continue;
      if (shape === 'tray' && /\b(?:spread|pour|spoon|tip) .{0,30}\b(?:shallow |flat )?(?:tray|dish) (?:to cool|and cover|and chill)/i.test(piece)) continue;
      if (shape === 'glass' && /\b(?:wine|shot|liqueur|sherry) glass(?:ful)?\b/i.test(piece) && !/\b(?:into|in|among|between)\b.{0,20}glasses/i.test(piece))
        continue;
      const sized = ROUND.test(piece) || ROUND_AFTER.test(piece) || BY.test(piece) || EACH_ML.test(piece) || COUNTED.test(piece) ? 3 : 0;
      const filled = /\b(?:into|in|onto|lined?|fill|divide|spoon|layer|pour|pipe|among|between|set aside a|grab|take|use)\b/i.test(piece) ? 1 : 0;
      // 'Bake in a 30 × 40 tray': of the sponge, where something else is filled.
      const bakes = (shape === 'tray' || shape === 'round') && /\bbaked?\b/i.test(piece) ? BAKES_IN : 0;
      const weight = sized + filled + (SHAPES.length - rank) * 0.04 + (shape === 'free' && !drawn ? -1 : 0) - bakes;
      if (!best || weight > best.weight + 1e-9) best = { shape, says: piece.trim().slice(0, 100), weight };
      break;
    }
  }
  const flat =
    /\d{1,3}(?:[.,]\d)?\s*(?:cm|inch(?:es)?|in\b|["”])?\s*(?:x|×|by)\s*\d{1,3}(?:[.,]\d)?[\s-]*(?:cm|inch(?:es)?|in\b|["”])?[^.;,]{0,24}\b(?:pan|dish|tin|tray|container)\b|\b(?:pan|dish|tin|tray|container)\b[^.;,\d]{0,16}\d{1,3}(?:[.,]\d)?\s*(?:cm|inch|in)?\s*(?:x|×|by)\s*\d/i.exec(
      text,
    );
  const bakesIn = flat !== null && /\bbaked?\b[^.;\n]*$/i.test(text.slice(Math.max(0, flat.index - 60), flat.index));
  if (flat && !bakesIn && best && !['tray', 'terrine', 'springform', 'round', 'ring', 'tart'].includes(best.shape))
    best = { shape: /\bloaf/i.test(flat[0]) ? 'terrine' : 'tray', says: flat[0], weight: 9 };
  if (!best) {
    const by = BY.exec(text);
    if (
      !by ||
      !(
        /\b(?:dish|tin|pan|tray|cake|sponge|sheet)\b/i.test(text) ||
        /\b(?:in|into) (?:an? |the |your )?(?:greased |lined )?\d{1,2}\s?(?:x|×|by)\s?\d{1,2}\b/i.test(text)
      )
    )
      return null;
    best = { shape: 'tray', says: by[0], weight: 0 };
  }
  // 'A cake tin of 26 x 10 cm': a loaf.
  const sides = best.shape === 'round' ? BY.exec(best.says) : null;
  const shape =
    sides && Number(sides[1]) !== Number(sides[2])
      ? Math.max(Number(sides[1]), Number(sides[2])) > 1.8 * Math.min(Number(sides[1]), Number(sides[2]))
        ? 'terrine'
        : 'tray'
      : best.shape;
  // 'Among eight 8-ounce glasses', and '2 cups' of cream elsewhere: where the vessel is named, first.
  const near = countOf(shape, best.says);
  const count = near > 1 ? near : countOf(shape, text);
  // What is baked in two tins and sandwiched stands by itself, as one.
  const sandwiched = shape === 'round' && count > 1 && SANDWICHED.test(text);
  return { ...sizesOf(shape, best.says, text), shape: sandwiched ? 'free' : shape, count: sandwiched ? 1 : count, says: best.says };
}

const SANDWICHED =
  /\b(?:sandwich(?:ed)?|stack(?:ed)?) (?:the |them|both |together|up|it )|\b(?:put|place|lay|set) the (?:other|second) (?:sponge|cake|half|layer)\b/i;
/** 'Trace a 22 cm circle onto baking paper'. */
const DRAWN = /\b(?:trac|draw|mark|pencil)\w*\b[^.;]{0,40}\b(?:circles?|rounds?|discs?)\b/i;

/** How much less a tin counts that something is baked in, where another vessel is filled (house). */
const BAKES_IN = 4;
/** 'Whisk together the milk, juice and zest in a large bowl': it is worked in that. */
const MIXED_IN = /^(?:\W*\w+\W+){0,5}(?:whisk|beat|whip|mix|stir|combine|cream|toss|blend)\b/i;

const WORD_INCHES: Readonly<Record<string, number>> = { thirteen: 13 };

function countOf(shape: SaidVessel['shape'], said: string): number {
  // Nests and shells that are broken into glasses are no glasses.
  // 'Two tins of peaches' hold no dessert.
  const served = said.replace(/\b(?:\d{1,3}|\p{L}+) (?:tins|jars|cups|pots|glasses|bowls) of(?! (?:about )?\d)\b/giu, ' ');
  const text = shape === 'glass' || shape === 'mould' ? served.replace(/\b(?:\d{1,3}|\p{L}+) (?:[\p{L}-]+ ){0,2}(?:nests|shells|pavlovas)\b/giu, ' ') : served;
  const m =
    TIMES_EACH.exec(text) ??
    EACH_TIMES.exec(text) ??
    COUNTED.exec(shape === 'free' ? text : text.replace(/\b(?:circles|rounds)\b/gi, ' ')) ??
    BRACKETED.exec(text) ??
    (shape === 'glass' || shape === 'mould' ? TIMES_BRACKETED.exec(text) : null) ??
    OF_THEM.exec(text);
  if (!m) return 1;
  const many = /\bml\b|glass|pot|ramekin|mou?ld|cup|jar|verrine|coupe|tumbler|nest|mound|pavlova|shell|circle|round|bowl/i.test(m[0]);
  const n = numberOf(m[1] ?? m[2]!);
  if (many !== (shape === 'glass' || shape === 'mould' || shape === 'free')) return many ? 1 : n <= 12 ? n : 1;
  return n >= 1 && n <= 200 ? n : 1;
}

function sizesOf(shape: SaidVessel['shape'], says: string, text: string): Pick<SaidVessel, 'acrossMm' | 'lengthMm' | 'widthMm' | 'heightMm' | 'eachMl'> {
  const near = says.length > 8 ? [says, text] : [text];
  for (const source of near) {
    if (shape === 'mould') {
      const whole = LITRES.exec(source);
      if (whole) return { eachMl: whole[3] ? Number(whole[3]) : Math.round(1000 * Number((whole[1] ?? whole[2])!.replace(',', '.'))) };
    }
    if (shape === 'glass' || shape === 'mould') {
      const ml = EACH_ML.exec(source);
      const ounces = ml?.[3] ?? ml?.[4];
      if (ml) return { eachMl: ounces ? Math.round(Number(ounces) * FL_OZ_ML) : Number(ml[1] ?? ml[2]) };
      if (shape === 'glass') continue;
    }
    const by = BY.exec(source);
    if (by && (shape === 'tray' || shape === 'dish' || shape === 'terrine')) {
      const unit = by[4] ?? /cm|mm|inch|in\b|["”]/.exec(by[0])?.[0] ?? (Number(by[1]) <= 16 ? 'in' : 'cm');
      const [a, b] = [mmOf(by[1]!, unit), mmOf(by[2]!, unit)];
      if (Math.max(a, b) >= 60 && Math.max(a, b) <= 1000)
        return { lengthMm: round(Math.max(a, b)), widthMm: round(Math.min(a, b)), ...(by[3] ? { heightMm: round(mmOf(by[3], unit)) } : {}) };
    }
    // '900 g loaf tin': named by the bread that it bakes.
    const bread = shape === 'terrine' ? /(\d{3,4})\s?g(?:\s?[/(]\s?\d\s?lb\)?)?\s+loaf (?:tin|pan)\b|\b1 ?kg loaf tin\b/i.exec(source) : null;
    if (bread) return { eachMl: Math.round(Number(bread[1] ?? 1000) * LOAF_ML_PER_G) };
    const litres = shape === 'tub' || shape === 'terrine' || shape === 'bowl' || shape === 'dome' || shape === 'tray' ? LITRES.exec(source) : null;
    if (litres) return { eachMl: litres[3] ? Number(litres[3]) : Math.round(1000 * Number((litres[1] ?? litres[2])!.replace(',', '.'))) };
    const across = ROUND.exec(source) ?? ROUND_AFTER.exec(source);
    if (across) {
      const mm = mmOf(across[1]!, across[2]!);
      if (mm >= 60 && mm <= 500)
        return shape === 'tray' || shape === 'dish'
          ? { lengthMm: round(mm), widthMm: round(mm) }
          : shape === 'terrine'
            ? { lengthMm: round(mm) }
            : { acrossMm: round(mm) };
    }
  }
  return {};
}
const round = (mm: number): number => Math.round(mm);
/** mL that a loaf tin holds for each g of the bread it is named by (house: 900 g tins are sold with 1.0 to 1.2 L). */
const LOAF_ML_PER_G = 1.2;

const MIXERS: readonly (readonly [RegExp, Mixer['kind']])[] = [
  [
    /\b(?:stand|planetary|kitchen|table|free-?standing|bench)[- ]?mixer\b|\bpaddle\b|\bwhisk attachment\b|\bbowl of (?:a|an|your|the) (?:electric )?mixer\b|\bmixer bowl\b|\bmixer fitted\b/i,
    'planetary',
  ],
  [/\b(?:hand|electric hand|elec hand|hand-held|handheld)[- ]?(?:held )?mixer\b|\belectric (?:whisk|beaters?|hand)|\bbeaters\b|\bhand beater\b/i, 'hand-mixer'],
  [
    /\bballoon whisk\b|\bwith a whisk\b|\bwhisk by hand\b|\bby hand with a whisk\b|\bhand whisk\b|\bwhip(?:ped)? by hand\b|\bwire whisk\b|\bbirch\b|\bwhisk of twigs\b|\btwigs\b/i,
    'balloon-whisk',
  ],
  [/\bmixer\b/i, 'planetary'],
  [/\bfood processor\b|\bblender\b/i, 'processor'],
];
/** The mixer that a text says; null where it says none. */
export function mixerIn(text: string): Mixer['kind'] | null {
  const found = MIXERS.find(([p]) => p.test(text))?.[1] ?? null;
  // A processor that only crushes biscuits whips nothing.
  return found === 'processor' &&
    !/\b(?:cream|whip|whisk)\b[^.]{0,60}\b(?:processor|blender)\b|\b(?:processor|blender)\b[^.]{0,60}\b(?:cream|whip)\b/i.test(text)
    ? null
    : found;
}

export interface SaidCups {
  readonly system: CupSystem;
  /** Words of the text that say so; none where the kitchen's own are taken. */
  readonly quotes: readonly string[];
}

const CUPS: readonly (readonly [RegExp, CupSystem, number])[] = [
  [/\b20[\s-]?ml tablespoons?\b|\baustralian\b/i, 'australian', 9],
  [/\bimperial\b|\b10[\s-]?(?:fl ?)?oz cups?\b/i, 'imperial', 9],
  [/\b250[\s-]?ml cups?\b|\bmetric cups?\b|\bcups? \(250 ?ml\)/i, 'metric', 9],
  [/\bus cups?\b|\bamerican cups?\b|\b(?:240|237|236)[\s-]?ml cups?\b/i, 'us', 9],
  [/\bsticks? (?:of )?(?:unsalted |salted )?butter\b|\b\d sticks?\b/i, 'us', 4],
  [/\b\d{2,3}\s?°\s?F\b|\b\d{2,3} ?F\b|\bfahrenheit\b/i, 'us', 3],
  [/\bheavy (?:whipping |cold )*cream\b|\bhalf[- ]and[- ]half\b/i, 'us', 3],
  [
    /\bconfectioners?['’]?s?\b|\bpowdered sugar\b|\ball-purpose\b|\bgraham\b|\bunflavored\b|\bvanilla wafers?\b|\bladyfingers\b|\bflavor|\bcolor\b|\brefrigerator\b|\bsemisweet\b|\bbittersweet\b|\bcookie/i,
    'us',
    1.2,
  ],
  [/\bquarts?\b|\bounces?\b|\boz\b/i, 'us', 0.6],
  [/\bthickened cream\b/i, 'metric', 3],
  [/\bgas(?: mark)? ?\d\b/i, 'imperial', 2],
  [/\bdouble cream\b|\bcaster sugar\b|\bsponge fingers\b|\bdigestives?\b|\bsingle cream\b/i, 'imperial', 1],
  [/\bcaster sugar\b|\bicing sugar\b|\bgelatine\b|\bcornflour\b/i, 'metric', 0.4],
];

/** '350F/180C/gas 4': an oven said in every way says nothing of the cups. */
const FAHRENHEIT = /^\d{2,3}\s?°?\s?F$|^fahrenheit$/i;
const BESIDE_CELSIUS = /\bgas(?: mark)? ?\d|\b\d{2,3}\s?°?\s?C\b/i;

/** Which cups a recipe means, by evidence that stands in it, quoted. @param usual of the kitchen. */
export function cupsIn(text: string, usual: CupSystem): SaidCups {
  const votes = new Map<CupSystem, { weight: number; quotes: string[] }>();
  for (const [pattern, system, weight] of CUPS) {
    const m = pattern.exec(text);
    if (!m || (system === 'us' && FAHRENHEIT.test(m[0]) && BESIDE_CELSIUS.test(text))) continue;
    const of = votes.get(system) ?? { weight: 0, quotes: [] };
    of.weight += weight;
    of.quotes.push(m[0].replace(/\s+/g, ' ').trim());
    votes.set(system, of);
  }
  // Grams and millilitres beside them: the spoons are those of today, not the old imperial ones.
  const weighed =
    /\b\d+(?:[.,]\d+)? ?(?:g|ml|kg|cl|dl)\b|\bgrams?\b|\bmils\b|\bmillilitres\b/i.test(text) && !/\bpints?\b|\bfl\.? ?oz\b|\b\d ?oz\b|\bounces?\b/i.test(text);
  // Cups beside millilitres and caster sugar are not the old imperial cup: pints are.
  const imperial = votes.get('imperial');
  if (imperial && imperial.weight < 9 && (weighed || /\bcups?\b/i.test(text))) {
    votes.delete('imperial');
    if (!votes.has('metric') || votes.get('metric')!.weight < imperial.weight) votes.set('metric', imperial);
  }
  const best = [...votes].sort((a, b) => b[1].weight - a[1].weight)[0];
  if (best && best[1].weight >= 1) return { system: best[0], quotes: best[1].quotes };
  return { system: usual, quotes: [] };
}

const FAMILY_WORDS: readonly (readonly [RegExp, Family])[] = [
  [/tirami|trifle|zuppa/i, 'tiramisu'],
  [/icebox|refrigerator cake|fridge cake/i, 'icebox'],
  [/syllabub|posset/i, 'syllabub'],
  [/semifreddo|parfait|\bfrozen|\bice[- ]cream/i, 'semifreddo'],
  [/mousse|bavarois|bavarian/i, 'mousse'],
  [/cheesecake|\btart\b|\bpie\b|quark cake/i, 'cheesecake'],
  [/\bnests?\b|meringue|pavlova|dacquoise/i, 'nest'],
  [/frosting|icing|stabili[sz]ed|piping|buttercream/i, 'frosting'],
  [/pudding|delight|lasagne/i, 'pudding'],
];

/** Which family a dessert belongs to: by what its parts are and what is done, and by its name where that fits. */
export function familyOf(name: string, kinds: readonly PartKind[], freezes: boolean, chilled: boolean): Family {
  const named = FAMILY_WORDS.find(([p]) => p.test(name))?.[1];
  if (freezes && (named === undefined || named === 'semifreddo' || named === 'mousse' || named === 'icebox')) return 'semifreddo';
  if (named === 'nest' && !kinds.includes('meringue') && kinds.includes('buttercream')) return 'frosting';
  if (named === 'frosting' && (kinds.includes('meringue') || kinds.includes('biscuit-layer'))) return kinds.includes('meringue') ? 'nest' : 'icebox';
  if (named) return named;
  if (kinds.includes('meringue')) return 'nest';
  if (kinds.includes('soak') && kinds.includes('biscuit-layer')) return 'tiramisu';
  if (kinds.includes('pressed-base')) return 'cheesecake';
  if (kinds.includes('biscuit-layer')) return 'icebox';
  if (kinds.includes('buttercream')) return 'frosting';
  if (kinds.includes('chocolate-base') || kinds.includes('set-filling')) return 'mousse';
  return kinds.length > 1 && chilled ? 'pudding' : 'chantilly';
}

/** What it must do: piped, in a glass, cut, turned out; null where nothing says so. */
export function purposeIn(text: string, vessel: SaidVessel | null): Use | null {
  if (
    /\bpip(?:e|ed|ing)\b|\bnozzle\b|\bpiping bag\b|\bpastry bag\b/i.test(text) &&
    !(vessel && ['springform', 'terrine', 'round', 'tart', 'ring'].includes(vessel.shape)) &&
    !(vessel?.shape === 'tray' && /\b(?:slice|cut)\b/i.test(text)) &&
    vessel?.shape !== 'glass'
  )
    return 'pipe';
  if (/\bturn(?:ed)?(?: it| them)? out\b|\bunmou?ld|\binvert|\bupside down\b/i.test(text))
    return vessel && (vessel.shape === 'springform' || vessel.shape === 'tray' || (vessel.shape === 'ring' && /\b(?:cut|slice)\b/i.test(text)))
      ? 'slice'
      : vessel?.shape === 'terrine'
        ? 'slice'
        : 'turn-out';
  // What is rolled is cut across.
  if (/\broulade\b|\bswiss roll\b(?! (?:tin|pan))|\broll(?:ed)? (?:it |the sponge )?up\b/i.test(text)) return 'slice';
  if (vessel && (vessel.shape === 'springform' || vessel.shape === 'terrine' || vessel.shape === 'round' || vessel.shape === 'ring' || vessel.shape === 'tart'))
    return 'slice';
  if (
    /\b(?:cut|slice)\b[^.]{0,40}\b(?:into|in|to serve|wedges|squares|slices|pieces|portions)\b/i.test(text) &&
    (vessel === null || vessel.shape === 'tray' || vessel.shape === 'free')
  )
    return 'slice';
  if (vessel?.shape === 'glass') return 'glass';
  if (vessel?.shape === 'mould') return 'glass';
  if (vessel?.shape === 'tray' || vessel?.shape === 'bowl' || vessel?.shape === 'dish') return 'spoon';
  if (/\bspoon\b|\bdollop\b|\bserve at once\b|\bserve (?:straight|right) away\b/i.test(text)) return 'spoon';
  return null;
}
