import { splitLine } from '../measures/line';
import { amountsIn } from './amounts';
import { BUILT_IN, clausesOf, goesInHot, GOES_INTO, INTO_VESSEL, sentencesOf, toSyrup, type Clause } from './clauses';
import { BAKES_ON, bareOvenC, IN_AN_OVEN, temperaturesIn } from './degrees';
import { inlineHead, sameHeading, type Row } from './rows';
import { onlyTime, timesIn } from './times';
import { longCold, ON_THE_DAY, whenSaid, type SaidWhen } from './when';
import { BEFORE_SERVING, BY_BARS, FOAM_NAMED, FROST, HOT, IN_TURN, LAYING, stageIn, warmedTo } from './work';
import type { FlowClause } from './worktop';
import { keyOf } from './words';

/** A sentence begins with when it is done within so many characters. */
const LEADING = 60;
const KEEPS =
  /\b(?:keeps|keep for up|keep up to|will keep|holds? (?:well )?for|(?<!the )lasts?(?! (?:of|layer|minute|moment|few|third|quarter|bit|little|spoon|\d))|it'll (?:hold|keep|sit|be fine|stand)|will (?:sit|stand|hold) (?:happily |quite happily )?(?:in the fridge )?for|can be (?:made|stored|kept|frozen|prepared)|leftovers?|use (?:it |them )?(?:right|straight) away|use (?:it |them )?(?:on )?the same day|use immediately|best (?:eaten|served|within|the)|eat within|store (?:it|in|any|the|leftovers)|good for (?:up to )?\d|(?:fridge|freezer|counter) (?:for )?up to (?:\d|an?|one|two|three)|any (?:that is )?left)\b/i;
/** Things that are brought together in a bowl, without a verb. */
const TOGETHER_IN =
  /^\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+)*(?: ?(?:[+,&]|\band\b) ?\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+)*)+ in(?:to)? (?:the |a )?(?:\w+ )?(?:mixer|mixing bowl|bowl|pan|saucepan|processor|blender|jug|shallow (?:dish|tray)|(?<=\ba )(?:tray|dish))\b/iu;
const PLUSSED = /^[\p{L}][\p{L} '’-]{2,30}(?:\s\+\s[\p{L}][\p{L} '’-]{2,30})+[.]?$/u;
const LAID_ON =
  /^(?:then )?(?:the )?(?:[\p{L}'-]+ ){1,3}(?:over|on top)\W*$|^an? (?:little|bit|dusting|grating|sprinkle|scrape) of (?:[\p{L}'-]+ ){1,3}(?:over|on top)\W*$/iu;
const THING_IN =
  /^(?:then )?(?:the )?(?!(?:put|pour|when|while|as|is|it|that|this|all|back|go|goes|right)\b)(?:[\p{L}'-]+ ){0,2}[\p{L}'-]+ (?:in|last)(?:,\s|[.]?$|\s(?:w\/|with\b))/iu;
/** 'Eggs one at a time', 'the butter, bit by bit'. */
export const BIT_BY_BIT =
  /^(?:then )?(?:the )?(?:[\p{L}'-]+ ){0,2}[\p{L}'-]+,? (?:one (?:at a time|by one|after (?:the other|another))|bit by bit|a (?:little|spoon(?:ful)?|few|cube|bit) at a time|in (?:two|three) (?:goes|additions|lots))\W*$/iu;
const NEVER = /\b(?:don['’]t|do not|never|avoid|no need to|without)\b/i;

const GIVES =
  /^(?:(?:that['’]s|it['’]s|makes|gives|about) )*(?:\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fourteen|sixteen|twenty|a dozen) (?:\p{L}+ )?(?:slices|portions|pieces|servings|helpings|squares|wedges)\W*$/iu;

/** 'Chill 6 hours, or freeze for 2': one of the two is done, the first. */
const OR_ELSE = /^or (?:else |just |simply |you can |even )?(?:chill|freeze|refrigerate|leave|put|microwave|bake|keep|stand|use|whip|whisk|beat)\b/i;
/** 'Freeze the other two whites for meringues': for something else than this dessert. */
const FOR_ELSE =
  /^\(?(?:freeze|keep|save|reserve|use|store) (?:the |your )?(?:other|remaining|leftover|left-over|spare|rest of the)\b[^.;]{0,24}\b(?:whites?|yolks?)\b[^.;]{0,20}\b(?:for|in) (?:an?other|something|some other|meringues?|an? (?:omelette|custard|cake|pavlova)|mayonnaise|custards?|omelettes?|macaroons?|macarons?|the freezer|financiers)\b/i;

/** 'Makes enough to fill and cover an 8" cake', 'frosts 24 cupcakes': what is said of the recipe in the third person is asked of nobody. */
const HOW_FAR =
  /^(?:makes|pipes|frosts|ices|fills|covers|yields|gives|serves|feeds|enough) (?!.*(?:;|\bthen\b))[^.;]*\b(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|an?|enough)\b/i;

/** What the prose of a recipe asks for. */
export interface Work {
  readonly clauses: readonly FlowClause[];
  /** Sentences that are no work and stand beside none. */
  readonly chatter: readonly string[];
}

/** The actions of all prose, each with what stands around it; what is no work goes with the action before it. @param listed rows of its list, as they are written. */
export function workIn(rows: readonly Row[], listed: readonly string[]): Work {
  const hasList = listed.length > 0;
  const names = new Set(listed.flatMap((l) => namesOf(splitLine(l).name)));
  const clauses: FlowClause[] = [];
  const headings = rows.filter((r) => r.kind === 'part').map((r) => r.text);
  const chatter: string[] = [];
  for (const row of rows) {
    if (row.kind !== 'prose') continue;
    const lead = inlineHead(row.text, headings)?.lead ?? '';
    // 'Cheese and sugar: beat 1 minute': things of the list, and what is done to them.
    const things = lead !== '' && namesOnly(lead.replace(/[\s:–—-]+$/, ''), names) && !headings.some((x) => sameHeading(x, lead.replace(/[\s:–—-]+$/, '')));
    const inline = BUILT_IN.test(lead) || FOR_EACH.test(row.text) || (things && hasList) ? '' : lead;
    const body = row.text.slice(inline.length);
    const first = clauses.length;
    let pending = inline.trim();
    let section = inline && whenSaid(inline) ? null : row.under;
    let when: SaidWhen = whenSaid(row.text.slice(0, LEADING)) ?? (row.under === null ? null : whenSaid(row.under)) ?? ON_THE_DAY;
    for (const { sentence, list } of forEach(body, rows)) {
      if (list !== null) section = list;
      // 'For the mirror warm the purée': what follows is of that list.
      const meant = /^(?:then |and )?(?:for|(?:make|prepare)(?=[^:.]{3,34}:)) (?:the |your )?([\p{L}][\p{L} '’-]{2,30})/iu.exec(sentence)?.[1];
      section = (meant === undefined ? undefined : headings.find((h) => sameHeading(h, meant) || keyOf(meant).startsWith(`${keyOf(h)} `))) ?? section;
      const named = hasList ? undefined : FIRST_THE.exec(sentence)?.[1];
      const parts = clausesOf(sentence);
      const works = parts.map((c) => isWork(c, sentence, hasList) || namesOnly(c.text.replace(OFF_THE_HEAT, ''), names));
      // 'On the day, …', 'just before serving …': from there on.
      when = (clauses.length > first ? whenSaid(sentence.slice(0, LEADING)) : null) ?? when;
      parts.forEach((c, i) => {
        const last = clauses.at(-1);
        if (works[i] && !(last && i > 0 && works[i - 1] && OR_ELSE.test(c.text))) {
          // The long cold is what the day before is for: it and what follows it reach into the day itself.
          if (longCold(c.text)) when = ON_THE_DAY;
          clauses.push({ clause: c, section: named ?? section, start: row.start, end: row.end, before: pending, after: '', when: whenSaid(c.text) ?? when });
          pending = '';
        } else if (last && clauses.length > first && pending === '')
          clauses[clauses.length - 1] = { ...last, after: [last.after, c.text].filter(Boolean).join(' ') };
        else pending = [pending, c.text].filter(Boolean).join(' ');
      });
    }
    if (pending !== '') {
      const last = clauses.at(-1);
      if (last && clauses.length > first) clauses[clauses.length - 1] = { ...last, after: [last.after, pending].filter(Boolean).join(' ') };
      else chatter.push(pending);
    }
  }
  return { clauses, chatter };
}

/** 'So first the honeycomb: …': what the sentence makes, told. */
const FIRST_THE =
  /^(?:(?:right|ok|okay|so|then|and|now|well),? )*(?:first(?:ly)?|next|then|now|start with)?,? ?the (\p{L}[\p{L}'’-]+(?: \p{L}[\p{L}'’-]+)?): /iu;

/** 'Off heat, butter + vanilla.' */
const OFF_THE_HEAT = /^off (?:the )?heat[,:]\s+/i;

/** 'For each layer: …' */
const FOR_EACH = /^for each (?:of the |one of the )?(?:layers?|mousses?|colou?rs?|flavou?rs?|creams?|mixtures?|fillings?|parts?)\b[^:,.]{0,20}[:,]\s*/i;
/** A list with fewer things has none of that work. */
const FEWEST_OF_EACH = 2;

/** The sentences of a paragraph; what is said of each list is said of them one after the other, each with its own degrees. */
function forEach(body: string, rows: readonly Row[]): readonly { readonly sentence: string; readonly list: string | null }[] {
  const sentences = sentencesOf(body);
  const each = FOR_EACH.exec(sentences[0] ?? '');
  const lists = rows.flatMap((r) =>
    r.kind === 'part' && rows.filter((l) => l.kind === 'line' && l.under === r.text).length >= FEWEST_OF_EACH ? [r.text] : [],
  );
  if (!each || lists.length < 2) return sentences.map((sentence) => ({ sentence, list: null }));
  return lists.flatMap((list) => sentences.map((said, i) => ({ sentence: ofList(i === 0 ? said.slice(each[0].length) : said, list, lists), list })));
}

/** 'Cool to 35 °C (dark), 32 °C (milk)': what is said of this list. */
function ofList(sentence: string, list: string, lists: readonly string[]): string {
  return sentence.replace(
    /([^\s,(]+(?:\s?°\s?[CF]|\s?(?:min|minutes|h|g|ml))?)\s\(([^()]{2,24})\)(?:,\s?(?:and )?)?/gu,
    (whole: string, said: string, of: string) => (sameHeading(of, list) ? said : lists.some((l) => sameHeading(of, l)) ? '' : whole),
  );
}

/** What a thing of a list may be called in a few words: its name, and its noun. */
function namesOf(name: string): readonly string[] {
  const key = keyOf(name.replace(/\([^)]*\)/g, ' ').split(',')[0]!);
  return key === '' ? [] : [key, key.split(' ').at(-1)!];
}

/** 'Vanilla, salt.': only things of the list, in a row of their own: they go in. */
function namesOnly(text: string, names: ReadonlySet<string>): boolean {
  const pieces = text
    .replace(/[.;]+$/, '')
    .split(/\s*(?:,|\+|&|\band\b)\s*/)
    .filter((t) => t !== '');
  return text.length < 60 && pieces.length > 0 && pieces.every((t) => names.has(keyOf(t.replace(/^(?:then|the) /i, ''))));
}

/** Whether a clause is work: a verb that asks for something, an amount to be had, or a time in a place; not what it keeps, or what not to do. */
function isWork(c: Clause, sentence: string, hasList: boolean): boolean {
  if (
    KEEPS.test(sentence) &&
    /\b(?:days?|hours?|weeks?|months?|overnight|fridge|freezer|refrigerator|ahead|advance|moment|same day)\b/i.test(sentence) &&
    !/^(?:and |then )?(?:cover|chill|refrigerate|put|pipe|serve|leave|let|freeze|scatter|sprinkle|dust|garnish|decorate|drizzle|strew)/i.test(c.text)
  ) {
    if (!amountsIn(c).length || /\bkeeps\b|\blasts?\b/i.test(c.text)) return false;
  }
  const before = c.words
    .slice(0, Math.max(0, c.at))
    .map((w) => w.said)
    .join(' ')
    .replace(/^.*\s[,:]\s?/, '');
  if (c.verb && NEVER.test(before)) return false;
  // 'To make a trifle.': what it is called.
  if (/^to make (?:a |an |the )?[^.,;]{3,40}\.$/i.test(sentence)) return false;
  // 'Cover leftover frosting tightly and store for up to 5 days'.
  if (/^cover (?:the |any )?(?:leftover|left-over|leftovers|remaining) [^.;]*\bstore\b/i.test(sentence)) return false;
  // '(Freeze the other two whites for meringues.)': for something else.
  if (FOR_ELSE.test(sentence)) return false;
  // 'Twelve slices.': how much it gives.
  if (GIVES.test(c.text) || HOW_FAR.test(sentence)) return false;
  // A question, or a word to whoever reads: no work.
  if (
    /\?["”’)]*$/.test(c.text.trim()) ||
    /\b(?:comments?|ratings?|rate (?:this|it)|reviews?|tag (?:me|us)|subscribe|newsletter|share (?:this|it) (?:on|with)|follow (?:me|us|along)|print (?:this|the)|jump to|(?:get|got|am|been|always) asked)\b/i.test(
      c.text,
    )
  )
    return false;
  // 'It will frost one cake or pipe 24 cupcakes': how far it goes.
  if (
    /^(?:and )?(?:it|this|that)(?:['’]ll| will| should)? (?:be )?(?:enough |frosts?|covers?|fills?|makes?|pipes?|ices?|yields?)\b[^.;]*\b(?:\d|one|two|an?|enough)\b/i.test(
      c.text,
    ) &&
    amountsIn(c).every((a) => a.amount.unit === null) &&
    timesIn(c.text).every((t) => t.minutes[0] >= 1440)
  )
    return false;
  // 'The mixture will steam and seize', 'you can make your own': what happens, what may be.
  if (c.verb && /\b(?:will|may|might|should)$/.test(before) && !/^(?:then |and |now )*(?:you|we|i)\b/.test(before)) return false;
  if (/\byou can (?:also )?(?:make|buy|use|get) (?:your own|them|it|one)\b/i.test(c.text)) return false;
  // 'I make this every autumn': of the dish, not of the work.
  if (/^(?:so )?(?:i|we)(?:'ve)? (?:\w+ )?(?:make|made|serve|love|like|bring) (?:this|it|them|these)\b/i.test(c.text)) return false;
  // 'That's 400 g but I only use 250, crushed with the butter': what is told with its amounts is work.
  const told = !hasList && amountsIn(c).length > 1;
  if (
    c.verb &&
    !told &&
    !/^(?:when|once|as soon as|if|after)\b/.test(before) &&
    /\b(?:because|since|which|that's why|i|we|it|he|she|they)\b/.test(before) &&
    before.split(' ').length > 3 &&
    !/\b(?:i|we|you)$/.test(before) &&
    !/\b(?:you|want|need|have|then|and|now|just|to)\b/.test(before)
  )
    return false;
  if (c.verb) return true;
  if (/^(?:do (?:that|this|the same)|and so on)\b|^again\W*$/i.test(c.text) || LAYING.test(c.text)) return true;
  // 'Cocoa just before it goes out.'
  if (
    !/^(?:just|right|immediately|before|at|to|on|when)\b/i.test(c.text) &&
    BEFORE_SERVING.test(
      c.words
        .slice(0, 10)
        .map((w) => w.said)
        .join(' '),
    )
  )
    return true;
  if (
    /\b(?:o\/n|overnight)\b/i.test(c.text) ||
    (timesIn(c.text).length > 0 &&
      /\b(?:fridge|freezer|oven|microwave|water|pan|saucepan|cold|room|boil|simmer|steam|hob|stove|speed|high|low|medium|mixer)\b/i.test(c.text))
  )
    return true;
  if (!hasList && amountsIn(c).length > 0) return true;
  // 'Eggs one at a time.'
  if (BIT_BY_BIT.test(c.text)) return true;
  // 'Butter in, a cube at a time.'
  if (THING_IN.test(c.text)) return true;
  // 'Espresso + marsala.', 'Sherry over.', 'Peaches on top.', 'Cream / fingers / cream.'
  if (PLUSSED.test(c.text) || LAID_ON.test(c.text) || BY_BARS.test(c.text) || IN_TURN.test(c.text)) return true;
  // 'Mascarpone + cream + sugar in the mixer bowl'.
  if (TOGETHER_IN.test(c.text)) return true;
  // 'Spoon rounds on the tray. 1½ hours.'
  if (onlyTime(c.text)) return true;
  // '8 hours at −18.'
  if (timesIn(c.text).length > 0 && FROST.test(c.text)) return true;
  // 'Glasses: biscuits, yellow cream, biscuits': how it is built.
  if (BUILT_IN.test(c.text)) return true;
  // 'Yolks straight into the chocolate, one by one.'
  if (!hasList && /^(?:the |then the |all the |your )?\p{L}+ (?:straight |all |then )?(?:into|onto) the \p{L}/iu.test(c.text)) return true;
  // 'Oven to gas mark 2.'
  if (/^(?:the |your )?oven (?:to|at|on|\d)/i.test(c.text) && (temperaturesIn(c.text, false).length > 0 || bareOvenC(c.text, false) !== null)) return true;
  if (BAKES_ON.test(c.text)) return true;
  // 'Cream, sugar and vanilla to just below the boil'.
  if (/\bto (?:just |a |the |bare )*(?:below |under )?(?:the )?(?:boil|simmer|scald)\b/i.test(c.text)) return true;
  // 'Gel in cold water', 'purée, yolks, sugar to 82 °C'.
  if (/\b(?:gel|gelatine?|lea(?:f|ves)|sheets?|lvs)\b[^.;]*\b(?:cold|iced?) (?:water|h2o)\b/i.test(c.text) || warmedTo(c.text)) return true;
  // 'Off heat: butter, vanilla, coconut.'
  if (/^off (?:the )?heat\s*[:–—-]\s+\p{L}/iu.test(c.text)) return true;
  // 'Sugar and water to 121 °C', 'vanilla seeds into cream'.
  if (toSyrup(c.text) || GOES_INTO.test(c.text)) return true;
  // 'Bain-marie to 70 °C', 'the whites, stiff'.
  if (IN_AN_OVEN.test(c.text) || goesInHot(c.text) || (HOT.test(c.text) && temperaturesIn(c.text, false).length > 0) || FOAM_NAMED.test(c.text)) return true;
  if (INTO_VESSEL.test(c.text)) return true;
  // 'Everything bar the cream into the mixer'.
  if (/^(?:everything|all (?:of )?the ingredients)\b[^.;]{0,40}\b(?:in|into)\b/i.test(c.text)) return true;
  // 'All in the mixer bowl, cold', 'medium speed to soft'.
  if (/^all in(?:to)?\b/i.test(c.text) || (/\bspeed\b/i.test(c.text) && stageIn(c.text) !== null)) return true;
  return (
    /\b(?:till|until|'til)\b/i.test(c.text) &&
    /\b(?:smooth|thick|set|firm|peaks?|cool|cold|melted)\b/i.test(c.text) &&
    c.words.length <= 24 &&
    !/^(?:it|this|that)\b/i.test(c.text)
  );
}
