import { splitLine } from '../measures/line';
import { amountsIn, type SaidAmount } from './amounts';
import { calledInFull, draftLine, GRAMS_FROM, ingredientOf, isCounted, linesOfRow, shareOfLine, SURE_FROM, type DraftLine, type LineContext } from './lines';
import type { Mention } from './mentions';
import { choose } from './choose';
import { SORTS } from './sorts';
import { ALL, type FlowClause, type Heard, type Share, type Worktop } from './worktop';
import { keyOf } from './words';

/** What the amounts of a clause are of: by the word at which each stands, a share of a line; lines that came beside them. */
export interface SaidLines {
  readonly at: ReadonlyMap<number, { readonly line: number; readonly share: Share }>;
  readonly beside: readonly number[];
  /** From where to where in the clause an amount stands with its name: '4 large egg whites' names no egg besides. */
  readonly spans: readonly { readonly start: number; readonly end: number }[];
}

/** Reads the amounts of a clause: a share of what is listed, or a line of its own. @param lexical what its words name. */
export function linesSaid(w: Worktop, h: Heard, lexical: readonly Mention[]): SaidLines {
  const { fc, c, additive } = h;
  const beside: number[] = [];
  const forced = new Map<number, { line: number; share: Share }>();
  const spans: { start: number; end: number }[] = [];
  for (const found of amountsIn(c)) {
    const said = ofTheseNamed(found, fc.before);
    if (/\bwhipped\b/i.test(said.text) && w.latest((b) => b.air && w.holds(b, 'cream'))) continue;
    // 'Spoon six nests on the tray': of the whites that are there.
    if (said.amount.unit === null && /\b(?:nests?|shells?|discs?|kisses|rounds|meringues)$/i.test(said.name) && w.latest((b) => b.air && w.holds(b, 'white')))
      continue;
    const over = lexical.filter((m) => c.words[m.from]!.start < said.end && c.words[m.to - 1]!.end > said.start);
    const named = over.find((m) => m.sense.kind === 'line');
    const product = over.find((m) => m.sense.kind === 'product' && m.sense.name !== 'layer' && m.sense.name !== 'custard');
    if (over.some((m) => m.sense.kind === 'other' && !staysIn(w, said, m.phrase, c.text)) && !named) continue;
    // 'Stale brioche, about 200 g': the name stands before its amount.
    const ahead = said.text.includes(said.name)
      ? undefined
      : lexical.findLast((m) => m.sense.kind === 'larder' && c.words[m.to - 1]!.end <= said.start && keyOf(said.name).includes(m.phrase));
    const at = over.length > 0 ? over.at(-1)!.from : (ahead?.from ?? c.words.findIndex((w) => w.start >= said.start));
    if (named?.sense.kind === 'line' && !said.more && (w.hasList || said.definite || product)) {
      const exact = named.sense.lines.filter((l) => sameGrams(gramsOfSaid(w, said, w.lines[l.line]!), w.lines[l.line]!.grams));
      const line = choose(w, exact.length > 0 ? exact : named.sense.lines, fc, additive);
      if (line === null) continue;
      const grams = gramsOfSaid(w, said, w.lines[line]!);
      const has = w.lines[line]!.grams;
      if (grams === null || has === null) continue;
      const same = w.lines[line]!.ingredient?.id === ingredientOf(said.text, w.context).ingredient?.id;
      // 'Whisk 3 whites with ¾ cup of sugar', where the list's brown sugar lies in the base: sugar of its own. Of cream and cheese it is what they became.
      const another = !w.fresh(line) && !said.definite && !same && w.hasList;
      if (another && ['cream', 'cheese'].includes(w.lines[line]!.role ?? '')) continue;
      if (another && !isNew(said, w.context)) continue;
      if (!another && (!w.fresh(line) || said.definite || w.hasList)) {
        // So many as a layer takes are laid at a time; so many are crushed once.
        const laid = w.lines[line]!.role === 'biscuit' && said.amount.unit === null && !w.lines[line]!.divided && !BREAKS.has(c.verb?.base ?? '');
        // 'All but a spoonful of the oats'.
        const but = grams < has && /\ball but (?:about |the last )?$/i.test(c.text.slice(0, said.start));
        forced.set(named.from, {
          line,
          // 'A handful of berries' in the list, 'a few berries' in the step: nobody weighs either.
          share:
            laid || grams >= 0.985 * has || (VAGUE.test(said.amount.text) && VAGUE.test(w.lines[line]!.written))
              ? ALL
              : { kind: 'part', share: but ? 1 - grams / has : grams / has, said: but ? '' : amountText(said) },
        });
        continue;
      }
    }
    if (VAGUE.test(said.amount.text) && (named || product)) continue;
    if (
      product?.sense.kind === 'product' &&
      !named &&
      (said.definite ||
        (w.hasList && keyOf(said.name) === product.sense.name) ||
        // 'Break 300 g ginger cake': weighed, and nobody has made it.
        (ingredientOf(said.text, w.context).confidence < SURE_FROM && (w.hasList || said.amount.unit?.dimension !== 'mass')))
    )
      continue;
    if (w.hasList && !isNew(said, w.context)) continue;
    const many = w.lines.length;
    const line = newLineAt(w, said, fc, 1000 + h.index, said.more && said.definite && named?.sense.kind === 'line' ? named.sense.lines[0]!.line : null);
    if (line === null) continue;
    for (let i = many; i < line; i++) beside.push(i);
    w.relearn();
    forced.set(at, { line, share: ALL });
    spans.push({ start: said.start, end: said.end });
  }
  return { at: forced, beside, spans };
}

/** What is done to some of the biscuits and not to all. */
const BREAKS = new Set(['crush', 'chop', 'blitz', 'crumble', 'process', 'grind', 'pulse', 'blend', 'reserve', 'save', 'keep']);

/** A line that stands in a sentence. */
export const newLineAt = (w: Worktop, said: SaidAmount, c: FlowClause, block: number, of: number | null): number | null => {
  // 'A pint-and-a-half mould': what something is made in.
  if (VESSEL_NAMED.test(said.name)) return null;
  const name = said.name.replace(/\bones\b/i, w.biscuitWord || 'ones');
  // 'Leave another 100 g whole': of what was named last.
  const last =
    c.clause.verb?.work === 'whisk' || /\bcream\b[^.;]{0,16}$/i.test(c.clause.text.slice(0, said.start))
      ? (w.lines.findLast((l) => l.role === 'cream') ?? w.lines.at(-1))
      : w.lines.at(-1);
  const again = /^(?:whole|more|again|aside)$/i.test(name) ? splitLine(last?.text ?? '').name : '';
  // 'Another 100 g of the biscuits': of those that were named.
  const more = of === null ? '' : splitLine(w.lines[of]!.text).name;
  // '225 butter, 225 sugar', told: in grams, where nobody counts so many (house).
  const inGrams = said.amount.unit === null && said.amount.quantity.ok && said.amount.quantity.value >= GRAMS_FROM && !isCounted(name, w.context);
  const apart = inGrams || !said.text.includes(said.name);
  const words =
    again !== '' || apart || more !== ''
      ? `${said.amount.text.replace(/\.$/, '')}${inGrams ? ' g' : ''} ${again || more || name}`
      : name === said.name
        ? said.text
        : said.text.replace(said.name, name);
  const place = { under: null, block, start: c.start, end: c.end };
  // 'The rind of a lemon, and its juice'.
  const its = /\b(zest|peel|rind|juice) of ((?:\d+|an?|one|two|three|four|half an?) (?:\p{L}+ )?(?:lemon|lime|orange|grapefruit)s?)$/iu.exec(words);
  const other = its === null ? null : ITS_OTHER.exec(c.clause.text.slice(said.end));
  if (its && other && /^juice$/i.test(its[1]!) !== /^juice$/i.test(other[1]!)) {
    w.addLine({ ...draftLine(`${other[1]!} of ${its[2]!}`, place, w.context), written: said.text });
    w.addLine({ ...draftLine(words, place, w.context), written: said.text });
    return w.lines.length - 1;
  }
  const both = /\b(?:zest|peel|rind|juice) and (?:the )?(?:zest|peel|rind|juice) of (.+)$/i.exec(words);
  // 'A cup of lemon juice and the zest of two lemons': of those only the zest.
  const juiced = both !== null && /^juice\b/i.test(words) && /\b(?:lemon|lime|orange|grapefruit)\s+$/i.test(c.clause.text.slice(0, said.start));
  if (juiced) {
    w.addLine({ ...draftLine(`zest of ${both[1]!}`, place, w.context), written: `zest of ${both[1]!}` });
    return w.lines.length - 1;
  }
  if (both) {
    for (const taken of ['juice', 'zest']) {
      w.addLine({ ...draftLine(`${taken} of ${both[1]!}`, place, w.context), written: said.text });
    }
    return w.lines.length - 1;
  }
  const fruit = w.apart.zest && w.apart.juice ? linesOfRow(words, place, w.context, w.apart) : [];
  if (fruit.length > 1) {
    for (const l of fruit) w.addLine({ ...l, written: said.text });
    return w.lines.length - 1;
  }
  const eggs = w.apart.yolks && w.apart.whites && /\beggs?$/i.test(words) ? linesOfRow(words, place, w.context, w.apart) : [];
  if (eggs.length > 1) {
    for (const l of eggs) w.addLine({ ...l, written: said.text });
    return w.lines.length - 1;
  }
  const line = draftLine(withoutAnother(words), place, w.context);
  const known = line.ingredient !== null && line.confidence >= 0.6;
  // 'Bowl of 4.8 L, medium': a word for a sort is no thing.
  if (
    known &&
    again === '' &&
    more === '' &&
    calledInFull(words) === null &&
    !(line.confidence === 1 && (said.amount.unit || line.ingredient?.piece)) &&
    keyOf(name)
      .split(' ')
      .every((w) => SORTS.has(w) && w !== 'milk')
  )
    return null;
  if (!known && said.amount.unit === null) return null;
  if (!known && said.amount.unit?.dimension === 'piece') return null;
  if (said.amount.unit === null && !inGrams && (line.confidence < SURE_FROM || line.ingredient?.piece == null)) return null;
  w.addLine({ ...line, written: said.text, text: words });
  return w.lines.length - 1;
};

/** 'Pared off and its juice', ', and the juice': of the fruit that was just named. */
const ITS_OTHER = /^(?: [\p{L}]+){0,4},? (?:and|plus|with|\+|&) (?:its|the|their) (?:own )?(juice|zest|rind|peel)\b(?! of)/iu;

/** Takes a share out of a line that no bowl has yet; the rest stays for later. */
export const split = (w: Worktop, i: number, share: number, said: string): number => {
  const line = w.lines[i]!;
  if (share >= 0.985) return i;
  w.wholeOf.set(i, line);
  w.addLine({ ...shareOfLine(line, 1 - share, '', w.context) });
  w.restOf.set(i, w.lines.length - 1);
  w.lines[i] = shareOfLine(line, share, said, w.context);
  w.relearn();
  return i;
};

export function gramsOfSaid(w: Worktop, said: SaidAmount, line: DraftLine): number | null {
  // Of what the larder lacks, what was weighed.
  if (!line.ingredient) return said.amount.unit?.dimension === 'mass' && said.amount.quantity.ok ? said.amount.quantity.value * said.amount.unit.size : null;
  const drafted = draftLine(`${amountText(said)} ${line.ingredient.aliases[0] ?? line.ingredient.name}`, line, w.context);
  return drafted.grams;
}

const VESSEL_NAMED = /\b(?:mou?ld|tin|dish|terrine|basin|ramekin|springform|blender|mixer)s?$/i;

const VAGUE = /\b(?:few|couple|some|little|spoon|spoonful|handful|dollop|bit|knob|pinch)\b/i;

export const sameGrams = (a: number | null, b: number | null): boolean => a !== null && b !== null && Math.abs(a - b) <= 0.02 * b;

export const amountText = (said: SaidAmount): string => said.amount.text;

/** 'Now the raspberries. 500 grams frozen, put them in a pan': of those that were just named. */
function ofTheseNamed(said: SaidAmount, before: string): SaidAmount {
  const these = HOW_ONLY.test(said.name) ? /\b(?:the|some|your) (\p{L}{3,}(?: \p{L}{3,})?)[.:]\s*$/iu.exec(before)?.[1] : undefined;
  return these === undefined ? said : { ...said, name: `${said.name} ${these}`, text: `${said.text} ${these}` };
}
const HOW_ONLY = /^(?:fresh|frozen|ripe|hulled|sliced|chopped|peeled|stoned|pitted|drained)$/i;

/** 'Another 60 g of spread' is 60 g of it, 'another cup' one. */
const withoutAnother = (words: string): string => words.replace(/^another\s+(?=half\b|an?\b|one\b|two\b|three\b|[\d½¼¾⅓⅔])/i, '').replace(/^another\b/i, 'one');

/** Whether what is no thing of the list is one when it is measured: 'cream of tartar', the water that powdered gelatin swells in. */
function staysIn(w: Worktop, said: SaidAmount, phrase: string, clause: string): boolean {
  if (!phrase.endsWith(keyOf(said.name)) || !isNew(said, w.context)) return false;
  return !/\bwater$/.test(phrase) || (DISSOLVES.test(clause) && !w.lines.some((l) => l.role === 'gelatin' && l.ingredient?.piece?.name === 'leaf'));
}
/** Work whose water stays in the dessert; leaves are wrung out. */
const DISSOLVES = /\b(?:dissolv|bloom|sprinkl|soften|soak|swell|hydrat|slak)/i;

/** Whether an amount in a step of a recipe with a list is of something that the list lacks: measured, or eggs that are counted, and surely known. */
function isNew(said: SaidAmount, context: LineContext): boolean {
  const { unit } = said.amount;
  if (said.definite || unit?.dimension === 'piece' || unit?.dimension === 'pack') return false;
  const { ingredient, confidence } = ingredientOf(withoutAnother(said.text), context);
  return ingredient !== null && confidence >= SURE_FROM && (unit !== null || ingredient.category === 'egg');
}
