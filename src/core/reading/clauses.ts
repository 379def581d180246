import { BAKES_ON, bareOvenC, IN_AN_OVEN, temperaturesIn } from './degrees';
import { timesIn } from './times';
import { AFTER_VERB, BEFORE_VERB, verbNamed, verbOfForm, type Verb } from './verbs';
import { wordsOf, type Word } from './words';

/** One action as it is written: a clause with its verb. */
export interface Clause {
  readonly text: string;
  /** The verb that it begins with; null where none does. */
  readonly verb: Verb | null;
  readonly words: readonly Word[];
  /** Which of the words the verb is; −1 where there is none. */
  readonly at: number;
}

/** Words behind which a full stop ends no sentence. */
export const ABBREVIATED =
  /(?:^|[\s(])(?:approx|min|mins|max|tbsps?|tsps?|oz|lbs?|hrs?|ca|e\.g|i\.e|no|vol|pt|pts|qt|fl|st|vs|incl|temp|sec|secs|pkt|env|pkg|deg|c|g|ml)$/i;

/** The sentences of a paragraph; what they leave out is white space only. Linear in its length. */
export function sentencesOf(paragraph: string): readonly string[] {
  const out: string[] = [];
  let from = 0;
  // What is typed without capitals has none behind its full stops.
  const small = many(paragraph, /[.!?]\s+\p{Ll}/gu) > many(paragraph, /[.!?]\s+(?!I\b)\p{Lu}/gu) && !/^\s*(?!I\b)\p{Lu}/u.test(paragraph);
  const stop = /[.!?]+["”’)]*(?=\s|$)|[;\n]|\s[–—]\s(?=\p{Ll}+)|\s-{2,}\s/gu;
  for (let m = stop.exec(paragraph); m; m = stop.exec(paragraph)) {
    const end = m.index + m[0].length;
    if (m[0].startsWith('.')) {
      const before = paragraph.slice(Math.max(from, m.index - 8), m.index);
      const after = /^\s*(\S)/.exec(paragraph.slice(end, end + 6))?.[1] ?? '';
      // 'Fridge 6 hr min.' ends; '5 min. more' and 'freeze min. 8 hrs' go on.
      const least = /\p{L}\s+(?:min|max)$/iu.test(before) && !/\d/.test(after);
      const goesOn = /^\s*(?:meanwhile|then|next)\b/i.test(paragraph.slice(end, end + 14));
      // 'chill 4 hr. whip cream': a time, and the next thing that is done.
      const timed = small && /\d\s?(?:hrs?|mins?)$/i.test(before) && verbAt(wordsOf(paragraph.slice(end, end + 60)), 0, false) >= 0;
      if (ABBREVIATED.test(before) && !least && !goesOn && !timed && !/[\p{Lu}]/u.test(after)) continue;
      if (after !== '' && /\p{Ll}/u.test(after) && !small) continue;
    }
    if (/^\s[–—-]/.test(m[0]) && !startsAction(wordsOf(paragraph.slice(end, end + 60)))) continue;
    if (openBracket(paragraph, from, m.index)) continue;
    out.push(paragraph.slice(from, end));
    from = end;
  }
  out.push(paragraph.slice(from));
  // 'To make a trifle. — Cover the bottom': a dash before a sentence says nothing.
  return out.map((s) => s.trim().replace(/^[–—-]+\s+(?=\p{L})/u, '')).filter((s) => s !== '');
}

const many = (text: string, what: RegExp): number => [...text.matchAll(what)].length;

function openBracket(text: string, from: number, to: number): boolean {
  let depth = 0;
  for (let i = from; i < to; i++) {
    if (text[i] === '(') depth++;
    else if (text[i] === ')') depth = Math.max(0, depth - 1);
  }
  return depth > 0 && text.indexOf(')', to) > 0 && text.indexOf(')', to) - to < 120;
}

/** What stands before an action and is none: when, away from what, how fast, over what heat. */
const BEFORE_ACTION = new RegExp(
  `^(?:${[
    String.raw`(?:(?:just|right|shortly|immediately) )?before (?:you )?serv(?:e|ing)`,
    String.raw`(?:off|away from|from) the (?:heat|hob|stove)`,
    String.raw`(?:on|at) (?:an? )?(?:(?:very )?(?:low|medium|high|slow|fast|full|moderate|top)(?: ?- ?| to | )?){1,2} ?(?:speed|setting)`,
    String.raw`over (?:an? )?(?:(?:very )?(?:low|medium|high|gentle|moderate)(?: ?- ?| to | )?){1,2} ?(?:heat|flame)`,
    String.raw`with the (?:mixer|machine|motor|beaters?|paddle|whisk|processor|blender)(?: still)? (?:running|going|on)(?: (?:(?:very )?(?:low|medium|high|slow|fast|full)(?: ?- ?| to | )?){1,2}(?: ?speed)?)?`,
    String.raw`by hand`,
  ].join('|')})(?![\p{L}])(?: ,)? ?`,
  'u',
);

/** How many words say no more than that. */
function wordsBefore(words: readonly Word[], from: number): number {
  const m = BEFORE_ACTION.exec(
    words
      .slice(from, from + 8)
      .map((w) => w.said)
      .join(' '),
  );
  return m ? m[0].trim().split(' ').length : 0;
}

/** 'Press firmly', 'mix thoroughly': how it is done, and so it is done. */
const HOW = /^(?!(?:jelly|only|early|daily|weekly)$)\p{L}{3,}ly$/u;

/** Where in these words an action begins with its verb; −1 where it does not begin at once. */
function verbAt(words: readonly Word[], first: number, strict: boolean): number {
  const from = first + wordsBefore(words, first);
  let to = from + 7;
  for (let i = from; i < words.length && i < to; i++) {
    const { said } = words[i]!;
    const verb = verbNamed(said);
    if (verb) {
      const next = words[i + 1]?.said ?? '';
      // What is set aside goes on later: no work of its own.
      if (
        /^(?:set|put|leave)$/.test(said) &&
        /^(?:(?:it|them|this) )?(?:aside|to one side)(?! (?:an?|half|one|two|three|four|some|about|roughly|[\d½¼¾⅓⅔])\b)/.test(
          words
            .slice(i + 1, i + 5)
            .map((w) => w.said)
            .join(' '),
        )
      )
        return -1;
      const followed = next === '' || /^[.,;:!?)]$/.test(next) || AFTER_VERB.has(next) || /^[\d½¼¾⅓⅔]/.test(next) || HOW.test(next);
      if (/^(?:let|leave|allow)$/.test(said) && /\p{L}/u.test(next)) return i;
      if (/^(?:keep|continue|go|carry)$/.test(said) && /ing$/.test(next) && verbOfForm(next)) return i;
      // 'Cream to soft peak': a thing, and how far it is whipped; 'fold in a third, then the rest'.
      if (said === 'cream' && next === 'to' && /^(?:soft|stiff|firm|medium)/.test(words[i + 2]?.said ?? '')) return -1;
      // 'Sponge base, 20 cm': a cake, where nothing follows that is wetted.
      if (said === 'sponge' && !/^(?:the|it|your|gelatin|gelatine|over)$/.test(next)) return -1;
      // 'The rest of it', '+ squeeze of lemon': things.
      if (next === 'of' && (strict || said === 'rest' || NOUN_IN_LIST.has(verb.base))) return -1;
      // 'Poach the rhubarb, cut in 3 cm lengths, with the sugar': how it is.
      if (strict && said === 'cut' && cutAlready(words, i)) return -1;
      if (said === 'rest' && words[i - 1]?.said === 'then' && /^(?:[,;.]|then|)$/.test(next)) return -1;
      // 'Cream and sugar to just below the boil': things that are heated.
      if (
        said === 'cream' &&
        TO_THE_BOIL.test(
          words
            .slice(i + 1, i + 11)
            .map((x) => x.said)
            .join(' '),
        )
      )
        return -1;
      // 'Cream in, slowly': a thing that goes in.
      if ((said === 'cream' || NOUN_IN_LIST.has(verb.base)) && next === 'in' && /^(?:[.,;]|)$/.test(words[i + 2]?.said ?? '')) return -1;
      // 'Purée, eggs, yolks to 82 °C': things.
      if (NOUN_IN_LIST.has(verb.base) && /^[,+]$/.test(next)) return -1;
      // 'Peaches, cream, sauce', 'cherries and cream in the jars': a thing, where nothing follows that is creamed.
      if (said === 'cream' && (strict ? !/^(?:the|together|your|all|it|them|both|half|\d+)$/.test(next) : /^[:–—,+/-]$/.test(next))) return -1;
      // 'Remove from the heat and whip yolks until thick': how far follows.
      const howFar = said === 'whip' && words.slice(i + 2, i + 6).some((x) => /^(?:until|till|to)$/.test(x.said)) && /^\p{L}/u.test(next);
      if (!verb.weak)
        return strict &&
          !howFar &&
          NOUNS_TOO.has(said) &&
          !(i > from && words[i - 1]!.said === 'then' && /^\p{L}/u.test(next) && !/^(?:and|or|&)$/.test(next) && !verbNamed(next)) &&
          !(/^(?:the|a|an|it|them|your|both|all|each|half|this|that|these|those|everything)$/.test(next) || (followed && !NOUN_IN_LIST.has(said)))
          ? -1
          : i;
      if (followed || !strict) return i;
      // 'cool completely', 'cream butter and sugar', 'layer biscuits': followed by a plain noun it is a verb at the start of a sentence only.
      return -1;
    }
    if (!BEFORE_VERB.has(said) && !/ly$/.test(said)) return -1;
    // 'And with the mixer on medium add …'.
    const more = said === 'and' || said === 'then' ? wordsBefore(words, i + 1) : 0;
    i += more;
    to += more;
  }
  return -1;
}

/** 'Cut in 3 cm lengths, with …': more of the same work follows. */
const cutAlready = (words: readonly Word[], at: number): boolean => {
  const comma = words.findIndex((w, k) => k > at && /^[,;.]$/.test(w.said));
  return (
    /^in(?:to)?$/.test(words[at + 1]?.said ?? '') &&
    comma > 0 &&
    comma - at < 9 &&
    words[comma]!.said === ',' &&
    /^(?:with|in)$/.test(words[comma + 1]?.said ?? '')
  );
};

const TO_THE_BOIL = /^(?:and|&|,|\+)[^.;]*\bto (?:just |a |the |bare )*(?:below )?(?:the )?(?:boil|simmer)\b/;

/** Of these, those that stand in lists of ingredients: 'zest and juice in a bowl'. */
const NOUN_IN_LIST = new Set(['zest', 'juice', 'oil', 'puree', 'core', 'pit', 'peel', 'sponge', 'froth']);

/** Strong verbs that stand for things often enough. */
const NOUNS_TOO = new Set([
  'whip',
  'puree',
  'juice',
  'core',
  'pit',
  'zest',
  'peel',
  'oil',
  'mix',
  'spoon',
  'work',
  'press',
  'froth',
  'sponge',
  'grease',
  'wrap',
  'scoop',
  'dip',
  'stand',
  'fridge',
  'start',
  'roll',
  'dollop',
  'process',
  'temper',
  'marble',
  'keep',
  'store',
  'stop',
  'run',
  'taste',
  'save',
  'give',
  'use',
  'form',
  'get',
  'fit',
  'go',
  'butterfly',
  'count',
  'mark',
  'brown',
]);

const startsAction = (words: readonly Word[]): boolean => verbAt(words, 0, true) >= 0;

/** 'You want 200 g of biscuits': a list, told. */
const NEEDED = /^(?:ok(?:ay)? |so |now |well |then |,)*(?:you|we|i)(?:['’]ll| will)? (?:want|need)\b/i;

const UNTIL = new Set([
  'until',
  'if',
  'unless',
  'so',
  'while',
  'as',
  'because',
  'when',
  'once',
  'which',
  'that',
  'who',
  'before',
  'after',
  'where',
  'what',
  'how',
  'since',
  'though',
  'although',
  'whenever',
  'than',
]);

/**
 * The actions of a sentence, in their order; their texts together are the sentence. A clause ends where the next one begins with a verb
 * of the kitchen: behind a comma, 'and', 'then', a bracket or a dash. What only says until when, or under which condition, stays with its action.
 */
export function clausesOf(sentence: string): readonly Clause[] {
  if (BUILT_IN.test(sentence)) return [{ text: sentence, verb: null, words: wordsOf(sentence), at: -1 }];
  const words = wordsOf(sentence);
  const cuts: number[] = [0];
  let depth = 0;
  let until = false;
  const leading = UNTIL.has(words[0]?.word ?? '');
  const lead = /^(?:to (?:serve|finish|assemble|make|build|decorate|garnish)|for serving)\s*[:,–—]/i.test(sentence) || MAKES_IT.test(sentence);
  // 'Before serving whip the cream and pipe it on': the condition has no comma behind it.
  const bare = leading && !words.slice(0, 9).some((w) => w.said === ',' || w.said === ':') && laterVerb(words, 1) > 0;
  let started = bare || NEEDED.test(sentence) || (verbAt(words, 0, false) >= 0 && (!leading || wordsBefore(words, 0) > 0) && !lead);
  // 'Off the heat, stir …': no clause of its own.
  for (let i = wordsBefore(words, 0); i < words.length; i++) {
    const { said, word } = words[i]!;
    if (said === '(' || said === '[') depth++;
    else if (said === ')' || said === ']') depth = Math.max(0, depth - 1);
    if (depth > 0) continue;
    if (UNTIL.has(word) && i > 0) until = true;
    const comma = said === ',' || said === ';' || said === ':' || said === '–' || said === '—' || said === '-' || said === ')' || said === '•' || said === '.';
    const and = said === 'and' || said === '&' || said === 'then' || said === 'but' || said === 'or' || said === '+';
    if (!comma && !and) continue;
    if (i + 1 >= words.length) continue;
    let at = verbAt(words, i + 1, true);
    if (at >= 0 && and && until && !comma && said !== 'then') {
      // 'until thick and hold its shape': only what is done to something begins anew.
      const verb = verbNamed(words[at]!.said)!;
      const next = words[at + 1]?.said ?? '';
      if (verb.weak && !/^(?:the|it|them|in|into|for|with|to|over|on|aside|overnight|at)$/.test(next)) at = -1;
      if (STATES.has(verb.base) && !/^(?:the|it|them|in|into|for|with|over|aside)$/.test(next)) at = -1;
    }
    if (at < 0) at = subjectVerb(words, i + 1 + atOnce(words, i + 1));
    // 'Four eggs, 225 g flour, baked in a tin for 40 minutes'.
    if (at < 0 && comma && words[i + 1]?.said === 'baked' && /^(?:in|at|for|until)$/.test(words[i + 2]?.said ?? '')) at = i + 1;
    if (at < 0 && comma && words[i + 1]?.said === 'made' && MADE_OF.test(sentence.slice(words[i + 1]!.start))) at = i + 1;
    // 'Pipe them, 100 degrees for an hour'.
    if (at < 0 && comma && !until && IN_AN_OVEN.test(sentence.slice(words[i + 1]!.start)) && timesIn(sentence.slice(words[i + 1]!.start)).length > 0)
      at = i + 1;
    // 'Melt the leaf in it, back into the rest of the cream'.
    if (at < 0 && comma && !until && BACK_INTO.test(sentence.slice(words[i + 1]!.start))) at = i + 1;
    // 'Bake 8 minutes, then down to 140 for 20 more'.
    if (at < 0 && BAKES_ON.test(sentence.slice(words[i + 1]!.start)) && /\bbake\b/i.test(sentence.slice(cuts.at(-1)!, words[i]!.start))) at = i + 1;
    // 'Chill 2 hours, pistachios right before serving'.
    if (
      at < 0 &&
      comma &&
      LATE_ALONE.test(
        words
          .slice(i + 1, i + 8)
          .map((w) => w.said)
          .join(' '),
      ) &&
      verbAt(words, i + 1, false) < 0
    )
      at = i + 1;
    // 'I put the berries in, and it goes over the sponge'.
    if (
      at < 0 &&
      GOES_OVER.test(
        words
          .slice(i + 1, i + 4)
          .map((w) => w.said)
          .join(' '),
      )
    )
      at = i + 1;
    // 'Pile it on a tray, and it goes into a hundred and fifty'.
    if (at < 0 && goesInHot(sentence.slice(words[i + 1]!.start))) at = i + 1;
    // '400 ml of cream, whipped soft, on top, and some almonds'.
    if (
      at < 0 &&
      comma &&
      !until &&
      words[i + 1]?.said === 'on' &&
      words[i + 2]?.said === 'top' &&
      /^[,.;]?$/.test(words[i + 3]?.said ?? '') &&
      WHIPPED.test(sentence.slice(cuts.at(-1)!, words[i]!.start))
    )
      at = i + 1;
    // '300 ml of cream, whipped, and passion fruit': what is named behind it is not whipped with it.
    if (
      at < 0 &&
      comma &&
      !until &&
      words[i + 1]?.said === 'and' &&
      i + 3 < words.length &&
      WHIPPED.test(sentence.slice(cuts.at(-1)!, words[i]!.start)) &&
      !/^(?:sugar|icing|vanilla|sweetened|the|it|then)$/.test(words[i + 2]!.said)
    )
      at = i + 1;
    // 'level it, overnight in the fridge', 'press it into the tin, fridge.'
    if (
      at < 0 &&
      comma &&
      coldAlone(words, i + 1) &&
      /\b(?:fridge|freezer)\b/i.test(sentence.slice(cuts.at(-1)!, words[i]!.start)) &&
      timesIn(sentence.slice(words[i + 1]!.start)).length > 0 &&
      timesIn(sentence.slice(cuts.at(-1)!, words[i]!.start)).length > 0
    )
      at = i + 1;
    // 'Mix in the butter, into a 23 cm tin': it is put there.
    if (
      at < 0 &&
      comma &&
      !until &&
      INTO_VESSEL.test(sentence.slice(words[i + 1]!.start)) &&
      !/\b(?:pour|spoon|tip|put|scrape|pile|press|transfer|turn|pack|divide|into)\b/i.test(sentence.slice(cuts.at(-1)!, words[i]!.start))
    )
      at = i + 1;
    if (
      at < 0 &&
      said === 'and' &&
      /^in(?:to)?$/.test(words[i + 1]?.said ?? '') &&
      coldAlone(words, i + 1) &&
      INTO_VESSEL.test(sentence.slice(cuts.at(-1)!).trim())
    )
      at = i + 1;
    if (
      at < 0 &&
      comma &&
      !until &&
      coldAlone(words, i + 1) &&
      !/\b(?:chill|fridge|refrigerat\w*|freez\w*|hours?|overnight)\b/i.test(sentence.slice(cuts.at(-1)!, words[i]!.start))
    )
      at = i + 1;
    // 'Into a loaf tin, 12 hours in the freezer'.
    if (
      at < 0 &&
      comma &&
      !until &&
      SO_LONG_IN.test(sentence.slice(words[i + 1]!.start)) &&
      timesIn(sentence.slice(cuts.at(-1)!, words[i]!.start)).length === 0 &&
      hasAction(words.filter((x) => x.start >= cuts.at(-1)! && x.start < words[i]!.start))
    )
      at = i + 1;
    if (at < 0 && (/^(?:when|once|if|after)$/.test(words[i + 1]?.said ?? '') || (words[i + 1]?.said === 'at' && /^\d/.test(words[i + 2]?.said ?? ''))))
      at = laterVerb(words, i + 2);
    if (at < 0) continue;
    // 'To 82 °C, whisk continuously': how it is heated.
    if (comma && ALL_THE_TIME.test(sentence.slice(words[at]!.start))) continue;
    if (said === 'or' && !/^(?:refrigerate|chill|freeze|serve)$/.test(words[at]!.said)) continue;
    // A leading 'When it is cool, fold …': the condition belongs to what it begins.
    if (!started) {
      started = true;
      until = false;
      if (leading || lead || onlyHowLate(words, i)) continue;
      // '500 g strawberries - blitz half of them': a thing with its amount, then its work.
      const dashed = /^[-–—]$/.test(said) && /^\W*(?:\d|[½¼¾⅓⅔])/.test(sentence);
      if (
        !dashed &&
        !WHIPPED.test(sentence.slice(0, words[i]!.start)) &&
        !DONE_WITH.test(sentence.slice(0, words[i]!.start)) &&
        !GOES_INTO.test(sentence.slice(0, words[i]!.start)) &&
        !toSyrup(sentence.slice(0, words[i]!.start)) &&
        verbAt(words, 0, false) < 0 &&
        !hasAction(words.slice(0, i)) &&
        !coldAlone(words, 0) &&
        timesIn(sentence.slice(0, words[i]!.start)).length === 0 &&
        temperaturesIn(sentence.slice(0, words[i]!.start), false).length === 0
      )
        continue;
    }
    cuts.push(comma ? words[i]!.end : words[i]!.start);
    until = false;
  }
  const texts = cuts.map((from, i) => sentence.slice(from, cuts[i + 1] ?? sentence.length).trim()).filter((t) => /[\p{L}\d]/u.test(t));
  return texts.map(clauseOf);
}

/** 'Make the crust: stir together …': what the work behind it makes. */
export const MAKES_IT = /^(?:make|prepare|build) (?:the |your )?(?:[\p{L}-]+ ){0,3}[\p{L}-]+:/iu;

/** 'Into a 23 cm loose-bottomed tin', with nothing that says how it gets there. */
export const INTO_VESSEL =
  /^into (?:an? |the |your |\d+ )?(?:[\p{L}\d"-]+ ){0,5}(?:tin|dish|ring|mou?ld|tray|terrine|glasses|coupe|pots|ramekins|cups|springform|pan)s?\b/iu;

/** '12 hours in the freezer'. */
const SO_LONG_IN =
  /^(?:(?:at least|about|min(?:imum)?\.?|for) )?(?:\d[\d.,]*(?:\s?(?:-|–|to)\s?\d+)?|two|three|four|six|eight|twelve|an?)\s?(?:hours?|hrs?|h|minutes?|mins?|nights?)\b(?: \w+)? (?:in the |in )?(?:fridge|freezer|cold|(?:blast )?chiller)\b/i;

const ALL_THE_TIME = /^(?:whisk|stir|beat) (?:continuously|constantly|continually|all the time|non-?stop|the whole time)\W*$/i;

/** Whether words begin with nothing but the cold that something goes into. */
const coldAlone = (words: readonly Word[], from: number): boolean =>
  words[from]?.said === 'overnight' ||
  // 'And into the fridge for half an hour'.
  (/^in(?:to)?$/.test(words[from]?.said ?? '') && words[from + 1]?.said === 'the' && coldAlone(words, from + 2)) ||
  (/^(?:fridge|freezer)$/.test(words[from]?.said ?? '') && /^(?:[.,;:]|for|overnight|o\/n|till|until|\d+|)$/.test(words[from + 1]?.said ?? ''));

/** 'For the mirror warm the purée': the verb behind what it is for; −1 where none follows at once. */
function forWhat(words: readonly Word[]): number {
  if (!/^(?:the|your|a|each)$/.test(words[1]?.said ?? '')) return -1;
  return words
    .slice(0, 6)
    .findIndex(
      (w, i) =>
        i > 2 &&
        verbNamed(w.said) !== null &&
        (/^(?:the|a|an|all|both|some|half|\d.*)$/.test(words[i + 1]?.said ?? '') ||
          ((!verbNamed(w.said)!.weak || (words[i + 3] !== undefined && /^(?:,|and|&)$/.test(words[i + 2]!.said))) &&
            !NOUNS_TOO.has(w.said) &&
            /^\p{L}/u.test(words[i + 1]?.said ?? '') &&
            !/^(?:of|and|or|is|are|with)$/.test(words[i + 1]?.said ?? ''))) &&
        words.slice(2, i).every((x) => /^\p{L}/u.test(x.said)),
    );
}

/** The verb behind what is said of when, where no comma stands between; −1 for none. */
function bareLater(words: readonly Word[]): number {
  const at = laterVerb(words, 1);
  return words.slice(0, Math.max(0, at)).some((w) => w.said === ',' || w.said === ':') ? -1 : at;
}

/** 'and when it is cold pour it over': the verb behind a condition without a comma; −1 where none follows soon. */
function laterVerb(words: readonly Word[], from: number): number {
  for (let i = from + 1; i < Math.min(words.length - 1, from + 13); i++) {
    const verb = verbNamed(words[i]!.said);
    // 'When the syrup is at 110 °C start whisking the whites'.
    if (/^(?:start|begin)$/.test(words[i]!.said) && /ing$/.test(words[i + 1]!.said) && verbOfForm(words[i + 1]!.said)) return i;
    if (verb && !verb.weak && AFTER_VERB.has(words[i + 1]!.said) && !/^(?:to|is|are|be)$/.test(words[i - 1]!.said)) return i;
  }
  return -1;
}

/** States that a mix comes to, which are verbs too. */
const STATES = new Set([
  'hold',
  'stand',
  'form',
  'set',
  'cool',
  'start',
  'begin',
  'leave',
  'drop',
  'keep',
  'melt',
  'dissolve',
  'dry',
  'brown',
  'boil',
  'simmer',
  'stop',
  'break',
  'run',
]);

/** 'I whip the cream', 'you want to fold', 'we just pour': where the verb stands; −1 where no such subject begins. */
function subjectVerb(words: readonly Word[], from: number): number {
  if (!/^(?:i|we|you|she|he|they|i'd|we'd|you'd|she'd|he'd|they'd|let's|lets)$/.test(words[from]?.said ?? '') || words[from - 1]?.said === 'before') return -1;
  for (let i = from + 1; i < Math.min(words.length, from + 6); i++) {
    if (verbNamed(words[i]!.said)) return i;
    if (!BEFORE_VERB.has(words[i]!.said) && !/ly$|'ll$|'d$/.test(words[i]!.said)) return -1;
  }
  return -1;
}

const hasAction = (words: readonly Word[]): boolean =>
  words.some((w, i) => verbNamed(w.said) !== null && (i === 0 || !/^(?:the|a|an|of|with|your|this|that|for|and|no)$/.test(words[i - 1]!.said)));

/** 'Put a syllabub over that, made of half a pint of cream and a gill of sack, whisked to a froth': how it is made stands behind it. */
const MADE_OF = /^made (?:of|with|from) [^.;]*,\s*(?:well )?(?:whipped|whisked|beaten)\b/i;

const CUSTARD_NAMED = /^(?:an? |the |then )?(?:cr[èe]me )?anglaise\b/i;

/** A clause with its verb: the one that it begins with, else the first that stands in it as a verb, else that of a participle. */
export function clauseOf(text: string): Clause {
  const words = wordsOf(text);
  if (MADE_OF.test(text)) {
    const at = words.findIndex((w) => /^(?:whipped|whisked|beaten)$/.test(w.said));
    return { text, verb: verbOfForm(words[at]!.said), words, at };
  }
  if (ASSEMBLED.test(text)) return { text, verb: null, words, at: -1 };
  if (BACK_INTO.test(text)) return { text, verb: verbNamed('stir'), words, at: 0 };
  // 'Crème anglaise with milk, yolks, sugar: 83 °C': made by its name.
  const anglaise = CUSTARD_NAMED.test(text) && temperaturesIn(text, false).length > 0 ? words.findIndex((w) => w.said === 'anglaise') : -1;
  if (anglaise >= 0) return { text, verb: verbNamed('anglaise'), words, at: anglaise };
  const named = MAKES_IT.test(text) ? words.findIndex((w) => w.said === ':') + 1 : 0;
  const behind = named > 0 && named < words.length ? named + afterCondition(words.slice(named)) : 0;
  const main = behind > 0 && verbAt(words, behind, false) >= 0 ? behind : afterCondition(words);
  let at = verbAt(words, main, false);
  if (at < 0) at = words.findIndex((_, i) => i >= main && subjectVerb(words, i) >= 0);
  if (at >= 0 && !verbNamed(words[at]!.said)) at = subjectVerb(words, at);
  if (at < 0)
    at = words.findIndex(
      (w, i) =>
        i > 0 &&
        i >= main &&
        verbNamed(w.said) !== null &&
        !verbNamed(w.said)!.weak &&
        !listEnds(words, i) &&
        (afterModal(words, i) || /^[,;:(]$/.test(words[i - 1]!.said)),
    );
  if (at < 0) at = words.findIndex((w, i) => i > 0 && i >= main && verbNamed(w.said) !== null && !listEnds(words, i) && afterModal(words, i));
  if (at >= 0) return { text, verb: verbNamed(words[at]!.said), words, at };
  const form = words.findIndex(
    (w, i) =>
      i >= main &&
      verbOfForm(w.said) !== null &&
      !/^(?:the|a|an|of|and|my|your)$/.test(words[i - 1]?.said ?? 'x') &&
      /ed$|en$|ing$|left|put|cut|made/.test(w.said) &&
      PASSIVE.test(
        words
          .slice(Math.max(0, i - 3), i)
          .map((x) => x.said)
          .join(' '),
      ),
  );
  if (form >= 0) return { text, verb: verbOfForm(words[form]!.said), words, at: form };
  if (words[main]?.said === 'baked') return { text, verb: verbOfForm('baked'), words, at: main };
  // 'Cream, whipped soft with a spoon of sugar': what is done to it stands behind it.
  // 'The cream is 280 g of cheese and 150 ml of cream, whisked together until thick.'
  const together = words.findIndex(
    (w, i) => i > main && words[i - 1]!.said === ',' && /^(?:whipped|whisked|beaten|mixed|stirred|blended)$/.test(w.said) && words[i + 1]?.said === 'together',
  );
  if (together >= 0) return { text, verb: verbOfForm(words[together]!.said), words, at: together };
  const whipped = words.findIndex(
    (w, i) =>
      i > main &&
      // '300 ml double cream whipped soft'.
      /^(?:,|cream|whites)$/.test(words[i - 1]!.said) &&
      /^(?:whipped|beaten)$/.test(w.said) &&
      /^(?:soft|stiff|firm|softly|lightly|to|until|till|with|,|\.|)$/.test(words[i + 1]?.said ?? ''),
  );
  if (whipped >= 0 && WHIPPED.test(text)) return { text, verb: verbOfForm(words[whipped]!.said), words, at: whipped };
  return { text, verb: null, words, at: -1 };
}

/** 'Another layer of sponge, jelly and froth,': the last thing of a list. */
const listEnds = (words: readonly Word[], i: number): boolean =>
  NOUN_IN_LIST.has(words[i]!.said) && words[i - 1]?.said === 'and' && /^[,.;]?$/.test(words[i + 1]?.said ?? '');

/** 'Glasses: biscuits, yellow cream': how it is built, told without a verb. */
export const BUILT_IN =
  /^(?:glasses|verrines|cups|jars|pots|tins?)(?: \d{2,4} ?(?:ml|g))?(?: ?[x×] ?\d{1,3})?\s*:|^in(?:to)? (?:a|an|the|your|each) (?:[\w-]+ ){0,2}(?:bowl|dish|glass(?:es)?|tin|ring|tray|mou?ld|coupe|verrine)\s*:\s*(?!\w+ (?:the|in|it|until|with)\b)[\p{L}' -]{2,24}, (?!\w+ (?:the|in|it|until|with)\b)[\p{L}' -]{2,24}, [\p{L}]/iu;

/** 'Assembly (6 glasses): crumble, cherries, cream'. */
export const ASSEMBLED = /^(?:assembly|assemble|montage|building|to build|layering)(?:\s*\([^)]{1,30}\))?\s*[:–-]\s/i;
/** 'Back into the rest of the cream': what is in hand is stirred there. */
const BACK_INTO = /^back (?:in)?to (?:the |your )?(?!(?:pan|heat|hob|stove|oven|fridge|freezer|boil|bowl|saucepan|cold|mixer)\b)\p{L}/iu;

/** From here on sugar and water are a syrup that is poured, °C. */
const SYRUP_C = 105;
export const toSyrup = (text: string): boolean =>
  /\bsugar\b/i.test(text) && (TO_CARAMEL.test(text) || temperaturesIn(text, false).some((t) => t.of === 'mix' && t.c >= SYRUP_C));
/** 'Sugar and water to an amber caramel': how far it is boiled. */
const TO_CARAMEL =
  /\bto (?:an? |the )?(?:(?:light|dark|deep|amber|golden|pale|dry|wet|brown),? ){0,2}(?:caramel|toffee|amber|soft ball|firm ball|hard crack)\b/i;
/** 'Vanilla seeds into the cream, whip to soft': it goes in, without a word for how. */
export const GOES_INTO =
  /^[\p{L} +&,'’-]{3,40} into (?:the |that |your )?(?:cream|whites|yolks|milk|bowl|pan|mixer|jug|custard|mix|mixture|base|cheese|mascarpone|meringue|foam|sabayon|chocolate|ganache|filling)\W*$/iu;
/** What is put on last, without a verb. */
const LATE_ALONE = /^(?!just\b|right\b)(?:\p{L}+ ){1,4}?(?:(?:just |right )before (?:it|they|you|we)|(?:just |right )?before (?:serving|eating|dishing))\b/u;
/** How many words only say that it is done at once: 'and straight away you drop it'. */
const atOnce = (words: readonly Word[], from: number): number =>
  /^(?:straight|right) away$/.test(`${words[from]?.said} ${words[from + 1]?.said}`)
    ? 2
    : /^(?:immediately|straightaway)$/.test(words[from]?.said ?? '')
      ? 1
      : 0;
/** 'It goes into a hundred and fifty': into an oven, by its heat. */
export const goesInHot = (text: string): boolean => GOES_IN.test(text) && bareOvenC(text, false) !== null;
const GOES_IN = /^(?:and |then |so )*(?:it|that|this|they) goes? in(?:to)?\b/i;
const GOES_OVER = /^(?:on top(?= ?,)|(?:it|that|this|they|all that) goes? (?:over|on|onto)\b)/;
/** Whether a clause says that what was just made is laid on something: 'and it goes over the sponge', 'on top, and …'. */
export const goesOver = (text: string): boolean => GOES_OVER.test(text.replace(/^(?:and|then|so) /i, '').toLowerCase());
/** '150 g of biscuits smashed up with the butter': what is done with them is told behind them. */
const DONE_WITH = /\b(?:smashed|crushed|crumbled|blitzed|bashed|mixed)(?: up)? (?:with|in|into)\b/i;
const WHIPPED = /\bcream\b(?:[^.;]{0,20},\s*| )(?:whipped|beaten)\b/i;
const AFTER_MODAL =
  /^(?:to|should|must|will|would|could|can|may|then|and|now|just|you|i|we|i'll|you'll|we'll|you'd|don't|not|please|let|gently|quickly|slowly|carefully)$/;
/** 'You pour', 'then whip'; not 'before you serve'. */
const afterModal = (words: readonly Word[], i: number): boolean => AFTER_MODAL.test(words[i - 1]!.said) && words[i - 2]?.said !== 'before';
const PASSIVE = /\b(?:is|are|be|been|being|was|were|get|gets|keep|go|goes|by|i've|have|has|had)\b/;

const DAY_FIRST =
  /^(?:(?:the )?(?:next|following|same|that) (?:day|morning|afternoon|evening)|the (?:day|night|evening) before|(?:\w+ to )?\w+ days? (?:before|ahead|earlier|in advance)|on the day(?! before)|in the (?:morning|afternoon|evening))(?: itself)?(?: ,)?(?= )/;

/** 'No more than 30 minutes before service': how late it is done. */
const SO_LONG_BEFORE =
  /^(?:(?:(?:no|not) more than|at most|about|up to|not earlier than) )?(?:\d+|an?|half an|one|two) (?:minutes?|mins?|hours?) before (?:service|serving|you serve|it is served)(?: ,)?(?= )/;

/** Whether the words before a comma only say how late it is done. */
const onlyHowLate = (words: readonly Word[], comma: number): boolean => {
  const said = words
    .slice(0, comma + 2)
    .map((w) => w.said)
    .join(' ');
  return SO_LONG_BEFORE.exec(said)?.[0].split(' ').length === comma + 1;
};

/** Where a clause goes on behind what it says first of when: 'When the custard is cool, …', 'Once set, …', 'While that's getting cold, …', 'In a bowl, …'. */
function afterCondition(words: readonly Word[]): number {
  const skip = words.findIndex((w) => !/^(?:and|then|but|,)$/.test(w.said));
  if (skip > 0 && UNTIL.has(words[skip]?.word ?? '') && !words.some((w) => w.said === ',')) return Math.max(0, laterVerb(words, skip + 1));
  // 'Then in a clean bowl whisk the whites'.
  if (skip > 0 && /^(?:in|into|using|with)$/.test(words[skip]?.word ?? '')) {
    const behind = afterCondition(words.slice(skip));
    return behind === 0 ? 0 : skip + behind;
  }
  const first = words[0]?.word ?? '';
  const late = SO_LONG_BEFORE.exec(
    words
      .slice(0, 11)
      .map((w) => w.said)
      .join(' '),
  );
  if (late) return late[0].split(' ').length;
  // 'In two batches whip the cream'.
  if (
    /^(?:in|by) (?:two|three|four|five|several|\d) (?:batch|go|goe|lot|addition|half|part)/.test(
      words
        .slice(0, 3)
        .map((w) => w.word)
        .join(' '),
    )
  )
    return 3;
  // 'Next day turn it out', 'On the day whip the cream'.
  const day = DAY_FIRST.exec(
    words
      .slice(0, 9)
      .map((w) => w.said)
      .join(' '),
  );
  if (day) return day[0].split(' ').length;
  if (/^to$/.test(first) && words.slice(0, 6).some((w) => /^[:,–—]$/.test(w.said))) return words.findIndex((w) => /^[:,–—]$/.test(w.said)) + 1;
  // 'When at 25 °C fold in …', 'Once cold spread …': what is said of when has no comma behind it.
  const bare =
    /^(?:when|once|if|after|at)$/.test(first) || (words[0]?.said === 'as' && words[1]?.said === 'soon')
      ? bareLater(words)
      : first === 'for'
        ? forWhat(words)
        : -1;
  if (bare > 0 && verbAt(words, 0, false) < 0) return bare;
  // 'Off the heat whisk in the butter'.
  if (first === 'off') {
    const heat = words.slice(0, 4).findIndex((w) => /^(?:heat|hob|stove|fire)$/.test(w.said));
    if (heat > 0) return heat + (/^[,:]$/.test(words[heat + 1]?.said ?? '') ? 2 : 1);
  }
  const opens =
    UNTIL.has(first) ||
    /^(?:in|for|with|using|on|at|about|just|the|to|during|by|meanwhile|first|evening|day|night|morning|friday|saturday|sunday|an|half|right|okay|ok|now)$/.test(
      first,
    );
  if (!opens) return 0;
  const vessel = /^(?:in|into|using|with)$/.test(first)
    ? words
        .slice(0, 9)
        .findIndex(
          (w, i) =>
            i > 1 &&
            /^(?:bowl|pan|saucepan|mixer|jug|processor|pot|blender|ring|tin|dish|mou?ld|terrine|tray|beaters|whisk|paddle|attachment|fork|spatula|spoon)$/.test(
              w.said,
            ) &&
            verbAt(words, i + 1, false) === i + 1,
        )
    : -1;
  if (vessel > 0) return vessel + 1;
  const comma = words.findIndex((w) => w.said === ',' || w.said === ':');
  return comma > 0 && comma < words.length - 1 && verbAt(words, comma + 1, false) >= 0 ? comma + 1 : 0;
}
