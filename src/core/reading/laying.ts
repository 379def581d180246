import type { Bowl } from './bowls';
import { goesOver } from './clauses';
import { ALL, type FlowStep, type Job, type Worktop } from './worktop';

/** Behind all that a clause names. */
const LAST = 1e6;

/** 'Pat in pan', 'pat over the bottom of the dish'; not 'pat dry'. */
export const PATS_IN = /\bpat(?:ted)? (?:[\p{L}\d/½⅔¾]+ ){0,4}?(?:in|into|onto|over) (?:\p{L}+ ){0,3}?(?:pan|tin|dish|bottom|ring|base|tray)\b/iu;

/** What is taken up by what it is brushed on. */
const RUNS = new Set(['liquid', 'drink', 'sour', 'sugar', 'milk']);
const SETS = /\b(?:jam|marmalade|jelly|curd|glaze)\b/;

/** Pressed into a tin; not film that is pressed onto a custard. */
export const pressesIn = (verb: string, after: string): boolean =>
  (verb === 'press' || PATS_IN.test(after) || /\b(?:press|squash|tamp)/i.test(after)) &&
  !/\b(?:press|squash|tamp)\w*\b[^.;]{0,30}\b(?:film|wrap|cling|clingfilm|paper|parchment|lid)\b/i.test(after);

/** Gelatin in its water, biscuits in their soak, fruit in sugar, cream that draws. */
export function soaks(w: Worktop, { step, at, h, lines, bowls }: Job): void {
  const { fc } = h;
  const { verb } = step;
  const named = lines.flatMap((x) => (x.kind === 'line' ? [x.line] : []));
  // 'Break the fingers in three, dip quickly.'
  const broken =
    named.length === 0 && bowls.length === 0 && /^(?:dip|dunk)$/.test(verb)
      ? w.inHand.flatMap((x) => (x.kind === 'line' && w.fresh(x.line) && w.lines[x.line]!.role === 'biscuit' ? [x.line] : []))
      : [];
  const list = [...named, ...broken];
  const biscuits = list.filter((i) => w.lines[i]!.role === 'biscuit');
  const layerThere = w.latest((b) => b.place === 'layer');
  const dips = verb === 'dip' || verb === 'dunk' || verb === 'brush' || verb === 'moisten' || verb === 'drench' || biscuits.length > 0;
  if (dips) {
    const wet = list.filter((i) => w.lines[i]!.role !== 'biscuit');
    let layer: Bowl | null = null;
    if (biscuits.length > 0) {
      layer = w.make(w.lines[biscuits[0]!]!.under);
      layer.place = 'layer';
      for (const i of biscuits) w.addLineTo(i, layer);
    } else layer = layerThere;
    if (layer) {
      if (verb === 'brush' || verb === 'moisten') layer.brushed = true;
      else layer.dipped = true;
      layer.lastStep = at;
      step.bowl = layer.id;
      step.places.add(layer.id);
      layer.placed = 'built';
      w.built = true;
    }
    const waits = w.latest(
      (b) =>
        b.placed === 'no' &&
        b.place !== 'layer' &&
        b.place !== 'topping' &&
        b.takes.size === 0 &&
        (b.place === 'soak' ||
          ([...b.lines].length > 0 && [...b.lines].every((i) => ['liquid', 'drink', 'sugar', 'sour', 'flavour'].includes(w.lines[i]!.role!)))),
    );
    const bath =
      bowls.find((x) => x.b.place !== 'layer')?.b ??
      (wet.length === 0 ? waits : null) ??
      (wet.length > 0 ? w.make(fc.section ?? w.lines[wet[0]!]!.under) : null);
    if (bath && !w.holds(bath, 'cream', 'cheese', 'white', 'yolk')) {
      // 'Warm the jam and brush over the fruit': where nothing takes it up, it glazes.
      const glaze =
        verb === 'brush' &&
        layer === null &&
        biscuits.length === 0 &&
        [...bath.lines].some((i) => !RUNS.has(w.lines[i]!.role!) || SETS.test(w.lines[i]!.ingredient?.id ?? ''));
      bath.place = glaze ? 'topping' : 'soak';
      if (glaze) bath.placed = 'late';
      for (const i of wet) w.addLineTo(i, bath);
      bath.lastStep = at;
      step.places.add(bath.id);
    }
    return;
  }
  if (list.length === 0 && bowls.length === 0) {
    const b = w.here();
    if (b) step.bowl = b.id;
    return;
  }
  const old = bowls[0]?.b ?? null;
  const gel = list.some((i) => w.lines[i]!.role === 'gelatin' || w.lines[i]!.role === 'setter');
  // 'Put the water in a bowl, sprinkle the gelatin over': onto what stands there.
  const over = gel && list.length === 1 && bowls.every((x) => x.share.kind === 'all') ? (old ?? w.here()) : null;
  const wet = over !== null && over.place === 'mix' && over.placed === 'no' && over.takes.size === 0 && onlyWet(w, over);
  const b = wet ? over : gel ? w.make(w.lines[list[0]!]!.under) : (old ?? w.make(fc.section ?? w.lines[list[0]!]!.under));
  for (const i of list) w.addLineTo(i, b);
  // What infuses is hot, where nothing says otherwise.
  if (verb === 'infuse' && w.holds(b, 'milk', 'cream') && !/\bcold\b/i.test(fc.clause.text)) b.heated = true;
  b.lastStep = at;
  step.bowl = b.id;
  w.current = b.id;
}

/** Nothing but what is poured: water, juice, a drink, milk. */
const onlyWet = (w: Worktop, b: Bowl): boolean =>
  b.lines.size > 0 && [...b.lines].every((i) => ['liquid', 'sour', 'drink', 'milk'].includes(w.lines[i]!.role ?? ''));

const ONTO =
  /^(?:pour|spoon|scrape|spread|tip|pile|ladle) (?:it |this |them |everything |all |(?:half|most|some|a third|two thirds|the rest)(?: of (?:it|this|that|them))? )?(?:on to|onto|on|over) (?:(?:the|your) )?\p{L}/iu;

/** Layers, toppings, what is poured into a mould: nothing is mixed. */
export function puts(w: Worktop, { step, at, h, lines, bowls }: Job): void {
  const { fc } = h;
  const late = step.work === 'finish' || w.chilled;
  // Onto paper or a sheet it only lies until it is baked, cooled or chopped.
  if (
    step.work === 'fill' &&
    lines.length === 0 &&
    !/\blined with\b/i.test(fc.clause.text) &&
    /\b(?:baking (?:paper|sheet|tray|parchment)|lined (?:baking )?(?:tray|sheet)|parchment|(?:silicone )?mat|marble|oiled (?:tray|sheet)|greaseproof)\b/i.test(
      fc.clause.text,
    )
  ) {
    const lies = bowls[0]?.b ?? w.here();
    if (lies) {
      step.bowl = lies.id;
      lies.lastStep = at;
      w.current = lies.id;
    }
    return;
  }
  // 'Crust ingredients together, press into the dish', 'line the tin with biscuits crushed with the butter': one base of all of it.
  const crumbs =
    (step.verb === 'line' || step.verb === 'spoon') &&
    /\b(?:crushed|crumbs?|smashed|bashed|blitzed)\b/i.test(fc.clause.text) &&
    lines.some((x) => w.lines[x.line]!.role === 'biscuit');
  if ((pressesIn(step.verb, h.after) || crumbs) && lines.length > 1 && bowls.length === 0 && lines.some((x) => w.lines[x.line]!.role === 'butter')) {
    const base = w.make(fc.section ?? w.lines[lines[0]!.line]!.under);
    for (const x of lines) w.addLineTo(x.line, base);
    base.pressed = true;
    base.placed = 'built';
    base.lastStep = at;
    step.bowl = base.id;
    step.places.add(base.id);
    w.current = base.id;
    return;
  }
  // 'With two thirds of it and half a pound of raspberries': it is what was whipped last.
  // 'Whip the cream and fill the nests': what is baked or lies there already is filled with what is in hand.
  const receives =
    lines.length === 0 &&
    bowls.length > 0 &&
    bowls.every(({ b }) => b.placed !== 'no' || b.baked) &&
    /^(?:fill|top|cover|sandwich|crown|ice|frost)$/.test(step.verb);
  // 'Pour on the base': what is in hand, onto what stands there.
  const onto =
    !receives &&
    lines.length === 0 &&
    bowls.length > 0 &&
    ONTO.test(h.after) &&
    bowls.every(({ b }) => b.pressed || b.place === 'layer' || (b.placed !== 'no' && w.here()?.placed === 'no')) &&
    w.here() !== bowls[0]!.b
      ? w.here()
      : null;
  // 'And it goes over the sponge': what was just made.
  const goes = goesOver(fc.clause.text) ? w.here() : null;
  const it = receives || (lines.length > 0 && bowls.length === 0 && /\b(?:of|with) (?:it|them)\b/i.test(fc.clause.text)) ? w.here() : null;
  const poured = onto?.place === 'mix' && onto.placed === 'no' && !bowls.some((x) => x.b === onto) ? [...bowls, { b: onto, at: LAST, share: ALL }] : bowls;
  const ready = it?.air && it.place === 'mix' && it.placed === 'no' ? [...bowls, { b: it, at: 0, share: ALL }] : poured;
  const laid = goes && goes.placed === 'no' && !ready.some((x) => x.b === goes) ? [...ready, { b: goes, at: LAST, share: ALL }] : ready;
  for (const { b } of laid) {
    b.placed = b.placed === 'built' && !late ? 'built' : late && b.placed === 'no' ? 'late' : b.placed === 'no' ? 'built' : b.placed;
    b.lastStep = at;
    step.places.add(b.id);
    if (pressesIn(step.verb, h.after)) b.pressed = true;
  }
  // What is in hand lies on what it is said to go onto: 'fill on the base'.
  const named = new Map<number, number>(laid.map((x) => [x.b.id, 'named' in x && !x.named ? LAST : x.at]));
  const list = lines.flatMap((x) => (x.kind === 'line' ? [x.line] : []));
  for (const i of list) {
    const role = w.lines[i]!.role;
    const laid = role === 'biscuit' && step.work === 'fill' && !/\b(?:crush|crumb|crumble|scatter|sprinkle|crumbled|crushed)\b/i.test(fc.clause.text);
    const mate = w.latest(
      (b) =>
        b.place === (laid ? 'layer' : 'topping') &&
        [...b.lines].some((j) => w.lines[j]!.under === w.lines[i]!.under && (laid || w.lines[j]!.block === w.lines[i]!.block)) &&
        (laid ||
          (b.firstStep === at &&
            ![...b.lines].some((j) => w.isWeighty(j) && w.isWeighty(i) && w.lines[j]!.ingredient?.category !== w.lines[i]!.ingredient?.category))),
    );
    const b = mate ?? w.make(w.lines[i]!.under ?? fc.section);
    b.place = laid ? 'layer' : 'topping';
    w.addLineTo(i, b);
    b.placed = late ? 'late' : 'built';
    b.lastStep = at;
    step.places.add(b.id);
    named.set(b.id, Math.min(named.get(b.id) ?? Infinity, lines.find((x) => x.kind === 'line' && x.line === i)!.at));
  }
  // They lie in the order in which they are named: 'the fingers, the custard and the cream'.
  const inOrder = [...step.places].sort((a, b) => (named.get(a) ?? -1) - (named.get(b) ?? -1));
  step.places.clear();
  for (const b of inOrder) step.places.add(b);
  if (bowls.length === 0 && list.length === 0) {
    // 'Dip the fingers; line the mould': what was dipped is laid.
    const dipped = w.steps[at - 1]?.work === 'soak' && w.steps[at - 1]!.bowl !== null ? w.bowls[w.steps[at - 1]!.bowl!]! : null;
    const b = dipped?.place === 'layer' ? dipped : w.here();
    if (b === dipped && b) {
      b.lastStep = at;
      step.places.add(b.id);
    } else if (b && b.place === 'mix') {
      b.placed = b.placed === 'no' ? (late ? 'late' : 'built') : b.placed;
      b.lastStep = at;
      step.places.add(b.id);
      if (pressesIn(step.verb, h.after)) b.pressed = true;
    }
  }
  const main = bowls[0]?.b ?? (list.length === 0 ? w.here() : null);
  step.bowl = main && bowls.length <= 1 && list.length === 0 && (main.pressed || !w.built) ? main.id : null;
  if (main && main.place === 'mix') w.current = main.id;
  if (!(main?.pressed && laid.length <= 1)) w.built = true;
}

/** Yolks and whites whisked apart and baked as one are one sponge. */
function oneSponge(w: Worktop, b: Bowl): void {
  const foams = [...b.takes].map(([id]) => w.bowls[id]!);
  const plain = (x: Bowl): boolean =>
    x.air && !x.steam && !x.heated && x.takes.size === 0 && w.holds(x, 'yolk', 'egg', 'white') && !w.holds(x, 'cream', 'cheese', 'milk', 'chocolate', 'fruit');
  if (foams.length < 2 || !foams.every(plain) || !foams.some((x) => w.holds(x, 'yolk', 'egg')) || w.holds(b, 'cream', 'cheese', 'milk', 'fruit')) return;
  for (const x of foams) {
    for (const i of x.lines) w.addLineTo(i, b);
    x.lines.clear();
    x.into = b.id;
    b.takes.delete(x.id);
  }
  b.air = true;
}

export function bakes(w: Worktop, b: Bowl, step: FlowStep): void {
  oneSponge(w, b);
  b.baked = true;
  b.bakedC = step.temperature?.c ?? b.bakedC;
}
