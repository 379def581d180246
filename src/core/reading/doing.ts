import { amountsIn } from './amounts';
import type { Bowl } from './bowls';
import { amountText } from './lines-said';
import { bakes, puts, soaks } from './laying';
import { FRACTIONS } from './meant';
import { mix, POURED_ON, THROUGH_A_SIEVE, touch } from './mixing';
import { ALL, type FlowStep, type Heard, type Item, type Job, type Worktop } from './worktop';

const PREPARES = new Set(
  'tear cube chop dice mince grate zest squeeze juice peel split scrape core hull pit wash rinse slice halve quarter crush crumble bash break separate drain measure weigh cut pat snip toast crack sift sieve check blitz whizz whiz pulse process grind get grab take prepare pick use want need have shave snap trim'.split(
    ' ',
  ),
);
/** 'Set aside 1 cup of it'. */
const OF_IT = /\b(?:aside|reserve|keep(?: back)?|save|hold back|take out|scoop out)\s+(?:about |roughly )?(.{1,24}?) of (?:it|this|that|them)\b/i;
const KEEPS =
  /\b(?:reserve|set aside|keep(?! (?:going|beating|whisking|whipping|stirring|mixing|folding|on|at|an|the mixer|the heat|it moving|it cold))|save|put aside|hold back|scoop out|take out|lift out|set .{0,30} aside)\b/i;
/** 'Save 1 cup for the top'. */
const BARE_KEPT =
  /\b(?:aside|reserve|keep(?: back)?|save(?: out)?|hold back|take out|scoop out)\s+(?:about |roughly )?((?:\d[\d/.]*(?:\s\d\/\d)?[½¼¾⅓⅔]?|[½¼¾⅓⅔]|an?|one|half an?|two|three)\s?(?:cups?|ml|g|oz|tbsp|tablespoons|spoonfuls|spoons)?)(?=\s*(?:for\b|to\b|[.,;]|$))/i;
/** 'Mix the two lightly together'. */
const THE_TWO = /^(?:mix|combine|stir|blend|bring|put) (?:\w+ly )?(?:the two|both)\b/i;
/** What is kept back where no share is said (house). */
const KEPT_SHARE = 0.2;

/** Does a step's work in the bowls. */
export function apply(w: Worktop, step: FlowStep, at: number, items: readonly Item[], h: Heard, destAt: number): void {
  const job: Job = {
    step,
    at,
    h,
    items,
    destAt,
    lines: items.filter((x) => x.kind === 'line'),
    bowls: items.flatMap((x) => (x.kind === 'bowl' ? [{ ...x, b: w.bowls[w.root(x.bowl)]! }] : [])),
  };
  const { work } = step;
  const ofIt = OF_IT.exec(h.c.text)?.[1] ?? (items.length === 0 && KEEPS.test(h.c.text) ? (BARE_KEPT.exec(h.c.text)?.[1] ?? '') : '');
  if (dividesOff(w, job)) return;
  if (work === 'serve' && BESIDE.test(h.c.text)) besides(job);
  if (
    work === 'serve' ||
    (items.length === 0 && ofIt === '' && ((work === 'hands' && !POURED_ON.test(h.after) && !THE_TWO.test(h.after)) || work === 'finish'))
  )
    return nothingNew(w, job);
  if (keepsBack(w, job, ofIt)) return;
  if (work === 'chill' || work === 'freeze' || work === 'wait' || work === 'bake') return stands(w, job);
  if (work === 'soak') return soaks(w, job);
  if (work === 'fill' || work === 'finish') return puts(w, job);
  if (madeReady(w, job)) return;
  mix(w, job);
}

/** 'Serve with the sauce', 'pass the cream alongside'. */
const BESIDE = /\bserv\w+\b[^.;]{0,40}\b(?:with|alongside|beside)\b/i;
function besides({ step, at, bowls }: Job): void {
  for (const { b } of bowls) {
    if (b.placed !== 'no') continue;
    b.placed = 'beside';
    b.lastStep = at;
    step.places.add(b.id);
  }
}

/** Preparing what is used later, and what has nothing in it. */
function nothingNew(w: Worktop, { step }: Job): void {
  if (step.work === 'finish') w.chilled = true;
  const b = w.here();
  // 'Sieve.': what is in hand.
  if (b?.placed === 'no' && (/^(?:strain|sieve)$/.test(step.verb) || THROUGH_A_SIEVE.test(step.text))) b.sieved = true;
  if (b && b.placed === 'no' && step.work === 'hands' && step.verb !== 'preheat' && step.machine === null) step.bowl = b.id;
}

/** 'Transfer a third of it to another bowl'. */
const DIVIDES =
  /^(?:transfer|move|put|take|scoop|spoon|tip|pour|scrape) (?:out |about |roughly )*(.{1,20}?) of (?:it|this|that|them|the [\w ]{3,24}?) (?:in|into|to) (?:another|a|a second|a separate|a clean|a different) (?:\w+ )?bowl\b/i;

/** A share goes into a bowl of its own, for something else to come in. @returns whether it does. */
function dividesOff(w: Worktop, { step, at, h, bowls }: Job): boolean {
  const said = DIVIDES.exec(h.after)?.[1];
  const share = said === undefined ? undefined : FRACTIONS.find(([x]) => x.test(said))?.[1];
  const from = bowls[0]?.b ?? w.here();
  if (share === undefined || !from || from.placed !== 'no') return false;
  const made = w.make(from.heading);
  made.takes.set(from.id, share);
  made.takenAt.set(from.id, at);
  made.lastStep = at;
  step.bowl = made.id;
  w.current = made.id;
  return true;
}

const WORKS_THEM = /^(?:toss|mix|stir|combine|macerate|crush|mash|whisk|beat|blend)$/;

/** A share that is kept for later. @returns whether this step does nothing else. */
function keepsBack(w: Worktop, { step, at, h, lines, bowls }: Job, ofIt: string): boolean {
  const keeps = KEEPS.test(h.c.text) && !/\b(?:warm|cold|in the fridge until)\b/i.test(h.after.slice(0, 12));
  if (!keeps || (step.work === 'fill' && step.verb !== 'scoop')) return false;
  const from = bowls.find((x) => x.share.kind === 'part');
  const said = amountsIn(h.c)[0];
  const source: Bowl | null = from?.b ?? bowls[0]?.b ?? ((said || ofIt !== '') && lines.length === 0 ? w.here() : null);
  // Lines that are kept for the top: '6 berries for the top'.
  // 'Toss the berries with the sugar and set aside': they are tossed.
  const worked = lines.length > 1 && WORKS_THEM.test(step.verb);
  if (!source || !(from || said || ofIt !== '')) return lines.length > 0 && bowls.length === 0 && !worked;
  const part = from?.share.kind === 'part' ? from.share : null;
  const kept = w.make(source.heading);
  kept.place = 'kept';
  kept.air = source.air;
  kept.keptSays = said ? amountText(said) : from ? (part?.said ?? '') : ofIt;
  kept.takenAt.set(source.id, at);
  kept.takes.set(source.id, part?.share ?? FRACTIONS.find(([x]) => x.test(ofIt))?.[1] ?? KEPT_SHARE);
  step.bowl = source.id;
  return true;
}

/** So many steps lie between what is put into a dish and its bake: covered with foil, put into the oven (house). */
const STEPS_TO_BAKE = 3;
const A_DISH = /\b(?:in|into|on|onto) (?:an?|another) (?:[\p{L}-]+ ){0,3}(?:dish|tin|tray|pan|sheet)\b/iu;

/** 'Put the rhubarb and sugar in a dish, cover, bake': what lies there, and is in hand again; null where nothing was put into a dish of its own. */
function inADish(w: Worktop, at: number): Bowl | null {
  const b = w.latest(
    (x) =>
      x.place === 'topping' && x.takes.size === 0 && x.firstStep >= at - STEPS_TO_BAKE && x.firstStep === x.lastStep && A_DISH.test(w.steps[x.firstStep]!.text),
  );
  if (!b) return null;
  w.steps[b.firstStep]!.places.delete(b.id);
  w.steps[b.firstStep]!.bowl = b.id;
  b.place = 'mix';
  b.placed = 'no';
  w.current = b.id;
  return b;
}

/** In the cold, in the oven, at rest: of the bowl that is meant, or of what stands in the vessel. */
function stands(w: Worktop, job: Job): void {
  const { step, at, h, lines, bowls } = job;
  const { work } = step;
  const b =
    (work === 'bake' && lines.length === 0 && bowls.length === 0 ? inADish(w, at) : null) ??
    bowls.find((x) => x.b.place === 'mix')?.b ??
    (lines.length > 0 || (w.built && w.isWetOnly(w.here())) ? null : w.here()) ??
    w.latest((x) => x.placed !== 'no' && !w.isWetOnly(x));
  if (lines.length > 0 && !b) {
    const made = w.make(h.fc.section ?? w.lines[lines[0]!.line]!.under);
    for (const x of lines) w.addLineTo(x.line, made);
    touch(w, made, job);
    if (work === 'bake') bakes(w, made, step);
    w.current = made.id;
    return;
  }
  // 'Freeze in a lidded tub': there it stays.
  if (b && b.placed === 'no' && work === 'freeze' && /\b(?:tub|container|box|tin|mou?lds?|glasses|ramekins|terrine|dish)\b/i.test(h.c.text)) {
    b.placed = 'built';
    step.places.add(b.id);
    w.built = true;
  }
  if (b) {
    step.bowl = b.placed !== 'no' && work !== 'bake' ? null : b.id;
    if (work === 'bake') bakes(w, b, step);
    if (b.placed === 'no') b.lastStep = at;
  }
  // A base that hardens while the filling is made is not yet the dessert that is chilled.
  const built = w.live().filter((x) => x.placed === 'built');
  const onlyBase = built.length > 0 && built.every((x) => x.pressed);
  if ((work === 'chill' || work === 'freeze') && w.built && !onlyBase) w.chilled = true;
}

/** Chopped, drained, squeezed: it is in hand and waits. @returns whether the step does nothing else. */
function madeReady(w: Worktop, { step, at, h, lines, bowls, destAt }: Job): boolean {
  if (step.work !== 'hands' || destAt >= 0) return false;
  // 'Squeeze out the gelatin': what was soaked is ready, and what is in hand stays in hand.
  if (/^(?:squeeze|drain|lift|remove|take|wring)$/.test(step.verb) && lines.length === 0 && bowls.length === 1) {
    const { b } = bowls[0]!;
    step.bowl = b.id;
    b.lastStep = at;
    w.inHand = [...w.inHand, { kind: 'bowl', bowl: b.id, at: 0, share: ALL, named: false }];
    return true;
  }
  // 'Crush the biscuits and the butter': that is the base already.
  if (/^(?:crush|crumble|bash)$/.test(step.verb) && lines.length > 1 && lines.some((x) => w.lines[x.line]!.role === 'butter') && bowls.length === 0)
    return false;
  // 'Crush half of them with the sugar': that is the fruit already.
  if (
    /^(?:crush|mash|squash|bash)$/.test(step.verb) &&
    lines.length > 1 &&
    lines.some((x) => w.lines[x.line]!.role === 'fruit') &&
    lines.some((x) => w.lines[x.line]!.role === 'sugar')
  )
    return false;
  const prepares =
    (PREPARES.has(step.verb) ||
      /^top and tail\b/i.test(h.after) ||
      (h.c.verb === null && lines.length === 1 && !(w.seasons(lines[0]!.line) && w.here()?.placed === 'no'))) &&
    bowls.length === 0 &&
    !h.additive;
  if (prepares) w.inHand = [...w.inHand.filter((x) => x.kind === 'bowl'), ...lines];
  return prepares;
}
