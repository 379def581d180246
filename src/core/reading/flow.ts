import { roleOf, type Role } from '../larder/role';
import type { StepWork } from '../document/kinds';
import { type Bowl } from './bowls';
import { amountsIn } from './amounts';
import { type Clause } from './clauses';
import { bareMixC, bareOvenC, temperaturesIn, type SaidTemperature } from './degrees';
import { implied } from './implied';
import { PRESSED_ON } from './choose';
import { comesBack, leftOvers, without } from './left-over';
import { linesSaid } from './lines-said';
import { ingredientOf, type DraftLine, type LineContext } from './lines';
import { meantBy, withLabels, type Meant } from './meant';
import { mentionsIn, type Mention } from './mentions';
import { apply } from './doing';
import { PATS_IN } from './laying';
import { BOILED_C, INTO_A_BOWL, pouredOn, POUR_ONTO, POURED_ON } from './mixing';
import { sameHeading } from './rows';
import { repeatsOf } from './repeats';
import { saidBehind } from './said-behind';
import { onlyTime } from './times';
import { BIT_BY_BIT } from './work-in';
import { machineOf, minutesOf, stageIn, BEFORE_SERVING, WHILE_RUNNING, workOf, type WorkedOn } from './work';
import { BARE, DEST, Worktop, type Flow, type FlowClause, type FlowStep, type Heard, type Item, type ListLabel } from './worktop';

const ADDS =
  /^(?:gradually |slowly |then |next |finally |now |gently |quickly |carefully )*(?:add|incorporate|stream|sift (?:\w+ )?(?:over|on)\b|pour on (?:the|it|an?|some|half|about)\b|(?:stir|mix|beat|whisk|pour|fold|blend|work|melt|dissolve) (?:it|them|this|these|those) (?:back )?in\b|(?:stir|mix|beat|whisk|pour|blend|sift|tip|drizzle|sprinkle|drop|put|work|whip|rub|fold|scrape|throw|crush|crumble|break|grate|squeeze) (?:\w+ly )?(?:in\b|through (?:the|most|half|all|some|an?|one|two|three|about|\d|[½¼¾⅓⅔])(?![\p{L}]))|(?:stir|mix|beat|whisk|pour|fold|blend|work|melt|dissolve|squeeze) (?:[\w'-]+ ){1,4}in[.,;]?$|(?:stir|mix|beat|whisk|blend|work) (?:[\w'-]+ ){1,4}in (?=one\b|two\b|an? (?:few|little|spoonful|bit)\b|bit by bit|gradually|slowly|singly|separately|in (?:two|three)\b)|(?:stir|mix|beat|whisk|fold|blend|work) (?:[\w'-]+ ){1,4}(?:through (?:it|this|that|them)(?!,? (?:and )?then\b)|in(?: in)? (?:two|three|four|several|a few|batches|stages|thirds))\b|(?:put|throw|drop|chuck|tip|fold) (?:[\w'/½⅓⅔¼¾-]+ ){1,4}in(?=\s?[.,;(]|$)|(?:swirl|ripple|marble) (?:\w+ly )?in (?!half\b|some\b|most\b|an? (?:third|quarter|little|few)\b|the (?:rest|other)\b)|(?:grate|scrape) (?:a little|some|a bit of)\b|(?:sweeten|season|flavour|temper|thin|enrich|scent) (?:(?:it|them) )?with\b|adding|(?:the )?(?:[\w'-]+ ){0,2}[\w'-]+ (?:in|last)(?=[,.;]|$)|(?:the )?(?:[\w'-]+ ){0,2}[\w'-]+ in (?=w\/|with (?:a |the )?(?:stick|hand|blender|mixer))|(?:[\w'-]+ ){1,8}[\w'-]+,? into (?:that|it|this|them)(?=[,.;]|$)|[^.;,]{2,60}? go(?:es)? in(?=[,.;]|$)|off (?:the )?heat\s*[:,–—-]\s|let(?:ting)? [^.;]{2,50} (?:trickle|run|rain|stream|flow|drizzle|dribble) (?:slowly |gradually )?in(?:to)?\b)/iu;
/** 'Fold in D, whipped soft.' */
const LIST_WHIPPED = /\b[A-H],? (?:lightly |softly |just )?whipped\b/;
/** 'Fold in the cream whipped to soft peaks.' */
const WHIPPED_ALREADY = /\b(?:cream|it)\b[^.;]{0,14}\b(?:whipped|beaten)\b|\bwhipped (?:\w+ )?cream\b/i;
/** 'Heat oven to 325.' */
const HEATS_OVEN = /^(?:(?:pre)?heat )?(?:the |your |an )?oven\b/i;
/** 'Pour on the whipped whites.' */
const WHITES_WHIPPED = /\b(?:on|onto|over|into) (?:to )?(?:the |your )?(?:whipped|whisked|beaten) (?:egg )?whites\b/i;
/** A bake is no cooler, °C. */
const OVEN_FROM_C = 90;
/** Behind which degrees are of something else: 'when the syrup reaches'. */
const ELSEWHERE = /\b(?:when|once|as soon as) (?:it|they|the (?:[\w-]+ ){0,2}[\w-]+)\s+(?:is|are|reach(?:es)?|hits?|gets to|comes to)\s+(?:at |about )?$/i;
const HOT_MILK = /\b(?:hot|boiling|scalded|steaming|warm) (?:\w+ )?(?:milk|cream|infusion)\b/i;
const SMALL = /^(?:blitz|whizz?|pulse|process|grind|blend)$/;
const PRONOUN = /\b(?:it|them|this|that|these|those|everything|the (?:lot|whole (?:lot|thing)))\b/i;
const NEEDS =
  /^(?:so |now |well |for this |for it )*,?\s*(?:you(?:['’]ll| will)?|we(?:['’]ll| will)?|i) (?:want|need|require)\b(?! (?:it |them |this )?to\b)|\b(?:you|we|i) (?:start|begin) (?:off )?with\b/i;
const WHIPPED_FIRST = /,\s*(?:(?:softly|lightly|stiffly|just) |(?:semi|half|soft|part)[- ]?)?(?:whipped|beaten)\b/i;

/** Follows the work through its bowls: which lines each step uses, what is mixed with what, what is put together. */
export function flowOf(
  clauses: readonly FlowClause[],
  listed: readonly DraftLine[],
  context: LineContext,
  fahrenheit: boolean,
  labels: ReadonlyMap<string, ListLabel> = new Map(),
): Flow {
  const w = new Worktop(clauses, listed, context, fahrenheit, labels);
  whippedInTheList(w);
  clauses.forEach((fc, index) => {
    begin(w, fc);
    const said = heard(fc, index);
    // The verb is no thing, though 'mix', 'dip' and 'cream' may be.
    const lexical = withLabels(w, mentionsIn(said.c.words, w.lexicon, said.c.at), said.c).filter((m) => m.from > 0 || !BUTTERS.test(said.c.text));
    const h = said.additive || !(onlyThings(w, said.c, lexical) || onlySeasons(w, said.c)) ? said : { ...said, additive: true };
    [w.company, w.inCompany] = companyOf(w, fc, lexical);
    const meant = meantBy(w, h, lexical, linesSaid(w, h, lexical));
    implied(w, h, meant);
    saidBehind(w, h, meant);
    take(w, h, meant);
    allLaid(w, h.c.text);
  });
  leftOvers(w);
  usedWithItsBowl(w);
  return w.gone.size === 0 ? { lines: w.lines, bowls: w.bowls, steps: w.steps, stepOf: w.stepOf, doubts: w.doubts } : without(w, w.gone);
}

/** 'Butter and line a tin': that butter is none of the list. */
const BUTTERS =
  /^butter (?:(?:and|&) (?:line|flour|paper|base-line)|(?:an?|the|your|two|\d) (?:[\p{L}\d-]+ ){0,5}(?:tins?|pans?|dish|mou?lds?|ramekins|trays?|terrine|basin|paper))\b/iu;

/** 'Evaporated milk that you've had in the fridge overnight': done before, with something else in hand. */
const HAD_BEEN = /\b(?:that|which) (?:(?:you|we|i)(?:['’]ve| have|['’]d| had)|(?:has|have|had) been|was|were)\b[^.;]*/i;

/** So much of a line, by what is said, is all of it (house). */
const NEARLY_WHOLE = 0.85;

/** 'A third of the berries; repeat twice': all of them are laid. */
function allLaid(w: Worktop, text: string): void {
  const times = repeatsOf(text);
  if (times === null) return;
  for (const [i, rest] of w.restOf) {
    const [taken, left] = [w.lines[i]!.grams ?? 0, w.lines[rest]!.grams ?? 0];
    const laid = w.stepOf[i] !== null && w.steps[w.stepOf[i]!]!.work === 'fill';
    if (!laid || !w.fresh(rest) || w.restOf.has(rest) || ((times + 1) * taken) / Math.max(1, taken + left) < NEARLY_WHOLE) continue;
    if (comesBack(w, i, rest)) w.relearn();
  }
}

/** Of a bowl that no step has made. */
const NOT_YET = -1;

/** 'Cream, whipped' in a list: it is whipped before it goes anywhere. */
function whippedInTheList(w: Worktop): void {
  w.lines.forEach((l, i) => {
    if (l.role !== 'cream' || !WHIPPED_FIRST.test(l.written)) return;
    const b = w.make(l.under);
    b.air = true;
    b.stage = stageIn(l.written);
    b.lastStep = NOT_YET;
    w.addLineTo(i, b);
  });
}

/** What no step has in hand is used where its bowl is: folded in, or put on top. */
function usedWithItsBowl(w: Worktop): void {
  w.lines.forEach((_, i) => {
    const bowl = w.bowlOf[i];
    if (w.stepOf[i] !== null || bowl === undefined || bowl === null) return;
    const at = w.steps.findIndex((s, k) => s.places.has(bowl) || w.bowls.some((b) => b.takenAt.get(bowl) === k));
    if (at >= 0) w.stepOf[i] = at;
  });
}

/** 'Take a clean bowl', 'set a metal bowl over simmering water'. */
const FETCHED =
  /\b(?:get|take|grab|use|chill|in)\b[^,.;]{0,24}\b(?:cold|clean|another|separate|second|different|chilled|large|big) (?:\w+ )?(?:bowl|pan|saucepan)\b|\b(?:set|put|place) (?:a|an|another) (?:[\w-]+ ){0,2}bowl (?:over|on|onto)\b/i;

/** A new heading of the list, or a bowl that is fetched, begins a bowl of its own. */
function begin(w: Worktop, fc: FlowClause): void {
  const { clause: c } = fc;
  if (fc.section !== w.section) {
    // A heading that the list has too begins a part of its own; 'Day two', 'To assemble' go on with what is there.
    if (fc.section !== null && w.lines.some((l) => sameHeading(l.under, fc.section))) {
      w.current = null;
      w.inHand = [];
    }
    w.section = fc.section;
  }
  if (FETCHED.test(c.text) && namesNothing(w, c)) {
    w.current = null;
    w.ownBowl = true;
  }
  const around = `${fc.before} ${c.text}`;
  if (/\bcookies?\b|\bbiscuits?\b/i.test(around)) w.biscuitWord = /\bcookies?\b/i.test(around) ? 'cookies' : 'biscuits';
}

/**
 * The heading that a clause works from, where the method has no headings of its own: the one that it names ('the sugar for the syllabub'), else
 * the one under which most of what it names stands, of those names that stand under one alone; and whether several of its names stand there.
 */
function companyOf(w: Worktop, fc: FlowClause, lexical: readonly Mention[]): readonly [heading: string | null, together: boolean] {
  // A list under its name beside one without.
  if (fc.section !== null || w.headings.length + Number(w.listed.some((l) => l.under === null)) < 2) return [null, false];
  const said = ` ${fc.clause.words.map((x) => x.word).join(' ')} `;
  const named = said.includes(' for the ') ? w.headings.filter((x) => said.includes(` for the ${x.key} `)) : [];
  if (named.length === 1) return [named[0]!.heading, true];
  const votes = new Map<string, number>();
  for (const m of lexical) {
    // 'The sugar', where each list has its own, says nothing of the list.
    if (m.sense.kind !== 'line' || (IN_EACH.test(m.phrase) && new Set(m.sense.lines.map((l) => w.lines[l.line]!.under)).size > 1)) continue;
    const top = Math.max(...m.sense.lines.map((l) => l.strength));
    const under = new Set(m.sense.lines.filter((l) => l.strength > top - 0.01 && w.fresh(l.line)).map((l) => w.lines[l.line]!.under));
    const [only] = under;
    if (under.size === 1) votes.set(only ?? BARE, (votes.get(only ?? BARE) ?? 0) + 1);
  }
  const [first, second] = [...votes].sort((a, b) => b[1] - a[1]);
  return first && first[1] > (second?.[1] ?? 0) ? [first[0], first[1] > 1] : [null, false];
}

/** What several lists of one recipe have. */
const IN_EACH = /^(?:sugar|milk)$/;

/** 'Cream, vanilla, salt.': nothing but things that stand in the list with what is in hand, none of them to be dipped in or laid. */
function onlyThings(w: Worktop, c: Clause, lexical: readonly Mention[]): boolean {
  const mine = w.here();
  if (c.verb !== null || !w.hasList || !mine || mine.placed !== 'no' || mine.place !== 'mix' || mine.lines.size === 0 || lexical.length === 0) return false;
  const covered = new Set(lexical.flatMap((m) => Array.from({ length: m.to - m.from }, (_, k) => m.from + k)));
  if (c.words.some((x, i) => !covered.has(i) && !/^(?:[,.;:+&]|and|then|the|last|next)$/.test(x.said))) return false;
  return lexical.every((m) => {
    const best = m.sense.kind === 'line' ? m.sense.lines.reduce((a, b) => (b.strength > a.strength ? b : a)) : null;
    if (best === null || !w.fresh(best.line) || ['drink', 'biscuit', 'fruit', 'liquid'].includes(w.lines[best.line]!.role!)) return false;
    return w.sameBlock(mine, [best.line]);
  });
}

/** 'Zest of an orange, teaspoon of vanilla.', told while something is in hand: it goes in. */
function onlySeasons(w: Worktop, c: Clause): boolean {
  const mine = w.here();
  if (c.verb !== null || w.hasList || !mine || mine.placed !== 'no' || mine.place !== 'mix' || mine.lines.size === 0) return false;
  const amounts = amountsIn(c);
  return (
    amounts.length > 0 &&
    amounts.every((a) => {
      const { ingredient } = ingredientOf(a.text, w.context);
      return ingredient !== null && (SEASONS.has(roleOf(ingredient)) || ingredient.id.endsWith('-zest'));
    })
  );
}
const SEASONS: ReadonlySet<Role> = new Set(['flavour', 'salt', 'acid']);

/** No word of it names a line or something made. */
const namesNothing = (w: Worktop, c: Clause): boolean => mentionsIn(c.words, w.lexicon).every((m) => m.sense.kind === 'other' || m.sense.kind === 'larder');

function heard(fc: FlowClause, index: number): Heard {
  const { clause: c } = fc;
  const after = c.text.slice(c.at >= 0 ? c.words[c.at]!.start : 0);
  return {
    fc,
    c,
    index,
    verb: c.verb?.base ?? '',
    after,
    around: `${fc.before} ${c.text}`,
    additive: ADDS.test(after) || (c.verb === null && BIT_BY_BIT.test(c.text)) || /\b(?:add|adding)\b/i.test(after.slice(0, 24)),
  };
}

/** Takes a clause as a step: its work, its times and degrees; then does it in the bowls. */
function take(w: Worktop, h: Heard, { items, also }: Meant): void {
  const { fc, c, verb } = h;
  const destAt = destinationOf(c, items);
  // 'The hot milk' is hot, however it came to be.
  if (HOT_MILK.test(c.text))
    for (const x of items) if (x.kind === 'bowl' && w.holds(w.bowls[x.bowl]!, 'milk', 'cream') && !w.bowls[x.bowl]!.air) w.bowls[x.bowl]!.heated = true;
  // 'Two whites whisked soft go in, and 300 ml of cream': nobody whisks them in one bowl.
  const two =
    items.some((x) => x.kind === 'line' && w.lines[x.line]!.role === 'white') &&
    items.some((x) => x.kind === 'line' && w.lines[x.line]!.role === 'cream') &&
    h.additive &&
    w.here()?.placed === 'no';
  // 'You'll want the whites of three eggs, half a pint of water …': a list, told; nothing is done with it yet.
  const listed = items.length > 1 && items.every((x) => x.kind === 'line') && (NEEDS.test(c.text) || onlyNamed(w, c, items));
  const asked = listed ? 'hands' : workedOn(w, h, items, destAt);
  const work = two && asked === 'whisk' ? 'fold' : asked;
  // 'Whisk the whites when the syrup reaches 110 °C': that is the syrup's.
  const said = temperaturesIn(c.text, w.fahrenheit).find((t) => !ELSEWHERE.test(c.text.slice(0, t.start))) ?? null;
  // What bakes is in an oven, also where no word says so: 'turn it down to 250 F'.
  const inOven =
    work === 'bake' || (work === 'hands' && w.steps.at(-1)?.machine === 'oven' && /^(?:reduce|turn|drop|lower|decrease|increase|raise|set)$/.test(verb));
  const hot = said === null && (work === 'heat' || work === 'whisk') ? bareMixC(c.text) : null;
  const bare = said === null && (inOven || HEATS_OVEN.test(h.after)) ? bareOvenC(c.text, w.fahrenheit) : null;
  const temperature: SaidTemperature | null =
    hot !== null
      ? { c: hot, of: 'mix', start: 0, end: 0 }
      : bare !== null
        ? { c: bare, of: 'oven', start: 0, end: 0 }
        : said && inOven && said.c >= OVEN_FROM_C
          ? { ...said, of: 'oven' }
          : said;
  const step: FlowStep = {
    text: [fc.before, c.text, fc.after].filter(Boolean).join(' '),
    work,
    verb,
    minutes: minutesOf(c.text.replace(HAD_BEEN, ' '), work),
    temperature,
    machine: work === 'wait' && w.steps.at(-1)?.machine === 'oven' && /\boff\b/i.test(w.steps.at(-1)!.text) ? 'oven' : machineOf(work, c, w.electric),
    stage: ['whisk', 'beat', 'fold'].includes(work) ? stageIn(c.text) : null,
    lines: new Set(),
    bowl: null,
    places: new Set(),
    section: fc.section,
    when: fc.when,
    start: fc.start,
    end: fc.end,
  };
  const at = w.steps.length;
  w.steps.push(step);
  if (listed) {
    // 'You want 200 g of biscuits and 90 g of butter, mix that.'
    w.inHand = [...w.inHand.filter((x) => x.kind === 'line' && w.fresh(x.line) && !NEEDS.test(c.text)), ...items];
    return;
  }
  for (const i of also) {
    step.lines.add(i);
    w.stepOf[i] ??= at;
  }
  for (const x of items)
    if (x.kind === 'line') {
      step.lines.add(x.line);
      w.stepOf[x.line] ??= at;
    }
  apply(
    w,
    step,
    at,
    (work === 'fold' && (two || WHIPPED_ALREADY.test(c.text) || LIST_WHIPPED.test(c.text))) || (verb === 'pour' && WHITES_WHIPPED.test(c.text))
      ? items.map((x) => whippedFirst(w, x, at, stageIn(c.text)))
      : items,
    h,
    destAt,
  );
}

/** 'Half a litre of cream, 250 of mascarpone, a jar of lemon curd.': named with their amounts, and nothing done yet. */
function onlyNamed(w: Worktop, c: Clause, items: readonly Item[]): boolean {
  const roles = items.map((x) => (x.kind === 'line' ? w.lines[x.line]!.role : null));
  return (
    !w.hasList &&
    c.verb === null &&
    /[.]\s*$/.test(c.text) &&
    roles.some((r) => r === 'cream' || r === 'cheese' || r === 'butter') &&
    workOf(c, NOTHING) === 'hands' &&
    !/\b(?:in|into|on|over|with|all)\b/i.test(c.text) &&
    stageIn(c.text) === null
  );
}
const NOTHING: WorkedOn = {
  cream: false,
  white: false,
  yolk: false,
  butter: false,
  cheese: false,
  gelatin: false,
  setter: false,
  chocolate: false,
  built: false,
  chilled: false,
  baking: false,
  late: false,
};

/** Cream, or whites, that a fold says to be whipped already have a bowl of their own. */
function whippedFirst(w: Worktop, item: Item, at: number, stage: Bowl['stage']): Item {
  if (item.kind !== 'line' || !['cream', 'white'].includes(w.lines[item.line]!.role!) || !w.fresh(item.line)) return item;
  const b = w.make(w.lines[item.line]!.under);
  b.air = true;
  b.stage = stage;
  b.lastStep = at - 1;
  w.addLineTo(item.line, b);
  return { kind: 'bowl', bowl: b.id, at: item.at, share: item.share, named: item.named };
}

/** Whether the oven was spoken of last, and not turned off. */
const bakes = (last: FlowStep | undefined): boolean => (last?.machine === 'oven' || last?.temperature?.of === 'oven') && !/\boff\b/i.test(last.text);

/** 'Pour the syrup over them slowly', 'onto the yolks'. */
const OVER_THEM = /^pour (?:the |that |this )?(?:[\w-]+ ){0,2}(?:over|on|onto|into|upon) (?:them|it|that|the (?:yolks|eggs|whites))\b/i;

/** What only a foam does, on the heat too. */
const RISES = /\b(?:pale|fluffy|ribbons?|doubled?|tripled?|in volume|mousse)\b/i;

/** The work of a clause, by its verb and by what it works on. */
function workedOn(w: Worktop, h: Heard, items: readonly Item[], destAt: number): StepWork {
  const { c, verb, after, around, additive } = h;
  const involved = items.map((x) => (x.kind === 'line' ? { roles: new Set([w.lines[x.line]!.role]), bowl: null } : { roles: null, bowl: w.bowls[x.bowl]! }));
  const target = items.length === 0 || (items.every((x) => x.kind === 'line') && (additive || PRONOUN.test(after))) ? w.here() : null;
  const has = (...roles: Role[]): boolean =>
    involved.some((x) => (x.bowl ? w.holds(x.bowl, ...roles) : roles.some((r) => x.roles!.has(r)))) || (target !== null && w.holds(target, ...roles));
  const on: WorkedOn = {
    cream: has('cream'),
    white: has('white'),
    yolk: has('yolk', 'egg'),
    butter: has('butter'),
    cheese: has('cheese'),
    gelatin: has('gelatin'),
    setter: has('setter'),
    chocolate: has('chocolate'),
    built: w.built,
    chilled: w.chilled,
    baking: bakes(w.steps.at(-1)),
    late: BEFORE_SERVING.test(around),
  };
  let work = workOf(c, on);
  // 'Blitz the biscuits': they are only made small.
  if (
    work === 'beat' &&
    SMALL.test(verb) &&
    items.length > 0 &&
    items.every((x) => x.kind === 'line' && ['biscuit', 'nut'].includes(w.lines[x.line]!.role ?? ''))
  )
    work = 'hands';
  if (verb === 'pour' || verb === 'strain' || verb === 'sieve' || verb === 'tip' || verb === 'spoon' || verb === 'scrape' || verb === 'ladle')
    work = pouredInto(work, items, destAt, c, w.bowls, w.lines, w.here(), w.panIsTin);
  if (
    verb === 'pour' &&
    pouredOn(h) &&
    w.here()?.placed === 'no' &&
    w.holds(w.here()!, 'yolk', 'egg', 'chocolate', 'starch', 'gelatin') &&
    items.some((x) => x.kind === 'bowl' && x.bowl !== w.here()!.id && w.bowls[x.bowl]!.heated)
  )
    work = 'hands';
  // 'Beat the yolks; pour the syrup over them': into what is whisked.
  const eggs = w.here();
  if (
    verb === 'pour' &&
    work === 'fill' &&
    OVER_THEM.test(after) &&
    eggs?.air &&
    eggs.placed === 'no' &&
    w.holds(eggs, 'yolk', 'egg', 'white') &&
    items.length > 0 &&
    items.every((x) => x.kind === 'bowl' && (w.bowls[x.bowl]! === eggs || (w.bowls[x.bowl]!.heated && w.isWetOnly(w.bowls[x.bowl]!))))
  )
    work = 'hands';
  // 'Warm the rum, pour over the raisins and soak': they swell in it.
  const soaks = w.here();
  if (
    verb === 'pour' &&
    work === 'fill' &&
    !w.built &&
    POUR_ONTO.test(after) &&
    soaks?.placed === 'no' &&
    soaks.heated &&
    w.isWetOnly(soaks) &&
    items.length > 0 &&
    items.every((x) => (x.kind === 'line' ? w.lines[x.line]!.role === 'fruit' : w.bowls[x.bowl]! === soaks))
  )
    work = 'hands';
  // 'Pour the boiling water over the dates': they swell in it.
  if (verb === 'pour' && work === 'fill' && !w.built && items.length > 1 && items.every((x) => x.kind === 'line') && /\b(?:boiling|hot|warm)\b/i.test(c.text))
    work = 'hands';
  // 'Pour over the cold jelly': over what stands in the vessel, as its next layer.
  const [only] = items;
  if (
    verb === 'pour' &&
    work === 'hands' &&
    w.built &&
    items.length === 1 &&
    only!.kind === 'bowl' &&
    w.bowls[only!.bowl]!.placed === 'no' &&
    w.here()?.placed !== 'no' &&
    /^pour (?:\w+ly )?(?:on|over)\b/i.test(after)
  )
    work = 'fill';
  // 'Dissolve the coffee in hot milk, pour on the chocolate': it melts in what is in hand.
  const wet = w.here();
  if (
    verb === 'pour' &&
    work === 'fill' &&
    POUR_ONTO.test(after) &&
    wet?.placed === 'no' &&
    !wet.air &&
    w.holds(wet, 'milk', 'cream', 'liquid') &&
    items.length > 0 &&
    items.every((x) => x.kind === 'line' && ['chocolate', 'white', 'yolk', 'egg'].includes(w.lines[x.line]!.role ?? ''))
  )
    work = 'hands';
  // Cream that stands is only brought together with another bowl, whatever word is used for it: whisked on, cream turns to butter.
  if ((work === 'whisk' || work === 'beat') && involved.filter((x) => x.bowl).length > 1 && involved.some((x) => x.bowl?.air && w.holds(x.bowl, 'cream')))
    work = 'fold';
  // 'Boil the cream, add the juice, whisk': hot cream takes no air.
  if (
    work === 'whisk' &&
    verb === 'whisk' &&
    items.length === 0 &&
    stageIn(c.text) === null &&
    !RISES.test(c.text) &&
    stillHot(w) &&
    !w.holds(w.here()!, 'white') &&
    // 'Take off and whisk till cold': a sabayon.
    !(w.holds(w.here()!, 'yolk', 'egg') && !w.holds(w.here()!, 'milk', 'cream', 'chocolate', 'fruit') && /\b(?:cold|cool)\b/i.test(c.text))
  )
    work = 'hands';
  // 'Loosen the cheese with a bit of the foam, then all of it.'
  if (work === 'beat' && verb === 'loosen' && involved.some((x) => x.bowl?.air) && /\bthen\b/i.test(c.text)) work = 'fold';
  // 'Spoon rounds on the tray. 1½ hours.': what lies on a tray while the oven is hot bakes.
  const lies = w.steps.at(-1);
  if (
    work === 'hands' &&
    c.verb === null &&
    items.length === 0 &&
    onlyTime(c.text) &&
    lies?.work === 'fill' &&
    /\b(?:trays?|sheets?|paper|parchment|tin)\b/i.test(lies.text) &&
    w.steps.findLastIndex((s) => s.machine === 'oven') > w.steps.findLastIndex((s) => s.work === 'bake')
  )
    work = 'bake';
  // 'Scrape onto the base, smooth': what is in hand is laid on what stands in its tin.
  if (
    work === 'hands' &&
    /^(?:scrape|tip|pour|turn|put|transfer|ladle)$/.test(verb) &&
    items.some(
      (x) =>
        x.kind === 'bowl' &&
        x.at > destAt &&
        x.bowl !== w.here()?.id &&
        (w.bowls[x.bowl]!.pressed || w.bowls[x.bowl]!.place === 'layer' || w.bowls[x.bowl]!.baked),
    ) &&
    /\b(?:on|onto|over|on to)\b/i.test(after)
  )
    work = 'fill';
  // 'Break the cake into the bowl. Add the rhubarb, then the custard': layers of what is being built.
  if (
    work === 'hands' &&
    verb === 'add' &&
    w.steps.at(-1)?.work === 'fill' &&
    items.length > 0 &&
    items.every((x) => x.kind === 'bowl' && w.bowls[x.bowl]!.place === 'mix' && !w.waits(w.bowls[x.bowl]!)) &&
    items.some((x) => x.kind === 'bowl' && w.bowls[x.bowl]!.placed === 'no')
  )
    work = 'fill';
  // 'Press on the chopped hazelnuts': onto what stands there.
  if (work === 'hands' && PRESSED_ON.test(c.text) && w.built && items.length > 0 && items.every((x) => x.kind === 'line')) work = 'finish';
  // 'Continue to layer wafers, bananas and custard'.
  if (work === 'hands' && /^(?:continue|keep|carry on|go on) (?:to )?(?:layer|alternat|stack)/i.test(after)) work = 'fill';
  // 'Smooth the pastry cream': stirred, where nothing lies yet.
  if (work === 'fill' && verb === 'smooth' && items.length === 1 && items[0]!.kind === 'bowl' && w.bowls[items[0]!.bowl]!.placed === 'no') work = 'beat';
  // 'Pat in pan.'
  if (work === 'hands' && PATS_IN.test(after)) work = 'fill';
  // 'Line the terrine with film and the langues de chat': they are laid.
  if (verb === 'line' && work === 'hands' && items.some((x) => x.kind === 'line' && w.lines[x.line]!.role === 'biscuit')) work = 'fill';
  // 'Line a tin': with nothing of the dessert.
  if (
    verb === 'line' &&
    work === 'fill' &&
    items.length === 0 &&
    !w.inHand.some((x) => x.kind === 'line' && w.lines[x.line]!.role === 'biscuit') &&
    w.steps.at(-1)?.work !== 'soak'
  )
    work = 'hands';
  // Covered with something of the dessert, it is a layer of it; water and milk only cover.
  if (
    verb === 'cover' &&
    work === 'hands' &&
    items.length > 0 &&
    /^cover\b[^.;]*\bwith\b(?! (?:a |the |some |cling|plastic|clear )*(?:film|clingfilm|cling|wrap|plastic|foil|lid|paper|parchment|cloth|towel)\b)/i.test(
      after,
    ) &&
    items.every((x) => x.kind === 'bowl' || !['liquid', 'milk', 'drink'].includes(w.lines[x.line]!.role!))
  )
    work = 'fill';
  // 'Tin of caramel over that': onto the base, which stands in its tin.
  if (
    work === 'hands' &&
    c.verb === null &&
    items.length > 0 &&
    (/\b(?:over|on) (?:that|it|them|this|top)\b/i.test(c.text) || /\bspread over\W*$/i.test(c.text)) &&
    w.live().some((b) => b.placed === 'built')
  )
    work = 'fill';
  // 'Put it over simmering water and keep stirring till it reaches 71 °C.'
  if (
    work === 'hands' &&
    /^(?:keep|continue|go|carry|stir)$/.test(verb) &&
    w.steps.at(-1)?.work === 'heat' &&
    temperaturesIn(c.text, w.fahrenheit).some((t) => t.of === 'mix' && t.c > 45)
  )
    work = 'heat';
  // 'Butter in, a lump at a time': into a foam that runs.
  if (
    work === 'hands' &&
    c.verb === null &&
    additive &&
    w.here()?.air &&
    items.length > 0 &&
    items.every((x) => x.kind === 'line' && w.lines[x.line]!.role === 'butter')
  )
    work = 'beat';
  // 'Stream in the cream, then up to medium until it holds firm peaks.'
  if (work === 'hands' && additive && on.cream && stageIn(c.text) !== null && /\b(?:until|till)\b/i.test(c.text)) work = 'whisk';
  // Added while the machine runs, it is whisked.
  const mine = w.here();
  if (work === 'hands' && (additive || verb === 'pour' || verb === 'drizzle' || verb === 'stream') && WHILE_RUNNING.test(c.text))
    work = on.butter || on.cheese ? 'beat' : on.cream || on.white || on.yolk || (mine !== null && w.holds(mine, 'cream', 'white', 'yolk')) ? 'whisk' : work;
  return work;
}

/** Whether what is in hand was heated and has not been in the cold since. */
function stillHot(w: Worktop): boolean {
  const mine = w.here();
  if (!mine || mine.air || !mine.heated) return false;
  const heated = w.steps.findLastIndex((s) => s.bowl !== null && w.root(s.bowl) === mine.id && s.work === 'heat');
  return heated >= 0 && !w.steps.slice(heated).some((s) => ['chill', 'freeze', 'wait'].includes(s.work));
}

/** 'On low speed', 'on medium-high'. */
const SPEED = /^(?:on|at) (?:an? )?(?:very )?(?:low|medium|high|slow|fast|full|top)\b(?! (?:heat|flame|shelf))/i;

/** Behind which word the place stands that something goes into; −1 where no such word stands before something that is named. */
function destinationOf(c: Clause, items: readonly Item[]): number {
  for (let i = Math.max(0, c.at + 1); i < c.words.length; i++) {
    if (!DEST.has(c.words[i]!.said)) continue;
    const { said } = c.words[i]!;
    // 'Into that, a pinch of nutmeg': what is in hand, and no more of what follows.
    if (/^(?:it|them|that|this)$/.test(c.words[i + 1]?.said ?? '') && /^[,.;)]$/.test(c.words[i + 2]?.said ?? '.')) continue;
    // 'One by one on low speed, then the vanilla': how fast.
    if ((said === 'on' || said === 'at') && SPEED.test(c.text.slice(c.words[i]!.start))) continue;
    // 'Add to custard', 'fold in custard': what was made needs no article.
    const made = items.some((x) => x.kind === 'bowl' && x.at === i + 1);
    if (said === 'to' && !made && !/^(?:the|this|that|it|them|your|a)$/.test(c.words[i + 1]?.said ?? '')) continue;
    if (said === 'in' && ((i === c.at + 1 && !items.some((x) => x.at === c.at)) || !/^(?:the|this|that|it|them|your)$/.test(c.words[i + 1]?.said ?? '')))
      continue;
    // 'Into a bowl with 3 tbsp of the juices': that bowl is empty.
    if (INTO_A_BOWL.exec(c.text.slice(c.words[i]!.start))?.index === 0) continue;
    const behind = items.filter((x) => x.at > i);
    const ahead = items.filter((x) => x.at <= i);
    if (behind.length > 0 && ahead.length > 0) return i;
  }
  return -1;
}

/** Pouring mixes where it goes onto what is still in a bowl, and fills where it goes onto a base, biscuits or into a vessel. */
function pouredInto(
  work: StepWork,
  items: readonly Item[],
  destAt: number,
  c: Clause,
  bowls: readonly Bowl[],
  lines: readonly DraftLine[],
  here: Bowl | null,
  panIsTin: boolean,
): StepWork {
  const dests = items.filter((x) => x.at > destAt);
  const said = c.text.slice(c.words[Math.max(0, c.at)]?.start ?? 0);
  if (destAt < 0) {
    // 'Mix the crumbs, pat them in the pan. Pour in the filling': onto what lies there.
    if (here && (here.pressed || here.placed !== 'no') && /^(?:\w+ly )?(?:pour|tip|scrape|spoon) in\b/i.test(said)) return work;
    if (panIsTin && /\binto the (?:\w+ )?pan\b/i.test(c.text)) return work;
    if (
      /\b(?:in|into|to) (?:a|another|the|your)\b[^,.;]{0,30}\b(?:bowl|saucepan|pan|jug|mixer|processor|blender|cup|sieve|colander|strainer|muslin|cloth)\b/i.test(
        c.text,
      ) &&
      !/\bglass|\btin|\bdish|\bmou?ld|\bserving|\b(?:lined|prepared) (?:\w+ )?bowl/i.test(c.text)
    )
      return 'hands';
    // 'Heat the milk, pour it on': onto the eggs that wait for it.
    if (
      POURED_ON.test(said) &&
      items.length === 0 &&
      here?.placed === 'no' &&
      here.heated &&
      bowls.some(
        (b) =>
          b !== here &&
          b.into === null &&
          b.placed === 'no' &&
          b.place === 'mix' &&
          !b.heated &&
          [...b.lines].some((i) => ['yolk', 'egg'].includes(lines[i]!.role ?? '')),
      )
    )
      return 'hands';
    // 'Pour the syrup over them in a thin stream': into what has air.
    if (
      /^(?:\w+ly )?pour\b/i.test(said) &&
      here?.air &&
      here.placed === 'no' &&
      items.some((x) => x.kind === 'bowl' && bowls[x.bowl] !== here && (bowls[x.bowl]!.hotC ?? 0) > BOILED_C)
    )
      return 'hands';
    // 'Heat the milk, pour on to the yolks': into their bowl.
    const eggs = (x: Item): boolean =>
      x.kind === 'bowl' &&
      bowls[x.bowl] !== here &&
      bowls[x.bowl]!.placed === 'no' &&
      bowls[x.bowl]!.place === 'mix' &&
      [...bowls[x.bowl]!.lines].some((i) => ['yolk', 'egg', 'chocolate'].includes(lines[i]!.role ?? ''));
    if (
      /^(?:\w+ly )?pour (?:it )?(?:on to|onto|over) /i.test(said) &&
      here?.heated &&
      here.placed === 'no' &&
      !here.air &&
      items.some(eggs) &&
      items.every((x) => eggs(x) || (x.kind === 'bowl' && bowls[x.bowl] === here))
    )
      return 'hands';
    // 'Pour the syrup down the side of the bowl': into what is in it.
    if (/\bdown (?:the )?(?:in)?sides?\b/i.test(c.text)) return 'hands';
    // 'Pour into a shallow tray and cover': it cools there.
    if (/\binto an? (?:\w+ )?(?:shallow|flat|wide|cold|chilled) (?:\w+ )?(?:tray|dish|container|bowl|tin)\b/i.test(c.text) && here?.heated) return 'hands';
    // 'Pour on the hot milk': onto what is in hand.
    if (
      /^(?:\w+ly )?pour (?:on|over)\b/i.test(said) &&
      !/\b(?:cold|cool|cooled)\b/i.test(said) &&
      here?.placed === 'no' &&
      items.some((x) => x.kind === 'bowl' && x.bowl !== here.id && bowls[x.bowl]!.heated)
    )
      return 'hands';
    if (/^(?:\w+ly )?(?:pour|tip|scrape) in(?:to)? (?:the )?(?:\w+ )?(?:crust|base|shell|case|tin|ring|mou?ld|glasses|dish)\b/i.test(said)) return work;
    if (/^(?:\w+ly )?(?:pour|tip|scrape) (?:it|them|this|these) back in\b/i.test(said)) return 'hands';
    // 'Pour the cream in': into what is in hand.
    if (
      /^(?:\w+ly )?(?:pour|tip) (?:the |your |all the )?(?:\w+ ){1,3}in(?=\s*(?:[,.;]|and\b|$))/i.test(said) &&
      here?.placed === 'no' &&
      items.some((x) => x.kind === 'line')
    )
      return 'hands';
    if (/^(?:\w+ly )?(?:pour|tip|scrape) in\b/i.test(said))
      return items.length > 0 && !items.some((x) => x.kind === 'bowl' && bowls[x.bowl] === here) ? 'hands' : work;
    return work;
  }
  const first = dests[0];
  if (!first) return work;
  if (first.kind === 'line') return ['biscuit', 'fruit'].includes(lines[first.line]!.role ?? '') ? work : 'hands';
  const b = bowls[first.bowl]!;
  return b.pressed || b.place === 'layer' || b.placed !== 'no' || b.baked ? work : 'hands';
}
