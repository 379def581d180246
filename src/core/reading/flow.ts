import type { Ingredient } from '../composition/ingredient';
import type { Role } from '../larder/role';
import type { StepMachine, StepWork } from '../document/kinds';
import { amountsIn, type SaidAmount } from './amounts';
import { gramsIn, newBowl, type Bowl } from './bowls';
import { type Clause } from './clauses';
import { temperaturesIn, type SaidTemperature } from './degrees';
import { draftLine, ingredientOf, shareOfLine, SURE_FROM, type DraftLine, type LineContext } from './lines';
import { lexiconOf, mentionsIn, type Lexicon, type Mention } from './mentions';
import { splitLine } from '../measures/line';
import { sameHeading } from './rows';
import { SORTS } from './sorts';
import { machineOf, mentionsElectric, minutesOf, stageIn, BEFORE_SERVING, WHILE_RUNNING, workOf, type WorkedOn } from './work';
import { keyOf } from './words';

/** A clause with where it stands. */
export interface FlowClause {
  readonly clause: Clause;
  /** Heading of the method that it stands under. */
  readonly section: string | null;
  /** Of the text that was read. */
  readonly start: number;
  readonly end: number;
  /** Words around it that are no work: shown with it. */
  readonly before: string;
  readonly after: string;
  /** The day before, the evening before. */
  readonly ahead: boolean;
}

/** One action of the work. */
export interface FlowStep {
  readonly text: string;
  readonly work: StepWork;
  readonly verb: string;
  readonly minutes: readonly [number, number] | null;
  readonly temperature: SaidTemperature | null;
  readonly machine: StepMachine | null;
  readonly stage: 'soft' | 'medium' | 'firm' | null;
  /** Lines that it uses or names. */
  readonly lines: Set<number>;
  /** The bowl that it works on; null for none. */
  bowl: number | null;
  /** Bowls that it puts into the dessert. */
  readonly places: Set<number>;
  readonly section: string | null;
  readonly ahead: boolean;
  readonly start: number;
  readonly end: number;
}

export interface Flow {
  readonly lines: readonly DraftLine[];
  readonly bowls: readonly Bowl[];
  readonly steps: readonly FlowStep[];
  /** The first step that uses each line; null where none does. */
  readonly stepOf: readonly (number | null)[];
  readonly doubts: readonly { readonly line: number; readonly says: string }[];
}

/** What a mention stands for here: a line that is not yet in a bowl, or a bowl; how much of it. */
type Item = { readonly at: number; readonly share: Share; readonly named: boolean } & ({ readonly kind: 'line'; readonly line: number } | { readonly kind: 'bowl'; readonly bowl: number });
type Share = { readonly kind: 'all' } | { readonly kind: 'rest' } | { readonly kind: 'part'; readonly share: number; readonly said: string };
const ALL: Share = { kind: 'all' };

/** Roles of which a word stands for the bowl once they are in it: 'the cream' is what the cream has become. */
const CARRIES = new Set<Role>(['cream', 'yolk', 'white', 'egg', 'cheese', 'chocolate', 'fruit', 'gelatin', 'butter', 'milk', 'setter', 'biscuit']);
const PREPARES = new Set('chop dice mince grate zest squeeze juice peel split scrape core hull pit wash rinse slice halve quarter crush crumble bash break separate drain measure weigh cut pat snip toast crack sift sieve check get grab take prepare pick use want need have shave snap trim'.split(' '));
const ADDS = /^(?:gradually |slowly |then |next |finally |now |gently |quickly |carefully )*(?:add|incorporate|stream|pour on (?:the|it)\b|(?:stir|mix|beat|whisk|pour|fold|blend|work|melt|dissolve) (?:it|them|this|these|those) (?:back )?in\b|(?:stir|mix|beat|whisk|pour|blend|sift|tip|drizzle|sprinkle|drop|put|work|whip|rub|fold|scrape|throw) (?:\w+ly )?(?:in\b|through (?:the|most|half|all|some)\b)|(?:stir|mix|beat|whisk|pour|fold|blend|work|melt|dissolve|squeeze) (?:[\w'-]+ ){1,4}in[.,;]?$|(?:sweeten|season|flavour|temper|thin|enrich|scent) (?:(?:it|them) )?with\b|adding)/i;
const NEW_BOWL = /\b(?:in|into|to)\s+(?:a|an|another|a separate|separate|your|one|the bowl of)\b[^,.;]{0,36}\b(?:bowl|saucepan|pan|pot|jug|mixer|processor|blender|cup)\b|\bin the bowl of\b|\bin the (?:food )?processor\b|\bin the (?:stand )?mixer\b/i;
const SEPARATE = /\b(?:another|separate|second|clean|different|other) (?:\w+ )?(?:bowl|pan|saucepan|jug|pot)\b|\bseparately\b/i;
const PRONOUN = /\b(?:it|them|this|that|these|those|everything|the (?:lot|whole (?:lot|thing)))\b/i;
const EVERYTHING = /^all in(?:to)?\b|\b(?:all (?:of )?the (?:other |remaining |rest of the )?(?:\w+ )?ingredients?|all (?:the )?ingredients|everything(?: else)? (?:in|into|together)|(?:the )?(?:remaining|other|dry|wet) ingredients|(?:the )?\w+ ingredients|ingredients together|all of it together|everything but)\b/i;
/** 'Whisk everything', where nothing is in a bowl yet. */
const ALL_OF_IT = /^(?:whisk|whip|beat|mix|stir|put|combine|blend|tip|place|heat|warm|melt|boil) (?:\w+ly )?(?:everything|all|it all|the lot)\b/i;
const WHIPPED_FIRST = /,\s*(?:(?:softly|lightly|stiffly|just) )?(?:whipped|beaten)\b/i;
const WHEN = /^(?:when|once|as soon as|after|while|if)\b/i;
const REST = /\b(?:remaining|rest of|remainder of|other half of|what(?:'s| is) left of|leftover|reserved)\b[^,]{0,22}$/i;
const DEST = new Set(['into', 'onto', 'over', 'to', 'in', 'on', 'through', 'upon']);

/** What a letter of the list stands for: all under a heading, or one line. */
export type ListLabel = { readonly under: string } | { readonly line: number };

/** Follows the work through its bowls: which lines each step uses, what is mixed with what, what is put together. */
export function flowOf(clauses: readonly FlowClause[], listed: readonly DraftLine[], context: LineContext, fahrenheit: boolean, labels: ReadonlyMap<string, ListLabel> = new Map()): Flow {
  const lines: DraftLine[] = [...listed];
  const bowlOf: (number | null)[] = lines.map(() => null);
  const stepOf: (number | null)[] = lines.map(() => null);
  const bowls: Bowl[] = [];
  const steps: FlowStep[] = [];
  const doubts: { line: number; says: string }[] = [];
  const hasList = listed.length > 0;
  const whole = clauses.map((c) => c.clause.text).join(' ');
  const electric = mentionsElectric(whole);
  // 'The pan' of a loaf or a pie is what is filled.
  const panIsTin = /\b(?:loaf|cake|spring[- ]?form|baking|pie|tart|brownie|square|inch|x ?\d{1,2}) pan\b|\bpan with (?:plastic|parchment|cling|film|foil)/i.test(whole);
  let lexicon: Lexicon = lexiconOf(lines, context.larder);
  let current: number | null = null;
  let section: string | null = null;
  let built = false;
  let chilled = false;
  let biscuitWord = '';
  /** What has been chopped, taken, melted, and waits to be used: 'mix both'. */
  let inHand: Item[] = [];
  /** A bowl was fetched: what comes next goes into that one. */
  let ownBowl = false;
  const items0 = (c: Clause): boolean => mentionsIn(c.words, lexicon).every((m) => m.sense.kind === 'other' || m.sense.kind === 'larder');

  const root = (id: number): number => (bowls[id]!.into === null ? id : root(bowls[id]!.into!));
  const live = (): readonly Bowl[] => bowls.filter((b) => b.into === null);
  const here = (): Bowl | null => (current === null ? null : bowls[root(current)]!);
  const make = (heading: string | null): Bowl => {
    const b = newBowl(bowls.length, heading, Math.max(0, steps.length - 1));
    bowls.push(b);
    return b;
  };
  const addLineTo = (i: number, bowl: Bowl): void => {
    bowlOf[i] = bowl.id;
    bowl.lines.add(i);
    bowl.heading ??= lines[i]!.under;
  };
  const fresh = (i: number): boolean => bowlOf[i] === null;

  /** A line that stands in a sentence. */
  const newLineAt = (said: SaidAmount, c: FlowClause, block: number, of: number | null): number | null => {
    const name = said.name.replace(/\bones\b/i, biscuitWord || 'ones');
    // 'Leave another 100 g whole': of what was named last.
    const last = c.clause.verb?.work === 'whisk' ? (lines.findLast((l) => l.role === 'cream') ?? lines.at(-1)) : lines.at(-1);
    const again = /^(?:whole|more|again|aside)$/i.test(name) ? splitLine(last?.text ?? '').name : '';
    // 'Another 100 g of the biscuits': of those that were named.
    const more = of === null ? '' : splitLine(lines[of]!.text).name;
    const apart = !said.text.includes(said.name);
    const words = again !== '' || apart || more !== '' ? `${said.amount.text} ${again || more || name}` : name === said.name ? said.text : said.text.replace(said.name, name);
    const place = { under: null, block, start: c.start, end: c.end };
    const both = /\b(?:zest|peel|rind|juice) and (?:the )?(?:zest|peel|rind|juice) of (.+)$/i.exec(words);
    if (both) {
      for (const taken of ['juice', 'zest']) {
        lines.push({ ...draftLine(`${taken} of ${both[1]!}`, place, context), written: said.text });
        bowlOf.push(null);
        stepOf.push(null);
      }
      return lines.length - 1;
    }
    const line = draftLine(words, place, context);
    const known = line.ingredient !== null && line.confidence >= 0.6;
    // 'Bowl of 4.8 L, medium': a word for a sort is no thing.
    if (known && again === '' && keyOf(name).split(' ').every((w) => SORTS.has(w) && w !== 'milk')) return null;
    if (!known && said.amount.unit === null) return null;
    if (!known && said.amount.unit?.dimension === 'piece') return null;
    if (said.amount.unit === null && (line.confidence < SURE_FROM || line.ingredient?.piece == null)) return null;
    lines.push({ ...line, written: said.text, text: words });
    bowlOf.push(null);
    stepOf.push(null);
    return lines.length - 1;
  };

  /** Takes a share out of a line that no bowl has yet; the rest stays for later. */
  const split = (i: number, share: number, said: string): number => {
    const line = lines[i]!;
    if (share >= 0.985) return i;
    lines.push({ ...shareOfLine(line, 1 - share, '', context) });
    bowlOf.push(null);
    stepOf.push(null);
    restOf.set(i, lines.length - 1);
    lines[i] = shareOfLine(line, share, said, context);
    lexicon = lexiconOf(lines, context.larder);
    return i;
  };
  const restOf = new Map<number, number>();
  /** Rests that came back to their line. */
  const gone = new Set<number>();

  /** The one of several lines that is meant: of this section, not yet used, in the bowl in hand. */
  const choose = (all: readonly { line: number; strength: number }[], c: FlowClause, additive: boolean): number | null => {
    const top = Math.max(...all.map((x) => x.strength));
    let left = all.filter((x) => x.strength >= top - 0.01).map((x) => x.line);
    const wide = all.map((x) => x.line);
    // What is for the top waits until the end.
    if (!chilled && left.length > 1 && left.some((i) => !forTop(lines[i]!))) left = left.filter((i) => !forTop(lines[i]!));
    const under = (list: readonly number[]): number[] => list.filter((i) => sameHeading(lines[i]!.under, c.section));
    if (c.section !== null && under(left).length > 0) left = under(left);
    else if (c.section !== null && under(wide).length > 0 && top < 3) left = under(wide);
    if (left.length > 1) {
      const bowl = here();
      const mine = bowl && additive ? left.filter((i) => (bowl.heading !== null && lines[i]!.under === bowl.heading) || [...bowl.lines].some((j) => lines[j]!.block === lines[i]!.block)) : [];
      const freshOnes = (mine.length > 0 ? mine : left).filter(fresh);
      if (freshOnes.length > 0) left = freshOnes;
      else if (left.some(fresh)) left = left.filter(fresh);
      else if (mine.length > 0) left = mine;
      else if (bowl && left.some((i) => bowl.lines.has(i))) left = left.filter((i) => bowl.lines.has(i));
      else left = [...left].sort((a, b) => (stepOf[b] ?? -1) - (stepOf[a] ?? -1));
    }
    return left[0] ?? null;
  };

  const latest = (test: (b: Bowl) => boolean): Bowl | null => live().filter((b) => b.place !== 'kept' && test(b)).sort((a, b) => b.lastStep - a.lastStep)[0] ?? null;
  const holds = (b: Bowl, ...roles: Role[]): boolean => {
    const all = (x: Bowl): boolean => [...x.lines].some((i) => roles.includes(lines[i]!.role!)) || [...x.takes.keys()].some((t) => all(bowls[t]!)) || bowls.some((y) => y.into === x.id && all(y));
    return all(b);
  };

  /** The bowl that a word for something made stands for; null where none is it. */
  const productNamed = (name: string, c: FlowClause): Bowl | null => {
    const headed = latest((b) => sameHeading(b.heading, name) && b.lines.size + b.takes.size > 0);
    switch (name) {
      case 'mixture':
      case 'mix':
      case 'batter':
      case 'liquid':
      case 'paste':
      case 'emulsion':
      case 'foam':
        return name === 'foam' ? (latest((b) => b.air) ?? here()) : here();
      case 'filling':
      case 'mousse':
      case 'cheesecake':
      case 'semifreddo':
      case 'parfait':
      case 'layer':
        return headed ?? latest((b) => b.takes.size > 0 && b.placed !== 'late') ?? latest((b) => holds(b, 'cheese', 'cream') && b.place === 'mix') ?? here();
      case 'base':
      case 'crust':
      case 'biscuit base':
      case 'crumb':
      case 'crumble':
      case 'dough':
        return latest((b) => b.pressed) ?? latest((b) => holds(b, 'biscuit') && b.place === 'mix') ?? headed;
      case 'custard':
      case 'pastry cream':
      case 'curd':
      case 'pudding':
        return latest((b) => b.heated && holds(b, 'yolk', 'egg', 'milk', 'starch')) ?? headed;
      case 'zabaglione':
      case 'sabayon':
        return latest((b) => holds(b, 'yolk', 'egg')) ?? headed;
      case 'meringue':
      case 'shell':
      case 'nest':
      case 'dacquoise':
      case 'disc':
        return latest((b) => holds(b, 'white')) ?? headed;
      case 'ganache':
        return latest((b) => holds(b, 'chocolate')) ?? headed;
      case 'syrup':
      case 'soak':
      case 'infusion':
      case 'dip':
        return latest((b) => b.place === 'soak') ?? latest((b) => !b.air && isWetOnly(b) && holds(b, 'sugar', 'drink') && holds(b, 'liquid', 'sour', 'drink')) ?? headed ?? latest((b) => !b.air && holds(b, 'sugar', 'drink') && holds(b, 'liquid', 'sour', 'drink'));
      case 'caramel':
      case 'sauce':
      case 'glaze':
      case 'reduction':
        return headed ?? latest((b) => b.heated && [...b.lines].some((i) => ['sugar', 'chocolate', 'fruit'].includes(lines[i]!.role!)) && ![...b.lines].some((i) => ['white', 'yolk', 'egg'].includes(lines[i]!.role!))) ?? latest((b) => b.heated && holds(b, 'sugar', 'chocolate', 'fruit'));
      case 'jelly':
        return headed ?? latest((b) => holds(b, 'gelatin'));
      case 'compote':
      case 'coulis':
      case 'puree':
      case 'pulp':
        return latest((b) => holds(b, 'fruit')) ?? headed;
      case 'buttercream':
        return latest((b) => holds(b, 'butter') && holds(b, 'white', 'yolk', 'egg')) ?? latest((b) => holds(b, 'butter')) ?? headed;
      case 'whipped cream':
      case 'chantilly':
      case 'crown':
      case 'frosting':
      case 'icing':
        return headed ?? latest((b) => b.air && holds(b, 'cream')) ?? latest((b) => holds(b, 'cream', 'cheese'));
      default:
        return headed ?? (c.section !== null && sameHeading(c.section, name) ? here() : null);
    }
  };

  /** The mentions of a clause with the letters that lists are called by. */
  const withLabels = (named: readonly Mention[], c: Clause): readonly Mention[] => {
    if (labels.size < 2) return named;
    const letters = c.words.flatMap((w, i): Mention[] => {
      const letter = c.text.slice(w.start, w.end);
      return labels.has(letter) && i > 0 ? [{ from: i, to: i + 1, phrase: letter, sense: { kind: 'label', letter } }] : [];
    });
    return [...named.filter((m) => !letters.some((l) => l.from >= m.from && l.from < m.to)), ...letters].sort((a, b) => a.from - b.from);
  };
  /** What a letter stands for now: its lines, or the bowl that most of them are in. */
  const labelled = (label: ListLabel): { readonly lines: readonly number[]; readonly bowl: Bowl | null } => {
    const own = 'line' in label ? [label.line] : lines.flatMap((l, i) => (l.under === label.under ? [i] : []));
    const open = own.filter(fresh);
    const held = own.find((i) => !fresh(i));
    return { lines: open, bowl: open.length === 0 && held !== undefined ? bowls[root(bowlOf[held]!)]! : null };
  };

  const shareBefore = (c: Clause, m: Mention, prevEnd: number): { share: Share; said: string } => {
    const lead = c.text.slice(prevEnd, c.words[m.from]!.start);
    if (/\b(?:then|and|and then|followed by) (?:fold in )?(?:the )?(?:rest|remainder|remaining)\b/i.test(c.text.slice(c.words[m.to - 1]!.end))) return { share: ALL, said: '' };
    if (REST.test(lead) || /\bother (?:half|third)\b/i.test(lead)) return { share: { kind: 'rest' }, said: '' };
    const tail = /\b(half|(?:a |one )?third|two[- ]thirds|(?:a |one )?quarter|three[- ]quarters|most|¼|½|¾|⅓|⅔|\d\/\d)(?: of)?(?: the| your| that| this)?\s*$/i.exec(lead);
    if (tail) {
      const n = FRACTIONS.find(([w]) => w.test(tail[1]!))?.[1];
      if (n !== undefined) return { share: { kind: 'part', share: n, said: tail[1]! }, said: tail[1]! };
    }
    return { share: ALL, said: '' };
  };

  // 'Cream, whipped' in a list: it is whipped before it goes anywhere.
  lines.forEach((l, i) => {
    if (l.role !== 'cream' || !WHIPPED_FIRST.test(l.written)) return;
    const b = make(l.under);
    b.air = true;
    b.stage = stageIn(l.written);
    addLineTo(i, b);
  });

  clauses.forEach((fc, index) => {
    const { clause: c } = fc;
    if (fc.section !== section) {
      // A heading that the list has too begins a part of its own; 'Day two', 'To assemble' go on with what is there.
      if (fc.section !== null && lines.some((l) => sameHeading(l.under, fc.section))) {
        current = null;
        inHand = [];
      }
      section = fc.section;
    }
    if (/\b(?:get|take|grab|use|chill|in)\b[^,.;]{0,24}\b(?:cold|clean|another|separate|second|different|chilled|large|big) (?:\w+ )?(?:bowl|pan|saucepan)\b/i.test(c.text) && items0(c)) {
      current = null;
      ownBowl = true;
    }
    const around = `${fc.before} ${c.text}`;
    if (/\bcookies?\b|\bbiscuits?\b/i.test(around)) biscuitWord = /\bcookies?\b/i.test(around) ? 'cookies' : 'biscuits';
    const verb = c.verb?.base ?? '';
    const after = c.text.slice(c.at >= 0 ? c.words[c.at]!.start : 0);
    const additive = ADDS.test(after) || /\b(?:add|adding)\b/i.test(after.slice(0, 24));
    // The verb is no thing, though 'mix', 'dip' and 'cream' may be.
    const lexical = withLabels(mentionsIn(c.words, lexicon, c.at), c);

    // Amounts that are said here: a share of what is listed, or a line of their own.
    const beside: number[] = [];
    const forced = new Map<number, { line: number; share: Share }>();
    for (const said of amountsIn(c)) {
      if (/\bwhipped\b/i.test(said.text) && latest((b) => b.air && holds(b, 'cream'))) continue;
      const over = lexical.filter((m) => c.words[m.from]!.start < said.end && c.words[m.to - 1]!.end > said.start);
      const named = over.find((m) => m.sense.kind === 'line');
      const product = over.find((m) => m.sense.kind === 'product' && m.sense.name !== 'layer' && m.sense.name !== 'custard');
      if (over.some((m) => m.sense.kind === 'other') && !named) continue;
      const at = over.length > 0 ? over.at(-1)!.from : c.words.findIndex((w) => w.start >= said.start);
      if (named?.sense.kind === 'line' && !said.more && (hasList || said.definite || product)) {
        const exact = named.sense.lines.filter((l) => sameGrams(gramsOfSaid(said, lines[l.line]!), lines[l.line]!.grams));
        const line = choose(exact.length > 0 ? exact : named.sense.lines, fc, additive);
        if (line === null) continue;
        const grams = gramsOfSaid(said, lines[line]!);
        const has = lines[line]!.grams;
        if (grams === null || has === null) continue;
        const same = lines[line]!.ingredient?.id === ingredientOf(said.text, context).ingredient?.id;
        if (!fresh(line) || said.definite || hasList) {
          if (!fresh(line) && !said.definite && !same && hasList) continue;
          const laid = lines[line]!.role === 'biscuit' && said.amount.unit === null;
          forced.set(named.from, { line, share: laid || grams >= 0.985 * has ? ALL : { kind: 'part', share: grams / has, said: amountText(said) } });
          continue;
        }
      }
      if (VAGUE.test(said.amount.text) && (named || product)) continue;
      if (product && !named && (said.definite || ingredientOf(said.text, context).confidence < SURE_FROM)) continue;
      if (hasList && !isNew(said, context)) continue;
      const many = lines.length;
      const line = newLineAt(said, fc, 1000 + index, said.more && said.definite && named?.sense.kind === 'line' ? named.sense.lines[0]!.line : null);
      if (line === null) continue;
      for (let i = many; i < line; i++) beside.push(i);
      lexicon = lexiconOf(lines, context.larder);
      forced.set(at, { line, share: ALL });
    }

    const items: Item[] = [];
    const also = new Set<number>();
    let prevEnd = 0;
    const push = (item: Item): void => {
      if (!items.some((x) => x.kind === item.kind && (x.kind === 'line' ? x.line === (item as { line: number }).line : x.bowl === (item as { bowl: number }).bowl))) items.push(item);
    };
    const asBowl = (b: Bowl, at: number, share: Share): void => push({ kind: 'bowl', bowl: root(b.id), at, share, named: true });
    const spans = [...forced.keys()].sort((a, b) => a - b);
    const all = [...lexical];
    for (const at of spans) if (!lexical.some((m) => m.from <= at && m.to > at)) all.push({ from: at, to: at + 1, phrase: '', sense: { kind: 'other' } });
    all.sort((a, b) => a.from - b.from);
    all.forEach((m, k) => {
      const next = all[k + 1];
      const key = spans.find((s) => s >= m.from && s < m.to);
      const { share } = shareBefore(c, m, prevEnd);
      const lead = c.text.slice(prevEnd, c.words[m.from]!.start);
      prevEnd = c.words[m.to - 1]!.end;
      if (key !== undefined) {
        const f = forced.get(key)!;
        if (fresh(f.line)) {
          const i = f.share.kind === 'part' ? split(f.line, f.share.share, f.share.said) : f.line;
          return push({ kind: 'line', line: i, at: m.from, share: ALL, named: true });
        }
        also.add(f.line);
        const rest = restOf.get(f.line);
        if (rest !== undefined && fresh(rest)) return push({ kind: 'line', line: rest, at: m.from, share: ALL, named: true });
        if (f.share.kind === 'part' && CARRIES.has(lines[f.line]!.role!)) return asBowl(bowls[bowlOf[f.line]!]!, m.from, f.share);
        if (CARRIES.has(lines[f.line]!.role!)) asBowl(bowls[bowlOf[f.line]!]!, m.from, ALL);
        return;
      }
      if (m.sense.kind === 'label') {
        const meant = labelled(labels.get(m.sense.letter)!);
        for (const i of meant.lines) push({ kind: 'line', line: i, at: m.from, share: ALL, named: true });
        if (meant.bowl) asBowl(meant.bowl, m.from, share);
        return;
      }
      if (m.sense.kind === 'line') {
        const whipped = /whipped/.test(m.phrase) ? latest((b) => b.air && holds(b, 'cream')) : null;
        if (whipped) return asBowl(whipped, m.from, share);
        if (/\b(?:no|without|not|like|as|instead of|than)\s+(?:the |any )?$/i.test(lead) || /\b(?:colou?r|consistency|texture|thickness) of\s*$/i.test(lead)) return;
        // 'the cream mixture', 'the lemon custard': what has become of it.
        const product = next && next.from === m.to && next.sense.kind === 'product' ? next : null;
        if (product && product.sense.kind === 'product') {
          const owner = m.sense.lines.map((l) => l.line).filter((i) => !fresh(i)).sort((a, b) => (stepOf[b] ?? 0) - (stepOf[a] ?? 0))[0];
          const known = /^(?:mixture|mix|foam|batter|layer|liquid|paste)$/.test(product.sense.name) ? null : productNamed(product.sense.name, fc);
          const bowl = known ?? (owner === undefined ? null : bowls[root(bowlOf[owner]!)]!);
          if (bowl) return asBowl(bowl, m.from, share);
        }
        const both = m.phrase === 'egg' ? m.sense.lines.filter((l) => l.strength < 1) : [];
        if (both.length > 0 && m.sense.lines.every((l) => l.strength <= 2 && (lines[l.line]!.role === 'yolk' || lines[l.line]!.role === 'white'))) {
          for (const l of m.sense.lines) also.add(l.line);
          return;
        }
        // 'The spices', 'the nuts': all of them that are still there.
        const plural = c.words[m.to - 1]!.said;
        const alike = /^(?:creams|milks|sugars|chocolates|juices|zests)$/.test(plural) && share.kind === 'all' ? lines.flatMap((l, i) => (fresh(i) && ` ${keyOf(l.written)} `.includes(` ${keyOf(plural)} `) ? [i] : [])) : [];
        if (alike.length > 1) return alike.forEach((i) => push({ kind: 'line', line: i, at: m.from, share: ALL, named: true }));
        const many = /^(?:spices|flavourings|nuts|fruits?|berries|juices|zests|liqueurs)$/.test(c.words[m.to - 1]!.said) && share.kind === 'all' ? m.sense.lines.filter((l, _, every) => l.strength >= Math.max(...every.map((x) => x.strength)) - 0.01 && fresh(l.line)) : [];
        if (many.length > 1) return many.forEach((l) => push({ kind: 'line', line: l.line, at: m.from, share: ALL, named: true }));
        const line = choose(m.sense.lines, fc, additive);
        if (line === null) return;
        const rest = restOf.get(line);
        const target = share.kind === 'rest' && rest !== undefined && fresh(rest) ? rest : line;
        if (fresh(target)) {
          const i = share.kind === 'part' ? split(target, share.share, '') : target;
          return push({ kind: 'line', line: i, at: m.from, share: ALL, named: true });
        }
        const role = lines[target]!.role;
        also.add(target);
        if (role && (CARRIES.has(role) || mainOf(target))) asBowl(bowls[bowlOf[target]!]!, m.from, share);
        return;
      }
      if (m.sense.kind === 'product') {
        if (all[k - 1] && all[k - 1]!.to === m.from && all[k - 1]!.sense.kind === 'line') return;
        const bowl = productNamed(m.sense.name, fc);
        if (bowl) asBowl(bowl, m.from, share);
        return;
      }
      if (m.sense.kind === 'larder') {
        // 'The cream' of a dessert without any: the filling.
        const filling = m.phrase === 'cream' && !lines.some((l) => l.role === 'cream') ? latest((b) => b.place === 'mix' && (b.takes.size > 0 || holds(b, 'cheese'))) : null;
        if (filling) return asBowl(filling, m.from, share);
        const like = likeIt(m.sense.ingredient, lines);
        const line = like === null ? null : choose(like.map((l) => ({ line: l, strength: 1 })), fc, additive);
        if (line !== null) {
          if (fresh(line)) push({ kind: 'line', line: share.kind === 'part' ? split(line, share.share, '') : line, at: m.from, share: ALL, named: true });
          else {
            also.add(line);
            if (CARRIES.has(lines[line]!.role!)) asBowl(bowls[bowlOf[line]!]!, m.from, share);
          }
          return;
        }
        if (!hasList && verb !== 'serve' && namedAlone(m, c, m.sense.ingredient)) {
          const words = c.text.slice(c.words[m.from]!.start, c.words[m.to - 1]!.end);
          lines.push({ ...draftLine(words, { under: null, block: 1000 + index, start: fc.start, end: fc.end }, context), grams: null, fault: 'How much? The recipe does not say.', doubt: 'the recipe does not say how much' });
          bowlOf.push(null);
          stepOf.push(null);
          lexicon = lexiconOf(lines, context.larder);
          push({ kind: 'line', line: lines.length - 1, at: m.from, share: ALL, named: true });
        }
      }
    });
    for (const i of beside) push({ kind: 'line', line: i, at: items.find((x) => x.kind === 'line' && x.line > i)?.at ?? c.words.length, share: ALL, named: true });
    // 'When the purée is at 22 °C, whip the cream': the purée only says when.
    if (c.at > 0 && WHEN.test(c.text) && (verb === 'whip' || verb === 'whisk') && items.some((x) => x.at > c.at)) items.splice(0, items.length, ...items.filter((x) => x.at > c.at));
    // All that a list holds under this heading, or what is left of it.
    if (EVERYTHING.test(c.text) || (ALL_OF_IT.test(after) && items.length === 0 && bowls.every((b) => b.lines.size === 0))) {
      const heading = fc.section;
      const word = /\b(?:the )?(\w+) ingredients/i.exec(c.text)?.[1] ?? '';
      const named = lines.filter((l) => l.under !== null && sameHeading(l.under, word)).length > 0 ? word : heading;
      const open = lines.map((_, i) => i).filter((i) => fresh(i) && (named === null || sameHeading(lines[i]!.under, named)));
      const dry = /\bdry\b/i.test(word) ? open.filter((i) => ['sugar', 'starch', 'salt', 'cocoa', 'flavour', 'nut'].includes(lines[i]!.role!)) : open;
      for (const i of dry) push({ kind: 'line', line: i, at: c.words.length, share: ALL, named: false });
    }

    // 'Add the rest': of what was divided last.
    if (items.length === 0 && /^(?:\w+ )?(?:in )?the (?:rest|remainder)\b(?! of)/i.test(after)) {
      const open = [...restOf].filter(([of, rest]) => fresh(rest) && here()?.lines.has(of)).at(-1);
      if (open) push({ kind: 'line', line: open[1], at: c.words.length, share: ALL, named: true });
    }
    // A list stands with its step: 'Fold in.' below '250 g mango'.
    if (items.length === 0 && hasList && c.at >= 0 && steps.at(-1)?.start !== fc.start && /^(?:fold|stir|mix|beat|whisk|whip|add|combine|melt|heat|boil|blend|warm)$/.test(verb)) {
      const above = lines.map((_, i) => i).filter((i) => i < listed.length && fresh(i) && lines[i]!.start < fc.start && lines[i]!.start > (steps.at(-1)?.start ?? Infinity));
      for (const i of above) push({ kind: 'line', line: i, at: c.words.length, share: ALL, named: true });
    }
    // 'Melt the gelatin and beat in': into what it is for.
    const inHandGel = items.length === 0 && additive && /^(?:beat|stir|whisk|mix|fold) in[.,;]?$/i.test(after.trim()) ? here() : null;
    const goes = inHandGel && isWetOrGel(inHandGel) ? latest((b) => b !== inHandGel && b.placed === 'no' && b.place === 'mix' && !isWetOrGel(b) && b.lines.size + b.takes.size > 0) : null;
    if (inHandGel && goes) {
      push({ kind: 'bowl', bowl: inHandGel.id, at: c.at, share: ALL, named: false });
      current = goes.id;
    }
    // 'Take the cheese and stir it with the sugar', 'mix both': what was made ready before.
    const object = c.words.slice(c.at + 1, c.at + 3).map((w) => w.said).join(' ');
    if (c.at >= 0 && inHand.length > 0) {
      const open = inHand.filter((x) => (x.kind === 'line' ? fresh(x.line) : bowls[x.bowl]!.into === null));
      if (items.length === 0 && /^(?:mix|combine|stir|bind|blend|toss)(?: well| together)?[,.;]?$/i.test(after.trim())) for (const x of open) push({ ...x, at: c.at, share: ALL });
      else if (/^(?:it|them|this) in$/.test(object) && open.some((x) => x.kind === 'bowl' && x.bowl !== here()?.id)) for (const x of open.filter((y) => y.kind === 'bowl' && y.bowl !== here()?.id)) push({ ...x, at: c.at, share: ALL });
      else if (/^(?:both|the two|everything|them both)\b/.test(object) || (items.length === 0 && /^(?:all|together)\b/.test(object))) for (const x of open) push({ ...x, at: c.at, share: ALL });
      else if (items.length === 0 && /^(?:line|cover|top|layer|spread|fill)\b[^.;]*\bwith (?:it|them|this|these)\b/i.test(after)) for (const x of open.filter((y) => y.kind === 'line')) push({ ...x, at: c.at, share: ALL });
      else if (/^(?:mix|combine|stir|bind|blend|toss|pulse|process) (?:(?:well|them|it) )?(?:with|together)\b/i.test(after) || (items.length === 0 && /^(?:mix|combine|stir|bind|blend|toss) in\b/i.test(after))) for (const x of open.filter((y) => y.kind === 'line')) push({ ...x, at: c.at, share: ALL });
      else if (/^(?:it|them|this|these)\b/.test(object) && !(verb === 'fold' && here()?.air) && open.some((x) => x.kind === 'line')) for (const x of open.filter((y) => y.kind === 'line')) push({ ...x, at: c.at, share: ALL });
    }
    // 'Squeeze and dissolve in the hot custard': the gelatin that is in hand.
    const isGel = (b: Bowl): boolean => b.into === null && holds(b, 'gelatin') && [...b.lines].every((i) => ['gelatin', 'liquid'].includes(lines[i]!.role!)) && !items.some((y) => y.kind === 'bowl' && y.bowl === b.id);
    const gel = c.at >= 0 && items.length > 0 && /^(?:in|into|through)\b/.test(object) ? ([...inHand.flatMap((x) => (x.kind === 'bowl' ? [bowls[root(x.bowl)]!] : [])), ...(here() ? [here()!] : [])].find(isGel) ?? null) : null;
    if (gel) items.unshift({ kind: 'bowl', bowl: gel.id, at: c.at, share: ALL, named: false });
    // 'Dissolve it in the juice', 'spread over the berries': what is in hand goes there.
    const mine = here();
    const goesTo = c.at >= 0 && items.length > 0 && mine !== null && !items.some((x) => x.kind === 'bowl' && x.bowl === mine.id) ? c.words.findIndex((w, i) => i > c.at && DEST.has(w.said)) : -1;
    if (goesTo > 0 && mine && items.every((x) => x.at > goesTo) && ((/^(?:it|this|them|these|that)\b/.test(object) && goesTo <= c.at + 3) || (goesTo === c.at + (/ly$/.test(c.words[c.at + 1]?.said ?? '') ? 2 : 1) && ((c.words[goesTo]!.said !== 'in' && c.words[goesTo]!.said !== 'through' && !(c.words[goesTo]!.said === 'on' && verb === 'pour')) || /^(?:spread|spoon|pipe)$/.test(verb))))) items.unshift({ kind: 'bowl', bowl: root(mine.id), at: c.at, share: ALL, named: false });
    // 'Fold a third into the yolks to loosen, then the rest': of what is in hand.
    const into = c.at >= 0 && mine !== null && !gel && items.length > 0 && !items.some((x) => x.kind === 'bowl' && x.bowl === mine.id) ? c.words.findIndex((w, i) => i > c.at + 1 && i <= c.at + 5 && (w.said === 'into' || w.said === 'through')) : -1;
    if (into > 0 && mine && items.every((x) => x.at > into) && c.words.slice(c.at + 1, into).every((w) => SHARE_WORDS.has(w.said))) {
      const said = c.words.slice(c.at + 1, into).map((w) => w.said).join(' ');
      const share = /\b(?:rest|remainder|remaining)\b/i.test(c.text.slice(c.words[into]!.end)) ? undefined : FRACTIONS.find(([w]) => w.test(said))?.[1];
      items.unshift({ kind: 'bowl', bowl: root(mine.id), at: c.at, share: share === undefined ? ALL : { kind: 'part', share, said }, named: false });
    }
    // What it works on, for the verb to mean something.
    const involved = items.map((x) => (x.kind === 'line' ? { roles: new Set([lines[x.line]!.role]), bowl: null } : { roles: null, bowl: bowls[x.bowl]! }));
    const target = items.length === 0 || (items.every((x) => x.kind === 'line') && (additive || PRONOUN.test(after))) ? here() : null;
    const has = (...roles: Role[]): boolean => involved.some((x) => (x.bowl ? holds(x.bowl, ...roles) : roles.some((r) => x.roles!.has(r)))) || (target !== null && holds(target, ...roles));
    const on: WorkedOn = { cream: has('cream'), white: has('white'), yolk: has('yolk', 'egg'), butter: has('butter'), cheese: has('cheese'), gelatin: has('gelatin'), chocolate: has('chocolate'), built, chilled, late: BEFORE_SERVING.test(around) };
    let work = workOf(c, on);
    const temps = temperaturesIn(c.text, fahrenheit);
    const destAt = destinationOf(c, items);
    if (verb === 'pour' || verb === 'strain' || verb === 'sieve' || verb === 'tip' || verb === 'spoon' || verb === 'scrape' || verb === 'ladle') work = pouredInto(work, items, destAt, c, bowls, lines, here(), panIsTin);
    // Covered with something of the dessert, it is a layer of it; water and milk only cover.
    if (verb === 'cover' && work === 'hands' && items.length > 0 && /^cover\b[^.;]*\bwith\b/i.test(after) && items.every((x) => x.kind === 'bowl' || !['liquid', 'milk', 'drink'].includes(lines[x.line]!.role!))) work = 'fill';
    // Added while the machine runs, it is whisked.
    if (work === 'hands' && (additive || verb === 'pour' || verb === 'drizzle' || verb === 'stream') && WHILE_RUNNING.test(c.text)) work = on.butter || on.cheese ? 'beat' : on.cream || on.white || on.yolk || (mine !== null && holds(mine, 'cream', 'white', 'yolk')) ? 'whisk' : work;
    const step: FlowStep = { text: [fc.before, c.text, fc.after].filter(Boolean).join(' '), work, verb, minutes: minutesOf(c.text, work), temperature: temps[0] ?? null, machine: work === 'wait' && steps.at(-1)?.machine === 'oven' && /\boff\b/i.test(steps.at(-1)!.text) ? 'oven' : machineOf(work, c, electric), stage: stageIn(c.text), lines: new Set(), bowl: null, places: new Set(), section: fc.section, ahead: fc.ahead, start: fc.start, end: fc.end };
    const at = steps.length;
    steps.push(step);
    for (const i of also) {
      step.lines.add(i);
      stepOf[i] ??= at;
    }
    for (const x of items) if (x.kind === 'line') {
      step.lines.add(x.line);
      stepOf[x.line] ??= at;
    }
    apply(step, at, items, fc, { additive, destAt, after });
  });

  /** Does a step's work in the bowls. */
  function apply(step: FlowStep, at: number, items: readonly Item[], fc: FlowClause, how: { additive: boolean; destAt: number; after: string }): void {
    const { work, verb } = step;
    const c = fc.clause;
    const freshItems = items.filter((x) => x.kind === 'line');
    const bowlItems = items.flatMap((x) => (x.kind === 'bowl' ? [{ ...x, b: bowls[root(x.bowl)]! }] : []));
    const touch = (b: Bowl): void => {
      b.lastStep = at;
      step.bowl = b.id;
      b.stage = step.stage && (work === 'whisk' || work === 'beat') ? step.stage : b.stage;
      if (work === 'whisk') b.air = true;
      if (work === 'heat' || (step.temperature && step.temperature.of === 'mix' && step.temperature.c > 45)) {
        b.heated = true;
        if (step.temperature?.of === 'mix') b.hotC = Math.max(b.hotC ?? 0, step.temperature.c);
        if (/\bsteam|\bsimmering|\bdouble boiler|\bbain/i.test(c.text)) b.steam = true;
      }
      if (/\b(?:strain|sieve|sift)\b/.test(verb)) b.sieved = true;
    };
    const aheadOf = (): Bowl | null => here();

    // Preparing what is used later, and what has nothing in it.
    // 'Set aside 1 cup of it'.
    const ofIt = /\b(?:aside|reserve|keep(?: back)?|save|hold back|take out|scoop out)\s+(?:about |roughly )?(.{1,24}?) of (?:it|this|that|them)\b/i.exec(c.text)?.[1] ?? '';
    if (work === 'serve' || (items.length === 0 && ofIt === '' && ((work === 'hands' && !POURED_ON.test(how.after)) || work === 'finish'))) {
      if (work === 'finish') chilled = true;
      const b = aheadOf();
      if (b && b.placed === 'no' && work === 'hands' && verb !== 'preheat' && step.machine === null) step.bowl = b.id;
      return;
    }
    // A share that is kept for later.
    const keeps = /\b(?:reserve|set aside|keep(?! (?:going|beating|whisking|whipping|stirring|mixing|folding|on|at|an|the mixer|the heat|it moving|it cold))|save|put aside|hold back|scoop out|take out|lift out|set .{0,30} aside)\b/i.test(c.text) && !/\b(?:warm|cold|in the fridge until)\b/i.test(how.after.slice(0, 12));
    const from = bowlItems.find((x) => x.share.kind === 'part');
    if (keeps && (work !== 'fill' || verb === 'scoop')) {
      const said = amountsIn(c)[0];
      const source = from?.b ?? (bowlItems[0]?.b ?? ((said || ofIt !== '') && freshItems.length === 0 ? here() : null));
      if (source && (from || said || ofIt !== '')) {
        const kept = make(source.heading);
        kept.place = 'kept';
        kept.air = source.air;
        kept.keptSays = said ? amountText(said) : from ? (from.share.kind === 'part' ? from.share.said : '') : ofIt;
        kept.takenAt.set(source.id, at);
        kept.takes.set(source.id, from?.share.kind === 'part' ? from.share.share : (FRACTIONS.find(([w]) => w.test(ofIt))?.[1] ?? KEPT_SHARE));
        step.bowl = source.id;
        return;
      }
      // Lines that are kept for the top: '6 berries for the top'.
      if (freshItems.length > 0 && bowlItems.length === 0) return;
    }
    if (work === 'chill' || work === 'freeze' || work === 'wait' || work === 'bake') {
      const b = bowlItems.find((x) => x.b.place === 'mix')?.b ?? (freshItems.length > 0 || (built && isWetOnly(here())) ? null : here()) ?? latest((x) => x.placed !== 'no' && !isWetOnly(x));
      if (freshItems.length > 0 && !b) {
        const made = make(fc.section ?? lines[freshItems[0]!.line]!.under);
        for (const x of freshItems) addLineTo(x.line, made);
        touch(made);
        if (work === 'bake') bakes(made, step);
        current = made.id;
        return;
      }
      // 'Freeze in a lidded tub': there it stays.
      if (b && b.placed === 'no' && work === 'freeze' && /\b(?:tub|container|box|tin|mou?lds?|glasses|ramekins|terrine|dish)\b/i.test(c.text)) {
        b.placed = 'built';
        step.places.add(b.id);
        built = true;
      }
      if (b) {
        step.bowl = b.placed !== 'no' && work !== 'bake' ? null : b.id;
        if (work === 'bake') bakes(b, step);
        if (b.placed === 'no') b.lastStep = at;
      }
      if ((work === 'chill' || work === 'freeze') && built) chilled = true;
      return;
    }
    if (work === 'soak') return soaks(step, at, freshItems, bowlItems, fc);
    if (work === 'fill' || work === 'finish') return puts(step, at, freshItems, bowlItems, fc, how);

    const prepares = (PREPARES.has(verb) || (c.verb === null && freshItems.length === 1)) && bowlItems.length === 0 && work === 'hands' && !how.additive && how.destAt < 0;
    // 'Squeeze out the gelatin': what was soaked is ready, and what is in hand stays in hand.
    if (work === 'hands' && /^(?:squeeze|drain|lift|remove|take|wring)$/.test(verb) && freshItems.length === 0 && bowlItems.length === 1 && how.destAt < 0) {
      step.bowl = bowlItems[0]!.b.id;
      bowlItems[0]!.b.lastStep = at;
      inHand = [...inHand, { kind: 'bowl', bowl: bowlItems[0]!.b.id, at: 0, share: ALL, named: false }];
      return;
    }
    if (prepares) {
      inHand = [...inHand.filter((x) => x.kind === 'bowl'), ...freshItems];
      return;
    }

    // Mixing, whisking, heating, folding.
    const dests = how.destAt < 0 ? [] : items.filter((x) => x.at > how.destAt);
    const sources = how.destAt < 0 ? items : items.filter((x) => x.at <= how.destAt);
    const itWith = /^(?:mix|stir|combine|toss|bind|beat|whisk|blend) (?:it|them|this|these|those) (?:\w+ )?with\b/i.test(how.after) && !freshItems.some((x) => x.at <= c.at);
    const withIt = itWith || /\b(?:to|into|in|with|over) (?:it|them|this|that)\b/i.test(how.after);
    let bowl: Bowl | null = null;
    // 'Fold it in': what was just made goes into what waits for it.
    const poursBack = items.length === 0 && here() !== null && ((isWetOrGel(here()!) && /^(?:pour|stir|beat|whisk|mix|tip|scrape) (?:it|them|this|these|those) (?:back )?in(?:to)?\b/i.test(how.after)) || POURED_ON.test(how.after));
    const foam = (work === 'fold' || poursBack) && items.length === 0 && /^\w+ (?:it|this|them|these|those|that|in|through)\b/.test(how.after) ? here() : null;
    if (foam) {
      const waits = latest((b) => b !== foam && b.placed === 'no' && b.place === 'mix' && (b.lines.size > 0 || b.takes.size > 0));
      if (waits) bowlItems.push({ kind: 'bowl', bowl: foam.id, at: 0, share: ALL, named: false, b: foam });
      bowl = waits;
    }
    // 'Fold together', 'combine the two': the two that were made last.
    if (!bowl && items.length === 0 && /\btogether\b|\bthe two\b|\bboth\b/i.test(how.after) && (work === 'fold' || work === 'hands' || work === 'beat')) {
      const two = live().filter((b) => b.placed === 'no' && b.place === 'mix' && b.lines.size + b.takes.size > 0).sort((a, b) => b.lastStep - a.lastStep).slice(0, 2);
      if (two.length === 2) {
        for (const b of two) bowlItems.push({ kind: 'bowl', bowl: b.id, at: 0, share: ALL, named: false, b });
        bowl = baseOf(two);
      }
    }
    if (bowl) {
      // Found above.
    } else if (dests.length > 0) bowl = bowlFor(dests, fc);
    else if (withIt && here() && !bowlItems.some((x) => x.b === here()) && !/^(?:lighten|loosen|slacken|cover|top|fill|brush)$/.test(verb)) bowl = here();
    else if (/^(?:lighten|loosen|slacken)$/.test(verb)) bowl = bowlFor(sources.slice(0, 1), fc);
    else if (bowlItems.length > 0 && !how.additive) bowl = baseOf(bowlItems.filter((x) => x.share.kind === 'all').map((x) => x.b)) ?? bowlItems[0]!.b;
    if (!bowl && !(ownBowl && freshItems.length > 0) && (how.additive || withIt || (work === 'fold' && items.length <= 1))) {
      const mine = here();
      const own = bowlItems.map((x) => x.b);
      bowl = mine && !own.includes(mine) ? mine : (latest((b) => !own.includes(b) && b.placed === 'no' && b.lastStep < at && (fc.section === null || sameHeading(b.heading, fc.section))) ?? latest((b) => !own.includes(b) && b.placed === 'no'));
      if (mine && !own.includes(mine) && mine.placed !== 'no' && freshItems.length > 0) return puts({ ...step, work: 'fill' } as FlowStep, at, freshItems, bowlItems, fc, how);
    }
    if (ownBowl && freshItems.length > 0) {
      bowl = make(fc.section ?? lines[freshItems[0]!.line]!.under);
      ownBowl = false;
    }
    if (!bowl && freshItems.length > 0) {
      const mine = here();
      const separate = SEPARATE.test(c.text) || NEW_BOWL.test(c.text);
      // 'Whisk in the sugar', 'with the sugar': what has begun goes on, where it is no bowl of its own.
      const seasoning = freshItems.every((x) => ['sugar', 'flavour', 'salt', 'acid', 'sour', 'starch', 'setter'].includes(lines[x.line]!.role!));
      const starts = mine && mine.placed === 'no' && !separate && seasoning && !mine.heated && at - mine.lastStep <= 2 && sameBlock(mine, freshItems.map((x) => x.line)) && !startsFresh(work);
      bowl = starts ? mine : make(fc.section ?? lines[freshItems[0]!.line]!.under);
    }
    bowl ??= here();
    if (!bowl) return;
    const said = work === 'fold' || work === 'whisk' || work === 'beat' || work === 'hands' || work === 'heat';
    // What has been whisked or cooked stays what it is when something else of weight comes in: a new bowl takes both.
    const own = [...new Set(bowlItems.map((x) => x.b).filter((b) => b !== bowl))];
    // Folded in, what was only softened weighs like what is fresh.
    const folded = work === 'fold' ? own.filter((b) => !isFoamed(b) && !isCooked(b)).flatMap((b) => [...b.lines]) : [];
    // Wine or juice in a foam of yolks is of that foam.
    const thins = (i: number): boolean => ['drink', 'liquid', 'milk'].includes(lines[i]!.role!) && holds(bowl!, 'yolk', 'egg') && !holds(bowl!, 'cream', 'white');
    const heavy = folded.reduce((g, i) => g + weightOf(i), 0) + freshItems.filter((x) => !thins(x.line) && !sources.some((s) => s === x && dests.includes(x))).reduce((g, x) => g + weightOf(x.line), 0);
    const custard = own.some((b) => makesCustard(b, bowl!)) || (bowl.air && holds(bowl, 'yolk', 'egg') && !holds(bowl, 'white', 'cream') && freshItems.some((x) => ['milk', 'cream'].includes(lines[x.line]!.role!)) && /\b(?:hot|warm|boiling|scalded|steaming)\b/i.test(c.text));
    const keepsApart = said && !custard && (isFoamed(bowl) || isCooked(bowl)) && (own.some((b) => isFoamed(b) || isCooked(b)) || (heavy > 0.35 * Math.max(1, gramsIn(bowl, lines)) && bowl.lastStep < at && isFoamed(bowl) && work !== 'whisk' && !onlyButter(freshItems.map((x) => x.line), bowl)));
    if (keepsApart) {
      const made = make(fc.section ?? (bowl.heading && own.some((b) => b.heading === bowl!.heading) ? bowl.heading : null));
      made.takes.set(bowl.id, 1);
      made.takenAt.set(bowl.id, at);
      bowl.into = made.id;
      bowl = made;
    }
    for (const x of freshItems) addLineTo(x.line, bowl);
    for (const b of own) {
      const item = bowlItems.find((x) => x.b === b)!;
      give(b, bowl, item.share);
    }
    if (work === 'heat' && own.some((b) => holds(b, 'sugar') && b.hotC !== null && b.hotC > 100)) bowl.syrup = true;
    if (own.some((b) => (b.hotC ?? 0) > 100 || (b.heated && !holds(b, 'milk', 'cream') && holds(b, 'sugar')))) bowl.syrup = true;
    touch(bowl);
    current = bowl.id;
    const made = bowl;
    inHand = work === 'heat' && bowl.lines.size <= 1 ? [...inHand, { kind: 'bowl', bowl: bowl.id, at: 0, share: ALL, named: false }] : inHand.filter((x) => (x.kind === 'line' ? fresh(x.line) : x.bowl !== made.id && bowls[x.bowl]!.into === null));
  }

  /** Whether a line is most of the bowl that it is in: then its name is the bowl's. */
  function mainOf(i: number): boolean {
    const b = bowls[root(bowlOf[i]!)]!;
    const aside = b.lines.size <= 3 && ![...b.lines].some((j) => ['cream', 'cheese', 'yolk', 'white', 'egg', 'chocolate', 'milk', 'biscuit'].includes(lines[j]!.role!));
    return b.place === 'mix' && b.placed === 'no' && (aside || (lines[i]!.grams ?? 0) > 0.5 * gramsIn(b, lines)) && b.takes.size === 0;
  }

  /** Yolks and hot milk or cream: one custard, however the yolks were whisked and by whatever spoonfuls they were warmed. */
  function makesCustard(a: Bowl, b: Bowl): boolean {
    const eggs = (x: Bowl): boolean => holds(x, 'yolk', 'egg') && !holds(x, 'white') && !x.heated;
    const hot = (x: Bowl): boolean => x.heated && !x.air && holds(x, 'milk', 'cream');
    return (eggs(a) && hot(b)) || (eggs(b) && hot(a));
  }

  function weightOf(i: number): number {
    return (['flavour', 'salt', 'acid', 'gelatin', 'setter', 'sugar', 'sour', 'nut', 'starch', 'cocoa'].includes(lines[i]!.role!) ? 0 : (lines[i]!.grams ?? 0));
  }
  /** Enough of it to be a layer of its own. */
  function isWeighty(i: number): boolean {
    return (lines[i]!.grams ?? 0) >= LAYER_G;
  }
  function isFoamed(b: Bowl): boolean {
    return b.air && (holds(b, 'cream') || holds(b, 'white') || holds(b, 'yolk', 'egg'));
  }
  function isCooked(b: Bowl): boolean {
    // A caramel or a sauce of cream and much sugar.
    if (b.heated && !b.air && holds(b, 'cream', 'butter') && [...b.lines].reduce((g, i) => g + (lines[i]!.role === 'sugar' ? (lines[i]!.grams ?? 0) : 0), 0) > SAUCE_SUGAR * Math.max(1, gramsIn(b, lines))) return true;
    if (b.baked && holds(b, 'biscuit', 'nut') && !holds(b, 'cream', 'white')) return true;
    return b.heated && gramsIn(b, lines) > 60 && (holds(b, 'yolk', 'egg', 'chocolate', 'fruit') || (holds(b, 'milk') && holds(b, 'starch')));
  }
  /** Gelatin in what it was bloomed in, a syrup. */
  function isWetOrGel(b: Bowl): boolean {
    return !holds(b, 'cream', 'cheese', 'white', 'yolk', 'egg', 'chocolate', 'fruit', 'milk', 'starch', 'butter', 'biscuit');
  }
  /** A soak, a syrup: nothing that sets or stands. */
  function isWetOnly(b: Bowl | null): boolean {
    return b !== null && b.place !== 'layer' && b.place !== 'topping' && !holds(b, 'cream', 'cheese', 'white', 'yolk', 'egg', 'chocolate', 'fruit', 'milk', 'gelatin', 'setter', 'starch', 'butter', 'biscuit');
  }
  function onlyButter(list: readonly number[], b: Bowl): boolean {
    return list.every((i) => lines[i]!.role === 'butter' || weightOf(i) === 0) && holds(b, 'white', 'yolk', 'egg');
  }
  function sameBlock(b: Bowl, list: readonly number[]): boolean {
    return list.every((i) => [...b.lines].some((j) => lines[j]!.block === lines[i]!.block && lines[j]!.under === lines[i]!.under));
  }
  function startsFresh(work: StepWork): boolean {
    return work === 'heat';
  }

  /** Whether a bowl has been given another, itself or by what it took. */
  function holdsBowl(b: Bowl, other: Bowl): boolean {
    return [...b.takes.keys()].some((id) => id === other.id || (root(id) === other.id && !other.takes.has(id)) || holdsBowl(bowls[id]!, other));
  }

  /** All of a bowl, or a share of it, goes into another. */
  function give(from: Bowl, to: Bowl, share: Share): void {
    // A share of praline is in the filling; the rest goes on top of it: no circle.
    if (from === to || holdsBowl(from, to)) return;
    to.takenAt.set(from.id, steps.length - 1);
    // A few spoons to temper the other are no share of their own.
    const custard = makesCustard(from, to);
    if (custard) to.heated = true;
    if (!custard && share.kind === 'part' && /spoon|tbsp|tablespoon|tsp|ladle|dollop|little|bit/i.test(share.said)) return;
    if (!custard && share.kind === 'part') {
      to.takes.set(from.id, Math.min(1, (to.takes.get(from.id) ?? 0) + share.share));
      return;
    }
    const taken = bowls.reduce((sum, b) => sum + (b !== to ? (b.takes.get(from.id) ?? 0) : 0), 0);
    const same = [...from.lines].some((i) => [...to.lines].some((j) => lines[i]!.ingredient !== null && lines[i]!.ingredient.id === lines[j]!.ingredient?.id && ['fruit', 'cream', 'milk'].includes(lines[i]!.role!))) && !from.air;
    if ((!same && !custard && (isFoamed(from) || isCooked(from))) || from.takes.size > 0 || taken > 0) {
      to.takes.set(from.id, Math.max(0.01, 1 - taken));
      if (taken === 0) from.into = to.id;
      return;
    }
    // What was only softened, melted or soaked is part of what it goes into.
    for (const i of from.lines) {
      bowlOf[i] = to.id;
      to.lines.add(i);
    }
    if (from.hotC !== null && from.hotC > 100) to.syrup = true;
    // Hot milk or cream on chocolate: what it makes was heated.
    if (from.heated && !to.air && holds(to, 'milk', 'cream') && holds(to, 'chocolate')) to.heated = true;
    from.lines.clear();
    from.into = to.id;
  }

  /** The bowl that something goes into: one that is there, or what it is poured on. */
  function bowlFor(items: readonly Item[], fc: FlowClause): Bowl | null {
    const there = items.find((x) => x.kind === 'bowl');
    if (there?.kind === 'bowl') {
      const b = bowls[root(there.bowl)]!;
      for (const x of items) if (x.kind === 'line') addLineTo(x.line, b);
      return b;
    }
    const first = items.find((x) => x.kind === 'line');
    if (!first || first.kind !== 'line') return null;
    const b = make(fc.section ?? lines[first.line]!.under);
    for (const x of items) if (x.kind === 'line') addLineTo(x.line, b);
    return b;
  }

  /** Of several bowls that come together the one that the others go into: the heavier, without air. */
  function baseOf(list: readonly Bowl[]): Bowl | null {
    return [...list].sort((a, b) => Number(a.air) - Number(b.air) || gramsIn(b, lines) - gramsIn(a, lines))[0] ?? null;
  }

  function bakes(b: Bowl, step: FlowStep): void {
    b.baked = true;
    b.bakedC = step.temperature?.c ?? b.bakedC;
  }

  /** Gelatin in its water, biscuits in their soak, fruit in sugar, cream that draws. */
  function soaks(step: FlowStep, at: number, freshItems: readonly Item[], bowlItems: readonly { b: Bowl; at: number; share: Share }[], fc: FlowClause): void {
    const list = freshItems.flatMap((x) => (x.kind === 'line' ? [x.line] : []));
    const biscuits = list.filter((i) => lines[i]!.role === 'biscuit');
    const { verb } = step;
    const layerThere = latest((b) => b.place === 'layer');
    const dips = verb === 'dip' || verb === 'dunk' || verb === 'brush' || verb === 'moisten' || verb === 'drench' || biscuits.length > 0;
    if (dips) {
      const wet = list.filter((i) => lines[i]!.role !== 'biscuit');
      let layer: Bowl | null = null;
      if (biscuits.length > 0) {
        layer = make(lines[biscuits[0]!]!.under);
        layer.place = 'layer';
        for (const i of biscuits) addLineTo(i, layer);
      } else layer = layerThere;
      if (layer) {
        if (verb === 'brush' || verb === 'moisten') layer.brushed = true;
        else layer.dipped = true;
        layer.lastStep = at;
        step.bowl = layer.id;
        step.places.add(layer.id);
        layer.placed = 'built';
        built = true;
      }
      const waits = latest((b) => b.placed === 'no' && b.place !== 'layer' && b.place !== 'topping' && b.takes.size === 0 && (b.place === 'soak' || ([...b.lines].length > 0 && [...b.lines].every((i) => ['liquid', 'drink', 'sugar', 'sour', 'flavour'].includes(lines[i]!.role!)))));
      const bath = bowlItems.find((x) => x.b.place !== 'layer')?.b ?? (wet.length === 0 ? waits : null) ?? (wet.length > 0 ? make(fc.section ?? lines[wet[0]!]!.under) : null);
      if (bath && !holds(bath, 'cream', 'cheese', 'white', 'yolk')) {
        bath.place = 'soak';
        for (const i of wet) addLineTo(i, bath);
        bath.lastStep = at;
        step.places.add(bath.id);
      }
      return;
    }
    if (list.length === 0 && bowlItems.length === 0) {
      const b = here();
      if (b) step.bowl = b.id;
      return;
    }
    const old = bowlItems[0]?.b ?? null;
    const gel = list.some((i) => lines[i]!.role === 'gelatin' || lines[i]!.role === 'setter');
    const b = gel ? make(lines[list[0]!]!.under) : (old ?? make(fc.section ?? lines[list[0]!]!.under));
    for (const i of list) addLineTo(i, b);
    b.lastStep = at;
    step.bowl = b.id;
    current = b.id;
  }

  /** Layers, toppings, what is poured into a mould: nothing is mixed. */
  function puts(step: FlowStep, at: number, freshItems: readonly Item[], bowlItems: readonly { b: Bowl; at: number; share: Share }[], fc: FlowClause, how: { additive: boolean; after: string }): void {
    const late = step.work === 'finish' || chilled;
    // Onto paper or a sheet it only lies until it is baked, cooled or chopped.
    if (step.work === 'fill' && freshItems.length === 0 && /\b(?:baking (?:paper|sheet|tray|parchment)|lined (?:baking )?(?:tray|sheet)|parchment|silicone mat|marble|oiled (?:tray|sheet)|greaseproof)\b/i.test(fc.clause.text)) {
      const lies = bowlItems[0]?.b ?? here();
      if (lies) {
        step.bowl = lies.id;
        lies.lastStep = at;
        current = lies.id;
      }
      return;
    }
    // 'With two thirds of it and half a pound of raspberries': it is what was whipped last.
    const it = freshItems.length > 0 && bowlItems.length === 0 && /\b(?:of|with) (?:it|them)\b/i.test(fc.clause.text) ? here() : null;
    const laid = it?.air && it.place === 'mix' && it.placed === 'no' ? [...bowlItems, { b: it, at: 0, share: ALL }] : bowlItems;
    for (const { b } of laid) {
      b.placed = b.placed === 'built' && !late ? 'built' : late && b.placed === 'no' ? 'late' : b.placed === 'no' ? 'built' : b.placed;
      b.lastStep = at;
      step.places.add(b.id);
      if (pressesIn(step.verb, how.after)) b.pressed = true;
    }
    const named = new Map<number, number>(laid.map((x) => [x.b.id, x.at]));
    const list = freshItems.flatMap((x) => (x.kind === 'line' ? [x.line] : []));
    for (const i of list) {
      const role = lines[i]!.role;
      const laid = role === 'biscuit' && step.work === 'fill' && !/\b(?:crush|crumb|crumble|scatter|sprinkle|crumbled|crushed)\b/i.test(fc.clause.text);
      const mate = latest((b) => b.place === (laid ? 'layer' : 'topping') && [...b.lines].some((j) => lines[j]!.under === lines[i]!.under && (laid || lines[j]!.block === lines[i]!.block)) && (laid || (b.firstStep === at && ![...b.lines].some((j) => isWeighty(j) && isWeighty(i) && lines[j]!.ingredient?.category !== lines[i]!.ingredient?.category))));
      const b = mate ?? make(lines[i]!.under ?? fc.section);
      b.place = laid ? 'layer' : 'topping';
      addLineTo(i, b);
      b.placed = late ? 'late' : 'built';
      b.lastStep = at;
      step.places.add(b.id);
      named.set(b.id, Math.min(named.get(b.id) ?? Infinity, freshItems.find((x) => x.kind === 'line' && x.line === i)!.at));
    }
    // They lie in the order in which they are named: 'the fingers, the custard and the cream'.
    const inOrder = [...step.places].sort((a, b) => (named.get(a) ?? -1) - (named.get(b) ?? -1));
    step.places.clear();
    for (const b of inOrder) step.places.add(b);
    if (bowlItems.length === 0 && list.length === 0) {
      // 'Dip the fingers; line the mould': what was dipped is laid.
      const dipped = steps[at - 1]?.work === 'soak' && steps[at - 1]!.bowl !== null ? bowls[steps[at - 1]!.bowl!]! : null;
      const b = dipped?.place === 'layer' ? dipped : here();
      if (b === dipped && b) {
        b.lastStep = at;
        step.places.add(b.id);
      } else if (b && b.place === 'mix') {
        b.placed = b.placed === 'no' ? (late ? 'late' : 'built') : b.placed;
        b.lastStep = at;
        step.places.add(b.id);
        if (pressesIn(step.verb, how.after)) b.pressed = true;
      }
    }
    const main = bowlItems[0]?.b ?? (list.length === 0 ? here() : null);
    step.bowl = main && bowlItems.length <= 1 && list.length === 0 && (main.pressed || !built) ? main.id : null;
    if (main && main.place === 'mix') current = main.id;
    if (!(main?.pressed && bowlItems.length <= 1)) built = true;
  }

  function gramsOfSaid(said: SaidAmount, line: DraftLine): number | null {
    if (!line.ingredient) return null;
    const drafted = draftLine(`${amountText(said)} ${line.ingredient.aliases[0] ?? line.ingredient.name}`, line, context);
    return drafted.grams;
  }

  leftOvers();
  return gone.size === 0 ? { lines, bowls, steps, stepOf, doubts } : without(gone);

  /** The same without lines that are no longer of their own. */
  function without(dropped: ReadonlySet<number>): Flow {
    const now = new Map(lines.flatMap((_, i) => (dropped.has(i) ? [] : [i])).map((old, i) => [old, i]));
    const moved = (of: Set<number>): void => {
      const next = [...of].flatMap((i) => (now.has(i) ? [now.get(i)!] : []));
      of.clear();
      for (const i of next) of.add(i);
    };
    for (const b of bowls) moved(b.lines);
    for (const s of steps) moved(s.lines);
    const stays = (_: unknown, i: number): boolean => !dropped.has(i);
    return { lines: lines.filter(stays), bowls, steps, stepOf: stepOf.filter(stays), doubts: doubts.flatMap((d) => (now.has(d.line) ? [{ ...d, line: now.get(d.line)! }] : [])) };
  }

  /** Lines that no step names go where the rest of their list goes; what is for the top, to the end. */
  function leftOvers(): void {
    // 'Stream in a third of the cream', and the rest never named: it was for the same bowl.
    for (const [i, rest] of restOf) {
      if (bowlOf[rest] !== null || bowlOf[i] === null || restOf.has(rest)) continue;
      const whole = listed[i];
      if (!whole || !sameGrams((lines[i]!.grams ?? 0) + (lines[rest]!.grams ?? 0), whole.grams)) continue;
      lines[i] = whole;
      gone.add(rest);
    }
    lines.forEach((l, i) => {
      if (bowlOf[i] !== null || gone.has(i)) return;
      const heading = l.under;
      const prepared = stepOf[i] === null ? null : steps[stepOf[i]!]!;
      const mates = bowls.filter((b) => [...b.lines].some((j) => lines[j]!.under === heading && lines[j]!.block === l.block));
      const close = mates.filter((b) => b.place === 'mix').sort((a, b) => b.lines.size - a.lines.size)[0] ?? mates[0];
      const seasoning = ['sugar', 'flavour', 'salt', 'acid', 'sour', 'starch', 'setter', 'gelatin'].includes(l.role ?? '');
      const top = /\b(?:to (?:serve|finish|decorate|garnish|top)|for (?:the top|serving|dusting|decorat\w+|garnish\w*|sprinkling|topping)|garnish|topping)\b/i.test(`${l.written} ${heading ?? ''}`);
      let b: Bowl | null = null;
      if (!top && heading !== null && close) b = close;
      else if (!top && seasoning && close) b = close;
      else if (!top && close && prepared?.bowl != null) b = bowls[root(prepared.bowl)]!;
      if (!b) {
        const same = bowls.find((x) => x.place === 'topping' && x.lines.size > 0 && [...x.lines].some((j) => lines[j]!.under === heading && stepOf[j] === null) && heading !== null);
        b = same ?? make(heading);
        if (!same) b.place = l.role === 'biscuit' ? 'layer' : steps.length === 0 ? 'mix' : 'topping';
        if (steps.length === 0) b.place = 'mix';
      }
      b.lines.add(i);
      bowlOf[i] = b.id;
      if (stepOf[i] === null) {
        const own = steps.findIndex((s) => s.bowl === b!.id && s.lines.size > 0);
        const uses = own >= 0 ? own : steps.findIndex((s) => s.bowl !== null && root(s.bowl) === root(b!.id) && s.lines.size > 0);
        const places = steps.findIndex((s) => s.places.has(b!.id));
        const at = uses >= 0 ? uses : places >= 0 ? places : b.place === 'topping' ? steps.findLastIndex((s) => s.work === 'finish' || s.work === 'fill' || s.work === 'serve') : -1;
        if (at >= 0) {
          stepOf[i] = at;
          steps[at]!.lines.add(i);
        }
        if (steps.length > 0 && l.role !== null) doubts.push({ line: i, says: 'no step names it' });
      }
    });
  }
}

/** Pressed into a tin; not film that is pressed onto a custard. */
const pressesIn = (verb: string, after: string): boolean => (verb === 'press' || /\b(?:press|squash|tamp)/i.test(after)) && !/\b(?:press|squash|tamp)\w*\b[^.;]{0,30}\b(?:film|wrap|cling|clingfilm|paper|parchment|lid)\b/i.test(after);

const SHARE_WORDS = new Set('a an one about half third quarter fifth little spoonful dollop bit some of it this large big good spoonfuls few the rest remaining in two three thirds'.split(' '));

const KEPT_SHARE = 0.2;
/** From this share of sugar on, cooked cream or butter is a caramel, a sauce (house). */
export const SAUCE_SUGAR = 0.3;
/** From here on what is laid on something is a layer, g (house). */
const LAYER_G = 150;
const FRACTIONS: readonly (readonly [RegExp, number])[] = [
  [/three[- ]quarters|most|¾|3\/4/i, 0.75],
  [/two[- ]thirds|⅔|2\/3/i, 2 / 3],
  [/half|½|1\/2/i, 0.5],
  [/third|⅓|1\/3/i, 1 / 3],
  [/quarter|¼|1\/4/i, 0.25],
];

/** Amounts that say no share: 'a few', 'a spoonful', 'a little'. */
const forTop = (l: DraftLine): boolean => /\b(?:decorat\w*|garnish\w*|to (?:serve|finish|decorate|garnish)|for (?:the top|serving|decorating|dusting))\b/i.test(`${l.under ?? ''} ${l.written}`);
const VAGUE = /\b(?:few|couple|some|little|spoonful|handful|dollop|bit|knob|pinch)\b/i;

const sameGrams = (a: number | null, b: number | null): boolean => a !== null && b !== null && Math.abs(a - b) <= 0.02 * b;

const amountText = (said: SaidAmount): string => said.amount.text;

/** Whether an amount in a step of a recipe with a list is of something that the list lacks: measured, and surely known. */
function isNew(said: SaidAmount, context: LineContext): boolean {
  if (!said.amount.unit || said.amount.unit.dimension === 'piece' || said.amount.unit.dimension === 'pack' || said.definite) return false;
  const found = ingredientOf(said.text, context);
  return found.ingredient !== null && found.confidence >= SURE_FROM;
}

/** Lines that something of the larder may mean, though no line is it: the only ones of its role that end in the same word. */
function likeIt(ingredient: Ingredient, lines: readonly DraftLine[]): readonly number[] | null {
  const noun = keyOf(ingredient.name.replace(/\(.*?\)/g, '').split(',')[0]!).split(' ').at(-1);
  const found = lines.flatMap((l, i) => (l.ingredient && l.ingredient.category === ingredient.category && (l.ingredient.id.split('-')[0] === ingredient.id.split('-')[0] || keyOf(l.ingredient.name.replace(/\(.*?\)/g, '').split(',')[0]!).split(' ').at(-1) === noun) ? [i] : []));
  return found.length > 0 ? found : null;
}

/** Whether a thing that is only named is put in: not 'cold water' for a bath, nor a tin that is greased. */
const namedAlone = (m: Mention, c: Clause, ingredient: Ingredient): boolean =>
  ingredient.id !== 'water' && c.verb !== null && !/\b(?:grease|butter the|oil the|paper)\b/i.test(c.text) && !/\b(?:like|as|of a|no|for (?:the|a|an|this|my|our)(?: \w+)?)\s*$/i.test(c.text.slice(0, c.words[m.from]!.start)) && !['setting', 'starch'].includes(ingredient.category) && /\b(?:add|dust|sprinkle|scatter|top|with|drizzle|shave|grate|stir|in|and|some)\b/i.test(c.text);

/** What is in hand goes onto something that is not named. */
const POURED_ON = /^(?:pour|tip|strain|ladle) (?:it|this|that) (?:\w+ly )?(?:on|over)(?: (?:in a .{1,16}stream|gradually|slowly|bit by bit|while .*))?$/i;

/** Behind which word the place stands that something goes into; −1 where no such word stands before something that is named. */
function destinationOf(c: Clause, items: readonly Item[]): number {
  for (let i = Math.max(0, c.at + 1); i < c.words.length; i++) {
    if (!DEST.has(c.words[i]!.said)) continue;
    const { said } = c.words[i]!;
    if (said === 'to' && !/^(?:the|this|that|it|them|your|a)$/.test(c.words[i + 1]?.said ?? '')) continue;
    if (said === 'in' && ((i === c.at + 1 && !items.some((x) => x.at === c.at)) || !/^(?:the|this|that|it|them|your)$/.test(c.words[i + 1]?.said ?? ''))) continue;
    const behind = items.filter((x) => x.at > i);
    const ahead = items.filter((x) => x.at <= i);
    if (behind.length > 0 && ahead.length > 0) return i;
  }
  return -1;
}

/** Pouring mixes where it goes onto what is still in a bowl, and fills where it goes onto a base, biscuits or into a vessel. */
function pouredInto(work: StepWork, items: readonly Item[], destAt: number, c: Clause, bowls: readonly Bowl[], lines: readonly DraftLine[], here: Bowl | null, panIsTin: boolean): StepWork {
  const dests = items.filter((x) => x.at > destAt);
  const said = c.text.slice(c.words[Math.max(0, c.at)]?.start ?? 0);
  if (destAt < 0) {
    if (panIsTin && /\binto the (?:\w+ )?pan\b/i.test(c.text)) return work;
    if (/\b(?:in|into|to) (?:a|another|the|your)\b[^,.;]{0,30}\b(?:bowl|saucepan|pan|jug|mixer|processor|blender|cup)\b/i.test(c.text) && !/\bglass|\btin|\bdish|\bmou?ld|\bserving/i.test(c.text)) return 'hands';
    // 'Heat the milk, pour it on': onto the eggs that wait for it.
    if (POURED_ON.test(said) && items.length === 0 && here?.placed === 'no' && here.heated && bowls.some((b) => b !== here && b.into === null && b.placed === 'no' && b.place === 'mix' && !b.heated && [...b.lines].some((i) => ['yolk', 'egg'].includes(lines[i]!.role ?? '')))) return 'hands';
    // 'Pour on the hot milk': onto what is in hand.
    if (/^(?:\w+ly )?pour (?:on|over)\b/i.test(c.text) && here?.placed === 'no' && items.some((x) => x.kind === 'bowl' && x.bowl !== here.id && bowls[x.bowl]!.heated)) return 'hands';
    if (/^(?:\w+ly )?(?:pour|tip|scrape) in(?:to)? the (?:\w+ )?(?:crust|base|shell|case|tin|ring|mou?ld|glasses|dish)\b/i.test(said)) return work;
    if (/^(?:\w+ly )?(?:pour|tip|scrape) (?:it|them|this|these) back in\b/i.test(said)) return 'hands';
    if (/^(?:\w+ly )?(?:pour|tip|scrape) in\b/i.test(said)) return items.length > 0 && !items.some((x) => x.kind === 'bowl' && bowls[x.bowl] === here) ? 'hands' : work;
    return work;
  }
  const first = dests[0];
  if (!first) return work;
  if (first.kind === 'line') return ['biscuit', 'fruit'].includes(lines[first.line]!.role ?? '') ? work : 'hands';
  const b = bowls[first.bowl]!;
  return b.pressed || b.place === 'layer' || b.placed !== 'no' || b.baked ? work : 'hands';
}
