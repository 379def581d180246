import type { Bowl } from './bowls';
import { sameGrams } from './lines-said';
import { BEFORE_SERVING } from './work';
import type { Flow, Worktop } from './worktop';

/** The rest of a line that was divided is of that line again. @returns false where another part of it is somewhere else. */
export function comesBack(w: Worktop, i: number, rest: number): boolean {
  const whole = w.wholeOf.get(i);
  if (!whole || !sameGrams((w.lines[i]!.grams ?? 0) + (w.lines[rest]!.grams ?? 0), whole.grams)) return false;
  w.lines[i] = whole;
  w.bowlOf[rest] = w.bowlOf[i]!;
  w.gone.add(rest);
  return true;
}

const PARTED_EGGS = new Set(['white', 'yolk']);

/** Whole eggs and yolks that are told as one; of eggs that are separated neither goes where the other does. */
const EGGS = new Set(['egg', 'yolk']);

/** Lines that no step names go where the rest of their list goes; what is for the top, to the end. */
export function leftOvers(w: Worktop): void {
  // 'Stream in a third of the cream', and the rest never named: it was for the same bowl.
  for (const [i, rest] of w.restOf) {
    if (w.bowlOf[rest] !== null || w.bowlOf[i] === null || w.restOf.has(rest)) continue;
    // '4 of the whites', and two that no step names: they are for something else.
    if (PARTED_EGGS.has(w.lines[i]!.role ?? '')) {
      w.gone.add(rest);
      w.doubts.push({ line: i, says: 'the recipe uses only these of its eggs: the rest goes nowhere' });
      continue;
    }
    comesBack(w, i, rest);
  }
  w.lines.forEach((l, i) => {
    if (w.bowlOf[i] !== null || w.gone.has(i)) return;
    // '2 eggs + 1 yolk' of one row, 'eggs one at a time': the yolk with them.
    const mate = EGGS.has(l.role ?? '')
      ? [i - 1, i + 1].find((j) => w.lines[j]?.start === l.start && EGGS.has(w.lines[j]!.role ?? '') && w.stepOf[j] != null && w.bowlOf[j] != null)
      : undefined;
    if (mate !== undefined && w.stepOf[i] === null) {
      w.addLineTo(i, w.bowls[w.root(w.bowlOf[mate]!)]!);
      w.stepOf[i] = w.stepOf[mate]!;
      w.steps[w.stepOf[mate]!]!.lines.add(i);
      return;
    }
    const heading = l.under;
    const prepared = w.stepOf[i] === null ? null : w.steps[w.stepOf[i]!]!;
    const mates = w.bowls.filter((b) => [...b.lines].some((j) => w.lines[j]!.under === heading && w.lines[j]!.block === l.block));
    // A squeeze of lemon belongs to the fruit of its list.
    const fruit = l.role === 'sour' ? mates.find((b) => b.place === 'mix' && w.holds(b, 'fruit')) : undefined;
    const close = fruit ?? mates.filter((b) => b.place === 'mix').sort((a, b) => b.lines.size - a.lines.size)[0] ?? mates[0];
    const seasoning = ['sugar', 'flavour', 'salt', 'acid', 'sour', 'starch', 'setter', 'gelatin'].includes(l.role ?? '');
    const top =
      /\b(?:to (?:serve|finish|decorate|garnish|top|glaze|dust|brush|sprinkle)|for (?:the top|serving|dusting|decorat\w+|garnish\w*|sprinkling|topping)|garnish|topping)\b/i.test(
        `${l.written} ${heading ?? ''}`,
      );
    let b: Bowl | null = null;
    // A drink beside biscuits that are dipped, and nobody says into what.
    if (!top && close?.place === 'layer' && close.dipped && ['drink', 'liquid'].includes(l.role ?? '')) {
      b = w.make(heading);
      b.place = 'soak';
    } else if (!top && heading !== null && close) b = close;
    else if (!top && seasoning && close) b = close;
    else if (!top && close && prepared?.bowl != null) b = w.bowls[w.root(prepared.bowl)]!;
    // Eggs that no sentence names are not strewn on top: they are in what was mixed.
    // A list of its own that no step speaks of stays one: 'Meringue (optional)'.
    if (!b && !top && mates.length === 0 && heading !== null && unspoken(w, heading)) {
      b = w.make(heading);
    } else if (!b && !top && ['egg', 'yolk', 'white'].includes(l.role ?? '')) b = w.latest((x) => x.place === 'mix' && x.lines.size + x.takes.size > 0);
    if (!b) {
      const same = w.bowls.find(
        (x) => x.place === 'topping' && x.lines.size > 0 && [...x.lines].some((j) => w.lines[j]!.under === heading && w.stepOf[j] === null) && heading !== null,
      );
      b = same ?? w.make(heading);
      if (!same) b.place = l.role === 'biscuit' ? 'layer' : w.steps.length === 0 ? 'mix' : 'topping';
      if (w.steps.length === 0) b.place = 'mix';
    }
    b.lines.add(i);
    w.bowlOf[i] = b.id;
    if (w.stepOf[i] === null) {
      const own = w.steps.findIndex((s) => s.bowl === b!.id && s.lines.size > 0);
      const uses = own >= 0 ? own : w.steps.findIndex((s) => s.bowl !== null && w.root(s.bowl) === w.root(b!.id) && s.lines.size > 0);
      const places = w.steps.findIndex((s) => s.places.has(b!.id));
      const at = uses >= 0 ? uses : places >= 0 ? places : b.place === 'topping' ? lastForTheTop(w) : -1;
      if (at >= 0) {
        w.stepOf[i] = at;
        w.steps[at]!.lines.add(i);
      }
      // 'To decorate', and a step that only says so: that is where it goes.
      const decorates = top && at >= 0 && /^(?:decorate|garnish|serve|finish)$/.test(w.steps[at]!.verb);
      if (w.steps.length > 0 && l.role !== null && !decorates) w.doubts.push({ line: i, says: 'no step names it' });
    }
  });
}

/** Whether no step uses anything of a list, though it needs work: whites, yolks, cream. */
function unspoken(w: Worktop, heading: string): boolean {
  const list = w.lines.flatMap((l, i) => (l.under === heading ? [i] : []));
  return list.length > 1 && list.every((i) => w.stepOf[i] === null) && list.some((i) => ['white', 'yolk', 'egg', 'cream'].includes(w.lines[i]!.role ?? ''));
}

/** The step at which what is for the top goes on: that which speaks of it or of serving, else the last that builds. */
function lastForTheTop(w: Worktop): number {
  const decorates = w.steps.findLastIndex((s) => /^(?:decorate|garnish)$/.test(s.verb));
  if (decorates >= 0) return decorates;
  const said = w.steps.findLastIndex((s) => s.work === 'serve' || /\b(?:toppings?|garnish(?:es)?|decorations?)\b/i.test(s.text) || BEFORE_SERVING.test(s.text));
  return said >= 0 ? said : w.steps.findLastIndex((s) => s.work === 'finish' || s.work === 'fill');
}

/** The same without lines that are no longer of their own. */
export function without(w: Worktop, dropped: ReadonlySet<number>): Flow {
  const now = new Map(w.lines.flatMap((_, i) => (dropped.has(i) ? [] : [i])).map((old, i) => [old, i]));
  const moved = (of: Set<number>): void => {
    const next = [...of].flatMap((i) => (now.has(i) ? [now.get(i)!] : []));
    of.clear();
    for (const i of next) of.add(i);
  };
  for (const b of w.bowls) moved(b.lines);
  for (const s of w.steps) moved(s.lines);
  const stays = (_: unknown, i: number): boolean => !dropped.has(i);
  return {
    lines: w.lines.filter(stays),
    bowls: w.bowls,
    steps: w.steps,
    stepOf: w.stepOf.filter(stays),
    doubts: w.doubts.flatMap((d) => (now.has(d.line) ? [{ ...d, line: now.get(d.line)! }] : [])),
  };
}
