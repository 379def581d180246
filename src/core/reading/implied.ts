import type { Role } from '../larder/role';
import { draftLine } from './lines';
import type { Bowl } from './bowls';
import { BARE_POUR } from './mixing';
import { FRACTIONS, type Meant } from './meant';
import { sameHeading } from './rows';
import { ALL, DEST, type Heard, type Item, type Share, type Worktop } from './worktop';

const EVERYTHING =
  /^all in(?:to)?\b|\b(?:all (?:of )?the (?:other |remaining |rest of the )?(?:\w+ )?ingredients?|all (?:the )?ingredients|everything(?: else)? (?:in|into|together)|(?:the )?(?:remaining|other|dry|wet) ingredients|(?:the )?\w+ (?:ingredients|stuff|things|bits)|ingredients together|all of it together|(?:everything|all (?:of it|(?:of )?the (?:\w+ )?ingredients)) (?:but|bar|except(?: for)?|apart from))\b/i;
/** 'Whisk everything', where nothing is in a bowl yet. */
const ALL_OF_IT = /^(?:whisk|whip|beat|mix|stir|put|combine|blend|tip|place|heat|warm|melt|boil) (?:\w+ly )?(?:everything|all|it all|the lot)\b/i;
/** An amount of nothing that is named: 'blitz 600 g with the sugar'. */
const BARE_MASS =
  /^\w+ (?:about |roughly )?(\d[\d.,]*\s?(?:g|grams?|kg|ml|oz|lb)\b|\d{2,4}(?= of it\b))(?: of (?:them|those|it|these))?\s+(?:with|in|to|until|till|and)\b/i;
/** 'Rub together', below the list that it is of. */
const TOGETHER = /^(?:rub|mix|stir|blend|combine|pulse|beat|whisk) (?:\w+ )?together\b/i;
const WHEN = /^(?:when|once|as soon as|after|while|if)\b/i;
const THROUGH_THE_REST = /^fold (?:it |this |that |them )?(?:in|into|through|with) (?:the )?(?:rest|remainder)\b(?! of)/i;
const REMAINDER = /^(?:fold|stir|mix|whisk) (?:it )?(?:in|through) (?:the )?(?:rest|remainder|remaining)\W*$/i;
const WITH_IT = /^(?:heat|warm|boil|simmer|cook|infuse|scald) (?:it|that|this|them) with\b/i;
const SHARE_WORDS = new Set(
  'a an one about half third quarter fifth little spoonful dollop bit some of it this large big good spoonfuls few the rest remaining in two three thirds that them this'.split(
    ' ',
  ),
);

/** 'Keep back a few of the berries. Crush the rest with the sugar.' */
const MAKES_READY_THE_REST =
  /^(?:crush|mash|slice|chop|halve|quarter|hull|blitz|pur[ée]e|toss|squash|bash|break(?: up)?) the (?:rest|remainder|others)\b(?! of)/i;

/** 'Nearly all of it', 'most of them'. */
const MOST_OF =
  /^[\p{L}-]+ (?:about |roughly )?((?:(?:nearly|almost) all|most|half|(?:a |one )?third|(?:a |one )?quarter|two thirds|three quarters)) of (?:it|them|this|that)\b/iu;
/** Of what is put in nearly all (house). */
const NEARLY_ALL = 0.9;

/** A verb that says nothing of what it works on. */
const NO_OBJECT =
  /^(?:whip|whisk|beat|mix|combine|stir|blend)(?: (?:well|together|up|all|soft|stiff|firm|\w+ly))*(?:,? (?:until|till|to|for|on|by|with an?)\b[^;]*)?[.,;]?$/i;
const WHIPPED_ROLES = new Set<Role>(['cream', 'white', 'yolk', 'egg', 'sugar', 'flavour', 'salt', 'acid', 'cheese', 'milk']);
const MIXED_ROLES = new Set<Role>([...WHIPPED_ROLES, 'butter', 'cocoa', 'starch', 'sour', 'fruit', 'nut', 'drink', 'liquid']);

/** What a clause works on without a word for it, or without saying which: all of a list, the rest, what is in hand. */
export function implied(w: Worktop, h: Heard, meant: Meant): void {
  const { c, verb } = h;
  const { items } = meant;
  // 'When the purée is at 22 °C, whip the cream': the purée only says when.
  if (c.at > 0 && WHEN.test(c.text) && (verb === 'whip' || verb === 'whisk') && items.some((x) => x.at > c.at))
    items.splice(0, items.length, ...items.filter((x) => x.at > c.at));
  wholeList(w, h, meant);
  allTogether(w, h, meant);
  foldedThen(w, h, meant);
  withTheRest(w, h, meant);
  // 'Whip the rest with the sugar': of what was divided last.
  const rest =
    (items.length > 0 && /^(?:whip|whisk|beat|heat|warm|boil) the (?:rest|remainder)\b(?! of)/i.test(h.after)) || MAKES_READY_THE_REST.test(h.after)
      ? [...w.restOf].findLast(([of, r]) => w.fresh(r) && !items.some((x) => x.kind === 'line' && x.line === of))
      : undefined;
  if (rest) meant.line(rest[1], c.at);
  // 'Warm a third of it; whisk in the rest plus the lemon': what is left of what is in hand.
  const back =
    items.length > 0 && /^(?:whisk|stir|mix|beat|add|pour) (?:in )?the (?:rest|remainder)\b(?! of)/i.test(h.after)
      ? [...w.restOf].findLast(([of, r]) => w.fresh(r) && w.here()?.lines.has(of))
      : undefined;
  if (back) meant.line(back[1], c.words.length);
  if (verb === 'anglaise') anglaise(w, h, meant);
  // 'Crush the last 4': of what was divided last.
  const last = items.length === 0 && LAST_FEW.test(h.after) ? [...w.restOf.values()].findLast((r) => w.fresh(r)) : undefined;
  if (last !== undefined) meant.line(last, c.at);
  else if (items.length === 0) moreOfIt(w, h, meant);
  // 'Fold the crushed berries through, and then the whole ones': what was left of what was divided.
  const whole = /\bthe whole ones\b/i.test(h.after) ? [...w.restOf].filter(([, r]) => w.fresh(r)).at(-1) : undefined;
  if (whole) meant.line(whole[1], c.words.length);
  withTheMilkInHand(w, h, meant);
  ofItsLetter(w, h, meant);
  if (items.length === 0) unsaid(w, h, meant);
  if (items.length === 0) withTheHotMilk(w, h, meant);
  // 'Loosen the paste with some of the cream, then fold through the rest': the rest of that cream.
  const cream = THROUGH_THE_REST.test(h.after)
    ? [...(w.steps.at(-1)?.lines ?? [])].find(
        (i) => w.lines[i]!.role === 'cream' && w.bowlOf[i] != null && w.root(w.bowlOf[i]!) !== (w.here() ? w.root(w.here()!.id) : -1),
      )
    : undefined;
  if (cream !== undefined) meant.push({ kind: 'bowl', bowl: w.root(w.bowlOf[cream]!), at: c.words.length, share: ALL, named: false });
  // 'Fold nearly all of it through': of what is in hand.
  const most = MOST_OF.exec(h.after)?.[1];
  const share: Share = most === undefined ? ALL : { kind: 'part', share: FRACTIONS.find(([x]) => x.test(most))?.[1] ?? NEARLY_ALL, said: most };
  const object =
    most === undefined
      ? c.words
          .slice(c.at + 1, c.at + 3)
          .map((x) => x.said)
          .join(' ')
      : 'it';
  if (c.at >= 0) someOfIt(w, h, meant);
  brokenInto(w, h, meant);
  if (c.at >= 0 && w.inHand.length > 0) madeReady(w, h, meant, object, share);
  if (c.at >= 0 && items.length > 0) goesSomewhere(w, h, meant, object);
}

/** 'Anglaise to 83 °C': a custard of the milk, yolks and sugar of its list, cream where there is no milk. */
function anglaise(w: Worktop, { c, fc }: Heard, meant: Meant): void {
  if (meant.items.some((x) => (x.kind === 'line' ? ['milk', 'yolk', 'cream'].includes(w.lines[x.line]!.role!) : w.holds(w.bowls[x.bowl]!, 'milk', 'yolk'))))
    return;
  const open = w.lines.flatMap((l, i) => (w.fresh(i) && (fc.section === null || sameHeading(l.under, fc.section)) ? [i] : []));
  const of = (...roles: Role[]): readonly number[] => open.filter((i) => roles.includes(w.lines[i]!.role!));
  const liquid = of('milk').length > 0 ? of('milk') : of('cream');
  for (const i of [...liquid, ...of('yolk', 'sugar')]) meant.line(i, c.at, false);
}

/** 'Boil the milk. Blanch the yolks with the sugar. Cook to 85 °C': eggs are not cooked alone, and the milk is hot for them. */
function withTheHotMilk(w: Worktop, { c, verb }: Heard, meant: Meant): void {
  const b = w.here();
  if (!/^(?:cook|heat|bring|return|boil|thicken)$/.test(verb) || !b || b.heated || b.placed !== 'no' || !w.holds(b, 'yolk', 'egg')) return;
  if (w.holds(b, 'milk', 'cream', 'fruit', 'sour', 'white', 'butter', 'drink')) return;
  const milk = w.latest(
    (x) => x !== b && x.heated && !x.air && x.placed === 'no' && x.into === null && w.holds(x, 'milk', 'cream') && !w.holds(x, 'yolk', 'egg', 'chocolate'),
  );
  if (milk) for (const x of [milk, b]) meant.push({ kind: 'bowl', bowl: x.id, at: c.at, share: ALL, named: false });
}

/** 'Strain the milk; make a custard with the yolks and the sugar': of the milk that is in hand. */
function withTheMilkInHand(w: Worktop, { c, after }: Heard, meant: Meant): void {
  const milk = w.here();
  if (!/^(?:make|cook|prepare) (?:it |this )?(?:in)?(?:to )?(?:a|the) (?:\w+ )?(?:custard|anglaise|creme anglaise|crème anglaise)\b/i.test(after)) return;
  if (!milk || milk.placed !== 'no' || !w.holds(milk, 'milk', 'cream') || w.holds(milk, 'yolk', 'egg')) return;
  const eggs = meant.items.some((x) => x.kind === 'line' && ['yolk', 'egg'].includes(w.lines[x.line]!.role!));
  if (eggs && !meant.items.some((x) => x.kind === 'bowl')) meant.items.unshift({ kind: 'bowl', bowl: w.root(milk.id), at: c.at, share: ALL, named: false });
}

/** 'The last four', 'the other 6'. */
const LAST_FEW =
  /^\w+ (?:the )?(?:last|other|remaining|final) (?:\d{1,3}|one|two|three|four|five|six|eight|ten|few)\b(?=\s*(?:[.,;]|and\b|on (?:top|the)\b|over\b|$))/i;

/** 'Hull the strawberries. Blitz 600 g with the sugar': so much of the one thing that was made ready. */
function someOfIt(w: Worktop, { c, after }: Heard, meant: Meant): void {
  const said = BARE_MASS.exec(after)?.[1];
  const ready = w.inHand.flatMap((x) => (x.kind === 'line' && w.fresh(x.line) ? [x.line] : []));
  const [line] = ready;
  if (said === undefined || line === undefined || ready.length !== 1) return;
  const of = w.lines[line]!;
  // 'Heat 150 of it': in grams, as it was told.
  const much = /\p{L}/u.test(said) ? said : `${said} g`;
  const grams = of.ingredient ? draftLine(`${much} ${of.ingredient.aliases[0] ?? of.ingredient.name}`, of, w.context).grams : null;
  if (grams !== null && of.grams !== null && grams < of.grams) meant.some(line, c.at, { kind: 'part', share: grams / of.grams, said: much });
}

/** 'Break up the meringues and fold into the cream with the berries': what was made small in the same breath goes in. */
function brokenInto(w: Worktop, { c, fc, after, verb }: Heard, meant: Meant): void {
  const last = w.steps.at(-1);
  if (!/^(?:fold|stir|mix)$/.test(verb) || !STRAIGHT_INTO.test(after) || last?.start !== fc.start || !MADE_SMALL.test(last.verb)) return;
  if (meant.items.length === 0 || meant.items.some((x) => x.at <= c.at + 1)) return;
  for (const i of [...last.lines].reverse()) if (w.fresh(i)) meant.items.unshift({ kind: 'line', line: i, at: c.at, share: ALL, named: false });
  const shell = last.bowl === null ? null : w.bowls[w.root(last.bowl)]!;
  if (shell?.baked && !meant.items.some((x) => x.kind === 'bowl' && x.bowl === shell.id))
    meant.items.unshift({ kind: 'bowl', bowl: shell.id, at: c.at, share: ALL, named: false });
}
const STRAIGHT_INTO = /^\w+ (?:\w+ly )?(?:into|through) (?:the|your|that|this)\b/i;
const MADE_SMALL = /^(?:break|crush|crumble|chop|bash|smash|dice|tear|cube|slice|quarter|halve)$/;

/** 'Chop 10 more', 'crush another six': so many of what is left of what was divided last. */
const SO_MANY_MORE =
  /^\w+ (?:another (\d{1,3}|two|three|four|five|six|eight|ten|twelve|dozen)|(\d{1,3}|two|three|four|five|six|eight|ten|twelve) more)\b(?=\s*(?:[.,;]|and\b|on\b|over\b|to\b|into\b|$))/i;
function moreOfIt(w: Worktop, { c, after }: Heard, meant: Meant): void {
  const m = SO_MANY_MORE.exec(after);
  const said = m?.[1] ?? m?.[2];
  const rest = said === undefined ? undefined : [...w.restOf.values()].findLast((r) => w.fresh(r));
  const of = rest === undefined ? undefined : w.lines[rest]!;
  if (said === undefined || rest === undefined || of?.ingredient?.piece == null || of.grams === null) return;
  const { grams } = draftLine(`${said} ${of.ingredient.aliases[0] ?? of.ingredient.name}`, of, w.context);
  if (grams !== null) meant.some(rest, c.at, grams < of.grams ? { kind: 'part', share: grams / of.grams, said } : ALL);
}

/** 'A: whip soft', 'B: fold into A': of what the list has under that letter. */
function ofItsLetter(w: Worktop, { c, after }: Heard, meant: Meant): void {
  const label = w.labels.get(ITS_LETTER.exec(c.text)?.[1] ?? '');
  const says = meant.items.length === 0 ? NO_OBJECT : INTO_ANOTHER;
  if (!label || !('under' in label) || !says.test(after.trim()) || meant.items.some((x) => x.kind === 'line')) return;
  w.lines.forEach((l, i) => {
    if (w.fresh(i) && l.under === label.under) meant.line(i, c.at, false);
  });
}
const ITS_LETTER = /^([A-H])\s?[:.)–-]\s/;
const INTO_ANOTHER = /^(?:fold|stir|mix|whisk|beat|pour|tip) (?:(?:it|this|them) )?(?:in|into|onto|through) \S+[.,;]?$/i;

/** All that a list holds under this heading, or what is left of it. */
function wholeList(w: Worktop, { c, fc, after }: Heard, meant: Meant): void {
  const list = fc.section === null ? [] : w.lines.map((_, i) => i).filter((i) => sameHeading(w.lines[i]!.under, fc.section));
  const together = TOGETHER.test(after) && meant.items.length === 0 && list.length > 1 && list.every((i) => w.fresh(i));
  if (!EVERYTHING.test(c.text) && !together && !(ALL_OF_IT.test(after) && meant.items.length === 0 && w.bowls.every((b) => b.lines.size === 0))) return;
  const heading = fc.section;
  const word = /\b(?:the )?(\w+) (?:ingredients|stuff|things|bits)\b/i.exec(c.text)?.[1] ?? '';
  const named = w.lines.filter((l) => l.under !== null && sameHeading(l.under, word)).length > 0 ? word : heading;
  const open = w.lines.map((_, i) => i).filter((i) => w.fresh(i) && (named === null || sameHeading(w.lines[i]!.under, named)));
  // 'Everything bar the cream': what is named behind it waits.
  const but = c.words.findIndex((x, i) => i > 0 && BUT.test(x.said));
  const left = new Set(but < 0 ? [] : meant.items.flatMap((x) => (x.kind === 'line' && x.at > but ? [x.line] : [])));
  if (left.size > 0) meant.items.splice(0, meant.items.length, ...meant.items.filter((x) => x.kind !== 'line' || !left.has(x.line)));
  const dry = /\bdry\b/i.test(word) ? open.filter((i) => ['sugar', 'starch', 'salt', 'cocoa', 'flavour', 'nut'].includes(w.lines[i]!.role!)) : open;
  for (const i of dry) if (!left.has(i)) meant.line(i, c.words.length, false);
}
const BUT = /^(?:but|bar|except|apart)$/;

/** 'Whip all on speed 2': what is in hand, and what waits in the list that nothing else in the work names. */
function allTogether(w: Worktop, { c, after }: Heard, meant: Meant): void {
  const mine = w.here();
  if (!WHIPS_ALL.test(after) || meant.items.length > 0 || !mine || mine.placed !== 'no') return;
  const open = w.lines.flatMap((l, i) => (w.fresh(i) && !w.namedSomewhere().has(i) && WHIPPED_ROLES.has(l.role!) ? [i] : []));
  const own = open.filter((i) => [...mine.lines].some((j) => w.lines[j]!.under === w.lines[i]!.under));
  if (own.length === 0) return;
  meant.push({ kind: 'bowl', bowl: w.root(mine.id), at: c.at, share: ALL, named: false });
  for (const i of own) meant.line(i, c.words.length, false);
}
const WHIPS_ALL = /^(?:whip|whisk|beat) (?:it )?(?:all|everything)\b(?! (?:the|of the|but|bar|in one)\b)/i;

/** 'Whip the cream and fold in, followed by the amaretti': that cream, into what waits for it, and then they. */
function foldedThen(w: Worktop, { c, after }: Heard, meant: Meant): void {
  const foam = w.here();
  if (!FOLDED_THEN.test(after) || !foam?.air || foam.placed !== 'no' || meant.items.length === 0 || meant.items.some((x) => x.kind === 'bowl')) return;
  const waits = w.latest((b) => b !== foam && b.placed === 'no' && b.place === 'mix' && b.into === null && b.lines.size + b.takes.size > 0);
  if (!waits) return;
  meant.push({ kind: 'bowl', bowl: foam.id, at: c.at, share: ALL, named: false });
  w.current = waits.id;
}
const FOLDED_THEN = /^(?:gently |carefully )?fold (?:(?:it|this|that|them) )?in(?:to it)?,? (?:followed by|and then|then|along with|together with) /i;

/** 'Whisk the whites with the rest': of what was divided last. */
function withTheRest(w: Worktop, { c, after }: Heard, meant: Meant): void {
  if (
    meant.items.length === 0 ||
    !/\b(?:with|and) (?:all )?(?:the )?(?:rest|remainder|other half)\b(?! of)/i.test(after) ||
    /\bfold\b|\bspoonful|\bthird\b/i.test(after)
  )
    return;
  const open = [...w.restOf].filter(([, rest]) => w.fresh(rest)).at(-1);
  if (open) meant.line(open[1], c.words.length);
}

/** Nothing is named: the rest of what was divided, the list that stands above the step, gelatin that is ready. */
function unsaid(w: Worktop, { c, fc, after, verb, additive }: Heard, meant: Meant): void {
  // 'Whites 150 g / sugar 250 g: to 70 °C': a list that stands in the row of its step.
  if (w.steps.at(-1)?.start !== fc.start)
    for (const [i, l] of w.lines.entries()) if (w.fresh(i) && l.end === fc.end && l.start < fc.start) meant.line(i, Math.max(0, c.at));
  // 'Add the rest': of what was divided last.
  if (/^(?:\w+ )?(?:in )?the (?:rest|remainder)\b(?! of)/i.test(after)) {
    const open = [...w.restOf].filter(([of, rest]) => w.fresh(rest) && w.here()?.lines.has(of)).at(-1);
    if (open) meant.line(open[1], c.words.length);
  }
  // 'Heat the milk, whisk the yolks with the sugar, pour on': the hot milk, onto the eggs in hand.
  const eggs = w.here();
  if (BARE_POUR.test(after) && eggs?.placed === 'no' && !eggs.heated && w.holds(eggs, 'yolk', 'egg')) {
    const hot = w.latest((b) => b !== eggs && b.heated && b.placed === 'no' && b.place === 'mix' && w.holds(b, 'milk', 'cream'));
    if (hot) meant.push({ kind: 'bowl', bowl: hot.id, at: c.at, share: ALL, named: false });
  } else if (BARE_POUR.test(after) && eggs?.placed === 'no' && eggs.heated && w.holds(eggs, 'milk', 'cream')) {
    // 'Whisk the yolks with the sugar; heat the milk, pour on': what is in hand goes onto the eggs that wait.
    const waits = w.latest((b) => b !== eggs && !b.heated && b.placed === 'no' && b.place === 'mix' && w.holds(b, 'yolk', 'egg') && !w.holds(b, 'white'));
    if (waits) {
      meant.push({ kind: 'bowl', bowl: eggs.id, at: c.at, share: ALL, named: false });
      w.current = waits.id;
    }
  }
  // 'Whip.', 'Mix until smooth.': all that waits in the list and that nothing else in the work names.
  if (meant.items.length === 0 && w.hasList && NO_OBJECT.test(after.trim()) && w.bowls.every((b) => b.lines.size === 0)) {
    const roles = verb === 'whip' || verb === 'whisk' ? WHIPPED_ROLES : MIXED_ROLES;
    const open = w.lines.flatMap((l, i) => (w.fresh(i) && !w.namedSomewhere().has(i) && roles.has(l.role!) ? [i] : []));
    for (const i of open) if (w.lines[i]!.under === w.lines[open[0]!]!.under) meant.line(i, c.words.length);
  }
  // A list stands with its step: 'Fold in.' below '250 g mango'.
  if (
    meant.items.length === 0 &&
    w.hasList &&
    c.at >= 0 &&
    !/\bovens?\b/i.test(c.text) &&
    w.steps.at(-1)?.start !== fc.start &&
    /^(?:fold|stir|mix|beat|whisk|whip|add|combine|melt|heat|boil|blend|warm)$/.test(verb)
  ) {
    const above = w.lines
      .map((_, i) => i)
      .filter((i) => i < w.listed.length && w.fresh(i) && w.lines[i]!.start < fc.start && w.lines[i]!.start > (w.steps.at(-1)?.start ?? Infinity));
    for (const i of above) meant.line(i, c.words.length);
  }
  // 'Loosen the cheese with a quarter of the foam, fold in the remainder': what is left of that bowl.
  const mine = meant.items.length === 0 && REMAINDER.test(after) ? w.here() : null;
  const part = mine ? [...mine.takes].find(([id, share]) => share < 1 && w.bowls[id]!.place === 'mix') : undefined;
  if (part) meant.push({ kind: 'bowl', bowl: part[0], at: c.words.length, share: { kind: 'rest' }, named: true });
  // 'Melt the gelatin and beat in': into what it is for.
  const gel =
    meant.items.length === 0 &&
    additive &&
    /^(?:(?:beat|stir|whisk|mix|fold) in|add(?: (?:it|this|them))?(?: in)?)(?:,? (?:until|till|to) (?:(?:it (?:is|has) )?(?:all |fully |completely |just )?(?:dissolved?|melt(?:s|ed)?|smooth)))?[.,;]?$/i.test(
      after.trim(),
    )
      ? w.here()
      : null;
  const goes =
    gel && w.isWetOrGel(gel)
      ? w.latest((b) => b !== gel && b.placed === 'no' && b.place === 'mix' && !w.isWetOrGel(b) && b.lines.size + b.takes.size > 0)
      : null;
  if (gel && goes) {
    meant.push({ kind: 'bowl', bowl: gel.id, at: c.at, share: ALL, named: false });
    w.current = goes.id;
  }
}

/** 'Take the cheese and stir it with the sugar', 'mix both': what was made ready before. */
function madeReady(w: Worktop, { c, after, verb, additive }: Heard, meant: Meant, object: string, share: Share): void {
  const { items } = meant;
  const open = w.inHand.filter((x) => (x.kind === 'line' ? w.fresh(x.line) : w.bowls[x.bowl]!.into === null));
  const others = open.filter((x) => x.kind === 'bowl' && x.bowl !== w.here()?.id);
  const gels = others.filter((x) => x.kind === 'bowl' && w.holds(w.bowls[w.root(x.bowl)]!, 'gelatin'));
  const lines = open.filter((x) => x.kind === 'line');
  const foams = /^(?:whip|whisk|beat)$/.test(verb);
  const take = (of: readonly Item[]): void => takeAll(foams ? of.filter((x) => x.kind !== 'line' || w.lines[x.line]!.role !== 'biscuit') : of);
  const takeAll = (ready: readonly Item[]): void =>
    ready.forEach((x) => (x.kind === 'line' ? meant.some(x.line, c.at, share) : meant.push({ ...x, at: c.at, share })));
  if (items.length === 0 && /^(?:mix|combine|stir|bind|blend|toss)(?: well| together)?[,.;]?$/i.test(after.trim())) take(open);
  else if (/^(?:it|them|this) in$/.test(object) && others.length > 0) take(others);
  // 'Squeeze out the gelatine and stir in until dissolved': into what is in hand.
  else if (items.length === 0 && additive && /^(?:stir|whisk|beat|mix|blend) in\b/i.test(after) && w.here()?.placed === 'no' && gels.length > 0) take(gels);
  else if (
    (/^(?:both|the two|them both)\b/.test(object) && open.length > 1) ||
    /^everything\b/.test(object) ||
    (items.length === 0 && /^(?:all|together)\b/.test(object))
  )
    take(open);
  else if (items.length === 0 && /^(?:line|cover|top|layer|spread|fill)\b[^.;]*\bwith (?:it|them|this|these)\b/i.test(after)) take(lines);
  // 'Crush the wafers and put half in the bottom of the pan.'
  else if (
    items.length === 0 &&
    lines.length > 0 &&
    /^(?:put|press|pat|spread|scatter|sprinkle|lay|strew) (?:about |roughly )?(?:half|a third|two thirds|most|some)(?: of (?:it|them|these|those))? (?:in|into|on|onto|over)\b/i.test(
      after,
    )
  )
    take(lines);
  // 'Cut the cake in slices, lay in the bottom of a glass bowl'.
  else if (
    items.length === 0 &&
    lines.every((x) => x.kind === 'line' && ['biscuit', 'fruit'].includes(w.lines[x.line]!.role!)) &&
    /^(?:lay|put|place|arrange|press|scatter|strew) (?:in|into|on|over) (?:the )?(?:bottom|base|floor) of\b/i.test(after)
  )
    take(lines);
  // 'Halve the strawberries and arrange in circles': those.
  else if (
    items.length === 0 &&
    lines.length > 0 &&
    lines.every((x) => x.kind === 'line' && ['fruit', 'biscuit', 'nut'].includes(w.lines[x.line]!.role!)) &&
    /^(?:arrange|lay|place|fan|overlap|scatter|strew)(?: (?:them )?(?:(?:cut|flat)[- ]side (?:up|down)|over(?:lapping)?|neatly|in|on|on top|around|round|all over)\b| them\b|[.,;]?$)/i.test(
      after,
    )
  )
    take(lines);
  // 'Quarter the figs and pop two pieces on each': those.
  else if (lines.length > 0 && items.length === 0 && SOME_ON_EACH.test(after)) take(lines);
  // 'Break up both chocolates and melt in a bowl over hot water'.
  else if (
    items.length === 0 &&
    lines.length > 0 &&
    /^melt (?:in|over|gently|slowly|together|carefully)\b/i.test(after) &&
    lines.every((x) => x.kind === 'line' && ['chocolate', 'butter'].includes(w.lines[x.line]!.role ?? ''))
  )
    take(lines);
  // 'Chop eight of them, fold through.'
  else if (
    items.length === 0 &&
    lines.length > 0 &&
    /^fold (?:in|through)[.,;]?$/i.test(after.trim()) &&
    w.here()?.placed === 'no' &&
    w.steps.at(-1)?.work === 'hands'
  )
    take(lines);
  // 'Slice the panettone, line a bowl': with that.
  else if (items.length === 0 && verb === 'line' && !/\bwith\b/i.test(after))
    take(lines.filter((x) => x.kind === 'line' && w.lines[x.line]!.role === 'biscuit'));
  // 'Smash the crackers, stir in the butter': into what was made ready, where no bowl is in hand.
  else if (additive && w.here() === null && items.length > 0 && lines.length > 0) take(lines);
  // 'Slice the bananas, toss in lemon juice.'
  else if (/^(?:toss|turn|roll) (?:(?:well|them|it) )?(?:with|in)\b/i.test(after) && items.length > 0 && items.every((x) => x.kind === 'line')) take(lines);
  else if (
    /^(?:mix|combine|stir|bind|blend|toss|pulse|process|blitz|whizz?|mash|crush|puree|purée|simmer|cook|poach|stew|roast|macerate) (?:(?:well|them|it|up|gently|briefly) )?(?:with\b|w\/|together\b)/i.test(
      after,
    ) ||
    (items.length === 0 && /^(?:mix|combine|stir|bind|blend|toss) in\b/i.test(after))
  )
    take(lines);
  // 'The yolks go in with the sugar and I let that run': the whites wait.
  else if (
    /^(?:it|them|this|these|that|those)\b/.test(object) &&
    !lines.some((x) => x.kind === 'line' && items.some((y) => y.kind === 'line' && y.line === x.line)) &&
    // 'Melt the chocolate and take it off, let it cool': what is in the pan.
    !(items.length === 0 && ONLY_STANDS.test(verb) && w.here()?.placed === 'no') &&
    !(verb === 'fold' && w.here()?.air && share.kind === 'all') &&
    lines.length > 0
  )
    take(lines);
}

const SOME_ON_EACH =
  /^(?:pop|put|place|lay|set|stick|arrange) (?:(?:one|two|three|four|a|a few|some|several) (?:of them |pieces?|slices?|halves|half|quarters?|wedges?|segments?) ?)(?:on|onto|in|into|over) (?:each|every|the top|top)\b/i;

/** Nothing comes in by it. */
const ONLY_STANDS = /^(?:let|leave|take|remove|lift|cool|chill|rest|stand|allow|set|keep)$/;

/** What is in hand goes into what is named. */
function goesSomewhere(w: Worktop, { c, verb }: Heard, { items }: Meant, object: string): void {
  // 'Squeeze and dissolve in the hot custard', 'squeeze it out and stir it into the warm juice': the gelatin that is in hand.
  const isGel = (b: Bowl): boolean =>
    b.into === null &&
    b.lines.size > 0 &&
    w.holds(b, 'gelatin') &&
    [...b.lines].every((i) => ['gelatin', 'liquid'].includes(w.lines[i]!.role!)) &&
    !items.some((y) => y.kind === 'bowl' && y.bowl === b.id);
  const ready = [...w.inHand.flatMap((x) => (x.kind === 'bowl' ? [w.bowls[w.root(x.bowl)]!] : [])), ...(w.here() ? [w.here()!] : [])];
  const gel = /^(?:in|into|through|(?:it|them|this|these) (?:into|through))\b/.test(object) ? (ready.find(isGel) ?? null) : null;
  if (gel) items.unshift({ kind: 'bowl', bowl: gel.id, at: c.at, share: ALL, named: false });
  // 'Dissolve it in the juice', 'spread over the berries': what is in hand goes there.
  const mine = w.here();
  const isNamed = (): boolean => items.some((x) => x.kind === 'bowl' && x.bowl === mine?.id);
  // 'Heat that with a vanilla pod': what is in hand, and the pod in it.
  if (WITH_IT.test(c.text.slice(c.at >= 0 ? c.words[c.at]!.start : 0)) && mine?.placed === 'no' && !isNamed() && !items.some((x) => x.kind === 'bowl'))
    items.unshift({ kind: 'bowl', bowl: w.root(mine.id), at: c.at, share: ALL, named: false });
  // 'Whip the cream, fold with the cheese into the yolks'.
  if (/^fold with\b[^.;]*\binto\b/i.test(c.text.slice(c.at >= 0 ? c.words[c.at]!.start : 0)) && mine?.air && !isNamed())
    items.unshift({ kind: 'bowl', bowl: w.root(mine.id), at: c.at, share: ALL, named: false });
  // What lies there already goes nowhere: what is named is laid on it.
  const laid =
    mine !== null &&
    mine.placed !== 'no' &&
    items.length > 0 &&
    items.every((x) => (x.kind === 'line' ? w.fresh(x.line) : w.bowls[x.bowl]!.placed === 'no' && !w.bowls[x.bowl]!.baked));
  // 'Spoon over half of the syrup and 4 tablespoons of sherry': that is what is spooned.
  const wets = items.some((x) => x.share.kind === 'part' || (x.kind === 'line' && ['drink', 'liquid', 'sour'].includes(w.lines[x.line]!.role!)));
  const over = /^\w+ over\b/i.test(c.text.slice(c.at >= 0 ? c.words[c.at]!.start : 0));
  // 'Whisk the cream and fold through the custard': the foam that was just made goes into what is wet.
  const foldsThrough =
    verb === 'fold' &&
    mine?.air === true &&
    mine.placed === 'no' &&
    mine.lastStep === w.steps.length - 1 &&
    items.every((x) => x.kind === 'bowl' && w.holds(w.bowls[x.bowl]!, 'yolk', 'egg', 'milk', 'cheese', 'chocolate'));
  const goesTo = mine !== null && !laid && !(over && wets) && !isNamed() ? c.words.findIndex((x, i) => i > c.at && DEST.has(x.said)) : -1;
  if (
    goesTo > 0 &&
    mine &&
    items.every((x) => x.at > goesTo) &&
    ((/^(?:it|this|them|these|that)\b/.test(object) && goesTo <= c.at + 3) ||
      (goesTo === c.at + (/ly$/.test(c.words[c.at + 1]?.said ?? '') ? 2 : 1) &&
        (((c.words[goesTo]!.said !== 'in' || (verb === 'pour' && items.every((x) => x.kind === 'bowl' && w.bowls[x.bowl]!.pressed))) &&
          (c.words[goesTo]!.said !== 'through' || foldsThrough) &&
          !(
            c.words[goesTo]!.said === 'on' &&
            verb === 'pour' &&
            c.words[goesTo + 1]?.said !== 'to' &&
            !items.every((x) => x.kind === 'bowl' && w.bowls[x.bowl]!.baked)
          ) &&
          !(c.words[goesTo]!.said === 'over' && verb === 'pour' && mine.placed !== 'no') &&
          !(c.words[goesTo]!.said === 'over' && /^(?:sift|sieve)$/.test(verb))) ||
          /^(?:spread|spoon|pipe)$/.test(verb))))
  )
    items.unshift({ kind: 'bowl', bowl: w.root(mine.id), at: c.at, share: ALL, named: false });
  // 'Fold a third into the yolks to loosen, then the rest': of what is in hand.
  const into =
    mine !== null && !gel && !isNamed()
      ? c.words.findIndex(
          (x, i) =>
            i > c.at + 1 &&
            i <= c.at + 7 &&
            (x.said === 'into' || x.said === 'through' || (verb === 'pour' && mine.placed === 'no' && /^(?:over|onto|on)$/.test(x.said))),
        )
      : -1;
  if (
    into > 0 &&
    mine &&
    items.every((x) => x.at > into) &&
    c.words.slice(c.at + 1, into).every((x) => x.said.split('-').every((word) => SHARE_WORDS.has(word)) || /^[\d/½⅓⅔¼¾]+$/.test(x.said))
  ) {
    const said = c.text.slice(c.words[c.at]!.end, c.words[into]!.start).trim();
    const share = /\b(?:rest|remainder|remaining)\b/i.test(c.text.slice(c.words[into]!.end)) ? undefined : FRACTIONS.find(([x]) => x.test(said))?.[1];
    items.unshift({ kind: 'bowl', bowl: w.root(mine.id), at: c.at, share: share === undefined ? ALL : { kind: 'part', share, said }, named: false });
  }
}
