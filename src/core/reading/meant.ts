import type { Ingredient } from '../composition/ingredient';
import { roleOf, type Role } from '../larder/role';
import type { Bowl } from './bowls';
import { choose } from './choose';
import { MAKES_IT, type Clause } from './clauses';
import { draftLine, type DraftLine } from './lines';
import { split, type SaidLines } from './lines-said';
import { isProduct, type Mention } from './mentions';
import { productNamed } from './products';
import { sameHeading } from './rows';
import { BEFORE_SERVING } from './work';
import { keyOf } from './words';
import { ALL, type FlowClause, type Heard, type Item, type ListLabel, type Share, type Worktop } from './worktop';

/** What a clause works on: lines and bowls in the order of its words, and lines that it only names. */
export class Meant {
  readonly items: Item[] = [];
  readonly also = new Set<number>();

  constructor(private readonly w: Worktop) {}

  /** Adds what is not there yet. */
  push(item: Item): void {
    const same = (x: Item): boolean => (x.kind === 'line' ? item.kind === 'line' && x.line === item.line : item.kind === 'bowl' && x.bowl === item.bowl);
    if (!this.items.some(same)) this.items.push(item);
  }
  line(line: number, at: number, named = true): void {
    this.push({ kind: 'line', line, at, share: ALL, named });
  }
  bowl(b: Bowl, at: number, share: Share): void {
    this.push({ kind: 'bowl', bowl: this.w.root(b.id), at, share, named: true });
  }
  /** A line, or as much of it as is said, where no bowl has it yet. */
  some(line: number, at: number, share: Share, said = ''): void {
    this.line(share.kind === 'part' ? split(this.w, line, share.share, said) : line, at);
  }
}

/** A mention with what stands around it. */
interface Named {
  readonly m: Mention;
  readonly prev: Mention | undefined;
  readonly next: Mention | undefined;
  readonly share: Share;
  /** The words before it, from the last mention on. */
  readonly lead: string;
}

/** What the words of a clause mean here. @param said what its amounts are of. */
export function meantBy(w: Worktop, h: Heard, lexical: readonly Mention[], said: SaidLines): Meant {
  const meant = new Meant(w);
  const { c } = h;
  let prevEnd = 0;
  const spans = [...said.at.keys()].sort((a, b) => a - b);
  const all = [...lexical];
  for (const at of spans) if (!lexical.some((m) => m.from <= at && m.to > at)) all.push({ from: at, to: at + 1, phrase: '', sense: { kind: 'other' } });
  all.sort((a, b) => a.from - b.from);
  all.forEach((m, k) => {
    const key = spans.find((s) => s >= m.from && s < m.to);
    const named: Named = { m, prev: all[k - 1], next: all[k + 1], share: shareBefore(c, m, prevEnd), lead: c.text.slice(prevEnd, c.words[m.from]!.start) };
    const [begins, ends] = [c.words[m.from]!.start, c.words[m.to - 1]!.end];
    prevEnd = ends;
    if (key !== undefined) measured(w, meant, m.from, said.at.get(key)!);
    else if (m.sense.kind === 'label') lettered(w, meant, named, m.sense.letter);
    else if (m.sense.kind === 'line') listed(w, h, meant, named, m.sense.lines);
    else if (m.sense.kind === 'product') made(w, h, meant, named, m.sense.name);
    else if (m.sense.kind === 'other') waterOfTheList(w, h, meant, named);
    else if (m.sense.kind === 'larder' && !said.spans.some((s) => s.start <= begins && ends <= s.end)) unlisted(w, h, meant, named, m.sense.ingredient);
  });
  for (const i of said.beside) meant.line(i, meant.items.find((x) => x.kind === 'line' && x.line > i)?.at ?? c.words.length);
  return meant;
}

/** An amount of something. */
function measured(w: Worktop, meant: Meant, at: number, said: { readonly line: number; readonly share: Share }): void {
  const { line, share } = said;
  if (w.fresh(line)) return meant.some(line, at, share, share.kind === 'part' ? share.said : '');
  meant.also.add(line);
  const rest = w.restOf.get(line);
  if (rest !== undefined && w.fresh(rest)) {
    // '8 of the remaining cookies': of what is left.
    const part = share.kind === 'part' ? (share.share * (w.lines[line]!.grams ?? 0)) / Math.max(1, w.lines[rest]!.grams ?? 0) : 1;
    return meant.some(rest, at, part < 0.985 ? { kind: 'part', share: part, said: share.kind === 'part' ? share.said : '' } : ALL);
  }
  if (CARRIES.has(w.lines[line]!.role!)) meant.bowl(w.bowls[w.bowlOf[line]!]!, at, share.kind === 'part' ? share : ALL);
}

/** 'Dissolve the sugar in the hot water': that of its list, where it has one. */
function waterOfTheList(w: Worktop, h: Heard, meant: Meant, { m, lead }: Named): void {
  const dissolves =
    /^(?:hot|warm|boiling) water$/.test(m.phrase) &&
    /^(?:dissolve|mix|stir|whisk|combine|melt)$/.test(h.verb) &&
    /\b(?:in|into|with)\s+(?:the |your )?$/i.test(lead);
  // 'Hydrate the gelatin in the cold water', where the list has some: that.
  const swells = m.phrase === 'cold water' && /^(?:hydrate|soak|bloom|soften|sprinkle)$/.test(h.verb) && /\b(?:in|into|over|on)\s+the $/i.test(lead);
  if (!dissolves && !swells) return;
  const line = w.lines.findIndex((l, i) => w.fresh(i) && l.ingredient?.id === 'water' && (h.fc.section === null || sameHeading(l.under, h.fc.section)));
  if (line >= 0) meant.line(line, m.from);
}

/** A letter by which a list is called. */
function lettered(w: Worktop, meant: Meant, { m, share }: Named, letter: string): void {
  const { lines, bowl } = labelled(w, w.labels.get(letter)!);
  for (const i of lines) meant.line(i, m.from);
  if (bowl) meant.bowl(bowl, m.from, share);
}

/** A word of one or several lines: the line, where no bowl has it; else the bowl that it has become. */
function listed(
  w: Worktop,
  h: Heard,
  meant: Meant,
  { m, prev, next, share, lead }: Named,
  candidates: readonly { readonly line: number; readonly strength: number }[],
): void {
  const { c, fc, additive } = h;
  // 'For the cream, cook the milk': of that list, no cream.
  if (
    /^(?:then |and |now )?for (?:the|your)\s+$/i.test(c.text.slice(0, c.words[m.from]!.start)) &&
    /^[,:]$/.test(c.words[m.to]?.said ?? '') &&
    w.headings.some((x) => x.key === m.phrase)
  )
    return;
  const whipped = /whipped/.test(m.phrase) ? w.latest((b) => b.air && w.holds(b, 'cream')) : null;
  if (whipped) return meant.bowl(whipped, m.from, share);
  // 'The chocolate cream': what the chocolate has become, no cream besides.
  if (m.phrase === 'cream' && prev?.to === m.from && prev.sense.kind === 'line' && prev.sense.lines.every((l) => !w.fresh(l.line))) return;
  // 'Half the cream', where the list has cream in the name of a paste only: what was made of the cheese.
  const cheese =
    m.phrase === 'cream' && candidates.every((l) => w.lines[l.line]!.role !== 'cream')
      ? w.latest((b) => b.place === 'mix' && b.placed !== 'late' && w.holds(b, 'cheese'))
      : null;
  if (cheese) return meant.bowl(cheese, m.from, share);
  // 'Yellow cream', 'pastry cream': the custard.
  const custard =
    m.phrase === 'cream' && /\b(?:yellow|pastry)\s+$/i.test(lead)
      ? w.latest((b) => b.heated && !b.air && b.takes.size === 0 && w.holds(b, 'yolk', 'egg') && w.holds(b, 'milk', 'cream'))
      : null;
  if (custard) return meant.bowl(custard, m.from, share);
  if (/\b(?:no|without|not|like|as|instead of|than)\s+(?:the |any )?$/i.test(lead) || /\b(?:colou?r|consistency|texture|thickness) of\s*$/i.test(lead)) return;
  // 'Pour over the hot cream', where another list has cream too: that which was heated.
  const heated =
    /^(?:cream|milk)$/.test(m.phrase) && /\b(?:hot|boiling|scalded|steaming)\s+$/i.test(lead)
      ? w.latest((b) => b.heated && !b.air && b.placed === 'no' && b.place === 'mix' && w.holds(b, 'cream', 'milk') && !w.holds(b, 'yolk', 'egg', 'chocolate'))
      : null;
  if (heated) return meant.bowl(heated, m.from, share);
  // 'The warm juice': what was pressed from the fruit, not the lemon's of the list.
  const pressed =
    m.phrase === 'juice' && /\b(?:warm|hot|strained|sieved|pressed)\s+$/i.test(lead)
      ? w.latest((b) => b.heated && b.placed === 'no' && w.holds(b, 'fruit'))
      : null;
  if (pressed) return meant.bowl(pressed, m.from, share);
  // 'Whisk to a paste': how it is then.
  if (m.phrase === 'paste' && /\b(?:to|into|as|like) an? (?:\w+ )?$/i.test(lead)) return;
  // 'Onto the whipping yolks': they are being whipped, with no cream.
  if (m.phrase === 'whipping' && /^(?:egg )?(?:yolk|white|egg)s?$/.test(next?.phrase ?? '')) return;
  // 'Until white': a colour.
  if (m.phrase === 'white' && WHITENS.test(lead)) return;
  // 'The juice of the lemons', of which only the zest was named.
  const zested =
    !w.hasList && /\bjuice of (?:the|those|these|both|all the|your)\s+$/i.test(lead)
      ? candidates.map((l) => /\b(?:zest|peel|rind) of (.+)$/i.exec(w.lines[l.line]!.text)?.[1]).find(Boolean)
      : undefined;
  if (zested && !w.lines.some((l) => /juice of/i.test(l.text) && l.text.endsWith(zested))) {
    const i = w.addLine({
      ...draftLine(`juice of ${zested}`, { under: null, block: 1000 + h.index, start: fc.start, end: fc.end }, w.context),
      written: `juice of ${zested}`,
    });
    w.relearn();
    return meant.line(i, m.from);
  }
  // 'Until it leaves a trail': what it does, no leaf of gelatine.
  if (/^(?:leaves|leaf)$/.test(m.phrase) && /\b(?:it|which|that|they|whisk|beaters?|mixture|mix|foam)\s+$/i.test(lead)) return;
  const become = next && next.from === m.to && next.sense.kind === 'product' ? becomeOf(w, fc, candidates, next.sense.name) : null;
  if (become) return meant.bowl(become, m.from, share);
  const both = m.phrase === 'egg' ? candidates.filter((l) => l.strength < 1) : [];
  if (both.length > 0 && candidates.every((l) => l.strength <= 2 && (w.lines[l.line]!.role === 'yolk' || w.lines[l.line]!.role === 'white'))) {
    for (const l of candidates) meant.also.add(l.line);
    return;
  }
  const several = share.kind === 'all' ? allOfThem(w, c.words[m.to - 1]!.said, candidates) : [];
  if (several.length > 1) return several.forEach((i) => meant.line(i, m.from));
  // 'Then the berries with their juice': what was made of them, not those that were kept.
  const juicy = /^\s*,? with (?:all )?(?:their|its|the) juices?\b/i.test(c.text.slice(c.words[m.to - 1]!.end))
    ? w.latest((b) => b.place === 'mix' && b.placed === 'no' && candidates.some((l) => b.lines.has(l.line)))
    : null;
  if (juicy) return meant.bowl(juicy, m.from, share);
  // 'The crushed fruit': what was crushed, not what is whole.
  const crushed =
    additive && /\b(?:crushed|mashed|sieved|blitzed|pur[ée]ed)\s+$/i.test(lead)
      ? w.latest((b) => b.place === 'mix' && b.placed === 'no' && candidates.some((l) => b.lines.has(l.line)))
      : null;
  if (crushed) return meant.bowl(crushed, m.from, share);
  const line = choose(w, candidates, fc, additive);
  if (line === null) return;
  // 'Scatter most of the cherries, pour the custard over the cherries': over those that lie there, though some wait for the top.
  const lies =
    share.kind === 'all' && w.fresh(line) && prev && prev.from > c.at && /\b(?:over|onto|on top of)\s+(?:the |your )?$/i.test(lead)
      ? [...w.restOf].find(([of, r]) => r === line && w.bowlOf[of] != null && w.bowls[w.root(w.bowlOf[of]!)]!.placed !== 'no')
      : undefined;
  if (lies) return meant.bowl(w.bowls[w.root(w.bowlOf[lies[0]]!)]!, m.from, share);
  const rest = w.restOf.get(line);
  // 'The remaining cream': what is left of a divided line, else one that nothing has taken yet.
  const untouched =
    share.kind === 'rest' && rest === undefined && !w.fresh(line)
      ? candidates.find(
          (l) =>
            w.fresh(l.line) &&
            w.lines[l.line]!.role === w.lines[line]!.role &&
            // 'The remaining ladyfingers' are no gingersnaps, though both are biscuits.
            (l.strength > 1 || w.lines[l.line]!.ingredient?.id === w.lines[line]!.ingredient?.id),
        )?.line
      : undefined;
  // 'A quarter of the cream', where a cup of it waits for the sauce: what was whipped of it is laid.
  const foam =
    (share.kind !== 'rest' || w.clauses.slice(h.index + 1).some((x) => WHIPS_THE_REST.test(x.clause.text))) &&
    m.phrase === 'cream' &&
    c.verb?.work === 'fill' &&
    c.verb.base !== 'pour' &&
    [...w.restOf.values()].includes(line)
      ? w.latest((b) => b.air && b.placed !== 'late' && w.holds(b, 'cream'))
      : null;
  if (foam) return meant.bowl(foam, m.from, share);
  const target = untouched ?? (share.kind === 'rest' && rest !== undefined && w.fresh(rest) ? rest : line);
  if (w.fresh(target)) {
    // 'With a spoonful of the cream': little of it, the rest comes later.
    const little =
      share.kind === 'all' && w.hasList && A_LITTLE_OF.test(lead) && LATER_REST.test(w.said) ? { kind: 'part' as const, share: LITTLE, said: '' } : share;
    meant.some(target, m.from, little);
    for (const i of dissolvedIn(w, target)) meant.line(i, m.from, false);
    return;
  }
  const role = w.lines[target]!.role;
  meant.also.add(target);
  // 'And a few strawberries': some more of them, not the purée that the others have become.
  if (A_FEW.test(lead)) return;
  if (role && (CARRIES.has(role) || isProduct(m.phrase) || w.mainOf(target))) meant.bowl(w.bowls[w.bowlOf[target]!]!, m.from, share);
}

/** 'Whip the remaining 1/2 cup cream': what is laid before that is of the cream that was whipped. */
const WHIPS_THE_REST = /\b(?:whip|whisk|beat) (?:up )?(?:the |your )?(?:remaining|reserved|rest of the|last of the) (?:[\p{L}\d/½¼⅓]+ ){0,3}cream\b/iu;

/** Words behind which white is a colour that a mix comes to. */
const WHITENS = /\b(?:till?|until|to|turns?|almost|nearly|very|is|are|goes)\s*$/i;
/** Of 'espresso powder dissolved in 1 tbsp water' the water, where its row says that it goes with it. */
function dissolvedIn(w: Worktop, line: number): readonly number[] {
  const { written, start } = w.lines[line]!;
  if (!/\bgelatine? mass\b|\b(?:dissolved|soaked|bloomed|mixed|stirred|softened|prepared|made)\b[^,;]{0,16}\b(?:in|with)\s+\d|\S\s*\+\s*\d/i.test(written))
    return [];
  return w.lines.flatMap((l, i) =>
    i !== line && l.written === written && l.start === start && w.fresh(i) && ['liquid', 'milk', 'drink'].includes(l.role ?? '') ? [i] : [],
  );
}

/** 'A spoonful of the cream', of which the rest is spoken of too. */
const A_LITTLE_OF = /\b(?:a (?:spoon(?:ful)?|little|bit|splash)|some|two spoonfuls) of (?:the|your|that)\s+$/i;
const LATER_REST = /\bthe (?:rest|remainder|remaining)\b/i;
/** Of what a spoonful is taken from (house). */
const LITTLE = 0.05;
const A_FEW = /\b(?:a few|a handful of|some(?: more)?|a couple of|extra|a little more)\s+(?:\w+ )?$/i;

/** 'The cream mixture', 'the lemon custard': what has become of it. */
function becomeOf(w: Worktop, fc: FlowClause, candidates: readonly { readonly line: number }[], product: string): Bowl | null {
  const owner = candidates
    .map((l) => l.line)
    .filter((i) => !w.fresh(i))
    .sort((a, b) => (w.stepOf[b] ?? 0) - (w.stepOf[a] ?? 0))[0];
  // 'The raspberry sauce', of two fruits: that with the raspberries in it.
  const own =
    owner !== undefined && /^(?:sauce|coulis|puree|pulp|compote|syrup|glaze|jelly|reduction)$/.test(product) ? w.bowls[w.root(w.bowlOf[owner]!)]! : null;
  if (own && own.place === 'mix' && own.takes.size === 0 && !w.holds(own, 'cream', 'cheese', 'egg', 'yolk', 'white')) return own;
  const known = /^(?:mixture|mix|foam|batter|layer|liquid|paste)$/.test(product) ? null : productNamed(w, product, fc);
  return known ?? (owner === undefined ? null : w.bowls[w.root(w.bowlOf[owner]!)]!);
}

/** 'The spices', 'the sugars': all of them that are still there. */
function allOfThem(w: Worktop, plural: string, candidates: readonly { readonly line: number; readonly strength: number }[]): readonly number[] {
  if (/^(?:creams|milks|sugars|chocolates|juices|zests|extracts)$/.test(plural)) {
    const roles = new Set(candidates.map((x) => w.lines[x.line]!.role));
    const alike = w.lines.flatMap((l, i) =>
      w.fresh(i) && roles.has(l.role) && l.ingredient !== null && ` ${keyOf(l.written)} `.includes(` ${keyOf(plural)} `) ? [i] : [],
    );
    if (alike.length > 1) return alike;
  }
  // 'The three milks': all of the list that is called so.
  const named = w.lines.flatMap((l, i) => (w.fresh(i) && l.under !== null && keyOf(l.under) === keyOf(plural) ? [i] : []));
  if (/s$/.test(plural) && named.length > 1) return named;
  if (!/^(?:spices|flavourings|nuts|fruits?|berries|juices|zests|liqueurs|spirits)$/.test(plural)) return [];
  const top = Math.max(...candidates.map((x) => x.strength)) - 0.01;
  // A paste of nuts is none of 'the nuts'.
  return candidates
    .filter((l) => l.strength >= top && w.fresh(l.line) && !(plural === 'nuts' && /\b(?:paste|butter|purée|puree)\b/i.test(w.lines[l.line]!.written)))
    .map((l) => l.line);
}

/** A word for something that the work made. */
function made(w: Worktop, h: Heard, meant: Meant, { m, prev, share, lead }: Named, name: string): void {
  if (prev && prev.to === m.from && prev.sense.kind === 'line') return;
  // 'Make a caramel with …': it is made now.
  if ((h.verb === 'make' && m.from <= h.c.at + 4) || (m.to <= h.c.at && MAKES_IT.test(h.c.text))) return;
  // 'Chill while you make the filling': it is made afterwards.
  if (
    /\b(?:while|as|before) (?:you |i |we )?(?:make|making|prepare|preparing|get on with|do)\s+(?:the|your)\s+$/i.test(
      h.c.text.slice(0, h.c.words[m.from]!.start),
    )
  )
    return;
  // 'Line the base of a tin': a place.
  if (
    /^(?:line|grease|butter|oil|flour|paper)$/.test(h.verb) &&
    /^(?:base|bottom|top|layer)$/.test(m.phrase) &&
    h.c.words[m.to]?.said === 'of' &&
    /^(?:an?|the|your|each)$/.test(h.c.words[m.to + 1]?.said ?? '')
  )
    return;
  // 'Cook the milk and yolks to a custard': what they become.
  if (/\b(?:to|into|as|like|(?:to |and )(?:form|make|get|give|obtain)) an? (?:[\p{L}-]+ )?$/iu.test(lead)) return;
  // 'All the filling ingredients': its list, nothing that was made.
  if (/^(?:ingredients?|stuff|things|bits)$/.test(h.c.words[m.to]?.said ?? '')) return;
  // 'Boil the cream for the glaze': what it is for.
  if (/\bfor (?:the|a|your)\s+$/i.test(lead)) return;
  // 'The reserved filling': what was kept of it.
  const kept = /\b(?:reserved|kept|saved)\s+$/i.test(lead) ? w.bowls.findLast((b) => b.place === 'kept' && b.placed === 'no') : undefined;
  // 'The yellow custard', where half of it has become another.
  const plain = /\b(?:yellow|plain|white|pale)\s+$/i.test(lead) ? productNamed(w, 'plain', h.fc) : null;
  // 'Fold the cream into the base', where nothing is pressed: what was whisked or cooked before.
  const base =
    name === 'base' && !w.live().some((b) => b.pressed)
      ? w.latest(
          (b) => b !== w.here() && b.placed === 'no' && b.place === 'mix' && w.holds(b, 'yolk', 'egg', 'milk', 'chocolate', 'fruit') && (b.air || b.heated),
        )
      : null;
  const bowl = kept ?? plain ?? productNamed(w, name, h.fc) ?? base;
  if (bowl) return meant.bowl(bowl, m.from, share);
  // 'Sieve the berries. Warm a third of the purée': of the fruit that was made ready.
  const fruit = /^(?:puree|pulp|coulis)$/.test(name)
    ? w.inHand.flatMap((x) => (x.kind === 'line' && w.fresh(x.line) && w.lines[x.line]!.role === 'fruit' ? [x.line] : []))
    : [];
  if (fruit.length > 0) return fruit.forEach((i) => meant.some(i, m.from, share));
  // 'Purée, eggs, yolks to 82 °C', of a list that has one: that.
  const pulps = /^(?:puree|pulp|coulis)$/.test(name) ? w.lines.flatMap((l, i) => (w.fresh(i) && l.role === 'fruit' ? [i] : [])) : [];
  if (pulps.length === 1) return meant.some(pulps[0]!, m.from, share);
  // 'Brush with the glaze': what its list holds, which nothing has been done with yet.
  if (/(?:\b(?:the|your|with|mix|press|combine)|\bw\/)\s*$/i.test(lead))
    w.lines.forEach((l, i) => {
      if (w.fresh(i) && l.under !== null && sameHeading(l.under, name) && h.verb !== 'make') meant.line(i, m.from);
    });
}

/** A thing of the larder that no line is: the line that it may mean, or a line of its own where there is no list. */
function unlisted(w: Worktop, h: Heard, meant: Meant, { m, share, lead }: Named, ingredient: Ingredient): void {
  const { c, fc } = h;
  if (m.phrase === 'white' && WHITENS.test(lead)) return;
  // 'The cream' of a dessert without any: the filling.
  const filling =
    m.phrase === 'cream' && !w.lines.some((l) => l.role === 'cream') ? w.latest((b) => b.place === 'mix' && (b.takes.size > 0 || w.holds(b, 'cheese'))) : null;
  if (filling) return meant.bowl(filling, m.from, share);
  // 'The blackberry purée', which the larder has too: what the blackberries have become.
  const [noun = '', ...of] = m.phrase.split(' ').reverse();
  const own = isProduct(noun) ? w.lexicon.senses.get(of.reverse().join(' ')) : undefined;
  const become = own?.kind === 'line' ? becomeOf(w, fc, own.lines, noun) : null;
  if (become) return meant.bowl(become, m.from, share);
  const like = likeIt(ingredient, w.lines);
  const line =
    like === null
      ? null
      : choose(
          w,
          like.map((l) => ({ line: l, strength: 1 })),
          fc,
          h.additive,
        );
  if (line !== null) {
    if (w.fresh(line)) return meant.some(line, m.from, share);
    meant.also.add(line);
    if (CARRIES.has(w.lines[line]!.role!)) meant.bowl(w.bowls[w.bowlOf[line]!]!, m.from, share);
    return;
  }
  // 'You make a madeira first': a cake, no wine.
  const makes = h.verb === 'make' && /^\s*(?:a|an|the|your)\s*$/i.test(lead.replace(/^.*\bmake\b/i, ''));
  // 'Serve with a dusting of cocoa': that much is still done.
  const served = h.verb === 'serve' && !/\b(?:dusting|sprinkling|grating|scattering|drizzle|dollop|spoonful) of\s+$/i.test(lead);
  // 'First the honeycomb: …', and 'half of the honeycomb' later: what was made of it.
  const told = w.hasList ? null : w.latest((b) => b.heading !== null && keyOf(b.heading) === m.phrase && b.lines.size + b.takes.size > 0);
  if (told) return meant.bowl(told, m.from, share);
  if (w.hasList || makes || served || !namedAlone(m, c, ingredient)) return;
  const words = c.text.slice(c.words[m.from]!.start, c.words[m.to - 1]!.end);
  const i = w.addLine({
    ...draftLine(words, { under: null, block: 1000 + h.index, start: fc.start, end: fc.end }, w.context),
    grams: null,
    fault: 'How much? The recipe does not say.',
    doubt: 'the recipe does not say how much',
  });
  w.relearn();
  meant.line(i, m.from);
}

/** The mentions of a clause with the letters that lists are called by. */
export const withLabels = (w: Worktop, named: readonly Mention[], c: Clause): readonly Mention[] => {
  if (w.labels.size < 2) return named;
  const letters = c.words.flatMap((word, i): Mention[] => {
    const letter = c.text.slice(word.start, word.end);
    // 'To 80 C': degrees.
    return w.labels.has(letter) && i > 0 && !/\d|°/.test(c.words[i - 1]!.said)
      ? [{ from: i, to: i + 1, phrase: letter, sense: { kind: 'label', letter } }]
      : [];
  });
  return [...named.filter((m) => !letters.some((l) => l.from >= m.from && l.from < m.to)), ...letters].sort((a, b) => a.from - b.from);
};

/** What a letter stands for now: its lines, or the bowl that most of them are in. */
const labelled = (w: Worktop, label: ListLabel): { readonly lines: readonly number[]; readonly bowl: Bowl | null } => {
  const own = 'line' in label ? [label.line] : w.lines.flatMap((l, i) => (l.under === label.under ? [i] : []));
  const open = own.filter(w.fresh);
  const held = own.find((i) => !w.fresh(i));
  return { lines: open, bowl: open.length === 0 && held !== undefined ? w.bowls[w.root(w.bowlOf[held]!)]! : null };
};

/** The share of what is named that the words before it say. */
const shareBefore = (c: Clause, m: Mention, prevEnd: number): Share => {
  const lead = c.text.slice(prevEnd, c.words[m.from]!.start);
  if (/\b(?:then|and|and then|followed by) (?:fold in )?(?:the )?(?:rest|remainder|remaining)\b/i.test(c.text.slice(c.words[m.to - 1]!.end))) return ALL;
  if (REST.test(lead) || /\bother (?:half|third)\b/i.test(lead)) return { kind: 'rest' };
  const tail =
    /\b(half|(?:a |one )?third|two[- ]thirds|(?:a |one )?quarter|three[- ]quarters|most|¼|½|¾|⅓|⅔|\d\/\d)(?: of)?(?: the| your| that| this)?\s*$/i.exec(lead);
  if (tail) {
    const n = FRACTIONS.find(([w]) => w.test(tail[1]!))?.[1];
    if (n !== undefined) return { kind: 'part', share: n, said: tail[1]! };
  }
  return ALL;
};

const REST = /\b(?:remaining|rest of|last of|end of|remainder of|other half of|what(?:'s| is) left of|leftover|reserved)\b[^,]{0,22}$/i;

/** Roles of which a word stands for the bowl once they are in it: 'the cream' is what the cream has become. */
const CARRIES = new Set<Role>(['cream', 'yolk', 'white', 'egg', 'cheese', 'chocolate', 'fruit', 'gelatin', 'butter', 'milk', 'setter', 'biscuit']);
/** Shares as they are said. */
export const FRACTIONS: readonly (readonly [RegExp, number])[] = [
  [/three[- ]quarters|most|¾|3\/4/i, 0.75],
  [/two[- ]thirds|⅔|2\/3/i, 2 / 3],
  [/half|½|1\/2/i, 0.5],
  [/third|⅓|1\/3/i, 1 / 3],
  [/quarter|¼|1\/4/i, 0.25],
];

/** Lines that something of the larder may mean, though no line is it: the only ones of its role that end in the same word. */
function likeIt(ingredient: Ingredient, lines: readonly DraftLine[]): readonly number[] | null {
  const noun = keyOf(ingredient.name.replace(/\(.*?\)/g, '').split(',')[0]!)
    .split(' ')
    .at(-1);
  const found = lines.flatMap((l, i) =>
    l.ingredient &&
    l.ingredient.category === ingredient.category &&
    (ingredient.category !== 'egg' || l.role === roleOf(ingredient)) &&
    (l.ingredient.id.split('-')[0] === ingredient.id.split('-')[0] ||
      keyOf(l.ingredient.name.replace(/\(.*?\)/g, '').split(',')[0]!)
        .split(' ')
        .at(-1) === noun)
      ? [i]
      : [],
  );
  return found.length > 0 ? found : null;
}
/** Whether a thing that is only named is put in: not 'cold water' for a bath, nor a tin that is greased. */
const namedAlone = (m: Mention, c: Clause, ingredient: Ingredient): boolean =>
  ingredient.id !== 'water' &&
  (c.verb !== null || BEFORE_SERVING.test(c.text) || /\b(?:over|on top)\W*$/i.test(c.text)) &&
  !/\b(?:grease|butter the|oil the|paper)\b/i.test(c.text) &&
  !/\b(?:like|as|of a|no|for (?:the|a|an|this|my|our)(?: \w+)?)\s*$/i.test(c.text.slice(0, c.words[m.from]!.start)) &&
  !['setting', 'starch'].includes(ingredient.category) &&
  // 'Cocoa before it goes out.'
  ((c.verb === null && (m.from === 0 || /\b(?:over|on top)\W*$/i.test(c.text))) ||
    /\b(?:add|dust|sprinkle|scatter|top|with|drizzle|shave|grate|stir|in|and|some|dip|dunk|line|lay|layer)\b/i.test(c.text));
