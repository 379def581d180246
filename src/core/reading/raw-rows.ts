import { splitLine } from '../measures/line';
import { piecesOf } from './in-row-lists';
import { temperaturesIn } from './degrees';
import { BARE_GRAMS, endsMeasured, isAction, isTime, looksLikeLine, looksLikeMeasured, YIELD } from './row-looks';
import { lookUp } from '../look-up';

const CIRCLED = /^[\s\u00a0]*[\u2460-\u2473\u2776-\u2793][.):]?[\s\u00a0]+/u;

const BULLET = /^[\s\u00a0]*(?:[-–*•▢☐□◦·●○‣▪✓]|\[[ x]?\])[\s\u00a0]+/i;

const NUMBERED =
  /^[\s\u00a0]*(?:(?:step|stage)[\s\u00a0]*)?(?:\d{1,2}|[a-z](?=\d{0,2}[.)]))\d{0,2}[.):/][\s\u00a0]+(?=\D)|^[\s\u00a0]*step[\s\u00a0]+(?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten)[\s\u00a0]*[-–—:.]?[\s\u00a0]+/i;

const ENTITIES: Readonly<Record<string, string>> = {
  nbsp: ' ',
  amp: '&',
  deg: '°',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  ndash: '–',
  mdash: '—',
  lt: '<',
  gt: '>',
  quot: '"',
  '#39': "'",
  '#176': '°',
  '#8217': '’',
  '#189': '½',
  '#188': '¼',
  '#190': '¾',
  times: '×',
  eacute: 'é',
  egrave: 'è',
};

/** Tags that end a row. */
const ENDS_ROW = /^<\/?(?:li|p|br|h\d|div|ul|ol|tr|section|article|header|table|tbody|thead)\b/i;

/** The same text without the marks of a web page, each in its place: what is cut out is blanks, so that places stay true. */
function withoutTags(text: string): string {
  if (!/<\/?(?:li|p|br|h\d|div|ul|ol|td)\b/i.test(text)) return text;
  return text
    .replace(/<(script|style)\b[^>]{0,400}>[\s\S]{0,20000}?<\/\1>/gi, (t) => ' '.repeat(t.length))
    .replace(/<!?\/?[a-z][^<>]{0,400}>/gi, (t) => (ENDS_ROW.test(t) ? `\n${' '.repeat(t.length - 1)}` : ' '.repeat(t.length)))
    .replace(/&(#?\w{1,8});/g, (t, name: string) => (lookUp(ENTITIES, name.toLowerCase()) ?? ' ').padEnd(t.length));
}

export interface RawRow {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  readonly blankBefore: boolean;
  readonly bulleted: boolean;
  readonly numbered: boolean;
  readonly marked: boolean;
  readonly label: string | null;
  /** How far from the margin it stands, characters; where its rows are set in, what stands at the margin is their name. */
  readonly indent: number;
  /** Known to be a line of a list by how it was written. */
  readonly listed?: true;
  /** The names of a table's columns. */
  readonly overTable?: true;
}

function splitRows(text: string, isIngredient: (name: string) => boolean): readonly RawRow[] {
  const out: RawRow[] = [];
  let at = 0;
  let blank = true;
  let partColumn = -1;
  /** Whether that column says which step a row is for: then only letters in it head anything. */
  let bySteps = false;
  let under = '';
  /** The number that the row before was counted by; 0 for none. */
  let last = 0;
  const raws = text.split(/\r\n|\r|\n|\u2028|\u2029/).flatMap(countedInOne);
  for (const [n, raw] of raws.entries()) {
    const start = text.indexOf(raw, at);
    at = start + raw.length;
    // Cells of a table stand beside each other; a rule between its rows says nothing.
    const table = cellsOf(raw);
    const named = table === null ? -1 : partColumnOf(table);
    partColumn = named ?? partColumn;
    if (named !== null) bySteps = STEPS.test(table?.[named] ?? '');
    const said = table?.[partColumn] ?? '';
    const letter = LETTER.test(said);
    const cell = bySteps && !letter ? '' : said;
    // Which step a row is for stands in each of its rows: it heads the first of them.
    const heading = letter && cell === under ? '' : cell;
    if (table !== null && cell !== '') under = cell;
    const cells =
      table === null
        ? raw
        : oneAmount(
            table.flatMap((t, i) =>
              t === '' || (i === partColumn && (cell !== '' || named !== null)) ? [] : i === partColumn && bySteps && /\p{L}/u.test(t) ? [`(${t})`] : [t],
            ),
          ).join(' ');
    if (table !== null && /\p{L}/u.test(heading) && named === null) {
      out.push({
        text: `${heading}:`,
        start,
        end: at,
        blankBefore: true,
        bulleted: false,
        numbered: false,
        marked: true,
        label: letter ? heading : null,
        indent: 0,
      });
      blank = false;
    }
    const clean = cells
      .replace(/[\u0000\ufeff]/g, ' ')
      .replace(/(?<!\s)\s*(?:\.{3,}|…+)\s*(?=\d)/g, ' ')
      .replace(/(?<=\p{L}) \.{1,2} (?=\d)/gu, ' ')
      .replace(/[\u00a0\u202f]/g, ' ')
      .replace(/(?<! ) {3,}(?=[%°CF]|g\b|ml\b)/g, ' ')
      .replace(TWO_SYSTEMS, '$1/')
      .trim();
    if (clean === '' || /^[-–—=_*~#|:\s]+$/.test(clean)) {
      blank = true;
      continue;
    }
    const bare = clean
      .replace(/^#{1,6}\s+/, '')
      .replace(/\p{Extended_Pictographic}\ufe0f?/gu, ' ')
      .trim()
      .replace(/^(?:\*\*|__)(.+?)(?:\*\*|__):?$/, '$1')
      .replace(/^\*([^*]+)\*$/, '$1');
    const marked = bare !== clean;
    const item = bare.replace(BULLET, '').replace(CIRCLED, '1. ');
    // '3. 250 g biscuits' behind '2. Cream: …': counted on.
    const counts = Number(/^[\s\u00a0]*(\d{1,2})[.)][\s\u00a0]/.exec(item)?.[1] ?? 0);
    const countedOn = counts > 1 && counts === last + 1;
    last = counts;
    const plain = item
      .replace(countedOn ? /^[\s\u00a0]*\d{1,2}[.)][\s\u00a0]+/ : NUMBERED, '')
      .replace(/^\*\*(.+?)[.:]?\*\*[.:]?\s*(?=[–—·|(-])/, '$1 ')
      .replace(/^\*\*(.+?)[.:]?\*\*[.:]?\s*/, '$1: ')
      .replace(/^optional(?:ly)?\s*[:–—-]\s+(?=\d|[½¼¾⅓⅔])(.{3,80})$/i, '$1 (optional)')
      .trim();
    if (plain !== '') {
      const letter = /^[\s\u00a0]*([A-H])[.)]\s/.exec(item)?.[1] ?? null;
      const label = letter !== null && !isAction(plain) ? letter : null;
      const row = {
        text: plain,
        start,
        end: at,
        blankBefore: blank || label !== null,
        bulleted: item !== bare,
        numbered: label === null && plain !== item && NUMBERED.test(item),
        marked,
        label,
        indent: /^[ \u00a0]*/.exec(raw)![0].length,
        ...(table !== null && isRule(raws[n + 1] ?? '') && !isRule(raw) ? { overTable: true as const } : {}),
      };
      out.push(row);
    }
    blank = false;
  }
  const listed = out.some((r) => looksLikeLine(r.text, isIngredient) || piecesOf(r.text, isIngredient).length > 0);
  return counted(lettered(ofThatFruit(out.flatMap((r) => takenApart(r, isIngredient, listed)))));
}

/** 'Zest of 3 limes', 'juice of 2': of the fruit that the row before names. */
function ofThatFruit(rows: readonly RawRow[]): readonly RawRow[] {
  return rows.map((r, i) => {
    const fruit = r.text.length < 40 && NO_FRUIT.test(r.text) ? WHOSE.exec(rows[i - 1]?.text.slice(0, 120) ?? '')?.[1] : undefined;
    return fruit === undefined ? r : { ...r, text: `${r.text} ${fruit}` };
  });
}
const NO_FRUIT = /^(?:and |plus |\+ )?(?:the )?(?:(?:finely )?(?:grated )?(?:zest|rind|peel)|juice) (?:of|from) (?:\d{1,2}|half|one|two|three|four|five|six)$/i;
const WHOSE = /\b(?:zest|rind|peel|juice) (?:(?:of|from) )?.{0,30}?\b((?:lemon|lime|orange|grapefruit|clementine)s?)\b/i;

/** 'A   milk  200 g', the rows below without a letter: what a letter stands before is a list that the method calls by it. */
function lettered(rows: readonly RawRow[]): readonly RawRow[] {
  const letters = rows.map((r) => (r.label === null ? (/^([A-H])\s{2,}(?=[\p{L}\d½¼¾])/u.exec(r.text) ?? null) : null));
  const said = letters.flatMap((m) => (m ? [m[1]!] : []));
  if (said.length < 2 || said.some((l, i) => l !== 'ABCDEFGH'[i])) return rows;
  return rows.flatMap((r, i): readonly RawRow[] => {
    const m = letters[i];
    return m
      ? [
          { ...r, text: `${m[1]!}:`, marked: true, blankBefore: true, label: m[1]! },
          { ...r, text: r.text.slice(m[0].length), blankBefore: false },
        ]
      : [r];
  });
}

/** '225 g / 8 oz', '300 ml / 1/2 pint': one amount in two systems, not two things between bars. */
const TWO_SYSTEMS =
  /((?:\d|[½¼¾⅓⅔])\s?(?:g|grams?|kg|ml|cl|l|oz|lb|pints?|cups?))\s+\/\s+(?=(?:\d[\d ./]{0,8}|[½¼¾⅓⅔])[½¼¾⅓⅔]?\s?(?:g|grams?|kg|ml|cl|l|oz|lb|fl|pints?|cups?|tbsp|tsp)\b)/gi;

/** 'A' in a column that says which step a row is for. */
const LETTER = /^[A-H]$/;
const STEPS = /^(?:steps?|stages?|phases?)$/i;

/** '|---|---|' below the names of a table's columns. */
const TABLE_RULE = /^\|?(?: *:?-{2,}:? *\|)+(?: *:?-{2,}:?)?$/;
const LONGEST_RULE = 400;
const isRule = (row: string): boolean => row.length <= LONGEST_RULE && TABLE_RULE.test(row.trim());

/** The cells of a row of a table; null for any other row. */
function cellsOf(raw: string): readonly string[] | null {
  if (raw.includes('|'))
    return raw
      .trim()
      .replace(/^\|/, '')
      .replace(/\|$/, '')
      .split('|')
      .map((t) => t.trim());
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
  return cells.findIndex((t) => /^(?:components?|parts?|elements?|layers?|sections?|preparations?|steps?|stages?|phases?|for)$/i.test(t));
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

const COUNTED =
  /\b(?:eggs?|yolks?|whites?|lea(?:f|ves)|sheets?|lemons?|limes?|oranges?|bananas?|apples?|pears?|biscuits?|fingers?|ladyfingers|pods?|tins?|cans?)$/i;

const FEWEST_BARE = 4;

function inBareGrams(rows: readonly RawRow[], isIngredient: (name: string) => boolean): readonly RawRow[] {
  const found = rows.map((r) => (r.numbered || r.text.length > 80 ? null : BARE_GRAMS.exec(r.text)));
  const meant = found.map((m) => m !== null && !isTime(m[0]) && isIngredient(m[1]!.replace(/\s?\([^)]*\).*$/, '')));
  const bare = meant.filter(Boolean).length;
  // A leaf of gelatin may be weighed where all else is bare; where others have measures too, a bare number is a count.
  // A title that says how large a glass is, is no list.
  const lists = rows.filter(
    (r, i) => (i > 0 || r.listed) && !r.numbered && r.text.length <= 80 && !YIELD.test(r.text) && !isAction(r.text) && !/:\s/.test(r.text),
  );
  const said = (dimension: 'mass' | 'volume'): number =>
    lists.filter((r) => (looksLikeMeasured(r.text) || endsMeasured(r.text)) && splitLine(r.text).amounts.some((a) => a.unit?.dimension === dimension)).length;
  if (bare < FEWEST_BARE || said('volume') > 0 || said('mass') * FEWEST_BARE > bare) return rows;
  return rows.flatMap((r, i): readonly RawRow[] => {
    const m = found[i];
    if (!m || !meant[i]) return [r];
    const [, name, first, second, how, aside] = m;
    const counted = COUNTED.test(name!) && Number(first) <= 12;
    const row = (amount: string, more: string): RawRow => ({
      ...r,
      text: `${amount}${counted ? '' : ' g'} ${name!}${more}${(aside ?? '').replace(/^\s+(?=\p{L})/u, ', ')}`,
    });
    return second === undefined ? [row(first!, '')] : [row(first!, ''), { ...row(second, how === undefined ? '' : `, ${how}`), blankBefore: false }];
  });
}

/** '1 Beat …', '2 Whip …': rows that begin with 1, 2, 3 and a verb are steps, without a full stop behind the number too. */
function counted(rows: readonly RawRow[]): readonly RawRow[] {
  const bare = rows.map((r) => /^(\d{1,2})\s+(?=\p{Lu}\p{L}+)/u.exec(r.text));
  const step = (i: number, n: number): boolean =>
    bare[i] !== null && bare[i] !== undefined && Number(bare[i]![1]) === n && asksForWork(rows[i]!.text.slice(bare[i]![0].length));
  const first = rows.findIndex((_, i) => step(i, 1));
  if (first < 0 || !step(first + 1, 2)) return rows;
  return rows.map((r, i) => (i >= first && step(i, i - first + 1) ? { ...r, text: r.text.slice(bare[i]![0].length), numbered: true } : r));
}

/** 'Sugar + water to 118 °C.': work also where no verb says so. */
const asksForWork = (text: string): boolean => isAction(text) || temperaturesIn(text, false).length > 0;

/** Lists within a row become rows of their own; any other row stays. */
function takenApart(row: RawRow, isIngredient: (name: string) => boolean, amongLists: boolean): readonly RawRow[] {
  const pieces = piecesOf(row.text, isIngredient, amongLists);
  const first = pieces[0];
  return pieces.length === 0
    ? [row]
    : pieces.map((p): RawRow => {
        const blankBefore = p === first && row.blankBefore;
        if (p.kind === 'head') return { ...row, text: `${p.text}:`, blankBefore: true, bulleted: false, numbered: false };
        if (p.kind === 'item') return { ...row, text: p.text, listed: true, blankBefore, bulleted: false, numbered: false };
        return { ...row, text: p.text, start: row.start + p.at, blankBefore };
      });
}

/** The rows of a text, each with how it was marked: web marks and the lines of tables taken off, lists within a row taken apart. Linear in its length. */
export const rawRows = (text: string, isIngredient: (name: string) => boolean): readonly RawRow[] =>
  inBareGrams(splitRows(withoutTags(text), isIngredient), isIngredient);
