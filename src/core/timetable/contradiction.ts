import type { Compiled, Rule } from './project';

/**
 * A circle of gaps that no times can satisfy, whatever hands and machines there are (Bellman and Ford's negative circle). If all of it are
 * waits for another task it is a circular wait; else something is held for less than what must happen meanwhile takes.
 * @returns the rules of the circle, in order; null where there is none.
 */
export function contradictionIn(c: Compiled): readonly Rule[] | null {
  const x = new Float64Array(c.n);
  const by = new Int32Array(c.n).fill(-1);
  let last = -1;
  for (let round = 0; round <= c.n; round++) {
    last = -1;
    for (let r = 0; r < c.rules.length; r++) {
      const { from, to, c: gap } = c.rules[r]!;
      if (x[from]! + gap < x[to]!) {
        x[to] = x[from]! + gap;
        by[to] = r;
        last = to;
      }
    }
    if (last < 0) return null;
  }
  // n steps back from a task that still moves one is certainly on the circle.
  let on = last;
  for (let i = 0; i < c.n; i++) on = c.rules[by[on]!]!.from;
  const circle: Rule[] = [];
  let i = on;
  do {
    const rule = c.rules[by[i]!]!;
    circle.push(rule);
    i = rule.from;
  } while (i !== on);
  return circle;
}
