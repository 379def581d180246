import { gramsIn, type Bowl } from './bowls';
import { puts } from './laying';
import { sameHeading } from './rows';
import { ALL, type FlowClause, type Heard, type Item, type Job, type Share, type Worktop } from './worktop';

const NEW_BOWL =
  /\b(?:in|into|to)\s+(?:a|an|another|a separate|separate|your|one|the bowl of)\b[^,.;]{0,36}\b(?:bowl|saucepan|pan|pot|jug|mixer|processor|blender|cup)\b|\bin the bowl of\b|\bin the (?:food )?processor\b|\bin the (?:stand )?mixer\b/i;
/** A bowl with nothing in it yet. */
export const INTO_A_BOWL = /\b(?:in|into) (?:an?|another|a separate) (?:[\w-]+ ){0,3}(?:bowl|pan|saucepan|jug)\b/i;
const SEPARATE = /\b(?:another|separate|second|clean|different|other) (?:\w+ )?(?:bowl|pan|saucepan|jug|pot)\b|\bseparately\b/i;
/** What is in hand goes onto something that is not named. */
export const POURED_ON =
  /^(?:pour|tip|strain|ladle) (?:it|this|that) (?:\w+ly )?(?:(?:up)?on|over)(?: (?:in a .{1,16}stream|gradually|slowly|bit by bit|while .*))?$/i;
/** 'With the sugar added at soft peak'. */
const SUGAR_LATE = /\bsugar\b[^.;]{0,30}\b(?:at|from) (?:the )?soft[- ]?peaks?\b|\b(?:at|from) (?:the )?soft[- ]?peaks?\b[^.;]{0,24}\bsugar\b/i;
/** 'Whizz the berries and push through a sieve'. */
export const THROUGH_A_SIEVE = /\b(?:through|thro) (?:a |the )?(?:fine |hair |nylon )*sieve\b/i;
/** Hotter is no water but a syrup, °C. */
export const BOILED_C = 100;
/** What comes in is of weight from this share of a foam on (house). */
const HEAVY_SHARE = 0.35;

/** What eggs do only with air in them. */
const FOAMS = /\b(?:pale|fluffy|foamy|frothy|ribbons?|doubled?|tripled?|in volume|mousse(?:-like)?)\b/i;

/** A bowl that was worked on has its stage, air and heat from the step. */
export function touch(w: Worktop, b: Bowl, { step, at, h }: Job): void {
  const { work, temperature } = step;
  b.lastStep = at;
  step.bowl = b.id;
  if (step.stage && (work === 'whisk' || work === 'beat')) b.stage = step.stage;
  if (work === 'whisk') b.air = true;
  // 'Put the yolks over simmering water and whisk until thick and mousse-like'.
  if (work === 'whisk' && b.steam && w.holds(b, 'yolk', 'egg', 'white') && !w.holds(b, 'milk', 'cream') && FOAMS.test(h.c.text)) b.risen = true;
  if (work === 'heat' || (temperature?.of === 'mix' && temperature.c > 45)) {
    b.heated = true;
    if (temperature?.of === 'mix') b.hotC = Math.max(b.hotC ?? 0, temperature.c);
    if (/\bsteam|\bsimmering|\bdouble boiler|\bbain/i.test(h.c.text)) b.steam = true;
    // 'Whisk over steam until pale, thick and tripled': a foam of eggs, warm.
    if (/^(?:whisk|whip|beat)/.test(step.verb) && w.holds(b, 'yolk', 'egg', 'white') && !w.holds(b, 'milk', 'cream') && FOAMS.test(h.c.text))
      b.air = b.risen = true;
  }
  if (/\b(?:strain|sieve|sift)\b/.test(step.verb) || THROUGH_A_SIEVE.test(step.text)) b.sieved = true;
}

/** Mixing, whisking, heating, folding: what goes in goes into one bowl, or into a new one that takes both. */
export function mix(w: Worktop, job: Job): void {
  if (intoHalf(w, job)) return;
  const { step, at, h, lines } = job;
  const together = cameTogether(w, job);
  const named = together ? together.bowls : job.bowls;
  const meant = together?.into ?? goalOf(w, job);
  // 'Sieve onto the gelatin': it dissolves in what comes over it, and that stays what it is.
  const [over] = named;
  const gel = meant && named.length === 1 && over!.b !== meant && w.waits(meant) && w.holds(meant, 'gelatin') && !w.waits(over!.b);
  const taken = gel ? [{ kind: 'bowl' as const, bowl: meant.id, at: 0, share: ALL, named: false, b: meant }] : named;
  const goal = gel ? over!.b : meant;
  if (!goal && laidThere(w, job)) return puts(w, { ...job, step: { ...step, work: 'fill' } });
  let bowl = goal ?? waitsFor(w, job);
  if (w.ownBowl && lines.length > 0) {
    bowl = w.make(h.fc.section ?? w.lines[lines[0]!.line]!.under);
    w.ownBowl = false;
  }
  bowl ??= lines.length > 0 ? startedOrNew(w, job) : w.here();
  if (!bowl) return;
  const own = [...new Set(taken.map((x) => x.b).filter((b) => b !== bowl))];
  if (keepsApart(w, job, bowl, own)) {
    const made = w.make(h.fc.section ?? (bowl.heading && own.some((b) => b.heading === bowl!.heading) ? bowl.heading : null));
    // 'Into half the lemon cream': the other half stays what it is.
    const share = job.bowls.find((x) => x.b === bowl)?.share;
    made.takes.set(bowl.id, share?.kind === 'part' ? share.share : 1);
    made.takenAt.set(bowl.id, at);
    if (share?.kind !== 'part') bowl.into = made.id;
    bowl = made;
  }
  if (lines.some((x) => w.lines[x.line]!.role === 'sugar') && (bowl.air || SUGAR_LATE.test(h.c.text))) bowl.sugarLate = true;
  for (const x of lines) w.addLineTo(x.line, bowl);
  // A sauce that is rippled through stays a sauce.
  for (const b of own) give(w, b, bowl, taken.find((x) => x.b === b)!.share, RIPPLES.test(step.verb) && b.lines.size > 1);
  if (step.work === 'heat' && own.some((b) => w.holds(b, 'sugar') && b.hotC !== null && b.hotC > 100)) bowl.syrup = true;
  if (own.some((b) => (b.hotC ?? 0) > 100 || (b.heated && !w.holds(b, 'milk', 'cream') && w.holds(b, 'sugar')))) bowl.syrup = true;
  touch(w, bowl, job);
  if (/\bfor (?:dipping|soaking|brushing|the (?:dip|soak))\b/i.test(h.c.text)) bowl.place = 'soak';
  w.current = bowl.id;
  const { id } = bowl;
  w.inHand =
    step.work === 'heat' && bowl.lines.size <= 1
      ? [...w.inHand, { kind: 'bowl', bowl: id, at: 0, share: ALL, named: false }]
      : w.inHand.filter((x) => (x.kind === 'line' ? w.fresh(x.line) : x.bowl !== id && w.bowls[x.bowl]!.into === null));
}

/** 'Split in two; melt the dark chocolate into one half and the white into the other'. */
const HALF = /\b(?:into|in|to|with) (?:one|the first|the other|the second|the remaining) half\b(?! of (?:the|a)\b)/gi;

/** What is named goes into half of what is in hand, or each into its own half: those halves are bowls of their own. @returns whether it does. */
function intoHalf(w: Worktop, job: Job): boolean {
  const mine = w.here();
  if (!mine || mine.placed !== 'no' || job.lines.length === 0) return false;
  const { c, fc } = job.h;
  const ends = [...c.text.matchAll(HALF)].map((m) => m.index);
  if (ends.length === 0) return false;
  // The other half is of what the first was taken from.
  const whole = [...mine.takes].find(([, share]) => share === 0.5);
  const from = whole && mine.lines.size > 0 ? w.bowls[whole[0]]! : mine;
  ends.forEach((end, k) => {
    const said = job.lines.filter((x) => (c.words[x.at]?.start ?? 0) < end && (c.words[x.at]?.start ?? 0) > (ends[k - 1] ?? -1));
    if (said.length === 0) return;
    const made = w.make(fc.section);
    made.takes.set(from.id, 0.5);
    made.takenAt.set(from.id, job.at);
    for (const x of said) w.addLineTo(x.line, made);
    touch(w, made, job);
    w.current = made.id;
  });
  return true;
}

/** 'Whip the cream and fold in with the chips': it goes in, with more. */
const FOLD_IN_WITH = /^fold (?:it |this )?in,? (?:w\/|with|along with|together with)/i;

/** 'Fold together': behind it only how, and what comes in besides. */
const TOGETHER_AND = /^fold (?:\w+ly )?together(?=\s*(?:[,.;]|$|in (?:two|three|\d)|with\b|and\b))/i;

/** What is left, of nothing that is named. */
const THE_REST = /\bthe (?:rest|remainder)\b(?! of)/i;

/** Nothing is named: 'fold it in', 'fold together', 'combine the two'. @returns the bowls that come together and the one that they go into. */
function cameTogether(w: Worktop, { step, at, h, items, bowls: named }: Job): { readonly into: Bowl; readonly bowls: Job['bowls'] } | null {
  const { work } = step;
  const whipped = w.here();
  const withMore =
    work === 'fold' &&
    FOLD_IN_WITH.test(h.after) &&
    whipped?.air === true &&
    w.holds(whipped, 'cream') &&
    w.steps[at - 1]?.work === 'whisk' &&
    items.every((x) => x.kind === 'line');
  const all = (b: Bowl): Job['bowls'][number] => ({ kind: 'bowl', bowl: b.id, at: 0, share: ALL, named: false, b });
  // 'Cook the sugar to 121 °C, pour on the whipped whites': the syrup goes into the foam, whatever is in hand.
  const [foam] = named;
  if (
    step.verb === 'pour' &&
    POUR_ONTO.test(h.after) &&
    named.length === 1 &&
    foam!.b.air &&
    w.holds(foam!.b, 'white', 'yolk', 'egg') &&
    whipped !== null &&
    whipped !== foam!.b &&
    (whipped.hotC ?? 0) > BOILED_C
  )
    return { into: foam!.b, bowls: [all(whipped)] };
  // 'Fold together, most of the brittle in too': the two that were made last, and more.
  const andMore = work === 'fold' && TOGETHER_AND.test(h.after);
  // 'Fold that in and three quarters of the honeycomb': what was just whipped, and more.
  const thatToo =
    work === 'fold' &&
    /^fold (?:it|that|this) in,? (?:and|with|along with|plus)\b/i.test(h.after) &&
    whipped?.air === true &&
    named.some((x) => x.b !== whipped);
  if (items.length > 0 && !withMore && !andMore && !thatToo) return null;
  const mine = w.here();
  // 'Fold in a third, then fold in the rest': of what went in before.
  const begun =
    mine !== null && THE_REST.test(h.after) ? [...mine.takes.keys()].map((id) => w.bowls[id]!).find((b) => b.into === null && b.placed === 'no') : undefined;
  if (mine && begun) return { into: mine, bowls: [all(begun)] };
  // 'Fold it in': what was just made goes into what waits for it.
  const poursBack =
    mine !== null &&
    ((w.isWetOrGel(mine) && /^(?:pour|stir|beat|whisk|mix|tip|scrape) (?:it|them|this|these|those) (?:back )?in(?:to)?\b/i.test(h.after)) ||
      POURED_ON.test(h.after));
  if (
    mine &&
    (work === 'fold' || poursBack) &&
    /^\w+ (?:(?:(?:nearly|almost|about) )?(?:all|most|half) of |(?:(?:an? |one )?(?:third|quarter|half|spoonful|little|bit)|1\/[234]|[⅓¼½])(?: of it)? (?=in\b|through\b))?(?:it|this|them|these|those|that|in|through)\b/.test(
      h.after,
    )
  ) {
    const waits = w.latest(
      (b) => b !== mine && !named.some((x) => x.b === b) && b.placed === 'no' && b.place === 'mix' && (b.lines.size > 0 || b.takes.size > 0),
    );
    if (waits) return { into: waits, bowls: [all(mine), ...named.filter((x) => x.b !== mine)] };
  }
  // 'Fold together', 'combine the two': the two that were made last.
  if (
    (/\btogether\b|\bthe two\b|\bboth\b/i.test(h.after) && ['fold', 'hands', 'beat', 'heat', 'whisk'].includes(work)) ||
    (work === 'fold' && /^fold(?: \w+ly)?[.,;]?$/i.test(h.after.trim()))
  ) {
    const two = w
      .live()
      .filter((b) => b.placed === 'no' && b.place === 'mix' && b.lines.size + b.takes.size > 0)
      .sort((a, b) => b.lastStep - a.lastStep)
      .slice(0, 2);
    if (two.length === 2) return { into: baseOf(w, two)!, bowls: [...two.map(all), ...(andMore ? named.filter((x) => !two.includes(x.b)) : [])] };
  }
  return null;
}

/** 'Pour on': what is hot, onto what is in hand. */
export const BARE_POUR =
  /^pour (?:on|over)(?:,? (?:whisking|stirring|beating)(?: (?:well|all the time|constantly|hard))?,?)?(?:,? (?:then |and )*back (?:in|into|on|onto|over|to) the (?:pan|saucepan|heat|hob|stove)(?: (?:until|till) [^;.]{3,60})?)?(?: (?:slowly|gradually|bit by bit|while \w+|in a .{1,16}stream))?\s*[.,;]?\s*$/i;

/** 'Pour on the chocolate': what is in hand, onto that. */
export const POUR_ONTO =
  /^pour (?:it |this |in (?:two|three|four|several|\d) (?:times|additions|goes|lots|stages) )?(?:on to|(?:up)?on|onto|over) (?:the |your )?\w/i;

/** 'Pour the milk on': onto what is in hand, which is not named. */
export const pouredOn = (h: Heard): boolean =>
  /^(?:pour|tip|strain|ladle) (?:the |your |all the |all of the )?(?:[\w-]+ ){1,3}(?:(?:on|over)(?: to (?:it|them))?|upon (?:it|them))(?=\s*(?:[,.;]|$|while|whisking|stirring|in (?:two|three|four|several|a )))/i.test(
    h.after,
  );

/** 'Mix them with', 'add to it': into what is in hand. */
function withIt(w: Worktop, { h, at, lines }: Job): boolean {
  const mine = w.here();
  const itWith =
    /^(?:mix|stir|combine|toss|bind|beat|whisk|blend|melt|warm|dissolve) (?:it|them|this|these|those) (?:\w+ )?with\b/i.test(h.after) &&
    !lines.some((x) => x.at <= h.c.at);
  // 'Cook with the milk': what is in hand is cooked.
  // 'Slice the strawberries, toss with sugar': those.
  const unsaid = /^(?:cook|heat|warm|boil|simmer|toss|deglaze|thin|loosen) (?:\w+ly )?with\b/i.test(h.after) && !lines.some((x) => x.at === h.c.at);
  // 'Melt the butter, mix with the sugar': what was melted in the same breath.
  const melted =
    /^(?:mix|stir|beat|combine|blend|whisk) (?:\w+ly )?with\b/i.test(h.after) &&
    mine?.placed === 'no' &&
    mine.lastStep === at - 1 &&
    (w.steps[at - 1]?.work === 'heat' || (w.steps[at - 1]?.work === 'hands' && w.steps[at - 1]!.start === w.steps[at]!.start)) &&
    lines.length > 0 &&
    !lines.some((x) => x.at === h.c.at);
  // 'Half a teaspoon of rose water.': a seasoning by itself goes where the hands are.
  const alone = h.c.verb === null && lines.length > 0 && lines.every((x) => w.seasons(x.line));
  // 'Then a pound of soft butter in small lumps, on medium': into the foam in hand.
  const then =
    h.c.verb === null &&
    /^(?:and |now )?then /i.test(h.c.text) &&
    lines.length > 0 &&
    mine?.placed === 'no' &&
    w.onlyButter(
      lines.map((x) => x.line),
      mine,
    );
  return (
    itWith ||
    unsaid ||
    melted ||
    alone ||
    then ||
    pouredOn(h) ||
    BARE_POUR.test(h.after) ||
    (lines.length > 0 && POUR_ONTO.test(h.after)) ||
    /\b(?:to|into|in|with|over) (?:it|them|this|that|there)\b/i.test(h.after)
  );
}

const LOOSENS = /^(?:lighten|loosen|slacken)$/;

/** The bowl that is named as the goal; null where none is. */
function goalOf(w: Worktop, job: Job): Bowl | null {
  const { step, h, items, bowls, destAt } = job;
  const mine = w.here();
  // 'Pour the syrup between whisk and bowl', 'pour over the syrup': onto the eggs that are whisked, and never the foam into the pan.
  const boiled = (x: Job['bowls'][number]): boolean =>
    x.b !== mine && ((x.b.hotC ?? 0) > BOILED_C || (x.b.heated && w.isWetOnly(x.b) && w.holds(x.b, 'sugar')));
  if (
    /^(?:pour|stream|drizzle|trickle)$/.test(step.verb) &&
    mine?.air &&
    mine.placed === 'no' &&
    w.holds(mine, 'white', 'yolk', 'egg') &&
    bowls.some(boiled) &&
    bowls.every((x) => x.b === mine || boiled(x))
  )
    return mine;
  if (destAt >= 0 && items.some((x) => x.at > destAt))
    return bowlFor(
      w,
      items.filter((x) => x.at > destAt),
      h.fc,
    );
  // 'Pour the wine and cream into a bowl with 3 tbsp of the juices': of those a little, into a bowl of its own.
  if (destAt < 0 && job.lines.length > 0 && INTO_A_BOWL.test(h.after) && bowls.every((x) => x.share.kind === 'part')) return null;
  // 'Dissolve the gelatine': in what is warm in hand.
  const gel =
    (step.verb === 'dissolve' || step.verb === 'melt') &&
    items.length > 0 &&
    items.every((x) => (x.kind === 'line' ? w.lines[x.line]!.role === 'gelatin' : w.waits(w.bowls[w.root(x.bowl)]!)));
  if (gel && mine?.heated && mine.placed === 'no' && !bowls.some((x) => x.b === mine)) return mine;
  if (withIt(w, job) && mine && !bowls.some((x) => x.b === mine) && !LOOSENS.test(step.verb) && !/^(?:cover|top|fill|brush)$/.test(step.verb)) return mine;
  if (LOOSENS.test(step.verb) && mine?.placed === 'no' && /^\w+ with\b/i.test(h.after) && !bowls.some((x) => x.b === mine)) return mine;
  if (LOOSENS.test(step.verb)) return bowlFor(w, (destAt < 0 ? items : items.filter((x) => x.at <= destAt)).slice(0, 1), h.fc);
  // 'Keep whisking while you trickle in the syrup': what is whisked goes on.
  if (mine?.placed === 'no' && /^(?:keep|continue|carry on|go on)\b/i.test(h.after) && bowls.length > 0 && !bowls.some((x) => x.b === mine)) return mine;
  // 'Fold the custard through, then the fruit': through what is in hand.
  if (
    step.work === 'fold' &&
    mine?.placed === 'no' &&
    !bowls.some((x) => x.b === mine) &&
    /^(?:fold|ripple|swirl|marble|stir) (?:[\w'-]+ ){1,5}(?:through|thro|thru)(?=\s*(?:[,.;]|$|(?:so|until|till|but|leaving|to leave)\b))/i.test(h.after)
  )
    return mine;
  // 'Fold through two thirds of the praline': a share of what was made, into what is in hand.
  if (step.work === 'fold' && mine && mine.placed === 'no' && bowls.length > 0 && bowls.every((x) => x.share.kind === 'part' && x.b !== mine)) return mine;
  if (bowls.length > 0 && !h.additive)
    return (
      baseOf(
        w,
        bowls.filter((x) => x.share.kind === 'all').map((x) => x.b),
      ) ?? bowls[0]!.b
    );
  return null;
}

/** Whether a step without a named goal adds to what there is. */
const addsToWhatIs = (w: Worktop, job: Job): boolean =>
  !(w.ownBowl && job.lines.length > 0) && (job.h.additive || withIt(w, job) || (job.step.work === 'fold' && job.items.length <= 1));

/** It is added to what stands in the vessel already: it is laid. */
function laidThere(w: Worktop, job: Job): boolean {
  const mine = w.here();
  return addsToWhatIs(w, job) && mine !== null && !job.bowls.some((x) => x.b === mine) && mine.placed !== 'no' && job.lines.length > 0;
}

/** 'Crush the biscuits, mix in the butter': what was made small in the same breath takes it. */
function crumbsInHand(w: Worktop, { step, at, lines }: Job): Bowl | null {
  const before = w.steps[at - 1];
  if (before?.bowl !== null || before.start !== step.start || !lines.some((x) => w.lines[x.line]!.role === 'butter')) return null;
  const crumbs = w.inHand.flatMap((x) =>
    x.kind === 'line' && w.fresh(x.line) && before.lines.has(x.line) && ['biscuit', 'nut'].includes(w.lines[x.line]!.role ?? '') ? [x.line] : [],
  );
  if (crumbs.length === 0) return null;
  const bowl = w.make(w.lines[crumbs[0]!]!.under);
  for (const i of crumbs) w.addLineTo(i, bowl);
  return bowl;
}

/** The bowl that waits for what is added; null for none. */
function waitsFor(w: Worktop, job: Job): Bowl | null {
  if (!addsToWhatIs(w, job)) return null;
  const crumbs = crumbsInHand(w, job);
  if (crumbs) return crumbs;
  const mine = w.here();
  const own = job.bowls.map((x) => x.b);
  if (mine && !own.includes(mine)) return mine;
  const { section } = job.h.fc;
  return (
    w.latest((b) => !own.includes(b) && b.placed === 'no' && b.lastStep < job.at && (section === null || sameHeading(b.heading, section))) ??
    w.latest((b) => !own.includes(b) && b.placed === 'no' && b.lastStep >= 0)
  );
}

/** 'Whisk in the sugar', 'with the sugar': what has begun goes on, where it is no bowl of its own. */
function startedOrNew(w: Worktop, { step, at, h, lines }: Job): Bowl {
  const mine = w.here();
  const separate = SEPARATE.test(h.c.text) || NEW_BOWL.test(h.c.text);
  const seasoning = lines.every((x) => ['sugar', 'flavour', 'salt', 'acid', 'sour', 'starch', 'setter'].includes(w.lines[x.line]!.role!));
  const starts =
    mine &&
    mine.placed === 'no' &&
    !separate &&
    seasoning &&
    !mine.heated &&
    at - mine.lastStep <= 2 &&
    // Sentences that are told have no rows to stand together in.
    (!w.hasList ||
      w.sameBlock(
        mine,
        lines.map((x) => x.line),
      )) &&
    step.work !== 'heat' &&
    step.verb !== 'make';
  return starts ? mine : w.make(h.fc.section ?? w.lines[lines[0]!.line]!.under);
}

/** What has been whisked or cooked stays what it is when something else of weight comes in. @param own bowls that come in. */
function keepsApart(w: Worktop, { step, at, h, lines }: Job, bowl: Bowl, own: readonly Bowl[]): boolean {
  const { work } = step;
  if (!['fold', 'whisk', 'beat', 'hands', 'heat'].includes(work) || !(w.isFoamed(bowl) || w.isCooked(bowl))) return false;
  // A share of it is in there already.
  if (own.length > 0 && own.every((b) => bowl.takes.has(b.id))) return false;
  const custard =
    own.some((b) => w.makesCustard(b, bowl)) ||
    (bowl.air &&
      w.holds(bowl, 'yolk', 'egg') &&
      !w.holds(bowl, 'white', 'cream') &&
      lines.some((x) => ['milk', 'cream'].includes(w.lines[x.line]!.role!)) &&
      /\b(?:hot|warm|boiling|scalded|steaming)\b/i.test(h.c.text));
  if (custard) return false;
  if (own.some((b) => w.isFoamed(b) || w.isCooked(b))) return true;
  // Folded in, what was only softened weighs like what is fresh.
  const folded = work === 'fold' ? own.filter((b) => !w.isFoamed(b) && !w.isCooked(b)).flatMap((b) => [...b.lines]) : [];
  // Wine or juice in a foam of yolks is of that foam.
  const thins = (i: number): boolean =>
    ['drink', 'liquid', 'milk'].includes(w.lines[i]!.role!) && w.holds(bowl, 'yolk', 'egg') && !w.holds(bowl, 'cream', 'white');
  // Flour and nuts make a batter of a foam of eggs: it is baked as one.
  const batter = (i: number): boolean =>
    ['starch', 'nut', 'cocoa'].includes(w.lines[i]!.role!) && w.holds(bowl, 'yolk', 'egg', 'white') && !w.holds(bowl, 'cream');
  const heavy = [...folded, ...lines.filter((x) => !thins(x.line) && !batter(x.line)).map((x) => x.line)].reduce((g, i) => g + w.weightOf(i), 0);
  return (
    heavy > HEAVY_SHARE * Math.max(1, gramsIn(bowl, w.lines)) &&
    bowl.lastStep < at &&
    w.isFoamed(bowl) &&
    work !== 'whisk' &&
    !w.onlyButter(
      [...folded, ...lines.map((x) => x.line)].filter((i) => !LIGHT.has(w.lines[i]!.role!)),
      bowl,
    )
  );
}

/** 'The butter, then the coffee': what only gives its taste is no more than that. */
const LIGHT = new Set(['flavour', 'salt', 'liquid', 'drink']);

const RIPPLES = /^(?:ripple|swirl|marble)$/;

/** All of a bowl, or a share of it, goes into another. @param apart it stays what it is there. */
export function give(w: Worktop, from: Bowl, to: Bowl, share: Share, apart = false): void {
  // A share of praline is in the filling; the rest goes on top of it: no circle.
  if (from === to || w.holdsBowl(from, to)) return;
  to.takenAt.set(from.id, w.steps.length - 1);
  // A few spoons to temper the other are no share of their own.
  const custard = w.makesCustard(from, to);
  if (custard) to.heated = true;
  if (!custard && share.kind === 'part' && /spoon|tbsp|tablespoon|tsp|ladle|dollop|little|bit/i.test(share.said)) return;
  if (!custard && share.kind === 'part') {
    to.takes.set(from.id, Math.min(1, (to.takes.get(from.id) ?? 0) + share.share));
    return;
  }
  const taken = w.bowls.reduce((sum, b) => sum + (b !== to ? (b.takes.get(from.id) ?? 0) : 0), 0);
  const same =
    [...from.lines].some((i) =>
      [...to.lines].some(
        (j) =>
          w.lines[i]!.ingredient !== null && w.lines[i]!.ingredient.id === w.lines[j]!.ingredient?.id && ['fruit', 'cream', 'milk'].includes(w.lines[i]!.role!),
      ),
    ) && !from.air;
  if (apart || (!same && !custard && (w.isFoamed(from) || w.isCooked(from))) || from.takes.size > 0 || taken > 0) {
    to.takes.set(from.id, Math.max(0.01, 1 - taken));
    if (taken === 0) from.into = to.id;
    return;
  }
  // What was only softened, melted or soaked is part of what it goes into.
  for (const i of from.lines) {
    w.bowlOf[i] = to.id;
    to.lines.add(i);
  }
  if (from.hotC !== null && from.hotC > 100) to.syrup = true;
  // Hot milk or cream on chocolate: what it makes was heated.
  if (from.heated && !to.air && w.holds(to, 'milk', 'cream') && w.holds(to, 'chocolate')) to.heated = true;
  from.lines.clear();
  from.into = to.id;
}

/** The bowl that something goes into: one that is there, or what it is poured on. */
export function bowlFor(w: Worktop, items: readonly Item[], fc: FlowClause): Bowl | null {
  const there = items.find((x) => x.kind === 'bowl');
  if (there?.kind === 'bowl') {
    const b = w.bowls[w.root(there.bowl)]!;
    for (const x of items) if (x.kind === 'line') w.addLineTo(x.line, b);
    return b;
  }
  const first = items.find((x) => x.kind === 'line');
  if (!first || first.kind !== 'line') return null;
  const b = w.make(fc.section ?? w.lines[first.line]!.under);
  for (const x of items) if (x.kind === 'line') w.addLineTo(x.line, b);
  return b;
}

/** Of several bowls that come together the one that the others go into: the heavier, without air. */
export function baseOf(w: Worktop, list: readonly Bowl[]): Bowl | null {
  return [...list].sort((a, b) => Number(a.air) - Number(b.air) || gramsIn(b, w.lines) - gramsIn(a, w.lines))[0] ?? null;
}
