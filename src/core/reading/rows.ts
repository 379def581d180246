import { MOST_CHARACTERS } from '../table/table';
import { splitLine } from '../measures/line';
import { fail, ok, type Result } from '../result';
import { clauseOf, sentencesOf } from './clauses';
import { rawRows, type RawRow } from './raw-rows';
import { endsMeasured, INGREDIENTS, isAction, LONGEST_LINE, looksLikeLine, looksLikeMeasured, saysOfTheWhole, YIELD } from './row-looks';
import { temperaturesIn } from './degrees';
import { timesIn } from './times';
import { keyOf } from './words';

/** What a row of a written recipe was taken for. */
export type RowKind =
  | 'title'
  | 'yield'
  | 'about'
  /** Above the list, the method or the notes, and says nothing else: 'Ingredients', 'Method', 'Step 2'. */
  | 'head'
  /** A name in the method: 'For the cream'. */
  | 'section'
  | 'part'
  | 'line'
  | 'prose'
  | 'note';

/** One row, as it was found. */
export interface Row {
  readonly kind: RowKind;
  /** Without bullets, numbers and marks. */
  readonly text: string;
  /** Where it stands in the text that was read. */
  readonly start: number;
  readonly end: number;
  /** The heading that it stands under: of the list for a line, of the method for prose; null for none. */
  readonly under: string | null;
  /** Rows of a list without a blank row or a heading between them have the same number. */
  readonly block: number;
  /** The letter that it is called by further down: 'A. Custard', 'cook A'; null for none. */
  readonly label: string | null;
}

/** No recipe is longer; what is longer is text that stays where it is. */
export const LONGEST_TEXT = 60_000;

const TABLE_HEAD =
  /^(?:ingredients?|item|name)\s+(?:amounts?|quantit(?:y|ies)|qty|weight|grams|g)\b.{0,30}$|^(?:amounts?|quantit(?:y|ies)|weight|grams)\s+(?:ingredients?|item|name)\b.{0,30}$/i;
const METHOD =
  /^(?:the )?(?:method|directions?|instructions?|preparation|procedure|process|steps|how to (?:make|do) (?:it|this|them)|how it(?:['’]s| is) made|making it|to make|what to do|the making|putting it together|assembly and method|recipe)\b[^.]{0,20}:?$/i;
const NOTES =
  /^(?:(?:cook|chef|baker|my)?['’]?s? ?)?(?:notes?|tips?|hints?|storage|to store|variations?|make ahead|nutrition|equipment|special equipment|tools)\b[^.]{0,24}:?$/i;
const NOTE_LEAD = /^(?:notes?|tips?|hint|n\.?b\.?|p\.?s\.?|variation|storage|make ahead|nutrition)\s*[:–—-]\s*\S/i;
const ABOUT =
  /^(?:prep(?:aration)?|cook(?:ing)?|total|chill(?:ing)?|rest(?:ing)?|freez(?:e|ing)|active|ready in|difficulty|level|time|hands-on|course|cuisine|author|equipment|vessel|tin|calories|start|you need|needs)\b(?:[\s-]*(?:time|the day|on|before)[^.:]{0,30})?\s*[:–—-]\s*\S/i;
const SIZES = /^(?:springform|ring|tin|tray|dish|terrine|loaf tin|pan|mould|mold|glasses|cups)\b[^.]{0,60}\d/i;
/** 'Layer 2 - mocha', 'Part 1: base'. */
const NUMBERED_PART = /^(?:layer|part|component)\s+(?:\d{1,2}|one|two|three|four|five)\s*(?:[-–—:.]\s*|\((?=[^()]*\)$))(\p{L}[\p{L} '’-]{2,40})\)?$/iu;
/** A list that says once what its numbers are. */
export const IN_GRAMS = /^\(?(?:all |amounts |quantities |weights )*(?:in )?(?:grams|g|grammes)\)?[.:]?$/i;
const FOR_THE = /^(?:for|to make|to do|making) (?:the )?(.{2,60}?)(?:,? you(?:['’]ll)? need)?:?$/i;
const INLINE_HEAD = /^((?:for the |the )?\p{Lu}[\p{L}\d '’&,/-]{2,44}?)\s*[:–—]\s+(?=\S)/u;
const SMALL_HEAD = /^(\p{Ll}[\p{L} '’-]{3,30}):\s+(?=\p{L})/u;
/** 'Filling - melt the chocolate': where the list has that heading too. */
const DASHED_HEAD = /^((?:for the |the )?\p{L}[\p{L} '’&]{2,30}?)\s+-\s+(?=\p{L})/u;

/** The name with which a row of the method begins, and all that is to be left out before its work; null where it begins with its work. */
export function inlineHead(text: string, headings: readonly string[]): { readonly name: string; readonly lead: string } | null {
  const dashed = DASHED_HEAD.exec(text);
  // 'Crumble - rub together': a name of the list, though it is a verb too.
  if (dashed && headings.some((h) => keyOf(h) === keyOf(dashed[1]!))) return { name: dashed[1]!, lead: dashed[0] };
  // 'Dip: whisk the matcha': a name of the list, though it is a verb too.
  const named = INLINE_HEAD.exec(text);
  if (named && headings.some((h) => sameHeading(h, named[1]!))) return { name: named[1]!, lead: named[0] };
  // 'pâte à bombe: cook the sugar …': a name in small letters, and at once what is done.
  const small = SMALL_HEAD.exec(text);
  if (small && clauseOf(small[1]!).verb === null && clauseOf(text.slice(small[0].length)).at === 0) return { name: small[1]!, lead: small[0] };
  const found = named ?? (dashed && headings.some((h) => sameHeading(h, dashed[1]!)) ? dashed : null);
  // 'Coffee: I make about 300 ml': of that, no heading.
  return found &&
    !/^(?:i|you|we) (?:make|use|need|take|want)\b/i.test(text.slice(found[0].length)) &&
    timesIn(found[1]!).length === 0 &&
    // 'On a board: pastry, half the cream': where it is built.
    !/^(?:on|in|onto|into) (?:an?|the|your)\b/i.test(found[1]!) &&
    // 'Crème anglaise with milk, yolks, sugar: 83 °C.': how hot is no work of its own.
    /\p{L}{3}/u.test(text.slice(found[0].length)) &&
    clauseOf(found[1]!).verb === null
    ? { name: found[1]!, lead: found[0] }
    : null;
}

/**
 * A recipe as its rows: a title, what it serves, ingredients under headings, sentences of method, notes. Every row that is not blank comes
 * back, in order, as what it was taken for: nothing is dropped. Linear in the length of the text.
 *
 * @param isIngredient whether a name is one of the larder, so that 'orange zest' above a row with an amount is no heading.
 * @returns a fault on `text` when there is nothing in it, or more than can be a recipe.
 */
export function rowsOf(text: string, isIngredient: (name: string) => boolean): Result<readonly Row[]> {
  if (text.length > MOST_CHARACTERS) return fail('text', 'too-large', 'That is more than 5 MB of text: no recipe is so long. Nothing was read.');
  if (text.length > LONGEST_TEXT)
    return fail(
      'text',
      'too-long',
      `That is ${Math.round(text.length / 1000)}\u00a0000 characters: a recipe has at most ${LONGEST_TEXT / 1000}\u00a0000. Keep the part with the recipe.`,
    );
  const found = rawRows(text, isIngredient);
  if (found.length === 0) return fail('text', 'empty', 'There is nothing to read yet: paste a recipe, or type it as you would tell it.');
  return ok(classified(found, isIngredient));
}

type Mode = 'start' | 'lines' | 'steps' | 'notes';

function classified(rows: readonly RawRow[], isIngredient: (name: string) => boolean): readonly Row[] {
  const out: Row[] = [];
  const bullets = bulletedSteps(rows);
  const listed = rows.filter((r) => looksLikeLine(r.text, isIngredient) && !isProse(r)).length;
  let mode: Mode = 'start';
  let part: string | null = null;
  let section: string | null = null;
  let block = 0;
  /** The margin of a name whose rows are set in; null where they are not. */
  let margin: number | null = null;
  rows.forEach((r, i) => {
    const { text } = r;
    const push = (kind: RowKind, words = text): void =>
      void out.push({
        kind,
        text: words,
        start: r.start,
        end: r.end,
        under: kind === 'line' ? part : kind === 'prose' ? section : null,
        block,
        label: r.label,
      });
    const next = rows[i + 1];
    if (r.blankBefore) block++;
    // What stands at the margin again is none of what was set in below a name.
    if (margin !== null && r.indent <= margin) part = margin = null;
    // 'For the dip: 120 ml rum, 30 g sugar', and '24 fingers' in a row of its own: not of the dip.
    const above = out.findLast((o) => o.kind === 'part');
    if (!r.listed && rows[i - 1]?.listed && above?.start === rows[i - 1]!.start && above.text === part) part = null;
    if (r.listed) {
      // A list without a name below the work of another.
      if (out.at(-1)?.kind === 'prose') part = null;
      mode = 'lines';
      return push('line');
    }
    if (r.overTable && i > 0 && !TABLE_HEAD.test(text) && !looksLikeMeasured(text)) {
      mode = 'lines';
      return push('about');
    }
    if (TABLE_HEAD.test(text)) {
      mode = 'lines';
      return push('head', 'Ingredients');
    }
    if (i === 0 && isTitle(r, next, listed)) {
      push('title', text.replace(/\s*:{2,}.*$/, '').replace(/[:.]$/, ''));
      // A list that begins at once stands under its own name, where others have one too.
      // What says how many it serves is the name of the whole.
      if (
        next &&
        !next.blankBefore &&
        !/\b(?:for|serves|makes)\s+\d/i.test(text) &&
        looksLikeLine(next.text) &&
        !YIELD.test(next.text) &&
        !saysOfTheWhole(next.text) &&
        (looksLikeMeasured(next.text) || isIngredient(splitLine(next.text).name)) &&
        rows.some((x, j) => j > 1 && x.blankBefore && isPartHeading(x, rows[j + 1], isIngredient))
      ) {
        part = partName(text);
        push('part', part);
      }
      return;
    }
    // A name that stands behind what the cook tells of it, above how much it makes.
    if (
      i > 0 &&
      mode === 'start' &&
      next &&
      text.length < 60 &&
      !/[.!?:]$/.test(text) &&
      out.every((o) => o.kind === 'note') &&
      (ABOUT.test(next.text) || YIELD.test(next.text) || INGREDIENTS.test(next.text)) &&
      isTitle(r, next, listed) &&
      !looksLikeLine(text, isIngredient)
    )
      return push('title', text);
    if (INGREDIENTS.test(text) && !looksLikeMeasured(text)) {
      mode = 'lines';
      part = null;
      return push('head');
    }
    if (/^(?:step|stage|part)\s+(?:\d{1,2}|[a-z]|one|two|three|four|five|six|seven|eight|nine|ten)[.:]?$/i.test(text)) {
      mode = 'steps';
      return push('head');
    }
    // 'Recipe (25 pieces)', below its work and above what goes in.
    if (/^recipe\b/i.test(text) && METHOD.test(text) && next && (looksLikeMeasured(next.text) || endsMeasured(next.text))) {
      mode = 'lines';
      part = null;
      return push('yield');
    }
    if (METHOD.test(text)) {
      mode = 'steps';
      section = null;
      return push('head');
    }
    if (NOTES.test(text)) {
      mode = 'notes';
      return push('head');
    }
    if (IN_GRAMS.test(text)) return push('about');
    if (NOTE_LEAD.test(text)) return push('note');
    if (saysOfTheWhole(text)) return push('yield');
    if (YIELD.test(text) && text.length < 80 && !looksLikeMeasured(text)) return push('yield');
    if ((ABOUT.test(text) || SIZES.test(text)) && text.length < 110 && !looksLikeMeasured(text) && !(mode === 'steps' && isAction(text) && !/time/i.test(text)))
      return push('about');
    if (mode === 'notes' && !(r.numbered && isAction(text))) return push('note');
    // 'Layer 2 - mocha' above its list.
    const numbered = NUMBERED_PART.exec(text)?.[1];
    if (numbered && next && looksLikeLine(next.text, isIngredient)) {
      mode = 'lines';
      part = partName(numbered);
      return push('part', part);
    }
    const heading = isHeadingRow(r, next, mode, isIngredient);
    if (heading === 'part') {
      mode = 'lines';
      margin = next && next.indent > r.indent ? r.indent : null;
      part = partName(text);
      return push('part', part);
    }
    if (heading === 'section') {
      section = partName(text);
      return push('section', section);
    }
    if (bullets.has(i)) {
      mode = 'steps';
      return void out.push({ kind: 'prose', text, start: r.start, end: r.end, under: section, block, label: null });
    }
    // 'B. Milk chocolate 300 g': a line of its own among lettered lists.
    if (r.label !== null && looksLikeLine(text, isIngredient)) {
      mode = 'lines';
      part = null;
      return push('line');
    }
    if (mode !== 'steps' && looksLikeLine(text, isIngredient) && !(r.numbered && isAction(text))) {
      mode = 'lines';
      return push('line');
    }
    if (
      mode === 'steps' &&
      (r.bulleted || !/[.!]$/.test(text)) &&
      looksLikeLine(text) &&
      (looksLikeMeasured(text) || isIngredient(splitLine(text).name)) &&
      !/\b(?:half|rest) (?:of )?the\b|\brest of\b/i.test(text) &&
      !isAction(text)
    ) {
      mode = 'lines';
      return push('line');
    }
    if (mode === 'lines' && !isAction(text) && !r.numbered && text.length <= LONGEST_LINE && !/[.!?]$/.test(text) && !r.blankBefore) return push('line');
    // 'vanilla pod, seeds', 'yellow food colouring': a thing of the larder without an amount is a line, though a blank row stands above it.
    if (
      mode === 'lines' &&
      !r.numbered &&
      !isAction(text) &&
      !/[.!?:]$/.test(text) &&
      isIngredient(splitLine(text).name.split(',')[0]!) &&
      text.split(/\s+/).length <= 5
    )
      return push('line');
    const inline = inlineHead(
      text,
      out.flatMap((o) => (o.kind === 'part' ? [o.text] : [])),
    );
    const named = inline === null ? null : partName(inline.name);
    const prose = mode === 'steps' || listed === 0 || isAction(text) || r.numbered || (mode === 'lines' && /[.!?]$/.test(text));
    if (prose && mode === 'start' && listed > 0 && !r.numbered && !beginsWithVerb(text)) return push('note');
    if (prose) {
      if (mode !== 'start' || listed === 0 || r.numbered || beginsWithVerb(text)) mode = listed === 0 ? mode : 'steps';
      return void out.push({ kind: 'prose', text, start: r.start, end: r.end, under: named ?? section, block, label: null });
    }
    push(mode === 'start' && text.length < 90 && !/[.!?]$/.test(text) && next && looksLikeLine(next.text) ? 'about' : 'note');
  });
  return out;
}

/** Rows with bullets below a list that stands in one row: steps, where none of them measures anything and one asks for work. */
function bulletedSteps(rows: readonly RawRow[]): ReadonlySet<number> {
  const steps = new Set<number>();
  for (let from = 0; from < rows.length; from++) {
    if (!rows[from]!.bulleted || rows[from]!.listed || rows[from - 1]?.bulleted || !rows[from - 1]?.listed) continue;
    let to = from;
    while (to < rows.length && rows[to]!.bulleted && !rows[to]!.listed) to++;
    const run = rows.slice(from, to);
    const timed = (r: RawRow): boolean => timesIn(r.text).length > 0 || temperaturesIn(r.text, false).length > 0;
    if (run.length > 1 && run.some((r) => isAction(r.text) || timed(r)) && run.every((r) => timed(r) || !(looksLikeMeasured(r.text) || endsMeasured(r.text))))
      for (let i = from; i < to; i++) steps.add(i);
  }
  return steps;
}

const beginsWithVerb = (text: string): boolean => {
  const c = clauseOf(sentencesOf(text)[0] ?? text);
  return c.verb !== null && c.at <= 3;
};
const isProse = (r: RawRow): boolean => r.text.length > LONGEST_LINE || (r.numbered && isAction(r.text));

/** Whether the first row is a name: no amount with a measure, no sentence of what is done. */
function isTitle(r: RawRow, next: RawRow | undefined, listed: number): boolean {
  const { text } = r;
  if (text.length > 120 || r.bulleted || INGREDIENTS.test(text) || METHOD.test(text)) return false;
  if (looksLikeMeasured(text)) return false;
  if (/[.!?]$/.test(text) && text.split(/\s+/).length > 9) return false;
  const { amounts, span, name } = splitLine(text);
  const counted =
    amounts.length > 0 &&
    span !== null &&
    span[0] <= 2 &&
    next !== undefined &&
    !next.blankBefore &&
    looksLikeMeasured(next.text) &&
    !/\b(?:ingredients?|minutes?|parts?|layers?|step|way)\b/i.test(name);
  if (counted && /^\d+ (?:egg|white|yolk|leaf|leaves|lemon|orange|lime|banana|biscuit|ladyfinger)/i.test(text)) return false;
  if (FOR_THE.test(text) && text.endsWith(':')) return false;
  const c = clauseOf(text);
  const words = text.split(/\s+/).length;
  if (c.verb && c.at === 0 && !c.verb.weak && words > 4 && listed === 0) return false;
  return !(c.verb && c.at === 0 && timesIn(text).length > 0 && words > 6);
}

/** 'CRUST': a word in capitals above a list in small letters. */
const LOUD = /^[\p{Lu}][\p{Lu} &’'-]{3,40}$/u;
/** What stands for a part wherever it stands alone. */
const BARE_HEAD =
  /^(?:the )?(?:crust|base|filling|topping|garnish|frosting|icing|meringue|custard|mousse|sauce|syrup|soak|glaze|assembly|decoration|to (?:serve|finish|decorate|glaze|garnish|top|dust|assemble|build|soak|fill)|for (?:serving|the top))s?:?$/i;

/** A row of a list that takes of another part: 'all of the whipped cream'. */
const TAKES = /^(?:all|half|the rest|rest|remaining|a (?:third|quarter)|two thirds|three quarters)(?: of)? the [^.!?]{3,40}$/i;

/** 'For the cream', 'Topping:', or a few words under a blank row and above a row with an amount. */
function isPartHeading(r: RawRow, next: RawRow | undefined, isIngredient: (name: string) => boolean): boolean {
  const { text } = r;
  if (text.length > 60 || /[.!?]$/.test(text) || r.bulleted) return false;
  // '1. Dacquoise' above its list.
  if (r.numbered) return next?.listed === true && text.split(/\s+/).length <= 6 && !looksLikeMeasured(text);
  if (looksLikeMeasured(text)) return false;
  if (r.marked || text.endsWith(':')) return true;
  // A name at the margin above a list that is set in: 'Pistachio cream' is no paste then.
  if (
    next &&
    !next.blankBefore &&
    next.indent > r.indent &&
    (looksLikeMeasured(next.text) || endsMeasured(next.text)) &&
    !/[,(]/.test(text) &&
    text.split(/\s+/).length <= 5 &&
    splitLine(text).amounts.length === 0 &&
    !INGREDIENTS.test(text) &&
    !METHOD.test(text) &&
    !isAction(text)
  )
    return true;
  // A name above a list with bullets, that has none itself.
  if (
    next?.bulleted &&
    !next.blankBefore &&
    (looksLikeLine(next.text, isIngredient) || /\d\s?(?:g|kg|ml|l|tsp|tbsp|cups?|oz)\b/i.test(next.text)) &&
    (looksLikeMeasured(next.text) || !isAction(next.text)) &&
    /^\p{Lu}/u.test(text) &&
    text.split(/\s+/).length <= 5 &&
    !/,/.test(text) &&
    splitLine(text).amounts.length === 0 &&
    !INGREDIENTS.test(text) &&
    !METHOD.test(text)
  )
    return true;
  if (FOR_THE.test(text)) return true;
  if (!next || next.blankBefore || !(looksLikeLine(next.text) || TAKES.test(next.text)) || text.split(/\s+/).length > 6) return false;
  if (LOUD.test(text) || BARE_HEAD.test(text)) return true;
  if (/[,(]/.test(text) || splitLine(text).unweighed || splitLine(text).amounts.length > 0) return false;
  return r.blankBefore && !(isIngredient(text) && /^(?:\p{Ll})/u.test(text));
}

/** What comes last, above its things. */
const FINISHING = /^(?:to|for) (?:decorate|decorating|finish|garnish|serve|serving|(?:the )?(?:top|topping|decoration|garnish))\W*$/i;

function isHeadingRow(r: RawRow, next: RawRow | undefined, mode: Mode, isIngredient: (name: string) => boolean): 'part' | 'section' | null {
  const lineNext =
    next !== undefined && looksLikeLine(next.text) && !isProse(next) && !(mode === 'steps' && isAction(next.text) && !looksLikeMeasured(next.text));
  // 'To decorate' above what nobody weighs.
  if (mode === 'lines' && FINISHING.test(r.text) && next !== undefined && !next.blankBefore && !isAction(next.text)) return 'part';
  if (isPartHeading(r, next, isIngredient) && (lineNext || (mode !== 'steps' && (next === undefined || !isAction(next.text))))) return 'part';
  if (mode === 'start' || r.bulleted || r.numbered || r.text.length > 60 || /[.!?]$/.test(r.text) || looksLikeMeasured(r.text)) return null;
  const short = r.text.split(/\s+/).length <= 6;
  const colon = r.text.endsWith(':') || r.marked;
  if (colon && short) return 'section';
  // 'Cream 300 g (whip it)': a thing with its measure names nothing, whatever is done with it.
  if (endsMeasured(r.text.replace(/\s\([^()]*\)$/, ''))) return null;
  const c = clauseOf(r.text);
  const verbal = c.verb !== null && c.at === 0 && !c.verb.weak;
  // 'Mousse' alone above 'Melt the chocolate.': a name, where sentences end in their stops.
  const bare =
    mode === 'steps' &&
    next !== undefined &&
    !next.blankBefore &&
    isAction(next.text) &&
    /[.!]$/.test(next.text) &&
    /^\p{Lu}/u.test(r.text) &&
    r.text.split(/\s+/).length <= 3 &&
    c.verb === null;
  if (bare && timesIn(r.text).length === 0) return 'section';
  return short &&
    r.blankBefore &&
    next !== undefined &&
    isAction(next.text) &&
    (!verbal || /^(?:assemble|serve|finish)/i.test(r.text)) &&
    timesIn(r.text).length === 0 &&
    (mode === 'steps' || !next.blankBefore)
    ? 'section'
    : null;
}

function partName(text: string): string {
  const name = (FOR_THE.exec(text)?.[1] ?? text)
    .replace(/[:\s]+$/, '')
    .replace(/^(?:the) /i, '')
    .trim();
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** Whether two headings mean the same: 'For the filling' and 'Filling', 'Cheese filling' and 'Filling'. */
export function sameHeading(a: string | null, b: string | null): boolean {
  if (a === null || b === null) return false;
  const [x, y] = [keyOf(partName(a)), keyOf(partName(b))];
  return x !== '' && y !== '' && (x === y || x.endsWith(` ${y}`) || y.endsWith(` ${x}`) || x.startsWith(`${y} `) || y.startsWith(`${x} `));
}
