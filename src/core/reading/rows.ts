import { MOST_CHARACTERS } from '../table/table';
import { splitLine } from '../measures/line';
import { fail, ok, type Result } from '../result';
import { clauseOf, sentencesOf } from './clauses';
import { temperaturesIn } from './degrees';
import { timesIn } from './times';
import { verbNamed } from './verbs';
import { keyOf, wordsOf } from './words';

/** What a row of a written recipe was taken for. */
export type RowKind = 'title' | 'yield' | 'about' | 'section' | 'part' | 'line' | 'prose' | 'note';

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
const LONGEST_LINE = 150;

const BULLET = /^[\s\u00a0]*(?:[-–*•▢☐□◦·●○‣▪✓]|\[[ x]?\])[\s\u00a0]+/i;
const NUMBERED = /^[\s\u00a0]*(?:(?:step|stage)[\s\u00a0]*)?(?:\d{1,2}|[a-z](?=\d{0,2}[.)]))\d{0,2}[.):][\s\u00a0]+(?=\D)|^[\s\u00a0]*step[\s\u00a0]+(?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten)[\s\u00a0]*[-–—:.]?[\s\u00a0]+/i;
const INGREDIENTS = /^(?:the |for the |your )?(?:ingredients?|shopping list|what you(?:['’]ll)? need|you(?:['’]ll| will)? need|what goes in|things)\b[^.]{0,40}:?$/i;
const TABLE_HEAD = /^(?:ingredients?|item|name)\s+(?:amounts?|quantit(?:y|ies)|qty|weight|grams|g)\b.{0,30}$|^(?:amounts?|quantit(?:y|ies)|weight|grams)\s+(?:ingredients?|item|name)\b.{0,30}$/i;
const METHOD = /^(?:the )?(?:method|directions?|instructions?|preparation|procedure|steps|how to (?:make|do) (?:it|this|them)|how it(?:['’]s| is) made|making it|to make|what to do|the making|putting it together|assembly and method|recipe)\b[^.]{0,20}:?$/i;
const NOTES = /^(?:(?:cook|chef|baker|my)?['’]?s? ?)?(?:notes?|tips?|hints?|storage|to store|variations?|make ahead|nutrition|equipment|special equipment|tools)\b[^.]{0,24}:?$/i;
const NOTE_LEAD = /^(?:notes?|tips?|hint|n\.?b\.?|p\.?s\.?|variation|storage|make ahead|nutrition)\s*[:–—-]\s*\S/i;
const YIELD = /^(?:pour|für|per|para) \d{1,3} (?:personn?e?s?|pers\.?|parts?|personen|persone|personas)\b|^(?:\p{L}{2,10}:\s*)?\d{1,3} (?:verrines|coupes|tumblers) (?:of|à|a)\b|^\d{1,4}(?:\s*(?:-|–|to)\s*\d{1,4})? (?:portions?|servings?|people|persons|slices|pieces|glasses|cupcakes)(?:,? (?:from |in )?(?:an? |one )?(?:terrine|loaf|tin|ring|tray|mou?ld|dish|cake)\b.{0,24}|\W*)$|^\d{1,2}(?:[.,]\d)?[\s-]?(?:inch(?:es)?|in|cm|")\W[^.]{0,24}\b\d{1,3} (?:portions?|servings?|slices|pieces)\W*$|^(?:\W*)(?:serves?|makes?|yields?|servings?|portions?|feeds|enough for|for)\b[:\s]*(?:about |approx\.? |around |up to |a )?(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twelve|a dozen|enough)/iu;
const ABOUT = /^(?:prep(?:aration)?|cook(?:ing)?|total|chill(?:ing)?|rest(?:ing)?|freez(?:e|ing)|active|ready in|difficulty|level|time|hands-on|course|cuisine|author|equipment|vessel|tin|calories|start|you need|needs)\b(?:[\s-]*(?:time|the day|on|before)[^.:]{0,30})?\s*[:–—-]\s*\S/i;
const SIZES = /^(?:springform|ring|tin|tray|dish|terrine|loaf tin|pan|mould|mold|glasses|cups)\b.{0,60}\d/i;
/** 'Layer 2 - mocha', 'Part 1: base'. */
const NUMBERED_PART = /^(?:layer|part|component)\s+(?:\d{1,2}|one|two|three|four|five)\s*[-–—:.]\s*(\p{L}[\p{L} '’-]{2,40})$/iu;
/** A list that says once what its numbers are. */
export const IN_GRAMS = /^\(?(?:all |amounts |quantities |weights )*(?:in )?(?:grams|g|grammes)\)?[.:]?$/i;
const FOR_THE = /^(?:for|to make|to do|making) (?:the )?(.{2,60}?)(?:,? you(?:['’]ll)? need)?:?$/i;
const INLINE_HEAD = /^((?:for the |the )?\p{Lu}[\p{L}\d '’&,/-]{2,44}?)\s*[:–—]\s+(?=\S)/u;
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
  const found = named ?? (dashed && headings.some((h) => sameHeading(h, dashed[1]!)) ? dashed : null);
  // 'Coffee: I make about 300 ml': of that, no heading.
  return found && !/^(?:i|you|we) (?:make|use|need|take|want)\b/i.test(text.slice(found[0].length)) && timesIn(found[1]!).length === 0 && clauseOf(found[1]!).verb === null ? { name: found[1]!, lead: found[0] } : null;
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
  if (text.length > LONGEST_TEXT) return fail('text', 'too-long', `That is ${Math.round(text.length / 1000)}\u00a0000 characters: a recipe has at most ${LONGEST_TEXT / 1000}\u00a0000. Keep the part with the recipe.`);
  const found = splitRows(withoutTags(text));
  if (found.length === 0) return fail('text', 'empty', 'There is nothing to read yet: paste a recipe, or type it as you would tell it.');
  return ok(classified(inBareGrams(found, isIngredient), isIngredient));
}

const ENTITIES: Readonly<Record<string, string>> = { nbsp: ' ', amp: '&', deg: '°', frac12: '½', frac14: '¼', frac34: '¾', ndash: '–', mdash: '—', lt: '<', gt: '>', quot: '"', '#39': "'", '#176': '°', '#8217': '’', '#189': '½', '#188': '¼', '#190': '¾', times: '×', eacute: 'é', egrave: 'è' };
/** Tags that end a row. */
const ENDS_ROW = /^<\/?(?:li|p|br|h\d|div|ul|ol|tr|section|article|header|table|tbody|thead)\b/i;

/** The same text without the marks of a web page, each in its place: what is cut out is blanks, so that places stay true. */
function withoutTags(text: string): string {
  if (!/<\/?(?:li|p|br|h\d|div|ul|ol|td)\b/i.test(text)) return text;
  return text
    .replace(/<(script|style)\b[^>]{0,400}>[\s\S]{0,20000}?<\/\1>/gi, (t) => ' '.repeat(t.length))
    .replace(/<!?\/?[a-z][^<>]{0,400}>/gi, (t) => (ENDS_ROW.test(t) ? `\n${' '.repeat(t.length - 1)}` : ' '.repeat(t.length)))
    .replace(/&(#?\w{1,8});/g, (t, name: string) => (ENTITIES[name.toLowerCase()] ?? ' ').padEnd(t.length));
}

interface RawRow {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  readonly blankBefore: boolean;
  readonly bulleted: boolean;
  readonly numbered: boolean;
  readonly marked: boolean;
  readonly label: string | null;
  /** Known to be a line of a list by how it was written. */
  readonly listed?: true;
}

function splitRows(text: string): readonly RawRow[] {
  const out: RawRow[] = [];
  let at = 0;
  let blank = true;
  let partColumn = -1;
  for (const raw of text.split(/\r\n|\r|\n|\u2028|\u2029/).flatMap(countedInOne)) {
    const start = text.indexOf(raw, at);
    at = start + raw.length;
    // Cells of a table stand beside each other; a rule between its rows says nothing.
    const table = cellsOf(raw);
    partColumn = table === null ? -1 : (partColumnOf(table) ?? partColumn);
    const heading = table?.[partColumn] ?? '';
    const cells = table === null ? raw : oneAmount(table.filter((t, i) => t !== '' && i !== partColumn)).join(' ');
    if (table !== null && /\p{L}/u.test(heading) && partColumnOf(table) === null) {
      out.push({ text: `${heading}:`, start, end: at, blankBefore: true, bulleted: false, numbered: false, marked: true, label: null });
      blank = false;
    }
    const clean = cells.replace(/[\u0000\ufeff]/g, ' ').replace(/\s*(?:\.{3,}|…+)\s*(?=\d)/g, ' ').replace(/[\u00a0\u202f]/g, ' ').replace(/ {3,}(?=[%°CF]|g\b|ml\b)/g, ' ').trim();
    if (clean === '' || /^[-=_*~#|:\s]+$/.test(clean)) {
      blank = true;
      continue;
    }
    const bare = clean.replace(/^#{1,6}\s+/, '').replace(/^(?:\*\*|__)(.+?)(?:\*\*|__):?$/, '$1');
    const marked = bare !== clean;
    const item = bare.replace(BULLET, '');
    const plain = item.replace(NUMBERED, '').replace(/^\*\*(.+?)[.:]?\*\*[.:]?\s*/, '$1: ').trim();
    if (plain !== '') {
      const letter = /^[\s\u00a0]*([A-H])[.)]\s/.exec(item)?.[1] ?? null;
      const label = letter !== null && !isAction(plain) ? letter : null;
      const row = { text: plain, start, end: at, blankBefore: blank || label !== null, bulleted: item !== bare, numbered: label === null && plain !== item && NUMBERED.test(item), marked, label };
      for (const r of inlineLists(row)) out.push(r);
    }
    blank = false;
  }
  return counted(lettered(out));
}

/** 'A   milk  200 g', the rows below without a letter: what a letter stands before is a list that the method calls by it. */
function lettered(rows: readonly RawRow[]): readonly RawRow[] {
  const letters = rows.map((r) => (r.label === null ? (/^([A-H])\s{2,}(?=[\p{L}\d½¼¾])/u.exec(r.text) ?? null) : null));
  const said = letters.flatMap((m) => (m ? [m[1]!] : []));
  if (said.length < 2 || said.some((l, i) => l !== 'ABCDEFGH'[i])) return rows;
  return rows.flatMap((r, i): readonly RawRow[] => {
    const m = letters[i];
    return m ? [{ ...r, text: `${m[1]!}:`, marked: true, blankBefore: true, label: m[1]! }, { ...r, text: r.text.slice(m[0].length), blankBefore: false }] : [r];
  });
}

/** The cells of a row of a table; null for any other row. */
function cellsOf(raw: string): readonly string[] | null {
  if (raw.includes('|')) return raw.trim().replace(/^\|/, '').replace(/\|$/, '').split('|').map((t) => t.trim());
  return raw.includes('\t') ? raw.split('\t').map((t) => t.trim()) : null;
}

/** Of two columns of amounts for the same thing the first counts, the other stands in brackets: '360 ml | 1 1/2 cups'. */
function oneAmount(cells: readonly string[]): readonly string[] {
  const alone = (t: string): boolean => splitLine(t).amounts.length > 0 && splitLine(t).name === '';
  const first = cells.findIndex(alone);
  return cells.flatMap((t, i) => (i <= first || first < 0 || !alone(t) ? [t] : t === cells[first] ? [] : [`(${t})`]));
}

/** Which cell of a table's head stands over the names of parts; −1 for a head without one, null for what is no head. */
function partColumnOf(cells: readonly string[]): number | null {
  if (cells.length < 2 || !cells.some((t) => /^(?:ingredients?|item|name)$/i.test(t))) return null;
  return cells.findIndex((t) => /^(?:components?|parts?|elements?|layers?|sections?|preparations?|for)$/i.test(t));
}

/** '1. Bloom the gelatin. 2. Heat the milk.': steps that are counted within one row are rows of their own. */
function countedInOne(raw: string): readonly string[] {
  if (raw.length > LONGEST_COUNTED || !/^\s*1[.)]\s/.test(raw) || !/\s2[.)]\s+\p{L}/u.test(raw)) return [raw];
  let n = 1;
  const pieces: string[] = [];
  let from = 0;
  for (const m of raw.matchAll(/(?<=\s)(\d{1,2})[.)]\s+(?=\p{L})/gu)) {
    if (Number(m[1]) !== n + 1) continue;
    n++;
    pieces.push(raw.slice(from, m.index));
    from = m.index;
  }
  return [...pieces, raw.slice(from)];
}
const LONGEST_COUNTED = 8000;

/** 'Yolks 80', 'cream 250 + 300 whipped': a list that says no measure anywhere is in grams. */
const BARE_GRAMS = /^(\p{L}[\p{L} %’'-]*?(?:\s\d{1,2}(?:[.,]\d)?\s?%)?)[\s:]+(\d{1,4}(?:[.,]\d{1,2})?)(?:\s*\+\s*(\d{1,4})(?:\s+(\p{L}+))?)?((?:\s*\([^()]{0,40}\))?)$/u;
const COUNTED = /\b(?:eggs?|yolks?|whites?|lea(?:f|ves)|sheets?|lemons?|limes?|oranges?|bananas?|apples?|pears?|biscuits?|fingers?|ladyfingers|pods?|tins?|cans?)$/i;
const FEWEST_BARE = 4;
function inBareGrams(rows: readonly RawRow[], isIngredient: (name: string) => boolean): readonly RawRow[] {
  const found = rows.map((r) => (r.numbered || r.text.length > 80 ? null : BARE_GRAMS.exec(r.text)));
  const meant = found.map((m) => m !== null && !isTime(m[0]) && isIngredient(m[1]!));
  const bare = meant.filter(Boolean).length;
  // A leaf of gelatin may be weighed where all else is bare; where others have measures too, a bare number is a count.
  const lists = rows.filter((r) => !r.numbered && r.text.length <= 80 && !YIELD.test(r.text) && !isAction(r.text) && !/:\s/.test(r.text));
  const said = (dimension: 'mass' | 'volume'): number => lists.filter((r) => splitLine(r.text).amounts.some((a) => a.unit?.dimension === dimension)).length;
  if (bare < FEWEST_BARE || said('volume') > 0 || said('mass') * FEWEST_BARE > bare) return rows;
  return rows.flatMap((r, i): readonly RawRow[] => {
    const m = found[i];
    if (!m || !meant[i]) return [r];
    const [, name, first, second, how, aside] = m;
    const counted = COUNTED.test(name!) && Number(first) <= 12;
    const row = (amount: string, more: string): RawRow => ({ ...r, text: `${amount}${counted ? '' : ' g'} ${name!}${more}${aside ?? ''}` });
    return second === undefined ? [row(first!, '')] : [row(first!, ''), { ...row(second, how === undefined ? '' : `, ${how}`), blankBefore: false }];
  });
}

/** '1 Beat …', '2 Whip …': rows that begin with 1, 2, 3 and a verb are steps, without a full stop behind the number too. */
function counted(rows: readonly RawRow[]): readonly RawRow[] {
  const bare = rows.map((r) => /^(\d{1,2})\s+(?=\p{Lu}\p{L}+)/u.exec(r.text));
  const step = (i: number, n: number): boolean => bare[i] !== null && bare[i] !== undefined && Number(bare[i]![1]) === n && isAction(rows[i]!.text.slice(bare[i]![0].length));
  const first = rows.findIndex((_, i) => step(i, 1));
  if (first < 0 || !step(first + 1, 2)) return rows;
  return rows.map((r, i) => (i >= first && step(i, i - first + 1) ? { ...r, text: r.text.slice(bare[i]![0].length), numbered: true } : r));
}

/** '4 yolks, 100 g sugar, 40 g water' or the same with bars between: a list in one row, where every piece begins with its amount. */
function bareList(text: string): readonly string[] {
  if (text.length > 400 || /[.!?]\s+\p{Lu}/u.test(text)) return [];
  const items = text.replace(/\.$/, '').split(/\s+\/\s+|[,;]\s+(?=\d|[½¼¾⅓⅔]|an?\s|pinch\b)/);
  const said = (t: string): boolean => /^(?:\d|[½¼¾⅓⅔]|an?\s|pinch\b)/.test(t) && splitLine(t).name !== '' && !isAction(t) && t.length < 60;
  return items.length >= 3 && items.every(said) && items.filter((t) => looksLikeMeasured(t)).length >= 2 ? items.map((t) => t.trim()) : [];
}

/** 'Whites 150 g / sugar 250 g: to 70 °C, then whip': a list that stands with its step; 'Vanilla 1 tsp. Salt 2 g.' */
function listWithStep(row: RawRow): readonly RawRow[] {
  if (row.text.length > 300) return [];
  const sentences = row.text.split(/[.;]\s+/).map((t) => t.replace(/\.$/, '').trim());
  if (sentences.length > 1 && sentences.every((t) => endsMeasured(t) && !isAction(t))) return sentences.map((text, i) => ({ ...row, text, listed: true as const, blankBefore: row.blankBefore && i === 0 }));
  const colon = /^([^:]{4,140}?):\s+(?=\p{L})/u.exec(row.text);
  if (!colon) return [];
  const items = colon[1]!.split(/\s+[/+]\s+|[;,]\s+(?![^(]*\))/).map((t) => t.trim());
  const tail = row.text.slice(colon[0].length);
  const measured = items.filter((t) => endsMeasured(t) || looksLikeMeasured(t));
  if (measured.length === 0 || measured[0] !== items[0] || splitLine(items[0]!).name === '' || isAction(items[0]!) || !items.every((t) => measured.includes(t) || !/\d/.test(t.replace(/\([^)]*\)/g, ''))) || !(isAction(tail) || temperaturesIn(tail, false).length > 0)) return [];
  // How it is stands behind what it is said of: 'butter 300 g, soft (20 °C)'.
  const lines = items.reduce<string[]>((out, t) => (measured.includes(t) ? [...out, t] : [...out.slice(0, -1), `${out.at(-1)!}, ${t}`]), []);
  return [...lines.map((text, i) => ({ ...row, text, listed: true as const, numbered: false, blankBefore: row.blankBefore && i === 0 })), { ...row, text: tail, start: row.start + colon[0].length, blankBefore: false }];
}

/** 'Base: 200 g biscuits, 80 g butter. Cream: 300 g cream, 30 g sugar.': lists within a row become rows of their own; any other row stays. */
function inlineLists(row: RawRow): readonly RawRow[] {
  const chefs = row.text.split(/\s+\/\s+|,\s+(?![^(]*\))/);
  if (chefs.length > 2 && chefs.filter((t) => BARE_GRAMS.test(t.trim()) || endsMeasured(t)).length >= 2 && chefs.every((t) => BARE_GRAMS.test(t.trim()) || endsMeasured(t) || WHOLE_FRUIT.test(t.trim()))) return chefs.map((t, i) => ({ ...row, text: t.trim(), listed: true as const, numbered: false, blankBefore: row.blankBefore && i === 0 }));
  const summed = row.text.split(/\s+\+\s+/);
  if (summed.length > 1 && !row.numbered && summed.every((t) => BARE_GRAMS.test(t.trim()) && !isTime(t))) return summed.map((t, i) => ({ ...row, text: t.trim(), listed: true as const, blankBefore: row.blankBefore && i === 0 }));
  const bare = bareList(row.text);
  const step = bare.length === 0 ? listWithStep(row) : [];
  if (step.length > 0) return step;
  if (bare.length > 0) return bare.map((text, i) => ({ ...row, text, blankBefore: row.blankBefore && i === 0 }));
  const pieces = row.text.split(/(?<=[.;])\s+(?=\p{Lu}[\p{L} '’-]{2,30}:\s)/u);
  const out: RawRow[] = [];
  for (const [i, piece] of pieces.entries()) {
    const head = /^(\p{Lu}[\p{L} '’&-]{2,40}):\s+(.+)$/su.exec(piece) ?? /^(\p{Lu}{3,24}(?: \p{Lu}{2,20})?)\s+(?=\d)(.+)$/su.exec(piece);
    // 'Layer it up: a spoon of purée, a spoon of cream': work.
    const works = head !== null && /^(?:\p{L}+ (?:it|them|this|that|up)\b|(?:layer|assemble|build|fill|assembly)$)/iu.test(head[1]!);
    const listed = head !== null && INGREDIENTS.test(`${head[1]!}:`);
    const items = head ? head[2]!.replace(/\.$/, '').split(listed ? /\s+\/\s+|[;,]\s+(?![^(]*\))/ : /\s+\/\s+|;\s+|,\s+(?=(?:\d|[½¼¾⅓⅔]|an?\s|all\b|half\b|the (?:rest|whole)\b|juice\b|zest\b|pulp\b|seeds\b|salt\b|one\s|two\s|three\s|(?:pinch|dash|splash|squeeze)\s))/) : [];
    const numbers = head === null || works ? [] : head[2]!.replace(/\.$/, '').split(/\s+\/\s+|[;,]\s+(?![^(]*\))/);
    if (numbers.length > 1 && numbers.every((t) => BARE_GRAMS.test(t.trim()) || TAKEN_FROM.test(t.trim()) || looksLikeMeasured(t) || endsMeasured(t)) && numbers.some((t) => BARE_GRAMS.test(t.trim()))) {
      out.push({ ...row, text: `${head![1]!}:`, blankBefore: true, bulleted: false, numbered: false });
      for (const t of numbers) out.push({ ...row, text: t.trim(), blankBefore: false, bulleted: false, numbered: false });
      continue;
    }
    // 'Finish: lime zest, flaky salt': things for the top, none weighed.
    const finish = head !== null && i === 0 && /^(?:(?:to |for )?(?:finish|garnish|decorate|serve)|topping|garnish|decoration)$/i.test(head[1]!) ? head[2]!.replace(/\.$/, '').split(/,\s+(?:and\s+)?/) : [];
    if (finish.length > 1 && finish.every((t) => t.split(/\s+/).length <= 4 && !isAction(t) && !/[.!;]/.test(t) && splitLine(t).amounts.length === 0)) {
      out.push({ ...row, text: `${head![1]!}:`, blankBefore: true, bulleted: false, numbered: false });
      for (const t of finish) out.push({ ...row, text: t.trim(), listed: true as const, blankBefore: false, bulleted: false, numbered: false });
      continue;
    }
    if (!head || works || (items.length < 2 && !(/^(?:to|for) (?:finish|serve|decorate|garnish|top|the top)|^(?:topping|garnish|decoration)/i.test(head[1]!) && looksLikeMeasured(items[0] ?? ''))) || !items.every((t, k) => (listed && t.length < 60 && items.length > 3) || (k > 0 && t.length < 40 && head[2]!.includes(';') && !isAction(t)) || /^(?:\d|[½¼¾⅓⅔]|an?\s|all\b|half\b|the (?:rest|whole)\b|juice\b|zest\b|pulp\b|seeds\b|salt\b|pinch\b|one\s|two\s|three\s|four\s)/i.test(t)) || !items.some((t) => looksLikeMeasured(t))) {
      out.push({ ...row, text: piece, blankBefore: row.blankBefore && i === 0 });
      continue;
    }
    out.push({ ...row, text: `${head[1]!}:`, blankBefore: true, bulleted: false, numbered: false });
    for (const t of items) out.push({ ...row, text: t.trim(), blankBefore: false, bulleted: false, numbered: false });
  }
  return pieces.length === 1 && out.length === 1 ? [row] : out;
}

/** '2 lemons zest + juice'. */
const WHOLE_FRUIT = /^(?:\d{1,2}|[½¼¾]|an?|one|two|three|four) (?:\w+ )?(?:lemons?|limes?|oranges?),? (?:\(?(?:zest|juice|rind)(?:ed)?(?: (?:and|&|\+) (?:zest|juice|rind)(?:d|ed)?)?\)?)?$/i;
/** What is taken of a counted fruit. */
const TAKEN_FROM = /^(?:(?:finely |freshly )?grated )?(?:zest|juice|rind|peel)(?: (?:and|&|\+) (?:zest|juice|rind|peel))? (?:\d{1,2}|[½¼¾]|half an?|one|two|three|four) (?:(?:large|small|medium|unwaxed|lrg|lge|sm|med) )*(?:lemons?|limes?|oranges?|grapefruits?|clementines?)\b[^.!]{0,24}$/i;

/** What something of a list is for: no work. */
export const PURPOSE = /,?\s+(?:to|for) (?:garnish|serve|decorate|decorating|finish|finishing|dust|dusting|serving|glaze|glazing|brush|coat|sprinkle|top)\W*$/i;

/** Whether a row reads like an amount and a name, with a verb of the kitchen nowhere before them. */
export function looksLikeLine(text: string, isIngredient: (name: string) => boolean = () => false): boolean {
  if (text.length > LONGEST_LINE) return false;
  const { amounts, span, name, unweighed } = splitLine(text);
  const first = wordsOf(text)[0]?.said ?? '';
  if (timesIn(text).length > 0 && !amounts.some((a) => a.unit?.dimension === 'mass' || a.unit?.dimension === 'volume')) return false;
  if (amounts.length === 0 || !span) return unweighed && name !== '' && !isAction(text.replace(PURPOSE, ''));
  if (name === '' && amounts[0]!.unit === null) return false;
  // 'Cream 35 %   200 g': what ends in its measure is no sentence.
  if (endsMeasured(text) && !isTime(text)) return true;
  if (span[0] <= 2) return !/[.!]\s+\p{Lu}/u.test(text) && !isTime(text) && name !== '';
  if (/^(?:the )?(?:(?:finely|freshly) )?(?:grated |pared )?(?:zest|juice|peel|rind|seeds)\b[^.]{0,30}\b(?:of|from)\b/i.test(text) && text.length < 70) return true;
  // 'Juice ½ lemon', 'zest 2 oranges'.
  if (TAKEN_FROM.test(text)) return true;
  if (amounts[0]!.unit !== null && text.length < 70 && !/[.!]$/.test(text) && !isTime(text) && isIngredient(name)) return true;
  if (amounts[0]!.unit === null && !isIngredient(name)) return false;
  return !(verbNamed(first) !== null && isAction(text)) && text.length < 90 && !/[.!]$/.test(text) && !isTime(text) && !hasVerbInside(text);
}

const isTime = (text: string): boolean => {
  const t = timesIn(text)[0];
  return t !== undefined && t.start <= 3;
};
const hasVerbInside = (text: string): boolean => /\b(?:until|till|then|into the|in the (?:fridge|freezer|oven|microwave))\b/i.test(text) || temperaturesIn(text, false).length > 0;

/** Whether a row says what is done: it begins with a verb, or is a sentence with one, or a time in a place. */
export function isAction(text: string): boolean {
  const first = sentencesOf(text)[0] ?? text;
  const c = clauseOf(first);
  if (c.verb && c.at <= 6) return !c.verb.weak || c.at > 0 || /[.!]$/.test(text) || text.split(/\s+/).length > 3 || timesIn(text).length > 0;
  return c.verb !== null || (/\b(?:fridge|freezer|oven|microwave|water|hob|overnight|o\/n|till|until)\b/i.test(text) && (timesIn(text).length > 0 || /\b(?:till|until)\b/i.test(text)));
}

type Mode = 'start' | 'lines' | 'steps' | 'notes';

function classified(rows: readonly RawRow[], isIngredient: (name: string) => boolean): readonly Row[] {
  const out: Row[] = [];
  const listed = rows.filter((r) => looksLikeLine(r.text, isIngredient) && !isProse(r)).length;
  let mode: Mode = 'start';
  let part: string | null = null;
  let section: string | null = null;
  let block = 0;
  rows.forEach((r, i) => {
    const { text } = r;
    const push = (kind: RowKind, words = text): void => void out.push({ kind, text: words, start: r.start, end: r.end, under: kind === 'line' ? part : kind === 'prose' ? section : null, block, label: r.label });
    const next = rows[i + 1];
    if (r.blankBefore) block++;
    if (r.listed) {
      mode = 'lines';
      return push('line');
    }
    if (TABLE_HEAD.test(text)) {
      mode = 'lines';
      return push('section');
    }
    if (i === 0 && isTitle(r, next, listed)) {
      push('title', text.replace(/\s*:{2,}.*$/, '').replace(/[:.]$/, ''));
      // A list that begins at once stands under its own name, where others have one too.
      // What says how many it serves is the name of the whole.
      if (next && !next.blankBefore && !/\b(?:for|serves|makes)\s+\d/i.test(text) && looksLikeLine(next.text) && !YIELD.test(next.text) && (looksLikeMeasured(next.text) || isIngredient(splitLine(next.text).name)) && rows.some((x, j) => j > 1 && x.blankBefore && isPartHeading(x, rows[j + 1], isIngredient))) {
        part = partName(text);
        push('part', part);
      }
      return;
    }
    // A name that stands behind what the cook tells of it, above how much it makes.
    if (i > 0 && mode === 'start' && next && text.length < 60 && !/[.!?:]$/.test(text) && out.every((o) => o.kind === 'note') && (ABOUT.test(next.text) || YIELD.test(next.text) || INGREDIENTS.test(next.text)) && isTitle(r, next, listed) && !looksLikeLine(text, isIngredient)) return push('title', text);
    if (INGREDIENTS.test(text) && !looksLikeMeasured(text)) {
      mode = 'lines';
      part = null;
      return push('section');
    }
    if (/^(?:step|stage|part)\s+(?:\d{1,2}|[a-z]|one|two|three|four|five|six|seven|eight|nine|ten)[.:]?$/i.test(text)) {
      mode = 'steps';
      return push('section');
    }
    if (METHOD.test(text)) {
      mode = 'steps';
      section = null;
      return push('section');
    }
    if (NOTES.test(text)) {
      mode = 'notes';
      return push('section');
    }
    if (IN_GRAMS.test(text)) return push('about');
    if (NOTE_LEAD.test(text)) return push('note');
    if (YIELD.test(text) && text.length < 80 && !looksLikeMeasured(text)) return push('yield');
    if ((ABOUT.test(text) || SIZES.test(text)) && text.length < 110 && !looksLikeMeasured(text) && !(mode === 'steps' && isAction(text) && !/time/i.test(text))) return push('about');
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
      part = partName(text);
      return push('part', part);
    }
    if (heading === 'section') {
      section = partName(text);
      return push('section', section);
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
    if (mode === 'steps' && (r.bulleted || !/[.!]$/.test(text)) && looksLikeLine(text) && (looksLikeMeasured(text) || isIngredient(splitLine(text).name)) && !/\b(?:half|rest) (?:of )?the\b|\brest of\b/i.test(text) && !isAction(text)) {
      mode = 'lines';
      return push('line');
    }
    if (mode === 'lines' && !isAction(text) && !r.numbered && text.length <= LONGEST_LINE && !/[.!?]$/.test(text) && !r.blankBefore) return push('line');
    // 'vanilla pod, seeds', 'yellow food colouring': a thing of the larder without an amount is a line, though a blank row stands above it.
    if (mode === 'lines' && !r.numbered && !isAction(text) && !/[.!?:]$/.test(text) && isIngredient(splitLine(text).name.split(',')[0]!) && text.split(/\s+/).length <= 5) return push('line');
    const inline = inlineHead(text, out.flatMap((o) => (o.kind === 'part' ? [o.text] : [])));
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

const beginsWithVerb = (text: string): boolean => {
  const c = clauseOf(sentencesOf(text)[0] ?? text);
  return c.verb !== null && c.at <= 3;
};
const isProse = (r: RawRow): boolean => r.text.length > LONGEST_LINE || (r.numbered && isAction(r.text));
/** 'Gelatin leaf 3 g': a short name, and its measure at the end. */
const endsMeasured = (text: string): boolean => {
  const { amounts, span, name } = splitLine(text);
  return span !== null && amounts[0]?.unit != null && span[1] === text.trimEnd().length && name !== '' && name.split(/\s+/).length <= 5;
};
const looksLikeMeasured = (text: string): boolean => {
  const { amounts, span } = splitLine(text);
  return span !== null && span[0] <= 2 && amounts[0]?.unit != null;
};

/** Whether the first row is a name: no amount with a measure, no sentence of what is done. */
function isTitle(r: RawRow, next: RawRow | undefined, listed: number): boolean {
  const { text } = r;
  if (text.length > 120 || r.bulleted || INGREDIENTS.test(text) || METHOD.test(text)) return false;
  if (looksLikeMeasured(text)) return false;
  if (/[.!?]$/.test(text) && text.split(/\s+/).length > 9) return false;
  const { amounts, span, name } = splitLine(text);
  const counted = amounts.length > 0 && span !== null && span[0] <= 2 && next !== undefined && !next.blankBefore && looksLikeMeasured(next.text) && !/\b(?:ingredients?|minutes?|parts?|layers?|step|way)\b/i.test(name);
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
const BARE_HEAD = /^(?:the )?(?:crust|base|filling|topping|garnish|frosting|icing|meringue|custard|mousse|sauce|syrup|soak|glaze|assembly|decoration|to (?:serve|finish|decorate|glaze|garnish|top|dust|assemble|build|soak|fill)|for (?:serving|the top))s?:?$/i;

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
  // A name above a list with bullets, that has none itself.
  if (next?.bulleted && !next.blankBefore && (looksLikeLine(next.text, isIngredient) || /\d\s?(?:g|kg|ml|l|tsp|tbsp|cups?|oz)\b/i.test(next.text)) && !isAction(next.text) && /^\p{Lu}/u.test(text) && text.split(/\s+/).length <= 5 && !/,/.test(text) && splitLine(text).amounts.length === 0 && !INGREDIENTS.test(text) && !METHOD.test(text)) return true;
  if (FOR_THE.test(text)) return true;
  if (!next || next.blankBefore || !(looksLikeLine(next.text) || TAKES.test(next.text)) || text.split(/\s+/).length > 6) return false;
  if (LOUD.test(text) || BARE_HEAD.test(text)) return true;
  if (/[,(]/.test(text) || splitLine(text).unweighed || splitLine(text).amounts.length > 0) return false;
  return r.blankBefore && !(isIngredient(text) && /^(?:\p{Ll})/u.test(text));
}

function isHeadingRow(r: RawRow, next: RawRow | undefined, mode: Mode, isIngredient: (name: string) => boolean): 'part' | 'section' | null {
  const lineNext = next !== undefined && looksLikeLine(next.text) && !isProse(next) && !(mode === 'steps' && isAction(next.text) && !looksLikeMeasured(next.text));
  if (isPartHeading(r, next, isIngredient) && (lineNext || (mode !== 'steps' && (next === undefined || !isAction(next.text))))) return 'part';
  if (mode === 'start' || r.bulleted || r.numbered || r.text.length > 60 || /[.!?]$/.test(r.text) || looksLikeMeasured(r.text)) return null;
  const short = r.text.split(/\s+/).length <= 6;
  const colon = r.text.endsWith(':') || r.marked;
  if (colon && short) return 'section';
  const c = clauseOf(r.text);
  const verbal = c.verb !== null && c.at === 0 && !c.verb.weak;
  // 'Mousse' alone above 'Melt the chocolate.': a name, where sentences end in their stops.
  const bare = mode === 'steps' && next !== undefined && !next.blankBefore && isAction(next.text) && /[.!]$/.test(next.text) && /^\p{Lu}/u.test(r.text) && r.text.split(/\s+/).length <= 3 && c.verb === null;
  if (bare && timesIn(r.text).length === 0) return 'section';
  return short && r.blankBefore && next !== undefined && isAction(next.text) && (!verbal || /^(?:assemble|serve|finish)/i.test(r.text)) && timesIn(r.text).length === 0 && (mode === 'steps' || !next.blankBefore) ? 'section' : null;
}

function partName(text: string): string {
  const name = (FOR_THE.exec(text)?.[1] ?? text).replace(/[:\s]+$/, '').replace(/^(?:the) /i, '').trim();
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** Whether two headings mean the same: 'For the filling' and 'Filling', 'Cheese filling' and 'Filling'. */
export function sameHeading(a: string | null, b: string | null): boolean {
  if (a === null || b === null) return false;
  const [x, y] = [keyOf(partName(a)), keyOf(partName(b))];
  return x !== '' && y !== '' && (x === y || x.endsWith(` ${y}`) || y.endsWith(` ${x}`) || x.startsWith(`${y} `) || y.startsWith(`${x} `));
}
